package method

import (
	"maps"
	"math"
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// stiffened are the decisions with which the doughs of a dish have as much liquid for their
// flour as the original's: more or less of what pours, where the cook has set no amount of it.
// It says no where no dough wants that.
func (c *Carrier) stiffened(p *plan, dec swap.Decisions) (swap.Decisions, bool) {
	changed := map[string]float64{}
	for _, m := range p.l.Makings() {
		if m.Like == 0 {
			continue
		}
		for k := range p.graph.Nodes {
			n := &p.graph.Nodes[k]
			if !meansMaking(&m, n) || tapped(n) || tappedBefore(p.graph, k) || p.grain(n) < m.Grain {
				continue
			}
			if line, factor := c.liquidFor(p, n, &m, dec); line >= 0 && changed[p.ref(line)] == 0 {
				changed[p.ref(line)] = factor
			}
		}
	}
	return amounted(dec, changed, c.words().AsStiff)
}

// amounted are decisions with other amounts of some lines, for a reason; it says no where there are none.
func amounted(dec swap.Decisions, changed map[string]float64, why string) (swap.Decisions, bool) {
	if len(changed) == 0 {
		return dec, false
	}
	dec.Amounts, dec.Reasons = merged(dec.Amounts, changed), merged(dec.Reasons, nil)
	for ref := range changed {
		if dec.Reasons[ref] == "" {
			dec.Reasons[ref] = why
		}
	}
	return dec, true
}

// merged is a map with the entries of another, which it keeps apart.
func merged[V any](a, b map[string]V) map[string]V {
	out := map[string]V{}
	maps.Copy(out, a)
	maps.Copy(out, b)
	return out
}

// ref is the outward name of a line.
func (p *plan) ref(line int) string {
	at := p.graph.Lines[line]
	return recipe.LineRef(at.Component, at.Line)
}

// liquidFor is the line whose liquid puts a dough right, with the factor on it; -1 where
// nothing wants that, or no line can.
func (c *Carrier) liquidFor(p *plan, n *node, m *larder.Making, dec swap.Decisions) (int, float64) {
	before, after := moist{known: true}, moist{known: true}
	best, most := -1, 0.0
	seen := map[int]bool{}
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		if seen[line] {
			continue
		}
		seen[line] = true
		c.moistens(&before, p.line(line))
		water := 0.0
		for _, l := range p.nowOf(line) {
			one := moist{known: true}
			c.moistens(&one, &l.Line)
			after.add(one)
			if larder.Pours(p.l.Food(l.FoodID())) {
				water += one.water
			}
		}
		if own := dec.Amounts[p.ref(line)]; (own == 0 || own == 1) && (p.stand[line] != nil || larder.Pours(p.l.Food(p.line(line).FoodID()))) && !c.fatLine(p.line(line)) && p.shareIn(line, n) >= nearlyAll && water > most {
			best, most = line, water
		}
	}
	if !before.known || !after.known || before.water == 0 || before.dry() <= 0 || after.dry() <= 0 || best < 0 {
		return -1, 0
	}
	off := before.water/before.dry() - after.water/after.dry()
	if math.Abs(off) <= m.Like {
		return -1, 0
	}
	factor := math.Round(100*(1+off*after.dry()/most)) / 100
	if factor < m.From || factor > m.Upto {
		return -1, 0
	}
	return best, factor
}

// shareIn is the share of a line that an action works on, as far as any names it.
func (p *plan) shareIn(line int, n *node) float64 {
	share := 0.0
	for k := range p.graph.Nodes {
		if o := &p.graph.Nodes[k]; slices.Contains(o.Named, line) && (o == n || p.graph.Number(o) <= p.graph.Number(n)) {
			share += p.shareAt(line, k)
		}
	}
	return share
}

// nowOf are the lines of the adaptation that a line of the original became.
func (p *plan) nowOf(line int) []*swap.Line {
	at := p.graph.Lines[line]
	comp := &p.a.Components[at.Component]
	var out []*swap.Line
	if s := p.stand[line]; s != nil {
		for _, k := range s.lines {
			out = append(out, &comp.Lines[k])
		}
		return out
	}
	for k := range comp.Lines {
		if l := &comp.Lines[k]; l.From != nil && *l.From == p.ref(line) && l.Change != swap.Dropped {
			out = append(out, l)
		}
	}
	return out
}

// moist is what is mixed together: all of it and the water in it, in grams.
type moist struct {
	water, all float64
	known      bool
}

func (m *moist) dry() float64 { return m.all - m.water }

func (m *moist) add(o moist) {
	m.water, m.all, m.known = m.water+o.water, m.all+o.all, m.known && o.known
}

// moistens adds a line; a fat makes no dough stiffer, and is not counted.
func (c *Carrier) moistens(m *moist, l *recipe.Line) {
	food := c.book.Larder().Food(l.FoodID())
	if food == nil || l.Grams == nil || l.ToTaste {
		m.known = false
		return
	}
	raw := l.Mass() * food.FormNamed(l.Form).Base
	water := raw * larder.Or(food.Per100.Water, 0) / 100
	if c.fatLine(l) {
		m.add(moist{water: water, all: water, known: true})
		return
	}
	m.add(moist{water: max(l.Mass()-raw+water, 0), all: l.Mass(), known: true})
}
