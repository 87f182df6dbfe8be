package flow

import (
	"yembra/core/language"
	"yembra/core/recipe"
)

// boundary finds where the clause ends that goes on at i: at a mark, or at the
// comma or conjunction behind which another order begins.
func (p *parser) boundary(i, upto int) int {
	cue, timed, shaped, ranged := false, false, false, i
	for k := i; k < upto; k++ {
		shaped = shaped || p.intoShape(k, upto)
		if c, ok := p.time(k); ok && !c.aside {
			ranged = c.upto // "50 minutes - 1 hour"
			timed = timed || p.lang.Prepositions[p.low(k-1)] == "for"
		}
		switch {
		case p.mark(k, "("):
			for k < upto && !p.mark(k, ")") {
				k++
			}
		case p.is(k, p.lang.Until):
			cue = true
		case p.mark(k, ";!?"), p.mark(k, "-") && !p.words[k].Glued && k >= ranged && !p.sign(k+1):
			return k
		case p.mark(k, ":"):
			if c, ok := p.time(k + 1); ok && !c.aside {
				continue // "until brown: 10 minutes"
			}
			if _, _, ok := p.celsius(k + 1); ok {
				continue // "Oven: 190C"
			}
			return k
		case cue && p.is(k, p.lang.Exceptions): // "until they soften but keep some bite"
		case cue && p.conj(k) && p.lang.Being[p.low(k+1)] && !p.opensThing(k+2) && !p.lang.Particles[p.low(k+2)] && !p.adverb(k+2) && (p.ends(k+3, upto) || p.mark(k+3, ",")): // "until they curl and turn pink"
		case cue && p.conj(k) && p.ofItsOwn(k+1) && p.comesTo(i, k): // "until it starts to crisp and release its oil"
		case p.mark(k, ","), p.conj(k):
			if p.begins(k, upto, cue) || k == i && p.conj(k) && p.onlyVerb(k+1, upto) || !cue && (timed && p.again(k+1, upto, p.ownTime) || shaped && p.again(k+1, upto, p.ownShape)) {
				return k
			}
		}
	}
	return upto
}

// ofItsOwn tells whether a verb at i is done to what is the doer's own: "release its oil".
func (p *parser) ofItsOwn(i int) bool {
	_, n := p.verb(i, language.Base)
	return n > 0 && p.lang.Possessives[p.low(i+n)]
}

// comesTo tells whether between two places it is said what something comes to do: "starts to crisp".
func (p *parser) comesTo(from, upto int) bool {
	for k := from; k < upto; k++ {
		if _, n := p.verb(k+1, language.Base); n > 0 && p.lang.Purpose[p.low(k)] {
			return true
		}
	}
	return false
}

// sequenced tells whether a verb stands right behind a word that begins the next work:
// ", then peel, keeping".
func (p *parser) sequenced(i int) bool {
	_, n := p.verb(i, language.Base)
	return n > 0 && p.is(i-1, p.lang.Sequence) && !p.listed(p.words[i].norm)
}

// onlyVerb tells whether a verb ends the clause at i: "drain and salt".
func (p *parser) onlyVerb(i, upto int) bool {
	_, n := p.verb(i, language.Base)
	return n > 0 && p.ends(i+n, upto) && !p.listed(p.words[i].norm)
}

// verbList tells whether from i on nothing follows but verbs, one of them no word for how something is too: ", cool, peel and
// slice", and not ", golden and crisp".
func (p *parser) verbList(i, upto int) bool {
	only, count := true, 0
	for i < upto {
		_, n := p.verb(i, language.Base)
		if n == 0 || p.listed(p.words[i].norm) {
			return false
		}
		only = only && p.lang.AdjectiveVerbs[p.low(i)]
		i, count = i+n, count+1
		if p.ends(i, upto) {
			break
		}
		if !p.mark(i, ",") && !p.conj(i) {
			return false
		}
		for p.mark(i, ",") || p.conj(i) {
			i++
		}
	}
	return count > 1 && !only
}

// again tells whether the verb is meant again for a thing that has something of its own: "the
// beans for 3 minutes, the cabbage for 1", "the onions into rings, the carrots into strips".
func (p *parser) again(i, upto int, own func(noun, int) bool) bool {
	for p.conj(i) {
		i++
	}
	if !p.opensThing(i) {
		return false
	}
	n, ok := p.noun(i, upto, false)
	return ok && own(n, upto)
}

// intoShape tells whether "into" or "in" stands at i and leads to the shape of what is cut.
func (p *parser) intoShape(i, upto int) bool {
	if role := p.lang.Prepositions[p.low(i)]; role != "into" && role != "in" || !p.lang.Becoming[p.low(i)] {
		return false
	}
	n, ok := p.noun(i+1, upto, false)
	if !ok || n.pointed || n.owner != nil {
		return false
	}
	return n.amount[1] > 0 && len(n.words) == 0 || !n.pronoun && p.lang.Shapes[n.head()]
}

// ownShape tells whether a thing of a list is cut into a shape of its own.
func (p *parser) ownShape(n noun, upto int) bool { return p.intoShape(n.upto, upto) }

// begins tells whether another order begins behind the comma or conjunction at k.
func (p *parser) begins(k, upto int, cue bool) bool {
	comma, next := p.mark(k, ","), k
	then := false
	for next < upto && !p.atHeat(next) && (p.mark(next, ",") || p.conj(next) || p.is(next, p.lang.Connectors) || next > k && p.adverb(next) && (p.orders(next+1, false, cue) || comma && p.adds(next+1))) {
		then = then || p.is(next, p.lang.Connectors)
		next++
	}
	if next >= upto || next == k || cue && next > k+1 && p.lang.TimeHedges[p.low(next-1)] {
		return false // "until puffed and just set in the middle"
	}
	if p.is(next, p.lang.Parallel) || cue && comma && p.verbList(next, upto) {
		return true
	}
	if (p.orders(next, false, cue && !then) || p.sequenced(next)) && !(p.conj(next-1) && k > 0 && (p.foods(p.words[k-1].norm) || p.lang.Parts[p.low(k-1)]) && p.endsList(next, upto)) {
		return true
	}
	if kind, _ := p.phrase(next); kind == language.Negative && !p.closedOff(next, upto) || kind == language.Meanwhile {
		return true
	}
	if p.is(next, p.lang.Cooks) && p.orders(next+1, false, false) {
		return true
	}
	if p.goes(next) && comma && (!p.modifies(next, upto) || p.adds(next)) && !p.foods(p.words[next].norm) {
		return true
	}
	if !comma && (p.adds(next) || p.worksWith(next, upto)) {
		return true // "and adding the milk", "turning once and basting with the ghee"
	}
	if then && p.is(next-1, p.lang.Sequence) && (p.opensThing(next) || p.listed(p.words[next].norm) || p.lang.Products[p.low(next)] || p.lang.Products[p.low(next+1)]) {
		return true // "add the broth, then the noodles", "then white sauce"
	}
	if then && p.atHeat(next) {
		return true // "at 180C for 1 hour, then at 230C for 25 minutes"
	}
	if p.lang.Subordinators[p.low(next)] == recipe.Condition && !p.is(next, p.lang.Until) {
		if end := p.subordinateEnd(next, upto); end < upto && !p.mark(end, ",") && p.orders(end, false, false) {
			return true // "and when they float add a cup of water"
		}
	}
	if c, ok := p.time(next); ok && c.later && p.opensThing(c.upto+1) {
		return true // ", 5 minutes later the mussels"
	}
	return comma && p.frontedOrder(next, upto) || p.conj(next-1) && p.apartIn(next, upto)
}

// apartIn tells whether a thing in a vessel of its own begins at i, for which the verb is meant again:
// "soak the beans in water, and in another bowl the mushrooms".
func (p *parser) apartIn(i, upto int) bool {
	if p.lang.Prepositions[p.low(i)] != "in" {
		return false
	}
	n, ok := p.noun(i+1, upto, false)
	return ok && p.lang.Vessels[n.head()] && p.opensThing(n.upto) && !p.lang.Vessels[p.low(n.upto+1)]
}

// adds tells whether the verb in -ing at i brings a thing that it names to what is there:
// "adding the milk".
func (p *parser) adds(i int) bool {
	lemma, n := p.verb(i, language.Going)
	if n == 0 {
		return false
	}
	t := p.technique(p.senseOf(lemma, i, len(p.words)).Technique)
	return t != nil && t.Joins == "yes" && (p.opensThing(i+n) || i+n < len(p.words) && p.listed(p.words[i+n].norm))
}

// worksWith tells whether the verb in -ing at i is done with a thing of the list.
func (p *parser) worksWith(i, upto int) bool {
	_, n := p.verb(i, language.Going)
	if n == 0 || p.lang.Prepositions[p.low(i+n)] != "with" {
		return false
	}
	thing, ok := p.noun(i+n+1, upto, false)
	return ok && len(thing.words) > 0 && p.listed(thing.head())
}

// closedOff tells whether what begins at i ends at a comma behind which the time of the
// work stands: "simmer, never boil, for 18 minutes".
func (p *parser) closedOff(i, upto int) bool {
	for k := i; k < upto; k++ {
		if p.mark(k, ",") {
			_, ok := p.time(k + 2)
			return ok && p.lang.Prepositions[p.low(k+1)] == "for"
		}
	}
	return false
}

// frontedOrder tells whether what begins at i is said before an order: ", in the
// same pan brown the ...".
func (p *parser) frontedOrder(i, upto int) bool {
	if p.lang.Prepositions[p.low(i)] == "" && p.lang.Subordinators[p.low(i)] == "" || p.is(i, p.lang.Until) {
		return false
	}
	if _, lasts := p.time(i + 1); lasts && p.lang.Prepositions[p.low(i)] == "for" {
		return false // "simmer, covered, for 20 minutes, add ...": so long it lasts
	}
	for k := i + 1; k < upto && k < i+longestFront; k++ {
		if p.mark(k, ",") {
			return p.orders(k+1, false, false) && p.opensThing(k+2)
		}
	}
	return false
}

// longestFront is how many words may stand before the verb they belong to.
const longestFront = 10

// subordinateEnd finds where a subordinate clause ends: at the comma before an
// order, or right before one.
func (p *parser) subordinateEnd(i, upto int) int {
	for k := i + 1; k < upto; k++ {
		if p.mark(k, ":") {
			return k
		}
		if p.mark(k, ",") {
			next := k + 1
			for next < upto && (p.is(next, p.lang.Connectors) || p.conj(next) || p.adverb(next)) {
				next++
			}
			if p.orders(next, false, false) || p.lang.Prepositions[p.low(next)] != "" || p.goes(next) {
				return k
			}
			if kind, _ := p.phrase(next); kind != "" {
				return k
			}
		}
		behind := k + 1
		for p.is(behind, p.lang.Particles) {
			behind++ // "when the garlic colours put in the squid"
		}
		if k > i+1 && p.orders(k, false, true) && p.opensThing(behind) && !p.is(k-1, p.lang.Purpose) && !p.is(k-1, p.lang.Cooks) && !p.is(k-1, p.lang.Being) && !p.opensThing(k-1) {
			return k // but not "when it is cool enough to handle"
		}
	}
	return upto
}

// endsList tells whether a word that could be an order is the last thing of a list
// instead: "the lemon juice and salt", with nothing behind it to be salted.
func (p *parser) endsList(i, upto int) bool {
	_, n := p.verb(i, language.Base)
	next := i + n
	if n != 1 || p.opensThing(next) {
		return false
	}
	if p.ends(next, upto) && p.foods(p.words[i].norm) || p.lang.Parts[p.low(i)] && p.lang.Parts[p.low(i-2)] && p.conj(next) {
		return true // "the zest and juice and"
	}
	return p.listed(p.words[i].norm) && (p.lang.Prepositions[p.low(next)] != "" && !p.is(next, p.lang.Particles) || p.conj(next) || p.mark(next, ","))
}
