package recipe

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/lex"
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

// exampleWords begin examples of what is meant: "firm fillets such as cod".
var exampleWords = map[string]bool{"such": true, "like": true, "preferably": true, "ideally": true}

// phraseWords begin what is said about a food rather than what it is.
var phraseWords = map[string]bool{
	"with": true, "in": true, "for": true, "from": true, "such": true, "like": true, "to": true, "plus": true, "on": true, "if": true,
	"cut": true, "about": true, "preferably": true, "ideally": true, "left": true, "at": true, "until": true, "without": true, "per": true, "as": true,
	"including": true, "depending": true, "according": true, "each": true, "into": true, "by": true, "that": true, "which": true, "soaked": true,
}

// cutPhrase parts "beans in brine" into name and tail, unless a known name
// runs on over the word ("tuna in olive oil").
func (r *Reader) cutPhrase(tokens []lex.Token, counted bool) (main, tail []lex.Token) {
	matches := r.larder.Index().All(normalised(tokens), counted)
	position := 0
	for i, t := range tokens {
		inside := slices.ContainsFunc(matches, func(m larder.Match) bool { return position > m.Start && position < m.End })
		if i > 0 && t.Kind == lex.Word && phraseWords[strings.ToLower(t.Text)] && !inside {
			return tokens[:i], tokens[i:]
		}
		if t.Kind == lex.Word {
			position += len(larder.Words(t.Text))
		}
	}
	return tokens, nil
}

func splitOn(tokens []lex.Token, word string) [][]lex.Token {
	var parts [][]lex.Token
	start := 0
	for i, t := range tokens {
		if t.Kind == lex.Word && strings.EqualFold(t.Text, word) || word == "and" && (t.Is("&") || t.Is("+")) || word == "or" && t.Is("/") {
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
