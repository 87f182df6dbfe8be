package recipe_test

import (
	"encoding/json"
	"fmt"
	"os"
	"strings"
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/knowledge"
)

// shipped is the larder as it ships, loaded once for all tests.
var shipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })

func reader(t testing.TB) *flow.Reader {
	t.Helper()
	l, err := shipped()
	require.NoError(t, err)
	return flow.NewReader(l)
}

func ExampleReader_Line() {
	l, _ := larder.Load(knowledge.Shipped())
	line := flow.NewReader(l).Line("• 1 1/2 lb (680 g) smoked haddock, skinned", measure.US)
	fmt.Printf("%s: %.0f g of %s, %s, %s\n", line.Amount, line.Grams.Mid(), line.Name, line.Preparation, line.Animal)
	// Output: 1½ lb: 680 g of smoked haddock, skinned, fish
}

// lineCase is one row of testdata/lines.json.
type lineCase struct {
	Text        string  `json:"text"`
	Low         float64 `json:"low"`
	High        float64 `json:"high"`
	Unit        string  `json:"unit"`
	GramsLow    float64 `json:"gramsLow"`
	GramsHigh   float64 `json:"gramsHigh"`
	Food        string  `json:"food"`
	Origin      string  `json:"origin"`
	Animal      string  `json:"animal"`
	Alternative string  `json:"alternative"`
	Also        string  `json:"also"`
}

func TestLinesOfTheCorpus(t *testing.T) {
	data, err := os.ReadFile("testdata/lines.json")
	require.NoError(t, err)
	var cases []lineCase
	require.NoError(t, json.Unmarshal(data, &cases))
	require.GreaterOrEqual(t, len(cases), 80)
	r := reader(t)
	for _, c := range cases {
		t.Run(c.Text, func(t *testing.T) {
			line := r.Line(c.Text, measure.US)
			require.Equal(t, c.Food, line.FoodID())
			require.Equal(t, c.Origin, string(line.Origin))
			require.Equal(t, c.Animal, string(line.Animal))
			if c.Unit == "" {
				require.Nil(t, line.Amount)
			} else {
				require.NotNil(t, line.Amount)
				require.Equal(t, c.Unit, string(line.Amount.Unit))
				require.InDelta(t, c.Low, line.Amount.Low, 0.005)
				require.InDelta(t, c.High, line.Amount.High, 0.005)
			}
			if c.GramsHigh > 0 {
				require.NotNil(t, line.Grams)
				require.InEpsilon(t, c.GramsLow, line.Grams.Low, 0.03)
				require.InEpsilon(t, c.GramsHigh, line.Grams.High, 0.03)
			}
			if c.Alternative != "" {
				require.Equal(t, c.Alternative, line.Alternatives[0].Food)
			}
			if c.Also != "" {
				require.Equal(t, c.Also, line.Also[0].Food)
			}
			require.NotEmpty(t, line.Why, "every line says why it is marked so")
		})
	}
}

func TestAnimalMatterIsNeverCalledPlant(t *testing.T) {
	r := reader(t)
	for _, text := range []string{
		"1 lb wagyu slices", "potatoes fried in butter", "200 g beans with bacon", "chicken-and-rice mix, 1 cup", "lamb-stuffed peppers",
		"3 tbsp of the beef jus", "prawn crackers", "1 cup turkey gravy", "2 tbsp duck spread", "anchovy-stuffed olives", "eggy bread", "fish ball soup base",
		"crab bisque", "ham and pea soup", "500 g mystery meat", "1 cup goose rillettes",
	} {
		line := r.Line(text, measure.US)
		require.Contains(t, []larder.Origin{larder.FromAnimal, larder.Mixed}, line.Origin, text)
	}
}

func TestStandInsAreNotCalledAnimal(t *testing.T) {
	r := reader(t)
	for _, text := range []string{
		"100 g vegan butter", "250 ml hemp milk", "1 cup macadamia milk", "200 g vegan halloumi", "2 tbsp dairy-free cream cheese",
		"1 vegan egg", "150 g plant-based mince", "meatless meatballs", "100 g eggless noodles", "200 g butter beans", "3 beefsteak tomatoes",
		"1 tsp cream of tartar", "2 tbsp nut butter", "1 tin coconut milk", "200 g hen of the woods",
	} {
		line := r.Line(text, measure.US)
		require.NotEqual(t, larder.FromAnimal, line.Origin, text)
		require.Empty(t, line.Animal, text)
	}
}

func TestLookAlikesAreWarnedOf(t *testing.T) {
	r := reader(t)
	require.Contains(t, r.Line("200 g red lentils", measure.US).Beware, "brown lentils")
	require.Contains(t, r.Line("1 tsp black salt", measure.US).Beware, "smells of egg")
	require.Empty(t, r.Line("1 onion", measure.US).Beware)
	require.Empty(t, r.Line("1 dragon", measure.US).Beware)
}

func TestFlags(t *testing.T) {
	r := reader(t)
	require.True(t, r.Line("1 tsp chilli flakes (optional)", measure.US).Optional)
	require.True(t, r.Line("salt, to taste", measure.US).ToTaste)
	require.False(t, r.Line("1 tsp salt", measure.US).ToTaste)
	wc := r.Line("1 tbsp Worcestershire sauce", measure.US)
	require.True(t, wc.Hidden, "its name does not show the fish")
	require.True(t, wc.Check)
	wine := r.Line("200 ml red wine", measure.US)
	require.Equal(t, larder.Mixed, wine.Origin)
	require.Contains(t, wine.Why, "vegan")
}

// Names of plant foods in the list must not hide animal matter in the steps,
// nor make animals of plants.
func TestAnimalMatterInStepsBesidePlantNamesakes(t *testing.T) {
	r := reader(t)
	lines := []recipe.Line{r.Line("2 tbsp peanut butter", measure.US), r.Line("200 ml coconut cream", measure.US), r.Line("1 tin butter beans", measure.US), r.Line("100 g oyster mushrooms", measure.US)}
	for text, want := range map[string][]string{
		"Grease a dish with butter.":                      {"butter"},
		"Add a knob of butter and the peanut butter.":     {"butter"},
		"Stir in the cream and the oyster mushrooms.":     nil,
		"Cream the peanut butter and the sugar together.": nil,
		"Mash the butter beans.":                          nil,
		"Brown the meat in dripping.":                     {"meat", "dripping"},
		"If you like, add bacon bits.":                    {"bacon bit"},
		"Brush with egg wash and bake.":                   {"egg wash"},
		"Blend to a paste like butter.":                   nil,
	} {
		var got []string
		for _, a := range r.Step(text, lines).Animals {
			got = append(got, a.Name)
		}
		require.Equal(t, want, got, text)
	}
	require.NotContains(t, r.Step("Brush with egg wash and bake.", lines).Techniques, "rinse")
	require.Equal(t, []int{2}, r.Step("Mash the butter beans.", lines).Lines)
	require.Empty(t, r.Step("Grease a dish with butter.", lines).Lines)
}

func TestUnknownFoodsAreNoticedNeverGuessed(t *testing.T) {
	d := reader(t).Read("Soup\n\n100 g dragon scales\n1 onion\n2 carrots\n\nMethod\n1. Boil the onion and the carrots for 10 minutes.", measure.US)
	require.Nil(t, d.Components[0].Lines[0].Food)
	require.Equal(t, recipe.UnknownFood, d.Notices[0].Kind)
	require.Equal(t, "components[0].lines[0]", d.Notices[0].Where)
}

func TestSteps(t *testing.T) {
	r := reader(t)
	lines := []recipe.Line{r.Line("2 onions", measure.US), r.Line("50 g butter", measure.US), r.Line("400 ml coconut milk", measure.US)}
	for _, c := range []struct {
		text       string
		techniques []string
		low, high  float64
		celsius    float64
		lines      []int
		cue        string
		animals    []string
	}{
		{"Melt the butter and fry the onions for 8-10 minutes until golden.", []string{"melt", "fry"}, 8, 10, 0, []int{0, 1}, "until golden", []string{"butter"}},
		{"Bake at 180C/350F/gas 4 for an hour and a half.", []string{"bake"}, 90, 90, 180, nil, "", nil},
		{"Roast at 400°F for 1 hour 15 minutes, turning every 20 minutes.", []string{"roast"}, 75, 75, 205, nil, "", nil},
		{"Preheat the oven to 160C fan.", []string{"preheat"}, 0, 0, 180, nil, "", nil},
		{"Set the oven to gas mark 6.", nil, 0, 0, 200, nil, "", nil},
		{"Pour in the milk and simmer for half an hour.", []string{"simmer"}, 30, 30, 0, []int{2}, "", nil},
		{"Brush with beaten egg and chill overnight.", []string{"brush", "chill"}, 480, 480, 0, nil, "", []string{"egg"}},
		{"Lift out with a fish slice.", nil, 0, 0, 0, nil, "", nil},
		{"Whisk to the consistency of double cream.", []string{"whisk"}, 0, 0, 0, nil, "", nil},
	} {
		t.Run(c.text, func(t *testing.T) {
			s := r.Step(c.text, lines)
			for _, want := range c.techniques {
				require.Contains(t, s.Techniques, want)
			}
			if c.high > 0 {
				require.NotNil(t, s.Minutes)
				require.Equal(t, measure.Span{Low: c.low, High: c.high}, *s.Minutes)
			} else {
				require.Nil(t, s.Minutes)
			}
			if c.celsius > 0 {
				require.NotNil(t, s.Celsius)
				require.InDelta(t, c.celsius, *s.Celsius, 0.1)
			}
			require.Equal(t, c.cue, s.Cue)
			if c.lines != nil {
				require.Equal(t, c.lines, s.Lines)
			}
			names := []string(nil)
			for _, a := range s.Animals {
				names = append(names, a.Name)
			}
			require.Equal(t, c.animals, names)
		})
	}
}

const memoir = `My aunt cooked this every Friday. The whole street could smell it, and we ran
home from school for it, whatever the weather was.

# Fisherman's pot

*Serves 4 to 6*

## Ingredients
* 1 kg cod fillet
- 2 onions, sliced
• 500 ml milk

For the crust:
200 g breadcrumbs
50 g Parmesan, grated

## Method
1. Fry the onions for 10 minutes, then add the cod and the milk and simmer for
   15 minutes until the fish flakes.
2. Scatter the breadcrumbs and cheese over and grill for 5 minutes. Glaze with egg.

## Notes
Keeps for two days. 2 cups of leftovers make a soup.
`

func TestLayoutOfAWholeRecipe(t *testing.T) {
	d := reader(t).Read(memoir, measure.Metric)
	require.Equal(t, "Fisherman's pot", d.Name)
	require.Equal(t, &measure.Span{Low: 4, High: 6}, d.Serves)
	require.Len(t, d.Components, 2)
	require.Equal(t, "Crust", d.Components[1].Name)
	require.Len(t, d.Components[0].Lines, 3, "the memoir and the notes are left out")
	require.Len(t, d.Components[1].Lines, 2)
	require.Len(t, d.Components[0].Steps, 1)
	require.Len(t, d.Components[1].Steps, 1, "steps go to the part whose lines they name")
	kinds := []string{}
	for _, n := range d.Notices {
		kinds = append(kinds, n.Kind)
	}
	require.Contains(t, kinds, recipe.OnlyInStep, "egg is only in a step")
}

func TestLayoutWithoutHeadings(t *testing.T) {
	d := reader(t).Read("Pancakes\nMakes 8\n\n250g flour\n2 eggs\n500ml milk\npinch of salt\n\nWhisk everything together and rest for 30 minutes. Fry in a hot pan until golden.", measure.Metric)
	require.Equal(t, "Pancakes", d.Name)
	require.Equal(t, 8.0, d.Serves.Low)
	require.Len(t, d.Components[0].Lines, 4)
	require.Len(t, d.Components[0].Steps, 1)
}

func TestServingsAmongTimes(t *testing.T) {
	d := reader(t).Read("Roast\nPrep: 20 mins | Cook: 1 hr | Serves: 6\n\n1 (4 lb) whole chicken\n1/4 cup all-purpose flour\n2 cups chicken stock\n\nRub the chicken all over and roast for 80 minutes, basting every 20 minutes.", measure.US)
	require.Equal(t, 6.0, d.Serves.Low)
	require.Equal(t, []int{0}, d.Components[0].Steps[0].Lines, "neither the flour nor the stock is used here")
	require.Equal(t, 80.0, d.Components[0].Steps[0].Minutes.Low)
}

func TestTextWithoutARecipe(t *testing.T) {
	r := reader(t)
	novel := strings.Repeat("It was a grey morning, and nobody at the harbour had yet spoken. She walked on. ", 60)
	for _, text := range []string{"", "   \n\n", novel, "¯\\_(ツ)_/¯", "\x00\xff"} {
		d := r.Read(text, measure.US)
		kinds := []string{}
		for _, n := range d.Notices {
			kinds = append(kinds, n.Kind)
		}
		require.Subset(t, []string{recipe.NoRecipe, recipe.NoLines}, kinds)
		require.NotEmpty(t, kinds)
	}
}

func TestPartsOfASingleIngredientAreParts(t *testing.T) {
	r := reader(t)
	for _, text := range []string{
		"Pie\n\nMeat filling\n\n500 g beef mince\n\nCrust\n\n200 g flour\n\nMethod\n1. Brown the mince for 10 minutes.\n2. Roll out the flour with water.",
		"Pie\n\nMeat filling\n500 g beef mince\n\nCrust\n200 g flour\n\nMethod\n1. Brown the mince for 10 minutes.\n2. Roll out the flour with water.",
		"Pie\n\nMeat filling\n500 g beef mince\n\nCrust\n200 g flour\n1 tsp salt\n\nMethod\n1. Brown the mince for 10 minutes.\n2. Roll out the flour with water.",
	} {
		d := r.Read(text, measure.Metric)
		require.Equal(t, "Pie", d.Name, text)
		require.Len(t, d.Components, 2, text)
		for i, want := range []struct{ name, line string }{{"Meat filling", "500 g beef mince"}, {"Crust", "200 g flour"}} {
			require.Equal(t, want.name, d.Components[i].Name, text)
			require.Equal(t, want.line, d.Components[i].Lines[0].Text, text)
			require.Len(t, d.Components[i].Steps, 1, text)
		}
	}
	d := r.Read("We ate 300 g beef mince pies by the sea, and I still dream of them.\n\nPie\n\n500 g beef mince\n1 onion\n\nMethod\n1. Fry the onion.", measure.Metric)
	require.Len(t, d.Components, 1)
	require.Len(t, d.Components[0].Lines, 2, "talk above the list stays out")
}

// Steps that count up without a stop behind their figures are steps; a list of whole
// things is none.
func TestBareNumbersOfSteps(t *testing.T) {
	r := reader(t)
	d := r.Read("Rice\nServes 4\n\n450 g smoked haddock\n300 ml milk\n4 eggs\n300 g rice\n\n1 Cover the haddock with the milk and poach for 8 mins.\n2 Hard-boil the eggs for 9 mins, cool and peel.\n3 Fork through the fish. Top with the eggs.", measure.Metric)
	require.Len(t, d.Components[0].Lines, 4)
	require.Len(t, d.Components[0].Steps, 3)
	require.Equal(t, "Hard-boil the eggs for 9 mins, cool and peel.", d.Components[0].Steps[1].Text)
	d = r.Read("Salad\nServes 2\n\n1 Large red onion, finely sliced\n2 Ripe tomatoes, cut in wedges\n3 Small cucumbers, peeled and sliced\n\nMethod\nMix everything and chill for 10 minutes.", measure.Metric)
	require.Len(t, d.Components[0].Lines, 3)
}
