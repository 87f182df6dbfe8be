// Package sizing scales a dish to another number at the table: amounts a cook
// can measure, raising and strong spice held back above double, and what does
// not grow with the factor said in words.
package sizing

import (
	"fmt"
	"math"
	"slices"
	"strings"
	"unicode"

	"yembra/core/flow"
	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// Above double, hot spice and strong aromatics grow by the power of strong and
// chemical raising by that of raising, counted from double on so that no
// amount jumps there; source: kitchen practice, an estimate.
const (
	double  = 2.0
	strong  = 0.85
	raising = 0.9
)

// Deep pots take between these powers of the factor longer where the depth
// grows with it; an estimate.
const (
	deepLeast = 0.5
	deepMost  = 0.67
)

// Bounds of the factor, and of its effect on time that is worth a word.
const (
	Least     = 0.02
	Most      = 50
	timeDrift = 1.15
)

var raisers = []string{"baking-powder", "baking-soda"}

// Dish is a dish at another size.
type Dish struct {
	recipe.Dish
	Factor float64  `json:"factor"`
	Notes  []string `json:"notes"`
}

// Scale sizes a dish by a factor. What is given stays as it is.
func Scale(l *larder.Larder, d recipe.Dish, factor float64) (Dish, error) {
	if !(factor >= Least && factor <= Most) {
		return Dish{}, fmt.Errorf("a dish is sized between %g and %d times, not %.3g times", Least, int(Most), factor)
	}
	out := Dish{Dish: d, Factor: factor, Notes: notes(l, d, factor)}
	if d.Serves != nil {
		s := d.Serves.Times(factor)
		out.Serves = &s
	}
	out.Components = make([]recipe.Component, len(d.Components))
	for i, c := range d.Components {
		part := recipe.Component{Name: c.Name, Lines: make([]recipe.Line, len(c.Lines)), Steps: make([]recipe.Step, len(c.Steps))}
		for j, line := range c.Lines {
			food := l.Food(line.FoodID())
			part.Lines[j] = packed(l, Line(l, line, growth(food, factor)), factor)
		}
		for j, s := range c.Steps {
			if factor != 1 {
				s.Text = flow.Sized(l.Language(), s.Text, func(a measure.Amount) string {
					return Show(measure.Amount{Low: a.Low * factor, High: a.High * factor, Unit: a.Unit})
				})
			}
			part.Steps[j] = s
		}
		out.Components[i] = part
	}
	return out, nil
}

// growth is the factor for one food.
func growth(f *larder.Food, factor float64) float64 {
	power := 1.0
	switch {
	case f == nil || factor <= double:
	case slices.Contains(raisers, f.ID):
		power = raising
	case f.Heat.High > 0 || f.Aisle == "spices":
		power = strong
	}
	return min(factor, double) * math.Pow(max(factor/double, 1), power)
}

// Line writes a line with its amounts multiplied, the words around them kept.
func Line(l *larder.Larder, line recipe.Line, k float64) recipe.Line {
	f := l.Food(line.FoodID())
	if line.Amount == nil || k == 1 || line.Amount.High == 0 {
		return line
	}
	amount := measure.Amount{Low: line.Amount.Low * k, High: line.Amount.High * k, Unit: line.Amount.Unit}
	if counted(amount.Unit) {
		amount.Low, amount.High = whole(amount.Low), whole(amount.High)
	}
	if line.Grams != nil {
		g := line.Grams.Times(k)
		line.Grams = &g
	}
	amount = kitchenUnit(amount)
	text := Show(amount)
	if grams := measure.GramsOf(amount.Unit); f != nil && (amount.Unit == measure.Gram || amount.Unit == measure.Kilogram) && f.Matter.Density > 0 {
		text = measure.ShowMatter(measure.Span{Low: amount.Low * grams, High: amount.High * grams}, f.Matter.Density, larder.Measured(f) && line.Form != "ground", measure.Loose)
	}
	if said := saidUnit(l.Language(), line); said != "" {
		text = measure.Amount{Low: amount.Low, High: amount.High, Unit: measure.Piece}.String() + " " + said
		if amount.High > 1 {
			text = strings.TrimSuffix(text, said) + many(said)
		}
	}
	if text == measure.Pinched {
		text += " of"
	} else if line.Grams != nil && byMeasure(amount.Unit) {
		text += " (" + measure.ShowGrams(*line.Grams, measure.Loose) + ")"
	}
	rest := words(l.Language(), line)
	if line.Amount.Unit == measure.Piece {
		rest = numbered(rest, line.Name, line.Amount.High, amount.High)
	}
	if unit := string(amount.Unit); counted(amount.Unit) && unit != "" && slices.ContainsFunc(strings.Fields(rest), func(w string) bool { return w == unit || w == unit+"s" }) {
		text = measure.Amount{Low: amount.Low, High: amount.High, Unit: measure.Piece}.String() // "4 cinnamon sticks"
		if amount.High > 1 && !strings.Contains(rest, unit+"s") {
			rest = strings.Replace(rest, unit, unit+"s", 1)
		}
	}
	line.Text = text + " " + rest
	line.Amount = &amount
	return line
}

// saidUnit is the container that a line names ("bottle", "jar"), which the unit
// calls a can; empty where the line says so itself.
func saidUnit(lang *language.Language, line recipe.Line) string {
	if line.Amount.Unit != measure.Can {
		return ""
	}
	for _, w := range strings.FieldsFunc(strings.ToLower(line.Text), func(r rune) bool { return !unicode.IsLetter(r) }) {
		if u, ok := lang.Lines.Unit(w); ok && u == measure.Can {
			return one(w)
		}
	}
	return ""
}

// nearPack is how far, as a part, an amount may be from whole packs to be
// rounded to them.
const nearPack = 0.1

// packed rounds a scaled mass to whole packs where it lies near one: "2 tins
// (480 g)". What is dosed finely comes in no packs here.
func packed(l *larder.Larder, line recipe.Line, factor float64) recipe.Line {
	f := l.Food(line.FoodID())
	if f == nil || factor == 1 || len(f.Packs) == 0 || line.Grams == nil || line.Amount == nil || line.Amount.Unit != measure.Gram && line.Amount.Unit != measure.Kilogram || f.Aisle == "spices" || f.Aisle == "baking" {
		return line
	}
	pack := f.Packs[0]
	if pack.Name == "tin" && line.Form != "tinned" && line.Form != "cooked" && !strings.Contains(line.Text, "tin") {
		return line // dried or fresh, and the tin holds it cooked
	}
	size := larder.Or(pack.Drained, pack.Grams)
	count := math.Round(line.Mass() / size)
	if count < 1 || math.Abs(line.Mass()/(count*size)-1) > nearPack {
		return line
	}
	rest := words(l.Language(), line)
	g := measure.Exactly(count * size)
	line.Grams, line.Amount = &g, &measure.Amount{Low: g.Low, High: g.High, Unit: measure.Gram}
	name := pack.Name
	if count > 1 {
		name = many(name)
	}
	line.Text = fmt.Sprintf("%s (%g %s) %s", measure.ShowGrams(g, measure.Loose), count, name, rest)
	return line
}

// words are what a line says besides its amount: as written where the amount
// stands in front, else put together anew.
func words(lang *language.Language, line recipe.Line) string {
	rest := recipe.BehindFigure(line.Text)
	unit := line.Amount.Unit == measure.Piece || line.Amount.Unit == ""
	if first, after, ok := strings.Cut(strings.ReplaceAll(rest, measure.ThinSpace, " "), " "); ok && rest != line.Text {
		if u, is := lang.Lines.Unit(strings.TrimSuffix(first, ".")); is && u == line.Amount.Unit {
			rest, unit = strings.TrimPrefix(after, "of "), true
		}
	}
	rest = recipe.BehindBrackets(rest)
	before, _, named := strings.Cut(rest, line.Name)
	if unit && named && rest != line.Text && !strings.ContainsAny(before, "0123456789") {
		return rest
	}
	rest = line.Name
	for _, o := range line.Also {
		rest += " and " + o.Name
	}
	for _, o := range line.Alternatives {
		rest += " or " + o.Name
	}
	if line.Preparation != "" {
		rest += ", " + line.Preparation
	}
	if line.Optional {
		rest = texts.Say("sizing.optional", rest)
	}
	return rest
}

// counted tells the units that come in pieces.
func counted(u measure.Unit) bool {
	dimension, _ := measure.DimensionOf(u)
	return u == measure.Stick || dimension != measure.Mass && dimension != measure.Volume
}

// byMeasure tells the units beside which a mass helps.
func byMeasure(u measure.Unit) bool {
	return u == measure.Teaspoon || u == measure.Tablespoon || u == measure.Cup
}
