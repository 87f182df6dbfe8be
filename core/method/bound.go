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
		switch n.Technique.Family {
		case "mix", "dough", "machine":
			if wet && slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool { return p.stand[line] == nil && !larder.Pours(p.l.Food(p.line(line).FoodID())) }) {
				return k
			}
			if !wet && slices.Contains(n.Named, s.node) && n.Technique.Joins != "yes" {
				return start
			}
		}
	}
	return start
}

// shapeUse is the use of what is shaped, so that it must bind.
const shapeUse = "shape"

// boilsForNothing lets go of a liquid that is poured on flesh, cooked with it and thrown away, where that is not cooked
// any more: the milk that fish was to be poached in.
func (p *plan) boilsForNothing() {
	for line := range p.graph.Lines {
		if !larder.Wets(p.l.Food(p.line(line).FoodID())) {
			continue
		}
		path := p.path(line)
		last := len(path) - 1
		if last < 1 || !p.graph.Nodes[path[last]].Is("discard") || slices.ContainsFunc(path, func(k int) bool { return !p.onlyBathes(line, &p.graph.Nodes[k], k) }) {
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
