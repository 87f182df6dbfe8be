package swap

import (
	"fmt"
	"math"
	"slices"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/sizing"
	"yembra/core/texts"
)

// rest is the dish with what stays of it as the cook has decided: lines that are not
// swapped in other amounts, steps that take other times. It says no where nothing of
// it was decided.
func (x *bench) rest(dec Decisions) (recipe.Dish, bool) {
	d, changed := x.dish, false
	d.Components = slices.Clone(d.Components)
	for i := range d.Components {
		c := &d.Components[i]
		for j := range c.Lines {
			ref := recipe.LineRef(i, j)
			factor, set := dec.Amounts[ref]
			if _, swapped := x.at[ref]; !set || swapped || factor <= 0 || factor == 1 || c.Lines[j].Mass() <= 0 {
				continue
			}
			if &c.Lines[0] == &x.dish.Components[i].Lines[0] {
				c.Lines = slices.Clone(c.Lines)
			}
			x.resize(&c.Lines[j], factor)
			changed = true
		}
		for j := range c.Steps {
			f, set := dec.Figures[stepName(c.Steps[j].ID, i, j)]
			if !set || f.Minutes == nil {
				continue
			}
			if &c.Steps[0] == &x.dish.Components[i].Steps[0] {
				c.Steps = slices.Clone(c.Steps)
			}
			lasting(&c.Steps[j], f.Minutes)
			changed = true
		}
	}
	return d, changed
}

// stepName is how decisions name a step of the original.
func stepName(id string, component, step int) string {
	if id != "" {
		return id
	}
	return recipe.StepRef(component, step)
}

// asSaid is how far, as a part, a line that counts pieces may be from what was asked
// for; a quarter of an onion more is said in grams.
const asSaid = 0.1

// resize gives a line another amount, in its own words where they can say it.
func (x *bench) resize(l *recipe.Line, factor float64) {
	food := x.larder.Food(l.FoodID())
	sized := sizing.Line(x.larder, *l, factor)
	if l.Amount != nil && l.Amount.High > 0 && math.Abs(sized.Amount.High/(l.Amount.High*factor)-1) <= asSaid || sized.Amount != nil && l.Amount != nil && sized.Amount.Unit != l.Amount.Unit {
		*l = sized
		return
	}
	grams := l.Mass() * factor
	if food != nil {
		grams = measure.RoundGrams(grams, fineAmounts(food))
		l.Text = Written(food, grams, l.Preparation)
	} else {
		l.Text = fmt.Sprintf("%.0f g %s", grams, l.Name)
	}
	span := measure.Exactly(grams)
	l.Grams, l.Amount = &span, &measure.Amount{Low: grams, High: grams, Unit: measure.Gram}
}

// lasting gives a step another time: that of its first action with one.
func lasting(s *recipe.Step, minutes *measure.Span) {
	s.Minutes = minutes
	for i := range s.Actions {
		if s.Actions[i].Minutes != nil {
			s.Actions = slices.Clone(s.Actions)
			s.Actions[i].Minutes = minutes
			return
		}
	}
}

// resized is a line that stays in another amount.
func (x *bench) resized(line recipe.Line, ref *string) Line {
	why := x.told(x.dec.Reasons[*ref])
	if why == "" {
		why = texts.Say("swap.theCookHasSetThisAmount")
	}
	line.Why = texts.Say("swap.timesTheOriginalSAmount", larder.Capital(why), x.dec.Amounts[*ref])
	return Line{Line: line, From: ref, Change: Adjusted}
}
