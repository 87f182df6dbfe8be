package flow

import (
	"cmp"
	"maps"
	"slices"

	"yembra/core/larder"
)

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
	if (lang.Parts[head] || lang.Parts[b.text.lastOf(n)]) && n.pointed && b.focus != nil && b.tech.Name != removeTechnique && !b.meatElsewhere(head) {
		return b.focus // "strain off the pulp", but not "take out the seeds"
	}
	raw := b.text.lastOf(n)
	if t := b.meatMix(n); t != nil {
		return t
	}
	if lang.Products[head] || lang.Products[raw] {
		if t := b.madeOf(n); t != nil && !(b.tech.Closes == larder.ClosesTable && !n.pointed && t == b.focus) {
			return t // but not "serve with potato pancakes", a soup that holds potatoes
		}
	}
	if n.rest && lang.Products[head] && b.begun() != nil {
		return b.begun()
	}
	if t := cmp.Or(b.rawBatter(head), b.madeHere(n), b.hotNow(n)); t != nil {
		return t
	}
	if kinds := lang.ProductHolds[head]; kinds != nil {
		c := -1
		if len(b.dish.Components) > 1 {
			c = b.componentNamed(head)
		}
		if t := b.fullest(kinds, func(t *thing) bool {
			return b.holdsKind(t, kinds) && (len(t.title) == 0 || last(t.title) == head || t.comp == c) && (c < 0 || t.comp == c) && !(b.goesIn(t) && (b.goingInto || t.heated)) && !b.keptLiquorBeside(t)
		}); t != nil {
			return t
		}
	}
	if slices.Contains(b.dishCalled(), head) && (n.pointed || n.amount[1] > 0 || lang.Products[head]) && !((n.rest || n.share > 0) && len(b.animal(n)) == 1) { // "six cevapi into each bread"
		return b.namedInTitle(n)
	}
	if !lang.Products[head] && !lang.Products[raw] {
		return nil
	}
	if n.pointed || n.little || n.share > 0 || n.amount[1] > 0 {
		return b.pointedProduct(n, lang.Shapes[raw] || lang.Shapes[head])
	}
	if n.plural && b.tech != nil && b.tech.Heat != "" && b.focus != nil && b.open(b.focus) {
		return b.focus // "rest the batter and fry thin pancakes"
	}
	return nil
}

// pointedProduct is what a method means by the name of a product that it points to: "the pieces", "the filling".
func (b *bindings) pointedProduct(n noun, shaped bool) *thing {
	if shaped && b.tech.Takes == "back" && !b.goingInto {
		if t := b.latest(func(t *thing) bool { return t.taken && t.heated && t.comp == b.comp && len(t.holds) > 1 }); t != nil {
			return t // "return the rolls to the sauce", that were taken out of it
		}
	}
	if shaped && !b.foodElsewhere(n) {
		if t := b.latest(func(t *thing) bool {
			return t == b.focus && b.cutJustNow(n) || len(t.holds) > 1 && !b.pours(t) && (t.comp == b.comp || t == b.focus)
		}); t != nil {
			return t // "the pieces" are no batter
		}
	}
	if t := b.latest(func(t *thing) bool { return len(t.holds) > 1 && t.liquid && t != b.focus && t.comp == b.comp }); t != nil && b.tech.Name == "pour" && !b.goingInto && b.assembled(b.focus) {
		return t // "share the mushrooms between the cups and pour over the mixture"
	}
	if t := b.toGoOn(n.head()); t != nil {
		return cmp.Or(b.laidBeside(t), b.massToShape(t)) // "stir into the stew" what was fried
	}
	last := b.latest(func(t *thing) bool { return t.title == nil || len(b.takes) > 0 })
	return cmp.Or(b.laidBeside(last), last)
}

// keptLiquorBeside tells whether a thing is some liquor that was kept, or water in which something was boiled, while several things
// cook in hand: "blend the sauce".
func (b *bindings) keptLiquorBeside(t *thing) bool {
	if !t.liquid || t == b.focus || !b.open(b.focus) || !b.focus.heated || b.focus.putBy || len(b.focus.holds) < 2 {
		return false
	}
	return t.putBy || !slices.ContainsFunc(slices.Collect(maps.Keys(t.holds)), func(p portion) bool { return larder.Wets(b.lines[p.line].food) })
}

// foodElsewhere tells whether a noun is by all its words the name of a food that is not listed: "the rice cakes", and no cakes.
func (b *bindings) foodElsewhere(n noun) bool {
	m, known := b.r.larder.Index().At(n.words, 0, true)
	return known && len(n.words) > 1 && m.End == len(n.words) && !slices.ContainsFunc(b.lines, func(l bound) bool { return l.food != nil && l.food.ID == m.Food.ID })
}

// meatElsewhere tells whether a noun means any meat, and none is in hand but some lies ready in something else: "fry the meat",
// where pastry has been rolled out since it was cut.
func (b *bindings) meatElsewhere(head string) bool {
	return b.r.lang.AnyMeat[head] && len(b.fleshIn(b.focus)) == 0 && b.latest(func(t *thing) bool { return t.comp == b.comp && len(b.fleshIn(t)) > 0 }) != nil
}

// ofNamedPart finds what was made of the part that a name speaks of; none tells that nothing
// is made of it yet, or not by the work at hand.
func (b *bindings) ofNamedPart(n noun) (t *thing, none bool) {
	if len(b.dish.Components) < 2 {
		return nil, false
	}
	for _, w := range n.words {
		c := b.componentNamed(w)
		if c < 0 || c != b.comp && b.otherMatter(n, w, c) {
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
			if boiled := b.boiledOf(n); boiled != nil && !t.liquid && t.title == nil {
				return boiled
			}
			return t
		}
	}
	return nil
}

// boiledOf is the liquid that was last boiled in the part at hand, where a name is that of a liquor: "the prawn stock", beside the
// prawns of whose shells it was made.
func (b *bindings) boiledOf(n noun) *thing {
	if !b.r.lang.Liquors[n.head()] {
		return nil
	}
	boiled := func(t *thing) bool { return t.liquid && t.heated && t.comp == b.comp && !t.spent }
	if b.tech.Joins == "yes" && !b.goingInto {
		if t := b.latest(func(t *thing) bool { return t != b.focus && t.strained && boiled(t) }); t != nil {
			return t // "boil the sherry until almost dry; pour in the prawn stock", that was strained before
		}
	}
	return b.latest(boiled)
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
