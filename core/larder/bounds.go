package larder

import (
	"fmt"
	"math"
	"slices"
	"strings"
)

// bound is what foods of a kind or shelf must hold of something.
type bound struct {
	what, figure string
	low, high    float64
}

func (l *Larder) loadBounds(src Source) error {
	return eachRow(src, "bounds.csv", func(r row) {
		b := bound{r.text("what"), r.text("figure"), r.number("low", math.Inf(-1)), r.number("high", math.Inf(1))}
		if (&Composition{}).byName()[b.figure] == nil {
			r.fail("%q is no figure", b.figure)
		}
		l.bounds = append(l.bounds, b)
	})
}

// kinds holds the composition of foods against what their kind or shelf must hold.
func (c *checker) kinds(f *Food) {
	for _, b := range c.larder.bounds {
		if !slices.Contains(rowsFor(f, "")[2:], b.what) {
			continue
		}
		if v := f.Per100.Named(b.figure); v != nil && (*v < b.low || *v > b.high) {
			c.say("%s: %g of %s in 100 g, a food of %s has %g to %g", f.ID, *v, b.figure, b.what, b.low, b.high)
		}
	}
}

// twins finds foods with the same figures of which neither says that they are taken
// over from the other, and no table has them in one row.
func (c *checker) twins() {
	first := map[string]*Food{}
	for _, f := range c.larder.order {
		p := &f.Per100
		if p.Source == "" || p.Energy == nil || strings.HasPrefix(p.Source, likeSource) || f.Own != "" {
			continue
		}
		var b strings.Builder
		for _, name := range []string{"energy", "protein", "fat", "saturated", "carbohydrate", "sugars", "fibre", "water", "sodium", "potassium", "calcium", "iron", "zinc"} {
			if v := p.Named(name); v != nil {
				fmt.Fprintf(&b, "%s %g ", name, *v)
			}
		}
		key := b.String()
		if other := first[key]; other != nil && *p.Energy > 0 && (p.Source != other.Per100.Source || p.Source == Estimate) {
			c.say("%s: the same figures as %s, and its source does not say so", f.ID, other.ID)
		}
		first[key] = f
	}
}
