package flow

import (
	"maps"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// notLadled is what a word for a liquid means of two things that have some of it: the pot, and not what a ladle of it went into.
func (b *bindings) notLadled(n noun, t *thing) *thing {
	if t == nil || !b.r.lang.Liquors[n.head()] || !n.pointed {
		return t
	}
	if pot := b.ladledFrom(t); pot != nil {
		return pot
	}
	return t
}

// ladledFrom is the pot from which the only liquid in a thing was ladled, where it is there still: "pour a ladleful of the broth
// over the sauerkraut; put the potatoes in the broth".
func (b *bindings) ladledFrom(t *thing) *thing {
	var from *thing
	for p := range t.holds {
		if f := b.lines[p.line].food; !larder.Pours(f) || b.fat(p) {
			continue
		}
		if b.holder[p] == t || from != nil && b.holder[p] != from {
			return nil
		}
		from = b.holder[p]
	}
	if from == nil || !from.heated || !b.open(from) || b.away(from) {
		return nil
	}
	return from
}

// hotNow is what cooks in the part at hand, where a noun calls it hot and what is in hand has been over no fire: "beat the yolks,
// stir in a ladleful of hot sauce".
func (b *bindings) hotNow(n noun) *thing {
	if !b.r.lang.Products[n.head()] || b.focus == nil || b.focus.heated || !b.text.warm(n) {
		return nil
	}
	return b.latest(func(t *thing) bool { return t.heated && t.comp == b.comp && !b.away(t) && !b.holdsFat(t) })
}

// warm tells whether a noun is said to be hot.
func (t *text) warm(n noun) bool {
	for i := n.from; i < n.upto; i++ {
		if t.lang.RingHeats[t.low(i)] != "" {
			return true
		}
	}
	return false
}

// ladle is the pot out of which a share of something hot comes, or came before.
func (b *bindings) ladle(in *thing) *thing {
	if b.shared[in] && in.liquid && in.heated {
		return in
	}
	return in.ladled
}

// ladleBack is the pot out of which a ladle went into what goes in now: "thin the yolks with a ladle of the soup and stir them in".
func (b *bindings) ladleBack(r *roles, into *thing) *thing {
	if len(r.inputs) != 1 || len(r.portions) > 0 || into != nil && into != r.inputs[0] {
		return nil
	}
	if pot := r.inputs[0].ladled; pot != nil && b.open(pot) && !pot.putBy {
		return pot
	}
	return nil
}

// sameWater is the pot of water in which something was cooked before: "cook the noodles in the same water".
func (b *bindings) sameWater(n noun) *thing {
	if !n.again || !b.r.lang.Loose[n.head()] {
		return nil
	}
	return b.latest(func(t *thing) bool { return t.liquid && t.heated && !b.away(t) && !b.goesIn(t) && t.comp == b.comp })
}

// strainsIt is what cooks, where "the liquid" of it is strained: "throw out any that stay shut and strain the liquid".
func (b *bindings) strainsIt(n noun) *thing {
	t := b.focus
	if t == nil || b.tech.Name != strainTechnique || !b.r.lang.Liquors[n.head()] || !n.pointed || !t.heated || !t.liquid && !b.holdsPoured(t) || !b.open(t) || b.liquorLeft(n) != nil {
		return nil
	}
	return t
}

// strainTechnique pours a liquid off what was in it.
const strainTechnique = "strain"

// keepsName leaves what something is strained into the name that it has: "strain the juices into the stock".
func (b *bindings) keepsName(a *recipe.Action) {
	made := b.byID(a.ID)
	if made == nil || a.Technique != strainTechnique {
		return
	}
	for _, r := range a.Into {
		if r.Made == nil {
			continue
		}
		if t := b.byID(*r.Made); t != nil {
			maps.Copy(made.names, t.names)
		}
	}
}

// bracketed is what the words before a bracket name out of which something was taken: "take the fish out of the marinade (keep it)".
// What is squeezed out is meant itself: "squeeze the milk from the bread (save it)".
func (b *bindings) bracketed(n noun) []referent {
	if !b.text.mark(n.from-2, "(") || b.last == nil || b.last.Technique == pressTechnique || b.outBy != b.last.ID || b.outOf.upto != n.from-2 {
		return nil
	}
	return b.resolve(b.outOf)
}
