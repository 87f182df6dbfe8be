package method

import (
	"slices"

	"yembra/core/flow"
)

// wetBefore tells whether what is worked on last before a part was cooked in a liquid that is with it still: not what
// was drained out of it.
func (p *plan) wetBefore(parts []part, upto int) bool {
	for k := upto - 1; k >= 0; k-- {
		for j := len(parts[k].nodes) - 1; j >= 0; j-- {
			if at := parts[k].nodes[j]; !p.deeds[at].drop && len(p.graph.Nodes[at].Holds) > 0 {
				return p.inLiquid(at, map[int]bool{})
			}
		}
	}
	return false
}

// inLiquid tells whether a liquid that something was cooked in is in what an action made.
func (p *plan) inLiquid(at int, seen map[int]bool) bool {
	n := &p.graph.Nodes[at]
	if seen[at] {
		return false
	}
	seen[at] = true
	if n.Technique.Leaves == "drained" && n.Technique.Heat != "" {
		return false // the wine has boiled away
	}
	if !p.deeds[at].drop && cooksWet(n) {
		return true
	}
	if n.Technique.Family == "separate" && !n.Is("strain", "skim") {
		return false
	}
	return slices.ContainsFunc(n.Inputs, func(in int) bool { return p.inLiquid(in, seen) })
}

// cooksWet tells whether an action cooks in a liquid.
func cooksWet(n *flow.Node) bool {
	return n.Technique.Family == "wet heat" || n.Technique.Family == "gentle heat" && n.Liquid
}

// wetAfter tells whether the pot that holds a line boils on behind a part.
func (p *plan) wetAfter(parts []part, from, home int) bool {
	return slices.ContainsFunc(parts[from:], func(x part) bool {
		return slices.ContainsFunc(x.nodes, func(at int) bool {
			n := &p.graph.Nodes[at]
			return !p.deeds[at].drop && n.Technique.Family == "wet heat" && n.Liquid && p.atHome(n, home)
		})
	})
}
