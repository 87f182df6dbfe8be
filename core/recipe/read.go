package recipe

import (
	"fmt"
	"strings"

	"yembra/core/measure"
)

// Parts reads the ingredient lines of a recipe that is taken apart; steps are
// left as they stand in the source that comes back, cut to the most that is
// read. It never fails: what is not understood becomes a notice.
func (r *Reader) Parts(src Source, sys measure.System) (Source, Dish) {
	d := Dish{Measures: sys, Name: src.Name, Serves: r.yields.serves(src.Yield), Components: []Component{}, Notices: []Notice{}}
	src, cut := bounded(src)
	if cut {
		d.Note("text", TooLong, fmt.Sprintf("The text is longer than any recipe: only the first %d ingredient lines and %d steps were read.", mostLines, mostSteps))
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
	return src, d
}

// A recipe holds at most this many lines and steps; texts that go on are cut
// and say so.
const (
	mostLines = 400
	mostSteps = 300
)

// bounded cuts a source to the most that is read.
func bounded(src Source) (Source, bool) {
	lines, steps, cut := mostLines, mostSteps, src.Cut
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

// Note adds a notice.
func (d *Dish) Note(where, kind, text string) {
	d.Notices = append(d.Notices, Notice{where, kind, text})
}

// MostSuggested is how many unknown lines get suggestions; a text with more is
// hardly a recipe.
const MostSuggested = 12

// suggestions is how many nearest foods a notice names.
const suggestions = 3

// Suggest names the nearest foods to a name, for a notice.
func (r *Reader) Suggest(name string) string {
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
