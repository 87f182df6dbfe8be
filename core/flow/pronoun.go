package flow

import (
	"cmp"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// pronoun resolves "it", "them", "both", "the rest".
func (b *bindings) pronoun(n noun) []referent {
	if fried := b.allFried(n); len(fried) > 1 {
		return fried
	}
	if n.all && !n.rest && n.share == 0 && (len(n.words) == 0 || b.r.lang.Pair[n.words[0]]) {
		return b.lastTwo()
	}
	if found := b.bothOut(n); found != nil {
		return found
	}
	if len(n.words) == 1 && b.r.lang.Pair[n.words[0]] && b.focus != nil && b.holdsFat(b.focus) {
		if t := b.latest(func(x *thing) bool { return x.apart && len(x.holds) == 2 && x.comp == b.comp && b.open(x) }); t != nil {
			return []referent{{made: t}} // "dice the onion and the carrot; melt the butter and cook both"
		}
		if cut := b.lastCut(); len(cut) == 2 {
			return cut // "slice the potatoes; slice the onion; heat the oil and cook both"
		}
	}
	if in := b.bothOrPointed(n); in != nil {
		return in
	}
	if in := b.otherShares(n); in != nil {
		return in
	}
	for _, find := range []func(noun) []referent{b.bracketed, b.moreOfIt, b.justKept, b.justWarmed, b.justSlippedIn, b.justCooked, b.onlyFlesh} {
		if in := find(n); in != nil {
			return in
		}
	}
	if n.rest && n.share == 0 && len(n.words) == 0 && b.justTakenOut() {
		return []referent{{made: b.stays}} // "take out the sausage and slice it; blend the rest"
	}
	if left := b.shareOfBegun(n); left != nil {
		return left
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
	inIt := b.working != nil && len(b.working.To) > 0                                                                       // "melt the butter and soften the onion in it"
	if (b.tech.Medium == "fat" && !inIt || b.tech.Joins == "yes" && (n.little || n.amount[1] > 0)) && b.holdsFat(b.focus) { // "heat the butter and brown them"
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

// shareOfBegun is what a share of something that goes by no name is of: what has been used in part.
func (b *bindings) shareOfBegun(n noun) []referent {
	if !n.rest && n.share == 0 || len(n.words) > 0 {
		return nil
	}
	if p := b.partlyUsed(); p != nil && !(n.little && b.dealing && b.focus != nil && len(b.focus.holds) > 1) { // "put a spoonful on each leaf", of the mince in hand
		return []referent{{portion: p}}
	}
	t := b.begun()
	if n.rest && t != nil && t.comp != b.comp && b.focus != nil && b.focus.comp == b.comp {
		if left := b.untouched(); len(left) > 1 {
			return left // "dissolve the sugar in the water, stir in the rest", of a dip
		}
	}
	if (n.rest || n.one && t != b.focus && b.onlyVessel != "") && t != nil && t.held(b) {
		return []referent{{made: t}}
	}
	return nil
}

// untouched are the lines of the part at hand of which nothing has gone in.
func (b *bindings) untouched() []referent {
	var out []referent
	for i := range b.lines {
		if b.lines[i].comp == b.comp && !b.closed(i) && b.leftOf(portion{i, ""}) == 1 {
			out = append(out, referent{portion: &portion{i, ""}})
		}
	}
	return out
}

// pointedAt is the one thing with which the action before was done, where "these" mean it: "soften the
// onion with the anchovies, mashing these".
func (b *bindings) pointedAt(n noun) []referent {
	if b.last == nil || !b.r.lang.Pointing[b.text.low(n.from)] || b.r.lang.Pair[b.text.low(n.from)] || n.rest || n.share > 0 || n.all {
		return nil
	}
	var found []referent
	for _, r := range b.last.With {
		i := slices.IndexFunc(b.lines, func(l bound) bool { return r.Line != nil && l.ref == *r.Line || r.Of == l.ref })
		if p := (portion{i, ""}); i >= 0 && !b.fat(p) && b.pluralName(referent{portion: &p}) { // but "beat the eggs with the milk and pour this over"
			found = append(found, b.nowOf(p))
		}
	}
	if len(found) != 1 {
		return nil
	}
	return found
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

// bothOrPointed are two things that were made in the same way, "soak the beans, and in another bowl the
// mushrooms; drain both", else what a pronoun points at.
func (b *bindings) bothOrPointed(n noun) []referent {
	if len(n.words) == 1 && b.r.lang.Pair[n.words[0]] && !n.rest && n.share == 0 {
		if alike := b.alike(); len(alike) == pair {
			return alike
		}
		if two := b.lastTwo(); b.ofOneEach(two) {
			return two // "slice the potatoes; brush both with oil", of aubergines that lie salted
		}
	}
	return b.pointedAt(n)
}

// ofOneEach tells whether two things are each of one line of the list, and nothing over a fire.
func (b *bindings) ofOneEach(two []referent) bool {
	return len(two) == pair && !slices.ContainsFunc(two, func(r referent) bool {
		return len(r.made.holds) != 1 || r.made.heated || r.made.comp != b.comp || r.made.putBy
	})
}

// pair is how many things "both" means.
const pair = 2

// lastTwo are the two things that were made last.
func (b *bindings) lastTwo() []referent {
	var open []referent
	for i := len(b.things) - 1; i >= 0 && len(open) < pair; i-- {
		if b.open(b.things[i]) && b.things[i].title == nil {
			open = append(open, referent{made: b.things[i]})
		}
	}
	slices.Reverse(open)
	return open
}

// onlyFlesh is the one piece of flesh in a pot of broth, where that is cut up or cleaned: "simmer the chicken with the
// onion, let it cool and shred it".
func (b *bindings) onlyFlesh(n noun) []referent {
	if b.goingInto || b.tech.Family != "cut" && b.tech.Family != "clean" || b.tech.Joins != "" || n.rest || n.all || n.share > 0 || n.amount[1] > 0 || len(n.words) != 1 || b.focus == nil || !b.focus.heated || !b.focus.liquid || len(b.focus.holds) < 2 {
		return nil
	}
	flesh := b.fleshIn(b.focus)
	if len(flesh) != 1 {
		return nil
	}
	return []referent{{portion: &flesh[0], made: b.focus}}
}

// fleshIn are the pieces of flesh that are in a thing, in the order of the list.
func (b *bindings) fleshIn(t *thing) []portion {
	var out []portion
	for p := range t.holds {
		f, l := b.lines[p.line].food, b.lines[p.line].line
		if l.Origin != larder.FromAnimal || f != nil && (larder.Pours(f) || f.Tagged(larder.NoPiece)) || b.holder[p] != t || b.shutIn(p) {
			continue
		}
		if l.Animal == larder.Meat || l.Animal == larder.Poultry || l.Animal == larder.Fish {
			out = append(out, p)
		}
	}
	slices.SortFunc(out, func(a, c portion) int { return cmp.Or(a.line-c.line, strings.Compare(a.part, c.part)) })
	return out
}

// allFried are the things that were fried one by one and wait: "add it all to the pot".
func (b *bindings) allFried(n noun) []referent {
	if !n.all || len(n.words) != 1 || !b.r.lang.Single[n.words[0]] {
		return nil
	}
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
