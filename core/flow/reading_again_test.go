package flow

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
)

// What recipes of everyday and national dishes were once read as wrongly: each method with the actions that it comes to.
func TestMethodsOfManyKitchensAreRead(t *testing.T) {
	for name, x := range map[string]struct {
		lines, text string
		want        []string
	}{
		"chops fry in the fat that stands hot when they are seasoned": {
			"2 tbsp oil|500 g chicken thighs", "Heat the oil in a frying pan. Season the chicken and fry for 5 minutes.",
			[]string{"a0 heat/heat(0.0)", "a1 season/season(0.1)", "a2 fry/fry(@a1; with @a0; 5-5 min)"},
		},
		"what was taken out goes back to its pan, and not to the pasta": {
			"2 tbsp oil|500 g chicken thighs|1 onion|300 g pasta", "Fry the chicken in the oil in a frying pan for 5 minutes. Transfer to a plate. Add the onion and cook for 8 minutes. Cook the pasta in a large pan of salted water. Return the chicken to the pan and simmer for 3 minutes.",
			[]string{"a0 fry/fry(0.1; with 0.0; 5-5 min)", "a1 transfer/place(@a0; into 'plate)", "a2 add/add(0.2; into @a0)", "a3 cook/cook(@a2; 8-8 min)", "a4 cook/cook(0.3)", "a5 return/return(@a1; into @a3)", "a6 simmer/simmer(@a5; 3-3 min)"},
		},
		"raw beef is none of the bones in the broth": {
			"1 kg beef bones|2 litres water|250 g sirloin steak|300 g rice noodles", "Simmer the bones in the water for 4 hours and strain. Soak the noodles. Lay the raw beef on the noodles.",
			[]string{"a0 simmer/simmer(0.0; with 0.1; 240-240 min)", "a1 strain/strain(@a0)", "a2 soak/soak(0.3)", "a3 lay/place(0.2; into @a2)"},
		},
		"what each gets is all of it together, and the boat is what was pinched": {
			"500 g bread dough|300 g mozzarella|5 eggs", "Roll the dough into ovals. Pinch the ends together to make a boat. Make a hollow in each boat and crack in an egg.",
			[]string{"a0 roll/roll(0.0; makes oval)", "a1 pinch/shape('ends; makes boat)", "a2 make a hollow/well(@a0)", "a3 crack in/add(0.2; into @a2)"},
		},
		"draining over a bowl catches the liquor": {
			"1 kg clams|150 ml white wine|1 onion|1 tbsp oil", "Cook the clams in the wine for 4 minutes. Drain in a colander set over a bowl. Fry the onion in the oil. Add the strained liquor.",
			[]string{"a0 cook/cook(0.0; with 0.1; 4-4 min)", "a1 drain in/strain(@a0; how: set over a bowl)", "a2 fry/fry(0.2; with 0.3)", "a3 add/add(@a1; into @a2)"},
		},
		"brown bread is no order": {
			"1 lettuce|1 lemon", "Serve with lemon wedges and brown bread and butter.",
			[]string{"a0 serve/serve(; with 0.1, 'brown bread, 'butter)"},
		},
		"a dish is greased by rubbing": {
			"50 g butter|500 g potatoes", "Rub a dish with some of the butter. Put in the potatoes.",
			[]string{"a0 rub/grease('dish; with 0.1×0.0)", "a1 put in/add(0.1; into 'dish)"},
		},
		"peel that is taken out leaves what it was in in hand": {
			"200 ml milk|1 strip lemon zest|1 cinnamon stick|4 egg yolks", "Heat the milk with the lemon zest and cinnamon. Take out the zest and cinnamon, cool for 5 minutes and whisk in the egg yolks.",
			[]string{"a0 heat/heat(0.0; with 0.1, 0.2)", "a1 take out/remove(@a0, @a0)", "a2 cool/cool(@a0; 5-5 min)", "a3 whisk in/whisk(0.3; into @a2)"},
		},
		"with the aromatics that fry": {
			"1 onion|2 cloves garlic|1 tbsp oil|2 bay leaves|30 g tomato paste", "Fry the onion and garlic in the oil for 8 minutes. Fry the tomato paste with the aromatics.",
			[]string{"a0 fry/fry(0.0, 0.1; with 0.2; 8-8 min)", "a1 fry/fry(0.4; with @a0)"},
		},
	} {
		t.Run(name, func(t *testing.T) { require.Equal(t, x.want, heard(t, x.lines, x.text)) })
	}
}

// A thin slice weighs less than a thick one where the larder knows both.
func TestThinSlicesWeighLess(t *testing.T) {
	d := read(t, "Dish\nServes 2\n\n6 slices pork belly\n6 thin slices pork belly\n1 thin slice ham\n\nMethod\n1. Fry the pork belly.")
	thick, thin := d.Components[0].Lines[0].Mass(), d.Components[0].Lines[1].Mass()
	require.InDelta(t, 540, thick, 1)
	require.InDelta(t, 108, thin, 1)
	require.Positive(t, d.Components[0].Lines[2].Mass())
}

// The words for a part of an egg name an animal before any product, but white is a colour there.
func TestAYolkMixtureIsOfEgg(t *testing.T) {
	r := reader(t)
	require.NotEmpty(t, r.Animals("Fold it into the yolk mixture.", nil))
	for _, a := range r.Animals("Pour over the white sauce.", nil) {
		require.NotEqual(t, larder.Egg, a.Animal)
	}
}
