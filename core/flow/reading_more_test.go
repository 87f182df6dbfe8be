package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What plain recipes were once read as wrongly: each method with the actions that it comes to.
func TestPlainMethodsAreRead(t *testing.T) {
	for name, x := range map[string]struct {
		lines, text string
		want        []string
	}{
		"what is made next is only announced where nothing is it yet": {
			"12 chipolatas|140 g flour|2 eggs|175 ml milk", "Bake the chipolatas for 15 minutes. Make the batter. Tip the flour into a bowl, crack in the eggs and whisk in the milk. Pour in the batter and bake for 40 minutes.",
			[]string{"a0 bake/bake(0.0; 15-15 min)", "a1 tip into/place(0.1; into 'bowl)", "a2 crack in/add(0.2; into @a1)", "a3 whisk in/whisk(0.3; into @a2)", "a4 pour in/pour(@a3; into @a0)", "a5 bake/bake(@a4; 40-40 min)", "remark: Make the batter"},
		},
		"a case goes on when its foil is taken out": {
			"200 g flour|100 g butter", "Rub the butter into the flour and roll out. Line a tin with the pastry. Line the case with foil and bake for 15 minutes. Remove the foil and bake for 5 minutes more.",
			[]string{"a0 rub into/rub-in(0.1; into 0.0)", "a1 roll out/roll(@a0)", "a2 line a tin/line('tin; with @a1)", "a3 line/line(@a2; with 'foil)", "a4 bake/bake(@a3; 15-15 min)", "a5 remove the foil/uncover('foil)", "a6 bake/bake(@a4; 5-5 min)"},
		},
		"what was seared is lifted out, and not the oil that went in before it": {
			"300 g beef|2 tbsp oil|1 onion", "Heat a wok, add the oil and sear the beef for 2 minutes. Lift it out. Add the onion and stir-fry. Return the beef.",
			[]string{"a0 heat/heat('wok)", "a1 add/add(0.1; into 'wok)", "a2 sear/sear(0.0; with @a1; 2-2 min)", "a3 lift out/remove(@a2)", "a4 add/add(0.2; into @a2)", "a5 stir-fry/stir-fry(@a4)", "a6 return/return(@a3; into @a5)"},
		},
		"some was diced and some grated": {
			"500 g carrots|1 leek", "Grate half the carrots and slice the rest. Cook the sliced carrots with the leek. Stir in the grated carrots.",
			[]string{"a0 grate/grate(0.5×0.0)", "a1 slice/slice(0.5×0.0)", "a2 cook/cook(@a1; with 0.1)", "a3 stir in/stir(@a0; into @a2)"},
		},
		"the oil is that which was just measured, and the rest is measured too": {
			"1 ciabatta loaf|3 tbsp olive oil|2 chicken breasts", "Tear the ciabatta and sprinkle over 2 tbsp olive oil. Rub the oil into the bread. Rub the chicken with the remaining 1 tbsp olive oil.",
			[]string{"a0 tear/grate(0.0)", "a1 sprinkle over/sprinkle(0.667×0.1; into @a0)", "a2 rub into/rub-in(@a1; into @a1)", "a3 rub/rub(0.2; with 0.333×0.1)"},
		},
		"what is left of a cheese is shaved": {
			"a small block parmesan|2 tbsp oil", "Grate a handful of cheese and mix with the oil. Shave the cheese.",
			[]string{"a0 grate/grate(0.2×0.0)", "a1 mix/mix(@a0; with 0.1)", "a2 shave/slice(0.8×0.0)"},
		},
		"ways of frying in two words": {
			"500 g mince|2 onions", "Dry fry the mince for 5 minutes. Stir fry the onions. Pan fry the mince.",
			[]string{"a0 dry fry/toast(0.0; 5-5 min)", "a1 stir fry/stir-fry(0.1)", "a2 pan fry/fry(@a0)"},
		},
		"what is crisp beside other things is no order": {
			"4 rashers bacon|2 onions|maple syrup", "Fry the onions. Serve with maple syrup and crisp bacon.",
			[]string{"a0 fry/fry(0.1)", "a1 serve/serve(@a0; with 0.2, 0.0)"},
		},
		"the water of a pasta is no pasta": {
			"400 g spaghetti|1 tbsp oil", "Cook the spaghetti. Reserve a cup of the pasta water, then drain the spaghetti. Toss with the oil.",
			[]string{"a0 cook/cook(0.0)", "a1 reserve/reserve('pasta water)", "a2 drain/drain(@a0)", "a3 toss/toss(@a2; with 0.1)"},
		},
	} {
		t.Run(name, func(t *testing.T) { require.Equal(t, x.want, heard(t, x.lines, x.text)) })
	}
}

// What drains off and what goes on are of what is in hand, and make nothing new.
func TestWhatIsDrainedOffIsOfWhatIsInHand(t *testing.T) {
	d := read(t, "Quiche\n\n200 g lardons\n\nMethod\n1. Fry the lardons for 3 minutes. Drain off any liquid that comes out, then continue cooking until they start to colour. Lift out.")
	actions := d.Components[0].Steps[0].Actions
	require.Equal(t, actions[0].ID, actions[1].On, "the liquid of the frying")
	require.Equal(t, actions[0].ID, actions[2].On, "the frying goes on")
	require.Equal(t, actions[0].ID, *actions[3].To[0].Made)
}

func TestAKitchenSmells(t *testing.T) {
	d := read(t, "Tagine\n\n1 kg lamb\n2 onions\n\nMethod\n1. Cook the lamb with the onions until the meat has lost its raw colour and the kitchen smells good.")
	signs := d.Components[0].Steps[0].Actions[0].Words.Signs
	require.Equal(t, "the kitchen smells good", signs[1].Text)
}
