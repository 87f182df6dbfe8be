package flow

import "testing"

// What hangs on an order, stands before it or is called by another's name is read as it was meant, each
// on the least recipe that shows it.
func TestWhatIsMeantIsRead(t *testing.T) {
	hear(t, []way{
		{"what is squeezed out of a thing", "2 leaves gelatine|300 ml double cream|50 g sugar", "Soak the gelatine in water. Warm the cream and sugar. Squeeze the water out of the gelatine and stir it into the warm cream until it has dissolved.", []string{"a0 soak/soak(0.0; with 'water)", "a1 warm/warm(0.1, 0.2)", "a2 squeeze/press(@a0)", "a3 stir into/stir(@a2; into @a1; until it has dissolved)"}},
		{"a thing cut and added to what is there", "300 ml cream|1 vanilla pod", "Warm the cream in a pan. Split the vanilla pod and add the pod too. Simmer for 10 minutes.", []string{"a0 warm/warm(0.0)", "a1 split/cut(0.1)", "a2 add/add(@a1; into @a0; how: too)", "a3 simmer/simmer(@a2; 10-10 min)"}},
		{"an order behind a place without a comma", "4 tbsp ghee|4 cardamom pods|2 onions", "Melt the ghee in a pan. In the ghee left in the pan sizzle the cardamom for half a minute, put in the onions.", []string{"a0 melt/melt(0.0)", "a1 sizzle/fry(0.1; with @a0; 0.5-0.5 min; how: left in the pan)", "a2 put in/add(0.2; into @a1)"}},
		{"an order behind minutes before the end", "300 g rice|100 g peas", "Boil the rice. Five minutes before the end scatter over the peas.", []string{"a0 boil/boil(0.0)", "a1 scatter over/sprinkle(0.1; into @a0)"}},
		{"how long it takes, behind a dash", "2 onions|2 tbsp oil", "Fry the onions in the oil until brown - this will take 15 minutes or more.", []string{"a0 fry/fry(0.0; with 0.1; 15-15 min; until brown)", "remark: this will take 15 minutes or more"}},
		{"in it, of fat", "2 onions|2 tbsp oil|3 anchovy fillets", "Warm the oil; soften the onions in it with the anchovies, mashing these until they melt.", []string{"a0 warm/warm(0.1)", "a1 soften/sweat(0.0; with @a0, 0.2)", "a2 mash/mash(@a1; until they melt)"}},
		{"the fish, beside what seasons", "600 g cod fillet|3 anchovy fillets|400 g tomatoes", "Season the fish and leave it. Simmer the tomatoes with the anchovies. Lay the fish on the sauce.", []string{"a0 season/season(0.0)", "a1 leave/rest(@a0)", "a2 simmer/simmer(0.2; with 0.1)", "a3 lay/place(@a1; into @a2)"}},
		{"a list that ends in seasoning", "500 g mince|1 apple|salt and pepper", "Grate the apple. Mix with the mince and seasoning until it holds.", []string{"a0 grate/grate(0.1)", "a1 mix/mix(@a0; with 0.0, 0.2; until it holds)"}},
		{"about as thick as that", "500 g mince|1 apple", "Mix the mince with the apple. Shape into six patties about 2 cm thick and chill.", []string{"a0 mix/mix(0.0; with 0.1)", "a1 shape/shape(@a0; makes patty; how: 2 cm thick)", "a2 chill/chill(@a1)"}},
		{"with a side down, in one word", "2 salmon fillets|1 tbsp oil|2 tbsp soy sauce|1 tbsp honey", "Stir the soy and honey together. Heat the oil in a pan and put the salmon in skin-side down. Pour in the glaze.", []string{"a0 stir/stir(0.2, 0.3)", "a1 heat/heat(0.1)", "a2 put/place(0.0; into @a1; how: skin-side down)", "a3 pour in/pour(@a0; into @a2)"}},
		{"sauces by their whole names", "500 g passata|1 garlic clove|40 g butter|40 g flour|12 cannelloni tubes", "Sauce: gently fry the garlic, add the passata. White sauce: melt the butter, stir in the flour. Spread a layer of the tomato sauce in a dish, lay the tubes on it. Cover with the white sauce.", []string{"a0 fry/fry(0.1)", "a1 add/add(0.0; into @a0)", "a2 melt/melt(0.2)", "a3 stir in/stir(0.3; into @a2)", "a4 spread/spread(0.2×@a1; into 'dish)", "a5 lay/place(0.4; into @a4)", "a6 cover/cover(@a5; with @a3)"}},
		{"bread that is buttered", "8 slices white bread|50 g butter", "Butter the bread, and a dish.", []string{"a0 butter/spread(0.0, 'dish; with 0.1)"}},
	})
}
