package flow

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// goesOnIn tells whether more of a frying or a boiling goes into what is in hand.
func (b *bindings) goesOnIn(t *larder.Technique) bool {
	return t.Family == "dry heat" && b.focus.fried || t.Family == "wet heat" && b.focus.heated && (b.focus.liquid || b.holdsPoured(b.focus))
}

// meantInto fills in what an order adds to.
func (b *bindings) meantInto(c *clause, t *larder.Technique, r *roles) {
	a := r.action
	if c.repeats && b.tellsLast(a) {
		return // "layer the vegetables on top: first the carrots, then the potatoes"
	}
	if told := b.toldBefore(c); told != nil && !slices.Contains(r.inputs, told) {
		b.refMade(told, 1, r, &a.Into)
		return
	}
	into := b.base
	if into != nil && into.comp != b.comp && c.aim()[1] > 0 {
		into = nil // "for the sauce, add the flour", of a part of its own
	}
	if into == nil && b.drainedJust() || into != nil && slices.Contains(r.inputs, into) && (t.Joins != "yes" || b.goesElsewhere(c) || len(c.particles) > 0 && len(a.To) > 1 || b.onlyIt(c, r) || b.drainedJust()) {
		into = b.latest(func(x *thing) bool {
			return !slices.Contains(r.inputs, x) && x.comp == b.comp && x.title == nil && !(x.putBy && slices.Index(b.things, x) < b.cleaned)
		})
	}
	if into != nil && into.taken && t.Name == returnTechnique {
		if pot := b.latest(func(x *thing) bool { return b.isPot(x, r) && b.cameOutOf(r.inputs, x) }); pot != nil {
			into = pot // "fish out the bone; take out the pork, slice it and put it back"
		}
	}
	if into != nil && !slices.Contains(r.inputs, into) && !c.going && b.addedLater(into) {
		if pot := b.latest(func(x *thing) bool { return x != into && b.isPot(x, r) }); pot != nil {
			into = pot
		}
	}
	if pot := b.ladleBack(r, into); pot != nil {
		into = pot
	} else if pot := b.potBeside(r); pot != nil && into != nil && slices.Contains(r.inputs, into) && t.Joins == "yes" {
		into = pot // "fry the bacon in the same pan; add it too"
	}
	switch {
	case b.onlyVessel != "":
		named := b.onlyVessel
		a.Into = append(a.Into, recipe.Ref{Named: &named, Share: 1})
		r.vessel = named
	case into != nil && !slices.Contains(r.inputs, into) && b.open(into):
		b.refMade(into, 1, r, &a.Into)
	}
}

// drainedJust tells whether what is in hand, of which the text says no name, was only drained before it goes in: "drain the paneer and
// add with the cream".
func (b *bindings) drainedJust() bool {
	if !b.meantTo || b.last == nil || b.focus == nil || b.focus.heated {
		return false
	}
	t := b.r.larder.Technique(b.last.Technique)
	return t != nil && t.Family == "separate"
}

// goesElsewhere tells whether a particle leads what an order brings to something else than what was worked on: "beat the
// eggs and pour over", "put the rolls back", but not "tip in the rice", which says no more than "add the rice".
func (b *bindings) goesElsewhere(c *clause) bool {
	named := slices.ContainsFunc(c.objects, func(n noun) bool { return !n.pronoun })
	return slices.ContainsFunc(c.particles, func(p string) bool { return !named || b.r.lang.Prepositions[p] != "in" })
}

// cameOutOf tells whether things were taken out of another with what they hold.
func (b *bindings) cameOutOf(inputs []*thing, pot *thing) bool {
	return slices.ContainsFunc(inputs, func(in *thing) bool {
		for p := range in.holds {
			if pot.holds[p] && b.holder[p] != pot {
				return true
			}
		}
		return false
	})
}
