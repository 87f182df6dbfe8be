package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// dealtOut tells whether what an action works on was divided among glasses or plates with nothing cooked or mixed behind that.
func (p *plan) dealtOut(at int) bool {
	n := &p.graph.Nodes[at]
	if n.Is("divide") && len(n.Action.Into) > 0 || n.Is("remove") && p.intoSeveral(n) { // "lift the mussels into bowls"
		return !p.stirredLater(at)
	}
	return n.Technique.Heat == "" && slices.ContainsFunc(n.Inputs, p.dealtOut)
}

// stirredLater tells whether what an action made is cooked or mixed later, and not only added to.
func (p *plan) stirredLater(at int) bool {
	return slices.ContainsFunc(p.graph.Nodes[at].Users, func(k int) bool {
		t := p.graph.Nodes[k].Technique
		return t.Heat != "" || t.Family == "machine" || t.Family == "mix" && t.Joins != "yes" || p.stirredLater(k)
	})
}

// intoSeveral tells whether an action puts something into several vessels at once.
func (p *plan) intoSeveral(n *flow.Node) bool {
	return slices.ContainsFunc(n.Action.Into, func(r recipe.Ref) bool {
		if r.Named == nil || strings.TrimSpace(*r.Named) == "" {
			return false
		}
		said := strings.Fields(strings.ToLower(*r.Named))
		one := larder.Singular(said[len(said)-1])
		return one != said[len(said)-1] && p.l.Language().Vessels[one]
	})
}
