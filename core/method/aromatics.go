package method

import (
	"math"
	"slices"

	"yembra/core/flow"
)

// friesAromatics tells whether a frying is that of what a dish gets its base from: onions,
// garlic, spices.
func (p *plan) friesAromatics(n *flow.Node) bool {
	base, all := 0.0, 0.0
	for _, line := range slices.Concat(n.To, n.With) {
		f := p.l.Food(p.line(line).FoodID())
		if f == nil || p.c.fatLine(p.line(line)) {
			continue
		}
		mass := math.Max(p.line(line).Mass(), leastMass)
		if all += mass; f.Tagged("allium") || f.Aisle == "spices" {
			base += mass
		}
	}
	return base > 0 && base >= leastAromatic*all
}

// inFat tells whether the original had a fat where an action fries: onions that brown dry fry nothing
// else.
func (p *plan) inFat(n *flow.Node) bool {
	return slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool { return p.c.fatLine(p.line(line)) }) || p.rendered(p.graph.Number(n)) || p.friesInRunOut(p.graph.Number(n))
}

// leastAromatic is the share of aromatics from which a frying is that of a base, and not of cakes
// with an onion in them; an estimate.
const leastAromatic = 0.2

// fryingOver tells whether a sentence that fries goes on to what ends the frying: it lets the
// things cool, or pours a liquid over them.
func (p *plan) fryingOver(x part) bool {
	fried := false
	for _, at := range x.nodes {
		n := &p.graph.Nodes[at]
		if p.deeds[at].drop {
			continue
		}
		if fried && (n.Technique.Family == "rest" || n.Liquid || n.Is("off-heat")) {
			return true
		}
		fried = fried || n.Technique.Family == "dry heat" && n.Technique.Medium == "fat"
	}
	return false
}

// takesUp tells whether a part begins with a word for what was worked on just before:
// "add them to the pot".
func (p *plan) takesUp(parts []part, k int) bool {
	if k >= len(parts) || len(parts[k].nodes) == 0 {
		return false
	}
	phrases := p.graph.Nodes[parts[k].nodes[0]].Action.Words.Phrases
	return len(phrases) > 0 && len(phrases[0].Nouns) > 0 && phrases[0].Nouns[0].Pronoun
}
