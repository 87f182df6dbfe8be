package method

import "slices"

// begunAt is the step before which something is prepared that goes in with a step: that one, or, where it goes on with
// what is in hand and does not say with what, the one before it that begins something.
func (p *plan) begunAt(component, step int) int {
	if n := p.firstDone(component, step); n == nil || !p.saysNothing(n) {
		return p.beforeQuickFire(component, step)
	}
	for step > 0 {
		n := p.firstDone(component, step)
		if n != nil && !p.saysNothing(n) && (len(n.Inputs) == 0 || n.Technique.Joins != "yes" && n.Technique.Family != "mix") {
			break
		}
		step--
	}
	return p.beforeHotFat(component, step)
}

// beforeHotFat is the step before which something is prepared where all that the one before does still is to heat a fat: no
// pan stands hot for it.
func (p *plan) beforeHotFat(component, step int) int {
	for k := step - 1; k >= 0; k-- {
		if p.onlyHeatsFat(component, k) {
			step = k
		} else if p.firstDone(component, k) != nil {
			break
		}
	}
	return step
}

// beforeQuickFire is the step before which something is prepared for one that goes on with what lies in a hot pan for no
// more than moments, as in stir-frying: that with which the pan is put on.
func (p *plan) beforeQuickFire(component, step int) int {
	for step > 0 && p.onFireUntil(component, step) {
		step--
	}
	return p.beforeHotFat(component, step)
}

// onFireUntil tells whether the step before leaves things in a pan, fried for moments, with which this one goes on.
func (p *plan) onFireUntil(component, step int) bool {
	last := -1
	for k := range p.graph.Nodes {
		if n := &p.graph.Nodes[k]; n.At.Component == component && n.At.Step == step-1 && !p.deeds[k].drop && len(n.Holds) > 0 {
			last = k
		}
	}
	if last < 0 {
		return false
	}
	n := &p.graph.Nodes[last]
	if n.Technique.Takes == "part" && len(n.Inputs) == 1 {
		n = &p.graph.Nodes[n.Inputs[0]] // "scoop out", and the pan is used on
	}
	return n.Technique.Family == "dry heat" && n.Lasts > 0 && n.Lasts <= quickFry && slices.ContainsFunc(p.graph.Nodes, func(o node) bool {
		at := p.graph.Number(&o)
		return o.At.Component == component && o.At.Step == step && !p.deeds[at].drop && (o.Technique.Joins == "yes" || slices.Contains(o.Inputs, last) || slices.Contains(o.Inputs, p.graph.Number(n)))
	})
}

// quickFry is how many minutes a thing fries at most that cannot be left for other work, as it has little time to spare; an
// estimate.
const quickFry = 5.0

// onlyHeatsFat tells whether a step does no more, of what is done still, than heat a fat.
func (p *plan) onlyHeatsFat(component, step int) bool {
	any := false
	for k := range p.graph.Nodes {
		n := &p.graph.Nodes[k]
		if n.At.Component != component || n.At.Step != step || p.deeds[k].drop {
			continue
		}
		if any = true; !n.Is("heat", "melt") {
			return false
		}
	}
	return any
}

// firstDone is the first action of a step that is done still.
func (p *plan) firstDone(component, step int) *node {
	for k := range p.graph.Nodes {
		if n := &p.graph.Nodes[k]; n.At.Component == component && n.At.Step == step && !p.deeds[k].drop {
			return n
		}
	}
	return nil
}

// saysNothing tells whether an action goes on with what is in hand and names nothing: "cover and simmer".
func (p *plan) saysNothing(n *node) bool {
	return len(n.Inputs) > 0 && len(n.Action.Words.Phrases) == 0
}
