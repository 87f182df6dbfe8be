package flow

import (
	"fmt"

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
	d.Terse = r.leavesOutArticles(told(src))
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
