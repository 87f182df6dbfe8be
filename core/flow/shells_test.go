package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What is opened, shelled and beaten flat, and what the text calls by a name of its own.
func TestShellsAndNames(t *testing.T) {
	const mussels = "500 g mussels|150 ml white wine|1 leek|320 g rice"
	const rolls = "600 g beef topside in 4 slices|4 gherkins|2 tbsp lard|1 litre stock"
	hear(t, []way{
		{"shells that open in a pan are steamed, and what is taken out of them is shelled", mussels, "Open the mussels in the wine for 4 minutes. Take most of them out of their shells.", []string{"a0 open/steam(0.0; with 0.1; 4-4 min)", "a1 take out/peel(0.9×@a0)"}},
		{"slices are beaten flat, rolled and fastened", rolls, "Beat the slices of beef until thin. Lay a gherkin on each, roll up and fasten with a cocktail stick.", []string{"a0 beat/crush(0.0; until thin)", "a1 lay/place(0.1; into @a0)", "a2 roll up/roll-up(@a1)", "a3 fasten/tie(@a2; with 'cocktail stick)"}},
		{"eggs are not", "3 eggs|100 ml milk", "Beat the eggs with the milk.", []string{"a0 beat/beat(0.0; with 0.1)"}},
		{"a remark behind a colon tells a name, which what is strained in leaves it", mussels, "Simmer the leek in 1 litre of water and strain: this is your stock. Open the mussels in the wine and strain the juices into the stock. Cook the rice in the stock.", []string{"a0 simmer/simmer(0.2; with 'water)", "a1 strain/strain(@a0)", "a2 open/steam(0.0; with 0.1)", "a3 strain/strain(@a2; into @a1)", "a4 cook/cook(0.3; into @a3)", "remark: this is your stock"}},
		{"the chicken is its flesh, and not its skin", "250 g chicken breast|50 g chicken skin|2 tbsp oil", "Fry the chicken in the oil. Render the skin and remove it. Serve the chicken.", []string{"a0 fry/fry(0.0; with 0.2)", "a1 render/render(0.1)", "a2 remove/remove(@a1)", "a3 serve/serve(@a0; with @a2)"}},
		{"the fish is no head and bones", "1 fish head and bones|4 eel steaks|1 litre water", "Simmer the fish head and bones in the water and strain. Salt the fish.", []string{"a0 simmer/simmer(0.0; with 0.2)", "a1 strain/strain(@a0)", "a2 salt/season(0.1; with 'salt)"}},
		{"fat that something has released is no fat of the list", "250 g sausages|2 tbsp lard|1 onion|500 ml stock", "Fry the onion in the lard and pour in the stock. Brown the sausages in a dry pan and add them to the pot together with the fat they have released.", []string{"a0 fry/fry(0.2; with 0.1)", "a1 pour in/pour(0.3; into @a0)", "a2 brown/brown(0.0)", "a3 add/add(@a2; with 'fat; into @a1)"}},
		{"what was peeled and cut stands in the list", "1 kg potatoes|3 cloves of garlic|500 ml stock", "Add the potatoes, peeled and cut into 2 cm dice, the garlic, crushed, and the stock. Cover.", []string{"a0 add/add(0.0, 0.1, 0.2)", "a1 cover/cover(@a0)"}},
		{"oil is poured off without what was fried in it", "1 kg chicken|200 ml oil|1 onion|150 ml passata", "Fry the chicken in the oil. Drain. Pour off all but 4 tbsp of the oil. Fry the onion in it, add the passata, half-cover and simmer for 5 minutes.", []string{"a0 fry/fry(0.0; with 0.1)", "a1 drain/drain(@a0)", "a2 pour off/pour(@a0)", "a3 fry/fry(0.2; with @a2)", "a4 add/add(0.3; into @a3)", "a5 half-cover/cover(@a4)", "a6 simmer/simmer(@a5; 5-5 min)"}},
		{"ribs of leaves are none of the mince", "1 white cabbage|400 g minced beef and pork|1 onion", "Cut the core out of the cabbage and boil it whole in salted water for 15 minutes, peeling off the leaves. Save the cooking water. Shave the thick ribs flat.", []string{"a0 cut/cut(0.0)", "a1 boil/boil(@a0; with 'salted water; 15-15 min; how: whole)", "a2 peel off/peel(@a1)", "a3 save/reserve(@a1)", "a4 shave/slice(@a2; how: flat)"}},
		{"sugar that is rained in", "2 egg whites|80 g sugar", "Whisk the whites. Rain the sugar into the whites.", []string{"a0 whisk/whisk(0.0)", "a1 rain/add(0.1; into @a0)"}},
	})
}

// What another part of the dish made goes by the name of that part, and its lines by what is left of them.
func TestAnotherPartByItsName(t *testing.T) {
	d := read(t, "Noodles\nServes 2\n\nTopping\n250 g chicken breast, diced\n1 tbsp oil\n1 tsp soy sauce\n150 ml water\n\nChicken oil\n50 g chicken skin\n4 tbsp oil\n3 cloves garlic, minced\n\nNoodles\n200 g noodles\n1 head pak choi\n2 tsp soy sauce\n1 spring onion\n1 lettuce\n\n1. Chicken oil: put the skin and the oil in a small cold pan, heat slowly and let the skin render for 15 minutes until crisp. Remove the skin, add the garlic and fry until pale gold. Take off the heat.\n2. Topping: fry the chicken in the oil, add the soy sauce and the water and simmer for 10 minutes.\n3. Cook the noodles in boiling water for 2 minutes. Blanch the pak choi in the same water. Drain.\n4. In each bowl mix 1 tbsp chicken oil with 1 tsp soy sauce. Add the noodles and toss. Top with the chicken, the pak choi, lettuce and spring onion.")
	steps := d.Components[2].Steps
	require.Len(t, steps, 2)
	blanch := steps[0].Actions[1]
	require.NotNil(t, blanch.With[0].Named, "water from the tap, and not that of the topping")
	mix := steps[1].Actions[0]
	require.NotNil(t, mix.To[0].Made)
	require.Equal(t, "c1.s0.a6", *mix.To[0].Made)
	require.Equal(t, "components[2].lines[2]", *mix.With[0].Line)
	require.InDelta(t, 1, mix.With[0].Share, 0.01, "in each of two bowls")
}

// An order that opens a part and names nothing means all that the part lists; not one in the middle of a step.
func TestAnOrderWithoutAThingOpensAPart(t *testing.T) {
	d := read(t, "Chicken\nServes 4\n\n1 kg chicken pieces\n200 ml passata\n\nGrind to a paste: 15 dried chillies, 6 shallots, 4 cloves garlic\n\nMethod\n1. Fry the paste. Stir in the passata and the chicken and simmer for 20 minutes.")
	require.Equal(t, "Paste", d.Components[1].Name)
	grind := d.Components[1].Steps[0].Actions[0]
	require.Equal(t, "grind", grind.Technique)
	require.Len(t, grind.To, 3)
	require.Equal(t, "c1.s0.a0", *d.Components[0].Steps[0].Actions[0].To[0].Made)
	caramel := read(t, "Custard\nServes 4\n\nCaramel\n100 g sugar\n2 tbsp water\n\nCustard\n500 ml milk\n1 vanilla pod\n4 eggs\n80 g sugar\n\nMethod\n1. Boil the sugar and water without stirring until deep amber. Pour at once into six ramekins and swirl. Heat the milk with the split vanilla pod. Whisk the eggs with the sugar and pour on the milk.")
	for _, c := range caramel.Components {
		for _, s := range c.Steps {
			for _, a := range s.Actions {
				require.Less(t, len(a.To), 3, a.Verb)
			}
		}
	}
}
