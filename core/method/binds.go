package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
)

// rubbedFor is where on a path something is rubbed, coated or marinated with what stays, to be cooked so in
// the oven or over a fire: it goes in there, or nothing would take the rub. It is -1 where it is not.
func (p *plan) rubbedFor(s *standIn, path []int) int {
	at, joined := -1, -1
	for k, i := range path {
		n := &p.graph.Nodes[i]
		if joined < 0 && slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool { return p.stand[line] == nil }) {
			joined = k
		}
		switch {
		case joined >= 0 && p.givesTaste(n):
			at = joined
		case at < 0 && (n.Technique.Family == "coat" || p.mixesCoat(s, i)) && slices.ContainsFunc(slices.Concat(n.To, n.With), func(line int) bool { return line != s.node && p.stand[line] == nil }):
			at = k
		case n.Technique.Family == "wet heat":
			return -1
		}
	}
	return at
}

// boundBefore tells whether something was put together with others before it is
// cooked, so that it cannot go in later: marinated, coated, filled or laid in.
func (p *plan) boundBefore(s *standIn, path []int) bool {
	return slices.ContainsFunc(path, func(i int) bool {
		n := &p.graph.Nodes[i]
		t := n.Technique
		if p.givesTaste(n) && slices.Contains(n.To, s.node) {
			return true // what is mixed with its marinade and left
		}
		if t.Family == "coat" && len(n.With) > 0 && slices.Equal(n.To, []int{s.node}) && !p.dustedForPan(i) {
			return true // "snip the rind around the slices; dust with flour"
		}
		if p.mixesCoat(s, i) {
			return true
		}
		if !slices.Contains(n.Named, s.node) {
			return t.Closes == larder.ClosesAlways && t.Medium == "" && t.Family != "coat" && t.Name != "top" && slices.Contains(n.To, s.node)
		}
		return t.Name == "marinate" || t.Family == "coat" || t.Closes == larder.ClosesAlways && t.Name != "top"
	})
}

// givesTaste tells whether things lie together long enough to take each other's taste.
func (p *plan) givesTaste(n *flow.Node) bool {
	return n.Technique.Family == "rest" && n.Lasts >= takesTaste && slices.ContainsFunc(n.To, func(line int) bool {
		return p.flavours(line) || p.stand[line] == nil && larder.Bathes(p.l.Food(p.line(line).FoodID()))
	})
}

// takesTaste is how many minutes things must lie together to take each other's taste; an estimate.
const takesTaste = 30.0

// coated tells whether something is cooked in a coat that it was given before: the
// coat wants the pan though the piece does not.
func (p *plan) coated(s *standIn, i int) bool {
	if p.graph.Nodes[i].Technique.Family != "dry heat" {
		return false
	}
	for _, k := range p.path(s.node) {
		if k >= i {
			break
		}
		if n := &p.graph.Nodes[k]; n.Technique.Family == "coat" && !n.Is("baste", "brush", "rub", "dust") || p.mixesCoat(s, k) {
			return true
		}
	}
	return false
}

// mixesCoat tells whether an action mixes pieces with egg and flour or starch, in which they are fried next: they are
// coated, by another word.
func (p *plan) mixesCoat(s *standIn, i int) bool {
	n := &p.graph.Nodes[i]
	if !s.inPieces() || n.Technique.Family != "mix" || len(n.Into) > 0 || !slices.Contains(n.To, s.node) {
		return false
	}
	egg, starch, rest := false, false, 0.0
	for _, line := range slices.Concat(n.To, n.With) {
		o := p.stand[line]
		switch {
		case line == s.node:
			continue
		case o != nil && o.class == larder.Egg:
			egg = true
		case p.thickens(line):
			starch = true
		}
		rest += p.line(line).Mass()
	}
	return egg && starch && rest <= mostCoat*p.line(s.node).Mass() && p.friesNext(i)
}

// friesNext tells whether the first heat that comes to what an action made is that of a pan without a liquid.
func (p *plan) friesNext(i int) bool {
	for _, k := range p.graph.Nodes[i].Users {
		if n := &p.graph.Nodes[k]; n.Technique.Heat != "" {
			return n.Technique.Family == "dry heat"
		} else if p.friesNext(k) {
			return true
		}
	}
	return false
}
