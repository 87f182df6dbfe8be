package method

import (
	"strings"
	"unicode"
	"unicode/utf8"
)

// furtherNoMore takes out of a time that it goes on for longer, where nothing that was cooked before is: "5 minutes more",
// "a further 5 minutes".
func (w *writer) furtherNoMore(n *node, d *deed) []edit {
	a, lang := n.Action, w.l.Language()
	from, upto := a.Words.Time[0], a.Words.Time[1]
	if d.minutes != nil || upto == 0 || from < a.From || upto > a.Upto || w.onFireBefore(n) {
		return nil
	}
	rest := w.slice(upto, a.Upto)
	if next := strings.Trim(strings.TrimSpace(rest), ",.;"); lang.FurtherTimes[strings.ToLower(next)] {
		upto += utf8.RuneCountInString(strings.TrimRight(rest, ",.; "))
	}
	words := strings.Fields(w.slice(from, upto))
	var kept []string
	for k, word := range words {
		if !lang.FurtherTimes[strings.ToLower(word)] {
			kept = append(kept, word)
			continue
		}
		figure := k+1 < len(words) && unicode.IsDigit([]rune(words[k+1])[0])
		if last := len(kept) - 1; figure && last >= 0 && lang.Articles[strings.ToLower(kept[last])] {
			kept = kept[:last] // "a further 10 minutes"
		} else if !figure && k+1 < len(words) {
			kept = append(kept, word) // "another minute"
		}
	}
	if len(kept) == len(words) {
		return nil
	}
	return []edit{{from, upto, strings.Join(kept, " ")}}
}

// onFireBefore tells whether something is cooked, and not only a fat heated, before what is cooked on in an action.
func (p *plan) onFireBefore(n *node) bool {
	for _, in := range n.Inputs {
		before := &p.graph.Nodes[in]
		if !p.deeds[in].drop && before.Technique.Heat != "" && !before.Is("heat", "melt") || p.onFireBefore(before) {
			return true
		}
	}
	return false
}
