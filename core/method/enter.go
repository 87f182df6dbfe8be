package method

import (
	"math"
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
)

// enter finds the action with which a stand-in goes in: the first that is still
// done to it, and late enough for what it bears.
func (p *plan) enter(s *standIn) {
	path := p.pathItself(s)
	if len(path) == 0 {
		return
	}
	start := 0
	if s.is(larder.Ready) && !s.is(larder.Steeped) && !larder.Pours(p.l.Food(s.was.FoodID())) {
		start = p.afterReturn(s, path)
	}
	if at := p.rubbedFor(s, path[:start]); at >= 0 && s.flesh() {
		start = at
	}
	if s.is(larder.Steeped) {
		start = p.afterWashing(s, path)
	}
	for start < len(path)-1 && (p.dropped(s, path[start]) || p.oiledFor(s, path[start:]) || p.putInForNothing(s, path[start], path[start+1]) || p.boilsWithOthers(s, path[start:]) || s.is(larder.Ready) && s.flesh() && (p.takesOut(path[start]) || start > 0 && (p.liftsOut(s, path[start]) || p.graph.Nodes[path[start]].Is("remove")))) {
		start++
	}
	start = p.untilReturned(s, path, p.namedSoon(s, path, p.laidToWork(s, path, p.boundLate(s, path, start))))
	s.enters = path[start]
	left, shaped := p.bears(s)
	if p.isTheSauce(s) {
		left = math.Inf(1)
	}
	for i := len(path) - 1; i >= start; i-- {
		if p.roastsDry(s, path[start:], i-start) {
			p.enterLate(s, path, i, roastsAgain)
			return
		}
		minutes := p.heatedFor(s, path[i])
		if minutes > left && left > 0 && p.onlyUntilDone(s, path[start], path[i]) {
			p.lasts[path[i]], left = left, 0
			continue
		}
		if minutes == 0 || p.filledIn(path[i], s.node) {
			continue // the liquid around what it fills does not reach it
		}
		if minutes <= left*tolerated+tolerance {
			left -= minutes
			continue
		}
		if n := &p.graph.Nodes[path[i]]; n.Is("bake", "roast") && !p.braises(n) || s.setsIn(n) || p.tiedUp(path[start], path[i]) || p.setsWithEgg(n, func(o *standIn) bool { return slices.Contains(n.Holds, o.node) }) {
			return // nobody opens a pie or a pudding to add something
		}
		if p.boundBefore(s, path[start:i]) && !p.openedSince(path[start:i]) && !p.testedAfter(path[i]) {
			if n := &p.graph.Nodes[path[i]]; n.Action.Cue != "" && !p.ofLiquid(n) && (!p.cueGone(n) || p.restOfCue(n) != "") {
				return // it goes on until something else is done
			}
			shorter := math.Min(p.boundTime(path[i], left, shaped), p.graph.Nodes[path[i]].Lasts)
			unsaid := p.graph.Nodes[path[i]].Action.Minutes == nil && shorter >= p.graph.Nodes[path[i]].Lasts
			if !unsaid && (p.lasts[path[i]] == 0 || p.lasts[path[i]] > shorter) {
				p.lasts[path[i]] = shorter
			}
			left = 0 // all of what it bears
			continue
		}
		p.enterLate(s, path, i, math.Max(left, 0))
		return
	}
}

// setsIn tells whether a stand-in sets with the rest of a mass in steam, which is no
// liquid that spoils it.
func (s *standIn) setsIn(n *flow.Node) bool { return n.Is("steam") && !s.flesh() }

// pathItself are the actions that reach a stand-in itself: not those that take no more
// than its juices, nor those that only hold these until it goes in by its name.
func (p *plan) pathItself(s *standIn) []int {
	var out []int
	body := false
	for _, i := range p.path(s.node) {
		switch {
		case i < p.firstPart(s.node) && s.class == larder.Egg:
			continue // the yolks, of whites that are whipped
		case p.onlyItsBody(s, i):
			body = true
			continue
		case body && slices.Contains(p.graph.Nodes[i].Named, s.node):
			body = false
		}
		if !body || !p.namedAfter(s, i) {
			out = append(out, i)
		}
	}
	return out
}

// namedAfter tells whether a stand-in is named by itself after an action.
func (p *plan) namedAfter(s *standIn, i int) bool {
	for k := i + 1; k < len(p.graph.Nodes); k++ {
		if slices.Contains(p.graph.Nodes[k].Named, s.node) && !p.onlyItsBody(s, k) {
			return true
		}
	}
	return false
}

// onlyItsBody tells whether an action takes no more of something than what its body
// gave: "the bacon fat".
func (p *plan) onlyItsBody(s *standIn, i int) bool {
	if !s.flesh() {
		return false
	}
	n := &p.graph.Nodes[i]
	text := p.textOf(n)
	body := false
	for _, x := range n.Action.Words.Phrases {
		for _, noun := range x.Nouns {
			lines, _ := p.meant(noun)
			if !slices.Contains(lines, s.node) || noun.Upto > len(text) {
				continue
			}
			if name := string(text[noun.Name:noun.Upto]); !p.fleshly(name) && !p.isLiquor(name) || p.ownName(name, lines) || p.itself(name, n) {
				return false
			}
			body = true
		}
	}
	return body
}

// liftsOut tells whether an action takes nothing but a stand-in out of a pan.
func (p *plan) liftsOut(s *standIn, i int) bool {
	return p.graph.Nodes[i].Technique.Family == "separate" && p.alone(i, s)
}

// takesOut tells whether an action lifts, drains or cleans something without a word
// for what, or nothing but flesh.
func (p *plan) takesOut(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "separate" && n.Technique.Family != "clean" {
		return false
	}
	return len(n.Action.Words.Phrases) == 0
}

// untilReturned moves on to where something is returned that is only added, browned and set
// aside before, which what is browned when it is prepared does not want.
func (p *plan) untilReturned(s *standIn, path []int, start int) int {
	if !s.flesh() || !s.is(larder.Ready) || p.graph.Nodes[path[start]].Technique.Joins != "yes" {
		return start
	}
	if first := &p.graph.Nodes[path[start]]; first.Is("return") && slices.Contains(first.Named, s.node) {
		return start
	}
	out := false
	for k := start + 1; k < len(path); k++ {
		n := &p.graph.Nodes[path[k]]
		aside := p.setsAside(path, k)
		out = out || n.Is("remove") || aside
		switch {
		case (n.Is("return") || out && n.Technique.Joins == "yes" && len(n.Into) > 0) && slices.Contains(n.To, s.node):
			return k
		case !p.dropped(s, path[k]) && n.Technique.Family != "separate" && n.Technique.Family != "rest" && !aside:
			return start
		}
	}
	return start
}

// namedSoon moves on from an action that does not name a stand-in to the next that
// does, where nothing is heated between.
func (p *plan) namedSoon(s *standIn, path []int, start int) int {
	if first := &p.graph.Nodes[path[start]]; slices.Contains(first.Named, s.node) || p.onlyOnto(s, first) {
		return start
	}
	for k := start; k < len(path); k++ {
		n := &p.graph.Nodes[path[k]]
		if n.Technique.Heat != "" || n.Technique.Closes != "" || n.Technique.Family == "coat" || s.flesh() && p.givesTaste(n) {
			break
		}
		if n.Technique.Family == "mix" && slices.Equal(n.To, []int{s.node}) && (n.Technique.Joins != "yes" && len(n.With) > 0 || n.Is("fold") && len(n.Into) > 0) {
			break // "chop them; mix with the mayonnaise", "whip the cream and fold into the custard"
		}
		if slices.Contains(n.Named, s.node) && slices.Contains(n.To, s.node) {
			return k
		}
		if n.Technique.Family == "machine" || n.Technique.Family == "dough" {
			break // it is made into something else
		}
	}
	return start
}

// onlyOnto tells whether an action puts something into a stand-in and into nothing else, which must be there by
// then whatever names it later: "whisk in the sugar", of whites that come whipped.
func (p *plan) onlyOnto(s *standIn, n *flow.Node) bool {
	return n.Technique.Family == "mix" && len(n.Into) == 1 && n.Into[0] == s.node && !slices.Contains(n.To, s.node) && !s.flesh()
}

// isTheSauce tells whether something pours and is most of the liquid it goes into,
// or is no more than a coat: it cannot come later.
func (p *plan) isTheSauce(s *standIn) bool {
	if !s.Dissolves {
		return false
	}
	mine, others := p.line(s.node).Mass(), 0.0
	n := &p.graph.Nodes[s.enters]
	if n.Technique.Family != "mix" && n.Technique.Family != "wet heat" && n.Technique.Family != "gentle heat" {
		return true
	}
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		if l := p.line(line); line != s.node && larder.Pours(p.l.Food(l.FoodID())) {
			others += l.Mass()
		}
	}
	return mine >= others
}

// How far a time may pass what a stand-in bears; estimates.
const (
	tolerated, tolerance = 1.25, 3.0
	leastTail            = 2.0
)

// mostTail is how long something that is done already cooks along at the end;
// an estimate.
const mostTail = 30.0

// wetMinutes is how long an action keeps what it works on in a bubbling liquid.
func (p *plan) wetMinutes(i int) float64 {
	n := &p.graph.Nodes[i]
	t := n.Technique
	wet := t.Family == "wet heat" && t.Wet && (t.Name != "cook" || n.Liquid || p.c == nil || !p.fleshAndFat(i)) || t.Family == "oven" && p.braises(n)
	if !wet || t.Name == "cook" && p.turned(i) {
		return 0 // a cake of batter that is turned over is no liquid
	}
	first, _, _ := strings.Cut(n.Action.Verb, " ")
	switch {
	case n.Action.Minutes == nil && n.Action.Cue == "" && p.l.Language().Coming[first]:
		return math.Min(n.Lasts, boilsUp)
	case p.untilFleshIsDone(i) > 0:
		return math.Min(n.Lasts, p.untilFleshIsDone(i))
	case t.Name == pressureCook:
		return n.Lasts * pressureFactor
	case p.inSlowPot(i):
		return math.Max(n.Lasts-warmsUp, 0) / slowBears
	case t.Family == "oven":
		return math.Max(n.Lasts-warmsThrough, 0)
	}
	return n.Lasts
}

// braises tells whether an oven keeps what it heats in a bubbling liquid: under a lid, or in the pot into whose sauce flesh came back.
func (p *plan) braises(n *flow.Node) bool {
	return n.Liquid && (n.Covered || slices.ContainsFunc(n.Inputs, func(k int) bool {
		return p.graph.Nodes[k].Is("return") && slices.ContainsFunc(p.graph.Nodes[k].To, func(line int) bool { s := p.stand[line]; return s != nil && s.flesh() })
	}))
}

// getsHot is what things take to get hot that cook on later, boilsUp how long of coming to the boil is hot
// enough to count; warmsThrough is what a covered dish takes in the oven until it bubbles. Estimates.
const (
	boilsUp      = 3.0
	getsHot      = 5.0
	warmsThrough = 20.0
)

// bringsUp is what a sauce takes to thicken that has all in it; an estimate.
const bringsUp = 5.0

// fleshAndFat tells whether an action works on nothing but flesh and fat, so that it cooks
// them in that.
func (p *plan) fleshAndFat(i int) bool {
	n := &p.graph.Nodes[i]
	return len(n.To) > 0 && !slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool {
		s := p.stand[line]
		return !(s != nil && s.flesh()) && !p.c.fatLine(p.line(line))
	})
}

// pressureFactor is how much faster a pressure cooker cooks; an estimate.
const pressureFactor = 3.0

// pressureCook is the technique of cooking in steam under pressure.
const pressureCook = "pressure-cook"
