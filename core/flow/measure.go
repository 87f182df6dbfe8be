package flow

import (
	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
)

// of reads what stands behind "of": a share, measure or part of something, or
// the rest of a name ("cream of tartar").
func (t *text) of(n noun, at, upto int, inner bool) (noun, bool) {
	owner, ok := t.noun(at+1, upto, inner)
	if !ok {
		n.upto = at
		return n, len(n.words) > 0
	}
	owner.from = n.from
	if owner.share == 0 {
		owner.share = n.share
	}
	owner.rest, owner.little = owner.rest || n.rest, owner.little || n.little
	if owner.amount[1] == 0 {
		owner.amount = n.amount
	}
	if len(n.words) == 0 || t.measuring(n) {
		owner.cut = n.cut || t.lang.Shapes[t.low(at-1)]
		return owner, true
	}
	if !t.lang.Parts[n.head()] && !t.lang.Manner[n.head()] && !t.lang.Places[n.head()] && !owner.pronoun && len(n.words) == 1 && len(owner.words) == 1 && !owner.pointed {
		n.words = append(n.words, owner.words...) // "cream of tartar"
		n.upto = owner.upto
		return n, true
	}
	part := n
	part.owner, part.upto = &owner, owner.upto
	return part, true
}

// eachOf reads what stands behind "each of": "each of two bowls".
func (t *text) eachOf(i, at, upto int, inner bool) (noun, bool) {
	of, ok := t.of(noun{from: i}, at, upto, inner)
	of.all = true
	return of, ok
}

// byTitle is the name of k words by which something goes that was made before.
func (t *text) byTitle(n noun, at, k int) noun {
	for end := at + k; at < end; at++ {
		n.words = append(n.words, larder.Words(t.words[at].Text)...)
	}
	n.upto, n.plural = at, true
	return n
}

// measuring tells whether a name only measures: "a thin stream of", "slices of".
func (t *text) measuring(n noun) bool {
	for _, w := range n.words {
		if t.lang.Parts[w] || !t.lang.Measures[w] && t.lang.Littles[w] == 0 && !t.lang.Shapes[w] && !t.lang.Qualifiers[w] {
			return false
		}
	}
	return true
}

// measure reads a figure with its unit before a name, and shares.
func (t *text) measure(n *noun, i, upto int) int {
	at := i
	for at < upto && t.adverb(at) && (t.number(at+1) || t.lang.Shares[t.low(at+1)] > 0) {
		at++ // "about half"
	}
	at = t.oneMore(at)
	c := lex.Cursor{Tokens: t.tokens, At: at, Words: &t.lang.Lines.Figures}
	start := at
	if s, ok := c.Span(); ok && c.At <= upto {
		w := t.low(start)
		if t.lang.Shares[w] == 0 && t.lang.Shares[t.low(start+1)] == 0 || t.number(start) {
			if !t.is(start, t.lang.Articles) || t.oneUnit(start) {
				at = c.At
				if v := t.lang.Shares[t.low(at)]; v > 0 && s.Low >= 1 && !t.lang.Whole[t.low(at)] && t.lang.Shares[t.low(at)] < 1 {
					n.share = s.Low * v
					return at + 1
				}
				for t.crossed(at) > 0 {
					at += t.crossed(at) // "30 x 40 cm"
				}
				for at < upto && (t.lang.Measures[t.low(at)] && !t.countsVessels(at, upto) && !t.sideways(at+1) || t.mark(at, "-")) {
					at++
				}
				n.amount = [2]int{start, at}
			}
		}
	}
	return at
}

// oneMore is past the words that say that as much as comes then is more of it: "another 25 g", "a further 25 g".
func (t *text) oneMore(i int) int {
	k := i
	if t.is(k, t.lang.Articles) && !t.lang.TimeMore[t.low(k)] {
		k++
	}
	if t.lang.TimeMore[t.low(k)] && t.number(k+1) {
		return k + 1
	}
	return i
}

// counts tells whether a noun is of several that it says by number alone: "six cevapi".
func (t *text) counts(n noun) bool {
	if n.amount[1] <= n.amount[0] {
		return false
	}
	c := lex.Cursor{Tokens: t.tokens, At: n.amount[0], Words: &t.lang.Lines.Figures}
	s, ok := c.Span()
	return ok && c.At == n.amount[1] && s.Low > 1
}

// oneUnit tells whether an article stands for one of a measure: "a litre of the water".
func (t *text) oneUnit(i int) bool {
	unit, _ := t.lang.Lines.Unit(t.low(i + 1))
	kind, known := measure.DimensionOf(unit)
	return known && kind != measure.Count && t.lang.Littles[t.low(i+1)] == 0 && t.lang.Prepositions[t.low(i+2)] == "of"
}

// crosses tells whether a word stands between two lengths: "30 x 40 cm".
func (t *text) crosses(i int) bool { return t.is(i, t.lang.Crosses) && t.number(i-1) && t.number(i+1) }

// crossed is how many words stand from the first of two lengths to behind the second: "x 40", "-by-13"; 0 where they are
// not put so.
func (t *text) crossed(i int) int {
	if t.crosses(i) {
		return 2
	}
	if t.mark(i, "-") && t.is(i+1, t.lang.Crosses) && t.mark(i+2, "-") && t.number(i-1) && t.number(i+3) {
		return 4
	}
	return 0
}

// countsVessels tells whether a measure that is a vessel as well is meant as one, as
// nothing follows that it would measure: "between four cups".
func (t *text) countsVessels(i, upto int) bool {
	return t.lang.Vessels[t.low(i)] && t.lang.Prepositions[t.low(i+1)] != "of" && (t.ends(i+1, upto) || t.mark(i+1, ",") || t.conj(i+1) || t.lang.Prepositions[t.low(i+1)] != "")
}

// remnant finds words that mean what a vessel still holds: "what is left in the
// pot". It returns how many stand before the preposition.
func (t *text) remnant(i int) int {
	for _, p := range t.lang.Remnants {
		if !t.runs(i, p) {
			continue
		}
		if role := t.lang.Prepositions[t.low(i+len(p))]; role == "in" || role == "of" {
			return len(p)
		}
	}
	return 0
}

// remnantAlone is where words end at i that mean what a pan still holds and say no more: "what is left"; 0 where
// none stand there.
func (t *text) remnantAlone(i, upto int) int {
	for _, p := range t.lang.Remnants {
		if end := i + len(p); t.runs(i, p) && (t.ends(end, upto) || t.mark(end, ",") || t.conj(end)) {
			return end
		}
	}
	return 0
}

// stillHeld reads what a vessel still holds, by what it is of or by itself; said tells whether it is said.
func (t *text) stillHeld(n noun, i, upto int, inner bool) (of noun, said, ok bool) {
	if k := t.remnant(i); k > 0 {
		of, ok = t.noun(i+k+1, upto, inner) // "what is left of the dressing"
		of.from, of.rest = i, of.rest || t.lang.Prepositions[t.low(i+k)] == "of"
		return of, true, ok
	}
	if end := t.remnantAlone(i, upto); end > 0 {
		n.upto, n.pronoun, n.remains = end, true, true
		return n, true, true
	}
	return n, false, false
}

// clauseEnd is where what is said of a thing ends.
func (t *text) clauseEnd(at, upto int) int {
	for at < upto && !t.mark(at, ",") && !t.ends(at, upto) && !t.is(at, t.lang.Until) {
		at++
	}
	return at
}

// halfMeasure is the share that a part of a spoon stands for: "half a teaspoon"; 0 for all else.
func (t *text) halfMeasure(at int) float64 {
	share := t.lang.Shares[t.low(at)]
	if share >= 1 || !t.is(at+1, t.lang.Articles) || t.lang.Pointing[t.low(at+1)] {
		return 0
	}
	return share * t.lang.Littles[t.low(at+2)]
}

// spoon is where a noun says one of the spoons that a cook measures with; 0 where it says none.
func (b *bindings) spoon(n noun) int {
	for i := n.from + 1; i < n.upto; i++ {
		if b.r.lang.Spoons[b.text.low(i)] && b.r.lang.Prepositions[b.text.low(i+1)] == "of" {
			return i
		}
	}
	return 0
}
