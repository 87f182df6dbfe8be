package flow

import (
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// What a method makes goes on into something, or is served: a thing that no later action takes up, though the method goes on, is
// mostly a word that was not understood ("spoon over the top", of what stands in its dish).
func TestLittleIsLeftLying(t *testing.T) {
	r := reader(t)
	recipes, lying := 0, []string{}
	for _, file := range []string{"eighth.txt", "sixteenth.txt", "twentyfourth.txt", "thirtythird.txt", "thirtyfourth.txt", "thirtyfifth.txt"} {
		data, err := os.ReadFile(filepath.Join("testdata", file))
		require.NoError(t, err)
		for _, text := range strings.Split("\n"+string(data), "\n=== ")[1:] {
			name, text, _ := strings.Cut(text, "\n")
			d := r.Read(text, measure.Metric)
			if recipes++; len(leftLying(r.larder, &d).by) > 0 {
				lying = append(lying, name)
			}
		}
	}
	t.Logf("%d of %d recipes leave something lying: %s", len(lying), recipes, strings.Join(lying, ", "))
	require.Greater(t, recipes, 150)
	require.Less(t, float64(len(lying))/float64(recipes), mostLying)
}

// mostLying is the share of recipes of which something is read as left lying, of which a few are served beside the dish.
const mostLying = 0.09

// leftLying is what a method makes and takes up nowhere.
func leftLying(l *larder.Larder, d *recipe.Dish) leftover { return Trace(l, d).lying(d) }

// The check sees what is left lying, and nothing in a method that takes all up.
func TestWhatIsLeftLyingIsSeen(t *testing.T) {
	for method, lies := range map[string]bool{
		"1. Fry the beef in the oil.\n2. Boil the potatoes and mash them.\n3. Serve the potatoes.":                        true,
		"1. Fry the beef in the oil.\n2. Boil the potatoes and mash them.\n3. Spoon the mash over the beef and serve it.": false,
	} {
		d := read(t, "Dish\nServes 4\n\n500 g beef\n2 tbsp oil\n800 g potatoes\n\nMethod\n"+method)
		require.Equal(t, lies, len(leftLying(reader(t).larder, &d).by) > 0, method)
	}
}

// Things that were named, tossed or taken out before go on by these names.
func TestThingsAreTakenUpAgain(t *testing.T) {
	hear(t, []way{
		{"over the top of what stands in its dish", "300 g pasta|200 g ham|50 g breadcrumbs|50 g cheddar", "Boil the pasta, drain and toss with the ham. Tip into an ovenproof dish. Mix the breadcrumbs with the cheese and spoon over the top. Bake for 20 minutes.", []string{"a0 boil/boil(0.0)", "a1 drain/drain(@a0)", "a2 toss/toss(@a1; with 0.1)", "a3 tip into/place(@a2; into 'ovenproof dish)", "a4 mix/mix(0.2; with 0.3)", "a5 spoon over/pour(@a4; into @a3)", "a6 bake/bake(@a5; 20-20 min)"}},
		{"no more than the flour that is left", "600 g beef|2 tbsp flour|2 onions|2 tbsp oil", "Toss the beef in the flour. Brown in the oil and set aside. Fry the onions. Stir in any leftover flour. Add the beef.", []string{"a0 toss/toss(0.0; with 0.1)", "a1 brown in/brown(@a0; with 0.3)", "a2 set aside/reserve(@a1)", "a3 fry/fry(0.2; with @a1)", "a4 stir in/stir(@a2; into @a3)", "a5 add/add(@a2; into @a4)"}},
		{"everything that lies on plates is returned", "200 g prawns|2 eggs|200 g noodles|2 tbsp oil", "Fry the prawns in the oil in a wok and tip onto a plate. Fry the eggs and put on another plate. Fry the noodles. Return everything to the wok.", []string{"a0 fry/fry(0.0; with 0.3)", "a1 tip onto a plate/place(@a0; into 'plate)", "a2 fry/fry(0.1; with @a0)", "a3 put on/place(@a2; into 'plate)", "a4 fry/fry(0.2; with @a2)", "a5 return/return(@a1, @a3; into @a4)"}},
		{"water from the tap is no sauce", "400 g spaghetti|400 g tinned tomatoes|2 tbsp capers", "Bring a large pan of salted water to the boil. Simmer the tomatoes with the capers. Boil the spaghetti, drain and tip into the sauce.", []string{"a0 bring to the boil/boil('large pan of salted water)", "a1 simmer/simmer(0.1; with 0.2)", "a2 boil/boil(0.0)", "a3 drain/drain(@a2)", "a4 tip into/place(@a3; into @a1)"}},
		{"what is drained goes into what simmers", "250 g paneer|200 ml water|400 g tomatoes|300 g peas|50 ml cream", "Soak the paneer in the water. Simmer the tomatoes with the peas. Drain the paneer and add with the cream.", []string{"a0 soak/soak(0.0; with 0.1)", "a1 simmer/simmer(0.2; with 0.3)", "a2 drain/drain(@a0)", "a3 add/add(@a2; with 0.4; into @a1)"}},
		{"in an oven that was just heated", "800 g potatoes|500 g minced beef", "Mash the potatoes and spread over the beef. Heat the oven to 220C and cook for 25 minutes.", []string{"a0 mash/mash(0.0)", "a1 spread over/spread(0.1)", "a2 heat the oven/preheat('oven; 220 C)", "a3 cook/bake(@a1; 25-25 min)"}},
		{"the mixture and not the broth is shaped", "300 g minced pork|1 egg|1 litre stock|2 tomatoes", "Mix the pork and the egg. Boil the tomatoes in the stock. Shape the mixture into balls.", []string{"a0 mix/mix(0.0, 0.1)", "a1 boil/boil(0.3; with 0.2)", "a2 shape/shape(@a0; makes ball)"}},
		{"the filling lies on a plate", "4 rashers bacon|200 g mushrooms|4 eggs|1 tbsp butter", "Fry the bacon and mushrooms and tip onto a plate. Melt the butter and pour in the eggs. Spoon the filling over one half.", []string{"a0 fry/fry(0.0, 0.1)", "a1 tip onto a plate/place(@a0; into 'plate)", "a2 melt/melt(0.3)", "a3 pour in/pour(0.2; into @a2)", "a4 spoon/place(@a1; into @a3; how: over one half)"}},
		{"the seasoning of the list is tasted for", "500 g beef|200 ml cream|salt and pepper|2 tbsp parsley", "Simmer the beef in the cream. Check the seasoning. Sprinkle with parsley.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 check/taste(@a0; with 0.2)", "a2 sprinkle/sprinkle(@a1; with 0.3)"}},
	})
}
