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
			"cullen-skink-leek", []string{"Add the bay leaf, cover with 300ml cold water and bring gently to the boil", "Pour in the cooking liquor and bay leaf", "Discard the bay leaf. Add the cashew milk and half of the smoked palm hearts to the pan, and either mash roughly"}, nil,
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
