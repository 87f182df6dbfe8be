package formats

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
)

// chain is a dish of n lines, each of which is worked on by itself and then all together.
func chain(n int) *recipe.Dish {
	d := &recipe.Dish{Components: []recipe.Component{{}}}
	c := &d.Components[0]
	step := recipe.Step{}
	last := recipe.Action{ID: "all", Verb: "mix"}
	for i := range n {
		c.Lines = append(c.Lines, recipe.Line{Name: fmt.Sprintf("thing %d", i)})
		ref, id := recipe.LineRef(0, i), fmt.Sprintf("a%d", i)
		step.Actions = append(step.Actions, recipe.Action{ID: id, Verb: "chop", To: []recipe.Ref{{Line: &ref, Share: 1}}})
		last.To = append(last.To, recipe.Ref{Made: &id, Share: 1})
	}
	step.Actions = append(step.Actions, last)
	c.Steps = []recipe.Step{step}
	return d
}

func TestKnotsStandApartInOrder(t *testing.T) {
	m, ok := layFlow(chain(12), 500, 400)
	require.True(t, ok)
	require.Len(t, m.lines, 12)
	require.Len(t, m.knots, 13)
	seen := map[point]bool{}
	for _, k := range m.knots {
		require.False(t, seen[k.point], "two knots on one place")
		seen[k.point] = true
	}
	for _, s := range m.strands {
		require.Less(t, s.from.x, s.to.x, "work goes to the right")
	}
	require.LessOrEqual(t, m.plate.x, 500.0)
	require.LessOrEqual(t, m.height, 400.0)
}

func TestWhatCannotBeReadIsNotDrawn(t *testing.T) {
	for name, c := range map[string]struct {
		lines       int
		width, room float64
	}{"too low": {40, 500, 200}, "too narrow": {4, namesWide + plateWide + 20, 400}, "nothing to see": {1, 500, 400}} {
		_, ok := layFlow(chain(c.lines), c.width, c.room)
		require.False(t, ok, name)
	}
}
