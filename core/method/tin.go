package method

import (
	"slices"
	"strings"
	"unicode/utf8"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// ofGoneTin tells whether a noun is what a tin or jar held of something that is not there any more: "the brine from
// the tins", of anchovies.
func (w *writer) ofGoneTin(noun recipe.Noun) bool {
	words := larder.Words(w.slice(noun.Name, noun.Upto))
	return len(words) > 0 && w.heldInTin(words[len(words)-1]) && w.tinBehind(noun) > 0 && w.packsGone()
}

// tinBehind is where words end right behind a noun that say out of which tin it comes: "from the tins"; 0 where there
// are none.
func (w *writer) tinBehind(noun recipe.Noun) int {
	lang := w.l.Language()
	said := strings.SplitAfter(w.slice(noun.Upto, len(w.text)), " ")
	if len(said) < 2 || strings.TrimSpace(said[0]) != "" || lang.Prepositions[strings.TrimSpace(said[1])] != "from" {
		return 0
	}
	end := noun.Upto + 1 + utf8.RuneCountInString(said[1])
	for _, word := range said[2:] {
		bare := larder.Words(word)
		if len(bare) == 1 && lang.Packs[bare[0]] {
			return end + utf8.RuneCountInString(strings.TrimRight(word, " .,;:!"))
		}
		if len(bare) != 1 || !lang.Articles[bare[0]] {
			return 0
		}
		end += utf8.RuneCountInString(word)
	}
	return 0
}

// heldInTin tells whether a word is for what a tin holds beside its food: brine, oil.
func (w *writer) heldInTin(word string) bool { return w.isLiquor(word) || w.l.Language().Fats[word] }

// packsGone tells whether lines are listed by the tin or jar, and all of them were replaced.
func (w *writer) packsGone() bool {
	gone := false
	for line := range w.graph.Lines {
		l := w.line(line)
		if w.graph.Lines[line].Component != w.component || !slices.ContainsFunc(larder.Words(l.Text), func(word string) bool { return w.l.Language().Packs[word] }) {
			continue
		}
		if w.stand[line] == nil {
			return false
		}
		gone = true
	}
	return gone
}
