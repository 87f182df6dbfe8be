package method

import (
	"slices"

	"yembra/core/recipe"
)

// namedElsewhere tells whether another action that is done names a line too.
func (p *plan) namedElsewhere(line, not int) bool {
	at := p.graph.Lines[line]
	ref := recipe.LineRef(at.Component, at.Line)
	share := 0.0
	if p.measuredAt(line, not) != "" {
		return false // "2 teaspoons of salt", of which the list says no amount
	}
	for k := range p.graph.Nodes {
		if k == not || p.deeds[k].drop || !slices.Contains(p.graph.Nodes[k].Named, line) || p.graph.Nodes[k].Technique.Takes == "part" || p.graph.Nodes[k].Is("discard") || p.boiledBetween(line, not, k) {
			continue // what is fished out must have gone in, and what was poached before
		}
		a := p.graph.Nodes[k].Action
		for r := range a.Refs() {
			if r.Of == ref || r.Line != nil && *r.Line == ref {
				share += r.Share
			}
		}
	}
	return share >= nearlyAll
}

// boiledBetween tells whether a line is boiled by work that is done between two actions, of which the later takes it out of
// that.
func (p *plan) boiledBetween(line, from, upto int) bool {
	at := p.graph.Lines[line]
	ref := recipe.LineRef(at.Component, at.Line)
	a := p.graph.Nodes[upto].Action
	if !slices.ContainsFunc(slices.Concat(a.To, a.With), func(r recipe.Ref) bool { return r.Made != nil && r.Of == ref }) {
		return false
	}
	return slices.ContainsFunc(p.path(line), func(k int) bool {
		n := &p.graph.Nodes[k]
		return k > from && k < upto && !p.deeds[k].drop && n.Technique.Family == "wet heat" && slices.Contains(n.To, line)
	})
}
