package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// heat reads "over a low heat", "on medium", "under the grill" from the word
// after the preposition; it returns what heat is meant.
func (t *text) heat(i int) (said string, upto int, ok bool) {
	at := i
	for t.is(at, t.lang.Articles) {
		at++
	}
	var words []string
	for t.lang.HeatWords[t.low(at)] || t.adverb(at) && t.lang.HeatWords[t.low(at+1)] {
		words = append(words, t.low(at))
		at++
		if t.mark(at, "-") || t.lang.Conjunctions[t.low(at)] && t.lang.HeatWords[t.low(at+1)] {
			at++
		}
	}
	if t.lang.Heats[t.low(at)] {
		if len(words) == 0 {
			return t.low(at), at + 1, true
		}
		return strings.Join(words, " "), at + 1, true
	}
	if len(words) > 0 && (t.ends(at, len(t.words)) || t.mark(at, ",") || t.lang.Prepositions[t.low(at)] != "" || t.lang.Until[t.low(at)] || t.lang.Conjunctions[t.low(at)]) {
		return strings.Join(words, " "), at, true
	}
	return "", i, false
}

// howFar is where what begins at i ends, and says how far flesh is cooked: "for medium", "for medium-rare"; 0 where it says
// nothing like it.
func (b *body) howFar(i int) int {
	if b.lang.Prepositions[b.low(i)] != "for" {
		return 0
	}
	at, far := i+1, false
	for at < b.upto && (b.lang.DoneFar[b.low(at)] || b.mark(at, "-") && far) {
		at, far = at+1, true
	}
	if !far || !b.ends(at, b.upto) && !b.mark(at, ",(") && !b.conj(at) {
		return 0
	}
	next := at
	for next < b.upto && (b.mark(next, ",") || b.conj(next) || b.lang.Lines.Or[b.low(next)]) {
		next++
	}
	if c, ok := b.time(next); ok {
		next = c.upto
	}
	for next < b.upto && (b.adverb(next) || b.number(next)) {
		next++
	}
	if more := b.howFar(next); more > 0 {
		return more // "for medium-rare, or 5 minutes for well done"
	}
	return at
}

// saysHotFat tells whether the words of an action speak of hot fat, listed or
// not: "slide them into smoking oil".
func (t *tracer) saysHotFat(at recipe.StepAt, a *recipe.Action) bool {
	speaks := func(said string) bool {
		return slices.ContainsFunc(t.larder.Language().HotFats, func(p string) bool { return strings.Contains(said, p) })
	}
	text := t.dish.Components[at.Component].Steps[at.Step].Text
	if !t.hot.known || t.hot.at != at {
		t.hot.at, t.hot.known, t.hot.says = at, true, speaks(strings.ToLower(text))
	}
	if said := speaks(Said(a)); said || !t.hot.says {
		return said
	}
	runes := []rune(text)
	return a.From >= 0 && a.From < a.Upto && a.Upto <= len(runes) && speaks(strings.ToLower(string(runes[a.From:a.Upto])))
}

// inOvenJustHeated tells whether something cooks in the oven that the order before has heated: "heat the oven to 220C and cook for 25
// minutes".
func (b *bindings) inOvenJustHeated(c *clause, a *recipe.Action) bool {
	if a.Technique != cookTechnique || b.last == nil || b.last.Technique != preheatTechnique || b.last.Celsius == nil || len(c.links) > 0 {
		return false
	}
	step := a.ID[:strings.LastIndexByte(a.ID, '.')+1]
	return strings.HasPrefix(b.last.ID, step) && !slices.ContainsFunc(c.objects, func(n noun) bool { return !n.pronoun })
}

// techniqueOf is the way of working of an action, by its name alone where the table has none.
func (b *bindings) techniqueOf(c *clause, a *recipe.Action) *larder.Technique {
	if b.inOvenJustHeated(c, a) {
		a.Technique = bakeTechnique
	}
	if t := b.r.larder.Technique(a.Technique); t != nil {
		return t
	}
	return &larder.Technique{Name: a.Technique}
}

// bakeTechnique heats in an oven, which preheatTechnique heats.
const (
	bakeTechnique    = "bake"
	preheatTechnique = "preheat"
)
