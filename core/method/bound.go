package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
)

// boundLate moves on what is shaped with others to where it is mixed with them, where what it stands for was cooked in a
// liquid before: the fish of fishcakes, that is poached and flaked.
func (p *plan) boundLate(s *standIn, path []int, start int) int {
	if !s.flesh() || s.chosen == nil || s.chosen.Use != shapeUse {
		return start
	}
	wet := false
	for k := start; k < len(path); k++ {
		n := &p.graph.Nodes[path[k]]
		wet = wet || n.Technique.Family == "wet heat" && n.Liquid
		mixes := slices.Contains([]string{"mix", "dough", "machine"}, n.Technique.Family) && slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool {
			return p.stand[line] == nil && !larder.Pours(p.l.Food(p.line(line).FoodID()))
		})
		if mixes && wet && p.shapedLater(path[k:]) {
			return k
		}
		if mixes {
			return start
		}
	}
	return start
}

// shapedLater tells whether something is shaped or wrapped in an action of a path.
func (p *plan) shapedLater(path []int) bool {
	return slices.ContainsFunc(path, func(k int) bool { return p.graph.Nodes[k].Is("shape", "roll", "stuff", "wrap", "roll-up") })
}

// shapeUse is the use of what is shaped, so that it must bind.
const shapeUse = "shape"

// boilsForNothing lets go of a liquid that is poured on flesh, cooked with it and thrown away, and of what was to give
// such a liquid its taste, where the flesh is not cooked any more: the milk, or the bay leaf, that fish was to be poached
// with.
func (p *plan) boilsForNothing() {
	for line := range p.graph.Lines {
		if k := p.intoIdleWater(line); k >= 0 {
			p.deeds[k].drop, p.seasoned[line] = true, true
			continue
		}
		taste := p.stand[line] == nil && p.flavours(line) && p.liquorGoesOn(line) < 0
		if !taste && !larder.Wets(p.l.Food(p.line(line).FoodID())) {
			continue
		}
		path := p.path(line)
		taste = taste && slices.ContainsFunc(path, func(k int) bool { return p.graph.Nodes[k].Technique.Family == "wet heat" && p.fromTheTapBefore(k) })
		last := len(path) - 1
		if last < 1 || !taste && !p.graph.Nodes[path[last]].Is("discard") || slices.ContainsFunc(path, func(k int) bool { return !p.onlyBathes(line, &p.graph.Nodes[k], k) }) {
			continue
		}
		if s := p.stand[line]; s != nil {
			if len(s.lines) != 1 || len(s.book.Prepare) > 0 {
				continue
			}
			s.gone, s.enters = true, never
		}
		for _, k := range path {
			p.deeds[k].drop = true
		}
		p.seasoned[line] = true
	}
}

// intoIdleWater is the action by which a line goes into nothing but water from the tap in which nothing cooks any more: the
// vinegar for eggs that are not poached; -1 where none is.
func (p *plan) intoIdleWater(line int) int {
	path := p.path(line)
	if p.stand[line] != nil || len(path) != 1 {
		return -1
	}
	n := &p.graph.Nodes[path[0]]
	if len(n.Users) > 0 || n.Technique.Joins != "yes" || !p.onBoiledWater(n) {
		return -1
	}
	for k := path[0] + 1; k < len(p.graph.Nodes) && p.graph.Nodes[k].At == n.At; k++ {
		if p.deeds[k].drop && p.graph.Nodes[k].Technique.Family == "wet heat" {
			return path[0]
		}
	}
	return -1
}

// onlyBathes tells whether an action works on nothing but a liquid, flesh that comes later, and what gives a taste.
func (p *plan) onlyBathes(line int, n *flow.Node, k int) bool {
	flesh := false
	for _, o := range slices.Concat(n.To, n.With, n.Into) {
		s := p.stand[o]
		switch {
		case s != nil && s.flesh():
			if p.there(o, k) {
				return false
			}
			flesh = true
		case o != line && !p.flavours(o):
			return false
		}
	}
	return flesh || n.Is("discard")
}

// bathedOnly tells whether a line only was to be boiled with flesh that is not, or was what flesh was to be poached in and
// lifted out of.
func (p *plan) bathedOnly(line int) bool {
	if path := p.path(line); !p.seasoned[line] && (len(path) == 0 || p.stand[line] == nil || p.stand[line].flesh() || !p.leftBehind(line, path[0])) {
		return false
	}
	return !slices.ContainsFunc(p.path(line), func(k int) bool { return !p.deeds[k].drop })
}
