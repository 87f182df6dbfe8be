package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
)

// group resolves a word that means several lines: "the spices".
func (b *bindings) group(n noun) []referent { return b.noneSlight(n, b.allOfGroup(n)) }

// allOfGroup are all the lines that a word means.
func (b *bindings) allOfGroup(n noun) []referent {
	kinds, part := b.groupKinds(n)
	if part >= 0 {
		return b.ofComponent(n, part)
	}
	if kinds == nil {
		return nil
	}
	var fresh, used, elsewhere, spoken, hand, later []referent
	for i := range b.lines {
		f := b.lines[i].food
		waits := slices.Contains(kinds, anyDry) && b.waits(b.held(portion{i, ""}))
		if b.closed(i) && !waits || !b.inGroup(f, kinds) || b.inPieces(i, kinds) || b.r.lang.Liquors[n.head()] && (!larder.Wets(f) || b.tech.Family == "separate") { // "the liquid" is no cheese, nor listed where it is pressed out
			continue
		}
		r := referent{portion: &portion{i, ""}}
		if b.mentioned[i] && b.leftOf(*r.portion) == 0 {
			spoken = append(spoken, referent{portion: r.portion, made: b.held(*r.portion)})
		}
		switch {
		case waits:
			r.made = b.held(*r.portion)
			fresh = append(fresh, r)
		case b.leftOf(*r.portion) == 0, b.touched(i) && !n.rest && !b.cutsRest(*r.portion):
			r.made = b.held(*r.portion)
			used = append(used, r)
		case b.lines[i].comp == b.comp && !n.rest && b.leftOf(*r.portion) == 1 && last(b.lines[i].name) != n.head() && !(f.Tagged(larder.Potherb) && b.tech.Name == placeTechnique) && b.namedByItself(i, n.upto):
			later = append(later, r) // "with the vegetables", and capers on top
		case b.lines[i].comp == b.comp:
			fresh = append(fresh, r)
		case b.lines[i].comp == b.hand:
			hand, elsewhere = append(hand, r), append(elsewhere, r)
		default:
			elsewhere = append(elsewhere, r)
		}
	}
	own := len(b.ownOf(slices.Clone(used))) > 0
	switch {
	case len(spoken) > 1 && !n.pointed && !n.all && !(len(fresh) > 0 && slices.ContainsFunc(spoken, func(r referent) bool { return r.made == b.base })):
		return spoken // "Chop the onion, grate the carrots. ... Veg in"
	case own && b.tech.Name == removeTechnique:
		if in := b.inHand(used); len(in) > 0 {
			return in // only what is in can be taken out
		}
		return b.ownOf(used)
	case len(fresh)+len(later) > 0 && b.mostMeat(n, used, slices.Concat(fresh, later)) != nil:
		return b.mostMeat(n, used, slices.Concat(fresh, later))
	case len(fresh) > 0:
		return b.freshOrIn(n, kinds, used, fresh)
	case len(later) > 0 && b.enumerated(n), len(later) > 0 && !(n.pointed && own && len(b.ownOf(slices.Clone(used))) > 1): // "with the vegetables", that are in already
		return later
	case len(hand) > 0:
		return hand
	case len(used) == 0:
		return elsewhere // one method behind the lists of all parts
	case own:
		return b.notFried(b.onlyOut(n, b.ownOrBegun(n, used, elsewhere)))
	}
	return used
}

// notFried are, where something is drained, those that were not fried, if some were not: "drain the vegetables", of potatoes in
// their water, and not of the garlic that waits in its butter.
func (b *bindings) notFried(found []referent) []referent {
	if b.tech.Name != drainTechnique {
		return found
	}
	wet := slices.DeleteFunc(slices.Clone(found), func(r referent) bool { return r.made != nil && r.made.fried && !r.made.liquid })
	if len(wet) == 0 {
		return found
	}
	return wet
}

// onlyOut are, where something goes back, those that were taken out or set aside, if some were: "return the meat", and not the bacon
// that is in the pan.
func (b *bindings) onlyOut(n noun, found []referent) []referent {
	if b.tech.Takes != "back" || n.all {
		return found
	}
	out := slices.DeleteFunc(slices.Clone(found), func(r referent) bool { return r.made == nil || !r.made.putBy && !r.made.out && !r.made.taken })
	if len(out) == 0 {
		return found
	}
	return out
}

// enumerated tells whether a sentence goes on behind a colon after a noun, which says one by one what that means.
func (b *bindings) enumerated(n noun) bool {
	t := b.text
	for k := n.upto; k < len(t.words) && !t.mark(k, ".;!?"); k++ {
		if t.mark(k, ":") {
			return true
		}
	}
	return false
}

// inPieces tells whether powders are meant, and a line is of a spice that is sold both ways and goes in whole: it is counted, or
// named by the part it is, "1 cinnamon stick" and "2 tsp cumin seeds", that are none of "the ground spices".
func (b *bindings) inPieces(i int, kinds []string) bool {
	l := &b.lines[i]
	if !slices.Equal(kinds, []string{tagged + larder.GroundSpice}) || !l.food.Tagged(larder.WholeSpice) || l.line.Amount == nil {
		return false
	}
	if narrower := b.narrowerOf(kinds); l.said[narrower] {
		return false
	}
	d, known := measure.DimensionOf(l.line.Amount.Unit)
	return known && d == measure.Count || l.line.Amount.Unit == measure.Stick || slices.ContainsFunc(strings.Fields(strings.ToLower(l.line.Name)), func(w string) bool { return b.r.lang.Parts[w] })
}

// narrowerOf is the word that stands before another in the name of a group: "ground" of the ground spices.
func (b *bindings) narrowerOf(kinds []string) string {
	for name, of := range b.r.lang.Groups {
		if narrower, _, two := strings.Cut(name, " "); two && slices.Equal(of, kinds) {
			return narrower
		}
	}
	return ""
}

// ownOrBegun are those of the part itself, or where the rest of them is meant and none is left, those of which another part
// has left some: "the last of the cheese", of which half went into the sauce.
func (b *bindings) ownOrBegun(n noun, used, elsewhere []referent) []referent {
	if begun := b.partly(elsewhere); n.rest && len(begun) > 0 {
		return begun
	}
	return b.ownOf(used)
}

// partly are those of which some was used and some is left.
func (b *bindings) partly(found []referent) []referent {
	return slices.DeleteFunc(slices.Clone(found), func(r referent) bool { return b.leftOf(*r.portion) == 1 })
}

// ofComponent are the lines of a part, or what of them is not in hand yet, with what was only cut or crushed by itself: "the rest
// of the sauce ingredients".
func (b *bindings) ofComponent(n noun, part int) []referent {
	all := b.component(part)
	if !n.rest {
		return all
	}
	var out []referent
	for _, r := range all {
		switch t := b.held(*r.portion); {
		case b.leftOf(*r.portion) > 0:
			out = append(out, r)
		case t != nil && b.open(t) && (len(t.holds) == 1 && !t.heated || b.waits(t)) && t != b.focus && !b.goesIn(t) && !slices.Contains(out, referent{made: t}):
			out = append(out, referent{made: t})
		}
	}
	return out
}

// tagged is what stands before a tag in the table of groups.
const tagged = "#"

// waits tells whether something was made aside for this part of the dish and has gone nowhere yet:
// the flour that was mixed beforehand is one of "the dry ingredients".
func (b *bindings) waits(t *thing) bool {
	return t != nil && t.title != nil && t.comp == b.comp && b.open(t) && !t.spent
}

// inHand are those that what is worked on holds.
func (b *bindings) inHand(found []referent) []referent {
	return slices.DeleteFunc(slices.Clone(found), func(r referent) bool { return r.made == nil || r.made != b.focus && r.made != b.base })
}

// ownOf are those of the part at hand.
func (b *bindings) ownOf(found []referent) []referent {
	return slices.DeleteFunc(found, func(r referent) bool { return b.lines[r.portion.line].comp != b.comp })
}

// groupKinds are the kinds of food that a word means by which several go; part is that whose
// ingredients it means, -1 for none.
func (b *bindings) groupKinds(n noun) (kinds []string, part int) {
	key := n.head()
	if b.r.lang.Ingredients[key] {
		for _, w := range n.words {
			if c := b.componentNamed(w); c >= 0 {
				return nil, c
			}
			if b.r.lang.Groups[w] != nil {
				key = w
			}
		}
	}
	kinds = b.r.lang.Groups[key]
	if k := len(n.words) - 2; k >= 0 {
		if narrower := b.r.lang.Groups[n.words[k]+" "+key]; narrower != nil {
			kinds = narrower // "the whole spices", beside those that are ground
		}
	}
	if kinds == nil && n.plural {
		kinds = b.r.lang.Groups[b.text.lastOf(n)] // "the sauces", but not "the sauce"
	}
	return kinds, -1
}
