package flow

import "testing"

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
	})
}
