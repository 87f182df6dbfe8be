package recipe

import (
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
)

// cursor walks over the tokens of one line, measuring by a system.
type cursor struct {
	lex.Cursor
	words  *language.Lines
	system measure.System
	said   measure.System // whose the last unit read is said to be: "US cup"
}

// cursorOver starts at the first of the tokens.
func cursorOver(words *language.Lines, tokens []lex.Token, sys measure.System) *cursor {
	return cursorAt(words, tokens, 0, sys)
}

// cursorAt starts at token i.
func cursorAt(words *language.Lines, tokens []lex.Token, i int, sys measure.System) *cursor {
	return &cursor{lex.Cursor{Tokens: tokens, At: i, Words: &words.Figures}, words, sys, ""}
}

// lines are the words of ingredient lines.
func (r *Reader) lines() *language.Lines { return &r.larder.Language().Lines }

// unit reads a unit word, with what may stand around it ("heaped tbsp of").
func (c *cursor) unit() (measure.Unit, bool) {
	t := c.Peek(0)
	if c.said = ""; t.Kind != lex.Word {
		return "", false
	}
	if whose := c.words.Whose[strings.ToLower(t.Text)]; whose != "" {
		start := c.At
		c.At++
		u, ok := c.unit()
		if c.said = whose; !ok || measure.MillilitresOf(u, whose) == 0 {
			c.At, c.said = start, ""
			return "", false
		}
		return u, true
	}
	if c.In(0, c.words.Fluid) && (c.Peek(1).Kind == lex.Word || c.Peek(1).Is(".")) {
		n := 1
		if c.Peek(1).Is(".") {
			n = 2
		}
		if u, ok := c.words.Unit(c.Peek(n).Text); ok && u == measure.Ounce {
			c.At += n + 1
			c.skipDot()
			return measure.FluidOunce, true
		}
	}
	u, ok := c.words.Unit(t.Text)
	if !ok {
		// "thumb-sized piece", "heaped-tablespoon"
		if head, _, cut := strings.Cut(t.Text, "-"); cut {
			if u, ok = c.words.Unit(head); ok && (u == measure.Thumb || u == measure.Knob) {
				c.At++
				c.Skip(c.words.Lumps)
				return u, true
			}
		}
		return "", false
	}
	c.At++
	c.skipDot()
	if u == measure.Thumb || u == measure.Knob {
		c.Skip(c.words.Sized)
	}
	return u, true
}

func (c *cursor) skipDot() {
	if c.Peek(0).Is(".") && c.Peek(0).Glued {
		c.At++
	}
}

func (c *cursor) endsLine() bool {
	t := c.Peek(0)
	if t.Is("(") {
		for n := 1; c.At+n < len(c.Tokens); n++ {
			if c.Peek(n).Is(")") {
				return c.Peek(n+1).Kind != lex.Word
			}
		}
	}
	return c.At >= len(c.Tokens) || t.Is(",") || t.Is("(")
}

// unitAhead tells whether a unit follows the next word.
func (c *cursor) unitAhead() bool {
	if c.Peek(1).Kind == lex.Number {
		return true
	}
	_, ok := c.words.Unit(c.Peek(1).Text)
	return c.Peek(1).Kind == lex.Word && ok
}

// normalised returns the words of a token run for the index.
func normalised(tokens []lex.Token) []string {
	var words []string
	for _, t := range tokens {
		if t.Kind == lex.Word {
			words = append(words, larder.Words(t.Text)...)
		}
	}
	return words
}
