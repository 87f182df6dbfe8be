package flow

import (
	"encoding/json"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
)

// What would be left lying is what an order takes up that leaves that open.
func TestWhatLiesIsTakenUp(t *testing.T) {
	hear(t, []way{
		{"a custard goes into the case that was baked", "300 g plain flour|3 eggs|200 ml cream", "Roll out the flour and bake for 15 minutes. Beat the eggs with the cream. Pour in the custard. Bake for 30 minutes.", []string{"a0 roll out/roll(0.0)", "a1 bake/bake(@a0; 15-15 min)", "a2 beat/beat(0.1; with 0.2)", "a3 pour in/pour(@a2; into @a1)", "a4 bake/bake(@a3; 30-30 min)"}},
		{"by a word that names nothing else", "200 g biscuits|100 g butter|300 g cream cheese|50 g sugar", "Crush the biscuits with the butter and press into a tin. Beat the cream cheese with the sugar. Spread over the biscuit base. Chill for 2 hours.", []string{"a0 crush/crush(0.0; with 0.1)", "a1 press/press(@a0; into 'tin)", "a2 beat/beat(0.2; with 0.3)", "a3 spread over/spread(@a2; into 'biscuit base, @a1)", "a4 chill/chill(@a3; 120-120 min)"}},
		{"holes are cut in what is in hand", "300 g puff pastry|1 egg|500 g beef", "Brown the beef. Cover the beef with the pastry, brush with the egg and cut a hole in the middle. Bake for 30 minutes.", []string{"a0 brown/brown(0.2)", "a1 cover/cover(@a0; with 0.0)", "a2 brush/brush(@a1; with 0.1)", "a3 cut/cut('hole; into @a2; how: in the middle)", "a4 bake/bake(@a3; 30-30 min)"}},
		{"cases are filled with what was made for them", "12 tart cases|3 eggs|200 ml cream", "Beat the eggs with the cream. Fill the cases. Bake for 20 minutes.", []string{"a0 beat/beat(0.1; with 0.2)", "a1 fill/stuff(0.0; with @a0)", "a2 bake/bake(@a1; 20-20 min)"}},
		{"everything is tossed together", "2 radishes|2 tomatoes|1 cucumber|3 tbsp oil|1 lemon", "Chop the tomatoes and cucumber and put them in a bowl. Whisk the oil with the lemon. Toss everything together. Serve.", []string{"a0 chop/chop(0.1, 0.2)", "a1 put/place(@a0; into 'bowl)", "a2 whisk/whisk(0.3; with 0.4)", "a3 toss/toss(@a2, 0.0; into @a1)", "a4 serve/serve(@a3)"}},
	})
}

// What was taken out of a pot does not go back into it for want of another place, nor does what is served beside go into a sauce.
func TestWhatIsTakenOutIsNotTakenUp(t *testing.T) {
	hear(t, []way{
		{"what was lifted out", "1 chicken|1 litre stock|200 g noodles", "Simmer the chicken in the stock. Lift out the chicken. Add the noodles to the stock.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 lift out/remove(@a0)", "a2 add/add(0.2; into @a0)"}},
		{"what is a dish of its own", "6 sausages|100 g flour|2 eggs|2 onions|300 ml stock", "Mix the flour and eggs, add the sausages and bake for 30 minutes. Fry the onions, add the stock and simmer for 10 minutes.", []string{"a0 mix/mix(0.1, 0.2)", "a1 add/add(0.0; into @a0)", "a2 bake/bake(@a1; 30-30 min)", "a3 fry/fry(0.3)", "a4 add/add(0.4; into @a3)", "a5 simmer/simmer(@a4; 10-10 min)"}},
		{"what was put by in a pan that is wiped out since", "200 g mushrooms|3 eggs|2 tbsp milk", "Cook the mushrooms and set aside. Wipe out the pan. Whisk the eggs with the milk, pour in and scramble.", []string{"a0 cook/cook(0.0)", "a1 set aside/reserve(@a0)", "a2 wipe out/wash-pan()", "a3 whisk/whisk(0.1; with 0.2)", "a4 pour in/pour(@a3)", "a5 scramble/scramble(@a4)"}},
	})
}

// The part that shapes what another made works on that, and not on what it lists itself.
func TestAPartGoesOnWithTheDough(t *testing.T) {
	d := read(t, "Buns\nMakes 12\n\nFor the dough\n500 g flour\n250 ml milk\n10 g dried yeast\n\nFor the filling\n75 g butter\n75 g sugar\n\nMethod\nFor the dough\nKnead the flour, milk and yeast. Prove until doubled.\nFor the filling\nRoll into an oblong and spread with the butter. Sprinkle with the sugar and roll up.")
	g := Trace(reader(t).larder, &d)
	require.Empty(t, g.lying(&d).by)
	roll := g.Nodes[g.Node("c1.s0.a0")]
	require.Equal(t, "roll", roll.Technique.Name)
	require.Equal(t, []int{0, 1, 2}, roll.To)
}

// A reading is better that leaves fewer things lying and less in all, and none that was taken up before.
func TestOnlyLessIsBetter(t *testing.T) {
	was := leftover{map[string]float64{"a": 100, "b": 200, "c": 300}, 600}
	for name, x := range map[string]struct {
		now    leftover
		better bool
	}{
		"two of three":            {leftover{map[string]float64{"a": 100, "c": 300}, 400}, true},
		"one that did not before": {leftover{map[string]float64{"a": 100, "d": 50}, 150}, false},
		"as many":                 {leftover{map[string]float64{"a": 100, "b": 50, "c": 50}, 200}, false},
		"more in small things":    {leftover{map[string]float64{"a": 100}, 700}, false},
	} {
		require.Equal(t, x.better, x.now.lessThan(was), name)
	}
}

// Reading a method a second time reads the same, whatever was read before.
func TestReadingAgainReadsTheSame(t *testing.T) {
	r := reader(t)
	for _, file := range []string{"first.txt", "thirtyfifth.txt"} {
		data, err := os.ReadFile(filepath.Join("testdata", file))
		require.NoError(t, err)
		for _, text := range strings.Split("\n"+string(data), "\n=== ")[1:] {
			name, text, _ := strings.Cut(text, "\n")
			d := r.Read(text, measure.Metric)
			was, err := json.Marshal(d.Components)
			require.NoError(t, err)
			r.Dish(&d)
			now, err := json.Marshal(d.Components)
			require.NoError(t, err)
			require.JSONEq(t, string(was), string(now), name)
		}
	}
}

// A word in -ing that no table knows may end a method.
func TestAMethodMayEndWithAnUnknownWord(t *testing.T) {
	for _, method := range []string{"Serve it sizzling", "Pour it, crackling", "Bring it to the table humming"} {
		require.NotEmpty(t, read(t, "Dish\nServes 4\n\n500 g beef\n\nMethod\n1. Fry the beef.\n2. "+method).Components, method)
	}
}

// A condition right before an order says what the order is done to; words of the dish's name are those of lines that wait; a place
// of a thing is pressed and not what is in hand.
func TestConditionsTitlesAndPlaces(t *testing.T) {
	hear(t, []way{
		{"what is cool enough", "2 turkey legs|2 litres water|1 onion", "Simmer the turkey in the water with the onion for 90 minutes. Lift out the turkey and strain the broth. When the meat is cool enough, shred it.", []string{"a0 simmer/simmer(0.0; with 0.1, 0.2; 90-90 min)", "a1 lift out/remove(@a0)", "a2 strain/strain(@a0)", "a3 shred/shred(@a1)", "condition: When the meat is cool enough"}},
		{"the middle is pressed down", "320 g puff pastry|300 g sprouts", "Bake the pastry for 12 minutes. Fry the sprouts for 5 minutes. Press down the middle of the pastry.", []string{"a0 bake/bake(0.0; 12-12 min)", "a1 fry/fry(0.1; 5-5 min)", "a2 press down/press(@a0)"}},
		{"milk that was poached in, and not that of a mash", "100 ml hot milk|500 g potatoes|500 ml milk|400 g cod", "Boil the potatoes and mash with the hot milk. Poach the cod in the milk for 5 minutes. Lift out the cod. Strain the milk into a jug.", []string{"a0 boil/boil(0.1)", "a1 mash/mash(@a0; with 0.0)", "a2 poach/poach(0.3; with 0.2; 5-5 min)", "a3 lift out/remove(@a2)", "a4 strain/strain(@a2; into 'jug)"}},
	})
	d := read(t, "Sprout and blue cheese tart\nServes 4\n\n320 g puff pastry\n300 g sprouts\n100 g Stilton\n\nMethod\n1. Bake the pastry for 12 minutes. Fry the sprouts. Top the pastry with the sprouts and the cheese.")
	top := d.Components[0].Steps[0].Actions[2]
	require.Equal(t, "top", top.Technique)
	require.True(t, strings.HasSuffix(*top.With[1].Line, "lines[2]"))
}
