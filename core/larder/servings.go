package larder

import (
	"math"
	"strings"
)

// Serving is the most of a strong food that a cook uses for one serving, in grams,
// and why.
type Serving struct {
	Most        float64
	Why, Source string
}

func (l *Larder) loadServings(src Source) error {
	l.servings = map[string]Serving{}
	return eachRow(src, "servings.csv", func(r row) {
		what := spokenOf(r, l, l.servings)
		l.servings[what] = Serving{r.number("most", math.Inf(1)), r.text("why"), r.text("source")}
	})
}

// MostServed is the most of a food in a form that one serving takes; infinite where
// the table has no row for it.
func (l *Larder) MostServed(f *Food, form string) Serving {
	for _, key := range rowsFor(f, form) {
		if s, ok := l.servings[key]; ok && (form != "" || !strings.HasPrefix(key, "/")) {
			return s
		}
	}
	return Serving{Most: math.Inf(1)}
}

func (l *Larder) loadHelpings(src Source) error {
	l.helpings = map[string]float64{}
	return eachRow(src, "helpings.csv", func(r row) {
		what := spokenOf(r, l, l.helpings)
		l.helpings[what] = r.number("grams", 0)
		r.text("source")
	})
}

// Helping is what a cook takes of a food for one serving where a recipe gives no amount, in
// grams; 0 where that is no more than a trace.
func (l *Larder) Helping(f *Food) float64 {
	if f == nil {
		return 0
	}
	for _, key := range rowsFor(f, "") {
		if grams, ok := l.helpings[key]; ok && !strings.HasPrefix(key, "/") {
			return grams
		}
	}
	return 0
}

// UsualFlesh is what a cook takes for one serving of flesh that no table knows, in grams.
func (l *Larder) UsualFlesh() float64 { return l.helpings["usual:flesh"] }

// UsualCloves is up to how much of an allium only gives a dish its taste, in grams.
func (l *Larder) UsualCloves() float64 { return l.helpings["usual:cloves"] }

// UsualPlate is what one serving of a whole dish weighs, in grams.
func (l *Larder) UsualPlate() float64 { return l.helpings["usual:plate"] }
