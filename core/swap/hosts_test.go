package swap

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
)

// proposed are the boosters of the closest answer to a recipe.
func proposed(t *testing.T, text string, pins ...string) []*larder.Booster {
	t.Helper()
	b, r := open(t)
	dec, err := b.Propose(r.Read(text, measure.Metric), Decisions{HouseRules: HouseRules{Preset: WholeFood}, Pins: pins}, Closest)
	require.NoError(t, err)
	var out []*larder.Booster
	for _, d := range dec.Boosters {
		out = append(out, b.Larder().BoosterNamed(d.Food))
	}
	return out
}

// What wants heat goes into nothing that is mixed cold: raw mushroom powder is not for a salad.
func TestWhatWantsHeatGoesIntoNothingCold(t *testing.T) {
	for name, text := range map[string]string{
		"a salad of cold pasta": "Salad\nServes 4\n\n300 g pasta shells\n290 g tinned tuna\n1 red pepper, diced\n4 tbsp mayonnaise\n\nMethod\n1. Cook the pasta, drain and rinse in cold water.\n2. Flake the tuna into a bowl and add the pepper. Mix in the mayonnaise and the pasta and chill.",
		"a sandwich":            "Sandwiches\nServes 4\n\n300 g cooked chicken, shredded\n4 tbsp mayonnaise\n8 slices granary bread\n\nMethod\n1. Mix the chicken with the mayonnaise and divide between four slices of bread. Top with the others.",
	} {
		for _, x := range proposed(t, text) {
			require.False(t, x.NeedsHeat(), "%s takes %s", name, x.Food)
		}
	}
	hot := "Burgers\nServes 4\n\n500 g minced pork\n50 g breadcrumbs\n1 onion, grated\n2 tbsp oil\n\nMethod\n1. Mix the pork with the breadcrumbs and onion, shape into patties and fry in the oil for 6 minutes on each side."
	require.True(t, slices.ContainsFunc(proposed(t, hot), (*larder.Booster).NeedsHeat), "what is mixed and fried then may take it")
}

// Seaweed is for what held a piece of fish, and not for a spoon of a sauce made of it, but where the cook
// wants its taste.
func TestSeaweedIsForWhatHeldFish(t *testing.T) {
	ofTheSea := func(x *larder.Booster) bool { return x.Traits[0] == "sea" }
	fried := "Stir-fry\nServes 2\n\n2 chicken breasts, in strips\n1 red pepper, in strips\n2 tbsp oil\n3 tbsp oyster sauce\n\nMethod\n1. Fry the chicken and the pepper in the oil for 6 minutes. Add the oyster sauce and toss."
	require.False(t, slices.ContainsFunc(proposed(t, fried), ofTheSea))
	b, r := open(t)
	for _, text := range []string{fried, "Soup\nServes 4\n\n400 g cod, in pieces\n1 onion\n1 litre vegetable stock\n\nMethod\n1. Simmer the onion in the stock for 10 minutes. Add the cod and simmer for 5 minutes."} {
		d := r.Read(text, measure.Metric)
		for _, x := range b.Larder().Boosters() {
			if ofTheSea(x) {
				require.Equal(t, text != fried, b.benchOf(t, d, Decisions{}).heldPiece(x), "%s in %s", x.Food, d.Name)
				require.True(t, b.benchOf(t, d, Decisions{Pins: []string{"sea"}}).heldPiece(x), "a cook who wants it gets it")
			}
		}
	}
}

// A step is the least that can be told: a booster that is proposed closes two at least.
func TestABoosterClosesWhatCanBeTasted(t *testing.T) {
	require.GreaterOrEqual(t, leastClosed, 2.0)
	for name, text := range map[string]string{
		"cashews in a trifle":   "Trifle\nServes 8\n\n200 g sponge fingers\n100 ml sherry\n300 g raspberries\n500 ml ready-made custard\n300 ml double cream\n2 tbsp icing sugar\n25 g flaked almonds, toasted\n\nMethod\n1. Line a glass bowl with the sponge fingers. Pour over the sherry and scatter over the raspberries. Spoon over the custard.\n2. Whip the cream with the icing sugar to soft peaks and pile on top. Decorate with the almonds.",
		"yoghurt in a dressing": "Salad\nServes 4\n\n1 baguette\n200 g goat's cheese\n2 tbsp runny honey\n4 handfuls of salad leaves\n50 g walnuts\n1 tbsp red wine vinegar\n3 tbsp walnut oil\n\nMethod\n1. Toast slices of the baguette, lay the cheese on them, drizzle with the honey and grill.\n2. Whisk the vinegar with the oil and toss the leaves and walnuts in it.",
	} {
		require.Empty(t, proposed(t, text), name)
	}
}

// What a list names without an amount goes in as the tongue says: no booster says how much salt.
func TestWhatIsAddedToTasteIsNoBooster(t *testing.T) {
	salted := func(x *larder.Booster) bool { return x.Food == "salt" }
	soup := "Soup\nServes 4\n\n400 g salted cod, soaked\n1 kg potatoes\n1 onion\n1 litre water\n%s\nMethod\n1. Boil the potatoes and onion in the water for 20 minutes. Add the cod and simmer for 5 minutes."
	with := func(line string) string { return strings.Replace(soup, "%s", line, 1) }
	require.True(t, slices.ContainsFunc(proposed(t, with(""), "salt"), salted), "a cook who wants it salt gets it")
	for _, line := range []string{"salt", "sea salt, to taste"} {
		require.False(t, slices.ContainsFunc(proposed(t, with(line+"\n"), "salt"), salted), line)
	}
	inSteps := strings.Replace(with(""), "Add the cod", "Season with salt. Add the cod", 1)
	require.False(t, slices.ContainsFunc(proposed(t, inSteps, "salt"), salted), "a cook who salts in a step")
}

// What would turn a pale dish brown has no place in it, but where it is brown already.
func TestNothingBrownGoesIntoWhatIsPale(t *testing.T) {
	b, r := open(t)
	for text, pale := range map[string]bool{
		"Chowder\nServes 4\n\n600 g potatoes, diced\n400 g cod\n600 ml whole milk\n1 leek\n\nMethod\n1. Simmer the potatoes and leek in the milk for 15 minutes. Add the cod and simmer for 5 minutes.":        true,
		"Stew\nServes 4\n\n800 g stewing beef\n2 onions, sliced\n500 ml beef stock\n300 ml stout\n2 tbsp oil\n\nMethod\n1. Brown the beef in the oil. Add the onions, stock and stout and simmer for 2 hours.": false,
	} {
		x := b.benchOf(t, r.Read(text, measure.Metric), Decisions{})
		x.ready()
		dark := 0
		for i, booster := range b.Larder().Boosters() {
			f := b.Larder().Food(booster.Food)
			if !f.Tagged(darkens) {
				continue
			}
			dark++
			require.Equal(t, pale, x.darkensPale(f, 0), "%s in %s", f.ID, text)
			if pale {
				require.Empty(t, x.doses[i], f.ID)
			}
		}
		require.Greater(t, dark, 4)
		require.False(t, x.darkensPale(b.Larder().Food("nutritional-yeast"), 0))
	}
}

// The salt of a dough is its own, whatever salt the filling brings; another's gives way to it.
func TestTheSaltOfADoughStays(t *testing.T) {
	b, r := open(t)
	for text, stays := range map[string]bool{
		"Pie\nServes 6\n\nDough\n400 g rye flour\n1 tsp salt\n250 ml water\n\nFilling\n500 g cod\n\nMethod\n1. Knead the dough. Fill with the cod and bake.":            true,
		"Bake\nServes 6\n\nMash\n800 g potatoes\n1 tsp salt\n250 ml water\n\nFilling\n500 g cod\n\nMethod\n1. Boil the potatoes with the salt. Cover the cod and bake.": false,
	} {
		d := r.Read(text, measure.Metric)
		a, err := b.Apply(d, Decisions{Swaps: map[string]string{"components[1].lines[0]": "tofu-nori-fillet"}}, false)
		require.NoError(t, err)
		require.Equal(t, stays, a.Components[0].Lines[1].Change == Kept, text)
	}
}
