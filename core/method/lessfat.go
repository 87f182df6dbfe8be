package method

import (
	"slices"

	"yembra/core/recipe"
	"yembra/core/sizing"
	"yembra/core/swap"
)

// lessFat lowers a fat of the cook's own of which a measure was for a frying that is not done any more, and another for one that
// is: "1 tbsp of the oil" for the paste, the rest for eggs.
func (p *plan) lessFat(i int) {
	comp := &p.a.Components[i]
	for k := range comp.Lines {
		l := &comp.Lines[k]
		if l.Change != swap.Kept || l.From == nil || l.Amount == nil || !p.c.fatLine(&l.Line) {
			continue
		}
		if share := p.shareMeasured(p.graph.Named(*l.From), *l.From); share > 0 && share < nearlyAll {
			l.Line = sizing.Line(p.l, l.Line, share)
			l.Change, l.Why = swap.Adjusted, p.c.words().FatLess
		}
	}
}

// shareMeasured is how much of a line work takes that is done, where all of that measures it and all else that takes some is
// not done; 1 for any other.
func (p *plan) shareMeasured(line int, ref string) float64 {
	kept, lost := 0.0, 0.0
	if p.unfried[line] > 0 || p.shares[line] > 0 {
		return 1 // it goes in elsewhere
	}
	for i := range p.graph.Nodes {
		n := &p.graph.Nodes[i]
		at := slices.IndexFunc(slices.Concat(n.Action.To, n.Action.With, n.Action.Into), func(r recipe.Ref) bool { return r.Line != nil && *r.Line == ref })
		switch {
		case at < 0:
		case p.deeds[i].drop:
			lost += p.shareAt(line, i)
		case !p.measuresOff(i, ref):
			return 1
		default:
			kept += p.shareAt(line, i)
		}
	}
	if kept <= 0 || kept+lost < nearlyAll {
		return 1
	}
	return kept
}

// measuresOff tells whether an action names a line by a measure of it.
func (p *plan) measuresOff(i int, ref string) bool {
	n := &p.graph.Nodes[i]
	text := p.textOf(n)
	return slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool {
		return slices.ContainsFunc(x.Nouns, func(noun recipe.Noun) bool {
			return len(noun.Refs) == 1 && noun.Refs[0].Line != nil && *noun.Refs[0].Line == ref && p.measureSaid(string(text[noun.From:noun.Name]), noun) != ""
		})
	})
}
