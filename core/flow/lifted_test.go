package flow

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// What is lifted out of a liquid is the flesh that was cooked in it; the liquid stays, and goes by the name of that work.
func TestWhatIsLiftedOutOfALiquid(t *testing.T) {
	hear(t, []way{
		{"said without a word for it", "500 g chicken breasts|2 carrots|1 bay leaf", "Cover the chicken and bay leaf with water and simmer for 20 minutes. Remove from the pan and shred. Boil the carrots in the cooking water.", []string{"a0 cover/cover(0.0, 0.2; with 'water)", "a1 simmer/simmer(@a0; 20-20 min)", "a2 remove/remove(@a1)", "a3 shred/shred(@a2)", "a4 boil/boil(0.1; into @a1)"}},
		{"a liquid by the name of what was cooked in it", "500 g smoked haddock|1 bay leaf|2 potatoes", "Cover the fish with water, add the bay leaf and simmer. Lift out and set aside. Take the pan off the heat. Fry the potatoes and pour in the haddock cooking liquor and bay leaf.", []string{"a0 cover/cover(0.0; with 'water)", "a1 add/add(0.1; into @a0)", "a2 simmer/simmer(@a1)", "a3 lift out/remove(@a2)", "a4 set aside/reserve(@a3)", "a5 take off the heat/off-heat(@a2)", "a6 fry/fry(0.2)", "a7 pour in/pour(@a5; into @a6)"}},
		{"a roast with its wine", "8 chicken thighs|100 ml wine", "Put the chicken in a tin with the wine and roast for 40 minutes. Remove from the oven and serve.", []string{"a0 put/place(0.0; with 0.1; into 'tin)", "a1 roast/roast(@a0; 40-40 min)", "a2 remove/remove(@a1)", "a3 serve/serve(@a2)"}},
		{"what its body has comes off", "500 g smoked haddock|2 potatoes", "Poach the haddock. Boil the potatoes. Remove the skin, and any bones from the haddock, and break into flakes.", []string{"a0 poach/poach(0.0)", "a1 boil/boil(0.1)", "a2 remove/remove(@a0)", "a3 break/cut(@a2; makes flake)"}},
	})
}

// A liquid that goes in goes in whole, whatever else that is in it is named beside it.
func TestALiquorGoesInWhole(t *testing.T) {
	d := read(t, "Soup\n\n500 g smoked haddock\n1 bay leaf\n2 potatoes\n\nMethod\n1. Cover the fish with water, add the bay leaf and simmer. Lift out.\n2. Fry the potatoes. Pour in the haddock cooking liquor and bay leaf.")
	pour := d.Components[0].Steps[1].Actions[1]
	require.Len(t, pour.To, 1)
	require.Empty(t, pour.To[0].Of)
}

// What is in a row of orders is one, whatever else is called so, and what others do meanwhile is none.
func TestWhichWordsAreOrders(t *testing.T) {
	hear(t, []way{
		{"between two", "6 eggs", "Boil the eggs. Cool, peel, and score each one.", []string{"a0 boil/boil(0.0)", "a1 cool/cool(@a0)", "a2 peel/peel(@a1)", "a3 score/score(@a2)"}},
		{"behind the white of an egg", "300 g flour|1 egg white|200 g spinach|1 stale bread roll", "Roll out the flour. Spread with the spinach, brush with egg white and roll up loosely.", []string{"a0 roll out/roll(0.0)", "a1 spread/spread(@a0; with 0.2)", "a2 brush/brush(@a1; with 0.1)", "a3 roll up/roll-up(@a2; how: loosely)"}},
		{"one or the other", "500 ml milk|2 potatoes", "Simmer the potatoes. Add the milk, and either mash roughly or blend until smooth.", []string{"a0 simmer/simmer(0.1)", "a1 add/add(0.0; into @a0)", "a2 mash/mash(@a1; how: either / roughly)", "a3 blend/blend(@a2; until smooth)"}},
		{"what the cook does meanwhile", "8 chicken legs|1 lemon|2 onions", "Rub the chicken with the lemon and let it sit while you cook the onions.", []string{"a0 rub/rub(0.0; with 0.1)", "a1 let sit/rest(@a0; how: while you cook the onions)"}},
		{"what is done at the table", "2 flatbreads", "Bake the flatbreads. Serve at once, tearing off the crust.", []string{"a0 bake/bake(0.0)", "a1 serve/serve(@a0; how: once / tearing off the crust)"}},
	})
}

// How much a word means, and of how many things.
func TestHowMuchOfWhichThings(t *testing.T) {
	hear(t, []way{
		{"a spoonful of two", "1 leek|2 potatoes|500 ml stock", "Simmer the leek and potatoes in the stock. Lift out a generous slotted spoonful of potatoes and leeks.", []string{"a0 simmer/simmer(0.0, 0.1; with 0.2)", "a1 lift out/remove(0.1×@a0, 0.1×@a0)"}},
		{"both, of which one lies salted", "2 aubergines|500 g potatoes|2 tbsp oil", "Slice the aubergines and sprinkle with salt. Slice the potatoes. Brush both with the oil.", []string{"a0 slice/slice(0.0)", "a1 sprinkle/sprinkle(@a0; with 'salt)", "a2 slice/slice(0.1)", "a3 brush/brush(@a1, @a2; with 0.2)"}},
	})
}

// A piece is of what was divided just before, whatever part that is of, and a splash of water is from the tap.
func TestWhatAnotherPartHasIsLeftAlone(t *testing.T) {
	d := read(t, "Boats\n\nFor the dough\n300 g flour\n200 ml water\n\nFor the filling\n250 g mozzarella\n150 g feta\n2 tbsp paprika\n\nMethod\n1. Combine the two cheeses. Fry the paprika and add a splash of water.\n2. Mix the flour and water to a dough.\n3. Divide the dough and roll each piece out. Scatter half of the cheese over it.")
	var got []string
	for _, at := range d.Method() {
		for _, a := range d.Components[at.Component].Steps[at.Step].Actions {
			got = append(got, show(a))
		}
	}
	require.Equal(t, []string{"c1.s0.a0 combine/mix(1.0, 1.1)", "c1.s0.a1 fry/fry(1.2)", "c1.s0.a2 add/add('water; into @c1.s0.a1)", "c0.s0.a0 mix/mix(0.0, 0.1; makes dough)", "c1.s1.a0 divide/divide(@c0.s0.a0)", "c1.s1.a1 roll/roll(@c1.s1.a0)", "c1.s1.a2 scatter/sprinkle(0.5×@c1.s0.a0; into @c1.s1.a1)"}, got)
}

// What is lifted out of a pan and goes into another pot goes there, and the fat stays where it was.
func TestWhatIsLiftedFromOnePanIntoAnother(t *testing.T) {
	hear(t, []way{
		{"both, into what cooks already", "500 g black beans|2 onions|2 tbsp oil|300 g bacon", "Simmer the beans in water. Fry the bacon in the oil. Lift it out and into the beans. Fry the onions in the fat left in the pan.", []string{"a0 simmer/simmer(0.0; with 'water)", "a1 fry/fry(0.3; with 0.2)", "a2 lift out/add(@a1; into @a0)", "a3 fry/fry(0.1; with @a1; how: left in the pan)"}},
		{"onto a plate", "300 g bacon|2 tbsp oil", "Fry the bacon in the oil. Lift it out onto a plate.", []string{"a0 fry/fry(0.0; with 0.1)", "a1 lift out/remove(@a0)"}},
		{"into the top of what is there", "500 g mince|2 eggs|4 bay leaves", "Press the mince into a dish. Pour over the eggs. Push the bay leaves into the top and bake.", []string{"a0 press/press(0.0; into 'dish)", "a1 pour over/pour(0.1; into @a0)", "a2 push/place(0.2; into @a1)", "a3 bake/bake(@a2)"}},
	})
}

// What stands behind a vessel that something is taken from goes in too, and does not come out of it.
func TestWhatStandsBehindAVessel(t *testing.T) {
	hear(t, []way{
		{"fat of a pan is of no hot sauce", "6 slices bacon|1 lb shrimp|1 tsp hot sauce", "Cook the bacon until crisp and drain. Add the shrimp to the hot fat.", []string{"a0 cook/cook(0.0; until crisp)", "a1 drain/drain(@a0)", "a2 add/add(0.1; into 'fat)"}},
		{"slices of another food", "500 g mushrooms|200 g tofu", "Fry the mushroom slices. Lay the tofu slices on top.", []string{"a0 fry/fry(0.0)", "a1 lay on/add(0.1; into @a0)"}},
		{"beside what is poured", "400 ml double cream|500 g potatoes|1 tin anchovies", "Layer the potatoes. Pour over the brine from the tins and the cream.", []string{"a0 layer/layer(0.1)", "a1 pour over/pour(0.2, 0.0; into @a0)"}},
	})
}

// So many of a part's name are all that it lists, whatever each is called.
func TestSoManyOfAPart(t *testing.T) {
	d := read(t, "Cake\n\nCake:\n1 sponge cake\n80 ml milk\n\nMilks:\n1 can condensed milk\n1 can evaporated milk\n250 ml cream\n\nMethod\n1. Brush the cake with the milk.\n2. Mix the three milks and pour over the cake.")
	var got []string
	for _, at := range d.Method() {
		for _, a := range d.Components[at.Component].Steps[at.Step].Actions {
			got = append(got, strings.SplitN(show(a), " ", 2)[1])
		}
	}
	require.Contains(t, got, "mix/mix(1.0, 1.1, 1.2)")
}
