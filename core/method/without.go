package method

import (
	"cmp"
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// withoutSubject decides an action whose subject is gone or not there yet: a
// liquid that is there is cooked without it, everything else goes.
func (p *plan) withoutSubject(i int) {
	n := &p.graph.Nodes[i]
	d := &p.deeds[i]
	if n.Technique.Family == "wet heat" {
		for _, line := range slices.Concat(n.Into, n.With) {
			if p.there(line, i) && !slices.Contains(d.subject, line) && ((p.goesOn(line, i) || p.joinedLate(i)) && !p.leftBehind(line, i) || p.flavours(line) && p.holdsLiquid(d.subject)) {
				d.subject = append(d.subject, line)
			}
		}
		if len(d.subject) > 0 && p.holdsLiquid(d.subject) {
			d.say = p.c.words().LiquidVerbs[n.Technique.Name]
			if d.timeless = p.onlyPours(d.subject) && p.warmedAgain(i); d.timeless {
				d.say = cmp.Or(p.c.words().LiquidVerbs["poach"], d.say)
			}
			return
		}
		if d.subject = p.makesBroth(i); d.subject != nil {
			d.say, d.broth = p.c.words().Simmer, true
			return
		}
	}
	if (len(p.laidUnder(i)) > 0 || n.Technique.Family == "mix" && n.Technique.Joins != "yes" || n.Is("place", "return") && !(p.holdsLiquid(n.With) && p.boilsNext(i) && !p.fromTheTap(n))) && p.mixesOn(i) {
		return
	}
	if own := p.addedWith(i); len(own) > 0 {
		d.subject, d.say = own, p.c.words().Add
		return
	}
	d.drop = true
	for _, line := range n.To {
		s := p.stand[line]
		if s == nil {
			continue
		}
		if r := p.rule(s, i); r != nil && r.Then == larder.CarryDrop && !s.gone && !slices.Contains(d.whys, r.Why) {
			d.whys = append(d.whys, r.Why)
		}
	}
}

// joinedLate tells whether something goes into the pot in the last minutes of an action, so that what cooks there is eaten with it.
func (p *plan) joinedLate(i int) bool {
	return slices.ContainsFunc(p.graph.Nodes[i].To, func(line int) bool {
		s := p.stand[line]
		return s != nil && !s.gone && s.enters == i && s.tail > 0
	})
}

// onlyPours tells whether lines are liquids and nothing that gives its taste to them.
func (p *plan) onlyPours(lines []int) bool {
	return !slices.ContainsFunc(lines, func(line int) bool { return !larder.Pours(p.l.Food(p.line(line).FoodID())) })
}

// warmedAgain tells whether what an action cooked goes on into work with heat, so that by itself it only wants
// to be hot.
func (p *plan) warmedAgain(i int) bool {
	return slices.ContainsFunc(p.graph.Nodes[i].Users, func(k int) bool {
		t := p.graph.Nodes[k].Technique
		return !p.deeds[k].drop && (t.Family == "wet heat" || t.Heat == "" && p.warmedAgain(k))
	})
}

// boilsNext tells whether what an action put together is heated in liquid next.
func (p *plan) boilsNext(i int) bool {
	return slices.ContainsFunc(p.graph.Nodes[i].Users, func(k int) bool {
		t := p.graph.Nodes[k].Technique
		return t.Family == "wet heat" || t.Heat == "" && t.Family != "rest" && p.boilsNext(k)
	})
}

// stirsNoWater tells whether an action only moves water that is not heated any more: "swirl the water".
func (p *plan) stirsNoWater(i int) bool {
	n := &p.graph.Nodes[i]
	if len(n.Holds) > 0 || len(n.Action.To) == 0 || n.Technique.Heat != "" || slices.ContainsFunc(n.Action.To, func(r recipe.Ref) bool { return !p.unlistedWater(r) }) {
		return false
	}
	for k := i - 1; k >= 0 && p.graph.Nodes[k].At == n.At; k-- {
		if o := &p.graph.Nodes[k]; o.Technique.Family == "wet heat" && len(o.To) == 0 {
			return p.deeds[k].drop
		}
	}
	return false
}

// poursNoFatOff tells whether an action pours off the fat of a frying of flesh that is not done any more, or is done to what
// gives off none.
func (p *plan) poursNoFatOff(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Is("pour-off", "skim", "discard") && len(n.Inputs) > 0 && !slices.ContainsFunc(n.To, func(line int) bool { return !p.c.fatLine(p.line(line)) }) &&
		!slices.ContainsFunc(n.Inputs, func(in int) bool { return !p.deeds[in].drop && !p.fleshAndFat(in) })
}

// nothingPouredOff tells whether the action before would have poured off the fat of flesh, of which nothing is left over then:
// "pour off all but a spoonful and fry the onion in what is left".
func (p *plan) nothingPouredOff(i int) bool {
	return i > 0 && p.deeds[i-1].drop && p.poursNoFatOff(i-1)
}

// goesOnWithNothing tells whether an action only drains what other work gave off, or goes on with it, and that is not done any
// more: "drain off any liquid that comes out, then continue cooking".
func (p *plan) goesOnWithNothing(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Action.On != "" && len(n.To)+len(n.With)+len(n.Into) == 0 && len(n.Inputs) > 0 && !slices.ContainsFunc(n.Inputs, func(in int) bool { return !p.deeds[in].drop })
}

// mixesOn lets what something was mixed with be mixed by itself where that is
// several things that are cooked on: "toss the lamb with the onion, oil and spices".
func (p *plan) mixesOn(i int) bool {
	n := &p.graph.Nodes[i]
	var left []int
	if n.Is("place", "return") && p.intoTap(n) {
		left = slices.DeleteFunc(slices.Clone(n.With), func(line int) bool { return !p.there(line, i) || !p.goesOn(line, i) }) // the pot that it boils in
	}
	for _, r := range n.Action.With {
		if r.Line == nil {
			continue // what is made already is mixed
		}
		if line := p.graph.Named(*r.Line); p.there(line, i) && p.goesOn(line, i) && !slices.Contains(left, line) {
			left = append(left, line)
		}
	}
	under := p.laidUnder(i)
	left = append(left, under...)
	if len(left) < leastMixed && len(under) == 0 {
		return false
	}
	p.deeds[i].subject = left
	if n.Is("season", "rub") {
		p.deeds[i].say = p.c.words().Blend // what was to season is mixed by itself
	}
	if n.Is("return") {
		p.deeds[i].say = p.c.words().Put // nothing was there before
		if p.waits(i) {
			p.deeds[i].say = p.c.words().Add
		}
	}
	return true
}

// intoTap tells whether water that nobody lists is on what an action puts into a pot, or is poured on it next.
func (p *plan) intoTap(n *flow.Node) bool {
	return p.fromTheTap(n) || slices.ContainsFunc(n.Users, func(k int) bool {
		next := &p.graph.Nodes[k]
		return next.Is("cover", "add", "pour") && p.fromTheTap(next)
	})
}

// laidUnder are the lines that something is laid on or put among and that no action took up before:
// they go in by themselves where it comes later.
func (p *plan) laidUnder(i int) []int {
	n := &p.graph.Nodes[i]
	if n.Technique.Joins != "yes" && n.Technique.Family != "assemble" {
		return nil
	}
	var out []int
	for _, r := range n.Action.Into {
		if r.Line == nil {
			continue
		}
		line := p.graph.Named(*r.Line)
		begun := slices.ContainsFunc(p.graph.Nodes[:i], func(o flow.Node) bool { return o.Reaches(line) })
		if !begun && p.there(line, i) && p.goesOn(line, i) && !p.c.fatLine(p.line(line)) && !slices.Contains(out, line) {
			out = append(out, line)
		}
	}
	return out
}

// leastMixed is how many things can be mixed.
const leastMixed = 2

// onlyLiquids tells whether of what an action works on nothing is there but liquids, and what
// gives them its taste.
func (p *plan) onlyLiquids(i int, subjects []int) bool {
	return p.holdsLiquid(subjects) && !slices.ContainsFunc(subjects, func(line int) bool {
		if !p.there(line, i) {
			s := p.stand[line]
			return s == nil || !s.flesh()
		}
		f := p.l.Food(p.line(line).FoodID())
		return !larder.Pours(f) && !p.flavours(line) && !(f != nil && f.Tagged(larder.Potherb) && p.drainedAfter(i))
	})
}

// flavours tells whether a line gives a liquid its taste and is not eaten for itself.
func (p *plan) flavours(line int) bool {
	return larder.Flavours(p.l.Food(p.line(line).FoodID()))
}

// neverOut tells whether nothing of what an action returns has been worked on before: the water
// of a broth that is not boiled any more.
func (p *plan) neverOut(i int) bool {
	any := false
	unboiled := slices.ContainsFunc(p.graph.Nodes[i].To, func(line int) bool {
		return p.stand[line] == nil && !p.c.fatLine(p.line(line)) && slices.ContainsFunc(p.graph.Nodes[:i], func(n flow.Node) bool {
			return n.Technique.Heat != "" && n.Reaches(line) && p.deeds[p.graph.Number(&n)].drop
		})
	})
	for _, line := range p.graph.Nodes[i].To {
		if !p.there(line, i) || unboiled && p.c.fatLine(p.line(line)) {
			continue // the water, and not the oil in which the shells would have been fried
		}
		any = true
		if s := p.stand[line]; s != nil && s.enters == i {
			continue // it goes in only now
		}
		if slices.ContainsFunc(p.graph.Nodes[:i], func(n flow.Node) bool {
			return n.Reaches(line) && (n.Technique.Heat != "" || n.Technique.Joins == "yes") && !p.deeds[p.graph.Number(&n)].drop
		}) {
			return false
		}
	}
	return any
}

// heatsTin tells whether an action also makes the fat of a tin hot, into which a batter is poured
// next that is baked in it.
func (p *plan) heatsTin(i int) bool {
	n := &p.graph.Nodes[i]
	return slices.ContainsFunc(n.To, func(line int) bool { return p.fries(line) && p.there(line, i) }) && slices.ContainsFunc(n.Users, func(k int) bool {
		pour := &p.graph.Nodes[k]
		return pour.Is("pour") && p.holdsLiquid(pour.To) && slices.ContainsFunc(pour.Users, func(o int) bool { return p.graph.Nodes[o].Technique.Family == "oven" })
	})
}

// waits tells whether what an action puts things into is a pot that cooks on already,
// which its words do not name.
func (p *plan) waits(i int) bool {
	a := p.graph.Nodes[i].Action
	if slices.ContainsFunc(a.Words.Phrases, func(f recipe.Phrase) bool { return f.Role == "into" }) {
		return false
	}
	return slices.ContainsFunc(a.Into, func(r recipe.Ref) bool {
		return r.Made != nil && !p.deeds[p.graph.Node(*r.Made)].drop
	})
}

// inListedLiquor tells whether an action cooks in a liquid of the list that is no plain water: shells in a stock, which is to
// be hot for what comes.
func (p *plan) inListedLiquor(n *node) bool {
	return slices.ContainsFunc(slices.Concat(n.With, n.Into), func(line int) bool {
		f := p.l.Food(p.line(line).FoodID())
		return larder.Pours(f) && f.ID != waterFood && !p.c.fatLine(p.line(line))
	})
}

// restsInItself tells whether words let a broth cool in the broth, as the flesh that was to is not there.
func (w *writer) restsInItself(n *node, p recipe.Phrase) bool {
	if n.Technique.Family != "rest" || p.Role != "in" {
		return false
	}
	at, gone := w.graph.Number(n), false
	for _, line := range n.To {
		if s := w.stand[line]; s != nil && s.flesh() {
			if w.there(line, at) {
				return false
			}
			gone = true
		}
	}
	return gone && !slices.ContainsFunc(p.Nouns, func(noun recipe.Noun) bool {
		words := larder.Words(w.slice(noun.From, noun.Upto))
		return len(words) == 0 || !w.l.Language().Liquors[words[len(words)-1]]
	})
}
