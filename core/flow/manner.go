package flow

import (
	"yembra/core/larder"

	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/recipe"
)

// meanwhile tells whether an order that adds something begins behind "while you".
func (b *body) meanwhile(i int) bool {
	return b.is(i, b.lang.Whiles) && b.is(i+1, b.lang.Cooks) && b.addsAt(i+2)
}

// listed tells whether a clause is done to something of the list: "the rum, if you
// are using it".
func (c *clause) listed(t *text) bool {
	things := slices.Clone(c.objects)
	for _, l := range c.links {
		if l.first && t.lang.Particles[l.word] {
			things = append(things, l.nouns...)
		}
	}
	return slices.ContainsFunc(things, func(n noun) bool { return len(n.words) > 0 && t.listed(n.head()) })
}

// lasts takes the time that a remark says the work takes: "which takes 20 minutes".
func (c *clause) lasts(t *text, from, upto int) {
	for i := from; i+1 < upto && c.minutes == nil; i++ {
		at := i + 1
		for t.is(at, t.lang.Articles) && !t.halfOf(at) || t.is(at, t.lang.Qualifiers) {
			at++
		}
		if took, ok := t.time(at); t.is(i, t.lang.Takes) && ok && !took.aside {
			c.minutes, c.clock = &took.span, [2]int{at, took.upto}
		}
	}
}

// sameAs is where what begins at i ends, and says as how large something is made: "the same length as the beans", "to the
// same size as the slices are"; 0 where it says nothing like it.
func (b *body) sameAs(i int) int {
	at := i
	if b.lang.Purpose[b.low(at)] {
		at++
	}
	if b.lang.Definite[b.low(at)] && b.lang.Dimensions[b.low(at+1)] && b.lang.Prepositions[b.low(at+2)] == "of" && len(b.clause.objects) > 0 {
		if n, ok := b.noun(at+3, b.upto, false); ok && n.owner == nil && !b.foods(n.head()) {
			return n.upto // "rolls the length of a finger"
		}
	}
	if !b.lang.Definite[b.low(at)] || !b.lang.Again[b.low(at+1)] || !b.lang.Dimensions[b.low(at+2)] || b.lang.Subordinators[b.low(at+3)] != "comparison" {
		return 0
	}
	end := at + 4
	for end < b.upto && !b.mark(end, ",") && !(b.conj(end) && b.orders(end+1, false, false)) {
		end++
	}
	return end
}

// sinks tells whether a time behind the verb is that of the work and not of when it is
// done: "rest 5 minutes before serving", but not "take out 15 minutes before serving".
func (b *body) sinks() bool {
	t := b.technique(b.sense.Technique)
	return t == nil || t.Takes != "part" && t.Family != "assemble"
}

// hanging reads a clause that hangs on this one under a conjunction: a
// condition makes it conditional, everything else only says how.
func (b *body) hanging(i, n int, kind string) int {
	if next := b.addsMeanwhile(i, i+n); next > 0 {
		return next
	}
	end := i + n
	for end < b.upto && !b.mark(end, ",") && !b.is(end, b.lang.Until) {
		if c, ok := b.time(end + 1); ok && !c.aside && b.lang.Prepositions[b.low(end)] == "for" {
			break // "as low as possible for 3 hours"
		}
		end++
	}
	if kind == language.If || kind == language.Optional && !b.clause.listed(b.text) || kind != language.Optional && b.is(i, b.lang.Ifs) {
		b.clause.conditional = !b.onlyBesides(i)
	}
	b.clause.lasts(b.text, i, end)
	b.how(i, end)
	return end
}

// onlyBesides tells whether a condition at i hangs on what is said besides behind a comma, and not on
// the order itself: "beat in the eggs, with a spoonful of flour if it splits".
func (b *body) onlyBesides(i int) bool {
	if len(b.clause.objects)+len(b.clause.links) == 0 {
		return false
	}
	if b.mark(i-1, ",") && b.conj(i-2) {
		return true // "add the cream and, if you like, a drop of browning"
	}
	for k := b.start + b.width; k < i-1; k++ {
		if b.mark(k, ",") && (b.lang.Prepositions[b.low(k+1)] == "with" || b.looksGoing(k+1) || b.conj(k+1)) {
			return true // "top each with an egg, and hollandaise if you like"
		}
	}
	last := b.clause.objects
	if n := len(b.clause.links); n > 0 {
		if b.clause.links[n-1].role == "with" && b.clause.listed(b.text) {
			return true // "add the leeks with a splash more oil if needed"
		}
		last = b.clause.links[n-1].nouns
	}
	kind, _ := b.phrase(i)
	return kind == language.Optional && len(last) > 1 // "with an egg and hollandaise if you like"
}

// until reads a cue.
func (b *body) until(i int) int {
	end := i + 1
	for end < b.upto {
		if b.mark(end, "(:") {
			break
		}
		if b.mark(end, ",") || b.conj(end) {
			next := end + 1
			for b.conj(next) {
				next++
			}
			if _, ok := b.time(next); ok || b.is(next, b.lang.Until) || b.goes(next) && b.mark(end, ",") || b.cueStops(next) {
				break
			}
		}
		end++
	}
	if b.clause.cue[1] == 0 {
		b.clause.cue = [2]int{i, end}
	}
	return end
}

// sign tells whether behind a comma it is said how something gets, without a word for until:
// "fry the eggs, crisp at the edges".
func (t *text) sign(i int) bool {
	if i < 1 || !t.mark(i-1, ",") && !t.dash(i-1) {
		return false
	}
	if t.lang.AdjectiveVerbs[t.low(i)] && t.lang.Prepositions[t.low(i+1)] == "at" {
		return true
	}
	look := t.lang.AdjectiveVerbs[t.low(i)] || t.lang.Surfaces[t.low(i)]
	return look && t.lang.Places[t.low(i+1)] && (t.ends(i+2, len(t.words)) || t.mark(i+2, ",.;!") || t.conj(i+2)) // "- brown outside, still pink inside"
}

// cueStops tells whether something else than the cue goes on behind a comma.
func (b *body) cueStops(i int) bool {
	kind, _ := b.phrase(i)
	return kind != "" || b.lang.Prepositions[b.low(i)] == "without" || b.is(i, b.lang.Ifs) || b.lang.Subordinators[b.low(i)] == recipe.Remark && b.is(i+1, b.lang.Takes)
}

// bracket notes what stands in brackets, to be read after the clause.
func (b *body) bracket(i int) int {
	end := i
	for end < b.upto && !b.mark(end, ")") {
		end++
	}
	b.brackets = append(b.brackets, [2]int{i + 1, end})
	return end + 1
}

// slice is the text that a run of words spans.
func (t *text) slice(from, upto int) string {
	if from >= upto || from >= len(t.words) {
		return ""
	}
	return strings.TrimRight(t.source[t.words[from].Start:t.words[upto-1].End], " ,")
}

// how notes words that say how something is done.
func (b *body) how(from, upto int) {
	b.clause.manner, b.clause.mannerAt = append(b.clause.manner, b.slice(from, upto)), append(b.clause.mannerAt, [2]int{from, upto})
}

// bringsFood tells whether a food of the list is named at i, behind articles and how much of it is meant: "the rest of the cream".
func (b *body) bringsFood(i int) bool {
	for i < b.upto && !b.number(i) && (b.is(i, b.lang.Articles) || b.lang.Rests[b.low(i)] || b.lang.Shares[b.low(i)] > 0 || b.lang.Prepositions[b.low(i)] == "of") {
		i++
	}
	return i < b.upto && (b.foods(b.words[i].norm) || b.titled(i, b.upto) > 0 || b.modifies(i, b.upto))
}

// onlyDescribes tells whether a name says how a thing gets: "squeeze dry", "slice
// them 3 mm thick".
func (b *body) onlyDescribes(n noun) bool {
	for _, w := range n.words {
		if !b.lang.AdjectiveVerbs[w] && !b.lang.Covered[w] {
			return false
		}
	}
	return len(n.words) > 0 && !n.pointed && !n.pronoun
}

// whileHot is where "while hot" or "while still warm" ends that begins at i, 0 where it does not.
func (b *body) whileHot(i int) int {
	if !b.is(i, b.lang.Whiles) {
		return 0
	}
	at := i + 1
	if b.adverb(at) && !b.lang.HeatWords[b.low(at)] {
		at++
	}
	w := b.low(at)
	if !b.lang.HeatWords[w] && !b.lang.AdjectiveVerbs[w] {
		return 0
	}
	if next := at + 1; b.ends(next, b.upto) || b.mark(next, ",") || b.conj(next) || b.lang.Prepositions[b.low(next)] != "" {
		return next
	}
	return 0
}

// lidAt is where words end at i that say no more than how the lid sits: "bring to a simmer, lid ajar"; 0 where they
// do not.
func (b *body) lidAt(i int) int {
	at := i
	if b.is(at, b.lang.Articles) || b.is(at, b.lang.Possessives) {
		at++
	}
	if at >= b.upto || !b.lang.Lids[b.low(at)] || i <= b.start+b.width && !b.mark(i-1, ",") {
		return 0
	}
	end := at + 1
	for end < b.upto && (b.lang.Uncovered[b.low(end)] || b.lang.Covered[b.low(end)] || b.adverb(end) || b.is(end, b.lang.Particles)) {
		end++
	}
	if end == at+1 || !b.ends(end, b.upto) && !b.mark(end, ",") && !b.conj(end) {
		return 0
	}
	return end
}

// broughtRound reads the things that one just named is said to be brought round or onto: "a slice of ham rolled round a
// slice of cheese".
func (b *body) broughtRound(i int) ([]noun, int) {
	if i <= b.start+b.width || !b.describes(i) || b.lang.Prepositions[b.low(i+1)] != "into" || b.mark(i-1, ",") {
		return nil, i
	}
	nouns, next := b.nouns(i + 2)
	made := b.bringsFood(i + 2) // or what a preparation has made
	for _, n := range nouns {
		if n.pronoun || !b.foods(n.head()) && !made {
			return nil, i
		}
	}
	return nouns, next
}

// slightly is where words end that say of work which brings nothing together that it is done only a little: "cool a little
// and shred"; 0 where none do.
func (b *body) slightly(i int) int {
	t, end := b.technique(b.sense.Technique), i+2
	if t == nil || t.Joins != "" || !b.is(i, b.lang.Articles) || !b.lang.SlightWords[b.low(i+1)] {
		return 0
	}
	if b.ends(end, b.upto) || b.mark(end, ",") || b.conj(end) || b.lang.Sequence[b.low(end)] {
		return end
	}
	return 0
}

// oftenEnd is where words end that say how often, "now and then", "every now and again", 0 where they do not begin at i.
func (b *body) oftenEnd(i int) int {
	at := i
	if b.lang.Dealt[b.low(at)] {
		at++
	}
	if !b.recurs(at) {
		return 0
	}
	return at + 3
}

// runsAlong takes in where on a thing itself a cut runs, as how it is cut: "slit the prawns along the back".
func (b *bindings) runsAlong(c *clause, t *larder.Technique, l link, r *roles) bool {
	n := l.nouns[0]
	if l.role != "into" || t.Family != "cut" || !b.r.lang.Lengthwise[l.word] || len(c.objects) == 0 || !n.pointed {
		return false
	}
	r.action.Manner = append(r.action.Manner, l.word+" "+b.text.slice(n.from, n.upto))
	return true
}
