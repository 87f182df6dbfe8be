package recipe

import (
	"strings"

	"yembra/core/lex"

	"yembra/core/measure"
)

// quantity is what stands before the name in an ingredient line.
type quantity struct {
	amount *measure.Amount
	size   string        // small, medium, large, thin
	each   *measure.Span // grams of one, when a pack size is given
	ml     *measure.Span // millilitres of one, when a pack volume is given
	grams  *measure.Span // grams stated outright beside the amount
	// volume stated outright beside a count, in ml: "1 cup (240 ml)".
	volume *measure.Span
	whose  measure.System // whose measure the line itself says it is: "1 US cup"
	inches float64        // length of a piece, for ginger and the like
	sole   bool           // the number is that length, of one piece
	toTake bool           // a vague "some" or "a little"
}

// quantity reads everything before the name.
func (c *cursor) quantity() quantity {
	var q quantity
	c.hedge(&q)
	start := c.At
	s, ok := c.Span()
	if !ok {
		c.withoutFigure(&q)
		return q
	}
	if few := c.In(0, c.words.Few); (few || c.In(0, c.words.Little)) && c.At == start+1 {
		c.At++
		c.Skip(c.words.Of)
		c.Skip(c.words.More)
		if few {
			s = measure.Span{Low: 3, High: 4}
		} else {
			q.toTake = true
			return q
		}
	}
	s = c.packsOf(s)
	// "2 x 400 g tins", "2 400-g tins", "2 (400 g) tins", "2 14-oz cans"
	if pack, ok := c.packSize(); ok {
		unit, _ := c.unit()
		if unit == "" {
			unit = measure.Piece
		}
		q.amount = &measure.Amount{Low: s.Low, High: s.High, Unit: unit}
		c.setEach(&q, pack)
		c.Skip(c.words.Of)
		return q
	}
	if !c.lengthPiece(&q) {
		c.hedge(&q)
	}
	if q.inches > 0 {
		q.amount = &measure.Amount{Low: s.Low, High: s.High, Unit: measure.Piece}
		c.Skip(c.words.Pieces)
		c.Skip(c.words.Of)
		return q
	}
	c.measured(&q, s)
	return q
}

// withoutFigure reads an amount that has no figure: "a pinch of", "some", "plenty of".
func (c *cursor) withoutFigure(q *quantity) {
	if unit, ok := c.bareUnit(); ok {
		q.amount = &measure.Amount{Low: 1, High: 1, Unit: unit}
		return
	}
	if c.Skip(c.words.Vague) || c.In(0, c.words.Plenty) {
		q.toTake = true
		c.Skip(c.words.Plenty)
		c.Skip(c.words.Of)
	}
}

// measured reads the unit behind a figure, and what else is said of the amount.
func (c *cursor) measured(q *quantity, s measure.Span) {
	before := c.At
	unit, ok := c.unit()
	if ok && c.endsLine() && countUnit(unit) {
		// "4 cloves": the word is the food, not a unit.
		c.At, ok = before, false
	}
	if !ok {
		unit = measure.Piece
	}
	if w := c.Words; ok && c.In(0, w.And) && c.In(1, w.One) && c.In(2, w.Halves) { // "2 cups and a half"
		more := w.Numbers[strings.ToLower(c.Peek(2).Text)]
		c.At += 3
		s = measure.Span{Low: s.Low + more, High: s.High + more}
	}
	q.amount = &measure.Amount{Low: s.Low, High: s.High, Unit: unit}
	q.whose = c.said
	if ok {
		c.plus(q)
	}
	c.secondMeasure(q)
	if ok && !countUnit(unit) {
		if u, container := c.words.Unit(c.Peek(0).Text); container && u == measure.Can && c.Peek(1).Kind == lex.Word {
			c.At++ // "12 oz package of silken tofu", "150 ml pot soured cream"
		}
	}
	c.Skip(c.words.Of)
	if ok && countUnit(unit) {
		c.hedgeSizeOnly(q)
	}
	if unit == measure.Can {
		q.each, q.grams = q.grams, nil // "2 tins (400 g)": the mass is of one
		q.ml, q.volume = q.volume, nil
	}
}

// bareUnit reads "pinch of", "small bunch of" or "handful parsley" without a number.
func (c *cursor) bareUnit() (measure.Unit, bool) {
	start := c.At
	said := strings.ToLower(c.Peek(0).Text)
	u, ok := c.unit()
	if ok && said == string(u) && loosely(u) && c.Peek(0).Kind == lex.Word && !c.In(0, c.words.Of) && !c.In(0, c.words.Each) {
		return u, true
	}
	each := ok && c.In(0, c.words.Each)
	if each {
		c.At++ // "a handful each of mint and dill", "handful each mint and dill"
	}
	if ok && (each || c.In(0, c.words.Of)) && (countUnit(u) || u == measure.Pinch || u == measure.Dash || u == measure.Glug || u == measure.Teaspoon) {
		c.Skip(c.words.Of)
		return u, true
	}
	c.At = start
	return "", false
}

// loosely tells whether a unit is one that no food goes by, so that it needs no number and no "of".
func loosely(u measure.Unit) bool {
	switch u {
	case measure.Pinch, measure.Dash, measure.Handful, measure.Bunch, measure.Sprig, measure.Knob, measure.Glug:
		return true
	}
	return false
}

func countUnit(u measure.Unit) bool {
	d, ok := measure.DimensionOf(u)
	return ok && d == measure.Count
}

func (c *cursor) hedge(q *quantity) {
	for {
		t := c.Peek(0)
		if t.Kind != lex.Word {
			if t.Is("~") || t.Is(".") || t.Is("≈") {
				c.At++
				continue
			}
			return
		}
		if size := c.words.Size(t.Text); size != "" {
			q.size = size
			c.At++
			continue
		}
		if c.In(0, c.words.Hedges) && !(c.In(0, c.words.Named) && !c.unitAhead()) {
			c.At++
			c.Skip(c.words.Hedged)
			continue
		}
		return
	}
}

func (c *cursor) hedgeSizeOnly(q *quantity) {
	for {
		size := c.words.Size(c.Peek(0).Text)
		if size == "" || q.size != "" {
			return
		}
		q.size = size
		c.At++
	}
}
