package flow

import (
	"slices"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// order reads an order that begins at i.
func (p *parser) order(i, upto int, parallel bool, form language.Form) int {
	lemma, n := p.verb(i, form)
	c := &clause{lemma: lemma, from: i, parallel: parallel, going: form == language.Going && !p.adding}
	b := body{parser: p, clause: c, upto: p.boundary(i+n, upto), start: i, width: n}
	if form == language.Base {
		b.takeFront()
	}
	if p.lang.Announcing[lemma] && p.mark(b.upto, ":") {
		return p.asideTo(i, b.upto, recipe.Note)
	}
	c.sense = p.senseOf(lemma, i, b.upto)

	b.lets(i + n)
	b.keepsOn(i + n)
	p.claim(c.from)
	p.brackets = nil
	at := p.setOut(c, b.run(i+n), upto)
	if p.announces(c, at, upto) {
		p.announced = c.objects
		return p.asideTo(i, at, recipe.Note)
	}
	if p.announced != nil && len(c.objects) == 1 && c.objects[0].pronoun && !c.objects[0].rest {
		c.objects = p.announced
	}
	p.announced = nil
	c.shares = len(c.objects)+len(c.links)+len(c.particles) == 0 && c.minutes == nil && c.cue[1] == 0 && at == i+n && p.conj(at)
	p.add(c, c.from, at)
	for _, in := range p.brackets {
		p.inside(in[0], in[1])
	}
	return at
}

// setOut reads what a list behind a colon says that the vessels before it are to hold: "set up three plates:
// flour, beaten egg and crumbs".
func (p *parser) setOut(c *clause, at, upto int) int {
	if !p.mark(at, ":") {
		return at
	}
	b := body{parser: p, clause: &clause{from: at + 1}, upto: upto}
	if p.orders(at+1, true, false) {
		if n, ok := p.noun(at+1, upto, true); !ok || len(n.words) == 0 || !b.oneOf(n.upto) {
			return at
		}
	}
	var on []noun
	switch {
	case len(c.objects) == 1 && len(c.links) == 0:
		on = c.objects
	case len(c.objects) == 0 && len(c.links) == 1 && len(c.links[0].nouns) == 1:
		on = c.links[0].nouns // "set up three plates"
	}
	t := p.technique(c.sense.Technique)
	plates := len(on) > 0 && p.lang.Receiving[larder.Singular(on[0].head())]
	layers := !plates && len(c.objects) == 0 && t != nil && t.Family == "assemble" && t.Closes != larder.ClosesTable
	if !plates && !layers {
		return at
	}
	var held []noun
	end := at
	for end == at || p.mark(end, ";,") {
		nouns, next := b.nouns(end + 1)
		if len(nouns) == 0 {
			break
		}
		held, end = append(held, nouns...), next
		if k := b.onOne(next); k > 0 {
			end = k // "flour on the first"
		}
	}
	if len(held) == 0 {
		return at
	}
	if c.objects = held; layers {
		return end // "layer up in a dish: half the aubergines, the mince, the rest of the aubergines"
	}
	c.links = []link{{role: "into", nouns: on, from: c.from}}
	return end
}

// inList tells whether a semicolon only parts the things of a list behind a colon: "three plates: flour;
// beaten egg; crumbs".
func (t *text) inList(i int) bool {
	for k := i - 1; k >= max(0, i-longestList) && !t.mark(k, ".!?"); k-- {
		if t.mark(k, ":") {
			return !t.orders(k+1, true, false) && !t.orders(i+1, true, false)
		}
	}
	return false
}

// longestList is how many words a list behind a colon has at most.
const longestList = 40

// announces tells whether an order only says what the orders behind its colon bring
// about: "Cook the rice: wash it, cover with water".
func (p *parser) announces(c *clause, at, upto int) bool {
	t := p.technique(c.sense.Technique)
	if t == nil || t.Heat == "" || len(c.objects) != 1 || len(c.links)+len(c.manner) > 0 || c.minutes != nil || c.cue[1] > 0 || !p.mark(at, ":") || !p.orders(at+1, true, false) {
		return false
	}
	lemma, _ := p.verb(at+1, language.Base)
	next := p.technique(p.senseOf(lemma, at+1, upto).Technique)
	return next != nil && (next.Family == "clean" || next.Family == "cut" || next.Family == "separate")
}

// add puts a clause among the units: what only says how joins the clause
// before, and what hangs on a condition is none.
func (p *parser) add(c *clause, from, upto int) {
	c.upto = upto
	if c.conditional {
		p.units = append(p.units, unit{aside: recipe.Condition, from: from, upto: upto})
		return
	}
	if c.going && p.opening && p.onlyHow(c) {
		if p.front == nil {
			p.front = &clause{from: from}
		}
		p.front.manner, p.front.mannerAt = append(p.front.manner, p.slice(from, upto)), append(p.front.mannerAt, [2]int{from, upto})
		return // "Working fast, pour the batter"
	}
	if last := p.lastClause(); c.going && last != nil {
		if tech := p.technique(c.sense.Technique); (tech == nil || tech.Going || tech.Joins == "yes" && c.onlyPronouns()) && !p.takesFood(c) && !p.movesOut(c, last) {
			end := upto
			if p.mark(c.verbAt[1], ",") && len(c.objects) == 0 && len(c.links) > 0 {
				end, last.links = c.verbAt[1], append(last.links, c.links...) // "pour it, sizzling, over the fish"
			}
			last.manner, last.mannerAt = append(last.manner, p.slice(from, end)), append(last.mannerAt, [2]int{from, end})
			if last.minutes == nil {
				last.minutes, last.clock = c.minutes, c.clock
			}
			if last.cue[1] == 0 {
				last.cue = c.cue
			}
			last.upto = upto
			return
		}
	}
	if last := p.lastClause(); last != nil && p.saidWithin(c, last, from) {
		at := [2]int{from, max(c.verbAt[1], from+1)}
		for p.is(at[1], p.lang.Particles) {
			at[1]++
		}
		last.manner, last.mannerAt = append(last.manner, p.slice(at[0], at[1])), append(last.mannerAt, at)
		last.minutes, last.clock, last.upto = c.minutes, c.clock, upto
		if last.cue[1] == 0 {
			last.cue = c.cue
		}
		p.units[len(p.units)-1].upto = upto
		return
	}
	p.units = append(p.units, unit{clause: c, from: from, upto: upto})
}

// saidWithin tells whether words that only cover the pot stand between a cooking and its time: "stew, lid
// on, for 45 minutes".
func (p *parser) saidWithin(c, last *clause, from int) bool {
	cooks, t := p.technique(last.sense.Technique), p.technique(c.sense.Technique)
	if cooks == nil || cooks.Heat == "" || last.minutes != nil || last.upto < from-1 || !p.mark(from-1, ",") || p.units[len(p.units)-1].clause != last {
		return false
	}
	return t != nil && t.Name == coverTechnique && c.minutes != nil && len(c.objects)+len(c.links) == 0
}

// coverTechnique puts a lid on.
const coverTechnique = "cover"

// movesOut tells whether a clause that says how something is fried takes it out of its pan: "transferring each
// batch to a bowl".
func (p *parser) movesOut(c, last *clause) bool {
	t, cooks := p.technique(c.sense.Technique), p.technique(last.sense.Technique)
	return t != nil && t.Name == placeTechnique && cooks != nil && cooks.Heat != "" && len(c.objects) > 0 && slices.ContainsFunc(c.links, func(l link) bool {
		return l.role == "into" && (p.lang.Receiving[l.nouns[0].head()] || p.lang.Holding[l.nouns[0].head()])
	})
}

// onlyHow tells whether a clause says nothing but a manner.
func (p *parser) onlyHow(c *clause) bool {
	return len(c.objects)+len(c.links)+len(c.particles) == 0 && c.minutes == nil && c.cue[1] == 0
}

// onlyPronouns tells whether a clause moves around only what is in hand: "spooning it
// over".
func (c *clause) onlyPronouns() bool {
	return len(c.objects) > 0 && len(c.links) == 0 && c.minutes == nil && !slices.ContainsFunc(c.objects, func(n noun) bool { return !n.pronoun })
}

// takesFood tells whether a clause that says how something is done takes in a
// food: "brushing each sheet with butter" is work of its own.
func (p *parser) takesFood(c *clause) bool {
	for _, l := range c.links {
		if l.role == "with" && len(l.nouns) > 0 && len(l.nouns[0].words) > 0 && p.listed(l.nouns[0].head()) {
			return true
		}
	}
	t := p.technique(c.sense.Technique)
	return t != nil && t.Joins == "yes" && slices.ContainsFunc(c.objects, func(n noun) bool { return !n.pronoun && len(n.words) > 0 && p.listed(n.head()) }) // "sprinkling salt and flour between the layers"
}
