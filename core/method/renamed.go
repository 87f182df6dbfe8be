package method

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// renamedNow is what a dish makes itself by the name it has now, or by what stands for the listed thing that is called so.
func (w *writer) renamedNow(noun recipe.Noun, name string, lines []int) []named {
	other := w.c.renamed(name)
	if other == name {
		return nil
	}
	before := w.slice(noun.From, noun.Name)
	if s := w.namedStand(name, lines); s != nil {
		return []named{{text: before + s.name, plural: noun.Plural, stand: s}} // "half the lentil mince", of sausage meat
	}
	return []named{{text: before + other, plural: noun.Plural}}
}

// namedStand is what stands for the one line that is named by the words for what a dish could make as well, and was crumbled or cut
// since: "half the sausage", of sausage meat. nil for all else.
func (w *writer) namedStand(name string, lines []int) *standIn {
	var found *standIn
	for _, line := range lines {
		s := w.stand[line]
		if s == nil || s.gone || s.inPieces() || !slices.Contains(larder.Words(s.was.Name), larder.Singular(larder.Fold(name))) {
			continue
		}
		if found != nil {
			return nil
		}
		found = s
	}
	return found
}
