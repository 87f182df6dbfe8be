package flow

import (
	"yembra/core/language"
	"yembra/core/recipe"
)

// telling tells whether a sentence asks for nothing, and what it is then.
func (p *parser) telling(from, upto int) string {
	i := from
	for i < upto && (p.words[i].low == "" || p.lang.Connectors[p.low(i)] && !p.lang.Tells[p.low(i)] && !p.lang.Subjects[p.low(i)] && !(p.lang.Subordinators[p.low(i)] != "" && p.is(i+1, p.lang.Subjects))) { // "once they pop, add"
		i++
	}
	if i >= upto {
		return ""
	}
	if kind, n := p.phrase(i); kind == language.NoteOpener && (p.mark(i+n, ":") || !p.orders(i, true, false)) && (n > 1 || p.third(i) || p.is(i, p.lang.Tells)) {
		return recipe.Note
	}
	if p.is(i, p.lang.Cooks) && p.orders(i+1, false, false) && p.opensThing(i+2) || p.dinersTell(i) {
		return ""
	}
	if (p.is(i, p.lang.Tells) || p.is(i, p.lang.Subjects)) && (p.mark(i+1, ":") || !p.orders(i, true, false)) {
		if last := p.lastClause(); last != nil {
			last.lasts(p.text, i, upto)
		}
		return recipe.Remark
	}
	if p.third(i) && !p.foods(p.words[i].norm) && !p.lang.Products[p.low(i)] {
		return recipe.Note
	}
	return ""
}

// third tells whether a sentence opens with a verb that leaves out who does it:
// "Keeps for a month".
func (p *parser) third(i int) bool {
	_, n := p.verb(i, language.Third)
	return n > 0
}

// fronted reads what stands before the verb it belongs to: a place, a time, a
// heat, "for the sauce".
func (p *parser) fronted(i, upto int) (int, bool) {
	c, ok := p.time(i)
	if !ok && p.lang.Prepositions[p.low(i)] == "" {
		return i, false
	}
	if ok && p.is(c.upto, p.lang.Being) {
		return p.asideTo(i, p.boundary(i, upto), recipe.Remark), true // "overnight is fine"
	}
	if at := p.aim(i, upto); at > i {
		return at, true
	}
	if p.front == nil {
		p.front = &clause{from: i}
	}
	if ok {
		if !c.aside && p.front.minutes == nil {
			p.front.minutes, p.front.clock, p.front.per = &c.span, [2]int{i, c.upto}, c.per
		}
		at := c.upto
		if p.is(at, p.lang.TimeAfter) {
			at++
			if end := p.boundary(i, upto); p.opensThing(at) && p.runningUntil(at-1, end) < end {
				at = p.runningUntil(at-1, end) // "five minutes before the end scatter over the peas"
			}
		}
		return at, true
	}
	end := p.boundary(i, upto)
	b := body{parser: p, clause: p.front, upto: p.runningUntil(i, end), start: -1}
	if p.lang.Prepositions[p.low(i)] == "before" && p.goes(i+1) && b.joinsNext(i+1) {
		p.adding = true
		at := p.order(i+1, upto, false, language.Going)
		p.adding = false
		return at, true
	}
	at := b.link(i, false)
	if at < b.upto && b.upto < end {
		b.how(at, b.upto) // "in the fat left in the pan"
		return b.upto, true
	}
	if end := p.inOven(at, upto); end > at {
		return end, true
	}
	return at, true
}

// runningUntil is where what stands before an order without a comma ends: "with the motor running
// trickle in the oil", "in the fat left in the pan sizzle the spices".
func (p *parser) runningUntil(i, upto int) int {
	with := p.lang.Prepositions[p.low(i)] == "with"
	for k := i + 2; k < upto-1 && !p.mark(k, ","); k++ {
		if !p.orders(k, true, false) || p.opensThing(k) || p.opensThing(k-1) {
			continue
		}
		if with && p.looksGoing(k-1) || !with && (p.opensThing(k+1) || p.is(k+1, p.lang.Particles) && p.opensThing(k+2)) {
			return k
		}
	}
	return upto
}

// aim reads what the orders behind it are for: "To make the dumplings, mix the flour".
func (p *parser) aim(i, upto int) int {
	_, width := p.verb(i+1, language.Base)
	if !p.lang.Purpose[p.low(i)] || width == 0 || !p.opensThing(i+1+width) {
		return i
	}
	n, ok := p.noun(i+1+width, upto, true)
	if !ok || n.pronoun || !p.mark(n.upto, ",") || !p.orders(n.upto+1, true, false) {
		return i
	}
	if p.lang.Products[n.head()] || p.lang.Shapes[n.head()] {
		p.front = &clause{from: i, links: []link{{role: "for", nouns: []noun{n}, from: i}}}
		return n.upto + 1
	}
	return p.asideTo(i, n.upto, recipe.Remark)
}

// loose reads a thing that no order governs: the subject of a remark, a thing
// that the last verb is meant for again ("Then the cabbage: 5 minutes"), or
// words that nobody understands.
func (p *parser) loose(i, upto int) int {
	n, ok := p.noun(i, upto, true)
	if !ok {
		if p.leftover < 0 {
			p.leftover = i
		}
		return i + 1
	}
	if at := p.passive(i, upto, n); at > i {
		return at
	}
	if at := p.verbless(i, upto, n); at > i {
		return at
	}
	if p.lang.Modals[p.low(n.upto)] || p.third(n.upto) {
		return p.asideTo(i, upto, recipe.Remark)
	}
	if p.conj(i-1) && p.is(i-1, p.lang.Connectors) || p.is(i-1, p.lang.Sequence) && p.lastClause() != nil && p.listed(n.head()) || p.front != nil || p.lastClause() != nil && (p.ownTime(n, upto) && p.lastClause().minutes != nil || p.ownShape(n, upto) && p.lastClause().makes != "") {
		b := body{parser: p, clause: &clause{from: i, repeats: true}, upto: p.boundary(i, upto)}
		b.takeFront()
		at := b.run(i)
		p.add(b.clause, i, at)
		return at
	}
	if p.leftover < 0 {
		p.leftover = i
	}
	return n.upto
}

// ownTime tells whether a thing of a list has a time of its own: "the cabbage for 1
// minute".
func (p *parser) ownTime(n noun, upto int) bool {
	if n.upto+1 >= upto || p.lang.Prepositions[p.low(n.upto)] != "for" {
		return false
	}
	c, ok := p.time(n.upto + 1)
	return ok && !c.aside
}

// passive reads an order given as what the thing does: "the onions go into the
// pot". It returns i where there is none.
func (p *parser) passive(i, upto int, n noun) int {
	for _, form := range []language.Form{language.Base, language.Third} {
		lemma, width := p.verb(n.upto, form)
		if width == 0 || !p.lang.SelfGoing[lemma] {
			continue
		}
		c := &clause{lemma: lemma, from: i, objects: []noun{n}}
		b := body{parser: p, clause: c, upto: p.boundary(n.upto+width, upto), start: n.upto, width: width}
		if c.sense = p.senseOf(lemma, n.upto, b.upto); c.sense.Technique == "" || c.sense.Technique == language.NoWork {
			continue
		}
		b.takeFront()
		p.claim(i)
		p.brackets = nil
		at := b.run(n.upto + width)
		p.add(c, i, at)
		return at
	}
	return i
}

// inverted reads an order whose particle comes first: "In go the onions". It returns i
// where there is none.
func (p *parser) inverted(i, upto int) int {
	if !p.is(i, p.lang.Particles) {
		return i
	}
	for _, form := range []language.Form{language.Base, language.Third} {
		lemma, width := p.verb(i+1, form)
		if width == 0 || !p.lang.SelfGoing[lemma] {
			continue
		}
		c := &clause{lemma: lemma, from: i}
		b := body{parser: p, clause: c, upto: p.boundary(i+1+width, upto), start: i, width: 1 + width}
		if c.sense = p.senseOf(lemma, i, b.upto); c.sense.Technique == "" || c.sense.Technique == language.NoWork {
			continue
		}
		p.claim(i)
		p.brackets = nil
		at := b.run(i + 1 + width)
		p.add(c, i, at)
		return at
	}
	return i
}

func (p *parser) lastClause() *clause {
	for i := len(p.units) - 1; i >= 0; i-- {
		if p.units[i].clause != nil {
			return p.units[i].clause
		}
	}
	return nil
}

// servedBefore tells whether the order before brings the dish to the table.
func (p *parser) servedBefore() bool {
	last := p.lastClause()
	if last == nil {
		return false
	}
	t := p.technique(last.sense.Technique)
	return t != nil && t.Name == serveTechnique
}

// bringsToTable tells whether work in -ing puts a thing of the list with what is served: "topping each bowl with the ham", but not
// "tearing off the crust".
func (p *parser) bringsToTable(i, upto int) bool {
	lemma, n := p.verb(i, language.Going)
	if t := p.technique(p.senseOf(lemma, i+n, upto).Technique); n == 0 || t == nil || t.Joins != "yes" && !(t.Going && t.Family == "assemble") {
		return false
	}
	for k := i + n; k < upto && !p.mark(k, ","); k++ {
		if p.foods(p.words[k].norm) && p.listed(p.words[k].norm) {
			return true
		}
	}
	return false
}

// atTable reads what is done at the table as how something is served: "serve at once, tearing off the crust".
func (p *parser) atTable(from, upto int) int {
	last := p.lastClause()
	last.manner, last.mannerAt = append(last.manner, p.slice(from, upto)), append(last.mannerAt, [2]int{from, upto})
	last.upto = upto
	return upto
}

// bracketed reads a bracket between clauses.
func (p *parser) bracketed(i, upto int) int {
	end := i
	for end < upto && !p.mark(end, ")") {
		end++
	}
	p.inside(i+1, end)
	return end + 1
}

// inside reads what stands in brackets: a time or heat of the clause before,
// an order of its own, or a remark.
func (p *parser) inside(from, upto int) {
	if from >= upto {
		return
	}
	last := p.lastClause()
	if c, ok := p.time(from); ok && last != nil {
		if last.minutes == nil && !c.aside {
			last.minutes = &c.span
		}
		return
	}
	if v, _, ok := p.celsius(from); ok && last != nil {
		if last.temp == nil {
			last.temp = &v
		}
		return
	}
	if p.orders(from, true, false) && p.opensThing(from+1) {
		p.sentence(from, upto)
		return
	}
	p.units = append(p.units, unit{aside: recipe.Remark, from: from, upto: upto})
}
