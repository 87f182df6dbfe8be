package flow

import (
	"yembra/core/language"
)

// verbless reads an order that leaves out its verb: "Chicken in, 3 minutes", "Lid
// on". It returns i where there is none.
func (p *parser) verbless(i, upto int, n noun) int {
	all := []noun{n}
	lemma := p.lang.Verbless[p.low(n.upto)]
	if list, at := (&body{parser: p, clause: &clause{}, upto: upto, start: i}).nouns(i); lemma == "" && len(list) > 1 && p.lang.Verbless[p.low(at)] != "" {
		all, n.upto = list, at // "garlic, ginger, chillies in"
		lemma = p.lang.Verbless[p.low(at)]
	}
	switch {
	case p.besideDish(n, upto):
		lemma = p.lang.BesideVerb
	case lemma == "" || n.pronoun || !p.standsAlone(n.upto+1, upto):
		return i
	}
	c := &clause{lemma: lemma, from: i, objects: all}
	b := body{parser: p, clause: c, upto: p.boundary(n.upto+1, upto), start: n.upto, width: 0}
	if c.sense = p.senseOf(lemma, n.from, b.upto); c.sense.Technique == "" || c.sense.Technique == language.NoWork {
		return i
	}
	b.takeFront()
	p.claim(i)
	p.brackets = nil
	behind := n.upto
	if !p.is(behind, p.lang.Particles) && p.lang.Prepositions[p.low(behind)] == "" && p.lang.Verbless[p.low(behind)] != "" {
		behind++ // "tomatoes and wine next"
	}
	at := b.run(behind)
	p.add(c, i, max(at, behind))
	return max(at, behind)
}

// standsAlone tells whether no more than a place follows such words: "the rest of the cheese on top".
func (p *parser) standsAlone(i, upto int) bool {
	if p.is(i, p.lang.Places) {
		i++
	}
	return p.ends(i, upto) || p.mark(i, ",") || p.conj(i)
}

// besideDish tells whether a thing of the list stands where what goes with a dish does: "Pecorino on
// the table".
func (p *parser) besideDish(n noun, upto int) bool {
	return !n.pronoun && len(n.words) > 0 && p.listed(n.head()) && p.lang.Prepositions[p.low(n.upto)] != "" && p.is(n.upto+1, p.lang.Articles) && p.lang.Beside[p.low(n.upto+2)] && p.ends(n.upto+3, upto)
}

// inOven reads an order that says no more than where something goes for how long, in either order, and what it
// becomes there: "25 minutes in the oven till golden", "into the oven: 15 minutes". It returns at where there is none.
func (p *parser) inOven(at, upto int) int {
	f := p.front
	if f == nil {
		return at
	}
	lemma := ""
	for _, l := range f.links {
		if l.role == "in" || l.role == "into" {
			lemma = p.lang.VerblessIn[l.nouns[0].head()]
		}
	}
	from := at
	if f.minutes == nil && lemma != "" {
		if p.mark(at, ":,") || p.lang.Prepositions[p.low(at)] == "for" {
			from++
		}
		c, ok := p.time(from)
		if !ok || c.aside {
			return at
		}
		f.minutes, f.clock = &c.span, [2]int{from, c.upto}
		from = c.upto
	}
	if f.minutes == nil || lemma == "" || !p.is(from, p.lang.Until) && !p.ends(from, upto) && !p.mark(from, ",") {
		return at
	}
	c := &clause{lemma: lemma, from: f.from}
	b := body{parser: p, clause: c, upto: p.boundary(from, upto), start: from}
	if c.sense = p.senseOf(c.lemma, from, b.upto); c.sense.Technique == "" {
		return at
	}
	b.takeFront()
	end := max(b.run(from), from)
	p.add(c, c.from, end)
	return end
}

// heated reads an order that says no more than the heat of the oven and what follows
// from it: "200C, 25 minutes, until brown". It returns i where there is none.
func (p *parser) heated(i, upto int) int {
	if _, _, ok := p.celsius(i); !ok || p.lang.VerblessHeat == "" {
		return i
	}
	c := &clause{lemma: p.lang.VerblessHeat, from: i}
	b := body{parser: p, clause: c, upto: p.boundary(i, upto), start: i}
	if c.sense = p.senseOf(c.lemma, i, b.upto); c.sense.Technique == "" {
		return i
	}
	at := b.run(i)
	p.add(c, i, at)
	return at
}
