package method

import (
	"slices"

	"yembra/core/flow"
)

// stirredIn is the component whose steps take what is added to one in small doses: its own, or
// where nothing there can be stirred into, another in which something can.
func (p *plan) stirredIn(i int) int {
	home := p.home(i)
	takes := func(component int) bool {
		return slices.ContainsFunc(p.graph.Nodes, func(n flow.Node) bool {
			at := p.graph.Number(&n)
			return n.At.Component == component && !p.deeds[at].drop && p.takesMore(at)
		})
	}
	if takes(home) {
		return home
	}
	for k := range p.dish.Components {
		if takes(k) {
			return k
		}
	}
	return home
}

// endsIn is the component in which what is made of one comes to the table: its own, or that into which its main thing goes at last.
func (p *plan) endsIn(i int) int {
	line := p.mainPot(i)
	for j := 0; line < 0 && j < len(p.dish.Components[i].Lines); j++ {
		if at := p.graph.Line(i, j); len(p.path(at)) > 0 {
			line = at
		}
	}
	if line < 0 || len(p.path(line)) == 0 {
		return p.home(i)
	}
	path := p.path(line)
	return p.graph.Nodes[path[len(path)-1]].At.Component
}
