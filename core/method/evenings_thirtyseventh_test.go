package method

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/swap"
)

// What cards said wrongly once of fat that none gives, of what is rolled up, and of one piece for each.
func TestCardsOfPouredFatAndOfOneForEach(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"no fat is poured off that nothing gave": {
			"chicken-squash-rice-pot", []string{"Heat the oil in a wide casserole.", "Fry the onion for 6 minutes, then add the garlic"}, []string{"Pour off", "what is left"},
		},
		"what is beaten out lies there still, and goes back by its own name": {
			"beef-olives-suet", []string{"Lay the double tofu skin flat. Divide the stuffing between it, roll up and tie", "Put the double tofu skin back in"}, []string{"beat it out", "olives"},
		},
		"a sauce is poured and not scattered": {
			"sausagemeat-apple-cobbler", []string{"Pour over the balls."}, []string{"Scatter"},
		},
		"oil stands for that of a tin": {
			"tuna-bean-radicchio", []string{"1 tbsp vegetable oil", "Put in the palm heart flakes with the vegetable oil and toss gently."}, []string{"its oil"},
		},
		"one of the rounds goes into each hollow": {
			"breakfast-hash-black-pudding-egg", []string{"lay one of the potato and pumpkin rounds into each"}, []string{"bean sausage"},
		},
		"what the list cuts to matchsticks stays thin": {
			"dry-fried-beef-celery", []string{"sliced thinly lengthwise"}, []string{"thick pieces"},
		},
		"yolks of a cold custard thicken it, with the pod in the milk": {
			"bavarian-cream-raspberry", []string{"Bring the soy drink almost to the boil with the pod in it, then take it off the heat.", "Whisk the soy and starch cream with the sugar."}, []string{"chickpea", "black salt", "cold liquid"},
		},
		"yolks of a warm foam thicken it": {
			"zabaglione-peaches", []string{"whisk the soy and starch cream and sugar in a heatproof bowl"}, []string{"chickpea", "black salt"},
		},
		"water is not sharpened for eggs that are not poached": {
			"turkish-eggs-garlic-yoghurt", []string{"Leave to come to room temperature."}, []string{"vinegar", "pan of water"},
		},
		"nothing is turned in an oven in which nothing lies": {
			"brisket-ale-onions", []string{"Cover and cook in the oven for 25 minutes."}, []string{"turning it"},
		},
		"sausages out of their skins are fried loose": {
			"sausage-spinach-rigatoni", []string{"breaking it up, until browned"}, []string{"logs"},
		},
		"the cream that is to serve is whipped": {
			"lime-ginger-pots", []string{"Whisk the sweet cashew milk with the cashew cream", "Top each pot with a spoonful of the beaten cashew cream."}, nil,
		},
		"what juices are strained of mushrooms are poured": {
			"mussel-fideos-pan", []string{"Strain the juices into a jug.", "Pour in the kelp stock and the juice"}, []string{"mussel"},
		},
	})
}

// However a text boils eggs, what stands for them and is ready goes into no water.
func TestNoReadyEggGoesIntoWater(t *testing.T) {
	for i, boils := range []string{
		"Put the eggs in a pan of cold water, bring to the boil and cook for 9 minutes. Cool under running water, peel and quarter.",
		"Put the eggs in a pan, cover with cold water, bring to the boil and boil for 9 minutes. Cool, peel and quarter.",
		"Bring a pan of water to the boil, lower in the eggs and cook for 7 minutes. Cool in iced water, peel and halve.",
		"Place the eggs in a saucepan. Cover with cold water and bring to the boil. Turn off the heat, cover and leave for 10 minutes. Drain, cool, peel and halve.",
		"Hard-boil the eggs for 10 minutes, cool them under the tap, peel and cut into quarters.",
		"Drop the eggs into a pan of boiling water and cook for 8 minutes. Transfer to a bowl of iced water, then peel and halve them.",
		"Bring a small pan of water to a simmer. Add the eggs and boil for 7 minutes, then plunge into cold water. Peel off the shells and halve the eggs.",
		"Lower the eggs gently into simmering water, cook for 6 minutes, refresh in cold water and peel.",
	} {
		t.Run(fmt.Sprint(i), func(t *testing.T) {
			said, findings := wholeCard(t, "Egg and potato salad\n\nServes 4\n\n6 eggs\n700 g new potatoes\n2 tbsp mustard\n\nBoil the potatoes in salted water for 15 minutes. Drain and slice.\n"+boils+"\nFold the potatoes into the mustard. Arrange the eggs on top and serve.\n", swap.WholeFood)
			require.Empty(t, findings)
			assert.Contains(t, said, "Arrange the black-salt tofu on top")
			for _, not := range []string{"pan", "cold water", "simmer", "shell", "peel", "Cover"} {
				assert.NotContains(t, said, not)
			}
		})
	}
}

// A shell of pastry is no egg's: what tells when it is done stays.
func TestAShellOfPastryIsNoEggs(t *testing.T) {
	card, _ := wholeCard(t, "Custard tart\n\nServes 6\n\n320 g shortcrust pastry\n3 eggs\n300 ml double cream\n80 g sugar\n\nLine a tin with the pastry and bake for 15 minutes. Beat the eggs with the cream and sugar, pour in and bake for 30 minutes until the shell is crisp.\n", swap.WholeFood)
	require.Contains(t, card, "until the shell is crisp")
}
