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
