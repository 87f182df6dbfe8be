package recipe

import (
	"slices"
	"strings"

	"yembra/core/larder"
)

// split cuts tokens at commas, semicolons and spaced dashes, and takes
// bracketed parts out.
func split(tokens []token) (segments, brackets [][]token) {
	var run []token
	depth := 0
	var inside []token
	flush := func() {
		if len(run) > 0 {
			segments = append(segments, run)
			run = nil
		}
	}
	for i, t := range tokens {
		switch {
		case t.is("(") || t.is("["):
			depth++
		case t.is(")") || t.is("]"):
			if depth > 0 {
				depth--
			}
			if depth == 0 && inside != nil {
				brackets = append(brackets, inside)
				inside = nil
			}
		case depth > 0:
			inside = append(inside, t)
		case t.is(",") || t.is(";") || t.is(":"):
			flush()
		case t.is("-") && !t.glued && i > 0:
			flush()
		case t.is("."):
			if i+1 < len(tokens) && !tokens[i+1].glued {
				flush()
			}
		case t.is("*"):
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
func (r *Reader) cutPhrase(tokens []token, counted bool) (main, tail []token) {
	matches := r.larder.Index().All(normalised(tokens), counted)
	position := 0
	for i, t := range tokens {
		inside := slices.ContainsFunc(matches, func(m larder.Match) bool { return position > m.Start && position < m.End })
		if i > 0 && t.kind == wordToken && phraseWords[strings.ToLower(t.text)] && !inside {
			return tokens[:i], tokens[i:]
		}
		if t.kind == wordToken {
			position += len(larder.Words(t.text))
		}
	}
	return tokens, nil
}

func splitOn(tokens []token, word string) [][]token {
	var parts [][]token
	start := 0
	for i, t := range tokens {
		if t.kind == wordToken && strings.EqualFold(t.text, word) || word == "and" && (t.is("&") || t.is("+")) || word == "or" && t.is("/") {
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
func slice(text string, tokens []token) string {
	if len(tokens) == 0 {
		return ""
	}
	return strings.TrimSpace(text[tokens[0].start:tokens[len(tokens)-1].end])
}
