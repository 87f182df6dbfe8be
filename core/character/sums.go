package character

import (
	"yembra/core/larder"
)

// quantity is one thing that adds up over the items of a component.
type quantity int

// What is added up. The smelt and look quantities are doses: grams over the
// dose for clear; the felt ones are grams of pieces times their rating.
const (
	mass quantity = iota
	water
	liquid // water of foods that are mostly water, which dry food can drink
	thirst // water that dry pulses and grains take up
	salt
	fat
	sweet
	acid
	heat
	glutamate
	aspartate
	imp
	gmp
	amp
	smoke
	sea
	roast
	dairy
	egg
	ferment
	yellow
	brown
	red
	green
	pale
	pieces
	chew
	flake
	crumble
	crisp
	juicy
	melt
	thicken
	lumped // thickener inside of pieces, where no sauce meets it
	dissolved
	binding
	setting
	lifting
	emulsifying
	shortening
	glazing
	quantities
)

// Sums is what a component holds, added up over its items. It is linear in
// them, so that the sums of many adaptations can be put together quickly.
type Sums [quantities]float64

// Add adds the sums of some item, or takes them off with a sign of -1.
func (s *Sums) Add(o *Sums, sign float64) {
	for i := range s {
		s[i] += sign * o[i]
	}
}

// Salt is the grams of NaCl.
func (s *Sums) Salt() float64 { return s[salt] }

// Water is the grams of water before the pot loses any.
func (s *Sums) Water() float64 { return s[water] }

// Fat is the grams of fat.
func (s *Sums) Fat() float64 { return s[fat] }

// Thickening is the ml that the thickeners would bring to coating.
func (s *Sums) Thickening() float64 { return s[thicken] }

// Scale multiplies everything.
func (s *Sums) Scale(by float64) {
	for i := range s {
		s[i] *= by
	}
}

// aromaQuantities are where the rated traits of the table of aromas add up.
var aromaQuantities = map[string]quantity{
	Smoke: smoke, Sea: sea, Roast: roast, Dairy: dairy, Egg: egg, Ferment: ferment,
	Yellow: yellow, Brown: brown, Red: red, Green: green, Pale: pale,
}

var feltQuantities = map[string]quantity{Chew: chew, Flake: flake, Crumble: crumble, Crisp: crisp, Juicy: juicy, Melt: melt}

var roleQuantities = map[string]quantity{
	"thicken": thicken, "bind": binding, "set": setting, "set-sweet": setting, "lift": lifting, "emulsify": emulsifying, "shorten": shortening, "glaze": glazing,
}

// liquidWater is the share of water in per cent above which a food counts as
// a liquid that pulses can drink; dissolvedWater the share above which a food
// without pieces spreads its solids through the sauce.
const (
	liquidWater    = 86
	dissolvedWater = 55
	drySugar       = 60 // per cent of sugar above which a food dissolves whole
)

// brownOfRoast is how much colour browning gives beside its smell.
const brownOfRoast = 0.6

// drinksBelow is the base of the cooked form below which a dry food drinks when
// it is cooked in liquid.
const drinksBelow = 0.6

// Sums works out what an item brings to its component.
func (it Item) Sums() Sums {
	var s Sums
	form, fate, food := it.Form, it.Fate, it.Food
	c := &food.Per100
	bought := it.Grams * form.Base
	taken := fate.Taken * form.Yield
	soluble, aroma := fate.Soluble*form.Gives/100, fate.Aroma*form.Gives

	s[mass] = it.Grams * taken
	solids := bought * (1 - larder.Or(c.Water, 0)/100) * fate.Taken
	if form.Yield == 0 {
		solids = 0
	}
	s[water] = max(0, s[mass]-solids)
	if larder.Or(c.Water, 0) > liquidWater {
		s[liquid] = s[water]
	}
	if cooked, ok := food.Forms["cooked"]; ok && it.Wet && form.Base == 1 && cooked.Base > 0 && cooked.Base < drinksBelow {
		s[thirst] = it.Grams * (1/cooked.Base - 1) * fate.Taken
	}
	s[salt] = bought * c.Salt() * soluble * it.saltLeft()
	s[fat] = bought * larder.Or(c.Fat, 0) / 100 * fate.Fat * form.Gives
	s[sweet] = bought * larder.Or(food.SucroseEquivalents(), 0) * soluble
	s[acid] = bought * larder.Or(food.Acids.Titratable(), 0) * soluble
	s[heat] = bought * (food.Heat.Low + food.Heat.High) / 2 * soluble * 100
	s[glutamate] = bought * food.Taste.Glutamate * soluble
	s[aspartate] = bought * food.Taste.Aspartate * soluble
	s[imp] = bought * food.Taste.IMP / 100 * fate.Inosinate * form.Gives
	s[gmp] = bought * food.Taste.GMP * soluble * it.guanylate()
	s[amp] = bought * food.Taste.AMP * soluble

	for _, a := range food.Aromas {
		if q, ok := aromaQuantities[a.Trait]; ok && a.Dose > 0 && (a.Form == "" || a.Form == form.Name) {
			s[q] = max(s[q], bought*aroma/a.Dose)
		}
	}
	s[roast] = max(s[roast], s[mass]*it.Browned)
	s[brown] = max(s[brown], s[roast]*brownOfRoast)

	if form.Feel != nil && form.Yield > 0 {
		s[pieces] = s[mass]
		for _, name := range larder.FeltTraits {
			rating := form.Feel[name]
			if name == Crisp {
				rating = it.crispness(rating)
			}
			s[feltQuantities[name]] = s[mass] * rating
		}
	} else if w := larder.Or(c.Water, 0); w > dissolvedWater || larder.Or(c.Sugars, 0) > drySugar {
		s[dissolved] = max(0, solids-s[fat])
	}
	it.holds(&s, bought)
	return s
}

// holds adds what an item can bind, set, thicken and the like, of which so much was bought.
func (it Item) holds(s *Sums, bought float64) {
	for _, r := range it.Food.Roles {
		q, ok := roleQuantities[r.Kind]
		if !ok || r.Form != "" && r.Form != it.Form.Name || it.Solid && (q == binding || q == setting) {
			continue
		}
		capacity := bought * r.PerGram * max(it.Fate.Taken, it.Fate.Soluble)
		if s[q] += capacity; it.Solid && q == thicken {
			s[lumped] += capacity
		}
	}
}

// unheatedGuanylate is what dried mushrooms give of their GMP when nothing is
// heated: it is set free between 60 and 70 C (estimate).
const unheatedGuanylate = 0.2

// saltLeft is the share of its salt that soaking or rinsing leaves.
func (it Item) saltLeft() float64 {
	if it.Washed {
		return it.Food.Washed
	}
	return 1
}

func (it Item) guanylate() float64 {
	if it.Heated {
		return 1
	}
	return unheatedGuanylate
}

// softenedCrisp is what a wet finish leaves of crispness.
const softenedCrisp = 0.3

// crispness follows what the steps did to the surface of the pieces.
func (it Item) crispness(form float64) float64 {
	rating := max(form, it.Crisped)
	if it.Softened {
		return rating * softenedCrisp
	}
	return rating
}

// Profile is every trait of a dish: those of the whole dish in the order of
// Traits, then those of each component.
type Profile struct {
	Mass  float64
	Whole [wholeTraits]float64
	Parts []PartProfile
}

// PartProfile holds the traits judged by component.
type PartProfile struct {
	Mass float64
	// Water is the share of the finished mass that is water.
	Water  float64
	Traits [12]float64
	// Held are the structural capacities, in the order of jobs.
	Held [len(jobs)]float64
}
