package recipe_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
)

const memoir = `My aunt cooked this every Friday. The whole street could smell it, and we ran
home from school for it, whatever the weather was.

# Fisherman's pot

*Serves 4 to 6*

## Ingredients
* 1 kg cod fillet
- 2 onions, sliced
• 500 ml milk

For the crust:
200 g breadcrumbs
50 g Parmesan, grated

## Method
1. Fry the onions for 10 minutes, then add the cod and the milk and simmer for
   15 minutes until the fish flakes.
2. Scatter the breadcrumbs and cheese over and grill for 5 minutes. Glaze with egg.

## Notes
Keeps for two days. 2 cups of leftovers make a soup.
`

func TestLayoutOfAWholeRecipe(t *testing.T) {
	d := reader(t).Read(memoir, measure.Metric)
	require.Equal(t, "Fisherman's pot", d.Name)
	require.Equal(t, &measure.Span{Low: 4, High: 6}, d.Serves)
	require.Len(t, d.Components, 2)
	require.Equal(t, "Crust", d.Components[1].Name)
	require.Len(t, d.Components[0].Lines, 3, "the memoir and the notes are left out")
	require.Len(t, d.Components[1].Lines, 2)
	require.Len(t, d.Components[0].Steps, 1)
	require.Len(t, d.Components[1].Steps, 1, "steps go to the part whose lines they name")
	kinds := []string{}
	for _, n := range d.Notices {
		kinds = append(kinds, n.Kind)
	}
	require.Contains(t, kinds, recipe.OnlyInStep, "egg is only in a step")
}

func TestLayoutWithoutHeadings(t *testing.T) {
	d := reader(t).Read("Pancakes\nMakes 8\n\n250g flour\n2 eggs\n500ml milk\npinch of salt\n\nWhisk everything together and rest for 30 minutes. Fry in a hot pan until golden.", measure.Metric)
	require.Equal(t, "Pancakes", d.Name)
	require.Equal(t, 8.0, d.Serves.Low)
	require.Len(t, d.Components[0].Lines, 4)
	require.Len(t, d.Components[0].Steps, 1)
}

func TestServingsAmongTimes(t *testing.T) {
	d := reader(t).Read("Roast\nPrep: 20 mins | Cook: 1 hr | Serves: 6\n\n1 (4 lb) whole chicken\n1/4 cup all-purpose flour\n2 cups chicken stock\n\nRub the chicken all over and roast for 80 minutes, basting every 20 minutes.", measure.US)
	require.Equal(t, 6.0, d.Serves.Low)
	require.Equal(t, []int{0}, d.Components[0].Steps[0].Lines, "neither the flour nor the stock is used here")
	require.Equal(t, 80.0, d.Components[0].Steps[0].Minutes.Low)
}

func TestTextWithoutARecipe(t *testing.T) {
	r := reader(t)
	novel := strings.Repeat("It was a grey morning, and nobody at the harbour had yet spoken. She walked on. ", 60)
	for _, text := range []string{"", "   \n\n", novel, "¯\\_(ツ)_/¯", "\x00\xff"} {
		d := r.Read(text, measure.US)
		kinds := []string{}
		for _, n := range d.Notices {
			kinds = append(kinds, n.Kind)
		}
		require.Subset(t, []string{recipe.NoRecipe, recipe.NoLines}, kinds)
		require.NotEmpty(t, kinds)
	}
}

func TestPartsOfASingleIngredientAreParts(t *testing.T) {
	r := reader(t)
	for _, text := range []string{
		"Pie\n\nMeat filling\n\n500 g beef mince\n\nCrust\n\n200 g flour\n\nMethod\n1. Brown the mince for 10 minutes.\n2. Roll out the flour with water.",
		"Pie\n\nMeat filling\n500 g beef mince\n\nCrust\n200 g flour\n\nMethod\n1. Brown the mince for 10 minutes.\n2. Roll out the flour with water.",
		"Pie\n\nMeat filling\n500 g beef mince\n\nCrust\n200 g flour\n1 tsp salt\n\nMethod\n1. Brown the mince for 10 minutes.\n2. Roll out the flour with water.",
	} {
		d := r.Read(text, measure.Metric)
		require.Equal(t, "Pie", d.Name, text)
		require.Len(t, d.Components, 2, text)
		for i, want := range []struct{ name, line string }{{"Meat filling", "500 g beef mince"}, {"Crust", "200 g flour"}} {
			require.Equal(t, want.name, d.Components[i].Name, text)
			require.Equal(t, want.line, d.Components[i].Lines[0].Text, text)
			require.Len(t, d.Components[i].Steps, 1, text)
		}
	}
	d := r.Read("We ate 300 g beef mince pies by the sea, and I still dream of them.\n\nPie\n\n500 g beef mince\n1 onion\n\nMethod\n1. Fry the onion.", measure.Metric)
	require.Len(t, d.Components, 1)
	require.Len(t, d.Components[0].Lines, 2, "talk above the list stays out")
}

// Steps that count up without a stop behind their figures are steps; a list of whole
// things is none.
func TestBareNumbersOfSteps(t *testing.T) {
	r := reader(t)
	d := r.Read("Rice\nServes 4\n\n450 g smoked haddock\n300 ml milk\n4 eggs\n300 g rice\n\n1 Cover the haddock with the milk and poach for 8 mins.\n2 Hard-boil the eggs for 9 mins, cool and peel.\n3 Fork through the fish. Top with the eggs.", measure.Metric)
	require.Len(t, d.Components[0].Lines, 4)
	require.Len(t, d.Components[0].Steps, 3)
	require.Equal(t, "Hard-boil the eggs for 9 mins, cool and peel.", d.Components[0].Steps[1].Text)
	d = r.Read("Salad\nServes 2\n\n1 Large red onion, finely sliced\n2 Ripe tomatoes, cut in wedges\n3 Small cucumbers, peeled and sliced\n\nMethod\nMix everything and chill for 10 minutes.", measure.Metric)
	require.Len(t, d.Components[0].Lines, 3)
}
