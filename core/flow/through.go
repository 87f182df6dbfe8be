package flow

import "yembra/core/larder"

// onlyHow tells whether a tool into or through which something goes only says how: "press through a fine sieve", "pour in
// through a fork".
func (b *bindings) onlyHow(l link, t *larder.Technique, vessel string) bool {
	lang, n := b.r.lang, l.nouns[0]
	if t.Name == "pour" && lang.Tools[vessel] && b.passes(l) >= 0 {
		return true
	}
	return vessel != "" && (t.Family == "separate" || t.Family == "cut" || t.Joins == "" && t.Family != "assemble") && (lang.Tools[vessel] || lang.Tools[b.text.lastOf(n)] || lang.Through[b.text.low(l.from)])
}

// passes is where the words of a link say that something is passed through what it ties, "in through a fork"; -1 where they do not.
func (b *bindings) passes(l link) int {
	for i := l.from; i < l.nouns[0].from; i++ {
		if b.r.lang.Through[b.text.low(i)] {
			return i
		}
	}
	return -1
}

// offBody notes what something is taken off: a liquid that is skimmed, or a part of a body of which nothing else is known,
// "slide the fish off its skin".
func (b *bindings) offBody(n noun, t *larder.Technique, vessel string) {
	if t.Takes == "none" && b.r.lang.Liquors[n.head()] {
		b.skimmed(n)
	}
	if vessel == "" && b.r.lang.Fleshly[n.head()] {
		b.spoken(n, nil, nil)
	}
}
