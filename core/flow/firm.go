package flow

import (
	"maps"
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// becomes tells what work is by where and of what it is done.
func (b *bindings) becomes(t *larder.Technique, r *roles) {
	b.inTin(t, r)
	b.ofFirm(t, r)
	b.caught(t, r)
	if t.Name == rubTechnique && len(r.action.To) > 0 && slices.ContainsFunc(r.action.With, b.isFatLine) && b.coatsVessel(r.action) {
		r.action.Technique = greaseTechnique // "rub a dish with butter"
	}
}

// caught makes a straining of draining over a bowl, which catches the liquid: "drain in a colander set over a bowl".
func (b *bindings) caught(t *larder.Technique, r *roles) {
	holds := func(w string) bool { return b.r.lang.Holding[w] && !b.r.lang.Receiving[w] }
	over := slices.ContainsFunc(r.action.Into, func(x recipe.Ref) bool { return x.Named != nil && slices.ContainsFunc(larder.Words(*x.Named), holds) }) ||
		slices.ContainsFunc(r.action.Manner, func(m string) bool { return slices.ContainsFunc(larder.Words(m), holds) })
	if t.Name == drainTechnique && over && slices.ContainsFunc(r.inputs, func(in *thing) bool { return in.heated && (in.liquid || b.holdsPoured(in)) }) {
		r.action.Technique = strainTechnique
	}
}

// isFatLine tells whether a reference is to a line of fat.
func (b *bindings) isFatLine(x recipe.Ref) bool {
	return x.Line != nil && slices.ContainsFunc(b.lines, func(l bound) bool { return l.ref == *x.Line && larder.IsFat(l.food) })
}

// ofFirm tells what work is that is done to nothing but vegetables, in fat or not: "melt the leeks in the butter".
func (b *bindings) ofFirm(t *larder.Technique, r *roles) {
	if t.Firm == "" || slices.ContainsFunc(r.action.To, b.isFatLine) {
		return
	}
	any := false
	firm := func(p portion) bool {
		f := b.lines[p.line].food
		any = any || f != nil && f.Aisle == "vegetables"
		return f != nil && f.Aisle == "vegetables" || b.fat(p)
	}
	held := slices.Clone(r.portions)
	for _, in := range r.inputs {
		held = append(held, slices.Collect(maps.Keys(in.holds))...)
	}
	if !slices.ContainsFunc(held, func(p portion) bool { return !firm(p) }) && any {
		r.action.Technique = t.Firm
	}
}
