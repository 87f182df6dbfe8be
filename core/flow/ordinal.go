package flow

import "yembra/core/larder"

// vesselOf reads what means one of several vessels by its number alone: "flour on one plate, the egg on a
// second and crumbs on the third". The vessel is the last that was named before i.
func (t *text) vesselOf(i, upto int) (noun, bool) {
	at := i
	for t.is(at, t.lang.Articles) && !t.lang.Ordinals[t.low(at)] {
		at++
	}
	if !t.lang.Ordinals[t.low(at)] || !t.ends(at+1, upto) && !t.mark(at+1, ",") && !t.conj(at+1) {
		return noun{}, false
	}
	for k := i - 1; k >= 0 && k >= i-longestList; k-- {
		if w := larder.Singular(t.low(k)); t.lang.Vessels[w] && (t.lang.Receiving[w] || t.lang.Holding[w]) {
			return noun{from: i, upto: at + 1, words: []string{w}}, true
		}
	}
	return noun{}, false
}

// numbered is a vessel that a preposition at i leads to by its number: "on the first".
func (b *body) numbered(i int) (noun, bool) {
	if role := b.lang.Prepositions[b.low(i)]; role != "in" && role != "into" {
		return noun{}, false
	}
	return b.vesselOf(i+1, b.upto)
}

// onOne ties such a vessel to the verb. It returns where it ends, 0 where none stands there.
func (b *body) onOne(i int) int {
	n, ok := b.numbered(i)
	if !ok {
		return 0
	}
	b.clause.links = append(b.clause.links, link{role: "into", word: b.low(i), nouns: []noun{n}, from: i})
	return n.upto
}

// leavesVessel tells whether what follows a vessel behind a comma goes into another, so that it is none of
// a list: "on a plate, the egg on a second".
func (b *body) leavesVessel(n noun, next int) bool {
	if len(n.words) == 0 || !b.lang.Vessels[n.head()] {
		return false
	}
	other, ok := b.noun(next, b.upto, false)
	return ok && b.oneOf(other.upto)
}

// oneOf tells whether a preposition at i leads to one of several vessels by its number.
func (b *body) oneOf(i int) bool {
	_, ok := b.numbered(i)
	return ok
}
