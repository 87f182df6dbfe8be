package flow

import (
	"yembra/core/lex"
	"yembra/core/measure"
)

// This file is the one parser of times and temperatures in steps.

// clock is a length of time read from a text, and what stands around it.
type clock struct {
	span measure.Span
	upto int
	// aside tells that it is no length of the work: "every 5 minutes", "10
	// minutes before the end"; later that only what follows it says so.
	aside, later bool
	// per are the grams of what is worked on that take so long: "15 minutes per 450 g"; 0 where
	// it takes so long whatever it weighs.
	per float64
}

// time reads a length of time that begins at i: "about 10 minutes", "another
// hour and a half", "overnight", "50 minutes to 1 hour".
func (t *text) time(i int) (clock, bool) {
	c, ok := t.oneTime(i)
	if !ok || c.aside || c.per > 0 {
		return c, ok
	}
	figures := &t.lang.Lines.Figures
	if !t.mark(c.upto, "-–~") && !t.is(c.upto, figures.Upto) && !(t.is(i, figures.Between) && t.is(c.upto, figures.And)) {
		return c, true
	}
	if more, ok := t.oneTime(c.upto + 1); ok && !more.aside && more.per == 0 && more.span.High > c.span.High {
		c.span.High, c.upto = more.span.High, more.upto
	}
	return c, true
}

func (t *text) oneTime(i int) (clock, bool) {
	if m := t.lang.TimesWhole[t.low(i)]; m > 0 {
		return clock{span: measure.Exactly(m), upto: i + 1}, true
	}
	aside := t.is(i, t.lang.TimeBefore)
	at := i
	if aside {
		at++
	}
	for at < len(t.words) && t.lang.TimeHedges[t.low(at)] && !t.halfOf(at) {
		at++
	}
	if t.lang.FewTimes[t.low(at)] > 0 {
		return t.fewTimes(i, at, aside)
	}
	if at > i && t.lang.TimeUnits[t.low(at)] > 0 && !t.ordinal(at) && (t.is(at-1, t.lang.Articles) || aside || t.is(at-1, t.lang.TimeHedges)) {
		return t.finish(clock{span: measure.Exactly(t.lang.TimeUnits[t.low(at)]), upto: at + 1, aside: aside}, t.lang.TimeUnits[t.low(at)])
	}
	c := lex.Cursor{Tokens: t.tokens, At: at, Words: &t.lang.Lines.Figures}
	s, ok := c.Span()
	if !ok {
		return clock{}, false
	}
	if c.Peek(0).Is("-") {
		c.At++
	}
	for n := 0; n < 3 && t.lang.TimeHedges[t.low(c.At)]; n++ {
		c.At++
	}
	unit := t.lang.TimeUnits[t.low(c.At)]
	switch {
	case unit > 0:
		c.At++
	case at > i && t.is(at-1, t.lang.TimeMore) && (t.ends(c.At, len(t.words)) || t.mark(c.At, ",") || t.conj(c.At)):
		unit = 1 // "leave covered another 10"
	default:
		return clock{}, false
	}
	if !s.Times(unit).Within(0, measure.MostMinutes) {
		return clock{}, false
	}
	return t.finish(clock{span: s.Times(unit), upto: c.At, aside: aside}, unit)
}

// ordinal tells whether a unit of time at i counts things instead: "the second one", "a second dish".
func (t *text) ordinal(i int) bool {
	return t.lang.Qualifiers[t.low(i)] && (t.is(i-1, t.lang.Definite) || t.is(i-1, t.lang.Articles) && (t.lang.Vessels[t.low(i+1)] || t.lang.Vessels[t.low(i+2)] && t.plain(i+1)))
}

// halfOf tells whether "a" or "an" at i begins a figure: "an hour", "a half".
func (t *text) halfOf(i int) bool {
	return t.lang.Articles[t.low(i)] && t.lang.Lines.Figures.Numbers[t.low(i+1)] > 0
}

func (t *text) fewTimes(i, at int, aside bool) (clock, bool) {
	n := t.lang.FewTimes[t.low(at)]
	at++
	if t.lang.TimeHedges[t.low(at)] {
		at++
	}
	unit := t.lang.TimeUnits[t.low(at)]
	if unit == 0 {
		return clock{}, false
	}
	return t.finish(clock{span: measure.Exactly(n * unit), upto: at + 1, aside: aside}, unit)
}

// leastMinutes is the least that a figure behind hours can mean.
const leastMinutes = 5

// finish takes in "and a half", "15 minutes" after hours, and what stands
// behind a time ("longer", "per side", "before the end").
func (t *text) finish(c clock, unit float64) (clock, bool) {
	if unit == t.lang.TimeUnits["hour"] {
		at := c.upto
		if t.conj(at) {
			at++
		}
		if v := t.lang.Lines.Figures.Numbers[t.low(at+1)]; t.lang.Articles[t.low(at)] && v > 0 && v < 1 && t.lang.TimeUnits[t.low(at+2)] == 0 {
			c.span.Low, c.span.High, c.upto = c.span.Low+v*unit, c.span.High+v*unit, at+2
		} else {
			more := lex.Cursor{Tokens: t.tokens, At: at, Words: &t.lang.Lines.Figures}
			if s, ok := more.Span(); ok && t.lang.TimeUnits[t.low(more.At)] == 1 {
				c.span.Low, c.span.High, c.upto = c.span.Low+s.Low, c.span.High+s.High, more.At+1
			} else if ok && at == c.upto && s.High < unit && s.Low >= leastMinutes {
				c.span.Low, c.span.High, c.upto = c.span.Low+s.Low, c.span.High+s.High, more.At // "1 h 15"
			}
		}
	}
	c = t.orMore(c, unit)
	if t.mark(c.upto, "'’") {
		c.upto++
	}
	if t.mark(c.upto, ".") && t.words[c.upto].Glued && c.upto+1 < len(t.words) && t.words[c.upto+1].Kind == lex.Word && t.words[c.upto+1].low == t.words[c.upto+1].Text {
		c.upto++ // "5 min. per side"
	}
	for w := t.low(c.upto); t.lang.TimeTails[w] && !t.is(c.upto+1, t.lang.Subjects) && (t.lang.Subordinators[w] == "" || t.lang.Lines.Or[t.low(c.upto-1)]); w = t.low(c.upto) {
		c.upto++
	}
	if grams, upto := t.perWeight(c.upto); grams > 0 {
		c.per, c.upto = grams, upto
	}
	if t.is(c.upto, t.lang.TimeLess) {
		c.aside = true // "2 minutes less than the packet says"
	}
	if t.is(c.upto, t.lang.TimeAfter) && !c.aside {
		c.aside, c.later = true, true
	}
	for _, n := range []int{2, 3} { // "a side", "on each side"
		if t.lang.Sides[t.low(c.upto+n-1)] && !t.ends(c.upto, c.upto+n) {
			c.upto += n
			return c, true
		}
	}
	return t.forEach(c), true
}

// perWeight reads for how much a time is said: "per 450 g", "to the pound". It returns the grams
// and where that ends, 0 where nothing of the kind stands at i.
func (t *text) perWeight(i int) (float64, int) {
	if !t.is(i, t.lang.Per) {
		return 0, i
	}
	for i++; t.is(i, t.lang.Articles) && !t.number(i) || t.is(i, t.lang.Pointing); i++ {
	}
	many := 1.0
	c := lex.Cursor{Tokens: t.tokens, At: i, Words: &t.lang.Lines.Figures}
	if s, ok := c.Span(); ok {
		many, i = s.Mid(), c.At
	}
	unit, _ := t.lang.Lines.Unit(t.low(i))
	if kind, known := measure.DimensionOf(unit); !known || kind != measure.Mass || many <= 0 {
		return 0, i
	}
	return many * measure.GramsOf(unit), i + 1
}

// celsius reads a temperature at i, which may be said in several ways: "180 C",
// "350°F (180°C)", "gas mark 4", "200C/180C fan".
func (t *text) celsius(i int) (value float64, upto int, ok bool) {
	v, upto, ok := t.degrees(i)
	if !ok || v.celsius < measure.LeastCelsius || v.celsius > measure.MostCelsius {
		return 0, i, false
	}
	for { // the same said another way
		next := upto
		for t.mark(next, "/,(") || t.conj(next) {
			next++
		}
		w, end, more := t.degrees(next)
		if !more {
			break
		}
		if v.fahrenheit && !w.fahrenheit && !w.fan || v.fan && !w.fan {
			v = w
		}
		upto = end
		if t.mark(upto, ")") {
			upto++
		}
	}
	if t.is(upto, t.lang.Fan) {
		upto++
	}
	if v.fan {
		return v.celsius + measure.FanOffset, upto, true
	}
	return v.celsius, upto, true
}

type degree struct {
	celsius         float64
	fan, fahrenheit bool
}

// degrees reads one way of saying a temperature.
func (t *text) degrees(i int) (degree, int, bool) {
	var d degree
	if t.is(i, t.lang.Fan) {
		d.fan = true
		i++
	}
	if t.is(i, t.lang.Gas) {
		i++
		if t.is(i, t.lang.GasMark) {
			i++
		}
		if !t.number(i) {
			return d, i, false
		}
		v, ok := measure.CelsiusFromGasMark(t.words[i].Value)
		return degree{celsius: v}, i + 1, ok
	}
	if !t.number(i) || t.words[i].Value < leastDegrees {
		return d, i, false
	}
	value := t.words[i].Value
	i++
	if t.mark(i, "-") && t.number(i+1) {
		i += 2
	}
	bare := false
	for t.mark(i, "°º") || t.is(i, t.lang.Degrees) {
		i, bare = i+1, true
	}
	switch {
	case t.is(i, t.lang.Celsius) || t.mark(i, "℃"):
		d.celsius, i = value, i+1
	case t.is(i, t.lang.Fahrenheit) || t.mark(i, "℉"):
		d.celsius, d.fahrenheit, i = fromFahrenheit(value), true, i+1
	case bare && value > hottestCelsius:
		d.celsius, d.fahrenheit = fromFahrenheit(value), true
	case bare:
		d.celsius = value
	default:
		return d, i, false
	}
	if t.is(i, t.lang.Fan) {
		d.fan, i = true, i+1
	} else if t.mark(i, "(") && t.is(i+1, t.lang.Fan) && t.mark(i+2, ")") {
		d.fan, i = true, i+3
	}
	return d, i, true
}

// Temperatures below leastDegrees are read as something else; bare degrees above
// hottestCelsius can only be Fahrenheit.
const (
	leastDegrees   = 30
	hottestCelsius = 260
)

func fromFahrenheit(f float64) float64 {
	step := 5.0
	if f < 212 {
		step = 1
	}
	return float64(int(measure.CelsiusFromFahrenheit(f)/step+0.5)) * step
}

// Minutes is the first time that words say, 0 where they say none: "stirring after an hour".
func (r *Reader) Minutes(said string) float64 {
	tokens := lex.Scan(said)
	t := &text{source: said, lang: r.lang, tokens: tokens, words: wordsOf(tokens)}
	for i := range t.words {
		if c, ok := t.time(i); ok {
			return c.span.Mid()
		}
	}
	return 0
}
