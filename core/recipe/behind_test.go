package recipe_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
)

func TestLinesBehindTheirFigures(t *testing.T) {
	for text, want := range map[string]string{
		"2 large onions": "large onions", "1 1/2 cups stock (hot)": "cups stock (hot)", "1–2 onions": "onions", "200g rice": "g rice", "½ lime": "lime",
		"2 (400 g) tins": "(400 g) tins", "salt": "salt", "12": "", "": "",
	} {
		require.Equal(t, want, recipe.BehindFigure(text), text)
	}
	for text, want := range map[string]string{
		"(400 g) tins tomatoes": "tins tomatoes", "(hot) stock": "(hot) stock", "(about 2 kg": "(about 2 kg", "tins (400 g)": "tins (400 g)", "": "",
	} {
		require.Equal(t, want, recipe.BehindBrackets(text), text)
	}
}
