package method

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/swap"
)

// What cards said wrongly once of recipes told in many manners: without articles, in one paragraph, with other verbs for the same
// work.
func TestCardsHoweverTheyAreTold(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"what boiled and was turned down simmers on": {
			"beef-barley-stew-slow", []string{"put the lid on and leave for 30 minutes"}, []string{"1½ hours"},
		},
		"sautéed is fried": {
			"shrimp-tacos", []string{"dry them well and brush them", "Sauté the mushroom discs in a large skillet over medium-high heat, 2 minutes per side"}, []string{"sear them on both sides"},
		},
		"a remark goes with the work that it speaks of": {
			"chicken-riesling-cream", []string{"Heat the vegetable oil and sunflower oil in a casserole."}, []string{"in batches"},
		},
		"what is taken out is named where the next words would be read for it": {
			"egg-drop-corn-soup", []string{"Lift the oyster mushrooms and tofu skin out and discard the ginger"}, []string{"Lift out and"},
		},
		"plants have skins": {
			"sausage-potato-bake", []string{"Squeeze the garlic from its skins"}, nil,
		},
		"eggs in their shells boil no more": {
			"gravlax-potato-salad", []string{"Boil potatoes in salted water until tender, 15-18 minutes. Drain.", "Tuck in the mushroom rounds"}, []string{"last 7 minutes", "peel"},
		},
		"no fat is drained off": {
			"beef-enchiladas-skillet", []string{"Cook the soy mince and onion until browned.\n"}, []string{"drain."},
		},
		"the oven by its minutes": {
			"pork-apple-cider-casserole", []string{"Add onions and leeks to casserole with a splash more oil if needed, cook 8 mins"}, []string{"oven 1½ hours"},
		},
		"what is laid on a plate waits until it is returned": {
			"polish-cabbage-sausage", []string{"Add onion to the oil and cook 4 minutes", "spiced smoked tofu to skillet and heat through"}, []string{"Add the spiced smoked tofu."},
		},
		"measured water stays with what goes in late": {
			"lamb-spinach-curry", []string{"with the chopped tomatoes and pour in 200 ml water"}, nil,
		},
	})
}

// Balls are set in the oven before they go into a broth wherever other work comes between, in whatever paragraph, and are not
// where they go from the hand into the pot.
func TestBallsAreSetHoweverTheyAreTold(t *testing.T) {
	list := "Soup\nServes 4\n\n400 g minced pork\n2 cloves garlic, crushed\n1 litre vegetable stock\n200 g white cabbage, shredded\n\nMethod\n"
	for method, set := range map[string]bool{
		"1. Mix the pork with the garlic and roll into 20 small balls.\n2. Bring the stock to a simmer. Drop in the meatballs and simmer for 5 minutes.":      true,
		"Mix the pork with the garlic and roll into 20 small balls. Bring the stock to a simmer. Drop in the meatballs and simmer for 5 minutes.":             true,
		"Bring the stock to a simmer with the cabbage. Mix the pork with the garlic, roll into 20 small balls and drop into the stock. Simmer for 5 minutes.": false,
	} {
		card, _ := wholeCard(t, list+method, swap.WholeFood)
		require.Equal(t, set, strings.Contains(card, "bake them at 200 °C"), card)
	}
}
