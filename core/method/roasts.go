package method

import (
	"math"
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// roastsAgain is how long what is done already stays in the oven: to take colour, and under a lid
// with a liquid no longer than it bears.
func (p *plan) roastsAgain(i int) float64 {
	minutes := roastsAgain
	if p.wetMinutes(i) > 0 {
		for _, line := range p.subjects(i) {
			if s := p.stand[line]; s != nil && s.flesh() && !s.gone {
				minutes = math.Min(minutes, math.Max(s.Bears, leastBase))
			}
		}
	}
	return minutes
}

// onlyReady tells whether nothing is roasted but stand-ins for flesh that are done
// already, with what seasons them.
func (p *plan) onlyReady(i int) bool {
	ready, beside := 0.0, 0.0
	for _, line := range p.subjects(i) {
		s := p.stand[line]
		switch {
		case s != nil && s.flesh() && p.there(line, i):
			if !s.is(larder.Ready) && !s.Browned {
				return false
			}
			ready += math.Max(p.line(line).Mass(), leastMass)
		case s == nil && (!p.dusts(line) || p.inDough(line)) && !p.bastes(line):
			return false
		case !p.c.fatLine(p.line(line)):
			beside += p.line(line).Mass()
		}
	}
	return ready > 0 && ready >= beside // flour and water round sausages are a batter
}

// inDough tells whether a line was kneaded, or fat was rubbed into it: the flour of a crust, which takes its time.
func (p *plan) inDough(line int) bool {
	return slices.ContainsFunc(p.path(line), func(k int) bool { return p.graph.Nodes[k].Is("rub-in", "knead") })
}

// onBed is how long what is done already roasts on raw things or among them, of which there is less, in an open tin with
// no more liquid than its own weight: until those are done, with what they were in the oven before; without end where that is not how it is.
func (p *plan) onBed(i int) float64 {
	n := &p.graph.Nodes[i]
	if n.Liquid && (n.Covered || !n.Is("roast")) || n.Action.Cue != "" && !p.cueGone(n) && !p.cueOfRoast(n) || !p.onlyReadyFlesh(i) {
		return math.Inf(1)
	}
	ready, beside, wet := 0.0, 0.0, 0.0
	for _, line := range n.Holds {
		s := p.stand[line]
		f := p.l.Food(p.line(line).FoodID())
		switch {
		case s != nil && s.flesh() && p.there(line, i):
			ready += math.Max(p.line(line).Mass(), leastMass)
		case s != nil || p.dusts(line) || p.bastes(line) || p.c.fatLine(p.line(line)):
		case f == nil || f.Aisle == "grains" || f.Aisle == bakery:
			return math.Inf(1) // crusts and crumbs take their time
		case larder.Pours(f):
			wet += p.line(line).Mass()
		default:
			beside += p.line(line).Mass()
		}
	}
	if beside == 0 || ready < beside || wet > ready {
		return math.Inf(1) // by itself, under a heap of roots, or in a braise
	}
	least := roastsAgain - p.ovenBefore(n.To, i)
	for _, line := range n.Holds {
		if f := p.l.Food(p.line(line).FoodID()); f != nil && p.stand[line] == nil {
			least = math.Max(least, p.l.BehaviourOf(f, p.line(line).Form).Done*slowOven-p.ovenBefore([]int{line}, i))
		}
	}
	return math.Max(least, leastBase)
}

// ovenBefore is how long some of these lines were in the oven before an action, as it is done now.
func (p *plan) ovenBefore(lines []int, i int) float64 {
	before := 0.0
	for k := range p.graph.Nodes[:i] {
		o := &p.graph.Nodes[k]
		if o.Technique.Family != "oven" || o.Action.Minutes == nil || p.deeds[k].drop || !slices.ContainsFunc(lines, func(line int) bool { return slices.Contains(o.To, line) }) {
			continue
		}
		if now := p.deeds[k].minutes; now != nil {
			before += now.High
		} else {
			before += o.Lasts
		}
	}
	return before
}

// cueOfRoast tells whether a cue that does not say of what it is one, at the end of hours in the oven, is that of the flesh
// that was to get tender in them.
func (p *plan) cueOfRoast(n *node) bool {
	return n.Lasts > longRoast && !slices.ContainsFunc(n.Action.Words.Signs, func(sign recipe.Sign) bool {
		return sign.Says || !slices.ContainsFunc(larder.Words(sign.Text), func(w string) bool { return p.l.Language().DoneWords[w] })
	})
}

// driesOut is how long what stands for flesh bears the dry heat of an oven by itself, raw as it goes in; without end
// where other things are with it, or where a cue says when it is done and the time is no roast's of a bird.
func (p *plan) driesOut(i int) float64 {
	n := &p.graph.Nodes[i]
	least := math.Inf(1)
	if n.Liquid || n.Action.Cue != "" && !p.cueGone(n) && n.Lasts < birdRoast {
		return least
	}
	for _, line := range n.Holds {
		s := p.stand[line]
		switch {
		case s != nil && s.flesh() && p.there(line, i) && s.Done > 0:
			least = math.Min(least, math.Max(s.Bears, roastsAgain))
		case s != nil && s.flesh() && p.there(line, i), s == nil && !p.dusts(line) && !p.bastes(line) && !p.c.fatLine(p.line(line)):
			return math.Inf(1)
		}
	}
	return least
}

// birdRoast is how long birds and joints roast at least, in minutes; an estimate.
const birdRoast = 60.0

// leftRaw is how long things of the cook's own that were to roast round flesh bear it without that, which goes in later;
// without end where a liquid is with them, or a cue says when they are done.
func (p *plan) leftRaw(i int) float64 {
	n := &p.graph.Nodes[i]
	if n.Liquid || n.Action.Cue != "" && !p.cueGone(n) {
		return math.Inf(1)
	}
	gone, own := false, false
	for _, line := range n.Holds {
		s, f := p.stand[line], p.l.Food(p.line(line).FoodID())
		switch {
		case s != nil && s.flesh():
			if p.there(line, i) {
				return math.Inf(1)
			}
			gone = true
		case s == nil && f != nil && (f.Aisle == "grains" || f.Aisle == bakery):
			return math.Inf(1) // crusts and crumbs take their time
		case s == nil && !p.dusts(line) && !p.bastes(line) && !p.c.fatLine(p.line(line)):
			own = true
		}
	}
	if !gone || !own {
		return math.Inf(1)
	}
	return math.Max(roastsAgain, p.wants(i)*slowOven)
}

// onlyReadyFlesh tells whether all flesh that is worked on is replaced by what is done already.
func (p *plan) onlyReadyFlesh(i int) bool {
	flesh := false
	for _, line := range p.subjects(i) {
		if s := p.stand[line]; s != nil && s.flesh() && p.there(line, i) {
			if !s.is(larder.Ready) && !s.Browned {
				return false
			}
			flesh = true
		}
	}
	return flesh
}

// doneBefore tells whether all that goes into the oven is done by then, by what it takes raw.
func (p *plan) doneBefore(i int) bool {
	for _, line := range p.graph.Nodes[i].Holds {
		s := p.stand[line]
		if s != nil && (s.gone || s.is(larder.Ready) || s.Done == 0) {
			continue
		}
		f := p.l.Food(p.line(line).FoodID())
		if f == nil {
			return false
		}
		wants := p.l.BehaviourOf(f, p.line(line).Form).Done
		if s != nil {
			wants = s.Done
		}
		for _, k := range p.path(line) {
			if k < i {
				wants -= p.wetMinutes(k)
			}
		}
		if wants > tolerance {
			return false
		}
	}
	return true
}

// leastMass stands for a weight that nobody knows.
const leastMass = 1.0

// bastes tells whether a line is what flesh is rubbed and moistened with: sugar, a liquid.
func (p *plan) bastes(line int) bool {
	f := p.l.Food(p.line(line).FoodID())
	return f != nil && (f.Kind == "sugar" || larder.Pours(f))
}
