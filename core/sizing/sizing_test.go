package sizing_test

import (
	"math"
	"strings"
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/sizing"
	"yembra/demo"
	"yembra/knowledge"
)

// shipped is the larder as it ships, loaded once for all tests.
var shipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })

func open(t *testing.T) (*larder.Larder, *flow.Reader) {
	l, err := shipped()
	require.NoError(t, err)
	return l, flow.NewReader(l)
}

func strip(text string) string { return strings.ReplaceAll(text, measure.ThinSpace, " ") }

func lines(d sizing.Dish) []string {
	var out []string
	for _, c := range d.Components {
		for _, l := range c.Lines {
			out = append(out, strip(l.Text))
		}
	}
	return out
}

const cake = "Cake\n\nServes 4\n\n300 g flour\n250 ml soy milk\n1 tbsp olive oil\n2 tsp baking powder\n1 tsp cayenne pepper\n3 carrots, grated\nsalt to taste\n\nMethod\n1. Mix the flour with 100 ml of the soy milk.\n2. Simmer the carrots for 10 minutes in 1 litre water in a 20 cm pan."

func TestAmountsComeOutAsAKitchenMeasuresThem(t *testing.T) {
	l, r := open(t)
	d, err := sizing.Scale(l, r.Read(cake, measure.Metric), 2)
	require.NoError(t, err)
	require.Equal(t, 8.0, d.Serves.Low)
	require.Equal(t, "600 g flour", strings.Replace(lines(d)[0], "plain ", "", 1))
	require.True(t, strings.HasPrefix(lines(d)[1], "500 ml "), lines(d)[1])
	require.True(t, strings.HasPrefix(lines(d)[2], "2 tbsp ("), lines(d)[2])
	require.True(t, strings.HasPrefix(lines(d)[5], "6 carrots"), lines(d)[5])
	require.Equal(t, "salt to taste", lines(d)[6])
	text := strings.ReplaceAll(d.Components[0].Steps[0].Text+d.Components[0].Steps[1].Text, measure.ThinSpace, " ")
	require.Contains(t, text, "200 ml of the soy milk")
	require.Contains(t, text, "2 litres water in a 20 cm pan")
	require.Contains(t, text, "10 minutes", "times are no amounts")
}

func TestTheWordsOfALineStay(t *testing.T) {
	l, r := open(t)
	d, err := sizing.Scale(l, r.Read("Stew\n\nIngredients\n2 large onions, finely chopped\n4 cloves garlic, crushed\n1 stick cinnamon\n2 cinnamon sticks\n1 1/2 cups vegetable stock (hot)\n4 bay leaves\n50 g walnuts or hazelnuts, optional\n\nMethod\n1. Simmer everything for 20 minutes.", measure.Metric), 1.5)
	require.NoError(t, err)
	got := lines(d)
	require.Equal(t, "3 large onions, finely chopped", got[0])
	require.Equal(t, "6 cloves garlic, crushed", got[1])
	require.Regexp(t, "^1½ sticks? (of )?cinnamon$", got[2])
	require.Equal(t, "3 cinnamon sticks", got[3])
	require.Contains(t, got[4], "vegetable stock (hot)")
	require.Regexp(t, "^6 .*bay", got[5])
	require.Contains(t, got[6], "or hazelnuts")
	require.Contains(t, got[6], "optional")
	d, err = sizing.Scale(l, r.Read("Tea\n\nIngredients\n1 cinnamon stick\n1 litre water\n\nMethod\n1. Simmer for 5 minutes.", measure.Metric), 3)
	require.NoError(t, err)
	require.Equal(t, "3 cinnamon sticks", lines(d)[0])
	d, err = sizing.Scale(l, r.Read("Pot\n\nIngredients\n2 tins (400 g each) tomatoes, chopped\n1–2 onions (red), sliced\n200g rice\n\nMethod\n1. Simmer for 5 minutes.", measure.Metric), 2)
	require.NoError(t, err)
	require.NotContains(t, lines(d)[0], "(400 g each) ", "the old weight does not stand behind the new one")
	require.Contains(t, lines(d)[0], "tomatoes, chopped")
	require.Contains(t, lines(d)[1], "onions (red), sliced")
	require.Regexp(t, "^400.g rice$", lines(d)[2])
}

func TestRaisingAndSpiceAreHeldBackAboveDouble(t *testing.T) {
	l, r := open(t)
	src := r.Read(cake, measure.Metric)
	d, err := sizing.Scale(l, src, 8)
	require.NoError(t, err)
	grew := func(j int) float64 {
		return d.Components[0].Lines[j].Amount.Low / src.Components[0].Lines[j].Amount.Low
	}
	require.InDelta(t, 8, grew(0), 1e-9)
	require.InDelta(t, 2*math.Pow(4, 0.9), grew(3), 1e-9)
	require.InDelta(t, 2*math.Pow(4, 0.85), grew(4), 1e-9)
	require.Contains(t, strings.Join(d.Notes, " "), "held back above double")
	for _, k := range []float64{0.5, 1.5, 2} {
		d, err = sizing.Scale(l, src, k)
		require.NoError(t, err)
		require.InDelta(t, k, grew(4), 1e-9, "up to double everything grows alike")
	}
}

func TestTheSameSizeIsTheSameDish(t *testing.T) {
	l, r := open(t)
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	for _, rec := range recipes {
		src := r.Read(rec.Text, measure.Metric)
		same, err := sizing.Scale(l, src, 1)
		require.NoError(t, err)
		require.Equal(t, src.Components, same.Components, src.Name)
		require.Empty(t, same.Notes)
		before := src.Components[0].Lines[0].Text
		half, err := sizing.Scale(l, src, 0.5)
		require.NoError(t, err)
		require.Equal(t, before, src.Components[0].Lines[0].Text, "what is given stays")
		for i, c := range half.Components {
			for j, line := range c.Lines {
				was := src.Components[i].Lines[j]
				if was.Grams != nil {
					require.InDelta(t, was.Grams.Low/2, line.Grams.Low, 1e-6, "%s: %s", src.Name, was.Text)
				}
				read := r.Line(line.Text, measure.Metric)
				require.Equal(t, was.FoodID(), read.FoodID(), "%s: %q reads as another food than %q", src.Name, line.Text, was.Text)
			}
		}
	}
}

func TestFactorsBeyondReasonAreRefused(t *testing.T) {
	l, r := open(t)
	for _, k := range []float64{0, -1, 0.01, 51, math.NaN(), math.Inf(1)} {
		_, err := sizing.Scale(l, r.Read(cake, measure.Metric), k)
		require.ErrorContains(t, err, "sized between", "%v", k)
	}
}
