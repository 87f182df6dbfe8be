package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
)

// friesForFlesh tells whether what was fried before is fried on only for flesh that had just come to
// it, and goes in later now.
func (p *plan) friesForFlesh(i int) bool {
	n := &p.graph.Nodes[i]
	if !cookedDry(n) {
		return false
	}
	flesh := false
	for _, line := range n.To {
		switch s := p.stand[line]; {
		case s != nil && s.flesh() && !s.gone && s.is(larder.Ready) && !p.there(line, i):
			flesh = true
		case !p.friedBefore(line, i) && !p.flavours(line):
			return false
		}
	}
	k := i - 1
	for k >= 0 && (p.deeds[k].drop || p.graph.Nodes[k].Technique.Family == "cut") { // it is broken up
		k--
	}
	return flesh && k >= 0 && p.friesStill(k) && p.graph.Nodes[k].At.Component == n.At.Component
}

// brownsForFlesh tells whether an action browns only flesh that comes later now: what is there else was over the fire
// before, or gives no more than its taste.
func (p *plan) brownsForFlesh(i int) bool {
	n := &p.graph.Nodes[i]
	byCue := cookedDry(n) && n.Action.Minutes == nil && p.untilBrowned(n)
	if !byCue && (!n.Is("brown", "sear") || n.Action.Cue != "" && !p.cueGone(n)) || len(n.Named) > 0 {
		return false
	}
	flesh := false
	for _, line := range n.To {
		s := p.stand[line]
		switch f := p.l.Food(p.line(line).FoodID()); {
		case s != nil && s.flesh() && !p.there(line, i):
			flesh = flesh || slices.ContainsFunc(n.Inputs, func(in int) bool { return slices.Contains(p.graph.Nodes[in].To, line) })
		case !p.heatedBefore(line, i) && !p.flavours(line) && !(f != nil && f.Tagged("allium") && p.line(line).Mass() <= p.l.UsualCloves()):
			return false
		}
	}
	return flesh
}

// putInForNothing tells whether an action puts a stand-in by itself into an emptied pan, where it is not fried any more:
// "scoop out the leeks, add the lardons and fry until crisp".
func (p *plan) putInForNothing(s *standIn, i, next int) bool {
	n := &p.graph.Nodes[i]
	return s.flesh() && s.is(larder.Ready) && n.Technique.Joins == "yes" && len(n.Into)+len(n.Inputs) == 0 && p.alone(i, s) &&
		slices.Contains(p.graph.Nodes[next].Inputs, i) && cookedDry(&p.graph.Nodes[next]) && p.dropped(s, next)
}

// untilBrowned tells whether the cue of an action says no more than that it has browned: "cook until browned".
func (p *plan) untilBrowned(n *flow.Node) bool {
	words := larder.Words(n.Action.Cue)
	if len(words) > 0 && p.l.Language().Until[words[0]] {
		words = words[1:]
	}
	return len(words) > 0 && !slices.ContainsFunc(words, func(w string) bool {
		return !slices.Contains(p.l.Language().Orders(w), "brown") && !p.l.Language().Adverbs[w]
	})
}

// friesStill tells whether an action fries, or stirs what was fried and what went in with it.
func (p *plan) friesStill(i int) bool {
	n := &p.graph.Nodes[i]
	return cookedDry(n) || !n.Liquid && (n.Is("stir") || n.Technique.Joins == "yes") && slices.ContainsFunc(n.Inputs, p.friesStill)
}

// cookedDry tells whether an action fries, or cooks in a pan without a liquid.
func cookedDry(n *flow.Node) bool {
	return n.Technique.Family == "dry heat" || n.Technique.Family == "wet heat" && n.Is("cook") && !n.Liquid
}

// keptFromNothing tells whether an action keeps warm what was to be taken out or cut just before and
// is neither, until it goes back.
func (p *plan) keptFromNothing(i int) bool {
	n := &p.graph.Nodes[i]
	if !n.Is("keep-warm") || i == 0 || !p.deeds[i-1].drop {
		return false
	}
	if f := p.graph.Nodes[i-1].Technique.Family; f != "separate" && f != "cut" {
		return false
	}
	flesh := false
	for _, line := range n.To {
		switch s := p.stand[line]; {
		case s != nil && s.flesh():
			flesh = p.goesOn(line, i)
		case s == nil && !p.dusts(line) && !p.c.fatLine(p.line(line)):
			return false
		}
	}
	return flesh
}

// othersFry lets what was to fry with flesh fry by itself where that is browned when it is
// prepared: "fry the bacon with the onions".
func (p *plan) othersFry(i int) {
	n, d := &p.graph.Nodes[i], &p.deeds[i]
	if !d.drop || n.Technique.Family != "dry heat" {
		return
	}
	for _, r := range n.Action.With {
		if r.Line == nil {
			continue
		}
		if line := p.graph.Named(*r.Line); p.stand[line] == nil && p.there(line, i) && !p.dusts(line) {
			d.subject, d.drop = append(d.subject, line), false
		}
	}
}

// brownedAlready tells whether an action would brown what is browned when it is prepared,
// among things that were fried before it came to them.
func (p *plan) brownedAlready(i int) bool {
	n := &p.graph.Nodes[i]
	flesh := false
	for _, line := range p.subjects(i) {
		if s := p.stand[line]; s != nil && s.flesh() && p.there(line, i) {
			r := p.rule(s, i)
			if !s.is(larder.Browned) || r == nil || r.Then != larder.CarryDrop || p.friedBefore(line, i) {
				return false // what fries with it goes on
			}
			flesh = true
		} else if slices.Contains(n.Named, line) || !p.friedBefore(line, i) {
			return false
		}
	}
	return flesh && n.Technique.Family == "dry heat" && (n.Action.Cue == "" || p.cueGone(n))
}

// friedBefore tells whether a line was in a pan over the fire before an action, by work
// that is done.
func (p *plan) friedBefore(line, i int) bool {
	for k := range p.graph.Nodes[:i] {
		if n := &p.graph.Nodes[k]; !(len(p.deeds) > 0 && p.deeds[k].drop) && (cookedDry(n) || n.Is("stir") && n.Action.Minutes != nil && p.friesStill(k)) && n.Reaches(line) {
			return true
		}
	}
	return false
}

// boilsWithOthers tells whether an action boils eggs with other things, or drains them, from which they are then peeled or cut by
// themselves, and something stands for them that comes as it is: wedges are not boiled with the potatoes. Flesh that is torn in
// its sauce cooks along in that.
func (p *plan) boilsWithOthers(s *standIn, path []int) bool {
	wet := func(k int) bool { n := &p.graph.Nodes[k]; return n.Technique.Family == "wet heat" || n.Is("drain") }
	n := &p.graph.Nodes[path[0]]
	alone := !slices.ContainsFunc(n.Holds, func(line int) bool { return line != s.node && !larder.Pours(p.l.Food(p.line(line).FoodID())) })
	if s.class != larder.Egg || !s.is(larder.Ready) || alone || !wet(path[0]) && !(n.Is("add") && slices.ContainsFunc(n.Inputs, wet)) {
		return false
	}
	for _, k := range path[1:] {
		if wet(k) {
			continue
		}
		family := p.graph.Nodes[k].Technique.Family
		return (family == "clean" || family == "cut") && slices.Equal(p.graph.Nodes[k].To, []int{s.node})
	}
	return false
}
