package method

import (
	"testing"

	"yembra/core/swap"
)

// What cards said wrongly once of things that are lifted out, laid by and taken up again, and of what is eaten raw.
func TestCardsOfWhatIsTakenUpAgain(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"dumplings are lifted out, of whatever they are filled with": {
			"khinkali-beef", []string{"until the dumplings float. Lift out with a slotted spoon, grind plenty of black pepper over"}, nil,
		},
		"a rind that gave its taste is neither cut nor put back": {
			"pasta-patate-provola", []string{"Remove the bag of dried tomato and porcini."}, []string{"into small dice", "return the bag"},
		},
		"a salted egg is eaten firm": {
			"rawon-beef", []string{"some of the black-salt tofu each"}, []string{"yellow sauce"},
		},
		"of parted eggs that are one thing all is folded in": {
			"twice-baked-goats-souffle", []string{"Fold the whipped aquafaba into the sauce."}, []string{"two thirds of the whipped"},
		},
		"several are one now": {
			"crostini-livers", []string{"Add the caper and seaweed brine and let it melt."}, []string{"let them melt"},
		},
		"what is eaten raw is cut fine, and the yolk by itself": {
			"steak-tartare-home", []string{"Cut the mushrooms into 3 mm dice", "Put the chopped mushrooms in a cold bowl.", "slide the yellow cashew sauce into it"}, []string{"thick pieces", "freezer", "for the white"},
		},
		"of two lines of eggs the beaten one is brushed on": {
			"coulibiac-salmon", []string{"brush all over with the aquafaba and cut two slits"}, []string{"brush all over with the black-salt tofu"},
		},
		"what was scooped onto a plate goes back": {
			"beef-ale-stew-cheddar-dumplings", []string{"add the mushrooms and tempeh and the date sauce and put in for 30 minutes more"}, nil,
		},
		"fish of which the list says that it is eaten raw": {
			"tuna-poke-cucumber", []string{"# Cured tomato"}, []string{"Seaweed mushrooms"},
		},
		"a measure that is well filled": {
			"alfajores", []string{"Sandwich pairs with a generous teaspoon of sweet cashew milk"}, []string{"some of the sweet"},
		},
		"batter in dollops": {
			"beef-chilli-cornmeal-lid", []string{"Spoon over the chilli in dollops, top with the rest of the cashew melt"}, []string{"a fifth of"},
		},
		"what a pod has inside is no gelatine": {
			"vanilla-panna-rhubarb", []string{"with the split vanilla pod and its seeds and bring just to a simmer", "simmer for 2 minutes"}, []string{"squeeze the water"},
		},
		"soft cheese that is mashed and spread": {
			"fishermans-crumpets", []string{"# Seed curd"}, []string{"Brined tofu"},
		},
	})
}

// What is taken out of a pan and laid by while others cook on is told where nothing puts it back.
func TestWhatIsLeftAsideIsTold(t *testing.T) {
	for step, found := range map[string]bool{
		"Brown the tempeh and lift out onto a plate. Add the vegetable stock and simmer for 20 minutes.":                        true,
		"Brown the tempeh and lift out onto a plate. Pour in the vegetable stock, return the tempeh and simmer for 20 minutes.": false,
		"Pour in the vegetable stock and simmer for 20 minutes. Add the tempeh.":                                                false,
	} {
		kinds := spoiled(t, func(c *swap.Component) { last(c).Text, last(c).Change = step, swap.Changed })
		told := false
		for _, k := range kinds {
			told = told || k == swap.LeftAside
		}
		if told != found {
			t.Errorf("%s: told %v", step, told)
		}
	}
}
