package character_test

import (
	"math"
	"sync"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/character"
	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/knowledge"
)

// shipped is the larder as it ships, loaded once for all tests.
var shipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })

func read(t testing.TB, text string) (*larder.Larder, recipe.Dish) {
	t.Helper()
	l, err := shipped()
	require.NoError(t, err)
	return l, flow.NewReader(l).Read(text, measure.Metric)
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
		{"3 egg whites\n100 g sugar\n\nMethod\n1. Whisk the whites to stiff peaks and fold in the sugar.", "lift"},
		{"2 egg yolks\n200 ml olive oil\n\nMethod\n1. Whisk the yolks and add the oil in a thin stream.", "emulsify"},
		{"3 egg yolks\n500 ml stock\n\nMethod\n1. Whisk the yolks into the hot stock without boiling until it coats a spoon.", "thicken"},
		{"1 egg\n100 g breadcrumbs\n4 pork chops\n\nMethod\n1. Dip the chops in the egg and then into the breadcrumbs. Fry for 6 minutes.", "coat"},
		{"2 eggs\n1 litre chicken stock\n\nMethod\n1. Bring the stock to a simmer and drizzle in the eggs in a thin stream.", "flakes"},
		{"4 eggs\n400 g bread dough\n\nMethod\n1. Crack an egg onto each and bake until the white is just set.", "runny"},
		{"60 g butter\n60 g plain flour\n600 ml milk\n\nMethod\n1. Melt the butter, stir in the flour and cook. Whisk in the milk and simmer.", "roux"},
		{"60 g butter\n500 g potatoes\n\nMethod\n1. Mash the potatoes and stir in the butter.", "enrich"},
		{"10 g butter, for greasing\n500 g potatoes\n\nMethod\n1. Bake the potatoes.", "grease"},
		{"200 g lard\n500 g flour\n\nMethod\n1. Roll out the dough and laminate it with the lard.", "shorten"},
		{"200 g yoghurt\n600 g chicken thighs\n\nMethod\n1. Marinate the chicken in the yoghurt for 2 hours.", "marinade"},
		{"250 ml buttermilk\n250 g plain flour\n1 tsp baking soda\n\nMethod\n1. Mix and bake for 40 minutes.", "lift"},
		{"150 g soured cream\n500 ml beef stock\n\nMethod\n1. Simmer the stock and stir in the soured cream at the end.", "finish"},
		{"200 ml double cream\n300 g raspberries\n\nMethod\n1. Whip the cream to soft peaks.", "whip"},
		{"500 ml whole milk\n60 g sugar\n\nMethod\n1. Simmer the milk with the sugar.", "sweet"},
		{"150 ml milk\n500 g plain flour\n\nMethod\n1. Knead the flour with the milk.", "dough"},
		{"100 g cheddar\n4 slices bread\n\nMethod\n1. Top the bread with the cheddar and grill.", "melt"},
		{"50 g parmesan\n400 g spaghetti\n\nMethod\n1. Toss the spaghetti with the parmesan.", "season"},
		{"200 g feta\n1 cucumber\n\nMethod\n1. Crumble the feta over the cucumber.", "crumble"},
		{"250 g paneer\n500 g spinach\n\nMethod\n1. Cube the paneer and fry it for 5 minutes.", "piece"},
		{"300 g ricotta\n80 g sugar\n\nMethod\n1. Beat the ricotta with the sugar.", "dessert"},
		{"800 g stewing beef\n500 ml water\n\nMethod\n1. Simmer the beef in the water for 2 hours.", "braise"},
		{"800 g pork shoulder\n500 ml water\n\nMethod\n1. Simmer the pork in the water for 3 hours and shred the pork.", "shred"},
		{"300 g beef steak, thinly sliced\n\nMethod\n1. Sear the steak for 2 minutes.", "slices"},
		{"4 veal escalopes\n60 g breadcrumbs\n\nMethod\n1. Dredge the escalopes in breadcrumbs and fry for 5 minutes.", "breaded"},
		{"1 leg of lamb\n\nMethod\n1. Roast the lamb at 180 C for 90 minutes.", "roast"},
		{"2 kg beef bones\n3 litres water\n\nMethod\n1. Simmer the bones in the water.", "stock"},
		{"300 g chicken livers\n50 g butter\n\nMethod\n1. Fry the livers in the butter and blend.", "paste"},
		{"400 g cod\n500 ml stock\n\nMethod\n1. Poach the cod in the stock and flake it.", "flake"},
		{"4 cod fillets\n\nMethod\n1. Fry the cod for 6 minutes.", "fillet"},
		{"700 g cod, cut in strips\n100 g flour\n200 ml lager\n1 litre oil\n\nMethod\n1. Whisk the flour with the lager to a batter. Heat the oil to 190 C. Pat the cod dry, dip it in the batter and fry for 4 minutes.", "breaded"},
		{"30 g butter\n250 g stale bread\n2 onions\n\nMethod\n1. Mix the bread with the onions, shape patties and fry in the butter until brown and crisp.", "crisp"},
		{"30 g butter\n2 onions\n1 kg potatoes\n\nMethod\n1. Fry the onions in half the butter. Butter a dish with a little of the rest, layer in the potatoes and bake.", "fry"},
		{"400 g sea bass\n4 limes\n\nMethod\n1. Cure the sea bass in the lime juice for 20 minutes.", "cured"},
		{"10 g bonito flakes\n1 litre water\n\nMethod\n1. Steep the bonito flakes in the water.", "season"},
		{"8 g gelatine\n500 ml juice\n\nMethod\n1. Stir the gelatine into the warm juice. Chill.", "set"},
		{"2 tbsp honey\n1 carrot\n\nMethod\n1. Brush the carrot with the honey and roast.", "glaze"},
	} {
		l, d := read(t, "Dish\n\n"+c.text)
		use := character.UseOf(l, d, 0, 0, "")
		assert.Equal(t, c.want, use.Name, c.text)
		require.NotEmpty(t, use.Rule)
	}
	l, d := read(t, "Dish\n\n1 egg\n400 g beef mince\n\nMethod\n1. Mix the egg into the mince.")
	corrected := character.UseOf(l, d, 0, 0, "lift")
	require.Equal(t, "lift", corrected.Name)
	require.True(t, corrected.Corrected)
	require.Contains(t, corrected.Others, "set")
	require.Equal(t, "bind", character.UseOf(l, d, 0, 0, "fly").Name, "a use that no egg has is not taken")
	l, d = read(t, "Dish\n\n1 carrot\n2 eggs\n\nMethod\n1. Fry.")
	require.Equal(t, character.Use{}, character.UseOf(l, d, 0, 0, ""), "plants need no rule")
	for _, x := range []struct{ line, step, want string }{
		{"2 onions, halved", "Char the onions over a flame until black.", "char"},
		{"1 red onion, sliced", "Top with the red onion and serve.", "raw"},
		{"1 onion, chopped", "Fry the onion for 10 minutes.", "soften"},
	} {
		l, d = read(t, "Dish\n\n"+x.line+"\n1 litre water\n\nMethod\n1. "+x.step)
		require.Equal(t, x.want, character.UseOf(l, d, 0, 0, "").Name, x.step)
	}
	for _, x := range []struct{ lines, step, want string }{
		{"3 eggs\n100 g sugar\n250 g mascarpone", "Whisk the eggs with the sugar and fold in the mascarpone, then chill for 4 hours.", "cream"},
		{"3 eggs\n100 g sugar\n250 g mascarpone", "Whisk the eggs with the sugar and fold in the mascarpone, then bake for 40 minutes.", "set-sweet"},
		{"4 chicken breasts\n120 g breadcrumbs\n1 litre oil", "Turn the breasts in the crumbs. Fry them in the oil for 6 minutes a side until deep golden.", "breaded"},
		{"4 chicken breasts\n120 g breadcrumbs\n3 tbsp oil", "Dip the chicken in the crumbs. Heat the oil and cook the chicken for 5 minutes on each side.", "breaded"},
		{"500 g salmon fillet\n1 litre vegetable stock", "Bring the stock to the boil. Take off the heat, slide in the salmon, cover and let it rest for 5 minutes.", "flake"},
		{"500 g salmon fillet\n4 limes", "Slice the salmon and toss with the limes. Leave to rest for 15 minutes and serve.", "cured"},
		{"150 g raw prawns\n300 g pork mince\n30 wonton wrappers", "Beat the pork mince and prawns until sticky. Boil the wrappers.", "shape"},
		{"60 g butter, melted\n300 g bulgur", "Press the bulgur into a tin. Pour over the butter and bake for 40 minutes.", "crisp"},
		{"250 g halloumi, sliced\n3 peaches", "Heat a griddle, lay on the halloumi and peaches and cook for 2 minutes each side.", "piece"},
		{"100 g mascarpone\n400 g passata", "Simmer the passata and stir in the mascarpone.", "finish"},
		{"2 egg yolks\n300 g spaghetti", "Toss the hot spaghetti off the heat with the yolks until creamy.", "thicken"},
		{"4 eggs, separated\n100 g sugar", "Whisk the whites until stiff and fold them in.", "lift"},
		{"3 eggs, separated\n600 ml milk\n125 g sugar\n100 g breadcrumbs", "Warm the milk with the breadcrumbs. Beat in the yolks, pour into a dish and bake for 25 minutes, until just set. Whisk the whites to stiff peaks, then whisk in the sugar. Pile on top and bake.", "lift"},
		{"2 eggs\n2 lemons\n1 litre chicken stock", "Whisk the eggs with the lemon juice. Whisk in a ladle of the stock, then return it to the pot.", "thicken"},
		{"4 eggs\n60 ml milk\n700 g minced beef\n6 plantains", "Fry the beef and lay it over the plantains. Beat the eggs with the milk, pour over and bake for 30 minutes until set.", "set"},
	} {
		l, d = read(t, "Dish\n\n"+x.lines+"\n\nMethod\n1. "+x.step)
		require.Equal(t, x.want, character.UseOf(l, d, 0, 0, "").Name, x.step)
	}
	l, d = read(t, "Dish\n\n2 pork loin chops\n100 g panko breadcrumbs\n\nMethod\n1. Coat the chops in the panko and fry them for 6 minutes.")
	require.Equal(t, "breaded", character.UseOf(l, d, 0, 0, "").Name)
	l, d = read(t, "Dish\n\n500 g chicken breasts\n1 litre water\n\nMethod\n1. Poach the chicken in the water. Shred with two forks.")
	require.Equal(t, "shred", character.UseOf(l, d, 0, 0, "").Name)
	for _, x := range []struct{ step, want string }{
		{"Brush the aubergines with the olive oil and roast for 25 minutes.", "brush"},
		{"Heat the olive oil and fry the aubergines for 10 minutes.", "fry"},
	} {
		l, d = read(t, "Dish\n\n100 ml olive oil\n1 kg aubergines\n\nMethod\n1. "+x.step)
		require.Equal(t, x.want, character.UseOf(l, d, 0, 0, "").Name, x.step)
	}
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
