package flow

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// Words of an evening's method that were taken for another thing.
func TestWordsOfAnEveningMeanTheirThing(t *testing.T) {
	hear(t, []way{
		{"the hot sauce, and not what is beaten", "2 onions|1 tbsp flour|500 ml stock|2 egg yolks|2 tbsp vinegar", "Fry the onions, stir in the flour and the stock and simmer for 5 minutes. Beat the yolks with the vinegar and stir in a ladleful of hot sauce.", []string{"a0 fry/fry(0.0)", "a1 stir in/stir(0.1, 0.2; into @a0)", "a2 simmer/simmer(@a1; 5-5 min)", "a3 beat/beat(0.3; with 0.4)", "a4 stir in/stir(0.1×@a2; into @a3)"}},
		{"back into the pot that a ladle came from", "1 litre stock|100 g rice|3 egg yolks|2 tbsp lemon juice", "Simmer the rice in the stock. Beat the yolks with the lemon juice, thin them with a ladle of the soup and stir them in off the heat.", []string{"a0 simmer/simmer(0.1; with 0.0)", "a1 beat/beat(0.2; with 0.3)", "a2 thin/thin(@a1; with 0.1×@a0)", "a3 stir in/stir(@a2; into @a0)"}},
		{"out of a marinade that is kept", "400 g tofu|3 tbsp soy sauce|2 tbsp oil", "Lay the tofu in the soy sauce for 20 minutes. Take the tofu out of the soy sauce (keep it) and fry it in the oil.", []string{"a0 lay/place(0.0; into 0.1; 20-20 min)", "a1 take out/remove(@a0)", "a2 keep/reserve(@a0)", "a3 fry/fry(@a1; with 0.2)"}},
		{"the cream at the top of a can", "400 ml coconut milk|2 tbsp curry paste", "Fry the paste in the thick cream from the top of the can of coconut milk. Pour in the rest of the coconut milk.", []string{"a0 fry/fry(0.1; with 0.25×0.0)", "a1 pour in/pour(0.75×0.0; into @a0)"}},
		{"what was lifted out is scattered over", "1 onion|100 g bacon|1 litre stock|1 tbsp parsley", "Fry the bacon. Lift it out. Simmer the onion in the stock. Ladle into bowls and scatter over the reserved bacon and parsley.", []string{"a0 fry/fry(0.1)", "a1 lift out/remove(@a0)", "a2 simmer/simmer(0.0; with 0.2)", "a3 ladle into bowls/serve(@a2; into 'bowls)", "a4 scatter over/sprinkle(@a1, 0.3; into @a3)"}},
		{"the oil that is on the bread is rubbed into it", "1 loaf of bread|3 tbsp oil|1 cabbage", "Tear the bread into croutons, sprinkle over 2 tbsp of the oil and rub the oil into the bread. Rub the cabbage with the remaining oil.", []string{"a0 tear/grate(0.0; makes crouton)", "a1 sprinkle over/sprinkle(0.667×0.1; into @a0)", "a2 rub into/rub-in(@a1; into @a1)", "a3 rub/rub(0.2; with 0.333×0.1)"}},
		{"the peel off a fruit, and its segments", "1 carrot|2 oranges", "Slice the carrot. Cut the peel off the oranges and slice out the segments.", []string{"a0 slice/slice(0.0)", "a1 cut/cut(0.1)", "a2 slice out/slice(@a1)"}},
		{"plates for coating", "4 escalopes|3 tbsp flour|1 egg|60 g breadcrumbs", "Put the flour, egg and breadcrumbs on separate plates. Coat the escalopes in flour and egg and then the crumbs.", []string{"a0 put plates/serve(0.1, 0.2, 0.3; into 'separate plates)", "a1 coat/coat(0.0; with @a0)", "a2 coat/coat(@a1; with @a0)"}},
		{"verbs behind a cue", "800 g potatoes|1 onion", "Boil the potatoes until just done, cool, peel and slice. Fry the onion until soft, golden and crisp.", []string{"a0 boil/boil(0.0; until just done)", "a1 cool/cool(@a0)", "a2 peel/peel(@a1)", "a3 slice/slice(@a2)", "a4 fry/fry(0.1; until soft, golden and crisp)"}},
		{"again the same layers", "400 g potatoes|1 onion", "Put down half the potatoes and half the onion; again potatoes and onion.", []string{"a0 put down/place(0.5×0.0, 0.5×0.1)", "a1 put down/place(0.5×0.0, 0.5×0.1)"}},
		{"the white, beside the brown", "100 ml wine|150 g white crab meat|50 g brown crab meat", "Stir the brown crab meat into the wine, then the white.", []string{"a0 stir into/stir(0.2; into 0.0)", "a1 stir into/stir(0.1; into @a0)"}},
		{"the white of an onion", "1 bunch of spring onions|1 egg|1 litre water", "Simmer the white of the spring onions in the water. Boil the egg.", []string{"a0 simmer/simmer(0.66×0.0; with 0.2)", "a1 boil/boil(0.1)"}},
		{"an egg on each bowl", "400 g chickpeas|4 poached eggs", "Warm the chickpeas. Serve the chickpeas in bowls with an egg on each.", []string{"a0 warm/warm(0.0)", "a1 serve/serve(@a0; with 0.1)"}},
		{"an omelette that is made is fried", "4 eggs|1 tbsp oil", "Beat the eggs. Heat the oil, pour in the eggs and make a thin omelette; slice into ribbons.", []string{"a0 beat/beat(0.0)", "a1 heat/heat(0.1)", "a2 pour in/pour(@a0; into @a1)", "a3 make omelette/fry(@a2; makes omelette)", "a4 slice/slice(@a3; makes ribbon)"}},
		{"water of the tap, beside water of flowers", "200 g almonds|2 tbsp orange blossom water", "Add 500 ml water and simmer the almonds. Grind with the orange blossom water.", []string{"a0 add/add('water)", "a1 simmer/simmer(0.0)", "a2 grind/grind(@a1; with 0.1)"}},
		{"out of a cabbage that is whole", "1 cabbage|400 g minced beef", "Remove the core from the cabbage and boil it for 10 minutes.", []string{"a0 remove/remove(0.0)", "a1 boil/boil(@a0; 10-10 min)"}},
		{"back into the pot, off the bones", "1 kg chicken|1 litre water", "Simmer the chicken in the water. Pick the meat off the bones back into the pot.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 pick/pick(@a0; into 'pot)"}},
		{"a group that is told behind a colon", "6 carrots|6 potatoes|200 g green beans|1 onion|1 leek|1 litre stock", "Simmer the onion and leek in the stock. Layer the vegetables on top: first the carrots, then the potatoes and last the beans. Cover.", []string{"a0 simmer/simmer(0.3, 0.4; with 0.5)", "a1 layer/layer(0.0, 0.1, 0.2; into @a0)", "a2 layer/layer(@a1)", "a3 layer/layer(@a2; how: last)", "a4 cover/cover(@a3)"}},
		{"two pastes of one word", "2 tbsp tomato paste|1 tbsp red pepper paste|2 tomatoes|2 tbsp oil", "Fry the tomato and pepper pastes in the oil. Add the tomatoes.", []string{"a0 fry/fry(0.0, 0.1; with 0.3)", "a1 add/add(0.2; into @a0)"}},
		{"what is said between commas", "80 g butter|400 g lamb", "Grill the lamb. Melt the butter and pour it, sizzling, over the lamb.", []string{"a0 grill/grill(0.1)", "a1 melt/melt(0.0)", "a2 pour/pour(@a1; into @a0; how: sizzling)"}},
		{"the oil for frying, where it is deep", "4 plantains|oil for frying|2 tbsp olive oil", "Fry the plantains in oil at 170 C for 12 minutes. Toss with the olive oil.", []string{"a0 fry/deep-fry(0.0; with 0.1; 12-12 min; 170 C)", "a1 toss/toss(@a0; with 0.2)"}},
		{"what goes in meanwhile", "600 g minced beef|200 ml stock", "Knead the beef while adding the stock a little at a time. Form sausages the length of a finger.", []string{"a0 knead/knead(0.0; with 0.1; how: a little at a time)", "a1 form/shape(@a0; how: the length of a finger)"}},
		{"the sauce, and no sauce of the table", "2 carrots|500 ml stock|250 ml cream|cranberry sauce", "Simmer the carrots in the stock and blend. Stir the cream into the sauce. Serve with a spoonful of cranberry sauce.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 blend/blend(@a0)", "a2 stir into/stir(0.2; into @a1)", "a3 serve/serve(@a2; with 0.3)"}},
		{"each one buttered", "12 sheets filo|100 g butter|500 g ricotta", "Lay half the filo in a tin and spread with the ricotta. Cover with the remaining sheets, each one buttered. Bake for 40 minutes.", []string{"a0 lay/place(0.5×0.0; into 'tin)", "a1 spread/spread(@a0; with 0.2)", "a2 cover/cover(@a1; with 'sheets; how: each one buttered)", "a3 bake/bake(@a2; 40-40 min)"}},
		{"measured off", "1 kg chicken|1 litre water", "Simmer the chicken in the water. Strain and measure the liquid.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 strain/strain(@a0)", "a2 measure/reserve(@a1)"}},
		{"eggs out of what was drained with them", "750 g potatoes|4 eggs|1 onion", "Boil the potatoes for 12 minutes, adding the eggs for the last 8. Drain; run the eggs under cold water, peel and quarter. Toss the warm potatoes with the onion. Top with the eggs.", []string{"a0 boil/boil(0.0; 12-12 min)", "a1 add/add(0.1; into @a0)", "a2 drain/drain(@a1)", "a3 run under/rinse(@a2; into 'water)", "a4 peel/peel(@a3)", "a5 quarter/cut(@a4)", "a6 toss/toss(@a2; with 0.2)", "a7 top/top(@a6; with @a5)"}},
		{"floats on what is in the pot", "1 chilli|500 g spinach|1 litre stock", "Put the spinach and stock in a pan. Float the chilli on top. Simmer for 30 minutes.", []string{"a0 put/place(0.1, 0.2; into 'pan)", "a1 float on/add(0.0; into @a0)", "a2 simmer/simmer(@a1; 30-30 min)"}},
		{"let everyone do it", "2 peppers|1 tbsp oil|1 avocado|8 tortillas", "Fry the peppers in the oil. Let everyone fill their own: a spoon of avocado and some peppers.", []string{"a0 fry/fry(0.0; with 0.1)", "a1 fill/stuff(0.1×0.2, 0.1×@a0)", "remark: Let everyone"}},
		{"your guests, each of them", "2 peppers|1 tbsp oil|1 avocado|8 tortillas", "Fry the peppers in the oil. Ask each guest to fill a tortilla with peppers and avocado.", []string{"a0 fry/fry(0.0; with 0.1)", "a1 fill/stuff(0.3; with @a0, 0.2)", "remark: Ask each guest to"}},
		{"help themselves to it", "2 peppers|1 tbsp oil|1 avocado|8 tortillas", "Fry the peppers in the oil. Let people help themselves to tortillas and avocado.", []string{"a0 fry/fry(0.0; with 0.1)", "a1 help themselves/serve(@a0; into 0.3, 0.2)", "remark: Let people"}},
		{"help themselves, and no more", "2 peppers|1 tbsp oil", "Fry the peppers in the oil. Let everyone help themselves.", []string{"a0 fry/fry(0.0; with 0.1)", "remark: Let everyone", "remark: help themselves"}},
		{"milk squeezed out of bread, beside the rest of it", "2 slices bread|250 ml milk|2 eggs|500 g minced beef", "Soak the bread in half the milk. Squeeze the milk from the bread (save it) and mash the bread into the beef. Beat the eggs with the saved milk and the rest of the milk and pour this over the beef.", []string{"a0 soak/soak(0.0; with 0.5×0.1)", "a1 squeeze/press(@a0)", "a2 save/reserve(@a1)", "a3 mash/mash(@a0; into 0.3)", "a4 beat/beat(0.2; with @a2, 0.5×0.1)", "a5 pour/pour(@a4; into @a3)"}},
		{"each of what was filled", "4 aubergines|300 g minced beef|4 tomatoes", "Slit the aubergines. Fill with the beef. Put a tomato on each.", []string{"a0 slit/cut(0.0)", "a1 fill/stuff(@a0; with 0.1)", "a2 put/place(0.2; into @a1)"}},
		{"a glaze that the list beats", "500 g flour|250 ml water|1 egg yolk beaten with 1 tbsp milk, to glaze", "Mix the flour and water. Brush with the glaze.", []string{"a0 mix/mix(0.0, 0.1)", "a1 brush/brush(@a0; with 0.2)"}},
		{"what is for glazing is the glaze", "500 g flour|250 ml water|1 egg, beaten, for glazing", "Mix the flour and water. Brush with the glaze.", []string{"a0 mix/mix(0.0, 0.1)", "a1 brush/brush(@a0; with 0.2)"}},
		{"the meat that was cut, and no pastry", "500 g pastry|350 g braising steak|350 g potatoes", "Cut the steak into cubes and slice the potatoes. Roll out the pastry. Fry the meat.", []string{"a0 cut/cut(0.1; makes cube)", "a1 slice/slice(0.2)", "a2 roll out/roll(0.0)", "a3 fry/fry(@a0)"}},
		{"over one half of each", "500 g pastry|350 g potatoes", "Roll out the pastry. Spread the potatoes over one half of each.", []string{"a0 roll out/roll(0.0)", "a1 spread/spread(0.1; into 0.5×@a0)"}},
		{"pushed around", "6 eggs|2 tbsp oil", "Heat the oil, pour in the eggs and push them gently around until just set.", []string{"a0 heat/heat(0.1)", "a1 pour in/pour(0.0; into @a0)", "a2 push around/stir(@a1; until just set; how: gently)"}},
		{"stirred to scramble", "2 eggs|2 tbsp oil", "Heat the oil, break in the eggs, leave for half a minute and stir to scramble.", []string{"a0 heat/heat(0.1)", "a1 break in/add(0.0; into @a0)", "a2 leave/rest(@a1; 0.5-0.5 min)", "a3 stir to scramble/scramble(@a2)"}},
	})
}

// A line of plants that names animal matter besides is to be looked at, and nothing else is.
func TestALineThatNamesAnAnimalBesidesIsLookedAt(t *testing.T) {
	for line, beside := range map[string]bool{
		"2 tins tomatoes. The bacon comes later": true, "300 g cabbage - the fat of the bacon softens it": true,
		"rice, to serve with butter": true, "2 lemons, for the chicken": false, "2 ribs celery, diced": false, "1 drumstick, cut in lengths": false, "50 g flour, to coat the fish": false,
		"400 ml coconut cream": false, "2 tbsp peanut butter": false, "400 g butter beans": false, "1 oyster mushroom": false, "2 tbsp chickpea flour": false,
	} {
		d := read(t, "Dish\nServes 4\n\n1 onion\n"+line+"\n\nMethod\n1. Chop the onion.")
		var told []string
		for _, n := range d.Notices {
			if n.Kind == recipe.AnimalBeside {
				told = append(told, n.Text)
			}
		}
		at := len(d.Components[0].Lines) - 1
		require.Equal(t, beside, len(told) == 1, "%s: %v %v", line, told, d.Components[0].Lines)
		require.Equal(t, beside, d.Components[0].Lines[at].Check, line)
	}
}

// Mushrooms that are strewn over a finished dish as powder were over a fire before: raw shiitake can bring out a rash.
func TestMushroomsStrewnOverADishWereHeated(t *testing.T) {
	l, strewn := reader(t).larder, 0
	for _, b := range l.Boosters() {
		if f := l.Food(b.Food); f == nil || f.Aisle != "mushrooms" || b.Moment == larder.AtEnd {
			continue
		}
		strewn++
		require.NotEmpty(t, b.Strewn, b.Food)
		d := read(t, "Dish\n\n10 g "+l.Food(b.Food).Name+"\n\nMethod\n1. "+b.Strewn)
		require.True(t, slices.ContainsFunc(d.Components[0].Steps[0].Actions, func(a recipe.Action) bool { return l.Technique(a.Technique).Hot() }), b.Strewn)
	}
	require.GreaterOrEqual(t, strewn, 2)
}
