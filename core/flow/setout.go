package flow

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// tellsLast tells whether an order is done to no more than what the last one made.
func (b *bindings) tellsLast(a *recipe.Action) bool {
	return b.last != nil && len(a.To) > 0 && !slices.ContainsFunc(a.To, func(r recipe.Ref) bool { return r.Made == nil || *r.Made != b.last.ID })
}

// setOut tells whether things of the list are put into bowls or on plates of their own, beside what is in
// hand: "flatten the cutlets. Put the flour, eggs and crumbs in three bowls".
func setOut(t *larder.Technique, a *recipe.Action) bool {
	return t.Closes == larder.ClosesTable && !slices.ContainsFunc(a.To, func(x recipe.Ref) bool { return x.Line == nil })
}
