package method

import (
	"strings"
	"unicode/utf8"

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
