package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What stays behind when something is lifted out of what it cooked in is still there to be
// worked on, by any of its names.
func TestWhatStaysBehindGoesOn(t *testing.T) {
	hear(t, []way{
		{"the juices after lifting out", "1 kg chicken|200 ml white wine|2 onions", "Simmer the chicken and onions in the wine. Lift out the chicken. Boil the juices until thick.", []string{"a0 simmer/simmer(0.0, 0.2; with 0.1)", "a1 lift out/remove(@a0)", "a2 boil/boil(@a0; until thick)"}},
		{"not what was stirred since", "1 kg chicken|200 ml white wine|100 ml cream|2 egg yolks", "Simmer the chicken in the wine. Take out the chicken. Beat the yolks with the cream. Reduce the juices by half.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 take out/remove(@a0)", "a2 beat/beat(0.3; with 0.2)", "a3 reduce/reduce(@a0; how: by half)"}},
		{"lifted out of named water", "1 kg cod|1 l water|2 onions", "Boil the cod in the water. Lift out the cod. Add the onions to the broth.", []string{"a0 boil/boil(0.0; with 0.1)", "a1 lift out/remove(@a0)", "a2 add/add(0.2; into @a0)"}},
		{"drained out of a marinade", "1 kg chicken|120 ml vinegar|80 ml soy sauce|1 tbsp oil", "Combine the chicken, vinegar and soy sauce. Drain the chicken, reserving the marinade. Brown the chicken in the oil. Pour in the marinade.", []string{"a0 combine/mix(0.0, 0.1, 0.2)", "a1 drain/drain(@a0)", "a2 reserve/reserve(@a0)", "a3 brown/brown(@a1; with 0.3)", "a4 pour in/pour(@a2; into @a3)"}},
		{"the liquid by what was done in it", "3 pigeons|2 onions|100 g butter|500 ml water", "Simmer the pigeons with the onions, butter and water. Lift out the pigeons. Boil the cooking liquid down.", []string{"a0 simmer/simmer(0.0; with 0.1, 0.2, 0.3)", "a1 lift out/remove(@a0)", "a2 boil down/reduce(@a0)"}},
	})
}

// A word that the text has used of one thing goes on meaning it, and not the first line that
// ends in it; what is a tool, several things or what is in hand is told by its words.
func TestWordsMeanWhatTheyWereUsedOf(t *testing.T) {
	hear(t, []way{
		{"leaves of what was taken apart", "1 cabbage|2 bay leaves|300 g rice", "Separate the cabbage leaves. Shred the small leaves. Put the rice on each leaf. Tuck in the bay leaves.", []string{"a0 separate/divide(0.0)", "a1 shred/shred(@a0)", "a2 put/place(0.2; into @a1)", "a3 tuck in/add(0.1; into @a2)"}},
		{"a tool of a food's name", "400 g flour|4 eggs", "Beat the flour and eggs. Press the batter through a spätzle press into boiling water.", []string{"a0 beat/beat(0.0, 0.1)", "a1 press/press(@a0; into 'boiling water; how: through a spätzle press)"}},
		{"pancakes of what is in hand", "100 g flour|150 ml water", "Whisk the flour and water, rest the batter and fry thin pancakes.", []string{"a0 whisk/whisk(0.0, 0.1)", "a1 rest/rest(@a0)", "a2 fry/fry(@a1)"}},
		{"one of a measure is no article", "1.5 litres water|2 onions|500 g palm pulp", "Boil the onions in a litre of the water. Stir in the palm pulp and the rest of the water.", []string{"a0 boil/boil(0.1; with 0.667×0.0)", "a1 stir in/stir(0.2, 0.333×0.0; into @a0)"}},
		{"only what is in can be taken out", "2 onions|3 tomatoes|8 okra", "Boil the onions and tomatoes in water. Take the vegetables out and blend them. Add the okra.", []string{"a0 boil/boil(0.0, 0.1; with 'water)", "a1 take out/remove(@a0, @a0)", "a2 blend/blend(@a1)", "a3 add/add(0.2; into @a2)"}},
		{"what is shaken off is not what goes on", "4 chops|2 onions|100 ml oil|2 limes", "Marinate the chops and onions in the limes. Lift the chops out, shake off the onions, and grill it for 5 minutes.", []string{"a0 marinate/marinate(0.0, 0.1; with 0.3)", "a1 lift out/remove(@a0)", "a2 shake off/remove(@a0)", "a3 grill/grill(@a1; 5-5 min)"}},
		{"a tin is greased with a little of what is in hand", "250 g bacon|1 kg potatoes", "Fry the bacon. Stir in the potatoes. Grease a dish with some of the bacon, pour in the mixture and bake.", []string{"a0 fry/fry(0.0)", "a1 stir in/stir(0.1; into @a0)", "a2 grease/grease('dish; with 0.1×@a1)", "a3 pour in/pour(@a1; into 'dish)", "a4 bake/bake(@a3)"}},
		{"a bracket within a list", "500 g leeks|1 onion|1 piece ginger|2 tsp salt", "Season the leeks with the onion, the ginger (grated) and salt and steam them.", []string{"a0 season/season(0.0; with 0.1, 0.2, 0.3)", "a1 steam/steam(@a0)", "remark: grated"}},
		{"what is soaked goes with its liquid", "1 onion|a pinch of saffron|2 tbsp warm milk", "Fry the onion. Stir in the saffron milk.", []string{"a0 fry/fry(0.0)", "a1 stir in/stir(0.1, 0.2; into @a0)"}},
		{"what is beaten with something is both", "1 brioche loaf|1 yolk|1 tbsp milk", "Brush the loaf with the yolk beaten with the milk.", []string{"a0 brush/brush(0.0; with 0.1, 0.2)"}},
		{"the rest is what something was taken out of", "500 g potatoes|150 g sausage|1 litre water", "Boil the potatoes and half the sausage in the water. Remove the sausage and slice it. Blend the rest.", []string{"a0 boil/boil(0.0, 0.5×0.1; with 0.2)", "a1 remove/remove(@a0)", "a2 slice/slice(@a1)", "a3 blend/blend(@a0)"}},
		{"the amount tells which line is meant", "butter, for the dish|40 g butter|2 eggs", "Melt the 40 g butter. Whisk the eggs and fold in the rest lightly.", []string{"a0 melt/melt(0.1)", "a1 whisk/whisk(0.2)", "a2 fold in/fold(@a1; into @a0; how: lightly)"}},
		{"a reserved liquid is poured over", "600 ml milk|300 g rice|1 tbsp oil", "Pour the milk into a jug. Heat the oil and tip in the rice. Pour over the reserved milk topped up with water.", []string{"a0 pour/pour(0.0; into 'jug)", "a1 heat/heat(0.2)", "a2 tip in/add(0.1; into @a1)", "a3 pour over/pour(@a0; into @a2; how: topped up with water)"}},
		{"the sauce is what the fish sauce went into", "2 tbsp fish sauce|2 tbsp sugar|2 tbsp tamarind|200 g noodles", "Heat the fish sauce, sugar and tamarind. Add the noodles and sauce to a wok.", []string{"a0 heat/heat(0.0, 0.1, 0.2)", "a1 add/add(0.3, @a0; into 'wok)"}},
		{"what was slipped in is taken out", "1 litre stock|400 g breasts|2 onions", "Simmer the onions in the stock. Slip in the breasts and poach for 15 minutes. Take them out, shred and put back.", []string{"a0 simmer/simmer(0.2; with 0.0)", "a1 slip in/add(0.1; into @a0)", "a2 poach/poach(@a1; 15-15 min)", "a3 take out/remove(@a2)", "a4 shred/shred(@a3)", "a5 put back/return(@a4)"}},
		{"in quarters is how", "8 pancakes|150 g spinach", "Lay some spinach on each pancake, fold in quarters and bake.", []string{"a0 lay/place(0.1; into 0.0)", "a1 fold in/fold(@a0; how: in quarters)", "a2 bake/bake(@a1)"}},
		{"several sauces by one word", "1 tbsp oyster sauce|2 tbsp kecap manis|1 tbsp ketchup|300 g noodles", "Mix the sauces. Toss the noodles in the sauce.", []string{"a0 mix/mix(0.0, 0.1, 0.2)", "a1 toss/toss(0.3; with @a0)"}},
		{"tempering a cream", "150 ml cream|1 l soup", "Temper the cream with a ladleful of the soup.", []string{"a0 temper with a ladleful/whisk(0.0; with 0.1×0.1)"}},
	})
}

// A part of which nothing is made yet is made of its own lines, not of another part's.
func TestAPartIsMadeOfItsOwnLines(t *testing.T) {
	d := read(t, "Buns\nServes 4\n\nFor the filling\n300 g mince\n1 onion\n\nFor the dough\n200 g plain flour\n100 ml water\n\nMethod\n\nFor the filling\n1. Fry the mince with the onion.\n\nFor the dough\n2. Mix the dough and roll it out.")
	require.Len(t, d.Components, 2)
	actions := d.Components[1].Steps[0].Actions
	require.Len(t, actions, 2)
	require.Equal(t, "mix/mix(1.0, 1.1)", show(actions[0])[len("c1.s0.a0 "):])
}
