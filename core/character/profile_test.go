package character

import (
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"
)

// A value is split among the lines that bring it: by what each adds, by what would be lost without it where the parts
// multiply, and within the part it is of.
func TestWhereAValueComesFrom(t *testing.T) {
	kelp, mushroom, rice := Sums{glutamate: 4, salt: 3, thicken: 0}, Sums{glutamate: 0.5, gmp: 0.2, salt: 1, chew: 6}, Sums{thicken: 50, fat: 5, dissolved: 11, chew: 2, salt: 0.01}
	s := Sources{items: []source{{"kelp", 0, kelp}, {"mushroom", 0, mushroom}, {"rice", 1, rice}}, mass: 200}
	for _, it := range s.items {
		s.whole.Add(&it.sums, 1)
	}
	value := func(name string, part int) Value {
		trait, ok := TraitNamed(name)
		require.True(t, ok)
		return Value{Trait: trait, Part: part, Amount: 1}
	}
	require.Equal(t, []Contribution{{"kelp", 0.748}, {"mushroom", 0.249}}, s.From(value(Salt, 0)), "the rice brings less than is named")
	require.Equal(t, []Contribution{{"mushroom", 1}}, s.From(value(Chew, 0)), "of its own part alone")
	require.Equal(t, []Contribution{{"rice", 1}}, s.From(value(Chew, 1)))
	require.Equal(t, []Contribution{{"rice", 1}}, s.From(value(Body, 1)))
	require.Empty(t, s.From(value(Smoke, 0)))

	// Without the kelp 0.5 g of glutamate meets the guanylate, without the mushroom none does.
	of := func(glutamate, gmp float64) float64 { return Umami{Glutamate: glutamate / 2, GMP: gmp / 2}.EUC() }
	lostKelp, lostMushroom := of(4.5, 0.2)-of(0.5, 0.2), of(4.5, 0.2)-of(4, 0)
	got := s.From(value(Savoury, 0))
	require.Len(t, got, 2)
	require.Equal(t, "mushroom", got[0].Line)
	require.InDelta(t, lostMushroom/(lostKelp+lostMushroom), got[0].Share, 0.001)
	require.InDelta(t, lostKelp/(lostKelp+lostMushroom), got[1].Share, 0.001)

	// Body is put together of what thickens, fat and what is dissolved.
	s = Sources{items: []source{{"starch", 0, Sums{thicken: 50}}, {"cream", 0, Sums{fat: 5}}, {"syrup", 0, Sums{dissolved: 11}}}, mass: 100}
	whole := 50.0/100 + 5/fatOfBody + 11/solidsOfBody
	got = s.From(value(Body, 0))
	require.Len(t, got, 3)
	for i, want := range []float64{0.5, 0.5, 0.2} {
		require.InDelta(t, want/whole, got[i].Share, 0.001)
	}
	require.Equal(t, "cream", got[2].Line)
	require.Zero(t, savouryOf(&Sums{glutamate: 1}, 0), "of nothing")
}

// What a kitchen has learned moves a comparison, but not that of what nothing was done to.
func TestAKitchenTastesForItself(t *testing.T) {
	salty, _ := TraitNamed(Salt)
	w := Wishes{Off: map[string]float64{Salt: 0.5}}
	steps, learned := w.steps(&salty, 1, 1)
	require.Equal(t, []float64{0, 0}, []float64{steps, learned})
	steps, learned = w.steps(&salty, 1, 1.3)
	require.InDelta(t, salty.Steps(1, 1.3)+0.5, steps, 1e-9)
	require.Equal(t, 0.5, learned)
}

// Less of what less is wanted of is as was wanted, unless it is pinned.
func TestWhatIsWantedLess(t *testing.T) {
	for _, c := range []struct {
		less, pinned bool
		steps        float64
		want         Verdict
	}{
		{true, false, -1.5, Wanted}, {true, false, -1, Kept}, {true, false, -3, Wanted}, {true, false, 1.5, Near}, {true, false, 3, Over},
		{true, true, -1.5, Near}, {true, true, -3, Short}, {false, false, -3, Short}, {false, false, -1.5, Near},
	} {
		w := Wishes{Less: map[string]bool{Salt: c.less}, Pins: map[string]bool{Salt: c.pinned}}
		require.Equal(t, c.want, w.judge(Salt, c.steps), "%+v", c)
	}
}

// The distance of two profiles: squares of the steps beyond one, by who minds them and how much of the dish they are.
func TestDistanceIsMindedByWishAndShare(t *testing.T) {
	profile := func(mass float64) *Profile {
		return &Profile{Mass: mass, Parts: []PartProfile{{Mass: 300}, {Mass: 5}}}
	}
	at := func(name string) int {
		for i := range Traits {
			if Traits[i].Name == name {
				return i
			}
		}
		return -1
	}
	smoke, red, chewy := at(Smoke), at(Red)-wholeTraits, at(Chew)-wholeTraits
	off := func(trait int, before, after float64) float64 {
		steps := Traits[trait].Steps(before, after)
		return (max(steps, -steps) - 1) * (max(steps, -steps) - 1)
	}
	usual := UsualScale()
	for name, c := range map[string]struct {
		change         func(was, is *Profile)
		wishes         Wishes
		pinned, others float64
	}{
		"nothing is off":         {func(was, is *Profile) { was.Whole[smoke], is.Whole[smoke] = 6, 6 }, Wishes{}, 0, 0},
		"smoke is short":         {func(was, is *Profile) { was.Whole[smoke], is.Whole[smoke] = 8, 1 }, Wishes{}, 0, usual.Unpinned * off(smoke, 8, 1)},
		"and pinned":             {func(was, is *Profile) { was.Whole[smoke], is.Whole[smoke] = 8, 1 }, Wishes{Pins: map[string]bool{Smoke: true}}, off(smoke, 8, 1), 0},
		"and wanted less":        {func(was, is *Profile) { was.Whole[smoke], is.Whole[smoke] = 8, 1 }, Wishes{Less: map[string]bool{Smoke: true}}, 0, 0},
		"more of what is not":    {func(was, is *Profile) { was.Whole[smoke], is.Whole[smoke] = 1, 8 }, Wishes{Less: map[string]bool{Smoke: true}}, 0, usual.Unpinned * off(smoke, 1, 8)},
		"too little to notice":   {func(was, is *Profile) { was.Whole[smoke], is.Whole[smoke] = 0.4, 0 }, Wishes{Off: map[string]float64{Smoke: 5}}, 0, 0},
		"noticed in one of both": {func(was, is *Profile) { was.Whole[smoke], is.Whole[smoke] = 0, 8 }, Wishes{}, 0, usual.Unpinned * off(smoke, 0, 8)},
		"a look counts less":     {func(was, is *Profile) { was.Parts[0].Traits[red], is.Parts[0].Traits[red] = 8, 1 }, Wishes{}, 0, usual.Look * usual.Unpinned * off(at(Red), 8, 1)},
		"of a part by its share": {func(was, is *Profile) { was.Parts[0].Traits[chewy], is.Parts[0].Traits[chewy] = 8, 1 }, Wishes{}, 0, usual.Unpinned * off(at(Chew), 8, 1)},
		"of a small part a bit":  {func(was, is *Profile) { was.Parts[1].Traits[chewy], is.Parts[1].Traits[chewy] = 8, 1 }, Wishes{}, 0, usual.LeastPart * usual.Unpinned * off(at(Chew), 8, 1)},
		"by a scale of its own":  {func(was, is *Profile) { was.Whole[smoke], is.Whole[smoke] = 8, 1 }, Wishes{Scale: &Scale{Unpinned: 2}}, 0, 2 * off(smoke, 8, 1)},
	} {
		was, is := profile(300), profile(290)
		c.change(was, is)
		pinned, others := is.Distance(was, c.wishes)
		require.InDelta(t, c.pinned, pinned, 1e-9, name)
		require.InDelta(t, c.others, others, 1e-9, name)
	}
	was, is := profile(0), profile(0)
	was.Parts[1].Traits[chewy] = 8
	_, others := is.Distance(was, Wishes{})
	require.InDelta(t, usual.Unpinned*off(at(Chew), 8, 0), others, 1e-9, "a dish of no mass counts each part whole")
}

// Every verdict is counted where it belongs, and the worst is the pinned one that is furthest off.
func TestCountsEveryVerdict(t *testing.T) {
	threads := []Thread{
		{Trait: "a", Verdict: Kept, Steps: -9}, {Trait: "b", Verdict: Near, Steps: -1.5}, {Trait: "c", Verdict: Short, Steps: -3}, {Trait: "d", Verdict: Short, Steps: -3},
		{Trait: "e", Verdict: Over, Steps: 4}, {Trait: "f", Verdict: Over, Steps: 2.5}, {Trait: "g", Verdict: Over, Steps: 2.5}, {Trait: "h", Verdict: Wanted, Steps: -9},
		{Trait: "i", Verdict: Near, Steps: 1.2},
	}
	require.Equal(t, Tally{Kept: 1, Near: 2, Short: 2, Over: 3, Wanted: 1, Worst: "e"}, Count(threads))
	threads[1].Pinned = true
	require.Equal(t, "b", Count(threads).Worst)
	require.Equal(t, "c", Count(threads[2:4]).Worst, "the first of two alike")
	require.Empty(t, Count(threads[:1]).Worst)
}

// A pot loses water by its surface and what it boils in, and never all of it.
func TestWhatAPotLoses(t *testing.T) {
	for name, c := range map[string]struct {
		shape Shape
		sums  Sums
		want  float64
	}{
		"nothing in it":                   {Shape{Simmered: 100}, Sums{}, 0},
		"the reference pot simmers":       {Shape{Simmered: 100}, Sums{mass: referencePotGrams, water: 1000, liquid: 1000}, referencePotGrams - 100},
		"an eighth of it has a quarter":   {Shape{Simmered: 100}, Sums{mass: referencePotGrams / 8, water: 100, liquid: 100}, referencePotGrams/8 - 25},
		"a wide pot loses more":           {Shape{Simmered: 100, Across: 2 * referencePotCm}, Sums{mass: referencePotGrams, water: 1000, liquid: 1000}, referencePotGrams - 400},
		"without liquid it boils nothing": {Shape{Simmered: 100, Dried: 7}, Sums{mass: referencePotGrams, water: 1000, liquid: leastBroth * referencePotGrams}, referencePotGrams - 7},
		"with a little more it does":      {Shape{Simmered: 100, Dried: 7}, Sums{mass: referencePotGrams, water: 1000, liquid: leastBroth*referencePotGrams + 1}, referencePotGrams - 107},
		"dry food drinks beyond it":       {Shape{}, Sums{mass: 500, thirst: 300, liquid: 100}, 700},
		"and what is there first":         {Shape{}, Sums{mass: 500, thirst: 100, liquid: 300}, 500},
		"some water is always left":       {Shape{Dried: 1e6}, Sums{mass: 1000, water: 600}, 1000 - 600*(1-leastWaterKept)},
	} {
		require.InDelta(t, c.want, c.shape.Mass(&c.sums), 1e-9, name)
	}
	require.InDelta(t, 50, Boiled(5, 10, referencePotGrams), 1e-9)
	require.InDelta(t, 12.5, Boiled(5, 10, referencePotGrams/8), 1e-9)
	require.InDelta(t, referencePotGrams*(1-leastWaterKept), Boiled(1e6, 10, referencePotGrams), 1e-9)
	require.InDelta(t, Boiled(1, longestOpenBoil, referencePotGrams), Boiled(1, longestOpenBoil+60, referencePotGrams), 1e-9)
	require.Zero(t, Boiled(5, 10, 0))
}

// A kitchen's own thresholds are a value that is handed in: they change how far apart two dishes are, wherever that is asked, and
// nothing of what other kitchens taste.
func TestThresholdsAreHandedIn(t *testing.T) {
	salted, more := Profile{Mass: 100}, Profile{Mass: 100}
	at := slices.IndexFunc(Traits, func(t Trait) bool { return t.Name == Salt })
	salted.Whole[at], more.Whole[at] = 1, 1.3
	scale := UsualScale()
	scale.Thresholds = map[string]Threshold{Salt: {Detect: 0.05, Weber: 0.5}}
	own, usual := Wishes{Scale: &scale}, Wishes{}
	require.InDelta(t, math.Log(1.35/1.05)/math.Log1p(0.5), own.Apart(&salted, &more, Salt, 0), 1e-9)
	require.InDelta(t, math.Log(1.35/1.05)/math.Log1p(0.15), usual.Apart(&salted, &more, Salt, 0), 1e-9)
	steps, _ := own.steps(&Traits[at], 1, 1.3)
	require.InDelta(t, own.Apart(&salted, &more, Salt, 0), steps, 1e-9)
	_, far := more.Distance(&salted, usual)
	_, near := more.Distance(&salted, own)
	require.Greater(t, far, 0.0)
	require.Zero(t, near, "a coarser tongue does not notice it")
	sweet, _ := own.steps(&Traits[slices.IndexFunc(Traits, func(t Trait) bool { return t.Name == Sweet })], 4, 8)
	asUsual, _ := usual.steps(&Traits[slices.IndexFunc(Traits, func(t Trait) bool { return t.Name == Sweet })], 4, 8)
	require.InDelta(t, asUsual, sweet, 1e-9)
}
