package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What is meant by all of a thing, by words for sizes and vessels, and by names that share a head.
func TestAllOfAThingAndWhatSharesAHead(t *testing.T) {
	hear(t, []way{
		{"all of a thing", "300 g minced beef|1 onion, grated|50 g breadcrumbs", "Tip all of the ingredients into a bowl and mix. Roll into balls.", []string{"a0 tip into/place(0.0, 0.1, 0.2; into 'bowl)", "a1 mix/mix(@a0)", "a2 roll into balls/shape(@a1; makes ball)"}},
		{"all of one thing", "300 g minced beef|1 onion, grated", "Put the onion in a bowl and mix in all of the beef.", []string{"a0 put/place(0.1; into 'bowl)", "a1 mix in/mix(0.0; into @a0)"}},
		{"the ingredients but for what greased the tin", "200 g sugar|200 g butter|4 eggs", "Butter a cake tin. Beat all the cake ingredients together.", []string{"a0 butter/grease('cake tin; with 0.025×0.1)", "a1 beat/beat(0.0, 0.975×0.1, 0.2)"}},
		{"one of two, and the rest listed with others", "600 g beef|2 stock cubes|1 tsp thyme", "Boil the beef with a crumbled stock cube for 30 minutes. Add the remaining thyme and stock cube.", []string{"a0 boil/boil(0.0; with 0.5×0.1; 30-30 min)", "a1 add/add(0.2, 0.5×0.1; into @a0)"}},
		{"into the liquid that simmers", "1 onion|1 litre fish stock|400 g mussels", "Simmer the onion in the stock for 20 minutes. Add the mussels to the cooking liquid. Cover and cook for 5 minutes.", []string{"a0 simmer/simmer(0.0; with 0.1; 20-20 min)", "a1 add/add(0.2; into @a0)", "a2 cover/cover(@a1)", "a3 cook/cook(@a2; 5-5 min)"}},
		{"a second dish is no second", "100 g flour|2 eggs", "Put the flour in a shallow dish. Beat the eggs in a second dish.", []string{"a0 put/place(0.0; into 'shallow dish)", "a1 beat/beat(0.1)"}},
		{"two lengths of a tin", "400 g spaghetti|50 g butter", "Butter a 9-by-13-inch baking dish. Cook the spaghetti in salted water for 9 minutes.", []string{"a0 butter/grease('baking dish; with 0.1)", "a1 cook/cook(0.0; with 'salted water; 9-9 min)"}},
		{"served topped", "400 g spaghetti|20 g parsley", "Boil the spaghetti for 9 minutes. Serve topped with the parsley.", []string{"a0 boil/boil(0.0; 9-9 min)", "a1 serve/serve(@a0; with 0.1)"}},
		{"about the size of", "300 g minced beef|1 tbsp oil", "Roll the beef into balls, about the size of walnuts, and fry in the oil.", []string{"a0 roll into balls/shape(0.0; makes ball; how: about the size of walnuts)", "a1 fry in/fry(@a0; with 0.1)"}},
		{"spices but one", "1 onion|1 tsp ground cumin|1 tsp turmeric|1 tsp garam masala|1 tbsp oil", "Fry the onion in the oil for 5 minutes. Add the ground spices except the garam masala and cook for 2 minutes. Stir in the garam masala.", []string{"a0 fry/fry(0.0; with 0.4; 5-5 min)", "a1 add/add(0.1, 0.2; into @a0)", "a2 cook/cook(@a1; 2-2 min)", "a3 stir in/stir(0.3; into @a2)"}},
		{"spices but one that is not named again", "1 onion|1 tsp ground cumin|1 tsp turmeric|1 tsp garam masala|1 tbsp oil", "Fry the onion in the oil for 5 minutes. Add the spices except the turmeric.", []string{"a0 fry/fry(0.0; with 0.4; 5-5 min)", "a1 add/add(0.1, 0.3; into @a0)"}},
		{"spices that are in the pan do not go in again", "1 tbsp oil|1 onion|1 cinnamon stick|6 cardamom pods|1 tbsp ground coriander|2 tsp ground cumin", "Heat the oil. Fry the cinnamon and cardamom for 1 minute, then add the onion and cook for 10 minutes. Add ground spices and cook for 2 minutes.", []string{"a0 heat/heat(0.0)", "a1 fry/fry(0.2, 0.3; with @a0; 1-1 min)", "a2 add/add(0.1; into @a1)", "a3 cook/cook(@a2; 10-10 min)", "a4 add/add(0.4, 0.5; into @a3)", "a5 cook/cook(@a4; 2-2 min)"}},
		{"powder names no chilli powder", "1 onion|2 tsp chilli powder|1 tsp cumin|10 g dried shiitake|1 tbsp oil", "Fry the onion in the oil. Stir in the spices. Grind the shiitake to powder and stir it in.", []string{"a0 fry/fry(0.0; with 0.4)", "a1 stir in/stir(0.1, 0.2; into @a0)", "a2 grind/grind(0.3; makes powder)", "a3 stir in/stir(@a2; into @a1)"}},
		{"slits are made, not peeled", "8 eggs", "Boil the eggs for 10 minutes, peel and make a few slits in each.", []string{"a0 boil/boil(0.0; 10-10 min)", "a1 peel/peel(@a0)", "a2 make slits/score(@a1)"}},
		{"two sorts with one head", "50 g white chocolate|50 g milk chocolate|3 eggs", "Chop the white and milk chocolate. Whisk the eggs.", []string{"a0 chop/chop(0.0, 0.1)", "a1 whisk/whisk(0.2)"}},
		{"no head for what is listed by itself", "2 tomatoes|1 tbsp tomato paste|1 onion", "Add the tomatoes and tomato paste to the onion.", []string{"a0 add/add(0.0, 0.1; into 0.2)"}},
		{"towards the end", "200 g linguine|1 chilli|1 tbsp oil", "Boil the linguine for 10 minutes. Towards the end of the cooking time, fry the chilli in the oil.", []string{"a0 boil/boil(0.0; 10-10 min)", "a1 fry/fry(0.1; with 0.2)", "condition: Towards the end of the cooking time"}},
		{"bread is buttered, and lies buttered side down", "4 slices bread|20 g butter|2 slices ham", "Butter one side of each slice of bread. Lay two slices butter-side down in a cold skillet and top with the ham.", []string{"a0 butter/spread(0.0; with 0.1)", "a1 lay/place(0.5×@a0; into 'skillet; how: butter-side down)", "a2 top/top(@a1; with 0.2)"}},
	})
}

// A sentence that only says what is made next orders nothing; one that is the whole method does.
func TestWhatIsOnlyAnnounced(t *testing.T) {
	parts := "Meatballs\nServes 4\n\nFor the meatballs\n300 g minced beef\n1 onion, grated\n\nFor the sauce\n400 g passata\n1 tbsp oil\n\nMethod\n1. "
	for text, want := range map[string]string{
		"First, make the meatballs. Tip all of the meatball ingredients into a bowl.": "c0.s0.a0 tip into/place(0.0, 0.1; into 'bowl)",
		"Make the meatballs. Mix the beef with the onion.":                            "c0.s0.a0 mix/mix(0.0; with 0.1)",
		"Make the meatballs and fry them in the oil.":                                 "c0.s0.a0 make/mix(0.0, 0.1)",
	} {
		d := read(t, parts+text)
		require.Equal(t, want, show(d.Components[0].Steps[0].Actions[0]), text)
	}
}
