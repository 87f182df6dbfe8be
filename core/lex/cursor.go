package lex

import (
	"strings"

	"yembra/core/language"
	"yembra/core/measure"
)

// Cursor walks over the tokens of one line, with the words of a language for figures.
type Cursor struct {
	Tokens []Token
	At     int
	Words  *language.Figures
}

func (c *Cursor) Peek(n int) Token {
	if c.At+n < len(c.Tokens) {
		return c.Tokens[c.At+n]
	}
	return Token{Kind: Mark}
}

// low is a word in lower case, empty for numbers and marks.
func (c *Cursor) low(n int) string {
	t := c.Peek(n)
	if t.Kind != Word {
		return ""
	}
	return strings.ToLower(t.Text)
}

// In tells whether the word n places on is one of a set.
func (c *Cursor) In(n int, words language.Set) bool { return words[c.low(n)] }

// Skip passes any of the words, at most mostSkipped of them.
func (c *Cursor) Skip(words language.Set) bool {
	skipped := 0
	for skipped < mostSkipped && c.In(0, words) {
		c.At++
		skipped++
	}
	return skipped > 0
}

const mostSkipped = 6

// multiple is what a word behind a figure multiplies it by: "two dozen".
func (c *Cursor) multiple(v float64) float64 {
	if m := c.Words.Multiples[c.low(0)]; m > 0 {
		c.At++
		return v * m
	}
	return v
}

// Figure reads a figure or figure word: "2", "one", "half a", "a dozen",
// "a couple of", "a" before a unit or size.
func (c *Cursor) Figure() (float64, bool) {
	t, w := c.Peek(0), c.Words
	if t.Kind == Number {
		c.At++
		if v := c.multiple(t.Value); v != t.Value {
			return v, true
		}
		if next := c.Peek(1); c.In(0, w.And) && next.Kind == Number && next.Value < 1 && t.Value == float64(int(t.Value)) {
			c.At += 2
			return t.Value + next.Value, true // "1 and 1/2"
		}
		if c.In(0, w.And) && c.In(1, w.One) && c.In(2, w.Halves) {
			c.At += 3
			return t.Value + w.Numbers[c.Tokens[c.At-1].lower()], true
		}
		return t.Value, true
	}
	if t.Kind != Word {
		return 0, false
	}
	if v, ok := w.Numbers[c.low(0)]; ok {
		c.At++
		if part := w.Parts[c.low(0)]; v >= 1 && part > 0 {
			v, c.At = v/part, c.At+1
		}
		c.Skip(w.Ties)
		if many := c.multiple(v); many != v {
			v = many
			if v < w.Multiples[c.Tokens[c.At-1].lower()] {
				return v, true // "half a dozen"
			}
		}
		if c.In(0, w.And) && c.In(1, w.Single) && c.In(2, w.Halves) && w.Numbers[c.low(2)] == half {
			c.At += 3
			v += half
		}
		return v, true
	}
	if c.In(0, w.One) {
		if v, ok := w.Numbers[c.low(1)]; ok {
			c.At += 2
			c.Skip(w.Ties)
			return v, true
		}
		c.At++
		return 1, true
	}
	return 0, false
}

const half = 0.5

func (t Token) lower() string { return strings.ToLower(t.Text) }

// Span reads a number or a range: "2-3", "2 to 3", "one or two", "between 2
// and 3". The second figure must not be smaller.
func (c *Cursor) Span() (measure.Span, bool) {
	between := c.Skip(c.Words.Between)
	low, ok := c.Figure()
	if !ok {
		return measure.Span{}, false
	}
	start := c.At
	joined := false
	switch {
	case c.Peek(0).Is("-") || c.Peek(0).Is("~"), c.In(0, c.Words.Upto), between && c.In(0, c.Words.And):
		c.At++
		joined = true
	}
	if joined && (c.Peek(0).Kind == Number || c.Words.Numbers[c.low(0)] > 0) {
		if high, ok := c.Figure(); ok && high > low {
			return measure.Span{Low: low, High: high}, true
		}
	}
	c.At = start
	return measure.Exactly(low), true
}
