package flow

import (
	"slices"

	"yembra/core/recipe"
)

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

// inHotFat makes of an action what it is in a pan of fat that this step has just heated: what is put there and left fries.
func (b *bindings) inHotFat(step *recipe.Step, a *recipe.Action) {
	t := b.r.larder.Technique(a.Technique)
	if t == nil || t.InFat == "" {
		return
	}
	into := a.Into
	if k := len(step.Actions) - 1; k >= 0 && len(into) == 0 && len(a.To) == 1 && a.To[0].Made != nil && *a.To[0].Made == step.Actions[k].ID && a.Minutes != nil && a.Minutes.High >= friesFrom {
		into = step.Actions[k].Into
	}
	if !slices.ContainsFunc(into, func(r recipe.Ref) bool { return r.Made != nil && b.heatedFat(step, *r.Made) }) {
		return
	}
	a.Technique = t.InFat
	if x := b.byID(a.ID); x != nil {
		x.heated = true
	}
}

// friesFrom is how many minutes something is left in hot fat that fries there, and does not just settle; an estimate.
const friesFrom = 1.0

// heatedFat tells whether something is fat, and an action of a step has heated it.
func (b *bindings) heatedFat(step *recipe.Step, id string) bool {
	x := b.byID(id)
	if x == nil || len(x.holds) == 0 {
		return false
	}
	for p := range x.holds {
		if !b.fat(p) {
			return false
		}
	}
	return slices.ContainsFunc(step.Actions, func(a recipe.Action) bool {
		t := b.r.larder.Technique(a.Technique)
		return a.ID == id && t != nil && t.Heat != ""
	})
}
