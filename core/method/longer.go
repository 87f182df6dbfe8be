package method

import (
	"math"
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
)

// panUses are the uses of eggs that set in a pan by themselves.
var panUses = []string{"omelette", "scramble"}

// setsThrough is how long a batter that stands for eggs cooks in its pan, where the time of the eggs is too
// short for it: with what it lacks of the time that all the cooking after gives it; 0 for any other.
func (p *plan) setsThrough(i int) float64 {
	n := &p.graph.Nodes[i]
	if !cookedDry(n) && !n.Is("cook") || n.Action.Minutes == nil {
		return 0
	}
	for _, line := range n.To {
		s := p.stand[line]
		if s == nil || s.gone || s.class != larder.Egg || !slices.Contains(panUses, s.chosen.Use) || !s.is(larder.Batter) || s.book.CookMinutes == 0 || !p.there(line, i) {
			continue
		}
		all := 0.0
		for _, k := range p.path(line) {
			h := &p.graph.Nodes[k]
			if p.deeds[k].drop || k < s.enters || h.Technique.Heat == "" {
				continue
			}
			if k < i && h.Action.Minutes != nil {
				return 0 // the first cooking has it
			}
			all += h.Lasts
		}
		if all < s.book.CookMinutes {
			return n.Lasts + s.book.CookMinutes - all
		}
	}
	return 0
}

// braiseOn gives what stands for flesh that was braised a while in its sauce, where it first meets that when
// the flesh went back in and nothing is cooked after.
func (p *plan) braiseOn(s *standIn) {
	if s.gone || !s.flesh() || s.enters == never || s.Bears < meetsSauce || s.tail > 0 {
		return
	}
	at := &p.graph.Nodes[s.enters]
	if !at.Is("return", "add") || !slices.Contains(at.Named, s.node) || len(at.Into) == 0 || !at.Liquid && !p.holdsLiquid(at.Into) {
		return
	}
	for _, line := range slices.Concat(at.To, at.Into) {
		if o := p.stand[line]; o != nil && !o.gone && (o.Bears < meetsSauce || o.class == larder.Dairy) {
			return // a sauce with cream in it only gets hot
		}
	}
	braised := false
	for _, i := range p.path(s.node) {
		switch {
		case i < s.enters:
			braised = braised || p.wetMinutes(i) > shortEnough
		case i > s.enters && (p.wetMinutes(i) > 0 || p.graph.Nodes[i].Technique.Heat != "") && !p.deeds[i].drop:
			return
		}
	}
	if !braised {
		return
	}
	minutes := meetsSauce
	for _, o := range p.inOrder() {
		if !o.gone && o.flesh() && o.enters < s.enters && at.Reaches(o.node) {
			minutes = math.Min(minutes, o.Bears*tolerated+tolerance-p.cookedBy(o, s.enters))
		}
	}
	if minutes = math.Floor(minutes); minutes >= leastTail {
		p.deeds[s.enters].braises = minutes
	}
}

// cookedBy is how long a stand-in has cooked in a liquid by the time of an action.
func (p *plan) cookedBy(s *standIn, at int) float64 {
	minutes := s.tail
	for _, i := range p.path(s.node) {
		if i < at && !p.deeds[i].drop && (i > s.enters || i == s.enters && s.tail == 0) {
			minutes += p.wetMinutes(i)
		}
	}
	return minutes
}

// meetsSauce is how long things simmer in a sauce to take it up; an estimate.
const meetsSauce = 10.0

// lastMinutes shortens what is done during the last minutes of a cooking that is shorter now: "uncover for the last
// 30 minutes".
func (p *plan) lastMinutes() {
	for i := range p.deeds {
		n := &p.graph.Nodes[i]
		if !n.Is("uncover") || n.Action.Minutes == nil || p.deeds[i].drop {
			continue
		}
		for k := i - 1; k >= 0 && p.graph.Nodes[k].At == n.At; k-- {
			d := &p.deeds[k]
			if d.drop || p.graph.Nodes[k].Technique.Heat == "" {
				continue
			}
			if d.minutes != nil {
				all := d.minutes.Low
				if len(d.late) > 0 {
					all += d.late[0].tail
				}
				if n.Lasts > all/2 {
					p.deeds[i].minutes = minutesOf(all / 2)
				}
			}
			break
		}
	}
}

// tiedUp tells whether what an action began is sealed before another, so that nobody opens it to add more.
func (p *plan) tiedUp(from, to int) bool {
	return slices.ContainsFunc(p.graph.Nodes[from:to], func(n flow.Node) bool {
		return n.Is("seal") && n.At.Component == p.graph.Nodes[to].At.Component
	})
}

// filledIn tells whether one of some lines has been filled into something by the time of an action, so that the
// liquid around that does not reach it.
func (p *plan) filledIn(at int, lines ...int) bool {
	return slices.ContainsFunc(p.graph.Nodes[:at], func(n flow.Node) bool {
		held := func(line int) bool {
			return slices.Contains(n.Holds, line) && slices.Contains(p.graph.Nodes[at].Holds, line)
		}
		if n.Technique.Family == "machine" && len(n.Holds) > leastMixed && slices.ContainsFunc(lines, held) {
			return true // it is a paste with others
		}
		if n.Technique.Family == "mix" && !n.Liquid && slices.ContainsFunc(lines, func(line int) bool { return held(line) && slices.Contains(n.To, line) }) && slices.ContainsFunc(n.Inputs, func(in int) bool {
			return p.graph.Nodes[in].Technique.Leaves == leavesPaste && len(p.graph.Nodes[in].Holds) > leastMixed
		}) {
			return true // it is worked into one
		}
		if n.Is("roll-up") && slices.ContainsFunc(lines, func(line int) bool { return held(line) && p.laidOnSheet(&n, line) }) {
			return true
		}
		return n.Is("seal") && slices.ContainsFunc(lines, held) || n.Is("stuff") && slices.ContainsFunc(lines, func(line int) bool { return slices.Contains(n.With, line) }) &&
			slices.ContainsFunc(n.To, func(line int) bool { return slices.Contains(p.graph.Nodes[at].Holds, line) })
	})
}

// laidOnSheet tells whether a line was laid on what is rolled up, and is not that.
func (p *plan) laidOnSheet(n *flow.Node, line int) bool {
	return slices.ContainsFunc(n.Inputs, func(in int) bool {
		laid := &p.graph.Nodes[in]
		return laid.Technique.Family == "assemble" && len(laid.Into) > 0 && !slices.Contains(laid.Into, line) && (slices.Contains(laid.To, line) || slices.Contains(laid.With, line))
	})
}

// afterItEnds tells whether words say what is to be done at a time by which an action that is shorter now has ended:
// "stirring after an hour".
func (w *writer) afterItEnds(n *node, text string) bool {
	d := &w.deeds[w.graph.Number(n)]
	if d.minutes == nil {
		return false
	}
	all := d.minutes.High
	if len(d.late) > 0 {
		all += d.late[0].tail
	}
	return w.c.reader.Minutes(text) >= all
}

// leavesPaste is the state in which grinding and pounding leave things.
const leavesPaste = "paste"
