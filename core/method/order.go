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
// it in other words, or else one for all of those that says where they belong.
func (c *Carrier) attach(comp *swap.Component, others []string) {
	var left []int
	for at := range comp.Lines {
		l := &comp.Lines[at]
		used := func(s swap.Step) bool { return s.Change != swap.Dropped && slices.Contains(s.Lines, at) }
		if l.Change == swap.Dropped || len(comp.Steps) == 0 || slices.ContainsFunc(comp.Steps, used) {
			continue
		}
		words := larder.Words(l.Name)
		if f := c.book.Larder().Food(l.FoodID()); f != nil && f.Kind == "oil" {
			if n := slices.IndexFunc(comp.Steps, func(s swap.Step) bool { return does(s, inFat) }); n >= 0 {
				comp.Steps[n].Lines = append(comp.Steps[n].Lines, at) // "oil for frying" goes without saying
				continue
			}
		}
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
		left = append(left, at)
	}
	if left == nil {
		return
	}
	names := make([]string, len(left))
	for i, at := range left {
		names[i] = comp.Lines[at].Name
	}
	what := names[0]
	if last := len(names) - 1; last > 0 {
		what = strings.Join(names[:last], ", ") + " and " + names[last]
	}
	s := c.reader.Step(fmt.Sprintf("Add the %s, tasting as you go.", what), nil)
	s.Lines, s.Animals = left, []recipe.Animal{}
	comp.Steps = append(comp.Steps, swap.Step{Step: s, From: []int{}, Change: swap.Added, Why: "The original lists it and does not say when it goes in."})
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
// filled, baked or served. A step that goes on after its frying ("mix it in and
// leave to cool") is parted there, but not one that the cook has reworded.
func (c *Carrier) boosters(comp *swap.Component, component int, wording map[string]string) {
	for at, l := range comp.Lines {
		if l.Change != swap.Booster {
			continue
		}
		b := c.book.Larder().BoosterNamed(l.FoodID())
		text, fried := fmt.Sprintf("Add the %s.", l.Name), -1
		if b != nil {
			text = b.When
			if b.First {
				fried = slices.IndexFunc(comp.Steps, func(s swap.Step) bool { return does(s, frying) })
				shaped := slices.IndexFunc(comp.Steps, func(s swap.Step) bool { return does(s, shaping) })
				if shaped >= 0 && shaped < fried {
					fried = -1 // what is fried is filled already
				}
			}
			if b.First && fried < 0 && b.Plain != "" {
				text = b.Plain
			}
		}
		s := c.reader.Step(text, nil)
		s.Lines, s.Animals = []int{at}, []recipe.Animal{}
		step := swap.Step{Step: s, From: []int{}, Change: swap.Added, Why: l.Why}
		free := func(n int) bool { return wording[stepKey(component, comp.Steps[n], comp)] == "" }
		where := fried + 1
		if fried < 0 {
			where = c.late(comp, free)
		} else if free(fried) {
			c.partAfter(comp, fried, frying)
		}
		comp.Steps = slices.Insert(comp.Steps, where, step)
	}
}

// frying is where early boosters go in, finishing what late ones must precede.
var (
	frying    = []string{"fry", "saute", "soften", "sweat", "brown", "caramelise", "toast", "temper"}
	finishing = []string{"bake", "roast", "grill", "gratinate", "layer", "stuff", "press", "serve", "deep-fry", "steam", "shape"}
)

// inFat is what oil is listed for without a step that names it.
var inFat = []string{"deep-fry", "fry", "stir-fry", "sear", "saute"}

// shaping comes before a frying that nothing can be added to.
var shaping = []string{"stuff", "shape", "layer", "coat"}

// does tells whether a step of the original works in one of some ways.
func does(s swap.Step, what []string) bool {
	return s.Change != swap.Dropped && len(s.From) > 0 && slices.ContainsFunc(s.Techniques, func(t string) bool { return slices.Contains(what, t) })
}

// late is the index at which a step goes in that comes when the cooking is
// done, and before the dish is finished. A step that mixes and then finishes
// ("mix in the raisins. Press into a dish") is parted between, where it is free
// for that.
func (c *Carrier) late(comp *swap.Component, free func(n int) bool) int {
	at := len(comp.Steps)
	for at > 0 && (does(comp.Steps[at-1], finishing) || comp.Steps[at-1].Change == swap.Dropped) {
		mixed, finished := -1, false
		for i, sentence := range sentences(comp.Steps[at-1].Text) {
			techniques := c.reader.Step(sentence, nil).Techniques
			among := func(what []string) bool {
				return slices.ContainsFunc(techniques, func(t string) bool { return slices.Contains(what, t) })
			}
			if among(mixing) && !among(finishing) {
				mixed, finished = i, false
			} else if among(finishing) {
				finished = true
			}
		}
		if mixed >= 0 && !finished {
			return at
		}
		if mixed >= 0 && comp.Steps[at-1].Change != swap.Dropped && free(at-1) {
			c.partAt(comp, at-1, mixed)
			return at
		}
		at--
	}
	if at == 0 {
		return len(comp.Steps)
	}
	return at
}

// mixing is how a filling or a dough comes together.
var mixing = []string{"mix", "fold", "knead", "beat", "combine"}

// partAfter parts a step behind its last sentence that works in one of some
// ways, if others follow.
func (c *Carrier) partAfter(comp *swap.Component, n int, what []string) {
	last := -1
	for i, sentence := range sentences(comp.Steps[n].Text) {
		if slices.ContainsFunc(c.reader.Step(sentence, nil).Techniques, func(t string) bool { return slices.Contains(what, t) }) {
			last = i
		}
	}
	c.partAt(comp, n, last)
}

// partAt parts a step behind one of its sentences, if others follow.
func (c *Carrier) partAt(comp *swap.Component, n, last int) {
	step := comp.Steps[n]
	said := sentences(step.Text)
	if last < 0 || last >= len(said)-1 {
		return
	}
	lines := make([]recipe.Line, len(comp.Lines))
	for i, l := range comp.Lines {
		lines[i] = l.Line
	}
	first, rest := step, step
	first.Step = c.reader.Step(strings.Join(said[:last+1], " "), lines)
	rest.Step = c.reader.Step(strings.Join(said[last+1:], " "), lines)
	// What neither names by itself (a swap by its short name) stays with both.
	for _, at := range step.Lines {
		if !slices.Contains(first.Lines, at) && !slices.Contains(rest.Lines, at) {
			first.Lines, rest.Lines = append(first.Lines, at), append(rest.Lines, at)
		}
	}
	slices.Sort(first.Lines)
	slices.Sort(rest.Lines)
	first.Animals, rest.Animals = []recipe.Animal{}, []recipe.Animal{}
	comp.Steps = slices.Replace(comp.Steps, n, n+1, first, rest)
}
