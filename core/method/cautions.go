package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/swap"
)

// caution puts each caution at the first step it fits; the grave ones at every
// step, so that nobody can miss them.
func (c *Carrier) caution(a *swap.Adaptation, g *flow.Graph) {
	said := map[string]bool{}
	for i := range a.Components {
		comp := &a.Components[i]
		written := make([]string, len(comp.Lines))
		for k := range comp.Lines {
			written[k] = larder.Spelled(comp.Lines[k].Text)
		}
		for n := range comp.Steps {
			s := &comp.Steps[n]
			s.Cautions = []larder.Caution{}
			if s.Change == swap.Dropped {
				continue
			}
			scene := c.scene(g, i, comp, s, written)
			for _, x := range c.book.Larder().Cautions() {
				if (x.Grave || !said[x.ID]) && x.Fits(scene) {
					said[x.ID] = true
					s.Cautions = append(s.Cautions, *x)
				}
			}
		}
	}
}

// scene is what a caution may look at: the ways of working of a step, the states
// its actions meet, what they say, and the foods they name.
func (c *Carrier) scene(g *flow.Graph, component int, comp *swap.Component, s *swap.Step, written []string) larder.Scene {
	scene := larder.Scene{Techniques: s.Techniques}
	lines := slices.Concat(s.Lines, reached(g, component, s))
	for i := range s.Actions {
		scene.Said += flow.Said(&s.Actions[i]) + " . "
		if hotFat(g, s.Actions[i].ID) {
			scene.States = append(scene.States, larder.HotFat)
		}
	}
	named := make([]*larder.Food, len(lines))
	for k, at := range lines {
		named[k] = c.book.Larder().Food(comp.Lines[at].FoodID())
	}
	scene.Holds = func(foods, shelves, forms []string) bool {
		for k, f := range named {
			l := &comp.Lines[lines[k]]
			if f != nil && (slices.Contains(foods, f.ID) || slices.Contains(shelves, f.Aisle)) && (len(forms) == 0 || slices.Contains(forms, l.Form)) {
				return true
			}
		}
		return false
	}
	for _, at := range lines {
		scene.Written = append(scene.Written, written[at])
	}
	return scene
}

// hotFat tells whether an action meets fat heated to a frying temperature.
func hotFat(g *flow.Graph, id string) bool {
	for i := range g.Nodes {
		if g.Nodes[i].Action.ID == id {
			return g.Nodes[i].Is("deep-fry") || g.Nodes[i].HotFat
		}
	}
	return false
}
