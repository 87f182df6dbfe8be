package method_test

import (
	"testing"
)

// What stays of a method when flesh goes is said whole: others fry, broths keep their name, shares
// are shares, and what ends a cooking goes on ending it.
func TestWhatStaysIsSaidWhole(t *testing.T) {
	reads(t, map[string]carried{
		"what a preparation made waits beside the pan": {
			"Stew\nServes 4\n\n600 g shin of beef\n3 onions\n2 tbsp oil\n1 tbsp paprika\n3 potatoes\n1 litre water\n\nMethod\n1. Cook the onions in the oil. Take the pan off the heat, stir in the paprika and add the meat. Cover and stew for 1 hour.\n2. Pour in the water and the potatoes and simmer for 25 minutes.",
			map[string]string{line("0"): "bean-mushroom-braise"}, []string{"Take the pan off the heat, stir in the paprika.", "Add the beans and mushrooms, pour in the water"}, nil,
		},
		"what it is for stays when its first work goes": {
			"Gratin\nServes 4\n\n2 leeks\n2 tbsp oil\n60 g butter\n60 g flour\n600 ml vegetable stock\n\nMethod\n1. Fry the leeks in the oil.\n2. For the sauce melt the butter, add the flour, then the stock, whisking, and cook till thick. Pour over the leeks.",
			map[string]string{line("2"): "dry-roux"}, []string{"For the sauce add the flour"}, nil,
		},
		"the spices of a broth go into the stock that replaces it": {
			"Rice\nServes 4\n\n1 chicken, jointed\n400 g rice\n1 tsp allspice\n1 bay leaf\n\nMethod\n1. Boil the chicken with the allspice and bay leaf in 1.5 litres of water for 40 minutes; strain and keep the broth. Put the chicken in a pot, then the rice. Ladle over the broth and cook for 25 minutes.",
			map[string]string{line("0"): "butter-bean-poultry"}, []string{"vegetable stock", "with the allspice"}, []string{"bay"},
		},
		"milk is heated with what stands for the butter": {
			"Icing\nServes 4\n\n15 g butter\n100 ml milk\n250 g icing sugar\n\nMethod\n1. Heat the butter and milk, and whisk in the sugar.",
			map[string]string{line("0"): "cashew-butter-enrich", line("1"): "soy-drink-for-milk"}, []string{"Heat the cashew paste and soy drink"}, nil,
		},
		"their marinade, of what is more than one now": {
			"Pot\nServes 4\n\n1 kg chicken pieces\n200 g tomatoes\n1 tsp cumin\n2 onions\n\nMethod\n1. Mix the chicken with the tomatoes and cumin and leave for 2 hours. Tip the chicken and its marinade into a pot with the onions and cook for 30 minutes.",
			map[string]string{line("0"): "butter-bean-poultry"}, []string{"and their marinade"}, nil,
		},
		"what goes in last is said behind the sign": {
			"Gravy\nServes 4\n\n250 g pork sausage\n3 tbsp flour\n500 ml vegetable stock\n\nMethod\n1. Tip the sausage into a skillet and fry until no longer pink. Sprinkle over the flour, stir, and pour in the stock. Cook, stirring, until thick enough to coat the spoon.",
			map[string]string{line("0"): "bean-fennel-sausage"}, []string{"Cook in a skillet, stirring, until thick enough to coat the spoon, adding the bean sausage for the last 5 minutes."}, []string{"pink"},
		},
		"a dish of done things stays in the slow oven for its crust": {
			"Beans\nServes 4\n\n400 g tinned haricot beans\n4 confit duck legs\n2 onions\n300 ml vegetable stock\n\nMethod\n1. Simmer the beans and onions in the stock for 30 minutes. Brown the duck legs. Layer the beans and the duck in a deep dish and bake at 150 C for 3 hours.",
			map[string]string{line("1"): "mushroom-chunks-braise"}, []string{"bake at 150 C for 60 minutes"}, []string{"3 hours"},
		},
		"a share is said of less oil than there was butter": {
			"Rösti\nServes 4\n\n800 g potatoes\n3 tbsp butter\n\nMethod\n1. Melt 2 tbsp of the butter in a pan, add the potatoes and fry for 15 minutes. Melt the remaining butter and fry the other side.",
			map[string]string{line("1"): "spoon-of-oil"}, []string{"Heat two thirds of the oil"}, []string{"2 tbsp of the oil"},
		},
		"flour that dusts what is not fried goes into the sauce": {
			"Veal\nServes 4\n\n600 g lamb shoulder, cubed\n2 tbsp oil\n1 shallot\n1 tbsp flour\n150 ml white wine\n\nMethod\n1. Dust the lamb with the flour. Fry the lamb in half of the oil for 1 minute. Remove and keep warm.\n2. Lower the heat, add the rest of the oil and fry the shallot. Pour in the wine. Return the lamb.",
			map[string]string{line("0"): "jackfruit-potato-braise"}, []string{"flour", "ry the shallot"}, []string{"Dust", "eep warm", "ower the heat"},
		},
		"what is left of the fat is the oil that comes along": {
			"Gravy\nServes 4\n\n400 g pork ribs\n3 tbsp olive oil\n1 onion\n400 g tomatoes\n\nMethod\n1. Brown the ribs in the olive oil and take them out. In the fat that is left, cook the chopped onion until golden. Add the tomatoes and the ribs and simmer for 40 minutes.",
			map[string]string{line("0"): "jackfruit-potato-braise"}, []string{"In the olive oil, cook the chopped onion"}, []string{"that is left"},
		},
		"the word for a condition goes with its work": {
			"Rice\nServes 2\n\n250 g cooked rice\n2 eggs\n2 tbsp oil\n\nMethod\n1. Heat the oil and tip in the eggs, swirl, and when they are nearly set break them up. Throw in the rice and fry for 3 minutes.",
			map[string]string{line("1"): "tofu-scramble"}, nil, []string{"when they"},
		},
		"nothing is fried on for what comes later": {
			"Keema\nServes 4\n\n500 g lamb mince\n2 tbsp oil\n1 onion\n1 tbsp ginger paste\n3 tomatoes\n\nMethod\n1. Fry the onion in the oil. Add the ginger paste, fry 1 minute. Add the mince, break it up and fry on high heat until all the liquid has dried up. Add the tomatoes and simmer for 30 minutes.",
			map[string]string{line("0"): "lentil-walnut-mince"}, []string{"fry 1 minute"}, []string{"dried up"},
		},
		"the liquor of other shells is the liquor": {
			"Chowder\nServes 4\n\n2 kg clams\n1 onion\n2 tbsp oil\n30 g flour\n500 g potatoes\n\nMethod\n1. Bring 500 ml water to the boil, add the clams and cook for 5 minutes. Lift out the clams and strain the liquor.\n2. Fry the onion in the oil and stir in the flour. Stir in the clam liquor, add the potatoes and simmer for 12 minutes. Add the clams.",
			map[string]string{line("0"): "whelk-mushroom"}, []string{"tir in the liquor"}, []string{"clam"},
		},
		"herbs that are fished out have gone in": {
			"Soup\nServes 4\n\n400 g shin of beef\n1 onion\n1 tbsp oil\n100 g pearl barley\n1.5 litres vegetable stock\n2 sprigs thyme\n1 bay leaf\n\nMethod\n1. Brown the beef in the oil; take it out. Fry the onion.\n2. Return the beef with the barley, stock and herbs. Simmer for 90 minutes until the barley is soft. Fish out the herbs.",
			map[string]string{line("0"): "mushroom-chunks-braise"}, []string{"the thyme"}, nil,
		},
		"what goes under a lid goes in before it": {
			"Pie\nServes 4\n\n1 kg beef\n2 onions\n2 tbsp oil\n500 ml ale\n1 tbsp Worcestershire sauce\n\nMethod\n1. Brown the beef and onions in the oil. Pour over the ale and Worcestershire sauce. Cover and cook in the oven at 160C for 2 hours.",
			map[string]string{line("0"): "mushroom-chunks-braise", line("4"): "date-tomato-sauce"}, nil, []string{"Cover, add"},
		},
		"what is rubbed is them, not what it is rubbed with": {
			"Salad\nServes 2\n\n1 tuna steak of 250 g\n3 tbsp olive oil\n1 tbsp red wine vinegar\n\nMethod\n1. Whisk the vinegar with the oil. Rub the tuna with a little oil and sear it in a very hot pan for 90 seconds.",
			map[string]string{line("0"): "lions-mane-fillet"}, []string{"sear them"}, []string{"sear it"},
		},
		"fat of a browning that goes fries what comes next": {
			"Bake\nServes 4\n\n800 g lamb neck\n3 onions\n1 kg potatoes\n40 g butter\n1 tbsp flour\n500 ml vegetable stock\n\nMethod\n1. Brown the lamb in half the butter and lift out. Soften the onions in the same pan, stir in the flour, then the stock.\n2. Layer the potatoes, lamb and gravy. Melt the rest of the butter and brush over. Bake for 90 minutes.",
			map[string]string{line("0"): "seared-mushroom-shreds", line("3"): "spoon-of-oil"}, []string{"half of the oil", "the rest of the oil"}, nil,
		},
		"others fry without the bacon": {
			"Pot\nServes 4\n\n150 g smoked bacon\n2 onions\n1 kg sauerkraut\n500 ml water\n\nMethod\n1. Cook the sauerkraut in the water for 1 hour.\n2. Fry the bacon with the chopped onions and add them to the pot. Cook for 30 minutes.",
			map[string]string{line("0"): "smoky-shiitake-strips"}, []string{"Heat the vegetable oil", "ry the onions"}, nil,
		},
		"the rest is all where nothing is taken out": {
			"Soup\nServes 4\n\n600 g potatoes\n150 g chorizo\n1.5 litres water\n\nMethod\n1. Boil the potatoes with half of the chorizo in the water for 25 minutes. Remove the chorizo and slice it. Blend the rest.",
			map[string]string{line("1"): "smoky-bean-sausage"}, []string{"blend everything"}, []string{"Blend the rest"},
		},
		"the broth of what stands in is a broth": {
			"Chowder\nServes 4\n\n24 clams\n500 ml water\n3 tbsp flour\n20 ml oil\n\nMethod\n1. Boil the clams in the water for 8 minutes, remove them and strain the broth.\n2. Cook the flour in the oil and whisk in the clam broth. Stir in the clams.",
			map[string]string{line("0"): "whelk-mushroom"}, []string{"whisk in the broth"}, []string{"whisk in the water"},
		},
		"what else ends a cooking ends it still": {
			"Stew\nServes 4\n\n1.2 kg lamb neck\n1 kg potatoes\n500 ml vegetable stock\n\nMethod\n1. Lay the lamb in a casserole with the potatoes on top. Pour over the stock. Cover and cook in a 150 C oven for 2 hours, until the meat is falling from the bone and the potatoes have steamed.",
			map[string]string{line("0"): "mushroom-chunks-braise"}, []string{"for 90 minutes", "until the potatoes have steamed"}, []string{"bone"},
		},
		"fat goes back into the pan as oil": {
			"Pie\nServes 4\n\n750 g lamb mince\n2 carrots\n1 onion\n500 ml vegetable stock\n\nMethod\n1. Brown the mince in a dry pan and set it aside. Add a tablespoon of the fat back to the pan and soften the carrots and onion for 10 minutes.\n2. Return the mince, pour in the stock and simmer for 40 minutes.",
			map[string]string{line("0"): "lentil-walnut-mince"}, []string{"the vegetable oil back to the pan and soften"}, []string{"dry pan"},
		},
		"a share of what stands in is said": {
			"Pie\nServes 4\n\n250 g streaky bacon\n100 g peas\n300 g potatoes\n\nMethod\n1. Cut the bacon into strips and scatter half of it over the potatoes with the peas. Cover with the rest of the bacon and bake for 30 minutes.",
			map[string]string{line("0"): "smoky-shiitake-strips"}, []string{"half of the smoky shiitake", "the rest of the smoky shiitake"}, nil,
		},
		"what is scattered says over what": {
			"Tart\nServes 6\n\n200 g lardons\n100 g peas\n200 g shortcrust pastry\n\nMethod\n1. Line a tin with the pastry.\n2. Fry the lardons until golden, drain on paper and scatter over the base with the peas. Bake for 30 minutes.",
			map[string]string{line("0"): "smoky-shiitake-strips"}, []string{"catter the smoky shiitake over the base with the peas"}, nil,
		},
		"several that the dish makes go by another name, and nothing is stirred into each": {
			"Crêpes\nServes 4\n\n125 g flour\n300 ml milk\n8 slices of ham\n100 g spinach\n\nMethod\n1. Whisk the flour with the milk. Fry a ladle of the batter in a dry pan for 1 minute. Make 8 crêpes in this way.\n2. Lay a slice of ham and some spinach on each crêpe, fold in quarters and bake for 10 minutes.",
			map[string]string{line("1"): "soy-drink-for-milk", line("2"): "leek-smoke-sheath"}, []string{"Make 8 thin pancakes in this way", "each thin pancake, fold in quarters"}, []string{"crêpe"},
		},
		"what was cooked only for what was added goes with it, and the verb is said": {
			"Soup\nServes 4\n\n800 g cod\n300 g mussels\n1 litre vegetable stock\n2 leeks\n\nMethod\n1. Boil the leeks in the stock for 15 minutes.\n2. Add the cod first and cook for 8 minutes, then the mussels, and cook for 5 minutes more.",
			map[string]string{line("0"): "palm-heart-flakes", line("1"): "whelk-mushroom"}, []string{"\nAdd the palm heart flakes and the mushroom bites"}, []string{"for 8 minutes"},
		},
		"meats taken out are named without what is thrown away": {
			"Beans\nServes 4\n\n400 g dried white beans\n3 chorizos\n300 g pork belly\n1 ham bone\n1 onion\n1 litre water\n\nMethod\n1. Boil the beans with the chorizos, pork, bone and onion in the water for 2 hours.\n2. Take out the meats, slice them and discard the bone and the onion. Leave the stew to rest for 30 minutes and serve the beans with the meats on top.",
			map[string]string{line("1"): "smoked-tofu-sausage", line("2"): "tempeh-braise", line("3"): "browned-mushroom-bones"}, []string{"Leave the stew to rest for 30 minutes", "serve the beans with the spiced smoked tofu and the tempeh on top"}, []string{"everything"},
		},
		"both of two that one thing stands for": {
			"Balls\nServes 4\n\n400 g minced beef\n100 g minced pork\n50 g breadcrumbs\n\nMethod\n1. Mix both minces with the breadcrumbs and shape into 20 balls.",
			map[string]string{line("0"): "chickpea-rice-shaped", line("1"): "chickpea-rice-shaped"}, []string{"Mix the chickpea and rice mix with the breadcrumbs"}, []string{"both"},
		},
		"what never left is added and not returned": {
			"Broth\nServes 2\n\n8 prawns, heads and shells on\n700 ml water\n2 stalks lemongrass\n\nMethod\n1. Peel the prawns, keeping the heads and shells. Simmer the heads and shells in the water for 15 minutes, then strain and throw them away.\n2. Return the broth to the pot and bring to the boil with the lemongrass. Slide in the prawns.",
			map[string]string{line("0"): "palm-rings"}, []string{"Add the water to the pot"}, []string{"with the water", "Return"},
		},
		"the water is simmered with what flavours it": {
			"Soup\nServes 4\n\n600 g pork shoulder\n1.5 l water\n1 onion, halved\n1 tsp dried oregano\n2 tomatoes\n1 tbsp oil\n\nMethod\n1. Simmer the pork in the water with half the onion and the oregano for 25 minutes. Take them out and shred the meat. Strain the broth.\n2. Chop the other half of the onion and the tomatoes and fry them in the oil. Pour in the broth and simmer for 10 minutes. Stir in the pork.",
			map[string]string{line("0"): "seared-mushroom-shreds"}, []string{"Simmer the water, half of the onion and the dried oregano for 20 minutes. Strain the broth.", "fry them in the oil."}, nil,
		},
		"the milk of a poaching is warmed, and kept as much as is said": {
			"Cakes\nServes 4\n\n350 g smoked haddock\n300 ml milk\n1 bay leaf\n450 g potatoes\n\nMethod\n1. Put the haddock in a pan with the milk and bay leaf, bring to a simmer and poach for 6 minutes. Lift out the fish and flake it. Keep 3 tbsp of the milk.\n2. Boil the potatoes and mash them with the reserved milk. Fold through the flaked fish.",
			map[string]string{line("0"): "smoked-tofu-flakes", line("1"): "soy-drink-for-milk"}, []string{"Bring the soy drink in a pan to a simmer with the bay leaf and warm for 6 minutes", "Keep 3 tbsp of the soy drink", "with the reserved soy drink"}, []string{"poach"},
		},
		"the fat of a tin gets hot for its batter": {
			"Toad\nServes 4\n\n8 pork sausages\n1 tbsp oil\n140 g flour\n300 ml milk\n\nMethod\n1. Put the sausages and oil in a roasting tin and cook for 15 minutes.\n2. Whisk the flour with the milk. Pour the batter around them and bake for 25 minutes.",
			map[string]string{line("0"): "bean-fennel-sausage", line("3"): "soy-drink-for-milk"}, []string{"in a roasting tin and cook for 15 minutes"}, nil,
		},
		"a sauce by another name, a purpose that goes, hot as it was": {
			"Veal\nServes 4\n\n800 g veal topside\n2 egg yolks\n200 ml sunflower oil\n200 ml milk\n1 carrot\n200 ml white wine\n\nMethod\n1. Put the veal, carrot and wine in a pan, cover with water and simmer for 1 hour. Leave the meat to cool in its broth. Slice the veal as thinly as you can, lay the slices on a platter.\n2. Beat the yolks and whisk in the oil in a thin stream to make a mayonnaise. Thin the mayonnaise with the hot milk and pour over the meat.",
			map[string]string{line("0"): "mushroom-chunks-braise", line("1"): "soy-emulsion", line("3"): "soy-drink-for-milk"}, []string{"in a thin stream.", "Thin the emulsion with the hot soy drink", "in their broth", "Lay the mushrooms and tempeh on a platter"}, []string{"slices", "mayonnaise"},
		},
		"what shows air is not waited for, and the dish keeps its size": {
			"Far\nServes 6\n\n4 eggs\n125 g sugar\n150 g flour\n750 ml soy drink\n\nMethod\n1. Whisk the eggs and sugar until pale. Sift in the flour and thin with the soy drink.\n2. Generously butter a 26 cm dish and pour in the batter. Bake for 50 minutes.",
			map[string]string{line("0"): "chickpea-batter-bind"}, []string{"Grease a 26 cm dish"}, []string{"pale"},
		},
		"no dish is greased with what is no fat": {
			"Pudding\nServes 4\n\n100 g rice\n700 ml soy drink\n20 g butter\n\nMethod\n1. Grease an 850 ml dish with half the butter. Tip in the rice and stir in the soy drink.\n2. Top with the rest of the butter and bake for 2 hours.",
			map[string]string{line("2"): "cashew-butter-enrich"}, []string{"Grease an 850 ml dish with the vegetable oil", "op with the cashew paste"}, []string{"rest of"},
		},
		"eggs that are ready are not poached, and the water is not heated for them": {
			"Muffins\nServes 2\n\n2 English muffins\n4 eggs\n1 tbsp white vinegar\n\nMethod\n1. Bring a wide pan of water with the vinegar to a simmer. Break the eggs into cups, slide them in and poach for 3 minutes. Lift out with a slotted spoon and drain.\n2. Toast the muffins and top each half with an egg.",
			map[string]string{line("1"): "pumpkin-yolk-pool"}, []string{"Toast the muffins and top each half with one of the potato and pumpkin rounds"}, []string{"poach", "cups", "vinegar"},
		},
		"what is rubbed and browned in the dish is put back": {
			"Tagine\nServes 4\n\n900 g lamb shoulder\n2 tbsp ras el hanout\n2 tbsp oil\n2 onions\n500 ml vegetable stock\n\nMethod\n1. Rub the lamb with the ras el hanout. Brown it in the oil in batches. Put all the meat back, add the onions and cook for 5 minutes. Pour in the stock, bring up to a simmer, cover and cook in the oven at 150C for 2 hours.",
			map[string]string{line("0"): "mushroom-chunks-braise"}, []string{"Brown them in the oil in batches. Put the mushrooms and tempeh back, add the onions", "bring up to a simmer,"}, nil,
		},
		"a cue is not gone for a little word of a name": {
			"Bake\nServes 4\n\n1 kg leg of lamb, cut into pieces\n700 ml vegetable stock\n400 g orzo\n\nMethod\n1. Simmer the lamb in the stock for 30 minutes. Stir in the orzo and bake for 25 minutes, until the pasta has drunk most of the liquid.",
			map[string]string{line("0"): "soy-chunk-braise"}, []string{"until the pasta has drunk most of the liquid"}, nil,
		},
		"a nut paste is mixed where butter was melted, and sheets are greased": {
			"Sauce\nServes 4\n\n100 g butter\n150 g sugar\n12 sheets filo\n120 g butter, melted\n\nMethod\n1. Melt the 100 g butter with the sugar and let it bubble for 4 minutes.\n2. Lay 6 sheets of filo in a tin. Cover with the other sheets, buttering each, and tuck them in.",
			map[string]string{line("0"): "cashew-butter-enrich", line("3"): "oil-for-butter"}, []string{"arm the cashew paste with the sugar and let it bubble", "greasing each"}, []string{"buttering"},
		},
		"a rub goes onto what is roasted in it": {
			"Pork\nServes 4\n\n1 kg pork shoulder\n2 tbsp smoked paprika\n1 tbsp brown sugar\n200 ml ketchup\n\nMethod\n1. Mix the paprika and sugar and massage it all over the pork. Leave overnight in the fridge.\n2. Put the pork in a deep tin with 250 ml of water, cover tightly with foil and roast for 6 hours.\n3. Lift out the pork. Shred the meat with two forks and stir it into the ketchup.",
			map[string]string{line("0"): "seared-mushroom-shreds"}, []string{"massage it all over the torn mushrooms", "roast for 35 minutes"}, []string{"6 hours", "Shred"},
		},
		"another word for what is fried in its coat": {
			"Donburi\nServes 2\n\n2 pork loin chops\n3 tbsp flour\n60 g panko\noil for deep-frying\n1 onion\n200 ml vegetable stock\n\nMethod\n1. Coat the chops in flour and press into the panko. Fry them in the oil for 6 minutes, then slice.\n2. Simmer the onion in the stock. Lay the sliced cutlets on the onion.",
			map[string]string{line("0"): "breaded-tofu"}, []string{"press into the panko", "Lay the tofu slabs on the onion"}, []string{"cutlets"},
		},
		"oil is told apart from the cook's own": {
			"Cutlets\nServes 4\n\n4 pork steaks\n50 g lard\n500 g potatoes\n4 tbsp olive oil\n\nMethod\n1. Boil the potatoes for 20 minutes and fold in the oil.\n2. Fry the steaks in the lard for 3 minutes a side.",
			map[string]string{line("0"): "mushroom-chunks-braise", line("1"): "oil-for-frying-fat"}, []string{"fold in the olive oil"}, []string{"Add the olive oil"},
		},
	})
}
