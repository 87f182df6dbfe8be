package method

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// What cards of the last evenings of autumn said wrongly once.
func TestCardsOfTheLastEveningsOfAutumn(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"starch that stands for yolks bubbles once": {
			"georgian-chicken-walnut", []string{"pour back into the pan, off the heat and then bring it back to a simmer, stirring, for 1 minute"}, []string{"Do not boil"},
		},
		"nothing is worked into rice that is not stirred": {
			"chicken-paella-home", []string{"turning it until it shines.\nWork the miso in.", "without stirring"}, []string{"bubble for 5 minutes more.\nWork the miso"},
		},
		"a booster goes into the sauce and not among what lies in its dish": {
			"cauliflower-bechamel-ham", []string{"simmer until thick.\nStir in the nutritional yeast.", "Off the heat stir in the mustard"}, []string{"florets.\nStir"},
		},
		"a thin omelette is a pancake that cooks when it is thin": {
			"egg-fried-noodles", []string{"swirl to a thin pancake and cook it for 6 minutes until set. Slide it out, roll it up and cut into ribbons", "Fold in the pancake ribbons"}, []string{"starch cream"},
		},
		"the words in brackets mean what stands before them": {
			"salmon-teriyaki", []string{"Take the mushroom fillets out of the marinade", "Pour in the marinade"}, []string{"keep them"},
		},
		"what is in pieces is not broken": {
			"blt-pasta-salad", []string{"most of the smoky shiitake"}, []string{"shards"},
		},
		"a sweet filling gets no salted curd": {
			"quark-strudel", []string{"Stir in the cashew curd"}, []string{"white bean"},
		},
		"the cream of a can is of its coconut milk": {
			"thai-red-prawn", []string{"Stir in a quarter of the coconut milk and cook until it splits", "the rest of the coconut milk"}, []string{"the mixture"},
		},
		"of what a third is lifted out the rest is in the pan": {
			"lentil-bacon-soup", []string{"Add two thirds of the smoked tofu, stir in the lentils", "scatter over the rest of the smoked tofu and parsley"}, []string{"Lift out"},
		},
		"leeks that lie wrapped have a sauce that takes a booster": {
			"potato-leek-gratin-ham", []string{"the mustard and seasoning.\nGrind the dried shiitake to powder and stir it in"}, []string{"sprinkle the dish"},
		},
		"the white of an onion is of no egg": {
			"chicken-noodle-soup-ginger", []string{"ginger and the white of the spring onions in a pan"}, nil,
		},
		"segments are of the oranges, and their juice is there": {
			"duck-pancake-salad", []string{"slice out the segments over a bowl, catching the juice", "Whisk two tablespoons of the juice with the syrup, vinegar and walnut oil. Season.", "pressed mushroom slabs on top, scatter over the walnuts"}, []string{"butter beans"},
		},
		"plates for coating hold each its own, and others close": {
			"fish-finger-sandwich", []string{"Coat the tofu slabs in flour and aquafaba and then crumbs", "close with the other slices"}, []string{"then the tofu slabs"},
		},
		"butter that is beaten with sugar is soft": {
			"apple-cake-buttermilk", []string{"Cream the soft coconut fat with the brown sugar"}, nil,
		},
		"what falls is whipped when it is wanted": {
			"cheese-souffle-jacket", []string{"season well.\nWhip the aquafaba with the lemon juice, until it stands in peaks.\nFold the whipped aquafaba into the mash"}, nil,
		},
		"an egg in a filling binds it": {
			"stuffed-cabbage-passata", []string{"onion, flax gel, caraway"}, []string{"starch cream"},
		},
		"a sentence is taken apart before what is poured over": {
			"mussels-cider-leeks", []string{"stir in the sunflower cream and tarragon.\nCrumble the nori and stir it in.\nPour over"}, nil,
		},
		"an egg on each is on a bowl": {
			"spanish-chickpea-spinach-egg", []string{"Serve the chickpeas in bowls with some of the white mash and yellow sauce on each"}, []string{"on the white mash"},
		},
		"what is brought to room temperature is not heated": {
			"steak-salad-blue", []string{"Rub the pressed mushroom slabs with the teaspoon of oil and season. Sear in a very hot pan"}, []string{"room temperature"},
		},
		"a crust takes its time though what it holds is done": {
			"beef-pie-suet-lid", []string{"Bake at 200C for 35 minutes"}, nil,
		},
		"the white is the other crab meat": {
			"crab-linguine-two-meats", []string{"Stir in a quarter of the seaweed mushrooms, then the rest of the seaweed mushrooms", "add to the seaweed mushrooms with the lemon zest"}, []string{"the white"},
		},
	})
}

// A booster goes into the dressing of a salad and not among its leaves.
func TestABoosterGoesIntoTheDressing(t *testing.T) {
	said, _ := wholeCard(t, recipeCalled(t, "duck-pancake-salad"), "fasting-day")
	require.Contains(t, said, "walnut oil. Season.\nStir in the nutritional yeast.\n")
}

// Legs are no flat pieces, though breasts of the same bird are.
func TestLegsOfADuckAreNoSteaks(t *testing.T) {
	for cut, slabs := range map[string]bool{"breasts": true, "legs": false} {
		said, _ := wholeCard(t, "Duck\nServes 2\n\n2 duck "+cut+"\n1 tbsp oil\n\nMethod\n1. Fry the duck in the oil for 6 minutes on each side. Serve.", "")
		require.Equal(t, slabs, strings.Contains(said, "slabs"), said)
	}
}

// What is whipped stands among the steps of the dish even where it shares a food with another line, what is only blended does not.
func TestWhatFallsIsNoPartOfItsOwn(t *testing.T) {
	said, _ := wholeCard(t, "Cakes\n\n3 egg whites\n100 g sugar\n200 g plain flour\n1 tbsp lemon juice\n\nMethod\n1. Mix the flour with the lemon juice.\n2. Whisk the egg whites to stiff peaks and fold them in with the sugar. Bake for 20 minutes.", "")
	require.Contains(t, said, "Whip the aquafaba")
	require.NotContains(t, said, "from above")
}
