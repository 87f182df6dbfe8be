package flow

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
)

func TestTheCookPutsAReadingRight(t *testing.T) {
	d := read(t, "Stew\nServes 2\n\n2 onions\n50 g raisins\n1 tbsp oil\n\nMethod\n1. Fry the onions in the oil. Stir until sweet. Garnish with luck.")
	step := &d.Components[0].Steps[0]
	require.Len(t, step.Actions, 3)
	stir := step.Actions[1]
	step.Mends = []recipe.Mend{{From: stir.From, As: recipe.MendWith, Line: recipe.LineRef(0, 1)}, {From: step.Actions[2].From, As: recipe.MendRemark}}
	reader(t).Dish(&d)
	require.Len(t, step.Actions, 2)
	require.Equal(t, recipe.LineRef(0, 1), *step.Actions[1].With[0].Line)
	require.True(t, step.Actions[1].Mended)
	require.Contains(t, step.Lines, 1)
	require.Equal(t, recipe.Remark, step.Asides[len(step.Asides)-1].Kind)

	step.Mends = nil
	reader(t).Dish(&d)
	require.Len(t, step.Actions, 3, "a mend can be taken back")
}

// A dish kept by an earlier version has steps without actions.
func TestADishWithoutActionsIsCompleted(t *testing.T) {
	d := read(t, "Stew\nServes 2\n\n2 onions\n1 tbsp oil\n\nMethod\n1. Fry the onions in the oil.")
	want := d.Components[0].Steps[0]
	d.Components[0].Steps[0] = recipe.Step{Text: want.Text, Techniques: []string{"soften"}, Lines: []int{0}}
	reader(t).Complete(&d)
	require.Equal(t, want, d.Components[0].Steps[0])
}
