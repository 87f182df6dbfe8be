package flow

import "yembra/core/larder"

// onlyHow tells whether a tool into or through which something goes only says how: "press through a fine sieve", "pour in
// through a fork".
func (b *bindings) onlyHow(l link, t *larder.Technique, vessel string) bool {
	lang, n := b.r.lang, l.nouns[0]
	if t.Name == "pour" && lang.Tools[vessel] && b.passes(l) {
		return true
	}
	return vessel != "" && (t.Family == "separate" || t.Family == "cut" || t.Joins == "" && t.Family != "assemble") && (lang.Tools[vessel] || lang.Tools[b.text.low(n.upto-1)] || lang.Through[b.text.low(l.from)])
}

// passes tells whether the words before what a link ties say that something is passed through it: "in through a fork".
func (b *bindings) passes(l link) bool {
	for i := l.from; i < l.nouns[0].from; i++ {
		if b.r.lang.Through[b.text.low(i)] {
			return true
		}
	}
	return false
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
