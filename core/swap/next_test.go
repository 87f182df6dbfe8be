package swap_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/measure"
	"yembra/core/swap"
	"yembra/demo"
)

func TestWaysMoveTheirTraitAsTheySay(t *testing.T) {
	l, err := shipped()
	require.NoError(t, err)
	r, b := flow.NewReader(l), swap.NewBook(l)
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	told := 0
	for _, x := range recipes {
		d := r.Read(x.Text, measure.Metric)
		dec, err := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
		require.NoError(t, err)
		before, err := b.Apply(d, dec, false)
		require.NoError(t, err)
		for _, trait := range []string{"smoke", "savoury", "heat", "sea"} {
			for _, up := range []bool{true, false} {
				ways, err := b.Ways(d, dec, trait, up)
				require.NoError(t, err)
				require.LessOrEqual(t, len(ways), 3)
				for _, w := range ways {
					require.Equal(t, up, w.Steps > 0, w.Say)
					require.Contains(t, w.Say, map[bool]string{true: " more: ", false: " less: "}[up])
					next := dec.Dosed(w.Dose)
					after, err := b.Apply(d, next, false)
					require.NoError(t, err)
					was, is := stepsOf(before, trait), stepsOf(after, trait)
					require.InDelta(t, w.Steps, is-was, 1e-9, "%s in %s: %s", w.Say, x.Key, trait)
					told++
				}
			}
		}
	}
	require.Greater(t, told, 20)
	ways, err := b.Ways(r.Read(recipes[5].Text, measure.Metric), swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, "smoke", true)
	require.NoError(t, err)
	for _, w := range ways {
		require.False(t, strings.Contains(w.Say, "haddock"), w.Say)
	}
}

func stepsOf(a swap.Adaptation, trait string) float64 {
	worst := 0.0
	for _, t := range a.Traits {
		if t.Trait == trait {
			worst = t.Steps
		}
	}
	return worst
}
