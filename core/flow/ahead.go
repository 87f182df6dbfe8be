package flow

import "yembra/core/language"

// preparesVessel tells whether a second verb and a pot follow, that both are done to:
// "butter and flour a tin".
func (t *text) preparesVessel(i int) bool {
	if !t.conj(i) {
		return false
	}
	_, n := t.verb(i+1, language.Base)
	if n == 0 || !t.is(i+1+n, t.lang.Articles) {
		return false
	}
	thing, ok := t.noun(i+1+n, len(t.words), false)
	return ok && t.lang.Vessels[thing.head()]
}

// cutInto tells how far words reach that say between the things of a list how one of them was cut:
// "the butter, cut into cubes, and the cheese"; 0 where they do not.
func (t *text) cutInto(i int) int {
	if _, n := t.verb(i, language.Past); n == 0 || !t.mark(i-1, ",") && !t.andDone(i) || !t.takesShape(i+1) && !t.inShape(i+1) {
		return 0
	}
	end := i + 1
	for end < len(t.words) && !t.mark(end, ",") && !t.conj(end) && !t.ends(end, len(t.words)) {
		end++
	}
	if t.mark(end, ",") && t.is(end+1, t.lang.Articles) {
		return end // ", the onion and the leek"
	}
	if t.mark(end, ",") && t.conj(end+1) {
		if _, n := t.verb(end+2, language.Base); n == 0 {
			return end
		}
	}
	return 0
}

// andDone tells whether a word goes on from how the thing before it was prepared: "the potatoes, peeled and cut into dice".
func (t *text) andDone(i int) bool {
	if !t.conj(i-1) || !t.mark(i-3, ",") {
		return false
	}
	_, n := t.verb(i-2, language.Past)
	return n > 0
}

// inShape tells whether the pieces follow in which something is cut: "in chunks".
func (t *text) inShape(i int) bool {
	n, ok := t.noun(i+1, len(t.words), false)
	return t.lang.Prepositions[t.low(i)] == "in" && ok && n.plural && (t.lang.Shapes[n.head()] || t.lang.Shapes[t.lastOf(n)])
}

// takesShape tells whether a shape follows that something is brought into: "roll into logs", of a
// dough with bread rolls in it.
func (t *text) takesShape(i int) bool {
	if !t.lang.Becoming[t.low(i)] {
		return false
	}
	n, ok := t.noun(i+1, len(t.words), false)
	return ok && (t.lang.Shapes[n.head()] || t.lang.Shapes[t.lastOf(n)])
}

// standsAlone tells whether a word that may open a clause means a thing: "add that too".
func (b *body) standsAlone(i int) bool {
	return b.is(i, b.lang.Pronouns) && b.adverb(i+1) && b.ends(i+2, b.upto)
}

// comesOffMilk takes in the milk that a cream comes off as its owner.
func (t *text) comesOffMilk(n *noun, at, upto int, inner bool) bool {
	k := t.offMilk(*n, at)
	if k == 0 {
		return false
	}
	owner, ok := t.noun(k, upto, inner)
	if ok {
		n.owner, n.upto = &owner, owner.upto
	}
	return ok
}

// offMilk is where the milk stands that a cream is said to come off: "the thick cream off the top of the (can of)
// coconut milk"; 0 where it is not said so.
func (t *text) offMilk(n noun, at int) int {
	if !t.lang.StandIns[n.head()] || t.lang.Prepositions[t.low(at)] != "from" {
		return 0
	}
	k := at + 1
	for t.is(k, t.lang.Articles) && (t.lang.Places[t.low(k+1)] || t.lang.Measures[t.low(k+1)]) && t.lang.Prepositions[t.low(k+2)] == "of" {
		k += 3
	}
	end := k
	for t.is(end, t.lang.Articles) || end < len(t.words) && t.foods(t.words[end].norm) && !t.lang.StandIns[t.low(end)] {
		end++
	}
	if end == k || end >= len(t.words) || !t.lang.StandIns[t.low(end)] {
		return 0
	}
	return k
}
