package recipe

import (
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
)

// cursor walks over the tokens of one line.
type cursor struct {
	tokens []token
	at     int
	system measure.System
}

func (c *cursor) peek(n int) token {
	if c.at+n < len(c.tokens) {
		return c.tokens[c.at+n]
	}
	return token{kind: markToken}
}

func (c *cursor) wordIs(n int, words ...string) bool {
	t := c.peek(n)
	if t.kind != wordToken {
		return false
	}
	for _, w := range words {
		if strings.EqualFold(t.text, w) {
			return true
		}
	}
	return false
}

// skipWords passes any of the words, at most mostSkipped of them.
func (c *cursor) skipWords(words ...string) bool {
	skipped := 0
	for skipped < mostSkipped && c.wordIs(0, words...) {
		c.at++
		skipped++
	}
	return skipped > 0
}

const mostSkipped = 6

// number reads a figure or number word: "2", "one", "half a", "a dozen",
// "a couple of", "a" before a unit or size.
func (c *cursor) number() (float64, bool) {
	t := c.peek(0)
	if t.kind == numberToken {
		c.at++
		v := t.value
		switch {
		case c.wordIs(0, "dozen"):
			c.at++
			v *= 12
		case c.wordIs(0, "and") && c.wordIs(1, "a") && c.wordIs(2, "half", "quarter"):
			v += numberWords[strings.ToLower(c.peek(2).text)]
			c.at += 3
		}
		return v, true
	}
	if t.kind != wordToken {
		return 0, false
	}
	word := strings.ToLower(t.text)
	if v, ok := numberWords[word]; ok {
		c.at++
		switch {
		case v >= 1 && c.wordIs(0, "quarters"):
			v, c.at = v/4, c.at+1
		case v >= 1 && c.wordIs(0, "thirds"):
			v, c.at = v/3, c.at+1
		}
		c.skipWords("a", "an", "of")
		if v < 1 && c.wordIs(0, "dozen") {
			c.at++
			return v * 12, true
		}
		if c.wordIs(0, "dozen") {
			c.at++
			v *= 12
		}
		if c.wordIs(0, "and") && (c.wordIs(1, "a", "one")) && c.wordIs(2, "half") {
			c.at += 3
			v += 0.5
		}
		return v, true
	}
	if word == "a" || word == "an" || word == "another" {
		next := strings.ToLower(c.peek(1).text)
		if v, ok := numberWords[next]; ok {
			c.at += 2
			c.skipWords("a", "an", "of")
			return v, true
		}
		c.at++
		return 1, true
	}
	return 0, false
}

// span reads a number or a range: "2-3", "2 to 3", "one or two", "between 2
// and 3". The second figure must not be smaller.
func (c *cursor) span() (measure.Span, bool) {
	between := c.skipWords("between", "from")
	low, ok := c.number()
	if !ok {
		return measure.Span{}, false
	}
	start := c.at
	joined := false
	switch {
	case c.peek(0).is("-") || c.peek(0).is("~"):
		c.at++
		joined = true
	case c.wordIs(0, "to", "or"), between && c.wordIs(0, "and"):
		c.at++
		joined = true
	}
	if joined && (c.peek(0).kind == numberToken || numberWords[strings.ToLower(c.peek(0).text)] > 0) {
		if high, ok := c.number(); ok && high > low {
			return measure.Span{Low: low, High: high}, true
		}
	}
	c.at = start
	return measure.Exactly(low), true
}

// unit reads a unit word, with what may stand around it ("heaped tbsp of").
func (c *cursor) unit() (measure.Unit, bool) {
	t := c.peek(0)
	if t.kind != wordToken {
		return "", false
	}
	if c.wordIs(0, "fl", "fluid") && c.peek(1).kind == wordToken || c.wordIs(0, "fl") && c.peek(1).is(".") {
		n := 1
		if c.peek(1).is(".") {
			n = 2
		}
		if u, ok := measure.ParseUnit(c.peek(n).text); ok && u == measure.Ounce {
			c.at += n + 1
			c.skipDot()
			return measure.FluidOunce, true
		}
	}
	if c.wordIs(0, "floz") {
		c.at++
		return measure.FluidOunce, true
	}
	u, ok := measure.ParseUnit(t.text)
	if !ok {
		// "thumb-sized piece", "heaped-tablespoon"
		if head, _, cut := strings.Cut(t.text, "-"); cut {
			if u, ok = measure.ParseUnit(head); ok && (u == measure.Thumb || u == measure.Knob) {
				c.at++
				c.skipWords("piece", "pieces", "knob", "chunk", "lump")
				return u, true
			}
		}
		return "", false
	}
	c.at++
	c.skipDot()
	if u == measure.Thumb || u == measure.Knob {
		c.skipWords("size", "sized", "piece", "chunk", "lump", "length")
	}
	return u, true
}

func (c *cursor) skipDot() {
	if c.peek(0).is(".") && c.peek(0).glued {
		c.at++
	}
}

func (c *cursor) endsLine() bool {
	t := c.peek(0)
	if t.is("(") {
		for n := 1; c.at+n < len(c.tokens); n++ {
			if c.peek(n).is(")") {
				return c.peek(n+1).kind != wordToken
			}
		}
	}
	return c.at >= len(c.tokens) || t.is(",") || t.is("(")
}

// unitAhead tells whether a unit follows the next word.
func (c *cursor) unitAhead() bool {
	if c.peek(1).kind == numberToken {
		return true
	}
	_, ok := measure.ParseUnit(c.peek(1).text)
	return c.peek(1).kind == wordToken && ok
}

// normalised returns the words of a token run for the index.
func normalised(tokens []token) []string {
	var words []string
	for _, t := range tokens {
		if t.kind == wordToken {
			words = append(words, larder.Words(t.text)...)
		}
	}
	return words
}
