package method

import "slices"

// dealtOut tells whether what an action works on was divided among glasses or plates with nothing cooked or mixed behind that.
func (p *plan) dealtOut(at int) bool {
	n := &p.graph.Nodes[at]
	if n.Is("divide") {
		return len(n.Action.Into) > 0 && !p.stirredLater(at)
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
