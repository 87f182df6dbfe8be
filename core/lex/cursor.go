package lex

import (
	"strings"

	"yembra/core/measure"
)

// Cursor walks over the tokens of one line.
type Cursor struct {
	Tokens []Token
	At     int
}

func (c *Cursor) Peek(n int) Token {
	if c.At+n < len(c.Tokens) {
		return c.Tokens[c.At+n]
	}
	return Token{Kind: Mark}
}

func (c *Cursor) WordIs(n int, words ...string) bool {
	t := c.Peek(n)
	if t.Kind != Word {
		return false
	}
	for _, w := range words {
		if strings.EqualFold(t.Text, w) {
			return true
		}
	}
	return false
}

// SkipWords passes any of the words, at most mostSkipped of them.
func (c *Cursor) SkipWords(words ...string) bool {
	skipped := 0
	for skipped < mostSkipped && c.WordIs(0, words...) {
		c.At++
		skipped++
	}
	return skipped > 0
}

const mostSkipped = 6

// Figure reads a figure or Figure word: "2", "one", "half a", "a dozen",
// "a couple of", "a" before a unit or size.
func (c *Cursor) Figure() (float64, bool) {
	t := c.Peek(0)
	if t.Kind == Number {
		c.At++
		v := t.Value
		switch {
		case c.WordIs(0, "dozen"):
			c.At++
			v *= 12
		case c.WordIs(0, "and") && c.WordIs(1, "a") && c.WordIs(2, "half", "quarter"):
			v += NumberWords[strings.ToLower(c.Peek(2).Text)]
			c.At += 3
		}
		return v, true
	}
	if t.Kind != Word {
		return 0, false
	}
	word := strings.ToLower(t.Text)
	if v, ok := NumberWords[word]; ok {
		c.At++
		switch {
		case v >= 1 && c.WordIs(0, "quarters"):
			v, c.At = v/4, c.At+1
		case v >= 1 && c.WordIs(0, "thirds"):
			v, c.At = v/3, c.At+1
		}
		c.SkipWords("a", "an", "of")
		if v < 1 && c.WordIs(0, "dozen") {
			c.At++
			return v * 12, true
		}
		if c.WordIs(0, "dozen") {
			c.At++
			v *= 12
		}
		if c.WordIs(0, "and") && (c.WordIs(1, "a", "one")) && c.WordIs(2, "half") {
			c.At += 3
			v += 0.5
		}
		return v, true
	}
	if word == "a" || word == "an" || word == "another" {
		next := strings.ToLower(c.Peek(1).Text)
		if v, ok := NumberWords[next]; ok {
			c.At += 2
			c.SkipWords("a", "an", "of")
			return v, true
		}
		c.At++
		return 1, true
	}
	return 0, false
}

// Span reads a number or a range: "2-3", "2 to 3", "one or two", "between 2
// and 3". The second figure must not be smaller.
func (c *Cursor) Span() (measure.Span, bool) {
	between := c.SkipWords("between", "from")
	low, ok := c.Figure()
	if !ok {
		return measure.Span{}, false
	}
	start := c.At
	joined := false
	switch {
	case c.Peek(0).Is("-") || c.Peek(0).Is("~"):
		c.At++
		joined = true
	case c.WordIs(0, "to", "or"), between && c.WordIs(0, "and"):
		c.At++
		joined = true
	}
	if joined && (c.Peek(0).Kind == Number || NumberWords[strings.ToLower(c.Peek(0).Text)] > 0) {
		if high, ok := c.Figure(); ok && high > low {
			return measure.Span{Low: low, High: high}, true
		}
	}
	c.At = start
	return measure.Exactly(low), true
}
