package method

import (
	"strings"
	"unicode/utf8"

	"yembra/core/recipe"
)

// pointsTo points back to what an action works on now by the word for one or for several: "leave
// the mushrooms to cool in their broth".
func (w *writer) pointsTo(a *recipe.Action, own *clause) []edit {
	if len(own.objects) == 0 {
		return nil
	}
	words := w.c.words()
	was, now := false, len(own.objects) > 1 || own.objects[0].plural
	for _, p := range a.Words.Phrases {
		was = was || p.Role == "to" && (len(p.Nouns) > 1 || p.Nouns[0].Plural)
	}
	from, to := words.Its, words.Their
	if was {
		from, to = to, from
	}
	if was == now {
		return nil
	}
	var out []edit
	other := func(begins int, said string, most int) {
		for _, word := range strings.Fields(said)[:min(most, len(strings.Fields(said)))] {
			if strings.EqualFold(word, from) {
				at := begins + utf8.RuneCountInString(said[:strings.Index(said, word)])
				out = append(out, edit{at, at + utf8.RuneCountInString(word), to})
				return
			}
		}
	}
	for _, p := range a.Words.Phrases {
		for _, noun := range p.Nouns {
			if p.Role != "to" {
				other(noun.From, w.slice(noun.From, noun.Upto), 2) // "its marinade", "all its marinade"
			}
		}
	}
	if cue := a.Words.Cue; cue[1] > cue[0] && cue[0] >= a.From && cue[1] <= a.Upto {
		other(cue[0], w.slice(cue[0], cue[1]), 2) // "until its edges are crisp"
	}
	return out
}
