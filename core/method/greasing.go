package method

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// greasesNot tells whether a dish would be greased with what is no fat any more.
func (p *plan) greasesNot(n *node, lines []int) bool {
	return n.Is("grease") && len(lines) > 0 && !slices.ContainsFunc(lines, func(line int) bool { s := p.stand[line]; return s == nil || !s.is(larder.NoFat) || !s.Dissolves })
}

// greasedNot is the share of a line with which a tin was greased before, where what stands for it
// greases none.
func (w *writer) greasedNot(line, at int) (share float64) {
	place := w.graph.Lines[line]
	ref := recipe.LineRef(place.Component, place.Line)
	for k := range w.graph.Nodes[:at] {
		n := &w.graph.Nodes[k]
		if !slices.Contains(n.Named, line) || !w.greasesNot(n, []int{line}) {
			continue
		}
		for _, r := range n.Action.With {
			if r.Line != nil && *r.Line == ref {
				share += r.Share
			}
		}
	}
	return min(share, nearlyAll)
}
