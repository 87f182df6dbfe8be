package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What is left in hot fat fries, what runs off is kept, and a list goes on behind a condition.
func TestWhatLiesInHotFatAndWhatRunsOff(t *testing.T) {
	hear(t, []way{
		{"left in hot fat", "600 g cooked pork, shredded|2 tbsp lard", "Heat the lard in a frying pan until very hot. Press in the pork and leave without moving for 4 minutes until crisp underneath.", []string{"a0 heat/heat(0.1; until very hot)", "a1 press in/press(0.0; into @a0)", "a2 leave/fry(@a1; 4-4 min; until crisp underneath; how: without moving)"}},
		{"settles in hot fat", "4 eggs|2 tbsp oil", "Heat the oil in a pan. Pour in the eggs, leave for 30 seconds and stir.", []string{"a0 heat/heat(0.1)", "a1 pour in/pour(0.0; into @a0)", "a2 leave/rest(@a1; 0.5-0.5 min)", "a3 stir/stir(@a2)"}},
		{"left where nothing is hot", "300 g chicken, diced|2 tbsp oil", "Pour the oil into a bowl. Add the chicken and leave for 10 minutes.", []string{"a0 pour/pour(0.1; into 'bowl)", "a1 add/add(0.0; into @a0)", "a2 leave/rest(@a1; 10-10 min)"}},
		{"the stock is what is drained off", "600 g mutton, cubed|1 onion|1 tsp cumin", "Simmer the mutton with the onion and 400 ml of water for 60 minutes. Drain and keep the stock. Fry the mutton with the cumin and pour in the reserved stock.", []string{"a0 simmer/simmer(0.0; with 0.1, 'water; 60-60 min)", "a1 drain/drain(@a0)", "a2 keep/reserve(@a0)", "a3 fry/fry(@a1; with 0.2)", "a4 pour in/pour(@a2; into @a3)"}},
		{"a list behind a condition", "2 tbsp oil|1 tsp mustard seeds|200 g shallots, sliced|2 green chillies", "Heat the oil, add the mustard seeds and, once they have popped, the shallots and chillies. Fry until brown.", []string{"a0 heat/heat(0.0)", "a1 add/add(0.1, 0.2, 0.3; into @a0; how: once they have popped)", "a2 fry/fry(@a1; until brown)"}},
		{"once, at the head", "2 tbsp oil|1 tsp mustard seeds|1 onion, sliced", "Heat the oil and add the mustard seeds; once they pop, add the onion. Cook for 7 minutes.", []string{"a0 heat/heat(0.0)", "a1 add/add(0.1; into @a0)", "a2 add/add(0.2; into @a1)", "a3 cook/cook(@a2; 7-7 min)", "condition: once they pop"}},
		{"a spoonful of half, and the rest of that", "60 g butter|60 g breadcrumbs|2 leeks, sliced|800 g potatoes", "Melt half the butter and mix 1 tbsp of it with the breadcrumbs. Cook the leeks in the rest of the melted butter for 8 minutes. Mash the potatoes with the remaining butter.", []string{"a0 melt/melt(0.5×0.0)", "a1 mix/mix(0.48×@a0; with 0.1)", "a2 cook/cook(0.2; with @a0; 8-8 min)", "a3 mash/mash(0.3; with 0.5×0.0)"}},
		{"a spoonful of what was melted", "60 g butter|60 g breadcrumbs|2 leeks, sliced", "Melt the butter. Mix 1 tbsp of the melted butter with the breadcrumbs. Cook the leeks in the remaining melted butter for 8 minutes.", []string{"a0 melt/melt(0.0)", "a1 mix/mix(0.24×@a0; with 0.1)", "a2 cook/cook(0.2; with @a0; 8-8 min)"}},
		{"some sticks of several", "4 sticks celery: 2 halved, 2 diced|1 litre water|2 tbsp oil", "Simmer the halved celery in the water for 20 minutes. Fry the diced celery in the oil.", []string{"a0 simmer/simmer(0.5×0.0; with 0.1; 20-20 min)", "a1 fry/fry(0.5×0.0; with 0.2)"}},
		{"what goes back is what was set aside", "1 kg diced venison shoulder|2 tbsp flour|3 tbsp oil|100 g smoked bacon lardons|12 shallots|500 ml beef stock", "Season the flour and toss the venison in it. Heat 2 tbsp of the oil and brown the meat in batches. Set aside. Add the last of the oil and fry the lardons and shallots. Return the meat.", []string{"a0 season/season(0.1)", "a1 toss/toss(0.0; with @a0)", "a2 heat/heat(0.667×0.2)", "a3 brown/brown(@a1; with @a2; how: in batches)", "a4 set aside/reserve(@a3)", "a5 add/add(0.333×0.2; into @a3)", "a6 fry/fry(0.3, 0.4; with @a5)", "a7 return/return(@a4; into @a6)"}},
	})
	require.Empty(t, reader(t).Animals("when they stop crackling", nil), "that is what seeds do")
	require.NotEmpty(t, reader(t).Animals("with the crackling", nil))
}

// "The meat" is that of which there is by far most, also when it has been worked on and bacon waits; not so where there is as much.
func TestTheMeatIsWhatThereIsMostOf(t *testing.T) {
	for lardons, meant := range map[string]string{"100 g": "c0.s0.a1", "400 g": ""} {
		d := read(t, "Venison\nServes 6\n\n1 kg diced venison shoulder\n2 tbsp flour\n3 tbsp oil\n"+lardons+" smoked bacon lardons\n12 shallots\n\nMethod\n1. Season the flour and toss the venison in it.\n2. Heat 2 tbsp of the oil and brown the meat in batches.\n3. Add the last of the oil and fry the lardons and shallots.")
		to := d.Components[0].Steps[1].Actions[1].To
		require.Len(t, to, 1)
		if meant == "" {
			require.Nil(t, to[0].Made, "nobody knows which is meant")
		} else {
			require.Equal(t, meant, *to[0].Made)
		}
	}
}
