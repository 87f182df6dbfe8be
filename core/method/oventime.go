package method

import (
	"math"
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
)

// boundTime is how long an action takes with what cannot go in late: as long as that bears and the rest
// wants, in the oven until it bubbles and at its slower pace, in a slow cooker likewise, under pressure at its quicker one.
func (p *plan) boundTime(i int, left float64, shaped []int) float64 {
	wants, bears := p.wantsBeside(i, shaped), math.Max(left, getsHot)
	switch {
	case p.graph.Nodes[i].Technique.Family == "oven":
		return math.Max(bears+warmsThrough, wants*slowOven)
	case p.graph.Nodes[i].Is(pressureCook):
		return math.Max(bears, wants) / pressureFactor
	case p.inSlowPot(i):
		return math.Max(bears*slowBears+warmsUp, wants*slowPot)
	}
	return math.Max(bears, wants)
}

// roastsDry tells whether something that is done already would dry out on an open tray among raw
// vegetables that take their time: it goes in with them for the last of it.
func (p *plan) roastsDry(s *standIn, path []int, i int) bool {
	n := &p.graph.Nodes[path[i]]
	if !n.Is("roast") || n.Covered || n.Liquid || !s.flesh() || !s.is(larder.Ready) || n.Lasts <= shortEnough || p.boundBefore(s, path[:i]) {
		return false
	}
	return slices.ContainsFunc(n.To, func(line int) bool {
		f := p.l.Food(p.line(line).FoodID())
		return p.stand[line] == nil && f != nil && f.Aisle == "vegetables" && p.line(line).Mass() >= leastRoasted
	})
}

// leastRoasted is how much of a vegetable makes a tray of its own, in grams; an estimate.
const leastRoasted = 200.0

// setsWithEgg tells whether something that stands for eggs sets in steam where an action works: it is no
// liquid that spoils what lies in it, and nobody opens it to lay in more.
func (p *plan) setsWithEgg(n *node, holds func(*standIn) bool) bool {
	return n.Is("steam") && slices.ContainsFunc(p.inOrder(), func(s *standIn) bool { return s.class == larder.Egg && !s.gone && holds(s) })
}

// untilFleshIsDone is how long an action without a time lasts that goes on until flesh is done which
// has gone in just before: what such flesh takes; 0 where it is another.
func (p *plan) untilFleshIsDone(i int) float64 {
	n := &p.graph.Nodes[i]
	if n.Action.Minutes != nil || !n.Liquid || !p.cueGone(n) || len(n.Inputs) != 1 {
		return 0
	}
	in, done := &p.graph.Nodes[n.Inputs[0]], 0.0
	if in.Technique.Joins != "yes" {
		return 0
	}
	for _, line := range in.To {
		if s := p.stand[line]; s != nil && s.flesh() && slices.Contains(in.Named, line) {
			if f := p.l.Food(s.was.FoodID()); f != nil {
				done = math.Max(done, p.l.BehaviourOf(f, s.was.Form).Done)
			}
		}
	}
	return done
}

// inSlowPot tells whether an action cooks for hours in a slow cooker.
func (p *plan) inSlowPot(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "wet heat" || n.Lasts < slowHours {
		return false
	}
	return slices.ContainsFunc(p.graph.Nodes[:i+1], func(o flow.Node) bool {
		return o.At.Component == n.At.Component && slices.ContainsFunc(larder.Words(o.Action.Vessel), func(w string) bool { return p.l.Language().SlowPots[w] })
	})
}

// slowPot is how much longer raw things take in a slow cooker on low than in a pot, slowBears how much longer what bears no long
// boiling keeps there once it is hot, warmsUp what it takes to get everything hot, slowHours from how many minutes on a cooking is
// such a one; estimates.
const (
	slowPot   = 12.0
	slowBears = 4.0
	warmsUp   = 120.0
	slowHours = 180.0
)

// openedSince tells whether something goes into a pot in which other actions of a path have cooked what lies there in layers: it is
// not shut in, and what bears less goes in then or later.
func (p *plan) openedSince(path []int) bool {
	layered, cooked := false, false
	for _, i := range path {
		n := &p.graph.Nodes[i]
		if cooked && n.Technique.Joins == "yes" && n.Technique.Family == "mix" && len(n.Inputs) > 0 && len(n.Named) > 0 {
			return true
		}
		layered = layered || n.Is("layer")
		cooked = cooked || layered && p.wetMinutes(i) > 0
	}
	return false
}
