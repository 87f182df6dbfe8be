package flow

import (
	"slices"

	"yembra/core/language"
)

// inTurn is where what begins at i behind a comma ends, and says which of several is first: ", largest first"; 0 where it
// does not.
func (b *body) inTurn(i int) int {
	if i == 0 || !b.mark(i-1, ",") || !b.lang.Ordinals[b.low(i+1)] || b.low(i) == "" || b.is(i, b.lang.Articles) || b.foods(b.words[i].norm) || !b.ends(i+2, b.upto) && !b.mark(i+2, ",") {
		return 0
	}
	return i + 2
}

// oneOfEach is where "a strip each of" ends that begins at i, 0 where it does not.
func (t *text) oneOfEach(i, upto int) int {
	if i+3 < upto && t.is(i, t.lang.Articles) && (t.lang.Shapes[t.low(i+1)] || t.lang.Measures[t.low(i+1)]) && t.lang.Dealt[t.low(i+2)] && t.lang.Prepositions[t.low(i+3)] == "of" {
		return i + 4
	}
	return 0
}

// pastOtherSize skips what stands in brackets between a length and the vessel that it is the size of: "a 20 cm (8 inch) tin".
func (t *text) pastOtherSize(i, at, upto int) int {
	if at <= i || at >= upto || !t.mark(at, "(") || t.lang.Lengths[t.low(at-1)] == 0 {
		return at
	}
	for k := at + 1; k < min(upto, at+2*farthestName); k++ {
		if t.mark(k, ")") && t.goesOnToVessel(k+1, upto) {
			return k + 1
		}
	}
	return at
}

// oneForEach tells whether one thing is named at i that each of several gets: "an egg in each".
func (b *body) oneForEach(i int) bool {
	if !b.is(i, b.lang.Articles) || b.is(i, b.lang.Definite) || !b.mark(i-1, ",") {
		return false
	}
	for k := i + 1; k < min(b.upto, i+farthestName) && !b.mark(k, ",.;") && !b.conj(k); k++ {
		if b.lang.Prepositions[b.low(k)] != "" && b.lang.Prepositions[b.low(k)] != "of" {
			return b.lang.Dealt[b.low(k+1)] && b.ends(k+2, b.upto)
		}
	}
	return false
}

// titled counts the words of a thing made before that goes by a name with a joining word:
// "the mushrooms and tempeh" is one.
func (t *text) titled(at, upto int) int {
	for _, title := range t.titles {
		k, matched := at, 0
		for k < upto && matched < len(title) && t.words[k].norm == title[matched] {
			k, matched = k+1, matched+1
		}
		if matched == len(title) {
			return k - at
		}
	}
	return 0
}

// ofEach is a thing of which a place is named, where it is each of several: all of them, "one side of each slice of bread".
func ofEach(n noun) noun {
	if n.all {
		n.amount = [2]int{}
	}
	return n
}

// onEachVessel tells whether a link is no more than "on each" behind vessels that have been named: "in bowls with an egg on each".
func (b *bindings) onEachVessel(c *clause, l link) bool {
	n := l.nouns[0]
	if l.role != "into" || n.upto != n.from+1 || !b.r.lang.Dealt[b.text.low(n.from)] {
		return false
	}
	return slices.ContainsFunc(c.links, func(o link) bool { return o.from < l.from && o.nouns[0].plural && b.vessel(o.nouns[0]) != "" })
}

// liesInIt tells whether a pronoun behind "with" only says that what goes along lies in what is worked on: "bring the milk to
// the boil with the pod in it".
func (b *bindings) liesInIt(c *clause, l link, r *roles) bool {
	n := l.nouns[0]
	if !n.pronoun || n.rest || n.share > 0 || n.plural || l.role != "in" || len(r.action.To) == 0 || len(r.action.Into) > 0 {
		return false
	}
	return slices.ContainsFunc(c.links, func(o link) bool { return o.role == "with" && o.from < l.from })
}

// eachCoated tells whether a noun means each of the things that were coated with something just before, and not that: "brush the
// lids with egg and make a hole in each".
func (b *bindings) eachCoated(n noun) bool {
	if n.rest || len(n.words) != 1 || !b.r.lang.Dealt[n.words[0]] || b.last == nil || b.focus == nil || !b.open(b.focus) {
		return false
	}
	t := b.r.larder.Technique(b.last.Technique)
	return t != nil && t.Family == "coat" && b.last.ID == b.focus.id
}

// eachDone tells whether behind a comma it is said what was done to each thing: ", each one buttered".
func (b *body) eachDone(i int) bool {
	if !b.lang.Dealt[b.low(i)] || !b.mark(i-1, ",") {
		return false
	}
	if i++; b.is(i, b.lang.Ones) {
		i++
	}
	_, n := b.verb(i, language.Past)
	return n > 0 && (b.ends(i+n, b.upto) || b.mark(i+n, ","))
}
