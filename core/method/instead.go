package method

import (
	"slices"

	"yembra/core/recipe"
)

// comesInstead is what goes in here as it was bought or made, where the text has something that nobody makes any more:
// "the strained stock", of shells. It is nil where some of the work is done, or more than one thing comes.
func (p *plan) comesInstead(noun recipe.Noun, lines []int, at int) *standIn {
	for _, r := range noun.Refs {
		if r.Made == nil || r.Share < nearlyAll || !p.undone(p.nodeOf(*r.Made)) {
			return nil
		}
	}
	var come *standIn
	for _, line := range lines {
		s := p.stand[line]
		switch {
		case s == nil && p.there(line, at) && !p.c.fatLine(p.line(line)), s != nil && !s.gone && s.enters <= at && come != nil:
			return nil
		case s != nil && !s.gone && s.enters == at && s.tail == 0:
			come = s
		}
	}
	return come
}

// undone tells whether nothing is left of the work that led up to an action.
func (p *plan) undone(at int) bool {
	if at < 0 || !p.deeds[at].drop {
		return false
	}
	return !slices.ContainsFunc(p.graph.Nodes[at].Inputs, func(in int) bool { return !p.undone(in) })
}
