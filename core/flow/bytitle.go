package flow

import (
	"slices"
)

// namedInTitle is what a word of the dish's name means: the dish, or of two that the name tells apart the
// last thing made of such a food: "Meatball and potato tray".
func (b *bindings) namedInTitle(n noun) *thing {
	m, known := b.r.larder.Index().At(n.words[len(n.words)-1:], 0, true)
	if known && slices.ContainsFunc(b.dishCalled(), func(w string) bool { return b.r.lang.Conjunctions[w] }) {
		if t := b.latest(func(t *thing) bool {
			for p := range t.holds {
				if f := b.lines[p.line].food; f != nil && f.Animal == m.Food.Animal && f.Aisle == m.Food.Aisle {
					return true
				}
			}
			return false
		}); t != nil {
			return t
		}
	}
	if flesh := b.animal(n); len(flesh) == 1 && b.leftOf(*flesh[0].portion) == 0 {
		if t := b.held(*flesh[0].portion); t != nil && b.open(t) {
			return t // "return the beef", of a dish that bears its name
		}
	}
	if t := b.titleMakes(n.head()); t != nil {
		return t
	}
	return b.mainThing()
}

// titleMakes is what flesh became whose name stands right before a word in the dish's name: of a pork schnitzel, the pork.
func (b *bindings) titleMakes(word string) *thing {
	called := b.dishCalled()
	at := slices.Index(called, word)
	if at < 1 {
		return nil
	}
	found := b.direct(noun{words: called[at-1 : at], pointed: true})
	if len(found) != 1 || found[0].portion == nil || !b.isFlesh(*found[0].portion) || b.leftOf(*found[0].portion) > 0 {
		return nil
	}
	if t := b.held(*found[0].portion); t != nil && b.open(t) {
		return t
	}
	return nil
}

// backByTitle is what was taken out and is put back under the dish's own name: "put the beef olives back in", of rolls.
func (b *bindings) backByTitle(n noun) []referent {
	if b.tech.Takes != "back" || b.goingInto || !n.pointed || n.rest || len(n.words) < 2 {
		return nil
	}
	called := b.dishCalled()
	if slices.ContainsFunc(n.words, func(w string) bool { return !slices.Contains(called, w) }) {
		return nil
	}
	if t := b.latest(func(t *thing) bool { return t.taken && t.comp == b.comp }); t != nil {
		return []referent{{made: t}}
	}
	return nil
}

// liftedByTitle is the flesh that a dish is named by, where it is taken out of the liquid that it lies in: "lift the beef from
// the marinade", of a beef bulgogi.
func (b *bindings) liftedByTitle(n noun) []referent {
	if !b.takesAway() || !slices.Contains(b.dishCalled(), n.head()) {
		return nil
	}
	flesh := b.animal(n)
	if len(flesh) != 1 || b.leftOf(*flesh[0].portion) > 0 {
		return nil
	}
	if t := b.held(*flesh[0].portion); t != nil && b.open(t) && len(t.holds) > 1 {
		return []referent{{made: t, portion: flesh[0].portion}}
	}
	return nil
}
