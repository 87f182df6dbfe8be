package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// heatsForNothing tells whether a fat is heated in which nothing is fried any more.
func (p *plan) heatsForNothing(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family == "wet heat" && len(n.To) == 0 && len(n.Users) > 0 {
		return !p.watersOn(i) // the water of a poaching
	}
	if n.Technique.Family == "gentle heat" && len(n.To) == 0 {
		return p.pansForNothing(i)
	}
	if n.Technique.Family != "gentle heat" && !(n.Is("add") && len(n.Into) == 0) || len(n.Users) == 0 || len(n.To) == 0 {
		return false
	}
	return !slices.ContainsFunc(n.To, func(line int) bool { return !p.fries(line) }) && !p.cooksOn(i, i) && !p.heatsForOthers(i)
}

// cooksOn tells whether what an action made goes on into work that is done: right away,
// or through work that is not done any more into work over a fire.
func (p *plan) cooksOn(i, first int) bool {
	return slices.ContainsFunc(p.graph.Nodes[i].Users, func(k int) bool {
		if p.deeds[k].drop {
			return p.cooksOn(k, first)
		}
		n := &p.graph.Nodes[k]
		itself := len(n.To) > 0 && !slices.ContainsFunc(n.To, func(line int) bool { return !slices.Contains(p.graph.Nodes[first].To, line) })
		if itself && n.Technique.Joins == "yes" && p.addsRest(n) && slices.ContainsFunc(p.deeds[first:k], func(d deed) bool { return d.drop }) {
			return false // the rest of it goes in then, which is all of it
		}
		if slices.Contains(n.Inputs, first) {
			return true
		}
		if itself {
			return true // the fat itself is worked on
		}
		fat := slices.ContainsFunc(p.graph.Nodes[first].To, func(line int) bool {
			return slices.Contains(n.With, line) || slices.Contains(n.Into, line) && !slices.ContainsFunc(n.Inputs, func(in int) bool { return in != i && p.graph.Nodes[in].Reaches(line) })
		}) // and not another share of it, that is there already
		return fat && (n.Technique.Joins == "yes" || n.Technique.Heat != "" && n.Technique.Family != "oven")
	})
}

// decide says what becomes of one action.
func (p *plan) decide(i int) {
	n, d := &p.graph.Nodes[i], &p.deeds[i]
	subjects, replaced, there := p.subjects(i), 0, 0
	replacedAny := slices.ContainsFunc(subjects, func(line int) bool { return p.stand[line] != nil })
	for _, line := range subjects {
		if p.stand[line] != nil {
			replaced++
		}
		if p.there(line, i) && !p.merged(line, i) && !p.isBack(line, i) && !(p.stand[line] == nil && replacedAny && p.leftBehind(line, i)) {
			there++
		}
	}
	switch {
	case n.Technique.Family == "wet heat" && p.onBodies(i) && p.inListedLiquor(n):
		p.withoutSubject(i)
	case p.onBodies(i), p.intoBodies(i), p.strewnOnNothing(i), p.dustedForPan(i), p.ofMerged(i), p.keepsOfGone(i):
		d.drop = true
	case p.strainsNothing(i), p.keptFromNothing(i), p.watersNothing(i), p.watersAlone(i), p.scaldsNothing(i), p.onlySieved(i), p.poursNoFatOff(i):
		d.drop = true
	case p.keepsAll(i):
		d.silent = true
	case p.intoNothing(i), p.neverLeft(i):
		d.drop = true
	case n.Is("off-heat") && p.onlyDropped(i), p.seasonsNothing(i), p.onlyForAdded(i), p.turnsNothing(i), p.turnsUncooked(i):
		d.drop = true
	case len(subjects) == 0:
		p.decideNamed(i)
	case there == 0, p.impliesGone(i), p.brothOnly(i, subjects):
		p.withoutSubject(i)
		p.othersFry(i)
	case replaced == len(subjects), p.preparesFlesh(i):
		p.decideAlone(i)
		p.othersFry(i)
	case p.brownedAlready(i), p.friesForFlesh(i), p.onlyGlazed(i):
		d.drop = true
	case n.Is("discard", "skim") && p.fleshAt(i) != nil && !p.fleshAt(i).is(larder.Steeped) && !p.namesOne(n):
		d.drop = true
	}
	if d.drop {
		return
	}
	p.entersAt(i)
	p.spoonsMelt(i)
	for _, line := range n.With {
		if s := p.stand[line]; s != nil && !s.gone && s.book.Verb != "" {
			d.say = s.book.Verb
		} else if s != nil && !s.gone && slices.Contains(n.Named, line) {
			if r := p.rule(s, i); r != nil && r.Beside() != "" {
				d.say, d.whys = r.Beside(), append(d.whys, r.Why)
			}
		}
	}
	if say := p.c.words().LiquidVerbs[n.Technique.Name]; say != "" && d.say == "" && there < len(subjects) && p.onlyLiquids(i, subjects) {
		d.say = say
	}
	if n.Is("return") && d.say == "" && p.neverOut(i) {
		d.say = p.c.words().Add
	}
	d.cueless = d.cueless || p.cueGone(n)
}

// entersAt notes what goes in with an action and is not named there, before it or during its last
// minutes.
func (p *plan) entersAt(i int) {
	n, d := &p.graph.Nodes[i], &p.deeds[i]
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		s := p.stand[line]
		if s == nil || s.gone || s.enters != i {
			continue
		}
		switch {
		case s.tail > 0 && !slices.Contains(d.late, s):
			d.late = append(d.late, s)
		case d.say == p.c.words().Put && p.places(i) && p.allEnter(i): // they are put there by this
		case s.tail == 0 && !slices.Contains(n.Named, line) && !p.spoken(n, line) && !slices.Contains(d.before, s) && (!p.c.fatLine(s.was) || s.flesh()):
			d.before = append(d.before, s)
		}
	}
}

// friesForFlesh tells whether what was fried before is fried on only for flesh that had just come to
// it, and goes in later now.
func (p *plan) friesForFlesh(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "dry heat" {
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
	k, spiced := i-1, false // the spices go with the flesh into what was fried before
	for k >= 0 && (p.deeds[k].drop || p.graph.Nodes[k].Technique.Family == "cut" || p.onlySpices(k)) { // it is broken up
		spiced = spiced || !p.deeds[k].drop && p.onlySpices(k)
		k--
	}
	return flesh && k >= 0 && p.friesStill(k) && (p.graph.Nodes[k].At == n.At || spiced && p.graph.Nodes[k].At.Component == n.At.Component)
}

// friesStill tells whether an action fries, or stirs what was fried and what went in with it.
func (p *plan) friesStill(i int) bool {
	n := &p.graph.Nodes[i]
	return cookedDry(n) || !n.Liquid && (n.Is("stir") || n.Technique.Joins == "yes") && slices.ContainsFunc(n.Inputs, p.friesStill)
}

// onlySpices tells whether an action adds nothing but what flavours to what is in the pan, beside flesh that is not there.
func (p *plan) onlySpices(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Technique.Joins == "yes" && len(n.Into) > 0 && len(n.Named) > 0 && !slices.ContainsFunc(n.Named, func(line int) bool {
		s := p.stand[line]
		return s == nil && !p.flavours(line) || s != nil && (!s.flesh() || p.there(line, i))
	})
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

// spoken tells whether the words of an action speak of a line by a noun: "the fish" of
// cod and haddock.
func (p *plan) spoken(n *flow.Node, line int) bool {
	return slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool {
		return slices.ContainsFunc(x.Nouns, func(noun recipe.Noun) bool {
			if noun.Pronoun || noun.All || noun.Vessel {
				return false
			}
			lines, made := p.meant(noun)
			if made && p.stand[line] != nil && p.comesInstead(noun, lines, p.graph.Number(n)) == p.stand[line] {
				return true
			}
			return slices.Contains(lines, line) && !slices.ContainsFunc(lines, func(o int) bool { s := p.stand[o]; return s == nil || !s.flesh() })
		})
	})
}

// decideAlone follows the table where only stand-ins are worked on.
func (p *plan) decideAlone(i int) {
	d := &p.deeds[i]
	for _, line := range p.subjects(i) {
		s := p.stand[line]
		if s == nil || !p.there(line, i) {
			continue
		}
		r := p.rule(s, i)
		switch {
		case r == nil && p.takesOutUncooked(s, i):
			d.drop = true
		case r == nil:
			d.drop, d.whys = false, nil // one of them is still worked on
			return
		case r.Then == larder.CarryDrop && (p.liftedCold(s, i) || p.liftedToStrain(s, i) || p.coated(s, i) || p.friedJust(s, i) && !p.c.fatLine(s.was) || p.friesOn(s, i) || p.heatsTin(i)):
			return
		case r.Then == larder.CarryDrop && p.places(i):
			d.say = p.c.words().Put
			return
		case r.Then == larder.CarryDrop && p.mixesIn(i) && p.graph.Nodes[i].Technique.Leaves == paste:
			return // it is ground with the others
		case r.Then == larder.CarryDrop && p.mixesIn(i):
			d.say, d.cueless, d.whys = p.c.words().Blend, true, append(d.whys, r.Why) // "whip the cream with the vanilla"
			return
		case r.Then == larder.CarryDrop:
			d.drop, d.whys = true, append(d.whys, r.Why)
		case r.Then == larder.CarrySay:
			d.say, d.whys = r.Does(), append(d.whys, r.Why)
			return
		default:
			d.drop = false
			return
		}
	}
}

// setsAside tells whether the action at a place of a path puts a thing onto a plate or
// rack until it is wanted again, and no oven takes it from there.
func (p *plan) setsAside(path []int, at int) bool {
	n := &p.graph.Nodes[path[at]]
	words := larder.Words(n.Action.Vessel)
	if len(n.Into) > 0 || len(words) == 0 || !p.l.Language().Receiving[words[len(words)-1]] {
		return false
	}
	return at+1 < len(path) && p.graph.Nodes[path[at+1]].Technique.Heat == ""
}
