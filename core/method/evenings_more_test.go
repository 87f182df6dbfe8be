package method

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/swap"
)

// evening is a recipe whose card is read as that evening's cook, with what it has to say and what not.
type evening struct {
	recipe      string
	has, hasNot []string
}

// holdEvenings holds cards to what they say.
func holdEvenings(t *testing.T, cards map[string]evening) {
	t.Helper()
	for name, x := range cards {
		t.Run(name, func(t *testing.T) {
			card, findings := wholeCard(t, recipeCalled(t, x.recipe), swap.WholeFood)
			for _, has := range x.has {
				require.Contains(t, card, has)
			}
			for _, not := range x.hasNot {
				require.NotContains(t, card, not)
			}
			require.Empty(t, findings)
		})
	}
}

// What went wrong on further cards that were read as that evening's cook, each with what the rules that mended it now give.
func TestFurtherCardsOfAnEvening(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"a mixture is lifted out of its stock, which stays": {
			"norwegian-fish-balls-in-white-sauce", []string{"Lift out with a slotted spoon. Keep 200 ml of the stock.", "Put the balls and the mushroom discs into the sauce", "# Balls"}, []string{"Lift out the kelp stock"},
		},
		"water for the shells that are gone goes where their stock went": {
			"shrimp-etouffee", []string{"Gradually stir in the water and the date sauce", "Stir in the flour and cook", "the colour of peanut butter"}, []string{"flour with the water"},
		},
		"the liquid in the pot is what stayed there, and a tin is round": {
			"chicken-pastilla", []string{"Boil the liquid left in the pot until reduced", "add the crumbled tofu and herbs", "Brush a 24 cm round tin with the oil and line it", "over the filo, then the mixture, then the almonds"}, []string{"a it round", "flax"},
		},
		"half of several": {
			"haemul-pajeon", []string{"Scatter with half of the mushroom discs and chilli"}, []string{"three quarters"},
		},
		"the juices of another part": {
			"cochinita-pibil", []string{"Stir the torn mushrooms into the juices"}, []string{"orange juice. Serve", "everything into"},
		},
		"beaten egg is poured over, and what is baked rests": {
			"banitsa", []string{"Cover with a clean tea towel and leave to rest for 10 minutes", "brush with some of the oil"}, []string{"cashew paste"},
		},
		"which onion, which stock, and what is left of a cube": {
			"egusi-soup", []string{"Boil the quartered onion, a pinch of salt and the water", "Pour in the pepper purée and the stock, crumble in the rest of the mushroom stock powder"}, []string{"half of the onions"},
		},
		"a measure of what there is less of, and pieces that are cut no more": {
			"halaszle", []string{"Sprinkle the palm heart flakes with half of the salt", "add the palm heart flakes and simmer"}, []string{"a teaspoon of the salt", "add the pieces"},
		},
		"what only had to be done cooks as long as it bears": {
			"mee-goreng-mamak", []string{"Add the mushroom discs and cook for 2 minutes.", "scramble until hot through"}, []string{"Cook for 6 minutes", "half set"},
		},
		"two oils of which one goes in twice are told apart": {
			"pytt-i-panna", []string{"Heat the oil and a third of the vegetable oil in a large frying pan", "Add a third of the vegetable oil to the pan"}, []string{"two thirds of the oil"},
		},
		"a slice is laid on": {
			"saltimbocca-alla-romana", []string{"Lay some of the smoked", "sage leaf on each of the pressed mushroom slabs"}, []string{"tempeh", "baking paper"},
		},
		"croquettes hold what was stirred in": {
			"ham-croquettes", []string{"Stir in the nutritional yeast.\nSpread the mixture in a shallow dish"}, []string{"Sprinkle the dish"},
		},
		"what is prepared for a step that names nothing comes before the pan is hot": {
			"chicken-escabeche", []string{"mix in the butter beans and nutritional yeast.", "Heat the oil in a wide casserole.", "Add the butter beans and mushrooms, cover and simmer for 20 minutes."}, []string{"it is tender"},
		},
		"a paste does not fry, and all of it goes in where the rest did": {
			"hachis-parmentier", []string{"mash with the soy drink and the cashew paste", "cook the onions gently"}, []string{"50 g of the cashew", "third of the cashew"},
		},
		"nothing is cooked that is only boiled and drained": {
			"potato-and-egg-salad-with-anchovy-dressing", []string{"toss with the beans, capers and most of the dressing"}, []string{"shiitake to powder", "Stir in the nutritional yeast"},
		},
		"no time goes on from one that is gone": {
			"turkey-and-bean-chilli-with-cornbread-topping", []string{"Add the onion, pepper and garlic and cook for 5 minutes."}, []string{"5 minutes more"},
		},
		"a filling is seasoned before it is folded in, and a dough is no rolled sheet": {
			"sausage-apple-and-sage-plait", []string{"Stir in the nutritional yeast.\nRoll out the olive oil pastry"}, []string{"Unroll"},
		},
		"what fills something is minced, and filled pasta is called so": {
			"tortellini-in-brodo", []string{"brown the mushrooms and tempeh for 8 minutes. Chop them finely with the spiced smoked tofu", "Drop in the filled pasta"}, []string{"Finely chop", "Drop in the mushrooms"},
		},
		"the stock that something was poached in is kept": {
			"vatapa", []string{"stir in 300 ml of the stock"}, []string{"vegetable stock", "Add the kelp broth"},
		},
		"a fat goes by what was stirred into it": {
			"turkish-lentil-and-lamb-soup-with-mint-butter", []string{"drizzle with the mint oil"}, []string{"the vegetable oil and serve"},
		},
		"the oil of a tin that is not there": {
			"tuna-nicoise-pasta", []string{"- 3 tbsp vegetable oil", "Whisk the vegetable oil with the lemon juice"}, []string{"Keep the oil", "Whisk the palm heart"},
		},
		"a loaf is mixed before its tin is lined, and turned out as a loaf": {
			"pork-and-fennel-meatloaf-with-tomato-glaze", []string{"mix well with your hands.\nStir in the nutritional yeast.", "over the top.", "Turn the loaf out"}, []string{"Turn the smoked"},
		},
		"salt and pepper are no vegetable, and no fat is left of what is not fried": {
			"peruvian-chicken-and-rice", []string{"Fry the onion and garlic in the vegetable oil for 8 minutes", "Stir the rice and pepper into the pan"}, []string{"the salt and the red pepper", "left in the pan"},
		},
		"fingers are food": {
			"fish-fingers-with-tartare-sauce", []string{"Fry the tofu slabs, in batches, for 2-3 minutes on each side"}, []string{"Fry for 2"},
		},
		"the rest is what is not in hand": {
			"lamb-koftas-with-tzatziki-and-flatbreads", []string{"mix with the soy yoghurt, the garlic clove, the mint and the lemon juice", "Serve the koftas in the flatbreads"}, []string{"yoghurt, the cucumber"},
		},
		"cheese goes dry into a dough": {
			"cheese-and-bacon-scones", []string{"100 g of the seed crumbs", "scatter over the rest of the seed crumbs"}, []string{"cashew melt"},
		},
		"what was in the bird lies round it, and what fried in its fat has oil": {
			"sunday-roast-duck-with-cherry-sauce", []string{"roast with the orange and the thyme", "Heat the vegetable oil, add the shallot"}, []string{"thyme.\n", "cavity"},
		},
		"vegetables roast without flesh no longer than they bear": {
			"greek-lamb-and-orzo-bake", []string{"Bake, uncovered, for 25 minutes, stirring halfway."}, []string{"45 minutes"},
		},
		"the oil of a sausage is no oil of the list": {
			"baked-cod-with-chorizo-and-white-beans", []string{"Heat a little of the olive oil and fry the smoky bean sausage in a large ovenproof pan, about 4 minutes. Add the onion and cook in the olive oil for 6 minutes"}, []string{"cook in the red onion"},
		},
		"eggs poured in and stirred are scrambled": {
			"hungarian-mushroom-and-sausage-lecso", []string{"Pour in the crumbled tofu and stir over a low heat until hot through."}, []string{"flax", "just set"},
		},
		"a stock that shells were to boil in is hot": {
			"prawn-risotto-with-its-shells", []string{"Simmer the vegetable stock for 15 minutes, then strain and keep hot."}, []string{"shells"},
		},
		"what lies in lemon and mustard overnight takes their taste": {
			"chicken-yassa", []string{"turn the butter beans and mushrooms and onions in it. Refrigerate overnight."}, nil,
		},
		"what runs is not scattered": {
			"chicken-cordon-bleu-pasta-bake", []string{"with the breadcrumbs and spoon over"}, []string{"scatter over"},
		},
	})
}

// What is left of frying where no oil is wanted.
func TestFurtherCardsWithoutOil(t *testing.T) {
	card, findings := wholeCard(t, recipeCalled(t, "beef-kare-kare"), "whole-food-no-oil")
	require.NotContains(t, card, "Add the water", "spoonfuls of water that nothing fries in")
	require.Empty(t, findings)
	card, findings = wholeCard(t, recipeCalled(t, "tuna-nicoise-pasta"), "whole-food-no-oil")
	require.Contains(t, card, "Whisk the lemon juice, the caper and seaweed brine", "what was to be whisked with oil")
	require.Empty(t, findings)
}
