package flow

import "yembra/core/recipe"

// opensPhrase begins to note the words of one thing or list that hangs on a verb.
func (b *bindings) opensPhrase(role string, from int) {
	start, _ := b.text.span(from, from+1)
	b.phrases = append(b.phrases, recipe.Phrase{Role: role, From: start, Encloses: b.r.lang.Enclosing[b.text.low(from)]})
	b.phrase = &b.phrases[len(b.phrases)-1]
}

// spoken notes how the text names a thing and what that was found to mean.
func (b *bindings) spoken(n noun, found []referent, refs []recipe.Ref) {
	if b.phrase == nil || n.upto <= n.from { // "use to coat the chicken": with what, is not said
		return
	}
	out := recipe.Noun{Pronoun: n.pronoun, Plural: n.plural || b.text.counts(n), Measured: n.amount[1] > 0 || n.share > 0 && n.share < 1 || n.rest || n.little, Rest: n.rest, All: len(n.words) == 1 && b.r.lang.Whole[n.words[0]], Dealt: b.dealt(n) || b.coatsOne(n), Doled: b.doled(n)}
	upto := n.upto - n.bare
	if k := len(n.except); k > 0 {
		upto = n.except[k-1].upto
	}
	out.From, out.Upto = b.text.span(n.from, upto)
	from := b.nameFrom(n)
	if counted := n; n.amount[1] > from && n.amount[1] < upto && !b.wholeNameAt(from, n.upto) {
		counted.from = n.amount[1]
		from = b.nameFrom(counted) // "six cevapi"
	}
	if of := b.shapedOf(n, refs); of > 0 {
		mix := n
		mix.from = of
		from, out.Measured = b.nameFrom(mix), true
	}
	out.Name, _ = b.text.span(from, n.upto-n.bare)
	if n.behind[1] > 0 && (b.text.mark(n.behind[0], ",") || b.givenOff(n)) {
		from, _ := b.text.span(n.behind[0], n.behind[0]+1)
		_, upto := b.text.span(n.behind[1]-1, n.behind[1])
		out.Behind = [2]int{from, upto}
	}
	for _, x := range found {
		out.Vessel = out.Vessel || x.vessel != ""
	}
	out.Refs = append([]recipe.Ref{}, refs...)
	for i := range out.Refs {
		if out.Refs[i].Of == manyOf {
			out.Refs[i].Of = ""
		}
	}
	if len(refs) == 0 { // named before in the same breath
		for _, x := range found {
			switch {
			case x.portion != nil:
				ref := b.lines[x.portion.line].ref
				out.Refs = append(out.Refs, recipe.Ref{Line: &ref, Share: 1, Part: x.portion.part})
			case x.made != nil:
				id := x.made.id
				out.Refs = append(out.Refs, recipe.Ref{Made: &id, Share: 1})
			}
		}
	}
	b.phrase.Nouns = append(b.phrase.Nouns, out)
	b.phrase.Upto = out.Upto
	if b.givenOff(n) {
		b.phrase.Upto = out.Behind[1]
	}
}

// said notes where the text speaks of the parts of an action.
func (b *bindings) said(c *clause, a *recipe.Action) {
	place := func(words [2]int) (out [2]int) {
		if words[1] > words[0] {
			out[0], out[1] = b.text.span(words[0], words[1])
		}
		return out
	}
	a.Words = recipe.Words{Verb: place(c.verbAt), Time: place(c.clock), Heat: place(c.degrees), Cue: place(b.text.hedged(c.cue)), Signs: b.text.signs(c.cue), Vessel: place(b.vesselAt), Outcome: place(c.outcomeAt), Shape: place(c.shapeAt), Aim: place(c.aim()), Purpose: place(c.purpose())}
	for _, at := range c.particlesAt {
		a.Words.Particles = append(a.Words.Particles, place(at))
	}
	for _, at := range c.mannerAt {
		a.Words.Manners = append(a.Words.Manners, place(at))
	}
	for _, p := range b.phrases {
		if len(p.Nouns) > 0 {
			a.Words.Phrases = append(a.Words.Phrases, p)
		}
	}
	b.phrases, b.vesselAt = nil, [2]int{}
}

// apartInText tells whether more than a comma or a conjunction stands between two
// places.
func (b *bindings) apartInText(from, upto int) bool {
	for i := from; i < upto; i++ {
		if !b.text.joining(i) {
			return true
		}
	}
	return false
}

// aim is where the words stand that say before the verb what an order is for: "for the sauce".
func (c *clause) aim() [2]int {
	for _, l := range c.links {
		if l.role == "for" && l.from == c.from && l.from < c.verbAt[0] {
			return [2]int{l.from, l.nouns[len(l.nouns)-1].upto}
		}
	}
	return [2]int{}
}

// purpose is where the words stand that say behind the verb what an order is for: "to crisp the skin", "for medium-rare".
func (c *clause) purpose() [2]int {
	if c.purposeAt[1] > 0 || len(c.links) == 0 {
		return c.purposeAt
	}
	if l := c.links[len(c.links)-1]; l.role == "for" && l.from > c.verbAt[0] && len(l.nouns) > 0 {
		return [2]int{l.from, l.nouns[len(l.nouns)-1].upto}
	}
	return c.purposeAt
}

// givenOff tells whether it is said behind a noun that something gave it off: "the juices it has released".
func (b *bindings) givenOff(n noun) bool {
	return n.behind[1] > n.behind[0] && b.r.lang.Pronouns[b.text.low(n.behind[0])]
}

// shapedOf is where the words stand of which mix pieces are parted by hand, where a noun says into which: "small balls of the
// pork", that was worked with soy sauce; 0 elsewhere.
func (b *bindings) shapedOf(n noun, refs []recipe.Ref) int {
	if len(refs) != 1 || refs[0].Made == nil {
		return 0
	}
	if t := b.byID(*refs[0].Made); t == nil || len(t.holds) < 2 || t.heated || b.tech.Family != "dough" && b.tech.Joins != "yes" && b.tech.Name != placeTechnique && b.tech.Name != removeTechnique {
		return 0
	}
	for k := n.from + 1; k+1 < n.upto; k++ {
		if b.r.lang.Prepositions[b.text.low(k)] == "of" && b.r.lang.Shapes[b.text.low(k-1)] {
			return k + 1
		}
	}
	return 0
}
