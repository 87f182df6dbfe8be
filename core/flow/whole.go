package flow

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/recipe"
)

// pronoun resolves "it", "them", "both", "the rest".
func (b *bindings) pronoun(n noun) []referent {
	if fried := b.allFried(); n.all && len(n.words) == 1 && b.r.lang.Single[n.words[0]] && len(fried) > 1 {
		return fried
	}
	if n.all && !n.rest && n.share == 0 && (len(n.words) == 0 || b.r.lang.Pair[n.words[0]]) {
		return b.lastTwo()
	}
	if len(n.words) == 1 && b.r.lang.Pair[n.words[0]] && b.focus != nil && b.holdsFat(b.focus) {
		if t := b.latest(func(x *thing) bool { return x.apart && len(x.holds) == 2 && x.comp == b.comp && b.open(x) }); t != nil {
			return []referent{{made: t}} // "dice the onion and the carrot; melt the butter and cook both"
		}
		if cut := b.lastCut(); len(cut) == 2 {
			return cut // "slice the potatoes; slice the onion; heat the oil and cook both"
		}
	}
	if in := b.justSlippedIn(n); in != nil {
		return in
	}
	if in := b.justCooked(n); in != nil {
		return in
	}
	if n.rest && n.share == 0 && len(n.words) == 0 && b.justTakenOut() {
		return []referent{{made: b.stays}} // "take out the sausage and slice it; blend the rest"
	}
	if (n.rest || n.share > 0) && len(n.words) == 0 {
		if p := b.partlyUsed(); p != nil {
			return []referent{{portion: p}}
		}
		if t := b.begun(); (n.rest || n.one && t != b.focus && b.onlyVessel != "") && t != nil && t.held(b) {
			return []referent{{made: t}}
		}
	}
	if b.onlyVessel != "" && !n.rest {
		return []referent{{vessel: b.onlyVessel}}
	}
	if b.focus == nil {
		if n.rest {
			return b.whole(n)
		}
		return nil
	}
	if b.focus.several && b.stays != nil && b.open(b.stays) && len(n.words) == 1 && b.r.lang.Single[n.words[0]] {
		return []referent{{made: b.stays}} // "wipe off the onions and grill it"
	}
	if (b.tech.Medium == "fat" || b.tech.Joins == "yes" && (n.little || n.amount[1] > 0)) && b.holdsFat(b.focus) { // "heat the butter and brown them"
		if t := b.latest(func(x *thing) bool { return x.comp == b.comp && !x.putBy && !b.holdsFat(x) && b.open(x) }); t != nil {
			return []referent{{made: t}}
		}
	}
	if b.goingInto && b.goesIn(b.focus) && len(b.working.To) > 0 && !n.rest && n.share == 0 {
		if t := b.latest(func(x *thing) bool { return x.comp == b.comp && !x.putBy && !b.goesIn(x) && x.title == nil }); t != nil {
			return []referent{{made: t}} // "pour the batter around them"
		}
	}
	return []referent{{made: b.focus}}
}

// lastCut are the two things that were cut last, each by itself.
func (b *bindings) lastCut() []referent {
	var out []referent
	for i := len(b.things) - 1; i >= 0 && len(out) < 2; i-- {
		t := b.things[i]
		if tech := b.r.larder.Technique(t.technique); b.open(t) && tech != nil && tech.Family == "cut" && t.comp == b.comp {
			out = append(out, referent{made: t})
		}
	}
	slices.Reverse(out)
	return out
}

// lastTwo are the two things that were made last.
func (b *bindings) lastTwo() []referent {
	var open []referent
	for i := len(b.things) - 1; i >= 0 && len(open) < 2; i-- {
		if b.open(b.things[i]) && b.things[i].title == nil {
			open = append(open, referent{made: b.things[i]})
		}
	}
	slices.Reverse(open)
	return open
}

// justCooked is what was cooked in a liquid just before, where that is taken out: "simmer the
// breasts in the water with the onion; take them out".
func (b *bindings) justCooked(n noun) []referent {
	if b.tech.Name != removeTechnique || n.rest || n.all || n.share > 0 || b.focus == nil || len(b.focus.solids) == 0 || len(b.focus.solids) == len(b.focus.holds) {
		return nil
	}
	var out []referent
	for _, p := range b.focus.solids {
		if b.holder[p] == b.focus {
			out = append(out, referent{portion: &p, made: b.focus})
		}
	}
	return out
}

// justSlippedIn is what went into the pot last, in the same step, where that is taken out: "slip in
// the breasts and poach for 15 minutes; take them out".
func (b *bindings) justSlippedIn(n noun) []referent {
	if b.tech.Name != removeTechnique || n.rest || n.all || n.share > 0 || len(n.words) != 1 || b.lastAdded == nil || b.last == nil || b.focus == nil || len(b.lastAdded.To) != 1 || b.lastAdded.To[0].Line == nil {
		return nil
	}
	step, _, _ := strings.Cut(b.last.ID, ".a")
	for i := range b.lines {
		p := portion{i, ""}
		if b.lines[i].ref == *b.lastAdded.To[0].Line && strings.HasPrefix(b.lastAdded.ID, step+".a") && b.focus.holds[p] && len(b.focus.holds) > 1 {
			return []referent{{portion: &p, made: b.focus}}
		}
	}
	return nil
}

// justTakenOut tells whether what is in hand was taken out of something in the same step, which
// is there still.
func (b *bindings) justTakenOut() bool {
	if b.stays == nil || b.focus == nil || b.stays == b.focus || !b.open(b.stays) || b.last == nil {
		return false
	}
	step, _, _ := strings.Cut(b.last.ID, ".a")
	for i := len(b.things) - 1; i >= 0 && strings.HasPrefix(b.things[i].id, step+".a"); i-- {
		if b.things[i].taken {
			return true
		}
	}
	return false
}

// allFried are the things that were fried one by one and wait: "add it all to the pot".
func (b *bindings) allFried() []referent {
	var out []referent
	for _, t := range b.things {
		if b.open(t) && t.fried && !t.liquid && t.comp == b.comp && t.title == nil {
			out = append(out, referent{made: t})
		}
	}
	return out
}

// partlyUsed is the line of which a share went in last and something is left.
func (b *bindings) partlyUsed() *portion {
	if b.last == nil {
		return nil
	}
	for i := range b.lines {
		for part, left := range b.lines[i].left {
			if left > 0 && left < 1 && slices.ContainsFunc(slices.Concat(b.last.To, b.last.With), func(r recipe.Ref) bool { return r.Line != nil && *r.Line == b.lines[i].ref }) {
				return &portion{i, part}
			}
		}
	}
	return nil
}

// whole resolves "everything", "all the ingredients", "the remaining
// ingredients": what of the component has not gone in, or all that is being
// worked on.
func (b *bindings) whole(n noun) []referent {
	if b.tech.Takes == "back" && b.base != nil {
		return []referent{{made: b.base}} // "return everything": what was there before
	}
	if b.goingInto && b.base != nil {
		return []referent{{made: b.base}} // "pour the sauce over everything"
	}
	var out []referent
	untouched := true
	for i := range b.lines {
		if b.closed(i) || len(b.takes) == 0 && b.lines[i].comp != b.comp || b.excepted(n, i) || b.lines[i].line.Amount == nil && b.touched(i) {
			continue
		}
		if b.leftOf(portion{i, ""}) == 1 {
			out = append(out, referent{portion: &portion{i, ""}})
		} else {
			untouched = false
		}
	}
	if untouched {
		for _, t := range b.things { // what was made aside goes in with the rest
			if t.title != nil && t.comp == b.comp && b.open(t) {
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

// alike are the last things that were made one by one in the same way.
func (b *bindings) alike() []referent {
	var out []referent
	for i := len(b.things) - 1; i >= 0 && b.things[i].technique == b.things[len(b.things)-1].technique && b.things[i].technique != ""; i-- {
		if t := b.things[i]; b.open(t) && !t.putBy {
			out = append(out, referent{made: t})
		}
	}
	slices.Reverse(out)
	return out
}

// comesLater tells whether the method speaks of a line further on.
func (b *bindings) comesLater(l *bound, from int) bool {
	for _, w := range l.name {
		if !b.r.larder.Words().Neutral[w] && b.namedAgain(w, from) > 0 {
			return true
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
