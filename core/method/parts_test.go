package method_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/method"
	"yembra/core/recipe"
	"yembra/core/swap"
)

func partsOf(t *testing.T, text string, swaps map[string]string) []swap.Component {
	t.Helper()
	r, b, c := open(t)
	a, err := c.Adapt(r.Read(text, measure.Metric), swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: swaps}, false)
	require.NoError(t, err)
	require.Len(t, a.Swaps, len(swaps))
	return method.Parts(b.Larder(), a)
}

func TestOneSwapForSeveralLinesIsMadeOnceWithTheSum(t *testing.T) {
	parts := partsOf(t, "Pot\n\n300 g smoked sausage\n200 g smoked bacon\n1 onion\n\nMethod\n1. Fry the onion with the sausage and the bacon.", map[string]string{
		line("0"): "root-sausage-smoked", line("1"): "root-sausage-smoked"})
	require.Len(t, parts, 2)
	require.Equal(t, "Smoky chestnuts", parts[0].Name)
	foods := map[string]float64{}
	for _, l := range parts[0].Lines {
		require.Zero(t, foods[l.FoodID()], "%s stands twice", l.Name)
		foods[l.FoodID()] = l.Mass()
	}
	require.InDelta(t, 225, foods["chestnut"], 5, "45 g for each 100 g of the 500 g replaced")
	from := 0
	for _, l := range parts[1].Lines {
		if l.Text == "the smoky chestnuts, from above" {
			from++
		}
	}
	require.Equal(t, 1, from)
}

func TestASwapOfWhatThePartHoldsBesidesIsAPartOfItsOwn(t *testing.T) {
	parts := partsOf(t, "Soup\n\n200 ml double cream\n50 g cashews\n500 ml vegetable stock\n\nMethod\n1. Simmer the cashews in the stock. Stir in the cream.", map[string]string{line("0"): "silken-cashew-cream"})
	require.Len(t, parts, 2, "there are cashews in the soup already")
	require.Equal(t, "Cashew cream", parts[0].Name)
	parts = partsOf(t, "Soup\n\n200 ml double cream\n50 g walnuts\n500 ml vegetable stock\n\nMethod\n1. Simmer the walnuts in the stock. Stir in the cream.", map[string]string{line("0"): "silken-cashew-cream"})
	require.Len(t, parts, 1)
}

// The actions of a part speak of its own lines, and those of the dish of what stands there
// for the lines that went away.
func TestActionsOfPartsNameTheirLines(t *testing.T) {
	parts := partsOf(t, "Pot\n\n1 onion\n300 g smoked sausage\n200 g smoked bacon\n2 carrots\n\nMethod\n1. Fry the onion with the sausage and the bacon. Add the carrots.", map[string]string{
		line("1"): "root-sausage-smoked", line("2"): "root-sausage-smoked"})
	named := func(part, step int) []string {
		var out []string
		for _, a := range parts[part].Steps[step].Actions {
			for _, r := range slices.Concat(a.To, a.With, a.Into) {
				if r.Line != nil {
					c, n, ok := recipe.ParseLineRef(*r.Line)
					require.True(t, ok)
					out = append(out, parts[c].Lines[n].Name)
					require.Equal(t, part, c)
				}
			}
		}
		return out
	}
	require.Contains(t, named(0, 0), "chestnut")
	require.Contains(t, named(1, 0), "onion")
	require.Contains(t, named(1, len(parts[1].Steps)-1), "carrots")
}

// A dressing that is made between two stretches of work on the dish stands in front of both.
func TestADressingIsMadeInFront(t *testing.T) {
	parts := partsOf(t, "Salad\nServes 4\n\n2 chicken breasts\n1 lettuce\n\nDressing\n3 tbsp vinegar\n100 ml olive oil\n\nMethod\n1. Grill the chicken and dice it.\n2. For the dressing, shake the vinegar and oil.\n3. Spread the lettuce on a platter with the dressing and arrange the chicken on top.", map[string]string{line("0"): "seared-mushroom-shreds"})
	require.Equal(t, "Dressing", parts[0].Name)
	require.Len(t, parts[0].Steps, 1)
	require.Contains(t, parts[0].Steps[0].Text, "shake")
}

// A dressing that is tossed at once with what was cooked before it is no part with that cooking in it.
func TestADressingWithinTheWorkOnTheDish(t *testing.T) {
	parts := partsOf(t, "Salad\nServes 4\n\n350 g fusilli\n200 g green beans\n250 g cherry tomatoes\n80 g black olives\n3 eggs, hard-boiled\n\nFor the dressing\n5 tbsp olive oil\n2 tbsp vinegar\n\nMethod\nCook the pasta in boiling water, adding the beans for the last 4 minutes. Drain.\nWhisk the dressing ingredients in a large bowl. Add the pasta and beans and toss.\nAdd the tomatoes and olives.\nArrange the eggs on top and serve.", map[string]string{line("4"): "tofu-piece-egg"})
	require.Equal(t, "Dressing", parts[0].Name)
	require.Empty(t, parts[0].Steps)
	require.Len(t, parts[0].Lines, 2)
	main := parts[len(parts)-1]
	require.Contains(t, main.Steps[0].Text, "Cut the tofu", "what waits long is made ahead")
	require.Contains(t, main.Steps[1].Text, "Cook the pasta")
	require.Contains(t, main.Steps[2].Text, "Whisk the dressing")
}

// A topping that is made on what was cooked before, with more to do then, stays a part where most work on the
// dish was done before it.
func TestAToppingStaysAPart(t *testing.T) {
	parts := partsOf(t, "Bake\nServes 4\n\n2 aubergines, sliced\n500 g minced lamb\n1 onion\n2 tbsp oil\n\nTopping\n60 g flour\n600 ml oat milk\nnutmeg\n\nMethod\n1. Fry the aubergines in the oil. Brown the lamb with the onion.\n2. For the topping, simmer the flour with the milk and nutmeg. Season.\n3. Layer the aubergines and lamb in a dish, spread the topping over and bake for 45 minutes.", map[string]string{line("1"): "lentil-walnut-mince"})
	require.Equal(t, "Topping", parts[len(parts)-1].Name)
	require.NotEmpty(t, parts[len(parts)-1].Steps)
}

// A topping that takes nothing of what was made before stays a part, though most of the dish's lines come after it.
func TestAToppingOfItsOwnStaysAPart(t *testing.T) {
	parts := partsOf(t, "Pie\nServes 4\n\n500 g beef mince\n2 onions\n2 tbsp oil\n1 tsp cumin\n12 olives\n50 g raisins\n2 tomatoes\n1 pepper\n1 courgette\n\nCorn topping\n1 kg sweetcorn\n200 ml oat milk\n10 basil leaves\n\nMethod\n1. Cook the onions in the oil. Brown the mince with the cumin.\n2. Blend the corn with the milk and basil. Cook for 10 minutes until thick.\n3. Spread the mince in a dish with the olives, raisins, tomatoes, pepper and courgette. Cover with the corn and bake for 35 minutes.", map[string]string{line("0"): "lentil-walnut-mince"})
	at := slices.IndexFunc(parts, func(c swap.Component) bool { return c.Name == "Corn topping" })
	require.GreaterOrEqual(t, at, 0)
	require.NotEmpty(t, parts[at].Steps)
	require.Contains(t, parts[at].Steps[0].Text, "Blend the corn")
}
