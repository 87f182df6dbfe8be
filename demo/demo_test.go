package demo_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/demo"
	"yembra/knowledge"
)

func TestEveryDemoRecipeIsReadWhole(t *testing.T) {
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	r := flow.NewReader(l)
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	require.GreaterOrEqual(t, len(recipes), 3)
	for _, x := range recipes {
		d := r.Read(x.Text, measure.Metric)
		require.NotEmpty(t, d.Name, x.Key)
		require.NotNil(t, d.Serves, x.Key)
		require.Empty(t, d.Notices, x.Key)
		lines, steps := 0, 0
		for _, c := range d.Components {
			lines += len(c.Lines)
			steps += len(c.Steps)
			for _, line := range c.Lines {
				require.NotNil(t, line.Food, line.Text)
				require.NotNil(t, line.Grams, line.Text)
			}
		}
		written := 0
		for _, s := range strings.Split(x.Text, "\n") {
			if len(s) > 2 && s[0] >= '1' && s[0] <= '9' && s[1] == '.' && s[2] == ' ' {
				written++
			}
		}
		require.Equal(t, written, steps, "%s: no step is lost", x.Key)
		require.Greater(t, lines, 10, x.Key)
	}
}
