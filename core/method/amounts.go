package method

import (
	"math"
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
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
			if !n.Is(m.Techniques...) || step == nil || step.Change == swap.Kept || tapped(n) || tappedBefore(g, k) || p.cooksOwn(g, n) {
				continue
			}
			water, all, known := c.watered(g, n, func(at flow.LineAt) *swap.Line { return &p.a.Components[at.Component].Lines[at.Line] })
			switch {
			case !known || all == 0:
			case m.Least == 0 && !n.Liquid, m.Least > 0 && p.doughIn(&m, step):
				// what cooks in fat does not boil dry, and a dough is no blend
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

// doughIn tells whether what the original works so in the same step is a dough: flour that is pulsed with fat. A row
// that names no share of flour speaks of no dough.
func (p *plan) doughIn(m *larder.Making, step *swap.Step) bool {
	return m.Grain > 0 && slices.ContainsFunc(p.graph.Nodes, func(n flow.Node) bool {
		return n.Is(m.Techniques...) && slices.Contains(step.From, n.At.Step) && p.grain(&n) >= m.Grain && stepIn(p.a, n.At.Component, step)
	})
}

// stepIn tells whether a step is one of a component's.
func stepIn(a *swap.Adaptation, component int, step *swap.Step) bool {
	steps := a.Components[component].Steps
	for i := range steps {
		if &steps[i] == step {
			return true
		}
	}
	return false
}

// cooksOwn tells whether nothing that stands for anything is in what an action works on: the wine that was to boil away.
func (p *plan) cooksOwn(g *flow.Graph, n *flow.Node) bool {
	return !slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool {
		at := g.Lines[line]
		return p.a.Components[at.Component].Lines[at.Line].Change != swap.Kept
	})
}

// unlike finds doughs whose liquid is another part of their flour than in the
// original's.
func (c *Carrier) unlike(p *plan, g *flow.Graph, m *larder.Making) {
	told := map[*swap.Step]bool{}
	for i := range p.a.Components {
		for n := range p.a.Components[i].Steps {
			step := &p.a.Components[i].Steps[n]
			if told[step] || step.Change == swap.Dropped || len(step.From) == 0 {
				continue
			}
			was := doughs(p.graph, m, func(n *flow.Node) bool { return n.At.Component == i && slices.Contains(step.From, n.At.Step) })
			now := doughs(g, m, func(n *flow.Node) bool { return stepOf(p.a, n.Action.ID) == step })
			for k := 1; k <= min(len(was), len(now)); k++ { // several are one after the other, the last the whole
				if said := c.otherThan(p, g, m, was[len(was)-k], now[len(now)-k]); said != "" {
					told[step] = true
					c.tell(step, swap.NotMade, said)
					break
				}
			}
		}
	}
}

// doughs are the actions of a flow that a row of makings speaks of, with nothing in them that
// nobody lists.
func doughs(g *flow.Graph, m *larder.Making, of func(*flow.Node) bool) []*flow.Node {
	var out []*flow.Node
	for k := range g.Nodes {
		if n := &g.Nodes[k]; of(n) && meansMaking(m, n) && !tapped(n) && !tappedBefore(g, k) {
			out = append(out, n)
		}
	}
	return out
}

// otherThan says by how much a dough is wetter or drier than the original's; empty where it is
// not, or that is not known.
func (c *Carrier) otherThan(p *plan, g *flow.Graph, m *larder.Making, was, now *flow.Node) string {
	if p.grain(was) < m.Grain || p.opens(was) {
		return ""
	}
	wet0, all0, ok0 := c.watered(p.graph, was, func(at flow.LineAt) *swap.Line {
		return &swap.Line{Line: p.dish.Components[at.Component].Lines[at.Line]}
	})
	wet1, all1, ok1 := c.watered(g, now, func(at flow.LineAt) *swap.Line { return &p.a.Components[at.Component].Lines[at.Line] })
	if !ok0 || !ok1 || wet0 == 0 || all0 == wet0 || all1 == wet1 {
		return ""
	}
	share0, share1 := wet0/(all0-wet0), wet1/(all1-wet1)
	switch off := math.Abs(share1 - share0); {
	case off <= m.Like:
		return ""
	case share1 < share0:
		return m.Dry(100*share1, 100*share0, off*(all1-wet1))
	default:
		return m.Wet(100*share1, 100*share0, off*(all1-wet1))
	}
}

// opens tells whether nothing is decided yet for some of what an action works on.
func (p *plan) opens(n *flow.Node) bool {
	return slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool {
		at := p.graph.Lines[line]
		ref := recipe.LineRef(at.Component, at.Line)
		return slices.ContainsFunc(p.a.Unresolved, func(o swap.Open) bool { return o.Line == ref })
	})
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
	for r := range n.Action.Refs() {
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
