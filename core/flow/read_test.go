package flow

import (
	"encoding/json"
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
)

// Each way of speaking that the reader knows, on the least recipe that shows it:
// the lines, the method, and the actions as show writes them.
func TestWaysOfSpeaking(t *testing.T) {
	hear(t, []way{
		{"a share and the rest", "100 g butter|2 onions|1 kg potatoes", "Fry the onions in half the butter. Mash the potatoes with the rest.", []string{"a0 fry/fry(0.1; with 0.5×0.0)", "a1 mash/mash(0.2; with 0.5×0.0)"}},
		{"a third by number", "90 g sugar|3 eggs", "Whisk the eggs with a third of the sugar. Fold in the remaining sugar.", []string{"a0 whisk/whisk(0.1; with 0.333×0.0)", "a1 fold in/fold(0.667×0.0; into @a0)"}},
		{"parts of an egg", "4 eggs|100 g sugar", "Beat the yolks with the sugar. Whisk the whites until stiff and fold them in.", []string{"a0 beat/beat(0.34×0.0; with 0.1)", "a1 whisk/whisk(0.66×0.0; until stiff)", "a2 fold in/fold(@a1; into @a0)"}},
		{"a group", "1 tsp cumin|1 tsp ground coriander|1 tsp turmeric|2 onions|1 tbsp oil", "Fry the onions in the oil. Stir in the spices.", []string{"a0 fry/fry(0.3; with 0.4)", "a1 stir in/stir(0.0, 0.1, 0.2; into @a0)"}},
		{"all but one", "200 g flour|1 tsp salt|50 g sugar|20 g parsley", "Mix everything but the parsley.", []string{"a0 mix/mix(0.0, 0.1, 0.2)"}},
		{"a pronoun", "2 onions|500 g beef|1 tbsp oil", "Heat the oil. Brown the beef in it and take it out. Fry the onions. Return the beef.", []string{"a0 heat/heat(0.2)", "a1 brown/brown(0.1; with @a0)", "a2 take out/remove(@a1)", "a3 fry/fry(0.0; with @a1)", "a4 return/return(@a2; into @a3)"}},
		{"no order at all", "500 g beef|1 l stock", "Simmer the beef in the stock for 2 hours, but do not let it boil. The meat should be very tender.", []string{"a0 simmer/simmer(0.0; with 0.1; 120-120 min)", "remark: do not let it boil", "remark: The meat should be very tender"}},
		{"a condition", "500 g beef|1 l stock", "Simmer the beef in the stock for 2 hours. If it dries out, add a splash of water.", []string{"a0 simmer/simmer(0.0; with 0.1; 120-120 min)", "condition: If it dries out, add a splash of water"}},
		{"what goes on meanwhile", "300 g rice|2 onions|1 tbsp oil", "Boil the rice for 12 minutes. Meanwhile fry the onions in the oil for 8 minutes.", []string{"a0 boil/boil(0.0; 12-12 min)", "a1 fry/fry(0.1; with 0.2; 8-8 min)"}},
		{"how, in -ing", "500 ml milk|50 g semolina", "Bring the milk to the boil. Rain in the semolina, stirring all the time, and cook for 5 minutes.", []string{"a0 bring to the boil/boil(0.0)", "a1 rain in/add(0.1; into @a0; how: stirring all the time)", "a2 cook/cook(@a1; 5-5 min)"}},
		{"hot fat makes it deep", "1 l oil|500 g squid|50 g flour", "Heat the oil to 180 C. Toss the squid in the flour and fry for 2 minutes.", []string{"a0 heat/heat(0.0; 180 C)", "a1 toss/toss(0.1; with 0.2)", "a2 fry/deep-fry(@a1; with @a0; 2-2 min)"}},
		{"some of it, where it stands", "500 g beans|1 l water|1 onion", "Simmer the beans in the water in a large pot for an hour. Crush a third of them against the side. Stir in the onion.", []string{"a0 simmer/simmer(0.0; with 0.1; 60-60 min)", "a1 crush/crush(0.333×@a0; how: against the side)", "a2 stir in/stir(0.2; into @a1)"}},
		{"what a step made, by name", "200 g flour|100 g butter|3 apples|50 g sugar", "Rub the butter into the flour and knead to a dough. Cook the apples with the sugar to a pulp. Roll out the dough and spread the pulp over it.", []string{"a0 rub into/rub-in(0.1; into 0.0)", "a1 knead/knead(@a0; makes dough)", "a2 cook/cook(0.2; with 0.3; makes pulp)", "a3 roll out/roll(@a1)", "a4 spread/spread(@a2; into @a3)"}},
		{"minutes in words", "300 g rice", "Boil the rice for a quarter of an hour.", []string{"a0 boil/boil(0.0; 15-15 min)"}},
		{"on each side", "4 pork chops|1 tbsp oil", "Fry the chops in the oil for 3-4 minutes on each side.", []string{"a0 fry/fry(0.0; with 0.1; 3-4 min)"}},
		{"fat that ran out, and what was seasoned", "150 g smoked lardons|1 chicken, jointed|30 g butter|4 onions", "Brown the lardons. In the fat, colour the seasoned chicken pieces. Add the butter and onions and simmer, half covered, for 20 minutes.", []string{"a0 brown/brown(0.0)", "a1 colour/sear(0.1; with 'fat)", "a2 add/add(0.2, 0.3; into @a1)", "a3 simmer/simmer(@a2; 20-20 min; how: half covered)"}},
		{"the liquor kept", "500 g haddock|500 ml milk|30 g butter|30 g flour", "Poach the haddock in the milk for 8 minutes. Lift out the fish and keep the milk. Melt the butter and stir in the flour. Whisk in the milk. Flake in the fish.", []string{"a0 poach/poach(0.0; with 0.1; 8-8 min)", "a1 lift out/remove(@a0)", "a2 keep/reserve(@a0)", "a3 melt/melt(0.2)", "a4 stir in/stir(0.3; into @a3)", "a5 whisk in/whisk(@a2; into @a4)", "a6 flake in/flake(@a1; into @a5)"}},
		{"both of a kind", "1 red onion|1 white onion|1 tbsp oil", "Fry both onions in the oil.", []string{"a0 fry/fry(0.0, 0.1; with 0.2)"}},
		{"all that is left", "200 g flour|1 tsp salt|2 eggs|300 ml milk", "Beat the eggs. Add the remaining ingredients and whisk.", []string{"a0 beat/beat(0.2)", "a1 add/add(0.0, 0.1, 0.3; into @a0)", "a2 whisk/whisk(@a1)"}},
		{"matter that nobody lists", "500 g pasta", "Boil the pasta in plenty of salted water until tender. Keep a cup of the cooking water and drain.", []string{"a0 boil/boil(0.0; with 'salted water; until tender)", "a1 keep/reserve('cooking water)", "a2 drain/drain(@a0)"}},
		{"a tin greased", "200 g flour|100 g sugar|2 eggs", "Grease a 20 cm tin. Mix the flour, sugar and eggs, pour into the tin and bake at 180 C/160 C fan for 25-30 minutes.", []string{"a0 grease/grease('tin)", "a1 mix/mix(0.0, 0.1, 0.2)", "a2 pour/pour(@a1; into 'tin)", "a3 bake/bake(@a2; 25-30 min; 180 C)"}},
		{"Fahrenheit and gas", "1 chicken", "Roast the chicken at 400 F (gas mark 6) for 1 hour 20 minutes.", []string{"a0 roast/roast(0.0; 80-80 min; 200 C)"}},
		{"an aside in brackets", "500 g mussels|200 ml wine", "Steam the mussels (throw away any that do not open) in the wine for 4 minutes.", []string{"a0 steam/steam(0.0; with 0.1; 4-4 min)", "remark: throw away any that do not open"}},
		{"something told between dashes", "100 g tahini|1 lemon|60 ml water", "Whisk the tahini and lemon - it will seize - and thin with the water.", []string{"a0 whisk/whisk(0.0, 0.1)", "a1 thin/thin(@a0; with 0.2)", "remark: it will seize"}},
		{"what things do themselves", "2 onions|1 tbsp oil|500 g beans", "The onions go into the pan with the oil. Add the beans.", []string{"a0 go into/add(0.0; with 0.1; into 'pan)", "a1 add/add(0.2; into @a0)"}},
		{"the last verb again", "2 onions|2 carrots|1 tbsp oil", "Fry the onions in the oil for 5 minutes, then the carrots.", []string{"a0 fry/fry(0.0; with 0.2; 5-5 min)", "a1 fry/fry(0.1; into @a0)"}},
		{"for the last minutes", "500 g beans|1 l water|100 g spinach", "Simmer the beans in the water for 30 minutes, adding the spinach for the last 2.", []string{"a0 simmer/simmer(0.0; with 0.1; 30-30 min)", "a1 add/add(0.2; into @a0)"}},
		{"a reserve that comes back", "500 g squash|1 l stock|20 g parsley", "Chop the parsley and reserve half. Simmer the squash in the stock. Stir in the parsley and finish with the reserved parsley.", []string{"a0 chop/chop(0.2)", "a1 reserve/reserve(0.5×@a0)", "a2 simmer/simmer(0.0; with 0.1)", "a3 stir in/stir(@a0; into @a2)", "a4 finish/top(@a3; with @a1)"}},
		{"nothing left to chance", "500 g beans", "Frobnicate the beans.", []string{"?? What does “Frobnicate the beans” ask for?"}},
	})
}

// The shapes that recipes come in, and what is none.
var shapes = []string{
	"Cutlets\n\n2 eggs\n80 g flour\n\nMethod\n1. Set up three plates:\n2. Set out two plates: ;; flour; beaten eggs;\n3. Set up plates: ;\n4. Set up plates: flour; fry the eggs; until : ; with",
	"Soup\n\n400 g beans, mix with the sauce\n2 tbsp zyx, then season\n\n1. Season with the zyx, then stir. Serve with zyx.",
	"1. Soak the nuts and heat the sauce.\n5. Drain the pasta, mix with the pale sauce and parsley, then season.\n2. Spoon the gel into a bowl and season. Stir in the herbs.\n3. Season with the soy sauce, then taste.",
	"Stew\n\nServes 6\n\n" + strings.Repeat("1 1/2 lb (680 g) smoked haddock, skinned and boned\n2 large onions, finely chopped\n400 ml whole milk, or cream\n", 10) +
		"\nMethod\n" + strings.Repeat("1. Fry the onions in butter for 10 minutes, then add the haddock and simmer for 20 minutes at 180 C until it flakes.\n", 6),
	"1 1/2 cups (12 oz/340 g) flour, or 2-3 tbsp ½ (",
	"Ingredients\n" + strings.Repeat("a ", 3000) + "\n1 zyx\n1 zyx\nMethod\n" + strings.Repeat("a half ", 2000),
	"Serves 4\n- 1 x 400 g tin\n**For the:**\n1. Bake at 180C/160C fan for 1-1/2 hours until",
	"Soup\n\n2 onions\n\nMethod\n1. Then, and then & or; until (if not) without. Half of the rest of them, in it, with each.\n",
}

func FuzzRead(f *testing.F) {
	for _, s := range shapes {
		f.Add(s)
	}
	r := reader(f)
	f.Fuzz(func(t *testing.T, text string) {
		d := r.Read(text, measure.Imperial)
		for _, c := range d.Components {
			for _, s := range c.Steps {
				for _, n := range s.Lines {
					if n < 0 || n >= len(c.Lines) {
						t.Fatalf("step uses line %d of %d", n, len(c.Lines))
					}
				}
				length := len([]rune(s.Text))
				for _, a := range s.Actions {
					if a.From < 0 || a.Upto > length || a.From >= a.Upto {
						t.Fatalf("action from %d to %d of %d", a.From, a.Upto, length)
					}
					if slices.ContainsFunc(slices.Concat(a.To, a.With, a.Into), func(r recipe.Ref) bool { return r.Line == nil && r.Made == nil && r.Named == nil }) {
						t.Fatalf("a reference of %s to nothing", a.ID)
					}
				}
			}
		}
		if _, err := json.Marshal(d); err != nil {
			t.Fatal(err)
		}
	})
}

// BenchmarkRead reads a recipe of thirty lines and six long steps.
func BenchmarkRead(b *testing.B) {
	r := reader(b)
	b.ReportAllocs()
	for b.Loop() {
		r.Read(shapes[0], measure.US)
	}
}

// Readings that recipes unseen before had wrong.
func TestWhatUnseenRecipesTaught(t *testing.T) {
	r := reader(t)
	for _, x := range []struct{ name, lines, method, action, want string }{
		{"everything beside what is named is what is worked on", "800 g pork shoulder|1 tsp cumin seeds|6 cloves|8 cloves garlic|100 ml vinegar", "Toast the cumin seeds and cloves, then grind everything with the vinegar and garlic to a smooth paste.", "grind", "pork"},
		{"everything that goes back is what was taken out", "600 g beef sirloin|2 spring onions|1 tbsp oil", "Cook the beef in batches. Return everything to the pan, toss with the spring onions.", "return", "spring"},
		{"a cream holds what is creamy", "300 g biscuits|250 g mascarpone|100 g sugar", "Beat the mascarpone with the sugar until smooth. Lay the biscuits in a dish. Spread the cream on top.", "spread", "biscuits"},
	} {
		d := r.Read("T\nServes 4\n\n"+strings.ReplaceAll(x.lines, "|", "\n")+"\n\nMethod\n1. "+x.method, measure.Metric)
		found := false
		for _, a := range d.Components[0].Steps[0].Actions {
			if a.Verb != x.action {
				continue
			}
			found = true
			for _, ref := range a.To {
				if ref.Line != nil {
					require.NotContains(t, d.Components[0].Lines[int((*ref.Line)[len(*ref.Line)-2]-'0')].Name, x.want, x.name)
				}
				if ref.Made != nil && x.action == "spread" {
					require.NotEqual(t, "c0.s0.a1", *ref.Made, x.name)
				}
			}
		}
		require.True(t, found, x.name)
	}
}

// Eggs that are parted are used by yolk and white, a dip takes what was mixed for
// it, and crumbs are breadcrumbs.
func TestPartedDippedAndCrumbed(t *testing.T) {
	r := reader(t)
	d := r.Read("T\nServes 4\n\n5 eggs\n120 g sugar\n300 ml coffee\n3 tbsp marsala\n30 ladyfingers\n50 g breadcrumbs\n\nMethod\n1. Separate the eggs. Beat the yolks with the sugar. Whip the whites until stiff.\n2. Mix the coffee and the marsala. Dip the ladyfingers, then roll them in crumbs.", measure.Metric)
	actions := slices.Concat(d.Components[0].Steps[0].Actions, d.Components[0].Steps[1].Actions)
	part := func(verb string) recipe.Action {
		at := slices.IndexFunc(actions, func(a recipe.Action) bool { return a.Verb == verb })
		require.GreaterOrEqual(t, at, 0, verb)
		return actions[at]
	}
	require.Equal(t, "yolk", part("beat").To[0].Part)
	require.Equal(t, "white", part("whip").To[0].Part)
	require.Equal(t, part("mix").ID, *part("dip").With[0].Made)
	require.Equal(t, "components[0].lines[5]", *part("roll in").With[0].Line)
}

// What a noun is not: a stock cube is no chicken, its juices no juice of a lemon.
// And what it is besides: one of two, the meats of another part.
func TestNounsMeanWhatACookMeans(t *testing.T) {
	r := reader(t)
	for _, x := range []struct{ name, recipe, verb, want string }{
		{"a cube of its stock is no chicken", "T\nServes 4\n\n6 chicken drumsticks\n2 chicken stock cubes\n500 ml water\n\nMethod\n1. Simmer the drumsticks and the stock cubes in the water for 20 minutes. Roast the chicken until brown.", "roast", "components[0].lines[0] 1"},
		{"its juices are no lemon juice", "T\nServes 4\n\n500 g beef\n1 tbsp lemon juice\n1 tbsp oil\n\nMethod\n1. Brown the beef in the oil and lift it out. Slide the beef back in with its juices.", "slide back", "components[0].lines[0] 1"},
		{"the fish steaks are the kingfish", "T\nServes 4\n\n1 kg kingfish steaks\n3 tbsp coconut oil\n\nMethod\n1. Fry the fish steaks in the hot oil, two minutes each side.", "fry", "components[0].lines[0] 1 components[0].lines[1] 1"},
		{"what stands in a tin is heated in the oven, not the oven", "T\nServes 4\n\n140 g flour\n50 g beef dripping\n\nMethod\n1. Put the dripping into the holes of a tin and heat in the oven until smoking.", "heat in", "c0.s0.a0"},
		{"a sliced one of two, where the other comes later", "T\nServes 4\n\n2 onions\n500 ml water\n2 red peppers\n\nMethod\n1. Simmer a sliced onion in the water for 20 minutes. Blend the red peppers with the other onion.", "simmer", "components[0].lines[0] 0.5 components[0].lines[1] 1"},
		{"the meats of another part", "T\nServes 4\n\nDough\n300 g flour\n100 ml water\n\nFilling\n250 g minced beef\n150 g minced pork\n\nTo serve\n50 g butter\n\nMethod\n1. Make a dough from the flour and water. Mix the meats with a spoonful of iced water.", "mix", "components[1].lines[0] 1 components[1].lines[1] 1"},
	} {
		d := r.Read(x.recipe, measure.Metric)
		var got []string
		var actions []recipe.Action
		for _, s := range asTold(d) {
			actions = append(actions, s.Actions...)
		}
		for _, a := range actions {
			if a.Verb != x.verb {
				continue
			}
			for _, ref := range slices.Concat(a.To, a.With) {
				switch {
				case ref.Line != nil:
					got = append(got, fmt.Sprint(*ref.Line, " ", ref.Share))
				case ref.Of != "":
					got = append(got, fmt.Sprint(ref.Of, " ", ref.Share))
				case ref.Made != nil:
					got = append(got, *ref.Made)
				}
			}
		}
		require.Equal(t, x.want, strings.Join(got, " "), x.name)
	}
}

// What is laid in lies in the fat that was heated, whichever side is down.
func TestWhatIsLaidInLiesInTheFat(t *testing.T) {
	_, g := traced(t, "2 salmon fillets|1 tbsp oil", "Heat the oil in a pan, lay the salmon in skin side down and cook for 4 minutes.")
	require.Equal(t, []int{1}, nodeOf(t, g, "place").Into)
	_, g = traced(t, "2 salmon fillets|1 tbsp oil", "Sear the salmon on all sides in the oil.")
	require.Equal(t, []int{1}, nodeOf(t, g, "sear").With)
}
