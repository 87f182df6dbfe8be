package flow

import (
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
)

// What ran out, was strained off or lies in a pan is what the words mean, and no line of the list that pours.
func TestLiquidsAreThoseThatRanOut(t *testing.T) {
	hear(t, []way{
		{"pressed out", "2 kg potatoes|200 ml soured cream", "Squeeze the potatoes over a bowl, leave the liquid to stand for 10 minutes. Fry the potatoes.", []string{"a0 squeeze/press(0.0; into 'bowl)", "a1 leave stand/rest('liquid; 10-10 min)", "a2 fry/fry(@a0)"}},
		{"strained and put by", "12 scallops|150 ml white wine|1 shallot|100 ml cream|25 g flour|25 g butter", "Simmer the wine with the shallot. Add the scallops and poach for 2 minutes; remove. Strain the liquid and reserve. Make a roux with the butter and flour. Whisk in the poaching liquid. Add the cream.", []string{"a0 simmer/simmer(0.1; with 0.2)", "a1 add/add(0.0; into @a0)", "a2 poach/poach(@a1; 2-2 min)", "a3 remove/remove(@a2)", "a4 strain/strain(@a2)", "a5 reserve/reserve(@a4)", "a6 make/mix(0.5, 0.4; makes roux)", "a7 whisk in/whisk(@a5; into @a6)", "a8 add/add(0.3; into @a7)"}},
		{"starch from the shelf", "1 kg potatoes|1 tbsp potato starch", "Knead the potatoes with the starch to a dough. Boil a pan of water with a spoonful of starch.", []string{"a0 knead/knead(0.0; with 0.1; makes dough)", "a1 boil/boil('pan of water; with 'starch)"}},
		{"a name stays with its thing", "300 g flour|200 ml water|1 onion", "Knead the flour and water to a dough. Shape it into 8 pieces. Bring a pan of salted water to the boil. Lower the dumplings into it and simmer for 5 minutes. Fry the onion. Lift out the dumplings.", []string{"a0 knead/knead(0.0, 0.1; makes dough)", "a1 shape/shape(@a0)", "a2 bring to the boil/boil('pan of salted water)", "a3 lower/add(@a1; into @a2)", "a4 simmer/simmer(@a3; 5-5 min)", "a5 fry/fry(0.2)", "a6 lift out/remove(@a4)"}},
	})
}

// Of what is likened to something, gone on with, forbidden or waited for nothing is done to the other thing.
func TestWhatIsOnlySpokenOf(t *testing.T) {
	hear(t, []way{
		{"compared", "400 g sausage meat|2 muffins", "Shape the meat into two patties, a little wider than the muffins. Toast the muffins.", []string{"a0 shape/shape(0.0; makes patty)", "a1 toast/toast(0.1)"}},
		{"both beans", "2 cups hominy corn|1 cup kidney beans|1 cup lima beans", "Drain the corn and beans.", []string{"a0 drain/drain(0.0, 0.1, 0.2)"}},
		{"waits while others cook", "500 g ribs|1 tsp salt|2 cups beans", "Rub the ribs with the salt and let sit while the beans cook.", []string{"a0 rub/rub(0.0; with 0.1)", "a1 let sit/rest(@a0; how: while the beans cook)"}},
		{"pressed on as a lid", "300 g dough|1 kg stew", "Put the stew in a dish. Roll out the dough and press on as a lid.", []string{"a0 put/place(0.1; into 'dish)", "a1 roll out/roll(0.0)", "a2 press on as a lid/place(@a1)"}},
		{"forbidden", "1 litre stock|3 tbsp rice flour", "Heat the stock with the flour - on no account let it boil. Serve.", []string{"a0 heat/heat(0.0; with 0.1)", "a1 serve/serve(@a0)", "remark: on no account let it boil"}},
		{"gone on with over no fire", "12 rice papers|200 g tofu", "Lay the tofu on a rice paper and roll up. Continue until all the wrappers are filled.", []string{"a0 lay/place(0.1; into 0.0)", "a1 roll up/roll-up(@a0)", "a2 continue/repeat(; until all the wrappers are filled)"}},
		{"bread that is buttered for the table", "600 g potatoes|4 slices rye bread|20 g butter", "Boil the potatoes. Serve with buttered rye bread.", []string{"a0 boil/boil(0.0)", "a1 serve/serve(@a0; with 0.1, 0.2)"}},
		{"no more of it than there is", "4 slices rye bread|20 g butter|600 g potatoes", "Fry the potatoes in the butter. Serve with buttered rye bread.", []string{"a0 fry/fry(0.2; with 0.1)", "a1 serve/serve(@a0; with 0.0)"}},
	})
}

// What was cooked in a liquid comes out of it, and the liquid stays; what lies on a plate by its name of several words too.
func TestWhatIsTakenOutOfALiquid(t *testing.T) {
	hear(t, []way{
		{"poured off by the work that was done in it", "600 g cod|100 ml white wine|200 ml cooking cream", "Put the cod in a dish, pour over the wine and bake for 12 minutes. Pour the cooking liquid into a saucepan. Add the cream.", []string{"a0 put/place(0.0; into 'dish)", "a1 pour over/pour(0.1; into @a0)", "a2 bake/bake(@a1; 12-12 min)", "a3 pour/pour(0.5×@a2; into 'saucepan)", "a4 add/add(0.2; into @a3)"}},
		{"heated in the soup", "500 g beans|1 litre stock|4 Mettwurst (smoked sausages)|150 ml sour cream", "Cook the beans in the stock for 20 minutes. Heat the Mettwurst in the soup for 10 minutes, then lift them out and slice them. Stir in the sour cream. Put the sausage back and serve.", []string{"a0 cook/cook(0.0; with 0.1; 20-20 min)", "a1 heat/heat(0.2; with @a0; 10-10 min)", "a2 lift out/remove(@a1)", "a3 slice/slice(@a2)", "a4 stir in/stir(0.3; into @a1)", "a5 put back/return(@a3; into @a4)", "a6 serve/serve(@a5)"}},
		{"with any juices", "1 kg beef|4 tbsp oil|1 onion|150 ml red wine", "Brown the beef in the oil and remove. Soften the onion. Return the beef with any juices and add the wine.", []string{"a0 brown/brown(0.0; with 0.1)", "a1 remove/remove(@a0)", "a2 soften/sweat(0.2; with @a0)", "a3 return/return(@a1; with 'juices; into @a2)", "a4 add/add(0.3; into @a3)"}},
		{"a few of the nicest", "300 g prawns|3 tbsp mayonnaise", "Rinse the prawns, keep a few of the nicest and chop the rest. Fold into the mayonnaise.", []string{"a0 rinse/rinse(0.0)", "a1 keep/reserve(0.1×@a0)", "a2 chop/chop(0.9×@a0)", "a3 fold/fold(@a2; into 0.1)"}},
		{"slices that go back on", "4 peppers|200 g rice", "Slice the tops off the peppers and set the tops aside. Fill the peppers with the rice.", []string{"a0 slice/slice(0.0)", "a1 set/place('tops)", "a2 fill/stuff(@a0; with 0.1)"}},
		{"several that sweat", "150 g bacon|1 onion|1 leek|30 g butter", "Melt the butter and let the bacon, the onion and the leek sweat in it for 5 minutes.", []string{"a0 melt/melt(0.3)", "a1 let sweat/sweat(0.0, 0.1, 0.2; with @a0; 5-5 min)"}},
		{"served with what is bought", "300 g potatoes|1 litre stock", "Simmer the potatoes in the stock. Serve with potato pancakes.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 serve/serve(@a0; with 'potato pancakes)"}},
		{"the others likewise", "4 sheets filo pastry|200 g tofu|oil", "Wrap the tofu in a sheet of the pastry. Fry it in the oil and make the others in the same way.", []string{"a0 wrap/wrap(0.1; with 0.0)", "a1 fry/fry(@a0; with 0.2)", "a2 make the others/repeat(; how: in the same way)"}},
	})
}

// A pan is that in which a part's own work goes on, and dumplings are what went by that name, wherever else something cooks.
func TestTwoPotsOfTwoParts(t *testing.T) {
	all, err := os.ReadFile("testdata/sixteenth.txt")
	require.NoError(t, err)
	_, text, found := strings.Cut(string(all), "=== cepelinai\n")
	require.True(t, found)
	text, _, _ = strings.Cut(text, "\n=== ")
	d := reader(t).Read(text, measure.Metric)
	made := map[string]string{}
	for _, c := range d.Components {
		for _, s := range c.Steps {
			for _, a := range s.Actions {
				if len(a.To) > 0 && a.To[0].Made != nil {
					made[a.Verb] = *a.To[0].Made
				}
			}
		}
	}
	require.Equal(t, "c1.s4.a2", made["lift out"])
	require.Equal(t, "c2.s0.a2", made["take off the heat"])
}
