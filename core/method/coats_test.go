package method_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/method"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// What coats, juices, waters, tins and pronouns become where flesh makes way, each on the least recipe that shows it.
func TestCoatsJuicesAndWatersGoOn(t *testing.T) {
	const chunks, slabs, shreds = "mushroom-chunks-braise", "breaded-tofu", "seared-mushroom-shreds"
	reads(t, map[string]carried{
		"breasts that have been filled are themselves": {
			"Fillets\nServes 4\n\n4 chicken breasts\n100 g spinach\n60 g flour\n120 g breadcrumbs\n1 litre oil\n\nMethod\n1. Cut a pocket in each breast and tuck in the spinach. Press the edges together and fix them with a cocktail stick. Turn the breasts in the flour, then in the crumbs. Fry the breasts in the oil for 6 minutes a side until deep golden.",
			map[string]string{line("0"): slabs}, []string{"Turn the tofu slabs in the flour, then in the crumbs", "Fry the tofu slabs in the oil"}, []string{"breast"},
		},
		"drumsticks that lay in something are themselves": {
			"Drumsticks\nServes 4\n\n8 chicken drumsticks\n500 ml soy yoghurt\n1 tsp cayenne\n250 g flour\n1 litre oil\n\nMethod\n1. Stir the cayenne into the yoghurt. Drop in the drumsticks and leave for 4 hours.\n2. Lift each drumstick from the yoghurt, let the excess drip off, then press it into the flour. Fry them in the oil for 14 minutes.",
			map[string]string{line("0"): slabs}, []string{"press them into the flour", "Fry them in the oil"}, []string{"drumstick"},
		},
		"it, of several that were put in": {
			"Tray\nServes 4\n\n1 kg chicken thighs\n100 ml red wine vinegar\n2 tsp oregano\n\nMethod\n1. Mix the vinegar and oregano in a bowl. Add the chicken, turn it about until coated and chill overnight. Roast for 30 minutes.",
			map[string]string{line("0"): chunks}, []string{"Add the mushrooms and tempeh, turn them about until coated"}, []string{"turn it"},
		},
		"a mixture is it": {
			"Cakes\nServes 4\n\n500 g minced lamb\n100 g bread\n1 onion\n\nMethod\n1. Knead the lamb with the bread and the onion. Rest it for half an hour, shape into ovals and fry for 8 minutes.",
			map[string]string{line("0"): "tofu-walnut-shaped"}, nil, []string{"Rest them"},
		},
		"what lies in a mixture is it": {
			"Curry\nServes 4\n\n600 g chicken thighs, cubed\n200 g oat yoghurt\n1 tsp salt\n2 onions\n\nMethod\n1. Mix the chicken with the yoghurt and the salt. Leave it in the fridge for an hour. Fry the onions, add the chicken and simmer for 20 minutes.",
			map[string]string{line("0"): chunks}, []string{"Leave it in the fridge"}, nil,
		},
		"so many at a time": {
			"Drumsticks\nServes 4\n\n8 chicken drumsticks\n200 g flour\n1 litre oil\n\nMethod\n1. Turn the drumsticks in the flour. Heat the oil and fry 4 drumsticks at a time for 14 minutes.",
			map[string]string{line("0"): slabs}, []string{"fry a few of the tofu slabs at a time"}, []string{"fry the tofu slabs at a time"},
		},
		"the juices of a pan with wine, and colour": {
			"Tray\nServes 4\n\n1 kg chicken thighs\n200 ml dry white wine\n150 g prunes\n\nMethod\n1. Lay the chicken in a tin with the prunes and pour the wine around. Bake for 50 minutes, basting often with the juices, until the thighs are golden and the juices run clear. Lift out the chicken. Pass the juices in a jug.",
			map[string]string{line("0"): chunks}, []string{"basting often with the juices, until golden", "Pass the juices in a jug"}, []string{"clear", "thigh"},
		},
		"the juices of a dry tin": {
			"Tray\nServes 4\n\n1 kg chicken thighs\n500 g potatoes\n1 tbsp oil\n\nMethod\n1. Toss the chicken and potatoes in the oil and roast for 50 minutes. Pass the juices in a jug.",
			map[string]string{line("0"): chunks}, nil, []string{"juices"},
		},
		"water that covered flesh is poured on what boils in it": {
			"Stew\nServes 4\n\n1 kg veal, cubed\n2 carrots\n1 leek\n\nMethod\n1. Cover the veal with cold water, bring slowly to the boil and skim. Add the carrots and leek, cut in chunks, and salt lightly. Simmer gently for 1 hour 15 minutes.",
			map[string]string{line("0"): chunks}, []string{"cover with cold water"}, []string{"veal", "skim"},
		},
		"stock that is listed wants no water": {
			"Stew\nServes 4\n\n1 kg veal, cubed\n2 carrots\n500 ml vegetable stock\n\nMethod\n1. Cover the veal with cold water, bring to the boil and drain. Add the carrots and the stock. Simmer for 1 hour.",
			map[string]string{line("0"): chunks}, nil, []string{"cold water"},
		},
		"what a tin held goes with its fish": {
			"Bake\nServes 4\n\n1 kg potatoes\n2 tins anchovies\n300 ml oat cream\n\nMethod\n1. Layer the potatoes and the anchovies in a dish. Mix the cream with 2 tablespoons of the brine from the tins and pour it over. Bake for an hour.",
			map[string]string{line("1"): "black-bean-season"}, []string{"pour it over"}, []string{"brine", "tins and", "from the tins"},
		},
		"what a tin held stays with what stays": {
			"Beans\nServes 4\n\n2 tins chickpeas\n200 g bacon, diced\n1 onion\n\nMethod\n1. Fry the bacon and the onion. Add the chickpeas with the liquid from the tins and simmer for 10 minutes.",
			map[string]string{line("1"): "smoky-shiitake-strips"}, []string{"the liquid from the tins"}, nil,
		},
		"what comes in pieces is not cut with the others": {
			"Soup\nServes 4\n\n600 g potatoes\n500 g salmon fillet\n1 litre vegetable stock\n\nMethod\n1. Dice the potatoes and the salmon a bit larger. Simmer the potatoes in the stock for 12 minutes. Add the salmon and poach for 5 minutes.",
			map[string]string{line("1"): "palm-heart-flakes"}, []string{"Dice the potatoes."}, []string{"larger"},
		},
		"what is left to cook goes on as that": {
			"Stew\nServes 4\n\n800 g beef, cubed\n500 ml vegetable stock\n2 carrots\n\nMethod\n1. Put the beef, carrots and stock in a pot, bring to a simmer and leave it to putter for 2 hours.",
			map[string]string{line("0"): chunks}, []string{"and putter for"}, []string{"and leave to putter"},
		},
		"beaten between each, of what is one": {
			"Cake\nServes 8\n\n200 g sugar\n4 eggs\n200 g flour\n200 g vegan butter\n\nMethod\n1. Beat the butter with the sugar. Add the eggs one at a time, beating well between each. Fold in the flour and bake for 30 minutes.",
			map[string]string{line("1"): "flax-gel"}, []string{"Add the flax gel."}, []string{"each", "at a time"},
		},
		"a cheese that has no rind": {
			"Tartiflette\nServes 4\n\n1 kg potatoes\n450 g reblochon\n\nMethod\n1. Boil the potatoes and lay them in a dish. Lay the reblochon on top, rind up. Bake for 25 minutes.",
			map[string]string{line("1"): "white-bean-melt"}, nil, []string{"rind"},
		},
		"what fries first with what nobody says a verb for": {
			"Sauce\nServes 4\n\n2 carrots\n2 tbsp oil\n150 g pancetta, diced\n500 g minced turkey\n2 cloves garlic\n400 g tinned tomatoes\n\nMethod\n1. Sweat the carrots in the oil. Remove to a bowl.\n2. Crisp the pancetta in the empty pot, then add the mince and break it up until no pink remains.\n3. Garlic in, 1 min. Return the carrots. Tomatoes in. Bubble gently for 90 minutes.",
			map[string]string{line("2"): "smoky-shiitake-strips", line("3"): "lentil-walnut-mince"}, []string{"Garlic in, 1 min"}, []string{"oil and garlic in"},
		},
	})
}

// Pieces that lie in the marinade of another part are prepared before it, and lie in it.
func TestPiecesGoIntoAMarinadeThatIsAPart(t *testing.T) {
	const text = "Grill\nServes 4\n\nMarinade\n120 ml vinegar\n5 cloves garlic\n1 tsp pepper\n\n1 kg chicken legs\n\nBasting oil\n4 tbsp sunflower oil\n1 tbsp lime juice\n\nMethod\nCombine everything for the marinade. Slash the chicken legs, put them in the marinade and refrigerate for 3 hours.\nWarm the oil and the lime juice.\nShake the marinade off the chicken and thread each leg on a skewer.\nGrill for 20 minutes, brushing with the oil."
	r, b, c := open(t)
	a, err := c.Adapt(r.Read(text, measure.Metric), swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: map[string]string{recipe.LineRef(1, 0): "mushroom-chunks-braise"}}, false)
	require.NoError(t, err)
	parts := method.Parts(b.Larder(), a)
	require.Equal(t, "Mushrooms and tempeh", parts[0].Name, "prepared first")
	require.Equal(t, "Marinade", parts[1].Name)
	last := parts[1].Steps[len(parts[1].Steps)-1].Text
	require.Contains(t, last, "ut the mushrooms and tempeh in the marinade and refrigerate for 3 hours")
}

// What is laid down, bathed or mixed for work that is not done any more.
func TestNothingIsLaidDownForWorkThatIsGone(t *testing.T) {
	const slabs, strips, cake = "breaded-tofu", "smoky-shiitake-strips", "potato-sea-cake"
	reads(t, map[string]carried{
		"between sheets to be beaten": {
			"Milanese\nServes 2\n\n2 chicken breasts\n50 g flour\n75 g breadcrumbs\n3 tbsp oil\n\nMethod\n1. Put the chicken between two sheets of baking paper and bash with a rolling pin. Dip each breast in the flour and press into the crumbs. Fry in the oil for 5 minutes on each side.",
			map[string]string{line("0"): slabs}, []string{"Dip each of the tofu slabs in the flour"}, []string{"paper", "rolling pin"},
		},
		"in a cold pan to render": {
			"Pasta\nServes 2\n\n200 g spaghetti\n100 g guanciale, cut into strips\n2 tbsp chopped parsley\n\nMethod\n1. Put the guanciale in a cold frying pan and set over a medium heat. Let it render for 10 minutes until crisp, then take the pan off the heat.\n2. Boil the spaghetti and transfer it to the pan with the guanciale. Toss with the parsley.",
			map[string]string{line("1"): strips}, []string{"transfer it to the pan with the smoky shiitake"}, []string{"cold frying pan", "render", "medium heat"},
		},
		"fish that is poached for cakes comes when they are mixed, and its milk goes": {
			"Fishcakes\nServes 4\n\n450 g potatoes\n350 g salmon fillets\n300 ml oat milk\n2 spring onions\n100 g breadcrumbs\n3 tbsp oil\n\nMethod\n1. Boil the potatoes, drain and mash.\n2. Put the salmon in a pan, pour over the milk, bring to a simmer and poach for 6 minutes. Lift out, discard the milk and flake the fish.\n3. Mix the mash with the spring onions and fold in the salmon. Shape into 8 cakes, coat in the crumbs and fry in the oil for 4 minutes.",
			map[string]string{line("1"): cake}, []string{"fold in the potato and artichoke mix"}, []string{"milk", "poach", "Lift", "a pan"},
		},
		"and a bay leaf in water": {
			"Fishcakes\nServes 4\n\n450 g potatoes\n350 g salmon fillets\n1 bay leaf\n2 spring onions\n3 tbsp oil\n\nMethod\n1. Boil the potatoes, drain and mash.\n2. Put the salmon in a pan with the bay leaf, cover with water, bring to a simmer, then take off the heat and leave for 8 minutes. Drain and flake the fish.\n3. Fold the fish into the mash with the spring onions. Shape into 8 cakes and fry in the oil for 4 minutes.",
			map[string]string{line("1"): cake}, []string{"Fold the potato and artichoke mix into the mash"}, []string{"bay", "water", "Drain and", "simmer"},
		},
		"salt that flesh lay in is no bath": {
			"Congee\nServes 4\n\n400 g chicken thighs\n1 tsp salt\n200 g rice\n2 litres water\n\nMethod\n1. Rub the chicken with the salt and leave for an hour. Boil the rice in the water for 30 minutes. Shred the chicken, add it and simmer for 15 minutes.",
			map[string]string{line("0"): "seared-mushroom-shreds"}, []string{"1 tsp salt"}, nil,
		},
		"what is broken into chunks into a dish": {
			"Pie\nServes 4\n\n400 g cod fillet\n1 kg potatoes\n300 ml oat cream\n\nMethod\n1. Steam the cod for 8 minutes. Boil and mash the potatoes.\n2. Break the cod into large chunks into a baking dish, pour over the cream, top with the mash and bake for 30 minutes.",
			map[string]string{line("0"): "palm-heart-flakes"}, []string{"Put the palm heart flakes into a baking dish"}, []string{"chunks", "large"},
		},
	})
}

// A booster is not stirred into water that is poured away.
func TestABoosterGoesIntoNoWaterThatIsPouredAway(t *testing.T) {
	r, _, c := open(t)
	a, err := c.Adapt(r.Read("Cakes\nServes 4\n\n800 g potatoes\n2 leeks, sliced\n50 g breadcrumbs\n\nMethod\n1. Boil the potatoes in salted water for 15 minutes. Drain and mash.\n2. Mix the mash with the leeks. Shape into 8 cakes, coat in the crumbs and bake for 20 minutes.", measure.Metric), swap.Decisions{Boosters: []swap.Dose{{Food: "dried-shiitake", Grams: 8}}}, false)
	require.NoError(t, err)
	var said []string
	for _, s := range a.Components[0].Steps {
		said = append(said, s.Text)
	}
	added := slices.IndexFunc(a.Components[0].Steps, func(s swap.Step) bool { return s.Change == swap.Added })
	mixed := slices.IndexFunc(said, func(s string) bool { return strings.Contains(s, "ix the mash") })
	require.GreaterOrEqual(t, added, mixed, "%q", said)
}

// Flour, bellies, bowls, pots and times that were for flesh.
func TestPotsAndTimesThatWereForFlesh(t *testing.T) {
	const chunks, fillets = "mushroom-chunks-braise", "lions-mane-fillet"
	reads(t, map[string]carried{
		"flour of what comes back to its sauce": {
			"Thighs\nServes 4\n\n8 chicken thighs\n2 tbsp plain flour\n2 tbsp olive oil\n1 onion, sliced\n400 g tinned tomatoes\n200 ml vegetable stock\n\nMethod\n1. Toss the chicken in the flour. Heat the oil and brown the thighs for 10 minutes. Set aside on a plate.\n2. Soften the onion in the pan. Tip in the tomatoes and the stock, then nestle the chicken back in. Simmer for 35 minutes until the chicken is cooked through.",
			map[string]string{line("0"): "jackfruit-potato-braise"}, []string{"the plain flour smooth with a little of the vegetable stock"}, []string{"simmer with the plain flour"},
		},
		"flour of what comes late to its sauce": {
			"Thighs\nServes 4\n\n8 chicken thighs\n2 tbsp plain flour\n2 tbsp olive oil\n1 onion, sliced\n400 g tinned tomatoes\n200 ml vegetable stock\n\nMethod\n1. Toss the chicken in the flour. Heat the oil and brown the thighs, skin-side down, for 10 minutes. Set aside on a plate.\n2. Add the onion to the pan and cook for 10 minutes. Tip in the tomatoes and the stock, then nestle the chicken back in, skin-side up. Simmer, uncovered, for 35 minutes until the chicken is cooked through and the sauce has thickened.",
			map[string]string{line("0"): "butter-bean-poultry"}, []string{"the plain flour smooth with a little of the vegetable stock"}, []string{"with the plain flour"},
		},
		"juices that ran out of what was put by": {
			"Stroganoff\nServes 4\n\n500 g rump steak, in strips\n1 onion, sliced\n2 tbsp oil\n200 ml beef stock\n150 ml oat cream\n\nMethod\n1. Sear the beef in half the oil. Set aside. Cook the onion in the rest of the oil for 8 minutes. Pour in the stock and bubble for 3 minutes.\n2. Stir in the cream and the beef with any juices and warm through.",
			map[string]string{line("0"): "seared-mushroom-shreds", line("3"): "lentil-shiitake-stock"}, []string{"Stir in the cream and the torn mushrooms and warm"}, []string{"juices", "with the dark"},
		},
		"juices of a tin into which stock was poured": {
			"Tray\nServes 4\n\n1 kg chicken thighs\n500 g potatoes\n150 ml chicken stock\n200 g green beans\n\nMethod\n1. Roast the chicken and the potatoes for 30 minutes. Pour in the stock and roast for 15 minutes. Scatter in the beans, toss in the juices and roast for 10 minutes.",
			map[string]string{line("0"): chunks, line("2"): "golden-leek-stock"}, []string{"toss in the juices"}, nil,
		},
		"what is mixed with something without its name": {
			"Sandwiches\nServes 4\n\n6 eggs\n4 tbsp vegan mayonnaise\n1 tsp mustard\n8 slices bread\n\nMethod\n1. Boil the eggs for 9 minutes. Cool, peel and chop. Mix with the mayonnaise and mustard. Spread the egg over the bread.",
			map[string]string{line("0"): "tofu-bits-egg"}, []string{"Mix the chopped black-salt tofu with the mayonnaise"}, nil,
		},
		"hours in a slow cooker": {
			"Goulash\n6 people\n\n1.2 kg chuck steak, in large cubes\n2 tbsp sunflower oil\n2 large onions, sliced\n3 peppers, in chunks\n2 tbsp flour\n1 tbsp sweet paprika\n2 tsp caraway seeds\n300 ml vegetable stock\n400 g tinned tomatoes\n\nMethod\n1. Heat half the oil in a frying pan and sear the beef in 3 batches until brown on every side. Scoop each batch into the slow cooker.\n2. Add the rest of the oil, fry the onions for 10 minutes till soft. Stir in flour, paprika and caraway and cook 1 minute more. Scrape into the slow cooker together with the peppers, stock and tomatoes.\n3. Stir, cover and cook on Low for 8 hours, until the beef can be cut with a spoon.",
			map[string]string{line("0"): chunks}, []string{"cook on Low for 2 hours, add the mushrooms and tempeh and cook for 30 minutes more"}, nil,
		},
		"bellies that are stuffed": {
			"Bream\nServes 4\n\n600 g waxy potatoes, sliced\n1 lemon, sliced\n4 tbsp olive oil\n150 ml white wine\n2 whole sea bream\n2 sprigs dill\n\nMethod\n1. Bake the potatoes in half the oil for 25 minutes. Rub the fish with the rest of the oil and stuff the bellies with the lemon and dill. Pour the wine over the potatoes, lay the fish on top and roast for 20 minutes.",
			map[string]string{line("4"): fillets}, []string{"with the lemon and the dill"}, []string{"bell", "stuff"},
		},
		"the flesh that goes into a bowl": {
			"Pâté\nServes 4\n\n250 g smoked mackerel fillets\n150 g vegan cream cheese\n1 tbsp horseradish\n\nMethod\n1. Peel the skin off the mackerel and flake the flesh into a bowl, discarding any bones. Add the cream cheese and the horseradish and mash to a rough paste.",
			map[string]string{line("0"): "smoked-oyster-mushroom"}, []string{"the smoked mushrooms"}, []string{"skin", "bones", "flesh"},
		},
		"oil of which more goes in": {
			"Goulash\nServes 6\n\n1.2 kg chuck steak, cubed\n2 tbsp sunflower oil\n2 onions, sliced\n3 peppers, in chunks\n300 ml vegetable stock\n\nMethod\n1. Heat half the oil in a frying pan and sear the beef until brown on every side. Scoop it into the slow cooker.\n2. Add the rest of the oil, fry the onions for 10 minutes. Scrape into the slow cooker together with the peppers and stock.\n3. Stir, cover and cook on Low for 8 hours, or High for 5, until the beef can be cut with a spoon.",
			map[string]string{line("0"): chunks}, []string{"Add the sunflower oil, fry the onions for 10 minutes", "cook on Low for 2 hours, add the mushrooms and tempeh and cook for 30 minutes more"}, []string{"half of the sunflower oil", "High", "8 hours"},
		},
	})
}

// What a preparation has made is used where something is said to be rolled round it.
func TestWhatIsRolledRoundIsUsed(t *testing.T) {
	r, _, c := open(t)
	a, err := c.Adapt(r.Read("Rolls\nServes 4\n\n4 slices cooked ham\n4 slices Emmental\n4 aubergines\n\nMethod\n1. Slit the aubergines. Tuck in a slice of ham rolled round a slice of cheese. Bake for 30 minutes.", measure.Metric), swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: map[string]string{line("0"): "salt-cured-tempeh", line("1"): "potato-yeast-melt"}}, false)
	require.NoError(t, err)
	for _, s := range a.Components[0].Steps {
		require.Empty(t, s.Findings, s.Text)
	}
}

// Pieces that the larder does not know weigh what flesh usually does.
func TestUnknownPiecesWeighAsFleshDoes(t *testing.T) {
	r, _, c := open(t)
	for text, least := range map[string]float64{"8 chicken whatsits": 300, "8 chicken drumsticks and thighs": 300} {
		a, err := c.Adapt(r.Read("Tray\nServes 4\n\n"+text+"\n500 g potatoes\n\nMethod\n1. Roast the chicken and the potatoes for 40 minutes.", measure.Metric), swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: map[string]string{line("0"): "mushroom-chunks-braise"}}, false)
		require.NoError(t, err)
		mass := 0.0
		for _, l := range a.Components[0].Lines {
			if l.Change == swap.Swapped {
				mass += l.Mass()
			}
		}
		require.Greater(t, mass, least, text)
	}
}
