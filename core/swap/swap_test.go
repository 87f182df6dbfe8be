package swap_test

import (
	"fmt"
	"maps"
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/demo"
	"yembra/knowledge"
)

type kitchen struct {
	reader *recipe.Reader
	book   *swap.Book
}

func open(t testing.TB) kitchen {
	t.Helper()
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	return kitchen{recipe.NewReader(l), swap.NewBook(l)}
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
	d := recipe.NewReader(l).Read("Toast\nServes 2\n\n20 g butter\n2 onions\n\nMethod\n1. Melt the butter and fry the onions for 10 minutes.", measure.Metric)
	b := swap.NewBook(l)
	dec, _ := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFoodNoOil}}, swap.Simplest)
	fmt.Println(dec.Swaps["components[0].lines[0]"])
	// Output: dry-saute
}

func TestNoAdaptedLineIsEverAnimal(t *testing.T) {
	k := open(t)
	for _, key := range []string{"bobotie", "cullen-skink", "feijoada"} {
		d := k.demo(t, key)
		for _, preset := range swap.Presets {
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

func TestDemoDishesAreCarriedWhole(t *testing.T) {
	k := open(t)
	for _, key := range []string{"bobotie", "cullen-skink", "feijoada"} {
		d := k.demo(t, key)
		for _, preset := range []string{swap.WholeFood, swap.WholeFoodNoOil, swap.LikeForLike} {
			dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(preset)}, swap.Closest)
			require.NoError(t, err)
			a, err := k.book.Apply(d, dec, false)
			require.NoError(t, err)
			require.Empty(t, a.Unresolved, "%s under %s", key, preset)
			require.Greater(t, a.Tally.Kept, 0)
			for _, h := range a.Structure {
				require.Equal(t, character.Holds, h.Verdict, "%s: %s", key, h.Need)
			}
		}
	}
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
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFoodNoOil)}, swap.Closest)
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
	rules, err := swap.NewRules(house(swap.WholeFood))
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
	for field, rules := range map[string]swap.HouseRules{
		"houseRules.preset":         {Preset: "carnivore"},
		"houseRules.off[1]":         {Off: []string{"soy", "water"}},
		"houseRules.saltPerServing": {SaltPerServing: -1},
	} {
		_, err := swap.NewRules(rules)
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
