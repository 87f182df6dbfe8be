package flow

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// boiling tells whether something is only named, and hot: "into boiling salted water".
func (t *tracer) boiling(r recipe.Ref) bool {
	return r.Named != nil && slices.ContainsFunc(larder.Words(*r.Named), func(w string) bool { return t.larder.Language().Writing.Warmth[w] })
}

// StaysRaw tells whether nothing is hot from where a line goes in on: neither what it reaches, nor anything else of its
// part, which it may have gone into without a word; nor does it go straight into what has just been cooked. What nothing
// takes is not known.
func (g *Graph) StaysRaw(line int) bool {
	first := slices.IndexFunc(g.Nodes, func(n Node) bool { return n.Reaches(line) })
	return first >= 0 && !slices.ContainsFunc(g.Nodes[first:], func(n Node) bool {
		takes := n.Reaches(line)
		return n.Fire && (takes || n.At.Component == g.Lines[line].Component) ||
			takes && slices.ContainsFunc(n.Inputs, func(in int) bool { return g.Nodes[in].Fire })
	})
}
