package method

import (
	"slices"

	"yembra/core/recipe"
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
