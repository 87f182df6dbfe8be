package recipe

import (
	"strings"

	"yembra/core/measure"
)

var lengthInches = map[string]float64{"inch": 1, "in": 1, "inches": 1, "cm": 0.394, "centimetre": 0.394, "centimeter": 0.394, "mm": 0.0394}

// bracketMass reads a mass stated for counted pieces in a bracket behind the
// name: "4 chicken breasts (about 1 1/2 pounds)".
func (q *quantity) bracketMass(bracket []token, sys measure.System) {
	if q.amount == nil || !countUnit(q.amount.Unit) || q.grams != nil || q.each != nil || q.ml != nil {
		return
	}
	c := &cursor{tokens: bracket, system: sys}
	in := c.quantity()
	if in.amount == nil || measure.GramsOf(in.amount.Unit) == 0 {
		return
	}
	grams := in.amount.Span().Times(measure.GramsOf(in.amount.Unit))
	switch {
	case c.wordIs(0, "each", "apiece"):
		q.each = &grams
	case c.at >= len(bracket) || c.wordIs(0, "total", "in", "altogether") || c.peek(0).kind == markToken:
		q.grams = &grams
	}
}

// packSize reads "x 400 g", "(14 ounce)", "400-g" or "14.5 ounce" when a
// container or end of bracket follows the figure before it.
func (c *cursor) packSize() (measure.Amount, bool) {
	start := c.at
	cross := c.wordIs(0, "x") || c.peek(0).is("x") || c.peek(0).is("*")
	bracket := c.peek(0).is("(") || c.peek(0).is("[")
	if cross || bracket {
		c.at++
	}
	c.skipWords(hedges...)
	s, ok := c.span()
	if ok && !cross && !bracket && c.tokens[start].kind != numberToken {
		ok = false
	}
	if ok {
		hyphen := c.peek(0).is("-")
		if hyphen {
			c.at++
		}
		if unit, isUnit := c.unit(); isUnit && !countUnit(unit) {
			if bracket {
				if c.peek(0).is("/") || c.peek(0).is(",") {
					c.toBracketEnd()
				}
				if c.peek(0).is(")") || c.peek(0).is("]") {
					c.at++
				}
			}
			if c.peek(0).is("/") || c.peek(0).is("(") {
				c.skipSecond()
			}
			container := c.containerAhead()
			if cross || container || hyphen && !bracket && measure.GramsOf(unit) > 0 && c.peek(0).kind == wordToken {
				return measure.Amount{Low: s.Low, High: s.High, Unit: unit}, true
			}
		}
	}
	c.at = start
	return measure.Amount{}, false
}

// skipSecond passes "/ 14 oz" or "(14 oz)".
func (c *cursor) skipSecond() {
	mark := c.at
	bracket := c.peek(0).is("(")
	c.at++
	if _, ok := c.span(); ok {
		if c.peek(0).is("-") {
			c.at++
		}
		if _, ok := c.unit(); ok {
			if bracket && c.peek(0).is(")") {
				c.at++
			}
			return
		}
	}
	c.at = mark
}

func (c *cursor) containerAhead() bool {
	n := 0
	for n < 2 && c.peek(n).kind == wordToken {
		if u, ok := measure.ParseUnit(c.peek(n).text); ok && (u == measure.Can || u == measure.Block || u == measure.Piece || u == measure.Bunch) {
			return true
		}
		n++
	}
	return false
}

func (c *cursor) toBracketEnd() {
	for c.at < len(c.tokens) && !c.peek(0).is(")") && !c.peek(0).is("]") {
		c.at++
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

// lengthPiece reads "-inch", "cm", "2.5 cm / 1 inch" after a number; the number
// is then the length of one piece.
func (c *cursor) lengthPiece(q *quantity) bool {
	n := 0
	if c.peek(0).is("-") || c.peek(0).is("(") {
		n = 1
	}
	if c.peek(n).is(`"`) || c.peek(n).is("”") {
		q.inches = c.tokens[c.at-1].value
		c.at += n + 1
		return true
	}
	inch, ok := lengthInches[strings.ToLower(c.peek(n).text)]
	value := 0.0
	if ok && c.at > 0 {
		value = c.tokens[c.at-1].value
	}
	// "1 2-inch piece", "1 (3-inch) piece"
	if !ok && c.peek(n).kind == numberToken {
		m := n + 1
		if c.peek(m).is("-") {
			m++
		}
		if inch, ok = lengthInches[strings.ToLower(c.peek(m).text)]; ok {
			value = c.peek(n).value
			n = m
		}
	}
	if !ok || strings.ToLower(c.peek(n).text) == "in" && c.peek(n).kind == wordToken && !c.peek(n).glued && !c.peek(n-1).is("-") {
		return false
	}
	c.at += n + 1
	c.skipDot()
	if c.peek(0).is(")") {
		c.at++
	}
	if c.peek(0).is("/") || c.peek(0).is("(") {
		mark := c.at
		c.at++
		if c.peek(0).kind == numberToken {
			c.at++
			if c.peek(0).is("-") {
				c.at++
			}
			if _, ok := lengthInches[strings.ToLower(c.peek(0).text)]; ok {
				c.at++
				if c.peek(0).is(")") {
					c.at++
				}
			} else {
				c.at = mark
			}
		} else {
			c.at = mark
		}
	}
	q.inches = value * inch
	return true
}

// plus adds a second measure of the same kind: "1 lb 2 oz", "1 cup plus 2 tbsp".
func (c *cursor) plus(q *quantity) {
	start := c.at
	said := c.skipWords("plus", "and") || c.peek(0).is("+") || c.peek(0).is("&")
	if c.peek(0).is("+") || c.peek(0).is("&") || c.peek(0).is(",") && c.peek(1).kind == numberToken {
		c.at++
	}
	s, ok := c.span()
	if ok {
		if unit, isUnit := c.unit(); isUnit {
			have, add := unitSize(q.amount.Unit, c.system), unitSize(unit, c.system)
			sameKind := measure.GramsOf(unit) > 0 == (measure.GramsOf(q.amount.Unit) > 0)
			if have > 0 && add > 0 && sameKind && add < have && (said || measure.GramsOf(unit) > 0 || c.at > start) {
				q.amount.Low += s.Low * add / have
				q.amount.High += s.High * add / have
				return
			}
		}
	}
	c.at = start
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
		start := c.at
		bracket := c.peek(0).is("(") || c.peek(0).is("[")
		if !bracket && !c.peek(0).is("/") && !c.peek(0).is("=") && !(c.wordIs(0, "or") && c.peek(1).kind == numberToken) {
			return
		}
		c.at++
		c.skipWords(hedges...)
		for c.peek(0).is("~") || c.peek(0).is(".") {
			c.at++
		}
		s, ok := c.span()
		if ok && c.peek(0).is("-") {
			c.at++
		}
		unit, isUnit := measure.Unit(""), false
		if ok {
			unit, isUnit = c.unit()
		}
		if !isUnit || countUnit(unit) {
			c.at = start
			return
		}
		each := c.wordIs(0, "each")
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
		} else if ml := measure.MillilitresOf(unit, c.system); ml > 0 && q.volume == nil {
			v := s.Times(ml)
			q.volume = &v
		}
		if bracket {
			for c.at < len(c.tokens) && !c.peek(0).is(")") && !c.peek(0).is("]") {
				c.at++
			}
			c.at = min(c.at+1, len(c.tokens)) // the bracket may never close
		}
	}
}
