package method

import (
	"strings"

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

// ofNoun tells whether an aside belongs to a noun that an action names.
func (w *writer) ofNoun(x recipe.Aside) bool {
	for i := range w.step.Actions {
		a := &w.step.Actions[i]
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
