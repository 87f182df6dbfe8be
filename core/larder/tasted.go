package larder

import (
	"maps"
	"slices"
)

// Dosed is a food whose smell or colour tables have found stronger, or weaker, than
// the book has it: its dose for clear is divided by Times.
type Dosed struct {
	Food, Trait string
	Times       float64
}

// WithTasted returns the larder of a kitchen whose tables have found traits so many
// steps from what is foreseen, and foods of another strength.
func (l *Larder) WithTasted(offsets map[string]float64, dosed []Dosed) *Larder {
	if len(offsets) == 0 && len(dosed) == 0 {
		return l
	}
	c := *l
	c.offsets = offsets
	c.foods = maps.Clone(l.foods)
	for _, d := range dosed {
		if f := c.foods[d.Food]; f != nil && d.Times > 0 {
			c.foods[d.Food] = f.stronger(d.Trait, d.Times)
		}
	}
	c.order = slices.SortedFunc(maps.Values(c.foods), byName)
	return &c
}

// Offsets are by how many steps this kitchen's tables have found traits from what
// the model foresees.
func (l *Larder) Offsets() map[string]float64 { return l.offsets }

// stronger is a food that brings a trait so many times as strongly.
func (f *Food) stronger(trait string, times float64) *Food {
	c := *f
	c.Aromas = slices.Clone(f.Aromas)
	for i := range c.Aromas {
		if c.Aromas[i].Trait == trait {
			c.Aromas[i].Dose /= times
		}
	}
	return &c
}

// HasDose tells whether a food brings a trait by a dose for clear.
func (f *Food) HasDose(trait string) bool {
	return slices.ContainsFunc(f.Aromas, func(a Aroma) bool { return a.Trait == trait && a.Dose > 0 })
}
