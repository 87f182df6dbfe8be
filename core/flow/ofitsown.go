package flow

import "slices"

// dishOfItsOwn tells whether a noun is the word for what boils in a pot, which stands in the name of a line only to say what
// that is for, or which is said in full when the line is meant: "strain the soup", beside soup noodles; "stir into the sauce",
// before "a spoonful of cranberry sauce".
func (b *bindings) dishOfItsOwn(n noun, l *bound, head string) bool {
	return b.r.lang.Products[head] && n.pointed && len(n.words) == 1 && slices.Contains(l.name, head) && (last(l.name) != head && !b.r.lang.Parts[last(l.name)] || len(l.name) > 1 && l.line.Amount == nil && b.saidInFull(l.name, n.upto)) &&
		b.latest(func(t *thing) bool { return t.heated && (t.liquid || b.holdsPoured(t)) && b.open(t) }) != nil
}

// saidInFull tells whether the method says a name of several words behind the words at hand.
func (b *bindings) saidInFull(name []string, from int) bool {
	return b.saidLater(from, func(words []word, from int) bool {
		for i := from; i+len(name) <= len(words); i++ {
			k := 0
			for k < len(name) && words[i+k].norm == name[k] {
				k++
			}
			if k == len(name) {
				return true
			}
		}
		return false
	})
}

// ofTheTap tells whether a noun is what every kitchen has, beside a line of another food that is called after it: "add 500 ml
// water", beside orange blossom water.
func (b *bindings) ofTheTap(n noun, l *bound) bool {
	if n.pointed || len(n.words) == 0 || !b.r.lang.Loose[n.head()] || l.food == nil {
		return false
	}
	m, ok := b.foodOf(n.words, false)
	return ok && m.End == len(n.words) && m.Food.ID != l.food.ID
}
