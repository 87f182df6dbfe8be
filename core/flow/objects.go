package flow

import (
	"slices"

	"yembra/core/language"
	"yembra/core/larder"
)

// things reads a list of things, or what only looks like one and says how.
func (b *body) things(i int) int {
	nouns, at := b.nouns(i)
	if len(nouns) == 0 {
		return i + 1
	}
	if n := nouns[0]; b.is(n.upto-1, b.lang.Manner) && (n.amount[1] > 0 && len(n.words) > 0 && b.lang.Lines.Figures.Numbers[b.low(n.upto-1)] == 0) || (n.owner != nil && b.lang.Manner[n.head()] || len(n.words) > 1 && b.lang.Manner[n.words[0]] && b.lang.Prepositions[b.low(n.upto-2)] == "of") {
		b.how(i, at)
		return at // "three times"
	}
	if n := nouns[0]; n.little && n.pronoun && len(n.words) == 0 && len(nouns) == 1 && b.stopsAt(at) && !b.putsIn() {
		b.how(i, at)
		return at // "pound a little", "cool a bit"
	}
	if n := nouns[0]; len(b.clause.objects)+len(b.clause.links) > 0 && (n.little && n.pronoun && len(n.words) == 0 || b.lang.Places[b.low(n.upto-1)]) {
		b.how(i, at)
		return at
	}
	if n := nouns[0]; len(nouns) == 1 && (n.little || n.amount[1] > 0) && len(n.words) == 1 && b.lang.Comparatives[n.head()] {
		b.how(i, at)
		return at // "a bit larger"
	}
	if n := nouns[0]; len(nouns) == 1 && b.onlyDescribes(n) {
		b.how(i, at)
		return at // "squeeze dry"
	}
	if len(nouns) == 1 && b.givesIt(nouns[0], i) {
		b.how(i, at)
		return at // "give it a whack", "give the pan a shake"
	}
	if b.saysHowFar(nouns[0]) {
		b.how(i, at)
		return at // "a border 2 cm in from the edge", "slits 3 cm apart"
	}
	b.thing(nouns)
	return at
}

// givesIt tells whether a word for what is no food stands right behind what is worked on, with nothing between: it says how.
func (b *body) givesIt(n noun, i int) bool {
	o := b.clause.objects
	return len(o) > 0 && o[len(o)-1].upto == i && b.is(i, b.lang.Articles) && !b.is(i, b.lang.Definite) && !n.pronoun && len(n.words) > 0 && n.owner == nil && !b.foods(b.words[n.upto-1].norm) && !b.text.listed(n.head()) && !b.lang.Vessels[n.head()] && !b.lang.Products[n.head()]
}

// saysHowFar tells whether a length with no thing behind it says how far apart, wide or in something is that was named
// before.
func (b *body) saysHowFar(n noun) bool {
	return len(b.clause.objects)+len(b.clause.links) > 0 && n.amount[1] > 0 && b.lang.Lengths[b.low(n.amount[1]-1)] > 0 && !b.foods(b.words[n.upto-1].norm) && n.owner == nil
}

// stopsAt tells whether a clause goes on with no thing at i.
func (b *body) stopsAt(i int) bool {
	return b.ends(i, b.upto) || b.mark(i, ",") || b.conj(i) || b.is(i, b.lang.Until)
}

// putsIn tells whether the verb puts things into others, so that a little is some of a thing: "add a little".
func (b *body) putsIn() bool {
	t := b.technique(b.sense.Technique)
	return t == nil || t.Joins == "yes" || t.Joins != "" && len(b.clause.particles) > 0 || t.Family == "assemble" || t.Family == "separate"
}

// cuts tells whether the verb gives things a shape: "cut out 8 cm rounds".
func (b *body) cuts() bool {
	t := b.technique(b.sense.Technique)
	return t != nil && (t.Family == "cut" || t.Family == "dough" || t.Name == "pipe")
}

// byAdverb reads an adverb, which only says how, but for "all" right behind the verb: "put all back in the pan".
func (b *body) byAdverb(i int) int {
	if i == b.start+b.width && b.lang.Shares[b.low(i)] == 1 && b.is(i+1, b.lang.Particles) {
		b.thing([]noun{{from: i, upto: i + 1, all: true, pronoun: true}})
		return i + 1
	}
	b.how(i, i+1)
	return i + 1
}

// spreadOn takes in what a thing that is served is spread with, where a word before its name says so and nothing of that
// line has gone in: "serve with buttered bread".
func (b *bindings) spreadOn(n noun, r *roles) {
	if b.tech.Closes != larder.ClosesTable || n.pronoun {
		return
	}
	for i := n.from; i < n.upto-1; i++ {
		lemma, k := b.text.verb(i, language.Past)
		if k == 0 || !b.text.foods(lemma) {
			continue
		}
		matter := noun{from: i, upto: i + 1, words: larder.Words(lemma), pointed: true}
		for _, x := range b.direct(matter) {
			if b.leftOf(*x.portion) == 1 {
				b.refPortion(matter, *x.portion, r, &r.action.With)
				return
			}
		}
	}
}

// namesAfter keeps the words that name what comes of a thing that is worked on: "set aside the cooking water", "chill the broth".
func (b *bindings) namesAfter(n noun, r *roles, to bool) {
	lang := b.r.lang
	if r.liquor && b.tech.Name == reserveTechnique {
		r.names = append(r.names, n.head())
	}
	if !to || n.owner != nil {
		return
	}
	if lang.OfBatter[n.head()] {
		r.names = append(r.names, n.head()) // "cook 8 thin crêpes", of the batter
	}
	if (lang.ProductHolds[n.head()] != nil || lang.Products[n.head()] && n.plural && n.pointed && !lang.Shapes[n.head()]) && n.share == 0 && n.amount[1] == 0 {
		r.names = append(r.names, n.head())
	}
}

// ontoPlace tells whether an order is done to a place of something: "press down the middle of the pastry".
func (b *bindings) ontoPlace(c *clause) bool {
	return slices.ContainsFunc(c.links, func(l link) bool {
		return l.first && b.r.lang.Particles[l.word] && len(l.nouns) == 1 && l.nouns[0].owner != nil && b.r.lang.Places[l.nouns[0].head()]
	})
}
