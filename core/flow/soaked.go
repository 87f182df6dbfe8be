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

// squeezedOut is the share of a liquid that something was soaked in, where it is squeezed out or kept and more of it waits: "squeeze
// the milk from the bread", of which half soaked it.
func (b *bindings) squeezedOut(n noun, found []referent) []referent {
	if !b.takesLiquor() || len(found) != 1 || found[0].portion == nil || found[0].made != nil || n.rest || n.share > 0 || n.amount[1] > 0 {
		return nil
	}
	p := *found[0].portion
	if left := b.leftOf(p); left == 0 || left == 1 {
		return nil
	}
	t := b.latest(func(t *thing) bool { return t.technique == soakTechnique && t.holds[p] })
	if t == nil || !b.onlyLiquid(t, []portion{p}) {
		return nil
	}
	return []referent{{made: t, portion: &p}}
}

// takesLiquor tells whether the work at hand takes out of a thing the liquid that it names.
func (b *bindings) takesLiquor() bool {
	return b.tech != nil && (b.tech.Name == pressTechnique || b.tech.Name == reserveTechnique)
}

// onlyLiquid tells whether portions are the liquid of a thing that holds what was soaked in it.
func (b *bindings) onlyLiquid(t *thing, named []portion) bool {
	liquid := func(p portion) bool { return larder.Pours(b.lines[p.line].food) && !b.fat(p) }
	for p := range t.holds {
		if !liquid(p) {
			return t.technique == soakTechnique && !slices.ContainsFunc(named, func(p portion) bool { return !liquid(p) })
		}
	}
	return false
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
