package method

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What is carried over by one rule in every dish: each card has one thing and has not another.
func TestWhatGoesOnGoesOnWhole(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	for name, x := range map[string]struct{ recipe, has, hasNot string }{
		"each gets some": {
			"Soup\nServes 6\n\n1 litre water\n1 onion, chopped\n6 eggs, hard-boiled and halved\n\nMethod\n1. Simmer the onion in the water for 20 minutes and ladle into bowls. Put two egg halves in each bowl.",
			"some of the black-salt tofu in each bowl", "a third",
		},
		"inside each one": {
			"Filled breads\nServes 6\n\n500 g minced beef\n1 onion, grated\n6 pitta breads\n\nMethod\n1. Mix the beef and onion. Slit the breads open and spread a thin layer of the meat inside each one. Bake at 200C for 20 minutes.",
			"inside each one", "a quarter",
		},
		"two pieces of flesh in one list": {
			"Sour soup\nServes 6\n\n300 g smoked bacon rib\n400 g sausage\n1 litre water\n1 onion\n100 ml sour rye starter\n\nMethod\n1. Put the rib in a pot with the water and onion and simmer for 1 hour. Add the sausage and cook for 20 minutes.\n2. Lift out the sausage, the rib and the onion. Cut the sausage into slices and pull the meat from the bones.\n3. Stir the starter into the broth and simmer for 10 minutes.\n4. Return the sausage and the meat and serve.",
			"Add the bean sausage and the smoky shiitake", "Lift out the smoky",
		},
		"what goes back into a reduced sauce simmers in it": {
			"Pepper stew\nServes 6\n\n1.5 kg beef shin, in chunks\n10 garlic cloves\n750 ml red wine\n\nMethod\n1. Put the beef into a casserole with the garlic and pour over the wine. Bring to the boil, skim off any scum, then cover and bake at 150C for 4 hours.\n2. Lift out the meat and boil the sauce hard for 10 minutes. Return the meat and serve.",
			"simmer for 10 minutes and serve", "skim",
		},
		"a lid is put on though nothing is skimmed": {
			"Pepper stew\nServes 6\n\n1.5 kg beef shin, in chunks\n10 garlic cloves\n2 carrots\n750 ml red wine\n\nMethod\n1. Put the beef into a casserole with the garlic and carrots. Pour over the wine. Bring to the boil, skim off any scum, then cover and transfer to an oven at 150C for 4 hours.\n2. Lift out the meat and boil the sauce hard for 10 minutes. Return the meat and serve.",
			"to the boil, cover and transfer", "scum",
		},
		"fat is heated for what comes after the flesh": {
			"Coddle\nServes 4\n\n8 pork sausages\n15 g butter\n2 onions, sliced\n150 g bacon, in strips\n1 kg potatoes, in chunks\n500 ml vegetable stock\n\nMethod\n1. Melt the butter in a casserole. Brown the sausages for 8 minutes, then lift them out. Fry the bacon in the same pan until crisp.\n2. Stir in the onions and cook for 5 minutes. Add the potatoes, the sausages and the stock and simmer for 40 minutes.",
			"Heat the oil in a casserole.", "with the oil",
		},
		"nothing is stirred into what lies flat": {
			"Omelette\nServes 2\n\n4 eggs, separated\n60 g gruyère, grated\n60 g cooked ham, chopped\n1 tbsp oil\n\nMethod\n1. Whisk the whites to soft peaks and fold them into the yolks.\n2. Heat the oil in a pan, tip in the egg mixture and spread it level. Cook for 3 minutes, until the underside is golden.\n3. Scatter over the ham and cheese and grill for 2 minutes. Fold in half and serve.",
			"spread it level", "underside is golden.\nGrind",
		},
		"one piece is sliced": {
			"Boiled beef\nServes 6\n\n1.8 kg beef rump cap\n3 litres water\n1 onion\n2 carrots\n\nMethod\n1. Bring the water to the boil and lower in the beef. Simmer for 2 hours. Add the onion and carrots and simmer for an hour.\n2. Lift out the beef and the vegetables. Slice the beef across the grain and cut the vegetables into batons. Arrange the slices on plates with the vegetables.",
			"Bring the water to the boil. Add the onion", "grain",
		},
		"a dough that stands for a sheet is rolled out": {
			"Puffs\nMakes 16\n\n1 sheet (320 g) ready-rolled all-butter puff pastry\n400 g potatoes, boiled and mashed\n2 tbsp oil\n\nMethod\n1. Cut the pastry into 16 squares. Place a spoonful of the potato in the middle of each and fold over. Brush with the oil and bake at 200C for 25 minutes.",
			"Roll it out on a floured board", "looks",
		},
		"flesh is not boiled for what is grilled": {
			"Chopped belly\nServes 4\n\n500 g pork belly\n2 bay leaves\n1 tsp peppercorns\n1 red onion, chopped\n2 tbsp soy sauce\n\nMethod\n1. Put the belly in a pot with the bay leaves and peppercorns. Cover with water and simmer for 1 hour, until tender. Drain well.\n2. Grill the belly until browned. Mix it with the onion and soy sauce.",
			"onion and soy sauce", "bay leaves",
		},
	} {
		card := saidOf(t, c, x.recipe)
		require.Contains(t, card, x.has, name)
		require.NotContains(t, card, x.hasNot, name)
	}
}
