package flow

import (
	"slices"

	"yembra/core/language"
)

// isPot tells whether a thing is one that cooks and that others are added to.
func (b *bindings) isPot(x *thing, r *roles) bool {
	return !slices.Contains(r.inputs, x) && x.comp == b.comp && x.title == nil && !x.putBy && !x.taken && (x.liquid || x.heated)
}

// addedLater tells whether the step goes on to add a thing by its name to what it speaks of: it cannot be
// what something is poured into before. "Brown the chicken in a frying pan. Pour the stock into the
// roux. Add the chicken."
func (b *bindings) addedLater(x *thing) bool {
	for _, u := range b.ahead {
		if u.clause == nil || x.liquid {
			continue
		}
		if t := b.r.larder.Technique(u.clause.sense.Technique); t == nil || t.Joins != "yes" {
			continue
		}
		of := map[int]bool{}
		for _, n := range u.clause.objects {
			if n.pronoun || n.rest || n.share > 0 || n.amount[1] > 0 {
				continue
			}
			for _, f := range b.direct(n) {
				if f.portion != nil && b.leftOf(*f.portion) == 0 && b.held(*f.portion) == x {
					of[f.portion.line] = true
				}
			}
		}
		if len(of) > 0 && 2*b.weigh(of) > b.massOf(x) {
			return true
		}
	}
	return x.out && len(x.holds) == 1 && b.joinsLater(x)
}

// joinsLater tells whether a step further on adds what was taken out of a pot by its name to what it speaks of: "add the sweetcorn
// and cook. Blend it. Stir in the cream and chicken".
func (b *bindings) joinsLater(x *thing) bool {
	heads := map[string]bool{}
	for p := range x.holds {
		heads[last(b.lines[p.line].name)] = true
		for _, w := range b.lines[p.line].name {
			heads[w] = heads[w] || b.r.larder.Words().AnimalWords[w] != ""
		}
	}
	for words := range b.laterWords() {
		for i := range words {
			if heads[words[i].norm] && b.joinedAt(words, i) {
				return true
			}
		}
	}
	return false
}

// joinedAt tells whether the nearest order before a word of a sentence puts things into others.
func (b *bindings) joinedAt(words []word, i int) bool {
	for k := i - 1; k >= 0 && words[k].Text != "."; k-- {
		if b.r.lang.NounVerbs[words[k].low] {
			continue // "stir in the cream and chicken"
		}
		for _, r := range b.r.lang.Verb(words[k].low) {
			if r.Form == language.Base {
				return slices.ContainsFunc(b.r.lang.Orders(r.Lemma), func(name string) bool {
					t := b.r.larder.Technique(name)
					return t != nil && (t.Joins == "yes" || t.Joins == "in" && t.Family == "mix")
				})
			}
		}
	}
	return false
}

// massOf is what a thing's lines weigh.
func (b *bindings) massOf(x *thing) float64 {
	of := map[int]bool{}
	for p := range x.holds {
		of[p.line] = true
	}
	return b.weigh(of)
}

func (b *bindings) weigh(lines map[int]bool) (total float64) {
	for line := range lines {
		total += b.lines[line].line.Mass()
	}
	return total
}

// toldBefore is what the condition right before an order speaks of: "when the potatoes have cooled, fold in
// the dressing".
func (b *bindings) toldBefore(c *clause) *thing {
	for _, x := range b.toldOf(c) {
		in := x.made
		if in == nil && x.portion != nil {
			in = b.held(*x.portion)
		}
		if in != nil && b.open(in) {
			return in
		}
	}
	return nil
}

// toldOf is what a condition right before an order speaks of.
func (b *bindings) toldOf(c *clause) []referent {
	if b.when[1] == 0 || c.from < b.when[1] || c.from-b.when[1] > 1 || b.text.mark(b.when[1], ".") {
		return nil
	}
	n, ok := b.text.noun(b.when[0]+1, b.when[1], true)
	if !ok || n.pronoun || !n.pointed {
		return nil
	}
	return b.resolve(n)
}

// wrapped tells whether a thing holds what a product of that name has none of: the sheets that a
// filling is spread on.
func (b *bindings) wrapped(t *thing, head string) bool {
	lacks := b.r.lang.ProductLacks[head]
	for p := range t.holds {
		if lacks != nil && b.inGroup(b.lines[p.line].food, lacks) {
			return true
		}
	}
	return false
}

// toGoOn is the last thing made of several that work at hand would go on with by a product's name.
func (b *bindings) toGoOn(head string) *thing {
	return b.latest(func(t *thing) bool {
		return len(t.holds) > 1 && (t.title == nil || len(b.takes) > 0) && !(b.goesIn(t) && (b.goingInto || t.heated)) && !b.wrapped(t, head)
	})
}

// mixesAgain tells whether a clause without a verb names what is mixed in next: "whisk the eggs with the
// sugar, then the flour".
func (b *bindings) mixesAgain(c *clause) bool {
	t := b.r.larder.Technique(b.last.Technique)
	return t != nil && t.Family == "mix" && t.Joins != "yes" && b.focus != nil && b.focus.id == b.last.ID && len(c.links) == 0 && !slices.ContainsFunc(c.objects, func(n noun) bool { return n.pronoun })
}
