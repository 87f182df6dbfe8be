package method

import (
	"slices"

	"yembra/core/larder"
)

// momentApart is moment, with a sentence taken apart where it has none otherwise.
func (p *plan) momentApart(parts []part, moment string, home int) ([]part, int, bool) {
	where, ok := p.moment(parts, moment, home)
	if !ok && moment != larder.WithAromatics {
		if more, did := p.takenApart(parts); did {
			parts = more
			where, ok = p.moment(parts, moment, home)
		}
	}
	if ok && moment != larder.AtTable && where > 0 {
		if more, did := p.servedApart(parts, where-1); did {
			parts = more
		}
	}
	return parts, where, ok
}

// servedApart takes a sentence apart before what is served in it, so that a booster can go in while it cooks; not ok where nothing
// is served at its end.
func (p *plan) servedApart(parts []part, k int) ([]part, bool) {
	x := parts[k]
	if x.sentence == nil || x.look {
		return parts, false
	}
	work := false
	for i, c := range x.sentence.clauses {
		if c.node < 0 || c.gone {
			continue
		}
		n := &p.graph.Nodes[c.node]
		if n.Technique.Closes == larder.ClosesTable && n.Action.Words.Verb[1] > 0 {
			if !work {
				return parts, false
			}
			first, second := x.sentence.apart(i)
			return slices.Replace(slices.Clone(parts), k, k+1, x.writer.part(x.step, first), x.writer.part(x.step, second)), true
		}
		work = true
	}
	return parts, false
}

// takenApart takes the sentence apart in which something is stirred and then laid out, closed or served at
// once, so that a booster can go in between; not ok where there is none.
func (p *plan) takenApart(parts []part) ([]part, bool) {
	for k := len(parts) - 1; k >= 0; k-- {
		x := parts[k]
		if x.sentence == nil || x.look {
			continue
		}
		stirred, last := false, -1
		for i, c := range x.sentence.clauses {
			if c.node < 0 || c.gone {
				continue
			}
			n := &p.graph.Nodes[c.node]
			if stirred && n.Action.Words.Verb[1] > 0 && (n.Technique.Shuts() || n.Is("divide") || p.laidIntoOven(c.node) || p.foldsUp(n) || n.Is("pour") && p.laidOver(c.node, last)) {
				first, second := x.sentence.apart(i)
				return slices.Replace(slices.Clone(parts), k, k+1, x.writer.part(x.step, first), x.writer.part(x.step, second)), true
			}
			if p.takesMore(c.node) {
				stirred, last = true, c.node
			}
		}
	}
	return parts, false
}
