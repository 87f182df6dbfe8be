package method

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/swap"
)

// What went wrong on the cards of a spring, each with what the rules that mended it now give.
func TestCardsOfASpring(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"what is pressed out of potatoes is no cream": {
			"cepelinai", []string{"leave the liquid to stand", "Lift the dumplings out with a slotted spoon, spoon the sauce over them"}, []string{"leave the sunflower"},
		},
		"flesh goes into the yoghurt and not into itself": {
			"mansaf", []string{"Add the tempeh to the soy yoghurt"}, []string{"the tempeh to the tempeh"},
		},
		"bread that was buttered has beside it what stands for butter": {
			"plokkfiskur", []string{"Serve with rye bread and the tahini"}, []string{"greased"},
		},
		"nothing is turned where no piece lies": {
			"chicken-paprikash", []string{"Cover and simmer for 20 minutes."}, []string{"turning it"},
		},
		"a mix that the dish shapes is browned by the dish": {
			"egg-muffins", []string{"Before the bean sausage is shaped, grind the dried shiitake to powder and stir it in.\n", "Shape the bean sausage into two flat patties, a little wider than the muffins", "Toast the muffins and spread them with"}, []string{"Brown them slowly", "English muffins with"},
		},
		"what is put back goes back, and not into the bowl of the yolks": {
			"waterzooi", []string{"the butter beans and mushrooms back into the broth", "on no account let it boil"}, []string{"add the butter beans"},
		},
		"what was rolled goes on to the last": {
			"summer-rolls", []string{"Continue until all the wrappers are filled. Serve"}, nil,
		},
		"potatoes have their skins": {
			"bolinhos", []string{"Boil the potatoes in their skins, peel and mash"}, nil,
		},
		"a liquid that something was boiled in is strained and whisked in, and tastes go in before all is shared out": {
			"coquilles", []string{"and reserve", "Whisk in the poaching liquid", "soy and starch cream", "stir it in.\nCombine the mushroom discs"}, []string{"in the soy yoghurt"},
		},
		"the liquid that fish was baked in is poured off, and no cream": {
			"fiskgratang", []string{"Pour the cooking liquid into a saucepan and boil it down"}, []string{"Pour the cashew"},
		},
		"wine goes in alone where beef went in with its juices": {
			"giouvetsi", []string{"Add the wine and let it bubble away"}, []string{"wine with"},
		},
		"nothing is seared while a pan stands hot": {
			"chicken-pot-pie", []string{"then mix in the butter beans and nutritional yeast.\nHeat the oil in a large non-stick frying pan.\nAdd the onion, baby button mushrooms"}, nil,
		},
		"water for eggs that are gone is not boiled": {
			"eggs-benedict", nil, []string{"Poach for 3 minutes"},
		},
		"oyster sauce is thick and sweet": {
			"oyster-noodles-chicken", []string{"add the thick shiitake sauce and 3 tbsp water"}, []string{"thinly"},
		},
		"what lies on a plate and is folded takes nothing in": {
			"brik", []string{"capers, onion, parsley and harissa.\nChop the dried tomatoes finely and stir them in", "lay the potato and pumpkin rounds into it. Fold"}, []string{"mashed potato"},
		},
		"a soup is served and not what lies in it": {
			"bouneschlupp", []string{"let the onion and the leek sweat in it", "\nServe with potato pancakes"}, []string{"slice them", "Serve the smoky"},
		},
		"some are kept of those that are there": {
			"toast-skagen", []string{"Cut the crusts off the bread and fry the slices"}, []string{"Keep a few"},
		},
	})
}

// The liquid around dumplings does not reach what is sealed in them.
func TestWhatIsSealedInDoughIsNotInTheLiquid(t *testing.T) {
	_, findings := wholeCard(t, recipeCalled(t, "cepelinai"), "whole-food-no-oil")
	require.Empty(t, findings)
}

// A mix takes its tastes in before it is shared out, though one sentence says both.
func TestTastesGoInBeforeAMixIsSharedOut(t *testing.T) {
	card, _ := wholeCard(t, "Scotch eggs\n6 eggs\n400 g sausage meat\n1 tbsp chopped sage\n50 g flour\n100 g breadcrumbs\n1 egg, beaten, for coating\noil, for frying\nLower the 6 eggs into boiling water and boil for 6 minutes. Cool in iced water and peel. Mix the sausage meat with the sage and divide into 6. Flatten each piece, wrap it round an egg and seal well. Roll in flour, dip in beaten egg and coat with breadcrumbs. Fry at 160 C for 8 minutes, turning. Drain. Eat warm or cold.", swap.WholeFood)
	require.Contains(t, card, "with the sage.\n")
	require.Contains(t, card, "\nDivide into 6.")
}
