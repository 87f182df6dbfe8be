package method

import "testing"

// What went wrong on the cards of a winter, each with what the rules that mended it now give.
func TestCardsOfAWinter(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"what a dish makes of a batter is there, by a name without an animal": {
			"kasespatzle", []string{"As soon as the dumplings float, lift them out", "Layer the dumplings and the cashew melt in a warm ovenproof dish"}, []string{"everything"},
		},
		"no stock is brewed of shells that are gone, and it goes in as it is": {
			"chupe", []string{"Pour in the kelp stock, add the potatoes"}, []string{"strained", "train, pressing", "dd the kelp stock"},
		},
		"what is rubbed in goes into what nobody names any more, and rests there": {
			"escovitch", []string{"Rub the salt, pepper and ground allspice into the tofu slabs. Leave for 30 minutes."}, []string{"Rub in"},
		},
		"spices of a bird go into the pot, in which nothing is browned": {
			"machboos", []string{"Add the baharat and the turmeric to the pot with the cardamom and cinnamon.\n"}, []string{"Rub the", "brown on"},
		},
		"what is done roasts in an open tin until what lies beside it is": {
			"pork-belly", []string{"around the mushrooms and tempeh and roast for 10 minutes", "Add the apples to the tin and roast for 20 minutes"}, []string{"1½ hours"},
		},
		"one or the other stays so, and what is lifted out of a broth comes later": {
			"mohinga", []string{"Add the banana stem or shallots and the seaweed seasoning", "add the seaweed mushrooms and simmer for 5 minutes", "Put the lemongrass, turmeric and water in a pan"}, []string{"let it cool", "the water.\n"},
		},
		"noodles are crisp as they were fried": {
			"khao-soi", []string{"Top with the crisp rice noodles"}, nil,
		},
		"yolks have no part in a foam that stands for them": {
			"queen-of-puddings", []string{"Pour the mixture into the dish", "Whisk the remaining sugar into the whipped aquafaba"}, []string{"pumpkin", "Add the whipped"},
		},
		"no side of a meat lies down that is not there": {
			"farikal", []string{"in a large heavy pot, sprinkling salt, peppercorns and flour between the layers"}, []string{"down first"},
		},
		"cream that is folded into a custard is folded into it": {
			"custard-slice", []string{"Fold the beaten cashew cream into the cold custard"}, []string{"all-butter", "butter)"},
		},
		"what a soup is strewn with is strewn": {
			"leberknodel-soup", []string{"Serve the dumplings in the mushroom and kelp stock, sprinkled with chives"}, []string{"stock and chives"},
		},
		"eggs poured over a bake set it": {
			"pastelon", []string{"pumpkin custard"}, []string{"mashed potato"},
		},
		"noodles of a kitchen that has no rice noodles": {
			"linsen", []string{"Toss the wheat noodles"}, []string{"rice noodles"},
		},
	})
}
