package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What the reader made of recipes of the first of December otherwise than their cooks meant it.
func TestWhatIsMeantOnTheFirstOfDecember(t *testing.T) {
	hear(t, []way{
		{"a way of cutting is no board", "2 sirloin steaks|2 tbsp oil", "Fry the steaks in the oil for 4 minutes, then slice on the diagonal.", []string{"a0 fry/fry(0.0; with 0.1; 4-4 min)", "a1 slice on/slice(@a0; how: on the diagonal)"}},
		{"pepper is ground over the soup, and not the lamb", "500 g lamb|1 litre water|pepper", "Simmer the lamb in the water for 1 hour. Grind plenty of pepper over it and serve.", []string{"a0 simmer/simmer(0.0; with 0.1; 60-60 min)", "a1 grind/grind(0.2; into @a0)", "a2 serve/serve(@a1)"}},
		{"what is fried is not drained", "250 g potatoes|1 savoy cabbage|80 g butter|2 garlic cloves", "Boil the potatoes and the cabbage. Fry the garlic in the butter until golden. Drain the vegetables.", []string{"a0 boil/boil(0.0, 0.1)", "a1 fry/fry(0.3; with 0.2; until golden)", "a2 drain/drain(@a0)"}},
		{"what opens a sentence goes on behind a bracket", "500 g lamb|2 tbsp oil", "In a casserole (or a big pot), brown the lamb in the oil.", []string{"a0 brown/brown(0.0; with 0.1)", "remark: or a big pot"}},
		{"a direction is a way of stirring", "500 g mince|100 ml stock", "Put the mince in a bowl and stir in one direction until sticky.", []string{"a0 put/place(0.0; into 'bowl)", "a1 stir in/stir(@a0; until sticky; how: in one direction)"}},
		{"a broth that starts again is covered", "1 kg beef bones|1 onion", "Cover the bones with water and boil for 5 minutes. Drain, rinse the bones, and start again with 3 litres of water.", []string{"a0 cover/cover(0.0; with 'water)", "a1 boil/boil(@a0; 5-5 min)", "a2 drain/drain(@a1)", "a3 rinse/rinse(@a2)", "a4 start again/cover(@a3; with 'water)"}},
		{"everything is all that was cut", "300 g herring|3 boiled potatoes|1 gherkin", "Slice the potatoes and the gherkin. Dice the herring. Combine everything in a bowl.", []string{"a0 slice/slice(0.1, 0.2)", "a1 dice/dice(0.0)", "a2 combine/mix(@a0, @a1)"}},
		{"how far flesh is cooked is said with a for", "2 lamb leg steaks|1 tbsp oil", "Fry the steaks in the oil for 4 minutes a side for medium, or 6 minutes for well done.", []string{"a0 fry/fry(0.0; with 0.1; 4-4 min; how: for medium, or 6 minutes for well done)"}},
		{"eggs are poached in the water that simmers", "4 eggs|200 ml vinegar", "Bring a pan of water to a simmer and poach the eggs for 3 minutes.", []string{"a0 bring to a simmer/simmer('pan of water)", "a1 poach/poach(0.0; with @a0; 3-3 min)"}},
		{"a dash of what has gone in elsewhere is out of the bottle", "4 eggs|2 tbsp vinegar|1 tbsp oil", "Whisk the vinegar with the oil. Bring a pan of water to a simmer, add a dash of vinegar and poach the eggs for 3 minutes.", []string{"a0 whisk/whisk(0.1; with 0.2)", "a1 bring to a simmer/simmer('pan of water)", "a2 add/add('vinegar; into @a1)", "a3 poach/poach(0.0; with @a2; 3-3 min)"}},
		{"the rest of the fish is where it was flaked", "250 g smoked mackerel|100 g cream cheese", "Flake the mackerel. Blend two thirds of the fish with the cream cheese. Stir in the remaining mackerel.", []string{"a0 flake/flake(0.0)", "a1 blend/blend(0.667×@a0; with 0.1)", "a2 stir in/stir(0.333×@a0; into @a1)"}},
		{"what stands before the and is no wish", "100 ml cream|400 ml stock|1 tsp gravy browning", "Simmer the stock. Add the cream and, if you like, a drop of gravy browning.", []string{"a0 simmer/simmer(0.1)", "a1 add/add(0.0, 0.05×0.2; into @a0; how: if you like)"}},
		{"a few pieces are of what is in the pan, and the rest stays", "200 g chorizo|1 onion|4 pieces cod|2 tbsp oil", "Heat the oil, add the chorizo and fry until it sizzles. Scoop out a few pieces. Soften the onion in the red oil.", []string{"a0 heat/heat(0.3)", "a1 add/add(0.0; into @a0)", "a2 fry/fry(@a1; until it sizzles)", "a3 scoop out/remove(0.1×@a2)", "a4 soften/sweat(0.1; with @a2)"}},
		{"starch thickens what simmers", "500 ml stock|1 tsp cornflour", "Simmer the stock. Thicken with the cornflour.", []string{"a0 simmer/simmer(0.0)", "a1 thicken/thicken(@a0; with 0.1)"}},
		{"topped with the rest of one and with another", "1 litre stock|100 ml cream|10 g coriander", "Simmer the stock. Stir in half of the cream. Serve the soup topped with the rest of the cream and the coriander.", []string{"a0 simmer/simmer(0.0)", "a1 stir in/stir(0.5×0.1; into @a0)", "a2 serve/serve(@a1; with 0.5×0.1, 0.2)"}},
		{"a wish behind an and is of what stands last", "4 eggs|100 ml hollandaise|4 muffins", "Toast the muffins. Top each with an egg, and hollandaise if you like.", []string{"a0 toast/toast(0.2)", "a1 top/top(@a0; with 0.0, 0.1; how: if you like)"}},
		{"a wish is of the last of two", "4 eggs|100 ml hollandaise|4 muffins", "Toast the muffins. Top with the eggs and hollandaise if you like.", []string{"a0 toast/toast(0.2)", "a1 top/top(@a0; with 0.0, 0.1; how: if you like)"}},
	})
}

// A sauce that something was taken out of is no part of the dish that goes by that name and comes later.
func TestTheSauceOutOfWhichSomethingCame(t *testing.T) {
	for text, with := range map[string]string{
		"Stew the veal with the tomato for 1 hour. Lift the meat from its sauce and chop it. Moisten it with a spoonful of the sauce.": "c0.s0.a0",
		"Stew the tomato with the onion for 20 minutes. Chop the veal and moisten it with a spoonful of the sauce.":                    "c0.s0.a0",
	} {
		d := read(t, "Dish\n\nFilling\n500 g veal\n200 g tomato\n1 onion\n\nSauce\n200 ml soured cream\n1 tbsp flour\n\nMethod\n1. "+text+"\n2. Mix the flour with the soured cream.")
		actions := d.Components[0].Steps[0].Actions
		last := actions[len(actions)-1]
		require.Equal(t, "deglaze", last.Technique, text)
		require.Len(t, last.With, 1, text)
		require.NotNil(t, last.With[0].Made, text)
		require.Equal(t, with, *last.With[0].Made, text)
	}
}

// Starch that is stirred in to thicken binds at once, and flour takes its time.
func TestStarchThickensAtOnce(t *testing.T) {
	for line, minutes := range map[string]float64{"1 tbsp cornflour": bindsIn, "1 tbsp plain flour": 6} {
		d := read(t, "Dish\n\n500 ml stock\n"+line+"\n\nMethod\n1. Simmer the stock. Thicken with the "+line[len("1 tbsp "):]+".")
		g := Trace(reader(t).larder, &d)
		require.InDelta(t, minutes, g.Nodes[len(g.Nodes)-1].Lasts, 0.01, line)
	}
}
