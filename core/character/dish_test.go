package character_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/knowledge"
)

func read(t testing.TB, text string) (*larder.Larder, recipe.Dish) {
	t.Helper()
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	return l, recipe.NewReader(l).Read(text, measure.Metric)
}

func value(t testing.TB, d character.Dish, trait string) float64 {
	t.Helper()
	for _, v := range d.Values() {
		if v.Trait.Name == trait {
			return v.Amount
		}
	}
	t.Fatalf("no trait %q", trait)
	return 0
}

func TestConcentrationsFollowAmountsAndMass(t *testing.T) {
	l, d := read(t, "Soup\n\n1000 g water\n10 g salt\n\nMethod\n1. Stir the salt into the water.")
	dish := character.Of(l, d, nil)
	require.InDelta(t, 1010, dish.Mass(), 0.01)
	require.InDelta(t, 100*10*38.76*2.54/100/1010, value(t, dish, character.Salt), 0.01)

	l, d = read(t, "Soup\n\n1000 g water\n10 g salt\n\nMethod\n1. Simmer the water with the salt for 30 minutes.")
	boiled := character.Of(l, d, nil)
	surface := math.Pow(1010.0/2500, 2.0/3)
	require.InDelta(t, 1010-30*11*surface, boiled.Mass(), 0.01, "half an hour uncovered, in a pot to suit")
	require.Greater(t, value(t, boiled, character.Salt), value(t, dish, character.Salt))

	l, d = read(t, "Soup\n\n1000 g water\n10 g salt\n\nMethod\n1. Cover with a lid and simmer the water with the salt for 30 minutes.")
	require.InDelta(t, 1010-30*11*0.05*surface, character.Of(l, d, nil).Mass(), 0.01, "under a lid")

	l, d = read(t, "Soup\n\n1000 g water\n10 g salt\n\nMethod\n1. Simmer the water with the salt in a 36 cm pan for 10 minutes.")
	require.InDelta(t, 1010-10*11*2.25, character.Of(l, d, nil).Mass(), 0.01, "a pan half as wide again loses more than twice as much")
}

func TestAPotIsNeverBoiledDry(t *testing.T) {
	l, d := read(t, "Soup\n\n500 g water\n1 g salt\n\nMethod\n1. Boil the water hard for 5 hours.")
	require.InDelta(t, 501-500*0.45, character.Of(l, d, nil).Mass(), 1.5)
}

func TestDryPulsesDrinkBeyondTheListedWater(t *testing.T) {
	l, d := read(t, "Beans\n\n500 g dried black beans\n\nMethod\n1. Simmer the beans, covered, until tender.")
	require.InDelta(t, 500/0.43, character.Of(l, d, nil).Mass(), 1)
	l, d = read(t, "Beans\n\n500 g dried black beans\n2 litres water\n\nMethod\n1. Simmer the beans, covered, until tender.")
	require.InDelta(t, 2500, character.Of(l, d, nil).Mass(), 5, "water that is listed is drunk first")
}

func TestSmokeOfBaconAndOfPaprikaMeet(t *testing.T) {
	l, d := read(t, "A\n\n60 g smoked streaky bacon\n964 g water\n\nMethod\n1. Stir.")
	bacon := value(t, character.Of(l, d, nil), character.Smoke)
	l, d = read(t, "B\n\n4 g smoked paprika\n996 g water\n\nMethod\n1. Stir.")
	require.InDelta(t, bacon, value(t, character.Of(l, d, nil), character.Smoke), 0.05)
	require.InDelta(t, 3.33, bacon, 0.05)
}

func TestKelpAndShiitakeMultiply(t *testing.T) {
	stock := func(lines, work string) float64 {
		l, d := read(t, "Stock\n\n1000 g water\n"+lines+"\n\nMethod\n1. "+work)
		return value(t, character.Of(l, d, nil), character.Savoury)
	}
	const warm = "Simmer the water with everything for 1 minute."
	kelp, shiitake, both := stock("10 g kelp", warm), stock("10 g dried shiitake", warm), stock("10 g kelp\n10 g dried shiitake", warm)
	require.Greater(t, both, 1.5*(kelp+shiitake))
	cold := stock("10 g kelp\n10 g dried shiitake", "Stir.")
	require.Less(t, cold, both/2, "dried mushrooms give their guanylate only when heated through")
}

func TestContributionsAreTraceableAndSumToOne(t *testing.T) {
	l, d := read(t, "Soup\n\n300 g smoked haddock\n500 g milk\n50 g butter\n\nMethod\n1. Poach the haddock in the milk.")
	dish := character.Of(l, d, nil)
	sources := dish.Sources()
	for _, v := range dish.Values() {
		from := sources.From(v)
		if v.Amount < v.Trait.Noticed {
			continue
		}
		sum := 0.0
		for _, c := range from {
			require.Contains(t, c.Line, "components[0].lines[")
			sum += c.Share
		}
		require.InDelta(t, 1, sum, 0.01, v.Trait.Name)
	}
	smoke := sources.From(character.Value{Trait: character.Trait{Name: character.Smoke, Family: character.Smelt}})
	require.Equal(t, []character.Contribution{{Line: "components[0].lines[0]", Share: 1}}, smoke)
}

func TestUseIsReadFromNeighboursAndTechnique(t *testing.T) {
	for _, c := range []struct{ text, want string }{
		{"2 eggs\n300 ml milk\n\nMethod\n1. Beat the eggs with the milk and bake until set.", "set"},
		{"1 egg\n500 g beef mince\n150 ml milk\n\nMethod\n1. Mix the egg into the mince and bake.", "bind"},
		{"1 egg\n300 g flour\n\nMethod\n1. Work the egg into the flour.", "bind"},
		{"1 egg\n300 g puff pastry\n\nMethod\n1. Brush the pastry with the egg and bake.", "glaze"},
		{"4 hard-boiled eggs\n1 onion\n\nMethod\n1. Halve the eggs.", "piece"},
		{"50 g butter\n2 onions\n\nMethod\n1. Melt the butter and fry the onions.", "fry"},
		{"50 g butter\n200 g flour\n\nMethod\n1. Rub the butter into the flour.", "shorten"},
		{"500 g beef mince\n1 onion\n\nMethod\n1. Brown the mince.", "crumble"},
		{"500 g beef mince\n1 onion\n\nMethod\n1. Shape the mince into balls.", "shape"},
		{"500 ml beef stock\n1 onion\n\nMethod\n1. Pour in the stock.", "stock"},
	} {
		l, d := read(t, "Dish\n\n"+c.text)
		use := character.UseOf(l, d, 0, 0, "")
		require.Equal(t, c.want, use.Name, c.text)
		require.NotEmpty(t, use.Rule)
	}
	l, d := read(t, "Dish\n\n1 onion\n2 eggs\n\nMethod\n1. Fry.")
	require.Equal(t, character.Use{}, character.UseOf(l, d, 0, 0, ""), "plants need no rule")
}

func TestStructureNeedAgainstSupply(t *testing.T) {
	l, d := read(t, "Custard\n\n4 eggs\n600 ml milk\n\nMethod\n1. Beat the eggs with the milk and bake until set.")
	original := character.Of(l, d, nil)
	for grams, want := range map[string]string{"2": character.WillNotHold, "5": character.Holds, "60": character.TooFirm} {
		l2, a := read(t, "Custard\n\n"+grams+" g agar\n600 ml soy milk\n\nMethod\n1. Boil and bake until set.")
		profile := character.Of(l2, a, nil).Profile()
		held := character.Hold(original.Shapes(), original.Needs(), &profile)
		require.Len(t, held, 1)
		require.Equal(t, "set", held[0].Need)
		require.InDelta(t, 4*50*2.6, held[0].Required, 1)
		require.Equal(t, want, held[0].Verdict, "%s g of agar", grams)
	}
}

func TestCompareJudgesCountsAndPins(t *testing.T) {
	l, d := read(t, "Soup\n\n300 g smoked haddock\n100 g butter\n600 g water\n\nMethod\n1. Stir.")
	_, a := read(t, "Soup\n\n800 g water\n8 g salt\n\nMethod\n1. Stir.")
	original, adapted := character.Of(l, d, nil), character.Of(l, a, nil)
	wishes := character.Wishes{Pins: map[string]bool{character.Smoke: true}, Less: map[string]bool{character.Richness: true}}
	threads := character.Compare(original, adapted, wishes, true)
	verdicts := map[string]character.Verdict{}
	for _, th := range threads {
		verdicts[th.Trait] = th.Verdict
	}
	require.Equal(t, character.Short, verdicts[character.Smoke])
	require.Equal(t, character.Wanted, verdicts[character.Richness], "the rules want less fat")
	require.NotContains(t, verdicts, character.Egg, "what neither dish has is not listed")
	tally := character.Count(threads)
	require.Equal(t, character.Smoke, tally.Worst, "a pinned trait is named first")
	require.Equal(t, 1, tally.Wanted)
	wishes.Pins[character.Richness] = true
	for _, th := range character.Compare(original, adapted, wishes, false) {
		if th.Trait == character.Richness {
			require.Equal(t, character.Short, th.Verdict, "unless the cook has pinned it")
		}
	}
}

func TestTheWorstTraitIsOneThatIsOff(t *testing.T) {
	kept := character.Thread{Trait: character.Smoke, Steps: -0.98, Verdict: character.Kept, Pinned: true}
	dairy := character.Thread{Trait: character.Dairy, Steps: -2.8, Verdict: character.Short}
	salt := character.Thread{Trait: character.Salt, Steps: 1.2, Verdict: character.Near, Pinned: true}
	require.Equal(t, character.Dairy, character.Count([]character.Thread{kept, dairy}).Worst, "a pinned trait that is kept is not off")
	require.Equal(t, character.Salt, character.Count([]character.Thread{kept, dairy, salt}).Worst, "a pinned one that is off comes first")
	require.Empty(t, character.Count([]character.Thread{kept}).Worst)
}
