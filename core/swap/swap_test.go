package swap_test

import (
	"fmt"
	"maps"
	"math"
	"slices"
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/character"
	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/demo"
	"yembra/knowledge"
)

// shipped is the larder as it ships, loaded once for all tests.
var shipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })

type kitchen struct {
	reader *flow.Reader
	book   *swap.Book
}

func open(t testing.TB) kitchen {
	t.Helper()
	l, err := shipped()
	require.NoError(t, err)
	return kitchen{flow.NewReader(l), swap.NewBook(l)}
}

func (k kitchen) demo(t testing.TB, key string) recipe.Dish {
	t.Helper()
	all, err := demo.Recipes()
	require.NoError(t, err)
	for _, r := range all {
		if r.Key == key {
			return k.reader.Read(r.Text, measure.Metric)
		}
	}
	t.Fatalf("no demo recipe %q", key)
	return recipe.Dish{}
}

func house(preset string, off ...string) swap.HouseRules {
	return swap.HouseRules{Preset: preset, Off: off}
}

func ExampleBook_Propose() {
	l, _ := larder.Load(knowledge.Shipped())
	d := flow.NewReader(l).Read("Toast\nServes 2\n\n20 g butter\n2 onions\n\nMethod\n1. Melt the butter and fry the onions for 10 minutes.", measure.Metric)
	b := swap.NewBook(l)
	dec, _ := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: "whole-food-no-oil"}}, swap.Simplest)
	fmt.Println(dec.Swaps["components[0].lines[0]"])
	// Output: dry-saute
}

func TestNoAdaptedLineIsEverAnimal(t *testing.T) {
	k := open(t)
	for _, key := range []string{"bobotie", "cullen-skink", "feijoada"} {
		d := k.demo(t, key)
		for _, preset := range swap.PresetsOf(k.book.Larder()) {
			for _, aim := range swap.Aims {
				dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(preset.ID), Pins: []string{character.Savoury}}, aim)
				require.NoError(t, err)
				a, err := k.book.Apply(d, dec, false)
				require.NoError(t, err)
				for _, c := range a.Components {
					for _, l := range c.Lines {
						require.NotEqual(t, larder.FromAnimal, l.Origin, "%s under %s: %s", key, preset.ID, l.Text)
						if l.Origin == larder.Mixed {
							require.True(t, l.Check && l.Why != "", l.Text)
						}
					}
				}
			}
		}
	}
}

func TestEveryDishOfTheClubIsCarriedUnderEveryPreset(t *testing.T) {
	k := open(t)
	all, err := demo.Recipes()
	require.NoError(t, err)
	require.Len(t, all, 12)
	for _, r := range all {
		d := k.reader.Read(r.Text, measure.Metric)
		for _, preset := range swap.PresetsOf(k.book.Larder()) {
			for _, aim := range swap.Aims {
				where := r.Key + " under " + preset.ID + ", " + string(aim)
				dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(preset.ID), Pins: r.Pins}, aim)
				require.NoError(t, err)
				a, err := k.book.Apply(d, dec, false)
				require.NoError(t, err)
				require.Empty(t, a.Unresolved, where)
				if preset.ID == swap.WholeFood {
					require.Greater(t, a.Tally.Kept, a.Tally.Short, where)
				}
				for _, h := range a.Structure {
					// Whole nuts cannot make a pastry as short as butter does, and the
					// answer says so.
					if h.Need != "shorten" {
						require.Equal(t, character.Holds, h.Verdict, "%s: %s", where, h.Need)
					}
				}
				rules, err := swap.NewRules(k.book.Larder(), house(preset.ID))
				require.NoError(t, err)
				for _, c := range a.Components {
					for _, l := range c.Lines {
						if f := k.book.Larder().Food(l.FoodID()); f != nil && l.Change != swap.Dropped && f.Origin != larder.Mixed {
							require.Empty(t, rules.Breaks(f), "%s: %s", where, l.Text)
						}
					}
				}
			}
		}
	}
}

func TestEverySwitchKeepsWhatItTurnsOffOutOfEveryDish(t *testing.T) {
	k := open(t)
	all, err := demo.Recipes()
	require.NoError(t, err)
	for _, off := range swap.SwitchesOf(k.book.Larder()) {
		h := house(swap.WholeFood, off.ID)
		rules, err := swap.NewRules(k.book.Larder(), h)
		require.NoError(t, err)
		for _, r := range all {
			d := k.reader.Read(r.Text, measure.Metric)
			dec, err := k.book.Propose(d, swap.Decisions{HouseRules: h, Pins: r.Pins}, swap.Closest)
			require.NoError(t, err)
			a, err := k.book.Apply(d, dec, false)
			require.NoError(t, err)
			for _, c := range a.Components {
				for _, l := range c.Lines {
					if f := k.book.Larder().Food(l.FoodID()); f != nil && l.Change != swap.Dropped {
						require.Empty(t, rules.Breaks(f), "%s without %s: %s", r.Key, off.ID, l.Text)
					}
				}
			}
			for _, o := range a.Unresolved {
				require.Contains(t, o.Why, "no ", "%s without %s: an open line says which rule leaves nothing", r.Key, off.ID)
			}
		}
	}
}

func TestSixPresetsSayWhatTheyAre(t *testing.T) {
	presets := swap.PresetsOf(open(t).book.Larder())
	require.Len(t, presets, 6)
	for _, p := range presets {
		require.NotEmpty(t, p.Name)
		require.Contains(t, p.Hard, "no animal matter", p.ID)
		require.NotEmpty(t, p.Soft, p.ID)
	}
}

func TestPlantLinesFollowTheRulesToo(t *testing.T) {
	k := open(t)
	read := func(line, method string) recipe.Dish {
		return k.reader.Read("Dish\nServes 4\n\n"+line+"\n300 g potatoes\n\nMethod\n1. "+method, measure.Metric)
	}
	for _, c := range []struct{ line, method, off, preset, want string }{
		{"100 g sugar", "Boil the potatoes with the sugar.", "added-sugar", swap.WholeFood, "sugar"},
		{"2 tbsp olive oil", "Fry the potatoes in the oil.", "", "whole-food-no-oil", "oil"},
		{"1 litre sunflower oil", "Deep-fry the potatoes in the oil.", "deep-frying", swap.WholeFood, "deep"},
		{"2 onions", "Boil the potatoes with the onions.", "", "no-onion-garlic", "onion"},
		{"1 red onion, sliced", "Boil the potatoes. Scatter with the red onion.", "raw-onion", swap.WholeFood, "raw"},
		{"200 g basmati rice", "Boil the potatoes and the rice.", "", "fasting-day", "grain"},
		{"200 g dried chickpeas", "Boil the potatoes with the chickpeas.", "", "fasting-day", "pulse"},
		{"2 tbsp soy sauce", "Boil the potatoes with the soy sauce.", "soy", swap.WholeFood, "soy"},
		{"150 ml red wine", "Boil the potatoes in the red wine.", "alcohol", swap.WholeFood, "wine"},
		{"60 g flaked almonds", "Boil the potatoes. Scatter with the almonds.", "tree-nuts", swap.WholeFood, "nuts"},
		{"300 g button mushrooms", "Fry the mushrooms. Boil the potatoes.", "mushrooms", swap.WholeFood, "mushrooms"},
		{"200 g plain flour", "Knead the flour with water. Boil the potatoes.", "gluten", swap.WholeFood, "flour"},
		{"1 tsp salt", "Boil the potatoes with the salt.", "", "fasting-day", "salt"},
	} {
		h := house(c.preset)
		if c.off != "" {
			h = house(c.preset, c.off)
		}
		d := read(c.line, c.method)
		dec, err := k.book.Propose(d, swap.Decisions{HouseRules: h}, swap.Closest)
		require.NoError(t, err)
		require.NotEmpty(t, dec.Swaps["components[0].lines[0]"], "%s under %s %s", c.line, c.preset, c.off)
		a, err := k.book.Apply(d, dec, false)
		require.NoError(t, err)
		require.Empty(t, a.Unresolved)
	}
	// The same lines stay where no rule speaks against them.
	d := read("1 red onion, sliced", "Boil the potatoes. Scatter with the red onion.")
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood)}, swap.Closest)
	require.NoError(t, err)
	require.Empty(t, dec.Swaps)
}

func TestReasonsAreSaidInWords(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Jelly\nServes 4\n\n20 g gelatine\n500 ml orange juice\n\nMethod\n1. Warm the juice and stir in the gelatine. Chill until set.", measure.Metric)
	h := house(swap.WholeFood)
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: h}, swap.Closest)
	require.NoError(t, err)
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	require.Empty(t, a.Unresolved)

	d = k.reader.Read("Stir-fry\nServes 2\n\n30 g brandy\n200 g potatoes\n\nMethod\n1. Fry the potatoes and flame with the brandy.", measure.Metric)
	dec, err = k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood, "alcohol")}, swap.Closest)
	require.NoError(t, err)
	require.NotEmpty(t, dec.Swaps)

	// Tree nuts, sesame, soy and pulses off leave nothing that can be whipped.
	d = k.reader.Read("Fool\nServes 2\n\n200 ml double cream\n300 g raspberries\n\nMethod\n1. Whip the cream until it holds soft peaks and fold in the raspberries.", measure.Metric)
	rules := house(swap.WholeFood, "tree-nuts", "soy")
	dec, err = k.book.Propose(d, swap.Decisions{HouseRules: rules}, swap.Closest)
	require.NoError(t, err)
	ranked, rejected, err := k.book.Rank(d, dec, "components[0].lines[0]")
	require.NoError(t, err)
	require.NotEmpty(t, ranked)
	for _, r := range rejected {
		require.Regexp(t, `^no [a-z -]+: (holds|it is) `, r.Rule, "a reason in words")
	}
}

func TestAnOpenLineOffersTheNearestAndSaysWhatItBreaks(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Caviar toast\nServes 2\n\n40 g peanuts\n30 g caviar\n\nMethod\n1. Top the toast with caviar and peanuts.", measure.Metric)
	a, err := k.book.Apply(d, swap.Decisions{HouseRules: house(swap.WholeFood, "peanut", "sesame", "tree-nuts")}, false)
	require.NoError(t, err)
	require.Len(t, a.Unresolved, 2, "nothing is chosen yet")
	require.Equal(t, "no swap chosen yet", a.Unresolved[0].Why)

	// An isolated case: yeast under no raising agent that the rules allow.
	d = k.reader.Read("Sorbet\nServes 4\n\n20 g dark chocolate\n1 tsp cochineal\n\nMethod\n1. Stir.", measure.Metric)
	for _, preset := range swap.PresetsOf(k.book.Larder()) {
		a, err := k.book.Apply(d, swap.Decisions{HouseRules: house(preset.ID, "added-sugar", "mushrooms")}, false)
		require.NoError(t, err)
		for _, o := range a.Unresolved {
			if o.Nearest != nil {
				require.NotEmpty(t, o.Nearest.Breaks)
				require.NotNil(t, k.book.Larder().SwapNamed(o.Nearest.Swap))
			}
		}
	}
}

func TestTheSaltLimitOfTheHouseIsKept(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Ragout\nServes 4\n\n500 g beef mince\n400 g tinned tomatoes\n1 tbsp salt\n\nMethod\n1. Brown the mince for 10 minutes, add the tomatoes and salt and simmer for 20 minutes.", measure.Metric)
	h := house(swap.WholeFood)
	h.SaltPerServing = 1.5
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: h}, swap.Closest)
	require.NoError(t, err)
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	salt := 0.0
	for _, c := range a.Components {
		for _, l := range c.Lines {
			if f := k.book.Larder().Food(l.FoodID()); f != nil && l.Change != swap.Dropped {
				salt += l.Mass() * f.FormNamed(l.Form).Base * f.Per100.Salt() / 100
			}
		}
	}
	require.LessOrEqual(t, salt/4, 1.5*1.05)
	i := slices.IndexFunc(a.Traits, func(x character.Thread) bool { return x.Trait == character.Salt })
	require.Equal(t, character.Wanted, a.Traits[i].Verdict)
}

func TestAMildTableWantsLessHeat(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Chilli\nServes 4\n\n400 g merguez\n400 g tinned tomatoes\n1 tsp salt\n\nMethod\n1. Fry the merguez for 10 minutes, add the tomatoes and salt and simmer for 20 minutes.", measure.Metric)
	h := house(swap.WholeFood)
	h.Mild = true
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: h}, swap.Closest)
	require.NoError(t, err)
	for _, b := range dec.Boosters {
		require.NotContains(t, k.book.Larder().BoosterNamed(b.Food).Traits[:1], character.Heat)
	}
}

func TestTheCookCorrectsAUse(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Bake\nServes 4\n\n2 eggs\n300 ml milk\n\nMethod\n1. Beat the eggs with the milk and bake until set.", measure.Metric)
	rules, err := swap.NewRules(k.book.Larder(), house(swap.WholeFood))
	require.NoError(t, err)
	slots := k.book.Slots(d, rules, swap.Decisions{})
	require.Equal(t, "set", slots[0].Use.Name)
	require.Contains(t, slots[0].Use.Others, "bind")
	dec := swap.Decisions{HouseRules: house(swap.WholeFood), Uses: map[string]string{"components[0].lines[0]": "bind"}}
	slots = k.book.Slots(d, rules, dec)
	require.Equal(t, "bind", slots[0].Use.Name)
	require.True(t, slots[0].Use.Corrected)
	proposed, err := k.book.Propose(d, dec, swap.Closest)
	require.NoError(t, err)
	require.Equal(t, dec.Uses, proposed.Uses, "a correction stays")
	chosen := k.book.Larder().SwapNamed(proposed.Swaps["components[0].lines[0]"])
	require.Contains(t, chosen.Uses, "bind")
}

func TestAFactorOnASwapsAmounts(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Set milk\n\n3 large eggs\n400 ml milk\n\nMethod\n1. Beat the eggs into the milk and bake for 30 minutes until set.", measure.Metric)
	ref := "components[0].lines[0]"
	dec := swap.Decisions{HouseRules: house(swap.WholeFood), Swaps: map[string]string{ref: "chickpea-custard"}, Amounts: map[string]float64{ref: 1.5}}
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	require.InDelta(t, 1.5*3*14, a.Components[0].Lines[0].Mass(), 3)
	require.InDelta(t, 1.5, a.Swaps[0].Amount, 1e-9)
}

func TestHardRulesHold(t *testing.T) {
	k := open(t)
	d := k.demo(t, "cullen-skink")
	for _, c := range []struct {
		off      string
		allergen string
	}{{"soy", "soy"}, {"tree-nuts", "nuts"}, {"gluten", "gluten"}, {"sesame", "sesame"}} {
		dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood, c.off)}, swap.Closest)
		require.NoError(t, err)
		a, err := k.book.Apply(d, dec, false)
		require.NoError(t, err)
		for _, comp := range a.Components {
			for _, l := range comp.Lines {
				if f := k.book.Larder().Food(l.FoodID()); f != nil {
					require.NotContains(t, f.Allergen, c.allergen, "%s without %s", l.Text, c.off)
				}
			}
		}
	}
	ranked, rejected, err := k.book.Rank(d, swap.Decisions{HouseRules: house(swap.WholeFood, "soy")}, "components[0].lines[0]")
	require.NoError(t, err)
	require.NotEmpty(t, ranked)
	require.Contains(t, rejected, swap.Rejected{Swap: "smoked-tofu-flakes", Rule: "no soy: holds smoked tofu"})
}

func TestOilIsSwappedUnderNoOil(t *testing.T) {
	k := open(t)
	d := k.demo(t, "bobotie")
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house("whole-food-no-oil")}, swap.Closest)
	require.NoError(t, err)
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	for _, c := range a.Components {
		for _, l := range c.Lines {
			if f := k.book.Larder().Food(l.FoodID()); f != nil {
				require.NotEqual(t, "oil", f.Kind, l.Text)
			}
		}
	}
	i := slices.IndexFunc(a.Traits, func(x character.Thread) bool { return x.Trait == character.Richness })
	require.Equal(t, character.Wanted, a.Traits[i].Verdict, "less fat is what the rules want")
}

func TestALineWithoutAnAllowedSwapStaysOpenAndSaysWhy(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Honey toast\n\n2 tbsp honey\n20 g cheese crystals\n\nMethod\n1. Warm the honey.", measure.Metric)
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood, "added-sugar")}, swap.Closest)
	require.NoError(t, err)
	require.Equal(t, "date-syrup-honey", dec.Swaps["components[0].lines[0]"], "dates are no added sugar, syrup is")
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	require.Len(t, a.Unresolved, 1)
	require.Equal(t, swap.Dropped, a.Components[0].Lines[len(a.Components[0].Lines)-1].Change)
}

func TestAmountsFollowTheReplacedMass(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Set milk\n\n3 large eggs\n400 ml milk\n\nMethod\n1. Beat the eggs into the milk and bake for 30 minutes until set.", measure.Metric)
	dec := swap.Decisions{HouseRules: house(swap.WholeFood), Swaps: map[string]string{"components[0].lines[0]": "chickpea-custard"}}
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	require.Equal(t, "chickpea-flour", a.Components[0].Lines[0].FoodID())
	require.InDelta(t, 3*14, a.Components[0].Lines[0].Mass(), 2.5, "14 g of chickpea flour for each egg")
	require.Equal(t, "set", a.Swaps[0].Use)
	require.NotEmpty(t, a.Swaps[0].Rule)
}

func TestSaltLineIsLoweredByWhatSwapsBring(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Ragout\n\n500 g beef mince\n2 tsp salt\n\nMethod\n1. Brown the mince and salt it.", measure.Metric)
	dec := swap.Decisions{HouseRules: house(swap.WholeFood), Swaps: map[string]string{"components[0].lines[0]": "lentil-walnut-mince"}}
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	lines := a.Components[0].Lines
	salt := lines[len(lines)-1]
	require.Equal(t, swap.Adjusted, salt.Change)
	require.Less(t, salt.Mass(), d.Components[0].Lines[1].Mass())
	require.Contains(t, salt.Why, "Lowered from 2 tsp salt")
}

func TestProposalsAreDeterministic(t *testing.T) {
	k := open(t)
	d := k.demo(t, "feijoada")
	first, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood), Pins: []string{character.Smoke}}, swap.Closest)
	require.NoError(t, err)
	for range 3 {
		again, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood), Pins: []string{character.Smoke}}, swap.Closest)
		require.NoError(t, err)
		require.Equal(t, first, again)
	}
}

// off is the pinned and unpinned shortfall of an adaptation, as the model
// states it, without any penalty.
func off(a swap.Adaptation) float64 {
	total := 0.0
	for _, t := range a.Traits {
		over := math.Max(0, math.Abs(t.Steps)-1)
		w := 1.0 / 3
		if t.Pinned {
			w = 1
		}
		total += w * over * over
	}
	return total
}

func TestProposalBeatsAnyRandomChoiceOfSwaps(t *testing.T) {
	k := open(t)
	d := k.demo(t, "cullen-skink")
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood), Pins: []string{character.Smoke}}, swap.Closest)
	require.NoError(t, err)
	best, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	rules, err := swap.NewRules(k.book.Larder(), house(swap.WholeFood))
	require.NoError(t, err)
	for _, s := range k.book.Slots(d, rules, dec) {
		ranked, _, err := k.book.Rank(d, dec, s.Ref)
		require.NoError(t, err)
		for _, c := range ranked {
			try := dec
			try.Boosters = nil
			try.Swaps = maps.Clone(dec.Swaps)
			try.Swaps[s.Ref] = c.Swap.ID
			a, err := k.book.Apply(d, try, false)
			require.NoError(t, err)
			require.GreaterOrEqual(t, off(a)+2, off(best), "%s for %s", c.Swap.ID, s.Ref)
		}
	}
	require.LessOrEqual(t, len(dec.Boosters), 4)
}

func TestRulesRefuseWhatTheyDoNotKnow(t *testing.T) {
	k := open(t)
	for field, rules := range map[string]swap.HouseRules{
		"houseRules.preset":         {Preset: "carnivore"},
		"houseRules.off[1]":         {Off: []string{"soy", "water"}},
		"houseRules.saltPerServing": {SaltPerServing: -1},
	} {
		_, err := swap.NewRules(k.book.Larder(), rules)
		var f swap.FieldError
		require.ErrorAs(t, err, &f)
		require.Equal(t, field, f.Field)
	}
}

func BenchmarkApply(b *testing.B) {
	k := open(b)
	d := k.demo(b, "feijoada")
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood)}, swap.Closest)
	require.NoError(b, err)
	for b.Loop() {
		if _, err := k.book.Apply(d, dec, false); err != nil {
			b.Fatal(err)
		}
	}
}

func BenchmarkPropose(b *testing.B) {
	k := open(b)
	d := k.demo(b, "feijoada")
	for b.Loop() {
		if _, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood)}, swap.Closest); err != nil {
			b.Fatal(err)
		}
	}
}

func TestMatterOfWhichOnlyTheClassIsKnownGetsItsUsualSwap(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Stir-fry\n\n300 g wagyu slices\n1 onion\n\nMethod\n1. Fry the wagyu slices with the onion.", measure.Metric)
	require.Equal(t, larder.Meat, d.Components[0].Lines[0].Animal)
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood)}, swap.Closest)
	require.NoError(t, err)
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	require.Empty(t, a.Unresolved)
	require.Greater(t, a.Components[0].Lines[0].Mass(), 50.0)
}

func TestEveryKindOfAnimalMatterHasASwap(t *testing.T) {
	k := open(t)
	for _, f := range k.book.Larder().Foods() {
		if f.Origin != larder.FromAnimal {
			continue
		}
		grams := measure.Exactly(100)
		d := recipe.Dish{Components: []recipe.Component{{Lines: []recipe.Line{{Name: f.Name, Food: &f.ID, Form: larder.RawForm, Grams: &grams, Origin: f.Origin, Animal: f.Animal}}}}}
		dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood)}, swap.Simplest)
		require.NoError(t, err)
		require.NotEmpty(t, dec.Swaps, "%s (%s)", f.ID, f.Kind)
	}
}

func TestAnAnimalChoiceInAPlantLineIsLeftOut(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Onions\n\n2 tbsp olive oil or butter\n2 onions\n\nMethod\n1. Fry the onions.", measure.Metric)
	require.Equal(t, larder.Mixed, d.Components[0].Lines[0].Origin)
	a, err := k.book.Apply(d, swap.Decisions{}, false)
	require.NoError(t, err)
	line := a.Components[0].Lines[0]
	require.Equal(t, swap.Adjusted, line.Change)
	require.Equal(t, larder.FromPlant, line.Origin)
	require.NotContains(t, line.Text, "butter")
	require.Empty(t, line.Alternatives)
}
