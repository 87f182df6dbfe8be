package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// Which pot is meant, and what stays in it.
func TestWhichPotIsMeant(t *testing.T) {
	const steak = "800 g flank steak|1 bay leaf|1 onion"
	const shchi = "1 kg chicken legs|2.5 l water|500 g sauerkraut|3 potatoes|1 onion"
	hear(t, []way{
		{"the broth of tap water, with a leaf in it", steak, "Put the steak in a pot with the bay leaf, cover with water and simmer for 2 hours. Shred it. Keep 200 ml of the broth.", []string{"a0 put/place(0.0; with 0.1; into 'pot)", "a1 cover/cover(@a0; with 'water)", "a2 simmer/simmer(@a1; 120-120 min)", "a3 shred/shred(@a2)", "a4 keep/reserve(0.5×@a2)"}},
		{"and with nothing in it but what is taken out", steak, "Cover the steak with water and simmer for 2 hours. Lift it out. Fry the onion and add 200 ml of the broth.", []string{"a0 cover/cover(0.0; with 'water)", "a1 simmer/simmer(@a0; 120-120 min)", "a2 lift out/remove(@a1)", "a3 fry/fry(0.2)", "a4 add/add(0.5×@a1; into @a3)"}},
		{"dumplings that are lifted out of it are served, and not the water", "300 g dough|200 g mince", "Fill the dough with the mince. Simmer in water for 6 minutes. Lift out and serve.", []string{"a0 fill/stuff(0.0; with 0.1)", "a1 simmer in/simmer(@a0; with 'water; 6-6 min)", "a2 lift out/remove(@a1)", "a3 serve/serve(@a2)"}},
		{"the same water", steak, "Poach the steak in 700 ml water for 15 minutes. Take it out and shred it. Cook the onion in the same water.", []string{"a0 poach/poach(0.0; with 'water; 15-15 min)", "a1 take out/remove(@a0)", "a2 shred/shred(@a1)", "a3 cook/cook(0.2; with @a0)"}},
		{"the broth is no stew into which a ladle of it went", shchi, "Simmer the chicken in the water for 60 minutes. Fry the onion, pour in a ladleful of the broth and stew for 20 minutes. Put the potatoes in the broth.", []string{"a0 simmer/simmer(0.0; with 0.1; 60-60 min)", "a1 fry/fry(0.4)", "a2 pour in/pour(0.1×@a0; into @a1)", "a3 stew/stew(@a2; 20-20 min)", "a4 put/place(0.3; into @a0)"}},
		{"nor when the chicken has been taken out", shchi, "Simmer the chicken in the water for 60 minutes. Fry the onion, pour in a ladleful of the broth and stew for 20 minutes. Take the chicken from the broth. Put the potatoes in the broth.", []string{"a0 simmer/simmer(0.0; with 0.1; 60-60 min)", "a1 fry/fry(0.4)", "a2 pour in/pour(0.1×@a0; into @a1)", "a3 stew/stew(@a2; 20-20 min)", "a4 take/remove(@a0)", "a5 put/place(0.3; into @a0)"}},
		{"more goes into what boils", shchi, "Boil the potatoes in the water for 10 minutes, then the onion.", []string{"a0 boil/boil(0.3; with 0.1; 10-10 min)", "a1 boil/boil(0.4; into @a0)"}},
		{"oil for frying is for no dry pan", "100 g bacon|oil for frying", "Fry the bacon in a dry pan.", []string{"a0 fry/fry(0.0)"}},
		{"what is strained where some was thrown out", "1 kg clams|100 ml white wine|1 tbsp oil", "Heat the oil, add the clams and the wine and simmer for 3 minutes. Throw out any that stay shut and strain the liquid.", []string{"a0 heat/heat(0.2)", "a1 add/add(0.0, 0.1; into @a0)", "a2 simmer/simmer(@a1; 3-3 min)", "a3 throw out/discard(0.1×@a2)", "a4 strain/strain(@a2)"}},
		{"through a fork into the soup", "1 litre stock|2 eggs", "Simmer the stock. Pour the eggs through a fork in a thin stream.", []string{"a0 simmer/simmer(0.0)", "a1 pour/pour(0.1; into @a0; how: in a thin stream / through a fork)"}},
		{"in through a fork", "1 litre stock|2 eggs", "Simmer the stock. Pour the eggs in through a fork.", []string{"a0 simmer/simmer(0.0)", "a1 pour in/pour(0.1; into @a0; how: through a fork)"}},
		{"the dry is what was mixed dry, and no chocolate", "300 g flour|2 tsp baking powder|150 g sugar|2 eggs|100 g white chocolate", "Mix the flour, baking powder and sugar. Whisk the eggs. Pour the eggs into the dry and stir.", []string{"a0 mix/mix(0.0, 0.1, 0.2)", "a1 whisk/whisk(0.3)", "a2 pour/pour(@a1; into @a0)", "a3 stir/stir(@a2)"}},
		{"the buns are the dough, and not what is to fill them", "300 g flour|160 ml milk|400 g duck|4 tbsp hoisin sauce", "Mix the flour and milk and knead. Divide into balls and steam for 8 minutes. Toss the duck with the hoisin. Open the buns and fill them with the duck.", []string{"a0 mix/mix(0.0, 0.1)", "a1 knead/knead(@a0)", "a2 divide/divide(@a1; makes ball)", "a3 steam/steam(@a2; 8-8 min)", "a4 toss/toss(0.2; with 0.3)", "a5 open/uncover(@a3)", "a6 fill/stuff(@a5; with @a4)"}},
	})
}

// How things lie, and how large they are cut.
func TestBesideEachOtherAndAsLarge(t *testing.T) {
	const beans = "300 g beans|200 g rice|8 spring onions"
	hear(t, []way{
		{"the second onion, of one chopped and one blended", "2 onions, one chopped and one blended|2 red peppers|150 ml oil", "Blend the peppers with the second onion. Fry the chopped onion in the oil.", []string{"a0 blend/blend(0.1; with 0.5×0.0)", "a1 fry/fry(0.5×0.0; with 0.2)"}},
		{"side by side", beans, "Serve the rice and beans side by side.", []string{"a0 serve/serve(0.1, 0.0; how: side by side)"}},
		{"the same length", beans, "Cut the spring onions the same length as the beans are long.", []string{"a0 cut/cut(0.2; how: the same length as the beans are long)"}},
		{"into pieces of a size, and on", beans, "Cut the spring onions into pieces the same size as the beans and put them in a pan.", []string{"a0 cut/cut(0.2; makes piece; how: the same size as the beans)", "a1 put/place(@a0; into 'pan)"}},
	})
	d := read(t, "Bake\n\n700 g cod\n\nMethod\n1. Bake the cod for 15 minutes, until the flesh flakes easily and is 52°C in the middle.")
	signs := d.Components[0].Steps[0].Actions[0].Words.Signs
	require.Len(t, signs, 2)
	require.True(t, signs[0].Says)
	require.False(t, signs[1].Says, "it is one of the flesh too")
}

// A step is of the part whose lines it names, and not of that which everything would be.
func TestEverythingInHandNamesNoLines(t *testing.T) {
	d := read(t, "Plate\nServes 6\n\nFor the meat:\n800 g flank steak\n2 tbsp oil\n1 onion\n1 red pepper\n3 tomatoes\n\nFor the beans:\n300 g black beans\n100 g bacon\n1 onion\n1 tbsp brown sugar\n\n1. Simmer the steak in water.\n2. Cook the beans in water.\n3. Fry the bacon, add the onion and cook. Tip everything into the beans and stir in the sugar.\n4. Heat the oil and soften the onion and pepper.")
	require.Len(t, d.Components[1].Steps, 2)
	require.Equal(t, []int{0, 1, 2, 3}, d.Components[1].Steps[1].Lines)
	kofta := read(t, "Curry\nServes 4\n\nKoftas\n500g lamb mince\n1 small onion, grated\n\nCurry sauce\n3 tbsp ghee\n1 large onion, chopped\n400g tomatoes\n150ml cream\n\nSqueeze the water out of the grated onion, then mix all the kofta ingredients with 1 tsp salt and shape.\n\nFry the onion in the ghee, add the tomatoes and cream and simmer for 15 minutes. Add the koftas.")
	require.Len(t, kofta.Components[0].Steps, 1, "it says of which part the ingredients are")
	two := read(t, "Empanadas\nServes 4\n\nFilling:\n12 olives\n2 hard-boiled eggs\n\nTo finish:\n1 egg (beaten)\n\n1. Mix the olives and eggs.\n2. Brush with the egg.")
	require.Len(t, two.Components[0].Steps[0].Actions[0].To, 2, "the egg to brush with is of another part")
}

// "Slice" makes a fish a tool only where it is one.
func TestSlicesOfFleshAreNoTool(t *testing.T) {
	for step, want := range map[string]string{
		"Cut them as long as the beef slices are wide.": "beef", "Lay the fish slices on top.": "fish", "Add a few fish slices.": "fish",
		"Lift out with a fish slice.": "", "Cut them the same length as the beef.": "beef", "Cut them like the chicken pieces.": "chicken", "Cut them like chicken.": "", "Beat until it looks like cream.": "",
	} {
		found := reader(t).Animals(step, nil)
		if want == "" {
			require.Empty(t, found, step)
			continue
		}
		require.NotEmpty(t, found, step)
		require.Contains(t, found[0].Name, want, step)
	}
}
