package recipe

import (
	"fmt"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
)

// Read reads a recipe from plain text or Markdown. It never fails: what is
// not understood becomes a notice.
func (r *Reader) Read(text string, sys measure.System) Dish {
	habit := Habit(text)
	if habit != nil {
		sys = habit.System
	}
	d := r.Source(r.Layout(text), sys)
	d.Habit = habit
	return d
}

// Source reads a recipe that is already taken apart.
func (r *Reader) Source(src Source, sys measure.System) Dish {
	d := Dish{Measures: sys, Name: src.Name, Serves: serves(src.Yield), Components: []Component{}, Notices: []Notice{}}
	src, cut := bounded(src)
	if cut {
		d.note("text", TooLong, fmt.Sprintf("The text is longer than any recipe: only the first %d ingredient lines and %d steps were read.", mostLines, mostSteps))
	}
	for _, s := range src.Sections {
		c := Component{Name: s.Name, Lines: []Line{}, Steps: []Step{}}
		for _, text := range s.Lines {
			if strings.TrimSpace(text) != "" {
				c.Lines = append(c.Lines, r.Line(text, sys))
			}
		}
		d.Components = append(d.Components, c)
	}
	src = r.placeSteps(src, d)
	d.Components = d.Components[:len(src.Sections)]
	for i, s := range src.Sections {
		lines := d.Components[i].Lines
		if len(lines) == 0 {
			lines = allLines(d)
		}
		before := past{made: map[string][]int{}}
		for k, text := range s.Steps {
			step := r.stepAfter(text, lines, before)
			if k < len(s.Order) {
				step.Order = s.Order[k]
			}
			before.add(step)
			if len(d.Components[i].Lines) == 0 {
				step.Lines = []int{}
			}
			d.Components[i].Steps = append(d.Components[i].Steps, step)
		}
	}
	d.Components = r.shareSteps(d.Components)
	r.inContext(&d)
	r.notices(&d)
	return d
}

// A recipe holds at most this many lines and steps; texts that go on are cut
// and say so.
const (
	mostLines = 400
	mostSteps = 300
)

// bounded cuts a source to the most that is read.
func bounded(src Source) (Source, bool) {
	lines, steps, cut := mostLines, mostSteps, false
	out := Source{Name: src.Name, Yield: src.Yield}
	for _, s := range src.Sections {
		if len(s.Lines) > lines {
			s.Lines, cut = s.Lines[:lines], true
		}
		if len(s.Steps) > steps {
			s.Steps, cut = s.Steps[:steps], true
			s.Order = s.Order[:min(len(s.Order), steps)]
		}
		lines, steps = lines-len(s.Lines), steps-len(s.Steps)
		if len(s.Lines)+len(s.Steps) > 0 {
			out.Sections = append(out.Sections, s)
		}
	}
	return out, cut
}

// placeSteps gives steps that stand under no heading to the part whose lines
// they name most, or else to the part of the step before.
func (r *Reader) placeSteps(src Source, d Dish) Source {
	last := len(src.Sections) - 1
	loose := slices.IndexFunc(src.Sections, func(s Section) bool { return s.Name == "" && len(s.Lines) == 0 && len(s.Steps) > 0 })
	if loose < 0 || last < 1 {
		return src
	}
	out := Source{Name: src.Name, Yield: src.Yield, Sections: slices.Clone(src.Sections)}
	at := slices.IndexFunc(out.Sections, func(s Section) bool { return len(s.Lines) > 0 })
	if at < 0 {
		return src
	}
	for k, text := range src.Sections[loose].Steps {
		best := 0
		for i := range out.Sections {
			n := len(r.Step(text, d.Components[i].Lines).Lines)
			if names(text, out.Sections[i].Name) {
				n += mostLines // "with everything for the marinade"
			}
			if i != loose && (n > best || n == best && n > 0 && i == at) {
				best, at = n, i
			}
		}
		out.Sections[at].Steps = append(slices.Clone(out.Sections[at].Steps), text)
		if order := src.Sections[loose].Order; k < len(order) {
			out.Sections[at].Order = append(slices.Clone(out.Sections[at].Order), order[k])
		}
	}
	out.Sections = slices.Delete(out.Sections, loose, loose+1)
	copy(d.Components[loose:], d.Components[loose+1:])
	return out
}

// names tells whether a step says for which part it is.
func names(text, part string) bool {
	words := larder.Words(part)
	if len(words) == 0 {
		return false
	}
	said := larder.Words(text)
	return holds(said, append([]string{"for", "the"}, words...)) || holds(said, append(slices.Clone(words), "ingredient"))
}

func allLines(d Dish) []Line {
	var lines []Line
	for _, c := range d.Components {
		lines = append(lines, c.Lines...)
	}
	return lines
}

// shareSteps reads steps again against all lines where their own component
// lists nothing they name, so that animal matter of other parts is resolved.
func (r *Reader) shareSteps(components []Component) []Component {
	var all []Line
	for _, c := range components {
		all = append(all, c.Lines...)
	}
	for i := range components {
		before := past{made: map[string][]int{}}
		for j, s := range components[i].Steps {
			if len(components) > 1 && len(components[i].Lines) > 0 {
				components[i].Steps[j].Animals = r.stepAfter(s.Text, all, before).Animals
			}
			before.add(s)
		}
	}
	return components
}

var servesStartAnywhere = regexp.MustCompile(`(?i)\b(?:serves|servings?|yields?|makes|feeds)\b.*\d`)

var yieldNumbers = regexp.MustCompile(`(?i)(\d+(?:\.\d+)?|\btwo\b|\bthree\b|\bfour\b|\bfive\b|\bsix\b|\beight\b|\bten\b|\btwelve\b)(?:\s*(?:-|–|to|or)\s*(\d+))?`)

func serves(text string) *measure.Span {
	if at := servesStartAnywhere.FindStringIndex(text); at != nil {
		text = text[at[0]:] // "Cook: 90 min | Serves: 6"
	}
	m := yieldNumbers.FindStringSubmatch(text)
	if m == nil {
		return nil
	}
	low, err := strconv.ParseFloat(m[1], 64)
	if err != nil {
		low = lex.NumberWords[strings.ToLower(m[1])]
	}
	if low <= 0 || low > 500 {
		return nil
	}
	high := low
	if h, err := strconv.ParseFloat(m[2], 64); err == nil && h > low {
		high = h
	}
	return &measure.Span{Low: low, High: high}
}

// notices says what was not understood and what only the steps mention.
func (r *Reader) notices(d *Dish) {
	lines, steps, unknown := 0, 0, 0
	listed := map[larder.Animal]bool{}
	for i, c := range d.Components {
		for j, l := range c.Lines {
			lines++
			if l.Animal != "" {
				listed[l.Animal] = true
			}
			where := fmt.Sprintf("components[%d].lines[%d]", i, j)
			if l.Food == nil {
				near := ""
				if unknown++; unknown <= mostSuggested {
					near = r.suggest(l.Name)
				}
				d.note(where, UnknownFood, fmt.Sprintf("%q is not in the larder%s.", l.Name, near))
			}
			if l.Amount != nil && l.Grams == nil && l.Food != nil {
				d.note(where, UnknownAmount, fmt.Sprintf("No weight is known for %s of %s; give the grams.", l.Amount, l.Name))
			}
		}
		steps += len(c.Steps)
	}
	for i, c := range d.Components {
		for j, s := range c.Steps {
			for _, a := range s.Animals {
				if !listed[a.Animal] {
					d.note(fmt.Sprintf("components[%d].steps[%d]", i, j), OnlyInStep, fmt.Sprintf("%s is named only in step %d, not among the ingredients.", larder.Capital(a.Name), j+1))
				}
			}
		}
	}
	switch {
	case lines == 0 && steps == 0:
		d.note("text", NoRecipe, "No recipe was found in this text: a list of ingredients with amounts is what the reader looks for.")
	case lines == 0:
		d.note("text", NoLines, "No list of ingredients was found.")
	case steps == 0:
		d.note("text", NoSteps, "No method was found; the steps can be added by hand.")
	}
}

func (d *Dish) note(where, kind, text string) {
	d.Notices = append(d.Notices, Notice{where, kind, text})
}

// mostSuggested is how many unknown lines get suggestions; a text with more is
// hardly a recipe.
const mostSuggested = 12

// suggestions is how many nearest foods a notice names.
const suggestions = 3

func (r *Reader) suggest(name string) string {
	near := r.larder.Index().Nearest(name, suggestions)
	if len(near) == 0 {
		return ""
	}
	names := make([]string, len(near))
	for i, f := range near {
		names[i] = f.Name
	}
	return "; nearest are " + strings.Join(names, ", ")
}
