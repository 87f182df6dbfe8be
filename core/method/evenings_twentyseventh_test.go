package method

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What cards of sixty-five recipes of every day said wrongly once.
func TestCardsOfAnEverydayAutumn(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"so many of what was shaped go by their shape, and the meat that was shaped is several": {
			"cevapi-kajmak", []string{"beside the fingers", "Tuck six fingers into each bread with some raw onion"}, []string{"the finger ", "Add some raw onion"},
		},
		"slices that are beaten thin go into their marinade": {
			"bifanas", []string{"Put the torn mushrooms in a dish with the garlic"}, []string{"Beat thin"},
		},
		"nothing is beaten after each of what is a gel": {
			"lemon-drizzle-loaf", []string{"Add the flax gel, beating well, with a spoonful of flour"}, []string{"after each"},
		},
		"a cream is a mixture by the name of what gives it its taste": {
			"baja-fish-tacos-slaw", []string{"a spoonful of the chipotle mixture"}, []string{"spoonful of the mixture"},
		},
		"oil that stands in is the other oil": {
			"creamy-tuscan-salmon", []string{"Pour off the oil, add the other oil and shallot"}, nil,
		},
		"a sheet that the dish rolls out is not rolled before": {
			"beef-pot-pie", []string{"Roll out the olive oil pastry to the thickness of a £1 coin"}, []string{"3 mm thick"},
		},
		"what lost its first step is named at its next, and the rest goes on as it did": {
			"ossobuco-bianco", []string{"Dust the torn mushrooms with flour", "and brown them for 5 minutes a side. Lift out", "Return the torn mushrooms", "adding a little more stock should they look dry"}, []string{"\nDust with flour"},
		},
		"what is seared does not stay pink, and all sides are one place": {
			"seared-tuna-soba", []string{"Press the sesame seeds onto the mushroom fillets", "sear the mushroom fillets for 1 minute on each side. "}, []string{"pink", "onto all the"},
		},
		"what ticks over simmers on": {
			"nans-mince-on-toast", []string{"let it tick over for 15 minutes, add the lentil mince and simmer for 15 minutes more"}, []string{"and tick for"},
		},
		"the egg that glazes is another than that of the dough": {
			"tuna-empanada", []string{"the silken tofu and knead", "Brush with the aquafaba"}, nil,
		},
		"water that was boiled with no shells is added to the pot": {
			"tom-yum-goong-clear", []string{"Add the water to the pot with the lemongrass"}, []string{"Return the water"},
		},
		"sausages that are wrapped stay whole, and a sheet round them is not stretched": {
			"pigs-in-blankets", []string{"shape it into logs", "Wrap the smoked tofu skin round the bean sausage", "brush this over the smoked tofu skin and the bean sausage and bake"}, []string{"chestnut", "Stretch", "in blankets and"},
		},
		"a joint is lifted out of its stock in the oven, which is boiled down": {
			"bao-sticky-pork", []string{"Boil the cooking liquid down", "and toss the torn mushrooms in it", "Open them up, fill with the torn mushrooms"}, []string{"Ovals", "the ovals"},
		},
		"what is crumbled into a pan stands in it, and goes in as late as it bears": {
			"beef-ragu-gnocchi-bake", []string{"simmer for 10 minutes, add the lentil mince and simmer for 15 minutes more"}, nil,
		},
		"fish in steaks is no beef": {
			"fish-molee-coconut", []string{"Rub the mushroom fillets with half the turmeric", "Slip in the mushroom fillets and tomatoes, cover"}, []string{"tempeh"},
		},
		"no fat is heated in fat that did not run": {
			"crustless-bacon-quiche", []string{"Heat the rest of the oil in a pan and cook the leeks"}, []string{"in the oil"},
		},
		"a whole tin of things is lifted onto a platter": {
			"greek-lemon-chicken", []string{"Lift onto a platter, spoon over the juices"}, []string{"Scatter the mushrooms"},
		},
		"potatoes have shells too": {
			"tuna-melt-jackets", []string{"Pile back into the shells"}, nil,
		},
		"fat is boiled with the water of a paste, and is no nut paste": {
			"profiteroles-cream", []string{"Bring the water and oil to the boil"}, []string{"Add the olive oil"},
		},
		"of two signs the second says of what, or nothing": {
			"ham-cheese-toasties", []string{"until the bread is golden.\n"}, []string{"golden and melted"},
		},
		"half that is kept for the top does not go into the pot": {
			"sweetcorn-bacon-chowder", []string{"add half of the smoky shiitake and simmer for 5 minutes more", "Scatter with the rest of the smoky shiitake"}, nil,
		},
		"small fish that are fried crisp are strands that get crisp": {
			"nasi-lemak-anchovies", []string{"Fry the enoki strands in the oil until crisp, lift out", "the rest of the enoki strands"}, []string{"flakes"},
		},
		"nothing goes in with the second of what is one gel": {
			"apple-sponge-pudding", []string{"Gradually beat in the flax gel, adding a little of the flour.\n"}, []string{"with the second"},
		},
		"a sauce does not cook for hours until flesh can be pulled apart": {
			"birria-quesadillas", []string{"cover and cook at 150C for 30 minutes"}, []string{"3 hours"},
		},
	})
}

// Minced meats are all of them, and a spoonful is of what is in hand.
func TestRollsAreFilledWithAllThatWasMinced(t *testing.T) {
	card, _ := wholeCard(t, recipeCalled(t, "sarma-smoked-ribs"), "whole-food")
	for _, has := range []string{"Work the lentil mince with the rice", "Put a spoonful on each leaf, fold in the sides", "cover with the remaining shreds"} {
		require.Contains(t, card, has)
	}
}
