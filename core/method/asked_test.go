package method

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// What rules without oil bring is said where it is, and no more of it is asked for.
func TestWhatStandsInForAFatWithoutOil(t *testing.T) {
	card, findings := wholeCard(t, "Curry\nServes 4\n\n400 g chickpeas, cooked\n1 tbsp oil\n1 onion\n200 ml water\n10 g butter, for the dish\n\nMethod\n1. Fry the onion in the oil for 8 minutes.\n2. Pour in the water, add the chickpeas and simmer for 10 minutes.\n3. Butter a shallow dish, pour in the curry and bake for 10 minutes.", "whole-food-no-oil")
	require.Empty(t, findings)
	require.Contains(t, card, "in spoonfuls of water for 8 minutes.\nPour in the water")
	require.NotContains(t, card, "Add the water", "the water of the list is in already")
	card, _ = wholeCard(t, recipeCalled(t, "plum-clafoutis-cream"), "whole-food-no-oil")
	require.Contains(t, card, "baking dish with the aquafaba", "what greases is said")
	require.NotContains(t, card, "Add the aquafaba")
}

// A roux whose fat is ground nuts is stirred with them, under the name of its part.
func TestAPartKeepsItsNameWithoutItsFirstWork(t *testing.T) {
	card, findings := wholeCard(t, recipeCalled(t, "moussaka-volos"), "whole-food-no-oil")
	require.Empty(t, findings)
	require.Contains(t, card, "For the pale sauce, mix the flour with the ground cashews")
}

// What stands for a line of which the method says nothing goes in all the same.
func TestWhatNoStepNamesGoesIn(t *testing.T) {
	card, findings := wholeCard(t, "Soup\nServes 4\n\n500 g potatoes\n1 litre vegetable stock\n200 ml double cream\n\nMethod\n1. Simmer the potatoes in the stock for 20 minutes and blend.\n2. Ladle the soup into bowls.", "whole-food")
	require.Empty(t, findings)
	require.Contains(t, card, "Add the cashew cream.\nLadle")
}

// A dough whose eggs a gel stands for has as much water for its flour as with them.
func TestAGelTakesNoMoreWaterThanTheEggs(t *testing.T) {
	card, findings := wholeCard(t, recipeCalled(t, "maultaschen"), "whole-food-no-oil")
	require.Empty(t, findings)
	require.Contains(t, card, "100 ml water")
}

// What is cooked in a tin with wine is taken from the oven whole.
func TestATinIsTakenFromTheOvenWhole(t *testing.T) {
	card, _ := wholeCard(t, recipeCalled(t, "marbella-traybake"), "whole-food")
	require.Contains(t, card, "Remove from the oven, transfer everything to a large platter")
}

// What goes into boiling water is not put before the work of another part that it waits for.
func TestDumplingsAreBoiledWhileTheStewSimmers(t *testing.T) {
	card, _ := wholeCard(t, recipeCalled(t, "chicken-paprikash"), "whole-food")
	before, after, found := strings.Cut(card, "Meanwhile make the dumplings")
	require.True(t, found)
	require.Contains(t, before, "Cover and simmer for 20 minutes")
	require.Contains(t, after, "Serve over the dumplings")
}
