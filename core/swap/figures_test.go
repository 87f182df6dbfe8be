package swap

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/measure"
)

const riceAndFish = "Rice and anchovies\nServes 2\n\n200 g white rice\n150 g carrots\n40 g anchovies\n\nMethod\n1. Boil the rice with the carrots and stir in the anchovies."

// The parts of a weighing are what their weights say of what is off, no more and no less.
func TestEachPartOfAWeighing(t *testing.T) {
	b, r := open(t)
	x := b.benchOf(t, r.Read(riceAndFish, measure.Metric), Decisions{HouseRules: HouseRules{Preset: WholeFood}})
	w := x.weights
	st := &state{sums: x.original.Sums(), vegetables: 1, grains: 2, lines: 3, hands: 10, cost: 2, protein: 12}
	plain := x.weigh(st, 0)
	require.InDelta(t, 3*w.ExtraIngredient+10*w.HandsPenalty, plain.work, 1e-9)
	require.InDelta(t, 2, plain.cost, 1e-9)

	x.rules.House.VegetablesPerGrain = 4
	require.InDelta(t, plain.soft+w.RatioPenalty*(1-1.0/8), x.weigh(st, 0).soft, 1e-9, "an eighth of what is wanted")
	x.rules.House.VegetablesPerGrain = 0.5
	require.InDelta(t, plain.soft, x.weigh(st, 0).soft, 1e-9, "as much as is wanted")
	x.rules.House.VegetablesPerGrain = 0

	salt := saltOf(x.original) / 2
	require.Greater(t, salt, 1.0)
	x.rules.House.SaltPerServing = salt - 0.5
	require.InDelta(t, plain.soft+w.SaltOverPenalty*0.5, x.weigh(st, 0).soft, 1e-6, "half a gram over")
	x.rules.House.SaltPerServing = salt + 0.5
	require.InDelta(t, plain.soft, x.weigh(st, 0).soft, 1e-6, "the original's is the bound")
	x.rules.House.SaltPerServing = 0
	require.InDelta(t, plain.total+2*w.OpenPenalty, x.weigh(st, 2).total, 1e-9)

	for aim, more := range map[Aim]float64{Simplest: w.SimplestFactor * plain.work, Cheapest: 2 * w.CostPenalty, Protein: -12 * w.ProteinReward, Closest: 0} {
		x.aim = aim
		require.InDelta(t, plain.total+more, x.weigh(st, 0).total, 1e-9, aim)
	}
}

// Bulk counts beyond what is tolerated, whether a part shrinks or swells; wetness where a part is no broth.
func TestBulkIsWeighedBothWays(t *testing.T) {
	b, r := open(t)
	x := b.benchOf(t, r.Read(riceAndFish, measure.Metric), Decisions{HouseRules: HouseRules{Preset: WholeFood}})
	w := x.weights
	x.profile.Parts = slices.Clone(x.before.Parts)
	is := func(mass, water float64) float64 {
		x.before.Mass, x.before.Parts[0].Mass, x.before.Parts[0].Water = 1000, 500, w.Brothy-0.1
		x.profile.Parts[0].Mass, x.profile.Parts[0].Water = mass, w.Brothy-0.1+water
		return x.bulk()
	}
	off := 0.5 - w.BulkTolerance
	require.InDelta(t, w.BulkPenalty*off*off/2, is(750, 0), 1e-9)
	require.InDelta(t, w.BulkPenalty*off*off/2, is(250, 0), 1e-9)
	require.InDelta(t, 0, is(500*(1+w.BulkTolerance), 0), 1e-9)
	require.InDelta(t, w.WetPenalty*0.05/2, is(500, w.WetTolerance+0.05), 1e-9)
	require.InDelta(t, w.WetPenalty*0.05/2, is(500, -w.WetTolerance-0.05), 1e-9)
	x.before.Parts[0].Water = w.Brothy
	x.profile.Parts[0].Water = w.Brothy + w.WetTolerance + 0.05
	require.InDelta(t, 0, x.bulk(), 1e-9, "a broth may be wetter")
}

// What a food brings to an option is what it weighs, costs and holds, for one serving.
func TestWhatAFoodBrings(t *testing.T) {
	b, r := open(t)
	x := b.benchOf(t, r.Read(riceAndFish, measure.Metric), Decisions{HouseRules: HouseRules{Preset: WholeFood}})
	lentils := b.larder.Food("brown-lentils")
	form := lentils.Forms["cooked"]
	var o option
	x.bring(&o, character.Item{Food: lentils, Form: form, Grams: 300, Treatment: character.Treatment{Fate: b.larder.Fate("kept")}})
	bought := 300 * form.Base
	require.NotEqual(t, 1.0, form.Base)
	require.InDelta(t, bought/1000*b.larder.Price(lentils)/2, o.cost, 1e-9)
	require.InDelta(t, bought**lentils.Per100.Protein/100/2, o.protein, 1e-9)
	require.InDelta(t, 300, o.grams, 1e-9)
	require.InDelta(t, 1, o.lines, 1e-9)

	o = option{grams: 10, hands: 4, swap: &larder.Swap{Per: larder.PerLitre}}
	require.InDelta(t, x.weights.FussLiquid, x.worthOf(o.swap), 1e-9)
	part := 10.0 / 2 / x.weights.FussLiquid
	require.InDelta(t, part*part, x.matters(&o), 1e-9)
	require.InDelta(t, x.weights.FussPenalty*4*(1-part), x.fuss(&o), 1e-9)
	o.swap = &larder.Swap{}
	require.InDelta(t, 1, x.matters(&o), 1e-9)
}

// Oil counts from a teaspoon a serving on, and a grade by how much of it there is.
func TestWhatTheRulesLike(t *testing.T) {
	b, _ := open(t)
	rules, err := NewRules(b.larder, HouseRules{Preset: WholeFood})
	require.NoError(t, err)
	w, oil := UsualWeights(), b.larder.Food("sunflower-oil")
	require.NotNil(t, oil)
	const grade, servings = larder.Refined, 4.0
	steps := float64(grade.Steps()) * w.GradePenalty
	require.Positive(t, steps)
	for _, x := range []struct{ grams, want float64 }{
		{4 * oilPerServing, steps * min(1, oilPerServing/w.GradeGrams)},
		{4*oilPerServing + 1, steps*min(1, (oilPerServing+0.25)/w.GradeGrams) + w.OilPenalty},
	} {
		require.InDelta(t, x.want, rules.soft(&w, oil, grade, x.grams, servings), 1e-9, "%g g", x.grams)
	}
}

// What is vegetable to what is grain goes by volume, and is nothing where there is no grain.
func TestVegetablesToGrain(t *testing.T) {
	b, r := open(t)
	of := func(text string) float64 {
		return vegetablesPerGrain(character.Of(b.larder, r.Read(text, measure.Metric), nil))
	}
	v, _ := plantVolume(b.larder.Food("carrot"), 150)
	_, g := plantVolume(b.larder.Food("white-rice"), 200)
	require.Positive(t, v)
	require.Positive(t, g)
	require.InDelta(t, v/g, of(riceAndFish), 1e-9)
	require.Zero(t, of("Carrots\nServes 2\n\n300 g carrots\n\nMethod\n1. Boil the carrots."))
}

// A way is worth what it moves, less half of what it moves besides, in whichever direction.
func TestWhatAWayIsWorth(t *testing.T) {
	require.InDelta(t, 1.25, (&Way{Steps: 2, Also: []Move{{Steps: -1}, {Steps: 0.5}}}).worth(), 1e-9)
	require.InDelta(t, 1.5, (&Way{Steps: -2, Also: []Move{{Steps: 1}}}).worth(), 1e-9)
}

// A candidate says which traits it misses or passes, and no other.
func TestACandidateSaysWhatIsOff(t *testing.T) {
	b, r := open(t)
	d := r.Read(smallDishes[1], measure.Metric)
	candidates, _, err := b.Rank(d, Decisions{HouseRules: HouseRules{Preset: WholeFood}}, "components[0].lines[0]")
	require.NoError(t, err)
	said, clear := 0, 0
	for _, c := range candidates {
		var off []string
		for _, m := range c.Moves {
			if m.Verdict == character.Short || m.Verdict == character.Over {
				off = append(off, fmt.Sprintf("%s %+.1f steps", m.Trait, m.Steps))
			}
		}
		if off == nil {
			require.Equal(t, "everything kept or near", c.Reason, c.Swap.ID)
			clear++
			continue
		}
		require.Equal(t, strings.Join(off, ", "), c.Reason, c.Swap.ID)
		said++
	}
	require.Positive(t, said)
}

// An amount that the cook has set is told with why, where the swap is explained.
func TestAnAmountIsToldWithItsReason(t *testing.T) {
	b, r := open(t)
	d := r.Read(smallDishes[1], measure.Metric)
	const mince = "components[0].lines[0]"
	dec, err := b.Propose(d, Decisions{HouseRules: HouseRules{Preset: WholeFood}}, Closest)
	require.NoError(t, err)
	why := func(reason string) string {
		own := dec
		own.Amounts, own.Reasons = map[string]float64{mince: 1.25}, map[string]string{}
		if reason != "" {
			own.Reasons[mince] = reason
		}
		a, err := b.Apply(d, own, false)
		require.NoError(t, err)
		for _, c := range a.Swaps {
			if c.Replaces == mince {
				require.InDelta(t, 1.25, c.Amount, 1e-9)
				return c.Why
			}
		}
		return ""
	}
	require.Equal(t, "It was too thin. "+why(""), why("it was too thin"))
}

// What is short of the trait that a food is known by is held against a swap; what has more of it is not.
func TestASwapLacksWhatItIsKnownBy(t *testing.T) {
	b, r := open(t)
	x := b.benchOf(t, r.Read("Soup\nServes 2\n\n500 g beetroot\n200 ml soured cream\n\nMethod\n1. Boil the beetroot and blend it. Stir in the soured cream.", measure.Metric), Decisions{HouseRules: HouseRules{Preset: "like-for-like"}})
	require.Len(t, x.slots, 1)
	sour := func(o *option) float64 {
		var p character.Profile
		character.Evaluate([]character.Shape{{}}, []character.Sums{o.sums}, &p)
		return p.Value(character.Sour)
	}
	least, most := &x.options[0][0], &x.options[0][0]
	for i := range x.options[0] {
		o := &x.options[0][i]
		require.GreaterOrEqual(t, x.lacks(&x.slots[0], o), 0.0)
		if sour(o) < sour(least) {
			least = o
		}
		if sour(o) > sour(most) {
			most = o
		}
	}
	require.Greater(t, sour(most), sour(least))
	require.Positive(t, x.lacks(&x.slots[0], least), least.swap.ID)
	require.Less(t, x.lacks(&x.slots[0], most), x.lacks(&x.slots[0], least), most.swap.ID)
}
