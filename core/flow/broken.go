package flow

import (
	"yembra/core/lex"
)

// Broken finds words of a text that no sentence can have: an article that leads to nothing, a word that
// stands twice. It is empty where there are none.
func (r *Reader) Broken(source string) string {
	tokens := lex.Scan(source)
	t := &text{source: source, lang: r.lang, tokens: tokens, words: wordsOf(tokens)}
	for i := range t.words {
		next := i + 1
		if !t.is(i, t.lang.Articles) || t.lang.Measures[t.low(i)] || t.lang.TimeMore[t.low(i)] || t.lang.Pronouns[t.low(i)] || t.number(i) || t.words[i].Text != t.words[i].low {
			continue
		}
		if next == len(t.words) || t.words[next].Kind == lex.Mark && t.mark(next, ".,;:!?") || t.is(next, t.lang.Being) || t.conj(next) || t.lang.Prepositions[t.low(next)] == "of" || t.low(next) == t.low(i) {
			return t.slice(i, min(next+1, len(t.words)))
		}
	}
	return ""
}
