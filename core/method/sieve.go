package method

import (
	"slices"

	"yembra/core/larder"
)

// inTheSieve is where a herb or spice is drained off with the water from the tap in which flesh was boiled with it,
// and no step speaks of it any more; -1 where that is not so.
func (p *plan) inTheSieve(line, i int) int {
	if !p.flavours(line) && !p.isSalt(line) {
		return -1
	}
	drained := -1
	for k := i; k < len(p.graph.Nodes); k++ {
		n := &p.graph.Nodes[k]
		switch {
		case !n.Reaches(line), k == i && n.Is("place", "add"):
		case drained < 0 && n.Is("drain"):
			if slices.ContainsFunc(p.subjects(k), func(o int) bool { s := p.stand[o]; return (s == nil || !s.flesh()) && !p.flavours(o) && !p.isSalt(o) }) {
				return -1
			}
			drained = k
		case drained < 0 && n.Technique.Family != "wet heat" && n.Technique.Joins != "yes" && !n.Is("cover", "skim"):
			return -1
		case drained >= 0 && slices.Contains(n.Named, line):
			return -1
		}
	}
	return drained
}

// isSalt tells whether a line is salt of some kind.
func (p *plan) isSalt(line int) bool {
	f := p.l.Food(p.line(line).FoodID())
	return f != nil && f.Kind == "salt"
}

// onlySieved tells whether an action has nothing left but herbs and salt that are drained off with the water in
// which flesh was boiled.
func (p *plan) onlySieved(i int) bool {
	n, sieved := &p.graph.Nodes[i], false
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		if s := p.stand[line]; s != nil && s.flesh() && !p.there(line, i) {
			continue
		}
		if p.stand[line] != nil || p.inTheSieve(line, p.path(line)[0]) < i {
			return false
		}
		sieved = true
	}
	return sieved
}

// boiledWithout tells whether something solid is still boiled in what an action strains, without the flesh that was to be
// poached there: "bring the wine to a simmer with the shallot".
func (p *plan) boiledWithout(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Is("drain") {
		return false
	}
	return slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool {
		if p.stand[line] != nil || !p.there(line, i) || larder.Pours(p.l.Food(p.line(line).FoodID())) || p.isSalt(line) || p.c.fatLine(p.line(line)) {
			return false
		}
		return slices.ContainsFunc(p.path(line), func(k int) bool { return k < i && !p.deeds[k].drop && p.graph.Nodes[k].Technique.Family == "wet heat" })
	})
}
