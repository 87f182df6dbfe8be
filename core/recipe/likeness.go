package recipe

import (
	"regexp"
	"strings"

	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
)

func firstNumber(text string) (float64, bool) {
	for _, t := range lex.Scan(text) {
		if t.Kind == lex.Number {
			return t.Value, true
		}
	}
	return 0, false
}

// methodLike tells whether a block is a step rather than an ingredient: long,
// a sentence, beginning with a technique.
func (l *layout) methodLike(b block) bool {
	words := strings.Fields(b.text)
	if b.numbered && len(words) > 4 && l.imperative(b.text) {
		return true
	}
	if len(words) < 5 || b.heading {
		return false
	}
	sentence := strings.HasSuffix(b.text, ".") || strings.Contains(b.text, ". ") || len(words) > 14
	return sentence && (l.imperative(b.text) || len(words) > 22 || nextSentence.MatchString(b.text)) && !l.quantityFirst(b.text)
}

// nextSentence is where a second sentence begins: "squeeze dry. Mix with".
var nextSentence = regexp.MustCompile(`\pL{3,}[.!] \p{Lu}\p{Ll}+ \p{Ll}`)

var openers = map[string]bool{
	"in": true, "put": true, "add": true, "place": true, "heat": true, "first": true, "start": true, "begin": true, "make": true, "meanwhile": true, "when": true,
	"take": true, "pour": true, "turn": true, "while": true, "to": true, "once": true, "remove": true, "bring": true, "set": true, "then": true, "prepare": true, "using": true, "with": true,
	"transfer": true, "return": true, "finally": true, "now": true, "cut": true, "cook": true, "let": true, "leave": true, "divide": true, "cover": true, "repeat": true, "work": true, "line": true, "after": true, "preheat": true, "next": true, "give": true,
	"tip": true, "split": true, "gently": true, "carefully": true, "lay": true, "break": true, "crack": true, "keep": true, "lift": true, "spoon": true, "check": true, "taste": true, "rub": true, "get": true, "use": true, "for": true, "discard": true, "dissolve": true, "have": true, "as": true, "if": true, "wipe": true, "push": true, "scrape": true, "slowly": true, "sprinkle": true, "drop": true, "lower": true, "eat": true,
}

// imperative tells whether a text opens as an instruction does.
func (l *layout) imperative(text string) bool {
	tokens := lex.Scan(text)
	for i, t := range tokens {
		if i > 4 {
			return false
		}
		if t.Kind != lex.Word {
			continue
		}
		w := larder.Fold(t.Text)
		if openers[w] {
			return true
		}
		if _, ok := l.reader.larder.Words().Techniques[w]; ok {
			return true
		}
		if i+1 < len(tokens) && tokens[i+1].Kind == lex.Word && larder.Fold(tokens[i+1].Text) == "the" {
			return true // "Salt the cabbage"
		}
		if !strings.HasSuffix(w, "ly") {
			return false
		}
	}
	return false
}

func (l *layout) quantityFirst(text string) bool {
	c := cursorOver(lex.Scan(text), measure.US)
	q := c.quantity()
	return q.amount != nil
}

// ingredientLike tells whether a block looks like an ingredient line: short,
// and with an amount, a bullet or a food for its name.
func (l *layout) ingredientLike(b block) bool {
	words := strings.Fields(b.text)
	if len(words) == 0 || len(words) > 20 || b.heading || b.leads || l.methodLike(b) {
		return false
	}
	if len(words) > 9 && strings.HasSuffix(b.text, ".") {
		return false
	}
	line := l.reader.Line(b.text, measure.US)
	known := line.Food != nil || line.Origin != larder.Unknown
	if b.bullet || line.Amount != nil && line.Amount.Unit != measure.Piece {
		return known || line.Amount != nil
	}
	if line.Amount != nil {
		return known && len(words) < 14
	}
	return known && len(words) <= 6 && (line.ToTaste || b.bullet || !strings.HasSuffix(b.text, "."))
}
