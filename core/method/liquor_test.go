package method_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
)

// carriedOver carries a recipe over with chosen swaps, by their lines, and gives the card's
// lines and its steps but for preparations.
func carriedOver(t *testing.T, text string, swaps map[string]string) (lines []string, steps string) {
	t.Helper()
	r, _, c := open(t)
	a, err := c.Adapt(r.Read(text, measure.Metric), swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: swaps}, false)
	require.NoError(t, err)
	for _, l := range a.Components[0].Lines {
		if l.Change != swap.Dropped {
			lines = append(lines, l.Text)
		}
	}
	var out []string
	for _, s := range a.Components[0].Steps {
		if s.Change != swap.Dropped && s.Prepares == "" {
			out = append(out, s.Text)
		}
	}
	return lines, strings.Join(out, " ")
}

// The broth of shells that are gone is replaced by as much stock as there was water,
// and what stands for them goes in once, where they went in by name.
func TestTheLiquorOfWhatIsGoneIsReplaced(t *testing.T) {
	lines, steps := carriedOver(t, "Chowder\nServes 6\n\n2 kg clams\n1 onion\n3 tbsp flour\n40 g butter\n700 g potatoes\n\nMethod\n1. Steam the clams in 500 ml water for 8 minutes until open; strain and keep the broth, chop the meat.\n2. Fry the onion in the butter for 8 minutes. Stir in the flour, then gradually the clam broth.\n3. Add the potatoes and simmer for 15 minutes. Stir in the clams and heat through.",
		map[string]string{"components[0].lines[0]": "king-oyster-scallop", "components[0].lines[3]": "oil-for-butter"})
	require.Contains(t, lines, "500 ml vegetable stock")
	require.Contains(t, steps, "then gradually the vegetable stock")
	require.Equal(t, 1, strings.Count(steps, "mushroom discs"), steps)
	require.NotContains(t, steps, "clam")
}

// A liquid of the cook's own that went into juices goes on without them.
func TestAListedLiquidOutlivesTheJuices(t *testing.T) {
	_, steps := carriedOver(t, "Beans\nServes 4\n\n1 kg mussels\n200 ml white wine\n400 g cooked white beans\n\nMethod\n1. Cook the mussels in the wine for 4 minutes. Lift out the mussels and keep the mussel juices.\n2. Simmer the beans with the mussel juices for 10 minutes and stir in the mussels.",
		map[string]string{"components[0].lines[0]": "king-oyster-scallop"})
	require.Contains(t, steps, "wine")
	require.NotContains(t, steps, "juices")
	require.Equal(t, 1, strings.Count(steps, "mushroom discs"), steps)
}

// What stands in lies in the marinade too and is seared again, as that made it wet; the
// marinade never goes into a fryer.
func TestAMarinadeGoesWithTheStandIn(t *testing.T) {
	_, steps := carriedOver(t, "Wok\nServes 2\n\n300 g beef sirloin, in strips\n3 tbsp soy sauce\n2 cloves garlic\n2 potatoes, cut into chips\n500 ml sunflower oil\n1 red onion\n\nMethod\n1. Marinate the beef in 1 tbsp of the soy sauce and the garlic for 15 minutes.\n2. Deep-fry the chips in the oil at 170 C for 5 minutes and drain them.\n3. Sear the beef in a hot wok for 1 minute and take it out.\n4. Toss the onion in the wok for 1 minute, return the beef and splash in the rest of the soy sauce.",
		map[string]string{"components[0].lines[0]": "seared-mushroom-shreds"})
	require.Contains(t, steps, "Marinate the torn mushrooms in 1 tbsp of the soy sauce and the garlic for 15 minutes. Deep-fry the chips in the oil at 170 C")
	require.Contains(t, steps, "Sear the torn mushrooms in a hot wok for 1 minute and take them out")
	require.Contains(t, steps, "return the torn mushrooms")
}

// Flour that makes a batter is no dust on it: what is done to the batter stays.
func TestABatterIsNoDust(t *testing.T) {
	_, steps := carriedOver(t, "Drops\nServes 4\n\n400 g plain flour\n4 eggs\n180 ml water\n1 tsp salt\n\nMethod\n1. Beat the eggs with the water and salt, stir in the flour and rest the batter for 20 minutes.\n2. Press the batter through a colander into a pan of boiling water and lift out the drops when they float.",
		map[string]string{"components[0].lines[1]": "dough-water-bind"})
	require.Contains(t, steps, "Press the batter through a colander")
}

// What lies in the sauce in which it was cooked is moved out of it while that boils down.
func TestWhatLiesInASauceIsMovedOut(t *testing.T) {
	_, steps := carriedOver(t, "Pot\nServes 4\n\n8 chicken thighs\n2 onions\n400 ml vegetable stock\n100 g olives\n\nMethod\n1. Put the chicken in a bowl with the onions and chill for 2 hours. Tip everything into a pan and cook for 5 minutes. Add the stock and simmer for 10 minutes.\n2. Move the chicken to a plate and keep warm. Boil the sauce until thick and stir in the olives. Return the chicken.", map[string]string{"components[0].lines[0]": "butter-bean-poultry"})
	require.Contains(t, steps, "Move the butter beans and mushrooms to a plate and keep warm")
}

// A word for what is liquid stays where it means a line by nothing else: soy drink is one too.
func TestALiquidStaysOne(t *testing.T) {
	_, steps := carriedOver(t, "Scones\nServes 4\n\n300 g self-raising flour\n150 ml milk\n\nMethod\n1. Sift the flour into a bowl. Pour in the liquid and mix to a dough. Pat it out and bake for 15 minutes.", map[string]string{"components[0].lines[1]": "soy-drink-for-milk"})
	require.Contains(t, steps, "Pour in the liquid and mix")
}
