package recipe_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
)

// What stands before the first of several foods of a line is said of that alone, what stands behind them, and what a line is for, of all.
func TestWhatALineSaysOfAllItsFoods(t *testing.T) {
	l, err := shipped()
	require.NoError(t, err)
	for want, lines := range map[string][]recipe.Line{
		"": {
			{Text: "grated cheddar and coriander", Name: "cheddar and coriander", Preparation: "grated"},
		},
		"chopped": {
			{Text: "soured cream and chives, chopped", Name: "soured cream and chives", Preparation: "chopped"},
		},
		"To serve": {
			{Text: "To serve: soured cream and chives", Name: "soured cream and chives", Preparation: "To serve"},
			{Text: "Whipped, To serve: cream and berries", Name: "cream and berries", Preparation: "Whipped, To serve"},
		},
	} {
		for _, line := range lines {
			require.Equal(t, want, line.SaidOfAll(l.Language()), line.Text)
		}
	}
}
