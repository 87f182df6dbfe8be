package flow

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// clings tells whether an order takes off a thing what only clings to it, "wipe the marinade off the salmon", or what its
// body has: "remove the skin and any bones from the haddock".
func (b *bindings) clings(c *clause, t *larder.Technique, l link) bool {
	if t.Name != removeTechnique || len(c.objects) == 0 {
		return false
	}
	if !slices.ContainsFunc(c.objects, func(n noun) bool { return !b.r.lang.Fleshly[n.head()] }) && onlyNamed(b.working.To) {
		return b.known(l.nouns[0])
	}
	if !b.r.lang.Particles[l.word] || len(c.objects) != 1 {
		return false
	}
	head := c.objects[0].head()
	return (b.r.lang.Liquors[head] || b.r.lang.Products[head] || b.r.lang.Remains[head]) && b.known(l.nouns[0])
}

// known tells whether a noun is something of a list, or made before.
func (b *bindings) known(n noun) bool {
	return slices.ContainsFunc(b.resolve(n), func(x referent) bool { return x.made != nil || x.portion != nil })
}

// wipedOff takes the thing into hand that something is taken off.
func (b *bindings) wipedOff(l link, r *roles) {
	r.action.To, r.inputs, r.portions, r.names, r.liquor = []recipe.Ref{}, nil, nil, nil, false
	for i := range b.phrases {
		for k := range b.phrases[i].Nouns {
			if b.phrases[i].Role == "to" {
				named := string([]rune(b.text.source)[b.phrases[i].Nouns[k].Name:b.phrases[i].Nouns[k].Upto])
				b.phrases[i].Nouns[k].Refs = []recipe.Ref{{Named: &named, Share: 1}}
			}
		}
	}
	b.refs(l.nouns, r, &r.action.To)
}

// takesOffBody tells whether an action takes off no more than what a body has: "peel the skin off the mackerel".
func (b *bindings) takesOffBody(t *larder.Technique, to []recipe.Ref) bool {
	return (t.Family == "clean" || t.Family == "cut") && t.Joins == "" && len(to) > 0 && !slices.ContainsFunc(to, func(r recipe.Ref) bool {
		return r.Named == nil || !b.r.lang.Fleshly[last(larder.Words(*r.Named))]
	})
}

// partOfWhole tells whether something is cut or taken out of a thing of the list that is still whole and no liquid, so that the
// work is done to that: "cut the core out of the cabbage", "remove the stones from the dates".
func (b *bindings) partOfWhole(t *larder.Technique, n noun) bool {
	if t.Family != "cut" && t.Family != "separate" {
		return false
	}
	found := b.direct(n)
	return len(found) > 0 && !slices.ContainsFunc(found, func(r referent) bool {
		return r.portion == nil || r.made != nil || b.leftOf(*r.portion) < 1 || larder.Pours(b.lines[r.portion.line].food)
	})
}
