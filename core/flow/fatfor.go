package flow

import (
	"slices"

	"yembra/core/larder"
)

// meantFor takes in the fat that the list says is for this work: "oil, for
// frying", "butter, for the basin".
func (b *bindings) meantFor(t *larder.Technique, r *roles) {
	if !b.onlyDry(r.action.With) || b.inDryPan(r) || t.Medium != "fat" && t.Name != "deep-fry" && t.Name != "grease" || t.Medium == "fat" && t.Name != "deep-fry" && slices.ContainsFunc(r.inputs, b.inFat) {
		return
	}
	for i := range b.lines {
		f := b.lines[i].food
		if !larder.IsFat(f) || b.closed(i) || b.touched(i) || b.forTable(i) {
			continue
		}
		if b.lines[i].line.Amount == nil && b.lines[i].comp == b.comp && t.Family != "coat" {
			b.refPortion(noun{}, portion{i, ""}, r, &r.action.With) // "oil", and nothing more
			return
		}
		for w := range b.lines[i].said {
			if orders := b.r.lang.Orders(w); slices.Contains(orders, t.Name) || t.InHot != "" && slices.Contains(orders, t.InHot) || t.Name == "grease" && b.r.lang.Vessels[w] {
				b.refPortion(noun{share: b.besidesIt(i)}, portion{i, ""}, r, &r.action.With)
				return
			}
		}
	}
}

// inDryPan tells whether the pan is said to hold no fat: "fry the bacon in a dry pan".
func (b *bindings) inDryPan(r *roles) bool {
	return slices.ContainsFunc(larder.Words(r.action.Vessel), func(w string) bool { return b.r.lang.Greaseless[w] })
}

// besidesIt is the share of a line that stands for what it sets aside for the work at hand besides what it measures: "200 g
// butter, plus extra for greasing"; 0 where it is all for that.
func (b *bindings) besidesIt(line int) float64 {
	l := &b.lines[line]
	grams, little := l.line.Mass(), b.r.larder.SmallUseFor(b.tech, l.food.Kind, l.food.Animal)
	if !b.extra(l) || grams == 0 || little == nil {
		return 0
	}
	return min(little.Grams/grams, 1)
}
