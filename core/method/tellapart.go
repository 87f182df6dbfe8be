package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
)

// tellApart calls stand-ins by the food they are made of where others, or lines of the cook's
// own, go by the same name and are of another: olive oil and vegetable oil, both "oil".
func (p *plan) tellApart() {
	food := func(s *standIn) *larder.Food { return p.l.MainFood(s.book) }
	all := p.inOrder()
	for _, s := range all {
		if s.gone || s.bare || len(s.lines) != 1 || food(s) == nil {
			continue
		}
		name := s.book.CalledFor(s.chosen.Use)
		if p.ownLineCalled(name, s) || slices.ContainsFunc(all, func(o *standIn) bool {
			return !o.gone && o.book.CalledFor(o.chosen.Use) == name && food(o) != nil && food(o).ID != food(s).ID
		}) {
			s.name = lowered(food(s).Name)
			s.plural = p.c.plural(s.name)
		}
	}
}

// tellOther calls what stands in the other of two that the list calls alike: where the cook's own was spoken of before.
func (p *plan) tellOther() {
	for _, s := range p.inOrder() {
		if s.gone || s.bare || s.book == nil || len(s.lines) != 1 {
			continue
		}
		if food := p.l.MainFood(s.book); food != nil && p.besideOwn(s, food) {
			s.name = p.c.words().Other + " " + s.name
		}
	}
}

// besideOwn tells whether the same part has a line of the cook's own that is of the same food and goes by the same name, and
// that no action works on together with what stands in: the oil that fish was fried in, before the butter for the shallot.
func (p *plan) besideOwn(s *standIn, food *larder.Food) bool {
	name := larder.Words(food.Name)
	for line, at := range p.graph.Lines {
		if p.stand[line] != nil || at.Component != s.component || p.line(line).FoodID() != food.ID || p.namedWith(line, s.node) || !p.namedBeforeIt(line, s.node) {
			continue
		}
		if slices.Equal(larder.Words(p.line(line).Name), name) {
			return true
		}
	}
	return false
}

// ownLineCalled tells whether a line of the cook's own goes by a name of one word too, "the oil": one of
// another food, or one that goes in elsewhere and has no more of a name.
func (p *plan) ownLineCalled(name string, s *standIn) bool {
	if strings.Contains(name, " ") {
		return false
	}
	for line := range p.graph.Lines {
		l := p.line(line)
		words := larder.Words(l.Name)
		if p.stand[line] != nil || len(words) == 0 || words[len(words)-1] != name {
			continue
		}
		if len(words) > 1 && l.FoodID() != p.l.MainFood(s.book).ID || len(words) == 1 && (!p.namedWith(line, s.node) || p.timesNamed(s.node) > 1) {
			return true
		}
	}
	return false
}

// namedBeforeIt tells whether a line is named before another is.
func (p *plan) namedBeforeIt(line, other int) bool {
	first := func(line int) int {
		return slices.IndexFunc(p.graph.Nodes, func(n flow.Node) bool {
			return slices.Contains(n.Named, line) && !p.deeds[p.graph.Number(&n)].drop
		})
	}
	return first(line) >= 0 && first(line) < first(other)
}

// timesNamed counts the actions that name a line.
func (p *plan) timesNamed(line int) int {
	times := 0
	for i := range p.graph.Nodes {
		if slices.Contains(p.graph.Nodes[i].Named, line) {
			times++
		}
	}
	return times
}
