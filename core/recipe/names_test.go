package recipe_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/knowledge"
)

// Every name that the larder knows, written as a line of its own, must lead
// back to a food of the same origin: no plant name that hides an animal word
// is misread, and no animal one is missed.
func TestEveryNameOfTheLarderReadsBack(t *testing.T) {
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	r := recipe.NewReader(l)
	names := 0
	for _, f := range l.Foods() {
		for _, name := range append([]string{f.Name}, f.Aliases...) {
			names++
			name = strings.NewReplacer("(", "", ")", "").Replace(name)
			line := r.Line("100 g "+name, measure.Metric)
			require.Equal(t, f.Origin, line.Origin, "%q of %s was read as %s: %s", name, f.ID, line.FoodID(), line.Why)
			require.Equal(t, f.Animal, line.Animal, "%q of %s was read as %s", name, f.ID, line.FoodID())
			require.NotNil(t, line.Grams, name)
		}
	}
	require.Greater(t, names, 5000)
}
