package flow

import "testing"

// Counts, places and conditions are no things, and what a thing lies in stays where it is.
func TestWhatWordsBesideAThingMean(t *testing.T) {
	hear(t, []way{
		{"slices beaten thin", "600 g pork loin, cut into 5 mm slices|200 ml wine", "Beat the pork slices thin with a rolling pin. Put in a dish with the wine.", []string{"a0 beat thin/crush(0.0; how: with a rolling pin)", "a1 put in/add(@a0; with 0.1; into 'dish)"}},
		{"all sides of a thing", "250 g tuna steak|2 tbsp sesame seeds", "Press the sesame seeds onto all sides of the tuna.", []string{"a0 press/press(0.1; into 0.0)"}},
		{"the thickness of a coin", "375 g puff pastry", "Roll out the pastry to the thickness of a £1 coin.", []string{"a0 roll out/roll(0.0; how: to the thickness of a £1 coin)"}},
		{"a condition turned round", "400 ml stock|1 onion", "Simmer the onion in the stock for 40 minutes, adding a little more stock should it look dry.", []string{"a0 simmer/simmer(0.1; with 0.0; 40-40 min)", "condition: adding a little more stock should it look dry"}},
		{"a joint lifted out of its stock in the oven", "1 kg pork shoulder|500 ml chicken stock|4 tbsp hoisin sauce", "Put the pork in a casserole with the stock, cover and cook in the oven for 3 hours. Lift onto a board and shred. Boil the cooking liquid down and stir in the hoisin.", []string{"a0 put/place(0.0; with 0.1; into 'casserole)", "a1 cover/cover(@a0)", "a2 cook in/bake(@a1; 180-180 min)", "a3 lift/remove(@a2)", "a4 shred/shred(@a3)", "a5 boil down/reduce(@a2)", "a6 stir in/stir(0.2; into @a5)"}},
		{"a tray lifted out as a whole", "8 chicken thighs|1 kg potatoes|300 ml chicken stock", "Put the chicken, potatoes and stock in a tin and roast for 1 hour. Lift onto a platter.", []string{"a0 put/place(0.0, 0.1, 0.2; into 'tin)", "a1 roast/roast(@a0; 60-60 min)", "a2 lift/remove(@a1)"}},
		{"out of the oven as a whole", "1 kg pork shoulder|500 ml chicken stock", "Put the pork in a tin with the stock and roast for 1 hour. Remove from the oven and serve.", []string{"a0 put/place(0.0; with 0.1; into 'tin)", "a1 roast/roast(@a0; 60-60 min)", "a2 remove/remove(@a1)", "a3 serve/serve(@a2)"}},
		{"what is crumbled in stands in the pan", "1 onion|400 g minced beef|400 g tin plum tomatoes", "Fry the onion in a pan for 5 minutes. Crumble in the beef and fry for 5 minutes. Crush the tomatoes into the pan and simmer for 25 minutes.", []string{"a0 fry/fry(0.0; 5-5 min)", "a1 crumble in/crush(0.1; into @a0)", "a2 fry/fry(@a1; 5-5 min)", "a3 crush/crush(0.2; into @a2)", "a4 simmer/simmer(@a3; 25-25 min)"}},
		{"a heat before another order", "1 onion|2 tbsp oil", "Turn the heat to low and cook the onion for 5 minutes. Fry the onion on low and stir.", []string{"a0 turn the heat/lower-heat()", "a1 cook/cook(0.0; 5-5 min)", "a2 fry/fry(@a1)", "a3 stir/stir(@a2)"}},
		{"the minced meats", "500 g minced pork|250 g minced beef|100 g rice|2 tsp paprika|8 cabbage leaves", "Work the minced meats with the rice and half the paprika. Put a spoonful on each leaf.", []string{"a0 work/mix(0.0, 0.1; with 0.2, 0.5×0.3)", "a1 put/place(0.1×@a0; into 0.4)"}},
	})
}

// Of boiled eggs the yolks are mashed by themselves, and the whites stay where they were.
func TestTheYolksOfBoiledEggs(t *testing.T) {
	hear(t, []way{
		{"back into the whites", "6 eggs|2 tbsp mayonnaise|1 tsp mustard", "Boil the eggs for 9 minutes, peel and halve them. Mash the yolks with the mayonnaise and mustard. Spoon the mixture back into the whites.", []string{"a0 boil/boil(0.0; 9-9 min)", "a1 peel/peel(@a0)", "a2 halve/cut(@a1)", "a3 mash/mash(0.34×@a2; with 0.1, 0.2)", "a4 spoon back/return(@a3; into 0.66×@a2)"}},
		{"the whites by themselves", "6 eggs|20 g butter|1 tsp mustard", "Boil the eggs for 9 minutes and peel them. Mash the yolks with the butter. Chop the whites and serve.", []string{"a0 boil/boil(0.0; 9-9 min)", "a1 peel/peel(@a0)", "a2 mash/mash(0.34×@a1; with 0.1)", "a3 chop/chop(0.66×@a1)", "a4 serve/serve(@a3)"}},
	})
}
