package flow

import (
	"maps"
	"slices"

	"yembra/core/larder"
)

// runs tells whether a thing is more liquid than not, eggs beaten with others among it.
func (b *bindings) runs(t *thing) bool {
	tech := b.r.larder.Technique(t.technique)
	beaten := tech != nil && tech.Family == "mix"
	liquid, all := 0.0, 0.0
	for p := range t.holds {
		f, mass := b.lines[p.line].food, b.lines[p.line].line.Mass()
		if all += mass; larder.Pours(f) || beaten && f != nil && f.Animal == larder.Egg {
			liquid += mass
		}
	}
	return liquid > all/2
}

// pours tells whether a thing is more liquid than not.
func (b *bindings) pours(t *thing) bool {
	return b.mostlyLiquid(slices.Collect(maps.Keys(t.holds)))
}
