package recipe

import (
	"strings"

	"yembra/core/larder"
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

// cursor walks over the tokens of one line.
type cursor struct {
	tokens []token
	at     int
	system measure.System
}

func (c *cursor) peek(n int) token {
	if c.at+n < len(c.tokens) {
		return c.tokens[c.at+n]
	}
	return token{kind: markToken}
}

func (c *cursor) wordIs(n int, words ...string) bool {
	t := c.peek(n)
	if t.kind != wordToken {
		return false
	}
	for _, w := range words {
		if strings.EqualFold(t.text, w) {
			return true
		}
	}
	return false
}

// skipWords passes any of the words, at most mostSkipped of them.
func (c *cursor) skipWords(words ...string) bool {
	skipped := 0
	for skipped < mostSkipped && c.wordIs(0, words...) {
		c.at++
		skipped++
	}
	return skipped > 0
}

const mostSkipped = 6

// number reads a figure or number word: "2", "one", "half a", "a dozen",
// "a couple of", "a" before a unit or size.
func (c *cursor) number() (float64, bool) {
	t := c.peek(0)
	if t.kind == numberToken {
		c.at++
		v := t.value
		if c.wordIs(0, "dozen") {
			c.at++
			v *= 12
		}
		return v, true
	}
	if t.kind != wordToken {
		return 0, false
	}
	word := strings.ToLower(t.text)
	if v, ok := numberWords[word]; ok {
		c.at++
		c.skipWords("a", "an", "of")
		if v < 1 && c.wordIs(0, "dozen") {
			c.at++
			return v * 12, true
		}
		if c.wordIs(0, "dozen") {
			c.at++
			v *= 12
		}
		if c.wordIs(0, "and") && (c.wordIs(1, "a", "one")) && c.wordIs(2, "half") {
			c.at += 3
			v += 0.5
		}
		return v, true
	}
	if word == "a" || word == "an" || word == "another" {
		next := strings.ToLower(c.peek(1).text)
		if v, ok := numberWords[next]; ok {
			c.at += 2
			c.skipWords("a", "an", "of")
			return v, true
		}
		c.at++
		return 1, true
	}
	return 0, false
}

// span reads a number or a range: "2-3", "2 to 3", "one or two", "between 2
// and 3". The second figure must not be smaller.
func (c *cursor) span() (measure.Span, bool) {
	between := c.skipWords("between", "from")
	low, ok := c.number()
	if !ok {
		return measure.Span{}, false
	}
	start := c.at
	joined := false
	switch {
	case c.peek(0).is("-") || c.peek(0).is("~"):
		c.at++
		joined = true
	case c.wordIs(0, "to", "or"), between && c.wordIs(0, "and"):
		c.at++
		joined = true
	}
	if joined && (c.peek(0).kind == numberToken || numberWords[strings.ToLower(c.peek(0).text)] > 0) {
		if high, ok := c.number(); ok && high > low {
			return measure.Span{Low: low, High: high}, true
		}
	}
	c.at = start
	return measure.Exactly(low), true
}

// unit reads a unit word, with what may stand around it ("heaped tbsp of").
func (c *cursor) unit() (measure.Unit, bool) {
	t := c.peek(0)
	if t.kind != wordToken {
		return "", false
	}
	if c.wordIs(0, "fl", "fluid") && c.peek(1).kind == wordToken || c.wordIs(0, "fl") && c.peek(1).is(".") {
		n := 1
		if c.peek(1).is(".") {
			n = 2
		}
		if u, ok := measure.ParseUnit(c.peek(n).text); ok && u == measure.Ounce {
			c.at += n + 1
			c.skipDot()
			return measure.FluidOunce, true
		}
	}
	if c.wordIs(0, "floz") {
		c.at++
		return measure.FluidOunce, true
	}
	u, ok := measure.ParseUnit(t.text)
	if !ok {
		// "thumb-sized piece", "heaped-tablespoon"
		if head, _, cut := strings.Cut(t.text, "-"); cut {
			if u, ok = measure.ParseUnit(head); ok && (u == measure.Thumb || u == measure.Knob) {
				c.at++
				c.skipWords("piece", "pieces", "knob", "chunk", "lump")
				return u, true
			}
		}
		return "", false
	}
	c.at++
	c.skipDot()
	if u == measure.Thumb || u == measure.Knob {
		c.skipWords("size", "sized", "piece", "chunk", "lump", "length")
	}
	return u, true
}

func (c *cursor) skipDot() {
	if c.peek(0).is(".") && c.peek(0).glued {
		c.at++
	}
}

var lengthInches = map[string]float64{"inch": 1, "in": 1, "inches": 1, "cm": 0.394, "centimetre": 0.394, "centimeter": 0.394, "mm": 0.0394}

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
	start := c.at
	s, ok := c.span()
	if !ok {
		if unit, ok := c.bareUnit(); ok {
			q.amount = &measure.Amount{Low: 1, High: 1, Unit: unit}
			return q
		}
		if c.skipWords("some", "few") || c.wordIs(0, "plenty") {
			q.toTake = true
			c.skipWords("plenty", "of")
		}
		return q
	}
	if c.wordIs(0, "few", "little", "bit", "touch", "lot", "some") && c.at == start+1 {
		few := c.wordIs(0, "few")
		c.at++
		c.skipWords("of", "more")
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
		c.skipWords("of")
		return q
	}
	if !c.lengthPiece(&q) {
		c.hedge(&q)
	}
	if q.inches > 0 {
		q.amount = &measure.Amount{Low: s.Low, High: s.High, Unit: measure.Piece}
		c.skipWords("piece", "pieces", "knob", "chunk", "length", "lump", "stick", "slice", "strip", "thumb", "nub", "of", "long", "cube", "section", "strips", "sticks")
		c.skipWords("of")
		return q
	}
	before := c.at
	unit, ok := c.unit()
	if ok && c.endsLine() && countUnit(unit) {
		// "4 cloves": the word is the food, not a unit.
		c.at, ok = before, false
	}
	if !ok {
		unit = measure.Piece
	}
	if ok && c.wordIs(0, "and") && c.wordIs(1, "a") && c.wordIs(2, "half") {
		c.at += 3
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
		if u, container := measure.ParseUnit(c.peek(0).text); container && u == measure.Can && c.peek(1).kind == wordToken {
			c.at++ // "12 oz package of silken tofu", "150 ml pot soured cream"
		}
	}
	c.skipWords("of")
	if ok && countUnit(unit) {
		c.hedgeSizeOnly(&q)
	}
	if unit == measure.Can {
		q.each, q.grams = q.grams, nil // "2 tins (400 g)": the mass is of one
		q.ml, q.volume = q.volume, nil
	}
	return q
}

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

// bareUnit reads "pinch of", "small bunch of" or "knob of" without a number.
func (c *cursor) bareUnit() (measure.Unit, bool) {
	start := c.at
	u, ok := c.unit()
	if ok && c.wordIs(0, "of") && (countUnit(u) || u == measure.Pinch || u == measure.Dash || u == measure.Glug) {
		c.at++
		return u, true
	}
	c.at = start
	return "", false
}

func countUnit(u measure.Unit) bool {
	d, ok := measure.DimensionOf(u)
	return ok && d == measure.Count
}

func (c *cursor) endsLine() bool {
	t := c.peek(0)
	if t.is("(") {
		for n := 1; c.at+n < len(c.tokens); n++ {
			if c.peek(n).is(")") {
				return c.peek(n+1).kind != wordToken
			}
		}
	}
	return c.at >= len(c.tokens) || t.is(",") || t.is("(")
}

func (c *cursor) hedge(q *quantity) {
	for {
		t := c.peek(0)
		if t.kind != wordToken {
			if t.is("~") || t.is(".") || t.is("≈") {
				c.at++
				continue
			}
			return
		}
		if size, ok := sizes[strings.ToLower(t.text)]; ok {
			q.size = size
			c.at++
			continue
		}
		if c.wordIs(0, hedges...) && !(c.wordIs(0, "good", "extra", "fresh") && !c.unitAhead()) {
			c.at++
			c.skipWords("to")
			continue
		}
		return
	}
}

// unitAhead tells whether a unit follows the next word.
func (c *cursor) unitAhead() bool {
	if c.peek(1).kind == numberToken {
		return true
	}
	_, ok := measure.ParseUnit(c.peek(1).text)
	return c.peek(1).kind == wordToken && ok
}

func (c *cursor) hedgeSizeOnly(q *quantity) {
	for {
		size, ok := sizes[strings.ToLower(c.peek(0).text)]
		if !ok || q.size != "" {
			return
		}
		q.size = size
		c.at++
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
		if c.peek(0).is("-") {
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
			if cross || container {
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

// normalised returns the words of a token run for the index.
func normalised(tokens []token) []string {
	var words []string
	for _, t := range tokens {
		if t.kind == wordToken {
			words = append(words, larder.Words(t.text)...)
		}
	}
	return words
}
