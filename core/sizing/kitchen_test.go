package sizing_test

import (
	"regexp"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/sizing"
	"yembra/core/swap"
	"yembra/demo"
	"yembra/knowledge"
)

// What no kitchen measures: three figures behind a point, pinches by the dozen,
// wrong plurals.
var unmeasured = regexp.MustCompile(`\d\.\d{3,}|\d\.\d+[\s\x{202f}](?:pinch|dash|handful|bunch|sprig|clove|slice|piece|head|sheet|knob|leaf|stalk|can|tin|tbsp|tsp|cup)|bunchs|pinchs|leafs|dashs|chilly\b|\b(?:[4-9]|\d{2,})[\s\x{202f}](?:pinch|dash)|(?:^|[^\d.])0[\s\x{202f}](?:g|ml)\b|\d{5,}`)

// At every size from one serving to forty each amount can be measured in a
// kitchen.
func TestEveryAmountCanBeMeasured(t *testing.T) {
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	r, b := flow.NewReader(l), swap.NewBook(l)
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	for _, x := range recipes {
		d := r.Read(x.Text, measure.Metric)
		dec, err := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
		require.NoError(t, err)
		a, err := b.Apply(d, dec, false)
		require.NoError(t, err)
		card := recipe.Dish{Name: d.Name, Serves: d.Serves}
		for _, c := range a.Components {
			part := recipe.Component{Name: c.Name}
			for _, line := range c.Lines {
				part.Lines = append(part.Lines, line.Line)
			}
			card.Components = append(card.Components, part)
		}
		for servings := 1; servings <= 40; servings++ {
			sized, err := sizing.Scale(l, card, float64(servings)/d.Serves.Mid())
			require.NoError(t, err)
			for _, c := range sized.Components {
				for _, line := range c.Lines {
					assert.NotRegexp(t, unmeasured, line.Text, "%s for %d", x.Key, servings)
				}
			}
		}
	}
}
