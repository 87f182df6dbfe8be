package lex

import (
	"strconv"
	"testing"

	"yembra/core/measure"

	"github.com/stretchr/testify/require"
)

func TestNumbers(t *testing.T) {
	for text, want := range map[string][]float64{
		"1": {1}, "1.5": {1.5}, "1,5": {1.5}, "0,75": {0.75}, "1,000": {1000}, ".5": {0.5},
		"1/2": {0.5}, "½": {0.5}, "1½": {1.5}, "1 ½": {1.5}, "1 1/2": {1.5}, "1-1/2": {1.5}, "1 and 1/2": {1, 0.5}, "1⁄2": {0.5},
		"2-3": {2, 3}, "2–3": {2, 3}, "10 12": {10, 12}, "⅛": {0.125}, "2 ⅔": {2 + 2.0/3}, "24/7": {24, 7},
	} {
		var got []float64
		for _, tok := range Scan(text) {
			if tok.Kind == Number {
				got = append(got, tok.Value)
			}
		}
		require.Len(t, got, len(want), text)
		for i := range want {
			require.InDelta(t, want[i], got[i], 1e-9, text)
		}
	}
}

func TestWordsAndMarks(t *testing.T) {
	var words, marks []string
	for _, tok := range Scan("250g all-purpose flour (Baker’s) – sifted × 2, crème fraîche") {
		switch tok.Kind {
		case Word:
			words = append(words, tok.Text)
		case Mark:
			marks = append(marks, tok.Text)
		}
	}
	require.Equal(t, []string{"g", "all-purpose", "flour", "Baker’s", "sifted", "crème", "fraîche"}, words)
	require.Equal(t, []string{"(", ")", "-", "x", ","}, marks)
	for _, tok := range Scan("a½b") {
		require.Equal(t, tok.Text, "a½b"[tok.Start:tok.End], "offsets point into the text")
	}
}

// What is just a fraction, a mixed number or a figure, and what is just none.
func TestNumbersAtTheirBounds(t *testing.T) {
	for text, want := range map[string][]float64{
		"1/16": {0.0625}, "1/17": {1, 17}, "1/1": {1, 1}, "11/4": {2.75}, "12/4": {12, 4}, "99/10": {99, 10}, "100/3": {100, 3}, "1/100": {1, 100}, "3/02": {1.5},
		"1 3/2": {1, 1.5}, "1.5 1/2": {1.5, 0.5}, "2 & 1/2": {2.5}, "2 1/2": {2.5}, "0": {0}, "9": {9}, "1/": {1}, "1 ": {1}, ".": nil, "5.": {5}, "½ ½": {0.5, 0.5},
		"1000000": {1000000}, "£1": nil, "€2,50": nil, "$ 3": {3}, "£": nil,
	} {
		var got []float64
		for _, tok := range Scan(text) {
			if tok.Kind == Number {
				got = append(got, tok.Value)
			}
		}
		require.Equal(t, want, got, text)
	}
	most := strconv.FormatFloat(measure.MostFigure, 'f', -1, 64)
	require.Equal(t, Number, Scan(most)[0].Kind)
	require.Equal(t, Token{Kind: Word, Text: most + "1", Norm: most + "1", End: len(most) + 1}, Scan(most + "1")[0], "no amount of anything")
}

// What stands glued to what, and which marks a word holds within itself.
func TestWhatIsGlued(t *testing.T) {
	for text, want := range map[string][]Token{
		"250g":     {{Number, "250", "", 250, 0, 3, false}, {Word, "g", "g", 0, 3, 4, true}},
		"a b":      {{Word, "a", "a", 0, 0, 1, false}, {Word, "b", "b", 0, 2, 3, false}},
		"(a)":      {{Mark, "(", "", 0, 0, 1, false}, {Word, "a", "a", 0, 1, 2, true}, {Mark, ")", "", 0, 2, 3, true}},
		"a-":       {{Word, "a", "a", 0, 0, 1, false}, {Mark, "-", "", 0, 1, 2, true}},
		"-a":       {{Mark, "-", "", 0, 0, 1, false}, {Word, "a", "a", 0, 1, 2, true}},
		"m&m":      {{Word, "m&m", "m&m", 0, 0, 3, false}},
		"m& m":     {{Word, "m", "m", 0, 0, 1, false}, {Mark, "&", "", 0, 1, 2, true}, {Word, "m", "m", 0, 3, 4, false}},
		"a-5":      {{Word, "a", "a", 0, 0, 1, false}, {Mark, "-", "", 0, 1, 2, true}, {Number, "5", "", 5, 2, 3, true}},
		"\ufeff a": {{Word, "a", "a", 0, 4, 5, false}},
		" ":        nil,
		"":         nil,
	} {
		got := Scan(text)
		require.Len(t, got, len(want), "%q", text)
		for i := range want {
			require.Equal(t, want[i], got[i], "%q", text)
		}
	}
}
