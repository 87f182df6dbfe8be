package flow

import (
	"slices"

	"yembra/core/larder"
)

// elseInto is what something goes into, where the thing that a noun means cannot be it; nil where it can.
func (b *bindings) elseInto(n noun, x referent, r *roles) *thing {
	if x.made == nil || !b.goingInto {
		return nil
	}
	lang, same := b.r.lang, slices.Contains(r.inputs, x.made)
	if same && !n.pronoun && lang.Shapes[n.head()] && b.otherBase(r) != nil {
		return b.otherBase(r) // "lay one along each strip"
	}
	if same && lang.Products[n.head()] && b.focus != nil && !slices.Contains(r.inputs, b.focus) {
		return b.focus // "lay the fish on the sauce" that is in hand
	}
	if !n.pronoun && x.vessel == "" && !lang.Vessels[n.head()] && lang.Products[n.head()] && b.onlyOf(x.made, r) {
		if pot := b.cookingBeside(x.made, r); pot != nil {
			return pot // "stir the spinach into the curry", of which the spinach was cooked meanwhile
		}
	}
	if same && !n.pronoun {
		return b.listedAs(n, x.made) // "stuff the mixture into the shells", in the part of that name
	}
	return nil
}

// otherBase is what is there besides what goes into it.
func (b *bindings) otherBase(r *roles) *thing {
	return b.latest(func(t *thing) bool {
		return !slices.Contains(r.inputs, t) && t != b.focus && !t.putBy
	})
}

// onlyOf tells whether a thing is no more than what goes in.
func (b *bindings) onlyOf(t *thing, r *roles) bool {
	if len(t.holds) == 0 || len(r.inputs) == 0 {
		return false
	}
	for p := range t.holds {
		if !slices.ContainsFunc(r.inputs, func(in *thing) bool { return in.holds[p] && !in.ofShare }) {
			return false
		}
	}
	return true
}

// cookingBeside is what cooks in the part at hand beside something and what goes in.
func (b *bindings) cookingBeside(t *thing, r *roles) *thing {
	return b.latest(func(x *thing) bool {
		return x != t && !slices.Contains(r.inputs, x) && x.heated && !b.away(x) && x.comp == b.comp && len(x.holds) > 1
	})
}

// mixedJust tells whether what is in hand was only stirred together by the last work on it.
func (b *bindings) mixedJust() bool {
	t := b.r.larder.Technique(b.focus.technique)
	return t != nil && t.Family == "mix" && t.Joins != "yes"
}

// underTop is what stands in its dish, over "the top" of which comes what is in hand and was made beside it: "tip into a dish. Mix
// the crumbs with the cheese and spoon over the top"; nil where that is not said.
func (b *bindings) underTop(c *clause, t *larder.Technique, l link, r *roles) *thing {
	n := l.nouns[0]
	if l.word != "over" || !b.r.lang.Places[n.head()] || n.owner != nil || t.Joins == "" || b.focus == nil || !b.mixedJust() || slices.ContainsFunc(c.objects, func(o noun) bool { return !o.pronoun }) {
		return nil
	}
	main := b.latest(func(x *thing) bool {
		return x != b.focus && x.comp == b.comp && !x.putBy && !x.taken && x.vessel != "" && b.massOf(x) > b.massOf(b.focus)
	})
	if main == nil || slices.Contains(r.inputs, main) {
		return nil
	}
	return main
}

// opened makes a thing what something goes into.
func (b *bindings) opened(r *roles, t *thing) { b.refMade(t, 1, r, &r.action.Into) }
