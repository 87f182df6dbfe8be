package flow

import "testing"

// How long, how far and in how many goes are told by the words around them, and no thing is read into those.
func TestHowLongHowFarAndInHowManyGoes(t *testing.T) {
	hear(t, []way{
		{"a minute or two each", "600 g veal|2 tbsp oil", "Heat half the oil. Fry the veal in two batches, a minute or two each.", []string{"a0 heat/heat(0.5×0.1)", "a1 fry/fry(0.0; with @a0; 1-2 min; how: in two batches)"}},
		{"each before a cue", "250 g steak|1 tbsp oil|2 tbsp soy sauce", "Mix the soy sauce with the oil. Stir-fry the steak in two lots for 1-2 minutes each until browned.", []string{"a0 mix/mix(0.2; with 0.1)", "a1 stir-fry/stir-fry(0.0; 1-2 min; until browned; how: in two lots)"}},
		{"two minutes each of two", "250 g steak|1 tbsp oil", "Fry the steak in the oil for 2 minutes each side.", []string{"a0 fry/fry(0.0; with 0.1; 2-2 min)"}},
		{"without a boil is no boil", "200 ml cream|600 g veal", "Warm the cream. Add the veal and heat through without letting it boil.", []string{"a0 warm/warm(0.0)", "a1 add/add(0.1; into @a0)", "a2 heat through/warm(@a1; how: without letting it boil)"}},
		{"so far in from the edge", "320 g puff pastry|1 egg", "Unroll the pastry. Score a border 2 cm in from the edge with a knife.", []string{"a0 unroll/roll(0.0)", "a1 score/score('border; how: 2 cm / with a knife)"}},
		{"so far apart", "320 g puff pastry|1 egg", "Unroll the pastry. Cut slits 3 cm apart in the pastry.", []string{"a0 unroll/roll(0.0)", "a1 cut slits/score(; with @a0; how: 3 cm apart)"}},
		{"on one side of each", "4 slices bread|200 g hummus", "Spread the hummus over one side of each slice of bread. Grill the bread.", []string{"a0 spread/spread(0.1; into 0.0)", "a1 grill/grill(@a0)"}},
		{"what ran out aside is not the pot", "600 g veal|100 ml wine|200 ml cream|1 tbsp oil", "Fry the veal in the oil and lift onto a plate. Pour in the wine and reduce by half. Add the caught juices and the cream.", []string{"a0 fry/fry(0.0; with 0.3)", "a1 lift/remove(@a0)", "a2 pour in/pour(0.1; into @a0)", "a3 reduce by/reduce(@a2; how: by half)", "a4 add/add('caught juices, 0.2; into @a3)"}},
	})
}
