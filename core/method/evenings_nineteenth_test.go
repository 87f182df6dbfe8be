package method

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
)

// What went wrong on cards of dishes of many kitchens, each with what the rules that mended it now give.
func TestCardsOfManyKitchens(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"what ends a row of layers goes by the name of what stands in": {
			"rakott-krumpli", []string{"Repeat the layers, ending with potatoes and the last of the soy yoghurt"}, nil,
		},
		"starch binds as soon as it is hot, and ribbons of egg are shreds of tofu": {
			"chilli-crab", []string{"Add the seaweed mushrooms, cover and simmer for 6 minutes", "cook until the sauce thickens", "slip in the tofu shreds"}, []string{"flax", "cook for 10 minutes", "ribbons"},
		},
		"fat that runs out of a cured jowl is its own, and its pieces are stirred through in the end": {
			"rigatoni-gricia", []string{"Stir through the smoked tofu and serve"}, []string{"cold frying pan"},
		},
		"two minced meats are one mince, all of it": {
			"frikadeller", []string{"Work the salt into the lentil mince until sticky"}, []string{"half of the lentil mince"},
		},
		"balls in a broth of quick vegetables simmer as long as they bear": {
			"lions-head", []string{"simmer very gently for 10 minutes"}, nil,
		},
		"milk goes to the butter in hand and not to that of the sauce": {
			"malva-pudding", []string{"Heat the rest of the oil and stir in the vinegar. Add the soy drink to the oil."}, []string{"add the cashew paste"},
		},
		"eggs whose yolks are broken and drawn through the pan are scrambled": {
			"menemen-feta", []string{"Spoon in the crumbled tofu", "through the tomatoes with a wooden spoon"}, []string{"pumpkin"},
		},
		"nothing is done after a cooking has ended": {
			"stoofvlees", []string{"simmer over the lowest heat for 30 minutes."}, []string{"after an hour"},
		},
		"what was scooped out goes in where it is named, with the rest of the broth": {
			"sopa-de-fideo", []string{"Add the noodles to the fat in the pot", "Add the rest of the golden vegetable stock and the spiced smoked tofu"}, []string{"spiced smoked tofu and the noodles"},
		},
		"butter cut into flour is cold and hard, and what is not listed beside is seasoned from the shelf": {
			"biscuits-sausage", []string{"Cut in the coconut fat until", "Season with the pepper, sage, cayenne and salt"}, []string{"cashew paste", "Taste, and add the salt"},
		},
		"nothing of another kitchen is stirred in for its body": {
			"chakhokhbili", []string{"simmer for 15 minutes more"}, []string{"egusi"},
		},
		"an oil beside another that is only called oil goes by its whole name": {
			"bo-luc-lac", []string{"Add half the oil and sear", "Add the vegetable oil, the remaining garlic and onion"}, []string{"Add the oil, the remaining"},
		},
	})
}

// What went wrong on cards of more dishes, each with what the rules that mended it now give.
func TestCardsOfMoreKitchens(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"a dough is one whatever is filled into it, and is lifted out whole": {
			"kroppkakor", []string{"press the dough together around it", "Lift out with a slotted spoon and serve at once"}, []string{"Serve the smoked beans"},
		},
		"a stock is brought for that of shells which were only kept": {
			"durban-prawn-curry", []string{"500 ml vegetable stock", "Add the potatoes and the vegetable stock"}, []string{"pour in 500ml water", "Strain"},
		},
		"what stands for bacon is fried in the dry pan that is said, and everything is what is in the pot": {
			"aelplermagronen", []string{"fry the smoked tofu in a dry pan till crisp and take it out", "Add the oil and fry the onion rings slowly", "add the cashew melt and stir over a low heat", "Fold in half of the smoked tofu."}, nil,
		},
		"a kind of a cheese is that cheese": {
			"gnocchi-gorgonzola", []string{"crumble in the sharp cashew crumble"}, []string{"no swap"},
		},
		"nothing is stirred into oil that is poured off": {
			"huevos-rotos", nil, []string{"stir it in"},
		},
		"the whites of eggs that are gone turn nothing": {
			"khao-tom-moo", []string{"into each of two deep bowls", "Leave a minute."}, []string{"Pinch off everything", "milky"},
		},
		"crumbs are of the bread and not what is fried for them": {
			"pumpkin-soup-bacon", []string{"For the crumbs, fry the crumbs and sage", "then mix with the smoky shiitake"}, []string{"Add the sourdough"},
		},
		"a pan is greased with what is more, and no word stands twice": {
			"crepes-suzette", []string{"fry 8 thin pancakes"}, []string{"thin thin", "half of the cashew paste"},
		},
		"nothing is frozen to be cut, and what has run has no slices": {
			"cheesesteaks", []string{"spoon some of the cashew melt on each"}, []string{"Freeze", "slices of cashew"},
		},
	})
}

// What else goes by the name of what stands in where the manner of an action names the original.
func TestMannersGoByTheNameOfWhatStandsIn(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"the buttered side": {"croque-monsieur", []string{"cashew paste side down, on a baking sheet", "cashew paste side up"}, nil},
	})
}

// A name is put once behind a word that it begins with, the whole name of the original goes for it, and what the cook says
// twice stays.
func TestNamesArePutOnce(t *testing.T) {
	require.Equal(t, "fry 8 thin pancakes", put("fry 8 thin ", "thin pancakes"))
	require.Equal(t, "fry 8 thin pancakes", put("fry 8 ", "thin pancakes"))
	c, err := carrier()
	require.NoError(t, err)
	said := saidOf(t, c, "Gado gado\nServes 4\n\n500 g potatoes\n200 ml soured cream\n\nMethod\n1. Boil the potatoes. Stir very very gently and serve the gado gado.\n2. Layer the potatoes with the soured cream. Repeat the layers, ending with the last of the soured cream.")
	require.Contains(t, said, "very very gently and serve the gado gado")
	require.NotContains(t, said, "soured soy")
	require.Contains(t, said, "ending with the last of the sunflower cream")
}

// What has to cook is stirred in before the pot leaves the fire.
func TestABoosterThatCooksGoesInBeforeTheFireIsOff(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	d := c.reader.Read("Stew\nServes 4\n\n500 g potatoes\n800 g tomatoes\n2 onions\n1 bunch parsley\n\nMethod\n1. Simmer the potatoes, tomatoes and onions for 30 minutes.\n2. Stir in the parsley, simmer for 5 minutes, then turn off the heat and leave covered for 10 minutes.", measure.Metric)
	a, err := c.Adapt(d, swap.Decisions{Boosters: []swap.Dose{{Food: "egusi", Form: "ground", Grams: 20}}}, false)
	require.NoError(t, err)
	var said []string
	for _, s := range a.Components[0].Steps {
		said = append(said, s.Text)
	}
	at := slices.IndexFunc(said, func(s string) bool { return strings.Contains(s, "egusi") })
	require.Equal(t, 1, at, said)
	require.Contains(t, said[2], "turn off the heat")
}
