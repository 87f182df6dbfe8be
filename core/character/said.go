package character

import (
	"slices"

	"yembra/core/flow"
)

// spoken lists the actions whose words may tell of the line: those that name it
// and those that take up what they made.
func (n *neighbourhood) spoken() []*flow.Node {
	out := slices.Clone(n.named)
	for _, x := range n.reached {
		if n.takesUp(x) && !slices.Contains(out, x) {
			out = append(out, x)
		}
	}
	return out
}

// takesUp tells whether an action works on what one that names the line made, at once or when it
// has been covered.
func (n *neighbourhood) takesUp(x *flow.Node) bool {
	return slices.ContainsFunc(x.Inputs, func(in int) bool {
		before := &n.graph.Nodes[in]
		return slices.Contains(n.named, before) || before.Is("cover") && n.takesUp(before)
	})
}
