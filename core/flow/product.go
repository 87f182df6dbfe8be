package flow

import (
	"cmp"
	"slices"

	"yembra/core/larder"
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
	own := false
	for i := range b.lines {
		f := b.lines[i].food
		waits := slices.Contains(kinds, anyDry) && b.waits(b.held(portion{i, ""}))
		if b.closed(i) && !waits || !b.inGroup(f, kinds) || b.r.lang.Liquors[n.head()] && (!larder.Wets(f) || b.tech.Family == "separate") { // "the liquid" is no cheese, nor listed where it is pressed out
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
			own = own || b.lines[i].comp == b.comp
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
	switch {
	case len(spoken) > 1 && !n.pointed && !n.all && !(len(fresh) > 0 && slices.ContainsFunc(spoken, func(r referent) bool { return r.made == b.base })):
		return spoken // "Chop the onion, grate the carrots. ... Veg in"
	case own && b.tech.Name == removeTechnique:
		if in := b.inHand(used); len(in) > 0 {
			return in // only what is in can be taken out
		}
		return b.ownOf(used)
	case len(fresh) > 0:
		return b.freshOrIn(n, kinds, used, fresh)
	case len(later) > 0 && !(n.pointed && own && len(b.ownOf(slices.Clone(used))) > 1): // "with the vegetables", that are in already
		return later
	case len(hand) > 0:
		return hand
	case len(used) == 0:
		return elsewhere // one method behind the lists of all parts
	case own:
		return b.ownOrBegun(n, used, elsewhere)
	}
	return used
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

// ofComponent are the lines of a part, or what of them is not in hand yet: "the rest of the sauce ingredients".
func (b *bindings) ofComponent(n noun, part int) []referent {
	return slices.DeleteFunc(b.component(part), func(r referent) bool { return n.rest && b.leftOf(*r.portion) == 0 })
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

// animal resolves the word of an animal ("the beef") to the only line of its
// class that is named by a cut.
func (b *bindings) animal(n noun) []referent {
	class, ok := b.r.larder.Words().AnimalWords[n.head()]
	if !ok || b.namesExtract(n) {
		return nil
	}
	var found []referent
	for i := range b.lines {
		if f := b.lines[i].food; f != nil && f.Animal == class && b.lines[i].line.Origin == larder.FromAnimal && !b.r.lang.Extracts[f.Kind] && !b.otherDairy(n, f) && !b.cutOfMince(n, i) {
			found = append(found, referent{portion: &portion{i, ""}})
		}
	}
	if len(found) > 1 && !b.takesAway() {
		found = slices.DeleteFunc(found, func(r referent) bool { return b.leftOf(*r.portion) == 0 && !b.alone(*r.portion) })
	}
	if len(found) > 1 {
		return nil // of the beef that waits, and of the bones in the broth, the first
	}
	return found
}

// cutOfMince tells whether a noun is the word for a cut, and a line is of mince that is not called so: "the thick ribs" of
// cabbage leaves.
func (b *bindings) cutOfMince(n noun, i int) bool {
	head := n.head()
	return b.lines[i].food.Kind == minceKind && !b.lines[i].said[head] && b.r.lang.Groups[head] == nil
}

// minceKind is flesh that has no cuts any more.
const minceKind = "mince"

// product resolves what a method calls its own makings: by the name of a
// component, by what the name asks for, or what is being worked on.
func (b *bindings) product(n noun) *thing {
	lang := b.r.lang
	head := n.head()
	if t, none := b.ofNamedPart(n); t != nil || none {
		return t
	}
	if (lang.Parts[head] || lang.Parts[b.text.lastOf(n)]) && n.pointed && b.focus != nil && b.tech.Name != removeTechnique {
		return b.focus // "strain off the pulp", but not "take out the seeds"
	}
	raw := b.text.lastOf(n)
	if lang.Products[head] || lang.Products[raw] {
		if t := b.madeOf(n); t != nil && !(b.tech.Closes == larder.ClosesTable && !n.pointed && t == b.focus) {
			return t // but not "serve with potato pancakes", a soup that holds potatoes
		}
	}
	if n.rest && lang.Products[head] {
		if t := b.begun(); t != nil {
			return t
		}
	}
	if t := cmp.Or(b.rawBatter(head), b.madeHere(n)); t != nil {
		return t
	}
	if kinds := lang.ProductHolds[head]; kinds != nil {
		c := -1
		if len(b.dish.Components) > 1 {
			c = b.componentNamed(head)
		}
		if t := b.fullest(kinds, func(t *thing) bool {
			return b.holdsKind(t, kinds) && (len(t.title) == 0 || last(t.title) == head || t.comp == c) && (c < 0 || t.comp == c) && !(b.goesIn(t) && (b.goingInto || t.heated))
		}); t != nil {
			return t
		}
	}
	if slices.Contains(b.dishCalled(), head) && (n.pointed || n.amount[1] > 0 || lang.Products[head]) { // "six cevapi into each bread"
		return b.namedInTitle(n)
	}
	if !lang.Products[head] && !lang.Products[raw] {
		return nil
	}
	if n.pointed || n.little || n.share > 0 || n.amount[1] > 0 {
		if lang.Shapes[raw] || lang.Shapes[head] {
			if t := b.latest(func(t *thing) bool { return len(t.holds) > 1 && !b.pours(t) && (t.comp == b.comp || t == b.focus) }); t != nil {
				return t // "the pieces" are no batter
			}
		}
		if t := b.latest(func(t *thing) bool { return len(t.holds) > 1 && t.liquid && t != b.focus && t.comp == b.comp }); t != nil && b.tech.Name == "pour" && !b.goingInto && b.assembled(b.focus) {
			return t // "share the mushrooms between the cups and pour over the mixture"
		}
		if t := b.toGoOn(head); t != nil {
			return t // "stir into the stew" what was fried
		}
		return b.latest(func(t *thing) bool { return t.title == nil || len(b.takes) > 0 })
	}
	if n.plural && b.tech != nil && b.tech.Heat != "" && b.focus != nil && b.open(b.focus) {
		return b.focus // "rest the batter and fry thin pancakes"
	}
	return nil
}

// ofNamedPart finds what was made of the part that a name speaks of; none tells that nothing
// is made of it yet, or not by the work at hand.
func (b *bindings) ofNamedPart(n noun) (t *thing, none bool) {
	if len(b.dish.Components) < 2 {
		return nil, false
	}
	for _, w := range n.words {
		c := b.componentNamed(w)
		if c < 0 {
			continue
		}
		if c == b.comp && b.unbegun(c) && len(b.unmade(n)) > 0 {
			return nil, true // "whisk the batter", of which only the gel for the eggs is made
		}
		if t := b.latest(func(t *thing) bool { return t.comp == c }); t != nil {
			return t, false
		}
		if c == b.comp && len(b.unmade(n)) > 0 {
			return nil, true // "mix the dough", of which nothing is made yet
		}
	}
	return nil, false
}

// madeOf finds what was made of the food that a name says it is of: "the pepper
// mix".
func (b *bindings) madeOf(n noun) *thing {
	if len(n.words) < 2 {
		return nil
	}
	of := noun{from: n.from, upto: n.upto - 1, words: n.words[:len(n.words)-1]}
	for _, x := range b.direct(of) {
		if t := b.held(*x.portion); t != nil && b.leftOf(*x.portion) == 0 {
			return t
		}
	}
	return nil
}

// begun is the last thing of which a part has gone on, for "the rest of the
// batter".
func (b *bindings) begun() *thing {
	for i := len(b.things) - 1; i >= 0; i-- {
		if b.things[i].left < 1 {
			return b.things[i]
		}
	}
	return nil
}

// held tells whether some of what a thing holds has not gone on into another.
func (t *thing) held(b *bindings) bool { return !t.spent && b.open(t) }

// latest is the last thing made that is still something by itself and fits.
func (b *bindings) latest(fits func(*thing) bool) *thing {
	for i := len(b.things) - 1; i >= 0; i-- {
		if t := b.things[i]; b.open(t) && fits(t) && !(t.taken && b.flavoursOnly(t)) { // "remove the herbs and shred the meat into the sauce"
			return t
		}
	}
	return nil
}

// shortestEnd is the shortest name that may end another.
const shortestEnd = 4
