package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// renamedNow is what a dish makes itself by the name it has now, or by what stands for the listed thing that is called so.
func (w *writer) renamedNow(noun recipe.Noun, name string, lines []int) []named {
	if mixed := w.mixedWith(noun, name, lines); mixed != "" {
		return []named{{text: w.slice(noun.From, noun.Name) + mixed, plural: noun.Plural}}
	}
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

// mixedWith is a mixture by the cook's own thing that leads its name, where the other stands for something: "the chocolate mixture",
// for "the chocolate cream". It is empty for all else.
func (w *writer) mixedWith(noun recipe.Noun, name string, lines []int) string {
	lead, tail, ok := strings.Cut(strings.ToLower(name), " ")
	if !ok || strings.Contains(tail, " ") || len(noun.Refs) != 1 || noun.Refs[0].Made == nil || noun.Rest || noun.Measured {
		return ""
	}
	ends := func(line int, word string) bool {
		words := larder.Words(w.line(line).Name)
		return len(words) > 0 && words[len(words)-1] == larder.Singular(larder.Fold(word))
	}
	own := slices.ContainsFunc(lines, func(line int) bool { return w.stand[line] == nil && ends(line, lead) })
	stands := slices.ContainsFunc(lines, func(line int) bool { return w.stand[line] != nil && ends(line, tail) })
	if !own || !stands {
		return ""
	}
	return lead + " " + w.c.words().Mixture
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
