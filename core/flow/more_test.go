package flow

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// Shares, places, times and who does what, each on the least recipe that shows how it is read.
func TestMoreThingsAreTold(t *testing.T) {
	hear(t, []way{
		{"laid with what lies by, and the fat left in the pan", "200 g bacon|800 g beef|2 tbsp dripping|2 carrots|500 ml stock", "Fry the bacon and lift it out on to a plate. Add the dripping and brown the beef. Put it with the bacon. In the same fat brown the carrots. Return the meats to the pot and pour in the stock.", []string{"a0 fry/fry(0.0)", "a1 lift out/remove(@a0)", "a2 add/add(0.2)", "a3 brown/brown(0.1; with @a2)", "a4 put/place(@a3; with @a1)", "a5 brown/brown(0.3; with @a3)", "a6 return/return(@a4; into @a5)", "a7 pour in/pour(0.4; into @a6)"}},
		{"enough of it, and more of it later", "400 ml stock|500 ml wine|300 g carrots|20 shallots", "Simmer the carrots in the wine and enough of the stock to cover. Braise the shallots in 100 ml of the stock.", []string{"a0 simmer/simmer(0.2; with 0.1, 0.75×0.0)", "a1 braise/braise(0.3; with 0.25×0.0)"}},
		{"enough of it, and no more", "400 ml stock|300 g carrots", "Simmer the carrots in enough of the stock to cover.", []string{"a0 simmer/simmer(0.1; with 0.0)"}},
		{"where one thing lies, and another", "400 g spaghetti|60 g cheese|500 g tomatoes", "Boil the spaghetti. Simmer the tomatoes. Serve the spaghetti with the tomatoes on top and the cheese.", []string{"a0 boil/boil(0.0)", "a1 simmer/simmer(0.2)", "a2 serve/serve(@a0; with @a1, 0.1; how: on top)"}},
		{"served before it stands", "300 g rice|500 g beans|150 ml cream", "Simmer the beans for 10 minutes and leave to stand for 5 minutes before serving with the rice and the cream.", []string{"a0 simmer/simmer(0.1; 10-10 min)", "a1 leave stand/rest(@a0; 5-5 min)", "a2 serve/serve(@a1; with 0.0, 0.2)", "remark: before"}},
		{"into the pan in which it was fried", "500 g mince|1 stock cube|400 g tomatoes", "Fry the mince. Crumble the stock cube into hot water and pour into the pan with the tomatoes.", []string{"a0 fry/fry(0.0)", "a1 crumble/crush(0.1; into 'water)", "a2 pour/pour(@a1; with 0.2; into @a0)"}},
		{"back into its own pot", "500 g beans|1 onion|4 sausages", "Fry the sausages. Boil the beans for 10 minutes and drain. Return to the pot with the onion.", []string{"a0 fry/fry(0.2)", "a1 boil/boil(0.0; 10-10 min)", "a2 drain/drain(@a1)", "a3 return/return(@a2; with 0.1; into 'pot)"}},
		{"a lid said within a time", "500 g beef|1 onion", "Stew the beef with the onion, lid on, for 45 minutes.", []string{"a0 stew/stew(0.0; with 0.1; 45-45 min; how: lid on)"}},
		{"what everyone does at the table", "250 ml cream|100 g capers|2 leeks", "Boil the leeks. Everyone adds cream and capers at the table.", []string{"a0 boil/boil(0.2)", "a1 add/add(0.0, 0.1; into @a0)", "remark: Everyone"}},
		{"shreds that were pulled", "3 chicken breasts|1 l stock|3 corn cobs", "Boil the chicken in the stock and lift it out. Boil the corn in the stock. Pull the meat off the bones into shreds. Divide the shreds and corn among bowls.", []string{"a0 boil/boil(0.0; with 0.1)", "a1 lift out/remove(@a0)", "a2 boil/boil(0.2; with @a0)", "a3 pull/pick(@a1; makes shred)", "a4 divide among bowls/serve(@a3, @a2; into 'bowls)"}},
		{"less than something says", "600 g rigatoni|2 tins tuna", "Boil the rigatoni for 2 minutes less than stated on the tin. Stir in the tuna.", []string{"a0 boil/boil(0.0; how: for 2 minutes / less / than stated on the tin)", "a1 stir in/stir(0.1; into @a0)"}},
		{"all but some of it", "500 ml milk|250 g cheese|400 g macaroni", "Warm the milk and stir in all but a handful of the cheese. Pour over the macaroni and top with the rest of the cheese.", []string{"a0 warm/warm(0.0)", "a1 stir in/stir(0.8×0.1; into @a0)", "a2 pour over/pour(@a1; into 0.2)", "a3 top/top(@a2; with 0.2×0.1)"}},
		{"small letters and a time", "1 onion|50 g butter|1 tbsp tomato paste", "sweat the onion in the butter, 5 min. stir in the tomato paste.", []string{"a0 sweat/sweat(0.0; with 0.1; 5-5 min)", "a1 stir in/stir(0.2; into @a0)"}},
		{"taken off the fire", "50 g butter|2 tsp mint", "Heat the butter until it foams, take off, add the mint.", []string{"a0 heat/heat(0.0; until it foams)", "a1 take off/off-heat(@a0)", "a2 add/add(0.1; into @a1)"}},
		{"taken off something", "1 chicken", "Roast the chicken. Take the meat off the bones.", []string{"a0 roast/roast(0.0)", "a1 take off/remove(@a0)"}},
		{"spoon by spoon", "200 g yoghurt|500 g tomatoes", "Simmer the tomatoes. Stir in the yoghurt spoon by spoon.", []string{"a0 simmer/simmer(0.1)", "a1 stir in/stir(0.0; into @a0; how: spoon by spoon)"}},
		{"a list without a verb", "1 onion|4 cloves garlic|30 g ginger|2 chillies", "Fry the onion. Garlic, ginger, chillies in, 2 minutes.", []string{"a0 fry/fry(0.0)", "a1 put in/add(0.1, 0.2, 0.3; into @a0; 2-2 min)"}},
		{"so many times", "300 g lasagne sheets|500 g sauce|100 g cheese", "Layer the lasagne sheets, sauce and cheese, five times.", []string{"a0 layer/layer(0.0, 0.1, 0.2; how: five times)"}},
		{"what is stirred meanwhile, and no thing", "4 eggs|40 g butter|300 g cheese", "Bake the cheese with the eggs. Eat at once, stirring egg and butter into the cheese.", []string{"a0 bake/bake(0.2; with 0.0)", "a1 eat/serve(@a0; how: once / stirring egg and butter into the cheese)"}},
		{"fat by its colour", "120 g chorizo|1 onion", "Fry the chorizo until its oil runs. Take it out. Cook the onion in the red oil.", []string{"a0 fry/fry(0.0; until its oil runs)", "a1 take out/remove(@a0)", "a2 cook/cook(0.1; with 'red oil)"}},
		{"a stone in the oven", "200 g cheese|300 g dough", "Grate the cheese. Heat the oven with a stone in it. Bake the dough for 10 minutes.", []string{"a0 grate/grate(0.0)", "a1 heat in/heat('oven)", "a2 bake/bake(0.1; 10-10 min)"}},
		{"some slices of what is fried", "120 g chorizo, sliced|1 onion", "Fry the chorizo. Scoop out a few slices for the top. Add the onion.", []string{"a0 fry/fry(0.0)", "a1 scoop out/remove(0.1×@a0)", "a2 add/add(0.1)"}},
		{"onions that turn golden", "3 onions|2 tbsp lard", "Let the onions turn golden in the lard, 15 minutes.", []string{"a0 let turn/brown(0.0; with 0.1; 15-15 min; how: golden)"}},
		{"untied and sliced", "700 g veal|500 ml wine", "Simmer the veal in the wine for an hour. Untie the meat and slice it.", []string{"a0 simmer/simmer(0.0; with 0.1; 60-60 min)", "a1 untie/untie(@a0)", "a2 slice/slice(@a1)"}},
		{"everything from one thing to another", "250 g pork mince|100 g prawns|1 carrot|1 egg|1/2 tsp pepper|20 sheets rice paper|500 ml oil", "Mix everything from the pork down to the pepper. Wet a sheet of rice paper.", []string{"a0 mix/mix(0.0, 0.1, 0.2, 0.3, 0.4)", "a1 wet/dampen(0.5)"}},
		{"salt and pepper among others", "1 kg potatoes|300 ml milk|nutmeg, salt, pepper", "Bring milk, nutmeg, salt and pepper to a simmer in a pan, slide in the potatoes.", []string{"a0 bring to a simmer/simmer(0.1, 0.2)", "a1 slide in/add(0.0; into @a0)"}},
		{"salted, and not salt", "500 g beans|300 ml water", "Drain the beans and salt them.", []string{"a0 drain/drain(0.0)", "a1 salt/season(@a0; with 'salt)"}},
		{"with one thing, then with another", "1 kg potatoes|1 clove garlic|30 g butter", "Rub a dish with the garlic, then with half the butter. Tip in the potatoes.", []string{"a0 rub/rub('dish; with 0.1)", "a1 rub/grease('dish; with 0.5×0.2)", "a2 tip in/add(0.0; into 'dish)"}},
		{"it goes on until all is used", "500 g dough|300 g mince", "Fill the dough with the mince. Go on until all is used.", []string{"a0 fill/stuff(0.0; with 0.1)", "a1 go on/repeat(; until all is used)"}},
		{"added meanwhile, to what boils and not to what was seared", "240 g noodles|4 slices pork|100 g sprouts|1 litre stock", "Simmer the stock. Sear the pork in a pan. Boil the noodles for 2 minutes, adding the sprouts. Divide the stock between two bowls and add the drained noodles.", []string{"a0 simmer/simmer(0.3)", "a1 sear/sear(0.1)", "a2 boil/boil(0.0; 2-2 min)", "a3 add/add(0.2; into @a2)", "a4 divide bowls/serve(@a0; into 'two bowls)", "a5 add/add(@a3; into @a4)"}},
		{"plates that hold a list", "4 escalopes|80 g flour|2 eggs|2 tbsp milk|150 g crumbs", "Set up three plates: flour; eggs whisked with the milk; crumbs. Coat the escalopes in each in turn.", []string{"a0 set up/place(0.1, 0.2, 0.3, 0.4; into 'three plates)", "a1 coat/coat(0.0; with @a0; how: in each in turn)"}},
		{"plates by their numbers, behind a colon", "4 veal escalopes|80 g flour|2 eggs|150 g breadcrumbs", "Set out three plates: flour on the first, beaten egg on the second, crumbs on the third. Coat the escalopes in each.", []string{"a0 set out/serve(0.1, 0.2, 0.3; into 'three plates)", "a1 coat/coat(0.0; with @a0)"}},
		{"plates by their numbers, each with its own work", "4 veal escalopes|80 g flour|2 eggs|2 tbsp milk|150 g breadcrumbs", "Put the flour on a plate, beat the eggs with the milk in a second and tip the crumbs onto a third. Dip the escalopes in the flour.", []string{"a0 put/place(0.1; into 'plate)", "a1 beat/beat(0.2; with 0.3; into 'second)", "a2 tip/add(0.4; into 'third)", "a3 dip/dip(0.0; with @a0)"}},
		{"a bowl, another and a third", "80 g flour|2 eggs|150 g breadcrumbs", "Put flour in one bowl, egg in another and crumbs in a third.", []string{"a0 put/place(0.0, 0.1, 0.2; into 'one bowl)"}},
		{"slices of what is no spice", "1 kg potatoes|4 tomatoes|2 green peppers|pepper", "Arrange the potatoes in a tray with slices of tomato and pepper between. Grind over some pepper.", []string{"a0 arrange/layer(0.0; with 0.1, 0.2; into 'tray)", "a1 grind over/sprinkle(0.3; into @a0)"}},
		{"a condition that an order with a particle ends", "300 g squid|2 garlic cloves|4 tbsp olive oil", "Warm the oil with the garlic. When the garlic begins to colour put in the squid and let it cook for 10 minutes.", []string{"a0 warm/warm(0.2; with 0.1)", "a1 put in/add(0.0; into @a0)", "a2 let cook/simmer(@a1; 10-10 min)", "condition: When the garlic begins to colour"}},
		{"fat that stays where flesh is taken out", "200 g chorizo|1 red pepper|400 g black beans", "Crumble the chorizo into a skillet and cook until browned. Scoop it out. Cook the pepper in the chorizo fat. Add the beans and set aside with the chorizo.", []string{"a0 crumble/crush(0.0; into 'skillet)", "a1 cook/cook(@a0; until browned)", "a2 scoop out/remove(@a1)", "a3 cook/cook(0.1; with 'chorizo fat)", "a4 add/add(0.2; into @a3)", "a5 set aside/reserve(@a4; with @a2)"}},
		{"a pan that is wiped holds nothing that was put by", "400 g black beans|6 eggs|2 tbsp milk", "Cook the beans in a skillet and set aside. Wipe out the skillet. Whisk the eggs with the milk, pour in and scramble.", []string{"a0 cook/cook(0.0)", "a1 set aside/reserve(@a0)", "a2 wipe out/wash-pan()", "a3 whisk/whisk(0.1; with 0.2)", "a4 pour in/pour(@a3)", "a5 scramble/scramble(@a4)"}},
		{"things divided, eggs among them", "400 g black beans|6 eggs|4 tortillas", "Divide the beans, eggs and tortillas among four plates.", []string{"a0 divide plates/serve(0.0, 0.1, 0.2; into 'four plates)"}},
		{"eggs divided", "6 eggs|100 g sugar", "Divide the eggs. Whisk the whites with the sugar.", []string{"a0 divide/part-eggs(0.0)", "a1 whisk/whisk(0.0; with 0.1)"}},
		{"orders behind a colon, parted by semicolons", "1 onion|50 g butter|2 carrots", "For the base: melt the butter; fry the onion; add the carrots.", []string{"a0 melt/melt(0.1)", "a1 fry/fry(0.0; with @a0)", "a2 add/add(0.2; into @a1)"}},
		{"it goes on for so long", "500 g beans|1 litre water", "Boil the beans in the water. Go on for 10 minutes.", []string{"a0 boil/boil(0.0; with 0.1)", "a1 go on/cook(@a0; 10-10 min)"}},
	})
}

// What is poured over all, wiped off, layered behind a colon, said without a verb, or left of what went elsewhere.
func TestStillMoreThingsAreTold(t *testing.T) {
	hear(t, []way{
		{"eggs over everything", "250 g tempeh|6 eggs|2 tomatoes", "Toast the tempeh in a pan. Add the tomatoes. Beat the eggs and pour over everything.", []string{"a0 toast/toast(0.0)", "a1 add/add(0.2; into @a0)", "a2 beat/beat(0.1)", "a3 pour over/pour(@a2; into @a1)"}},
		{"a marinade that is wiped off, and the rest of it", "2 salmon fillets|1 tbsp oil|4 tbsp soy sauce|2 tbsp mirin", "Whisk the soy sauce and mirin. Marinate the salmon in half of it. Heat the oil in a pan. Wipe the marinade off the salmon and fry for 4 minutes. Pour in the rest of the marinade.", []string{"a0 whisk/whisk(0.2, 0.3)", "a1 marinate/marinate(0.0; into 0.5×@a0)", "a2 heat/heat(0.1)", "a3 wipe off/remove(@a1)", "a4 fry/fry(@a3; with @a2; 4-4 min)", "a5 pour in/pour(0.5×@a0; into @a4)"}},
		{"sausages among what was taken out", "6 Toulouse sausages|150 g lardons|800 g haricot beans", "Fry the lardons, then add the sausages and brown them. Take everything out. Simmer the beans. Bury the lardons and sausages in the beans.", []string{"a0 fry/fry(0.1)", "a1 add/add(0.0; into @a0)", "a2 brown/brown(@a1)", "a3 take out/remove(@a2)", "a4 simmer/simmer(0.2)", "a5 bury/add(@a3; into @a4)"}},
		{"layers behind a colon", "3 aubergines|500 g mince|300 g yoghurt", "Bake the aubergines. Brown the mince. Layer up in a baking dish: half the aubergines, all the mince, the rest of the aubergines, the yoghurt.", []string{"a0 bake/bake(0.0)", "a1 brown/brown(0.1)", "a2 layer/layer(0.5×@a0, @a1, 0.2; into 'baking dish)"}},
		{"a soup is ladled, and not the eggs", "500 g potatoes|600 ml milk|4 eggs", "Simmer the potatoes in the milk. Poach the eggs in water. Ladle into bowls and sit an egg on each.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 poach/poach(0.2; with 'water)", "a2 ladle into bowls/serve(@a0; into 'bowls)", "a3 sit/place(@a1; into @a2)"}},
		{"oil by its colour, kept for later", "1 tbsp olive oil|1 onion|200 g chorizo", "Soften the onion in the oil. Fry the chorizo in a dry pan; keep the red oil. Serve the onion.", []string{"a0 soften/sweat(0.1; with 0.0)", "a1 fry/fry(0.2)", "a2 keep/reserve('red oil)", "a3 serve/serve(@a0; with @a2)"}},
		{"the other half of several", "1 kg cabbage|600 g potatoes|800 g pork", "Put half the cabbage and half the potatoes in a pot. Lay the pork on, cover with the other half.", []string{"a0 put/place(0.5×0.0, 0.5×0.1; into 'pot)", "a1 lay/place(0.2)", "a2 cover/cover(@a1; with 0.5×0.0, 0.5×0.1)"}},
		{"what comes next", "1 onion|400 g tomatoes|100 ml wine", "Fry the onion. Tomatoes and wine next; simmer for 20 minutes.", []string{"a0 fry/fry(0.0)", "a1 add/add(0.1, 0.2; into @a0)", "a2 simmer/simmer(@a1; 20-20 min)"}},
		{"the rest of a sauce of which some went elsewhere", "600 g chicken|3 tbsp fish sauce|3 tbsp sugar", "Toss the chicken with 1 tbsp of the fish sauce. Melt the sugar. Add the chicken, then the rest of the fish sauce.", []string{"a0 toss/toss(0.0; with 0.333×0.1)", "a1 melt/melt(0.2)", "a2 add/add(@a0; into @a1)", "a3 add/add(0.667×0.1; into @a2)"}},
	})
}

// Sausages that were fried with others are themselves, and not the whole of it.
func TestSausagesAreThemselves(t *testing.T) {
	_, g := traced(t, "6 Toulouse sausages|150 g lardons|800 g haricot beans", "Fry the lardons, then add the sausages and brown them. Take everything out. Simmer the beans. Put the sausages into the beans.")
	require.Equal(t, []int{0}, g.Nodes[len(g.Nodes)-1].To)
}

// A step that opens with the name of a part and a colon is of that part.
func TestAStepNamesItsPart(t *testing.T) {
	d := read(t, "Tart\nServes 8\n\nPASTRY: 175 g plain flour / 85 g cold butter, cubed / 1 tbsp cold water\nCURD: 3 lemons, zest and juice / 120 g caster sugar / 2 eggs\n\n1 Rub the butter into the flour, add the water and bake.\n2 Curd: whisk everything in a bowl over simmering water until thick. Spoon into the case.")
	require.Len(t, d.Components, 2)
	require.Len(t, d.Components[0].Lines, 3)
	require.Equal(t, "butter", d.Components[0].Lines[1].FoodID())
	require.Len(t, d.Components[1].Steps, 1)
	require.Contains(t, d.Components[1].Steps[0].Text, "whisk everything")
}

// Of a name that tells two things apart, each word means what was made of such a food.
func TestATitleOfTwoThings(t *testing.T) {
	d := read(t, "Meatball and Potato Tray\nServes 4\n\n500 g minced beef\n1 onion, grated\n1 kg potatoes\n4 tbsp olive oil\n\nMethod\n1. Knead the mince with the onion and shape into flat ovals.\n2. Slice the potatoes and fry them in half the oil. Fry the meatballs in the rest.")
	a := d.Components[0].Steps[1].Actions
	require.Equal(t, "a2 fry/fry(@c0.s0.a1; with 0.5×0.3)", strings.ReplaceAll(show(a[2]), "c0.s1.", ""))
}

// What is laid on a board is the piece that is named, and not the broth that it lay in.
func TestWhatIsLaidOnABoardLeavesItsBroth(t *testing.T) {
	_, g := traced(t, "1 whole chicken|2 l water|1 onion|2 carrots", "Simmer the chicken in the water with the onion for 75 minutes. Transfer the chicken to a cutting board and shred it. Strain the broth and add the carrots.")
	require.Equal(t, []int{0}, nodeOf(t, g, "place").To)
	require.Equal(t, []int{0}, nodeOf(t, g, "shred").To)
	require.NotContains(t, nodeOf(t, g, "strain").To, 0)
	// But with something else it is laid there whole.
	_, g = traced(t, "300 g mince|1 onion", "Fry the mince with the onion. Transfer to a plate.")
	require.Equal(t, []int{0, 1}, nodeOf(t, g, "place").To)
}

// The rest, in a part of the dish, is what else that part lists.
func TestTheRestOfADipIsItsOwn(t *testing.T) {
	d := read(t, "Rolls\nServes 4\n\nRolls\n250 g mince\n1 egg\n20 sheets rice paper\n\nDip\n3 tbsp sugar\n3 tbsp lime juice\n120 ml water\n1 clove garlic\n\nMethod\n1. Mix the mince with the egg. Wet a sheet of rice paper, lay a tablespoon of the filling on it and roll up.\n2. For the dip dissolve the sugar in the water, stir in the rest.")
	a := d.Components[1].Steps[0].Actions
	require.Equal(t, "a1 stir in/stir(1.1, 1.3; into @a0)", strings.ReplaceAll(show(a[1]), "c1.s0.", ""))
}

// The words behind a verb tell which way of working it is.
func TestWhatIsDoneIsToldByWhatFollows(t *testing.T) {
	for method, want := range map[string]string{
		"Put the eggs in boiling water and cook for 9 minutes.":       "boil cook",
		"Put the eggs in a bowl and whisk.":                           "place whisk",
		"Run the eggs under the cold tap and peel.":                   "rinse peel",
		"Wrap the mince in the pastry, seal with the eggs.":           "wrap seal",
		"Seal the mince on all sides.":                                "sear",
		"Divide the mince. Flatten each piece, wrap it round an egg.": "divide shape wrap",
		"Flatten the mince with a rolling pin.":                       "crush",
		"Steam the onion for 20 minutes.":                             "steam",
		"Let the onion go transparent.":                               "sweat",
	} {
		_, g := traced(t, "4 eggs|500 g beef mince|300 g puff pastry|1 onion", method)
		var ways []string
		for _, n := range g.Nodes {
			ways = append(ways, n.Technique.Name)
		}
		require.Equal(t, want, strings.Join(ways, " "), method)
	}
}

// A food of two words that is written as one is the line that it would be with two.
func TestANameWrittenAsOneWord(t *testing.T) {
	_, g := traced(t, "6 Italian sausages|1 onion", "Fry the sausages and lift out. Soften the onion. Return the sausagemeat.")
	require.Equal(t, []int{0}, nodeOf(t, g, "return").To)
	_, g = traced(t, "6 apples|200 g sausage meat", "Fry the sausagemeat. Add the apples.")
	require.Equal(t, []int{1}, nodeOf(t, g, "fry").To)
}

// Where only fat is in hand, "the pieces" are those of what was worked on before.
func TestPiecesAreNotOfFat(t *testing.T) {
	_, g := traced(t, "1 chicken, jointed|50 g butter|1 onion", "Season the chicken. Melt the butter and cook the pieces gently for 10 minutes. Take them out. Soften the onion.")
	require.Contains(t, nodeOf(t, g, "cook").To, 0)
	require.Contains(t, nodeOf(t, g, "remove").To, 0)
}
