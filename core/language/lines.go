package language

import (
	"fmt"
	"regexp"
	"slices"
	"strings"

	"yembra/core/measure"
)

// Figures are the words of numbers and ranges.
type Figures struct {
	Numbers, Parts, Multiples                     map[string]float64
	One, Ties, And, Single, Halves, Between, Upto Set
}

// Lines holds the words of ingredient lines, in fields that bear the names of the keys in
// lines.yaml, which say what they are for.
type Lines struct {
	Figures                                                                                Figures
	Units, Sizes                                                                           map[string]List
	Cased, Plurals, EggParts, Parts, Juiced                                                map[string]string
	Fluid, Hedges, Named, Hedged, Vague, Plenty, Few, Little, Of, More                     Set
	Pieces, Lumps, Sized, GluedLength, Each, Total, Crosses, Plus, Or, And                 Set
	PartWords, PartOf, Counts, Examples, About, Cut, Comes, Apart, Generic, Flavoured      Set
	Strongest, Tinned, Dried, Yields, OpensYield, ForPeople, EndsYield, Eaters, EatersOnly Set
	Times, Step, CutInto, AloneYield, Soaked                                               Set
	Lengths                                                                                map[string]float64
	Whose                                                                                  map[string]measure.System
	// UsedOn are words before a food that say which animal matter was used on it, with its name.
	UsedOn                       map[string]string `yaml:"usedon"`
	Optional, ToTaste, PartHeads []string
	Habits                       []Habit

	units   map[string]measure.Unit
	sizes   map[string]string
	endings []string // of plurals, the longest first
}

// Habit is how recipes say whose measures they use.
type Habit struct {
	System measure.System
	// Any are parts of words of which one must stand in the text.
	Any   []string
	Says  string
	Words *regexp.Regexp `yaml:"-"`
}

// loadLines reads the words of ingredient lines.
func (l *Language) loadLines(src Source) error {
	file := "language/" + l.Locale + "/lines.yaml"
	if err := src.Decode(file, &l.Lines); err != nil {
		return err
	}
	x := &l.Lines
	x.units, x.sizes = map[string]measure.Unit{}, map[string]string{}
	for unit, words := range x.Units {
		if _, known := measure.DimensionOf(measure.Unit(unit)); !known {
			return fmt.Errorf("%s: no unit is called %q", file, unit)
		}
		for _, w := range words {
			x.units[w] = measure.Unit(unit)
		}
	}
	for size, words := range x.Sizes {
		for _, w := range words {
			x.sizes[w] = size
		}
	}
	for ending := range x.Plurals {
		x.endings = append(x.endings, ending)
	}
	slices.SortFunc(x.endings, func(a, b string) int { return len(b) - len(a) })
	for word, system := range x.Whose {
		if !system.Known() {
			return fmt.Errorf("%s: no measures are called %q, as %q is said to mean", file, system, word)
		}
	}
	for i, h := range x.Habits {
		if !h.System.Known() {
			return fmt.Errorf("%s: no measures are called %q", file, h.System)
		}
		words, err := regexp.Compile("(?i)" + h.Says)
		if err != nil {
			return fmt.Errorf("%s: habit %d: %w", file, i+1, err)
		}
		x.Habits[i].Words = words
	}
	return nil
}

// Unit reads one unit word, singular or plural, with or without a full stop, in any case
// except where the capital tells two units apart.
func (x *Lines) Unit(word string) (measure.Unit, bool) {
	word = strings.TrimSuffix(word, ".")
	if u, ok := x.Cased[word]; ok {
		return measure.Unit(u), true
	}
	w := strings.ReplaceAll(strings.ToLower(word), "-", "")
	if u, ok := x.units[w]; ok {
		return u, true
	}
	for _, ending := range x.endings {
		if stem, ok := strings.CutSuffix(w, ending); ok {
			if u, ok := x.units[stem+x.Plurals[ending]]; ok {
				return u, true
			}
		}
	}
	return "", false
}

// Size is the size that a word says of a piece, empty where it says none.
func (x *Lines) Size(word string) string { return x.sizes[strings.ToLower(word)] }

// SizeWords are all words that say how big something is.
func (x *Lines) SizeWords() Set {
	out := Set{}
	for w := range x.sizes {
		out[w] = true
	}
	return out
}

// Alternation writes words as the choice of a pattern, the longest first.
func Alternation(words Set) string {
	list := make([]string, 0, len(words))
	for w := range words {
		list = append(list, regexp.QuoteMeta(w))
	}
	slices.SortFunc(list, func(a, b string) int {
		if len(a) != len(b) {
			return len(b) - len(a)
		}
		return strings.Compare(a, b)
	})
	return strings.Join(list, "|")
}

// WholeNumbers are the words of figures from two on.
func (f *Figures) WholeNumbers() Set {
	out := Set{}
	for w, v := range f.Numbers {
		if v >= 2 && v == float64(int(v)) {
			out[w] = true
		}
	}
	return out
}
