package flow

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// uses notes what a text calls something by that is not of its line's own name: "the cabbage
// leaves" are leaves from then on.
func (b *bindings) uses(n noun, found []referent) {
	if len(n.words) < 2 || b.r.lang.Loose[n.head()] || len(found) != 1 || found[0].portion == nil || b.mixtureOf(n, found) != nil {
		return // "the egg mixture" is more than the eggs
	}
	line := &b.lines[found[0].portion.line]
	if !slices.Contains(line.name, n.head()) && !line.said[n.head()] {
		b.used[n.head()] = *found[0].portion
	}
}

// usedOf is what a word was used of before, where the noun is no line's whole name: "each
// leaf" of the cabbage, though bay leaves are listed. "The mixture" is none of another part's cornflour, that was called so.
func (b *bindings) usedOf(n noun) (portion, bool) {
	p, ok := b.used[n.head()]
	if !ok || b.r.lang.Products[n.head()] && b.lines[p.line].comp != b.ownPart() || len(n.words) > 1 && slices.ContainsFunc(b.lines, func(l bound) bool { return slices.Equal(l.name, n.words) }) {
		return p, false
	}
	return p, !b.ofAnother(n, p)
}

// ofAnother tells whether a noun says before the word which other food of the list is meant: "the tofu slices", where slices
// of mushrooms were spoken of.
func (b *bindings) ofAnother(n noun, p portion) bool {
	l := &b.lines[p.line]
	return slices.ContainsFunc(n.words[:len(n.words)-1], func(w string) bool {
		if slices.Contains(l.name, w) || l.said[w] || !b.text.foods(w) {
			return false
		}
		return slices.ContainsFunc(b.lines, func(o bound) bool { return o.food != nil && slices.Contains(o.name, w) })
	})
}

// nowOf is a portion, or what holds it where all of it has gone in.
func (b *bindings) nowOf(p portion) referent {
	r := referent{portion: &p}
	if b.leftOf(p) == 0 {
		r.made = b.held(p)
	}
	return r
}

// workedIn tells whether all that the list has of something dry is in a mixture that does not pour.
func (b *bindings) workedIn(found referent) bool {
	f, t := b.lines[found.portion.line].food, b.held(*found.portion)
	return f != nil && !larder.Wets(f) && !b.fat(*found.portion) && t != nil && len(t.holds) > 1 && !t.liquid && !t.apart && !b.pours(t)
}

// standsBy tells whether what is meant stands by itself beside what is in hand: "stir through the bacon", which was lifted
// out before.
func (b *bindings) standsBy(x referent) bool {
	return x.portion != nil && b.alone(*x.portion) && b.base != nil && b.held(*x.portion) != b.base && b.open(b.base)
}

// strewnLast tells whether something was taken out before and is strewn over the dish in hand now, which would not be strewn over
// it, or is less of it: "ladle into bowls and scatter over the reserved bacon".
func (b *bindings) strewnLast(t *larder.Technique, x referent) bool {
	in := x.made
	if in == nil && x.portion != nil {
		in = b.held(*x.portion)
	}
	if t.Name != sprinkleTechnique || in == nil || b.focus == nil || in == b.focus || !b.open(b.focus) || in.liquid {
		return false
	}
	return (in.taken || in.putBy || in.out) && b.focus.heated || b.massOf(in) < b.massOf(b.focus)
}

// otherPieces tells whether a noun only says that the others of what is in hand are meant, and work goes on with that: "spread two
// slices and close with the other slices".
func (b *bindings) otherPieces(n noun, r *roles) bool {
	if !n.rest || !n.plural || len(r.action.To) > 0 || b.focus == nil || !b.r.lang.Measures[b.text.lastOf(n)] {
		return false
	}
	found := b.resolve(n)
	return len(found) == 1 && found[0].made == b.focus
}

// sprinkleTechnique strews things over others.
const sprinkleTechnique = "sprinkle"

// justPutOn tells whether a noun means what was put on the thing in hand just before, some of a line, and is rubbed into it now:
// "sprinkle over half of the oil; rub the oil into the bread".
func (b *bindings) justPutOn(n noun) bool {
	if b.tech.Family != "coat" && b.tech.Name != rubInTechnique || b.last == nil || len(b.last.Into) == 0 || b.focus == nil || b.focus.id != b.last.ID || !n.pointed || n.rest || n.share > 0 || n.amount[1] > 0 {
		return false
	}
	return slices.ContainsFunc(b.direct(n), func(r referent) bool {
		return slices.ContainsFunc(b.last.To, func(x recipe.Ref) bool {
			return x.Line != nil && x.Share < 1 && *x.Line == b.lines[r.portion.line].ref
		})
	})
}

// moreOfOwn tells whether the list of a part says that there is more of a thing for the work at hand: "plus more for the pan".
func (b *bindings) moreOfOwn(n noun) bool {
	return slices.ContainsFunc(b.lines, func(l bound) bool {
		return l.comp == b.ownPart() && slices.Contains(l.name, n.head()) && b.extra(&l)
	})
}
