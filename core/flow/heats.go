package flow

import "strings"

// heat reads "over a low heat", "on medium", "under the grill" from the word
// after the preposition; it returns what heat is meant.
func (t *text) heat(i int) (said string, upto int, ok bool) {
	at := i
	for t.is(at, t.lang.Articles) {
		at++
	}
	var words []string
	for t.lang.HeatWords[t.low(at)] || t.adverb(at) && t.lang.HeatWords[t.low(at+1)] {
		words = append(words, t.low(at))
		at++
		if t.mark(at, "-") || t.lang.Conjunctions[t.low(at)] && t.lang.HeatWords[t.low(at+1)] {
			at++
		}
	}
	if t.lang.Heats[t.low(at)] {
		if len(words) == 0 {
			return t.low(at), at + 1, true
		}
		return strings.Join(words, " "), at + 1, true
	}
	if len(words) > 0 && (t.ends(at, len(t.words)) || t.mark(at, ",") || t.lang.Prepositions[t.low(at)] != "" || t.lang.Until[t.low(at)] || t.lang.Conjunctions[t.low(at)]) {
		return strings.Join(words, " "), at, true
	}
	return "", i, false
}
