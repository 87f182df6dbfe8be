package method

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/swap"
)

// What went wrong on the cards read last, each with what the rules that mended it now give.
func TestLatestCardsOfAnEvening(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"a fat fetched for others besides its own is more of it": {
			"jagerschnitzel", []string{"Heat the olive oil in a large frying pan", "Heat a little more olive oil, add the onion"}, nil,
		},
		"half of a fat browns what stands for beef, in the pot it was for": {
			"beef-stew-with-herb-dumplings", []string{"Toss the mushrooms and tempeh in the flour with plenty of seasoning. Heat half of the oil in a flameproof casserole and brown the mushrooms and tempeh in batches. Lift out onto a plate."}, []string{"Sear the mushroom"},
		},
		"a cube of two, its rest, and what is said of an onion": {
			"nigerian-beef-stew", []string{"Place one of the onions, chopped, half of the mushroom stock powder"}, []string{"the beef"},
		},
		"what lay on a shoulder goes into the slow cooker": {
			"pork-carnitas", []string{"and the orange juice in a slow cooker on low for 2 hours.", "Reserve it."}, []string{"Squeeze over", "the oranges"},
		},
		"one stand-in for two shells goes in whole, and is not thrown away": {
			"cioppino", []string{"Add the palm rings and seaweed mushrooms. Simmer gently"}, []string{"Discard", "rest of the palm"},
		},
		"cutlets that are not sliced go by what they are": {
			"chicken-parmigiana", []string{"cook the tofu slabs until golden brown", "Arrange the tofu slabs on top", "Scatter with the basil"}, []string{"cutlets", "Spoon with"},
		},
		"what the dish cooks on a griddle is cooked there": {
			"thai-beef-salad", []string{"Rub the mushroom slices with the oil and season. Heat a griddle pan until very hot and cook the mushroom slices for 3 minutes on each side"}, []string{"very hot dry pan"},
		},
		"discs for prawns fry as long as they take, in the oil of the prawns": {
			"yangzhou-fried-rice", []string{"Wipe out the wok, add another tablespoon of oil and stir-fry the mushroom discs for 4 minutes", "Heat the last of the oil"}, []string{"for 1 minute; remove"},
		},
		"the fire is not turned down under what is gone, nor its bay leaf kept": {
			"salmon-fishcakes", []string{"lemon zest. Season"}, []string{"ower the heat", "bay leaf"},
		},
		"oil is heated, and time is that of each side": {
			"cheese-blintzes", []string{"Heat the vegetable oil in a 20 cm frying pan", "for 2 minutes each side until golden"}, []string{"Melt the vegetable", "8 minutes"},
		},
		"charred onions go into the pot without the bird": {
			"chicken-pho-charred", []string{"Put the onions and the piece of ginger and toasted spices in a large stockpot. Pour in", "Set it aside."}, []string{"aside it"},
		},
		"a cream is not cut, and melts with the chocolate": {
			"chocolate-brownies", []string{"until the cashew paste and chocolate have melted", "Chop the cashew chocolate into chunks"}, []string{"small cubes", "until melted and"},
		},
		"half of what remains is no rest": {
			"croque-monsieur", []string{"spoon over a third of the potato melt", "spoon over the rest of the potato melt", "Spread the bread with the cashew paste"}, nil,
		},
		"slits in what has none": {
			"egg-curry-kerala", []string{"slip in the black-salt tofu"}, []string{"slits", "Peel"},
		},
		"rice cakes are no cake, and fish cakes stay springy": {
			"tteokbokki", []string{"Add the rice cakes and boil", "fried tofu strips"}, []string{"sponge"},
		},
		"spices that are in the pan are not those that go in": {
			"lamb-saag", []string{"chillies and ground spices except the garam masala, and cook", "Stir the spinach, garam masala and cashew cream into the curry"}, []string{"Add the ground coriander", "Into the curry"},
		},
		"a loaf roasts no four hours": {
			"lamb-kleftiko", []string{"Roast for 45 minutes until very tender."}, []string{"4 hours"},
		},
		"the liquor goes on by its name": {
			"mussel-and-leek-chowder", []string{"Add the potatoes, the soy drink, the bay leaf and the liquor, and simmer", "Serve topped with some of the mushroom bites"}, nil,
		},
		"a slice on each of several": {
			"galettes-completes", []string{"lay some of the smoked gluten slices in the middle and lay one of the potato and pumpkin rounds on top"}, nil,
		},
		"the juice of what is listed": {
			"kimchi-udon", []string{"- 2 tbsp kimchi juice", "kimchi juice."}, []string{"chopped, juice"},
		},
	})
}

// Under other house rules: what is barred in a line of two goes from its step, and a pan without its fat is put to use.
func TestLatestCardsUnderOtherRules(t *testing.T) {
	for _, x := range []struct{ preset, recipe, has, hasNot string }{
		{"fasting-day", "prawn-cocktail", "Serve with the tahini.", "brown bread"},
		{"fasting-day", "yangzhou-fried-rice", "with the chestnuts and potato, mushroom seasoning and pepper", "look"},
		{"whole-food-no-oil", "spaghetti-and-meatballs", "Put the garlic in a large saucepan and sizzle for 1 min in spoonfuls of water.", "sizzle in"},
	} {
		card, findings := wholeCard(t, recipeCalled(t, x.recipe), x.preset)
		require.Contains(t, card, x.has)
		require.NotContains(t, card, x.hasNot)
		require.Empty(t, findings)
	}
}

// What a list says of a thing behind a comma stays with it where the list is written anew, and where it goes in elsewhere; the
// time of each side is halved.
func TestWhatIsSaidBehindACommaStays(t *testing.T) {
	stew := "Stew\nServes 4\n\n500 g beef, cubed\n2 onions\n1 carrot\n1 litre water\n100 ml single cream\n100 g peas\n\nMethod\n"
	for text, has := range map[string]string{
		"1. Put the beef in a pot with one of the onions, chopped, the carrot, sliced, and the water. Simmer for 2 hours.\n2. Slice the other onion and stir it in with the cream and peas.": "Simmer half of the onions, chopped, the carrot, sliced and the water in a pot",
		"1. Simmer the beef in the water for 2 hours.\n2. Season the beef with the onions, chopped, the carrot, sliced, and the peas.":                                                       "with the onions, chopped, the carrot",
	} {
		card, _ := wholeCard(t, stew+text, swap.WholeFood)
		require.Contains(t, card, has)
	}
	card, _ := wholeCard(t, "Patties\nServes 4\n\n2 onions\n2 eggs\n300 g peas\n100 g breadcrumbs\n2 tbsp oil\n\nMethod\n1. Mix the onions, chopped, the eggs, the peas and the breadcrumbs. Shape into patties and fry in the oil for 5 minutes.", swap.WholeFood)
	require.Contains(t, card, "Mix the onions, chopped, the")
	card, _ = wholeCard(t, recipeCalled(t, "singapore-noodles"), swap.WholeFood)
	require.Contains(t, card, "cook for 3 minutes on each side")
}

// Oil is neither cut nor said to go along where it is all that is heated; what is named again later goes in then.
func TestWhatGoesInInPlaceOfWhatWasCut(t *testing.T) {
	card, _ := wholeCard(t, "Cake\nServes 4\n\n100 g butter\n200 g plain flour\n100 g sugar\n1 tsp baking powder\n100 ml water\n\nMethod\n1. Cut the butter into small cubes and melt in a pan.\n2. Stir in the sugar, flour, baking powder and water and bake at 180 C for 30 minutes.", swap.WholeFood)
	require.Contains(t, card, "Heat the oil in a pan.")
	require.NotContains(t, card, "cubes")
	card, _ = wholeCard(t, "Soup\nServes 4\n\n800 g beef brisket\n2 onions, halved\n2 litres water\n1 tsp salt\n\nMethod\n1. Char the onions under a hot grill until black.\n2. Put the beef in a pot with the onions. Pour in the water and simmer for 2 hours.\n3. Lift out the beef. Chop the onions and stir them in.", swap.WholeFood)
	require.Contains(t, card, "Pour in the water and simmer in a pot for 40 minutes.")
	card, _ = wholeCard(t, "Soup\nServes 4\n\n4 tbsp olive oil\n1 onion, chopped\n500 g potatoes, diced\n1 litre water\n150 g chorizo, sliced\n\nMethod\n1. Sweat the onion in half the oil until soft. Add the potatoes and water and simmer for 20 minutes.\n2. Fry the chorizo in the remaining oil until crisp.\n3. Ladle the soup into bowls and top with the chorizo.", swap.WholeFood)
	require.Contains(t, card, "Fry the smoky bean sausage in the remaining oil until crisp.")
}
