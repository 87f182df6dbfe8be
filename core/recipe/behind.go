package recipe

import (
	"strings"

	"yembra/core/lex"
)

// BehindFigure is a line without the figure that it begins with.
func BehindFigure(text string) string {
	for _, t := range lex.Scan(text) {
		if t.Kind == lex.Word || t.Is("(") {
			return text[t.Start:]
		}
	}
	return ""
}

// BehindBrackets is a text without the figures in brackets that it begins with.
func BehindBrackets(text string) string {
	figure := false
	for i, t := range lex.Scan(text) {
		switch {
		case i == 0 && !t.Is("("):
			return text
		case t.Is(")"):
			if !figure {
				return text
			}
			return strings.TrimSpace(text[t.End:])
		}
		figure = figure || t.Kind == lex.Number
	}
	return text
}
