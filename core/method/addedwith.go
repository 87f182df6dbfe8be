package method

import (
	"slices"

	"yembra/core/larder"
)

// addedWith are the cook's own things that go with flesh into a pot in which something cooks already, and there cook by themselves
// now: "add the chorizo to the pot with the potatoes and paprika".
func (p *plan) addedWith(i int) []int {
	n := &p.graph.Nodes[i]
	if !n.Is("add") || len(n.With) == 0 || !slices.ContainsFunc(n.Inputs, func(in int) bool {
		return !p.deeds[in].drop && p.graph.Nodes[in].Liquid && p.graph.Nodes[in].Technique.Heat != ""
	}) {
		return nil
	}
	var own []int
	for _, line := range n.With {
		if p.stand[line] != nil {
			return nil
		}
		own = append(own, line)
	}
	return own
}

// simmersAlone lets simmer what is there where flesh was to poach that is not there yet, and no other.
func (p *plan) simmersAlone(i int) {
	waits := false
	for _, line := range p.graph.Nodes[i].To {
		if s := p.stand[line]; s != nil && (s.flesh() || s.class == larder.Egg) {
			if p.there(line, i) {
				return
			}
			waits = true
		}
	}
	if d := &p.deeds[i]; waits && d.say == "" && p.graph.Nodes[i].Is("poach") {
		d.say = p.c.words().Simmer
	}
}
