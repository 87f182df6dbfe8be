package method

import (
	"slices"

	"yembra/core/recipe"
	"yembra/core/swap"
)

// entersElsewhere are the places in the method at which what is prepared in a component goes in with a step of
// another: the pieces that lie in a marinade.
func (p *plan) entersElsewhere(i int) map[string]int {
	out := map[string]int{}
	for _, s := range p.inOrder() {
		if s.gone || s.book == nil || s.enters == never || p.home(s.component) != i {
			continue
		}
		if at := p.graph.Nodes[s.enters].At; at.Component != i {
			out[s.book.ID] = 2*p.dish.Components[at.Component].Steps[at.Step].Order - 1
		}
	}
	return out
}

// number gives the steps of a dish whose parts are done one after the other their places in the whole method,
// where something goes in with a step of another part than its own.
func (p *plan) number() {
	elsewhere := slices.ContainsFunc(p.inOrder(), func(s *standIn) bool {
		return !s.gone && s.book != nil && s.enters != never && p.graph.Nodes[s.enters].At.Component != p.home(s.component)
	})
	method := p.dish.Method()
	if !elsewhere || slices.ContainsFunc(method, func(at recipe.StepAt) bool { return p.dish.Components[at.Component].Steps[at.Step].Order > 0 }) {
		return
	}
	for k, at := range method {
		p.dish.Components[at.Component].Steps[at.Step].Order = k + 1
	}
}

// beforeUse moves what is prepared apart for a part in front of any other whose work takes it before: the pieces that
// lie in a marinade, which is a part of its own.
func (p *parting) beforeUse(order []int, prepared, owner int) []int {
	taken := map[string]bool{}
	for j := range p.out[prepared].Lines {
		taken[recipe.LineRef(prepared, j)] = true
	}
	for _, s := range p.out[prepared].Steps {
		for _, a := range s.Actions {
			taken[a.ID] = true
		}
		for j := range p.out[owner].Lines {
			if id := p.out[owner].Lines[j].Made; id != "" && s.Prepares == id {
				taken[recipe.LineRef(owner, j)] = true
			}
		}
	}
	at := slices.Index(order, prepared)
	first := slices.IndexFunc(order[:at], func(k int) bool {
		return slices.ContainsFunc(p.out[k].Steps, func(s swap.Step) bool {
			return slices.ContainsFunc(s.Actions, func(a recipe.Action) bool {
				return slices.ContainsFunc(slices.Concat(a.To, a.With, a.Into), func(r recipe.Ref) bool {
					return r.Line != nil && taken[*r.Line] || r.Made != nil && taken[*r.Made]
				})
			})
		})
	})
	if first < 0 {
		return order
	}
	return slices.Insert(slices.Delete(order, at, at+1), first, prepared)
}
