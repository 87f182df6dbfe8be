package swap_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

func TestAFactorOnASwapsAmounts(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Set milk\n\n3 large eggs\n400 ml milk\n\nMethod\n1. Beat the eggs into the milk and bake for 30 minutes until set.", measure.Metric)
	ref := "components[0].lines[0]"
	dec := swap.Decisions{HouseRules: house(swap.WholeFood), Swaps: map[string]string{ref: "chickpea-custard"}, Amounts: map[string]float64{ref: 1.5}}
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	require.InDelta(t, 1.5*3*14, a.Components[0].Lines[0].Mass(), 3)
	require.InDelta(t, 1.5, a.Swaps[0].Amount, 1e-9)
}

func TestAmountsFollowTheReplacedMass(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Set milk\n\n3 large eggs\n400 ml milk\n\nMethod\n1. Beat the eggs into the milk and bake for 30 minutes until set.", measure.Metric)
	dec := swap.Decisions{HouseRules: house(swap.WholeFood), Swaps: map[string]string{"components[0].lines[0]": "chickpea-custard"}}
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	require.Equal(t, "chickpea-flour", a.Components[0].Lines[0].FoodID())
	require.InDelta(t, 3*14, a.Components[0].Lines[0].Mass(), 2.5, "14 g of chickpea flour for each egg")
	require.Equal(t, "set", a.Swaps[0].Use)
	require.NotEmpty(t, a.Swaps[0].Rule)
}

func TestSaltLineIsLoweredByWhatSwapsBring(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Ragout\n\n500 g beef mince\n2 tsp salt\n\nMethod\n1. Brown the mince and salt it.", measure.Metric)
	dec := swap.Decisions{HouseRules: house(swap.WholeFood), Swaps: map[string]string{"components[0].lines[0]": "lentil-walnut-mince"}}
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	lines := a.Components[0].Lines
	salt := lines[len(lines)-1]
	require.Equal(t, swap.Adjusted, salt.Change)
	require.Less(t, salt.Mass(), d.Components[0].Lines[1].Mass())
	require.Contains(t, salt.Why, "Lowered from 2 tsp salt")
}

func TestMatterOfWhichOnlyTheClassIsKnownGetsItsUsualSwap(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Stir-fry\n\n300 g wagyu slices\n1 onion\n\nMethod\n1. Fry the wagyu slices with the onion.", measure.Metric)
	require.Equal(t, larder.Meat, d.Components[0].Lines[0].Animal)
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood)}, swap.Closest)
	require.NoError(t, err)
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	require.Empty(t, a.Unresolved)
	require.Greater(t, a.Components[0].Lines[0].Mass(), 50.0)
}

func TestEveryKindOfAnimalMatterHasASwap(t *testing.T) {
	k := open(t)
	for _, f := range k.book.Larder().Foods() {
		if f.Origin != larder.FromAnimal {
			continue
		}
		grams := measure.Exactly(100)
		d := recipe.Dish{Components: []recipe.Component{{Lines: []recipe.Line{{Name: f.Name, Food: &f.ID, Form: larder.RawForm, Grams: &grams, Origin: f.Origin, Animal: f.Animal}}}}}
		dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood)}, swap.Simplest)
		require.NoError(t, err)
		require.NotEmpty(t, dec.Swaps, "%s (%s)", f.ID, f.Kind)
	}
}

func TestAnAnimalChoiceInAPlantLineIsLeftOut(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Onions\n\n2 tbsp olive oil or butter\n2 onions\n\nMethod\n1. Fry the onions.", measure.Metric)
	require.Equal(t, larder.Mixed, d.Components[0].Lines[0].Origin)
	a, err := k.book.Apply(d, swap.Decisions{}, false)
	require.NoError(t, err)
	line := a.Components[0].Lines[0]
	require.Equal(t, swap.Adjusted, line.Change)
	require.Equal(t, larder.FromPlant, line.Origin)
	require.NotContains(t, line.Text, "butter")
	require.Empty(t, line.Alternatives)
}
