package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// fatOfFlesh tells whether a noun means the fat that ran out of flesh which is in the pan: "the chorizo oil", and not that
// of the list.
func (b *bindings) fatOfFlesh(n noun) bool {
	if b.givenOff(n) && b.r.lang.Fats[n.head()] {
		return true // "the fat they have released"
	}
	if !b.r.lang.Fats[n.head()] || len(n.words) < 2 || slices.ContainsFunc(b.lines, func(l bound) bool { return slices.Equal(l.name, n.words) }) {
		return false
	}
	return slices.ContainsFunc(b.lines, func(l bound) bool {
		return l.food != nil && (l.food.Animal == larder.Meat || l.food.Animal == larder.Poultry) && len(l.name) > 0 && last(l.name) == n.words[len(n.words)-2] && len(l.left) > 0
	})
}

// fatOfBody tells whether a noun is the fat that is cut or pulled off a body with its other parts: "discarding the skin and fat".
func (b *bindings) fatOfBody(n noun, to []recipe.Ref) bool {
	if len(n.words) != 1 || !b.r.lang.Fleshly[n.head()] || !b.r.lang.Fats[n.head()] || !b.takesAway() {
		return false
	}
	part := func(word string) bool { return b.r.lang.Fleshly[word] && b.r.lang.Remains[word] }
	return b.text.conj(n.upto) && part(b.text.low(n.upto+1)) || slices.ContainsFunc(to, func(r recipe.Ref) bool {
		return r.Named != nil && part(last(strings.Fields(*r.Named)))
	})
}

// colouredFat tells whether a noun means by its look the fat that ran out of flesh, and not that of the list:
// "the red oil".
func (b *bindings) colouredFat(n noun, found []referent) bool {
	if !b.r.lang.Fats[n.head()] || len(n.words) != 2 || !n.pointed || len(found) != 1 || found[0].portion == nil || b.focus == nil {
		return false
	}
	l := &b.lines[found[0].portion.line]
	if l.said[n.words[0]] || slices.Contains(l.name, n.words[0]) || b.r.lang.HeatWords[n.words[0]] || b.describes(n.words[0]) {
		return false // "the hot oil", "the remaining oil"
	}
	inFat := func(t *thing) bool { return t.comp == b.comp && b.friedInFat(t) && b.open(t) }
	return b.friedDry(b.focus) || !slices.ContainsFunc(b.things, inFat) && slices.ContainsFunc(b.things, b.friedDry)
}

// friedDry tells whether a thing is flesh that was fried in nothing but its own fat.
func (b *bindings) friedDry(t *thing) bool {
	for p := range t.holds {
		if f := b.lines[p.line].food; f == nil || f.Animal != larder.Meat && f.Animal != larder.Poultry {
			return false
		}
	}
	return t.comp == b.comp && t.fried && len(t.holds) > 0
}
