package recipe

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
	"yembra/core/texts"
)

// Reader reads recipes with the knowledge of a larder. It keeps no state
// between calls and may be used by many goroutines.
type Reader struct {
	larder *larder.Larder
	match  matcher
	yields yields
}

// NewReader returns a reader over the larder.
func NewReader(l *larder.Larder) *Reader {
	return &Reader{l, matcher{l}, yieldsIn(&l.Language().Lines)}
}

// LineAs reads a line whose food the cook has named: amount and preparation
// come from the text, everything about the food from the larder.
func (r *Reader) LineAs(text string, food *larder.Food, sys measure.System) Line {
	text = stripBullet(text)
	line := r.Line(text, sys)
	f := found(food)
	line.Food, line.Form = &food.ID, larder.RawForm
	line.Origin, line.Animal, line.Hidden, line.Check = f.origin, f.animal, f.hidden, f.check
	line.Why = texts.Say("recipe.namedByTheCook", f.why)
	line.Beware = r.beware(food)
	c := cursorOver(r.lines(), lex.Scan(text), sys)
	q := c.quantity()
	if q.amount == nil {
		q, _, _ = r.lateQuantity(c.Tokens, sys)
	}
	r.pieceSaid(food, text, &q)
	line.Grams, line.Basis = gramsOf(food, line.Form, q, sys)
	return line
}

// beginsName tells whether the pack that was read behind a measure is the
// first word of a food's name.
func (r *Reader) beginsName(c *cursor, q quantity) bool {
	if q.amount == nil || countUnit(q.amount.Unit) || c.At == 0 || c.At >= len(c.Tokens) {
		return false
	}
	if u, ok := c.words.Unit(c.Tokens[c.At-1].Text); !ok || u != measure.Can {
		return false
	}
	m, ok := r.larder.Index().At(normalised(c.Tokens[c.At-1:]), 0, false)
	return ok && m.Used > 1
}

// beware says what a food is easily taken for.
func (r *Reader) beware(f *larder.Food) string {
	if len(f.Confusables) == 0 {
		return ""
	}
	c := f.Confusables[0]
	return texts.Say("recipe.notToBeTakenFor", r.larder.Food(c.With).Name, c.Differs)
}

// mostLineBytes is how much of an ingredient line is looked at; the rest stays
// in its text.
const mostLineBytes = 600

// Line reads one ingredient line. Cups, spoons and pints are of the system.
func (r *Reader) Line(text string, sys measure.System) Line {
	text = stripBullet(text)
	line := Line{Text: text, Form: larder.RawForm, Alternatives: []Alternative{}, Origin: larder.Unknown}
	tokens := lex.Scan(text[:min(len(text), mostLineBytes)])
	c := cursorOver(r.lines(), tokens, sys)
	part := c.partOf()
	q := c.quantity()
	if r.beginsName(c, q) {
		c.At-- // "100 g bottle gourd": the bottle is no pack
	}
	rest := c.Tokens[c.At:]
	if q.amount == nil && !q.toTake {
		if late, cut, ok := r.lateQuantity(tokens, sys); ok {
			q, rest = late, slices.Concat(tokens[:cut[0]], tokens[cut[1]:])
		}
	} else if part == "" {
		inner := cursorOver(r.lines(), rest, sys)
		if part = inner.partOf(); part != "" {
			rest = rest[inner.At:]
		}
	}
	n := r.nameParts(text, rest, part, q)
	for _, b := range n.brackets {
		q.bracketMass(r.lines(), b, sys)
	}
	if n.each != nil && q.amount != nil && countUnit(q.amount.Unit) && q.grams == nil && q.each == nil && q.ml == nil {
		q.each = n.each
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
		line.Form = r.formOf(f.food, q, n)
		if line.Amount != nil && line.Amount.Unit == measure.Piece && n.unit != "" {
			line.Amount.Unit = n.unit
		}
	} else if line.Why == "" {
		line.Why = texts.Say("recipe.notInTheLarderYetName")
	}
	if n.partEach != nil && q.amount != nil && q.amount.Unit == measure.Piece {
		q.each = n.partEach
	}
	r.pieceSaid(f.food, text, &q)
	line.Grams, line.Basis = gramsOf(f.food, line.Form, q, sys)
	return line
}

// pieceSaid takes the words beside a count for the kind of piece that is counted.
func (r *Reader) pieceSaid(food *larder.Food, text string, q *quantity) {
	if food == nil || q.size != "" || q.amount == nil || q.amount.Unit != measure.Piece {
		return
	}
	q.size = r.larder.PieceSaid(food, text)
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
	start := c.At
	part := ""
	w := c.words
	for n := 0; n < 8; n++ {
		t := c.Peek(0)
		low := strings.ToLower(t.Text)
		switch {
		case w.EggParts[low] != "" && part == "":
			part = w.EggParts[low]
		case w.Parts[low] != "":
			if part == "" || w.Strongest[low] {
				part = w.Parts[low]
			}
		case c.In(0, w.PartWords), t.Is("&"), t.Is("+"):
		case c.In(0, w.PartOf) && part != "":
			c.At++
			return part
		default:
			c.At = start
			return ""
		}
		c.At++
	}
	c.At = start
	return ""
}

// lateQuantity finds an amount that stands behind the name: "Flour: 200 g",
// "Onion - 2 medium", "Chicken stock 500 ml". cut is the token range it takes.
func (r *Reader) lateQuantity(tokens []lex.Token, sys measure.System) (quantity, [2]int, bool) {
	for i, t := range tokens {
		if i == 0 || t.Kind != lex.Number && !r.unitPhrase(tokens, i) {
			continue
		}
		start := i
		before := tokens[i-1]
		sign := before.Is("-") || before.Is(":") || before.Is("(") || before.Is("=") || before.Is(",")
		if sign {
			start = i - 1
		}
		c := cursorAt(r.lines(), tokens, i, sys)
		q := c.quantity()
		if q.amount == nil {
			return quantity{}, [2]int{}, false
		}
		if r.larder.Language().Manner[strings.ToLower(c.Peek(0).Text)] {
			continue // "1.5 times the volume of the eggs"
		}
		c.lastUnit(&q)
		measured := q.amount.Unit != measure.Piece
		if before.Is("(") {
			if !measured || !c.Peek(0).Is(")") {
				return quantity{}, [2]int{}, false
			}
			c.At++
		} else if bare := c.At == i+1 && (c.Peek(0).Is(",") || c.Peek(0).Is("(")) && q.amount.Low > 0; !measured && !sign && c.At < len(tokens) && !bare { // "kidneys 2, cored"
			return quantity{}, [2]int{}, false
		}
		return q, [2]int{start, c.At}, true
	}
	return quantity{}, [2]int{}, false
}

// unitPhrase tells whether "a handful" or "a small bunch" stands behind a
// comma or dash and ends the line.
func (r *Reader) unitPhrase(tokens []lex.Token, i int) bool {
	before := tokens[i-1]
	c := cursorAt(r.lines(), tokens, i, "")
	if !c.In(0, c.words.Counts) || !before.Is(",") && !before.Is("-") && !before.Is(":") {
		return false
	}
	q := c.quantity()
	if q.amount == nil {
		return false
	}
	c.lastUnit(&q)
	return q.amount.Unit != measure.Piece && c.At >= len(tokens)
}

// lastUnit takes the last word of a line for the unit of a bare count: behind
// the name, "a handful" cannot be the food.
func (c *cursor) lastUnit(q *quantity) {
	if q.amount.Unit != measure.Piece || c.At != len(c.Tokens)-1 {
		return
	}
	if u, ok := c.words.Unit(c.Peek(0).Text); ok {
		q.amount.Unit = u
		c.At++
	}
}

// flags reads "to taste", "optional" and the like from the whole line.
func (r *Reader) flags(line *Line, text string) {
	folded := larder.Fold(text)
	says := func(phrase string) bool { return strings.Contains(folded, phrase) }
	line.Optional = slices.ContainsFunc(r.lines().Optional, says)
	line.ToTaste = slices.ContainsFunc(r.lines().ToTaste, says)
}
