package flow

import (
	"yembra/core/lex"
	"yembra/core/measure"
)

// orMore takes in a second figure of the same unit: "a minute or two".
func (t *text) orMore(c clock, unit float64) clock {
	if !t.lang.Lines.Or[t.low(c.upto)] {
		return c
	}
	more := lex.Cursor{Tokens: t.tokens, At: c.upto + 1, Words: &t.lang.Lines.Figures}
	if s, ok := more.Span(); ok && t.lang.TimeUnits[t.low(more.At)] == 0 && s.High*unit > c.span.High && s.High*unit <= measure.MostMinutes {
		c.span.High, c.upto = s.High*unit, more.At
	}
	return c
}

// forEach takes in a word that says that each of several takes so long: "2 minutes each".
func (t *text) forEach(c clock) clock {
	if next := c.upto + 1; t.is(c.upto, t.lang.Dealt) && (next >= len(t.words) || t.words[next].Kind != lex.Word || t.is(next, t.lang.Until) || t.conj(next) || t.lang.Prepositions[t.low(next)] != "" && t.lang.Prepositions[t.low(next)] != "of") {
		c.upto = next // "2 minutes each"
	}
	return c
}

// eachGets takes in a word behind a name that says that there is so much for each: "half an egg each in the bowls". It returns
// how many words it took.
func (t *text) eachGets(n *noun, at, upto int) int {
	if len(n.words) == 0 || at >= upto || !t.lang.Dealt[t.low(at)] || t.lang.Prepositions[t.low(at+1)] == "" {
		return 0
	}
	n.bare++
	return 1
}
