package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
)

// leanWithOthers tells whether an action fried raw vegetables along with flesh in its fat, for which something without fat
// stands: "fry the mince and onion in a dry pan".
func (p *plan) leanWithOthers(i int) bool {
	n := &p.graph.Nodes[i]
	if p.deeds[i].drop || n.Technique.Family != "dry heat" || p.fatIn(i) || n.Liquid || p.saysFat(n) || len(n.Inputs) > 0 || !p.saidDry(n) && p.oiledBefore(i) {
		return false
	}
	lean, raw := false, false
	for _, line := range p.subjects(i) {
		s, f := p.stand[line], p.l.Food(p.line(line).FoodID())
		switch {
		case f == nil:
		case s == nil:
			raw = raw || f.Aisle == "vegetables"
		case s.flesh() && larder.Or(f.Per100.Fat, 0) >= rendersFrom:
			if s.gone || !p.there(line, i) || !p.fatless(s) {
				return false
			}
			lean = true
		}
	}
	return lean && raw
}

// oiledBefore tells whether something was fried in fat before in the same part, which leaves its pan oiled.
func (p *plan) oiledBefore(i int) bool {
	return slices.ContainsFunc(p.graph.Nodes[:i], func(n flow.Node) bool {
		return n.At.Component == p.graph.Nodes[i].At.Component && p.fatIn(p.graph.Number(&n))
	})
}

// greasesPan takes the word off a pan that says no fat comes into it, where some does now.
func (w *writer) greasesPan(n *node) []edit {
	at := n.Action.Words.Vessel
	if at[1] == 0 || !w.saidDry(n) || !w.leanWithOthers(w.graph.Number(n)) {
		return nil
	}
	return []edit{{at[0], at[1], w.greased(w.slice(at[0], at[1]))}}
}

// notDry says of what is fried dry that it fries, where fat is heated for it.
func (w *writer) notDry(n *node) []edit {
	at := n.Action.Words.Verb
	if !w.oiled || !n.Is("toast") || at[1] == 0 {
		return nil
	}
	return []edit{{at[0], at[1], fryTechnique}}
}
