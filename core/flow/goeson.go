package flow

// goesOn reads words without a verb by which the work before goes on, with another thing or at another heat.
func (p *parser) goesOn(i, upto int) int {
	last, c := p.lastClause(), &clause{from: i, repeats: true}
	switch {
	case last == nil:
		return i
	case p.coatsOnce(last, i):
		c.objects = last.objects
	case !p.atHeat(i):
		return i
	}
	b := body{parser: p, clause: c, upto: p.boundary(i, upto)}
	at := b.run(i)
	p.add(c, i, at)
	return at
}

// coatsOnce tells whether what was rubbed or brushed with one thing is at i with another: "rub the dish with
// the garlic, then with half the butter".
func (p *parser) coatsOnce(last *clause, i int) bool {
	t := p.technique(last.sense.Technique)
	return t != nil && t.Family == "coat" && p.is(i-1, p.lang.Sequence) && p.lang.Prepositions[p.low(i)] == "with" && p.opensThing(i+1)
}

// atHeat tells whether a second heat begins at i at which the work before goes on: ", then at 230C".
func (p *parser) atHeat(i int) bool {
	if !p.is(i-1, p.lang.Sequence) || p.lang.Prepositions[p.low(i)] != "at" {
		return false
	}
	_, _, ok := p.celsius(i + 1)
	return ok
}
