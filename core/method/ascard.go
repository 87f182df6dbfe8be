package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// card is an adaptation as a recipe that the reader reads like any other, with
// where each of its steps stands.
type card struct {
	dish recipe.Dish
	at   map[recipe.StepAt]*swap.Step
}

// asCard sets an adaptation out as a recipe.
func (c *Carrier) asCard(d *recipe.Dish, a *swap.Adaptation) card {
	k := card{dish: recipe.Dish{Name: d.Name, Measures: d.Measures, Terse: c.reader.Terse(d)}, at: map[recipe.StepAt]*swap.Step{}}
	for i := range a.Components {
		comp := &a.Components[i]
		part := recipe.Component{Name: comp.Name, Called: comp.Heading}
		for n, l := range comp.Lines {
			line := l.Line
			if l.Change == swap.Dropped {
				line = recipe.Line{} // nothing can mean it
			} else if s := c.calledBySwap(a, i, n); s != nil && l.Change == swap.Swapped && !s.Bare && !othersCalled(a, s.Short, l.FoodID()) {
				line.Also = append(slices.Clone(line.Also), recipe.Alternative{Name: s.Short})
			} else if s != nil && l.Change == swap.Swapped && s.Bare {
				line.OnlyBy = larder.Words(s.Short)[0] // "in spoonfuls of water", and not the water of the list
			}
			part.Lines = append(part.Lines, line)
		}
		for _, n := range apartFirst(a, i) {
			if s := &comp.Steps[n]; s.Change != swap.Dropped {
				k.at[recipe.StepAt{Component: i, Step: len(part.Steps)}] = s
				part.Steps = append(part.Steps, recipe.Step{Text: s.Text, Order: s.Order, Makes: s.Makes, Takes: s.Takes})
			}
		}
		k.dish.Components = append(k.dish.Components, part)
	}
	return k
}

// apartFirst are the steps of a component as the card has them: what is prepared as a part of its own stands
// before the part, so that "cover" there covers what is in the pot.
func apartFirst(a *swap.Adaptation, component int) []int {
	steps := a.Components[component].Steps
	apart := preparedApart(*a, component)
	var first, rest []int
	aside := func(s *swap.Step, id string) bool { return s.Order == 0 && s.Prepares != "" && s.Prepares == id }
	for _, id := range apart {
		for n := range steps {
			if aside(&steps[n], id) {
				first = append(first, n)
			}
		}
	}
	for n := range steps {
		if !slices.ContainsFunc(apart, func(id string) bool { return aside(&steps[n], id) }) {
			rest = append(rest, n)
		}
	}
	return append(first, rest...)
}

// othersCalled tells whether a line of another food goes by a name of one word too, so that
// steps do not call it so.
func othersCalled(a *swap.Adaptation, name, food string) bool {
	return !strings.Contains(name, " ") && slices.ContainsFunc(a.Components, func(c swap.Component) bool {
		return slices.ContainsFunc(c.Lines, func(l swap.Line) bool {
			words := larder.Words(l.Name)
			return l.Change != swap.Dropped && len(words) > 1 && words[len(words)-1] == name && l.FoodID() != food
		})
	})
}

// calledBySwap is the swap that brought a line and has no preparation, so that
// steps call the line by the swap's name; nil for others.
func (c *Carrier) calledBySwap(a *swap.Adaptation, component, line int) *larder.Swap {
	for i := range a.Swaps {
		x := &a.Swaps[i]
		if slices.Contains(x.Lines, line) && swap.ComponentOf(x.Replaces) == component {
			if s := c.book.Larder().SwapNamed(x.Swap); s != nil && len(s.Prepare) == 0 {
				return s
			}
		}
	}
	return nil
}
