package recipe

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/texts"
)

// InContext settles names that mean two foods by what else the recipe holds:
// lady's fingers beside mascarpone are the biscuits, beside okra's company the
// vegetable.
func (r *Reader) InContext(d *Dish) {
	held := map[string]bool{}
	for _, c := range d.Components {
		for i := range c.Lines {
			held[c.Lines[i].FoodID()] = true
		}
	}
	for _, c := range d.Components {
		for i := range c.Lines {
			l := &c.Lines[i]
			for _, x := range r.larder.Contexts() {
				if !slices.Equal(larder.Words(l.Name), x.Words) || !slices.ContainsFunc(x.Beside, func(id string) bool { return held[id] }) {
					continue
				}
				mended := r.LineAs(l.Text, x.Food, d.Measures)
				mended.Why = texts.Say("recipe.takenSoBecauseOfWhatElse", found(x.Food).why)
				*l = mended
			}
		}
	}
}
