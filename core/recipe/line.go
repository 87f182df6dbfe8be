package recipe

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
)

// Reader reads recipes with the knowledge of a larder. It keeps no state
// between calls and may be used by many goroutines.
type Reader struct {
	larder *larder.Larder
	match  matcher
}

// NewReader returns a reader over the larder.
func NewReader(l *larder.Larder) *Reader { return &Reader{l, matcher{l}} }

// LineAs reads a line whose food the cook has named: amount and preparation
// come from the text, everything about the food from the larder.
func (r *Reader) LineAs(text string, food *larder.Food, sys measure.System) Line {
	text = stripBullet(text)
	line := r.Line(text, sys)
	f := found(food)
	line.Food, line.Form = &food.ID, larder.RawForm
	line.Origin, line.Animal, line.Hidden, line.Check = f.origin, f.animal, f.hidden, f.check
	line.Why = "Named by the cook. " + f.why
	line.Beware = r.beware(food)
	c := &cursor{tokens: lex(text), system: sys}
	q := c.quantity()
	if q.amount == nil {
		q, _, _ = lateQuantity(c.tokens, sys)
	}
	line.Grams, line.Basis = gramsOf(food, line.Form, q, sys)
	return line
}

// beginsName tells whether the pack that was read behind a measure is the
// first word of a food's name.
func (r *Reader) beginsName(c *cursor, q quantity) bool {
	if q.amount == nil || countUnit(q.amount.Unit) || c.at == 0 || c.at >= len(c.tokens) {
		return false
	}
	if u, ok := measure.ParseUnit(c.tokens[c.at-1].text); !ok || u != measure.Can {
		return false
	}
	m, ok := r.larder.Index().At(normalised(c.tokens[c.at-1:]), 0, false)
	return ok && m.Used > 1
}

// beware says what a food is easily taken for.
func (r *Reader) beware(f *larder.Food) string {
	if len(f.Confusables) == 0 {
		return ""
	}
	c := f.Confusables[0]
	return fmt.Sprintf("Not to be taken for %s. %s", r.larder.Food(c.With).Name, c.Differs)
}

// mostLineBytes is how much of an ingredient line is looked at; the rest stays
// in its text.
const mostLineBytes = 600

// Line reads one ingredient line. Cups, spoons and pints are of the system.
func (r *Reader) Line(text string, sys measure.System) Line {
	text = stripBullet(text)
	line := Line{Text: text, Form: larder.RawForm, Alternatives: []Alternative{}, Origin: larder.Unknown}
	tokens := lex(text[:min(len(text), mostLineBytes)])
	c := &cursor{tokens: tokens, system: sys}
	part := c.partOf()
	q := c.quantity()
	if r.beginsName(c, q) {
		c.at-- // "100 g bottle gourd": the bottle is no pack
	}
	rest := c.tokens[c.at:]
	if q.amount == nil && !q.toTake {
		if late, cut, ok := lateQuantity(tokens, sys); ok {
			q, rest = late, slices.Concat(tokens[:cut[0]], tokens[cut[1]:])
		}
	} else if part == "" {
		inner := &cursor{tokens: rest, system: sys}
		if part = inner.partOf(); part != "" {
			rest = rest[inner.at:]
		}
	}
	n := r.nameParts(text, rest, part, q)
	for _, b := range n.brackets {
		q.bracketMass(b, sys)
	}
	line.Name, line.Preparation = n.name, n.preparation
	r.flags(&line, text)
	f := n.finding
	line.Origin, line.Animal, line.Hidden, line.Check, line.Why = f.origin, f.animal, f.hidden, f.check, f.why
	line.Alternatives = append(line.Alternatives, n.alternatives...)
	line.Also = n.also
	line.Amount = q.amount
	if f.food != nil {
		line.Food = &f.food.ID
		line.Beware = r.beware(f.food)
		line.Form = formOf(f.food, q, n)
		if line.Amount != nil && line.Amount.Unit == measure.Piece && n.unit != "" {
			line.Amount.Unit = n.unit
		}
	} else if line.Why == "" {
		line.Why = "Not in the larder yet: name it by hand or choose one of the suggestions."
	}
	if n.partEach != nil && q.amount != nil && q.amount.Unit == measure.Piece {
		q.each = n.partEach
	}
	line.Grams, line.Basis = gramsOf(f.food, line.Form, q, sys)
	return line
}

var bullets = "•◦▪▫‣⁃*·▢□☐■●○–—-+>✓✔"

func stripBullet(text string) string {
	text = strings.TrimSpace(text)
	for {
		trimmed := strings.TrimLeft(text, bullets+" \t\u00a0")
		if rest, ok := strings.CutPrefix(trimmed, "[ ]"); ok {
			trimmed = strings.TrimSpace(rest)
		}
		if rest, ok := strings.CutPrefix(trimmed, "[x]"); ok {
			trimmed = strings.TrimSpace(rest)
		}
		if trimmed == text || trimmed == "" {
			return text
		}
		text = trimmed
	}
}

// partOf reads "juice of", "grated zest and juice of", "the yolks of" before
// the amount; it returns the part meant.
func (c *cursor) partOf() string {
	start := c.at
	part := ""
	for n := 0; n < 8; n++ {
		t := c.peek(0)
		switch {
		case c.wordIs(0, "whites", "white", "yolks", "yolk") && part == "":
			part = strings.TrimSuffix(strings.ToLower(t.text), "s")
		case c.wordIs(0, "juice", "zest", "rind", "peel"):
			if part == "" || c.wordIs(0, "juice") {
				part = strings.ToLower(t.text)
			}
		case c.wordIs(0, "the", "grated", "finely", "freshly", "squeezed", "strained", "fresh", "and", "thinly", "pared"), t.is("&"), t.is("+"):
		case c.wordIs(0, "of", "from") && part != "":
			c.at++
			if part == "rind" || part == "peel" {
				part = "zest"
			}
			return part
		default:
			c.at = start
			return ""
		}
		c.at++
	}
	c.at = start
	return ""
}

// lateQuantity finds an amount that stands behind the name: "Flour: 200 g",
// "Onion - 2 medium", "Chicken stock 500 ml". cut is the token range it takes.
func lateQuantity(tokens []token, sys measure.System) (quantity, [2]int, bool) {
	for i, t := range tokens {
		if i == 0 || t.kind != numberToken && !unitPhrase(tokens, i) {
			continue
		}
		start := i
		before := tokens[i-1]
		sign := before.is("-") || before.is(":") || before.is("(") || before.is("=") || before.is(",")
		if sign {
			start = i - 1
		}
		c := &cursor{tokens: tokens, at: i, system: sys}
		q := c.quantity()
		if q.amount == nil {
			return quantity{}, [2]int{}, false
		}
		c.lastUnit(&q)
		measured := q.amount.Unit != measure.Piece
		if before.is("(") {
			if !measured || !c.peek(0).is(")") {
				return quantity{}, [2]int{}, false
			}
			c.at++
		} else if !measured && !sign && c.at < len(tokens) {
			return quantity{}, [2]int{}, false
		}
		return q, [2]int{start, c.at}, true
	}
	return quantity{}, [2]int{}, false
}

// unitPhrase tells whether "a handful" or "a small bunch" stands behind a
// comma or dash and ends the line.
func unitPhrase(tokens []token, i int) bool {
	before := tokens[i-1]
	if !wordAt(tokens, i, "a", "an", "one", "two", "half") || !before.is(",") && !before.is("-") && !before.is(":") {
		return false
	}
	c := &cursor{tokens: tokens, at: i}
	q := c.quantity()
	if q.amount == nil {
		return false
	}
	c.lastUnit(&q)
	return q.amount.Unit != measure.Piece && c.at >= len(tokens)
}

// lastUnit takes the last word of a line for the unit of a bare count: behind
// the name, "a handful" cannot be the food.
func (c *cursor) lastUnit(q *quantity) {
	if q.amount.Unit != measure.Piece || c.at != len(c.tokens)-1 {
		return
	}
	if u, ok := measure.ParseUnit(c.peek(0).text); ok {
		q.amount.Unit = u
		c.at++
	}
}

// flags reads "to taste", "optional" and the like from the whole line.
func (r *Reader) flags(line *Line, text string) {
	folded := larder.Fold(text)
	line.Optional = strings.Contains(folded, "optional") || strings.Contains(folded, "if you like") || strings.Contains(folded, "if liked") || strings.Contains(folded, "if desired") || strings.Contains(folded, "if using")
	line.ToTaste = strings.Contains(folded, "to taste") || strings.Contains(folded, "as needed") || strings.Contains(folded, "as required") || strings.Contains(folded, "to your taste") || strings.Contains(folded, "to season")
}
