package swap_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
)

// Stand-ins are chosen as a set: a cook blends one nut cream and not two, makes one
// mince for two, fries in fat what is to brown, and brings no coconut into a chowder.
func TestProposalsMakeSenseAsASet(t *testing.T) {
	k := open(t)
	l := k.book.Larder()
	creams := func(swaps map[string]string) int {
		made := map[string]bool{}
		for _, id := range swaps {
			sw := l.SwapNamed(id)
			nuts := slices.ContainsFunc(sw.Formula, func(p larder.Part) bool { return l.Food(p.Food).Aisle == "nuts" })
			if nuts && slices.ContainsFunc(sw.Prepare, func(p larder.Preparation) bool { return slices.Contains(p.Kit, "blender") }) {
				made[id] = true
			}
		}
		return len(made)
	}
	chowder, _ := k.chosen(t, "Chowder\nServes 6\n\n115 g salt pork, diced\n1 onion, diced\n700 g waxy potatoes, cubed\n500 ml whole milk\n250 ml single cream\n600 ml water\n\nMethod\n1. Render the salt pork in a pot until crisp and cook the onion in the fat for 8 minutes.\n2. Add the potatoes and water and simmer for 15 minutes. Stir in the milk and cream and heat through without boiling.")
	require.LessOrEqual(t, creams(chowder), 1, chowder)
	for _, p := range l.SwapNamed(chowder[first]).Formula {
		require.NotEqual(t, "coconut", l.Signature(l.Food(p.Food)).Family, "%v", chowder)
	}

	patties, _ := k.chosen(t, "Patties\nServes 6\n\n600 g minced beef\n300 g minced lamb\n1 onion, grated\n1 tsp paprika\n\nMethod\n1. Mix the meats with the onion and paprika and shape into patties. Grill for 4 minutes a side.")
	require.Equal(t, patties[first], patties["components[0].lines[1]"])

	quiche, _ := k.chosen(t, "Quiche\nServes 6\n\n3 eggs\n2 egg yolks\n300 ml double cream\n200 g leeks\n\nMethod\n1. Beat the eggs, yolks and cream, pour over the leeks and bake for 35 minutes until just set.")
	require.Equal(t, quiche[first], quiche["components[0].lines[1]"], "eggs and yolks that set one thing")

	onions, _ := k.chosen(t, "Onions\nServes 4\n\n60 g butter\n1 kg onions, sliced\n\nMethod\n1. Melt the butter and fry the onions slowly for 25 minutes until deep brown.")
	require.NotEmpty(t, l.MainFood(l.SwapNamed(onions[first])).Kind)
	require.True(t, l.MainFood(l.SwapNamed(onions[first])).Tagged("oil"), "%v", onions)
}
