package method

import "testing"

// What went wrong on the cards of a week, each with what the rules that mended it now give.
func TestCardsOfAWeek(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"the rest of an oil is all of it where the half browned what is gone": {
			"beef-and-barley-soup", []string{"Add the sunflower oil to a large, heavy pot with the onions"}, []string{"Heat half", "remaining"},
		},
		"nothing is stirred into what sets in the pan": {
			"tortilla-with-chorizo", []string{"leave to stand for 10 minutes.\nStir in the nutritional yeast.\nHeat 1 tablespoon"}, []string{"almost set.\nStir"},
		},
		"nothing is broken up that is not there yet": {
			"gemista", []string{"Add the garlic. Stir in the rice"}, []string{"breaking"},
		},
		"what is cooked on a griddle is oiled before, and what is one piece is sliced": {
			"chicken-bacon-salad", []string{"Rub the pressed mushroom slabs with the oil, season and cook in a griddle pan for 6 minutes each side", "Slice the pressed mushroom slabs."}, nil,
		},
		"milk that goes in late is stirred in": {
			"lamb-kofta-curry", []string{"stir in the soy yoghurt and simmer for 3 minutes more"}, []string{"add the soy yoghurt"},
		},
		"picked crab is flakes": {
			"crab-and-leek-tart", []string{"the rest of the tofu flakes and half of"}, []string{"discs", "Spread the leeks over the pastry case, pour in the mixture and top with the rest of the stretchy cashew curd.\nStir"},
		},
		"what stands for bacon fries in the fat that is said": {
			"semmelknodel", []string{"For the sauce, fry the smoked tofu in the oil until crisp. Add the onion and cook until soft", "the mushrooms and fry until golden"}, nil,
		},
		"what fried before, and is strewn with flour, wants no more fat": {
			"lancashire-hotpot", []string{"cook for a couple of minutes, pour in"}, nil,
		},
		"a powder is cooked with what simmers in its own juice": {
			"spaghetti-tuna-anchovies", []string{"back of a spoon.\nGrind the dried shiitake to powder and stir it in.\nPut in the palm heart flakes"}, nil,
		},
		"what a sentence only announces takes nothing": {
			"chocolate-caramel-pots", []string{"stir in the cashew paste, then the cashew cream", "Beat in the yellow silken tofu"}, []string{"chickpea"},
		},
		"a powder goes into the marinade and not over what is fried": {
			"lamb-shawarma", []string{"turn to coat.\nGrind the dried shiitake to powder and stir it in.\nLeave in the fridge"}, nil,
		},
		"nothing is stirred into a thin omelette, which is rolled and cut": {
			"bacon-egg-noodles", []string{"stir it in.\nHeat a wok over a medium heat", "roll up and slice into ribbons"}, []string{"swirl.\n", "chickpea batter"},
		},
		"what is not strained is lifted out first": {
			"braised-short-ribs", []string{"Lift out the mushrooms and tempeh", "Return the mushrooms and tempeh to the sauce"}, []string{"meaty", "falling off"},
		},
	})
}
