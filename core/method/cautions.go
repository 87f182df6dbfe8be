package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/swap"
)

// caution puts each caution at the first step it fits; the grave ones at every
// step, so that nobody can miss them.
func (c *Carrier) caution(a *swap.Adaptation) {
	said := map[string]bool{}
	for i := range a.Components {
		comp := &a.Components[i]
		for n := range comp.Steps {
			s := &comp.Steps[n]
			s.Cautions = []larder.Caution{}
			if s.Change == swap.Dropped {
				continue
			}
			holds := func(foods, shelves, forms []string) bool {
				return slices.ContainsFunc(s.Lines, func(at int) bool {
					l := &comp.Lines[at]
					f := c.book.Larder().Food(l.FoodID())
					return f != nil && (slices.Contains(foods, f.ID) || slices.Contains(shelves, f.Aisle)) && (len(forms) == 0 || slices.Contains(forms, l.Form))
				})
			}
			for _, x := range c.book.Larder().Cautions() {
				if (x.Grave || !said[x.ID]) && x.Fits(s.Techniques, strings.ToLower(s.Text), holds) {
					said[x.ID] = true
					s.Cautions = append(s.Cautions, *x)
				}
			}
		}
	}
}
