package method

import (
	"slices"
	"strings"
	"unicode/utf8"

	"yembra/core/recipe"
)

// behindNoun is the aside that stands in brackets right behind a noun and tells of it: "the
// ginger (grated)". It goes with its noun, nil where there is none.
func (w *writer) behindNoun(noun recipe.Noun) *recipe.Aside {
	for i := range w.step.Asides {
		x := &w.step.Asides[i]
		if x.From > noun.Upto && w.slice(x.From-1, x.From) == "(" && w.slice(x.Upto, x.Upto+1) == ")" && strings.TrimSpace(w.slice(noun.Upto, x.From-1)) == "" && !w.speaksOfGone(w.slice(x.From, x.Upto), nil) {
			return x
		}
	}
	return nil
}

// nounEnd is where a noun ends with what stands in brackets behind it.
func (w *writer) nounEnd(noun recipe.Noun) int {
	if x := w.behindNoun(noun); x != nil {
		return x.Upto + 1
	}
	if w.ofGoneTin(noun) {
		return w.tinBehind(noun)
	}
	return noun.Upto
}

// ofNoun tells whether an aside belongs to a noun that an action names, or stands in brackets before its verb.
func (w *writer) ofNoun(x recipe.Aside) bool {
	for i := range w.step.Actions {
		a := &w.step.Actions[i]
		if x.From > a.From && x.Upto < a.Words.Verb[0] && w.slice(x.From-1, x.From) == "(" {
			return true // "in a casserole (or a big pot), brown the lamb"
		}
		for _, p := range a.Words.Phrases {
			if p.From < a.From || p.Upto > a.Upto {
				continue
			}
			for _, noun := range p.Nouns {
				if at := w.behindNoun(noun); at != nil && *at == x && x.Upto < a.Upto {
					return true
				}
			}
		}
	}
	return false
}

// doneBehind takes out what is said behind a comma of how a thing is cut or ground where something stands for it that is made
// for the dish: "the parmesan, finely grated", of crumbs of seeds.
func (w *writer) doneBehind(n *node, others []edit) []edit {
	var out []edit
	a := n.Action
	for _, p := range a.Words.Phrases {
		for _, noun := range p.Nouns {
			lines, made := w.meant(noun)
			from, upto := noun.Behind[0], noun.Behind[1]
			if made || len(lines) != 1 || upto == 0 || from < a.From || upto > a.Upto || slices.ContainsFunc(others, func(e edit) bool { return e.from < upto && from < e.upto }) {
				continue
			}
			if s := w.stand[lines[0]]; s != nil && !s.gone && len(s.book.Prepare) > 0 {
				out = append(out, edit{from, upto, ""})
			}
		}
	}
	return out
}

// withJoint is where words for what a pan still holds begin with the preposition that ties them to an action: "in what is left".
func (w *writer) withJoint(a *recipe.Action, from, upto int) int {
	words := strings.Fields(w.slice(a.From, max(from, a.From)))
	if len(words) == 0 || !w.remnant(w.slice(from, upto)) || w.l.Language().Prepositions[strings.ToLower(words[len(words)-1])] == "" {
		return from
	}
	return from - utf8.RuneCountInString(words[len(words)-1]) - 1
}
