package flow

import (
	"slices"

	"yembra/core/larder"
)

// inHandFor is what an order without an object is done to: what is in hand, or, where that cannot be meant, what
// else stands ready for it.
func (b *bindings) inHandFor(c *clause, t *larder.Technique) *thing {
	target := b.focus
	if t.Name == "serve" && b.base != nil {
		target = b.base
	}
	if b.r.lang.Ladles[c.lemma] && (target == nil || !target.liquid || len(target.holds) < 2) {
		if soup := b.latest(func(x *thing) bool { return x.comp == b.comp && x.liquid && x.heated && len(x.holds) > 1 }); soup != nil {
			target = soup // "poach the eggs; ladle into bowls"
		}
	}
	if target != nil && (t.Medium == "fat" || t.Name == "deep-fry") && b.holdsFat(target) {
		if pieces := b.latest(func(x *thing) bool { return x.comp == b.comp && !x.putBy && !b.holdsFat(x) }); pieces != nil {
			target = pieces // "heat the oil and fry six at a time"
		}
	}
	if target != nil && target.taken && (t.Name == "strain" || t.Family == "wet heat") {
		if pot := b.latest(func(x *thing) bool { return x.liquid && !x.taken && x.comp == b.comp }); pot != nil {
			target = pot // "lift out the meat and let it cool; strain"
		}
	}
	if target != nil && t.Family == "dough" && c.makes != "" && b.pours(target) {
		if mass := b.latest(func(x *thing) bool { return x.comp == b.comp && !x.taken && !b.pours(x) && !b.goesIn(x) }); mass != nil {
			target = mass // "bring the stock to a simmer. Shape balls"
		}
	}
	return target
}

// toItself tells whether a liquor was taken for what the action adds to: "add the caught juices", which ran out of what lies
// in the sieve.
func (b *bindings) toItself(n noun, found []referent) bool {
	return len(found) == 1 && found[0].made != nil && found[0].made == b.base && b.r.lang.Liquors[n.head()] && b.r.lang.Fleshly[n.head()] && n.pointed && b.tech.Joins != "" && b.tech.Family != "separate" && b.tech.Name != returnTechnique && !b.goingInto
}

// inPan are those that lie in a pan in which they were fried.
func (b *bindings) inPan(found []referent) []referent {
	return slices.DeleteFunc(slices.Clone(found), func(r referent) bool {
		return r.made == nil || !r.made.fried || r.made.liquid || r.made.putBy || b.away(r.made) || !b.open(r.made) || r.made.comp != b.comp
	})
}

// freshOrIn are those that a word for many means of which some are used and some are not.
func (b *bindings) freshOrIn(n noun, kinds []string, used, fresh []referent) []referent {
	if in := b.inPan(used); n.pointed && b.tech.Medium == "fat" && len(in) > 0 && !(b.focus != nil && b.onlyFat(b.focus)) {
		return in // "fry it with the aromatics", of those that fry
	}
	return b.orMixedDry(kinds, used, fresh)
}

// byFar is how many times as heavy the meat of a dish is as what else of meat it has; an estimate.
const byFar = 3.0

// mostMeat is the meat of a dish that has been worked on and not cooked, where what has not been is far less: "brown the meat", that
// was tossed in flour, beside bacon that waits.
func (b *bindings) mostMeat(n noun, used, waits []referent) []referent {
	if !b.r.lang.AnyMeat[n.head()] || n.plural || n.rest {
		return nil
	}
	mass := func(r referent) float64 { return b.lines[r.portion.line].line.Mass() }
	waiting := 0.0
	for _, r := range waits {
		waiting += mass(r)
	}
	for i, r := range used {
		if r.made != nil && !r.made.heated && b.open(r.made) && mass(r) >= byFar*waiting {
			return used[i : i+1]
		}
	}
	return nil
}
