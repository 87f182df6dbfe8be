package flow

import (
	"slices"

	"yembra/core/language"
)

// whole resolves "everything", "all the ingredients", "the remaining
// ingredients": what of the component has not gone in, or all that is being
// worked on.
func (b *bindings) whole(n noun) []referent {
	if found := b.listedBetween(n); found != nil {
		return found
	}
	if b.tech.Name == discardTechnique {
		return []referent{{named: b.words(n)}} // "throw away all the other ingredients", of a stock that was strained
	}
	if out := b.allAway(); b.tech.Takes == "back" && len(out) > 1 {
		return out // "return everything to the wok", of what was tipped onto plates
	}
	if b.tech.Takes == "back" && b.base != nil {
		return []referent{{made: b.base}} // "return everything": what was there before
	}
	if b.goingInto && b.base != nil {
		if pot := b.latest(func(t *thing) bool { return t != b.focus && !t.putBy && t.comp == b.comp }); pot != nil && b.goesIn(b.base) {
			return []referent{{made: pot}} // "beat the eggs and pour over everything"
		}
		return []referent{{made: b.base}} // "pour the sauce over everything"
	}
	var out []referent
	untouched := true
	for i := range b.lines {
		if b.closed(i) || len(b.takes) == 0 && b.lines[i].comp != b.comp || b.excepted(n, i) || b.lines[i].line.Amount == nil && b.touched(i) {
			continue
		}
		if b.asGoodAsWhole(portion{i, ""}) {
			out = append(out, referent{portion: &portion{i, ""}})
		} else {
			untouched = false
		}
	}
	if untouched {
		for _, t := range b.things { // what was made aside goes in with the rest
			if t.title != nil && (t.comp == b.comp || b.ofPart(t, b.comp)) && b.open(t) {
				out = append(out, referent{made: t})
			}
		}
	}
	if len(out) > 0 && (untouched || n.rest || b.r.lang.Ingredients[n.head()]) {
		return out
	}
	if alike := b.alike(); len(alike) > 1 && len(out) == 0 || len(alike) > 1 && !untouched {
		return alike // "refresh everything", of three things blanched one by one
	}
	if b.base != nil && b.besideOthers {
		return []referent{{made: b.base}} // "grind everything with the garlic": what else goes in is said
	}
	if b.base != nil {
		fresh := slices.DeleteFunc(out, func(r referent) bool {
			l := &b.lines[r.portion.line]
			return b.forTable(r.portion.line) || l.line.ToTaste || b.comesLater(l, n.upto)
		})
		all := append([]referent{{made: b.base}}, fresh...)
		if b.tech.Family == "assemble" {
			all = append(all, b.standing()...)
		}
		return all
	}
	return out
}

// asGoodAsWhole tells whether of a portion nothing has gone anywhere but what greased a tin.
func (b *bindings) asGoodAsWhole(p portion) bool {
	return b.leftOf(p) == 1 || b.leftOf(p) >= butForTheTin && b.fat(p)
}

// butForTheTin is what is left at least of a fat of which a tin was greased with some; an estimate.
const butForTheTin = 0.85

// listedBetween are the lines from one to another that "everything from ... to ..." means; none where a noun
// says no such thing, or one of the two is not listed.
func (b *bindings) listedBetween(n noun) []referent {
	if len(n.between) != 2 {
		return nil
	}
	first, last := b.direct(n.between[0]), b.direct(n.between[1])
	if len(first) == 0 || len(last) == 0 || first[0].portion == nil || last[0].portion == nil {
		return nil
	}
	var out []referent
	for i := first[0].portion.line; i <= last[0].portion.line; i++ {
		if !b.closed(i) {
			out = append(out, referent{portion: &portion{i, ""}})
		}
	}
	return out
}

// ofPart tells whether a thing holds something that a part of the dish lists.
func (b *bindings) ofPart(t *thing, comp int) bool {
	for p := range t.holds {
		if b.lines[p.line].comp == comp {
			return true
		}
	}
	return false
}

// standing are the other things of the part at hand that were made and stand ready: "arrange
// everything on a platter".
func (b *bindings) standing() []referent {
	var out []referent
	for _, t := range b.things {
		if t != b.base && t.comp == b.comp && t.title == nil && !t.putBy && len(t.holds) > 0 && b.open(t) && !b.pours(t) && b.ofPart(t, b.comp) {
			out = append(out, referent{made: t})
		}
	}
	return out
}

// alike are the last things that were made one by one in the same way; what was cut is alike, however finely.
func (b *bindings) alike() []referent {
	var out []referent
	way := func(t *thing) string {
		if tech := b.r.larder.Technique(t.technique); tech != nil && tech.Family == "cut" {
			return tech.Family
		}
		return t.technique
	}
	for i := len(b.things) - 1; i >= 0 && way(b.things[i]) == way(b.things[len(b.things)-1]) && b.things[i].technique != ""; i-- {
		if t := b.things[i]; b.open(t) && !t.putBy {
			out = append(out, referent{made: t})
		}
	}
	slices.Reverse(out)
	return out
}

// comesLater tells whether the method speaks of a line further on.
func (b *bindings) comesLater(l *bound, from int) bool {
	for i, w := range l.name {
		// "salt" and "sugar" choose among other foods, and are what they are at the end of a name.
		if (i == len(l.name)-1 || !b.r.larder.Words().Neutral[w]) && b.namedAgain(w, from) > 0 {
			return true
		}
	}
	for word, kinds := range b.r.lang.Groups {
		if l.food != nil && slices.Contains(kinds, l.food.Kind) && b.namedAgain(word, from) > 0 {
			return true // "the cheese", of Gruyère
		}
	}
	return false
}

func (b *bindings) excepted(n noun, line int) bool {
	return slices.ContainsFunc(n.except, func(x noun) bool {
		found := b.direct(x)
		if len(found) == 0 {
			found = append(b.group(x), b.animal(x)...)
		}
		return slices.ContainsFunc(found, func(r referent) bool { return r.portion != nil && r.portion.line == line })
	})
}

// doneTo is what "the sliced cutlets" are where something was sliced before that no other word
// of the text names: what was done to it last is what the noun says.
func (b *bindings) doneTo(n noun) *thing {
	if !n.pointed || len(n.words) < 2 || n.owner != nil || n.rest || b.r.lang.Products[n.head()] || b.r.lang.Shapes[n.head()] {
		return nil
	}
	for i := n.from; i < n.upto-1; i++ {
		lemma, width := b.text.verb(i, language.Past)
		if width == 0 {
			continue
		}
		return b.latest(func(t *thing) bool {
			return t.comp == b.comp && !b.goesIn(t) && slices.Contains(b.r.lang.Orders(lemma), t.technique)
		})
	}
	return nil
}

// justCut is what "the slices" are where something was sliced just before.
func (b *bindings) justCut(n noun) *thing {
	if !n.pointed || len(n.words) != 1 || !b.r.lang.Shapes[n.head()] || b.focus == nil || !b.open(b.focus) {
		return nil
	}
	if t := b.r.larder.Technique(b.focus.technique); t == nil || t.Family != "cut" {
		return nil
	}
	return b.focus
}

// animalBeside is the one line of an animal that a clause names which also says with what it is worked: "toss the beef
// with the soy sauce", of the part that is called the beef.
func (b *bindings) animalBeside(n noun) []referent {
	if !b.besideOthers || b.r.larder.Words().AnimalWords[n.head()] == "" {
		return nil
	}
	if found := b.animal(n); len(found) == 1 {
		return found
	}
	return nil
}

// kindOfIngredient tells "the dry ingredients", "the filling ingredients".
func (b *bindings) kindOfIngredient(n noun) bool {
	return slices.ContainsFunc(n.words[:len(n.words)-1], func(w string) bool {
		return b.r.lang.Groups[w] != nil || b.componentNamed(w) >= 0
	})
}

// allAway are the things of the part at hand that lie by, out of what cooks.
func (b *bindings) allAway() (out []referent) {
	for _, t := range b.things {
		if t.comp == b.comp && t != b.base && b.away(t) && b.open(t) && !t.spent && len(t.holds) > 0 {
			out = append(out, referent{made: t})
		}
	}
	return out
}
