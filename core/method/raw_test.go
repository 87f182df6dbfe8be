package method

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/measure"
	"yembra/core/swap"
)

const ganache = `Chocolate pots

Serves 6

150 g dark chocolate, chopped
300 ml double cream
2 egg yolks
1 tbsp brandy

1. Bring the cream just to the boil. Pour it over the chocolate in a bowl and stir until smooth. Beat in the egg yolks one at a time, then the brandy.
2. Pour into glasses and chill for 3 hours.
`

const offTheHeat = `Egg ribbons

Serves 4

3 eggs, beaten
1 litre chicken stock
2 tsp cornflour
1 tsp sesame oil

1. Bring the stock to the boil. Mix the cornflour with a little water and stir it in until the soup thickens.
2. Turn off the heat. Pour in the eggs in a thin stream, drizzle with the oil and serve.
`

// What nothing cooks gets nothing that has to be cooked, and where the cook takes it all the same the card says so.
func TestRawFlourIsNotEaten(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	for text, eggs := range map[string]string{ganache: "components[0].lines[2]", offTheHeat: "components[0].lines[0]"} {
		d := c.reader.Read(text, measure.Metric)
		for _, preset := range []string{"whole-food", "like-for-like", "fasting-day"} {
			for _, use := range []string{"", "bind", "thicken", "set", "flakes"} {
				dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: preset}, Uses: map[string]string{eggs: use}}
				candidates, _, err := c.book.Rank(d, dec, eggs)
				require.NoError(t, err)
				require.NotEmpty(t, candidates)
				for _, x := range candidates {
					require.False(t, x.Swap.Heat, "%s under %s to %s has to be cooked in %s", x.Swap.ID, preset, use, d.Name)
				}
			}
		}
	}
	const baked = "Cups\n\nServes 4\n\n2 eggs\n300 ml oat drink\n40 g sugar\n\n1. Beat the eggs with the oat drink and the sugar.\n2. Pour into cups and bake for 30 minutes until set."
	d := c.reader.Read(baked, measure.Metric)
	raw := func(text string) (n int) {
		dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: map[string]string{"components[0].lines[0]": "chickpea-custard"}}
		a, err := c.book.Apply(d, dec, false)
		require.NoError(t, err)
		p := c.plan(&d, &a)
		c.component(p, 0, dec)
		name(&d.Components[0], &a.Components[0], 0)
		if text != "" {
			last(&a.Components[0]).Text = text
		}
		c.check(p, c.readBack(&d, &a))
		for _, s := range a.Components[0].Steps {
			for _, f := range s.Findings {
				if f.Kind == swap.EatenRaw {
					n++
				}
			}
		}
		return n
	}
	require.Equal(t, 0, raw(""))
	require.Equal(t, 2, raw("Pour into cups and chill for 30 minutes."), "the flour and the starch")
}

// Whether a line stays raw is read from what is done from where it goes in on.
func TestWhatStaysRaw(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	const list = "Dish\n\nServes 2\n\n2 egg yolks\n200 ml milk\n50 g sugar\n\n1. "
	for method, raw := range map[string]bool{
		"Beat the yolks with the milk and sugar and chill for an hour.":                                  true,
		"Boil the milk with the sugar and leave to cool. Beat in the yolks and chill for an hour.":       true,
		"Boil the milk with the sugar. Beat in the yolks and serve.":                                     false, // straight into what boils
		"Beat the yolks with the milk and sugar and stir over a low heat until thick.":                   false,
		"Beat the yolks with the milk and sugar. Pour into cups and bake for 20 minutes.":                false,
		"Mix the yolks with the sugar and the milk and drop spoonfuls into simmering water. Serve them.": false,
	} {
		d := c.reader.Read(list+method+"\n", measure.Metric)
		g := flow.Trace(c.book.Larder(), &d)
		at := slices.IndexFunc(g.Lines, func(l flow.LineAt) bool { return l.Line == 0 })
		require.Equal(t, raw, g.StaysRaw(at), method)
	}
}
