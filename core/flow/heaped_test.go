package flow

import "testing"

// What is said of a few of many things, and of what these are in.
func TestWhatAFewWordsMeanOfMany(t *testing.T) {
	hear(t, []way{
		{"only the ground spices", "500 g lamb|1 tsp ground cumin|1 tsp chilli powder|6 cardamom pods|1 cinnamon stick|1 onion", "Mix the lamb with the ground spices. Fry the onion with the cardamom and cinnamon.", []string{"a0 mix/mix(0.0; with 0.1, 0.2)", "a1 fry/fry(0.5; with 0.3, 0.4)"}},
		{"spices by the spoon are ground", "500 g lamb|1 tsp cumin|1 tsp coriander seeds", "Mix the lamb with the ground spices.", []string{"a0 mix/mix(0.0; with 0.1)"}},
		{"seeds beside what is ground of them", "2 tsp cumin seeds|1 tsp ground cumin|1 onion", "Fry the onion with the cumin seeds. Stir in the ground cumin.", []string{"a0 fry/fry(0.2; with 0.0)", "a1 stir in/stir(0.1; into @a0)"}},
		{"spoonfuls that are rolled are all of it", "500 g turkey mince|40 g breadcrumbs", "Mix the turkey with the breadcrumbs. Roll teaspoonfuls into balls. Fry the balls.", []string{"a0 mix/mix(0.0; with 0.1)", "a1 roll into balls/shape(@a0; makes ball)", "a2 fry/fry(@a1)"}},
		{"the stock of what was peeled", "12 raw prawns|1 litre water|1 onion", "Peel the prawns. Fry the shells, pour on the water, boil for 15 minutes and strain. Fry the onion and pour in the prawn stock.", []string{"a0 peel/peel(0.0)", "a1 fry/fry('shells)", "a2 pour on/pour(0.1; into @a0)", "a3 boil/boil(@a2; 15-15 min)", "a4 strain/strain(@a3)", "a5 fry/fry(0.2)", "a6 pour in/pour(@a4; into @a5)"}},
		{"both, of what was fried with another", "100 g bacon|1 onion|1 litre stock", "Simmer the stock. Fry the bacon with the onion. Add both to the stock.", []string{"a0 simmer/simmer(0.2)", "a1 fry/fry(0.0; with 0.1)", "a2 add/add(@a1; into @a0)"}},
		{"so much for each", "300 g sausage|4 boiled eggs", "Put the sausage and half an egg each in the bowls.", []string{"a0 put in the bowls/serve(0.0, 0.1)"}},
		{"what is slit open", "500 g squid, tubes and tentacles|2 tbsp oil|1 lemon", "Boil the lemon. Slit the squid tubes open.", []string{"a0 boil/boil(0.2)", "a1 slit open/cut(0.0)"}},
		{"juice at the end of a list", "500 g squid|4 tbsp oil|100 ml lemon juice", "Toss the squid with half the oil and half the lemon juice. Mix with the remaining oil and juice.", []string{"a0 toss/toss(0.0; with 0.5×0.1, 0.5×0.2)", "a1 mix/mix(@a0; with 0.5×0.1, 0.5×0.2)"}},
		{"over the sides of a thing", "1.2 kg pork loin|3 tbsp honey|2 tbsp mustard", "Mix the honey with the mustard and brush it over the sides of the meat.", []string{"a0 mix/mix(0.1; with 0.2)", "a1 brush/brush(@a0; into 0.0)"}},
		{"bread, and the milk that the list soaks it in", "300 g beef mince|1 slice of bread|milk, to soak the bread", "Knead the mince with the bread.", []string{"a0 knead/knead(0.0; with 0.1)"}},
		{"a cut along a thing", "12 prawns|4 shallots|2 tbsp oil", "Grind the shallots to a paste. Snip the prawns along the back. Fry the paste in the oil.", []string{"a0 grind/grind(0.1; makes paste)", "a1 snip/chop(0.0; how: along the back)", "a2 fry/fry(@a0; with 0.2)"}},
		{"a second heat", "1 squash|2 tbsp oil", "Rub the squash with the oil. Roast at 180C for 1 hour, then at 230C for 25 minutes.", []string{"a0 rub/rub(0.0; with 0.1)", "a1 roast/roast(@a0; 60-60 min; 180 C)", "a2 roast/roast(@a1; 25-25 min; 230 C)"}},
		{"grilled on one side", "6 sardines|2 tbsp oil", "Brush the sardines with the oil, season, and grill skin side up for 4 minutes.", []string{"a0 brush/brush(0.0; with 0.1)", "a1 season/season(@a0)", "a2 grill/grill(@a1; 4-4 min; how: skin side up)"}},
	})
}
