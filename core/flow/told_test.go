package flow

import "testing"

// Ways of speaking that name a thing by where it is, how many it is or what it was made
// of, each on the least recipe that shows it.
func TestThingsAreTold(t *testing.T) {
	hear(t, []way{
		{"water from the tap again", "200 g flour|100 ml water|200 g peas|1 onion", "Mix the flour with the water and knead. Fry the onion, add the peas with a splash of water.", []string{"a0 mix/mix(0.0; with 0.1)", "a1 knead/knead(@a0)", "a2 fry/fry(0.3)", "a3 add/add(0.2; with 'water; into @a2)"}},
		{"a pan wiped and heated", "4 eggs|1 tbsp oil", "Beat the eggs. Wipe a small pan with oiled paper and heat it. Pour in half of the eggs.", []string{"a0 beat/beat(0.0)", "a1 wipe pan/wash-pan('small pan)", "a2 heat/heat('pan)", "a3 pour in/pour(0.5×@a0; into 'pan)"}},
		{"the pan greased again", "4 eggs|1 tbsp oil", "Beat the eggs. Heat a pan. Pour in a third of the egg. Oil the pan and pour in another third.", []string{"a0 beat/beat(0.0)", "a1 heat/heat('pan)", "a2 pour in/pour(0.333×@a0; into 'pan)", "a3 oil/grease('pan; with 0.1)", "a4 pour in/pour(0.333×@a0; into 'pan)"}},
		{"it goes into what is there", "2 onions|100 g yoghurt|2 tbsp oil", "Fry the onions in the oil. Beat the yoghurt and add it a spoon at a time. Cover and cook for 20 minutes.", []string{"a0 fry/fry(0.0; with 0.2)", "a1 beat/beat(0.1)", "a2 add/add(@a1; into @a0; how: a spoon at a time)", "a3 cover/cover(@a2)", "a4 cook/cook(@a3; 20-20 min)"}},
		{"a part that a line begins with", "2 tbsp cornflour|zest and juice of 3 lemons", "Mix the cornflour and zest in a saucepan with the juice.", []string{"a0 mix/mix(0.0, 0.1; with 0.1)"}},
		{"by the name in brackets", "1 tbsp nam prik pao (roasted chilli paste, with tamarind)|3 bird's eye chillies|200 g mushrooms", "Fry the mushrooms with the chilli paste.", []string{"a0 fry/fry(0.2; with 0.0)"}},
		{"a case that was baked before", "200 g flour|100 g butter|300 ml cream", "Rub the butter into the flour and bake for 20 minutes. Warm the cream and pour into the case.", []string{"a0 rub into/rub-in(0.1; into 0.0)", "a1 bake/bake(@a0; 20-20 min)", "a2 warm/warm(0.2)", "a3 pour/pour(@a2; into @a1)"}},
		{"two things together", "200 g flour|5 g salt|100 ml water", "Stir the flour and salt together. Add the water.", []string{"a0 stir/stir(0.0, 0.1)", "a1 add/add(0.2; into @a0)"}},
		{"a vessel and its width", "30 g butter|500 g cherries", "Butter a shallow 24 cm dish and scatter in the cherries.", []string{"a0 butter/grease('shallow 24 cm dish; with 0.0)", "a1 scatter in/sprinkle(0.1; into 'dish)"}},
		{"each half", "300 g dough", "Cut the dough in two. Form each half into a cone.", []string{"a0 cut/cut(0.0; how: in two)", "a1 form/shape(@a0; makes cone)"}},
		{"minutes without a word", "4 chops", "Fry the chops for 3 minutes, turn and give them another 3.", []string{"a0 fry/fry(0.0; 3-3 min)", "a1 turn/turn(@a0)", "a2 give/cook(@a1; 3-3 min)"}},
		{"a sauce called short", "2 tbsp dark soy sauce|1 tsp sugar|300 g tofu", "Fry the tofu. Add soy and sugar.", []string{"a0 fry/fry(0.2)", "a1 add/add(0.0, 0.1; into @a0)"}},
		{"a part before the whole", "1 kg cod|1 l water|2 onions", "Boil the cod heads with the water. Add the onions. Lay in the cod.", []string{"a0 boil/boil(0.0; with 0.1)", "a1 add/add(0.2; into @a0)", "a2 lay in/add(0.0; into @a1)"}},
		{"sugar for the dish", "100 g sugar|3 eggs|butter and sugar for the dish", "Butter a dish and dust it with sugar. Whisk the eggs with the sugar.", []string{"a0 butter/grease('dish; with 0.2)", "a1 dust/dust('dish; with 0.2)", "a2 whisk/whisk(0.1; with 0.0)"}},
		{"taken out of its pot", "2 chicken breasts|1 l stock|1 onion", "Simmer the chicken in the stock. Transfer the chicken to a plate and shred it. Strain the broth and add the onion.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 transfer/place(@a0; into 'plate)", "a2 shred/shred(@a1)", "a3 strain/strain(@a0)", "a4 add/add(0.2; into @a3)"}},
		{"work said before its colon", "200 g rice|1 onion", "Cook the rice: wash it, cover with water and boil for 12 minutes.", []string{"a0 wash/rinse(0.0)", "a1 cover/cover(@a0; with 'water)", "a2 boil/boil(@a1; 12-12 min)", "note: Cook the rice"}},
		{"particles first", "2 onions|2 tbsp oil|300 g beef", "Heat the oil. In go the onions. Out comes the beef.", []string{"a0 heat/heat(0.1)", "a1 in go/add(0.0; into @a0)", "a2 come/remove(0.2)"}},
		{"minutes later", "1 kg cod|500 g mussels|1 l stock", "Boil the stock. Lay in the cod, 5 minutes later the mussels.", []string{"a0 boil/boil(0.2)", "a1 lay in/add(0.0; into @a0)", "a2 lay in/add(0.1; into @a1)"}},
		{"dipped into", "4 chops|1 egg|80 g breadcrumbs", "Dip the chops into beaten egg and press into the breadcrumbs.", []string{"a0 dip/dip(0.0; into 0.1)", "a1 press/press(@a0; into 0.2)"}},
		{"a warning behind or", "300 g dough|300 g beef", "Brown the beef. Let it cool completely or the dough will melt.", []string{"a0 brown/brown(0.1)", "a1 let cool/cool(@a0; how: completely / or the dough will melt)"}},
		{"a cue that goes on", "2 onions|2 tbsp oil", "Fry the onions in the oil until they soften but keep some bite.", []string{"a0 fry/fry(0.0; with 0.1; until they soften but keep some bite)"}},
		{"fat that nobody lists", "6 tortillas", "Heat an inch of oil in a pan and fry the tortillas until crisp.", []string{"a0 heat/heat('oil)", "a1 fry/fry(0.0; with @a0; until crisp)"}},
		{"the last of a list", "3 egg yolks|100 g cheese|500 ml milk", "Warm the milk. Beat in the yolks one at a time followed by the cheese.", []string{"a0 warm/warm(0.2)", "a1 beat in/beat(0.0, 0.1; into @a0; how: one at a time)"}},
		{"in the bottom of something", "2 carrots|1 kg pork", "Lay the carrots in the bottom of a dish and put the pork on top.", []string{"a0 lay/place(0.0; into 'dish)", "a1 put on/add(0.1; into @a0)"}},
		{"a food that ends like work", "2 eggs|1 tbsp mustard|1 tsp taco seasoning", "Whisk together the eggs, mustard and seasoning.", []string{"a0 whisk together/whisk(0.0, 0.1, 0.2)"}},
		{"one of which number tells", "1 chicken|3 onions|100 ml oil", "Turn the chicken and onions in the oil. Take out the chicken, wipe off the onions and grill it.", []string{"a0 turn/turn(0.0, 0.1; with 0.2)", "a1 take out/remove(@a0)", "a2 wipe off/remove(@a0)", "a3 grill/grill(@a1)"}},
		{"the other half", "4 tbsp oil|2 onions|300 g beef", "Fry the beef in half of the oil. Fry the onions in the other half.", []string{"a0 fry/fry(0.2; with 0.5×0.0)", "a1 fry/fry(0.1; with 0.5×0.0)"}},
		{"the strips that were cut", "375 g puff pastry|400 g mince", "Cut the pastry in half. Shape the mince into two rolls and lay one along each strip.", []string{"a0 cut/cut(0.0; how: in half)", "a1 shape/shape(0.1; makes roll)", "a2 lay/place(@a1; into @a0)"}},
		{"drop by drop", "1 egg yolk|100 ml oil|1 tbsp lemon juice", "Whisk the yolk and lemon juice, then, drop by drop at first, the oil.", []string{"a0 whisk/whisk(0.0, 0.2)", "a1 whisk/whisk(0.1; how: drop by drop at first)"}},
		{"a wider name", "2 heads romaine|100 ml oil", "Tear the lettuce and toss with the oil.", []string{"a0 tear/grate(0.0)", "a1 toss/toss(@a0; with 0.1)"}},
		{"named by itself later", "2 carrots|1 stick celery|2 tbsp capers|500 ml wine", "Simmer the vegetables in the wine. Sprinkle with the capers.", []string{"a0 simmer/simmer(0.0, 0.1; with 0.3)", "a1 sprinkle/sprinkle(@a0; with 0.2)"}},
		{"all of it", "150 g bacon|2 onions|500 g pork|1 kg sauerkraut", "Simmer the sauerkraut in a pot. Fry the bacon, fry the onions, then brown the pork. Add it all to the pot.", []string{"a0 simmer/simmer(0.3)", "a1 fry/fry(0.0)", "a2 fry/fry(0.1)", "a3 brown/brown(0.2)", "a4 add/add(@a1, @a2, @a3; into @a0)"}},
		{"brushed with what is for glazing", "2 boiled eggs, chopped|1 egg, beaten, for glazing|300 g dough", "Fold in the eggs. Roll out the dough. Brush with egg.", []string{"a0 fold in/fold(0.0)", "a1 roll out/roll(0.2)", "a2 brush/brush(@a1; with 0.1)"}},
		{"what is added behind an adverb", "140 g flour|4 eggs|200 ml milk", "Whisk the eggs, gradually drawing in the flour and adding the milk, until smooth.", []string{"a0 whisk/whisk(0.1; how: gradually / drawing in the flour)", "a1 add/add(0.2; into @a0; until smooth)"}},
		{"the fat that is left", "2 onions|60 g butter|8 chops", "Fry the chops in half of the butter. Fry the onions in the butter that is left.", []string{"a0 fry/fry(0.2; with 0.5×0.1)", "a1 fry/fry(0.0; with 0.5×0.1)"}},
		{"a comparison behind a shape", "500 g puff pastry|800 g salmon", "Roll out the pastry to a rectangle a little bigger than the fish and lay it on a tray.", []string{"a0 roll out/roll(0.0; makes rectangle; how: a little bigger than the fish)", "a1 lay/place(@a0; into 'tray)"}},
		{"a verb that begins a name of the list", "60 ml mayonnaise|60 ml sour cream|1 jalapeno|2 limes", "Stir the mayonnaise, sour cream, jalapeno and limes together.", []string{"a0 stir/stir(0.0, 0.1, 0.2, 0.3)"}},
		{"what work is for", "200 g flour|100 g vegetable fat|1 kg carrots", "Add the carrots to a pot and simmer for 10 minutes. To make the dumplings, mix the flour and fat.", []string{"a0 add/add(0.2; into 'pot)", "a1 simmer/simmer(@a0; 10-10 min)", "a2 mix/mix(0.0, 0.1)"}},
		{"something put next to something", "300 g rice|4 chops|2 tbsp oil", "Boil the rice. Fry the chops in the oil. Put the rice on plates and spoon the chops next to it.", []string{"a0 boil/boil(0.0)", "a1 fry/fry(0.1; with 0.2)", "a2 put on plates/serve(@a0; into 'plates)", "a3 spoon/place(@a1; into @a2)"}},
	})
}
