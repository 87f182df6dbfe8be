package method

import "slices"

// wipesForNothing tells whether a pan is wiped for work of the same step of which none is done any more, or in which no more was
// done than that a fat was heated.
func (p *plan) wipesForNothing(i int) bool {
	n := &p.graph.Nodes[i]
	if !n.Is("wash-pan") {
		return false
	}
	if p.onlyHeatedBefore(i) {
		return true
	}
	k := i + 1
	for ; k < len(p.graph.Nodes) && p.graph.Nodes[k].At == n.At; k++ {
		if !p.deeds[k].drop && !p.heatsForNothing(k) {
			return false
		}
	}
	return k > i+1
}

// onlyHeatedBefore tells whether nothing of a part was cooked before an action any more, and in a pan no more done than that a
// fat was heated.
func (p *plan) onlyHeatedBefore(i int) bool {
	heated, gone := false, false
	for k := range p.graph.Nodes[:i] {
		o := &p.graph.Nodes[k]
		switch {
		case o.At.Component != p.graph.Nodes[i].At.Component || o.Technique.Heat == "":
		case p.deeds[k].drop:
			gone = true
		case o.Technique.Family != "gentle heat" || len(o.To) == 0 || slices.ContainsFunc(o.To, func(line int) bool { return !p.fries(line) }):
			return false
		default:
			heated = true
		}
	}
	return heated && gone
}
