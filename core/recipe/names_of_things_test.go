package recipe_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
)

func TestALongTitleIsATitle(t *testing.T) {
	title := "Aunt Marrow's slow harbour stew of smoked roots with barley, prunes and a great deal of winter savory"
	require.Greater(t, len(title), 80)
	r := reader(t)
	d := r.Read(title+"\n\nServes 4\n\n500 g carrots\n1 onion\n\nMethod\n1. Cook the carrots and the onion.", measure.Metric)
	require.Equal(t, title, d.Name)
	d = r.Read(strings.Repeat("word ", 200)+"\n\n500 g carrots\n1 onion\n\nMethod\n1. Cook the carrots and the onion.", measure.Metric)
	require.Empty(t, d.Name, "a whole page is none")
}

func TestABracketSaysWhatANameIs(t *testing.T) {
	r := reader(t)
	for text, food := range map[string]string{"200 g garrofón (butter beans)": "butter-beans", "2 tbsp dendê (red palm oil)": "palm-oil", "100 g zzyzx (smoked bacon)": "bacon", "100 g zzyzx (from the shop on the corner)": "", "100 g carrots (or parsnips)": "carrot"} {
		l := r.Line(text, measure.Metric)
		require.Equal(t, food, l.FoodID(), text)
	}
	require.Equal(t, larder.FromAnimal, r.Line("100 g zzyzx (smoked bacon)", measure.Metric).Origin)
}

// A cut or a shape of fish or shellfish is fish or shellfish, whatever it is called: nobody who
// may not eat it takes it for beef or bread.
func TestACutOfFishIsFish(t *testing.T) {
	l := reader(t)
	shelf, err := shipped()
	require.NoError(t, err)
	tried := 0
	for _, f := range shelf.Foods() {
		if f.Origin != larder.FromAnimal || f.Animal != larder.Fish && f.Animal != larder.Shellfish || shelf.Language().Extracts[f.Kind] || f.Kind == "roe" {
			continue
		}
		for _, cut := range []string{"steaks", "cutlets", "burgers", "mince", "sausages", "cakes", "balls", "patties", "fillets", "loin"} {
			got := l.Line("4 "+f.Name+" "+cut, measure.Metric)
			require.Equal(t, larder.FromAnimal, got.Origin, got.Text)
			require.Contains(t, []larder.Animal{larder.Fish, larder.Shellfish}, got.Animal, got.Text)
			tried++
		}
	}
	require.Greater(t, tried, 500)
	for text, want := range map[string]string{"2 cauliflower steaks": "cauliflower", "4 celeriac steaks": "celeriac", "2 pepper steaks": "beef-steak", "4 lamb steaks": "lamb-chop", "4 cod steaks": "cod", "300 g cod cheeks": "cod", "4 salmon collars": "salmon", "500 g ox cheeks": "beef-cheek", "400 g beef steak": "beef-steak"} {
		got := l.Line(text, measure.Metric)
		require.Equal(t, want, got.FoodID(), text)
	}
}

// What stands under a blank line in a list of amounts and ends as a thing that is made names the part
// below it, capital or not; a list that has foods without amounts keeps it as one of them.
func TestANameWithoutACapitalIsAPart(t *testing.T) {
	r := reader(t)
	method := "\n\nMethod\n1. Boil the potatoes. Stir the peanuts with the water."
	d := r.Read("Platter\nserves four\n\n300g potatoes\n4 eggs\n\npeanut sauce\n200g peanuts\n250ml water"+method, measure.Metric)
	require.Len(t, d.Components, 2)
	require.Equal(t, "Peanut sauce", d.Components[1].Name)
	require.Len(t, d.Components[1].Lines, 2)
	for _, list := range []string{"300g potatoes\nsalt\n\nsour cream\n200g peanuts\n250ml water", "300g potatoes\n4 eggs\npeanut sauce\n200g peanuts\n250ml water", "300g potatoes\n4 eggs\n\npeanut sauce\nsalt"} {
		require.Len(t, r.Read("Platter\nserves four\n\n"+list+method, measure.Metric).Components, 1, list)
	}
}

// A bracket behind a name says which kind of it is bought: an animal's wherever it can be read so, a plant's only where
// bracket and name are one name.
func TestABracketSaysTheKind(t *testing.T) {
	for text, want := range map[string]struct {
		food   string
		origin larder.Origin
	}{
		"375 g ready-rolled puff pastry (all-butter)": {"butter-pastry", larder.FromAnimal},
		"200 g puff pastry (not butter)":              {"puff-pastry", larder.Mixed},
		"300 g pasta (egg)":                           {"fresh-pasta", larder.FromAnimal},
		"300 g noodles (egg)":                         {"egg-noodles", larder.FromAnimal},
		"4 veggie burgers (contain egg)":              {"vegan-burger", larder.FromAnimal},
		"100 g chocolate (milk)":                      {"milk-chocolate", larder.FromAnimal},
		"400 ml stock (chicken or vegetable)":         {"stock-generic", larder.Mixed},
		"4 tomatoes (beefsteak)":                      {"tomato", larder.FromPlant},
		"1 tbsp oil (for the eggs)":                   {"vegetable-oil", larder.FromPlant},
		"200 ml milk (oat)":                           {"oat-milk", larder.FromPlant},
		"200 ml milk (semi-skimmed)":                  {"semi-skimmed-milk", larder.FromAnimal},
		"200 ml milk (whole or oat)":                  {"whole-milk", larder.FromAnimal},
	} {
		l := reader(t).Line(text, measure.Metric)
		require.Equal(t, want.food, l.FoodID(), text)
		require.Equal(t, want.origin, l.Origin, text)
	}
}

// What a bracket says an animal's food is free of makes no plant of it, whichever food it is.
func TestFreeOfAPlantIsStillAnAnimals(t *testing.T) {
	l, err := shipped()
	require.NoError(t, err)
	r := reader(t)
	for _, f := range l.Foods() {
		if f.Origin != larder.FromAnimal {
			continue
		}
		for _, free := range []string{"soy", "soya", "nut", "peanut", "almond", "oat", "coconut", "rice", "gluten"} {
			text := "100 g " + f.Name + " (" + free + "-free)"
			if bare := r.Line("100 g "+f.Name, measure.Metric); bare.Origin == larder.FromAnimal {
				require.Equal(t, larder.FromAnimal, r.Line(text, measure.Metric).Origin, text)
			}
		}
	}
}

// A spice that is named for the flesh it goes with may or may not hold any, and keeps being a spice; flesh that is
// named for its spice stays flesh.
func TestASpiceNamedForFleshIsAsked(t *testing.T) {
	r := reader(t)
	for text, want := range map[string]struct {
		food   string
		origin larder.Origin
		check  bool
	}{
		"4 tbsp Malaysian meat curry powder": {"curry-powder", larder.Mixed, true},
		"2 tsp fish curry powder":            {"curry-powder", larder.Mixed, true},
		"2 tsp shrimp chilli flakes":         {"", larder.FromAnimal, false},
		"2 tbsp mild curry powder":           {"curry-powder", larder.FromPlant, false},
		"4 curry powder chicken thighs":      {"chicken-thigh", larder.FromAnimal, false},
		"500 g minced meat, paprika":         {"", larder.FromAnimal, false},
	} {
		line := r.Line(text, measure.Metric)
		require.Equal(t, want.origin, line.Origin, text)
		require.Equal(t, want.check, line.Check, text)
		if want.food != "" {
			require.Equal(t, want.food, line.FoodID(), text)
		}
	}
}
