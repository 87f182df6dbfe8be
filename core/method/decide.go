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
		fats := p.graph.Nodes[first].To
		itself := slices.ContainsFunc(n.To, func(line int) bool { return slices.Contains(fats, line) }) && !slices.ContainsFunc(n.To, func(line int) bool { return !slices.Contains(fats, line) && !p.laterFlesh(line, k) })
		if itself && (n.Technique.Joins == "yes" || n.Is("place")) && p.addsRest(n) && slices.ContainsFunc(p.deeds[first:k], func(d deed) bool { return d.drop }) {
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
		if p.there(line, i) && !p.merged(line, i) && !p.isBack(line, i) && !((p.stand[line] == nil || p.cookedInIt(line, subjects)) && replacedAny && p.leftBehind(line, i)) {
			there++
		}
	}
	switch {
	case p.takesVessel(n): // "take the tin from the oven"
		return
	case n.Is("pour", "add", "stir") && p.meansGone(n.Action.To): // "add the stock"
	case n.Technique.Family == "wet heat" && p.onBodies(i) && p.inListedLiquor(n):
		p.withoutSubject(i)
	case p.onBodies(i), p.intoBodies(i), p.stoodOnBody(i), p.strewnOnNothing(i), p.dustedForPan(i), p.ofMerged(i), p.keepsOfGone(i), p.brothOfGone(i),
		p.strainsNothing(i), p.keptFromNothing(i), p.watersNothing(i), p.watersAlone(i), p.scaldsNothing(i), p.onlySieved(i), p.poursNoFatOff(i):
		d.drop = true
	case p.keepsAll(i):
		d.silent = true
	case p.laidToBeCut(i), p.intoNothing(i), p.neverLeft(i), n.Is("off-heat") && p.onlyDropped(i), p.seasonsNothing(i), p.stirsWhatIsGone(i), p.cutsPieces(i), p.onlyForAdded(i), p.turnsNothing(i), p.turnsUncooked(i), p.drainsUnsoaked(i), p.drainsNoFat(i):
		d.drop = true
	case len(subjects) == 0:
		p.decideNamed(i)
	case there == 0, p.impliesGone(i), p.brothOnly(i, subjects):
		p.withoutSubject(i)
		p.othersFry(i)
	case replaced == len(subjects), p.preparesFlesh(i):
		p.decideAlone(i)
		p.othersFry(i)
	case p.brownedAlready(i), p.friesForFlesh(i), p.brownsForFlesh(i), p.onlyGlazed(i):
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
			if r := p.rule(s, i); r != nil && r.Beside() != "" && !(len(n.Action.To) > 0 && len(n.Action.Into) > 0) { // what it goes along with is strewn
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

// cookedInIt tells whether what stands for a liquid lies with what stands for flesh, which cooks in it: the milk of a poached fish.
func (p *plan) cookedInIt(line int, subjects []int) bool {
	return !p.stand[line].flesh() && slices.ContainsFunc(subjects, func(o int) bool { return p.stand[o] != nil && p.stand[o].flesh() })
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
		case r == nil && (p.takesOutUncooked(s, i) || s.flesh() && p.takesOffBody(i)):
			d.drop = true
		case r == nil:
			d.drop, d.whys = false, nil // one of them is still worked on
			return
		case r.Then == larder.CarryDrop && (p.liftedCold(s, i) || p.liftedToStrain(s, i) || p.coated(s, i) || p.friedJust(s, i) && !p.c.fatLine(s.was) || p.friesOn(s, i) || p.heatsTin(i) || p.movedOut(s, i)):
			return
		case r.Then == larder.CarryDrop && p.places(i):
			d.say = p.c.words().Put
			return
		case r.Then == larder.CarryDrop && p.mixesIn(i) && p.graph.Nodes[i].Technique.Leaves == paste:
			return // it is ground with the others
		case r.Then == larder.CarryDrop && p.mixesIn(i):
			d.say, d.cueless, d.whys = p.c.words().Blend, true, append(d.whys, r.Why) // "whip the cream with the vanilla"
			if p.graph.Nodes[i].Technique.Family == "gentle heat" {
				d.say = p.c.words().Warm // "melt the butter with the syrup"
			}
			return
		case r.Then == larder.CarryDrop:
			d.drop, d.whys = true, append(d.whys, r.Why)
		case r.Then == larder.CarrySay && p.strewnOver(i):
			return
		case r.Then == larder.CarrySay && p.strewnNowhere(i, r.Does()):
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

// strewnOver tells whether something of the cook's own is strewn over what an action works on, which takes no other verb for
// that: "sprinkle with the oregano", of what the melt lies on.
func (p *plan) strewnOver(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Technique.Family == "assemble" && n.Technique.Closes == larder.ClosesLast && slices.ContainsFunc(n.With, func(line int) bool {
		return slices.Contains(n.Named, line) && p.stand[line] == nil
	})
}

// strewnNowhere tells whether something that would be strewn now is only cut up by an action, and mixed by the next.
func (p *plan) strewnNowhere(i int, verb string) bool {
	n := &p.graph.Nodes[i]
	if !slices.ContainsFunc(p.l.Language().Orders(verb), func(name string) bool { t := p.l.Technique(name); return t != nil && t.Family == "assemble" }) {
		return false
	}
	return n.Technique.Family == "cut" && len(n.Into) == 0 && slices.ContainsFunc(n.Users, func(k int) bool {
		next := &p.graph.Nodes[k]
		return next.At == n.At && next.Technique.Family == "mix" && len(next.With)+len(next.Into) > 0
	})
}

// setsAside tells whether the action at a place of a path puts a thing onto a plate or
// rack until it is wanted again, and no oven takes it from there.
func (p *plan) setsAside(path []int, at int) bool {
	return p.ontoPlate(path[at]) && at+1 < len(path) && p.graph.Nodes[path[at+1]].Technique.Heat == ""
}

// ontoPlate tells whether an action puts something onto nothing but a plate, a rack or a board.
func (p *plan) ontoPlate(i int) bool {
	n := &p.graph.Nodes[i]
	words := larder.Words(n.Action.Vessel)
	return len(n.Into) == 0 && len(words) > 0 && p.l.Language().Receiving[words[len(words)-1]]
}

// takesVessel tells whether an action takes away nothing but the vessel that all is in.
func (p *plan) takesVessel(n *flow.Node) bool {
	if !n.Is("remove") || len(n.Action.Words.Phrases) == 0 || n.Action.Words.Phrases[0].Role != "to" {
		return false
	}
	return !slices.ContainsFunc(n.Action.Words.Phrases[0].Nouns, func(noun recipe.Noun) bool { return !noun.Vessel })
}
