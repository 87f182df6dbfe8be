package method

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// unlisted are the foods that a step names though no list has them and the
// original's own words do not speak of them either; what comes from the tap is
// listed nowhere.
func (c *Carrier) unlisted(d *recipe.Dish, a *swap.Adaptation, component int, s *swap.Step) []string {
	l := c.book.Larder()
	var out []string
	for _, action := range s.Actions {
		for _, r := range slices.Concat(action.To, action.With, action.Into) {
			if r.Named == nil {
				continue
			}
			words := larder.Words(*r.Named)
			if len(words) == 0 || l.Language().Loose[words[len(words)-1]] || l.Language().Vessels[words[len(words)-1]] {
				continue
			}
			m, ok := l.Index().At(words, 0, true)
			if !ok || m.End != len(words) || m.Food.ID == "water" || saidIn(d, component, s, words) || c.standsFor(a, words) || stillOpen(d, a, m.Food.ID, words) {
				continue
			}
			listed := slices.ContainsFunc(a.Components, func(comp swap.Component) bool {
				return slices.ContainsFunc(comp.Lines, func(x swap.Line) bool {
					return x.Change != swap.Dropped && (x.FoodID() == m.Food.ID || slices.Contains(larder.Words(x.Text), words[len(words)-1]))
				})
			})
			if !listed && !slices.Contains(out, *r.Named) {
				out = append(out, *r.Named)
			}
		}
	}
	return out
}

// stillOpen tells whether words mean a line for which nothing is chosen: that is told there.
func stillOpen(d *recipe.Dish, a *swap.Adaptation, food string, words []string) bool {
	return slices.ContainsFunc(a.Unresolved, func(o swap.Open) bool {
		component, line, ok := recipe.ParseLineRef(o.Line)
		if !ok {
			return false
		}
		l := &d.Components[component].Lines[line]
		return l.FoodID() == food || slices.Contains(larder.Words(l.Name), words[len(words)-1])
	})
}

// standsFor tells whether words are of the name of something that was put in.
func (c *Carrier) standsFor(a *swap.Adaptation, words []string) bool {
	return slices.ContainsFunc(a.Swaps, func(x swap.Chosen) bool {
		s := c.book.Larder().SwapNamed(x.Swap)
		if s == nil {
			return false
		}
		short := larder.Words(s.Short)
		return !slices.ContainsFunc(words, func(w string) bool { return !slices.Contains(short, w) })
	})
}

// saidIn tells whether the steps of the original that a step comes from name the
// same matter.
func saidIn(d *recipe.Dish, component int, s *swap.Step, words []string) bool {
	return slices.ContainsFunc(s.From, func(n int) bool {
		return slices.ContainsFunc(d.Components[component].Steps[n].Actions, func(a recipe.Action) bool {
			return slices.ContainsFunc(slices.Concat(a.To, a.With, a.Into), func(r recipe.Ref) bool {
				return r.Named != nil && slices.Contains(larder.Words(*r.Named), words[len(words)-1])
			})
		})
	})
}
