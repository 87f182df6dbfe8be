package method

import (
	"math"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// setForm is the form of what was shaped of plants and set in the oven before it goes into a liquid, in the table of behaviour.
const setForm = "shaped-set"

// setsAt is the action after which a stand-in is set in the oven that is shaped into balls or cakes and would go into a
// liquid raw, where nothing in it sets: the last that shapes it. -1 where it is fried or baked anyhow, or goes straight from
// the hand into the pot, with no other work between.
func (p *plan) setsAt(s *standIn) int {
	if s.gone || !s.flesh() || p.shapedBare(s) == nil {
		return -1
	}
	last, joined := -1, false
	for _, i := range p.path(s.node) {
		n := &p.graph.Nodes[i]
		switch {
		case n.Is("shape"):
			if last = i; p.setsByItself(n.Holds) {
				return -1
			}
		case last < 0:
		case n.Technique.Heat != "" || n.Technique.Family == "oven":
			if n.Liquid && p.wetMinutes(i) > 0 && i > last+1 && (joined || n.Technique.Name != "cook") {
				return last
			}
			return -1
		case n.At == p.graph.Nodes[last].At && n.Is("place"):
			last = i
		case i == last+1 && n.At == p.graph.Nodes[last].At && n.Technique.Joins == "yes":
			return -1
		case n.Technique.Joins == "yes":
			joined = true
		}
	}
	return -1
}

// setsByItself tells whether some lines hold enough of what sets in hot water: starch, flour or bread.
func (p *plan) setsByItself(lines []int) bool {
	all, sets := 0.0, 0.0
	for _, line := range lines {
		l := p.line(line)
		all += l.Mass()
		if f := p.l.Food(l.FoodID()); f != nil && f.Tagged(larder.SetsInWater) {
			sets += l.Mass()
		}
	}
	return sets > all*enoughSets
}

// enoughSets is the share of such things that holds a ball together, setMinutes the minutes in which a ball without them gets
// firm in an oven; estimates.
const (
	enoughSets = 0.15
	setMinutes = 20.0
)

// setFirst gives what is shaped of plants its minutes in the oven before it goes into a liquid.
func (p *plan) setFirst() {
	for _, s := range p.inOrder() {
		at := p.setsAt(s)
		if at < 0 || p.deeds[at].drop {
			continue
		}
		p.deeds[at].sets = true
		for k := at + 1; k < len(p.graph.Nodes) && p.graph.Nodes[k].At == p.graph.Nodes[at].At; k++ {
			if p.graph.Nodes[k].Is("chill", "rest") && slices.Contains(p.graph.Nodes[k].Inputs, at) {
				p.deeds[k].drop = true
			}
		}
	}
}

// cookInPan gives a batter that stands for eggs its minutes in the pan into which it is poured, where the text only stirs it there:
// "pour in the eggs and stir until they begin to set".
func (p *plan) cookInPan() {
	for _, s := range p.inOrder() {
		if s.gone || s.class != larder.Egg || s.book.CookMinutes == 0 || !s.is(larder.Batter) || !slices.Contains(panUses, s.chosen.Use) {
			continue
		}
		at := -1
		for _, k := range p.path(s.node) {
			n := &p.graph.Nodes[k]
			switch {
			case k < s.enters || p.deeds[k].drop:
			case n.Technique.Heat != "" || n.Technique.Family == "oven":
				at = never
			case at < 0 && n.Technique.Joins == "yes" && len(n.Into) > 0 && !slices.ContainsFunc(n.Into, func(line int) bool { return !p.c.fatLine(p.line(line)) }):
				at = k
			case at >= 0 && at == k-1 && n.Is("stir", "swirl", "shake", "spread", "level") && n.At == p.graph.Nodes[at].At:
				at = k
			}
		}
		for at >= 0 && at != never && p.worksEdges(at+1, at) {
			at++ // "draw the edges in"
		}
		if at >= 0 && at != never && !p.saysWhenSet(at) {
			p.deeds[at].thickens = s.book.CookMinutes
		}
	}
}

// worksEdges tells whether an action stirs what its words alone name, right behind another in the same step: the edges of what
// sets in a pan.
func (p *plan) worksEdges(k, at int) bool {
	if k >= len(p.graph.Nodes) {
		return false
	}
	n := &p.graph.Nodes[k]
	return n.At == p.graph.Nodes[at].At && !p.deeds[k].drop && n.Is("stir", "swirl", "shake", "spread", "level") && len(n.To)+len(n.With)+len(n.Into) == 0
}

// saysWhenSet tells whether a condition behind an action says when to go on: "when it is almost set, scatter over the chives".
func (p *plan) saysWhenSet(at int) bool {
	n := &p.graph.Nodes[at]
	steps := p.dish.Components[n.At.Component].Steps
	for i := n.At.Step; i < len(steps); i++ {
		if slices.ContainsFunc(steps[i].Asides, func(a recipe.Aside) bool {
			return a.Kind == recipe.Condition && (i > n.At.Step || a.From >= n.Action.Upto)
		}) {
			return true
		}
	}
	return false
}

// bears is how long a stand-in bears a liquid, less where it is shaped and not set before, and the lines with which it is shaped.
func (p *plan) bears(s *standIn) (minutes float64, shaped []int) {
	set := p.bearsSet(s)
	s.Bears = math.Max(s.Bears, set)
	shaped = p.shapedBare(s)
	if f := p.l.MainFood(s.book); shaped != nil && f != nil && set == 0 {
		return math.Min(s.Bears, p.l.BehaviourOf(f, shapedForm).Bears), shaped
	}
	return s.Bears, shaped
}

// bearsSet is how long a stand-in bears a liquid that is set before; 0 where it is not.
func (p *plan) bearsSet(s *standIn) float64 {
	f := p.l.MainFood(s.book)
	if f == nil || p.setsAt(s) < 0 {
		return 0
	}
	return p.l.BehaviourOf(f, setForm).Bears
}

// setsThem is the clause that sets in the oven what an action has shaped, or in its pan a batter; none where nothing has to.
func (w *writer) setsThem(d *deed) []*clause {
	if d.thickens > 0 {
		return []*clause{{node: -1, changed: true, text: strings.ReplaceAll(w.c.words().Thicken, "{minutes}", w.c.spoken(measure.Exactly(d.thickens)))}}
	}
	if !d.sets {
		return nil
	}
	return []*clause{{node: -1, changed: true, text: strings.ReplaceAll(w.c.words().Set, "{minutes}", w.c.spoken(measure.Exactly(setMinutes)))}}
}
