package method

import "slices"

// sauceBeside is the place behind the last part in which a sauce is made that holds nothing of what was filled, wrapped or
// shaped: leeks that lie wrapped in their dish take nothing in any more, the white sauce that coats them does. It is -1 where
// there is none.
func (p *plan) sauceBeside(parts []part) int {
	for k := len(parts) - 1; k >= 0; k-- {
		for _, at := range parts[k].nodes {
			if n := &p.graph.Nodes[at]; n.Liquid && !p.deeds[at].drop && p.cookedBefore(at) && p.takesMore(at) && !p.holdsShut(at) && !p.bakedWithin(parts[k], at) {
				return k + 1
			}
		}
	}
	return -1
}

// holdsShut tells whether something of what an action works on was shaped, filled, wrapped or laid out before.
func (p *plan) holdsShut(at int) bool {
	n := &p.graph.Nodes[at]
	return n.Technique.Closes != "" || n.Technique.Family == "assemble" || slices.ContainsFunc(n.Inputs, p.holdsShut)
}
