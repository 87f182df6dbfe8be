package method

import (
	"math"
	"slices"

	"yembra/core/larder"
)

// heatedFor is how long an action heats something: what only thickens until it is seen to, no longer than it takes to come up.
func (p *plan) heatedFor(s *standIn, i int) float64 {
	minutes := p.wetMinutes(i)
	if n := &p.graph.Nodes[i]; s.class == larder.Dairy && n.Action.Minutes == nil && p.onlyThickens(n) {
		return math.Min(minutes, bringsUp)
	}
	return minutes
}

// onlyUntilDone tells whether an action goes on for no time that is said but until flesh shows that it is done, which an
// action has brought in just before: "add the prawns and cook until they turn pink".
func (p *plan) onlyUntilDone(s *standIn, enters, i int) bool {
	n := &p.graph.Nodes[i]
	return s.flesh() && s.is(larder.Ready) && n.Action.Minutes == nil && slices.Contains(n.Inputs, enters) && p.graph.Nodes[enters].Technique.Joins == "yes" &&
		p.cueGone(n) && p.restOfCue(n) == "" && onlyNamedTo(&p.graph.Nodes[enters]) == s.node
}

// addedJustNow tells whether an action cooks in a dry pan what was put there by the one before, and nothing else: "add the
// onion and cook until soft".
func (p *plan) addedJustNow(k int) bool {
	n := &p.graph.Nodes[k]
	if len(n.Inputs) != 1 || p.deeds[n.Inputs[0]].drop || p.graph.Nodes[n.Inputs[0]].Technique.Joins != "yes" {
		return false
	}
	return !slices.ContainsFunc(n.To, func(line int) bool { return p.stand[line] == nil && p.friedBefore(line, k) })
}

// enterLate lets a stand-in go in during the last minutes of an action that
// takes too long for it, or right after it.
func (p *plan) enterLate(s *standIn, path []int, i int, left float64) {
	s.enters = path[i]
	if (left < leastTail || p.graph.Nodes[path[i]].Is(pressureCook)) && i+1 < len(path) { // nobody opens a pressure cooker halfway
		at := i + 1
		for at+1 < len(path) && p.takesOut(path[at]) {
			at++
		}
		s.enters = path[at]
		return
	}
	s.tail = math.Max(math.Min(left, math.Max(mostTail, s.Done)), leastTail)
}
