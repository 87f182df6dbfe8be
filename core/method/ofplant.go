package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// ofPlant tells whether a noun names a body by a plant that it is of, or by what the list counts one by: "the aubergine shells",
// "each head", of chicory.
func (p *plan) ofPlant(noun recipe.Noun, name string) bool {
	words := larder.Words(name)
	if p.countsPlant(strings.ToLower(name)) {
		return true
	}
	own := func(line int) bool {
		f := p.l.Food(p.line(line).FoodID())
		return p.stand[line] == nil && f != nil && f.Origin == larder.FromPlant && slices.ContainsFunc(larder.Words(p.line(line).Name), func(w string) bool { return slices.Contains(words, w) })
	}
	return len(words) > 1 && slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool {
		at := -1
		if r.Made != nil {
			at = p.graph.Node(*r.Made)
		}
		return r.Line != nil && own(p.graph.Named(*r.Line)) || at >= 0 && slices.ContainsFunc(p.graph.Nodes[at].Holds, own)
	})
}

// countsPlant tells whether a word is what the list counts a plant by.
func (p *plan) countsPlant(word string) bool {
	unit, ok := p.l.Language().Lines.Unit(word)
	for line := range p.graph.Lines {
		if l := p.line(line); ok && p.stand[line] == nil && l.Origin == larder.FromPlant && l.Amount != nil && l.Amount.Unit == unit {
			return true
		}
	}
	return false
}
