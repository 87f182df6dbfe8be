package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/swap"
)

// leftAside finds stand-ins for flesh that are taken out of a pan and laid by, and that nothing puts back while others cook on.
func (c *Carrier) leftAside(p *plan, g *flow.Graph) {
	for _, s := range p.inOrder() {
		if s.gone || !s.flesh() || len(s.lines) == 0 {
			continue
		}
		last := lastTo(g, func(n *flow.Node) bool {
			return slices.ContainsFunc(s.lines, func(l int) bool { return n.Reaches(g.Line(s.component, l)) })
		})
		was := lastTo(p.graph, func(n *flow.Node) bool { return n.Reaches(s.node) })
		if last < 0 || !laysBy(p.l, &g.Nodes[last]) || was >= 0 && laysBy(p.l, &p.graph.Nodes[was]) {
			continue
		}
		step := stepOf(p.a, g.Nodes[last].Action.ID)
		cooksOn := slices.ContainsFunc(g.Nodes[last+1:], func(n flow.Node) bool {
			return n.At.Component == g.Nodes[last].At.Component && n.Technique.Heat != "" && len(n.Holds) > 0
		})
		if step != nil && cooksOn {
			c.tell(step, swap.LeftAside, s.name)
		}
	}
}

// lastTo is the last action that fits, -1 where none does.
func lastTo(g *flow.Graph, fits func(*flow.Node) bool) int {
	for k := len(g.Nodes) - 1; k >= 0; k-- {
		if fits(&g.Nodes[k]) {
			return k
		}
	}
	return -1
}

// laysBy tells whether an action takes something out of a pan, or lays it on a plate.
func laysBy(l *larder.Larder, n *flow.Node) bool {
	words := larder.Words(n.Action.Vessel)
	return n.Is("remove") || n.Is("place") && len(n.Into) == 0 && len(words) > 0 && l.Language().Receiving[words[len(words)-1]]
}
