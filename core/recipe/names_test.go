package recipe_test

import (
	"os"
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

// Names of things to cook with from kitchens all over the world, written before the
// larder was looked into: few may stay unknown.
func TestKnowsTheNamesOfTheWorldsKitchens(t *testing.T) {
	text, err := os.ReadFile("testdata/names_of_the_world.txt")
	require.NoError(t, err)
	r := reader(t)
	names, unknown := 0, []string{}
	for name := range strings.Lines(string(text)) {
		if name = strings.TrimSpace(name); name == "" || name[0] == '#' {
			continue
		}
		names++
		if line := r.Line("100 g "+name, measure.Metric); line.FoodID() == "" {
			unknown = append(unknown, name)
		}
	}
	require.Greater(t, names, 300)
	require.Less(t, float64(len(unknown)), 0.08*float64(names), unknown)
}

// A name that a bare word of another food stands in leads to its own food.
func TestNamesThatHoldTheNameOfAnother(t *testing.T) {
	r := reader(t)
	for name, food := range map[string]string{
		"bitter leaf": "bitter-leaf", "false banana flour": "enset-starch", "garden eggs": "garden-egg", "bombay duck": "bombay-duck", "monkey gland sauce": "monkey-gland-sauce",
		"hog plums": "hog-plum", "acorn flour": "acorn-flour", "bush tomatoes": "bush-tomato", "stinking toe": "", "fish mint": "fish-mint", "curd chillies": "curd-chilli", "bitter almonds": "bitter-almond", "bread flour": "bread-flour", "elephant foot yam": "elephant-yam",
	} {
		line := r.Line("100 g "+name, measure.Metric)
		require.Equal(t, food, line.FoodID(), name)
	}
}
