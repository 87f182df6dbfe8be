package method

import "testing"

// What cards of a first week of winter said wrongly once.
func TestCardsOfAFirstSnow(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"what fills a roll is not in the liquid around it, and the rolls are what was rolled": {
			"rouladen", []string{"put the rolls back, cover and braise over a low heat for 40 minutes"}, []string{"hour and a half"},
		},
		"escalopes are floured, fried, and come back to their sauce to warm through": {
			"piccata", []string{"dust the pressed mushroom slabs with it", "Fry the pressed mushroom slabs for 3 mins each side until golden", "Return the pressed mushroom slabs to the pan to warm through"}, []string{"smooth with a little", "pan through"},
		},
		"nothing is stirred in where something lies whole, and each gets its own": {
			"sopa-de-ajo", []string{"Stir in the nutritional yeast.\nSpoon the white mash", "Ladle into bowls, some of the white mash and yellow sauce in each"}, nil,
		},
		"seeds crackle in oil and not in a paste": {
			"keema-pav", []string{"Heat the oil in a heavy pan and crackle the cumin seeds with the bay leaf"}, []string{"browned almond butter"},
		},
		"a sponge that is bought is baked": {
			"sherry-trifle", []string{"bake at 180 C until it springs back"}, []string{"not in the larder"},
		},
		"what is fried in much oil is scooped out of it": {
			"ayam-kunyit", []string{"Fry the mushrooms and tempeh until their edges are crisp, around 8 minutes. Scoop them out and leave about a tablespoon of oil"}, []string{"very hot dry pan"},
		},
		"nothing is loosened with a liquid that has boiled away": {
			"orecchiette-sausage", []string{"Work the miso in."}, []string{"ladle of the liquid"},
		},
		"a dough still doubles where something stands for its egg": {
			"hot-cross-buns", []string{"for 1 1/2 hours, until doubled"}, nil,
		},
		"fish is ground, shaped and fried in its own part": {
			"fiskekaker", []string{"in a food processor until smooth and sticky", "Shape into flat cakes with a wet spoon. Heat the oil in a pan and fry the cakes"}, []string{"cashew paste", "Scatter"},
		},
		"a filling is all that was set aside, and tops are cut from a sheet": {
			"aussie-meat-pies", []string{"add the lentil mince and simmer, uncovered, for 20 minutes or until thick", "Fill with mince mixture", "Cut six 10cm rounds from puff pastry and place over filling"}, nil,
		},
		"what fries in the fat of bacon fries in oil, and no liver is pink inside": {
			"liver-salad", []string{"fry in the olive oil over a brisk heat for about 2 minutes on each side. Take"}, []string{"pink"},
		},
		"a look shares no verb with what melts": {
			"chorizo-quesadillas", []string{"for 2 mins each side until golden. Cut"}, []string{"golden has", "releases", "and melted"},
		},
		"two stand-ins of mushrooms have two names": {
			"kakavia", []string{"Add the mushroom bites, cover and shake the pot", "over the seaweed mushrooms and mushroom bites in bowls"}, []string{"Lower", "not in the larder"},
		},
		"meat that is squeezed out of its skins is loose": {
			"sausage-risotto", []string{"fry the lentil mince", "Return the lentil mince for the last 5 minutes"}, []string{"bean sausage"},
		},
		"shells of aubergines are none of an animal": {
			"papoutsakia", []string{"Fill the aubergine shells with the lentil mince"}, nil,
		},
		"a fat of which the rest goes in with what comes later is heated at once": {
			"slow-stout-stew", []string{"Heat the olive oil in a frying pan. Add the onions", "cook on Low for 3 hours"}, []string{"rest of the oil", "Heat half"},
		},
		"what clings to something gets no verb": {
			"quick-lamb-biryani", []string{"for 8 mins until the sauce clings to it"}, []string{"to is it"},
		},
		"an oil that stands for butter keeps its full name beside an oil": {
			"trout-almonds", []string{"Heat the oil with a third of the olive oil", "Heat the rest of the olive oil"}, nil,
		},
		"each of several gives a strip": {
			"tuna-kimbap", []string{"a strip each of silken tofu batter, carrot, spinach, radish and some of"}, nil,
		},
		"one is pointed back to as one": {
			"canja", []string{"Beat the cashew custard with the lemon juice, thin it with a ladle of the soup and stir it in"}, nil,
		},
	})
}
