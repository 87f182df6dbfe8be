package measure

import "math"

// FanOffset is how much cooler a fan oven is set than a conventional one.
const FanOffset = 20.0

// CelsiusFromFahrenheit converts without rounding.
func CelsiusFromFahrenheit(f float64) float64 { return (f - 32) * 5 / 9 }

// FahrenheitFromCelsius converts and rounds to 5, as dials show it.
func FahrenheitFromCelsius(c float64) float64 { return math.Round((c*9/5+32)/5) * 5 }

// gasMarks is the usual table, in conventional Celsius; it follows
// 121 + 14 n rounded to dial settings, with the marks below 1 by convention.
var gasMarks = map[float64]float64{
	0.25: 110, 0.5: 120, 1: 140, 2: 150, 3: 160, 4: 180, 5: 190, 6: 200, 7: 220, 8: 230, 9: 240, 10: 260,
}

// CelsiusFromGasMark gives the conventional oven temperature of a gas mark
// from 1/4 to 10; ok is false for any other mark.
func CelsiusFromGasMark(n float64) (c float64, ok bool) {
	c, ok = gasMarks[n]
	return c, ok
}
