package flow

import (
	"cmp"
	"slices"
)

// meatMix is what holds flesh and more in the part at hand, where a noun says that it is of meat and another part goes by its head:
// "the meat sauce", beside the white sauce.
func (b *bindings) meatMix(n noun) *thing {
	if c := b.componentNamed(n.head()); len(n.words) < 2 || c < 0 || c == b.comp || !b.r.lang.Products[n.head()] || !b.otherMatter(n, n.head(), c) {
		return nil
	}
	return b.latest(func(t *thing) bool { return t.comp == b.comp && len(t.holds) > 1 && len(b.fleshIn(t)) > 0 })
}

// otherMatter tells whether a noun says by another word that it is of flesh which the part does not list whose name it has: "the meat
// sauce", beside the part of the white sauce.
func (b *bindings) otherMatter(n noun, w string, c int) bool {
	return slices.ContainsFunc(n.words, func(q string) bool {
		if q == w || b.componentNamed(q) == c || !b.r.lang.AnyMeat[q] && b.r.larder.Words().AnimalWords[q] == "" {
			return false
		}
		return !slices.ContainsFunc(b.lines, func(l bound) bool { return l.comp == c && l.food != nil && l.food.Animal.Flesh() })
	})
}

// massToShape is the mass that was mixed before, where what is shaped would else be the broth that has been heated since: "shape the mixture
// into balls, dropping them into the broth".
func (b *bindings) massToShape(t *thing) *thing {
	if b.tech == nil || b.tech.Family != "dough" || !b.pours(t) {
		return t
	}
	return cmp.Or(b.latest(func(x *thing) bool { return len(x.holds) > 1 && !x.heated && !b.pours(x) && x.title == nil }), t)
}

// laidBeside is what was taken out of a pan and lies by, where an order would else put what is in hand onto itself: "pour in the eggs;
// spoon the filling over one half".
func (b *bindings) laidBeside(t *thing) *thing {
	if t == nil || b.tech == nil || b.tech.Joins == "" || b.goingInto || !t.heated || t != b.focus && !(b.tech.Family == "assemble" && b.pours(t)) {
		return nil
	}
	return b.latest(func(x *thing) bool {
		return x != t && x.comp == b.comp && (b.away(x) || x.out) && x.heated && len(x.holds) > 1 && !x.liquid
	})
}
