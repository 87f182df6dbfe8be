package swap_test

import (
	"fmt"
	"maps"
	"math"
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
