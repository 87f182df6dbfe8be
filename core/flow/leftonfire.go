package flow

import "yembra/core/recipe"

// lowerTechnique turns a fire down.
const lowerTechnique = "lower-heat"

// leftOnFire makes a simmering of a rest in what boiled a moment ago and whose fire was only turned down: "bring to the boil, turn
// it down, put the lid on and leave for an hour".
func (b *bindings) leftOnFire(step *recipe.Step, a *recipe.Action) {
	t := b.r.larder.Technique(a.Technique)
	if t == nil || t.OnFire == "" || a.Minutes == nil {
		return
	}
	lowered := false
	for i := len(step.Actions) - 1; i >= 0; i-- {
		was := b.r.larder.Technique(step.Actions[i].Technique)
		switch {
		case was == nil:
			return
		case was.Name == lowerTechnique:
			lowered = true
		case was.Family == "wet heat":
			if lowered {
				a.Technique = t.OnFire
			}
			return
		case was.Name != coverTechnique:
			return
		}
	}
}
