package recipe_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
)

// used returns the names of the lines that each step of a recipe uses.
func used(d recipe.Dish) [][]string {
	var all [][]string
	for _, c := range d.Components {
		for _, s := range c.Steps {
			names := []string{}
			for _, n := range s.Lines {
				names = append(names, c.Lines[n].Name)
			}
			all = append(all, names)
		}
	}
	return all
}

func TestStepsThatReferWithoutNaming(t *testing.T) {
	list := "Pot\n\nIngredients\n2 onions\n3 carrots\n1 tsp cumin\n1 tsp turmeric\n200 g red lentils\nsmall bunch of parsley\n\nMethod\n"
	for _, c := range []struct {
		steps string
		want  [][]string
	}{
		{"1. Fry the onions for 5 minutes.\n2. Add the spices and stir for a minute.", [][]string{{"onions"}, {"cumin", "turmeric"}}},
		{"1. Boil the lentils for 20 minutes.\n2. Drain them well and set aside.", [][]string{{"red lentils"}, {"red lentils"}}},
		{"1. Chop the vegetables finely.\n2. Stir in half the chopped herbs.", [][]string{{"onions", "carrots"}, {"parsley"}}},
		{"1. Fry the onions until soft.\n2. Add the remaining ingredients and simmer for 20 minutes.", [][]string{{"onions"}, {"carrots", "cumin", "turmeric", "red lentils", "parsley"}}},
		{"1. Put everything into a pot and cover with water.", [][]string{{"onions", "carrots", "cumin", "turmeric", "red lentils", "parsley"}}},
		{"1. Add half the parsley.\n2. Scatter over the remaining parsley.", [][]string{{"parsley"}, {"parsley"}}},
	} {
		require.Equal(t, c.want, used(reader(t).Read(list+c.steps, measure.Metric)), c.steps)
	}
}

func TestARecipesOwnMeasuresAreToldFromTheKitchens(t *testing.T) {
	text := "Slice\nAustralian tablespoons are used throughout.\n\nIngredients\n2 tbsp water\n1 cup sugar\n\nMethod\n1. Mix the sugar and the water."
	d := reader(t).Read(text, measure.US)
	require.Equal(t, measure.Australian, d.Measures)
	require.Contains(t, strings.ToLower(d.Habit.Words), "australian tablespoon")
	require.InDelta(t, 40, d.Components[0].Lines[0].Grams.Low, 0.1, "two spoons of 20 ml")

	d = reader(t).Read(strings.Replace(text, "Australian tablespoons are used throughout.", "", 1), measure.US)
	require.Nil(t, d.Habit)
	require.Equal(t, measure.US, d.Measures)
	for said, system := range map[string]measure.System{
		"1 imperial pint of milk": measure.Imperial, "US cups": measure.US, "a cup is 250 ml": measure.Metric, "20 ml tablespoon": measure.Australian,
	} {
		require.Equal(t, system, reader(t).Habit(said).System, said)
	}
}

func TestLadysFingersInBothSenses(t *testing.T) {
	r := reader(t)
	cake := r.Read("Cake\n\nIngredients\n24 lady fingers\n250 g mascarpone\n\nMethod\n1. Layer them.", measure.Metric)
	require.Equal(t, "ladyfingers", cake.Components[0].Lines[0].FoodID())
	require.Contains(t, cake.Components[0].Lines[0].Why, "what else is in the recipe")
	curry := r.Read("Curry\n\nIngredients\n300 g lady's fingers\n1 tsp turmeric\n\nMethod\n1. Fry them.", measure.Metric)
	require.Equal(t, "okra", curry.Components[0].Lines[0].FoodID())
}
