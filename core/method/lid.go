package method

import "slices"

// coversForNothing tells whether a lid goes on what was laid in for work that is not done any more: "lay the beef in the
// marinade, cover and chill".
func (p *plan) coversForNothing(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Is("cover") && !n.Action.Mended && len(n.Inputs) == 1 && p.deeds[n.Inputs[0]].drop && len(n.Users) > 0 && p.graph.Nodes[n.Users[0]].At == n.At &&
		!slices.ContainsFunc(n.Users, func(user int) bool { return !p.deeds[user].drop })
}
