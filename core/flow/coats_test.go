package flow

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
)

// Coats, lids, creams, joined verbs and pieces in broth, each on the least recipe that shows how it is read.
func TestCoatsLidsAndPiecesAreTold(t *testing.T) {
	hear(t, []way{
		{"pressed into a coat", "8 chicken drumsticks|500 ml buttermilk|250 g plain flour|1 litre oil", "Leave the drumsticks in the buttermilk for 4 hours. Stir 3 tbsp of the buttermilk into the flour. Lift each drumstick out, press it into the flour and fry it in the oil.", []string{"a0 leave/rest(0.0; with 0.1; 240-240 min)", "a1 stir into/stir(0.09×@a0; into 0.2)", "a2 lift out/remove(@a0)", "a3 press into/coat(@a2; into @a1)", "a4 fry/fry(@a3; with 0.3)"}},
		{"the vegetables that are in", "1 kg potatoes|1 onion|1 green pepper|2 chorizos|3 tbsp olive oil", "Chop the onion and pepper and cook them in the oil. Cut the chorizos into coins and cook with the vegetables for 2 minutes. Peel the potatoes and break them into lumps. Stir them in.", []string{"a0 chop/chop(0.1, 0.2)", "a1 cook/cook(@a0; with 0.4)", "a2 cut/cut(0.3; into 'coins)", "a3 cook/cook(@a2; with @a1; 2-2 min)", "a4 peel/peel(0.0)", "a5 break/cut(@a4; into 'lumps)", "a6 stir in/stir(@a5; into @a3)"}},
		{"cream off a plant's milk", "800 ml coconut milk|4 tbsp curry paste|500 g potatoes", "Take the thick cream off the top of the coconut milk and put it in a heavy pot over a medium flame. Fry the paste in it. Pour on the rest of the coconut milk and add the potatoes.", []string{"a0 take off/remove(0.25×0.0)", "a1 put/place(@a0; into 'heavy pot)", "a2 fry/fry(0.1; with @a1)", "a3 pour on/pour(0.75×0.0; into @a2)", "a4 add/add(0.2; into @a3)"}},
		{"a lid that sits ajar", "500 g potatoes|200 ml water|2 onions", "Simmer the potatoes in the water. Add the onions. Bring to a simmer, lid ajar, and leave it to putter for an hour.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 add/add(0.2; into @a0)", "a2 bring to a simmer/simmer(@a1; how: lid ajar)", "a3 leave to putter/simmer(@a2; 60-60 min)"}},
		{"what longer would do", "500 g pork|120 ml vinegar", "Leave the pork in the vinegar for 3 hours. Longer than that and the acid makes the meat mushy. Grill for no longer than 10 minutes.", []string{"a0 leave/rest(0.0; with 0.1; 180-180 min)", "a1 grill/grill(@a0; 10-10 min; how: longer)", "note: Longer than that and the acid makes the meat mushy"}},
		{"a grill is lit", "500 g pork", "Light a charcoal grill. Grill the pork for 10 minutes.", []string{"a0 light grill/preheat('charcoal grill)", "a1 grill/grill(0.0; 10-10 min)"}},
		{"how things of a list were cut", "2 carrots|1 leek|1 onion|1 bouquet garni", "Boil the onion. Add the carrots and leek, cut in chunks, the onion and the bouquet garni.", []string{"a0 boil/boil(0.2)", "a1 add/add(0.0, 0.1, @a0, 0.3)"}},
		{"one a bit larger", "500 g potatoes|400 g salmon", "Dice the potatoes and the salmon a bit larger.", []string{"a0 dice/dice(0.0, 0.1; how: a bit larger)"}},
		{"one rolled round another", "4 slices ham|4 slices Emmental|4 aubergines", "Slit the aubergines. Tuck in a slice of ham rolled round a slice of cheese.", []string{"a0 slit/cut(0.2)", "a1 tuck in/add(0.0; with 0.1; into @a0)"}},
		{"buttered, of verbs that are joined", "4 hamburger buns|2 tbsp butter", "Split and butter the buns.", []string{"a0 split/cut(0.0)", "a1 butter/spread(@a0; with 0.1)"}},
		{"the one piece of flesh in a broth", "700 g chicken breasts|1 onion|1 litre water", "Simmer the chicken with the onion in the water for 25 minutes. Let it cool and shred it.", []string{"a0 simmer/simmer(0.0; with 0.1, 0.2; 25-25 min)", "a1 let cool/cool(@a0)", "a2 shred/shred(@a1)"}},
		{"passed in a jug", "6 chicken thighs|200 ml white wine", "Bake the thighs in the wine. Lift out the thighs. Pass the juices in a jug.", []string{"a0 bake/bake(0.0; with 0.1)", "a1 lift out/remove(@a0)", "a2 pass in a jug/serve(@a0; with @a1)"}},
		{"rind up", "450 g reblochon|1 kg potatoes", "Boil the potatoes. Lay the reblochon on top, rind up.", []string{"a0 boil/boil(0.1)", "a1 lay on/add(0.0; into @a0; how: rind up)"}},
		{"eggs are broken into, other things in pieces", "4 eggs|400 g tomatoes|100 g noodles", "Simmer the tomatoes. Break the noodles in half and boil them. Break the eggs into the tomatoes.", []string{"a0 simmer/simmer(0.1)", "a1 break in half/cut(0.2; how: in half)", "a2 boil/boil(@a1)", "a3 break/add(0.0; into @a0)"}},
		{"drained and steamed dry", "500 g potatoes|2 bay leaves|100 g breadcrumbs", "Boil the potatoes, drain well, steam dry and mash.", []string{"a0 boil/boil(0.0)", "a1 drain/drain(@a0; how: well)", "a2 steam dry/dry(@a1)", "a3 mash/mash(@a2)"}},
		{"a sauce by its colour", "4 slices toast|4 eggs|30 g butter", "Fry the eggs. Serve with the toast and brown sauce.", []string{"a0 fry/fry(0.1)", "a1 serve/serve(@a0; with 0.0, 'brown sauce)"}},
		{"skin off a fish", "250 g smoked mackerel fillets|150 g rice", "Peel the skin off the mackerel and flake it. Add the rice.", []string{"a0 peel/peel(0.0)", "a1 flake/flake(@a0)", "a2 add/add(0.1; into @a1)"}},
		{"the rest, of which none has gone in", "3 rashers streaky bacon, chopped|4 rashers streaky bacon, to serve|1 onion", "Fry the chopped bacon and the onion. Grill the remaining bacon rashers until crisp.", []string{"a0 fry/fry(0.0, 0.2)", "a1 grill/grill(0.1; until crisp)"}},
		{"all of it back", "700 g steak|2 onions|500 ml stock", "Fry the steak. Fry the onions. Put all back in the pan with the stock.", []string{"a0 fry/fry(0.0)", "a1 fry/fry(0.1)", "a2 put back/return(@a0, @a1; with 0.2; into 'pan)"}},
		{"across the grain", "400 g steak|200 g ground rice", "Sear the steak. Slice it thinly across the grain.", []string{"a0 sear/sear(0.0)", "a1 slice/slice(@a0; how: thinly / across the grain)"}},
	})
}

// Of a pot of broth, what is shredded is the one piece of flesh; of two nobody knows which.
func TestOnePieceOfFleshIsShredded(t *testing.T) {
	_, g := traced(t, "700 g chicken breasts|1 onion|1 litre water", "Simmer the chicken with the onion in the water for 25 minutes. Let it cool and shred it.")
	require.Equal(t, []int{0}, nodeOf(t, g, "shred").To)
	_, g = traced(t, "700 g chicken breasts|1 onion|1 litre water|300 g beef shin", "Simmer the chicken and the beef with the onion in the water for 25 minutes. Let it cool and shred it.")
	require.Len(t, nodeOf(t, g, "shred").To, 4)
}

// The cream of a plant's milk is no animal's, that of milk is.
func TestTheCreamOfAPlantsMilkIsNoAnimals(t *testing.T) {
	for text, want := range map[string]int{
		"Take the thick cream off the top of the coconut milk.": 0,
		"Scoop the cream from the coconut milk.":                0,
		"Take the cream off the top of the milk.":               2,
		"Pour the cream off the potatoes.":                      1,
		"Take the cream off the heat and add the coconut milk.": 1,
	} {
		require.Len(t, reader(t).Animals(text, nil), want, text)
	}
}

// What is tossed with the lines of its part is the piece, though the part is called so too.
func TestThePieceAndItsPartByOneName(t *testing.T) {
	d := read(t, "Stir-fry\n\nFor the beef:\n500 g flank steak, sliced\n1 tbsp soy sauce\n1 tbsp cornflour\n\nFor the stir-fry:\n500 g broccoli\n\nMethod\n1. Toss the beef with the soy sauce and cornflour. Steam the broccoli.")
	to := d.Components[0].Steps[0].Actions[0].To
	require.Len(t, to, 1)
	require.Equal(t, recipe.LineRef(0, 0), *to[0].Line)
}
