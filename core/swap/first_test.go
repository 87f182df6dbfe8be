package swap

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
)

const quiche = "Quiche\nServes 4\n\n4 eggs\n200 g leeks\n1 tbsp oil\n\nMethod\n1. Soften the leeks in the oil for 8 minutes. Pour over the beaten eggs and bake at 180 C for 30 minutes until set."

// What a cook of experience takes first weighs in the closest answer alone, and stands on
// top of what can be chosen wherever it is right.
func TestWhatIsTakenFirstIsProposedFirst(t *testing.T) {
	b, r := open(t)
	d := r.Read(quiche, measure.Metric)
	dec := Decisions{HouseRules: HouseRules{Preset: WholeFood}}
	x := b.benchOf(t, d, dec)
	first := x.takenFirst(&x.slots[0])
	require.NotEmpty(t, first)
	later := func(aim Aim) (of []float64) {
		x.aim = aim
		for i := range x.options[0] {
			o := &x.options[0][i]
			of = append(of, x.unfit(&x.slots[0], o))
		}
		return of
	}
	closest, cheap := later(Closest), later(Cheapest)
	held := false
	for i, sw := range x.slots[0].allowed {
		if slices.Contains(first, sw.ID) {
			held = true
			require.InDelta(t, cheap[i], closest[i], 1e-9, sw.ID)
		} else {
			require.Greater(t, closest[i], cheap[i], sw.ID)
		}
	}
	require.True(t, held, "one of %v is allowed", first)
	list, _, err := b.Rank(d, dec, "components[0].lines[0]")
	require.NoError(t, err)
	require.True(t, list[0].First, list[0].Swap.ID)
	seen := false
	for _, c := range list {
		if c.Fit == Right {
			require.False(t, seen && c.First, "%s stands below what is taken later", c.Swap.ID)
			seen = seen || !c.First
		}
	}
}

// No booster that must be cooked is dosed into what is never heated.
func TestWhatMustCookStaysOutOfTheCold(t *testing.T) {
	b, r := open(t)
	dosed := func(text string) (heated, cold int) {
		d := r.Read(text, measure.Metric)
		x := b.benchOf(t, d, Decisions{HouseRules: HouseRules{Preset: WholeFood}})
		for i, booster := range b.larder.Boosters() {
			switch {
			case len(x.doses[i]) == 0:
			case booster.NeedsHeat():
				heated++
			default:
				cold++
			}
		}
		return heated, cold
	}
	heated, cold := dosed("Salad\nServes 4\n\n150 g feta\n400 g tomatoes\n1 cucumber\n2 tbsp olive oil\n\nMethod\n1. Chop the tomatoes and cucumber. Toss with the oil and crumble over the feta.")
	require.Zero(t, heated)
	require.NotZero(t, cold)
	heated, _ = dosed("Pot\nServes 4\n\n400 g beef shin, diced\n400 g tomatoes\n2 tbsp olive oil\n\nMethod\n1. Brown the beef in the oil. Add the tomatoes and simmer for 90 minutes.")
	require.NotZero(t, heated)
}

// A swap that is at home elsewhere is called a stranger, and none is where nobody knows the
// kitchen of the dish.
func TestAStrangerIsCalledOne(t *testing.T) {
	b, r := open(t)
	for text, known := range map[string]bool{
		"Soup\nServes 4\n\n200 ml cream\n2 tbsp soy sauce\n2 tbsp mirin\n200 g daikon\n1 litre water\n\nMethod\n1. Simmer the daikon in the water with the soy sauce and mirin for 20 minutes. Stir in the cream.": true,
		"Soup\nServes 4\n\n200 ml cream\n200 g carrots\n1 litre water\n\nMethod\n1. Simmer the carrots in the water for 20 minutes. Stir in the cream.":                                                            false,
	} {
		list, _, err := b.Rank(r.Read(text, measure.Metric), Decisions{HouseRules: HouseRules{Preset: WholeFood}}, "components[0].lines[0]")
		require.NoError(t, err)
		strangers := 0
		for _, c := range list {
			if c.Stranger {
				strangers++
				require.NotEmpty(t, c.Homes)
				require.NotContains(t, c.Homes, "East Asian")
			}
		}
		if !known {
			require.Zero(t, strangers)
		} else {
			require.NotZero(t, strangers)
		}
	}
}

// A booster whose taste belongs to other kitchens is not tried in a dish that has none of it, unless the cook wants the
// trait kept.
func TestBoostersOfOtherKitchensAreLeftOut(t *testing.T) {
	b, r := open(t)
	d := r.Read("Thai basil pork\nServes 4\n\n500 g minced pork\n2 tbsp fish sauce\n4 bird's eye chillies\n1 bunch Thai basil\n3 tbsp oil\n4 cloves garlic\n\nMethod\n1. Fry the garlic and chillies in the oil, add the pork and fry for 5 minutes. Stir in the fish sauce and simmer for 5 minutes. Fold in the basil.", measure.Metric)
	strange, wanted := 0, 0
	plain := b.benchOf(t, d, Decisions{Country: "Thailand"})
	require.NotEmpty(t, plain.kitchen)
	for i, booster := range b.larder.Boosters() {
		f := plain.rules.inPlace(booster.Food)
		if f == nil || !plain.strange(f) {
			continue
		}
		strange++
		require.Empty(t, plain.doses[i], f.ID)
		if pinned := b.benchOf(t, d, Decisions{Country: "Thailand", Pins: booster.Traits[:1]}); len(pinned.doses[i]) > 0 {
			wanted++
		}
	}
	require.Greater(t, strange, 5)
	require.Positive(t, wanted)
}
