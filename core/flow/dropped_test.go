package flow

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
)

// What is dropped into a liquid, brushed onto a tin, folded over and lifted onto a board.
func TestWhereThingsAreAndStay(t *testing.T) {
	hear(t, []way{
		{"balls are shaped of the mixture, not of the stock", "500 g haddock\n20 g potato starch\n1 litre fish stock", "Blend the haddock with the starch. Bring the stock to a simmer. Shape balls and drop them into the stock. Poach for 8 minutes. Lift out. Keep 200 ml of the stock.", []string{"a0 blend/blend(0.0; with 0.1)", "a1 bring to a simmer/simmer(0.2)", "a2 shape/shape(@a0; makes ball)", "a3 drop/add(@a2; into @a1)", "a4 poach/poach(@a3; 8-8 min)", "a5 lift out/remove(@a4)", "a6 keep/reserve(0.5×@a4)"}},
		{"a tin is brushed, and it is lined", "100 g butter\n200 g filo pastry", "Melt the butter. Brush a tin with butter. Line it with filo.", []string{"a0 melt/melt(0.0)", "a1 brush/brush('tin; with @a0)", "a2 line/line('tin; with 0.1)"}},
		{"beaten egg is poured over", "2 eggs\n80 ml water\n60 g butter, melted\n200 g filo pastry", "Lay the filo in a dish. Beat the eggs with the water and butter and pour over the pastry. Bake for 30 minutes.", []string{"a0 lay/place(0.3; into 'dish)", "a1 beat/beat(0.0; with 0.1, 0.2)", "a2 pour over/pour(@a1; into @a0)", "a3 bake/bake(@a2; 30-30 min)"}},
		{"over the top is nowhere", "8 rashers bacon\n500 g pork mince\n100 g breadcrumbs\n100 ml milk", "Soak the breadcrumbs in the milk. Mix half of them with the pork. Line a loaf tin with the bacon. Press in the pork mixture and fold the bacon over the top. Bake for 45 minutes.", []string{"a0 soak/soak(0.2; with 0.3)", "a1 mix/mix(0.5×@a0; with 0.1)", "a2 line tin/line('loaf tin; with 0.0)", "a3 press in/press(@a1; into @a2)", "a4 fold/fold(@a3)", "a5 bake/bake(@a4; 45-45 min)"}},
		{"what rests on a board is not in the tin, and scraping takes nothing out of it", "1 duck\n1 tsp salt\n1 shallot\n150 ml port\n300 ml water", "Sit the duck on a rack in a roasting tin, rub with the salt and roast for 90 minutes. Lift the duck onto a board, cover loosely with foil and rest for 20 minutes. Add the shallot and cook for 3 minutes. Pour in the port and boil for 2 minutes, scraping the tin. Add the water.", []string{"a0 sit/place(0.0; into 'rack)", "a1 rub/rub(@a0; with 0.1)", "a2 roast/roast(@a1; 90-90 min)", "a3 lift/remove(@a2)", "a4 cover/cover(@a3; with 'foil; how: loosely)", "a5 rest/rest(@a4; 20-20 min)", "a6 add/add(0.2)", "a7 cook/cook(@a6; 3-3 min)", "a8 pour in/pour(0.3; into @a7)", "a9 boil/boil(@a8; 2-2 min)", "a10 scrape/peel('tin)", "a11 add/add(0.4; into @a9)"}},
	})
}

// The liquid stays in the pot out of which a mixture is lifted that was put into it.
func TestTheStockStaysBehind(t *testing.T) {
	r := reader(t)
	d := r.Read("Balls\nServes 4\n\n500 g haddock\n20 g potato starch\n1 litre fish stock\n\nMethod\n1. Blend the haddock with the starch and shape into balls. Bring the stock to a simmer and drop in the balls. Poach for 8 minutes. Lift out with a slotted spoon.\n2. Boil the stock down and pour it over the balls.", measure.Metric)
	g := Trace(r.larder, &d)
	for i := range g.Nodes {
		switch n := &g.Nodes[i]; {
		case n.Is(removeTechnique):
			require.ElementsMatch(t, []int{0, 1}, n.Holds, "the balls")
		case n.Action.Verb == "boil down":
			require.Equal(t, []int{2}, n.Holds, "the stock alone")
		}
	}
}
