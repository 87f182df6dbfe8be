package method

import "testing"

// What cards of the evenings of the first of December said wrongly once.
func TestCardsOfTheEveningsOfTheFirstOfDecember(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"a way of cutting names nothing": {
			"tagliata-rocket", []string{"then slice on the diagonal", "scatter with the seed crumbs"}, []string{"slice on the pressed", "Add the seed crumbs"},
		},
		"a filling is moistened with what it stewed in, and cream that flour binds simmers": {
			"hortobagy-pancakes", []string{"Moisten the lentil mince with a spoonful of the sauce", "Mix the flour with the silken tofu cream and stir into the sauce left in the pan"}, []string{"Add the lentil mince", "Add the silken tofu cream"},
		},
		"what is mixed with egg and starch is coated, and fried in that": {
			"ebi-chili", []string{"Mix the mushroom discs with the sake", "fry the mushroom discs until golden", "Thicken with the starch and water, stirring."}, []string{"stirring for"},
		},
		"buns are rolls that can be split": {
			"fried-chicken-buns", []string{"# Soft rolls\n", "Split and toast the soft rolls"}, []string{"potato flatbread"},
		},
		"butter that foams until nutty is a fat, and not drained": {
			"speck-pizzoccheri", []string{"then add the oil, garlic and sage", "Pour the hot oil and smoked tofu over everything"}, []string{"cashew paste"},
		},
		"pepper is ground over a soup": {
			"lamb-avgolemono", []string{"add the mushrooms and tempeh and simmer", "Grind plenty of pepper over it"}, []string{"over the mushrooms", "flax"},
		},
		"a gel goes in with sugar at once": {
			"cheesecake-brownies", []string{"whisk in the sugar and the flax gel. Fold"}, []string{"one at a time"},
		},
		"shreds need no fork and form no threads": {
			"crab-corn-threads", []string{"slip in the tofu shreds, while you stir in one direction."}, []string{"tines", "threads"},
		},
		"a broth begins once": {
			"kway-teow-soup", []string{"Cover the dark mushrooms with 3 litres of fresh water. Add the onion"}, []string{"start again", "Start", "cold water"},
		},
		"what opens a sentence stands before its bracket": {
			"merguez-couscous", []string{"In the bottom of a couscoussier (or a big pot), brown the mushrooms and tempeh and onions in the oil."}, nil,
		},
		"what lies in its dish under pastry is not chopped to hold": {
			"chicken-leek-pot-pie", []string{"then cook gently for 20 minutes. Strain the stock and keep 600 ml of it", "stir in the soy yoghurt, mustard, tarragon and torn mushrooms. Season and tip into a pie dish"}, []string{"Finely chop", "big chunks"},
		},
		"everything is all that was cut": {
			"rosolli", []string{"small even cubes. Add the pickled pepper strips, combine everything"}, nil,
		},
		"steaks of a leg are fried and set aside, for no medium": {
			"lamb-steaks-bean-mash", []string{"Heat a griddle pan and cook for 3-4 mins each side.", "top with the pressed mushroom slabs"}, []string{"medium", "soy chunks"},
		},
		"the meat of sausages goes back": {
			"sausage-kale-gnocchi", []string{"scatter the soy mince over the top"}, nil,
		},
		"no water simmers for eggs that are not poached": {
			"lardon-lentil-egg", []string{"Spoon the lentils onto plates"}, []string{"Bring a pan of water", "dash of vinegar"},
		},
		"a piece that is slit is flat, each of several is said, and pesto is no nut": {
			"stuffed-chicken-pesto", []string{"Cut a pocket in the pressed mushroom slabs.", "basil sauce inside each", "Wrap each of the pressed mushroom slabs"}, []string{"inside it", "sunflower seeds and pumpkin seeds until even"},
		},
		"the rest of the fish goes in at the end, and a pâté is a mixture": {
			"mackerel-pate-pickle", []string{"stir through the rest of the smoked palm hearts", "spread thickly with the mixture"}, nil,
		},
		"butter that is browned fries, and what is added goes in once": {
			"danish-meatballs", []string{"Heat the oil in a frying pan.", "Add the cashew cream and, if you like a darker gravy, a drop of browning. Season.\n"}, []string{"cashew paste", "Season.\nAdd the cashew cream"},
		},
		"a few pieces are of what fries, and the rest stays in its fat": {
			"chorizo-bean-cod", []string{"Add the smoky bean sausage and sizzle", "Scoop out some of the smoky bean sausage for the top", "Season the seaweed mushrooms"}, []string{"most of the seaweed"},
		},
		"sweet milk cools before cream is whipped with it": {
			"rum-raisin-icecream", []string{"coats a spoon thickly and let it cool"}, nil,
		},
		"a sauce is rubbed into the cuts, and not the pieces into themselves": {
			"piri-piri-corn", []string{"Rub it well into the mushrooms and tempeh"}, []string{"Rub them"},
		},
		"a wish behind an and is of the last alone, and what is poached and drained takes no booster": {
			"haddock-spinach-cakes", []string{"Top each with one of the potato and pumpkin rounds and cashew dressing if you like.", "for 8 min. Drain.\n"}, []string{"Add the potato and pumpkin rounds"},
		},
		"to squish is to stir": {
			"shawarma-bowls", []string{"squish them about to coat"}, []string{"squish and"},
		},
		"a handful needs no of, and what is topped with the rest of a cream is topped with all that is named": {
			"squash-soup-chorizo", []string{"- handful coriander\n", "topped with the rest of the sunflower cream and the spiced smoked tofu with the coriander"}, []string{"the handful", "Add the coriander"},
		},
	})
}
