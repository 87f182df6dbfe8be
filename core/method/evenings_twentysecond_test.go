package method

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What went wrong on cards of a hash, a chowder, a soup of beans and others, each with what the rules that mended it now
// give.
func TestCardsOfAnAutumn(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"the fish is the steaks, and not the head in the stock": {
			"caldillo", []string{"Season the mushroom fillets with lemon juice", "Lay the mushroom fillets on top"}, []string{"for 20 minutes. Strain"},
		},
		"what was not browned is not laid on a plate, whatever it was rubbed with": {
			"chicken-orzo", []string{"the walnut crumbs, from above, plus extra to serve", "over a medium-high heat.\nAdd the leek"}, []string{"Transfer to a plate"},
		},
		"what seasons goes into mince, and not under a crust": {
			"fennel-sausage-gratin", []string{"until well browned.\nTaste, and add the salt.\nSpread the fennel"}, []string{"golden.\nTaste, and add the salt"},
		},
		"a cup of what runs is no cup of what is grated": {
			"enchilada-casserole", []string{"half of the remaining sauce and half of the potato fondue"}, []string{"1 cup of the potato"},
		},
		"slices that are beaten are rolled, and what stands for them is not beaten": {
			"zrazy", []string{"Salt and pepper the double tofu skin and spread with the mustard", "roll up tightly and fasten"}, []string{"Beat the"},
		},
		"the oil of a part by its name, and a topping of flesh and not of skin": {
			"bakmi-ayam", []string{"1 tbsp puffed rice oil with 1 tsp soy sauce", "Top with the mushrooms and tempeh, the pak choi", "Blanch the pak choi in the same water"}, []string{"Top with the puffed rice"},
		},
		"the meat of a hock is eaten, and water goes into the pot of the beans": {
			"bean-hock-soup", []string{"250 g tempeh, finely diced, steamed", "then add the chopped garlic and rosemary and cook 2 minutes longer", "and cover with 2.5 litres of cold water. Simmer for another hour"}, []string{"Lift out"},
		},
		"a stock that was told of by its name stays one, and of what stands for several each gets some": {
			"arroz-de-marisco", []string{"1.5 litres vegetable stock", "pour in a litre of the hot vegetable stock", "adding the vegetable stock so that it stays soupy", "Add three fifths of the mushroom discs", "Fold in the rest of the mushroom discs"}, []string{"hot dry white wine", "Open some"},
		},
		"a second measure of a thing is a line of its own": {
			"gaeng-jued", []string{"pepper and two fifths of the seaweed seasoning", "Season with the rest of the seaweed seasoning"}, []string{"tablespoon of seaweed"},
		},
		"what a sausage has given off goes with it, and a mash is of the potatoes": {
			"bramborovy-gulas", []string{"In a dry frying pan brown the bean sausage on both sides and add it to the pot."}, []string{"they have released", "lentil mince"},
		},
		"what was sliced before is laid on by its name": {
			"beef-grape-salad", []string{"Arrange the mushroom slices on top, spoon over"}, []string{"Arrange on top"},
		},
		"sugar is rained into what is whipped": {
			"topfenstrudel", []string{"Rain the rest of the sugar into the whipped aquafaba and whisk until glossy.", "it stands in peaks.\nRain"}, []string{"Add the icing sugar", "yolks"},
		},
		"smoked sausage that is crumbled keeps its smoke": {
			"breakfast-burritos", []string{"Put the smoky lentil crumble into a non-stick frying pan"}, []string{"soy mince"},
		},
		"pastry without an amount above a list is of the list": {
			"tourtiere-crimped", []string{"Pastry for a double crust 23 cm pie", "Line a pie plate with half of the pastry"}, nil,
		},
		"all their marinade": {
			"dak-galbi", []string{"lay the butter beans and mushrooms with all their marinade on top"}, []string{"all its"},
		},
		"a herb is strewn over what has melted": {
			"pizzaiola", []string{"sprinkle with the rest of the oregano"}, []string{"spoon with"},
		},
		"a paste that is listed in a row with its order, and flesh that goes in where it was to go back": {
			"ayam-masak-merah", []string{"Grind to a paste.", "Fry the spice paste slowly in it with the whole spices and lemongrass", "Fry in batches in 1 cm of oil until golden", "Return the mushrooms and tempeh, add the coconut milk, half cover"}, []string{"Add the cinnamon", "Add the miso"},
		},
		"bacon that is rendered in a cold pan smokes, and wine is poured though no fat is there": {
			"amatriciana-cold-pan", []string{"the smoked tofu, from above", "Add the wine with the dried chilli and let it evaporate. Crush in the tomatoes"}, []string{"brined tempeh", "with the white wine"},
		},
		"what was to be folded into yolks is mixed with their sugar": {
			"hazelnut-torte-cocoa", []string{"Mix the melted chocolate with three quarters of the light brown sugar, then the hazelnuts"}, []string{"Fold in the melted"},
		},
	})
}

// Nothing is stirred into a crust that lies on a dish.
func TestNothingIsStirredIntoACrust(t *testing.T) {
	got, _ := wholeCard(t, recipeCalled(t, "fennel-sausage-gratin"), "fasting-day")
	require.Contains(t, got, "50 ml water, season.\nAdd the rock salt.\nPour over. Toss the seed crumbs with the quinoa, thyme and other oil and sprinkle over the top.")
}
