package character_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/character"
)

// fates reads a dish and returns what becomes of each line, by the line's food.
func fates(t *testing.T, text string) map[string]character.Treatment {
	t.Helper()
	l, d := read(t, "Dish\nServes 4\n\n"+text)
	out := map[string]character.Treatment{}
	for _, p := range character.Of(l, d, nil).Parts {
		for _, it := range p.Items {
			out[it.Food.ID] = it.Treatment
		}
	}
	return out
}

func TestWhatTheStepsLeaveOfALine(t *testing.T) {
	for _, c := range []struct {
		what, text, food, fate string
		taken                  float64
	}{
		{"bones boiled for hours", "1 kg beef bones\n3 litres water\n\nMethod\n1. Simmer the bones in the water for 3 hours and strain.", "beef-bones", "bones", 0},
		{"bones boiled briefly", "1 kg chicken carcasses\n2 litres water\n\nMethod\n1. Simmer the chicken carcasses in the water for 40 minutes and strain.", "chicken-bones", "bones-brief", 0},
		{"a bay leaf", "1 bay leaf\n1 litre water\n\nMethod\n1. Simmer the water with the bay leaf for 20 minutes.", "bay-leaf", "steeped", 0},
		{"kelp lifted out", "10 g kelp\n1 litre water\n\nMethod\n1. Warm the kelp in the water for 10 minutes. Lift out the kelp.", "kelp", "steeped", 0},
		{"roots strained out", "200 g carrots\n1 litre water\n\nMethod\n1. Simmer the carrots in the water for 40 minutes.\n2. Strain the broth.", "carrot", "steeped", 0},
		{"a cinnamon stick", "1 cinnamon stick\n1 litre water\n\nMethod\n1. Simmer the water with the cinnamon stick for 20 minutes.", "cinnamon", "steeped", 0},
		{"ground cinnamon stays", "1 tsp ground cinnamon\n1 litre water\n\nMethod\n1. Simmer the water with the cinnamon for 20 minutes.", "cinnamon", "kept", 1},
		{"a marinade thrown away", "100 ml soy sauce\n400 g tofu\n\nMethod\n1. Marinate the tofu in the soy sauce for 1 hour. Discard the marinade.\n2. Fry the tofu for 5 minutes.", "soy-sauce", "marinade", 0.15},
		{"courgettes wrung out", "500 g courgettes, grated\n1 tsp salt\n\nMethod\n1. Salt the courgettes, then wring the courgettes out.", "courgette", "squeezed", 0.7},
		{"potatoes boiled and drained", "500 g potatoes\n2 litres water\n\nMethod\n1. Boil the potatoes in the water for 20 minutes, then drain.", "potato", "boiled-out", 1},
		{"their cooking water", "500 g potatoes\n2 litres water\n\nMethod\n1. Boil the potatoes in the water for 20 minutes, then drain.", "water", "cooking-water", 0},
		{"salt in the cooking water", "500 g potatoes\n2 tsp salt\n2 litres water\n\nMethod\n1. Boil the potatoes with the salt in the water for 20 minutes, then drain.", "salt", "water-salt", 0},
		{"water that becomes the soup", "500 g potatoes\n2 litres water\n\nMethod\n1. Boil the potatoes in the water for 20 minutes.", "water", "kept", 1},
		{"fat skimmed off", "500 g lamb mince\n\nMethod\n1. Brown the mince for 10 minutes. Skim off the fat.", "lamb-mince", "fat-poured-off", 1},
		{"meat cooked for long", "500 g stewing beef\n500 ml water\n\nMethod\n1. Stew the beef in the water for 2 hours.", "beef-stewing", "long-heated", 1},
		{"meat cooked briefly", "500 g beef steak\n\nMethod\n1. Sear the steak for 5 minutes.", "beef-steak", "heated", 1},
		{"raw onion", "1 red onion\n\nMethod\n1. Scatter with the red onion.", "red-onion", "kept", 1},
		{"an instruction for one of two", "30 g parsley\n1 cinnamon stick\n1 litre water\n\nMethod\n1. Simmer the water with the cinnamon stick for 20 minutes. Remove the cinnamon and stir in the parsley.", "parsley", "kept", 1},
	} {
		got, ok := fates(t, c.text)[c.food]
		require.True(t, ok, c.what)
		assert.Equal(t, c.fate, got.Fate.Name, c.what)
		assert.InDelta(t, c.taken, got.Fate.Taken, 1e-9, c.what)
		require.NotEmpty(t, got.Fate.Says, c.what)
	}
}

func TestDeepFryingTakesUpATenthOfWhatIsFried(t *testing.T) {
	l, d := read(t, "Chips\nServes 4\n\n1 kg potatoes\n1 litre sunflower oil\n\nMethod\n1. Deep-fry the potatoes in the oil for 8 minutes until golden.")
	dish := character.Of(l, d, nil)
	require.InDelta(t, 100*100.0/(1000+100), value(t, dish, character.Richness), 2, "100 g of oil on a kilogram of potatoes")
	l, d = read(t, "Potatoes\nServes 4\n\n1 kg potatoes\n30 g sunflower oil\n\nMethod\n1. Fry the potatoes in the oil for 20 minutes.")
	require.InDelta(t, 30*100.0/1030, value(t, character.Of(l, d, nil), character.Richness), 0.6, "a spoon of oil all stays")
}

func TestBrowningGivesRoastByTechniqueTimeAndSurface(t *testing.T) {
	seared := fates(t, "500 g beef steak\n\nMethod\n1. Sear the steak for 10 minutes.")["beef-steak"].Browned
	require.InDelta(t, 1.0/60, seared, 1e-9)
	long := fates(t, "500 g beef steak\n\nMethod\n1. Sear the steak for 15 minutes.")["beef-steak"].Browned
	require.InDelta(t, 1.5/60, long, 1e-9, "longer browns more")
	require.InDelta(t, 2.0/60, fates(t, "500 g beef steak\n\nMethod\n1. Sear the steak for 60 minutes.")["beef-steak"].Browned, 1e-9, "up to twice")
	boiled := fates(t, "500 g stewing beef\n\nMethod\n1. Boil the beef for 60 minutes.")["beef-stewing"].Browned
	require.Zero(t, boiled)
	adjective := fates(t, "50 g almonds\n1 litre water\n\nMethod\n1. Simmer the water for 10 minutes and scatter with the toasted almonds.")["almond"].Browned
	require.Zero(t, adjective, "what is said of a food is not done to it")
	water := fates(t, "500 ml water\n\nMethod\n1. Sear for 10 minutes in the water.")["water"].Browned
	require.Zero(t, water, "a liquid has no surface to brown")
	one := fates(t, "500 g potatoes\n2 onions\n\nMethod\n1. Boil the potatoes for 20 minutes, drain and mash. Fry the onions for 10 minutes.")
	require.Zero(t, one["potato"].Browned, "each sentence works on its own lines")
	require.NotZero(t, one["onion"].Browned)
	jammy := fates(t, "1 kg onions\n\nMethod\n1. Cook the onions for 40 minutes until deep golden.")["onion"].Browned
	require.InDelta(t, 2.0/25, jammy, 1e-9, "onions cooked until deep golden are caramelised by whatever name")
}

func TestAWetFinishTakesCrispnessAway(t *testing.T) {
	crisp := func(text string) float64 {
		l, d := read(t, "Dish\nServes 4\n\n"+text)
		for _, v := range character.Of(l, d, nil).Values() {
			if v.Trait.Name == character.Crisp {
				return v.Amount
			}
		}
		return -1
	}
	fried := crisp("400 g firm tofu\n\nMethod\n1. Deep-fry the tofu for 5 minutes until crisp.")
	require.Greater(t, fried, 4.0)
	require.Less(t, crisp("400 g firm tofu\n500 ml water\n\nMethod\n1. Deep-fry the tofu for 5 minutes until crisp.\n2. Simmer the tofu in the water for 20 minutes."), fried/2)
}

func TestBoilingInPouredWaterCostsTheDishNothing(t *testing.T) {
	l, d := read(t, "Noodles\nServes 4\n\n400 g wheat noodles\n\nMethod\n1. Boil the noodles for 10 minutes.")
	l2, e := read(t, "Noodles\nServes 4\n\n400 g wheat noodles\n\nMethod\n1. Rinse the noodles.")
	require.GreaterOrEqual(t, character.Of(l, d, nil).Mass(), character.Of(l2, e, nil).Mass(), "nobody lists the water that noodles boil in")
}

func TestATwentyFiveLineDishHasEveryFamilyOfTraits(t *testing.T) {
	l, d := read(t, `Fish pie
Serves 6

600 g smoked haddock
200 g prawns
4 eggs, hard-boiled
1 litre whole milk
60 g butter
60 g plain flour
100 g cheddar, grated
1 kg potatoes
2 tbsp lemon juice
1 tbsp sugar
1 tsp cayenne
2 tbsp soy sauce
30 g parsley
1 tsp salt

Method
1. Poach the haddock in the milk for 10 minutes and flake it.
2. Melt the butter, stir in the flour and cook for 2 minutes. Whisk in the milk and simmer for 5 minutes.
3. Stir in the prawns, eggs, lemon juice, sugar, cayenne, soy sauce, parsley and salt.
4. Boil the potatoes for 20 minutes, drain and mash them. Spread over, top with the cheddar and bake at 200 C for 25 minutes until brown and crisp.`)
	dish := character.Of(l, d, nil)
	found := map[string]float64{}
	for _, v := range dish.Values() {
		found[v.Trait.Name] = max(found[v.Trait.Name], v.Amount)
	}
	for _, trait := range []string{character.Savoury, character.Salt, character.Sweet, character.Sour, character.Heat, character.Richness, character.Smoke, character.Sea, character.Roast, character.Dairy, character.Egg, character.Ferment, character.Chew, character.Flake, character.Juicy, character.Melt, character.Body, character.Yellow, character.Red, character.Green, character.Pale} {
		require.Greater(t, found[trait], 0.0, trait)
	}
	sources := dish.Sources()
	for _, v := range dish.Values() {
		if v.Amount < v.Trait.Noticed {
			continue
		}
		sum := 0.0
		for _, c := range sources.From(v) {
			sum += c.Share
		}
		require.InDelta(t, 1, sum, 0.06, "%s of %s is shared out whole", v.Trait.Name, v.Component)
	}
}

func TestEveryTraitHasAPlaceAndAUnit(t *testing.T) {
	seen := map[string]bool{}
	for _, trait := range character.Traits {
		require.False(t, seen[trait.Name])
		seen[trait.Name] = true
		require.NotEmpty(t, trait.Unit)
		require.Greater(t, trait.Noticed, 0.0)
		require.Equal(t, trait.Family == character.Tasted, trait.Strong > 0, trait.Name)
		require.InDelta(t, 0, trait.Strength(0), 1e-9)
		require.InDelta(t, 1, trait.Strength(1e6), 1e-9)
		if trait.Family == character.Tasted {
			require.Greater(t, trait.Threshold.Weber, 0.0)
		}
	}
	require.Len(t, character.Traits, 24)
}

// Salt that is soaked out of a cured fish is not in the dish, by the words of the line or
// of the method; what goes in as it is keeps it.
func TestSoakingTakesSaltOut(t *testing.T) {
	salt := func(text string) float64 {
		l, d := read(t, text)
		p := character.Of(l, d, nil).Profile()
		return p.Value(character.Salt)
	}
	dry := salt("Stew\n\n400 g salt cod\n1 kg potatoes\n1 litre water\n\nMethod\n1. Simmer the cod and potatoes in the water for 20 minutes.")
	for _, text := range []string{
		"Stew\n\n400 g salt cod, soaked overnight\n1 kg potatoes\n1 litre water\n\nMethod\n1. Simmer the cod and potatoes in the water for 20 minutes.",
		"Stew\n\n400 g salt cod\n1 kg potatoes\n1 litre water\n\nMethod\n1. Soak the cod for a day in cold water. Simmer the cod and potatoes in the water for 20 minutes.",
	} {
		require.Less(t, salt(text), 0.3*dry, text)
	}
	require.Greater(t, salt("Stew\n\n400 g carrots, soaked\n10 g salt\n1 litre water\n\nMethod\n1. Simmer the carrots in the water with the salt."), 0.3, "nobody washes salt out of salt")
}

// What soaks, or only stands in plain water and is left there, loses salt; what is boiled in it or stands in milk does not.
func TestWhatStandsInWaterIsWashed(t *testing.T) {
	for method, washed := range map[string]bool{
		"Soak the salt cod in cold water overnight.":                                                    true,
		"Put the salt cod in a bowl of cold water and leave in the fridge for 24 hours. Drain the cod.": true,
		"Cover the salt cod with water and leave to stand overnight.":                                   true,
		"Put the salt cod in a pan of cold water and bring to the boil.":                                false,
		"Put the salt cod in the milk and leave in the fridge for 24 hours.":                            false,
		"Poach the salt cod in the milk for 10 minutes.":                                                false,
	} {
		got, ok := fates(t, "500 g salt cod\n500 ml milk\n\nMethod\n1. "+method)["salt-cod"]
		require.True(t, ok, method)
		require.Equal(t, washed, got.Washed, method)
	}
}

// An egg that runs into a soup off the heat is only warmed; on the fire, or where nothing says that it is off, it is cooked.
func TestWhatIsOnlyWarmed(t *testing.T) {
	for method, warmed := range map[string]bool{
		"Boil the stock. Turn off the heat. Pour in the eggs in a thin stream, then drizzle with the oil.": true,
		"Boil the stock. Pour in the eggs in a thin stream, then drizzle with the oil.":                    false,
		"Boil the stock. Turn off the heat. Pour in the eggs. Simmer for 5 minutes.":                       false,
		"Beat the eggs with the oil and chill.":                                                            true,
		"Fry the eggs in the oil.":                                                                         false,
	} {
		got, ok := fates(t, "3 eggs\n1 litre vegetable stock\n1 tbsp oil\n\nMethod\n1. "+method)["egg"]
		require.True(t, ok, method)
		require.Equal(t, warmed, got.OnlyWarmed, method)
	}
}
