package method

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/spent"
	"yembra/core/swap"
)

// A feast of hundreds of animal lines is proposed and carried over in bounded
// time.
func TestAFeastIsCarriedOverInTime(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	animal := strings.Split("beef,pork,butter,chicken thighs,double cream,eggs,cod,prawns,bacon,parmesan,milk,honey,gelatine,lard,yoghurt", ",")
	for _, n := range []int{120, 400} {
		var b strings.Builder
		b.WriteString("Feast\nServes 10\n\n")
		for i := range n {
			fmt.Fprintf(&b, "%d g %s\n", 100+i, animal[i%len(animal)])
		}
		b.WriteString("\nMethod\n1. Fry the beef and pork in the butter. Add everything else and simmer for 40 minutes.")
		d := c.reader.Read(b.String(), measure.Metric)
		var a swap.Adaptation
		took := spent.Within(3*time.Second, func() {
			dec, err := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
			require.NoError(t, err)
			a, err = c.Adapt(d, dec, true)
			require.NoError(t, err)
		})
		t.Log(n, "carried over", took)
		require.Less(t, took, 3*time.Second)
		require.Len(t, a.Swaps, n)
	}
}

// saidOf are the steps of the first part of a recipe as its card has them.
func saidOf(t *testing.T, c *Carrier, text string) string {
	t.Helper()
	return saidUnder(t, c, text, swap.WholeFood)
}

// saidUnder is the method of a recipe carried over under the rules of a house.
func saidUnder(t *testing.T, c *Carrier, text, preset string) string {
	t.Helper()
	d := c.reader.Read(text, measure.Metric)
	dec, err := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: preset}}, swap.Closest)
	require.NoError(t, err)
	a, err := c.Adapt(d, dec, false)
	require.NoError(t, err)
	var out []string
	for _, s := range a.Components[0].Steps {
		out = append(out, s.Text)
	}
	return strings.Join(out, "\n")
}

// Where what is added is gone, its step goes or is said of what is left by name:
// nothing is added that is in the pot already.
func TestNothingIsAddedToItself(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	stew := saidOf(t, c, "Stew\nServes 4\n\n800 g beef shin, cubed\n3 onions\n2 tbsp oil\n2 tbsp paprika\n500 ml beef stock\n\nMethod\n1. Fry the onions in the oil for 15 minutes. Stir in the paprika. Add the beef and turn it in the onions for 10 minutes until it is coated and browned.\n2. Add the stock and simmer for 2 hours until the beef is tender.")
	require.NotContains(t, stew, "verything")
	require.NotContains(t, stew, "Toss")

	tagine := saidOf(t, c, "Tagine\nServes 4\n\n800 g lamb shoulder, cubed\n2 onions, grated\n3 tbsp olive oil\n1 tsp ground ginger\n200 g prunes\n\nMethod\n1. Toss the lamb with the onions, oil and ginger in a heavy pot. Cook over medium heat for 10 minutes, turning, until the meat has lost its raw colour. Add water to cover, cover and simmer for 1 1/2 hours.\n2. Add the prunes and simmer for 30 minutes more.")
	require.Contains(t, tagine, "Toss the onions, the olive oil and the ground ginger", "what it was tossed with is mixed by itself")
}

// What belongs to meat goes with the meat, and nothing else does.
func TestOnlyWhatIsOfTheMeatGoes(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	for name, x := range map[string]struct{ recipe, has, hasNot string }{
		"the juice of a lime is no juice of the fish": {
			"Ceviche\nServes 4\n\n600 g sea bass fillet\n10 limes\n1 stick celery\n1 clove garlic\n\nMethod\n1. Cut the fish into cubes.\n2. Blend the lime juice with the celery and garlic. Strain. Pour it over the fish and leave for 10 minutes until the outside turns white.",
			"Blend the lime juice with the celery and garlic", "white",
		},
		"butter melts, oil is heated, and what is seared is set aside": {
			"Stroganoff\nServes 4\n\n500 g beef fillet, in strips\n40 g butter\n1 onion\n1 tbsp sweet paprika\n150 ml beef stock\n\nMethod\n1. Melt half the butter in a large frying pan until it foams. Sear the beef quickly and tip it onto a plate.\n2. Add the rest of the butter and the onion and fry for 5 minutes. Stir in the paprika and stock, simmer for 5 minutes, then slide the beef back in with its juices.",
			"Sear the torn mushrooms quickly and tip them onto a plate.", "juices",
		},
		"no dish is buttered, and what is poured is not poured with itself": {
			"Potatoes\nServes 4\n\n500 g potatoes\n40 g butter\n\nMethod\n1. Lay the potatoes in a buttered dish. Melt the butter and pour it over. Bake for 20 minutes on buttered paper. Note: a well-buttered dish keeps it from sticking.",
			"a greased dish", "with the cashew paste",
		},
		"what is heated until it smokes is a fat to fry in": {
			"Puddings\nServes 4\n\n140 g flour\n4 eggs\n200 ml milk\nbeef dripping\n\nMethod\n1. Beat the eggs, flour and milk.\n2. Put a teaspoon of dripping into each hole of a 12-hole tin and heat in the oven at 220 C until smoking. Pour in the batter and bake for 20 minutes.",
			"a teaspoon of oil into each hole", "paste",
		},
		"words on how end before the sign and the time": {
			"Teriyaki\nServes 2\n\n2 salmon fillets\n200 g rice\n3 tbsp soy sauce\n3 tbsp mirin\n1 tbsp oil\n\nMethod\n1. Cook the rice. Stir the soy and mirin together.\n2. Heat the oil in a pan and cook the salmon for 4 minutes.\n3. Add the sauce to the pan and let it bubble, spooning it over the fish, until it's sticky and shiny, 2-3 min. Serve with the rice.",
			"let it bubble, until it's sticky and shiny, 2-3 min", "fish",
		},
		"half of what two things are made with goes with each": {
			"Jollof rice with chicken\n\nServes 6\n\n6 chicken drumsticks\n1 tsp curry powder\n1 tsp dried thyme\n2 chicken stock cubes\n500 ml water\n400 g tin plum tomatoes\n2 red peppers, chopped\n1 scotch bonnet\n2 onions\n100 ml vegetable oil\n3 tbsp tomato puree\n500 g long grain parboiled rice, rinsed\n2 bay leaves\nsalt\n\n1. Put the drumsticks in a pan with the curry powder, half the thyme, one stock cube, a sliced onion and the water. Bring to the boil and simmer for 20 minutes. Lift out the chicken and keep the stock.\n2. Brush the chicken with a little of the oil and roast at 200 C for 25 minutes until brown and crisp.\n3. Meanwhile blend the tomatoes, red peppers, scotch bonnet and the other onion until smooth.\n4. Heat the remaining oil in a wide pot and fry the tomato puree for 5 minutes. Pour in the blended peppers and fry for 15-20 minutes, until the oil floats on top.\n5. Stir in the reserved stock, the second stock cube, bay leaves and the rest of the thyme. Add the rice, cover tightly with foil and a lid and cook on the lowest heat for 30 minutes. Let the bottom catch slightly.\n6. Fluff up and serve with the chicken.",
			"a sliced onion and the water in a pan to the boil, add half of the mushroom stock powder", "the second the",
		},
	} {
		card := saidOf(t, c, x.recipe)
		require.Contains(t, card, x.has, name)
		require.NotContains(t, card, "buttered", name)
		require.NotContains(t, card, x.hasNot, name)
	}
}

// What is said of what has made way is said of what stands there, in the measures and
// the brackets of the text, and what only served it goes with it.
func TestWhatIsLeftIsSaidRightly(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	for name, x := range map[string]struct{ recipe, has, hasNot string }{
		"brackets stay, and a pronoun means what goes in": {
			"Kedgeree\nServes 4\n\n300 g basmati rice\n500 g smoked haddock\n1 onion, sliced\n2 tbsp oil\n3 tbsp double cream\n\nMethod\n1. Put the haddock in a shallow pan, cover with 700 ml of water, bring to a simmer and poach for 8 minutes. Lift out the fish and keep the water.\n2. Cook the onion in the oil until golden. Stir in the rice and pour in 600 ml of the fish water. Cover and cook for 12 minutes.\n3. Flake the fish, throwing away skin and bones, and fold it into the rice with the cream and warm through (do not boil).",
			" into the rice with the cashew cream and warm through (do not boil)", "skin",
		},
		"the liquid of what is not cooked any more is another, as much of it": {
			"Pilaf\nServes 4\n\n300 g rice\n600 g chicken thighs\n1 onion\n\nMethod\n1. Simmer the chicken in water to cover for 30 minutes, lift out and save the broth.\n2. Boil the rice with the onion in 600 ml of the reserved broth for 15 minutes. Serve with the chicken.",
			"vegetable stock", "broth",
		},
		"a measure of its own, and the rest of what stands there": {
			"Mousse\nServes 6\n\n200 g dark chocolate\n4 eggs, separated\n1 tbsp sugar\n\nMethod\n1. Melt the chocolate and beat in the yolks. Whisk the whites with the sugar to stiff peaks.\n2. Fold a third of the whites into the chocolate, then carefully fold in the rest.",
			"Fold a third of the whipped aquafaba into the chocolate, then carefully fold in the rest", "in it",
		},
		"what is seared before it is wrapped is seared in the fat that is said": {
			"Wellington\nServes 4\n\n800 g beef fillet\n1 tbsp oil\n500 g puff pastry\n\nMethod\n1. Season the beef, heat the oil in a frying pan until very hot and sear the meat for 1 minute on every side. Cool.\n2. Roll out the pastry, put the beef on it, wrap it up and bake at 200 C for 35 minutes.",
			"heat the oil in a frying pan until very hot and sear the tempeh for 1 minute on every side", "Cool",
		},
		"what pours is brought to the boil": {
			"Soup\nServes 4\n\n1 kg flank steak\n1.5 litres water\n2 bay leaves\n400 g tomatoes\n\nMethod\n1. Put the steak in a pot with the water and bay leaves. Bring to the boil and simmer for 1 hour. Lift out the meat and shred it.\n2. Add the tomatoes to the pot, simmer for 20 minutes and return the meat.",
			"Bring the water", "with the water",
		},
		"a pudding that steams is not opened": {
			"Pudding\nServes 6\n\n175 g self-raising flour\n100 g vegetable suet\n75 g soft brown sugar\n1 egg\n120 ml oat drink\n\nMethod\n1. Mix the flour, suet and sugar. Beat the egg with the oat drink and stir into the dry ingredients.\n2. Scrape the batter into a basin, cover with foil and tie with string. Steam for 2 hours.",
			"Steam for 2 hours", "steam for",
		},
		"a dough is made from what is named behind it": {
			"Dumplings\nServes 4\n\n300 g flour\n1 egg\n100 ml water\n300 g lentils, cooked\n\nMethod\n1. Make a firm dough from the flour, egg and water and knead it until smooth. Roll it out and fill with the lentils.",
			"Make a firm dough from the flour, ", "Mix in",
		},
		"flour for what is gone thickens the liquid, and the first fat taken is no rest": {
			"Pot\nServes 6\n\n1 chicken, jointed\n12 small onions\n40 ml oil\n2 tbsp flour\n750 ml red wine\n\nMethod\n1. Brown the chicken in half of the oil for 10 minutes, then sprinkle over the flour and turn them for a minute. Pour in the wine, bring to the boil and simmer for 50 minutes.\n2. Meanwhile fry the onions in the remaining oil until golden. Add them to the pot for the last 15 minutes.",
			"tir the flour smooth with a little of the red wine. Pour in the wine", "remaining",
		},
		"what lay with what is gone goes into its bowl by itself": {
			"Pot\nServes 6\n\n1 chicken, jointed\n1 carrot, sliced\n1 bouquet garni\n750 ml red wine\n\nMethod\n1. Put the chicken in a bowl with the wine, carrot and bouquet garni, cover and refrigerate overnight.\n2. Lift the chicken out; strain the marinade and keep the wine. Bring the wine to the boil, add the chicken and simmer for 50 minutes.",
			"in a bowl", "chicken",
		},
		"oil has nothing to brown, and a tin is greased with little of it": {
			"Loaf\nServes 8\n\n115 g butter\n3 bananas\n190 g plain flour\n1 tsp baking soda\n\nMethod\n1. Heat the oven to 175C and butter and flour a loaf tin.\n2. Melt the butter in a small pan and keep cooking until it smells nutty. Pour into a bowl and cool.\n3. Mash in the bananas, fold in the flour and soda, scrape into the tin and bake for 55 minutes.",
			"grease with some of the oil and flour a loaf tin", "nutty",
		},
		"oil that browned what is gone goes to what is cooked next": {
			"Rice\nServes 6\n\n500 g chicken thighs, diced\n2 tbsp vegetable oil\n1 onion, diced\n300 g rice\n750 ml vegetable stock\n\nMethod\n1. Brown the chicken in the oil for 6 minutes; remove. Add the onion to the pot and cook for 5 minutes till soft.\n2. Stir in the rice, add the stock and the chicken, cover and simmer for 20 minutes.",
			"vegetable oil", "Add the vegetable oil",
		},
		"a liquor that was kept comes back with what stands for the meat": {
			"Pot\nServes 4\n\n500 g rump steak, in strips\n1 onion, sliced\n1 tbsp oil\n200 g barley\n\nMethod\n1. Boil the barley in salted water for 20 minutes, keep the cooking water and drain.\n2. Soften the onion in the oil, brown the steak and take it out. Add the barley to the pan. Return the meat to the pan with the cooking water and warm through.",
			"with the cooking water", "juices",
		},
		"juices of what is gone do not come back": {
			"Stroganoff\nServes 4\n\n500 g rump steak, in strips\n1 onion, sliced\n1 tbsp oil\n250 ml vegetable stock\n1 tsp mustard\n\nMethod\n1. Brown the steak in the oil and set aside on a plate.\n2. Soften the onion for 8 minutes, pour in the stock and bubble for 5 minutes. Stir in the mustard, return the meat with any juices and warm through.",
			"mushrooms and warm through", "juices",
		},
		"words between brackets keep them": {
			"Choux\nServes 4\n\n100 g butter\n200 ml water\n130 g flour\n4 eggs\n\nMethod\n1. Boil the water with the butter, tip in the flour and beat. Beat in the eggs little by little until glossy (you may not need all of them).",
			"(you may not need all of them)", "and you may not",
		},
	} {
		card := saidOf(t, c, x.recipe)
		require.Contains(t, card, x.has, name)
		require.NotContains(t, card, x.hasNot, name)
	}
}

// A tin is lined with paper where no fat may be, however greasing was said, and a
// dry pan is no line of the list.
func TestWhatStandsInWithNothingToBuyIsSaid(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	for step, has := range map[string]string{
		"Butter a loaf tin, lay in the dough and bake for 40 minutes.":                 "Line a loaf tin with the baking paper",
		"Grease a loaf tin with the butter, lay in the dough and bake for 40 minutes.": "Line a loaf tin with the baking paper",
	} {
		card := saidUnder(t, c, "Loaf\nServes 8\n\n300 g flour\n200 ml water\n10 g dried yeast\n15 g butter, for greasing\n\nMethod\n1. Mix the flour, yeast and water and knead for 8 minutes.\n2. "+step, "whole-food-no-oil")
		require.Contains(t, card, has)
	}
	card := saidUnder(t, c, "Slabs\nServes 4\n\n60 g butter\n600 g firm tofu\n60 g plain flour\n\nMethod\n1. Dredge the tofu in the flour and fry in the butter for 3 minutes a side.", "whole-food-no-oil")
	require.Contains(t, card, "fry in a dry non-stick pan")
	require.NotContains(t, card, "water")
}
