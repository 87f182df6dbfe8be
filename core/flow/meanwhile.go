package flow

import (
	"yembra/core/language"
)

// alongside reads what is done meanwhile by a verb in -ing that no table knows.
func (b *body) alongside(i int) int {
	end := min(i+2, b.upto) // "piping hot"
	if b.mark(i+1, ",") {
		end = i + 1 // "pour it, sizzling, over the fish"
	}
	for ; end > i+1 && !b.lang.HeatWords[b.low(i+1)] && end < b.upto && !b.mark(end, ","); end++ {
	}
	b.how(i, end)
	return end
}

// addsMeanwhile takes in what goes in bit by bit while something is done, so that it is done with that: "knead while adding the
// stock a little at a time". It is 0 where nothing does.
func (b *body) addsMeanwhile(from, i int) int {
	lemma, n := b.verb(i, language.Going)
	if !b.is(from, b.lang.Whiles) || n == 0 {
		return 0
	}
	if t := b.technique(b.senseOf(lemma, i+n, b.upto).Technique); t == nil || t.Joins != "yes" {
		return 0
	}
	nouns, next := b.nouns(i + n)
	if len(nouns) == 0 || nouns[0].pronoun || !b.foods(nouns[0].head()) && b.text.titled(nouns[0].upto-len(nouns[0].words), nouns[0].upto) == 0 {
		return 0
	}
	b.clause.links = append(b.clause.links, link{role: "with", word: "with", nouns: nouns, from: from})
	return next
}
