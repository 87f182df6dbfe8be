package recipe

import (
	"strings"

	"yembra/core/measure"
)

var timeUnits = map[string]float64{
	"minute": 1, "minutes": 1, "min": 1, "mins": 1, "m": 1, "hour": 60, "hours": 60, "hr": 60, "hrs": 60, "h": 60,
	"second": 1.0 / 60, "seconds": 1.0 / 60, "sec": 1.0 / 60, "secs": 1.0 / 60, "day": 1440, "days": 1440,
}

// overnight is how long "overnight" is taken to be, in minutes.
const overnight = 480

// minutes sums the times that a step names, leaving out "every 5 minutes" and
// times said a second way in brackets.
func minutes(tokens []token) *measure.Span {
	var total measure.Span
	found := false
	depth := 0
	add := func(s measure.Span) {
		total.Low += s.Low
		total.High += s.High
		found = true
	}
	for i := 0; i < len(tokens); i++ {
		t := tokens[i]
		switch {
		case t.is("("):
			depth++
			continue
		case t.is(")"):
			depth = max(0, depth-1)
			continue
		}
		if t.kind == wordToken && strings.EqualFold(t.text, "overnight") {
			if !found || total.High < overnight {
				add(measure.Exactly(overnight))
			}
			continue
		}
		c := &cursor{tokens: tokens, at: i}
		s, ok := c.span()
		if !ok {
			continue
		}
		if c.peek(0).is("-") {
			c.at++
		}
		c.skipWords("of", "an", "a", "further", "more", "another", "full", "extra", "additional", "good")
		unit, ok := timeUnits[strings.ToLower(c.peek(0).text)]
		if !ok || c.peek(0).kind != wordToken {
			continue
		}
		c.at++
		s = s.Times(unit)
		if unit == 60 {
			c.restOfHour(&s)
		}
		skip := wordAt(tokens, i-1, "every", "each", "per")
		if !skip && !(depth > 0 && found) {
			add(s)
		}
		i = c.at - 1
	}
	if !found {
		return nil
	}
	return &total
}

// restOfHour reads "and a half" and "30 minutes" after whole hours.
func (c *cursor) restOfHour(s *measure.Span) {
	start := c.at
	c.skipWords("and")
	if c.wordIs(0, "a") && c.wordIs(1, "half", "quarter") {
		add := 30.0
		if c.wordIs(1, "quarter") {
			add = 15
		}
		c.at += 2
		s.Low, s.High = s.Low+add, s.High+add
		return
	}
	if more, ok := c.span(); ok {
		if unit, ok := timeUnits[strings.ToLower(c.peek(0).text)]; ok && unit == 1 {
			c.at++
			s.Low, s.High = s.Low+more.Low, s.High+more.High
			return
		}
	}
	c.at = start
}

func wordAt(tokens []token, i int, words ...string) bool {
	c := cursor{tokens: tokens, at: i}
	return i >= 0 && c.wordIs(0, words...)
}

// celsius finds the first temperature, turning Fahrenheit, gas marks and fan
// settings into conventional Celsius. A Celsius figure is preferred.
func celsius(tokens []token) *float64 {
	var fallback *float64
	var fan *float64
	for i, t := range tokens {
		if t.kind == numberToken {
			scale, n := degreeMark(tokens, i+1)
			switch {
			case scale == 'c' && t.value >= 30:
				v := t.value
				if isFan(tokens, i, n) {
					if fan == nil {
						fan = &v
					}
					continue
				}
				return &v
			case scale == 'f' && fallback == nil && t.value >= 90:
				v := roundTo(measure.CelsiusFromFahrenheit(t.value), 5)
				if t.value < 212 {
					v = roundTo(measure.CelsiusFromFahrenheit(t.value), 1)
				}
				fallback = &v
			case scale == 'd' && fallback == nil && t.value >= 100:
				v := t.value // "180 degrees": above 260 it can only be Fahrenheit
				if v > 260 {
					v = roundTo(measure.CelsiusFromFahrenheit(v), 5)
				}
				fallback = &v
			}
		}
		if wordAt(tokens, i, "gas") {
			j := i + 1
			if wordAt(tokens, j, "mark") {
				j++
			}
			if j < len(tokens) && tokens[j].kind == numberToken && fallback == nil {
				if v, ok := measure.CelsiusFromGasMark(tokens[j].value); ok {
					fallback = &v
				}
			}
		}
	}
	if fan != nil {
		v := *fan + measure.FanOffset
		return &v
	}
	return fallback
}

func roundTo(v, step float64) float64 { return float64(int(v/step+0.5)) * step }

// degreeMark reads what follows a number: 'c', 'f', 'd' for bare degrees or 0;
// n is the index after it.
func degreeMark(tokens []token, i int) (scale rune, n int) {
	bare := false
	for i < len(tokens) && (tokens[i].is("°") || tokens[i].is("º") || tokens[i].is("-") || wordAt(tokens, i, "degrees", "degree", "deg")) {
		if !tokens[i].is("-") {
			bare = true
		} else if i+1 < len(tokens) && tokens[i+1].kind == numberToken {
			return degreeMark(tokens, i+2) // "180-200 C"
		}
		i++
	}
	switch {
	case wordAt(tokens, i, "c", "celsius", "centigrade"):
		return 'c', i + 1
	case wordAt(tokens, i, "f", "fahrenheit"):
		return 'f', i + 1
	case i < len(tokens) && (tokens[i].is("℃")):
		return 'c', i + 1
	case i < len(tokens) && tokens[i].is("℉"):
		return 'f', i + 1
	case bare:
		return 'd', i
	}
	return 0, i
}

func isFan(tokens []token, i, n int) bool {
	return wordAt(tokens, n, "fan", "convection") || n < len(tokens) && tokens[n].is("(") && wordAt(tokens, n+1, "fan") ||
		wordAt(tokens, i-1, "fan", "convection")
}
