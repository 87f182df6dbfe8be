package recipe_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
)

// Crumpets are what a batch is cut into or counted by, and a food of a list that they open.
func TestAListMayOpenWithWhatBatchesAreCountedBy(t *testing.T) {
	for text, lines := range map[string]int{
		"Eggy bread\n\nServes 2\n\n4 crumpets\n2 eggs\n75 ml milk": 3,
		"Eggy bread\n\n4 crumpets\n2 eggs\n75 ml milk":             3,
		"Bread\n\n12 rolls\n\n500 g flour\n300 ml water":           2, // by itself it is a yield
	} {
		d := reader(t).Read(text+"\n\nMethod\n1. Mix all of it.", measure.Metric)
		require.Len(t, d.Components[0].Lines, lines, text)
	}
}

// An amount of other animal matter behind "plus" is a line of its own, and more of the same is not.
func TestAnotherAnimalMatterBehindPlusIsALine(t *testing.T) {
	for text, foods := range map[string][]string{
		"Parmesan rind, plus 30 g grated Parmesan": {"parmesan-rind", "parmesan"},
		"2 eggs, plus 100 ml milk":                 {"egg", "whole-milk"},
		"1 egg, plus 1 to glaze":                   {"egg", "egg"}, // for two works
		"225 g flour, plus 1 tbsp sugar":           {"plain-flour", "sugar"},
	} {
		d := reader(t).Read("Dish\n\n1 onion\n"+text+"\n\nMethod\n1. Mix all of it.", measure.Metric)
		var got []string
		for _, l := range d.Components[0].Lines[1:] {
			got = append(got, l.FoodID())
		}
		require.Equal(t, foods, got, text)
	}
}
