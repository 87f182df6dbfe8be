package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What is cut from a sheet, what fries in the fat that is there, and looks that end a frying without a word for until.
func TestSheetsPansAndLooks(t *testing.T) {
	const pie = "600 g beef mince|1 onion|375 ml beef stock|2 sheets frozen shortcrust pastry, thawed|2 sheets frozen puff pastry, thawed"
	const spice = "2 tbsp ghee|1 tsp cumin seeds|1 bay leaf|2 onions, chopped"
	const rolls = "4 slices of beef|2 onions, 1 cut into strips and 1 chopped|1 carrot, diced"
	hear(t, []way{
		{"seeds with a leaf crackle in the fat that was heated", spice, "Heat the ghee in a pan and crackle the cumin seeds with the bay leaf. Add the onions.", []string{"a0 heat/heat(0.0)", "a1 crackle/temper(0.1; with 0.2, @a0)", "a2 add/add(0.3; into @a1)"}},
		{"what is put aside to cool is all of it", pie, "Cook the onion and the mince. Stir in the stock and simmer for 20 minutes. Set aside to cool.", []string{"a0 cook/cook(0.1, 0.0)", "a1 stir in/stir(0.2; into @a0)", "a2 simmer/simmer(@a1; 20-20 min)", "a3 set aside/reserve(@a2)"}},
		{"rounds are cut from a sheet", pie, "Cut six 10cm rounds from the puff pastry.", []string{"a0 cut/cut(0.4; how: six 10cm rounds)"}},
		{"a tin has two sizes", "600 g beef mince|1 tbsp oil", "Fry the mince in the oil. Grease a 20 cm (8 inch) cake tin.", []string{"a0 fry/fry(0.0; with 0.1)", "a1 grease/grease('(8 inch) cake tin)"}},
		{"of two onions that the list cuts each for itself, each goes in where it is named", rolls, "Put some onion strips on each slice of beef, roll up and brown. Take out the rolls. Fry the chopped onion and the carrot. Put the rolls back.", []string{"a0 put/place(0.5×0.1; into 0.0)", "a1 roll up/roll-up(@a0)", "a2 brown/brown(@a1)", "a3 take out/remove(@a2)", "a4 fry/fry(0.5×0.1, 0.2)", "a5 put back/return(@a3; into @a4)"}},
		{"wine that boils away leaves a dry pan", "100 ml white wine|1 onion", "Fry the onion. Pour in the wine and let it boil away.", []string{"a0 fry/fry(0.1)", "a1 pour in/pour(0.0; into @a0)", "a2 let boil/boil-off(@a1)"}},
		{"what is run in a processor is blended", "600 g haddock|1 tsp salt", "Run the haddock with the salt in a food processor until smooth.", []string{"a0 run processor/blend(0.0; with 0.1; until smooth)"}},
		{"how it looks outside ends a frying", "400 g chicken livers|2 tbsp oil", "Fry the livers in the oil for 2 minutes - brown outside, still pink inside. Take them out.", []string{"a0 fry/fry(0.0; with 0.1; 2-2 min; brown outside, still pink inside)", "a1 take out/remove(@a0)"}},
		{"the largest is no thing", "1 kg whole fish|1 litre water", "Simmer the water. Lower in the fish, largest first, and boil for 10 minutes.", []string{"a0 simmer/simmer(0.1)", "a1 lower in/add(0.0; into @a0; how: largest first)", "a2 boil/boil(@a1; 10-10 min)"}},
		{"what each gets is no bowl", "4 eggs|1 litre stock", "Poach the eggs in the stock. Ladle into bowls, an egg in each.", []string{"a0 poach/poach(0.0; with 0.1)", "a1 ladle into bowls/serve(@a0; with @a0; into 'bowls)"}},
		{"of two oils the one that is called no more than oil", "2 tbsp vegetable oil|300 g mushrooms|1 tbsp oil", "Heat the oil and fry the mushrooms. Wipe out the pan and add the vegetable oil.", []string{"a0 heat/heat(0.2)", "a1 fry/fry(0.1; with @a0)", "a2 wipe out/wash-pan()", "a3 add/add(0.0; into 'pan)"}},
	})
}

// A step that names nothing it is done to goes on in the part of the step before, and butter "for frying" is melted for that.
func TestAStepWithoutAnObjectGoesOn(t *testing.T) {
	d := read(t, "Fish cakes\n\n4 portions\n\n600 g haddock fillet\n1.5 tsp salt\n2 tbsp potato flour\n1 egg\n200 ml whole milk, cold\nbutter for frying\n\nBrown onions:\n2 onions, in rings\n1 tbsp butter\n\nRun the fish with the salt in a food processor until smooth. Add the potato flour and egg and mix. Add the milk in a thin stream.\nShape into flat cakes with a wet spoon. Melt butter in a pan and fry the cakes over a medium heat, 4 minutes a side, until brown and firm.\nMeanwhile cook the onion rings slowly in the butter until brown and sweet.\nServe the fish cakes with the onions.")
	require.Len(t, d.Components[0].Steps, 2)
	require.Len(t, d.Components[1].Steps, 2)
	melt := d.Components[0].Steps[1].Actions[1]
	require.Equal(t, "melt", melt.Technique)
	require.Equal(t, "components[0].lines[5]", *melt.To[0].Line)
}

// A sign that is no more than a look shares no verb with the one behind it.
func TestALookHasNoVerb(t *testing.T) {
	d := read(t, "Toasts\nServes 2\n\n4 slices bread\n80 g cheddar\n\nMethod\n1. Lay the cheddar on the bread and grill until golden and the cheese has melted.")
	signs := d.Components[0].Steps[0].Actions[1].Words.Signs
	require.Len(t, signs, 2)
	require.Equal(t, "golden", signs[0].Text)
}

// What is put aside with no word for what it is is all that is in the pan, and none of it alone.
func TestWhatIsPutAsideIsAllOfIt(t *testing.T) {
	d := read(t, "Filling\nServes 4\n\n600 g beef mince\n1 onion\n375 ml beef stock\n6 tart shells\n\nMethod\n1. Cook the onion and the mince. Stir in the stock and simmer for 20 minutes. Set aside to cool.\n2. Fill the shells with the mince mixture.")
	aside := d.Components[0].Steps[0].Actions[3]
	require.Equal(t, "reserve", aside.Technique)
	require.Len(t, aside.To, 1)
	require.Empty(t, aside.To[0].Of)
}

// "Roll out and line a tin" goes on with the dough, though a word of the step is that of another part.
func TestWhatIsRolledOutNextIsTheDough(t *testing.T) {
	d := read(t, "Quiche\nServes 6\n\nPastry\n250 g flour\n125 g cold butter\n1 egg yolk\n3-4 tbsp cold water\n\nFilling\n3 leeks\n20 g butter\n3 eggs\n200 ml crème fraîche\n\nRub the butter into the flour until you have crumbs. Mix the yolk with the water, add and bring together into a ball. Wrap and chill for 30 minutes.\nRoll out and line a 24 cm tart tin. Prick the base and chill again while you get on with the filling.\nSlice the leeks and cook slowly in the butter for 12 minutes.\nBeat the eggs with the crème fraîche. Pour over the leeks in the pastry case and bake for 30 minutes.")
	require.Len(t, d.Components[0].Steps, 2)
	require.Contains(t, d.Components[0].Steps[1].Text, "Roll out and line")
}
