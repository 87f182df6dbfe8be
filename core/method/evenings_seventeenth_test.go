package method

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
)

// What went wrong on the cards of two evenings, each with what the rules that mended it now give.
func TestCardsOfTwoEvenings(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"yolks and whites of boiled eggs are parted": {
			"pepitoria", []string{"with a third of the chopped black-salt tofu and a ladleful", "with the rest of the chopped black-salt tofu and the parsley"}, []string{"whites"},
		},
		"a fat comes for bacon that stood over a fire": {
			"kartoffelsuppe", []string{"Heat the vegetable oil in a large pot, add the onion and leek and sweat"}, nil,
		},
		"a fat that melts in a frying pan fries, and of a cue what is still there stays": {
			"omurice", []string{"Heat half of the vegetable oil in a non-stick pan", "until just set underneath and cook it for 8 minutes until set. Slide", "Repeat with the rest of the vegetable oil"}, []string{"cashew paste", "runny"},
		},
		"a spice named for meat is a spice": {
			"kari-ayam", []string{"Mix the curry powder with a little water to a paste. Rub half of this over the mushrooms and tempeh and leave for 30 minutes."}, nil,
		},
		"a country that is a bird is no line": {
			"gozleme", []string{"cook the gözleme one at a time for 2-3 minutes on each side"}, []string{"cauliflower"},
		},
		"the raw beef is the steak": {
			"quick-beef-pho", []string{"Lay the mushroom slices on top, then ladle over the boiling broth"}, []string{"stock on top"},
		},
		"a tin is greased with what is extra": {
			"parkin", []string{"Gently melt the syrup, treacle, sugar and oil together"}, []string{"cashew paste"},
		},
		"what the dish flours and fries is pressed before and not fried, and the oil is the one of that name": {
			"cod-cheeks", []string{"Toss the mushroom fillets in the flour", "fry the mushroom fillets for 2 minutes on each side", "add the rest of the vegetable oil and heat until hot"}, []string{"Add the oil."},
		},
		"what is stuffed goes into the shells of the list": {
			"stuffed-pasta-shells", []string{"Use a teaspoon to stuff the mixture into the shells."}, nil,
		},
		"brown crabmeat is no order": {
			"crab-gratin", []string{"mustard and a quarter of the seaweed mushrooms and take off the heat", "Fold in the rest of the seaweed mushrooms"}, []string{"brown the"},
		},
		"meringues keep their number": {
			"peach-melba-pavlovas", []string{"Pile on to the foam nests"}, []string{"to the foam,"},
		},
		"flour is used to coat": {
			"chicken-marsala", []string{"and use to coat the butter beans and mushrooms, shaking off any excess"}, []string{"the use"},
		},
		"sausage out of its skins is loose": {
			"sausage-ragu-polenta", []string{"add the lentil mince"}, []string{"logs"},
		},
	})
}

// Under rules without oil a thickener is stirred into the liquid where nothing lies that it could dust, and what was made
// goes in.
func TestFlourGoesIntoTheLiquidWhereNothingLies(t *testing.T) {
	card, findings := wholeCard(t, "Bird\nServes 4\n\n1 chicken, jointed\n2 tbsp butter\n2 tbsp plain flour\n600 ml chicken stock\n2 carrots, sliced\n\nMethod\n1. Melt the butter in a casserole and brown the chicken in it. Dust with the flour and stir for a minute.\n2. Stir in the stock, add the carrots, cover and simmer for 45 minutes.", "whole-food-no-oil")
	require.Empty(t, findings)
	require.Contains(t, card, "tir the plain flour smooth with a little of the golden vegetable stock")
	require.NotContains(t, card, "Dust with")
}

// What the text only says to use is put to the rest, and not lost.
func TestWhatIsOnlyUsedIsThere(t *testing.T) {
	card, findings := wholeCard(t, "Soup\nServes 4\n\n500 g potatoes\n1 litre vegetable stock\n150 g soured cream\n\nMethod\n1. Simmer the potatoes in the stock for 20 minutes.\n2. Use the soured cream as a topping.", swap.WholeFood)
	require.Empty(t, findings)
	require.Contains(t, card, "Use the sunflower cream as a topping.")
}

// A step in which goes in what nothing else takes has a name of its own, so that the cook's words for it are found again.
func TestWhatIsPutInHasAKey(t *testing.T) {
	const text = "Soup\nServes 4\n\nFor the croutons\n4 slices bread\n2 tbsp olive oil\n\nFor the soup\n500 g potatoes\n1 litre vegetable stock\n200 ml double cream\n1 pinch nutmeg\n\nMethod\n1. Fry the bread in the oil.\n2. Simmer the potatoes in the stock with the nutmeg for 20 minutes and blend.\n3. Ladle the soup into bowls and serve with the bread."
	c, err := carrier()
	require.NoError(t, err)
	d := c.reader.Read(text, measure.Metric)
	dec, err := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
	require.NoError(t, err)
	a, err := c.Adapt(d, dec, false)
	require.NoError(t, err)
	keys, put := map[string]bool{}, 0
	for _, part := range a.Components {
		for _, s := range part.Steps {
			require.NotEmpty(t, s.Key, s.Text)
			require.False(t, keys[s.Key], s.Text)
			keys[s.Key] = true
			if s.Why == c.words().Missing {
				put++
			}
		}
	}
	require.Positive(t, put)
	card, _ := wholeCard(t, text, swap.WholeFood)
	require.Contains(t, card, "and blend.\nAdd the", "it stands where its part of the dish is made")
}

// Yolks and whites of eggs that the list has chopped are both there, each as much as it is of them.
func TestPartsOfChoppedEggsAreBothThere(t *testing.T) {
	text := strings.NewReplacer("2 hard-boiled eggs\n", "2 hard-boiled eggs, chopped\n", " Chop the whites finely.", "", "the chopped whites", "the whites").Replace(recipeCalled(t, "pepitoria"))
	card, findings := wholeCard(t, text, swap.WholeFood)
	require.Empty(t, findings)
	require.Contains(t, card, "bread with a third of the chopped black-salt tofu")
	require.Contains(t, card, "Scatter with the rest of the chopped black-salt tofu and the parsley")
}
