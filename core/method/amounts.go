package method

import (
	"math"
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/swap"
)

// amounts finds what cannot be made in the amounts that are listed, by the table
// of makings: a blend with too little to move it, a dough wetter or drier than the
// original's.
func (c *Carrier) amounts(p *plan, g *flow.Graph) {
	for _, m := range p.l.Makings() {
		if m.Like > 0 {
			c.unlike(p, g, &m)
			continue
		}
		for k := range g.Nodes {
			n := &g.Nodes[k]
			step := stepOf(p.a, n.Action.ID)
			if !n.Is(m.Techniques...) || step == nil || step.Change == swap.Kept || tapped(n) {
				continue
			}
			water, all, known := c.watered(g, n, func(at flow.LineAt) *swap.Line { return &p.a.Components[at.Component].Lines[at.Line] })
			switch {
			case !known || all == 0:
			case all < m.Smallest && step.Prepares != "":
				// its preparation says how much to make
			case all < m.Smallest:
				c.tell(step, swap.NotMade, m.Small(all))
			case water < m.Least*all:
				c.tell(step, swap.NotMade, m.Dry(water, all-water))
			}
		}
	}
}

// unlike finds doughs whose liquid is another part of their flour than in the
// original.
func (c *Carrier) unlike(p *plan, g *flow.Graph, m *larder.Making) {
	before := func(at flow.LineAt) *swap.Line {
		return &swap.Line{Line: p.dish.Components[at.Component].Lines[at.Line]}
	}
	after := func(at flow.LineAt) *swap.Line { return &p.a.Components[at.Component].Lines[at.Line] }
	told := map[*swap.Step]bool{}
	for k := range p.graph.Nodes {
		was := &p.graph.Nodes[k]
		if !meansMaking(m, was) || tapped(was) || tappedBefore(p.graph, k) || p.grain(was) < m.Grain {
			continue
		}
		for n := range g.Nodes {
			now := &g.Nodes[n]
			step := stepOf(p.a, now.Action.ID)
			if step == nil || told[step] || !meansMaking(m, now) || !slices.Contains(step.From, was.At.Step) || now.At.Component != was.At.Component || tapped(now) {
				continue
			}
			wet0, all0, ok0 := c.watered(p.graph, was, before)
			wet1, all1, ok1 := c.watered(g, now, after)
			if !ok0 || !ok1 || wet0 == 0 || all0 == wet0 || all1 == wet1 {
				continue
			}
			share0, share1 := wet0/(all0-wet0), wet1/(all1-wet1)
			if math.Abs(share1-share0) > m.Like {
				told[step] = true
				said := m.Wet
				if share1 < share0 {
					said = m.Dry
				}
				c.tell(step, swap.NotMade, said(100*share1, 100*share0, math.Abs(share1-share0)*(all1-wet1)))
			}
		}
	}
}

// grain is the share of flours, meals and grains in what an action of the original works on.
func (p *plan) grain(n *flow.Node) float64 {
	grain, all := 0.0, 0.0
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		mass := p.line(line).Mass()
		if all += mass; p.l.Food(p.line(line).FoodID()) != nil && p.l.Food(p.line(line).FoodID()).Aisle == "grains" {
			grain += mass
		}
	}
	if all == 0 {
		return 0
	}
	return grain / all
}

// meansMaking tells whether an action is what a row of makings speaks of.
func meansMaking(m *larder.Making, n *flow.Node) bool {
	if !n.Is(m.Techniques...) {
		return false
	}
	words := larder.Words(n.Action.Makes)
	return len(m.Makes) == 0 || len(words) > 0 && slices.Contains(m.Makes, words[len(words)-1])
}

// tapped tells whether an action takes something nobody listed, such as water from
// the tap.
func tapped(n *flow.Node) bool {
	for _, r := range slices.Concat(n.Action.To, n.Action.With, n.Action.Into) {
		if r.Named != nil {
			return true
		}
	}
	return false
}

// tappedBefore tells whether that holds of what went before.
func tappedBefore(g *flow.Graph, k int) bool {
	for _, in := range g.Nodes[k].Inputs {
		if tapped(&g.Nodes[in]) || tappedBefore(g, in) {
			return true
		}
	}
	return false
}

// watered is what an action works on, with the water in it.
func (c *Carrier) watered(g *flow.Graph, n *flow.Node, line func(flow.LineAt) *swap.Line) (water, all float64, known bool) {
	seen, sum := map[int]bool{}, moist{known: true}
	for _, at := range slices.Concat(n.To, n.With, n.Into) {
		l := line(g.Lines[at])
		if seen[at] || c.strainedOut(l) {
			continue
		}
		seen[at] = true
		c.moistens(&sum, &l.Line)
	}
	if !sum.known {
		return 0, 0, false
	}
	return sum.water, sum.all, true
}

// strainedOut tells whether a line only gave its taste to a liquid.
func (c *Carrier) strainedOut(l *swap.Line) bool {
	food := c.book.Larder().Food(l.FoodID())
	if food == nil || l.Grams == nil || l.ToTaste || l.Change != swap.Swapped {
		return false
	}
	x, ok := food.Forms[l.Form]
	return ok && x.Yield == 0
}
