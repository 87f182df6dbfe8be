package recipe

import (
	"maps"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
	"yembra/core/texts"
)

// Parts reads the ingredient lines of a recipe that is taken apart; steps are
// left as they stand in the source that comes back, cut to the most that is
// read. It never fails: what is not understood becomes a notice.
func (r *Reader) Parts(src Source, sys measure.System) (Source, Dish) {
	d := Dish{Measures: sys, Name: src.Name, Serves: r.yields.serves(src.Yield), Components: []Component{}, Notices: []Notice{}}
	src, cut := bounded(src)
	if cut {
		d.Note("text", TooLong, SaysTooLong())
	}
	for _, s := range src.Sections {
		c := Component{Name: s.Name, Lines: []Line{}, Steps: []Step{}}
		for _, text := range s.Lines {
			if strings.TrimSpace(text) != "" {
				c.Lines = append(c.Lines, r.sum(text, sys)...)
			}
		}
		d.Components = append(d.Components, c)
	}
	return src, d
}

// sum reads a line, or two where it adds one food to another, each with its amount: "3 eggs +
// 2 yolks", "a pinch of saffron in 2 tbsp milk", but not "2 tbsp + 1 tsp oil".
func (r *Reader) sum(text string, sys measure.System) []Line {
	for _, w := range append(slices.Sorted(maps.Keys(r.lines().Plus)), "+") {
		first, second, ok := strings.Cut(text, " "+w+" ")
		if !ok || !bracketsClosed(first) || r.otherwise(first) {
			continue
		}
		first = strings.TrimRight(first, " ,")
		left, right := r.Line(first, sys), r.Line(r.beforePurpose(second), sys)
		if left.Food != nil && right.Food != nil && r.amountFirst(first) && r.amountFirst(second) {
			right = r.Line(second, sys)
			return []Line{left, right}
		}
	}
	for _, w := range slices.Sorted(maps.Keys(r.lines().Soaked)) {
		first, second, ok := strings.Cut(text, " "+w+" ")
		if !ok || !r.amountFirst(second) {
			continue
		}
		left, right := r.Line(first, sys), r.Line(second, sys)
		if left.Food != nil && right.Food != nil && larder.Pours(r.larder.Food(right.FoodID())) && right.Mass() > 0 && right.Mass() <= spoonsOf {
			return []Line{left, right}
		}
	}
	for at := strings.Index(text, ", "); at > 0; {
		first, second := text[:at], text[at+2:]
		left, right := r.Line(first, sys), r.Line(r.beforePurpose(second), sys)
		if left.Food != nil && right.Food != nil && right.Mass() > 0 && !strings.ContainsAny(text, "()") && r.amountFirst(first) && r.amountFirst(second) {
			return append([]Line{left}, r.sum(second, sys)...) // "2 tbsp butter for the pot, 50 g butter for the top"
		}
		next := strings.Index(second, ", ")
		if next < 0 {
			break
		}
		at += 2 + next
	}
	if pair := r.pair(text, sys); pair != nil {
		return pair
	}
	return []Line{r.Line(text, sys)}
}

// bracketsClosed tells whether every bracket that a text opens is closed in it: "1 crab (50 g brown meat" is not.
func bracketsClosed(text string) bool { return strings.Count(text, "(") == strings.Count(text, ")") }

// beforePurpose are the words of a line before those that say what it is for: "a splash" of "a splash for
// the mash", which is more of what stands before it.
func (r *Reader) beforePurpose(text string) string {
	lang := r.larder.Language()
	words := strings.Fields(text)
	at := slices.IndexFunc(words, func(w string) bool {
		return lang.Purpose[strings.ToLower(w)] || lang.Prepositions[strings.ToLower(w)] == "for"
	})
	if at < 0 {
		return text
	}
	return strings.Join(words[:at], " ")
}

// pair reads a line of two foods of animals without amounts as two, each with what is said of
// both: "Greek yoghurt and honey, to serve". It is nil for all other lines.
func (r *Reader) pair(text string, sys measure.System) []Line {
	for _, w := range slices.Sorted(maps.Keys(r.lines().And)) {
		first, second, ok := strings.Cut(text, " "+w+" ")
		if !ok {
			continue
		}
		left, right := r.Line(first, sys), r.Line(second, sys)
		if left.Origin != larder.FromAnimal || right.Origin != larder.FromAnimal || left.Food == nil || right.Food == nil || left.Amount != nil || right.Amount != nil || left.FoodID() == right.FoodID() {
			continue
		}
		if left.Preparation == "" && right.Preparation != "" {
			left = r.Line(first+", "+right.Preparation, sys)
		}
		return []Line{left, right}
	}
	return nil
}

// spoonsOf are the grams of a liquid that something is soaked or dissolved in at most, so that
// it goes in with it; an estimate.
const spoonsOf = 60.0

// amountFirst tells whether a line opens with an amount.
func (r *Reader) amountFirst(text string) bool {
	return cursorOver(r.lines(), lex.Scan(text), measure.US).quantity().amount != nil
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

// SaysTooLong says that a text was cut.
func SaysTooLong() string { return texts.Say("recipe.theTextIsLongerThanAny", mostLines, mostSteps) }

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
	return texts.Say("recipe.nearestAre", strings.Join(names, ", "))
}
