package method

import (
	"slices"

	"yembra/core/larder"
)

// speaksOfGone tells whether an aside, behind what is written of the step so far, speaks of what was replaced; but juice is
// that of the tomatoes where some are in the pot.
func (w *writer) speaksOfGone(text string, before []*clause) bool {
	if len(w.animalWords(text)) > 0 {
		return true
	}
	words := larder.Words(text)
	lang := w.l.Language()
	if at := slices.IndexFunc(before, func(c *clause) bool { return c.node >= 0 }); at >= 0 && w.givesJuice(w.inHandAt(before[at].node)) {
		words = slices.DeleteFunc(words, func(x string) bool { return lang.Liquors[x] })
	}
	for _, s := range w.stand {
		if signs := lang.GoneSigns[string(s.class)]; s.component == w.component && (s.flesh() || s.is(larder.LiquidFat)) && slices.ContainsFunc(words, func(x string) bool { return signs[x] || lang.Fleshly[x] }) {
			return true
		}
		own := larder.Words(s.was.Name)
		if len(own) > 0 && slices.Contains(words, own[len(own)-1]) && !slices.Contains(larder.Words(s.name), own[len(own)-1]) {
			return true
		}
	}
	return false
}

// givesJuice tells whether a liquid is in what an action works on, or vegetables of the cook's own that are little else.
func (p *plan) givesJuice(i int) bool {
	n := &p.graph.Nodes[i]
	return p.wetAt(i) || slices.ContainsFunc(n.Holds, func(line int) bool {
		f := p.l.Food(p.line(line).FoodID())
		return p.stand[line] == nil && p.there(line, i) && f != nil && f.Aisle == "vegetables" && larder.Or(f.Per100.Water, 0) >= juicyWater && p.line(line).Mass() >= leastRoasted
	})
}

// juicyWater is the water in 100 g of vegetables from which they let juice; an estimate.
const juicyWater = 92.0

// inHandAt is the action, or the last before it, that works on something listed.
func (w *writer) inHandAt(i int) int {
	for i > 0 && len(w.graph.Nodes[i].Holds) == 0 && w.graph.Nodes[i-1].At.Component == w.graph.Nodes[i].At.Component {
		i--
	}
	return i
}
