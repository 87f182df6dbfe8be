package sizing

import (
	"fmt"
	"math"
	"strconv"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// Pan is a baking tin or dish, in centimetres inside.
type Pan struct {
	Shape string // Round, Square or Loaf
	// Across is the diameter, the side, or the length; Wide the other side of
	// a loaf; Depth 0 when not known.
	Across, Wide, Depth float64
}

// The shapes of pans.
const (
	Round  = "round"
	Square = "square"
	Loaf   = "loaf"
)

// How two pans are compared.
const (
	ByArea   = "area"
	ByVolume = "volume"
)

// Limits of a pan's measures in centimetres.
const (
	leastPan = 3
	mostPan  = 120
)

// ParsePan reads "round:24", "square:20x5" or "loaf:25x11x7": the shape, its
// measures across, and its depth in centimetres.
func ParsePan(text string) (Pan, error) {
	shape, rest, _ := strings.Cut(text, ":")
	var sides []float64
	for _, part := range strings.Split(rest, "x") {
		v, err := strconv.ParseFloat(part, 64)
		if err != nil || v < leastPan && len(sides) < 1 || v <= 0 || v > mostPan || math.IsNaN(v) {
			return Pan{}, fmt.Errorf("%q is no pan: write round:24x5, square:20x5 or loaf:25x11x7, in centimetres up to %d", text, mostPan)
		}
		sides = append(sides, v)
	}
	p := Pan{Shape: shape, Across: sides[0]}
	across := 1
	if shape == Loaf {
		across = 2
	}
	if shape != Round && shape != Square && shape != Loaf || len(sides) < across || len(sides) > across+1 {
		return Pan{}, fmt.Errorf("%q is no pan: write round:24x5, square:20x5 or loaf:25x11x7", text)
	}
	if shape == Loaf {
		p.Wide = sides[1]
	}
	if len(sides) > across {
		p.Depth = sides[across]
	}
	return p, nil
}

// Area is the bottom in square centimetres.
func (p Pan) Area() float64 {
	switch p.Shape {
	case Round:
		return math.Pi / 4 * p.Across * p.Across
	case Loaf:
		return p.Across * p.Wide
	}
	return p.Across * p.Across
}

// PanFactor is how much more goes into one pan than into another: to the same
// height (by area), or filled as full (by volume).
func PanFactor(from, to Pan, by string) (float64, error) {
	switch by {
	case "", ByArea:
		return to.Area() / from.Area(), nil
	case ByVolume:
		if from.Depth == 0 || to.Depth == 0 {
			return 0, fmt.Errorf("by volume both pans need a depth")
		}
		return to.Area() * to.Depth / (from.Area() * from.Depth), nil
	}
	return 0, fmt.Errorf("pans are compared by %s or %s, not by %q", ByArea, ByVolume, by)
}

// HaveFactor is how many times a dish can be made of the grams there are of one
// of its lines.
func HaveFactor(d recipe.Dish, component, line int, grams float64) (float64, error) {
	if component < 0 || component >= len(d.Components) || line < 0 || line >= len(d.Components[component].Lines) {
		return 0, fmt.Errorf("there is no such line")
	}
	l := d.Components[component].Lines[line]
	if l.Mass() <= 0 {
		return 0, fmt.Errorf("the mass of %s is not known", l.Name)
	}
	return grams / l.Mass(), nil
}

// Grams below which a mass says less to the hand than a spoon, and from which a
// piece of solid food is given by the ounce and the pound.
const leastBeside = 2.0

// mostCups is how many cups of a solid anyone still counts out.
const mostCups = 6.0

// bracketed tells whether a line gives a figure in brackets already.
func bracketed(text string) bool {
	at := strings.Index(text, "(")
	return at >= 0 && recipe.BehindBrackets(text[at:]) != text[at:]
}

// Beside gives a line's amount in the other measure: cups and spoons of the
// system beside a mass, a mass beside those; ounces where no volume makes
// sense. It is empty when the line already says both or has neither.
func Beside(line recipe.Line, m measure.Matter, sys measure.System) string {
	if line.Amount == nil || line.Grams == nil || bracketed(line.Text) {
		return ""
	}
	grams := line.Mass()
	if dim, _ := measure.DimensionOf(line.Amount.Unit); dim != measure.Mass && dim != measure.Volume {
		if grams < leastBeside {
			return ""
		}
		return "about " + measure.ShowGrams(measure.Exactly(grams), measure.Loose)
	}
	switch line.Amount.Unit {
	case measure.Gram, measure.Kilogram:
		switch {
		case grams < leastBeside:
			return ""
		case m.Density > 0 && grams/m.Density < mostCups*measure.MillilitresOf(measure.Cup, sys):
			if spoons := measure.ShowMillilitres(grams/m.Density, sys, measure.Loose); !strings.HasPrefix(line.Text, spoons) {
				return spoons
			}
			return measure.ShowGrams(measure.Exactly(grams), measure.Loose)
		}
		return ounces(grams)
	case measure.Millilitre, measure.Litre:
		return measure.ShowMillilitres(line.Amount.Span().Mid()*measure.MillilitresOf(line.Amount.Unit, sys), sys, measure.Loose)
	}
	return measure.ShowGrams(measure.Exactly(grams), measure.Loose)
}

// A form that weighs much more or less than what it is made from says so from
// these bases on (grams as bought in one gram of the form).
const (
	swollenBelow = 0.8
	shrunkAbove  = 1.2
)

// AsBought says how much of a food a line takes before it is cooked, soaked or
// boiled down, where that differs much: "from about 170 g dry". It is empty for
// what is bought in the form, as tins are.
func AsBought(line recipe.Line, f *larder.Food) string {
	form, ok := f.Forms[line.Form]
	if !ok || line.Form == larder.RawForm || line.Form == "tinned" || line.Mass() < leastBeside {
		return ""
	}
	grams := measure.ShowGrams(measure.Exactly(line.Mass()*form.Base), measure.Loose)
	switch {
	case form.Base < swollenBelow:
		return texts.Say("sizing.fromAboutDry", grams)
	case form.Base > shrunkAbove:
		return texts.Say("sizing.fromAbout", grams)
	}
	return ""
}

// ounces writes a mass in ounces, pounds from one up.
func ounces(grams float64) string {
	oz := grams / measure.GramsOf(measure.Ounce)
	if oz >= 16 {
		return measure.Amount{Low: math.Round(oz/4) / 4, High: math.Round(oz/4) / 4, Unit: measure.Pound}.String()
	}
	half := math.Max(math.Round(oz*2)/2, 0.5)
	return measure.Amount{Low: half, High: half, Unit: measure.Ounce}.String()
}

// numbered writes the last word of a line's name for one or for many: "4 red
// onions" when there was one.
func numbered(rest, name string, was, is float64) string {
	if name == "" || (was > 1) == (is > 1) || !strings.Contains(rest, name) {
		return rest
	}
	words := strings.Fields(name)
	last := words[len(words)-1]
	other := many(last)
	if is <= 1 {
		other = one(last)
	}
	return strings.Replace(rest, name, strings.TrimSuffix(name, last)+other, 1)
}

// many and one are the English plural and singular of kitchen nouns.
func many(w string) string {
	switch {
	case strings.HasSuffix(w, "s") || len(w) < 3:
		return w
	case strings.HasSuffix(w, "leaf"):
		return strings.TrimSuffix(w, "f") + "ves"
	case strings.HasSuffix(w, "loaf"):
		return strings.TrimSuffix(w, "f") + "ves"
	case strings.HasSuffix(w, "y") && !strings.ContainsAny(w[len(w)-2:len(w)-1], "aeiou"):
		return strings.TrimSuffix(w, "y") + "ies"
	case strings.HasSuffix(w, "ch"), strings.HasSuffix(w, "sh"), strings.HasSuffix(w, "x"), w == "potato", w == "tomato", w == "mango":
		return w + "es"
	}
	return w + "s"
}

func one(w string) string {
	switch {
	case strings.HasSuffix(w, "leaves"), strings.HasSuffix(w, "loaves"):
		return strings.TrimSuffix(w, "ves") + "f"
	case strings.HasSuffix(w, "llies"), strings.HasSuffix(w, "kies"):
		return strings.TrimSuffix(w, "es") // chilli, cookie
	case strings.HasSuffix(w, "ies") && len(w) > 5:
		return strings.TrimSuffix(w, "ies") + "y"
	case strings.HasSuffix(w, "oes"), strings.HasSuffix(w, "ches"), strings.HasSuffix(w, "shes"):
		return strings.TrimSuffix(w, "es")
	case strings.HasSuffix(w, "ss"), !strings.HasSuffix(w, "s"):
		return w
	}
	return strings.TrimSuffix(w, "s")
}
