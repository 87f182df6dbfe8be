package method

import "testing"

// What went wrong on the cards of a season, each with what the rules that mended it now give.
func TestCardsOfASeason(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"what goes into a pan besides a fat stays, the pan is said, and nothing hangs on what goes": {
			"prawn-saganaki", []string{"1 shallot, diced", "sear them for 2 minutes on each side", "Add the rest of the oil to the pan with the shallot and chilli", "Nestle the mushroom discs into the sauce.\n"}, []string{"along"},
		},
		"more of what went in": {
			"sinigang", []string{"Taste and add more of the seaweed seasoning if you like"}, nil,
		},
		"the last of what another part has left": {
			"pastitsio", []string{"half of the seed crumbs and the nutmeg", "Sprinkle with the rest of the seed crumbs"}, nil,
		},
		"water boils by itself, and what stands for several is named once": {
			"solyanka", []string{"Bring the water to the boil. Add the bay leaf", "Strain the broth back into the pot", "Add the vegetables, the mushrooms and tempeh, the spiced smoked tofu and the smoky shiitake to the broth"}, []string{"everything", "with the water"},
		},
		"nothing is poached that stands ready, nor is its water stirred": {
			"salade-lyonnaise", []string{"Pour the warm dressing over the leaves"}, []string{"oach", "wirl", "simmer with the white vinegar"},
		},
		"what was boiled in a broth that goes on is boiled, and the miso has no pot": {
			"brandade", []string{"with the thyme, the bay leaf and the garlic", "then enough of the soy drink", "Work the miso in."}, []string{"off the boil"},
		},
		"meat that rests is not divided, and is torn when it is prepared": {
			"pulled-pork-buns", []string{"rub all over the torn mushrooms", "Stir the barbecue sauce into the juices. Mix this through"}, []string{"half of the torn", "Rest the", "shred them"},
		},
		"what bread is spread with is set out, and said what for": {
			"keema-peas", []string{"4 soft rolls, toasted, to serve", "the cashew paste, from above, to spread"}, []string{", and toasted"},
		},
		"eggs that are scrambled are curds, which have set": {
			"egg-fried-noodles-shrimp", []string{"Pour in the crumbled tofu"}, []string{"rounds", "let them set"},
		},
		"what goes beside is said on the list, by itself or made": {
			"kuku-sabzi", []string{"- 155 ml plain soy yoghurt, unsweetened, to serve"}, nil,
		},
		"no fat is poured off that nothing gave": {
			"lamb-kleftiko-pot", []string{"Soften the onions in the pan"}, []string{"Pour away"},
		},
	})
}
