package recipe

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/texts"
)

// Bare is the dish as it is kept: without the sentences that the program says of its lines and
// steps, which it says anew in the words of the day when the dish is opened. The dish itself
// stays as it is.
func (d Dish) Bare() Dish {
	d.Components = slices.Clone(d.Components)
	for i := range d.Components {
		c := &d.Components[i]
		c.Lines, c.Steps = slices.Clone(c.Lines), slices.Clone(c.Steps)
		for j := range c.Lines {
			c.Lines[j].Why, c.Lines[j].Beware, c.Lines[j].Basis = "", "", nil
		}
		for j := range c.Steps {
			if len(c.Steps[j].Questions) > 0 {
				c.Steps[j].Actions, c.Steps[j].Questions = nil, nil // read anew, with what is asked
			}
		}
	}
	d.Notices = slices.Clone(d.Notices)
	for i := range d.Notices {
		d.Notices[i].Text = ""
	}
	return d
}

// Told says of each line of a dish that was kept what Bare left out: why its food counts as it
// does, what it is easily taken for, and what its weight rests on.
func (r *Reader) Told(d *Dish) {
	held := d.held()
	for _, c := range d.Components {
		for i := range c.Lines {
			if l := &c.Lines[i]; l.Why == "" {
				r.tell(l, d.Measures, held)
			}
		}
	}
}

func (r *Reader) tell(l *Line, sys measure.System, held map[string]bool) {
	food := r.larder.Food(l.FoodID())
	now := r.Line(l.Text, sys)
	beside := slices.ContainsFunc(r.larder.Contexts(), func(x larder.Context) bool { return food != nil && x.Food.ID == food.ID && settles(&x, l, held) })
	switch {
	case food == nil && now.Food != nil:
		now = Line{Why: texts.Say("recipe.notInTheLarderYetName"), Grams: now.Grams, Basis: now.Basis}
	case food == nil || now.FoodID() == food.ID && !beside:
	case beside:
		now = r.lineBeside(l.Text, food, sys)
	default:
		now = r.LineAs(l.Text, food, sys)
	}
	l.Why, l.Beware = now.Why, now.Beware
	switch {
	case l.Grams == nil:
	case now.Grams != nil && *now.Grams == *l.Grams && now.Basis != nil:
		l.Basis = now.Basis
	default:
		l.Basis = &measure.Basis{Text: texts.Say("recipe.asWeighedWhenItWasRead"), Source: larder.Estimate, Estimate: true}
	}
}
