package method

import (
	"cmp"
	"fmt"

	"yembra/core/flow"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// name gives every step its key, by which the cook's decisions find it again.
// A second step of the same key is numbered.
func name(was *recipe.Component, comp *swap.Component, component int) {
	seen := map[string]int{}
	for n := range comp.Steps {
		s := &comp.Steps[n]
		s.Key = stepKey(was, component, *s, comp)
		if seen[s.Key]++; seen[s.Key] > 1 {
			s.Key += fmt.Sprintf(" (%d)", seen[s.Key])
		}
	}
}

// stepKey names a step of the adaptation so that the cook's wording finds it
// again: by the original step it comes from, or by what it prepares.
func stepKey(was *recipe.Component, component int, s swap.Step, comp *swap.Component) string {
	if len(s.From) > 0 {
		if id := was.Steps[s.From[0]].ID; id != "" {
			return id
		}
		return recipe.StepRef(component, s.From[0])
	}
	part := was.ID
	if part == "" {
		part = fmt.Sprintf("components[%d]", component)
	}
	key := swap.AddedKey(part)
	for _, l := range s.Lines {
		if l < len(comp.Lines) {
			key += " " + comp.Lines[l].FoodID()
			break
		}
	}
	if first := cmp.Or(s.Begins, flow.FirstWord(s.Text)); first != "" {
		key += " " + first
	}
	return key
}
