package method

import (
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// recipeCalled is a recipe of the lots that were read first and mended then, by its name.
func recipeCalled(t *testing.T, name string) string {
	t.Helper()
	all := ""
	for _, file := range []string{"eighth.txt", "ninth.txt", "tenth.txt", "eleventh.txt", "twelfth.txt", "thirteenth.txt", "fourteenth.txt", "fifteenth.txt", "sixteenth.txt", "seventeenth.txt", "eighteenth.txt", "nineteenth.txt", "twentieth.txt", "twentyfirst.txt", "twentysecond.txt", "twentythird.txt", "twentyfourth.txt", "twentyfifth.txt", "twentysixth.txt", "twentyseventh.txt", "twentyeighth.txt", "twentyninth.txt", "thirtieth.txt", "thirtyfirst.txt", "thirtysecond.txt", "thirtythird.txt", "thirtyfourth.txt", "thirtyfifth.txt", "thirtysixth.txt", "thirtyseventh.txt", "thirtyeighth.txt", "thirtyninth.txt", "apart.txt", "second.txt"} {
		data, err := os.ReadFile(filepath.Join("..", "flow", "testdata", file))
		require.NoError(t, err)
		all += "\n" + string(data)
	}
	_, text, found := strings.Cut(all, "\n=== "+name+"\n")
	require.True(t, found, name)
	text, _, _ = strings.Cut(text, "\n=== ")
	return text
}

// What is carried over by one rule in every dish: each card has one thing and has not another.
func TestWhatGoesOnGoesOnWhole(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	for name, x := range map[string]struct{ recipe, has, hasNot string }{
		"bread that is warm": {
			"Curry\nServes 2\n\n500 g chicken thighs\n2 onions\n1 tbsp oil\n\nMethod\n1. Fry the onions and the chicken in the oil for 20 minutes. Serve with rice and warm naan.",
			"rice and warm chapati", "warm the",
		},
		"oil that would have fried is not served": {
			"Crumbs\nServes 4\n\n300 g stale bread, torn\n4 tbsp olive oil\n1 red pepper, diced\n4 eggs\n\nMethod\n1. Heat 2 tablespoons of the oil in a pan. Fry the pepper for 5 minutes. Stir in the bread and cook for 10 minutes.\n2. Fry the eggs in the remaining oil and serve one on top of each plate of crumbs.",
			"Serve the black-salt tofu on top of each plate", "and the olive oil",
		},
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
			"Add the smoky bean sausage and the smoky shiitake", "Lift out the smoky",
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
			recipeCalled(t, "cheese-and-ham-souffl-omelette"),
			"spread it level. Cook over a medium heat", "level.\nGrind",
		},
		"one piece is sliced": {
			recipeCalled(t, "svickova"),
			"Slice the roasted celeriac, add the smoky shiitake", "grain",
		},
		"water boils once": {
			"Boiled beef\nServes 6\n\n1.8 kg beef rump cap\n3 litres water\n1 onion\n2 carrots\n\nMethod\n1. Bring the water to the boil and lower in the beef. Simmer for 2 hours. Add the onion and carrots and simmer for an hour.\n2. Lift out the beef and the vegetables and serve.",
			"Bring the water to the boil. Add the onion", "Simmer the water",
		},
		"a batter for eggs cooks until it is done": {
			"Plain omelette\nServes 1\n\n3 eggs\n15 g butter\n1 tbsp chives, snipped\n\nMethod\n1. Beat the eggs with a fork. Melt the butter in a small frying pan. Pour in the eggs. Cook, drawing in the edges, for about a minute until just set.\n2. Scatter over the chives, fold over and slide onto a plate.",
			"for about 5 minutes until just set", "a minute",
		},
		"the last minutes of a shorter cooking": {
			"Pie filling\nServes 6\n\n900 g braising steak, diced\n2 onions, sliced\n3 carrots, sliced\n440 ml stout\n\nMethod\n1. Put the beef, onions and carrots in a pan with the stout. Bring to a simmer, cover, and cook gently for 2 hours until the beef is tender. Uncover for the last 30 minutes so the gravy thickens.",
			"for the last 15 minutes", "last 30",
		},
		"a lid goes on what stays": {
			"Casserole\nServes 4\n\n8 pork sausages\n1 tbsp oil\n1 red onion, sliced\n400 g tin chopped tomatoes\n\nMethod\n1. Brown the sausages in the oil and lift them out. Fry the onion for 8 minutes. Pour in the tomatoes and nestle the sausages back in. Cover and simmer for 20 minutes.",
			"Cover and simmer", "nestle",
		},
		"what goes back with flesh that comes later": {
			"Tagine\nServes 6\n\n1 kg lamb shoulder, in chunks\n2 tbsp olive oil\n2 onions, chopped\n400 g tin chopped tomatoes\n500 ml vegetable stock\n\nMethod\n1. Heat half the oil in a heavy pan and brown the lamb in batches, transferring each batch to a bowl. Add the remaining oil and cook the onions for 10 minutes.\n2. Return the lamb and any juices to the pan with the tomatoes and stock. Bring to the boil, cover and simmer for 1 hour 30 minutes.",
			"Add the tomatoes and the vegetable stock", "juices",
		},
		"what is mixed is not chopped before it is ground": {
			"Cakes\nMakes 12\n\n400 g white fish fillets\n2 tbsp red curry paste\n2 tbsp cornflour\n60 g green beans, sliced\n3 tbsp oil\n\nMethod\n1. Roughly chop the fish and pulse it in a food processor with the curry paste and cornflour until sticky. Stir in the beans. Shape into 12 small cakes and fry in the oil for 3 minutes a side.",
			"in a food processor", "chop the",
		},
		"pieces that are turned take nothing in": {
			"Steaks and cakes\nServes 4\n\n4 beef steaks\n500 g potatoes, boiled and mashed\n1 onion, chopped\n2 tbsp oil\n\nMethod\n1. Mix the potatoes with the onion and shape into 4 cakes. Fry the cakes in the oil for 2-3 minutes a side until golden.\n2. Fry the steaks for 3 minutes a side and serve with the cakes.",
			"for 2-3 minutes a side", "mushrooms to",
		},
		"what a part of the dish is for goes by its other name": {
			"Dip\nServes 2\n\n1 cucumber, grated\n200 g natural yoghurt\n2 tbsp chopped mint\n\nMethod\n1. For the raita, squeeze the cucumber dry and mix it into the yoghurt with the mint.",
			"For the cool sauce, squeeze the cucumber dry", "raita",
		},
		"a broth of what stands for a bird": {
			"Soup\nServes 6\n\n1 small chicken (about 1.3 kg)\n2 litres water\n2 onions, 1 halved, 1 chopped\n3 carrots, sliced\n1 bay leaf\n\nMethod\n1. Put the chicken in a large pot with the water, the halved onion and bay. Bring to the boil, then simmer for 1 hour.\n2. Take out the chicken, strip the meat from the bones and shred it. Strain the stock and return it to the pan.\n3. Add the chopped onion and carrots and simmer for 15 minutes. Return the chicken to the pan and heat through.",
			"Take out the oyster mushrooms and tofu skin. Strain the stock", "shred",
		},
		"no more stock than is poured": {
			"Salad\nServes 4\n\n4 chicken breasts\n500 ml chicken stock\n1 shallot, chopped\n1 tbsp oil\n1 tbsp curry powder\n150 g mayonnaise\n\nMethod\n1. Poach the chicken in the stock for 15 minutes. Leave to cool in the liquid, then shred.\n2. Cook the shallot in the oil. Add the curry powder, then add 4 tablespoons of the poaching stock and bubble until syrupy. Stir in the mayonnaise and the chicken.",
			"then add the golden vegetable stock", "half of the",
		},
		"both are taken out": {
			"Rice\nServes 4\n\n3 tbsp olive oil\n6 boneless chicken thighs, in chunks\n150 g chorizo, sliced\n1 onion, chopped\n300 g paella rice\n1 litre vegetable stock\n\nMethod\n1. Heat the oil in a wide pan and fry the chicken for 6 minutes. Add the chorizo and fry until it releases its oil. Scoop both out onto a plate.\n2. Cook the onion in the oil left behind for 8 minutes. Add the rice and turn it in the oil. Stir in the stock, return the chicken and chorizo and simmer for 18 minutes.",
			"Cook the onion in the oil left behind for 8 minutes.", "cook for 2 minutes",
		},
		"what is in the sauce is not put into it": {
			"Ragu\nServes 6\n\n1 kg beef shin\n1 onion, chopped\n2 tbsp olive oil\n400 g tin plum tomatoes\n300 ml vegetable stock\n1 bay leaf\n2 sprigs rosemary\n\nMethod\n1. Cook the onion in the oil. Add the tomatoes, stock, bay, rosemary and beef and simmer for 3 hours. Remove the herbs and shred the meat into the sauce with two forks. Serve.",
			"Remove the herbs", "with two forks",
		},
		"flakes are put into a dish once": {
			recipeCalled(t, "fish-pie"),
			"Lift the smoked palm hearts out with a slotted spoon, add the seaweed mushrooms and put them into a large ovenproof dish", "them them",
		},
		"a batter round pieces bakes its time": {
			"Toad\nServes 4\n\n8 pork sausages\n1 tbsp beef dripping\n140 g plain flour\n4 eggs\n200 ml milk\n\nMethod\n1. Whisk the flour and eggs, then whisk in the milk. Put the sausages and dripping in a roasting tin and cook at 220C for 12 minutes, until the sausages are starting to brown and the fat is smoking hot. Pour the batter around the sausages and bake for 30 minutes, until risen and crisp.",
			"oil is smoking hot. Pour the batter around the bean sausage and bake for 30 minutes", "brown and smoking",
		},
		"an omelette that is rolled up is cooked": {
			"Noodles\nServes 3\n\n200 g rice vermicelli\n3 tbsp vegetable oil\n2 eggs, beaten\n1 onion, sliced\n\nMethod\n1. Soak the vermicelli and drain.\n2. Heat 1 tablespoon of oil in a wok, pour in the eggs, swirl to make a thin omelette and cook for a minute on each side. Slide onto a board, roll up and slice.\n3. Fry the onion in the rest of the oil, add the noodles and mix in the omelette.",
			"mix in the pancake", "gel up",
		},
		"a little more of what stands for a fat": {
			"Hotpot\nServes 6\n\n50 g dripping\n2 onions, sliced\n900 g potatoes, sliced\n500 ml vegetable stock\n\nMethod\n1. Fry the onions in some of the dripping. Pour in the stock. Arrange the potatoes on top and drizzle with a little more dripping. Bake at 160C for 90 minutes. Brush with a little more dripping and bake for 20 minutes.",
			"drizzle with", "more the",
		},
		"onions fry in a fat where a paste stands for butter": {
			"Parfait\nServes 8\n\n400 g chicken livers\n250 g butter, softened\n2 shallots, chopped\n50 ml brandy\n\nMethod\n1. Melt 25 g of the butter in a frying pan and cook the shallots gently for 5 minutes. Tip into a food processor. Fry the livers for 2 minutes and add to the processor with the brandy.\n2. Blend until smooth, then blend in the rest of the butter a little at a time. Chill for 4 hours.",
			"oil in a frying pan and cook the shallots", "25 g",
		},
		"nothing is added to a sealed basin": {
			"Steak and kidney pudding\nServes 4\n\n350 g self-raising flour\n175 g shredded beef suet\n225 ml cold water\n600 g stewing beef, diced\n150 g ox kidney, chopped\n1 onion, chopped\n2 tbsp flour\n150 ml beef stock\n1 tbsp Worcestershire sauce\n1 tbsp chopped parsley\n\n1. Mix the flour, suet and a pinch of salt, then stir in enough water to make a soft dough. Roll out two thirds of it and use to line a buttered 1.5 litre pudding basin, leaving some overhanging.\n2. Toss the beef and kidney in the seasoned flour with the onion and parsley. Pack into the basin and pour in the stock and Worcestershire sauce.\n3. Roll out the remaining pastry to make a lid, dampen the edges and press on to seal. Cover with pleated baking paper and foil and tie with string.\n4. Steam for 4 hours in a covered pan with simmering water halfway up the basin, topping up as needed. Turn out and serve.",
			"Steam for 90 minutes", "add the",
		},
		"a broth is not boiled until flesh is tender": {
			recipeCalled(t, "pork-belly-ramen"),
			"add the mushrooms and tempeh, cover and simmer for 30 minutes", "until very tender",
		},
		"a sauce that thickens has its cream in it": {
			"Gravy\nServes 4\n\n300 g beef mince\n40 g butter\n1 tbsp plain flour\n300 ml vegetable stock\n100 ml double cream\n\nMethod\n1. Roll the mince into balls. Fry in half the butter for 8 minutes and keep warm. Add the rest of the butter to the pan and stir in the flour. Whisk in the stock and simmer for 3 minutes. Stir in the cream and bubble until thick. Return the meatballs to the gravy.",
			"and bubble until thick", "bubble for",
		},
		"shreds that have set do not set": {
			"Bowl\nServes 2\n\n300 g beef sirloin, thinly sliced\n1 onion, sliced\n200 ml dashi\n2 eggs\n300 g cooked rice\n\nMethod\n1. Simmer the onion in the dashi for 5 minutes. Add the beef and simmer for 3 minutes. Beat the eggs lightly and pour them over the beef. Cover and cook for 1 minute, until the eggs are barely set. Slide onto the rice.",
			"Cover and cook for 1 minute", "barely set",
		},
		"oil that stands for butter is heated with no other oil": {
			"Mushrooms\nServes 4\n\n3 tbsp vegetable oil\n12 shallots\n25 g butter\n250 g button mushrooms\n\nMethod\n1. Fry the shallots in 2 tbsp of the oil.\n2. Melt the butter with the remaining oil in a frying pan and fry the mushrooms for 5 minutes.",
			"Heat the oil in a frying pan and fry", "remaining oil",
		},
		"what was lifted out is not in the rest": {
			"Pie\nServes 4\n\n400 g salmon fillet\n600 ml milk\n50 g flour\n40 g butter\n1 kg potatoes, boiled and mashed\n\nMethod\n1. Poach the salmon in the milk for 10 minutes. Lift out the fish and flake it.\n2. Melt the butter, stir in the flour and whisk in 200 ml of the poaching milk. Simmer for 5 minutes. Fold in the fish and top with the potatoes.",
			"stir in the flour and whisk in 200 ml", "add the seaweed",
		},
		"a dough that stands for a sheet is rolled out": {
			"Puffs\nMakes 16\n\n1 sheet (320 g) ready-rolled all-butter puff pastry\n400 g potatoes, boiled and mashed\n2 tbsp oil\n\nMethod\n1. Cut the pastry into 16 squares. Place a spoonful of the potato in the middle of each and fold over. Brush with the oil and bake at 200C for 25 minutes.",
			"Roll it out on a floured board", "pastry out",
		},
		"flesh is not boiled for what is grilled": {
			recipeCalled(t, "sisig"),
			"Grill the mushrooms and tempeh", "bay leaves",
		},
	} {
		card := saidOf(t, c, x.recipe)
		require.Contains(t, card, x.has, name)
		require.NotContains(t, card, x.hasNot, name)
	}
}

// Where flesh was only poached in a stock, no more of what stands for that is listed than goes into the dish; what goes
// into a broth and out of it again is not taken for boiled all the while.
func TestBrothsAreListedAndReadAsTheyArePoured(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	adapted := func(text string) swap.Adaptation {
		d := c.reader.Read(text, measure.Metric)
		dec, err := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
		require.NoError(t, err)
		a, err := c.Adapt(d, dec, false)
		require.NoError(t, err)
		return a
	}
	a := adapted(recipeCalled(t, "coronation-chicken-salad"))
	stock := 0.0
	for _, l := range a.Components[0].Lines {
		if l.From != nil && *l.From == recipe.LineRef(0, 1) && l.FoodID() == "water" {
			stock += l.Mass()
		}
	}
	require.InDelta(t, 60, stock, 5)
	a = adapted("Soup\nServes 6\n\n1 small chicken (about 1.3 kg)\n2 litres water\n2 onions, 1 halved, 1 chopped\n3 carrots, sliced\n1 bay leaf\n150 g rice noodles\n\nMethod\n1. Put the chicken in a large pot with the water, the halved onion and bay. Bring to the boil, then simmer for 1 hour.\n2. Take out the chicken, strip the meat from the bones and shred it. Strain the stock and return it to the pan.\n3. Add the chopped onion and carrots and simmer for 15 minutes. Add the noodles and cook for 5 minutes. Return the chicken to the pan and heat through.")
	for _, s := range a.Components[0].Steps {
		require.Empty(t, s.Findings, s.Text)
	}
}

// A crust of suet is steamed its time though what it holds is done at once.
func TestACrustIsSteamedItsTime(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	d := c.reader.Read(recipeCalled(t, "steak-and-kidney-pudding"), measure.Metric)
	dec, err := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
	require.NoError(t, err)
	a, err := c.Adapt(d, dec, false)
	require.NoError(t, err)
	last := a.Components[len(a.Components)-1].Steps
	require.Contains(t, last[len(last)-1].Text, "Steam for 90 minutes")
	require.Empty(t, last[len(last)-1].Findings)
}
