package flow

import (
	"slices"

	"yembra/core/recipe"
)

// Complete reads the method of a dish that has been kept since before its
// actions were read.
func (r *Reader) Complete(d *recipe.Dish) {
	for _, c := range d.Components {
		if slices.ContainsFunc(c.Steps, func(s recipe.Step) bool { return s.Actions == nil }) {
			r.Dish(d)
			return
		}
	}
}

// remarkAt tells whether the cook takes what begins at a place for a remark.
func remarkAt(step *recipe.Step, from int) bool {
	return slices.ContainsFunc(step.Mends, func(m recipe.Mend) bool { return m.From == from && m.As == recipe.MendRemark })
}

// mend puts the lines into an action that the cook says go in there. A line goes
// in by the role named, whatever the text was read to say of it.
func (b *bindings) mend(step *recipe.Step, a *recipe.Action) {
	for _, m := range step.Mends {
		if m.From != a.From {
			continue
		}
		into := b.roleOf(a, m.As)
		line := slices.IndexFunc(b.lines, func(l bound) bool { return l.ref == m.Line || l.id != "" && l.id == m.Line })
		if into == nil || line < 0 {
			continue
		}
		ref := b.lines[line].ref
		for _, refs := range []*[]recipe.Ref{&a.To, &a.With, &a.Into} {
			*refs = slices.DeleteFunc(*refs, func(r recipe.Ref) bool { return r.Line != nil && *r.Line == ref })
		}
		share := b.leftOf(portion{line, ""})
		if share == 0 {
			share = 1
		}
		*into = append(*into, recipe.Ref{Line: &ref, Share: round(share)})
		a.Mended = true
		b.take(portion{line, ""}, share)
		b.mentioned[line] = true
		if made := b.byID(a.ID); made != nil {
			made.holds[portion{line, ""}] = true
			b.hold(portion{line, ""}, made)
		}
	}
}

// roleOf is the list of things that a role of an action holds.
func (b *bindings) roleOf(a *recipe.Action, as string) *[]recipe.Ref {
	switch as {
	case recipe.MendTo:
		return &a.To
	case recipe.MendWith:
		return &a.With
	case recipe.MendInto:
		return &a.Into
	}
	return nil
}
