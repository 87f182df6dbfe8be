package flow

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
)

// A verb that only leads to another is done with what it names, or with what is in hand; a tool is how.
func TestWhatIsUsedToDoSomething(t *testing.T) {
	hear(t, []way{
		{"with a thing", "300 g pasta shells|250 g tofu", "Boil the shells. Use the tofu to stuff the shells.", []string{"a0 boil/boil(0.0)", "a1 stuff/stuff(@a0; with 0.1)"}},
		{"with some of it", "300 g pasta shells|250 g tofu", "Boil the shells. Use half the tofu to coat the shells.", []string{"a0 boil/boil(0.0)", "a1 coat/coat(@a0; with 0.5×0.1)"}},
		{"with what is in hand", "300 g pasta shells|250 g tofu|100 g peas", "Boil the shells. Mix the tofu with the peas and use to fill the shells.", []string{"a0 boil/boil(0.0)", "a1 mix/mix(0.1; with 0.2)", "a2 fill/stuff(@a0; with @a1)"}},
		{"with a tool", "100 g peas", "Use a fork to mash the peas.", []string{"a0 mash/mash(0.0; how: with a fork)"}},
		{"with a spoon that measures too", "300 g pasta shells|250 g tofu", "Boil the shells. Use a teaspoon to stuff the tofu into the shells.", []string{"a0 boil/boil(0.0)", "a1 stuff/stuff(0.1; into @a0; how: with a teaspoon)"}},
		{"nothing but a thing", "500 g potatoes|150 g soured cream", "Boil the potatoes. Use the soured cream as a topping.", []string{"a0 boil/boil(0.0)", "a1 use/add(0.1; into @a0)"}},
		{"kept for so long", "250 g tofu", "Press the tofu. Use the tofu within 2 days.", []string{"a0 press/press(0.0)", "remark: Use the tofu within 2 days"}},
		{"no work", "250 g tofu", "Press the tofu. Use at once.", []string{"a0 press/press(0.0)", "remark: Use at once"}},
	})
}

// A share is taken of all that its noun speaks of, once; what extra is listed for does not use the rest up.
func TestWhatIsTakenOnce(t *testing.T) {
	hear(t, []way{
		{"a third of several", "2 carrots|1 leek|1 litre stock", "Simmer the carrots and leek in the stock. Take out a third of the vegetables, mash the rest.", []string{"a0 simmer/simmer(0.0, 0.1; with 0.2)", "a1 take out/remove(0.333×@a0, 0.333×@a0)", "a2 mash/mash(0.667×@a0)"}},
		{"besides what it measures", "200 g butter, plus extra for greasing|200 g golden syrup", "Grease a deep 22 cm square cake tin. Melt the syrup and butter.", []string{"a0 grease/grease('deep 22 cm square cake tin; with 0.025×0.0)", "a1 melt/melt(0.1, 0.975×0.0)"}},
		{"all that is for the tin", "20 g butter, for greasing|200 g golden syrup", "Grease a tin. Melt the syrup.", []string{"a0 grease/grease('tin; with 0.0)", "a1 melt/melt(0.1)"}},
	})
}

// A word that describes a thing of the list is no order, and a length stands within a vessel's name.
func TestWordsOfANameAreNoOrders(t *testing.T) {
	hear(t, []way{
		{"brown meat of a crab", "150 ml cream|100 g brown crabmeat|300 g white crabmeat", "Simmer the cream. Stir in the mustard and brown crabmeat. Fold in the white crabmeat.", []string{"a0 simmer/simmer(0.0)", "a1 stir in/stir('mustard, 0.1; into @a0)", "a2 fold in/fold(0.2; into @a1)"}},
		{"whites behind which stands how they are cut", "2 hard-boiled eggs|1 tbsp parsley|200 g almonds", "Pound the almonds with the yolks. Scatter with the whites, chopped, and the parsley.", []string{"a0 pound/crush(0.2; with 0.34×0.0)", "a1 scatter/sprinkle(@a0; with 0.66×0.0, 0.1)"}},
		{"the ones of them", "500 g floury potatoes|500 g waxy potatoes", "Boil the waxy potatoes; the floury ones should fall apart.", []string{"a0 boil/boil(0.1)", "remark: the floury ones should fall apart"}},
		{"beef that waits, beside its broth", "300 g rice noodles|300 g sirloin steak|1 litre beef stock", "Simmer the stock. Soak the noodles, drain and divide among bowls. Lay the raw beef on top and ladle over the broth.", []string{"a0 simmer/simmer(0.2)", "a1 soak/soak(0.0)", "a2 drain/drain(@a1)", "a3 divide among bowls/serve(@a2; into 'bowls)", "a4 lay on/add(0.1; into @a3)", "a5 ladle over/pour(@a0; into @a4)"}},
	})
}

// What only limits a sign of a cue is told of it.
func TestWhatLimitsASign(t *testing.T) {
	a := reader(t).Read("Eggs\n\n4 eggs\n\nMethod\n1. Cook the eggs until just set underneath but still runny on top.", measure.Metric).Components[0].Steps[0].Actions
	require.Len(t, a, 1)
	require.Equal(t, []recipe.Sign{{Text: "just set underneath"}, {Text: "still runny on top", But: true}}, a[0].Words.Signs)
}
