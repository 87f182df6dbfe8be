package method

import "testing"

// What went wrong on the cards of a month, each with what the rules that mended it now give.
func TestCardsOfAMonth(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"bowls are set out beside what is to be coated": {
			"chicken-parmigiana-tin", []string{"Put the flour, aquafaba and breadcrumbs in three shallow bowls"}, []string{"Add the tofu slabs and put"},
		},
		"what was to be stirred in with what comes later is added by itself": {
			"bun-bo-hue", []string{"Add the seaweed seasoning and the sugar. Simmer"}, []string{"Stir into the", "agar", "chestnuts"},
		},
		"all the meat is the bacon too, which goes in when it bears it": {
			"boeuf-carottes", []string{"add the smoked tofu and cook for 20 minutes more"}, []string{"Add the smoked tofu, put"},
		},
		"what is in the pot is not named again when flesh comes to it later": {
			"chicken-cream-mushrooms", []string{"Simmer, uncovered, for 10 minutes, add the butter beans and mushrooms"}, []string{"Simmer the dry cider"},
		},
		"the aromatics of a broth go into its pot, in the words of the cook, for their own time": {
			"ropa-vieja-shreds", []string{"Put the bay leaf and the halved onion in a large pot, cover with water and bring to the boil. Reduce the heat and simmer, covered, for 20 minutes."}, []string{"very tender", "1½ hours"},
		},
		"salt of what soaked is little, and white sauces get nothing red": {
			"bacalhau-com-natas", []string{"Taste, and add the salt.\nOnce the pot is off the boil, loosen the miso with a ladle of the liquid and stir it in.\nMix half of the sauce"}, []string{"dried tomato"},
		},
		"what stands for a cut is named where the words turn it": {
			"lamb-shanks-rosemary", []string{"Return the mushrooms and tempeh, cover with a lid", "turning the mushrooms and tempeh halfway through"}, []string{"shanks", "lentil loaf"},
		},
		"what is shredded out of a broth goes in after it, and the broth cools in nothing": {
			"enchiladas-verdes-soft", []string{"in a pan for 20 minutes. Leave to cool. Reserve the broth."}, []string{"Put the torn mushrooms in a pan"},
		},
		"raw pulses do not go into a soup off the heat": {
			"egg-drop-pork-soup", []string{"Slip in the tofu shreds"}, []string{"batter"},
		},
		"a kofta of vegetables keeps its name, and naan is other bread": {
			"malai-kofta", []string{"fry the koftas in batches", "pour over the sauce and serve with the chapati"}, []string{"rolls"},
		},
		"what is kept back for later is lifted out where the dish fries it": {
			"rosti-bacon-raclette", []string{"fry the smoked tofu in a heavy frying pan until crisp. Lift out half of it and keep for the top", "sprinkle with the smoked tofu"}, nil,
		},
		"each half of a fat goes where it was to go": {
			"chicken-in-riesling", []string{"Heat half of the oil in a large casserole and fry the smoked tofu", "Add the rest of the oil and the shallots and fry"}, nil,
		},
		"a hot measure is said once, and so is each sign": {
			"mafe-of-beef", []string{"a ladleful of the hot dark mushroom stock until", "until the vegetables are tender and the oil rises to the top."}, []string{"stockthe", "top and the oil"},
		},
		"what is browned is taken out, and goes in late": {
			"beef-stout-pie-puff", []string{"Heat 2 tablespoons of the oil in a casserole and brown the mushrooms and tempeh in three batches. Transfer to a plate.", "for 90 minutes, add the mushrooms and tempeh"}, nil,
		},
		"salt that no list has goes into the pot it was for": {
			"borscht-with-ribs", []string{"Bring the water, the bay leaves and a tablespoon of salt in a large pan to the boil"}, nil,
		},
		"what it comes to do goes with it, and miso that cooks on is worked in": {
			"chicken-chorizo-prawn-paella", []string{"Heat the oil in a paella pan.\nAdd the onion", "Work the miso in."}, []string{"Release", "off the boil"},
		},
	})
}
