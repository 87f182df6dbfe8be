package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
)

// leaveUnfired leaves the browning out of the preparation of what the dish itself shapes and then fries or bakes: no
// patty is shaped of what is crusted already.
func (p *plan) leaveUnfired() {
	raw := func(s *standIn) bool { return !s.gone && s.flesh() && shapesThenFires(p.graph, s.node) >= 0 }
	for _, s := range p.inOrder() {
		others := func(o *standIn) bool { return !o.gone && madeAtOnce(o.book, s.book) && !raw(o) }
		if !raw(s) || !p.c.fired(s.book).shaped || slices.ContainsFunc(p.inOrder(), others) {
			continue
		}
		s.unfired, s.Browned = true, false
		s.states = slices.DeleteFunc(s.states, func(state string) bool { return state == larder.Browned })
	}
}

// shapesThenFires finds the action that first fries or bakes a line that was shaped before; -1 where none does, or where
// fire comes first.
func shapesThenFires(g *flow.Graph, line int) int {
	shaped := false
	for _, i := range g.Path(line) {
		n := &g.Nodes[i]
		switch {
		case n.Is("shape", rollTechnique):
			shaped = true
		case n.Technique.Heat == "":
		case shaped && (n.Technique.Family == "dry heat" || n.Technique.Family == "oven"):
			return i
		default:
			return -1
		}
	}
	return -1
}

// prepares are the steps in which a stand-in is made here.
func (s *standIn) prepares() []larder.Preparation {
	if s.unfired {
		return s.book.Prepare[:len(s.book.Prepare)-1]
	}
	return s.book.Prepare
}

// beforeShaped is where a mix that the dish shapes and fries itself still takes something in; -1 where there is none.
func (p *plan) beforeShaped(parts []part) int {
	return slices.IndexFunc(parts, func(x part) bool { return p.shapesMix(x) != nil })
}

// shapesMix is the mix that a part shapes and that is fried after it; nil for others.
func (p *plan) shapesMix(x part) *standIn {
	for _, at := range x.nodes {
		n := &p.graph.Nodes[at]
		for _, line := range n.To {
			if s := p.stand[line]; n.Is("shape") && s != nil && s.unfired {
				return s
			}
		}
	}
	return nil
}
