package flow

import (
	"cmp"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// staysApart tells whether what an action worked on still lies side by side:
// things cut, soaked, drained or rinsed together do, and what is put in several dishes.
func (b *bindings) staysApart(t *larder.Technique, r *roles) bool {
	switch t.Family {
	case "cut", "clean", "separate", "rest":
		return !slices.ContainsFunc(r.inputs, func(in *thing) bool { return !in.apart && len(in.holds) > 1 })
	}
	said := cmp.Or(r.action.Vessel, namedInto(r.action))
	words := larder.Words(said)
	return (t.Name == placeTechnique || setOut(t, r.action)) && len(r.inputs) == 0 && len(words) > 0 && (b.r.lang.Holding[last(words)] || b.r.lang.Receiving[last(words)]) && last(strings.Fields(strings.ToLower(said))) != larder.Singular(last(words))
}

// namedInto are the words for what an action puts things into, where no list has it and nothing made it.
func namedInto(a *recipe.Action) string {
	if len(a.Into) != 1 || a.Into[0].Named == nil {
		return ""
	}
	return *a.Into[0].Named
}

// coatedFirst puts what is coated before what it is coated with: it keeps its name.
func (b *bindings) coatedFirst(t *larder.Technique, r *roles) {
	if t.Medium != "with" {
		return
	}
	to := func(in *thing) int {
		return slices.IndexFunc(r.action.To, func(x recipe.Ref) bool { return x.Made != nil && *x.Made == in.id })
	}
	slices.SortStableFunc(r.inputs, func(x, y *thing) int { return cmp.Compare(min(to(y), 0), min(to(x), 0)) })
}
