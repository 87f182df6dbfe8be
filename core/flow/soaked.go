package flow

import (
	"slices"

	"yembra/core/larder"
)

// soaked are a line and the liquid below it in which it is soaked, where a noun names both:
// "the saffron milk".
func (b *bindings) soaked(n noun) []referent {
	if len(n.words) != 2 {
		return nil
	}
	for i := range b.lines[:max(len(b.lines)-1, 0)] {
		dry, wet := &b.lines[i], &b.lines[i+1]
		if dry.comp == wet.comp && len(dry.name) == 1 && dry.name[0] == n.words[0] && slices.Contains(wet.name, n.words[1]) && larder.Pours(wet.food) && b.leftOf(portion{i, ""}) == 1 && b.leftOf(portion{i + 1, ""}) == 1 {
			return []referent{{portion: &portion{i, ""}}, {portion: &portion{i + 1, ""}}}
		}
	}
	return nil
}

// workedShare is the share of a thing that was taken from it and worked on as a noun says: "the chopped aubergine", of what was
// scooped out of the halves.
func (b *bindings) workedShare(n noun) []referent {
	if len(n.words) < 2 {
		return nil
	}
	orders := b.r.lang.Orders(n.words[0])
	t := b.latest(func(t *thing) bool {
		named := false
		for p := range t.holds {
			if !slices.Contains(b.lines[p.line].name, n.head()) && !b.fat(p) {
				return false
			}
			named = named || !b.fat(p)
		}
		return named && t.ofShare && !t.spent && slices.Contains(orders, t.technique)
	})
	if t == nil {
		return nil
	}
	return []referent{{made: t}}
}
