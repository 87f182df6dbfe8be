package flow

import (
	"yembra/core/language"
	"yembra/core/larder"
)

// link reads a preposition with what it ties to the verb, from i; first tells
// that it stands right behind the verb.
func (b *body) link(i int, first bool) int {
	w := b.low(i)
	role := b.lang.Prepositions[w]
	at := i + 1
	if b.lang.Purpose[w] {
		b.purposeAt = i
		if lemma, n := b.verb(at, language.Base); n > 0 && !b.opensNoun(at) {
			return b.purposed(at, lemma, n)
		}
		if b.unknownVerb(at) {
			return b.says(i)
		}
		role = "into"
	}
	if b.lang.Purpose[w] && b.adverb(at) {
		if lemma, n := b.verb(at+1, language.Base); n > 0 {
			return b.purposed(at+1, lemma, n)
		}
	}
	if b.lang.Purpose[b.low(at)] && b.is(i, b.lang.Particles) {
		b.particle(i)
		return at
	}
	if b.comparesManner(i) {
		return b.says(i)
	}
	if end := b.onOne(i); end > 0 {
		return end
	}
	if role == "before" && b.goes(at) && b.joinsNext(at) {
		b.upto = i // "let it cool before beating in the egg"
		return i
	}
	if _, _, hot := b.heat(at + 1); b.is(i, b.lang.Particles) && (role == "" && b.lang.Prepositions[b.low(at)] != "" || hot && b.lang.Prepositions[b.low(at)] == "from") {
		b.particle(i)
		return at // "back on top", "stir it in off the heat"
	}
	for b.adverb(at) && (b.lang.Prepositions[b.low(at+1)] != "" || b.lang.Prepositions[b.low(at)] == "" && b.opensThing(at+1)) {
		at++ // "to just below the boil", "with just the water"
		first = false
	}
	if c, ok := b.time(at); ok && role != "with" && role != "into" {
		return b.lasting(i, at, c, role)
	}
	at, role = b.furtherJoint(i, at, role)
	if b.ends(at, b.upto) || b.mark(at, ",") || b.conj(at) || b.is(at, b.lang.Until) || b.sideways(at) && !b.is(at, b.lang.Pointing) {
		b.particle(i)
		return at
	}
	return b.leads(i, at, w, role, first)
}

// furtherJoint reads on where joints follow each other: "on to", "out of", "on top of".
func (b *body) furtherJoint(i, at int, role string) (int, string) {
	for b.lang.Prepositions[b.low(at)] != "" && b.lang.Prepositions[b.low(at)] != "of" || b.is(at, b.lang.Places) && b.lang.Prepositions[b.low(at+1)] == "of" {
		if r := b.lang.Prepositions[b.low(at)]; r != "" {
			if b.is(i, b.lang.Particles) && (r == "with" || r == "for" || r == "at" || r == "before" || r == "as" || r == "without") {
				break // "cook through with ..."
			}
			role = r
		}
		at++
	}
	if b.lang.Prepositions[b.low(at)] == "of" {
		at++
	}
	return at, role
}

// comparesManner tells whether "as thinly as you can" begins at i.
func (b *body) comparesManner(i int) bool {
	return b.lang.Prepositions[b.low(i)] == "as" && b.adverb(i+1) && b.low(i+2) == b.low(i)
}

// particle notes a word that stands behind its verb and belongs to it.
func (b *body) particle(i int) {
	b.clause.particles = append(b.clause.particles, b.low(i))
	b.clause.particlesAt = append(b.clause.particlesAt, [2]int{i, i + 1})
}

// leads reads what a preposition at i leads to: a time, a heat, a manner, or things.
func (b *body) leads(i, at int, w, role string, first bool) int {
	if c, ok := b.time(at); ok && role != "with" && role != "into" {
		return b.lasting(i, at, c, role)
	}
	if v, upto, ok := b.celsius(at); ok {
		if b.clause.temp == nil {
			b.clause.temp, b.clause.degrees = &v, [2]int{at, upto}
		}
		return upto
	}
	if said, upto, ok := b.heat(at); ok && !(role == "into" && b.is(i, b.lang.Becoming)) {
		if b.clause.ring == "" {
			b.clause.ring = said
		}
		return upto
	}
	if end := b.remnantAlone(at, b.upto); end > 0 && role != "into" {
		b.how(i, end)
		return end // "fry the onion in what is left"
	}
	if end := b.manners(at, role, first); end > 0 {
		b.clause.placed = b.clause.placed || role == "in" && b.lang.Places[b.low(end-1)]
		b.how(i, end)
		return end
	}
	if role == "by" && at+1 < b.upto && b.lang.Prepositions[b.low(at+1)] != "" {
		b.how(i, at+1)
		return at + 1 // "by hand into the pot"
	}
	if b.goes(at) && !b.modifies(at, b.upto) || role == "without" || role == "by" || role == "before" {
		return b.says(i)
	}
	return b.tie(i, at, w, role, first)
}

// opensNoun tells whether "to" leads to a thing and no verb: "to a paste".
func (b *body) opensNoun(i int) bool {
	return b.opensThing(i) || b.foods(b.words[i].norm) && !b.ends(i+1, b.upto)
}

// lasting takes in a time behind a preposition.
func (b *body) lasting(i, at int, c clock, role string) int {
	if b.clause.minutes == nil && (!c.aside || c.later && role == "for") && (role == "for" || role == "in" || role == "over" || role == "into") {
		b.clause.minutes, b.clause.clock, b.clause.per = &c.span, [2]int{at, c.upto}, c.per
	} else {
		b.how(i, c.upto)
	}
	return c.upto
}

// purposed reads the verb behind "to": what it is done for, or with "use it to
// line the tin" what is really done.
func (b *body) purposed(at int, lemma string, n int) int {
	if b.sense.Technique != language.Inner {
		if t := b.technique(b.senseOf(lemma, at, b.upto).Technique); t != nil && t.Family == "rest" && b.ends(at+n, b.upto) && b.inner == "" && b.technique(b.sense.Technique).Family == "assemble" {
			b.upto = at
			return at // "spread on a plate to cool"
		}
		b.purpose = lemma
		return at + n
	}
	if len(b.clause.objects) == 0 {
		b.clause.objects = []noun{{from: at, upto: at, pronoun: true}} // "use to fill the shells": with what is in hand
	}
	b.clause.links = append(b.clause.links, link{role: "with", word: "with", nouns: b.clause.objects, from: b.clause.objects[0].from})
	b.clause.objects = nil
	b.lemma, b.clause.said = lemma, lemma
	b.sense = b.senseOf(lemma, at, b.upto)
	b.start, b.width = at, n
	return at + n
}

// addsAt tells whether an order that adds something stands at i: "pour in the milk".
func (p *parser) addsAt(i int) bool {
	lemma, n := p.verb(i, language.Base)
	t := p.technique(p.senseOf(lemma, i, len(p.words)).Technique)
	return n > 0 && t != nil && t.Joins != "" && (t.Joins == "yes" || p.is(i+n, p.lang.Particles))
}

// joinsNext tells whether the verb in -ing at i adds something, or serves it beside: "beating in the
// egg", "serving with the rice".
func (b *body) joinsNext(i int) bool {
	lemma, n := b.verb(i, language.Going)
	t := b.technique(b.senseOf(lemma, i, b.upto).Technique)
	if n > 0 && t != nil && t.Closes == larder.ClosesTable && b.lang.Prepositions[b.low(i+n)] == "with" {
		for k := i + n + 1; k < len(b.words) && !b.ends(k, len(b.words)); k++ {
			if b.text.listed(b.words[k].norm) {
				return true
			}
		}
	}
	return n > 0 && t != nil && t.Joins != "" && (t.Joins == "yes" || b.is(i+n, b.lang.Particles))
}

// unknownVerb tells whether "to" leads to a verb that no table knows: "to firm
// up".
func (b *body) unknownVerb(i int) bool {
	w := b.low(i)
	if w == "" || b.opensThing(i) || b.lang.Vessels[w] || b.lang.Shapes[w] || b.foods(b.words[i].norm) || b.modifies(i, b.upto) {
		return false
	}
	if _, _, hot := b.heat(i); hot {
		return false
	}
	return !b.adverb(i) && b.lang.Prepositions[w] == "" && (b.is(i+1, b.lang.Particles) || b.opensThing(i+1) || b.ends(i+1, b.upto))
}

// manners tells where what a preposition leads to ends if it only says how: "in
// batches", "at a time", "on all sides", "in wedges"; 0 where it does not.
func (b *body) manners(i int, role string, first bool) int {
	unknown := 0
	if b.lang.Whole[b.low(i)] && b.lang.Pronouns[b.low(i)] || b.lang.Dealt[b.low(i)] && b.is(i+1, b.lang.Ones) {
		return 0 // "with everything else", "into each one"
	}
	for k := i; k < b.upto && k < i+farthestName; k++ {
		if b.mark(k, ",") || b.lang.Rests[b.low(k)] || b.lang.Shares[b.low(k)] > 0 && b.lang.Rests[b.low(k-1)] {
			return 0 // "in the other half", "in the rest lightly"
		}
		next := k + 1
		if k > i+1 && b.is(k, b.lang.Particles) && b.lang.Prepositions[b.low(next)] == "into" {
			return 0 // "off the bones back into the pot"
		}
		done := b.ends(next, b.upto) || b.mark(next, ",") || b.conj(next) || b.is(next, b.lang.Until) || b.lang.Prepositions[b.low(next)] != "" && b.lang.Prepositions[b.low(next)] != "of" || b.lang.Subordinators[b.low(next)] != "" || b.opensPhraseOf(next)
		if b.is(k, b.lang.Manner) && b.lang.Prepositions[b.low(next)] == "of" && b.number(next+1) {
			return next + 2 + min(1, len(b.low(next+2))) // "to a thickness of 1 cm"
		}
		if done && !b.foods(b.words[k].norm) {
			if b.is(k, b.lang.Manner) && role != "with" || b.lang.Sides[b.low(k)] && role != "in" || b.lang.Shapes[b.low(k)] && role == "in" && !first && !b.is(i, b.lang.Pointing) && !b.text.listed(b.words[k].norm) || b.adverb(k) && k > i {
				return next
			}
		}
		if !b.opensThing(k) && !b.adverb(k) && !b.plain(k) && !b.is(k, b.lang.Manner) {
			if unknown = unknown + 1; unknown > 1 || b.foods(b.words[k].norm) || b.lang.Vessels[b.low(k)] || b.lang.Products[b.low(k)] || done {
				return 0
			}
		}
	}
	return 0
}

// opensPhraseOf tells whether a phrase of the language begins at i: "so they".
func (b *body) opensPhraseOf(i int) bool {
	kind, _ := b.phrase(i)
	return kind != ""
}

// says takes words up to the next comma, cue or time as a manner.
func (b *body) says(i int) int {
	end := i + 1
	for end < b.upto && !b.mark(end, ",(") && !b.is(end, b.lang.Until) {
		if c, ok := b.time(end); ok && end > i+1 && !c.aside && b.lang.Prepositions[b.low(end-1)] == "for" {
			end--
			break
		}
		end++
	}
	b.how(i, end)
	return end
}

// tie notes the things that a preposition leads to.
func (b *body) tie(i, at int, w, role string, first bool) int {
	nouns, next := b.nouns(at)
	if len(nouns) == 1 && nouns[0].amount[1] > 0 && b.onlyDescribes(nouns[0]) && b.is(i, b.lang.Particles) {
		b.particle(i)
		b.how(at, next)
		return next // "pat out 3 cm thick"
	}
	if len(nouns) > 0 && role == "with" && b.looksGoing(next) && !b.modifies(next, b.upto) {
		return b.says(i) // "with the motor running"
	}
	if len(nouns) == 0 {
		if b.is(i, b.lang.Particles) {
			b.particle(i)
		}
		return at
	}
	if b.purpose != "" && role != "with" && role != "in" {
		return next
	}
	if b.lang.Purpose[w] && b.lang.CueShapes[nouns[0].head()] {
		if b.clause.cue[1] == 0 {
			b.clause.cue = [2]int{i, next}
		}
		return next // "to stiff peaks"
	}
	if role == "into" && b.shapes(w, nouns[0]) || first && role != "into" && nouns[0].owner == nil && b.cuts() && b.shapes("into", nouns[0]) { // but "pinch off pieces of the dough"
		b.gives(nouns[0])
		return next
	}
	nouns = b.onlyVesselOf(role, nouns)
	b.clause.links = append(b.clause.links, link{role, w, first, nouns, i})
	return next
}

// shapes tells whether "into" leads to what comes of it and not to where it
// goes: "into cubes", "to a smooth paste".
func (b *body) shapes(w string, n noun) bool {
	if n.upto == n.from+1 && b.lang.Shapes[b.low(n.from)] && b.lang.Becoming[w] {
		return true // "into quarters"
	}
	if n.pointed || b.doneBefore(n) || n.pronoun && n.amount[1] == 0 || !b.lang.Becoming[w] && !b.lang.Purpose[w] && !b.is(n.from-1, b.lang.Becoming) {
		return false
	}
	head := n.head()
	if t := b.technique(b.sense.Technique); t != nil && t.Medium == "with" && t.Family == "coat" {
		return false // "dip into beaten egg"
	}
	return b.lang.Shapes[head] || b.lang.Products[head] && !b.lang.Holding[head] || n.amount[1] > 0 && len(n.words) == 0
}
