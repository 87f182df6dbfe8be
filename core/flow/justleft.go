package flow

// justLeft is what the action before has made of several things, where a noun is the word for what
// such work leaves: "the paste", of what was pounded, and no curry paste of the list.
func (b *bindings) justLeft(n noun) *thing {
	if b.last == nil || len(n.words) != 1 || !n.pointed || n.rest {
		return nil
	}
	if b.focus != nil && b.leaves(b.focus, n) && b.last.ID == b.focus.id {
		return b.focus
	}
	return b.latest(func(t *thing) bool {
		return (t.comp == b.comp || t.comp == b.componentNamed(n.head())) && !b.pours(t) && !t.heated && b.leaves(t, n)
	}) // an oil was heated since
}

// leaves tells whether a thing is there, was made of several, and of such work as leaves what a noun calls.
func (b *bindings) leaves(t *thing, n noun) bool {
	made := b.r.larder.Technique(t.technique)
	return made != nil && made.Leaves == n.head() && b.open(t) && len(t.holds) > 1 && !b.goesIn(t)
}
