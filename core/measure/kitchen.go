package measure

import (
	"fmt"
	"math"
	"strings"

	"yembra/core/texts"
)

// Care says how strictly an amount may be rounded.
type Care int

// Loose amounts may move freely to the next real measure. Fine ones (spice,
// salt, leavening, setting agents) never move by more than MaxFineError.
const (
	Loose Care = iota
	Fine
)

// MaxFineError is the most that rounding may move a fine amount: 10 %.
const MaxFineError = 0.10

// ThinSpace stands between a figure and its unit wherever amounts are shown.
const ThinSpace = " "

// cupFractions and spoonFractions are the measures found in kitchens.
var (
	cupFractions   = []float64{0, 1.0 / 8, 1.0 / 4, 1.0 / 3, 1.0 / 2, 2.0 / 3, 3.0 / 4, 1}
	spoonFractions = []float64{0, 1.0 / 8, 1.0 / 4, 1.0 / 2, 3.0 / 4, 1}
	quarters       = []float64{0, 1.0 / 4, 1.0 / 2, 3.0 / 4, 1}
	tbspFractions  = []float64{0, 1.0 / 2, 1}
)

var glyphs = []struct {
	value float64
	glyph string
}{
	{1.0 / 8, "⅛"}, {1.0 / 4, "¼"}, {1.0 / 3, "⅓"}, {1.0 / 2, "½"}, {2.0 / 3, "⅔"}, {3.0 / 4, "¾"},
}

// readingError is how near a whole multiple of 5 g counts as one.
const readingError = 0.001

// RoundGrams rounds to 1 g under 10, 5 g under 250, 10 g under 1 kg, 50 g under 5,
// 100 g under 10 and 500 g above, leaving whole multiples of 5 alone under 1 kg; a fine amount falls back to ever smaller steps until it moves by at most 10 %.
func RoundGrams(g float64, care Care) float64 {
	step := 10.0
	switch {
	case g < 1:
		step = 0.1
	case g < 10:
		step = 1
	case g >= 10000:
		step = 500
	case g >= 5000:
		step = 100
	case g >= 1000:
		step = 50
	case g < 250, math.Abs(g-math.Round(g/5)*5) < readingError*g:
		step = 5 // a whole multiple of 5 is a reading already and stays
	}
	for {
		r := math.Round(g/step) * step
		if care == Loose && r > 0 || g <= 0 || math.Abs(r-g) <= MaxFineError*g {
			return math.Round(r*1000) / 1000
		}
		if step /= 2; step < 0.01 {
			return math.Round(g*1000) / 1000
		}
	}
}

// ShowGrams writes grams (kilograms from 1000 up) as a kitchen would.
func ShowGrams(s Span, care Care) string {
	lo, hi := RoundGrams(s.Low, care), RoundGrams(s.High, care)
	unit := "g"
	if hi >= 1000 {
		lo, hi, unit = lo/1000, hi/1000, "kg"
	}
	if lo == hi {
		return trim(lo) + ThinSpace + unit
	}
	return trim(lo) + "-" + trim(hi) + ThinSpace + unit
}

// Pinched is the least that a kitchen measures.
var Pinched = texts.Say("measure.aPinch")

// A mass below leastShown grams is not shown beside the spoons that measure it; a
// liquid below leastPoured millilitres is measured by the spoon.
const (
	leastShown  = 0.5
	spoonGrams  = 12.0
	leastPoured = 60.0
	halfGrams   = 5.0 // below this, half a gram is said
)

// ShowMatter writes a mass as a kitchen measures that matter: what pours in
// millilitres and litres, little of anything by the spoon with the grams beside
// it, all else in grams. density is in g/ml, 0 when it is not known.
func ShowMatter(s Span, density float64, pours bool, care Care) string {
	grams := s.Mid()
	switch {
	case density <= 0, grams <= 0:
		return ShowGrams(s, care)
	case pours && grams/density >= leastPoured:
		return ShowLiquid(Span{Low: s.Low / density, High: s.High / density})
	case !pours && grams >= spoonGrams:
		return ShowGrams(s, care)
	}
	spoons := ShowMillilitres(grams/density, Metric, Loose)
	if spoons == Pinched {
		return spoons + " of"
	}
	if grams < leastShown || pours {
		return spoons
	}
	shown := ShowGrams(Exactly(grams), Loose)
	if grams < halfGrams {
		shown = trim(math.Max(math.Round(grams*2)/2, leastShown)) + ThinSpace + "g"
	}
	return spoons + " (" + shown + ")"
}

// ShowLiquid writes millilitres, and litres from a thousand up, by the same steps
// as grams.
func ShowLiquid(ml Span) string {
	text := strings.NewReplacer("kg", "litres", "g", "ml").Replace(ShowGrams(ml, Loose))
	if text == "1"+ThinSpace+"litres" {
		return "1" + ThinSpace + "litre"
	}
	return text
}

// ShowMillilitres writes a volume by spoons and cups of the system: teaspoons
// up to a tablespoon, tablespoons up to a quarter cup, cups above. A fine
// amount that no real measure meets within 10 % is given in ml instead.
func ShowMillilitres(ml float64, sys System, care Care) string {
	tsp, tbsp, cup := MillilitresOf(Teaspoon, sys), MillilitresOf(Tablespoon, sys), MillilitresOf(Cup, sys)
	type choice struct {
		unit      string
		size      float64
		fractions []float64
	}
	choices := []choice{{"cup", cup, cupFractions}, {"tbsp", tbsp, tbspFractions}, {"tsp", tsp, spoonFractions}}
	if care == Loose && ml >= 2*tsp {
		choices[2].fractions = quarters // nobody adds an eighth to two spoons
	}
	switch {
	case ml < tbsp*0.95:
		choices = choices[2:]
	case ml < cup*0.24:
		choices = choices[1:]
	}
	for _, c := range choices {
		v := nearest(ml/c.size, c.fractions)
		if v > 0 && (care == Loose || math.Abs(v*c.size-ml) <= MaxFineError*ml) {
			return Figure(v) + ThinSpace + plural(c.unit, v)
		}
	}
	if care == Loose && ml > 0 {
		return Pinched
	}
	return trim(math.Round(ml*10)/10) + ThinSpace + "ml"
}

func plural(unit string, v float64) string {
	if unit == "cup" && v > 1 {
		return "cups"
	}
	return unit
}

func nearest(v float64, fractions []float64) float64 {
	whole := math.Floor(v)
	best, gap := whole, math.Inf(1)
	for _, f := range fractions {
		if d := math.Abs(whole + f - v); d < gap {
			best, gap = whole+f, d
		}
	}
	return best
}

// Figure writes a number with a real fraction sign where one fits, else with
// at most two decimals.
func Figure(v float64) string {
	whole, rest := math.Modf(v)
	for _, g := range glyphs {
		if math.Abs(rest-g.value) < 0.012 {
			if whole == 0 {
				return g.glyph
			}
			return fmt.Sprintf("%g%s", whole, g.glyph)
		}
	}
	return fmt.Sprintf("%g", math.Round(v*100)/100)
}

// String writes the amount as a recipe would: "1½-2 cup", "3 clove", "2".
func (a Amount) String() string {
	var b strings.Builder
	b.WriteString(Figure(a.Low))
	if a.High != a.Low {
		b.WriteString("-" + Figure(a.High))
	}
	if a.Unit != Piece && a.Unit != "" {
		b.WriteString(ThinSpace + strings.ReplaceAll(string(a.Unit), "-", " "))
	}
	return b.String()
}
