package flow

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
)

// How long, how far and in how many goes are told by the words around them, and no thing is read into those.
func TestHowLongHowFarAndInHowManyGoes(t *testing.T) {
	hear(t, []way{
		{"a minute or two each", "600 g veal|2 tbsp oil", "Heat half the oil. Fry the veal in two batches, a minute or two each.", []string{"a0 heat/heat(0.5×0.1)", "a1 fry/fry(0.0; with @a0; 1-2 min; how: in two batches)"}},
		{"each before a cue", "250 g steak|1 tbsp oil|2 tbsp soy sauce", "Mix the soy sauce with the oil. Stir-fry the steak in two lots for 1-2 minutes each until browned.", []string{"a0 mix/mix(0.2; with 0.1)", "a1 stir-fry/stir-fry(0.0; 1-2 min; until browned; how: in two lots)"}},
		{"two minutes each of two", "250 g steak|1 tbsp oil", "Fry the steak in the oil for 2 minutes each side.", []string{"a0 fry/fry(0.0; with 0.1; 2-2 min)"}},
		{"without a boil is no boil", "200 ml cream|600 g veal", "Warm the cream. Add the veal and heat through without letting it boil.", []string{"a0 warm/warm(0.0)", "a1 add/add(0.1; into @a0)", "a2 heat through/warm(@a1; how: without letting it boil)"}},
		{"so far in from the edge", "320 g puff pastry|1 egg", "Unroll the pastry. Score a border 2 cm in from the edge with a knife.", []string{"a0 unroll/roll(0.0)", "a1 score/score('border; into @a0; how: 2 cm / with a knife)"}},
		{"so far apart", "320 g puff pastry|1 egg", "Unroll the pastry. Cut slits 3 cm apart in the pastry.", []string{"a0 unroll/roll(0.0)", "a1 cut slits/score(; with @a0; how: 3 cm apart)"}},
		{"on one side of each", "4 slices bread|200 g hummus", "Spread the hummus over one side of each slice of bread. Grill the bread.", []string{"a0 spread/spread(0.1; into 0.0)", "a1 grill/grill(@a0)"}},
		{"what ran out aside is not the pot", "600 g veal|100 ml wine|200 ml cream|1 tbsp oil", "Fry the veal in the oil and lift onto a plate. Pour in the wine and reduce by half. Add the caught juices and the cream.", []string{"a0 fry/fry(0.0; with 0.3)", "a1 lift/remove(@a0)", "a2 pour in/pour(0.1; into @a0)", "a3 reduce by/reduce(@a2; how: by half)", "a4 add/add('caught juices, 0.2; into @a3)"}},
	})
}

// What stands for itself is told by what it is, what was made of it and what the dish makes.
func TestWhatIsMeantByAPlainWord(t *testing.T) {
	hear(t, []way{
		{"the rest of a thing on top", "120 g cheddar|200 g leeks", "Scatter the leeks and half the cheddar in a dish. Rest of the cheddar on top. Rest for 5 minutes.", []string{"a0 scatter/sprinkle(0.1, 0.5×0.0; into 'dish)", "a1 put on/add(0.5×0.0; into @a0)", "a2 rest/rest(@a1; 5-5 min)"}},
		{"the paste that was blended", "8 chillies|6 shallots|1 tsp shrimp paste|3 tbsp oil|2 tsp tamarind paste", "Blend the chillies, shallots and shrimp paste until fine. Heat the oil and fry the paste.", []string{"a0 blend/blend(0.0, 0.1, 0.2; until fine)", "a1 heat/heat(0.3)", "a2 fry/fry(@a0; with @a1)"}},
		{"leeks do not melt", "3 leeks|25 g butter|100 g chocolate", "Melt the leeks in half the butter. Melt the chocolate in the rest.", []string{"a0 melt/sweat(0.0; with 0.5×0.1)", "a1 melt/melt(0.2; with 0.5×0.1)"}},
		{"butter melts with leeks", "3 leeks|25 g butter", "Melt the butter with the leeks.", []string{"a0 melt/melt(0.1; with 0.0)"}},
		{"pound a little", "3 cloves garlic|25 ml oil", "Pound the garlic. Add the oil and pound a little.", []string{"a0 pound/crush(0.0)", "a1 add/add(0.1; into @a0)", "a2 pound/crush(@a1; how: a little)"}},
		{"a little goes in", "3 cloves garlic|25 ml oil", "Fry the garlic. Add a little of the oil.", []string{"a0 fry/fry(0.0)", "a1 add/add(0.1×0.1; into @a0)"}},
		{"the animal of the title out of its marinade", "400 g sirloin|4 tbsp soy sauce|2 tbsp oil", "Mix the soy sauce with the beef and chill for an hour. Heat the oil. Lift half the beef from the marinade and fry for 2 minutes. Pour in the marinade.", []string{"a0 mix/mix(0.1; with 0.0)", "a1 chill/chill(@a0; 60-60 min)", "a2 heat/heat(0.2)", "a3 lift/remove(0.5×@a1)", "a4 fry/fry(@a3; with @a2; 2-2 min)", "a5 pour in/pour(@a1; into @a4)"}},
		{"mince that the list calls minced", "500 g minced pork|1 onion", "Fry the onion. Add the mince, and fry, breaking it up.", []string{"a0 fry/fry(0.1)", "a1 add/add(0.0; into @a0)", "a2 fry/fry(@a1; how: breaking it up)"}},
		{"mince behind another", "500 g ground beef|1 onion", "Fry the onion and mince until brown.", []string{"a0 fry/fry(0.1, 0.0; until brown)"}},
		{"a shake given", "400 g potatoes|1 tbsp oil", "Fry the potatoes in the oil. Give the pan a shake.", []string{"a0 fry/fry(0.0; with 0.1)", "a1 give/stir(@a0; how: a shake)"}},
		{"a vessel said with a comma", "1 rabbit|4 tbsp oil", "Fry the rabbit in the oil in a wide, heavy pan.", []string{"a0 fry/fry(0.0; with 0.1)"}},
		{"every now and then", "400 g potatoes|1 tbsp oil", "Fry the potatoes in the oil, turning them now and then and adding salt. Stir every now and again and serve.", []string{"a0 fry/fry(0.0; with 0.1; how: turning them now and then and adding salt)", "a1 stir/stir(@a0; how: every now and again)", "a2 serve/serve(@a1)"}},
		{"salt does not hide the fat in a pan", "30 g butter|1 leek", "Melt the butter and sweat the leek for 5 minutes with a pinch of salt.", []string{"a0 melt/melt(0.0)", "a1 sweat/sweat(0.1; with 'salt, @a0; 5-5 min)"}},
		{"all over is how", "1 rabbit|4 tbsp oil", "Dry the rabbit. Brown it all over in the oil.", []string{"a0 dry/dry(0.0)", "a1 brown/brown(@a0; with 0.1; how: all)"}},
		{"into the oven for so long", "2 salmon fillets|1 fennel", "Lay the salmon on the fennel. Onto a tray and into the oven: 15 min. Into the fridge for 2 hours.", []string{"a0 lay/place(0.0; into 0.1)", "a1 bake/bake(@a0; into 'oven; 15-15 min)", "a2 chill/chill(@a1; into 'fridge; 120-120 min)"}},
		{"skewers are what is threaded on them", "700 g chicken thighs|1 tbsp oil", "Thread the chicken onto skewers. Brush the skewers with the oil and cook on a hot griddle for 10 minutes.", []string{"a0 thread/place(0.0; into 'skewers)", "a1 brush/brush(@a0; with 0.1)", "a2 cook on/grill(@a1; 10-10 min)"}},
		{"an onion goes soft", "1 onion|4 tbsp oil", "Heat the oil. Add the onion and let it go soft, about 8 minutes.", []string{"a0 heat/heat(0.1)", "a1 add/add(0.0; into @a0)", "a2 let go/sweat(@a1; 8-8 min; how: soft)"}},
		{"a tool called after a fish", "400 g potatoes|1 tbsp oil", "Fry the potatoes undisturbed for 5 minutes, then turn with a fish slice.", []string{"a0 fry/fry(0.0; 5-5 min; how: undisturbed)", "a1 turn/turn(@a0; how: with a fish slice)"}},
		{"what turns is a sign", "8 prawns|2 tbsp oil", "Heat the oil. Add the prawns and stir until they curl and turn pink.", []string{"a0 heat/heat(0.1)", "a1 add/add(0.0; into @a0)", "a2 stir/stir(@a1; until they curl and turn pink)"}},
		{"the soup beside soup noodles", "1 boiling fowl|2 litres water|200 g thin soup noodles", "Simmer the fowl in the water. Strain the soup. Boil the noodles.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 strain/strain(@a0)", "a2 boil/boil(0.2)"}},
		{"lids of pastry", "1 sheet puff pastry|1 egg", "Cut the pastry into 4 lids. Lay the lids on the dishes. Brush the tops with egg, make a hole in each and bake for 25 minutes.", []string{"a0 cut/cut(0.0; makes lid)", "a1 lay/place(@a0; into 'dishes)", "a2 brush/brush('tops; with 0.1)", "a3 make a hole/well(@a2)", "a4 bake/bake(@a3; 25-25 min)"}},
		{"what dries out by itself", "1 rabbit|250 ml wine", "Simmer the rabbit in the wine. Turn the pieces as it dries out.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 turn/turn(@a0; how: as it dries out)"}},
		{"a fillet on each leaf that was brushed", "4 mackerel fillets|4 banana leaves|1 tbsp oil", "Brush the banana leaves with the oil. Put a fillet on each and grill for 5 minutes.", []string{"a0 brush/brush(0.1; with 0.2)", "a1 put/place(0.0; into @a0)", "a2 grill/grill(@a1; 5-5 min)"}},
		{"one on each", "4 mackerel fillets|4 banana leaves", "Lay a fillet on each leaf and grill for 5 minutes.", []string{"a0 lay/place(0.0; into 0.1)", "a1 grill/grill(@a0; 5-5 min)"}},
	})
}

func TestTheDishsOwnNames(t *testing.T) {
	r := reader(t)
	for text, want := range map[string][][]string{
		"For the shortbread, rub the butter into the flour.":                     {{"shortbread"}},
		"For the naan, knead the flour with the yoghurt.":                        {{"naan"}},
		"For the brioche, slice and toast it, and spread with the butter.":       nil, // it is bought
		"For the mayonnaise, whisk the butter.":                                  nil, // it has another name on cards
		"For the chicken, rub the butter into the flour. Serve with brioche.":    nil,
		"For the butter biscuits, rub the butter into the flour and the yoghurt": nil,
	} {
		d := r.Read("Dish\nServes 4\n\n150 g plain flour\n100 g butter\n50 g yoghurt\n\nMethod\n1. "+text, measure.Metric)
		require.Equal(t, want, r.OwnNames(&d), text)
	}
	bought := r.Read("Dish\nServes 4\n\n4 naan\n100 g butter\n\nMethod\n1. For the naan, melt the butter and brush it on.", measure.Metric)
	require.Empty(t, r.OwnNames(&bought), "it is of the list")
}

func TestTheAnimalOfTheTitleIsLiftedOutOfItsMarinade(t *testing.T) {
	d := read(t, "Beef Bulgogi\n\n400 g sirloin\n4 tbsp soy sauce\n2 tbsp oil\n\nMethod\n1. Mix the soy sauce with the beef and chill for an hour.\n2. Heat the oil. Lift half the beef from the marinade and fry for 2 minutes. Pour in the rest of the marinade.")
	require.Equal(t, "c0.s1.a1 lift/remove(0.5×@c0.s0.a1)", show(d.Components[0].Steps[1].Actions[1]))
	require.Equal(t, "components[0].lines[0]", d.Components[0].Steps[1].Actions[1].To[0].Of)
}

func TestOneThingOnEachIsWhatEachGets(t *testing.T) {
	for text, want := range map[string]bool{
		"Lay a fillet on each leaf.":      true,
		"Lay the fillets on each leaf.":   false,
		"Lay a fillet on the leaves.":     false,
		"Lay all the fillets on the leaf": false,
	} {
		d := read(t, "Dish\nServes 4\n\n4 mackerel fillets\n4 banana leaves\n\nMethod\n1. "+text)
		said := d.Components[0].Steps[0].Actions[0].Words.Phrases[0]
		require.Equal(t, want, said.Nouns[0].Dealt, text)
	}
}

func TestEachAfterACoatIsWhatWasCoated(t *testing.T) {
	d := read(t, "Dish\nServes 4\n\n1 sheet puff pastry\n1 egg\n\nMethod\n1. Cut the pastry into 4 lids. Lay the lids on the dishes.\n2. Brush the tops with egg, make a hole in each and bake for 25 minutes.")
	hole := d.Components[0].Steps[1].Actions[1]
	require.Equal(t, "well", hole.Technique)
	for _, phrase := range hole.Words.Phrases {
		for _, n := range phrase.Nouns {
			if n.Pronoun {
				require.NotNil(t, n.Refs[0].Made)
				require.Empty(t, n.Refs[0].Of, "the lids, not the egg")
				return
			}
		}
	}
	require.Fail(t, "no word for what the hole is made in")
}
