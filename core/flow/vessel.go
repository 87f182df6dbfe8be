package flow

import (
	"slices"
	"strings"

	"yembra/core/recipe"
)

// content is what a vessel holds: what was put there by that name, or what stands
// in any pot, or what is being worked on when no pot has been named.
func (b *bindings) content(vessel string) *thing {
	if t := b.vessels[vessel]; t != nil && b.open(t) {
		if other := b.cooksUnsaid(t); other != nil && (b.away(t) && b.goesIn(t) || b.beganLater(t)) {
			return other
		}
		return t
	}
	pots := b.r.lang.Pots
	if !pots[vessel] {
		return nil
	}
	if f := b.focus; f != nil && b.vessels[vessel] == nil && b.inUnnamedPot(f) {
		return f // "tip the clams into the beans and shake the pot", beside the pan they were in
	}
	named := false
	for i := len(b.things) - 1; i >= 0; i-- {
		t := b.things[i]
		named = named || pots[t.vessel]
		if pots[t.vessel] && b.open(t) && !b.goesIn(t) {
			return t
		}
	}
	cooks := func(t *thing) bool {
		return t.heated && !t.taken && !t.putBy && !b.goesIn(t) && t.comp == b.comp && b.open(t)
	}
	if named && slices.ContainsFunc(b.things, func(t *thing) bool { return pots[t.vessel] && b.goesIn(t) }) {
		// "brown the sausages in a dry pan and add them to the pot", in which the potatoes cook
		if pot := b.latest(func(t *thing) bool { return t.liquid && t.vessel == "" && cooks(t) }); pot != nil {
			return pot
		}
	}
	if !named && b.base != nil && b.goesIn(b.base) {
		// "melt the lard and pour it into the pot", in which the beans simmer
		if pot := b.latest(func(t *thing) bool { return t.liquid && cooks(t) }); pot != nil {
			return pot
		}
		if b.base.heated {
			return nil // it goes back into its own
		}
		return b.latest(cooks) // "pour into the pan", in which the mince was fried
	}
	if named || b.base == nil || b.goesIn(b.base) {
		return b.cooksUnsaid(nil)
	}
	if b.base.taken || !b.base.liquid {
		if pot := b.latest(func(t *thing) bool { return t.liquid && !t.taken && !b.goesIn(t) && t.comp == b.comp }); pot != nil && b.takenOutOf(pot) {
			return pot
		}
		if b.base.out && slices.ContainsFunc(b.things, func(t *thing) bool { return t.liquid && t.heated && b.goesIn(t) }) {
			return nil // "strain the broth back into the pot": the meat lies on a board
		}
	}
	return b.base
}

// inUnnamedPot tells whether what is in hand cooks in a pot that the text has given no name, and something has just come to it there.
func (b *bindings) inUnnamedPot(f *thing) bool {
	t := b.r.larder.Technique(f.technique)
	return f.heated && f.vessel == "" && f.comp == b.comp && b.open(f) && !b.goesIn(f) && !b.away(f) && b.last != nil && len(b.last.Into)+len(b.last.With) > 0 && t != nil && (t.Joins != "" || t.Family == "assemble")
}

// cooksUnsaid is what cooks in a pan that is not said again since the one that was named was emptied onto a
// plate, besides what stands in another: "return the prawns to the wok", in which the rice was fried meanwhile.
func (b *bindings) cooksUnsaid(other *thing) *thing {
	if b.working == nil || b.working.Technique != returnTechnique || !slices.ContainsFunc(b.things, func(t *thing) bool { return b.away(t) && b.goesIn(t) }) {
		return nil
	}
	return b.latest(func(t *thing) bool {
		return t.heated && (!b.r.lang.Holding[t.vessel] || other != nil && t.vessel == other.vessel) && !b.away(t) && !b.goesIn(t) && t.comp == b.comp && t != other
	})
}

// beganLater tells whether a pot was brought in after what goes back now was taken out of another: of the pasta that boils
// meanwhile "in a large pan".
func (b *bindings) beganLater(pot *thing) bool {
	return pot.begun > 0 && slices.ContainsFunc(b.things[:pot.begun-1], func(t *thing) bool { return b.away(t) && b.goesIn(t) })
}

// pronounOrRest is what a pronoun means: what a pan holds still, the rest of what goes by a unit, or what was named.
func (b *bindings) pronounOrRest(n noun) []referent {
	if n.remains {
		return b.stillInPan()
	}
	if found := b.restOfUnit(n); found != nil {
		return found
	}
	if b.eachCoated(n) {
		return []referent{{made: b.focus}}
	}
	if found := b.toldOf(b.clause); b.tech.Family == "cut" && len(found) > 0 && !n.all && found[0].named == "" && found[0].vessel == "" {
		return found // "when the meat is cool enough, shred it"
	}
	return b.pronoun(n)
}

// stillInPan is what a pan holds still: "into what is left", of the tin out of which the meat was taken.
func (b *bindings) stillInPan() []referent {
	if pan := b.latest(func(t *thing) bool { return t.heated && !t.out && !b.away(t) && !b.goesIn(t) && t.comp == b.comp }); pan != nil {
		return []referent{{made: pan}}
	}
	return nil
}

// away tells whether a thing was taken out of its pan, put by, or lies on a plate or a rack.
func (b *bindings) away(t *thing) bool {
	return t != nil && (t.taken || t.putBy || b.r.lang.Receiving[t.vessel])
}

// goesIn tells whether a thing is what the action being bound puts somewhere.
func (b *bindings) goesIn(t *thing) bool {
	if b.working == nil {
		return false
	}
	if len(b.working.To) == 0 {
		return t == b.focus
	}
	return slices.ContainsFunc(b.working.To, func(r recipe.Ref) bool { return r.Made != nil && *r.Made == t.id })
}

// vessel is the vessel or tool that a noun names, empty when it is none.
func (b *bindings) vessel(n noun) string {
	if n.owner != nil && b.text.lang.Measures[n.head()] {
		return ""
	}
	if len(n.words) == 0 {
		return ""
	}
	if tool := strings.Join(n.words, "-"); !n.pointed && len(n.words) > 1 && b.r.lang.Tools[tool] {
		return tool // "turn with a fish slice"
	}
	head := n.head()
	raw := head
	if n.upto > 0 && n.owner == nil {
		raw = b.text.lastOf(n)
	}
	switch {
	case !b.r.lang.Vessels[raw] && !b.r.lang.Vessels[head],
		len(n.words) > 1 && len(b.direct(n)) > 0,
		(b.r.lang.Products[head] || b.r.lang.Shapes[head] || len(n.words) > 1) && b.called(n) != nil:
		return ""
	}
	return head
}

// takenOutOf tells whether what is in hand was taken out of a thing.
func (b *bindings) takenOutOf(pot *thing) bool {
	for i := len(b.things) - 1; i >= 0 && b.things[i] != pot; i-- {
		if b.things[i].taken {
			return true
		}
	}
	return false
}

// isIn notes the vessel that a link names.
func (b *bindings) isIn(l link, r *roles) {
	r.action.Vessel, r.action.Across = b.words(l.nouns[0]), b.across(l.nouns[0])
	if l.nouns[0].pronoun {
		r.action.Vessel = b.onlyVessel
	}
	b.vesselAt = [2]int{l.from, l.nouns[0].upto}
}
