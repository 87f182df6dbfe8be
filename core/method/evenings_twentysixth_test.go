package method

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/swap"
)

// What cards of forty recipes of many kitchens said wrongly once.
func TestCardsOfAWinterOfDishes(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"no fat is heated twice": {
			"stroganoff-pasta", []string{"Season the torn mushrooms and fry for 5–6 minutes until golden", "Return the torn mushrooms to the pan and simmer for 3 minutes"}, []string{"heat a little more"},
		},
		"some of a fat for one of many, and then the rest of it": {
			"feta-filo-triangles", []string{"Brush one strip with some of the oil", "brush the tops with the rest of the oil"}, []string{"half of the oil"},
		},
		"nothing that is ready is put into an emptied pan, and nothing stirred in there": {
			"leek-bacon-gruyere-tart", []string{"Scoop out of the pan.\n", "Season with pepper.\nTaste, and add the salt."}, []string{"add the smoky shiitake"},
		},
		"what stands for a fried egg is warmed in the oil for it": {
			"thai-basil-pork-egg", []string{"- 2 tbsp vegetable oil\n", "Heat the remaining oil in a small frying pan and warm the potato and pumpkin rounds"}, []string{"Add the potato and pumpkin rounds"},
		},
		"no milk is heated to poach nothing, and each cake is coated": {
			"salmon-fishcakes-tartare", []string{"Coat each cake in flour", "Season well.\nGrind the dried shiitake to powder and stir it in"}, []string{"soy drink", "bay leaf", "Coat the cake"},
		},
		"the cheese is all that was mixed, wherever it lies": {
			"khachapuri-boats", []string{"Spread a quarter of the mixture down the middle", "Make a hollow in the mixture of each boat"}, []string{"more nutritional yeast"},
		},
		"bread that is served with butter is spread, and what is stirred in goes into the sauce": {
			"prawn-cocktail-plain", []string{"brown bread and the cashew butter", "through the sauce.\nCrumble the nori and stir it in"}, []string{"and the vegetable oil", "on top.\nCrumble"},
		},
		"nothing but mince browns with garlic until it has browned": {
			"moussaka-plain", []string{"for 8 minutes, add the garlic. Pour in the wine"}, []string{"until browned. Pour"},
		},
		"the raw beef is that which waits": {
			"pho-with-beef-plain", []string{"Lay the mushroom slices on the noodles"}, []string{"Lay the dark mushrooms"},
		},
		"what is grilled on skewers is not seared before, in whatever it lay": {
			"tikka-skewers-cucumber", []string{"Season the mushroom pieces and the tempeh", "warm chapati"}, []string{"Sear the mushroom"},
		},
		"what stands for a poached egg is warmed in no water": {
			"corned-beef-hash-plain", []string{"Meanwhile, warm the potato and pumpkin rounds for 3 minutes"}, []string{"simmering water"},
		},
		"a pan is not wiped of the oil that is to fry, and nothing is brought for words that go": {
			"prawn-laksa-shells", []string{"Heat the oil in a large pan.\nFry the laksa paste"}, []string{"Wipe", "Add the vegetable stock", "150 ml vegetable stock"},
		},
		"the fish is no fish sauce": {
			"ca-kho-to-plain", []string{"Lay in the mushroom fillets in a single layer"}, []string{"Lay in the seaweed"},
		},
		"what goes along does not change how a thing is strewn": {
			"quiche-lorraine-foil", []string{"Scatter the smoky shiitake over the base with most of the stretchy cashew curd"}, []string{"Top the smoky"},
		},
		"a cream by the names of two is all of both, and yolks are no yolks": {
			"tiramisu-marsala", []string{"fold into the mixture", "Spread over half the mixture"}, []string{"yolk"},
		},
		"what was pushed into flesh goes into the tin with what stands for it": {
			"lamb-shoulder-flageolet", []string{"roast for 25 minutes with the garlic cloves and the rosemary, add the torn mushrooms"}, []string{"Season with the rosemary", "Add the garlic cloves"},
		},
		"only the yoghurt is added by the spoonful": {
			"creamy-korma-plain", []string{"Lower the heat, add the butter beans and mushrooms and add the soy yoghurt a tablespoon at a time"}, nil,
		},
		"nothing is slashed that has no skin": {
			"steamed-sea-bass", []string{"Rub the mushroom fillets with a little salt"}, []string{"Slash"},
		},
		"more of what the list has more of": {
			"carbonara-guanciale-plain", []string{"Serve straight away with a little more of the walnut crumbs"}, []string{"more nutritional yeast"},
		},
		"oil gets hot and not nut-brown": {
			"gnudi-sage-butter", []string{"cook until the leaves are crisp"}, []string{"nut-brown"},
		},
		"what only gave its taste to a broth that is not made is not bought": {
			"kedgeree-fish-liquid", []string{"Cook the rice in the vegetable stock"}, []string{"bay leaves"},
		},
		"six thin slices of pork belly": {
			"okonomiyaki-thin-pork", []string{"- 130 g king oyster mushroom", "mountain yam"}, nil,
		},
		"eggs that are filled have halves and a filling": {
			"devilled-eggs-plain", []string{"Mash the yellow mash with the aquafaba sauce and mustard", "Pipe the mixture back into the potato halves"}, []string{"Scoop", "a third of"},
		},
		"no nut paste is rubbed round a dish": {
			"rice-pudding-rubbed", []string{"Rub a baking dish generously with some of the oil", "drizzle with the rest of the oil"}, []string{"cashew", "dot with"},
		},
		"bread is spread once": {
			"fish-finger-sandwiches", []string{"Spread the bread with the cashew paste, spread two slices with the tofu mayonnaise"}, []string{"Spread the bread,"},
		},
		"pasta and a sauce over it are no lid": {
			"bolognese-lasagne-one-list", []string{"cover with lasagne, then ragu, pale sauce and seed crumbs", "Bake for 40 minutes until bubbling"}, nil,
		},
		"no black salt goes into a sweet custard": {
			"pasteis-de-nata-rolled", []string{"cool for a few minutes and whisk in the tofu and starch cream"}, []string{"black salt"},
		},
		"a batter is swirled into what it becomes": {
			"egg-fried-rice-shreds", []string{"swirl into a thin pancake"}, []string{"swirl into the silken"},
		},
	})
}

// Flour that is pulsed with what stands for butter is no blend that wants water, whatever stands for it.
func TestADoughIsNoBlend(t *testing.T) {
	_, findings := wholeCard(t, recipeCalled(t, "quiche-lorraine-foil"), "whole-food-no-oil")
	require.Empty(t, findings)
}

// Nothing is prepared while what is fried for a few minutes stands in the pan, with which the next step goes on.
func TestNothingIsPreparedBesideAHotPan(t *testing.T) {
	card, _ := wholeCard(t, recipeCalled(t, "mussels-in-white-wine-and-cream"), swap.WholeFood)
	require.Regexp(t, `(?s)wakame; cut.*soften the shallots and garlic for 5 minutes`, card)
}
