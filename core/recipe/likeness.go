package recipe

import (
	"regexp"
	"slices"
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
	if b.step || b.numbered && len(words) > 4 && l.imperative(b.text) {
		return true
	}
	if b.numbered && nextSentence.MatchString(b.text) || b.numbered && len(words) > longestLine {
		return true
	}
	if b.heading {
		return false
	}
	if len(words) < shortestStep {
		return b.blank && (strings.HasSuffix(b.text, ".") && (l.orders(b.text) || l.goesOn(b.text)) || l.setsHeat(b.text))
	}
	sentence := strings.HasSuffix(b.text, ".") || strings.Contains(b.text, ". ") || len(words) > 14
	return sentence && (l.imperative(b.text) || l.labelsOrder(b.text) || l.timesOrder(b.text) || len(words) > 22 || nextSentence.MatchString(b.text)) && (!l.quantityFirst(b.text) || l.orders(b.text))
}

// setsHeat tells whether a text names what is heated and how hot, and nothing else: "Oven: 190C."
func (l *layout) setsHeat(text string) bool {
	words := larder.Words(text)
	if len(words) == 0 || !slices.Contains(l.reader.larder.Language().Orders(words[0]), preheatTechnique) {
		return false
	}
	_, numbered := firstNumber(text)
	return numbered
}

// preheatTechnique makes an oven hot.
const preheatTechnique = "preheat"

// shortestStep is from how many words on a sentence may be a step wherever it stands; a
// shorter one is set off by a blank line.
const shortestStep = 5

// goesOn tells whether a text opens with a verb and says how long: "Simmer for 20 minutes."
func (l *layout) goesOn(text string) bool {
	lang := l.reader.larder.Language()
	words := larder.Words(text)
	return len(words) > 1 && lang.IsVerb(words[0]) && slices.ContainsFunc(words[1:], func(w string) bool { return lang.TimeUnits[w] > 0 && len(w) > 1 })
}

// longestLine is how many words a numbered ingredient has at most.
const longestLine = 22

// nextSentence is where a second sentence begins: "squeeze dry. Mix with".
var nextSentence = regexp.MustCompile(`\pL{3,}[.!] \p{Lu}\p{Ll}+ \p{Ll}`)

// farthestOrder is how many words into a text its first order may stand.
const farthestOrder = 5

// imperative tells whether a text opens as an instruction does: with a verb of
// cooking, after words that may stand before one.
func (l *layout) imperative(text string) bool {
	lang := l.reader.larder.Language()
	tokens := lex.Scan(text)
	for i := 0; i < min(len(tokens), farthestOrder); i++ {
		if tokens[i].Kind != lex.Word {
			continue
		}
		w := larder.Fold(tokens[i].Text)
		if lang.IsVerb(w) || lang.Prepositions[w] != "" || lang.Subordinators[w] != "" || lang.Connectors[w] {
			return true
		}
		if i+1 < len(tokens) && tokens[i+1].Kind == lex.Word && lang.Articles[larder.Fold(tokens[i+1].Text)] {
			return true // "Salt the cabbage"
		}
		if !lang.Adverbs[w] && !strings.HasSuffix(w, lang.AdverbEnd) {
			return false
		}
	}
	return false
}

// labelsOrder tells whether a text opens with what is made and a colon, and behind it with a verb and
// what that is done to: "Base: crush the biscuits".
func (l *layout) labelsOrder(text string) bool {
	label, rest, ok := strings.Cut(text, ": ")
	return ok && len(strings.Fields(label)) <= longestLabel && l.orders(strings.TrimSpace(rest))
}

// timesOrder tells whether a text opens with a few words that say when, a comma, and an order: "The day
// before, put the beef in a bowl".
func (l *layout) timesOrder(text string) bool {
	when, rest, ok := strings.Cut(text, ", ")
	if !ok || len(strings.Fields(when)) > longestLabel || !l.orders(strings.TrimSpace(rest)) {
		return false
	}
	lang := l.reader.larder.Language()
	return slices.ContainsFunc(larder.Words(when), func(w string) bool { return lang.TimeUnits[w] > 0 || lang.TimesWhole[w] > 0 || lang.TimeAfter[w] })
}

// longestLabel is how many words what is made is named by at most.
const longestLabel = 4

// orders tells whether a text opens with a verb and what it is done to: "Quarter
// the cabbage".
func (l *layout) orders(text string) bool {
	lang := l.reader.larder.Language()
	tokens := lex.Scan(text)
	if len(tokens) > 1 {
		if w := larder.Fold(tokens[0].Text); lang.Adverbs[w] || strings.HasSuffix(w, lang.AdverbEnd) {
			tokens = tokens[1:] // "gently fry the garlic"
		}
	}
	return len(tokens) > 1 && tokens[1].Kind == lex.Word && lang.IsVerb(larder.Fold(tokens[0].Text)) && lang.Articles[larder.Fold(tokens[1].Text)]
}

func (l *layout) quantityFirst(text string) bool { return l.reader.amountFirst(text) }

// listLike tells whether a block may stand in a list: it looks like an ingredient, or opens
// with an amount of something that nobody knows, and no time.
func (l *layout) listLike(b block) bool {
	if l.ingredientLike(b) {
		return true
	}
	words := strings.Fields(larder.Fold(b.text))
	if len(words) < 2 || len(words) > longestUnknown || b.heading || b.leads || l.methodLike(b) || strings.HasSuffix(b.text, ".") || !l.quantityFirst(b.text) {
		return false
	}
	lang := l.reader.larder.Language()
	return !slices.ContainsFunc(words, func(w string) bool { return lang.TimeUnits[strings.Trim(w, ".,:")] > 0 && len(w) > 1 })
}

// longestUnknown is how many words a line has at most that names nothing known.
const longestUnknown = 10

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
	line := l.line(b.text)
	known := line.Food != nil || line.Origin != larder.Unknown
	if b.bullet || line.Amount != nil && line.Amount.Unit != measure.Piece {
		return known || line.Amount != nil
	}
	if line.Amount != nil {
		told := line.Food == nil && l.mode == before && strings.HasSuffix(b.text, ".") // "A soupy seafood rice for four."
		return known && len(words) < 14 && !told
	}
	return known && (len(words) <= 6 || len(words) <= 9 && l.saysFor(b.text)) && (line.ToTaste || b.bullet || !strings.HasSuffix(b.text, "."))
}
