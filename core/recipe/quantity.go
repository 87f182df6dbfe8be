package recipe

import (
	"strings"
	"yembra/core/lex"

	"yembra/core/measure"
)

// quantity is what stands before the name in an ingredient line.
type quantity struct {
	amount *measure.Amount
	size   string        // small, medium, large
	each   *measure.Span // grams of one, when a pack size is given
	ml     *measure.Span // millilitres of one, when a pack volume is given
	grams  *measure.Span // grams stated outright beside the amount
	// volume stated outright beside a count, in ml: "1 cup (240 ml)".
	volume *measure.Span
	inches float64 // length of a piece, for ginger and the like
	toTake bool    // a vague "some" or "a little"
}

// hedges stand before or between amounts without changing them.
var hedges = []string{
	"about", "approximately", "approx", "around", "roughly", "circa", "ca", "scant", "heaped", "heaping", "generous", "good", "level",
	"rounded", "packed", "firmly", "lightly", "loosely", "brimming", "full", "overflowing", "nearly", "almost", "say", "up", "big", "fat",
	"healthy", "hefty", "well", "short", "slightly", "just", "over", "under", "fresh", "tightly", "further", "extra", "very", "decent", "hearty",
}

var sizes = map[string]string{
	"small": "small", "smallish": "small", "little": "small", "medium": "medium", "med": "medium", "medium-sized": "medium", "medium-size": "medium",
	"large": "large", "big": "large", "lg": "large", "jumbo": "large", "extra-large": "large", "xl": "large", "fat": "large", "largish": "large",
	"small-sized": "small", "large-sized": "large", "good-sized": "large", "small-to-medium": "medium", "average": "medium", "tiny": "small", "huge": "large",
}

// quantity reads everything before the name.
func (c *cursor) quantity() quantity {
	var q quantity
	c.hedge(&q)
	start := c.At
	s, ok := c.Span()
	if !ok {
		if unit, ok := c.bareUnit(); ok {
			q.amount = &measure.Amount{Low: 1, High: 1, Unit: unit}
			return q
		}
		if c.SkipWords("some", "few") || c.WordIs(0, "plenty") {
			q.toTake = true
			c.SkipWords("plenty", "of")
		}
		return q
	}
	if c.WordIs(0, "few", "little", "bit", "touch", "lot", "some") && c.At == start+1 {
		few := c.WordIs(0, "few")
		c.At++
		c.SkipWords("of", "more")
		if few {
			s = measure.Span{Low: 3, High: 4}
		} else {
			q.toTake = true
			return q
		}
	}
	// "2 x 400 g tins", "2 400-g tins", "2 (400 g) tins", "2 14-oz cans"
	if pack, ok := c.packSize(); ok {
		unit, _ := c.unit()
		if unit == "" {
			unit = measure.Piece
		}
		q.amount = &measure.Amount{Low: s.Low, High: s.High, Unit: unit}
		c.setEach(&q, pack)
		c.SkipWords("of")
		return q
	}
	if !c.lengthPiece(&q) {
		c.hedge(&q)
	}
	if q.inches > 0 {
		q.amount = &measure.Amount{Low: s.Low, High: s.High, Unit: measure.Piece}
		c.SkipWords("piece", "pieces", "knob", "chunk", "length", "lump", "stick", "slice", "strip", "thumb", "nub", "of", "long", "cube", "section", "strips", "sticks")
		c.SkipWords("of")
		return q
	}
	before := c.At
	unit, ok := c.unit()
	if ok && c.endsLine() && countUnit(unit) {
		// "4 cloves": the word is the food, not a unit.
		c.At, ok = before, false
	}
	if !ok {
		unit = measure.Piece
	}
	if ok && c.WordIs(0, "and") && c.WordIs(1, "a") && c.WordIs(2, "half") {
		c.At += 3
		s = measure.Span{Low: s.Low + 0.5, High: s.High + 0.5}
	}
	q.amount = &measure.Amount{Low: s.Low, High: s.High, Unit: unit}
	if ok {
		c.plus(&q)
		c.secondMeasure(&q)
	} else {
		c.secondMeasure(&q)
	}
	if ok && !countUnit(unit) {
		if u, container := measure.ParseUnit(c.Peek(0).Text); container && u == measure.Can && c.Peek(1).Kind == lex.Word {
			c.At++ // "12 oz package of silken tofu", "150 ml pot soured cream"
		}
	}
	c.SkipWords("of")
	if ok && countUnit(unit) {
		c.hedgeSizeOnly(&q)
	}
	if unit == measure.Can {
		q.each, q.grams = q.grams, nil // "2 tins (400 g)": the mass is of one
		q.ml, q.volume = q.volume, nil
	}
	return q
}

// bareUnit reads "pinch of", "small bunch of" or "knob of" without a number.
func (c *cursor) bareUnit() (measure.Unit, bool) {
	start := c.At
	u, ok := c.unit()
	if ok && c.WordIs(0, "of") && (countUnit(u) || u == measure.Pinch || u == measure.Dash || u == measure.Glug) {
		c.At++
		return u, true
	}
	c.At = start
	return "", false
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
		if size, ok := sizes[strings.ToLower(t.Text)]; ok {
			q.size = size
			c.At++
			continue
		}
		if c.WordIs(0, hedges...) && !(c.WordIs(0, "good", "extra", "fresh") && !c.unitAhead()) {
			c.At++
			c.SkipWords("to")
			continue
		}
		return
	}
}

func (c *cursor) hedgeSizeOnly(q *quantity) {
	for {
		size, ok := sizes[strings.ToLower(c.Peek(0).Text)]
		if !ok || q.size != "" {
			return
		}
		q.size = size
		c.At++
	}
}
