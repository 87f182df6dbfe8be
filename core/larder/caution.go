package larder

import (
	"slices"
	"strings"
)

// Caution says what can hurt, and where to say so.
type Caution struct {
	ID   string `json:"id" yaml:"id"`
	Text string `json:"text" yaml:"text"`
	// Grave cautions must be impossible to overlook.
	Grave bool `json:"grave" yaml:"grave"`
	// Foods and Shelves, in one of Forms; Techniques and States of the actions,
	// and Words of theirs.
	Foods   []string `json:"-" yaml:"foods"`
	Shelves []string `json:"-" yaml:"shelves"`
	// Beside are shelves of which the step must use something too.
	Beside     []string `json:"-" yaml:"beside"`
	Forms      []string `json:"-" yaml:"forms"`
	Techniques []string `json:"-" yaml:"techniques"`
	States     []string `json:"-" yaml:"states"`
	Words      []string `json:"-" yaml:"words"`
	// Lines are words of listed lines by which it fits whatever food they were read as.
	Lines   []string `json:"-" yaml:"lines"`
	spelled []string
	Source  string `json:"source" yaml:"source"`
	// Fires is a recipe that it must be shown for, Spares one that it must not be
	// shown for: lines, then the step behind a slash.
	Fires  string `json:"-" yaml:"fires"`
	Spares string `json:"-" yaml:"spares"`
}

// Scene is what a caution is held against: the ways of working of a step, the
// states its actions meet, what they say, whether they reach foods, and the lines
// they reach as they are Spelled.
type Scene struct {
	Techniques, States []string
	Said               string
	Holds              func(foods, shelves, forms []string) bool
	Written            []string
}

// HotFat is the state of fat at a frying temperature.
const HotFat = "hot-fat"

// Fits tells whether the caution belongs to a scene: by a way of working or a
// state, by words, and by foods, of each what it names, or by the words of a line.
func (c *Caution) Fits(s Scene) bool {
	if slices.ContainsFunc(c.spelled, func(words string) bool {
		return slices.ContainsFunc(s.Written, func(line string) bool { return strings.Contains(line, words) })
	}) {
		return true
	}
	if len(c.Foods)+len(c.Shelves)+len(c.Techniques)+len(c.States)+len(c.Words) == 0 {
		return false
	}
	works := len(c.Techniques)+len(c.States) == 0 ||
		slices.ContainsFunc(c.Techniques, func(t string) bool { return slices.Contains(s.Techniques, t) }) ||
		slices.ContainsFunc(c.States, func(t string) bool { return slices.Contains(s.States, t) })
	if !works || len(c.Words) > 0 && !slices.ContainsFunc(c.Words, func(w string) bool { return strings.Contains(s.Said, w) }) {
		return false
	}
	if len(c.Beside) > 0 && !s.Holds(nil, c.Beside, nil) {
		return false
	}
	return len(c.Foods) == 0 && len(c.Shelves) == 0 || s.Holds(c.Foods, c.Shelves, c.Forms)
}

// Cautions lists what can hurt, the gravest first.
func (l *Larder) Cautions() []*Caution { return l.cautions }

func (l *Larder) loadCautions(src Source) error {
	if err := src.Decode("cautions.yaml", &l.cautions); err != nil {
		return err
	}
	for _, c := range l.cautions {
		for _, words := range c.Lines {
			c.spelled = append(c.spelled, Spelled(words))
		}
	}
	slices.SortStableFunc(l.cautions, func(a, b *Caution) int {
		switch {
		case a.Grave == b.Grave:
			return 0
		case a.Grave:
			return -1
		}
		return 1
	})
	return nil
}
