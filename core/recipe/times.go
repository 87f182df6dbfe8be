package recipe

import (
	"strings"
	"yembra/core/lex"

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
func minutes(tokens []lex.Token) *measure.Span {
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
		case t.Is("("):
			depth++
			continue
		case t.Is(")"):
			depth = max(0, depth-1)
			continue
		}
		if t.Kind == lex.Word && strings.EqualFold(t.Text, "overnight") {
			if !found || total.High < overnight {
				add(measure.Exactly(overnight))
			}
			continue
		}
		c := cursorAt(tokens, i, "")
		s, ok := c.Span()
		if !ok {
			continue
		}
		if c.Peek(0).Is("-") {
			c.At++
		}
		c.SkipWords("of", "an", "a", "further", "more", "another", "full", "extra", "additional", "good")
		unit, ok := timeUnits[strings.ToLower(c.Peek(0).Text)]
		if !ok || c.Peek(0).Kind != lex.Word {
			continue
		}
		c.At++
		s = s.Times(unit)
		if unit == 60 {
			c.restOfHour(&s)
		}
		skip := wordAt(tokens, i-1, "every", "each", "per")
		if !skip && !(depth > 0 && found) {
			add(s)
		}
		i = c.At - 1
	}
	if !found {
		return nil
	}
	return &total
}

// restOfHour reads "and a half" and "30 minutes" after whole hours.
func (c *cursor) restOfHour(s *measure.Span) {
	start := c.At
	c.SkipWords("and")
	if c.WordIs(0, "a") && c.WordIs(1, "half", "quarter") {
		add := 30.0
		if c.WordIs(1, "quarter") {
			add = 15
		}
		c.At += 2
		s.Low, s.High = s.Low+add, s.High+add
		return
	}
	if more, ok := c.Span(); ok {
		if unit, ok := timeUnits[strings.ToLower(c.Peek(0).Text)]; ok && unit == 1 {
			c.At++
			s.Low, s.High = s.Low+more.Low, s.High+more.High
			return
		}
	}
	c.At = start
}

func wordAt(tokens []lex.Token, i int, words ...string) bool {
	c := cursorAt(tokens, i, "")
	return i >= 0 && c.WordIs(0, words...)
}

// celsius finds the first temperature, turning Fahrenheit, gas marks and fan
// settings into conventional Celsius. A Celsius figure is preferred.
func celsius(tokens []lex.Token) *float64 {
	var fallback *float64
	var fan *float64
	for i, t := range tokens {
		if t.Kind == lex.Number {
			scale, n := degreeMark(tokens, i+1)
			switch {
			case scale == 'c' && t.Value >= 30:
				v := t.Value
				if isFan(tokens, i, n) {
					if fan == nil {
						fan = &v
					}
					continue
				}
				return &v
			case scale == 'f' && fallback == nil && t.Value >= 90:
				v := roundTo(measure.CelsiusFromFahrenheit(t.Value), 5)
				if t.Value < 212 {
					v = roundTo(measure.CelsiusFromFahrenheit(t.Value), 1)
				}
				fallback = &v
			case scale == 'd' && fallback == nil && t.Value >= 100:
				v := t.Value // "180 degrees": above 260 it can only be Fahrenheit
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
			if j < len(tokens) && tokens[j].Kind == lex.Number && fallback == nil {
				if v, ok := measure.CelsiusFromGasMark(tokens[j].Value); ok {
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
func degreeMark(tokens []lex.Token, i int) (scale rune, n int) {
	bare := false
	for i < len(tokens) && (tokens[i].Is("°") || tokens[i].Is("º") || tokens[i].Is("-") || wordAt(tokens, i, "degrees", "degree", "deg")) {
		if !tokens[i].Is("-") {
			bare = true
		} else if i+1 < len(tokens) && tokens[i+1].Kind == lex.Number {
			return degreeMark(tokens, i+2) // "180-200 C"
		}
		i++
	}
	switch {
	case wordAt(tokens, i, "c", "celsius", "centigrade"):
		return 'c', i + 1
	case wordAt(tokens, i, "f", "fahrenheit"):
		return 'f', i + 1
	case i < len(tokens) && (tokens[i].Is("℃")):
		return 'c', i + 1
	case i < len(tokens) && tokens[i].Is("℉"):
		return 'f', i + 1
	case bare:
		return 'd', i
	}
	return 0, i
}

func isFan(tokens []lex.Token, i, n int) bool {
	return wordAt(tokens, n, "fan", "convection") || n < len(tokens) && tokens[n].Is("(") && wordAt(tokens, n+1, "fan") ||
		wordAt(tokens, i-1, "fan", "convection")
}
