package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/swap"
)

// servesFor is what all lines for which a swap stands say that they are for; empty where one says another.
func servesFor(lines []swap.Line, moved map[int]string, id string) string {
	purpose, first := "", true
	for n := range lines {
		switch {
		case moved[n] != id:
		case first:
			purpose, first = lines[n].Serves, false
		case lines[n].Serves != purpose:
			return ""
		}
	}
	return purpose
}

// servesApart tells whether a swap stands for something of which the list says what it serves for, so that it is named there.
func servesApart(a swap.Adaptation, id string) bool {
	return slices.ContainsFunc(a.Swaps, func(c swap.Chosen) bool {
		return c.Swap == id && slices.ContainsFunc(a.Components[swap.ComponentOf(c.Replaces)].Lines, func(l swap.Line) bool {
			return l.Serves != "" && l.From != nil && *l.From == c.Replaces
		})
	})
}

// onlyServes tells whether the component of an action lists no more than what a dish is served with.
func (p *plan) onlyServes(i int) bool {
	home := p.graph.Nodes[i].At.Component
	return !slices.ContainsFunc(p.graph.Nodes, func(n flow.Node) bool {
		return n.Technique.Closes != larder.ClosesTable && slices.ContainsFunc(n.Named, func(line int) bool { return p.graph.Lines[line].Component == home })
	})
}
