package method

import "testing"

// What cards of the evenings of Advent said wrongly once.
func TestCardsOfTheEveningsOfAdvent(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"a time that is tried for what stays is kept": {
			"caldeirada", []string{"Cover and cook over a low flame for 20 minutes, add the mushroom rings, cook for 15 minutes more, add the palm heart flakes and cook for 5 minutes more."}, []string{"Salt the palm heart"},
		},
		"who fills their own at the table does so behind a colon": {
			"chicken-fajitas-tray", []string{"Let everyone fill their own: a spoon of avocado, some of the torn mushrooms, peppers, silken tofu cream and stretchy cashew curd."}, []string{"Add the silken tofu cream"},
		},
		"the mixture is this part's own": {
			"egg-foo-yung", []string{"Ladle in a quarter of the mixture and cook for 7 minutes until set underneath; flip"}, []string{"flax"},
		},
		"a paste goes into the dressing": {
			"ham-pasta-salad-peas", []string{"Work the miso in.\nTip in the pasta and peas"}, nil,
		},
		"what has no fat edge is not stood on it": {
			"lamb-chops-mint-peas", []string{"Cook the pressed mushroom slabs for 3 minutes on each side."}, []string{"edge"},
		},
		"what was beaten is poured, and not what it was beaten with": {
			"bobotie-plain-lot", []string{"Squeeze the cashew milk from the bread", "pour it over the lentil mince and poke in the leaves"}, []string{"the rest of the cashew milk from"},
		},
		"yolks that enrich a custard of starch are no jelly": {
			"custard-slices", []string{"beat in the soft coconut fat and the yellow silken tofu"}, []string{"agar", "black salt", "lentil"},
		},
		"what was told of cheese is not told of herbs, nor of crumbs": {
			"turkey-chilli-beans", []string{"- fresh coriander\n"}, []string{"coriander, grated"},
		},
		"crumbs of seeds are not grated any more": {
			"chicken-caesar-pasta", []string{"lemon juice and the seed crumbs."}, []string{"finely grated"},
		},
		"wine that boils down by half boils down by half": {
			"prawn-linguine-chilli", []string{"let it bubble down by half, adding the mushroom discs for the last 2 minutes"}, []string{"for 7 minutes"},
		},
		"a glaze that is beaten in the list": {
			"piroshki-cabbage-egg", []string{"and brush with the starch glaze", "rise for an hour, until doubled", "Beat the starch glaze with the soy drink."}, []string{"Add the soy drink.\n"},
		},
		"small balls of a mix": {
			"thai-omelette-soup-pork", []string{"Pinch off small balls of the tofu and walnut mix and drop them into the stock"}, nil,
		},
		"a cheese that is spread can be spread, and crumbs do not set": {
			"smoked-salmon-scramble", []string{"stir slowly with a wooden spoon until hot through", "spread thinly with the white bean curd"}, []string{"brined tofu"},
		},
		"nobody browns browned mushrooms": {
			"lancashire-hotpot-kidneys", []string{"Brown the mushrooms and walnuts in the same pan"}, []string{"browned mushrooms"},
		},
		"nobody slices slices": {
			"pork-belly-ramen-home", []string{"basting now and then.\n"}, []string{"Slice."},
		},
		"a paste is not fried": {
			"liver-parfait-pots", []string{"Tip the lentil paste into a blender"}, []string{"a side", "fry the lentil paste"},
		},
		"eggs pushed around are stirred, and what is one is it": {
			"ackee-style-breakfast-wrap-egg", []string{"pour in the crumbled tofu and push it gently around until hot through"}, []string{"chickpea batter"},
		},
		"what is tucked into cuts that are not made lies on top": {
			"cantonese-steamed-fish-ginger", []string{"the mushroom fillets on top with the sliced ginger"}, []string{"into the cuts"},
		},
		"the meat is the meat, and one half is a half": {
			"beef-pasties-cornish-style", []string{"Layer the vegetables and mushrooms and tempeh over one half of each, seasoning as you go"}, []string{"over the soy"},
		},
		"the onion of the lamb keeps its fat": {
			"kuru-style-lamb-okra-stew", []string{"Brown the onion in the oil."}, nil,
		},
		"an onion that fried in the fat of the mince has oil": {
			"lamb-mince-flatbread-pizzas", []string{"oil and fry the lentil mince and onion in a frying pan for 8 minutes, until browned"}, []string{"dry frying pan"},
		},
		"eggs that are stirred to scramble are scrambled": {
			"prawn-egg-fried-noodles-thai", []string{"spoon the crumbled tofu into the space"}, []string{"mashed potato"},
		},
		"a batter sets when its edges have been drawn in": {
			"omelette-mushroom-plain-h", []string{"draw the edges in with a spatula until nearly set and cook it for 5 minutes until set"}, nil,
		},
		"butter for frying is oil for frying": {
			"ricotta-lemon-pancakes-i", []string{"oil in a frying pan. Drop in 2 tablespoons of the batter for each pancake", "adding the rest of the oil as you need it"}, []string{"cashew paste"},
		},
	})
}
