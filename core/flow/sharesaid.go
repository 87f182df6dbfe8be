package flow

import (
	"slices"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/measure"
)

// shareSaid is the share of a thing that a noun means which names a line of it: by its measure, of a liquid in
// which something was cooked: "4 tbsp of the poaching stock".
func (b *bindings) shareSaid(n noun, x referent) float64 {
	if x.portion != nil && n.amount[1] > 0 && !n.rest && x.made.heated && larder.Pours(b.lines[x.portion.line].food) && b.byMeasure(n) {
		return b.measured(n, *x.portion, 1)
	}
	if x.portion == nil && n.pronoun && n.amount[1] > 0 && !n.rest && b.byMeasure(n) && b.holdsFat(x.made) && len(x.made.holds) == 1 {
		for p := range x.made.holds {
			return min(b.measured(n, p, 1)/(1-b.leftOf(p)), 1) // "1 tbsp of it", of half the butter
		}
	}
	return b.shareMade(n, x.made)
}

// byOwnWork tells whether a noun names the work with heat by which a thing was made: "the rest of the melted butter", beside some that is
// not melted.
func (b *bindings) byOwnWork(n noun, t *thing) bool {
	if tech := b.r.larder.Technique(t.technique); tech == nil || tech.Heat == "" {
		return false
	}
	for i := n.from; i < n.upto-1; i++ {
		for _, r := range b.r.lang.Verb(b.text.low(i)) {
			if slices.ContainsFunc(b.r.lang.Senses(r.Lemma), func(s language.Sense) bool { return s.Technique == t.technique }) {
				return true
			}
		}
	}
	return false
}

// byMeasure tells whether the amount of a noun is one of a known measure by volume or mass.
func (b *bindings) byMeasure(n noun) bool {
	unit, ok := b.r.lang.Lines.Unit(b.text.low(n.amount[1] - 1))
	kind, known := measure.DimensionOf(unit)
	return ok && known && kind != measure.Count
}
