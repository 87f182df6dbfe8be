package recipe

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
)

// split cuts tokens at commas, semicolons and spaced dashes, and takes
// bracketed parts out.
func split(tokens []lex.Token) (segments, brackets [][]lex.Token) {
	var run []lex.Token
	depth := 0
	var inside []lex.Token
	flush := func() {
		if len(run) > 0 {
			segments = append(segments, run)
			run = nil
		}
	}
	for i, t := range tokens {
		switch {
		case t.Is("(") || t.Is("["):
			depth++
		case t.Is(")") || t.Is("]"):
			if depth > 0 {
				depth--
			}
			if depth == 0 && inside != nil {
				brackets = append(brackets, inside)
				inside = nil
			}
		case depth > 0:
			inside = append(inside, t)
		case t.Is(",") || t.Is(";") || t.Is(":"):
			flush()
		case t.Is("-") && !t.Glued && i > 0:
			flush()
		case t.Is("."):
			if i+1 < len(tokens) && !tokens[i+1].Glued {
				flush()
			}
		case t.Is("*"):
		default:
			run = append(run, t)
		}
	}
	if inside != nil {
		brackets = append(brackets, inside)
	}
	flush()
	return segments, brackets
}

// cutPhrase parts "beans in brine" into name and tail, unless a known name
// runs on over the word ("tuna in olive oil").
func (r *Reader) cutPhrase(tokens []lex.Token, counted bool) (main, tail []lex.Token) {
	matches := r.larder.Index().All(normalised(tokens), counted)
	position := 0
	for i, t := range tokens {
		inside := slices.ContainsFunc(matches, func(m larder.Match) bool { return position > m.Start && position < m.End })
		if i > 0 && t.Kind == lex.Word && (r.lines().About[strings.ToLower(t.Text)] || r.weightOf(tokens[i:]) != nil || r.workedOn(tokens[i:])) && !inside {
			return tokens[:i], tokens[i:]
		}
		if t.Kind == lex.Word {
			position += len(larder.Words(t.Text))
		}
	}
	return tokens, nil
}

// workedOn tells whether words say what was done to what stands before them, and with or in what: "rubbed with garlic",
// "marinated in yoghurt".
func (r *Reader) workedOn(tokens []lex.Token) bool {
	if len(tokens) < 3 || tokens[1].Kind != lex.Word || !r.lines().About[strings.ToLower(tokens[1].Text)] {
		return false
	}
	return slices.ContainsFunc(r.larder.Language().Verb(strings.ToLower(tokens[0].Text)), func(v language.Reading) bool { return v.Form == language.Past })
}

// weightOf is how many grams each piece weighs by what stands behind "of": "of 250 g", "of about
// 1.5 kg each"; nil where that says no weight.
func (r *Reader) weightOf(tokens []lex.Token) *measure.Span {
	if len(tokens) < 3 || !r.lines().PartOf[strings.ToLower(tokens[0].Text)] {
		return nil
	}
	c := cursorOver(r.lines(), tokens[1:], measure.Metric)
	q := c.quantity()
	if q.amount == nil || measure.GramsOf(q.amount.Unit) == 0 || c.At < len(c.Tokens) && !c.In(0, r.lines().Each) {
		return nil
	}
	grams := q.amount.Span().Times(measure.GramsOf(q.amount.Unit))
	return &grams
}

// splitOn cuts tokens at words that join, and at the signs that stand for them.
func splitOn(tokens []lex.Token, words language.Set, signs string) [][]lex.Token {
	var parts [][]lex.Token
	start := 0
	for i, t := range tokens {
		if t.Kind == lex.Word && words[strings.ToLower(t.Text)] || t.Kind == lex.Mark && strings.Contains(signs, t.Text) {
			if i > start {
				parts = append(parts, tokens[start:i])
			}
			start = i + 1
		}
	}
	if start < len(tokens) {
		parts = append(parts, tokens[start:])
	}
	return parts
}

// slice returns the text that a run of tokens spans.
func slice(text string, tokens []lex.Token) string {
	if len(tokens) == 0 {
		return ""
	}
	return strings.TrimSpace(text[tokens[0].Start:tokens[len(tokens)-1].End])
}
