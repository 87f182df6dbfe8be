package flow

import (
	"strings"

	"yembra/core/language"
)

// body reads what hangs on one verb, up to where its clause ends.
type body struct {
	*parser
	*clause
	upto         int
	start, width int // where the verb stands and how many words it spans
	// purpose tells that "to" and a verb have been read, so that things that
	// follow are what it is done for.
	purpose string
	// purposeAt is where that "to" stands.
	purposeAt int
	// inner is the work that a thing is left to, or that goes on; goesOn is where the
	// second stands.
	inner  string
	goesOn int
}

// takeFront takes over what stood before the verb.
func (b *body) takeFront() {
	f := b.parser.front
	if f == nil {
		return
	}
	b.clause.links, b.clause.from = append(b.clause.links, f.links...), f.from
	b.clause.minutes, b.clause.temp, b.clause.ring = f.minutes, f.temp, f.ring
	b.clause.clock, b.clause.degrees, b.clause.per = f.clock, f.degrees, f.per
	b.clause.manner, b.clause.mannerAt = append(b.clause.manner, f.manner...), append(b.clause.mannerAt, f.mannerAt...)
	b.parser.front = nil
}

// run reads the words from i to the end of the clause and returns where it
// ends.
func (b *body) run(i int) int {
	b.say(i)
	if b.start >= 0 {
		b.clause.verbAt = [2]int{b.start, b.start + b.width}
	}
	for i < b.upto {
		if end := b.oftenEnd(i); end > 0 {
			b.how(i, end)
			i = end
			continue
		}
		next := b.one(i)
		i = max(next, i+1)
	}
	b.excepts()
	return b.upto
}

// keepsOn takes the work that is gone on with: "keep stirring", "carry on cooking".
func (b *body) keepsOn(i int) {
	if first, _, _ := strings.Cut(b.lemma, " "); !b.lang.Continuing[first] {
		return
	}
	for i < b.upto && (b.is(i, b.lang.Particles) || b.is(i, b.lang.Pronouns)) {
		i++
	}
	inner, n := b.verb(i, language.Going)
	if n == 0 || !b.looksGoing(i) {
		return
	}
	sense := b.senseOf(inner, i+n, b.upto)
	if work := b.technique(sense.Technique); work != nil && (work.Joins == "yes" || !b.modifies(i, b.upto)) { // "go on adding stock"
		b.clause.sense, b.clause.repeats = language.Sense{Technique: sense.Technique}, false
		b.inner, b.goesOn = strings.ToLower(b.slice(i, i+n)), i
	}
}

// lets takes the work that a thing is left to: "let them colour", "leave to soften", but not "leave a minute so the whites
// turn milky".
func (b *body) lets(i int) {
	t := b.technique(b.sense.Technique)
	if !b.lang.Causatives[b.lemma] || len(b.sense.Keys) > 0 || t == nil || t.Family != "rest" {
		return
	}
	for k := i; k < b.upto && !(b.mark(k, ",(") && !b.opensThing(k+1)) && !b.is(k, b.lang.Until) && b.lang.Subordinators[b.low(k)] == "" && (b.lang.Prepositions[b.low(k)] == "" || b.lang.Purpose[b.low(k)]); k++ {
		inner, n := b.verb(k, language.Base)
		if n == 0 || b.opensThing(k) || b.foods(b.words[k].norm) || b.modifies(k, b.upto) || k > i && b.is(k-1, b.lang.Articles) {
			continue
		}
		sense := b.senseOf(inner, k, b.upto)
		if work := b.technique(sense.Technique); work != nil && work.Takes != "part" && !b.opensThing(k+n) {
			b.clause.sense, b.inner = language.Sense{Technique: sense.Technique}, inner
		}
		return
	}
}

// say puts the verb together as the text has it: "stir in", "bring to the boil".
func (b *body) say(i int) {
	b.clause.said = b.lemma
	if b.inner != "" {
		b.clause.said += " " + b.inner
	}
	if b.repeats || b.inner != "" {
		return
	}
	if _, _, hot := b.heat(i + 1); !hot && b.is(i, b.lang.Particles) && b.lang.Prepositions[b.low(i+1)] == "" {
		b.clause.said += " " + b.low(i)
		return
	}
	for _, key := range b.sense.Keys {
		for k := i; k < b.upto; k++ {
			if b.low(k) != key[0] || !b.holds(i, b.upto, key) {
				continue
			}
			from := k
			for from > i && (b.is(from-1, b.lang.Articles) || b.lang.Prepositions[b.low(from-1)] != "" || b.lang.HeatWords[b.low(from-1)]) {
				from--
			}
			b.clause.said += " " + strings.ToLower(b.slice(from, k+1))
			return
		}
	}
}

// one reads what begins at i and returns where it ends.
func (b *body) one(i int) int {
	switch {
	case b.mark(i, "("):
		return b.bracket(i)
	case b.mark(i, ","), b.dash(i) && b.sign(i+1):
		b.purpose = ""
		if b.sign(i + 1) {
			return b.until(i + 1)
		}
		return i + 1
	case b.wordless(i):
		return i + 1
	case b.is(i, b.lang.Until):
		return b.until(i)
	}
	if c, ok := b.time(i); ok {
		return b.timed(i, c)
	}
	if v, upto, ok := b.celsius(i); ok {
		if b.clause.temp == nil {
			b.clause.temp, b.clause.degrees = &v, [2]int{i, upto}
		}
		return upto
	}
	if end := max(b.throughout(i), b.sameAs(i), b.inTurn(i), b.howFar(i)); end > 0 {
		b.how(i, end)
		return end
	}
	if b.remnant(i) > 0 {
		nouns, next := b.nouns(i)
		b.clause.objects = append(b.clause.objects, nouns...)
		return next
	}
	if end := b.eachOf(i); end > 0 && len(b.clause.objects)+len(b.clause.links) > 0 {
		b.how(i, end)
		return end
	}
	if kind, n := b.phrase(i); kind != "" && kind != language.NoteOpener && kind != language.Meanwhile {
		return b.hanging(i, n, kind)
	}
	if b.meanwhile(i) {
		b.upto = i
		return i
	}
	if end := max(b.whileHot(i), b.slightly(i)); end > 0 {
		b.how(i, end)
		return end
	}
	if nouns, next := b.followedBy(i); len(nouns) > 0 {
		b.clause.links = append(b.clause.links, link{role: "with", word: "with", nouns: nouns, from: i})
		return next // "sift over the flour and fold in, followed by the nuts"
	}
	if kind := b.lang.Subordinators[b.low(i)]; kind != "" && !b.standsAlone(i) && !b.lang.Purpose[b.low(i)] && (b.lang.Prepositions[b.low(i)] == "" || b.finite(i)) {
		return b.hanging(i, 1, kind)
	}
	if b.is(i, b.lang.Negations) {
		return b.hanging(i, 1, "")
	}
	return b.rest(i)
}

// throughout is where what begins at i ends, and says that something is done to the end: "all the time", "all the way
// through"; 0 where it says nothing like it.
func (b *body) throughout(i int) int {
	if i+2 >= b.upto || b.lang.Shares[b.low(i)] != 1 || !b.is(i+1, b.lang.Pointing) || !b.lang.Manner[b.low(i+2)] && !b.lang.Whiles[b.low(i+2)] {
		return 0
	}
	end := i + 3
	for end < b.upto && b.is(end, b.lang.Particles) {
		end++
	}
	return end
}

// timed takes in a time that no preposition leads to.
func (b *body) timed(i int, c clock) int {
	if b.minutes == nil && (!c.aside || b.sinks() && c.later && b.lang.Prepositions[b.low(c.upto)] == "before" && (b.goes(c.upto+1) || i == b.start+b.width && b.is(c.upto+1, b.lang.Subjects))) {
		b.clause.minutes, b.clause.clock, b.clause.per = &c.span, [2]int{i, c.upto}, c.per
	} else if b.lang.TimeAfter[b.low(c.upto)] {
		return b.says(i)
	} else {
		b.how(i, c.upto)
	}
	if b.is(c.upto, b.lang.Pronouns) && b.is(c.upto, b.lang.Pointing) && (b.ends(c.upto+1, b.upto) || b.mark(c.upto+1, ",")) {
		b.how(c.upto, c.upto+1)
		return c.upto + 1 // "2 minutes each"
	}
	return c.upto
}

func (b *body) wordless(i int) bool { return i >= b.upto || b.words[i].low == "" && !b.number(i) }

// finite tells whether a clause with a verb of its own begins at i: "as it
// browns".
func (b *body) finite(i int) bool {
	return b.is(i+1, b.lang.Subjects) && !b.opensFood(i+2)
}

func (b *body) opensFood(i int) bool {
	return i < len(b.words) && b.foods(b.words[i].norm) && b.ends(i+1, b.upto)
}

// rest reads prepositions, verbs of purpose, adverbs and things.
func (b *body) rest(i int) int {
	if b.lang.Connectors[b.low(i)] && b.lang.Purpose[b.low(i+1)] && i > b.start+b.width {
		return b.link(i+1, false) // "next to it"
	}
	if b.adverb(i) && b.lang.TimeHedges[b.low(i)] && b.number(i+1) && b.lang.Prepositions[b.low(i)] == "" {
		return i + 1 // "about 2 cm thick"
	}
	if n, ok := b.noun(i+1, b.upto, false); ok && b.lang.TimeHedges[b.low(i)] && n.owner != nil && b.lang.Manner[n.head()] {
		b.how(i, n.upto)
		return n.upto // "about the size of walnuts"
	}
	if b.lang.Prepositions[b.low(i)] != "" || b.lang.Purpose[b.low(i)] || b.is(i, b.lang.Particles) {
		return b.link(i, i == b.start+b.width)
	}
	if b.conj(i) {
		if n, ok := b.noun(i+1, b.upto, false); ok && !n.pronoun && b.lang.Modals[b.low(n.upto)] && i > b.start {
			return b.says(i) // "or the pastry will melt"
		}
		return i + 1
	}
	if end := b.doled(i, b.upto); end > 0 {
		b.how(i, end)
		return end
	}
	if b.lang.Prepositions[b.low(i+1)] == "with" && (i > b.start+b.width || b.sense.Technique == serveTechnique) && b.describes(i) && b.bringsFood(i+2) {
		return b.link(i+1, false) // "tortillas topped with cheese", "serve topped with cheese"
	}
	if nouns, next := b.broughtRound(i); len(nouns) > 0 {
		b.clause.links = append(b.clause.links, link{role: "with", word: "with", nouns: nouns, from: i})
		return next
	}
	if end := b.sidewaysEnd(i); end > 0 && b.lang.Prepositions[b.low(end)] != "" && end < b.upto {
		b.how(i, end)
		return end // "lay it skin-side down in a cold pan"
	}
	if b.sideways(i) || b.describes(i) && i > b.start+b.width || b.eachDone(i) {
		return b.says(i)
	}
	if b.goesOn > 0 && i == b.goesOn {
		return i + 1
	}
	if b.looksGoing(i) && !b.modifies(i, b.upto) {
		return b.alongside(i)
	}
	if said, upto, ok := b.heat(i); ok && b.clause.ring == "" && len(b.clause.objects) > 0 {
		b.clause.ring = said
		return upto
	}
	if b.adverb(i) && !b.modifies(i, b.upto) {
		return b.byAdverb(i)
	}
	if b.lang.Causatives[b.lemma] && b.innerOrder(i) && i > b.start {
		return i + 1
	}
	if end := max(b.lidAt(i), b.compared(i)); end > 0 {
		b.how(i, end)
		return end
	}
	return b.things(i)
}
