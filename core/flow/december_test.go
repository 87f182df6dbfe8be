package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What the reader made of recipes of December otherwise than their cooks meant it.
func TestWhatIsMeantInDecember(t *testing.T) {
	hear(t, []way{
		{"another measured amount is as much again", "800 g potatoes|1 leek|50 g flour|75 g butter", "Mash the potatoes with 25 g of the butter. Soften the leek in another 25 g of butter. Melt the remaining butter.", []string{"a0 mash/mash(0.0; with 0.333×0.3)", "a1 soften/sweat(0.1; with 0.333×0.3)", "a2 melt/melt(0.333×0.3)"}},
		{"a further amount of nothing named is of what was measured last", "800 g potatoes|1 leek|75 g butter", "Mash the potatoes with 25 g of the butter. Soften the leek in a further 25 g.", []string{"a0 mash/mash(0.0; with 0.333×0.2)", "a1 soften/sweat(0.1; with 0.333×0.2)"}},
		{"in a pot that was wiped out", "1 leek|2 litres stock|50 g butter", "Simmer the stock. Wipe out the pot, melt the butter in it and sweat the leek.", []string{"a0 simmer/simmer(0.1)", "a1 wipe out/wash-pan()", "a2 melt/melt(0.2)", "a3 sweat/sweat(0.0; with @a2)"}},
		{"what tops a bowl is brought to the table", "300 g ham|2 litres stock", "Simmer the ham in the stock. Lift out the ham. Ladle the stock into bowls, topping each one with the ham.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 lift out/remove(@a0)", "a2 ladle into bowls/serve(@a0; into 'bowls)", "a3 top/top(@a2; with @a1)"}},
		{"the crust that is torn off is not", "300 g ham|2 litres stock|1 loaf bread", "Simmer the ham in the stock. Serve with the bread, tearing off the crust.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 serve/serve(@a0; with 0.2; how: tearing off the crust)"}},
		{"the fat of a body", "1 ham hock|20 g butter|1 leek", "Fry the leek in the butter. Pull the meat off the hock, discarding the skin and fat.", []string{"a0 fry/fry(0.2; with 0.1)", "a1 pull/pick(0.0)", "a2 discard/discard('skin, 'fat)"}},
		{"a Dutch oven is a pot", "6 slices bacon", "Cook the bacon in a Dutch oven until crisp.", []string{"a0 cook/cook(0.0; until crisp)"}},
		{"out of its skin", "6 pork sausages", "Slip the sausages out of their skins.", []string{"a0 slip skins/peel(0.0)"}},
		{"back into the pot, and not to the bone", "1 ham bone|500 g pork|2 litres water", "Simmer the pork and the bone in the water. Fish out the bone. Take out the pork, slice it and put it back.", []string{"a0 simmer/simmer(0.1, 0.0; with 0.2)", "a1 fish out/remove(@a0)", "a2 take out/remove(@a0)", "a3 slice/slice(@a2)", "a4 put back/return(@a3; into @a0)"}},
		{"drippings that are left in a pot are no dish", "6 slices bacon|1 litre stock", "Cook the bacon in a pot until crisp. Leave 2 tablespoons of drippings in the pot. Pour in the stock.", []string{"a0 cook/cook(0.0; until crisp)", "a1 leave/rest('drippings)", "a2 pour in/pour(0.1; into @a0)"}},
	})
}

// Steps that stand under no heading go to the part that they are about.
func TestStepsGoToThePartTheyAreAbout(t *testing.T) {
	const list = "Dish\nServes 4\n\nFor the chicken:\n700 g chicken thighs\n3 tbsp olive oil\njuice of 1 lemon\n2 tbsp flour\n\nFor the garlic sauce:\n150 g yogurt\n1 tbsp lemon juice\n1 tbsp flour\n\nMethod\n"
	for text, of := range map[string]int{
		"Stir together all the ingredients for the sauce.":                       1, // by the last word of its name
		"While the oven heats, stir together all the ingredients for the sauce.": 1,
		"Tip everything round the chicken onto a tray and roast for 30 minutes.": 0, // and not to the part of which most is left
		"Stir the flour into the yogurt.":                                        1,
	} {
		d := read(t, list+"1. Toss the chicken in the oil, lemon juice and flour.\n2. "+text)
		require.Len(t, d.Components, 2, text)
		require.Len(t, d.Components[of].Steps, 2-of, "%s: %v", text, d.Components)
	}
	d := read(t, list+"1. Toss the chicken in the oil and lemon juice.")
	require.Equal(t, []int{0, 1, 2}, d.Components[0].Steps[0].Lines, "the lemon of the part, and not its like in another")
}
