package method

import (
	"slices"
	"strings"
	"unicode/utf8"

	"yembra/core/language"
	"yembra/core/recipe"
)

// inPlaceOf writes a text in place of a phrase, behind its preposition where something is left of it; what only hangs on
// a phrase that goes, goes with it.
func (w *writer) inPlaceOf(a *recipe.Action, p recipe.Phrase, text string, left bool) edit {
	from, upto := p.From, p.Upto
	if left {
		from = p.Nouns[0].From
	}
	if last := w.nounEnd(p.Nouns[len(p.Nouns)-1]); last <= a.Upto {
		upto = max(upto, last)
	}
	if text == "" && !left && p.Role != "to" {
		from, upto = w.withWhatHangs(a, from, upto)
	} else if last := len(p.Nouns) - 1; last > 0 && w.ranOutAside(&w.graph.Nodes[w.nodeOf(a.ID)], p.Nouns[last]) {
		_, upto = w.withWhatHangs(a, from, upto)
	}
	return edit{from, upto, text}
}

// withWhatHangs is where a phrase stands that goes, with what only hangs on it: "along with any juices from the plate".
func (w *writer) withWhatHangs(a *recipe.Action, from, upto int) (int, int) {
	lang := w.l.Language()
	before := strings.TrimRight(w.slice(a.From, from), " ")
	word := before[strings.LastIndex(before, " ")+1:]
	if lang.Alongside[strings.ToLower(word)] {
		before = strings.TrimRight(strings.TrimSuffix(before, word), " ,")
		from = a.From + utf8.RuneCountInString(before)
	}
	end := a.Upto
	for _, at := range w.spans(a) {
		if at[0] >= upto && !(at == a.Words.Vessel && w.l.Language().Receiving[strings.ToLower(w.slice(at[0], at[1]))]) {
			end = min(end, at[0])
		}
	}
	behind, _, _ := strings.Cut(w.slice(upto, end), ",")
	if fields := strings.Fields(behind); len(fields) > 1 && lang.Prepositions[strings.ToLower(fields[0])] != "" && !w.forWork(fields) {
		upto += utf8.RuneCountInString(strings.TrimRight(behind, " "))
	}
	return from, upto
}

// forWork tells whether words say what work is for: "to warm through", and not "to the pan".
func (w *writer) forWork(words []string) bool {
	lang := w.l.Language()
	return lang.Purpose[strings.ToLower(words[0])] && slices.ContainsFunc(lang.Verb(strings.ToLower(words[1])), func(r language.Reading) bool { return r.Form == language.Base })
}

// spans are where the words of an action stand that were read.
func (w *writer) spans(a *recipe.Action) [][2]int {
	out := slices.Concat(a.Words.Manners, a.Words.Particles)
	for _, at := range [][2]int{a.Words.Verb, a.Words.Time, a.Words.Heat, a.Words.Cue, a.Words.Vessel, a.Words.Outcome, a.Words.Shape, a.Words.Aim, a.Words.Purpose} {
		if at[1] > 0 {
			out = append(out, at)
		}
	}
	for _, p := range a.Words.Phrases {
		out = append(out, [2]int{p.From, p.Upto})
	}
	return out
}
