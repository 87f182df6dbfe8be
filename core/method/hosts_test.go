package method_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
)

// A booster stands right before a step that begins so, or right behind one, whatever else the
// dish has: never in what is folded up, laid into the oven or drained, nor over a part.
func TestABoosterHasAHost(t *testing.T) {
	r, _, c := open(t)
	for name, x := range map[string]struct {
		text, food, behind, before string
		part                       int
	}{
		"the sauce of tinned tomatoes in which balls simmer": {
			"Balls\nServes 4\n\n500 g tofu\n400 g tinned chopped tomatoes\n400 g spaghetti\n\nMethod\n1. Roll the tofu into balls and fry for 8 minutes.\n2. Simmer the tomatoes for 10 minutes, drop the balls in, and simmer for 15 minutes.\n3. Boil the spaghetti, drain and serve with the sauce.",
			"dried-shiitake", "Simmer the tomatoes", "Boil the spaghetti", 0,
		},
		"the stock, beside what is folded and sealed": {
			"Dumplings\nServes 4\n\n200 g tofu\n30 dumpling wrappers\n1.5 litres vegetable stock\n\nMethod\n1. Put a teaspoon of tofu in the middle of each wrapper, fold into a triangle and press to seal.\n2. Simmer the stock for 10 minutes.\n3. Lay in the dumplings and divide among bowls.",
			"kelp", "Simmer the stock", "Lay in", 0,
		},
		"the gravy, and not the batter that is in the oven": {
			"Bake\nServes 4\n\n8 vegan sausages\n140 g plain flour\n200 ml soy drink\n2 onions\n500 ml vegetable stock\n\nMethod\n1. Put the sausages in a roasting tin and roast for 15 minutes.\n2. Pour the soy drink and flour around the sausages and put back in the oven. Bake for 30 minutes.\n3. Cook the onions for 20 minutes, add the stock and simmer for 10 minutes. Serve with the bake.",
			"nutritional-yeast", "Cook the onions", "Serve", 0,
		},
		"the dip, beside what is rolled up": {
			"Rolls\nMakes 12\n\n1 mango, in strips\n12 rice paper rounds\n\nFor the dip\n3 tbsp lime juice\n2 tbsp sugar\n\nMethod\n1. Dip a rice paper in warm water. Top with some mango. Fold in the sides and roll up tightly.\n2. Stir the lime juice and sugar until dissolved and serve with the rolls.",
			"tamari", "Stir the lime juice", "", 1,
		},
		"the sauce, and neither what is blanched nor a piece that is cut then": {
			"Platter\nServes 4\n\n200 g green beans\n200 g tofu, in one piece\n1 tbsp oil\n\nFor the sauce\n200 g peanuts, ground\n250 ml water\n2 tbsp sugar\n\nMethod\n1. Blanch the beans for 3 minutes and refresh them. Fry the tofu in the oil until golden and cut into cubes.\n2. Simmer the peanuts with the water and sugar for 5 minutes, stirring, until thick.\n3. Arrange the beans and tofu on a platter with the sauce beside them.",
			"miso", "Simmer the peanuts", "", 1,
		},
		"the cream that is stirred, and not the oven that is heated": {
			"Tart\nServes 4\n\n250 g soy yoghurt\n2 onions\n300 g dough\n\nMethod\n1. Stir the soy yoghurt smooth.\n2. Heat the oven to 250 °C.\n3. Roll out the dough, spread with the yoghurt and bake for 12 minutes.",
			"nutritional-yeast", "Stir the soy yoghurt", "Heat the oven", 0,
		},
	} {
		a, err := c.Adapt(r.Read(x.text, measure.Metric), swap.Decisions{Boosters: []swap.Dose{{Food: x.food, Grams: 8}}}, false)
		require.NoError(t, err)
		steps, at := a.Components[x.part].Steps, -1
		for i, s := range steps {
			if s.Change == swap.Added {
				require.Equal(t, -1, at, name)
				at = i
			}
		}
		require.Greater(t, at, 0, "%s: %v", name, steps)
		require.True(t, strings.HasPrefix(steps[at-1].Text, x.behind), "%s: behind %q", name, steps[at-1].Text)
		if x.before != "" {
			require.True(t, strings.HasPrefix(steps[at+1].Text, x.before), "%s: before %q", name, steps[at+1].Text)
		}
	}
}

// It goes to what is put together with the piece whose taste it is to give, and not to what is cooked last.
func TestABoosterGoesWithThePiece(t *testing.T) {
	r, _, c := open(t)
	text := "Rolls\nServes 4\n\n200 g chorizo\n1 onion, chopped\n400 g black beans\n400 g rice, cooked\n200 ml soy drink\n4 tortillas\n1 tbsp oil\n\nMethod\n1. Brown the chorizo in the oil for 6 minutes. Scoop it out.\n2. Cook the onion and beans in the pan for 5 minutes. Set aside with the chorizo.\n3. Wipe out the pan. Simmer the rice with the soy drink for 5 minutes.\n4. Divide the beans, chorizo and rice among the tortillas and roll up."
	a, err := c.Adapt(r.Read(text, measure.Metric), swap.Decisions{Swaps: map[string]string{line("0"): "smoked-tofu-lardons"}, Boosters: []swap.Dose{{Food: "nutritional-yeast", Grams: 8}}}, false)
	require.NoError(t, err)
	var steps []string
	for _, s := range a.Components[0].Steps {
		if s.Change != swap.Dropped {
			steps = append(steps, s.Text)
		}
	}
	at := slices.Index(steps, "Stir in the nutritional yeast.")
	require.Greater(t, at, 0, steps)
	require.Contains(t, steps[at-1], "Cook the onion")
	require.Contains(t, steps[at+1], "Set aside")
}

// A marinade has all in it before something lies in it.
func TestABoosterIsInTheMarinadeBeforeSomethingLiesInIt(t *testing.T) {
	r, _, c := open(t)
	text := "Wraps\nServes 4\n\n600 g chicken thighs\n150 g soy yoghurt\n1 tsp cumin\n4 flatbreads\n\nMethod\n1. Mix the yoghurt and cumin in a bowl. Add the chicken, turn to coat and chill for 2 hours.\n2. Fry the chicken in a griddle pan for 5 minutes a side. Serve with the flatbreads."
	a, err := c.Adapt(r.Read(text, measure.Metric), swap.Decisions{Swaps: map[string]string{line("0"): "tofu-frozen-pieces"}, Boosters: []swap.Dose{{Food: "nutritional-yeast", Grams: 8}}}, false)
	require.NoError(t, err)
	var steps []string
	for _, s := range a.Components[0].Steps {
		if s.Change != swap.Dropped {
			steps = append(steps, s.Text)
		}
	}
	at := slices.Index(steps, "Stir in the nutritional yeast.")
	require.Greater(t, at, 0, steps)

	require.Contains(t, steps[at-1], "Mix the yoghurt and cumin")
	require.Contains(t, steps[at+1], "Add the frozen tofu, turn to coat")
}

// What is left of a method says what it speaks of by the name that is left: dumplings keep theirs,
// boiled ham leaves no vegetables behind, and water is brought to the boil for what comes after.
func TestWhatIsLeftKeepsItsName(t *testing.T) {
	reads(t, map[string]carried{
		"dumplings by the word of their wrappers": {
			"Soup\nServes 4\n\n200 g tofu\n30 wonton wrappers\n1 litre vegetable stock\n\nMethod\n1. Put a teaspoon of tofu in the middle of each wrapper and press to seal.\n2. Boil the wontons for 4 minutes and serve in the stock.",
			map[string]string{line("1"): "wheat-wrapper"}, []string{"Boil the wontons for 4 minutes"}, []string{"Boil the dumpling wrappers"},
		},
		"what only gave its taste to a broth goes with it": {
			"Ham\nServes 8\n\n2 kg gammon joint\n1 onion\n2 carrots\n3 tbsp syrup\n20 cloves\n\nMethod\n1. Put the gammon in a pan and cover with cold water. Add the onion and carrots and simmer for 90 minutes.\n2. Lift the gammon out and cut away the skin. Score the fat in diamonds and stud each diamond with a clove. Put the gammon in a tin, brush with the syrup and roast for 20 minutes.",
			map[string]string{line("0"): "salt-cured-tempeh"}, []string{"the syrup"}, []string{"onion", "carrot", "diamond"},
		},
		"water that no bones are boiled in": {
			"Soup\nServes 6\n\n700 g beef brisket on the bone\n2 litres water\n100 g rice\n\nMethod\n1. Cover the brisket with the water and bring to the boil. Simmer for 2 hours. Take the meat out and cut it up; strain the broth.\n2. Bring the broth to the boil, add the rice and the meat and cook for 15 minutes.",
			map[string]string{line("0"): "soy-chunk-braise"}, []string{"Bring the water to the boil, add the rice"}, []string{"broth"},
		},
		"nothing is stirred until it is coated that is not there": {
			"Curry\nServes 4\n\n1 kg stewing beef\n400 ml coconut milk\n100 g curry paste\n2 tbsp oil\n\nMethod\n1. Fry the paste in the oil for 5 minutes, then add the beef and stir until it is coated. Pour in the coconut milk and simmer for 2 hours.",
			map[string]string{line("0"): "tempeh-braise"}, []string{"Pour in the coconut milk"}, []string{"coated"},
		},
		"fat that stayed in the pan is heated": {
			"Leeks\nServes 4\n\n30 g butter\n1 tbsp sunflower oil\n500 g chicken thighs\n3 leeks\n300 ml vegetable stock\n\nMethod\n1. Heat the sunflower oil and half the butter and brown the chicken. Set aside on a plate.\n2. Add the rest of the butter and the leeks to the pan and sweat for 10 minutes. Pour in the stock, return the chicken and simmer for 15 minutes.",
			map[string]string{line("0"): "spoon-of-oil", line("2"): "butter-bean-poultry"}, []string{"Heat the sunflower oil and half of the"}, []string{"sweat in the"},
		},
		"nothing is stirred until it melts that pours": {
			"Soup\nServes 4\n\n25 g butter\n1 onion\n1 leek\n1 litre vegetable stock\n\nMethod\n1. Fry the onion in a dry pan. Add the leek and butter. Stir until melted, then cover and sweat for 5 minutes. Pour in the stock and simmer for 10 minutes.",
			map[string]string{line("0"): "spoon-of-oil"}, []string{"Stir, cover and sweat for 5 minutes"}, []string{"melt"},
		},
		"chocolate melts, whatever pours beside it": {
			"Brownies\nMakes 16\n\n200 g dark chocolate\n175 g butter\n275 g sugar\n100 g flour\n\nMethod\n1. Put the chocolate and butter in a bowl over simmering water and stir until melted. Fold in the sugar and flour and bake for 25 minutes.",
			map[string]string{line("1"): "oil-for-butter"}, []string{"stir until melted"}, nil,
		},
		"what something was to lie on goes in by itself": {
			"Chops\nServes 4\n\n4 pork chops\n2 onions\n500 g carrots\n\nMethod\n1. Lay the chops in a roasting tin on the onions and carrots.\n2. Roast at 200 C for 1 hour.",
			map[string]string{line("0"): "mushroom-chunks-braise"}, []string{"Lay the onions and the carrots in a roasting tin", "Roast at 200 C for 35 minutes, add the mushrooms and tempeh and roast for 25 minutes more"}, []string{"Add the onions"},
		},
		"a short roast takes what is done from the start": {
			"Tray\nServes 4\n\n8 chicken thighs\n500 g carrots\n\nMethod\n1. Tip the carrots into a tin and lay the chicken on top. Roast at 220 C for 30 minutes.",
			map[string]string{line("0"): "mushroom-chunks-braise"}, []string{"lay the mushrooms and tempeh on top", "Roast at 220 C for"}, []string{"more"},
		},
		"what was fried before is not put in again by itself": {
			"Chops\nServes 4\n\n4 pork chops\n2 onions\n2 tbsp oil\n500 g carrots\n\nMethod\n1. Fry the onions in the oil for 10 minutes in a casserole.\n2. Lay the chops on the onions with the carrots. Cover and bake at 160 C for 1 hour.",
			map[string]string{line("0"): "mushroom-chunks-braise"}, nil, []string{"Lay the onions", "Put the onions"},
		},
		"the water of a pot that the meat is not in yet": {
			"Ribs\nServes 4\n\n1.5 kg beef short ribs\n300 g daikon\n120 ml soy sauce\n60 ml rice wine\n1 onion, grated\n2 tbsp sugar\n\nMethod\n1. Mix the soy sauce, rice wine, onion and sugar to a marinade. Put the ribs in a heavy pot with the marinade and enough water to cover. Bring to the boil, cover and simmer for 1 hour.\n2. Add the daikon and simmer for 40 minutes until the meat is almost falling from the bone.",
			map[string]string{line("0"): "mushroom-chunks-braise"}, []string{"Put the marinade and enough water in a heavy pot"}, []string{"bone"},
		},
		"whites that are whipped go in late, and not with the yolks": {
			"Souffle\nServes 4\n\n300 ml soy drink\n40 g flour\n1 tsp mustard\n4 eggs, separated\n\nMethod\n1. Boil the soy drink with the flour. Off the heat beat in the mustard and yolks.\n2. Whisk the whites to soft peaks, stir a spoonful into the sauce and fold in the remainder. Bake for 30 minutes.",
			map[string]string{line("3"): "aquafaba-lift"}, []string{"beat in the mustard.", "Stir a spoonful of the whipped aquafaba into the sauce and fold in the rest"}, []string{"yolk", "white"},
		},
		"the pot that is the same, of work that goes": {
			"Stew\nServes 6\n\n900 g braising beef\n3 tbsp beef dripping\n2 onions\n500 ml stout\n\nMethod\n1. Heat the dripping in a deep casserole and brown the beef; lift it out.\n2. Soften the onions in the same casserole for 10 minutes. Return the beef, pour in the stout and simmer for 2 hours.",
			map[string]string{line("0"): "mushroom-chestnut-braise", line("1"): "spoon-of-oil"}, []string{"Heat the oil in a deep casserole.\nSoften the onions in the same casserole"}, nil,
		},
		"a pot in a slow oven takes its time": {
			"Pie\nServes 6\n\n900 g braising beef\n2 tbsp plain flour\n3 carrots\n500 ml stout\n375 g puff pastry\n\nMethod\n1. Dust the beef in the flour. Soften the carrots in a casserole for 10 minutes. Add the beef, pour over the stout and bring to a simmer. Cover and cook at 150C for 2 1/2 hours, until the beef can be cut with a spoon.\n2. Tip into a dish, lay the pastry over and bake at 200C for 35 minutes.",
			map[string]string{line("0"): "mushroom-chestnut-braise"}, []string{"cook at 150C for 40 minutes"}, []string{"spoon"},
		},
		"nothing leads to what is not said": {
			"Mayonnaise\nServes 4\n\n2 egg yolks\n200 ml olive oil\n\nMethod\n1. Blend the yolks. Zorble in the oil until you have a thick yolk. Season with salt.",
			map[string]string{line("0"): "soy-emulsion"}, []string{"Zorble in the oil."}, []string{"until.", "yolk"},
		},
		"what is waited for goes by a name without an animal": {
			"Mayonnaise\nServes 4\n\n2 egg yolks\n200 ml olive oil\n\nMethod\n1. Blend the yolks. Zorble in the oil until you have a thick mayonnaise. Season with salt.",
			map[string]string{line("0"): "soy-emulsion"}, []string{"Zorble in the oil until you have a thick emulsion."}, []string{"mayonnaise"},
		},
		"what is cut already is laid on top": {
			"Kedgeree\nServes 4\n\n300 g basmati rice\n3 eggs, boiled\n1 small bunch parsley\n\nMethod\n1. Boil the rice. Peel and quarter the eggs, lay them on top and scatter with parsley.",
			map[string]string{line("1"): "tofu-piece-egg"}, []string{"ay the black-salt tofu on top"}, []string{"egg"},
		},
		"shells are not spoken of by halves, and a lid is on now and then": {
			"Mussels\nServes 2\n\n1 kg mussels\n2 shallots\n200 ml dry cider\n\nMethod\n1. Scrub the mussels, pull off the beards and discard any that are broken or do not close when tapped.\n2. Boil the shallots in the cider. Add the mussels, clap on the lid and cook for 4 minutes, shaking the pot now and then, until they have opened.",
			map[string]string{line("0"): "whelk-mushroom"}, []string{"shaking the pot now and then."}, []string{"beard", "close", "open"},
		},
		"what is served is named once": {
			"Peas\nServes 4\n\n500 g gammon joint\n400 g split peas\n1 litre vegetable stock\n\nMethod\n1. Simmer the peas in the stock for 40 minutes. Skin the gammon. Serve.",
			map[string]string{line("0"): "salt-cured-tempeh"}, []string{"Serve the brined tempeh."}, []string{"gammon", "Skin", "tempeh the"},
		},
		"a spoonful of what was fried is not added to an empty pot": {
			"Soup\nServes 4\n\n120 g smoked bacon, diced\n1 tbsp oil\n2 leeks\n400 ml vegetable stock\n\nMethod\n1. Crisp the bacon in the oil in a soup pot. Scoop out a spoonful for the top. Sweat the leeks in the fat that is left for 8 minutes. Pour in the stock and simmer for 15 minutes. Ladle into bowls and sprinkle the saved bacon on top.",
			map[string]string{line("0"): "smoky-shiitake-strips"}, []string{"Sweat the leeks in a soup pot in the oil for 8 minutes", "sprinkle the smoky shiitake on top"}, []string{"Add the smoky shiitake"},
		},
		"what is in strips already is not sliced in its glaze": {
			"Roast\nServes 4\n\n900 g pork shoulder, cut into strips\n3 tbsp hoisin sauce\n2 tbsp soy sauce\n3 cloves garlic, crushed\n\nMethod\n1. Mix the hoisin, soy sauce and garlic, turn the pork in it, cover and chill overnight.\n2. Roast for 20 minutes. Leave for 5 minutes, then slice across the grain.",
			map[string]string{line("0"): "seared-mushroom-shreds"}, []string{"Leave for 5 minutes."}, []string{"slice", "grain"},
		},
		"what was put among others is turned in them": {
			"Wat\nServes 4\n\n1 kg chicken legs\n1 lemon\n4 onions\n500 ml water\n\nMethod\n1. Rub the chicken with the lemon and leave for 30 minutes. Cook the onions in a pot for 20 minutes. Add the chicken and turn it in the onions. Pour in the water and simmer for 40 minutes.",
			map[string]string{line("0"): "butter-bean-poultry"}, []string{"Add the butter beans and mushrooms and turn them in the onions"}, nil,
		},
		"a part by its name without that in brackets": {
			"Soup\nServes 4\n\n1 litre vegetable stock\n\nFor the pinched noodles (egg drops)\n1 egg\n80 g flour\n\nMethod\n1. Boil the stock.\n2. Knead the egg and flour to a dough and drop pieces of it into the stock.",
			map[string]string{"components[1].lines[0]": "tofu-dough"}, []string{"# Pinched noodles"}, []string{"egg"},
		},
	})
}

// Work by the weight of flesh, fat that is rendered, what lay in a rub and what is served after carving
// are said for what stands there now.
func TestWorkByTheFleshIsSaidForWhatStandsThere(t *testing.T) {
	reads(t, map[string]carried{
		"a roast by its weight": {
			"Roast\nServes 6\n\n1.8 kg beef rib joint\n2 onions\n\nMethod\n1. Put the beef on the onions in a roasting tin. Roast for 20 minutes, then turn down to 170°C and roast for 15 minutes per 450 g for medium rare. Rest for 30 minutes.\n2. Carve the beef and serve with the onions.",
			map[string]string{line("0"): "mushroom-chunks-braise"}, []string{"Put the onions in a roasting tin. Roast for 20 minutes, then turn down to 170°C, add the mushrooms and tempeh", "for 25 minutes. Rest", "Serve the mushrooms and tempeh with the onions"}, []string{"450 g", "medium rare", "Carve"},
		},
		"fat that renders": {
			"Plov\nServes 4\n\n100 g lamb fat, diced\n200 ml sunflower oil\n4 onions\n\nMethod\n1. Render the fat in a pot until the cracklings are golden; take them out. Add the oil and fry the onions.",
			map[string]string{line("0"): "spoon-of-oil"}, []string{"Heat the vegetable oil in a pot", "fry the onions"}, []string{"take", "crackling", "Fry the vegetable oil"},
		},
		"what lay in a rub takes colour in its pan": {
			"Curry\nServes 6\n\n1.5 kg goat meat, diced\n4 tbsp curry powder\n2 onions\n3 tbsp oil\n400 ml coconut milk\n\nMethod\n1. Rub the goat with half of the curry powder and leave overnight.\n2. Heat the oil and fry the rest of the curry powder. Brown the goat in batches. Add the onions and the coconut milk and simmer for 2 hours.",
			map[string]string{line("0"): "mushroom-chunks-braise"}, []string{"rown the mushrooms and tempeh in batches"}, nil,
		},
		"an onion that fries with butter": {
			"Pasta\nServes 2\n\n1 tbsp butter\n1 onion\n200 g mushrooms\n150 ml vegetable stock\n\nMethod\n1. Add the butter and onion to a pan and cook for 6 minutes. Add the mushrooms, then the stock, and bubble for 3 minutes.",
			map[string]string{line("0"): "spoon-of-oil"}, []string{"Add the oil and onion to a pan"}, nil,
		},
	})
}

// Where a sauce is stirred and served in one sentence, what seasons it goes in between.
func TestASentenceIsTakenApartForABooster(t *testing.T) {
	r, _, c := open(t)
	dip := "Dip\nServes 4\n\n3 tbsp lime juice\n2 tbsp sugar\n1 chilli\n\nMethod\n1. Stir the lime juice and sugar until dissolved, add the chilli and serve with rolls."
	a, err := c.Adapt(r.Read(dip, measure.Metric), swap.Decisions{Boosters: []swap.Dose{{Food: "tamari", Grams: 10}}}, false)
	require.NoError(t, err)
	var texts []string
	for _, s := range a.Components[0].Steps {
		texts = append(texts, s.Text)
	}
	require.Equal(t, []string{"Stir the lime juice and sugar until dissolved, add the chilli.", "Season with the tamari, then taste.", "Serve with rolls."}, texts)
}

// What stands overnight is begun on the evening before, with its first step and in front of all work
// of the day, whatever else the preparation goes on with.
func TestTheEveningBeforeBeginsWithTheFirstStep(t *testing.T) {
	_, b, _ := open(t)
	card := cardOf(t, "Soup\nServes 4\n\n140 g blue cheese\n1 onion\n1 litre vegetable stock\n1 head broccoli\n\nMethod\n1. Simmer the onion and broccoli in the stock for 10 minutes. Stir in the cheese.", map[string]string{line("0"): "cashew-miso-blue"})
	prepare := b.Larder().SwapNamed("cashew-miso-blue").Prepare
	require.Len(t, prepare, 2)
	var steps []string
	for _, row := range strings.Split(card, "\n") {
		if row != "" && !strings.HasPrefix(row, "#") && !strings.HasPrefix(row, "- ") {
			steps = append(steps, row)
		}
	}
	require.Equal(t, "The evening before: s"+prepare[0].Text[1:], steps[0], card)
	require.Contains(t, steps[1], strings.TrimSuffix(prepare[1].Text, "."), card)
	require.Equal(t, 1, strings.Count(card, "The evening before"))
	require.Contains(t, steps[2], "Simmer the onion")
}
