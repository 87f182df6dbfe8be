package method_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/method"
	"yembra/core/swap"
)

// cardOf is what the card of a dish says, part by part, its lines before its steps.
func cardOf(t *testing.T, text string, swaps map[string]string) string {
	t.Helper()
	r, b, c := open(t)
	a, err := c.Adapt(r.Read(text, measure.Metric), swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: swaps}, false)
	require.NoError(t, err)
	require.Len(t, a.Swaps, len(swaps), text)
	var out []string
	for _, part := range method.Parts(b.Larder(), a) {
		out = append(out, "# "+part.Name)
		for _, l := range part.Lines {
			out = append(out, "- "+l.Text)
		}
		for _, s := range part.Steps {
			if s.Change != swap.Dropped {
				out = append(out, s.Text)
			}
		}
	}
	return strings.Join(out, "\n")
}

// carried is a recipe with its swaps and what its card must hold and must not.
type carried struct {
	text      string
	swaps     map[string]string
	want, not []string
}

// reads holds each card to what is wanted of it.
func reads(t *testing.T, rows map[string]carried) {
	t.Helper()
	for name, x := range rows {
		t.Run(name, func(t *testing.T) {
			card := cardOf(t, x.text, x.swaps)
			for _, want := range x.want {
				require.Contains(t, card, want)
			}
			for _, not := range x.not {
				require.NotContains(t, card, not)
			}
		})
	}
}

// What a method does with things that are gone is carried over by rule, whatever the dish.
func TestWorkOnWhatIsGoneIsCarriedOver(t *testing.T) {
	tempeh, shiitake, lentils := "tempeh-braise", "smoky-shiitake-strips", "lentil-walnut-mince"
	reads(t, map[string]carried{
		"a stock kept back is as much as was kept": {
			"Stew\n\n1 kg beef shin\n2 onions\n\nMethod\n1. Boil the beef in plenty of water for 2 hours. Keep 1.2 litres of the stock.\n2. Fry the onions, add the beef and the stock and simmer for 15 minutes.",
			map[string]string{line("0"): tempeh}, []string{"1.2 litres vegetable stock"}, []string{"150 ml"},
		},
		"what only gave its taste to a broth goes with it": {
			"Filling\n\n500 g chicken breast\n1 bay leaf\n1 carrot\n1 onion\n2 tbsp oil\n\nMethod\n1. Poach the chicken with the carrot and bay leaf in 1 litre of water for 20 minutes. Strain and shred the chicken.\n2. Soften the onion in the oil and add the chicken.",
			map[string]string{line("0"): "seared-mushroom-shreds"}, nil, []string{"Strain.", "- 1 carrot", "with the carrot", "- 1 bay leaf"},
		},
		"others go into the pot without it": {
			"Stew\n\n1 kg stewing beef\n2 carrots\n1 leek\n\nMethod\n1. Boil the beef in water for 2 minutes and drain.\n2. Put it back in the clean pot with the carrots, the leek and 2 litres of fresh water and simmer for 90 minutes.",
			map[string]string{line("0"): tempeh}, []string{"Put the carrots, the leek and 2 litres of fresh water in the clean pot"}, []string{"Put back"},
		},
		"a liquid is simmered with what goes into it": {
			"Soup\n\n300 g smoked sausage\n1 litre vegetable stock\n2 bay leaves\n1 onion\n\nMethod\n1. Simmer the sausage in the stock with the bay leaves for 20 minutes; lift out and slice.\n2. Add the onion to the stock. Return the sausage.",
			map[string]string{line("0"): "root-sausage-smoked"}, []string{"Simmer the vegetable stock and the bay leaves for 20 minutes"}, nil,
		},
		"hot fat in a tin stays, and batter takes its time": {
			"Toad\nServes 4\n\n60 g beef dripping\n200 g flour\n300 ml water\n6 pork sausages\n\nMethod\n1. Put the dripping in a roasting tin and heat in the oven until smoking.\n2. Add the sausages and roast for 10 minutes.\n3. Whisk the flour and water to a batter, pour into the hot fat and bake for 30 minutes.",
			map[string]string{line("0"): "oil-for-frying-fat", line("3"): "bean-fennel-sausage"}, []string{"Put the oil in a roasting tin and heat", "pour into the hot fat and bake for 30 minutes"}, nil,
		},
		"small additions go in before the mixture is in its dish, and a pan with fat is not dry": {
			"Kugel\nServes 6\n\n250 g smoked bacon\n2 onions\n1 kg potatoes\n\nMethod\n1. Fry the bacon in a dry pan until the fat runs, add the onions and cook until golden.\n2. Grate the potatoes and stir in the bacon and onions.\n3. Grease a dish, pour in the mixture and bake for 1 hour.",
			map[string]string{line("0"): "smoky-shiitake-strips"}, []string{"Heat the vegetable oil in a pan, add"}, []string{"dry pan until golden"},
		},
		"what only the liquid carried goes with the liquid": {
			"Pie\nServes 4\n\n500 g cod\n400 ml milk\n1 bay leaf\n600 g potatoes\n500 ml oil\n40 g flour\n\nMethod\n1. Poach the cod in the milk with the bay leaf for 10 minutes. Lift it out and keep the milk.\n2. Deep-fry the potatoes in the oil.\n3. Whisk the milk into the flour and simmer until thick. Stir in the cod and the potatoes.",
			map[string]string{line("0"): "palm-heart-flakes", line("1"): "soy-drink-for-milk"}, []string{"Warm the soy drink and the bay leaf for 10 minutes"}, []string{"Deep-fry the potatoes in the oil with", "Add the bay leaf"},
		},
		"shaped pieces simmer no longer than they bear": {
			"Balls\nServes 4\n\n500 g minced lamb\n1 onion, grated\n500 ml vegetable stock\n\nMethod\n1. Knead the lamb with the onion and shape into balls.\n2. Pour on the stock and simmer for 45 minutes.",
			map[string]string{line("0"): "root-nut-mince"}, []string{"bake them at 200 °C", "simmer for 25 minutes"}, nil,
		},
		"fat that would have run out is brought": {
			"Base\n\n200 g bacon\n1 onion\n400 g potatoes\n\nMethod\n1. Fry the bacon until the fat runs, add the onion and cook until golden. Add the potatoes.",
			map[string]string{line("0"): shiitake}, []string{"Heat the vegetable oil, add the smoky shiitake and the onion and cook until golden", "vegetable oil\n"}, nil,
		},
		"what would be whipped with something is mixed with it": {
			"Cake\n\n300 ml whipping cream\n1 tsp vanilla extract\n200 g strawberries\n\nMethod\n1. Whip the cream with the vanilla until it just holds. Pile it on the strawberries.",
			map[string]string{line("0"): "cashew-whip"}, []string{"Mix the", "with the vanilla"}, []string{"until it just holds", "Add the vanilla"},
		},
		"another way stays another way": {
			"Pot\n\n600 g stewing beef\n1 onion\n500 ml passata\n\nMethod\n1. Put the beef, onion and passata in a pot.\n2. Bring to the boil, cover and simmer over low heat for 3 hours, or bake at 150 °C.",
			map[string]string{line("0"): tempeh}, []string{", or bake at 150 °C"}, []string{"and bake"},
		},
		"what stood beside it in its line stays": {
			"Rolls\n\n500 g minced pork\nSour cream and peppers, to serve\n\nMethod\n1. Brown the pork with salt and pepper. Serve with sour cream and peppers.",
			map[string]string{line("0"): lentils, line("1"): "soy-yoghurt-plain"}, []string{"and peppers.", "with salt and pepper"}, nil,
		},
		"a comparison is no animal": {
			"Pancakes\n\n2 eggs\n250 g rice flour\n400 ml water\n\nMethod\n1. Whisk the eggs, flour and water; the batter should be as thin as cream.",
			map[string]string{line("0"): "chickpea-batter-bind"}, []string{"as thin as cream"}, nil,
		},
		"flesh that is not there takes nothing in": {
			"Roast\n\n1 kg beef topside\n6 cloves garlic\n2 tbsp oil\n2 carrots\n300 ml red wine\n\nMethod\n1. Make cuts in the beef and push the garlic into them.\n2. Brown it in the oil on every side. Take it out. Sweat the carrots in the same fat, put the meat back and add the wine. Cover and braise for 3 hours, turning the joint now and then.",
			map[string]string{line("0"): tempeh}, []string{"weat the carrots in the oil with the garlic", "now and then"}, []string{"Brown it", "Take", "garlic back", "push"},
		},
		"what lay in a marinade is taken out of it": {
			"Adobo\n\n1 kg chicken thighs\n120 ml vinegar\n80 ml soy sauce\n1 tbsp oil\n\nMethod\n1. Combine everything except the oil and marinate for 1 hour. Drain the chicken, reserving the marinade.\n2. Heat the oil in a pan. Brown the chicken. Pour in the reserved marinade, bring to a boil and simmer for 30 minutes.",
			map[string]string{line("0"): tempeh}, []string{"Drain the tempeh, reserving the marinade", "Pour in the reserved marinade, bring to a boil"}, []string{"eserve everything"},
		},
		"what is browned already waits until it is returned": {
			"Beans\n\n200 g bacon\n300 g cooked beans\n1 onion\n2 tbsp oil\n\nMethod\n1. Fry the bacon until crisp and set aside.\n2. Soften the onion in the oil, add the beans and fry for 5 minutes. Return the bacon and serve.",
			map[string]string{line("0"): shiitake}, []string{"fry for 5 minutes. Add the smoky"}, []string{"oil. Add the smoky", "Return"},
		},
		"ready mince only gets hot": {
			"Filling\n\n300 g minced lamb\n1 onion\n2 tbsp oil\n60 g pine nuts\n\nMethod\n1. Fry the onion in the oil. Add the lamb and cook until it loses its pink colour, then stir in the pine nuts.",
			map[string]string{line("0"): lentils}, []string{"until hot through"}, []string{"cook until tender", "pink"},
		},
	})
}

// A method that goes to and fro between its parts is set out in its own order.
func TestPartsStandInTheOrderOfTheWork(t *testing.T) {
	said := cardOf(t, "Dumplings\n\nFilling\n350 g minced beef\n1 onion, grated\n\nDough\n500 g flour\n240 ml water\n\nMethod\n1. Knead the dough for 10 minutes.\n2. Mix the beef with the onion.\n3. Roll the dough thin, put the filling on it and boil for 8 minutes.",
		map[string]string{line("0"): "lentil-walnut-mince"})
	order := []string{"Knead the dough", "Simmer the lentils", "with the onion", "Roll the dough"}
	at := -1
	for _, x := range order {
		next := strings.Index(said, x)
		require.Greater(t, next, at, "%q in\n%s", x, said)
		at = next
	}
	require.Less(t, strings.Index(said, "# Dough"), strings.Index(said, "Knead"), "the dough's lines stand above its kneading")
}

// The cook's own order of a part's steps holds in such a method too.
func TestTheCooksOrderHoldsBetweenParts(t *testing.T) {
	r, b, c := open(t)
	text := "Dumplings\n\nFilling\n350 g minced beef\n1 onion, grated\n\nDough\n500 g flour\n240 ml water\n\nMethod\n1. Knead the dough for 10 minutes.\n2. Mix the beef with the onion.\n3. Chill the filling for 20 minutes.\n4. Roll the dough thin, put the filling on it and boil for 8 minutes."
	d := r.Read(text, measure.Metric)
	dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: map[string]string{line("0"): "lentil-walnut-mince"}}
	steps := func(dec swap.Decisions) string {
		a, err := c.Adapt(d, dec, false)
		require.NoError(t, err)
		var out []string
		for _, part := range method.Parts(b.Larder(), a) {
			for _, s := range part.Steps {
				out = append(out, s.Text)
			}
		}
		return strings.Join(out, "\n")
	}
	said := steps(dec)
	require.Less(t, strings.Index(said, "with the onion"), strings.Index(said, "Chill"), said)
	a, err := c.Adapt(d, dec, false)
	require.NoError(t, err)
	var keys []string
	for _, s := range a.Components[0].Steps {
		if len(s.From) > 0 {
			keys = append([]string{s.Key}, keys...)
		}
	}
	dec.Order = map[string][]string{"0": keys}
	said = steps(dec)
	require.Less(t, strings.Index(said, "Chill"), strings.Index(said, "with the onion"), "the cook wants it so:\n%s", said)
	require.Less(t, strings.Index(said, "Knead"), strings.Index(said, "Chill"), said)
}

// What the list had cut is cut where what stands for it is made whole, in the list's words.
func TestWhatIsMadeWholeIsCutAsTheListHadIt(t *testing.T) {
	soup := "Soup\nServes 4\n\n1 kg potatoes\n1 litre water\n4 Frankfurter sausages, sliced\n\nMethod\n1. Boil the potatoes in the water for 20 minutes and mash them.\n2. Slice the sausages and warm them through in the soup for 5 minutes."
	sausage := map[string]string{line("2"): "bean-fennel-sausage"}
	require.Equal(t, 1, strings.Count(cardOf(t, soup, sausage), "Slice the bean sausage"), "once, where the method cuts it")
	for cut, want := range map[string]string{
		"":                             "a crust has formed all round.\n",
		", sliced":                     "all round. Slice the bean sausage.\n",
		", thickly sliced":             "all round. Slice the bean sausage thickly.\n",
		", cut into 2 cm chunks":       "all round. Cut the bean sausage into 2 cm chunks.\n",
		", skinned and thickly sliced": "all round. Slice the bean sausage thickly.\n",
		", diced":                      "all round. Slice the bean sausage.\n",
	} {
		text := strings.NewReplacer("4 Frankfurter sausages, sliced", "4 Frankfurter sausages"+cut, "Slice the sausages and warm them", "Warm the sausages").Replace(soup)
		require.Contains(t, cardOf(t, text, sausage), want, cut)
	}
}
