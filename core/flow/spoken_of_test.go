package flow

import "testing"

// What ran out, was strained off or lies in a pan is what the words mean, and no line of the list that pours.
func TestLiquidsAreThoseThatRanOut(t *testing.T) {
	hear(t, []way{
		{"pressed out", "2 kg potatoes|200 ml soured cream", "Squeeze the potatoes over a bowl, leave the liquid to stand for 10 minutes. Fry the potatoes.", []string{"a0 squeeze/press(0.0; into 'bowl)", "a1 leave stand/rest('liquid; 10-10 min)", "a2 fry/fry(@a0)"}},
		{"strained and put by", "12 scallops|150 ml white wine|1 shallot|100 ml cream|25 g flour|25 g butter", "Simmer the wine with the shallot. Add the scallops and poach for 2 minutes; remove. Strain the liquid and reserve. Make a roux with the butter and flour. Whisk in the poaching liquid. Add the cream.", []string{"a0 simmer/simmer(0.1; with 0.2)", "a1 add/add(0.0; into @a0)", "a2 poach/poach(@a1; 2-2 min)", "a3 remove/remove(@a2)", "a4 strain/strain(@a2)", "a5 reserve/reserve(@a4)", "a6 make/mix(0.5, 0.4; makes roux)", "a7 whisk in/whisk(@a5; into @a6)", "a8 add/add(0.3; into @a7)"}},
		{"starch from the shelf", "1 kg potatoes|1 tbsp potato starch", "Knead the potatoes with the starch to a dough. Boil a pan of water with a spoonful of starch.", []string{"a0 knead to a dough/knead(0.0; with 0.1; makes dough)", "a1 boil/boil('pan of water; with 'starch)"}},
		{"a name stays with its thing", "300 g flour|200 ml water|1 onion", "Knead the flour and water to a dough. Shape it into 8 pieces. Bring a pan of salted water to the boil. Lower the dumplings into it and simmer for 5 minutes. Fry the onion. Lift out the dumplings.", []string{"a0 knead to a dough/knead(0.0, 0.1; makes dough)", "a1 shape/shape(@a0)", "a2 bring to the boil/boil('pan of salted water)", "a3 lower/add(@a1; into @a2)", "a4 simmer/simmer(@a3; 5-5 min)", "a5 fry/fry(0.2)", "a6 lift out/remove(@a4)"}},
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
