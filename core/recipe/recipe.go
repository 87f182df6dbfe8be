// Package recipe is the shape of a dish as written (components, lines, steps)
// and the reader that makes it from the text of a recipe.
//
// Reading goes through four stages, each testable by itself: a layout that
// finds the parts of the text, a lexer and line parser for ingredient lines, a
// food matcher, and a step parser.
package recipe

import (
	"slices"
	"strconv"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
)

// Dish is a recipe as read.
type Dish struct {
	Name       string        `json:"name"`
	Serves     *measure.Span `json:"serves" jsonschema:"nullable"`
	Components []Component   `json:"components"`
	Notices    []Notice      `json:"notices"`
	// Measures says whose cups, spoons and pints the amounts were read by.
	Measures measure.System `json:"measures,omitempty"`
	// Habit is what the recipe says of its own measures, nil when nothing.
	Habit *MeasureHabit `json:"habit,omitempty" jsonschema:"nullable"`
	// Terse tells that its method leaves out the articles: "add onion to pan". It is kept nowhere.
	Terse bool `json:"-"`
}

// MeasureHabit is whose measures a recipe says it uses, and by which words.
type MeasureHabit struct {
	System measure.System `json:"system"`
	Words  string         `json:"words"`
}

// Component is one part of a dish with lines and steps of its own: a stew,
// its dumplings. The main or only one may have an empty name.
type Component struct {
	// ID is its lasting name in a kept dish, empty elsewhere.
	ID    string `json:"id,omitempty"`
	Name  string `json:"name"`
	Lines []Line `json:"lines"`
	Steps []Step `json:"steps"`
	// Called is what it goes by besides, where whoever wrote it knows; it is kept nowhere.
	Called string `json:"-"`
}

// LineRef is the outward name of a line: "components[0].lines[3]".
func LineRef(component, line int) string {
	return "components[" + strconv.Itoa(component) + "].lines[" + strconv.Itoa(line) + "]"
}

// ParseLineRef reads the outward name of a line.
func ParseLineRef(ref string) (component, line int, ok bool) {
	c, rest, ok1 := strings.Cut(strings.TrimPrefix(ref, "components["), "].lines[")
	component, err1 := strconv.Atoi(c)
	line, err2 := strconv.Atoi(strings.TrimSuffix(rest, "]"))
	ok = ok1 && err1 == nil && err2 == nil && component >= 0 && line >= 0 && ref == LineRef(component, line)
	return component, line, ok
}

// Line is one ingredient line. Text is as it stood, bullet removed; Grams are
// as used and nil when they cannot be known.
type Line struct {
	// ID is its lasting name in a kept dish, empty elsewhere.
	ID           string          `json:"id,omitempty"`
	Text         string          `json:"text"`
	Amount       *measure.Amount `json:"amount" jsonschema:"nullable"`
	Grams        *measure.Span   `json:"grams" jsonschema:"nullable"`
	Basis        *measure.Basis  `json:"basis,omitempty"`
	Food         *string         `json:"food" jsonschema:"nullable"`
	Form         string          `json:"form"`
	Name         string          `json:"name"`
	Preparation  string          `json:"preparation"`
	Optional     bool            `json:"optional"`
	ToTaste      bool            `json:"toTaste"`
	Alternatives []Alternative   `json:"alternatives"`
	// Also lists further foods named in the same line ("salt and pepper").
	Also   []Alternative `json:"also,omitempty"`
	Origin larder.Origin `json:"origin"`
	Animal larder.Animal `json:"animal"`
	Hidden bool          `json:"hidden"`
	Check  bool          `json:"checkLabel"`
	Why    string        `json:"why"`
	// Beware names a food that this one is easily taken for, and how they
	// differ; empty when there is none.
	Beware string `json:"beware,omitempty"`
	// OnlyBy is the small measure by which alone it is meant ("spoonful"), where whoever wrote it knows; it is kept nowhere.
	OnlyBy string `json:"-"`
}

// FoodID returns the food's id, empty when it is not known.
func (l *Line) FoodID() string {
	if l.Food == nil {
		return ""
	}
	return *l.Food
}

// Mass is the middle of the line's grams, 0 when they are not known.
func (l *Line) Mass() float64 {
	if l.Grams == nil {
		return 0
	}
	return l.Grams.Mid()
}

// Counted tells that the line's amount counts pieces.
func (l *Line) Counted() bool {
	return l.Amount != nil && countUnit(l.Amount.Unit)
}

// Alternative is another food named in a line.
type Alternative struct {
	Food string `json:"food"`
	Name string `json:"name"`
}

// Step is one paragraph of the method.
type Step struct {
	// ID is its lasting name in a kept dish, empty elsewhere.
	ID string `json:"id,omitempty"`
	// Order is the place of the step in the method of the whole dish, from 1;
	// 0 where it follows the step before it.
	Order      int           `json:"order,omitempty"`
	Text       string        `json:"text"`
	Techniques []string      `json:"techniques"`
	Minutes    *measure.Span `json:"minutes" jsonschema:"nullable"`
	Celsius    *float64      `json:"celsius" jsonschema:"nullable"`
	// Lines are the indexes of the component's lines that the step uses.
	Lines   []int    `json:"lines"`
	Cue     string   `json:"cue"`
	HandsOn bool     `json:"handsOn"`
	Animals []Animal `json:"animals"`
	// Actions are what is done, in the order of the text; Asides the words that
	// order no work; Questions what was not understood.
	Actions   []Action   `json:"actions"`
	Asides    []Aside    `json:"asides"`
	Questions []Question `json:"questions"`
	// Makes is what the outcome of the step is called, where whoever wrote it
	// knows; it is kept nowhere.
	Makes string `json:"-"`
	// Takes are the lines, by reference, that only this step may mean, where
	// whoever wrote it knows; it is kept nowhere.
	Takes []string `json:"-"`
	// Mends are what the cook has put right in how it was read.
	Mends []Mend `json:"mends,omitempty"`
}

// StepAt is the place of a step in a dish.
type StepAt struct{ Component, Step int }

// Method lists the steps of all components in the order in which they are
// done: the text's own, or one component after the other.
func (d *Dish) Method() []StepAt {
	type placed struct {
		at    StepAt
		order int
	}
	var all []placed
	last := 0
	for c := range d.Components {
		for s := range d.Components[c].Steps {
			if o := d.Components[c].Steps[s].Order; o > 0 {
				last = o
			}
			all = append(all, placed{StepAt{c, s}, last})
		}
	}
	slices.SortStableFunc(all, func(a, b placed) int { return a.order - b.order })
	out := make([]StepAt, len(all))
	for i := range all {
		out[i] = all[i].at
	}
	return out
}

// Animal is animal matter that a step names, listed as an ingredient or not.
type Animal struct {
	Name   string        `json:"name"`
	Animal larder.Animal `json:"animal"`
}

// Notice says what was not understood or deserves a look, and where.
type Notice struct {
	Where string `json:"where"`
	Kind  string `json:"kind"`
	Text  string `json:"text"`
}

// The kinds of notice.
const (
	UnknownFood   = "unknown-food"
	UnknownAmount = "unknown-amount"
	OnlyInStep    = "only-in-step"
	AnimalBeside  = "animal-beside"
	UnusedLine    = "unused-line"
	NoRecipe      = "no-recipe"
	NoLines       = "no-ingredients"
	NoSteps       = "no-method"
	TooLong       = "too-long"
)

// Source is a recipe taken apart into its parts but not yet understood, as a
// structured format or the layout of plain text gives it.
type Source struct {
	Name     string
	Yield    string
	Sections []Section
	// Cut tells that the text went on and was not read further.
	Cut bool
}

// Section is one named part of a recipe with its lines as text.
type Section struct {
	Name  string
	Lines []string
	Steps []string
	// Order is the place of each step in the method of the whole dish, from 1;
	// empty where the parts' methods follow each other.
	Order []int
}
