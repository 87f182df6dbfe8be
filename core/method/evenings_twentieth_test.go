package method

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// What went wrong on cards of a further evening, each with what the rules that mended it now give.
func TestCardsOfAFurtherEvening(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"what is whipped goes in where the whites did, and the yolks' work goes on without it": {
			"kaiserschmarrn", []string{"Whisk the cashew milk, the plain flour, the vanilla extract and the salt", "Mix the whipped aquafaba with the sugar and fold it into the batter"}, []string{"pour in the batter with the caster sugar"},
		},
		"yolks and whites of boiled eggs are a third and the rest of what stands for them": {
			"tamago-sando", []string{"Put a third of the chopped black-salt tofu in a bowl", "Fold the rest of the chopped black-salt tofu in", "Divide the filling between two slices"}, []string{"Fold in."},
		},
		"what is eaten with it is no fat of the list": {
			"kibbeh-tray", []string{"Eat with the plain soy yoghurt"}, []string{"Eat with some"},
		},
		"the word that says what the dish is stays": {
			"mackerel-pate", []string{"serve with the pâté and gherkins"}, []string{"serve with the smoked mushrooms"},
		},
		"each of several sheets gets no third of its own": {
			"spanakopita-tray", []string{"brushing each one with some of the other oil"}, []string{"each one with a third"},
		},
		"what is left out of all is not in the list": {
			"banh-mi", []string{"the chia gel and the cornflour and mix well"}, []string{"and the oil and mix"},
		},
		"crab is picked over for shell, and what stands for it is not": {
			"crab-cakes-skillet", []string{"Fold in the crackers and the artichoke flakes"}, []string{"bits of shell"},
		},
		"a marinade in which nothing lies keeps its name, and no lid goes on": {
			"sauerbraten", []string{"let it cool.\n", "Strain the marinade, keeping the vegetables"}, []string{"Cover.\nStrain", "Strain the red wine"},
		},
		"a condition of flesh that is gone goes with it": {
			"avgolemono-chicken", []string{"Strain the broth and return it to the pot."}, []string{"ool enough to handle"},
		},
		"yolks that are stirred with cream into a sauce of flour are no batter": {
			"blanquette-veau", []string{"Mix the soy and starch cream with the sunflower cream and stir into the sauce off the heat"}, []string{"chickpea"},
		},
		"one line of two names is one thing": {
			"dopiaza", []string{"with the soy yoghurt, ginger and garlic paste and turmeric"}, []string{"ginger, garlic paste"},
		},
	})
}

// Eggs that are boiled and parted are in bits, whatever is whisked into their yolks.
func TestPartsOfBoiledEggsGoIntoASauceAndAreFilled(t *testing.T) {
	for text, want := range map[string][]string{
		"Gribiche\n\nServes 4\n\n3 eggs\n1 tsp mustard\n150 ml oil\n1 tbsp vinegar\n1 tbsp capers\n\nMethod\n1. Boil the eggs for 9 minutes, cool and peel. Separate the yolks from the whites. Mash the yolks with the mustard, then whisk in the oil and vinegar. Chop the whites and stir them in with the capers.": {
			"Mash a third of the chopped black-salt tofu with the mustard", "Stir the rest of the chopped black-salt tofu in with the capers"},
		"Devilled eggs\n\nServes 4\n\n6 eggs\n3 tbsp mayonnaise\n1 tsp mustard\npaprika\n\nMethod\n1. Boil the eggs for 10 minutes, cool and peel. Halve them lengthways and scoop out the yolks. Mash the yolks with the mayonnaise and mustard. Spoon or pipe back into the whites and dust with paprika.": {
			"Mash the yellow mash with", "pipe back into the potato halves"},
	} {
		card, _ := wholeCard(t, text, "whole-food")
		for _, w := range want {
			require.Contains(t, card, w)
		}
		require.False(t, strings.Contains(card, "flax"), card)
	}
}

// A dry pan greases no tin, and a layer of meat under another is not cooked in a liquid.
func TestATinIsNotGreasedWithAPan(t *testing.T) {
	card, findings := wholeCard(t, recipeCalled(t, "kibbeh-tray"), "whole-food-no-oil")
	require.NotContains(t, card, "non-stick pan. Press")
	require.Contains(t, card, "26 cm round tin. Press half")
	require.Empty(t, findings)
}
