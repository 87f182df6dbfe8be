package recipe_test

import (
	"encoding/json"
	"fmt"
	"os"
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
