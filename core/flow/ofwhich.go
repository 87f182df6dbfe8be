package flow

import (
	"cmp"
	"maps"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// widened lets what was said to be one line of a thing be all of it.
func widened(refs []recipe.Ref, t *thing) {
	for i := range refs {
		if r := &refs[i]; r.Made != nil && *r.Made == t.id && r.Of != "" {
			r.Of = manyOf
		}
	}
}

// of notes which line of what was made a reference means; where several are
// meant, the whole is.
func (b *bindings) of(p portion, share float64, refs []recipe.Ref) {
	if len(refs) == 0 || b.goingInto && larder.Wets(b.lines[p.line].food) {
		return // "into the warm cream", with all that is mixed with it
	}
	r := &refs[len(refs)-1]
	if b.fat(p) && b.fewTaken(r) {
		return // "scoop out a few pieces; soften the onion in the red oil", in which the rest lies
	}
	if r.Made != nil && r.Of != "" && r.Of != b.lines[p.line].ref && (b.takesAway() || b.tech.Family == "cut" && b.tech.Joins == "") {
		b.several = append(b.several, recipe.Ref{Made: r.Made, Share: round(share), Of: b.lines[p.line].ref})
		return
	}
	switch {
	case r.Made == nil:
	case r.Of == "":
		r.Of = b.lines[p.line].ref
	case r.Of != b.lines[p.line].ref:
		r.Of = manyOf
	}
}

// fewTaken tells whether no more than a little was taken out of a thing just before.
func (b *bindings) fewTaken(r *recipe.Ref) bool {
	if b.last == nil || r.Made == nil || len(b.last.To) != 1 || b.last.To[0].Made == nil || *b.last.To[0].Made != *r.Made {
		return false
	}
	t := b.r.larder.Technique(b.last.Technique)
	return t != nil && t.Takes == "part" && b.last.To[0].Share <= someOfIt
}

// manyOf stands while an action is bound for several lines of one thing.
const manyOf = "*"

// ofTitle is what a thing with a name of several words held that has gone into something else, where it is taken out of
// there again: "take out the mushrooms and tofu skin".
func (b *bindings) ofTitle(n noun) []referent {
	out := b.takesAway() || b.tech.Family == "cut"
	for i := len(b.things) - 1; i >= 0; i-- {
		t := b.things[i]
		if t.title == nil || !b.saysTitle(n, t) || b.open(t) {
			continue
		}
		var found []referent
		for _, p := range byLine(t.holds) {
			in := b.holder[p]
			switch {
			case in == nil || !b.open(in) || larder.Pours(b.lines[p.line].food):
			case out:
				found = append(found, referent{made: in, portion: &p})
			case in.taken && !slices.ContainsFunc(slices.Collect(maps.Keys(in.holds)), func(o portion) bool { return !t.holds[o] }):
				return []referent{{made: in}} // "return the mushrooms and tofu skin"
			case in != b.focus && in.comp == b.comp && !(in.liquid && in.putBy) && b.mostlyOf(in, t):
				return []referent{{made: in}} // "add the mushroom discs", that were tossed with turmeric and set aside
			case b.goingInto && in != b.focus && in.comp == b.comp && in.vessel != "":
				return []referent{{made: in}} // "spread over the mushroom fillets", that are in the sauce in a dish
			case in != b.focus:
				found = append(found, referent{made: in, portion: &p}) // "fry the tofu slabs", that have been rolled in crumbs since
			}
		}
		slices.SortFunc(found, func(x, y referent) int { return x.portion.line - y.portion.line })
		return found
	}
	return nil
}

// byLine are portions in the order of the list.
func byLine(all map[portion]bool) []portion {
	return slices.SortedFunc(maps.Keys(all), func(x, y portion) int {
		return cmp.Or(x.line-y.line, strings.Compare(x.part, y.part))
	})
}

// saysTitle tells whether a noun is the whole name of a thing, of which a word may be one for work: "the torn mushrooms".
func (b *bindings) saysTitle(n noun, t *thing) bool {
	if slices.Equal(n.words, t.title) {
		return true
	}
	from := n.upto - len(t.title)
	if from < 0 || len(n.words) >= len(t.title) || n.owner != nil {
		return false
	}
	for k, word := range t.title {
		if b.text.words[from+k].norm != word {
			return false
		}
	}
	return true
}

// mostlyOf tells whether a thing still is what another was, with no more to it than seasons or coats it.
func (b *bindings) mostlyOf(now, was *thing) bool {
	more := map[int]bool{}
	for p := range now.holds {
		if !was.holds[p] && b.holder[p] == now {
			more[p.line] = true
		}
	}
	return b.weigh(more) <= mostOfCoat*b.massOf(was)
}

// mostOfCoat is how much may come to a thing, of its own weight, so that it still goes by its name; an estimate.
const mostOfCoat = 0.35

// bothOut are the two things besides fat that a pan holds, where both are taken out of it: "scoop both out".
func (b *bindings) bothOut(n noun) []referent {
	if len(n.words) != 1 || !b.r.lang.Pair[n.words[0]] || !b.takesAway() || b.focus == nil {
		return nil
	}
	var found []referent
	for p := range b.focus.holds {
		if !b.fat(p) && b.holder[p] == b.focus {
			found = append(found, referent{made: b.focus, portion: &p})
		}
	}
	if len(found) != pair {
		return nil
	}
	slices.SortFunc(found, func(x, y referent) int { return x.portion.line - y.portion.line })
	return found
}
