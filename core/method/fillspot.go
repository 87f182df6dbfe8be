package method

import (
	"slices"
)

// boilsOn tells whether what an action put together with water from the tap, or has water poured over it next, is boiled.
func (p *plan) boilsOn(i int) bool {
	n := &p.graph.Nodes[i]
	return slices.ContainsFunc(n.Users, func(k int) bool {
		next := &p.graph.Nodes[k]
		switch {
		case p.deeds[k].drop:
			return false
		case p.fromTheTap(n):
			return next.Technique.Family == "wet heat"
		}
		poured := next.Technique.Joins == "yes" && slices.ContainsFunc(next.Action.To, p.unlistedWater)
		return poured && slices.ContainsFunc(next.Users, func(j int) bool { return !p.deeds[j].drop && p.graph.Nodes[j].Technique.Family == "wet heat" })
	})
}

// fillsPot lets what lay beside flesh be put into its water by itself where that is boiled on without
// the flesh: the bay leaf of a broth that is poured on later.
func (p *plan) fillsPot(i int) {
	n, d := &p.graph.Nodes[i], &p.deeds[i]
	if !d.drop || !n.Is("place", "return") || !p.boilsOn(i) {
		return
	}
	for _, line := range n.With {
		if p.stand[line] == nil && p.there(line, i) && p.goesOn(line, i) {
			d.subject, d.drop = append(d.subject, line), false
		}
	}
}
