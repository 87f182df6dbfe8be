package method

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// hollowed tells whether before an action the flesh of a plant was taken out of it, so that the shells and the skins which the
// method speaks of from then on are those of the plant: "halve the potatoes and scoop the flesh into a bowl".
func (p *plan) hollowed(i int) bool {
	for k := range p.graph.Nodes[:i] {
		n := &p.graph.Nodes[k]
		of := n.To
		if len(of) == 0 && k > 0 && p.graph.Nodes[k-1].At == n.At {
			of = p.graph.Nodes[k-1].To
		}
		text := p.textOf(n)
		if len(of) > 0 && !slices.ContainsFunc(of, func(line int) bool { return p.stand[line] != nil || p.line(line).Origin == larder.FromAnimal }) &&
			slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool {
				return slices.ContainsFunc(x.Nouns, func(noun recipe.Noun) bool {
					return noun.Upto <= len(text) && p.wholePiece(string(text[noun.Name:noun.Upto]))
				})
			}) {
			return true
		}
	}
	return false
}
