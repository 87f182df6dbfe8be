package method

import "testing"

// What went wrong on the cards of a week, each with what the rules that mended it now give.
func TestCardsOfAWeek(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"half of an oil browns what stands for beef, and the rest goes in after": {
			"beef-and-barley-soup", []string{"Heat half the oil in a large, heavy pot over a high heat. Season the mushrooms and tempeh and brown them in two batches", "Add the remaining oil to the pot with the onions"}, []string{"Sear the mushroom"},
		},
		"what is fried in a pan that goes back to the heat is fried there": {
			"tortilla-with-chorizo", []string{"Return the pan to the heat and fry the smoky bean sausage and pepper for 5 minutes. Add to the potatoes."}, []string{"almost set.\nStir"},
		},
		"mince is browned that no liquid reaches in what it fills": {
			"gemista", []string{"Add the garlic and the lentil mince and cook, breaking it up, until browned.\nStir in the rice"}, nil,
		},
		"what is cooked on a griddle is oiled before, and what is one piece is sliced": {
			"chicken-bacon-salad", []string{"Rub the pressed mushroom slabs with the oil, season and cook in a griddle pan for 6 minutes each side", "Slice the pressed mushroom slabs."}, nil,
		},
		"milk that goes in late is stirred in": {
			"lamb-kofta-curry", []string{"stir in the soy yoghurt and simmer for 3 minutes more"}, []string{"add the soy yoghurt"},
		},
		"picked crab is flakes": {
			"crab-and-leek-tart", []string{"the rest of the palm heart flakes and half of"}, []string{"discs", "Spread the leeks over the pastry case, pour in the mixture and top with the rest of the stretchy cashew curd.\nStir"},
		},
		"what stands for bacon fries in the fat that is said": {
			"semmelknodel", []string{"For the sauce, fry the smoked tofu in the oil until crisp. Add the onion and cook until soft", "the mushrooms and fry until golden"}, nil,
		},
		"what fried before, and is strewn with flour, wants no more fat": {
			"lancashire-hotpot", []string{"cook for a couple of minutes, pour in"}, nil,
		},
		"flakes of tuna go into what simmers in its own juice": {
			"spaghetti-tuna-anchovies", []string{"back of a spoon.\nPut in the palm heart flakes"}, nil,
		},
		"what a sentence only announces takes nothing": {
			"chocolate-caramel-pots", []string{"stir in the cashew paste, then the cashew cream", "Beat in the yellow silken tofu"}, []string{"chickpea"},
		},
		"what is rolled into bread is sliced, and no sheet to be rolled": {
			"lamb-shawarma", []string{"Add the mushroom slices and turn to coat. Leave in the fridge"}, []string{"tofu skin"},
		},
		"nothing is stirred into a thin omelette, which is rolled and cut": {
			"bacon-egg-noodles", []string{"stir it in.\nHeat a wok over a medium heat", "roll up and slice into ribbons"}, []string{"swirl.\n", "chickpea batter"},
		},
		"what is not strained is lifted out first": {
			"braised-short-ribs", []string{"Lift out the mushrooms and tempeh", "Return the mushrooms and tempeh to the sauce"}, []string{"meaty", "falling off"},
		},
	})
}
