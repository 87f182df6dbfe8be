package method

import (
	"slices"
	"strings"
	"unicode/utf8"

	"yembra/core/flow"
	"yembra/core/larder"
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

// listedAs names what stands for a line that goes by a word, once it is there.
func (w *writer) listedAs(word string, at int) (named, bool) {
	for _, s := range w.inOrder() {
		own := larder.Words(s.was.Name)
		if len(own) > 0 && (own[len(own)-1] == word || slices.Contains(own, word) && w.foodIDOf(word) == s.was.FoodID()) && !s.gone && w.there(s.node, at) && len(w.animalWords(larder.Capital(w.c.words().The+" "+word)+".")) > 0 {
			return w.c.stand(s, 1, false), true
		}
	}
	return named{}, false
}

// asMuchOf is the name of what stands for something that only words name, with how much of it they say.
func (w *writer) asMuchOf(p recipe.Phrase, name string, kept []named, text string) string {
	if measured := w.measured(p, name); measured != "" {
		return w.measuredOff(measured, text) // "the splash of milk"
	}
	if len(kept) == 1 && w.saysExtra(kept[0].text) {
		return w.c.words().LittleMore + " " + w.c.words().Of + " " + text // "the extra pecorino"
	}
	return text
}

// becomesNow is what something becomes under the name it has now, where the text speaks of that for the first time: "swirl into a
// thin omelette"; empty for all else.
func (w *writer) becomesNow(p recipe.Phrase, noun recipe.Noun) string {
	name, before := w.slice(noun.Name, noun.Upto), w.slice(noun.From, noun.Name)
	first, _, _ := strings.Cut(strings.ToLower(before), " ")
	lang := w.l.Language()
	if p.Role != "into" || noun.Pronoun || noun.Measured || !lang.Articles[first] || lang.Definite[first] {
		return ""
	}
	other := w.c.renamed(name)
	if own, now := strings.Fields(name), strings.Fields(other); len(own) == 0 || len(now) == 0 || own[len(own)-1] == now[len(now)-1] || len(w.animalWords(other)) > 0 {
		return "" // nor a spaetzle maker
	}
	return before + other
}

// saysExtra tells whether words speak of more of a thing than the dish itself took: "the extra pecorino".
func (w *writer) saysExtra(text string) bool {
	return slices.ContainsFunc(larder.Words(text), func(word string) bool { return w.l.Language().Extras[word] })
}
