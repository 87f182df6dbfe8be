package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/core/texts"
)

// fewServings is assumed where a recipe does not say for how many it is.
const fewServings = 4

// leastSauce is the grams below which a side pot takes nothing from the dish.
const leastSauce = 30

// sidePots branches off, in every component that lost meat or fish, a pot for
// guests who eat the original.
func (c *Carrier) sidePots(d recipe.Dish, a swap.Adaptation, guests float64) []swap.Branch {
	out := []swap.Branch{}
	table := float64(fewServings)
	if d.Serves != nil && d.Serves.Mid() > 0 {
		table = d.Serves.Mid()
	}
	if guests <= 0 {
		return out
	}
	guests = min(guests, table)
	for i := range a.Components {
		here := slices.DeleteFunc(c.standIns(&d, &a, i), func(s *standIn) bool {
			food := c.book.Larder().Food(s.was.FoodID())
			return s.was.Origin != larder.FromAnimal || !s.flesh() || food == nil || food.Tagged(larder.NoPiece)
		})
		if len(here) > 0 {
			out = append(out, c.sidePot(d.Components[i], &a.Components[i], here, guests, table))
		}
	}
	return out
}

func (c *Carrier) sidePot(was recipe.Component, comp *swap.Component, here []*standIn, guests, table float64) swap.Branch {
	share := guests / table
	b := swap.Branch{Component: comp.Name, Guests: guests, Lines: []string{}, Steps: []string{}, Core: []string{}}
	names := c.sideLines(&b, here, share)
	at := slices.IndexFunc(comp.Steps, func(s swap.Step) bool {
		return s.Change != swap.Dropped && len(s.From) > 0 && slices.ContainsFunc(here, func(r *standIn) bool {
			return slices.ContainsFunc(r.lines, func(n int) bool { return slices.Contains(s.Lines, n) })
		})
	})
	number := sauceBefore(&b, comp, at, share)
	b.Sauce = measure.RoundGrams(b.Sauce, measure.Loose)
	all := listed(names)
	b.Steps = append(b.Steps, texts.Say("method.onABoardAndWithA", all))
	switch {
	case at >= 0 && b.Sauce >= leastSauce:
		b.Step = number + 1
		b.Steps = append(b.Steps, texts.Say("method.beforeTakeAboutOfWhatIs", flow.Beginning(comp.Steps[at].Text), measure.ShowGrams(measure.Exactly(b.Sauce), measure.Loose), guests, table))
	default:
		b.Sauce = 0
		b.Steps = append(b.Steps, texts.Say("method.cookItInAPanOf"))
	}
	for _, s := range was.Steps {
		if slices.ContainsFunc(here, func(r *standIn) bool { return slices.Contains(s.Lines, r.line) }) {
			b.Steps = append(b.Steps, texts.Say("method.inTheSecondPotAsThe", s.Text))
		}
	}
	b.Steps = append(b.Steps, texts.Say("method.stirAndServeItWithA"))
	return b
}

// sideLines lists what goes into the second pot, and the heat that it must reach.
func (c *Carrier) sideLines(b *swap.Branch, here []*standIn, share float64) []string {
	names := make([]string, 0, len(here))
	for _, r := range here {
		names = append(names, r.was.Name)
		text := r.was.Name
		if r.was.Grams != nil {
			text = measure.ShowGrams(r.was.Grams.Times(share), measure.Loose) + " " + r.was.Name
		}
		if r.was.Preparation != "" {
			text += ", " + r.was.Preparation
		}
		b.Lines = append(b.Lines, text)
		if t, ok := c.book.Larder().CoreTemperatureOf(r.was.Animal, c.book.Larder().Food(r.was.FoodID()).Kind, r.was.Form); ok {
			say := texts.Say("method.cInTheMiddleByA", larder.Capital(r.was.Name), t.Celsius)
			if t.Rest > 0 {
				say = texts.Say("method.thenMinutesOfRest", say, t.Rest)
			}
			b.Core = append(b.Core, say+" ("+c.book.Larder().SourceTitle(t.Source)+").")
		}
	}
	return names
}

// sauceBefore sums what of the dish is in the pot before a step, and counts the steps until
// then.
func sauceBefore(b *swap.Branch, comp *swap.Component, at int, share float64) int {
	kept := map[int]bool{}
	number := 0
	for n := 0; n < at; n++ {
		s := comp.Steps[n]
		if s.Change == swap.Dropped {
			continue
		}
		number++
		if s.Prepares != "" {
			continue
		}
		for _, l := range s.Lines {
			kept[l] = true
		}
	}
	for l := range kept {
		if comp.Lines[l].Change != swap.Swapped {
			b.Sauce += comp.Lines[l].Mass() * share
		}
	}
	return number
}

func listed(names []string) string {
	switch n := len(names); n {
	case 0:
		return ""
	case 1:
		return names[0]
	default:
		text := names[0]
		for _, name := range names[1 : n-1] {
			text += ", " + name
		}
		return text + " and " + names[n-1]
	}
}
