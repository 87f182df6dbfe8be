package recipe_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
)

// A sign joins foods as a word does, and a method without a list is read as far as it goes.
func TestASignJoinsFoodsAsAWordDoes(t *testing.T) {
	r := reader(t)
	for _, text := range []string{"200 g potatoes & bacon", "200 g potatoes + bacon", "200 g potatoes and bacon"} {
		l := r.Line(text, measure.Metric)
		require.NotEqual(t, larder.FromPlant, l.Origin, text)
	}
	d := r.Read("Tea\n\nMethod\n1. Boil the kettle.", measure.Metric)
	require.Len(t, d.Components, 1)
	require.Empty(t, d.Components[0].Lines)
	require.Len(t, d.Components[0].Steps, 1)
}
