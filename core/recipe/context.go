package recipe

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/texts"
)

// InContext settles names that mean two foods by what else the recipe holds:
// lady's fingers beside mascarpone are the biscuits, beside okra's company the
// vegetable.
func (r *Reader) InContext(d *Dish) {
	held := d.held()
	for _, c := range d.Components {
		for i := range c.Lines {
			l := &c.Lines[i]
			for _, x := range r.larder.Contexts() {
				if settles(&x, l, held) {
					*l = r.lineBeside(l.Text, x.Food, d.Measures)
				}
			}
		}
	}
}

// held are the foods of a dish.
func (d *Dish) held() map[string]bool {
	held := map[string]bool{}
	for _, c := range d.Components {
		for i := range c.Lines {
			held[c.Lines[i].FoodID()] = true
		}
	}
	return held
}

// lineBeside reads a line whose food is told by what else the recipe holds.
func (r *Reader) lineBeside(text string, food *larder.Food, sys measure.System) Line {
	l := r.LineAs(text, food, sys)
	l.Why = texts.Say("recipe.takenSoBecauseOfWhatElse", found(food).why)
	return l
}

// settles tells whether what the recipe holds says which food the name of a line means.
func settles(x *larder.Context, l *Line, held map[string]bool) bool {
	return slices.Equal(larder.Words(l.Name), x.Words) && slices.ContainsFunc(x.Beside, func(id string) bool { return held[id] })
}
