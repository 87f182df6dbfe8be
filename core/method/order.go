package method

import (
	"fmt"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// overnight is the waiting in minutes from which a preparation is for the
// evening before.
const (
	overnight     = 240.0
	eveningBefore = "The evening before: "
)

func lowered(text string) string {
	r, n := utf8.DecodeRuneInString(text)
	return string(unicode.ToLower(r)) + text[n:]
}

// earliest puts what is for the evening before in front.
func earliest(steps []swap.Step) []swap.Step {
	slices.SortStableFunc(steps, func(a, b swap.Step) int {
		early := func(s swap.Step) int {
			if s.Change == swap.Added && strings.HasPrefix(s.Text, eveningBefore) {
				return 0
			}
			return 1
		}
		return early(a) - early(b)
	})
	return steps
}

// attach gives every line of the component a step that uses it: one that names
// it in other words, or else one that says where it belongs.
func (c *Carrier) attach(comp *swap.Component, others []string) {
	for at := range comp.Lines {
		l := &comp.Lines[at]
		used := func(s swap.Step) bool { return s.Change != swap.Dropped && slices.Contains(s.Lines, at) }
		if l.Change == swap.Dropped || len(comp.Steps) == 0 || slices.ContainsFunc(comp.Steps, used) {
			continue
		}
		words := larder.Words(l.Name)
		named := slices.IndexFunc(comp.Steps, func(s swap.Step) bool {
			return s.Change != swap.Dropped && slices.ContainsFunc(larder.Words(s.Text), func(w string) bool { return slices.Contains(words, w) })
		})
		if named >= 0 {
			comp.Steps[named].Lines = append(comp.Steps[named].Lines, at)
			continue
		}
		if len(words) > 0 && slices.Contains(others, words[len(words)-1]) {
			continue // a step of another part names it
		}
		s := c.reader.Step(fmt.Sprintf("Add the %s, tasting as you go.", l.Name), nil)
		s.Lines, s.Animals = []int{at}, []recipe.Animal{}
		comp.Steps = append(comp.Steps, swap.Step{Step: s, From: []int{}, Change: swap.Added, Why: "The original lists it and does not say when it goes in."})
	}
}

// elsewhere are the words of all steps of the other components of a dish.
func elsewhere(d recipe.Dish, component int) []string {
	var out []string
	for i, c := range d.Components {
		for _, s := range c.Steps {
			if i != component {
				out = append(out, larder.Words(s.Text)...)
			}
		}
	}
	return out
}

// unprepared adds the preparation of swaps whose line no step names.
func (c *Carrier) unprepared(comp *swap.Component, here []replacement, prepared map[string]bool) {
	steps := comp.Steps
	comp.Steps = nil
	for _, r := range here {
		if r.book != nil && !prepared[r.chosen.Replaces] {
			c.prepare(comp, alikeOf(here, r), prepared)
		}
	}
	comp.Steps = append(comp.Steps, steps...)
}

// boosters adds one step for each booster of the component, in the words of
// the book and at its moment: with the first frying, or before the dish is
// filled, baked or served.
func (c *Carrier) boosters(comp *swap.Component) {
	for at, l := range comp.Lines {
		if l.Change != swap.Booster {
			continue
		}
		text, early := fmt.Sprintf("Add the %s.", l.Name), false
		if b := c.book.Larder().BoosterNamed(l.FoodID()); b != nil {
			text, early = b.When, b.First
		}
		s := c.reader.Step(text, nil)
		s.Lines, s.Animals = []int{at}, []recipe.Animal{}
		step := swap.Step{Step: s, From: []int{}, Change: swap.Added, Why: l.Why}
		comp.Steps = slices.Insert(comp.Steps, moment(comp.Steps, early), step)
	}
}

// frying is where early boosters go in, finishing what late ones must precede.
var (
	frying    = []string{"fry", "saute", "soften", "sweat", "brown", "caramelise", "toast", "temper"}
	finishing = []string{"bake", "roast", "grill", "gratinate", "layer", "stuff", "press", "serve", "deep-fry", "steam", "shape"}
)

// moment is the index at which a booster's step goes in.
func moment(steps []swap.Step, early bool) int {
	does := func(s swap.Step, what []string) bool {
		return s.Change != swap.Dropped && len(s.From) > 0 && slices.ContainsFunc(s.Techniques, func(t string) bool { return slices.Contains(what, t) })
	}
	if early {
		if at := slices.IndexFunc(steps, func(s swap.Step) bool { return does(s, frying) }); at >= 0 {
			return at + 1
		}
		return 0
	}
	at := len(steps)
	for at > 0 && (does(steps[at-1], finishing) || steps[at-1].Change == swap.Dropped) {
		at--
	}
	if at == 0 {
		return len(steps)
	}
	return at
}
