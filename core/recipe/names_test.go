package recipe_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
)

// Every name that the larder knows, written as a line of its own, must lead
// back to a food of the same origin: no plant name that hides an animal word
// is misread, and no animal one is missed.
func TestEveryNameOfTheLarderReadsBack(t *testing.T) {
	l, err := shipped()
	require.NoError(t, err)
	r := flow.NewReader(l)
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

// Every word that names animal matter by itself is found in a step, but for
// those that are also plain words of the kitchen.
func TestAStepNamesTheMeatByItsPlainName(t *testing.T) {
	r := reader(t)
	for word, class := range map[string]larder.Animal{
		"chicken": larder.Poultry, "duck": larder.Poultry, "beef": larder.Meat, "pork": larder.Meat, "lamb": larder.Meat, "bacon": larder.Meat, "salmon": larder.Fish,
		"cod": larder.Fish, "prawns": larder.Shellfish, "mussels": larder.Shellfish, "butter": larder.Dairy, "cheese": larder.Dairy, "milk": larder.Dairy, "eggs": larder.Egg, "honey": larder.Honey, "lard": larder.Fat,
	} {
		s := r.Step("Return the "+word+" to the pot.", nil)
		require.Len(t, s.Animals, 1, word)
		require.Equal(t, class, s.Animals[0].Animal, word)
	}
}
