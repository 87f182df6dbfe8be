package method

import (
	"slices"

	"yembra/core/larder"
)

// setIn tells whether a stand-in is stirred into what sets around it in the pan before it can brown there: prawns in an omelette.
func (p *plan) setIn(s *standIn, at int) bool {
	return slices.ContainsFunc(p.path(s.node), func(k int) bool {
		n := &p.graph.Nodes[k]
		return k < at && slices.Contains(n.To, s.node) && n.Technique.Family != "coat" && slices.ContainsFunc(n.Into, func(line int) bool {
			o := p.stand[line]
			return o != nil && o.class == larder.Egg && o.is(larder.Batter) && o.was.Mass() > s.was.Mass()
		})
	})
}

// brownLong gives what the dish itself browns the minutes that it takes to, where flesh had fewer: discs of a thick stem for
// prawns.
func (p *plan) brownLong() {
	for _, s := range p.inOrder() {
		least := 0.0
		if s.unfired {
			for _, x := range s.prepares() {
				least = max(least, x.Browns)
			}
		}
		if least == 0 {
			continue
		}
		at := p.browns(s)
		if at < 0 || p.deeds[at].drop || p.deeds[at].minutes != nil || p.graph.Nodes[at].Action.Minutes == nil {
			continue
		}
		given := p.graph.Nodes[at].Action.Minutes.High
		if p.graph.Nodes[at].Action.Sided {
			given *= 2
		}
		if given < least {
			p.deeds[at].minutes = minutesOf(least)
		}
	}
}

// wantsLonger tells whether a stand-in that takes some minutes to brown is cut or cleaned in the dish as flesh is before it is
// browned there, or browned for no minutes that are said and could be longer.
func (p *plan) wantsLonger(s *standIn, at int) bool {
	if !slices.ContainsFunc(s.book.Prepare, func(x larder.Preparation) bool { return x.Unfired != nil && x.Unfired.Browns > 0 }) {
		return false
	}
	return p.graph.Nodes[at].Action.Minutes == nil || slices.ContainsFunc(p.path(s.node), func(k int) bool {
		n := &p.graph.Nodes[k]
		return k < at && slices.Contains([]string{"cut", "clean", "separate"}, n.Technique.Family) && !n.Is("dry", "rinse", "drain")
	})
}
