package swap_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
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
	told, lines, times := 0, 0, 0
	for _, x := range recipes {
		d := r.Read(x.Text, measure.Metric)
		dec, err := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
		require.NoError(t, err)
		before, err := b.Apply(d, dec, false)
		require.NoError(t, err)
		for _, trait := range []string{"smoke", "savoury", "heat", "sea", "salt", "richness"} {
			for _, up := range []bool{true, false} {
				ways, err := b.Ways(d, dec, trait, up)
				require.NoError(t, err)
				require.LessOrEqual(t, len(ways), 3)
				for _, w := range ways {
					require.Equal(t, up, w.Steps > 0, w.Say)
					switch {
					case w.Dose != nil:
						require.Contains(t, w.Say, map[bool]string{true: " more: ", false: " less: "}[up])
					case w.Line != "":
						require.Contains(t, w.Say, map[bool]string{true: "A quarter more ", false: "A quarter less "}[up])
						lines++
					default:
						require.Regexp(t, `^[A-Z].* for \d+ minutes instead of \d+: `, w.Say)
						times++
					}
					after, err := b.Apply(d, dec.Because(w, "the table wanted it"), false)
					require.NoError(t, err)
					was, is := stepsOf(before, trait), stepsOf(after, trait)
					require.InDelta(t, w.Steps, is-was, 1e-9, "%s in %s: %s", w.Say, x.Key, trait)
					told++
				}
			}
		}
	}
	require.Greater(t, told, 20)
	require.Greater(t, lines, 5)
	require.Greater(t, times, 0)
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

func TestALineThatStaysTakesAnotherAmountAndSaysWhy(t *testing.T) {
	l, err := shipped()
	require.NoError(t, err)
	r, b := flow.NewReader(l), swap.NewBook(l)
	d := r.Read("Soup\n\nServes 4\n\n1 kg potatoes\n10 g smoked paprika\n20 g butter\n1 l water\n\n1. Fry the paprika in the butter.\n2. Add the potatoes and the water and simmer uncovered for 20 minutes.", measure.Metric)
	dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}, Swaps: map[string]string{}}
	before, err := b.Apply(d, dec, false)
	require.NoError(t, err)
	more := swap.Way{Line: "components[0].lines[1]", Factor: 2}
	after, err := b.Apply(d, dec.Because(more, swap.WantedMore("smoke")), false)
	require.NoError(t, err)
	line := after.Components[0].Lines[1]
	require.Equal(t, 20.0, line.Mass())
	require.Contains(t, line.Text, "smoked paprika")
	require.Equal(t, swap.Adjusted, line.Change)
	require.Equal(t, "The table wanted more smoke. 2 times the original's amount.", line.Why)
	require.Greater(t, stepsOf(after, "smoke"), stepsOf(before, "smoke")+0.5)
	require.Equal(t, 10.0, d.Components[0].Lines[1].Mass(), "the original stays as it was")

	long := measure.Exactly(60)
	longer, err := b.Apply(d, dec.Because(swap.Way{Step: "components[0].steps[1]", Minutes: &long}, "thicker"), false)
	require.NoError(t, err)
	require.Greater(t, stepsOf(longer, "smoke"), stepsOf(before, "smoke")+0.05, "what boils down is stronger")
	require.Equal(t, 20.0, d.Components[0].Steps[1].Actions[1].Minutes.Mid())
}

func TestATableMovesWhatIsForeseen(t *testing.T) {
	l, err := shipped()
	require.NoError(t, err)
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	var d = flow.NewReader(l).Read(recipes[5].Text, measure.Metric)
	dec, err := swap.NewBook(l).Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
	require.NoError(t, err)
	before, err := swap.NewBook(l).Apply(d, dec, true)
	require.NoError(t, err)
	trait := before.Traits[0]
	require.NotZero(t, trait.Steps)
	after, err := swap.NewBook(l.WithTasted(map[string]float64{trait.Trait: -0.7}, nil)).Apply(d, dec, true)
	require.NoError(t, err)
	require.InDelta(t, trait.Steps-0.7, after.Traits[0].Steps, 1e-9)
	require.Equal(t, -0.7, after.Traits[0].Learned)
	require.Zero(t, trait.Learned)

	same, err := swap.NewBook(l.WithTasted(map[string]float64{"heat": -0.7}, nil)).Apply(flow.NewReader(l).Read("Broth\n\n2 g chilli powder\n1 l water\n\nSimmer for 5 minutes.", measure.Metric), swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, false)
	require.NoError(t, err)
	for _, x := range same.Traits {
		require.Zero(t, x.Steps, "what nothing was done to is tasted as it is: %s", x.Trait)
	}

	for i, strong := 0, l.WithTasted(nil, []larder.Dosed{{Food: "smoked-paprika", Trait: "smoke", Times: 2}}); i < 2; i++ {
		f := []*larder.Larder{l, strong}[i].Food("smoked-paprika")
		at := slices.IndexFunc(f.Aromas, func(a larder.Aroma) bool { return a.Trait == "smoke" })
		was := l.Food("smoked-paprika").Aromas[at].Dose
		require.InDelta(t, was/float64(i+1), f.Aromas[at].Dose, 1e-9)
	}
}
