package recipe

import (
	"strings"

	"yembra/core/lex"
)

// inches are those of the unit of length n places on.
func (c *cursor) inches(n int) (float64, bool) {
	v, ok := c.words.Lengths[strings.ToLower(c.Peek(n).Text)]
	return v, ok
}

// lengthPiece reads "-inch", "cm", "2.5 cm / 1 inch" after a number; the number
// is then the length of one piece.
func (c *cursor) lengthPiece(q *quantity) bool {
	n := 0
	if c.Peek(0).Is("-") || c.Peek(0).Is("(") {
		n = 1
	}
	if c.Peek(n).Is(`"`) || c.Peek(n).Is("”") {
		q.inches = c.Tokens[c.At-1].Value
		c.At += n + 1
		return true
	}
	inch, ok := c.inches(n)
	value := 0.0
	if ok && c.At > 0 {
		value = c.Tokens[c.At-1].Value
		q.sole = true // "4 cm ginger" is one piece
	}
	// "1 2-inch piece", "1 (3-inch) piece"
	if !ok && c.Peek(n).Kind == lex.Number {
		m := n + 1
		if c.Peek(m).Is("-") {
			m++
		}
		if inch, ok = c.inches(m); ok {
			value = c.Peek(n).Value
			n = m
		}
	}
	if !ok || c.In(n, c.words.GluedLength) && !c.Peek(n).Glued && !c.Peek(n-1).Is("-") {
		return false
	}
	c.At += n + 1
	c.skipDot()
	if c.Peek(0).Is(")") {
		c.At++
	}
	if c.Peek(0).Is("/") || c.Peek(0).Is("(") {
		mark := c.At
		c.At++
		if c.Peek(0).Kind == lex.Number {
			c.At++
			if c.Peek(0).Is("-") {
				c.At++
			}
			if _, ok := c.inches(0); ok {
				c.At++
				if c.Peek(0).Is(")") {
					c.At++
				}
			} else {
				c.At = mark
			}
		} else {
			c.At = mark
		}
	}
	q.inches = value * inch
	return true
}
