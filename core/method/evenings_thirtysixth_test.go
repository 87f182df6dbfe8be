package method

import "testing"

// What cards said wrongly once of an oven that is not needed any more, of meat that never left its pan, and of what a condition
// speaks of.
func TestCardsOfAColdOvenAndOfConditions(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"an oven in which nothing is put is not heated": {
			"creamy-mushroom-chicken-thighs", []string{"Add the mushrooms and tempeh to the sauce and warm through"}, []string{"oven to 200C", "in the sauce"},
		},
		"an oven that is needed is heated": {
			"maple-bacon-brussels-tart", []string{"Preheat the oven to 200C", "then top with the sprout mixture, the sharp cashew crumble and the walnuts"}, []string{"Add the sharp cashew crumble"},
		},
		"what is cool enough is shredded, and not the broth": {
			"sopa-de-lima-turkey", []string{"and strain the broth."}, []string{"Shred"},
		},
		"milk is not strained out of a mash": {
			"english-fish-pie-eggs-peas", []string{"into a jug"}, []string{"Strain a fifth"},
		},
		"a dough is rolled, and spread with what the filling lists": {
			"cinnamon-buns", []string{"spread with the cashew paste, sprinkle with the sugar and cinnamon mixed"}, []string{"spread with the oblong"},
		},
		"what was pushed aside stays in its pan": {
			"prawn-egg-fried-noodles-thai", []string{"leave for half a minute and stir to scramble"}, nil,
		},
	})
}
