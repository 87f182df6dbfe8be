package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
)

// heatsOvenForNothing tells whether an action heats an oven in which nothing is put any more: what was to roast there is gone,
// or is made ready another way.
func (p *plan) heatsOvenForNothing(i int) bool {
	n := &p.graph.Nodes[i]
	if !n.Is("preheat") {
		return false
	}
	gone := false
	for k := i + 1; k < len(p.graph.Nodes); k++ {
		o := &p.graph.Nodes[k]
		if o.Is("preheat") {
			break
		}
		if !p.inOven(o) {
			continue
		}
		if !p.deeds[k].drop {
			return false
		}
		gone = true
	}
	return gone
}

// inOven tells whether an action is done in an oven or under a grill, by the way of working or by the words for where.
func (p *plan) inOven(n *flow.Node) bool {
	if n.Technique.Heat == "oven" || n.Technique.Family == "oven" || n.Is("grill") {
		return true
	}
	lang := p.l.Language()
	return slices.ContainsFunc(larder.Words(flow.Said(n.Action)), func(w string) bool {
		t := p.l.Technique(lang.VerblessIn[w])
		return t != nil && t.Family == "oven"
	})
}
