package method

import (
	"maps"
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// leaveUnfired leaves the browning out of the preparation of what the dish itself shapes and then fries or bakes: no
// patty is shaped of what is crusted already.
func (p *plan) leaveUnfired() {
	p.brownInTheDish()
	raw := func(s *standIn) bool { return !s.gone && s.flesh() && shapesThenFires(p.graph, s.node) >= 0 }
	for _, s := range p.inOrder() {
		others := func(o *standIn) bool { return !o.gone && madeAtOnce(o.book, s.book) && !raw(o) }
		if s.unfired || !raw(s) || !p.c.fired(s.book).shaped || slices.ContainsFunc(p.inOrder(), others) {
			continue
		}
		s.unfired, s.Browned = true, false
		s.states = slices.DeleteFunc(s.states, func(state string) bool { return state == larder.Browned })
	}
}

// brownInTheDish leaves the browning out of the preparation of what the dish itself browns, in its own words and its own
// fat, if what follows in a liquid is no longer than it bears, and it is not made browned for another line as well.
func (p *plan) brownInTheDish() {
	states := map[*standIn][]string{}
	for _, s := range p.inOrder() {
		if before := s.states; p.canBrown(s) {
			states[s] = before
		}
	}
	for s, before := range states {
		others := func(o *standIn) bool {
			_, too := states[o]
			return !too && !o.gone && madeAtOnce(o.book, s.book)
		}
		if slices.ContainsFunc(p.inOrder(), others) {
			s.unfired, s.Browned, s.states, s.visit = false, true, before, [2]int{}
		}
	}
}

// canBrown tells whether a stand-in can go in as raw as the dish would brown it, and leaves it so if it can.
func (p *plan) canBrown(s *standIn) bool {
	if s.gone || !s.flesh() || !s.Browned || !leavesOut(s.book) && (!p.c.fired(s.book).shaped || shapesThenFires(p.graph, s.node) >= 0) {
		return false
	}
	at, sauce := p.browns(s), false
	if at < 0 {
		at, sauce = p.brownsFromSauce(s), true
	}
	if at < 0 {
		return false
	}
	if p.wantsLonger(s, at) || p.setIn(s, at) {
		return false
	}
	before := s.states
	_, anyway := p.entry(s)
	s.unfired, s.Browned, s.states = true, false, unbrowned(s.states)
	if enters, shorter := p.entry(s); enters > at || len(shorter) > 0 && !maps.Equal(shorter, anyway) && !sauce { // it would be held back, or cooked less than is said
		s.unfired, s.Browned, s.states = !sauce && p.onlyVisits(s, at), true, before
	}
	return s.unfired
}

// entry is where a stand-in would go in as it is, and what would cook shorter for it.
func (p *plan) entry(s *standIn) (enters int, shorter map[int]float64) {
	p.enter(s)
	enters, shorter = s.enters, maps.Clone(p.lasts)
	s.tail = 0
	clear(p.lasts)
	return enters, shorter
}

// unbrowned are the states of something that has not been browned yet.
func unbrowned(states []string) []string {
	return slices.DeleteFunc(slices.Clone(states), func(state string) bool { return state == larder.Browned || state == larder.Ready })
}

// onlyVisits tells whether the action that browns a stand-in is followed by nothing more than taking it out again, and notes
// that it is there so long: it goes in late, as what is browned.
func (p *plan) onlyVisits(s *standIn, at int) bool {
	path := p.pathItself(s)
	k := slices.Index(path, at)
	for k >= 0 && k+1 < len(path) && (p.graph.Nodes[path[k+1]].Is("turn") || p.moreFat(path[k+1])) {
		k++
	}
	if k < 0 || k+1 >= len(path) || !p.liftsOut(s, path[k+1]) && !p.setsAside(path, k+1) || !p.alone(at, s) {
		return false
	}
	if slices.ContainsFunc(p.graph.Nodes[path[k+1]].Action.To, func(r recipe.Ref) bool { return r.Share < nearlyAll }) {
		return false // "lift out a third of it": the rest is in the pan
	}
	s.visit = [2]int{path[0], path[k+1]}
	return true
}

// moreFat tells whether an action adds nothing but fat to what is in a pan: "adding a little more oil each time".
func (p *plan) moreFat(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Technique.Joins == "yes" && len(n.To) > 0 && !slices.ContainsFunc(n.To, func(line int) bool { return !p.c.fatLine(p.line(line)) })
}

// browns finds the action that browns the line of a stand-in, in a pan or in an oven with no more than its fat, before any
// other heat comes to it; -1 where none does.
func (p *plan) browns(s *standIn) int {
	for _, i := range p.pathItself(s) {
		if n := &p.graph.Nodes[i]; n.Technique.Heat != "" {
			if (n.Is("grill") || p.roastsBrown(s, i) || n.Technique.Family == "oven" && !n.Covered && p.fleshAndFat(i) && p.bakesOn(s, i) || cookedDry(n) && (n.Technique.Medium == "fat" && n.Technique.Roast > 0 || n.Is("cook") && (n.Action.Sided || p.inHotPan(i)))) && (!n.Liquid || n.Is("grill") || p.onlyClings(s, n)) { // on a grill no more stays than clings
				return i
			}
			return -1
		}
	}
	return -1
}

// roastsBrown tells whether an action leaves something in the oven for as long as it takes to brown there and no more, with no lid
// and no other heat behind it.
func (p *plan) roastsBrown(s *standIn, i int) bool {
	n := &p.graph.Nodes[i]
	return n.Is("roast") && !n.Covered && n.Lasts >= browningMinutes && n.Lasts <= mostBrowning && !slices.ContainsFunc(p.path(s.node), func(k int) bool {
		return k > i && p.graph.Nodes[k].Technique.Heat != ""
	})
}

// browningMinutes is what pieces take to brown in an oven, mostBrowning how long they may stay there; estimates.
const (
	browningMinutes = 20.0
	mostBrowning    = 40.0
)

// brownsFromSauce finds the action that browns the line of a stand-in when it has been lifted out of a sauce with a taste of its own, in
// which it cooked raw; -1 where none does.
func (p *plan) brownsFromSauce(s *standIn) int {
	bathed := false
	for _, i := range p.pathItself(s) {
		n := &p.graph.Nodes[i]
		switch {
		case p.wetMinutes(i) > 0 && !bathed:
			if bathed = slices.ContainsFunc(n.Holds, func(line int) bool { return p.stand[line] == nil && larder.Bathes(p.l.Food(p.line(line).FoodID())) }); !bathed {
				return -1
			}
		case n.Technique.Heat == "" || n.Technique.Family == "wet heat":
		case bathed && cookedDry(n) && n.Technique.Medium == "fat" && n.Technique.Roast > 0 && p.onlyClings(s, n):
			return i
		default:
			return -1
		}
	}
	return -1
}

// bakesOn tells whether what an oven has heated goes back into it with what has come to it since: it sets around it there.
func (p *plan) bakesOn(s *standIn, i int) bool {
	return slices.ContainsFunc(p.path(s.node), func(k int) bool {
		n := &p.graph.Nodes[k]
		return k > i && n.Is("bake") && !p.braises(n) && !p.fleshAndFat(k)
	})
}

// inHotPan tells whether an action goes on in a pan that was heated just before with nothing in it: "heat a griddle pan until
// very hot and cook the skewers".
func (p *plan) inHotPan(i int) bool {
	if i == 0 {
		return false
	}
	before := &p.graph.Nodes[i-1]
	return before.At == p.graph.Nodes[i].At && before.Is("heat") && len(before.Holds) == 0 && slices.ContainsFunc(before.Action.To, func(r recipe.Ref) bool {
		if r.Named == nil {
			return false
		}
		words := larder.Words(*r.Named)
		return len(words) > 0 && p.l.Language().Pots[words[len(words)-1]]
	})
}

// onlyClings tells whether no more liquid is with flesh in a pan than clings to it: the soy or the white of an egg that it lay in.
func (p *plan) onlyClings(s *standIn, n *flow.Node) bool {
	wet := 0.0
	for _, line := range n.Holds {
		if f := p.l.Food(p.line(line).FoodID()); larder.Wets(f) && !p.c.fatLine(p.line(line)) && p.stand[line] != s {
			wet += p.line(line).Mass()
		}
	}
	return wet <= clings*s.was.Mass()
}

// clings is how much of its own mass of a marinade flesh takes into a pan; an estimate.
const clings = 0.2

// shapesThenFires finds the action that first fries or bakes a line that was shaped before; -1 where none does, or where
// fire comes first.
func shapesThenFires(g *flow.Graph, line int) int {
	shaped := false
	for _, i := range g.Path(line) {
		n := &g.Nodes[i]
		switch {
		case n.Is("shape", rollTechnique):
			shaped = true
		case n.Technique.Heat == "":
		case shaped && (n.Technique.Family == "dry heat" || n.Technique.Family == "oven"):
			return i
		default:
			return -1
		}
	}
	return -1
}

// prepares are the steps in which a stand-in is made here.
func (s *standIn) prepares() []larder.Preparation {
	switch {
	case !s.unfired:
		return s.book.Prepare
	case !leavesOut(s.book):
		return s.book.Prepare[:len(s.book.Prepare)-1]
	}
	steps := slices.Clone(s.book.Prepare)
	for i, x := range steps {
		if x.Unfired != nil {
			steps[i] = *x.Unfired
		}
	}
	return steps
}

// leavesOut tells whether the book says how a swap is prepared without being browned.
func leavesOut(book *larder.Swap) bool {
	return slices.ContainsFunc(book.Prepare, func(x larder.Preparation) bool { return x.Unfired != nil })
}

// beforeShaped is where a mix that the dish shapes and fries itself still takes something in; -1 where there is none.
func (p *plan) beforeShaped(parts []part) int {
	return slices.IndexFunc(parts, func(x part) bool { return p.shapesMix(x) != nil })
}

// shapesMix is the mix that a part shapes and that is fried after it; nil for others.
func (p *plan) shapesMix(x part) *standIn {
	for _, at := range x.nodes {
		n := &p.graph.Nodes[at]
		for _, line := range n.To {
			if s := p.stand[line]; n.Is("shape") && s != nil && s.unfired {
				return s
			}
		}
	}
	return nil
}
