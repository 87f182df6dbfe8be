package method

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
)

// wholeCard is a recipe adapted under the rules of a house, set out as a cook reads it: the lines of each part, then its steps.
func wholeCard(t *testing.T, text, preset string) (string, []swap.Finding) {
	t.Helper()
	c, err := carrier()
	require.NoError(t, err)
	d := c.reader.Read(text, measure.Metric)
	dec, err := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: preset}}, swap.Closest)
	require.NoError(t, err)
	a, err := c.Adapt(d, dec, false)
	require.NoError(t, err)
	card, findings := "", []swap.Finding{}
	for _, part := range Parts(c.book.Larder(), a) {
		card += "# " + part.Name + "\n"
		for _, l := range part.Lines {
			card += "- " + l.Text + "\n"
		}
		for _, s := range part.Steps {
			if s.Change != swap.Dropped {
				card += s.Text + "\n"
				findings = append(findings, s.Findings...)
			}
		}
	}
	return card, findings
}

// What went wrong on cards that were read as that evening's cook, each with what the rule that mended it now gives.
func TestCardsOfAnEvening(t *testing.T) {
	for name, x := range map[string]struct{ recipe, has, hasNot string }{
		"what is prepared apart is not what is covered in the pot": {
			recipeCalled(t, "chicken-cacciatore"), "Cover and simmer gently for 25 minutes, add the butter beans", "skin",
		},
		"what is cured and not browned is fried where flesh was": {
			recipeCalled(t, "spaghetti-carbonara"), "in a cold frying pan with the vegetable oil and cook over a medium heat for 8 minutes", "fat has run",
		},
		"more of a cheese is more of what stands for it": {
			recipeCalled(t, "spaghetti-carbonara"), "Serve at once with the walnut crumbs", "with the nutritional yeast.",
		},
		"the animal in the dish's name is its line": {
			recipeCalled(t, "beef-stir-fry-black-bean"), "Return the mushroom slices to the wok", "Return the golden",
		},
		"what is sliced is served on the rice": {
			recipeCalled(t, "chicken-katsu-curry"), "Serve the tofu slabs on the rice", "Serve on",
		},
		"a yolk beaten into a cheese sauce is no batter": {
			recipeCalled(t, "welsh-rarebit"), "beat in the yellow silken tofu", "mung bean batter",
		},
		"what waits long is made before the sauce is on the fire": {
			recipeCalled(t, "welsh-rarebit"), "until it coats a spoon. Note: make no less than a small cupful at a time, and keep the rest.\nHeat the olive oil", "thick.\nSoak the cashews",
		},
		"what is to come of a sauce stays": {
			recipeCalled(t, "tuna-pasta-bake"), "gradually stir in the soy drink to make a thick pale sauce", "white sauce",
		},
		"nothing brown goes into yolks and butter": {
			recipeCalled(t, "eggs-benedict"), "until the sauce is thick", "Grind the dried shiitake",
		},
		"nothing is fried with onions that are taken out": {
			recipeCalled(t, "lamb-biryani-dum"), "Take out two thirds and set aside.\nAdd", "with the aromatics",
		},
		"a cabbage has a head and ribs": {
			recipeCalled(t, "stuffed-cabbage-rolls"), "put the whole head in a large pan of boiling water. Peel off the leaves as they soften. Trim the thick ribs.", "Trim the white",
		},
		"a roast that is done stays in no longer than its bed": {
			recipeCalled(t, "yorkshire-puddings-beef-gravy"), "Roast for 20 minutes, then turn the oven down to 170C and roast for 10 minutes", "30 minutes. Move",
		},
		"a fat without an amount stays without one": {
			recipeCalled(t, "yorkshire-puddings-beef-gravy"), "- Vegetable oil, for the tin\n", "1½ tsp vegetable oil",
		},
		"a gravy takes what a roast does not, before it is strained": {
			recipeCalled(t, "yorkshire-puddings-beef-gravy"), "stir it in.\nStrain into a jug", "sprinkle the dish",
		},
		"a rib is on the bone": {
			recipeCalled(t, "yorkshire-puddings-beef-gravy"), "940 g green lentils", "1.25 kg",
		},
		"a list without steps stands before the work that takes it": {
			recipeCalled(t, "lamb-kofta-minted"), "- warm flatbreads, to serve\n# ", "wedges.\n# ",
		},
		"nothing is stirred into the water that dumplings are lifted out of": {
			"Pork and cabbage dumplings, about 40\n\nDough: 300 g plain flour, 160 ml warm water, 1/2 tsp salt\nFilling: 300 g fatty minced pork, 250 g Chinese cabbage, 2 spring onions, 1 tbsp grated ginger, 1 tbsp soy sauce, 1 tbsp Shaoxing wine, 1 tsp sesame oil, 1/4 tsp white pepper\nDipping sauce: 3 tbsp black vinegar, 1 tbsp soy sauce, chilli oil\n\nMix the flour and salt, stir in the water with chopsticks until shaggy, then knead for 8 minutes until smooth. Wrap and rest for 30 minutes.\nFinely chop the cabbage, toss with a teaspoon of salt and leave for 15 minutes; squeeze out all the liquid. Combine the pork with the soy sauce, wine, sesame oil and pepper, stirring in one direction until sticky. Fold in the cabbage, ginger and chopped spring onions.\nRoll the dough into ropes, cut into 40 pieces and roll each into a thin round. Put a heaped teaspoon of filling on each, fold over and pleat the edges shut.\nBoil the dumplings in batches: drop them into boiling water, stir once, and when they float add a cup of cold water; do this twice more. Lift out with a strainer. Mix the ingredients for the sauce and serve alongside.",
			"do this twice more. Lift out with a strainer", "more.\nGrind",
		},
		"what is opened out round a filling is a sheet": {
			recipeCalled(t, "stuffed-pork-tenderloin"), "Spread the stuffing over the double tofu skin", "mushrooms and tempeh",
		},
		"what is wrapped round is a sheet": {
			recipeCalled(t, "stuffed-pork-tenderloin"), "Wrap in the smoked tofu skin and tie with string", "smoky shiitake",
		},
		"the cheese to serve is not its rind": {
			recipeCalled(t, "minestrone-pancetta"), "top with the walnut crumbs and the basil sauce", "top with the bag",
		},
		"what was shaped goes by its shape": {
			recipeCalled(t, "lamb-kofta-flatbreads"), "Warm the flatbreads and serve with the koftas and cucumber sauce", "serve the flatbreads",
		},
		"raw pieces roast as long as they bear": {
			recipeCalled(t, "duck-pancakes"), "Roast for 30 minutes. Turn up to 220C for the last 15 minutes.\n", "skin.\nLift",
		},
		"the oil stays in the pan when sausages are taken out": {
			recipeCalled(t, "sausage-lentil-stew"), "Heat the oil in a large pan and brown the smoky bean sausage on all sides, about 8 minutes. Remove.\nAdd the onion", "vegetable oil",
		},
		"sauces of which one is none any more are named": {
			recipeCalled(t, "thai-basil-pork"), "Stir in the thick shiitake sauce, the seaweed seasoning, the dark soy sauce, sugar", "the sauces",
		},
		"a part that keeps its name keeps its sentence": {
			recipeCalled(t, "apple-crumble-custard"), "For the custard, bring the soy drink, cashew cream and vanilla pod to just under the boil.", "Bring under",
		},
		"a name that ends as a verb does": {
			recipeCalled(t, "jambalaya-sausage"), "Add the pepper, garlic and Cajun seasoning", "Cajun and",
		},
		"a yolk beaten into a white sauce thickens it": {
			"Cauliflower\nServes 4\n\n1 cauliflower, in florets\n30 g butter\n30 g plain flour\n500 ml milk\n1 egg yolk\n\nMethod\n1. Boil the cauliflower for 8 minutes and drain it.\n2. Melt the butter, stir in the flour and cook for a minute. Whisk in the milk and simmer until thick. Take off the heat and beat in the egg yolk. Pour over the cauliflower and grill for 5 minutes.",
			"Take off the heat and beat in the", "batter",
		},
		"a filling is not in the liquid around": {
			"Stuffed peppers\nServes 4\n\n4 large red peppers\n400 g minced lamb\n1 onion, chopped\n100 g rice, cooked\n2 tbsp oil\n500 ml vegetable stock\n\nMethod\n1. Fry the onion in the oil. Add the lamb and brown it. Stir in the rice.\n2. Stuff the peppers with the lamb mixture and stand them in a casserole. Pour in the stock, cover and bake for 90 minutes.",
			"cover and bake for", "add the lentil mince and bake",
		},
		"what is done to flesh by the first of two verbs": {
			"Grill\nServes 2\n\n4 chicken thighs\n1 tbsp oil\n\nMethod\n1. Season and brown the chicken in the oil. Serve.",
			"Season and brown the mushrooms and tempeh in the oil.", "Season.",
		},
	} {
		card, findings := wholeCard(t, x.recipe, swap.WholeFood)
		require.Contains(t, card, x.has, name)
		require.NotContains(t, card, x.hasNot, name)
		require.Empty(t, findings, name)
	}
}

// What shows under other rules of a house only.
func TestCardsOfAnEveningUnderOtherRules(t *testing.T) {
	for name, x := range map[string]struct{ recipe, preset, has, hasNot string }{
		"two verbs share what they are done to": {
			recipeCalled(t, "eggs-benedict"), "fasting-day", "Split and toast the buckwheat pancakes", "muffins.",
		},
		"the first of two verbs, of flesh that the second does nothing to": {
			"Grill\nServes 2\n\n4 chicken thighs\n200 g halloumi\n1 tbsp oil\n\nMethod\n1. Season and brown the chicken in the oil. Slice and grill the halloumi.", "fasting-day",
			"Season the jackfruit pieces. Slice and grill", "Season. ",
		},
		"tenderness of what was tender before": {
			recipeCalled(t, "lamb-biryani-dum"), "whole-food-no-oil", "cover and simmer for 15 minutes", "1 hour",
		},
		"everything takes in what was made of it": {
			recipeCalled(t, "fish-and-chips"), "whole-food-no-oil", "For the sauce, mix everything together and chill", "mayonnaise",
		},
		"what is made in the same words is made once": {
			recipeCalled(t, "stuffed-pork-tenderloin"), "fasting-day", "Boil the potato, drain it well and mash it dry.\nHeat", "mash it dry.\nBoil",
		},
	} {
		card, findings := wholeCard(t, x.recipe, x.preset)
		require.Contains(t, card, x.has, name)
		require.NotContains(t, card, x.hasNot, name)
		require.Empty(t, findings, name)
	}
}
