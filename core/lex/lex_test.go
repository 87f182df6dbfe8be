package lex

import (
	"testing"

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
