package method

// begunAt is the step before which something is prepared that goes in with a step: that one, or, where it goes on with
// what is in hand and does not say with what, the one before it that begins something.
func (p *plan) begunAt(component, step int) int {
	if n := p.firstDone(component, step); n == nil || !p.saysNothing(n) {
		return step
	}
	for step > 0 {
		n := p.firstDone(component, step)
		if n != nil && !p.saysNothing(n) && (len(n.Inputs) == 0 || n.Technique.Joins != "yes" && n.Technique.Family != "mix") {
			break
		}
		step--
	}
	for step > 0 && p.onlyHeatsFat(component, step-1) {
		step-- // no pan stands hot for it
	}
	return step
}

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
