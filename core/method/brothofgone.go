package method

import (
	"slices"

	"yembra/core/recipe"
)

// brothOfGone tells whether an action keeps some of the water from the tap in which flesh was cooked that is not
// cooked any more: what takes it in takes another liquid.
func (p *plan) brothOfGone(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Is("reserve") && len(n.Inputs) == 1 && p.goneIn(n.Inputs[0])
}

// goneIn tells whether what an action made is what flesh was cooked in, in water from the tap, that is not cooked any
// more.
func (p *plan) goneIn(at int) bool {
	for p.deeds[at].drop {
		pot := &p.graph.Nodes[at]
		if pot.Technique.Family == "wet heat" && p.fromTheTapBefore(at) {
			return slices.ContainsFunc(pot.To, func(line int) bool { return p.stand[line] != nil && p.stand[line].flesh() })
		}
		if len(pot.Inputs) != 1 {
			return false
		}
		at = pot.Inputs[0]
	}
	return false
}

// meansGone tells whether references mean such a liquid.
func (p *plan) meansGone(refs []recipe.Ref) bool {
	return slices.ContainsFunc(refs, func(r recipe.Ref) bool {
		return r.Made != nil && r.Of == "" && p.nodeOf(*r.Made) >= 0 && p.goneIn(p.nodeOf(*r.Made))
	})
}

// boiledBy is the dropped work that boils what an action covers with water, or the action itself.
func (p *plan) boiledBy(i int) int {
	for p.graph.Nodes[i].Technique.Family != "wet heat" && len(p.graph.Nodes[i].Users) == 1 && p.deeds[p.graph.Nodes[i].Users[0]].drop {
		i = p.graph.Nodes[i].Users[0]
	}
	return i
}

// staysOf tells whether references mean what is left of a cooking in water from the tap that is done, where what was boiled
// in it after that is not there: "the stock", of chicken and then of shells.
func (p *plan) staysOf(refs []recipe.Ref) bool {
	return slices.ContainsFunc(refs, func(r recipe.Ref) bool {
		if r.Made == nil || r.Of != "" {
			return false
		}
		at := p.nodeOf(*r.Made)
		if at < 0 || !p.deeds[at].drop {
			return false
		}
		for at >= 0 && p.deeds[at].drop && len(p.graph.Nodes[at].Inputs) == 1 {
			at = p.graph.Nodes[at].Inputs[0]
		}
		return !p.deeds[at].drop && p.graph.Nodes[at].Technique.Family == "wet heat" && p.fromTheTapBefore(at)
	})
}
