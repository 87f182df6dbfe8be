package method

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// brothOfGone tells whether an action keeps some of the water from the tap in which flesh was cooked that is not
// cooked any more: what takes it in takes another liquid.
func (p *plan) brothOfGone(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Is("reserve") && len(n.Inputs) == 1 && p.goneIn(n.Inputs[0])
}

// boilsTap tells whether something is cooked in an action in water from the tap.
func (p *plan) boilsTap(at int) bool {
	return p.graph.Nodes[at].Technique.Family == "wet heat" && p.fromTheTapBefore(at)
}

// rootOf is where what an action made comes from through work that is not done: the first before it that is done, or that
// boiled it in water from the tap.
func (p *plan) rootOf(at int) int {
	for p.deeds[at].drop && !p.boilsTap(at) && len(p.graph.Nodes[at].Inputs) == 1 {
		at = p.graph.Nodes[at].Inputs[0]
	}
	return at
}

// goneIn tells whether what an action made is what flesh was cooked in, in water from the tap, that is not cooked any
// more.
func (p *plan) goneIn(at int) bool {
	at = p.rootOf(at)
	return p.deeds[at].drop && p.boilsTap(at) && slices.ContainsFunc(p.graph.Nodes[at].To, func(line int) bool { return p.stand[line] != nil && p.stand[line].flesh() })
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
		for p.deeds[at].drop && len(p.graph.Nodes[at].Inputs) == 1 {
			at = p.graph.Nodes[at].Inputs[0]
		}
		return !p.deeds[at].drop && p.boilsTap(at)
	})
}

// onlyForBroth tells whether a line of the cook's own is cooked with flesh in water from the tap, and
// left in the pot when that is taken out, and served without it: the onion of a boiled ham.
func (p *plan) onlyForBroth(line int) bool {
	path := p.path(line)
	if kept := slices.IndexFunc(path, func(k int) bool { return p.graph.Nodes[k].Is("reserve") }); kept > 0 && p.flavours(line) {
		path = path[:kept] // some of it is in what is kept
	}
	if p.stand[line] != nil || len(path) == 0 {
		return false
	}
	if f := p.l.Food(p.line(line).FoodID()); f == nil || !f.Tagged(larder.Potherb) && !p.flavours(line) && !larder.Pours(f) {
		return false // potatoes are no broth's
	}
	at := path[len(path)-1]
	pot := &p.graph.Nodes[at]
	users := pot.Users
	if last := pot; last.Technique.Family == "rest" && len(last.Inputs) == 1 && p.onlySeasoned(last) {
		at = last.Inputs[0] // it cools in its broth
		pot = &p.graph.Nodes[at]
		users = last.Users
	}
	if pot.Technique.Family != "wet heat" || !p.fromTheTapBefore(at) || len(users) == 0 {
		return false
	}
	for _, k := range users {
		n := &p.graph.Nodes[k]
		if n.Is("reserve") && p.onlySeasoned(pot) {
			continue // a leaf of bay makes no broth
		}
		if n.Technique.Takes != "part" && n.Technique.Family != "cut" || n.Is("reserve") || n.Reaches(line) || !slices.ContainsFunc(n.To, func(o int) bool {
			s := p.stand[o]
			return s != nil && s.flesh() && !s.gone && s.is(larder.Ready) && s.enters > at
		}) {
			return false
		}
	}
	return true
}

// onlySeasoned tells whether all that is in a pot besides flesh is spices and herbs.
func (p *plan) onlySeasoned(pot *node) bool {
	return !slices.ContainsFunc(slices.Concat(pot.To, pot.With, pot.Into), func(line int) bool {
		return p.stand[line] == nil && !p.flavours(line)
	})
}

// makesBroth are the lines that go on cooking in water from the tap without the flesh they were to be cooked with, where one of them
// gives a stock its taste and some of that is kept and goes in later; none for others.
func (p *plan) makesBroth(i int) []int {
	if !p.fromTheTapBefore(i) || !p.keptFrom(i) {
		return nil
	}
	var there []int
	herb := false
	for _, line := range p.graph.Nodes[i].With {
		if p.stand[line] != nil || !p.there(line, i) {
			continue
		}
		f := p.l.Food(p.line(line).FoodID())
		there, herb = append(there, line), herb || f != nil && f.Tagged(larder.Potherb)
	}
	if !herb {
		return nil
	}
	return there
}

// keptFrom tells whether some of what an action cooked is kept, right away or when it has rested, and goes in later.
func (p *plan) keptFrom(i int) bool {
	return slices.ContainsFunc(p.graph.Nodes[i].Users, func(k int) bool {
		n := &p.graph.Nodes[k]
		return n.Is("reserve") && len(n.Users) > 0 || n.Technique.Family == "rest" && p.keptFrom(k)
	})
}
