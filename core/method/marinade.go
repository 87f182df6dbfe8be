package method

import (
	"slices"

	"yembra/core/larder"
)

// statesAt are the states of a stand-in when an action begins: what lay in a marinade is wet
// and takes colour again, what is shaped with others later must hold in a ball.
func (p *plan) statesAt(s *standIn, i int) []string {
	if p.graph.Nodes[i].Technique.Family == "cut" && p.boundLater(s, i) {
		return append([]string{larder.Bound}, s.states...)
	}
	if p.laidIn(i) {
		return append([]string{larder.Laid}, s.states...)
	}
	if s.visits(i) {
		return unbrowned(s.states)
	}
	if p.graph.Nodes[i].Technique.Family != "dry heat" || !p.marinated(s, i) {
		return s.states
	}
	return slices.DeleteFunc(slices.Clone(s.states), func(state string) bool { return state == larder.Browned })
}

// laidIn tells whether an action leaves something to rest in what gives it a taste: "leave in the soy for an hour".
func (p *plan) laidIn(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Technique.Family == "rest" && slices.ContainsFunc(n.With, func(line int) bool {
		f := p.l.Food(p.line(line).FoodID())
		return p.stand[line] == nil && larder.Bathes(f)
	})
}

// marinated tells whether a stand-in lay in a marinade before an action, and in no liquid over
// the fire since.
func (p *plan) marinated(s *standIn, i int) bool {
	lay := false
	for _, k := range p.path(s.node) {
		switch n := &p.graph.Nodes[k]; {
		case k >= i:
			return lay
		case n.Technique.Family == "rest" && s.enters <= k && (n.Technique.Medium == "liquid" || n.Lasts >= takesTaste && slices.ContainsFunc(n.To, p.flavours)):
			lay = true
		case n.Technique.Heat != "" && (n.Technique.Family != "dry heat" || s.is(larder.Browned)) && !(p.deeds != nil && p.deeds[k].drop):
			lay = false
		}
	}
	return lay
}

// friedJust tells whether something is taken out of the pan in which it was just fried.
func (p *plan) friedJust(s *standIn, i int) bool {
	path := p.path(s.node)
	at := slices.Index(path, i)
	if at <= 0 || p.graph.Nodes[i].Technique.Family != "separate" {
		return false
	}
	before := path[at-1]
	return (s.enters <= before || s.visits(before)) && !p.deeds[before].drop && p.graph.Nodes[before].Technique.Family == "dry heat"
}

// friesOn tells whether something is fried on that was just turned in the pan in which it is fried: "flip and fry 2
// minutes more".
func (p *plan) friesOn(s *standIn, i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "dry heat" || len(n.Inputs) == 0 || !p.graph.Nodes[n.Inputs[0]].Is("turn") {
		return false
	}
	return slices.ContainsFunc(p.graph.Nodes[n.Inputs[0]].Inputs, func(k int) bool {
		return s.enters <= k && !p.deeds[k].drop && p.graph.Nodes[k].Technique.Family == "dry heat"
	})
}

// boundLater tells whether a stand-in is mixed with others after an action and then shaped, or fills something.
func (p *plan) boundLater(s *standIn, i int) bool {
	mixed, path := false, p.path(s.node)
	for at, k := range path {
		if k <= i {
			continue
		}
		switch n := &p.graph.Nodes[k]; {
		case n.Is("cover") && len(n.With) > 0:
			return false // it lies in its dish under a lid of pastry
		case n.Is("shape", "seal"):
			return mixed
		case n.Is("wrap", "stuff"): // and not what fills a bun that is baked
			return mixed && slices.ContainsFunc(path[at:], func(o int) bool { return p.graph.Nodes[o].Technique.Heat != "" })
		case n.Technique.Family == "machine":
			return false // it is ground there, however it comes
		case n.Technique.Heat != "":
			return false
		default:
			mixed = mixed || len(n.To)+len(n.With)+len(n.Into) > 1
		}
	}
	return false
}
