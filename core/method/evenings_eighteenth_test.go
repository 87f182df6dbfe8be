package method

import "testing"

// What went wrong on cards of the club's own dishes in other cooks' words, each with what the rules that mended it now give.
func TestCardsOfTheClubsDishesInOtherWords(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"eggs poured over a bake set it, whatever is pushed into its top": {
			"bobotie-ouma", []string{"Whisk the tofu custard into the reserved soy drink"}, []string{"potato"},
		},
		"what is lifted out of one pan goes straight into the other, and the fat stays": {
			"feijoada-saturday", []string{"Heat the oil in a frying pan.", "In the fat left in the pan cook the onions", "Return this paste to the pot", "add the smoky shiitake and cook for 10 minutes more"}, []string{"the rest of the smoky"},
		},
		"eggs that are gone are not peeled": {
			"doro-wat-feast", []string{"let them sit while you cook the onions.", "Add the black-salt tofu to the stew"}, []string{"peel", "score"},
		},
		"the water that fish was poached in is poured on with its bay leaf": {
			"cullen-skink-leek", []string{"and cover with about 300ml cold water. Add the bay leaf, and bring gently to the boil", "Pour in the cooking liquor and bay leaf", "Discard the bay leaf. Add the cashew milk and half of the smoked palm hearts to the pan, and either mash roughly"}, nil,
		},
		"pieces are of the dough, and a yolk slipped into a hollow stays runny": {
			"khachapuri-adjaruli", []string{"Roll each piece out to an oval", "Spoon a fifth of the mixture along each long edge", "Fill the boats with the remaining mixture", "slip in the yellow lentil cream"}, []string{"chickpea"},
		},
		"what is sprinkled is no sweet": {
			"okonomiyaki-pork", []string{"aonori, to sprinkle", "brush with the date sauce"}, []string{"hibiscus"},
		},
		"water from the tap is not that of the dumplings": {
			"porkolt-nokedli", []string{"200 ml water", "add a splash of water"}, nil,
		},
		"nothing is stirred to be coated": {
			"rendang-daging", nil, []string{"coat it"},
		},
		"cream for forty dumplings is for a supper": {
			"pierogi-boczek", []string{"105 g sunflower seed"}, nil,
		},
		"garlic is not browned for mince that comes later": {
			"moussaka-volos", []string{"Add the garlic. Pour in the wine"}, []string{"brown it"},
		},
		"sausage meat is mince, and what is rolled up in dough is cut apart": {
			"maultaschen", []string{"and roll up loosely", "and cut apart there", "let them poach for 12-15 minutes"}, []string{"bean sausage"},
		},
	})
}

// What went wrong on cards of everyday dishes, each with what the rules that mended it now give.
func TestCardsOfEverydayDishes(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"a sauce that thickens lightly is soon done": {
			"coq-au-riesling", []string{"stir in the cashew cream and tarragon and bubble until lightly thickened"}, []string{"bubble for"},
		},
		"slices of tofu are none of mushrooms": {
			"kimchi-jjigae-pork", []string{"lay the tofu slices on top"}, []string{"Add the firm tofu"},
		},
		"a tin is taken from the oven, whatever lies in it": {
			"toad-in-the-hole-gravy", []string{"Take the tin from the oven and pour in the batter around the bean sausage"}, []string{"Check"},
		},
		"a sauce that a list heads is a part": {
			"roast-lamb-anchovy", []string{"# Mint sauce", "Mix the mint, sugar, vinegar and boiling water"}, []string{"- Mint sauce"},
		},
		"what is left of a mixture's name, and oil kneaded into a yeast dough": {
			"zwiebelkuchen-yeast", []string{"fold in the onion mixture", "Knead with the flour, olive oil and salt"}, []string{"onion and mixture", "coconut"},
		},
		"grits cook, and mushrooms fry where bacon was to leave its fat": {
			"shrimp-and-grits-bacon", []string{"Whisk in the grits, reduce the heat to low, cover and cook 25 minutes, stirring often, until thick and creamy", "Heat the vegetable oil, add the mushrooms"}, []string{"hot fat"},
		},
	})
}
