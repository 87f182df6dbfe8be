package method

import (
	"slices"
	"strings"
	"unicode/utf8"

	"yembra/core/flow"
	"yembra/core/recipe"
)

// beforeOwner is where a name ends that means an animal, before the words that say of what it is: "the cheese of each boat".
func (w *writer) beforeOwner(noun recipe.Noun) int {
	of := " " + w.c.words().Of + " "
	head, _, owned := strings.Cut(w.slice(noun.Name, noun.Upto), of)
	if !owned || len(w.animalWords(head)) == 0 || noun.Plural {
		return noun.Upto
	}
	return noun.Name + utf8.RuneCountInString(head)
}

// ofOwner names a product by its head, with the words behind it that say of what it is.
func (w *writer) ofOwner(noun recipe.Noun, head int, lines []int, at int, kept []named) ([]named, bool) {
	own := noun
	own.Upto = head
	things, ok := w.product(own, lines, at, kept)
	if len(things) > 0 {
		things[len(things)-1].text += w.slice(head, noun.Upto)
	}
	return things, ok
}

// onlyTapWater tells whether a phrase names nothing but water that no list has.
func (w *writer) onlyTapWater(p recipe.Phrase) bool {
	return p.Role != "to" && len(p.Nouns) > 0 && !slices.ContainsFunc(p.Nouns, func(noun recipe.Noun) bool {
		return len(noun.Refs) != 1 || !flow.FromTap(w.l, noun.Refs[0])
	})
}

// beforeShape is what stands before the name of a shape: "4 or 5 meatballs", "each fishcake", "the meatballs", "a piece of the log".
func (w *writer) beforeShape(noun recipe.Noun) string {
	if before := w.slice(noun.From, noun.Name); noun.Measured && !noun.Rest && w.ownMeasure(noun) == "" || w.eachOfAll(before) {
		return before
	}
	return w.ownMeasure(noun) + w.c.words().The + " "
}

// eachOfAll tells whether what stands before a name means one by one all that go by it: "each fishcake".
func (w *writer) eachOfAll(before string) bool {
	first, _, _ := strings.Cut(strings.ToLower(before), " ")
	return w.l.Language().Dealt[first]
}
