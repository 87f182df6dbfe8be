package larder

import (
	"math"
	"slices"
	"strings"
)

// kitchenFacts looks at what the kitchen's own tables say of a food: sugars,
// acids, heat, packs, what is thrown away, how it keeps and what it is taken
// for.
func (c *checker) kitchenFacts(f *Food) {
	if s := f.Sugars; s.Source != "" {
		if sum := s.Sucrose + s.Glucose + s.Fructose + s.Maltose + s.Lactose; math.Abs(sum-100) > sumError {
			c.say("%s: sugars sum to %g per cent of themselves", f.ID, sum)
		}
		c.source(f.ID, s.Source)
	}
	if acid := f.Acids.Titratable(); acid != nil {
		if *acid < 0 || *acid > 110 {
			c.say("%s: %.1f g of acid in 100", f.ID, *acid)
		}
		c.source(f.ID, f.Acids.Source)
	}
	if h := f.Heat; h.Source != "" {
		if h.Low < 0 || h.High < h.Low {
			c.say("%s: heat %g to %g", f.ID, h.Low, h.High)
		}
		c.source(f.ID, h.Source)
	}
	for _, p := range f.Packs {
		if p.Grams <= 0 || Or(p.Drained, 0) > p.Grams {
			c.say("%s: %s of %g g holds %g g drained", f.ID, p.Name, p.Grams, Or(p.Drained, 0))
		}
		c.source(f.ID, p.Source)
	}
	if f.Edible.Share <= 0 || f.Edible.Share > 1 {
		c.say("%s: edible share %g", f.ID, f.Edible.Share)
	}
	switch {
	case f.Storage.Source == "":
		c.say("%s: nobody says how it keeps", f.ID)
	case !slices.Contains(places, f.Storage.Place) || f.Storage.Sealed <= 0 || f.Storage.Opened > f.Storage.Sealed:
		c.say("%s: keeps in %q %g days sealed, %g opened", f.ID, f.Storage.Place, f.Storage.Sealed, f.Storage.Opened)
	case !slices.Contains(places, f.Storage.OpenedPlace) || f.Storage.OpenedPlace == cupboard && f.Storage.Sealed >= longKept && f.Storage.Opened <= soonGone:
		c.say("%s: opened it keeps %g days in %q", f.ID, f.Storage.Opened, f.Storage.OpenedPlace)
	}
	for _, x := range f.Confusables {
		if x.With == f.ID || x.Differs == "" {
			c.say("%s: taken for %s without a difference", f.ID, x.With)
		}
		c.source(f.ID, x.Source)
	}
}

func (c *checker) source(id, code string) {
	base, _, _ := strings.Cut(code, ":")
	if _, ok := c.larder.sources[base]; !ok {
		c.say("%s: unknown source %q", id, code)
	}
}

// namesOf finds names that two foods claim.
func (c *checker) namesOf(f *Food) {
	for _, name := range append([]string{f.Name}, f.Aliases...) {
		phrase := strings.Join(Words(name), " ")
		if slices.Contains(f.measuredNames, name) {
			phrase += measuredMark
		}
		if other, taken := c.names[phrase]; taken && other != f.ID {
			c.say("%q means both %s and %s", name, other, f.ID)
		}
		c.names[phrase] = f.ID
	}
}

func (c *checker) composition(f *Food) {
	p := f.Per100
	if p.Source == "" {
		return // nothing is known; that is allowed and shown as missing
	}
	c.source(f.ID, p.Source)
	if p.Further != "" {
		c.source(f.ID, p.Further)
	}
	if p.Protein == nil || p.Fat == nil || p.Carbs == nil || p.Energy == nil {
		return
	}
	energy := 4**p.Protein + 9**p.Fat + 4**p.Carbs + 2*Or(p.Fibre, 0)
	if _, excused := c.larder.energyExcused[f.ID]; !excused && math.Abs(energy-*p.Energy) > energyError*math.Max(energy, *p.Energy)+energySlack {
		c.say("%s: energy %g, but the macronutrients give %.0f", f.ID, *p.Energy, energy)
	}
	shares := *p.Protein + *p.Fat + *p.Carbs + Or(p.Fibre, 0) + Or(p.Water, 0) + p.Salt()
	if shares > mostShares {
		c.say("%s: shares sum to %.1f g in 100", f.ID, shares)
	}
	if Or(p.Saturated, 0) > *p.Fat || Or(p.Sugars, 0) > *p.Carbs {
		c.say("%s: more saturated fat than fat, or sugars than carbohydrate", f.ID)
	}
}

// salted words in a name promise salt: at least leastSaltedSodium mg of sodium
// in 100 g. unsalted ones take the promise back.
var (
	salted   = []string{"salted", "pickled", "brined", "cured", "corned", "anchovy", "miso", "kimchi", "sauerkraut", "feta", "bacon", "ham"}
	unsalted = []string{"unsalted", "vegan", "plant", "fresh"}
)

const leastSaltedSodium = 150.0

func (c *checker) salt(f *Food) {
	words := Words(f.Name)
	has := func(list []string) bool {
		return slices.ContainsFunc(words, func(w string) bool { return slices.Contains(list, w) })
	}
	if f.Per100.Sodium != nil && *f.Per100.Sodium < leastSaltedSodium && has(salted) && !has(unsalted) {
		c.say("%s: the name promises salt, but sodium is %g mg", f.ID, *f.Per100.Sodium)
	}
}

// neighbours are the densities in g/ml that a shelf can hold.
var neighbours = map[string][2]float64{
	"oils": {0.5, 0.97}, "drinks": {0.2, 1.3}, "stocks": {0.5, 1.2}, "herbs": {0.05, 1.15}, "sea-vegetables": {0.05, 0.65},
	"mushrooms": {0.05, 0.8}, "nuts": {0.3, 1.25}, "pulses": {0.3, 1.2}, "grains": {0.05, 1.0}, "meat": {0.15, 1.3},
}

func (c *checker) density(f *Food) {
	bounds, ok := neighbours[f.Aisle]
	if d := f.Matter.Density; ok && d > 0 && (d < bounds[0] || d > bounds[1]) {
		c.say("%s: density %g stands out on the shelf of %s", f.ID, d, f.Aisle)
	}
}

// allergens compares a food's names with what it lists. Plant foods named after
// animal ones are not meant.
func (c *checker) allergens(f *Food) {
	for _, name := range append([]string{f.Name}, f.Aliases...) {
		for _, x := range c.larder.impliedBy(Words(name)) {
			if !slices.Contains(f.Allergen, x) && (f.Origin == FromAnimal || !slices.Contains(animalAllergens, x)) {
				c.say("%s: %q says %s, the allergens do not", f.ID, name, x)
			}
		}
	}
}

// animalAllergens come from animals, whose names plant foods borrow.
var animalAllergens = []string{"egg", "milk", "fish", "crustaceans", "molluscs"}
