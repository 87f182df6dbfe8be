package recipe_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
)

// Marks behind the figure of a step count it, and no amount of a list.
func TestStepsAreCountedByAnyMark(t *testing.T) {
	for _, mark := range []string{" - ", " – ", "/ ", ".", ") ", " > "} {
		d := reader(t).Read("Beans\n\n500 g beans\n2 onions\n\n1"+mark+"Boil the beans until soft.\n2"+mark+"Fry the onions.\n3"+mark+"Bake 30 minutes.", measure.Metric)
		require.Len(t, d.Components[0].Lines, 2, "%q", mark)
		require.Len(t, d.Components[0].Steps, 3, "%q", mark)
		require.Equal(t, "Bake 30 minutes.", d.Components[0].Steps[2].Text, "%q", mark)
	}
}

// A bare figure counts a step that goes on from others; a bracket is not cut in two, says of which sort a food of two names
// is, and the juice of what is listed is a line.
func TestWhatFiguresAndBracketsSay(t *testing.T) {
	d := reader(t).Read("Udon\n\n350 g rice cakes (tteok)\n150 g kimchi, roughly chopped, plus 2 tbsp of its juice\n1 crab (50 g brown meat and 100 g white meat)\n\n1 Fry the kimchi until it browns.\n2 Boil the rice cakes for 3 minutes.\n3 Meanwhile, the crab is picked over well.", measure.Metric)
	var lines []string
	for _, l := range d.Components[0].Lines {
		lines = append(lines, l.FoodID()+" "+l.Name)
	}
	require.Equal(t, []string{"tteok rice cakes", "kimchi kimchi", "kimchi kimchi juice", "crab crab"}, lines)
	require.Len(t, d.Components[0].Steps, 3)
	require.Equal(t, "Meanwhile, the crab is picked over well.", d.Components[0].Steps[2].Text)
	require.InDelta(t, 150, d.Components[0].Lines[3].Mass(), 1)
	glossed := reader(t).Line("200 g potato noodles (dangmyeon)", measure.Metric)
	require.Equal(t, "glass-noodles", glossed.FoodID())
	for _, text := range []string{"300 g beef noodles (rice noodles)", "200 g prawn rice (basmati rice)", "4 chicken potatoes (potatoes)"} {
		require.Equal(t, larder.FromAnimal, reader(t).Line(text, measure.Metric).Origin, text)
	}
}

func TestATitleMayGiveItsYieldBehindADash(t *testing.T) {
	d := reader(t).Read("Spanakopita — one 30 cm tin, 8 pieces\n\n1 kg spinach\n3 eggs\n\nMethod\n1. Wash the spinach.", measure.Metric)
	require.Equal(t, "Spanakopita", d.Name)
	require.Len(t, d.Components, 1)
	require.Len(t, d.Components[0].Lines, 2)
}

func TestARowToServeIsAPartOfItsOwn(t *testing.T) {
	d := reader(t).Read("Beans\n\n500 g beans\n2 onions\nTo serve: white rice, 500 g spring greens, farofa, 2 oranges in slices\n\nMethod\n1. Boil the beans with the onions.\n2. Serve with rice, greens and oranges.", measure.Metric)
	require.Len(t, d.Components, 2)
	require.Equal(t, "To serve", d.Components[1].Name)
	require.Len(t, d.Components[1].Lines, 4)
}

// What lines are for is a name of a part by its verbs alone; what can be eaten and counted is a line.
func TestPartsAreNamedByWhatTheyAreFor(t *testing.T) {
	d := reader(t).Read("Burgers\n\n400 g beef mince\n4 buns\nto cook and serve\n1 onion\nTo finish the dish\n2 leeks\nsalt\nto taste\n\nMethod\n1. Fry the onion.", measure.Metric)
	var parts []string
	for _, c := range d.Components {
		for _, l := range c.Lines {
			parts = append(parts, c.Name+": "+l.Text)
		}
	}
	require.Equal(t, []string{": 400 g beef mince", ": 4 buns", "To cook and serve: 1 onion", "To finish the dish: 2 leeks", "To finish the dish: salt", "To finish the dish: to taste"}, parts)
	require.Equal(t, "bread-roll", d.Components[0].Lines[1].FoodID())
}

// A food from an animal is never only a word behind that of a plant.
func TestAnAnimalBehindACommaIsALineOfItsOwn(t *testing.T) {
	d := reader(t).Read("Rice\n\n300 g rice\ncucumber and tomato slices, prawn crackers\nlettuce, salted peanuts and prawn crackers, to serve\nparsley, mint\n\nMethod\n1. Boil the rice and serve.", measure.Metric)
	var lines []string
	for _, l := range d.Components[0].Lines {
		lines = append(lines, l.Text+": "+string(l.Origin))
	}
	require.Equal(t, []string{"300 g rice: plant", "cucumber and tomato slices: plant", "prawn crackers: animal", "lettuce: plant", "salted peanuts: plant", "prawn crackers, to serve: animal", "parsley, mint: plant"}, lines)
}

// So is one behind the amount of another food, whatever it is for; more of the same is no line.
func TestWhatIsMoreOfAnother(t *testing.T) {
	for text, want := range map[string][]string{
		"400 g spaghetti, more Parmesan":                       {"400 g spaghetti: plant", "more Parmesan: animal"},
		"200 g pasta, extra Parmesan to serve":                 {"200 g pasta: plant", "extra Parmesan to serve: animal"},
		"1 lettuce, some bacon":                                {"1 lettuce: plant", "some bacon: animal"},
		"1 aubergine, salted, a little soured cream, to serve": {"1 aubergine, salted: plant", "a little soured cream, to serve: animal"},
		"parsley, anchovies, lemon wedges (to serve)":          {"parsley: plant", "anchovies: animal", "lemon wedges (to serve): plant"},
		"2 tbsp butter for the pot, 50 g butter for the top":   {"2 tbsp butter for the pot: animal", "50 g butter for the top: animal"},
		"1 tin beans, 2 tbsp tomato paste, 1 onion":            {"1 tin beans: plant", "2 tbsp tomato paste: plant", "1 onion: plant"},
		"200 g flour, 2 tbsp for dusting":                      {"200 g flour, 2 tbsp for dusting: plant"},
		"12 slices buttered bread":                             {"12 slices bread: mixed", "butter, to spread: animal"},
		"100 g rye bread, buttered":                            {"100 g rye bread: plant", "butter, to spread: animal"},
		"4 rolls, buttered and toasted":                        {"4 rolls, toasted: mixed", "butter, to spread: animal"},
		"4 rolls, split and buttered, to serve":                {"4 rolls, split, to serve: mixed", "butter, to spread: animal"},
		"1 slice stale bread soaked in milk":                   {"1 slice stale bread soaked: mixed", "milk, to soak the stale bread: animal"},
		"aonori, to sprinkle":                                  {"aonori, to sprinkle: plant"},
		"2 tbsp aonori, to sprinkle":                           {"2 tbsp aonori, to sprinkle: plant"},
		"mint, to sprinkle over":                               {"mint, to sprinkle over: plant"},
		"2 onions, fried in butter":                            {"2 onions, fried in butter: animal"},
		"1 swede, or beef":                                     {"1 swede, or beef: plant"},
		"400 g spaghetti, more Parmesan, to serve":             {"400 g spaghetti: plant", "more Parmesan, to serve: animal"},
		"400 g beans, drained, no ham":                         {"400 g beans, drained, no ham: plant"},
		"400 ml oat drink, plus a splash for the mash":         {"400 ml oat drink, plus a splash for the mash: plant"},
		"3 eggs plus 2 yolks for the top":                      {"3 eggs: animal", "2 yolks for the top: animal"},
	} {
		d := reader(t).Read("Supper\n\n300 g rice\n"+text+"\n2 carrots\n\nMethod\n1. Boil the rice and serve.", measure.Metric)
		var lines []string
		for _, l := range d.Components[0].Lines[1 : len(d.Components[0].Lines)-1] {
			lines = append(lines, l.Text+": "+string(l.Origin))
		}
		require.Equal(t, want, lines)
	}
}

func TestARowKeepsTheJuiceOfHalfAFruit(t *testing.T) {
	d := reader(t).Read("Salad\n\n1 romaine lettuce\nDressing: 1 garlic clove, 1 tsp Dijon mustard, juice of half a lemon, 100 ml sunflower oil\n\nMethod\n1. Whisk the dressing.", measure.Metric)
	require.Len(t, d.Components[1].Lines, 4)
}

// A list that has each food before its amount, behind a colon, is a list and no parts.
func TestFoodsMayStandBeforeTheirAmounts(t *testing.T) {
	d := reader(t).Read("Curry\n(4 generous helpings)\n\nLamb shoulder, boned: 800g, in chunks\nGhee: 4 tbsp\nOnions: 2, sliced\nGarlic: 5 cloves\nGreen cardamoms: 6; black cardamoms: 2; cloves: 5\nSalt\n\nMethod\n1. Brown the lamb in the ghee.", measure.Metric)
	require.Len(t, d.Components, 1)
	var foods []string
	for _, l := range d.Components[0].Lines {
		foods = append(foods, l.FoodID())
	}
	require.Equal(t, []string{"lamb-shoulder", "ghee", "onion", "garlic", "cardamom", "black-cardamom", "clove-spice", "salt"}, foods)
	require.InDelta(t, 800, d.Components[0].Lines[0].Mass(), 1)
}

// For how many a dish is may be said with a word for them, or in measures of its own.
func TestForHowManyInTheirOwnWords(t *testing.T) {
	for text, want := range map[string]float64{"for four hungry students:": 4, "Four bowls": 4, "Makes 3 big bowls": 3, "Cuts into 10 slices": 10} {
		d := reader(t).Read("Stew\n"+text+"\n\n500 g beans\n2 onions\n1 litre stock\n\nMethod\n1. Boil the beans.", measure.Metric)
		require.Len(t, d.Components, 1, text)
		require.Empty(t, d.Components[0].Name, text)
		require.NotNil(t, d.Serves, text)
		require.InDelta(t, want, d.Serves.Low, 0.01, text)
	}
}

func TestANumberedStepIsNoListWithoutAmounts(t *testing.T) {
	d := reader(t).Read("Schnitzel\n\n80 g flour\n2 eggs\n150 g breadcrumbs\n50 g oil\n\n1. Set up three plates: flour; beaten eggs; breadcrumbs. Coat the schnitzels.\n2. Fry in the oil.", measure.Metric)
	require.Len(t, d.Components, 1)
	require.Len(t, d.Components[0].Lines, 4)
	require.Len(t, d.Components[0].Steps, 2)
}

// A list may be asked for in a sentence that also says for how many, with commas and semicolons between its items.
func TestAListAskedForInASentence(t *testing.T) {
	d := reader(t).Read("Meatballs\n\nYou will need, for five: half a kilo of minced beef, a slice of stale bread soaked in milk, one egg, one onion (grated), parsley, salt; a kilo of potatoes; four ripe tomatoes.\n\nKnead the mince with the bread, egg, onion, parsley and salt. Fry the potatoes and tomatoes.", measure.Metric)
	require.Len(t, d.Components, 1)
	var foods []string
	for _, l := range d.Components[0].Lines {
		foods = append(foods, l.FoodID())
	}
	require.Equal(t, []string{"beef-mince", "bread", "whole-milk", "egg", "onion", "parsley", "salt", "potato", "tomato"}, foods)
	require.Len(t, d.Components[0].Steps, 1)
	require.InDelta(t, 5, d.Serves.Low, 0.01)
}

// A bought sauce among the lines of a list is a line, and the name of a part where it is set off.
func TestABoughtSauceIsALine(t *testing.T) {
	for text, parts := range map[string]int{
		"500 g potatoes\n1 onion\nWorcestershire sauce\n4 eggs\npepper":             1,
		"500 g potatoes\n1 onion\nTomato sauce\n400 g tomatoes\n1 clove garlic":     2,
		"500 g potatoes\n1 onion\n\nHot sauce\n100 g chillies\n1 clove garlic":      2,
		"500 g potatoes\n1 onion\nSoy sauce\n4 spring onions, sliced\n1 red chilli": 1,
	} {
		d := reader(t).Read("Supper\n\n"+text+"\n\nMethod\n1. Boil the potatoes.", measure.Metric)
		require.Len(t, d.Components, parts, text)
	}
}

// A part may stand before its list with a full stop behind it, and spoons are measures.
func TestAPartWithAFullStop(t *testing.T) {
	d := reader(t).Read("Pie\n\nDough. 400 g rye flour, 1 tsp salt, 2 spoons melted butter.\nFilling. 500 g mushrooms, sliced, 200 g tofu, salt.\n\nWork the dough until firm. Roll it out and fill it.", measure.Metric)
	require.Len(t, d.Components, 2)
	require.Equal(t, "Dough", d.Components[0].Name)
	require.Len(t, d.Components[0].Lines, 3)
	require.InDelta(t, 28.5, d.Components[0].Lines[2].Mass(), 2)
	require.Len(t, d.Components[1].Lines, 3)
	require.Equal(t, 1, len(d.Components[0].Steps)+len(d.Components[1].Steps))
}

// Steps may be counted with dashes, and open with no order.
func TestStepsCountedWithDashes(t *testing.T) {
	d := reader(t).Read("Soup\n\n800 g potatoes\n1 onion\n200 g kale\nsalt\n\n1 – Soften the onion.\n2 – Potatoes and stock in. Boil 20 min.\n3 – Meanwhile wash the kale in cold water\n4 – Season and serve.", measure.Metric)
	require.Len(t, d.Components, 1)
	require.Len(t, d.Components[0].Lines, 4)
	require.Len(t, d.Components[0].Steps, 4)
	d = reader(t).Read("Sauce\n\nYou need 1 onion, 3 tablespoons of capers, the juice of half a lemon and 100 ml of cream.\n\nMix the capers with the onion.", measure.Metric)
	require.Len(t, d.Components[0].Lines, 4, "an article before the part")
}

// A list in sentences may have its amounts first; a row may say for how many it is, and each sentence be a part.
func TestRowsAndSentencesAreLists(t *testing.T) {
	for text, want := range map[string][]string{
		"Blanquette\n\nServes 6. 1.2 kg shoulder of veal, cubed. 2 carrots. 1 leek. 250 g button mushrooms. Salt, white pepper.\n\nBoil the veal with the carrots and leek for an hour. Add the mushrooms.":                                     {": 1.2 kg shoulder of veal, cubed", ": 2 carrots", ": 1 leek", ": 250 g button mushrooms", ": Salt, white pepper"},
		"Tartiflette\n\n4 personnes – 1 kg potatoes; 2 onions; 1 whole reblochon (450 g)\n\nBoil the potatoes in their skins for 20 min. Peel them while warm and cut into slices.":                                                             {": 1 kg potatoes", ": 2 onions", ": 1 whole reblochon (450 g)"},
		"Patatas\n\nPara 4: 1 kg potatoes, 2 chorizos, 1 onion, 4 tbsp olive oil\n\nChop the onion and cook it in the oil. Cut the chorizo into coins.":                                                                                         {": 1 kg potatoes", ": 2 chorizos", ": 1 onion", ": 4 tbsp olive oil"},
		"Dutch baby\n\nYou want: 3 eggs, 120 ml milk, a pinch of salt, a little nutmeg, 40 g butter. For on top – 2 apples, 1 tbsp butter, icing sugar.\n\nWhizz the eggs, milk, salt and nutmeg. Cook the apples in the tablespoon of butter.": {": 3 eggs", ": 120 ml milk", ": a pinch of salt", ": a little nutmeg", ": 40 g butter", "On top: 2 apples", "On top: 1 tbsp butter", "On top: icing sugar"},
	} {
		var got []string
		d := reader(t).Read(text, measure.Metric)
		for _, c := range d.Components {
			for _, l := range c.Lines {
				got = append(got, c.Name+": "+l.Text)
			}
		}
		require.Equal(t, want, got, text)
	}
}

// The name of a sauce that is also sold heads a list of its own where a blank line sets it off, whatever measure follows.
func TestASauceHeadsAList(t *testing.T) {
	d := reader(t).Read("Roast\nServes 4\n\n1 kg carrots\n3 tbsp oil\n\nMint sauce\nlarge bunch mint, chopped\n1 tbsp sugar\n\nMethod\n1. Roast the carrots in the oil.\n2. Mix the mint and sugar.", measure.Metric)
	require.Len(t, d.Components, 2)
	require.Equal(t, "Mint sauce", d.Components[1].Name)
	require.Len(t, d.Components[1].Lines, 2)
}

func TestPortionsOfAFoodAreALineAndNoYield(t *testing.T) {
	d := reader(t).Read("Udon\n\nfor 2\n\n2 portions frozen udon\n600 ml vegetable stock\n2 tbsp soy sauce\n\nMethod\n1. Boil the udon and serve in the stock with the soy sauce.", measure.Metric)
	require.Len(t, d.Components[0].Lines, 3)
	require.Equal(t, "udon", d.Components[0].Lines[0].FoodID())
	require.InDelta(t, 2, d.Serves.Mid(), 0)
	four := reader(t).Read("Soup\n\n4 servings\n\n600 ml vegetable stock\n2 carrots\n\nMethod\n1. Simmer the carrots in the stock.", measure.Metric)
	require.InDelta(t, 4, four.Serves.Mid(), 0)
	require.Len(t, four.Components[0].Lines, 2)
}

// How many it makes of what the title calls the dish is no line where it stands by itself, and is one in a list; a list in a row
// may have a long name.
func TestACountOfTheDishAndALongNameOfAPart(t *testing.T) {
	for text, serves := range map[string]float64{
		"Sunday waffles\n\nabout 8 waffles\n\n250 g plain flour\n400 ml buttermilk": 8,
		"Crêpes au jambon\n\n10 crêpes\n\n250 g plain flour\n400 ml buttermilk":     10,
		"Stuffed peppers\n\n4 peppers\n250 g rice\n400 ml stock":                    0,
		"Stuffed peppers\n\nServes 6\n\n4 peppers\n\n250 g rice\n400 ml stock":      6,
	} {
		d := reader(t).Read(text+"\n\nMethod\n1. Mix everything and bake.", measure.Metric)
		if serves == 0 {
			require.Nil(t, d.Serves, text)
			require.Len(t, d.Components[0].Lines, 3, text)
			continue
		}
		require.NotNil(t, d.Serves, text)
		require.InDelta(t, serves, d.Serves.Mid(), 0, text)
	}
	d := reader(t).Read("Quiche\n\nshortcrust for a 25 cm tin: 225 g flour, 110 g butter, 1 egg yolk, 2 tbsp cold water\n3 leeks\n3 eggs\n300 ml cream\n\nRub the butter into the flour, bind with the yolk and water. Roll out.\nFill with the leeks, eggs and cream and bake.", measure.Metric)
	require.Equal(t, "Shortcrust for a 25 cm tin", d.Components[0].Name)
	require.Len(t, d.Components[0].Lines, 4)
}

// A second measure of animal matter is a line of its own; a sentence above a list is none, and says for how many it is.
func TestSecondMeasuresAndSentencesAboveAList(t *testing.T) {
	lines := func(text string) (out []string, serves float64) {
		d := reader(t).Read(text, measure.Metric)
		for _, l := range d.Components[0].Lines {
			out = append(out, l.Text)
		}
		if d.Serves != nil {
			serves = d.Serves.Mid()
		}
		return out, serves
	}
	got, serves := lines("Rice\n\nA soupy Portuguese seafood rice for four.\n\n2 tsp fish sauce, plus 1 tbsp for the soup\n400 ml milk, plus a splash\n50 g butter plus 20 g for the tin\n225 g flour, plus 1 tbsp\n320 g rice\n\nMethod\n1. Boil the rice.")
	require.Equal(t, []string{"2 tsp fish sauce", "1 tbsp fish sauce for the soup", "400 ml milk, plus a splash", "50 g butter", "20 g butter for the tin", "225 g flour, plus 1 tbsp", "320 g rice"}, got)
	require.InDelta(t, 4, serves, 0)
	got, _ = lines("Tart\n\n1 egg, plus 1 to glaze\n2 eggs, plus 1 yolk\n600 g kingfish, in 3 cm steaks\n500 g cod, in 4 fillets\n\nMethod\n1. Fry the fish.")
	require.Equal(t, []string{"1 egg", "1 egg to glaze", "2 eggs", "1 yolk", "600 g kingfish, in 3 cm steaks", "500 g cod, in 4 fillets"}, got)
	_, serves = lines("Soup\n\nMy neighbour's soup, enough for six hungry people.\n\n400 g beans\n2 carrots\n\nMethod\n1. Boil the beans for 60 minutes.")
	require.InDelta(t, 6, serves, 0)
	got, _ = lines("Salad\n\n100 g rice\nhandful each mint and coriander leaves\n200 g peas\n300 g leeks\n\nMethod\n1. Boil the rice.")
	require.Equal(t, []string{"100 g rice", "handful each mint and coriander leaves", "200 g peas", "300 g leeks"}, got)
	mint := reader(t).Line("handful each mint and coriander leaves", measure.Metric)
	require.Equal(t, "mint", mint.FoodID())
	require.Len(t, mint.Also, 1)
	got, _ = lines("Salad\n\n100 g rice\nsome weird stuff here that nobody knows at all\n200 g peas\n300 g leeks\n\nMethod\n1. Boil the rice.")
	require.Contains(t, got, "100 g rice")
	got, serves = lines("Soup\n\nGood for two days, and it cooks for 40 minutes.\n\n400 g beans\n2 carrots\n\nMethod\n1. Boil the beans for 60 minutes.")
	require.Equal(t, []string{"400 g beans", "2 carrots"}, got)
	require.Zero(t, serves)
}

// What was done to a thing and with what stands behind its name, and times something are no amount of it.
func TestWhatWasDoneToAThingIsNoneOfItsName(t *testing.T) {
	for text, want := range map[string]string{
		"500 g chicken marinated in yoghurt": "chicken",
		"4 slices bread rubbed with garlic":  "bread",
		"2 onions fried in oil":              "onions",
		"400 g beans soaked overnight":       "beans",
	} {
		line := reader(t).Line(text, measure.Metric)
		require.NotNil(t, line.Food, text)
		require.Equal(t, want, line.Name, text)
	}
	stock := reader(t).Line("chicken stock, lukewarm, 1.5 times the volume of the eggs (about 240 ml)", measure.Metric)
	require.NotNil(t, stock.Amount)
	require.InDelta(t, 240, stock.Amount.Low, 0.01)
}

// Brackets hold a list together, what is served with a dish is taken apart where some of it comes from an animal, and a row of
// amounts behind words that could begin a method is a part of the list.
func TestRowsOfAListAreTakenApart(t *testing.T) {
	lines := func(text string) (out []string) {
		d := reader(t).Read("Dish\n\n1 onion\n"+text+"\n\nMethod\n1. Fry the onion.", measure.Metric)
		for _, c := range d.Components {
			for _, l := range c.Lines {
				out = append(out, l.Text)
			}
		}
		return out[1:]
	}
	require.Equal(t, []string{"2 tbsp curry powder (cumin, coriander, fennel, chilli, cloves)", "1 tsp salt"}, lines("2 tbsp curry powder (cumin, coriander, fennel, chilli, cloves)\n1 tsp salt"))
	require.Equal(t, []string{"cranberry sauce", "whipped cream", "lemon slices to serve"}, lines("cranberry sauce, whipped cream and lemon slices to serve"))
	require.Equal(t, []string{"boiled potatoes", "black olives", "boiled eggs to serve"}, lines("boiled potatoes, black olives and boiled eggs to serve"))
	require.Equal(t, []string{"rice, lime wedges and coriander to serve"}, lines("rice, lime wedges and coriander to serve"), "none of it comes from an animal")

	tin := reader(t).Line("1 x 400 g tin chickpeas, drained", measure.Metric)
	require.InDelta(t, 240, tin.Mass(), 1)
	require.Contains(t, tin.Basis.Text, "60")

	d := reader(t).Read("Dumplings\n\nFor the dough: 300 g plain flour, 170 ml water\nTo cook: 3 tbsp vegetable oil\nTo dip: 3 tbsp soy sauce, 1 tsp chilli oil\n\nStir the water into the flour.", measure.Metric)
	require.Len(t, d.Components, 3)
	require.Equal(t, "To cook", d.Components[1].Name)
	require.Len(t, d.Components[2].Lines, 2)
	d = reader(t).Read("Rice\n\n300 g rice\n\nTo cook: boil the rice for 12 minutes.", measure.Metric)
	require.Len(t, d.Components[0].Steps, 1)
}
