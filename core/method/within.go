package method

import "slices"

// dressed tells whether an action brings things together, over no fire, with a dressing that was mixed cold before.
func (p *plan) dressed(at int) bool {
	n := &p.graph.Nodes[at]
	return (n.Is("toss") || n.Technique.Joins == "yes" && n.Technique.Heat == "" && n.Technique.Family == "mix" && !p.cookedLater(at)) && slices.ContainsFunc(n.Inputs, func(in int) bool {
		o := &p.graph.Nodes[in]
		mixed := len(o.Holds) > 1 && p.holdsLiquid(o.Holds) && p.takesMore(in)
		return mixed && o.Technique.Heat == "" && (!p.cookedBefore(in) || p.dressed(in))
	})
}

// restsWithin tells whether what an action made rests by the end of the part to take up a taste.
func (p *plan) restsWithin(x part, at int) bool {
	return slices.ContainsFunc(p.graph.Nodes[at].Users, func(k int) bool {
		n := &p.graph.Nodes[k]
		return slices.Contains(x.nodes, k) && ((n.Technique.Family == "rest" || n.Is("chill")) && n.Lasts >= takesUp || p.restsWithin(x, k))
	})
}

// takesUp is how long things lie in a marinade at least; an estimate.
const takesUp = 15.0

// bakedWithin tells whether what an action made is in the oven, shared out, spread on something, strewn over a dish, left
// unstirred, or set and turned in its pan, by the end of the part.
func (p *plan) bakedWithin(x part, at int) bool {
	return slices.ContainsFunc(p.graph.Nodes[at].Users, func(k int) bool {
		return slices.Contains(x.nodes, k) && (p.graph.Nodes[k].Technique.Family == "oven" || p.graph.Nodes[k].Is("divide") || p.graph.Nodes[k].Is("spread") && len(p.graph.Nodes[k].Into) > 0 || p.graph.Nodes[k].Action.Sided || p.graph.Nodes[k].Still || p.laidIntoOven(k) || p.laidOver(k, at) || p.bakedWithin(x, k))
	})
}
