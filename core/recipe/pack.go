package recipe

import (
	"cmp"
	"strings"

	"yembra/core/language"
	"yembra/core/lex"
	"yembra/core/measure"
)

// bracketMass reads a mass stated for counted pieces in a bracket behind the
// name: "4 chicken breasts (about 1 1/2 pounds)".
func (q *quantity) bracketMass(words *language.Lines, bracket []lex.Token, sys measure.System) {
	if q.amount == nil || !countUnit(q.amount.Unit) || q.grams != nil || q.each != nil || q.ml != nil {
		return
	}
	c := cursorOver(words, bracket, sys)
	in := c.quantity()
	if in.amount == nil || measure.GramsOf(in.amount.Unit) == 0 {
		return
	}
	grams := in.amount.Span().Times(measure.GramsOf(in.amount.Unit))
	switch {
	case c.In(0, words.Each):
		q.each = &grams
	case c.At >= len(bracket) || c.In(0, words.Total) || c.Peek(0).Kind == lex.Mark, q.amount.Low == 1 && q.amount.High == 1:
		grams = grams.Plus(furtherMasses(words, bracket, sys))
		q.grams = &grams // of a single piece whatever stands behind: "(about 170 g white and brown meat)"
	}
}

// furtherMasses are the masses behind the words that tie more to a first: 100 g, of "50 g brown meat and 100 g white meat".
func furtherMasses(words *language.Lines, bracket []lex.Token, sys measure.System) (sum measure.Span) {
	for k := range bracket {
		if !words.And[strings.ToLower(bracket[k].Text)] {
			continue
		}
		c := cursorOver(words, bracket[k+1:], sys)
		if in := c.quantity(); in.amount != nil && measure.GramsOf(in.amount.Unit) > 0 {
			sum = sum.Plus(in.amount.Span().Times(measure.GramsOf(in.amount.Unit)))
		}
	}
	return sum
}

// crosses tells whether a sign of times is next.
func (c *cursor) crosses() bool {
	return c.In(0, c.words.Crosses) || c.Peek(0).Is("x") || c.Peek(0).Is("*")
}

// packsOf reads what each pack of a count holds of smaller packs, and counts those: 6, of "2 packs of 3 x 50 g", of "2 (3 x
// 80 g) packs" and of "3 boxes of 2 tins". The count itself stands where nothing is said of that.
func (c *cursor) packsOf(s measure.Span) measure.Span {
	start := c.At
	if c.Peek(0).Is("(") || c.Peek(0).Is("[") {
		c.At++
	} else if unit, ok := c.unit(); !ok || unit != measure.Can || !c.Skip(c.words.Of) {
		c.At = start
		return s
	}
	in, ok := c.Span()
	inner := c.At
	if ok && c.crosses() {
		_, ok = c.packSize()
	} else if ok {
		unit, is := c.unit()
		ok = is && unit == measure.Can && !c.Tokens[start].Is("(")
	}
	if !ok {
		c.At = start
		return s
	}
	c.At = inner
	return measure.Span{Low: s.Low * in.Low, High: s.High * in.High}
}

// packSize reads "x 400 g", "(14 ounce)", "400-g" or "14.5 ounce" when a
// container or end of bracket follows the figure before it.
func (c *cursor) packSize() (measure.Amount, bool) {
	start := c.At
	cross := c.crosses()
	bracket := c.Peek(0).Is("(") || c.Peek(0).Is("[")
	if cross || bracket {
		c.At++
	}
	c.Skip(c.words.Hedges)
	s, ok := c.Span()
	if ok && !cross && !bracket && c.Tokens[start].Kind != lex.Number {
		ok = false
	}
	if ok {
		hyphen := c.Peek(0).Is("-")
		if hyphen {
			c.At++
		}
		if unit, isUnit := c.unit(); isUnit && !countUnit(unit) {
			if bracket {
				if c.Peek(0).Is("/") || c.Peek(0).Is(",") {
					c.toBracketEnd()
				}
			}
			if (bracket || cross) && (c.Peek(0).Is(")") || c.Peek(0).Is("]")) {
				c.At++
			}
			if c.Peek(0).Is("/") || c.Peek(0).Is("(") {
				c.skipSecond()
			}
			container := c.containerAhead()
			if cross || container || hyphen && !bracket && measure.GramsOf(unit) > 0 && c.Peek(0).Kind == lex.Word {
				return measure.Amount{Low: s.Low, High: s.High, Unit: unit}, true
			}
		}
	}
	c.At = start
	return measure.Amount{}, false
}

// skipSecond passes "/ 14 oz" or "(14 oz)".
func (c *cursor) skipSecond() {
	mark := c.At
	bracket := c.Peek(0).Is("(")
	c.At++
	if _, ok := c.Span(); ok {
		if c.Peek(0).Is("-") {
			c.At++
		}
		if _, ok := c.unit(); ok {
			if bracket && c.Peek(0).Is(")") {
				c.At++
			}
			return
		}
	}
	c.At = mark
}

func (c *cursor) containerAhead() bool {
	n := 0
	for n < 2 && c.Peek(n).Kind == lex.Word {
		if u, ok := c.words.Unit(c.Peek(n).Text); ok && (u == measure.Can || u == measure.Block || u == measure.Piece || u == measure.Bunch) {
			return true
		}
		n++
	}
	return false
}

func (c *cursor) toBracketEnd() {
	for c.At < len(c.Tokens) && !c.Peek(0).Is(")") && !c.Peek(0).Is("]") {
		c.At++
	}
}

func (c *cursor) setEach(q *quantity, pack measure.Amount) {
	if g := measure.GramsOf(pack.Unit); g > 0 {
		each := pack.Span().Times(g)
		q.each = &each
	} else if ml := measure.MillilitresOf(pack.Unit, c.system); ml > 0 {
		each := pack.Span().Times(ml)
		q.ml = &each
	}
}

// plus adds a second measure of the same kind: "1 lb 2 oz", "1 cup plus 2 tbsp".
func (c *cursor) plus(q *quantity) {
	start := c.At
	said := c.Skip(c.words.Plus) || c.Peek(0).Is("+") || c.Peek(0).Is("&")
	if c.Peek(0).Is("+") || c.Peek(0).Is("&") || c.Peek(0).Is(",") && c.Peek(1).Kind == lex.Number {
		c.At++
	}
	s, ok := c.Span()
	if ok {
		if unit, isUnit := c.unit(); isUnit {
			have, add := unitSize(q.amount.Unit, c.system), unitSize(unit, c.system)
			sameKind := measure.GramsOf(unit) > 0 == (measure.GramsOf(q.amount.Unit) > 0)
			if have > 0 && add > 0 && sameKind && add < have && (said || measure.GramsOf(unit) > 0 || c.At > start) {
				q.amount.Low += s.Low * add / have
				q.amount.High += s.High * add / have
				return
			}
		}
	}
	c.At = start
}

func metric(u measure.Unit) bool {
	return u == measure.Gram || u == measure.Kilogram || u == measure.Milligram
}

func unitSize(u measure.Unit, sys measure.System) float64 {
	if g := measure.GramsOf(u); g > 0 {
		return g
	}
	return measure.MillilitresOf(u, sys)
}

// secondMeasure reads "(680 g)", "/ 9 oz", "[2 cups]" or "or 250 g" after an
// amount. Grams stated so are exact; other content of the bracket is left for
// the preparation.
func (c *cursor) secondMeasure(q *quantity) {
	for {
		start := c.At
		bracket := c.Peek(0).Is("(") || c.Peek(0).Is("[")
		if !bracket && !c.Peek(0).Is("/") && !c.Peek(0).Is("=") && !(c.In(0, c.words.Or) && c.Peek(1).Kind == lex.Number) {
			return
		}
		c.At++
		c.Skip(c.words.Hedges)
		for c.Peek(0).Is("~") || c.Peek(0).Is(".") {
			c.At++
		}
		s, ok := c.Span()
		if ok && c.Peek(0).Is("-") {
			c.At++
		}
		unit, isUnit := measure.Unit(""), false
		if ok {
			unit, isUnit = c.unit()
		}
		if !isUnit || countUnit(unit) {
			c.At = start
			return
		}
		each := c.In(0, c.words.Each)
		if g := measure.GramsOf(unit); g > 0 {
			grams := s.Times(g)
			switch {
			case each:
				q.each = &grams
			case measure.GramsOf(q.amount.Unit) > 0 && (unit != measure.Gram && unit != measure.Kilogram || metric(q.amount.Unit)):
				// both masses: the first stands unless only the second is metric
			case q.grams == nil || unit == measure.Gram || unit == measure.Kilogram:
				q.grams = &grams
			}
		} else if ml := measure.MillilitresOf(unit, cmp.Or(c.said, c.system)); ml > 0 && q.volume == nil {
			v := s.Times(ml)
			q.volume = &v
		}
		if bracket {
			for c.At < len(c.Tokens) && !c.Peek(0).Is(")") && !c.Peek(0).Is("]") {
				c.At++
			}
			c.At = min(c.At+1, len(c.Tokens)) // the bracket may never close
		}
	}
}
