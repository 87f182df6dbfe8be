package method_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
)

// A booster goes in where something is stirred, not between a brushed tin and what is
// laid in it, and before what is poured over or scattered at the end.
func TestBoostersGoInWhereSomethingIsStirred(t *testing.T) {
	r, _, c := open(t)
	for _, x := range []struct{ text, food, before string }{
		{"Pie\nServes 8\n\n1 kg spinach\n6 spring onions, sliced\n2 tbsp olive oil\n10 sheets filo pastry\n\nMethod\n1. Fry the spring onions in half the oil for 3 minutes and mix with the spinach.\n2. Brush a 30 cm tin with the other oil.\n3. Layer five sheets of filo in it and spread the spinach over. Bake at 190 C for 40 minutes.", "miso", "Brush"},
		{"Stew\nServes 4\n\n800 g potatoes\n500 ml water\n1 bunch parsley\n\nMethod\n1. Simmer the potatoes in the water for 20 minutes.\n2. Scatter over the parsley.", "miso", "Scatter"},
		{"Sauce\nServes 4\n\n400 ml tinned tomatoes\n400 g cooked beans\n\nMethod\n1. Simmer the tomatoes for 20 minutes.\n2. Pour over the beans.", "miso", "Pour"},
	} {
		a, err := c.Adapt(r.Read(x.text, measure.Metric), swap.Decisions{Boosters: []swap.Dose{{Food: x.food, Grams: 20}}}, false)
		require.NoError(t, err)
		steps := a.Components[0].Steps
		added := slices.IndexFunc(steps, func(s swap.Step) bool { return s.Change == swap.Added })
		closing := slices.IndexFunc(steps, func(s swap.Step) bool { return len(s.Text) >= len(x.before) && s.Text[:len(x.before)] == x.before })
		require.GreaterOrEqual(t, added, 0, x.text)
		require.Less(t, added, closing, "%v", steps)
	}
}

// A part of the dish is called after what stands in it, not after another part's.
func TestAPartIsCalledAfterItsOwnStandIn(t *testing.T) {
	r, _, c := open(t)
	d := r.Read("Balls\nServes 4\n\nBalls\n50 g breadcrumbs\n400 ml milk\n\nMushroom cream\n2 tbsp flour\n300 ml water\n100 ml cream\n\nMethod\n1. Soak the breadcrumbs in the milk and roll into balls. Fry for 8 minutes.\n2. Whisk the flour into the water, simmer for 5 minutes and add the cream.", measure.Metric)
	a, err := c.Adapt(d, swap.Decisions{Swaps: map[string]string{"components[0].lines[1]": "soy-drink-for-milk", "components[1].lines[2]": "silken-cashew-cream"}}, false)
	require.NoError(t, err)
	require.Contains(t, a.Components[1].Name, "ashew")
	require.NotContains(t, a.Components[1].Name, "drink")
}

// What was closed and braises in a sauce has a pot to stir into: a booster goes there, not
// into the filling or over it.
func TestABoosterGoesIntoTheSauceOfWhatBraises(t *testing.T) {
	r, _, c := open(t)
	rolls := "Rolls\nServes 4\n\n8 cabbage leaves\n300 g cooked rice\n1 onion, chopped\n2 tbsp olive oil\n500 ml vegetable stock\n\nMethod\n1. Fry the onion in the oil for 5 minutes and mix it with the rice.\n2. Fill the leaves and roll them up.\n3. Lay the rolls in a pot, pour in the stock and simmer for 40 minutes."
	a, err := c.Adapt(r.Read(rolls, measure.Metric), swap.Decisions{Boosters: []swap.Dose{{Food: "miso", Grams: 20}}}, false)
	require.NoError(t, err)
	steps := a.Components[0].Steps
	added := slices.IndexFunc(steps, func(s swap.Step) bool { return s.Change == swap.Added })
	braised := slices.IndexFunc(steps, func(s swap.Step) bool { return slices.Contains(s.Techniques, "simmer") })
	require.Greater(t, added, braised, a.Components[0].Steps[added].Text)
}
