package flow

import (
	"maps"
	"slices"
)

// fullest is the last thing that fits of those that hold most of what a name calls for: "the dressing" is what has oil
// and vinegar in it, rather than the water with a splash of vinegar.
func (b *bindings) fullest(kinds []string, fits func(*thing) bool) *thing {
	last := b.latest(fits)
	best, most := last, 0
	for last != nil && len(kinds) > 1 {
		t := b.latest(func(t *thing) bool { return fits(t) && b.heldKinds(t, kinds) > most && t.comp == last.comp })
		if t == nil {
			return best
		}
		best, most = t, b.heldKinds(t, kinds)
	}
	return best
}

// heldKinds counts how many kinds of food are in a thing still, two for each, and one more where it pours and is poured.
func (b *bindings) heldKinds(t *thing, kinds []string) int {
	n := 0
	if b.tech.Name == "pour" && (t.liquid || b.pours(t)) {
		n++
	}
	for _, kind := range kinds {
		if slices.ContainsFunc(slices.Collect(maps.Keys(t.holds)), func(p portion) bool {
			f := b.lines[p.line].food
			return b.holder[p] == t && f != nil && (f.Aisle == kind || f.Kind == kind)
		}) {
			n += 2
		}
	}
	return n
}

func (b *bindings) holdsKind(t *thing, kinds []string) bool {
	if slices.Contains(kinds, anyLiquid) && (t.liquid && len(t.holds) > 0 || len(t.solids) > 0) { // water from the tap is no sauce
		return true
	}
	for p := range t.holds {
		if f := b.lines[p.line].food; f != nil && (slices.Contains(kinds, f.Aisle) || slices.Contains(kinds, f.Kind)) {
			return true
		}
	}
	return false
}
