package method_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
)

// What was done with flesh beside others leaves these where a cook would put them.
func TestWhatWentWithFleshFindsItsPlace(t *testing.T) {
	mushrooms, fish := "mushroom-chunks-braise", "banana-blossom-mushroom-fish"
	reads(t, map[string]carried{
		"flour of dusting thickens the sauce": {
			"Stew\nServes 4\n\n600 g braising beef, in chunks\n2 tbsp plain flour\n2 tbsp oil\n1 onion, chopped\n2 carrots\n400 ml vegetable stock\n\nMethod\n1. Toss the beef in the flour. Brown the beef in the oil and set it aside on a plate.\n2. Add the onion and cook for 8 minutes. Return the beef with the carrots and the stock. Bring to the boil, cover and simmer for 2 hours.",
			map[string]string{line("0"): "mushroom-chestnut-braise"}, []string{"Stir the plain flour smooth with a little of the vegetable stock"}, []string{"Toss the flour"},
		},
		"what is named behind a particle stays": {
			"Soup\nServes 4\n\n1 kg small fish\n1 onion\n500 g salmon fillet\n4 potatoes\n\nMethod\n1. Put the small fish in a pot with the onion, cover with 2 litres of water and simmer for 40 minutes. Strain the broth and throw everything in the sieve away.\n2. Put in the potatoes and cook for 12 minutes. Slip in the salmon and simmer for 7 minutes.",
			map[string]string{line("0"): "blossom-flakes", line("2"): fish}, []string{"lip in the seaweed mushrooms"}, []string{"in the seaweed mushrooms and the"},
		},
		"a colour that only raw meat changes": {
			"Stew\nServes 4\n\n500 g lamb shoulder\n2 onions\n1 tsp turmeric\n500 ml water\n\nMethod\n1. Fry the onions. Add the turmeric, then the lamb, and turn until it has changed colour all over. Pour in the water and simmer for an hour.",
			map[string]string{line("0"): mushrooms}, []string{"Add the turmeric"}, []string{"changed"},
		},
		"nothing is turned over that was not cooked": {
			"Salmon\nServes 2\n\n2 salmon fillets, skin on\n2 tbsp soy sauce\n1 tbsp oil\n\nMethod\n1. Heat the oil in a pan and put the salmon in skin-side down. Cook for 4 minutes, then flip and give it 1 minute more. Pour in the soy sauce and let it bubble until sticky.",
			map[string]string{line("0"): "aubergine-miso-fillet"}, []string{"put the aubergine slabs in", "let it bubble until sticky"}, []string{"lip.", "flip", "4 minutes"},
		},
		"what cooks in a pan without a liquid fries, where it is not browned when it is prepared": {
			"Salmon\nServes 2\n\n2 salmon fillets, skin on\n2 tbsp soy sauce\n1 tbsp oil\n\nMethod\n1. Heat the oil in a pan and put the salmon in skin-side down. Cook for 4 minutes, then flip and give it 1 minute more. Pour in the soy sauce and let it bubble until sticky.",
			map[string]string{line("0"): fish}, []string{"put the seaweed mushrooms in", "Cook for 4 minutes, then flip"}, []string{"skin"},
		},
		"the fat stays in the pan": {
			"Rice\nServes 4\n\n4 tbsp olive oil\n150 g cooking chorizo, sliced\n1 onion\n16 raw prawns\n350 g rice\n\nMethod\n1. Heat the oil in a wide pan. Fry the prawns for a minute, remove and keep. Fry the chorizo in the same oil until its fat runs red, then take it out.\n2. Add the onion and cook for 15 minutes. Tip in the rice.",
			map[string]string{line("1"): "smoky-bean-sausage", line("3"): "konjac-prawn"}, []string{"the onion and cook"}, []string{"vegetable oil"},
		},
		"noodles are rinsed, with eggs or without": {
			"Noodles\nServes 2\n\n150 g egg noodles\n1 pepper\n\nMethod\n1. Cook the noodles, drain and rinse under cold water. Add the pepper and toss.",
			map[string]string{line("0"): "rice-noodles-plain"}, []string{"drain and rinse under cold water"}, nil,
		},
		"it, of what is several now": {
			"Chicken\nServes 2\n\n2 chicken breasts, in strips\n1 tbsp soy sauce\n1 tbsp oil\n\nMethod\n1. Mix the chicken with the soy sauce and leave for 20 minutes. Fry the chicken in the oil for 4 minutes until it is cooked.",
			map[string]string{line("0"): "seared-mushroom-shreds"}, nil, []string{"it is cooked"},
		},
		"a part called after its animal": {
			"Flatbreads\nServes 4\n\nBreads\n300 g flour\n150 ml water\n\nLamb\n400 g minced lamb\n1 red onion\n1 tbsp oil\n\nMethod\n1. Knead the flour and the water, roll out and bake for 5 minutes.\n2. Fry the onion in the oil. Add the lamb and fry until brown.\n3. Pile the lamb on the breads.",
			map[string]string{"components[1].lines[0]": "lentil-walnut-mince"}, []string{"# Lentil mince with red onion"}, []string{"Main pieces"},
		},
	})
}

// What was said around flesh that went names what it was about, or goes with it.
func TestWhatSpokeOfFleshIsPutRight(t *testing.T) {
	shreds := "seared-mushroom-shreds"
	reads(t, map[string]carried{
		"the juices, of a skimming that goes, and what shredding named": {
			"Pork\nServes 8\n\n2 kg pork shoulder\n2 onions\n250 ml apple juice\n200 ml barbecue sauce\n\nMethod\n1. Put the onions in a deep roasting tin, set the pork on top and pour the apple juice round. Cover tightly with foil and cook at 140C for 5 hours, until it pulls apart easily.\n2. Lift out the meat and let it rest. Skim the fat from the juices and boil them down by half with the barbecue sauce.\n3. Shred the pork with two forks, and mix with the sauce.",
			map[string]string{line("0"): shreds}, []string{"Boil the juices down by half with the barbecue sauce", "Mix the torn mushrooms with the sauce", "cook at 140C for 25 minutes."}, []string{"pulls", "5 hours"},
		},
		"limes that only washed it": {
			"Chicken\nServes 4\n\n1 kg chicken pieces\n2 limes\n4 cloves garlic\n2 tbsp oil\n300 ml water\n\nMethod\n1. Wash the chicken with the juice of the limes and drain it. Rub the garlic into the chicken.\n2. Heat the oil in a pot, add the chicken and turn it for 10 minutes. Add the water and cook for 35 minutes.",
			map[string]string{line("0"): "butter-bean-poultry"}, []string{"Rub the garlic into the butter beans and mushrooms"}, []string{"lime", "rain the", "Wash"},
		},
		"what was never in is added, and not back": {
			"Casserole\nServes 4\n\n8 chicken thighs\n1 tbsp oil\n25 g butter\n3 leeks\n300 ml vegetable stock\n\nMethod\n1. Season the chicken. Heat the oil in a casserole and fry the thighs until golden. Take them out and pour off most of the fat.\n2. Melt the butter in the same pot and soften the leeks for 5 minutes. Add the stock, put the chicken back on top, cover and cook for 25 minutes.",
			map[string]string{line("0"): "jackfruit-potato-braise", line("2"): "spoon-of-oil"}, []string{"jackfruit pieces on top"}, []string{"back", "in the oil"},
		},
		"an oil goes into no dry pan": {
			"Stew\nServes 4\n\n200 g smoked bacon\n1 onion\n2 tbsp oil\n1 litre vegetable stock\n\nMethod\n1. Fry the bacon in a dry frying pan until crisp and remove it. Add the oil to the pan with the onion and soften for 5 minutes. Pour in the stock and simmer with the bacon for 10 minutes.",
			map[string]string{line("0"): "smoky-shiitake-strips"}, []string{"Add the oil to a frying pan with the onion"}, []string{"dry frying"},
		},
		"an onion in what bacon left": {
			"Stew\nServes 4\n\n200 g smoked bacon\n1 onion\n1 litre vegetable stock\n\nMethod\n1. Bring the stock to the boil in a large pot. In a frying pan render the bacon until crisp; add it to the pot. Fry the onion in what is left and add it.",
			map[string]string{line("0"): "smoky-shiitake-strips"}, []string{"Heat the vegetable oil in a frying pan, fry the onion and add it"}, []string{"what is left"},
		},
		"nothing is laid into a custard that sets in steam": {
			"Cups\nServes 4\n\n3 eggs\n450 ml water\n4 prawns\n4 shiitake\n\nMethod\n1. Beat the eggs and stir in the water. Share the prawns and shiitake between four cups. Pour over the egg mixture and cover with foil.\n2. Put in a steamer over boiling water and steam for 14 minutes, until the custard is just set.",
			map[string]string{line("0"): "silken-tofu-custard", line("2"): "king-oyster-scallop"}, []string{"Share the mushroom discs and shiitake between four cups", "Pour over the mixture"}, []string{"add the mushroom discs"},
		},
		"a batter is beaten with what goes into it": {
			"Omelette\nServes 1\n\n3 eggs\n1 tbsp milk\n15 g butter\n1 tbsp chives\n\nMethod\n1. Beat the eggs with the milk and salt. Melt the butter in a small frying pan. When it foams, pour in the eggs.\n2. When it is almost set, scatter over the chives. Fold in half.",
			map[string]string{line("0"): "mung-scramble", line("1"): "soy-drink-for-milk", line("2"): "spoon-of-oil"}, []string{"Beat the mung batter with the soy drink", "Pour in the mung batter."}, []string{"foams"},
		},
		"water and vinegar for eggs that are not poached": {
			"Eggs\nServes 2\n\n200 g thick coconut yoghurt\n4 eggs\n1 tbsp white wine vinegar\ndill\n\nMethod\n1. Spread the yoghurt over two plates. Bring a pan of water to a bare simmer, add the vinegar and swirl. Crack in the eggs one at a time and poach for 3 minutes. Lift out with a slotted spoon and drain on paper.\n2. Set two eggs on each plate and scatter with dill.",
			map[string]string{line("1"): "pumpkin-yolk-pool"}, nil, []string{"vinegar", "simmer, add", "swirl", "slotted"},
		},
		"nothing is laid into a pan for nothing": {
			"Soup\nServes 2\n\n1 duck breast\n1 litre vegetable stock\n200 g rice noodles\n\nMethod\n1. Season the duck and lay it skin-side down in a cold frying pan. Cook for 10 minutes until the fat has run out, turn and cook 4 minutes more. Rest on a board for 5 minutes.\n2. Bring the stock to the boil. Boil the noodles and divide between two bowls. Slice the duck, lay it over the noodles and ladle on the stock.",
			map[string]string{line("0"): "seitan-chunks"}, []string{"Season the seitan.", "Lay the seitan over the noodles"}, []string{"lay them", "frying pan"},
		},
		"what comes to the boil together": {
			"Gratin\nServes 4\n\n1 kg potatoes\n300 ml double cream\n300 ml water\n\nMethod\n1. Bring the water and cream to the boil, add the potatoes and simmer for 5 minutes.",
			map[string]string{line("1"): "silken-cashew-cream"}, []string{"Bring the water and cashew cream to the boil, add the potatoes"}, nil,
		},
		"a lid on what is there": {
			"Daube\nServes 6\n\n1 kg beef cheek\n150 g unsmoked lardons\n500 ml red wine\n2 tbsp olive oil\n\nMethod\n1. Fry the lardons in the oil. Remove them and brown the beef in the same fat. Take it out, pour in the wine and bring to the boil. Return the beef and lardons, cover and cook in the oven at 150 C for 3 hours.",
			map[string]string{line("0"): "mushroom-chunks-braise", line("1"): "smoked-tofu-lardons"}, []string{"cover and cook in the oven at 150 C"}, nil,
		},
		"a stock made of bones is another": {
			"Soup\nServes 4\n\n500 g white fish, bones reserved\n1 leek\n400 g tomatoes\n100 ml white wine\n\nMethod\n1. Make a stock from the bones with 1.5 litres of water, simmering for 20 minutes, then strain.\n2. Soften the leek. Add the wine and bubble for a minute. Add the tomatoes and stock and simmer for 25 minutes. Add the fish and simmer for 5 minutes.",
			map[string]string{line("0"): "banana-blossom-mushroom-fish"}, []string{"- 1.5 litres vegetable stock", "the tomatoes and the vegetable stock"}, []string{"bones", "Strain", "Make a stock"},
		},
		"potatoes fill a pot though its flesh is taken out": {
			"Caldo\nServes 6\n\n250 g dried white beans\n200 g salt pork\n2 chorizos\n500 g potatoes\n1 tbsp lard\n1 tsp pimentón\n\nMethod\n1. Cover the beans and salt pork with 2.5 litres of water and simmer for an hour. Add the potatoes and chorizos and cook for 20 minutes. Take out the meats.\n2. Melt the lard, stir in the pimentón and pour it into the pot. Cook for 15 minutes. Cut the meats in pieces and put everything back to heat through.",
			map[string]string{line("1"): "salt-cured-tempeh", line("2"): "smoky-bean-sausage", line("4"): "oil-for-frying-fat"}, []string{"Add the potatoes and cook for 20 minutes", "brined tempeh and the smoky bean sausage"}, nil,
		},
		"oil and oil are one word": {
			"Sauce\nServes 4\n\n2 tbsp olive oil\n25 g butter\n1 onion\n\nMethod\n1. Heat the oil and butter in a saucepan and cook the onion for 10 minutes.",
			map[string]string{line("1"): "oil-for-butter"}, []string{"Heat the oil in a saucepan"}, []string{"oil and oil"},
		},
		"the coriander of one line with the cream": {
			"Chilli\nServes 4\n\n400 g kidney beans\nsoured cream and coriander, to serve\n\nMethod\n1. Simmer the beans for 10 minutes. Serve with a spoonful of soured cream and chopped coriander.",
			map[string]string{line("1"): "sunflower-sour"}, []string{"and chopped coriander"}, nil,
		},
		"the oil kept from draining goes back": {
			"Rice\nServes 4\n\n5 tbsp ghee\n3 onions\n300 g rice\n\nMethod\n1. Fry the onions in the ghee until dark brown; drain, keeping the ghee. Put the ghee back in a large pot, add the rice and cook for 10 minutes.",
			map[string]string{line("0"): "spoon-of-oil"}, []string{"keeping the oil", "Put the oil back in a large pot"}, nil,
		},
		"mince that goes in late is not browned": {
			"Sauce\nServes 4\n\n1 tbsp olive oil\n1 onion\n500 g minced beef\n150 ml red wine\n400 g tinned tomatoes\n\nMethod\n1. Cook the onion in the oil for 10 minutes. Add the mince, break it up and brown it well. Pour in the wine, then add the tomatoes and simmer for an hour.",
			map[string]string{line("2"): "lentil-walnut-mince"}, []string{"Cook the onion in the oil for 10 minutes. Pour in the wine"}, []string{"rown it", "break"},
		},
	})
}

// A booster goes in before what may not be stirred any more, and into a mince before it is shaped.
func TestBoostersHeedWhatIsNotStirred(t *testing.T) {
	r, _, c := open(t)
	for _, x := range []struct{ text, food, before string }{
		{"Rice\nServes 4\n\n350 g rice\n1 litre vegetable stock\n1 onion\n2 tbsp oil\n\nMethod\n1. Cook the onion in the oil. Tip in the rice and stir to coat it.\n2. Pour in the stock, shake the pan and do not stir again. Cook for 18 minutes.", "nutritional-yeast", "Pour"},
		{"Burgers\nServes 4\n\n500 g cooked lentils\n50 g breadcrumbs\n1 onion, grated\n2 tbsp oil\n\nMethod\n1. Mix the lentils with the breadcrumbs and the onion.\n2. Shape into six patties and chill for 30 minutes.\n3. Fry in the oil for 6 minutes on each side. Drain on kitchen paper.", "nutritional-yeast", "Shape"},
	} {
		a, err := c.Adapt(r.Read(x.text, measure.Metric), swap.Decisions{Boosters: []swap.Dose{{Food: x.food, Grams: 6}}}, false)
		require.NoError(t, err)
		steps := a.Components[0].Steps
		added, before := -1, -1
		for i, s := range steps {
			switch {
			case s.Change == swap.Added:
				added = i
			case before < 0 && len(s.Text) > len(x.before) && s.Text[:len(x.before)] == x.before:
				before = i
			}
		}
		require.GreaterOrEqual(t, added, 0, x.text)
		require.Less(t, added, before, "%v", steps)
	}
}
