package method

import "testing"

// What cards of the first evenings of winter said wrongly once.
func TestCardsOfTheFirstEveningsOfWinter(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"a thin omelette is made and cut by itself": {
			"japchae", []string{"pour in the soured chickpea batter and make a thin pancake; roll it up, slice into ribbons"}, []string{"flax", "make the pancake"},
		},
		"the tap's water is no water of flowers, and curds are stirred": {
			"pastilla", []string{"Add 500 ml water, cover", "pour in the crumbled tofu", "cinnamon and orange blossom water"}, []string{"mashed potato"},
		},
		"what is returned for the first time is added": {
			"fabada", []string{"Add the spiced smoked tofu, the smoky bean sausage and the brined tempeh to the pot."}, []string{"and return"},
		},
		"the ribs of a cabbage that was cored are its own": {
			"golubtsi", []string{"Shave down the thick ribs."}, nil,
		},
		"what has no fat of its own fries in some, and floats in the pot": {
			"callaloo", []string{"Put the brined tempeh into a large heavy pan with the vegetable oil and cook", "Float the chilli on top", "Simmer, partly covered, for 35 minutes"}, []string{"sprinkle the dish"},
		},
		"what is laid on goes into no mash": {
			"stamppot", []string{"Mash with the soy drink and cashew paste", "Lay the spiced smoked tofu on the mash"}, []string{"Add the spiced smoked tofu"},
		},
		"curd that is the body of a sweet dough is firm": {
			"syrniki", []string{"until it holds together in the hand", "Mash the firm tofu curd"}, []string{"silken", "miso"},
		},
		"marrow goes with its bones, and what only serves knows the fat": {
			"nihari", []string{"Soften the rest of the onion in the vegetable oil, pour over the stew"}, []string{"marrow", "skimmed from the top"},
		},
		"a sweet custard of semolina is set with starch": {
			"galakto", []string{"Beat the tofu and starch cream with the sugar", "each one greased"}, []string{"chickpea"},
		},
		"what goes in meanwhile goes in once": {
			"mititei", []string{"while adding the mushroom and kelp stock a little at a time", "form rolls the length of a finger"}, []string{"Add the mushroom and kelp stock"},
		},
		"the sauce is what cooks, and cream in a list is cream": {
			"svickova", []string{"Whisk the flour into the cashew cream, stir into the sauce", "a spoonful of cranberry sauce and the cashew cream"}, []string{"whipped cream"},
		},
		"what runs goes in by the ladle": {
			"fondue", []string{"Add the cashew melt by the ladleful", "letting each ladleful melt"}, []string{"handful"},
		},
		"the oil for frying fries": {
			"mofongo", []string{"Fry the plantain in oil at 170 C"}, []string{"Fry the plantain in olive oil"},
		},
		"what is told behind a colon is told": {
			"potjie", []string{"layer the vegetables on top: first the carrots, then the potatoes, beans and last the mushrooms"}, nil,
		},
		"what bakes is set by what sets in the oven, and what is spread is not stirred": {
			"quicheleek", []string{"spread them over the folded pastry.\nScatter", "Beat the mung bean batter with the soy yoghurt", "Stir in the nutritional yeast.\nPour over"}, []string{"agar"},
		},
		"the rolls for sausages are bread": {
			"hotdogs", []string{"- 6 soft hot dog rolls", "Warm the rolls, tuck in the smoky bean sausage"}, nil,
		},
		"what is pushed aside is in the pan, and more is added": {
			"beefsukiyaki", []string{"Push the mushroom slices to one side", "Add sauce and dashi", "Go on adding the rest of the mushroom slices"}, []string{"vegetable stock"},
		},
		"a row to cook with is a part of the list": {
			"chickenpotstickers", []string{"# To cook\n- 3 tbsp vegetable oil", "# To dip\n- 3 tbsp soy sauce"}, nil,
		},
		"wedges for eggs do not boil with the potatoes": {
			"shepherdsalad", []string{"Boil the potatoes for 12 minutes. Drain.\nStir", "top with the black-salt tofu"}, []string{"for the last 8", "under cold water"},
		},
		"what is said between commas is no place": {
			"iskender", []string{"and pour it, sizzling, over the torn mushrooms at the table", "Fry the tomato and pepper pastes"}, nil,
		},
	})
}
