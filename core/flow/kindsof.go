package flow

import "slices"

// toldApartBy is what it counts that a noun is no more than the word by which a line is told from another that goes by the same last word:
// "the white", of white crab meat and brown crab meat.
func (b *bindings) toldApartBy(n noun, i int) float64 {
	l := &b.lines[i]
	if len(n.words) != 1 || !n.pointed || len(l.name) < 2 || l.name[0] != n.words[0] && !slices.Contains(l.prepared, n.words[0]) {
		return 0
	}
	for k := range b.lines {
		if other := b.lines[k].name; k != i && b.lines[k].comp == l.comp && len(other) > 1 && last(other) == last(l.name) && other[0] != l.name[0] {
			return 3.5
		}
	}
	return 0
}
