package method

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// coversForNothing tells whether a lid, or a weight, goes on what was laid in for work that is not done any more: "lay the beef
// in the marinade, cover and chill".
func (p *plan) coversForNothing(i int) bool {
	n := &p.graph.Nodes[i]
	return (n.Is("cover") || p.putsTool(n)) && !n.Action.Mended && len(n.Inputs) == 1 && p.deeds[n.Inputs[0]].drop && len(n.Users) > 0 && p.graph.Nodes[n.Users[0]].At == n.At &&
		!slices.ContainsFunc(n.Users, func(user int) bool { return !p.deeds[user].drop })
}

// putsTool tells whether an action puts no more than a tool somewhere: "put a heavy weight on top".
func (p *plan) putsTool(n *node) bool {
	return (n.Technique.Joins == "yes" || n.Is("place")) && len(n.Action.To) > 0 && len(n.Action.With) == 0 && !slices.ContainsFunc(n.Action.To, func(r recipe.Ref) bool {
		if r.Named == nil {
			return true
		}
		words := larder.Words(*r.Named)
		lang := p.l.Language()
		return len(words) == 0 || !lang.Vessels[words[len(words)-1]] || lang.Pots[words[len(words)-1]]
	})
}
