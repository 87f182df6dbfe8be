package method_test

import "testing"

// Pots, pans and what goes into them when the flesh they were for is gone, each on the least recipe that
// shows it.
func TestPotsGoOnWithoutFlesh(t *testing.T) {
	reads(t, map[string]carried{
		"water for shells waits for what it is poured on": {
			"Soup\nServes 2\n\n200 g raw prawns with shells\n1 tbsp oil\n100 g curry paste\n500 ml water\n400 ml coconut milk\n\nMethod\n1. Peel the prawns, keeping the shells. Heat half the oil and fry the shells, pour in the water and simmer for 15 minutes. Strain the stock.\n2. Heat the rest of the oil and fry the paste for 3 minutes. Pour in the stock and coconut milk and bring to a simmer. Drop in the prawns for 3 minutes.",
			map[string]string{line("0"): "king-oyster-scallop"}, []string{"Pour in the water and coconut milk"}, []string{"Strain", "with the water", "simmer for 15 minutes"},
		},
		"a leaf of bay makes no broth": {
			"Soup\nServes 4\n\n500 g smoked haddock\n1 bay leaf\n2 potatoes, diced\n1 tbsp oil\n\nMethod\n1. Put the fish in a pan with the bay leaf and 300 ml water. Bring to the boil, then simmer for 4 minutes. Lift out the fish, and set aside the cooking water.\n2. Fry the potatoes in the oil for 5 minutes. Pour in the cooking water and simmer for 15 minutes. Flake in the fish.",
			map[string]string{line("0"): "smoked-tofu-flakes"}, []string{"Pour in the vegetable stock", "300 ml vegetable stock"}, []string{"bay leaf"},
		},
		"another stock, though something else was cooked since": {
			"Tacos\nServes 4\n\n800 g chicken thighs\n1 white onion, sliced\n2 tbsp oil\n400 g tomatoes\n\nMethod\n1. Simmer the chicken in salted water to cover, 20 minutes. Pull out the chicken, shred, and save a cup of the broth.\n2. Heat the oil and cook the onion til soft. Blend it with the tomatoes and the reserved broth. Add the shredded chicken and warm through.",
			map[string]string{line("0"): "seared-mushroom-shreds"}, []string{"with the tomatoes and the vegetable stock", "250 ml vegetable stock"}, []string{"save", "reserved"},
		},
		"all of the fat goes in where some was for flesh": {
			"Stew\nServes 4\n\n800 g lamb neck, cubed\n50 ml oil\n2 onions, sliced\n500 ml vegetable stock\n\nMethod\n1. Heat half the oil in a casserole and brown the lamb, then lift onto a plate.\n2. Add the remaining oil to the casserole and fry the onions until golden. Pour in the stock and simmer for 40 minutes with the lamb.",
			map[string]string{line("0"): "jackfruit-potato-braise"}, []string{"Heat the oil in a casserole and fry the onions until golden"}, []string{"half", "remaining oil"},
		},
		"a fat is heated where the fat of bacon would have run": {
			"Beans\nServes 4\n\n150 g streaky bacon, chopped\n2 onions, chopped\n400 g cooked beans\n\nMethod\n1. In a frying pan cook the bacon until the fat runs. Add the onions and cook for 10 minutes until golden, then stir in the beans.",
			map[string]string{line("0"): "smoked-tofu-lardons"}, []string{"Heat the vegetable oil in a frying pan, add the"}, nil,
		},
		"what stood for flesh at the end takes what it bears": {
			"Soup\nServes 2\n\n8 raw prawns\n600 ml water\n150 g oyster mushrooms\n\nMethod\n1. Boil the water, add the mushrooms and cook for 2 minutes. Add the prawns and cook just until they curl.",
			map[string]string{line("0"): "palm-rings"}, []string{"cook for 3 minutes."}, []string{"just", "10 minutes"},
		},
		"what is laid between sheets is put in no vessel": {
			"Cutlets\nServes 4\n\n4 pork escalopes\n60 g flour\n100 g breadcrumbs\n50 ml oil\n\nMethod\n1. Bash the escalopes between two sheets of paper. Season, dip in the flour, then in the crumbs and fry in the oil for 3 minutes.",
			map[string]string{line("0"): "breaded-tofu"}, []string{"Season the tofu slabs"}, []string{"sheets"},
		},
		"pieces are scattered and not poured": {
			"Dumplings\nServes 4\n\n300 g dumplings\n100 g smoked bacon, diced\n1 tbsp oil\n\nMethod\n1. Boil the dumplings in salted water and lift them out.\n2. Fry the bacon in the oil until crisp. Pour over the dumplings.",
			map[string]string{line("1"): "smoked-tofu-lardons"}, []string{"Fry the smoked tofu in the oil until crisp. Scatter over the dumplings"}, []string{"Pour"},
		},
		"what dries with the meat goes with it": {
			"Rendang\nServes 6\n\n1 kg stewing beef\n800 ml coconut milk\n80 g grated coconut\n\nMethod\n1. Simmer the beef in the coconut milk for 2 hours. Stir in the coconut and fry for 20 minutes until the coconut is toasted and the beef is dark brown and nearly dry.",
			map[string]string{line("0"): "tempeh-braise"}, []string{"until the coconut is toasted and dark brown."}, []string{"nearly"},
		},
		"what is said of two has its verb when one is gone": {
			"Lasagne\nServes 6\n\n400 g tomatoes\n500 g egg lasagne sheets\n\nMethod\n1. Simmer the tomatoes for 20 minutes. Lay the lasagne sheets and the tomatoes in a dish. Repeat the layers until the tomatoes and egg lasagne sheets are used up.",
			map[string]string{line("1"): "durum-pasta"}, []string{"until the tomatoes are used up"}, []string{"the are"},
		},
		"whipped whites are folded in though the yolks went before": {
			"Pancakes\nServes 3\n\n125 ml oat milk\n2 eggs, separated\n100 g plain flour\n1 tbsp oil\n\nMethod\n1. Beat the milk and egg yolks together. Stir in the flour.\n2. Whisk the egg whites to soft peaks and fold them into the batter. Heat the oil, drop in spoonfuls of batter and cook for 2 minutes.",
			map[string]string{line("1"): "aquafaba-lift"}, []string{"Fold the whipped aquafaba into the batter"}, nil,
		},
		"what goes in for the first time is not returned": {
			"Gumbo\nServes 4\n\n600 g chicken thighs\n1 onion\n1 tbsp oil\n1 litre vegetable stock\n200 g okra\n\nMethod\n1. Fry the onion in the oil. Add the stock and the chicken and simmer for 45 minutes. Take out the chicken, shred it and return it to the pot with the okra. Simmer for 15 minutes.",
			map[string]string{line("0"): "seared-mushroom-shreds"}, []string{"dd the torn mushrooms to the pot with the okra"}, []string{"eturn"},
		},
		"wine that bubbles until it has gone takes nothing in": {
			"Risotto\nServes 3\n\n1 tbsp oil\n120 g smoked bacon, chopped\n2 leeks, sliced\n250 g rice\n125 ml white wine\n900 ml vegetable stock\n\nMethod\n1. Fry the bacon in the oil, add the leeks and sweat for 8 minutes. Stir in the rice, pour in the wine and bubble until it has gone. Add the stock a ladleful at a time, stirring for 18 minutes.",
			map[string]string{line("1"): "smoky-shiitake-strips"}, nil, []string{"bubble for", "bubble until it has gone, add"},
		},
		"water of the pasta is kept though bacon is not fried": {
			"Pasta\nServes 2\n\n200 g spaghetti\n100 g pancetta\n50 g walnuts\n\nMethod\n1. Boil the spaghetti. Put the pancetta in a cold frying pan and cook for 8 minutes until the fat has run out. Drain the pasta, keeping a mugful of the water. Toss with the pancetta, the walnuts and a splash of the water.",
			map[string]string{line("1"): "smoked-tofu-lardons"}, []string{"keeping a mugful of the water"}, nil,
		},
		"a pan is wiped for nothing": {
			"Salad\nServes 4\n\n250 g black pudding, sliced\n2 apples\n30 ml oil\n30 g walnuts\n\nMethod\n1. Fry the apples in half the oil.\n2. Wipe out the pan, heat the rest of the oil and fry the black pudding for 3 minutes.\n3. Arrange the apples, the pudding and the walnuts on plates.",
			map[string]string{line("0"): "chestnut-paprika-sausage"}, nil, []string{"Wipe"},
		},
		"what lies on a cake of batter is turned with it": {
			"Okonomiyaki\nMakes 2\n\n100 g flour\n100 ml water\n300 g cabbage, shredded\n6 slices pork belly\n1 tbsp oil\n\nMethod\n1. Whisk the flour with the water and fold in the cabbage. Heat the oil in a pan and pour in the batter. Lay the pork on top. Cook for 5 minutes, turn, and cook for 5 minutes with a lid on.",
			map[string]string{line("3"): "thin-seared-mushroom"}, []string{"Lay the mushroom slices on top"}, nil,
		},
		"milk gets no hotter for oil than for butter that melts": {
			"Buns\nMakes 12\n\n250 ml oat milk\n75 g butter\n450 g flour\n\nMethod\n1. Warm the milk with the butter until the butter has melted. Add the flour and knead for 10 minutes.",
			map[string]string{line("1"): "oil-for-butter"}, []string{"Warm the oat milk with the oil."}, []string{"steam"},
		},
		"more of a fat is not doubled by that of work that goes": {
			"Noodles\nServes 2\n\n3 tbsp oil\n150 g raw prawns\n100 g firm tofu, cubed\n200 g noodles, soaked\n\nMethod\n1. Heat 1 tablespoon of the oil in a wok. Stir-fry the prawns until pink; remove. Add another tablespoon of oil and fry the tofu until golden. Toss in the noodles and the prawns.",
			map[string]string{line("1"): "king-oyster-scallop"}, []string{"Heat 1 tablespoon of the oil in a wok. Add another tablespoon of oil and fry the tofu until golden"}, []string{"third of the oil"},
		},
	})
}

func TestFatsAreToldApartAndNoneIsMissing(t *testing.T) {
	reads(t, map[string]carried{
		"what greased no tin is not missing from what is dotted": {
			"Pudding\nServes 6\n\n110 g pudding rice\n1 litre oat milk\n25 g butter\n\nMethod\n1. Butter a dish. Put the rice and the milk in it and top with the butter. Bake for 2 hours.",
			map[string]string{line("2"): "cashew-butter-enrich"}, []string{"top with the cashew paste"}, []string{"quarters"},
		},
		"an oil for something else leaves its name alone": {
			"Mushrooms\nServes 4\n\n4 slices celeriac\n100 g breadcrumbs\noil for frying\n250 g mushrooms\n20 g butter\n\nMethod\n1. Fry the mushrooms in the butter.\n2. Press the celeriac into the crumbs. Heat 1 cm of oil and fry the celeriac.",
			map[string]string{line("4"): "spoon-of-oil"}, []string{"Fry the mushrooms in the vegetable oil"}, []string{"Add the vegetable oil"},
		},
	})
}
