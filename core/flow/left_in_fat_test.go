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
		{"the meat of a dish, beside a little that waits", "1 kg venison, cubed|2 tbsp flour|100 g lardons|2 tbsp oil", "Toss the venison in the flour. Heat the oil and brown the meat in batches. Add the lardons and fry for 5 minutes.", []string{"a0 toss/toss(0.0; with 0.1)", "a1 heat/heat(0.3)", "a2 brown/brown(@a0; with @a1; how: in batches)", "a3 add/add(0.2; into @a2)", "a4 fry/fry(@a3; 5-5 min)"}},
	})
	require.Empty(t, reader(t).Animals("when they stop crackling", nil), "that is what seeds do")
	require.NotEmpty(t, reader(t).Animals("with the crackling", nil))
}
