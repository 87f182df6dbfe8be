package recipe_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

func TestTheNameOfADishIsNoIngredient(t *testing.T) {
	for _, x := range []struct {
		first, name string
		serves      float64
	}{
		{"Fish pie\nServes 6", "Fish pie", 6},
		{"Beef stroganoff for 4", "Beef stroganoff", 4},
		{"Spaghetti alla carbonara — 4 portions\n", "Spaghetti alla carbonara", 4},
		{"Fried cod — serves 4\n", "Fried cod", 4},
		{"Fried cod (makes 6)\n", "Fried cod", 6},
		{"A cod from my neighbour\nServes 6", "A cod from my neighbour", 6},
		{"Cod with 3 peppers\nServes 2", "Cod with 3 peppers", 2},
	} {
		d := reader(t).Read(x.first+"\n600g cod, in strips\n50g butter\n1 onion, sliced\n\nMelt the butter and fry the onion for 8 minutes. Add the cod and warm it through.", measure.Metric)
		require.Equal(t, x.name, d.Name)
		require.NotNil(t, d.Serves, x.first)
		require.Equal(t, x.serves, d.Serves.Mid(), x.first)
		require.Len(t, d.Components[0].Lines, 3, x.first)
	}
}

func TestAMethodWithoutAHeadingBeginsWithItsFirstSentence(t *testing.T) {
	d := reader(t).Read("Gyoza\nMakes 30\n\nFilling\n200g minced pork\n200g napa cabbage, finely chopped\n30 gyoza wrappers\n\nSalt the cabbage, leave 10 mins, squeeze dry. Mix with pork until sticky.\nPut a teaspoon in each wrapper and pleat shut.", measure.Metric)
	require.Len(t, d.Components[0].Lines, 3)
	require.Len(t, d.Components[0].Steps, 2)
	require.Equal(t, []int{0, 1}, d.Components[0].Steps[0].Lines)
}

func TestAStepGoesToThePartItNames(t *testing.T) {
	d := reader(t).Read("Curry\nServes 4\n\nMarinade\n800 g chicken thighs\n150 g yoghurt\n1 tsp garam masala\n\nSauce\n50 g butter\n2 onions\n400 g tin tomatoes\n100 ml cream\n\n1) Mix the chicken with everything for the marinade and chill for 2 hours.\n2) Fry the onions in the butter, add the tomatoes and cream and simmer for 20 minutes.", measure.Metric)
	require.Equal(t, []int{0, 1, 2}, d.Components[0].Steps[0].Lines)
	require.Len(t, d.Components[1].Steps, 1)
}

func TestYolksAndWhitesAreThoseOfTheListedEggs(t *testing.T) {
	d := reader(t).Read("Cream\nServes 4\n\n4 eggs, separated\n100 g sugar\n500 g mascarpone\n100 ml white wine\n\nMethod\n1. Whisk the yolks with the sugar and fold in the mascarpone.\n2. Whisk the whites until stiff and fold them in.\n3. Stir in the white wine.", measure.Metric)
	steps := d.Components[0].Steps
	require.Contains(t, steps[0].Lines, 0)
	require.Contains(t, steps[1].Lines, 0)
	require.Equal(t, recipe.Animal{"white", "egg"}, steps[1].Animals[0])
	require.NotContains(t, steps[2].Lines, 0)
	require.Empty(t, steps[2].Animals)
}

func TestALineOfTwoPartsIsTwoLines(t *testing.T) {
	for line, want := range map[string][]string{
		"finely grated zest of 2 lemons and 75ml of their juice": {"lemon-zest", "lemon-juice"},
		"zest of 1 orange and 2 tbsp juice":                      {"orange-zest", "orange-juice"},
		"1 onion and 2 tbsp lemon juice":                         {"onion", "lemon-juice"},
	} {
		d := reader(t).Read("Cake\nServes 4\n\n150 g sugar\n200 g flour\n"+line+"\n\nMethod\n1. Mix everything.", measure.Metric)
		var got []string
		for _, l := range d.Components[0].Lines[2:] {
			got = append(got, l.FoodID())
		}
		require.Equal(t, want, got, line)
	}
}

func TestAListKeepsTheLinesAtItsHead(t *testing.T) {
	d := reader(t).Read("Lamb bake, from the back of an envelope\n\nlamb neck fillet 800g sliced\nlamb kidneys 2, cored and chopped (leave out if squeamish)\nonions 3 big ones sliced\npotatoes 1kg sliced thin\nbutter 40g\n\nfeeds 4\n\nbrown the lamb and kidneys in half the butter and lift out. layer with the potatoes and bake for an hour.", measure.Metric)
	require.Len(t, d.Components[0].Lines, 5)
	require.Equal(t, "kidney-meat", d.Components[0].Lines[1].FoodID())
	require.Equal(t, larder.FromAnimal, d.Components[0].Lines[0].Origin)
}
