package flow

import (
	"slices"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// shareMade is the share of a thing that a noun means; it is taken off it once, however many lines of the thing the noun
// speaks of ("a third of the vegetables").
func (b *bindings) shareMade(n noun, t *thing) float64 {
	at := taking{b.text, n.upto, t}
	if _, ok := b.taken[at]; !ok {
		b.taken[at] = b.takeShare(n, t)
	}
	return b.taken[at]
}

// inHeaps tells whether a measure in the plural says how something is parted, and not how much of it goes in: "roll teaspoonfuls
// into balls".
func (b *bindings) inHeaps(n noun) bool {
	return n.heaps && !n.rest && b.tech != nil && b.tech.Family == "dough"
}

// taking is where the words of a step take something off a thing.
type taking struct {
	text *text
	upto int
	from *thing
}

func (b *bindings) takeShare(n noun, t *thing) float64 {
	switch {
	case n.rest && n.share == 0:
		return t.left
	case b.inHeaps(n):
		return 1
	case n.share > 0 && n.share < 1:
		t.left = max(t.left-n.share, 0.01)
		return n.share
	case b.ladled(n, t) && b.byLittle(n):
		t.left = max(t.left-littleOfIt, 0.01)
		return littleOfIt
	case n.amount[1] > 0 && !n.pronoun:
		t.left = max(t.left-someOfIt, 0.01)
		return someOfIt
	}
	return 1
}

// listedAs is what holds the line that a noun names, where that is something else than what goes into it; nil where it is not.
func (b *bindings) listedAs(n noun, in *thing) *thing {
	for _, x := range b.direct(n) {
		if t := b.held(*x.portion); t != nil && t != in && b.open(t) {
			return t
		}
	}
	return nil
}

// itsWater tells whether the water is kept in which something boiled, of whose name it goes: "reserve a cup of the pasta water".
func (b *bindings) itsWater(n noun) bool {
	if len(n.words) < 2 || b.r.lang.Groups[n.words[len(n.words)-2]] == nil && !b.text.foods(n.words[len(n.words)-2]) {
		return false // "the cooking water" goes by its work
	}
	return b.tech.Name == reserveTechnique && b.r.lang.Loose[n.head()] && b.latest(func(t *thing) bool { return t.heated }) != nil &&
		!slices.ContainsFunc(b.lines, func(l bound) bool { return len(l.name) > 0 && last(l.name) == n.head() })
}

// shareAside is the share of a thing that was taken out, where a noun says that it was kept back: "the reserved bacon", of which
// half went into the soup, or "the saved milk", squeezed out of the bread, beside milk that waits.
func (b *bindings) shareAside(n noun, found []referent) *thing {
	if len(found) != 1 || found[0].portion == nil || found[0].made != nil {
		return nil
	}
	p, left := *found[0].portion, b.leftOf(*found[0].portion)
	for i := n.from; i < n.upto; i++ {
		if lemma, width := b.text.verb(i, language.Past); width > 0 && slices.Contains(b.r.lang.Orders(lemma), reserveTechnique) {
			return b.latest(func(t *thing) bool {
				return t.holds[p] && (left == 0 && t.taken && t.ofShare || left > 0 && len(t.holds) == 1 && (t.putBy || t.technique == pressTechnique))
			})
		}
	}
	return nil
}

// shareInPan is what is in the pan of a line of which more waits, where it is only turned there or pushed aside: "turn the beef",
// of which a third was laid in.
func (b *bindings) shareInPan(n noun, found []referent) *thing {
	if len(found) != 1 || found[0].portion == nil || found[0].made != nil || n.rest || n.share > 0 || n.amount[1] > 0 || b.focus == nil {
		return nil
	}
	aside := b.tech.Name == placeTechnique && (b.text.lang.Sides[b.text.low(n.upto+1)] || b.text.lang.Sides[b.text.low(n.upto+2)])
	left := b.leftOf(*found[0].portion)
	if left == 0 || left == 1 || !aside && (b.tech.Family != "mix" || !b.tech.Going || b.tech.Joins != "") || !b.focus.heated || !b.focus.holds[*found[0].portion] || !b.open(b.focus) {
		return nil
	}
	return b.focus
}

// partedByName tells whether work on one of several things that were drained together takes it away from the others: "peel the
// eggs", that boiled with the potatoes.
func (b *bindings) partedByName(t *larder.Technique, r *roles) bool {
	if t.Family != "cut" && t.Family != "clean" || t.Joins != "" || len(r.inputs) != 1 || len(r.portions) == 0 || !r.inputs[0].strained || !b.open(r.inputs[0]) {
		return false
	}
	for p := range r.inputs[0].holds {
		if !slices.Contains(r.portions, p) && !larder.Pours(b.lines[p.line].food) && !b.fat(p) {
			return !slices.ContainsFunc(r.action.To, func(ref recipe.Ref) bool { return ref.Of == "" })
		}
	}
	return false
}
