package sizing

import (
	"math"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// whole rounds what is counted to halves up to three and to whole ones above.
func whole(v float64) float64 {
	if v < 3 {
		return max(math.Round(v*2)/2, 0.25)
	}
	return math.Round(v)
}

// Show writes a scaled amount as a kitchen measures it.
func Show(a measure.Amount) string {
	if grams := measure.GramsOf(a.Unit); grams > 0 && (a.Unit == measure.Gram || a.Unit == measure.Kilogram) {
		return measure.ShowGrams(measure.Span{Low: a.Low * grams, High: a.High * grams}, measure.Loose)
	}
	if a.Unit == measure.Millilitre || a.Unit == measure.Litre {
		ml := measure.MillilitresOf(a.Unit, measure.Metric)
		return measure.ShowLiquid(measure.Span{Low: a.Low * ml, High: a.High * ml})
	}
	if byMeasure(a.Unit) {
		size := measure.MillilitresOf(a.Unit, measure.Metric)
		low, high := measure.ShowMillilitres(a.Low*size, measure.Metric, measure.Loose), measure.ShowMillilitres(a.High*size, measure.Metric, measure.Loose)
		if low == high {
			return low
		}
		return low + " to " + high
	}
	text := a.String()
	if counted(a.Unit) && a.Unit != measure.Piece && a.Unit != "" && a.High > 1 {
		switch unit := string(a.Unit); {
		case a.Unit == measure.Leaf:
			text = strings.TrimSuffix(text, unit) + "leaves"
		default:
			text = strings.TrimSuffix(text, unit) + many(unit)
		}
	}
	return text
}

// mostPinches is how many pinches or dashes are counted; more are spoons.
const mostPinches = 3

// kitchenUnit puts an amount that has outgrown its unit into one that a kitchen
// measures it by: pinches and dashes in spoons, wine by the decilitre in
// millilitres.
func kitchenUnit(a measure.Amount) measure.Amount {
	switch a.Unit {
	case measure.Pinch, measure.Dash:
		if a.High > mostPinches {
			to := measure.MillilitresOf(a.Unit, measure.Metric) / measure.MillilitresOf(measure.Teaspoon, measure.Metric)
			return measure.Amount{Low: a.Low * to, High: a.High * to, Unit: measure.Teaspoon}
		}
		return measure.Amount{Low: max(math.Round(a.Low), 1), High: max(math.Round(a.High), 1), Unit: a.Unit}
	case measure.Glug:
		return measure.Amount{Low: max(math.Round(a.Low*2)/2, 0.5), High: max(math.Round(a.High*2)/2, 0.5), Unit: a.Unit}
	case measure.Centilitre, measure.Decilitre:
		to := measure.MillilitresOf(a.Unit, measure.Metric)
		return measure.Amount{Low: a.Low * to, High: a.High * to, Unit: measure.Millilitre}
	}
	return a
}

// notes say what the factor does not scale.
func notes(l *larder.Larder, d recipe.Dish, k float64) []string {
	out := []string{}
	if k == 1 {
		return out
	}
	has := func(match func(*larder.Food) bool) bool {
		return slices.ContainsFunc(d.Components, func(c recipe.Component) bool {
			return slices.ContainsFunc(c.Lines, func(line recipe.Line) bool { f := l.Food(line.FoodID()); return f != nil && match(f) })
		})
	}
	does := func(techniques ...string) bool {
		return slices.ContainsFunc(d.Components, func(c recipe.Component) bool {
			return slices.ContainsFunc(c.Steps, func(s recipe.Step) bool {
				return slices.ContainsFunc(s.Techniques, func(t string) bool { return slices.Contains(techniques, t) })
			})
		})
	}
	out = append(out, texts.Say("sizing.saltIsScaledWithTheRest"))
	if least, most := math.Pow(k, deepLeast), math.Pow(k, deepMost); most > timeDrift {
		out = append(out, texts.Say("sizing.minutesWhereItIsDeeper", least, most))
	} else if 1/most > timeDrift {
		out = append(out, texts.Say("sizing.minutesWhereItIsLessDeep", most, least))
	}
	if does("fry", "brown", "sear") && k > 1 {
		out = append(out, texts.Say("sizing.fryAndBrownInBatchesThat"))
	}
	if does("simmer", "reduce", "boil-off", "boil") {
		out = append(out, texts.Say("sizing.whatBoilsAwayDependsOnThe"))
	}
	if k > double {
		if has(func(f *larder.Food) bool { return growth(f, k) < k && !slices.Contains(raisers, f.ID) }) {
			out = append(out, texts.Say("sizing.spicesAndChilliesAreHeldBack", strong))
		}
		if has(func(f *larder.Food) bool { return slices.Contains(raisers, f.ID) }) {
			out = append(out, texts.Say("sizing.bakingPowderAndSodaAreHeld", raising))
		}
	}
	return out
}
