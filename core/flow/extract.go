package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
)

// otherDairy tells whether a noun names a food made of milk that is of quite another kind: yoghurt
// is no ghee, though feta is the cheese.
func (b *bindings) otherDairy(n noun, f *larder.Food) bool {
	m, ok := b.r.larder.Index().At(n.words[len(n.words)-1:], 0, true)
	if !ok || f.Animal != larder.Dairy || m.Food.Animal != larder.Dairy {
		return false
	}
	kinds := strings.Split(m.Food.Kind, "-")
	return !slices.ContainsFunc(strings.Split(f.Kind, "-"), func(k string) bool { return slices.Contains(kinds, k) })
}

// namesExtract tells whether a noun is the name of a stock, a fat or a sauce, which
// no piece of the animal is.
func (b *bindings) namesExtract(n noun) bool {
	m, ok := b.r.larder.Index().At(n.words[len(n.words)-1:], 0, true)
	return ok && b.r.lang.Extracts[m.Food.Kind]
}

// wets tells whether a liquid is among lines.
func (t *tracer) wets(lines []int) bool {
	return slices.ContainsFunc(lines, func(line int) bool { return larder.Wets(t.food(line)) })
}
