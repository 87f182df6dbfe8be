package flow

import "slices"

// orMixedDry are the lines that have not gone in, but where something goes into what was mixed dry: "pour the wet mix into the
// dry", and chocolate is on the list.
func (b *bindings) orMixedDry(kinds []string, used, fresh []referent) []referent {
	if t := b.mixedDry(used); slices.Contains(kinds, anyDry) && b.goingInto && t != nil {
		return []referent{{made: t}}
	}
	return fresh
}

// mixedDry is what several of the lines made together that was mixed dry, nil where they are in more than one thing.
func (b *bindings) mixedDry(used []referent) *thing {
	var t *thing
	for _, r := range used {
		if r.made == nil || !b.open(r.made) || t != nil && r.made != t {
			return nil
		}
		t = r.made
	}
	if t == nil || len(t.holds) < 2 || b.goesIn(t) {
		return nil
	}
	return t
}
