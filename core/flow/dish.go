package flow

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// Read reads a recipe from plain text or Markdown: its lines and its method. It
// never fails: what is not understood becomes a notice or a question.
func (r *Reader) Read(text string, sys measure.System) recipe.Dish {
	habit := r.Habit(text)
	if habit != nil {
		sys = habit.System
	}
	d := r.Source(r.Layout(text), sys)
	d.Habit = habit
	return d
}

// Source reads a recipe that is already taken apart.
func (r *Reader) Source(src recipe.Source, sys measure.System) recipe.Dish {
	src, d := r.Parts(src, sys)
	r.InContext(&d)
	src = r.placeSteps(src, &d)
	for i, s := range src.Sections {
		for k, text := range s.Steps {
			step := recipe.Step{Text: text}
			if k < len(s.Order) {
				step.Order = s.Order[k]
			}
			d.Components[i].Steps = append(d.Components[i].Steps, step)
		}
	}
	plainOrder(&d)
	r.Dish(&d)
	r.notices(&d)
	return d
}

// plainOrder drops the order of steps where it is that of the components.
func plainOrder(d *recipe.Dish) {
	last := 0
	for _, c := range d.Components {
		for _, s := range c.Steps {
			if s.Order < last {
				return
			}
			last = s.Order
		}
	}
	for _, c := range d.Components {
		for i := range c.Steps {
			c.Steps[i].Order = 0
		}
	}
}

// placeSteps gives steps that stand under no heading to the part whose lines
// they name most, or else to the part of the step before.
func (r *Reader) placeSteps(src recipe.Source, d *recipe.Dish) recipe.Source {
	loose := slices.IndexFunc(src.Sections, func(s recipe.Section) bool { return s.Name == "" && len(s.Lines) == 0 && len(s.Steps) > 0 })
	at := slices.IndexFunc(src.Sections, func(s recipe.Section) bool { return len(s.Lines) > 0 })
	if loose < 0 || at < 0 {
		return src
	}
	sections := slices.Clone(src.Sections)
	for k, text := range src.Sections[loose].Steps {
		at = r.belongs(text, sections, d, loose, at)
		s := &sections[at]
		s.Steps = append(slices.Clone(s.Steps), text)
		if order := src.Sections[loose].Order; k < len(order) {
			s.Order = append(slices.Clone(s.Order), order[k])
		}
	}
	src.Sections = slices.Delete(sections, loose, loose+1)
	d.Components = slices.Delete(d.Components, loose, loose+1)
	return src
}

// namedPart counts for more than any number of lines: "for the marinade".
const namedPart = 1000

// belongs chooses the part that a loose step is about; last is where the step
// before went.
func (r *Reader) belongs(text string, sections []recipe.Section, d *recipe.Dish, loose, last int) int {
	best, at := 0, last
	together := r.namedTogether(text, d)
	for i := range sections {
		if i == loose {
			continue
		}
		alone := recipe.Dish{Components: []recipe.Component{{Lines: d.Components[i].Lines, Steps: []recipe.Step{{Text: text}}}}}
		r.Dish(&alone)
		n := 2*r.named(text, &alone.Components[0]) + together[i]
		if r.isFor(text, sections[i].Name) {
			n += namedPart
		}
		if i == last && r.goesOn(&alone.Components[0].Steps[0]) {
			n += goingOn
		}
		if n == 0 && r.speaksOf(text, sections[i].Name) {
			n = 1
		}
		if n > best || n == best && n > 0 && i == last {
			best, at = n, i
		}
	}
	return at
}

// goingOn is what it counts that a step begins with what is in hand: as much as a line that it names.
const goingOn = 2

// goesOn tells whether a step begins with an order that names nothing it is done to, and so goes on with what is in hand:
// "shape into flat cakes".
func (r *Reader) goesOn(step *recipe.Step) bool {
	if len(step.Actions) == 0 {
		return false
	}
	a := &step.Actions[0]
	t := r.larder.Technique(a.Technique)
	return t != nil && t.Needs == "object" && len(a.Words.Phrases) == 0 && len(a.To) == 0
}

// namedTogether counts for each part the lines that a step takes where it may choose among
// those of all: "the whites" are the egg whites of one and no yolks of another.
func (r *Reader) namedTogether(text string, d *recipe.Dish) []int {
	var part []int
	one := recipe.Component{Steps: []recipe.Step{{Text: text}}}
	for i := range d.Components {
		for _, l := range d.Components[i].Lines {
			one.Lines, part = append(one.Lines, l), append(part, i)
		}
	}
	all := recipe.Dish{Components: []recipe.Component{one}}
	r.Dish(&all)
	count := make([]int, len(d.Components))
	for _, at := range all.Components[0].Steps[0].Lines {
		count[part[at]]++
	}
	return count
}

// named counts the lines of a part that a step takes by a word of their own, or by that of a
// group they are of: "the pieces" are those of what is in hand, and no sign of a part.
func (r *Reader) named(text string, c *recipe.Component) int {
	said, group := map[string]bool{}, false
	for _, w := range larder.Words(text) {
		said[w] = true
		group = group || r.lang.Groups[w] != nil || r.lang.Ingredients[w] || r.larder.Words().AnimalWords[w] != ""
	}
	n := 0
	for _, at := range c.Steps[0].Lines {
		if group || slices.ContainsFunc(larder.Words(c.Lines[at].Text), func(w string) bool { return said[w] && !r.lang.Articles[w] && r.lang.Prepositions[w] == "" }) {
			n++
		}
	}
	return n
}

// speaksOf tells whether a step names what a part is called by: "the dough".
func (r *Reader) speaksOf(text, part string) bool {
	want, said := larder.Words(part), larder.Words(text)
	for i := 1; len(want) > 0 && i < len(said); i++ {
		if said[i] == want[len(want)-1] && r.lang.Articles[said[i-1]] {
			return true
		}
	}
	return false
}

// isFor tells whether a step says for which part it is: "for the sauce", "the
// filling ingredients".
func (r *Reader) isFor(text, part string) bool {
	want, said := larder.Words(part), larder.Words(text)
	if len(want) == 0 {
		return false
	}
	if label, _, ok := strings.Cut(text, ":"); ok && slices.Equal(larder.Words(label), want) {
		return true // "Curd: whisk everything in a bowl"
	}
	opening, _, _ := strings.Cut(text, ". ")
	first := len(larder.Words(opening))
	for i := range said {
		if i+len(want) > len(said) || !slices.Equal(said[i:i+len(want)], want) {
			continue
		}
		if after := i + len(want); (i <= farthestFor || i < first) && after < len(said) && r.lang.Ingredients[said[after]] {
			return true // "squeeze the water out of the grated onion, then mix all the kofta ingredients"
		}
		if i >= 2 && i <= farthestFor && r.lang.Prepositions[said[i-2]] == "for" && r.lang.Articles[said[i-1]] {
			return true
		}
	}
	return false
}

// farthestFor is within how many words a step must say for which part it is.
const farthestFor = 8

// notices says what was not understood, what only the steps mention, and what no
// step uses.
func (r *Reader) notices(d *recipe.Dish) {
	lines, steps, unknown := 0, 0, 0
	listed := map[larder.Animal]bool{}
	for i, c := range d.Components {
		for j, l := range c.Lines {
			lines++
			if l.Animal != "" {
				listed[l.Animal] = true
			}
			if l.Food == nil {
				near := ""
				if unknown++; unknown <= recipe.MostSuggested {
					near = r.Suggest(l.Name)
				}
				d.Note(recipe.LineRef(i, j), recipe.UnknownFood, texts.Say("flow.isNotInTheLarder", l.Name, near))
			}
			if l.Amount != nil && l.Grams == nil && l.Food != nil {
				d.Note(recipe.LineRef(i, j), recipe.UnknownAmount, texts.Say("flow.noWeightIsKnownForOf", l.Amount, l.Name))
			}
			if l.Origin != larder.FromAnimal && l.Origin != larder.Mixed {
				if name := r.animalBeside(l); name != "" {
					why := texts.Say("flow.theLineNamesAsWell", l.Text, name)
					d.Components[i].Lines[j].Check, d.Components[i].Lines[j].Why = true, why
					d.Note(recipe.LineRef(i, j), recipe.AnimalBeside, why)
				}
			}
		}
		steps += len(c.Steps)
	}
	for i, c := range d.Components {
		for j, s := range c.Steps {
			for _, a := range s.Animals {
				if !listed[a.Animal] {
					d.Note(fmt.Sprintf("components[%d].steps[%d]", i, j), recipe.OnlyInStep, texts.Say("flow.isNamedOnlyInStepNot", larder.Capital(a.Name), j+1))
				}
			}
		}
	}
	switch {
	case lines == 0 && steps == 0:
		d.Note("text", recipe.NoRecipe, texts.Say("flow.noRecipeWasFoundInThis"))
	case lines == 0:
		d.Note("text", recipe.NoLines, texts.Say("flow.noListOfIngredientsWasFound"))
	case steps == 0:
		d.Note("text", recipe.NoSteps, texts.Say("flow.noMethodWasFoundTheSteps"))
	default:
		r.unusedLines(d)
	}
}

// unusedLines says which lines no step takes.
func (r *Reader) unusedLines(d *recipe.Dish) {
	used := map[string]bool{}
	for _, c := range d.Components {
		for _, s := range c.Steps {
			for _, a := range s.Actions {
				for ref := range a.Refs() {
					if ref.Line != nil {
						used[*ref.Line] = true
					}
				}
			}
		}
	}
	for i, c := range d.Components {
		for j, l := range c.Lines {
			if ref := recipe.LineRef(i, j); !used[ref] && l.Food != nil {
				d.Note(ref, recipe.UnusedLine, texts.Say("flow.noStepSaysWhatBecomesOf", l.Name))
			}
		}
	}
}
