package method

import (
	"slices"

	"yembra/core/larder"
)

// testedAfter tells whether what an action cooks is tried next for whether some of it that stands for nothing is done, so that the
// time was given for that: "check that the potatoes are tender".
func (p *plan) testedAfter(i int) bool {
	n := &p.graph.Nodes[i]
	for k := i + 1; k < len(p.graph.Nodes); k++ {
		next := &p.graph.Nodes[k]
		if !slices.Contains(next.Inputs, k-1) {
			return false
		}
		if next.Is("taste") {
			return slices.ContainsFunc(next.Action.Manner, func(how string) bool {
				words := larder.Words(how)
				return slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool {
					own := larder.Words(p.line(line).Name)
					return p.stand[line] == nil && len(own) > 0 && slices.Contains(words, own[len(own)-1])
				})
			})
		}
		if next.Technique.Heat != "" {
			return false
		}
	}
	return false
}
