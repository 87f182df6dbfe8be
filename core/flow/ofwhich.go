package flow

import (
	"yembra/core/larder"
	"yembra/core/recipe"
)

// widened lets what was said to be one line of a thing be all of it.
func widened(refs []recipe.Ref, t *thing) {
	for i := range refs {
		if r := &refs[i]; r.Made != nil && *r.Made == t.id && r.Of != "" {
			r.Of = manyOf
		}
	}
}

// of notes which line of what was made a reference means; where several are
// meant, the whole is.
func (b *bindings) of(p portion, refs []recipe.Ref) {
	if len(refs) == 0 || b.goingInto && larder.Wets(b.lines[p.line].food) {
		return // "into the warm cream", with all that is mixed with it
	}
	r := &refs[len(refs)-1]
	if r.Made != nil && r.Of != "" && r.Of != b.lines[p.line].ref && (b.takesAway() || b.tech.Family == "cut" && b.tech.Joins == "") {
		b.several = append(b.several, recipe.Ref{Made: r.Made, Share: 1, Of: b.lines[p.line].ref})
		return
	}
	switch {
	case r.Made == nil:
	case r.Of == "":
		r.Of = b.lines[p.line].ref
	case r.Of != b.lines[p.line].ref:
		r.Of = manyOf
	}
}

// manyOf stands while an action is bound for several lines of one thing.
const manyOf = "*"
