package larder

import (
	"slices"
	"strings"
)

// EdibleWhen says for which weights in a recipe the edible share holds.
type EdibleWhen string

// Bone and shell are weighed in where a food comes so (EatenWhole), where it is
// counted or said to (EatenPieces), or only where it is said (EatenSaid); EatenStock
// is cooked for what it gives.
const (
	EatenWhole  EdibleWhen = "whole"
	EatenPieces EdibleWhen = "pieces"
	EatenSaid   EdibleWhen = "said"
	EatenStock  EdibleWhen = "stock"
)

var edibleWhens = map[EdibleWhen]bool{"": true, EatenWhole: true, EatenPieces: true, EatenSaid: true, EatenStock: true}

// loadWashed reads what soaking and rinsing leave of the salt of cured foods.
func (l *Larder) loadWashed(src Source) error {
	return eachRow(src, "washed.csv", func(r row) {
		left := r.number("left", 0)
		if left <= 0 || left >= 1 {
			r.fail("left: %g is no share between 0 and 1", left)
		}
		for _, id := range r.list("foods") {
			if f := r.food(l, id); f != nil {
				f.Washed = left
			}
		}
	})
}

func (f *Food) flesh() bool {
	return slices.Contains(flesh, string(f.Animal))
}

// EatenShare is the share of a line's weight that is eaten, 1 unless it is meat,
// fish or shellfish weighed with bone or shell. text is the line as written;
// counted tells that its amount counts pieces.
func (l *Larder) EatenShare(f *Food, text string, counted bool) float64 {
	e := &f.Edible
	if e.When == "" || e.When == EatenStock {
		return 1
	}
	switch {
	case says(text, l.words.Boneless):
		return 1
	case e.When == EatenWhole, says(text, l.words.BoneIn), e.When == EatenPieces && counted:
		return e.Share
	}
	return 1
}

// Spelled is a text as words are looked for in it, however they are spelled: each
// normalised, with a space before and behind.
func Spelled(text string) string { return " " + strings.Join(Words(text), " ") + " " }

// says tells whether one of the phrases of a list stands in a text.
func says(text string, list []string) bool {
	words := Spelled(text)
	return slices.ContainsFunc(list, func(p string) bool { return strings.Contains(words, p) })
}

// The pieces of meat and fish that words beside a count tell apart.
const (
	wholePiece   = "whole"
	portionPiece = "portion"
)

// PieceSaid is the kind of piece that a counted line means where its words say so: a
// portion, or the whole animal; empty where they do not.
func (l *Larder) PieceSaid(f *Food, text string) string {
	if _, ok := f.Matter.Pieces[portionPiece]; ok && says(text, l.words.Portion) {
		return portionPiece
	}
	if _, ok := f.Matter.Pieces[wholePiece]; ok && says(text, l.words.BoneIn) && !says(text, l.words.Boneless) {
		return wholePiece
	}
	return ""
}
