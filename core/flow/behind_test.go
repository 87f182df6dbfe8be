package flow

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
)

// Pots that others are made beside, ladles of them, and things told by what was done to them before, each
// on the least recipe that shows it.
func TestWhatWasDoneBeforeIsTold(t *testing.T) {
	hear(t, []way{
		{"what was fried, counted as it goes in", "4 pork escalopes|1 litre oil", "Heat the oil and fry the schnitzels two at a time, 3 minutes each side.", []string{"a0 heat/heat(0.1)", "a1 fry/fry(0.0; with @a0; 3-3 min; how: two at a time)"}},
		{"by what was done to it", "2 slices bread|250 ml milk|2 onions|500 g mince", "Soak the bread in the milk, squeeze it out and keep the milk. Fry the onions. Brown the mince, stir in the onions that you fried earlier. Beat in the milk you kept.", []string{"a0 soak/soak(0.0; with 0.1)", "a1 squeeze/press(@a0)", "a2 keep/reserve(@a1)", "a3 fry/fry(0.2)", "a4 brown/brown(0.3)", "a5 stir in/stir(@a3; into @a4)", "a6 beat in/beat(@a2; into @a5)"}},
		{"a filling on its sheets", "500 g spinach|300 g feta|12 sheets filo pastry|100 ml olive oil", "Wilt the spinach and crumble in the feta. Lay the pastry in a dish, brushing it with the oil. Spread the filling on top.", []string{"a0 wilt/sweat(0.0)", "a1 crumble in/crush(0.1; into @a0)", "a2 lay/place(0.2; into 'dish)", "a3 brush/brush(@a2; with 0.3)", "a4 spread/spread(@a1; into @a3)"}},
		{"a pot to which others are added", "100 ml oil|80 g flour|600 g chicken thighs|1 litre stock", "Heat the oil, whisk in the flour and cook for 20 minutes. Brown the chicken in a frying pan. Pour in the stock, then add the chicken.", []string{"a0 heat/heat(0.0)", "a1 whisk in/whisk(0.1; into @a0)", "a2 cook/cook(@a1; 20-20 min)", "a3 brown/brown(0.2)", "a4 pour in/pour(0.3; into @a2)", "a5 add/add(@a3; into @a4)"}},
		{"the second one is no second", "200 g flour|200 ml water|1 tbsp oil", "Whisk the flour with the water. Fry a pancake in the oil and make the second one the same way.", []string{"a0 whisk/whisk(0.0; with 0.1)", "a1 fry/fry('pancake; with 0.2; into @a0)", "a2 make/mix(@a1, 'way)"}},
		{"a side that is down", "4 slices pork belly|200 g flour", "Lay the pork on the flour and cook pork side down for 5 minutes.", []string{"a0 lay/place(0.0; into 0.1)", "a1 cook/cook(@a0; 5-5 min; how: pork side down)"}},
		{"some ladles of a pot", "500 g dried beans|2 bay leaves|2 onions|1 tbsp oil", "Put the beans in a pot with the bay, cover with water and simmer. In a frying pan cook the onions in the oil. Mash in two ladles of the beans and scrape it all into the pot.", []string{"a0 put/place(0.0; with 0.1; into 'pot)", "a1 cover/cover(@a0; with 'water)", "a2 simmer/simmer(@a1)", "a3 cook/cook(0.2; with 0.3)", "a4 mash in/mash(@a3; with 0.2×@a2)", "a5 scrape into/place(@a4; into @a2)"}},
		{"in another bowl", "500 g dried beans|300 g salt beef", "Soak the beans in water, and in another bowl the salt beef. Drain both.", []string{"a0 soak/soak(0.0; with 'water)", "a1 soak/soak(0.1)", "a2 drain/drain(@a0, @a1)"}},
		{"over what was lifted out of water", "300 g dumplings|50 g butter|1 onion", "Boil the dumplings in salted water and lift them out. Fry the onion in the butter. Pour over the dumplings.", []string{"a0 boil/boil(0.0; with 'salted water)", "a1 lift out/remove(@a0)", "a2 fry/fry(0.2; with 0.1)", "a3 pour over/pour(@a2; into @a1)"}},
		{"cold water is put in, and not cooled", "500 g smoked haddock|1 bay leaf", "Put the fish in a pan with the bay leaf and 300 ml cold water.", []string{"a0 put/place(0.0; with 0.1, 'water; into 'pan)"}},
		{"to taste, and the rest of the list", "1 lemon|1 bunch parsley|400 g beans", "Simmer the beans. Add the lemon to taste and the parsley.", []string{"a0 simmer/simmer(0.2)", "a1 add/add(0.0, 0.1; into @a0; how: to taste)"}},
		{"its marinade", "400 g tofu|2 tbsp soy sauce|200 ml coconut water|2 shallots", "Marinate the tofu in half of the soy sauce. Simmer the shallots in the coconut water with the rest of the soy sauce. Lay in the tofu with its marinade.", []string{"a0 marinate/marinate(0.0; with 0.5×0.1)", "a1 simmer/simmer(0.3; with 0.2, 0.5×0.1)", "a2 lay in/add(@a0; with @a0; into @a1)"}},
		{"sugar is no adjective", "200 g caster sugar|150 g coconut fat|200 g flour", "Beat the sugar, soft coconut fat and flour together.", []string{"a0 beat/beat(0.0, 0.1, 0.2)"}},
		{"eggs over meat with soaked bread in it", "2 slices bread|125 ml milk|900 g lamb mince|2 eggs|250 ml whole milk", "Soak the bread in the milk. Brown the mince and mix in the bread. Beat the eggs with the whole milk and pour over the meat.", []string{"a0 soak/soak(0.0; with 0.1)", "a1 brown/brown(0.2)", "a2 mix in/mix(@a0; into @a1)", "a3 beat/beat(0.3; with 0.4)", "a4 pour over/pour(@a3; into @a2)"}},
		{"mixed in one after the other", "3 eggs|80 g sugar|60 g flour", "Whisk the eggs with the sugar, then the flour.", []string{"a0 whisk/whisk(0.0; with 0.1)", "a1 whisk/whisk(@a0; with 0.2)"}},
		{"just set is no order", "3 eggs|300 ml milk", "Whisk the eggs with the milk and bake until puffed and just set in the middle.", []string{"a0 whisk/whisk(0.0; with 0.1)", "a1 bake/bake(@a0; until puffed and just set in the middle)"}},
		{"what it is topped with", "1 kg tomatoes|2 eggs|60 g ham", "Blend the tomatoes. Serve in glasses topped with the eggs and ham.", []string{"a0 blend/blend(0.0)", "a1 serve in/serve(@a0; with 0.1, 0.2)"}},
		{"a cold pan cools nothing", "100 g pancetta", "Put the pancetta in a cold frying pan and fry for 8 minutes.", []string{"a0 put/place(0.0; into 'frying pan)", "a1 fry/fry(@a0; 8-8 min)"}},
		{"what is added as needed is no object", "200 g flour|50 g butter|200 ml milk", "Whisk the flour with the milk. Fry spoonfuls of it in a pan, adding butter as you go.", []string{"a0 whisk/whisk(0.0; with 0.2)", "a1 fry/fry(0.1×@a0)", "a2 add/add(0.1; into @a1; how: as you go)"}},
		{"everything else", "700 g lamb|200 g yoghurt|1 tsp turmeric", "Mix the lamb with everything else and marinate for 4 hours.", []string{"a0 mix/mix(0.0; with 0.1, 0.2)", "a1 marinate/marinate(@a0; 240-240 min)"}},
		{"oyster and soy sauce, beside prawns", "100 g prawns|200 ml stock|1 tbsp oyster sauce|1 tbsp soy sauce", "Fry the prawns. Boil the stock with oyster and soy sauce.", []string{"a0 fry/fry(0.0)", "a1 boil/boil(0.1; with 0.2, 0.3)"}},
		{"the water that is kept when fish is lifted out", "500 g smoked haddock|1 bay leaf|2 potatoes", "Simmer the fish in 300 ml water with the bay leaf. Lift out the fish, and set aside the cooking water. Fry the potatoes and pour in the cooking water.", []string{"a0 simmer/simmer(0.0; with 'water, 0.1)", "a1 lift out/remove(@a0)", "a2 set aside/reserve(@a0)", "a3 fry/fry(0.2)", "a4 pour in/pour(@a2; into @a3)"}},
		{"potherbs that come back go in", "1 chicken|2 carrots|1 onion|2 litres water", "Put the chicken in a pot with the vegetables and water. Simmer for an hour. Slice the carrots and put them back.", []string{"a0 put/place(0.0; with 0.1, 0.2, 0.3; into 'pot)", "a1 simmer/simmer(@a0; 60-60 min)", "a2 slice/slice(@a1)", "a3 put back/return(@a2; into @a1)"}},
	})
}

func TestTheNextDayIsAConditionAndNoWork(t *testing.T) {
	d := reader(t).Read("Beans\n\n500 g beans\n\nMethod\n1. Soak the beans in water.\n2. Next day drain the beans.", "")
	step := d.Components[0].Steps[1]
	require.Empty(t, step.Questions)
	require.Len(t, step.Actions, 1)
	require.Equal(t, recipe.Condition, step.Asides[0].Kind)
}

func TestWordsThatNoSentenceHasAreFound(t *testing.T) {
	r := reader(t)
	for text, want := range map[string]string{
		"Repeat the layers until the are ragù.":    "the are",
		"Make a hollow in the of each boat.":       "the of",
		"Stir in the.":                             "the.",
		"Add the the beans.":                       "the the",
		"Fry the onions until they are soft.":      "",
		"Whisk one half in another; pour it in.":   "",
		"Simmer in plenty of water and a pinch.":   "",
		"Work in enough of the flour and cover it": "",
	} {
		require.Equal(t, want, r.Broken(text), text)
	}
}
