package flow

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
)

// What goes into something that is in hand, and what is stirred through it.
func TestWhatGoesIntoWhatIsInHand(t *testing.T) {
	hear(t, []way{
		{"butter with vinegar in it", "25 g butter|1 tsp vinegar|125 ml milk", "Melt the butter and stir in the vinegar. Add the milk to the butter.", []string{"a0 melt/melt(0.0)", "a1 stir in/stir(0.1; into @a0)", "a2 add/add(0.2; into @a1)"}},
		{"what stands by", "200 g bacon|400 g pasta", "Fry the bacon until crisp and lift it out. Boil the pasta and drain it. Stir through the bacon.", []string{"a0 fry/fry(0.0; until crisp)", "a1 lift out/remove(@a0)", "a2 boil/boil(0.1)", "a3 drain/drain(@a2)", "a4 stir through/stir(@a1; into @a3)"}},
		{"whites through what is mixed", "4 eggs, separated|100 g sugar|500 g mascarpone", "Beat the yolks with the sugar and beat in the mascarpone. Whip the whites and fold through the mascarpone.", []string{"a0 beat/beat(0.34×0.0; with 0.1)", "a1 beat in/beat(0.2; into @a0)", "a2 whip/whisk(0.66×0.0)", "a3 fold through/fold(@a2; into @a1)"}},
		{"the fat in the pot", "1 tbsp lard|100 g chorizo|200 g noodles", "Heat the lard in a pot. Add the chorizo and cook for 6 minutes. Scoop it out and reserve. Add the noodles to the fat in the pot.", []string{"a0 heat/heat(0.0)", "a1 add/add(0.1; into @a0)", "a2 cook/cook(@a1; 6-6 min)", "a3 scoop out/remove(@a2)", "a4 reserve/reserve(@a3)", "a5 add/add(0.2; into @a2)"}},
		{"the rest of a broth", "4 tomatoes|1.2 litres chicken broth", "Blend the tomatoes with a cup of the broth. Fry the purée. Add the remaining broth.", []string{"a0 blend/blend(0.0; with 0.2×0.1)", "a1 fry/fry(@a0)", "a2 add/add(0.8×0.1; into @a1)"}},
		{"a verb of two words joins", "2 onions|30 g flour|400 ml stock", "Fry the onions, dust with the flour, then blend in the stock.", []string{"a0 fry/fry(0.0)", "a1 dust/dust(@a0; with 0.1)", "a2 blend in/mix(0.2; into @a1)"}},
	})
}

// What words ask for that other words beside them turn.
func TestWhatWordsAskFor(t *testing.T) {
	hear(t, []way{
		{"fat that runs", "200 g guanciale", "Put the guanciale in a pan and let the fat run for 10 minutes. Lift it out and leave the fat in the pan.", []string{"a0 put/place(0.0; into 'pan)", "a1 let the fat/render(@a0; 10-10 min; how: run)", "a2 lift out/remove(@a1)", "a3 leave/rest('fat)"}},
		{"butter cut in", "200 g flour|50 g butter", "Cut in the butter until like crumbs.", []string{"a0 cut in/rub-in(0.1; until like crumbs)"}},
		{"butter cut in pieces", "200 g flour|50 g butter", "Cut the butter in small pieces.", []string{"a0 cut in/cut(0.1; how: in small pieces)"}},
		{"yolks that are broken and drawn", "3 tomatoes|4 eggs", "Fry the tomatoes. Crack in the eggs, break the yolks and draw them through the tomatoes.", []string{"a0 fry/fry(0.0)", "a1 crack in/add(0.1; into @a0)", "a2 break/crush(@a1)", "a3 draw/stir(@a2; into @a2)"}},
		{"a pan drawn off the heat", "3 tomatoes", "Fry the tomatoes. Draw the pan off the heat.", []string{"a0 fry/fry(0.0)", "a1 draw off the heat/off-heat(@a0)"}},
		{"a circle", "3 tomatoes", "Draw a circle on paper. Fry the tomatoes.", []string{"a0 fry/fry(0.0)", "remark: Draw a circle on paper"}},
	})
}

// Several lines of a group are meant together, and salt of another part is none of this one's.
func TestGroupsAndOtherPartsSalt(t *testing.T) {
	hear(t, []way{
		{"minced meats", "250 g minced pork|250 g minced veal|1 tsp salt", "Work the salt into the minced meats.", []string{"a0 work into/mix(0.2; into 0.0, 0.1)"}},
		{"minced pork", "250 g minced pork|250 g minced veal|1 tsp salt", "Work the salt into the minced pork.", []string{"a0 work into/mix(0.2; into 0.0)"}},
	})
	for _, said := range []string{"Wipe a pan with butter", "Butter a frying pan"} {
		d := read(t, "Crêpes\n\nFor the crêpes\n125 g flour\n300 ml milk\n20 g butter, melted, plus more for the pan\n\nFor the sauce\n80 g butter\n80 g sugar\n\nMethod\n\nCrêpes\n1. Whisk the flour with the milk and the melted butter. "+said+" and fry 8 thin crêpes from the batter.\n\nSauce\n2. Melt the sugar and whisk in the butter.")
		with := d.Components[0].Steps[0].Actions[1].With
		require.Len(t, with, 1, said)
		require.NotNil(t, with[0].Named, "%s: more of it, and not the butter of the sauce", said)
	}
	hear(t, []way{
		{"own fat, and butter for the table", "250 g salt pork|1 onion|To serve: melted butter", "Fry the pork in its own fat until brown. Add the onion. Serve with melted butter.", []string{"a0 fry/fry(0.0; until brown)", "a1 add/add(0.1; into @a0)", "a2 serve/serve(@a1; with 0.2)"}},
	})
	malva := read(t, "Cake\n\nFor the cake\n25 g butter\n1 tsp vinegar\n125 ml milk\n\nFor the sauce\n100 g butter\n\nMethod\n1. Melt the butter and stir in the vinegar. Add the milk to the butter.\n2. Melt the butter for the sauce.")
	require.NotNil(t, malva.Components[0].Steps[0].Actions[2].Into[0].Made, "the butter in hand, and not that of the sauce")
	d := read(t, "Biscuits\n\nFor the biscuits\n200 g flour\n1 tsp salt\n100 ml water\n\nFor the gravy\n400 ml milk\n1 tsp pepper\n\nMethod\n1. Mix the flour, salt and water and bake for 15 minutes.\n2. Simmer the milk. Season with the pepper and salt.")
	with := d.Components[1].Steps[0].Actions[1].With
	require.Len(t, with, 2)
	require.NotNil(t, with[1].Named)
	require.Equal(t, "salt", *with[1].Named)
}

// What words of parts, pots and shares mean.
func TestWhatPartsAndSharesMean(t *testing.T) {
	hear(t, []way{
		{"shells that were kept", "800 g raw prawns, peeled (keep the shells)|1 onion", "Toss the prawns with salt. Simmer the shells in 500 ml water for 20 minutes, then strain. Keep the stock. Fry the onion and add the stock.", []string{"a0 toss/toss(0.0; with 'salt)", "a1 simmer/simmer('shells; with 'water; 20-20 min)", "a2 strain/strain(@a1)", "a3 keep/reserve(@a2)", "a4 fry/fry(0.1)", "a5 add/add(@a3; into @a4)"}},
		{"an edge", "300 g pastry", "Roll out the pastry. Moisten the edge with water and fold over.", []string{"a0 roll out/roll(0.0)", "a1 moisten/deglaze('edge; with 'water)", "a2 fold over/fold(@a0)"}},
		{"everything in the pot", "300 g potatoes|250 g macaroni|200 g Gruyère", "Boil the potatoes for 5 minutes. Add the macaroni and cook everything for 8 minutes. Stir in the cheese.", []string{"a0 boil/boil(0.0; 5-5 min)", "a1 add/add(0.1; into @a0)", "a2 cook/cook(@a1; 8-8 min)", "a3 stir in/stir(0.2; into @a2)"}},
		{"each of two", "500 ml stock|2 eggs", "Boil the stock. Crack an egg into each of two bowls and ladle the stock over.", []string{"a0 boil/boil(0.0)", "a1 crack/add(0.1; into 'two bowls)", "a2 ladle over/pour(@a0; into @a1)"}},
		{"poured off", "500 g potatoes|250 ml oil|salt", "Heat the oil and fry the potatoes. Drain on paper and sprinkle with salt. Pour off all but 3 tablespoons of the oil.", []string{"a0 heat/heat(0.1)", "a1 fry/fry(0.0; with @a0)", "a2 drain on/drain(@a1)", "a3 sprinkle/sprinkle(@a2; with 0.2)", "a4 pour off/pour(@a1)"}},
		{"what is told", "2 eggs", "Poach the eggs. Leave a minute so the whites turn milky.", []string{"a0 poach/poach(0.0)", "a1 leave/rest(@a0; 1-1 min; how: so the whites turn milky)"}},
		{"pieces of it", "150 g minced pork|1 tsp pepper|500 ml stock", "Mix the pork with the pepper. Pinch off marble-sized pieces of the pork and drop them into the stock.", []string{"a0 mix/mix(0.0; with 0.1)", "a1 pinch off/shape(@a0)", "a2 drop/add(@a1; into 0.2)"}},
		{"crumbs for the crumbs", "6 rashers bacon|60 g sourdough, blitzed to crumbs", "For the crumbs, fry the bacon until crisp. Lift out and chop. Fry the crumbs, then mix with the bacon.", []string{"a0 fry/fry(0.0; until crisp)", "a1 lift out/remove(@a0)", "a2 chop/chop(@a1)", "a3 fry/fry(0.1)", "a4 mix/mix(@a3; with @a2)"}},
		{"dumplings that are filled", "300 g dough|100 g pork", "Roll out the dough. Fill it with the pork. Simmer the dumplings in water for 6 minutes. Lift out and serve.", []string{"a0 roll out/roll(0.0)", "a1 fill/stuff(@a0; with 0.1)", "a2 simmer/simmer(@a1; with 'water; 6-6 min)", "a3 lift out/remove(@a2)", "a4 serve/serve(@a3)"}},
	})
}

// A starch that was stirred in binds at once, whatever else a sauce would take to thicken.
func TestStarchBindsAtOnce(t *testing.T) {
	for text, least := range map[string][2]float64{
		"Simmer the stock for 5 minutes. Stir in the cornflour and cook until the sauce thickens.": {0, bindsIn},
		"Simmer the stock for 5 minutes. Stir in the carrots and cook until the sauce thickens.":   {5, 40},
	} {
		d := read(t, "Sauce\n\n1 litre stock\n1 tbsp cornflour\n2 carrots\n\nMethod\n1. "+text)
		graph := Trace(reader(t).larder, &d)
		last := graph.Nodes[len(graph.Nodes)-1]
		require.GreaterOrEqual(t, last.Lasts, least[0], text)
		require.LessOrEqual(t, last.Lasts, least[1], text)
	}
}

// The first time that words say.
func TestMinutesOfWords(t *testing.T) {
	r := reader(t)
	for said, want := range map[string]float64{"stirring after an hour": 60, "turning after 10 minutes": 10, "in a single layer": 0, "basting every 20-30 minutes": 25} {
		require.InDelta(t, want, r.Minutes(said), 5.1, said)
	}
}

// A fat is next to nothing else, and is there to cook with.
func TestWhatIsAFat(t *testing.T) {
	l := reader(t).larder
	for _, id := range []string{"butter", "ghee", "olive-oil", "lard", "suet", "vegetable-suet", "margarine", "coconut-oil", "beef-dripping"} {
		require.True(t, larder.IsFat(l.Food(id)), id)
	}
	for _, id := range []string{"walnut", "pine-nut", "mayonnaise", "guanciale", "lardo", "desiccated-coconut", "hazelnut-butter", "lecithin", "double-cream"} {
		require.False(t, larder.IsFat(l.Food(id)), id)
	}
	require.False(t, larder.IsFat(nil))
}
