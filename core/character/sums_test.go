package character

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
)

func figure(v float64) *float64 { return &v }

// madeUp is a food with round figures, no two of them alike, and 200 g of it in a form of which
// 300 g were bought: half of it is taken, and 80 % of that is left when it is cooked.
func madeUp() Item {
	f := &larder.Food{
		ID: "made-up", Aisle: "vegetables",
		Per100:   larder.Composition{Water: figure(80), Fat: figure(4), Sugars: figure(5), Sodium: figure(400)},
		Sugars:   larder.Sugars{Sucrose: 100, Source: "test"},
		Acids:    larder.Acids{Citric: figure(2), Source: "test"},
		Heat:     larder.Heat{Low: 100, High: 300},
		Taste:    larder.Taste{Glutamate: 0.5, Aspartate: 0.3, IMP: 0.2, GMP: 0.04, AMP: 0.01},
		Aromas:   []larder.Aroma{{Trait: Smoke, Dose: 12}, {Trait: Sea, Dose: 3, Form: "ground"}, {Trait: Dairy, Dose: 6, Form: "chopped"}, {Trait: Egg}},
		Roles:    []larder.Role{{Kind: "thicken", PerGram: 2}, {Kind: "bind", PerGram: 3, Form: "ground"}, {Kind: "set", PerGram: 5, Form: "chopped"}},
		Washed:   0.4,
		Forms:    map[string]larder.Form{},
		Allergen: nil,
	}
	return Item{
		Food: f, Grams: 200, Form: larder.Form{Name: "ground", Base: 1.5, Yield: 0.8, Gives: 0.6},
		Treatment: Treatment{Fate: &larder.Fate{Taken: 0.5, Soluble: 0.7, Fat: 0.9, Aroma: 0.4, Inosinate: 0.3}, Heated: true, Browned: 0.2},
	}
}

// What an item brings to its component, each worked out by hand.
func TestWhatAnItemBrings(t *testing.T) {
	const soluble = 0.7 * 0.6 // of what dissolves, as the form gives it
	s := madeUp().Sums()
	for q, want := range map[quantity]float64{
		mass:      200 * 0.5 * 0.8,
		water:     80 - 300*0.2*0.5,
		liquid:    0,
		thirst:    0,
		salt:      3 * 0.4 * larder.SaltPerSodium * soluble,
		fat:       3 * 4 * 0.9 * 0.6,
		sweet:     3 * 5 * soluble,
		acid:      3 * 2 * soluble,
		heat:      300 * 200 * soluble,
		glutamate: 3 * 0.5 * soluble,
		aspartate: 3 * 0.3 * soluble,
		imp:       3 * 0.2 * 0.3 * 0.6,
		gmp:       3 * 0.04 * soluble,
		amp:       3 * 0.01 * soluble,
		smoke:     300 * 0.4 * 0.6 / 12,
		sea:       300 * 0.4 * 0.6 / 3,
		dairy:     0, // of another form
		egg:       0, // of no dose
		roast:     80 * 0.2,
		brown:     80 * 0.2 * 0.6,
		pieces:    0,
		dissolved: 30 - 3*4*0.9*0.6,
		thicken:   300 * 2 * 0.7,
		binding:   300 * 3 * 0.7,
		setting:   0,
	} {
		require.InDelta(t, want, s[q], 1e-9, "quantity %d", q)
	}
	for i := 1; i < int(quantities); i++ {
		by := s
		by.Scale(2)
		by.Add(&s, -1)
		require.InDelta(t, s[i], by[i], 1e-9)
	}
	require.Equal(t, []float64{s[salt], s[water], s[fat], s[thicken]}, []float64{s.Salt(), s.Water(), s.Fat(), s.Thickening()})
}

// Each thing that is done to an item, or is otherwise about it, and the quantity that tells it.
func TestWhatIsDoneToAnItemTells(t *testing.T) {
	for name, c := range map[string]struct {
		change func(*Item)
		of     quantity
		want   float64
	}{
		"a liquid can be drunk":                        {func(it *Item) { it.Food.Per100.Water = figure(90) }, liquid, 80 - 300*0.1*0.5},
		"at the bound it is none":                      {func(it *Item) { it.Food.Per100.Water = figure(liquidWater) }, liquid, 0},
		"what is lifted out leaves no solids":          {func(it *Item) { it.Form.Yield = 0 }, water, 0},
		"and its taste":                                {func(it *Item) { it.Form.Yield = 0 }, acid, 3 * 2 * 0.7 * 0.6},
		"soaking takes salt out":                       {func(it *Item) { it.Washed = true }, salt, 3 * 0.4 * larder.SaltPerSodium * 0.7 * 0.6 * 0.4},
		"unheated mushrooms give little":               {func(it *Item) { it.Heated = false }, gmp, 3 * 0.04 * 0.7 * 0.6 * unheatedGuanylate},
		"what is dry and has no sugar dissolves not":   {func(it *Item) { it.Food.Per100.Water = figure(dissolvedWater) }, dissolved, 0},
		"sugar dissolves though it is dry":             {func(it *Item) { it.Food.Per100.Water, it.Food.Per100.Sugars = figure(10), figure(61) }, dissolved, 300*0.9*0.5 - 3*4*0.9*0.6},
		"at the bound it does not":                     {func(it *Item) { it.Food.Per100.Water, it.Food.Per100.Sugars = figure(10), figure(drySugar) }, dissolved, 0},
		"more fat than solids leaves nothing":          {func(it *Item) { it.Food.Per100.Fat = figure(50) }, dissolved, 0},
		"pieces are bitten on":                         {func(it *Item) { it.Form.Feel = map[string]float64{Chew: 7} }, chew, 80 * 7},
		"and do not dissolve":                          {func(it *Item) { it.Form.Feel = map[string]float64{Chew: 7} }, dissolved, 0},
		"pieces that are lifted out are not":           {func(it *Item) { it.Form.Feel, it.Form.Yield = map[string]float64{Chew: 7}, 0 }, pieces, 0},
		"a crisped surface":                            {func(it *Item) { it.Form.Feel, it.Crisped = map[string]float64{Crisp: 2}, 6 }, crisp, 80 * 6},
		"what is crisper by itself":                    {func(it *Item) { it.Form.Feel, it.Crisped = map[string]float64{Crisp: 8}, 6 }, crisp, 80 * 8},
		"and what a wet finish leaves of it":           {func(it *Item) { it.Form.Feel, it.Softened = map[string]float64{Crisp: 8}, true }, crisp, 80 * 8 * softenedCrisp},
		"an aroma of its own beats browning":           {func(it *Item) { it.Food.Aromas = []larder.Aroma{{Trait: Roast, Dose: 3}} }, roast, 300 * 0.4 * 0.6 / 3},
		"colour of its own beats browning":             {func(it *Item) { it.Food.Aromas = []larder.Aroma{{Trait: Brown, Dose: 3}} }, brown, 300 * 0.4 * 0.6 / 3},
		"what is steeped binds by what it gives":       {func(it *Item) { it.Fate = &larder.Fate{Taken: 0.5, Soluble: 0.1} }, thicken, 300 * 2 * 0.5},
		"what stands in for flesh binds nothing about": {func(it *Item) { it.Solid = true }, binding, 0},
		"and sets nothing":                             {func(it *Item) { it.Solid, it.Form.Name = true, "chopped" }, setting, 0},
		"it gives body":                                {func(it *Item) { it.Solid = true }, thicken, 300 * 2 * 0.7},
		"that thickens no sauce":                       {func(it *Item) { it.Solid = true }, lumped, 300 * 2 * 0.7},
		"what stands in for a thickener does":          {func(*Item) {}, lumped, 0},
		"dry food drinks in a wet dish":                {dry(0.4, 1, true), thirst, 200 * 1.5 * 0.5},
		"in a dry one it does not":                     {dry(0.4, 1, false), thirst, 0},
		"what was cooked before does not":              {dry(0.4, 1.5, true), thirst, 0},
		"what hardly swells does not":                  {dry(drinksBelow, 1, true), thirst, 0},
		"what has no figure does not":                  {dry(0, 1, true), thirst, 0},
	} {
		t.Run(name, func(t *testing.T) {
			it := madeUp()
			c.change(&it)
			s := it.Sums()
			require.InDelta(t, c.want, s[c.of], 1e-9)
		})
	}
}

// dry makes an item one of which so much stands in a gram when it is cooked.
func dry(cooked, base float64, wet bool) func(*Item) {
	return func(it *Item) {
		it.Food.Forms = map[string]larder.Form{"cooked": {Base: cooked}}
		it.Form.Base, it.Wet = base, wet
	}
}

// The traits of a dish of two parts of 200 and 300 g, read off sums that no two quantities share.
func TestTraitsAreReadOffSums(t *testing.T) {
	var one, two Sums
	for q := range quantities {
		one[q], two[q] = 0.1+0.01*float64(q), 0.2+0.03*float64(q)
	}
	one[mass], two[mass], one[thirst], two[thirst], one[water], two[water] = 200, 300, 0, 0, 120, 90
	one[pieces] = 100
	var p Profile
	Evaluate([]Shape{{}, {Kneaded: true}}, []Sums{one, two}, &p)
	require.Equal(t, []float64{500, 200, 300}, []float64{p.Mass, p.Parts[0].Mass, p.Parts[1].Mass})
	require.InDelta(t, 0.6, p.Parts[0].Water, 1e-9)
	require.InDelta(t, 0.3, p.Parts[1].Water, 1e-9)
	all := func(q quantity) float64 { return (one[q] + two[q]) / 5 }
	for i, want := range []float64{
		Umami{Glutamate: all(glutamate), Aspartate: all(aspartate), IMP: all(imp), GMP: all(gmp), AMP: all(amp)}.EUC(),
		all(salt), all(sweet), all(acid), all(heat) / 100, all(fat),
		Rating(all(smoke)), Rating(all(sea)), Rating(all(roast)), Rating(all(dairy)), Rating(all(egg)), Rating(all(ferment)),
	} {
		require.InDelta(t, want, p.Whole[i], 1e-9, Traits[i].Name)
		require.InDelta(t, want, p.Value(Traits[i].Name), 1e-9)
	}
	require.Zero(t, p.Value("no such trait"))
	for i, want := range []float64{
		one[chew] / 100, one[flake] / 100, one[crumble] / 100, one[crisp] / 100, one[juicy] / 100, one[melt] / 100,
		Rating(one[thicken]/200 + one[fat]/2/fatOfBody + one[dissolved]/2/solidsOfBody),
		Rating(one[yellow] / 2), Rating(one[brown] / 2), Rating(one[red] / 2), Rating(one[green] / 2),
		10 * (one[pale] / 2) / (1 + (one[pale]+one[yellow]+one[brown]+one[red]+one[green])/2),
	} {
		require.InDelta(t, want, p.Parts[0].Traits[i], 1e-9, Traits[wholeTraits+i].Name)
	}
	require.Zero(t, p.Parts[1].Traits[0], "a few crumbs do not say how it feels")
	require.Zero(t, p.Parts[1].Traits[6], "a dough has no body")
	for i, j := range jobs {
		want := one[j.adds]
		if j.adds == thicken {
			want -= one[lumped]
		}
		require.Equal(t, want, p.Parts[0].Held[i], j.need)
	}
	// The space of a profile is used again, and nothing of before stays in it.
	Evaluate([]Shape{{}}, []Sums{{}}, &p)
	require.Equal(t, [wholeTraits]float64{}, p.Whole)
	require.Equal(t, []PartProfile{{}}, p.Parts)
	// Pieces that are just too few say nothing.
	few := Sums{mass: 100, pieces: fewestPieces * 100, chew: 50}
	Evaluate([]Shape{{}}, []Sums{few}, &p)
	require.Zero(t, p.Parts[0].Traits[0])
}

// How strong a value is perceived: rated traits in proportion, tasted ones by the steps from nothing to the strongest.
func TestStrength(t *testing.T) {
	smoke, _ := TraitNamed(Smoke)
	require.InDelta(t, 0.4, smoke.Strength(4), 1e-9)
	require.InDelta(t, 1, smoke.Strength(12), 1e-9)
	salty, _ := TraitNamed(Salt)
	require.InDelta(t, salty.Steps(0, 0.5)/salty.Steps(0, 2), salty.Strength(0.5), 1e-9)
	require.InDelta(t, 1, salty.Strength(2), 1e-9)
	require.Less(t, salty.Strength(0.5), 0.7)
}

// Which traits are judged part by part.
func TestTraitsByComponent(t *testing.T) {
	for i, trait := range Traits {
		require.Equal(t, i >= wholeTraits, trait.ByComponent(), trait.Name)
	}
	_, ok := TraitNamed("no such trait")
	require.False(t, ok)
}
