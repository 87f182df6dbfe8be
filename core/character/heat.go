package character

import (
	"slices"

	"yembra/core/flow"
)

// meetsHeat tells whether the line goes into something that has been cooked and not cooled since: fish slid into a
// soup that is taken off the fire.
func (n *neighbourhood) meetsHeat() bool {
	var hotNow func(in int) bool
	hotNow = func(in int) bool {
		x := &n.graph.Nodes[in]
		if x.Is("cool", "chill", "freeze") || x.Lasts >= coolsIn && x.Technique.Family == "rest" {
			return false
		}
		return x.Technique.Hot() || slices.ContainsFunc(x.Inputs, hotNow)
	}
	return slices.ContainsFunc(n.named, func(x *flow.Node) bool {
		return slices.ContainsFunc(x.Inputs, func(in int) bool { return !n.graph.Nodes[in].Reaches(n.at) && n.graph.Nodes[in].Liquid && hotNow(in) })
	})
}

// coolsIn is after how many minutes of standing something is not hot any more; an estimate.
const coolsIn = 45.0
