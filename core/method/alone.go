package method

import (
	"slices"

	"yembra/core/larder"
)

// alone tells whether an action works on nothing but what was replaced, in the
// same way as one of them.
func (p *plan) alone(i int, s *standIn) bool {
	to := p.subjects(i)
	if !slices.Contains(to, s.node) {
		return false
	}
	others, n := to, &p.graph.Nodes[i]
	if n.Technique.Family == "wet heat" {
		others = slices.Concat(to, n.With, n.Into) // in a sauce that is eaten
	}
	return !slices.ContainsFunc(others, func(line int) bool {
		o := p.stand[line]
		if (o == nil || !o.flesh()) && p.leftBehind(line, i) || o == nil && s.flesh() && p.inTheSieve(line, i) >= 0 {
			return false
		}
		if p.line(line).FoodID() == waterFood {
			return p.c.fatLine(s.was) && slices.Contains(n.Named, line) && slices.Contains(n.To, line) // "bring the water and butter to the boil"
		}
		return o == nil || o.class != s.class && !(o.flesh() && s.flesh())
	})
}

// leftBehind tells whether a line is liquid, or flavours one, and stays in the pot when what was
// cooked there is lifted out: nothing else is done with it any more.
func (p *plan) leftBehind(line, i int) bool {
	if !larder.Pours(p.l.Food(p.line(line).FoodID())) && !p.flavours(line) {
		return false
	}
	lifted := false
	for k := i; k < len(p.graph.Nodes); k++ {
		n := &p.graph.Nodes[k]
		switch {
		case !n.Reaches(line):
		case n.Technique.Family == "separate" && !n.Is("strain", "reserve"):
			lifted = true
		case k > i && n.Technique.Family != "wet heat" && n.Technique.Joins != "yes" && !n.Is("cover"):
			return false
		case lifted:
			return false
		}
	}
	return lifted || p.liftedWithout(line)
}
