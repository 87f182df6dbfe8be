package recipe_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
)

// shape writes a layout down as "Name: lines/steps" part by part.
func shape(src recipe.Source) []string {
	parts := []string{}
	for _, s := range src.Sections {
		parts = append(parts, s.Name+":"+strings.Repeat("l", len(s.Lines))+strings.Repeat("s", len(s.Steps)))
	}
	return parts
}

func TestLayoutsInManyManners(t *testing.T) {
	r := reader(t)
	for name, c := range map[string]struct {
		text  string
		title string
		want  []string
	}{
		"headings in capitals that are foods too": {
			"Pie\n\nPASTRY\n200 g flour\n100 g lard\n\nFILLING\n2 leeks\n1 onion\n\nMETHOD\n1. Rub the lard into the flour until it looks like crumbs.",
			"Pie", []string{"Pastry:lls", "Filling:ll"},
		},
		"a part of a single line in one row with its name": {
			"Bowl\n\nRice: 200 g jasmine rice\nSauce: 400 ml coconut milk, 1 tbsp curry paste\nTo serve: 1 lime\n\nBoil the rice for 12 minutes and warm the sauce.",
			"Bowl", []string{"Rice:ls", "Sauce:ll", "To serve:l"},
		},
		"a line without an amount among others, and a short step": {
			"Rolls\n\nServes 8\n\n500 g minced pork\nSour cream and hot peppers for the table\n60 g butter\n\nMix the pork.",
			"Rolls", []string{":llls"},
		},
		"a step of a few words that only says how long": {
			"Rice\n\n200 g rice\n400 ml water\n\nSimmer for 20 minutes.",
			"Rice", []string{":lls"},
		},
		"what it is cut into is no line": {
			"Tart\n\n8 slices\n\n400 g flour\n200 ml water\n\nMix the flour with the water and bake for 20 minutes.",
			"Tart", []string{":lls"},
		},
		"times and yields in one row are no parts": {
			"Bowl\n\nPrep: 20 minutes\nMakes: 12\n\n200 g rice\n1 lime\n\nBoil the rice for 12 minutes and add the lime.",
			"Bowl", []string{":lls"},
		},
		"orders behind a label that a semicolon parts": {
			"Bake\n\n80 g butter\n80 g flour\n1 l milk\n\nMake the sauce: melt the butter, stir in the flour and cook; whisk in the milk; simmer for 5 minutes.",
			"Bake", []string{":llls"},
		},
		"lines of things that nobody knows": {
			"Supper\n\n300 g rice\n4 wobblers\n2 tbsp oil\n\nMethod\n1. Boil the rice and fry the wobblers in the oil.",
			"Supper", []string{":llls"},
		},
		"headings in capitals right under the list before": {
			"Bake\n\nSAUCE\n500 g lentils\n1 onion\nPASTA\n400 g macaroni\n80 g breadcrumbs\n\nSoften the onion, add the lentils and simmer for 20 minutes.",
			"Bake", []string{"Sauce:lls", "Pasta:ll"},
		},
		"a part whose name stands right above its lines ends with the blank line": {
			"Stew\n\nMarinade\n1 bottle red wine\n1 carrot, sliced\n\n800 g mushrooms\n40 g oil\n2 tbsp flour\n\nLay the mushrooms in the marinade overnight, then fry them in the oil.",
			"Stew", []string{"Marinade:ll", ":llls"},
		},
		"blank lines within a part do not end it where its name is set off": {
			"Stew\n\nFor the marinade\n\n1 bottle red wine\n\n1 carrot, sliced\n\n800 g mushrooms\n\nMethod\n\nLay the mushrooms in the wine overnight.",
			"Stew", []string{"Marinade:llls"},
		},
		"a list in sentences, the amounts behind": {
			"Soup\n\nWater, 2.5 l. Beetroot, 3 medium, grated. Cabbage, a quarter, shredded. Carrots, 2. Oil, 1 tbsp. Dill.\n\nBoil the beetroot in the water for 20 minutes.",
			"Soup", []string{":lllllls"},
		},
		"the yield below the method": {
			"Creams\n\nIngredients\n- 500 ml oat cream\n- 75 g sugar\n\nMethod\nWarm the oat cream with the sugar and chill for 4 hours.\nMakes 6",
			"Creams", []string{":lls"},
		},
		"servings in brackets behind the name": {
			"Buns (makes 12)\n\n300 g flour\n7 g yeast\n\nKnead the flour and the yeast for ten minutes with water.", "Buns", []string{":lls"},
		},
		"parts named in the method without marks": {
			"Bake\n\nFor the sauce\n200 g tomatoes\n1 onion\n\nFor the top\n100 g oats\n1 tbsp oil\n\nMethod\n\nSauce\nSimmer the tomatoes with the onion for 20 minutes.\n\nTop\nMix the oats with the oil and bake until brown.",
			"Bake", []string{"Sauce:lls", "Top:lls"},
		},
		"a list in one row": {
			"Dip\n\n200 g tofu; 1 lemon; 2 tbsp tahini; salt\n\nBlend everything until it is smooth and serve with bread.", "Dip", []string{":lllls"},
		},
		"how many it is for, and foods without an amount, in a list in one row": {
			"Stroganoff\n\nFor 4: 500 g carrots, 1 onion, grated, 40 g oil, 1 tsp mustard, lemon juice, parsley.\n\nFry the onion in the oil until it is golden and add the rest.",
			"Stroganoff", []string{":lllllls"},
		},
		"a part in one row with its name, and the rest behind it": {
			"Roast\n\n1 swede\nMarinade: 500 ml wine, 2 sliced onions, 6 juniper berries\n2 tbsp oil\n80 g gingerbread\n\nPour the marinade over the swede, leave it overnight and roast it in the oil.",
			"Roast", []string{":llls", "Marinade:lll"},
		},
		"parts in rows behind a dash": {
			"Ramen\n\nTARE - 60 ml soy sauce, 1 tbsp mirin\nBROTH - 800 ml stock, 1 piece kombu\n\nBring the soy sauce and the mirin to the boil and set it aside. Warm the stock with the kombu.",
			"Ramen", []string{"Tare:lls", "Broth:lls"},
		},
		"a list set off by dots, and one by strokes": {
			"Kheer\n\n1 l milk • 60 g rice • 80 g sugar • a pinch of saffron\n\nSoak the rice for half an hour, then boil it in the milk with the sugar.", "Kheer", []string{":lllls"},
		},
		"a list between strokes": {
			"Pie\n500g lentils / 1 big onion / 2 carrots / 1/2 lemon\n\nChop the onion, grate the carrots and boil the lentils until they are soft.", "Pie", []string{":lllls"},
		},
		"a list within a sentence, with a part of its own": {
			"Salad\n\nFor two people you want 300 g potatoes, 150 g beans and half a red onion; for the dressing 1 tbsp vinegar, 4 tbsp oil and a clove of garlic.\n\nBoil the potatoes and the beans and dress them while they are warm.",
			"Salad", []string{":llls", "Dressing:lll"},
		},
		"steps numbered on lines of their own": {
			"Fries\n\n1 kg potatoes\n1 l oil\n\nSTEP 1\nCut the potatoes and rinse them in cold water until it is clear.\nSTEP 2\nFry them in the oil for five minutes and drain them on paper.", "Fries", []string{":llss"},
		},
		"three things with their amounts in one line of the list": {
			"Curry\n\n2 tomatoes\n1 onion, 4 cloves garlic, 1 scotch bonnet\n1 onion, 2 halves\n\nFry the onion in oil until it is golden and add the rest.",
			"Curry", []string{":llllls"},
		},
		"labels with their text behind a colon": {
			"Salad\nIngredients: 2 tomatoes | 1 cucumber | 1 onion\nMethod: Chop everything finely and dress it with oil and salt.", "Salad", []string{":llls"},
		},
		"times in a row are no method": {
			"Roast\nPrep: 20 mins | Cook: 1 hr | Serves: 6\n\n1 swede\n2 carrots\n\nRoast the swede and the carrots until they are dark.", "Roast", []string{":lls"},
		},
		"each sentence of a narrow column on its own line": {
			"Soup\n\n2 leeks\n1 litre water\n\nMethod\nChop the leeks and put them into the pot of water now.\nSimmer them gently for as long as twenty minutes then.\nBlend until smooth, season with salt and serve it hot.", "Soup", []string{":llsss"},
		},
		"a wrapped sentence is one step": {
			"Soup\n\n2 leeks\n1 litre water\n\nMethod\n1. Chop the leeks and put them into the pot of cold\n   water, then simmer them gently for as long as twenty\n   minutes until soft.\n2. Blend.", "Soup", []string{":llss"},
		},
		"a method in one paragraph goes through its parts": {
			"Tart\n\nPastry\n200 g flour\n100 g butter\n\nFilling\n300 ml cream\n2 eggs\n\nMethod\nRub the butter into the flour. Chill it for 20 minutes. Whisk the eggs into the cream. Roll out the pastry and line a tin. Pour in the filling and bake for half an hour.", "Tart", []string{"Pastry:llss", "Filling:llss"},
		},
		"paragraphs for as many parts stay whole": {
			"Tart\n\nPastry\n200 g flour\n100 g butter\n\nFilling\n300 ml cream\n2 eggs\n\nMethod\nRub the butter into the flour. Whisk the eggs into the cream.\nRoll out the pastry, line a tin, pour in the filling and bake it for half an hour.", "Tart", []string{"Pastry:llss", "Filling:ll"},
		},
		"what stands before a step in a numbered list": {
			"Pasta\n\n400 g beef mince\n1 onion\n\n1. First, make the meatballs.\n2. Now the sauce.\n3. Mix the mince with the onion and roll it into twelve balls.", "Pasta", []string{":llsss"},
		},
		"a numbered list of what is needed": {
			"Pasta\n\n1. 400 g beef mince\n2. 1 onion\n3. 2 tbsp oil\n\n1. Mix the mince with the onion and roll it into twelve balls.\n2. Fry the balls in the oil until they are brown.", "Pasta", []string{":lllss"},
		},
		"what goes with it at the table": {
			"Broth\n\nIngredients for the pot\n1 kg carrots\n2 onions\n\nIngredients to serve\n200 g noodles\n1 lime\n\nPreparation\nSimmer the carrots and onions for an hour. Cook the noodles and serve with the lime.", "Broth", []string{"Pot:lls", "To serve:lls"},
		},
	} {
		src := r.Layout(c.text)
		require.Equal(t, c.title, src.Name, name)
		d := r.Source(src, measure.Metric)
		got := recipe.Source{}
		for _, part := range d.Components {
			got.Sections = append(got.Sections, recipe.Section{Name: part.Name, Lines: make([]string, len(part.Lines)), Steps: make([]string, len(part.Steps))})
		}
		require.Equal(t, c.want, shape(got), name)
	}
}

func TestServingsInManyManners(t *testing.T) {
	r := reader(t)
	for said, want := range map[string]measure.Span{
		"Serves 4":                               {Low: 4, High: 4},
		"Serves: 6-8":                            {Low: 6, High: 8},
		"For 4":                                  {Low: 4, High: 4},
		"*For 4*":                                {Low: 4, High: 4},
		"Time: 3 hours | For six":                {Low: 6, High: 6},
		"Prep: 20 mins | Cook: 1 hr | Serves: 6": {Low: 6, High: 6},
		"Yield: 12 tarts":                        {Low: 12, High: 12},
		"**Yield:** 8 servings":                  {Low: 8, High: 8},
		"Feeds 10 people":                        {Low: 10, High: 10},
		"Makes about 30":                         {Low: 30, High: 30},
	} {
		d := r.Read("Stew\n"+said+"\n\n2 leeks\n1 onion\n\nMethod\n1. Boil the leeks and the onion for 20 minutes.", measure.Metric)
		require.NotNil(t, d.Serves, said)
		require.Equal(t, want, *d.Serves, said)
		require.Equal(t, "Stew", d.Name, said)
		require.Len(t, d.Components[0].Lines, 2, said)
	}
}

// A figure of servings may stand below the list, or at the end of the method.
func TestServingsBelow(t *testing.T) {
	r := reader(t)
	for _, text := range []string{
		"Stew\n\nIngredients\n2 leeks\n1 onion\nServe 4-6\n\nMethod\n1. Boil the leeks and the onion for 20 minutes.",
		"Stew\n\n2 leeks\n1 onion\n\nMethod\n1. Boil the leeks and the onion for 20 minutes. Serves 4-6.",
	} {
		d := r.Read(text, measure.Metric)
		require.NotNil(t, d.Serves, text)
		require.Equal(t, measure.Span{Low: 4, High: 6}, *d.Serves, text)
		require.Len(t, d.Components[0].Lines, 2, text)
	}
	named := r.Read("Cheese souffle\n\nfor 4\nbutter and dry breadcrumbs for the dish\n40 g butter\n\nMelt the butter.", measure.Metric)
	require.Equal(t, "Cheese souffle", named.Name)
	require.Len(t, named.Components[0].Lines, 2)
	d := r.Read("Stew\n\n2 leeks\n1 onion\n\nMethod\n1. Boil the leeks.\n2. Serve 4 slices of bread with it.", measure.Metric)
	require.Nil(t, d.Serves)
}

func TestAmountsInManyManners(t *testing.T) {
	r := reader(t)
	for text, want := range map[string]struct {
		low, high float64
		unit      measure.Unit
		grams     float64
	}{
		"three quarters of a cup of sugar":                  {0.75, 0.75, measure.Cup, 150},
		"two thirds of a cup of sugar":                      {2.0 / 3, 2.0 / 3, measure.Cup, 133.3},
		"one 3-pound chicken, jointed":                      {1, 1, measure.Piece, 1360.8},
		"1 small chicken, about 1.2 kg":                     {1, 1, measure.Piece, 1200},
		"whites of 4 eggs":                                  {4, 4, measure.Piece, 132},
		"a punnet of cherry tomatoes":                       {1, 1, measure.Can, 250},
		"a splash of water":                                 {1, 1, measure.Glug, 15},
		"100 g bottle gourd":                                {100, 100, measure.Gram, 100},
		"4 chicken thighs, about 800 g":                     {4, 4, measure.Piece, 800},
		"1 tuna steak of 250 g":                             {1, 1, measure.Piece, 250},
		"4 pork chops of 200 g each":                        {4, 4, measure.Piece, 800},
		"1 chicken of about 1.5 kg":                         {1, 1, measure.Piece, 1500},
		"lamb kidneys 2, cored":                             {2, 2, measure.Piece, 140},
		"1 dressed crab (about 170 g white and brown meat)": {1, 1, measure.Piece, 170},
		"1 dressed crab (50 g brown meat and 100 g white)":  {1, 1, measure.Piece, 150},
		"zest of 2 oranges":                                 {2, 2, measure.Piece, 20},
		"2 tins cannellini beans, drained":                  {2, 2, measure.Can, 480},
		"1 tin (400g) chickpeas":                            {1, 1, measure.Can, 240},
		"500 g chicken":                                     {500, 500, measure.Gram, 500},
		"1 chicken":                                         {1, 1, measure.Piece, 1600},
		"green olives, a handful":                           {1, 1, measure.Handful, 30},
		"garlic: 5 cloves":                                  {5, 5, measure.Clove, 20},
		"half a dozen eggs":                                 {6, 6, measure.Piece, 300},
		"1 x 2 lb piece of butternut squash":                {1, 1, measure.Piece, 907.2},
	} {
		l := r.Line(text, measure.US)
		require.NotNil(t, l.Amount, text)
		require.InDelta(t, want.low, l.Amount.Low, 0.01, text)
		require.InDelta(t, want.high, l.Amount.High, 0.01, text)
		require.Equal(t, want.unit, l.Amount.Unit, text)
		require.NotNil(t, l.Grams, text)
		require.InEpsilon(t, want.grams, l.Grams.Mid(), 0.01, text)
	}
}

func TestTheCountSaysWhetherABirdIsMeantWhole(t *testing.T) {
	r := reader(t)
	counted, measured := r.Line("1 chicken", measure.US), r.Line("500 g chicken", measure.US)
	require.Equal(t, "whole-chicken", counted.FoodID())
	require.Equal(t, "chicken-thigh", measured.FoodID())
}

func TestTinnedPulsesAreAForm(t *testing.T) {
	r := reader(t)
	for text, form := range map[string]string{
		"1 tin chickpeas": "tinned", "200 g cooked chickpeas": "cooked", "200 g dried chickpeas": "raw", "200 g canned black beans": "tinned",
	} {
		l := r.Line(text, measure.Metric)
		require.Equal(t, form, l.Form, text)
		require.Contains(t, []string{"chickpeas", "black-beans"}, l.FoodID(), text)
	}
}

// A food added to another is a line of its own, from whatever source it comes.
func TestAddedFoodsAreLinesOfTheirOwn(t *testing.T) {
	r := reader(t)
	_, d := r.Parts(recipe.Source{Sections: []recipe.Section{{Lines: []string{"500 ml milk", "3 eggs + 2 yolks", "2 tbsp + 1 tsp sugar", "100 g sugar plus 20 g honey", "200 g sugar + extra for the moulds", "1 onion and 2 carrots", "a pinch of saffron in 2 tbsp warm milk", "200 g rice in 1 litre stock", "2 carrots in 4 pieces"}}}}, measure.Metric)
	said := []string{}
	for _, l := range d.Components[0].Lines {
		said = append(said, l.Text+": "+l.FoodID())
	}
	require.Equal(t, []string{
		"500 ml milk: whole-milk", "3 eggs: egg", "2 yolks: egg-yolk", "2 tbsp + 1 tsp sugar: sugar", "100 g sugar: sugar", "20 g honey: honey",
		"200 g sugar + extra for the moulds: sugar", "1 onion: onion", "2 carrots: carrot",
		"a pinch of saffron: saffron", "2 tbsp warm milk: whole-milk", "200 g rice in 1 litre stock: white-rice", "2 carrots in 4 pieces: carrot",
	}, said)
}
