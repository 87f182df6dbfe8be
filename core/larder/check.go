package larder

import (
	"fmt"
	"math"
	"slices"
	"strings"
)

// Plausible bounds of the whole-larder check.
const (
	energyError   = 0.15 // share by which energy may miss 4/9/4/2
	energySlack   = 5.0  // kcal that rounding alone explains
	mostShares    = 101.0
	leastDensity  = 0.05
	mostDensity   = 1.6
	mostDoseGrams = 1000.0
	mostBase      = 6.0 // a juice boiled down to a syrup
)

// Check looks at the knowledge as a whole and lists what is wrong: broken
// references, impossible shares, energy that does not follow from the
// macronutrients, names that mean two foods, allergens that a name implies and
// the food does not list, swaps that hold animal matter.
func (l *Larder) Check() []string {
	c := checker{larder: l, names: map[string]string{}}
	for _, f := range l.order {
		c.food(f)
		c.kinds(f)
	}
	c.twins()
	for _, s := range l.swaps {
		c.swap(s)
	}
	for _, b := range l.boosters {
		c.booster(b)
	}
	for _, caution := range l.cautions {
		c.caution(caution)
	}
	c.verbs()
	c.watched()
	c.countries()
	c.kitchens()
	c.traditional()
	return c.problems
}

// verbs holds the verbs of the language against the techniques: each orders one
// that there is, or no work.
func (c *checker) verbs() {
	for _, v := range c.larder.language.Verbs() {
		for _, s := range c.larder.language.Senses(v) {
			if s.Technique != "-" && c.larder.Technique(s.Technique) == nil {
				c.say("verb %s: no technique %q", v, s.Technique)
			}
		}
	}
	for what, b := range c.larder.behaviour {
		c.source("behaviour of "+what, b.source)
	}
	for _, r := range c.larder.carrying {
		c.source("carrying over "+strings.Join(r.Techniques, ", "), r.Source)
	}
	for _, u := range c.larder.smallUses {
		c.source("small use of "+strings.Join(u.Was, ", "), u.Source)
	}
	for _, t := range c.larder.techniques {
		c.source("technique "+t.Name, t.Source)
		for of, name := range map[string]string{"inhot": t.InHot, "deep": t.Deep} {
			if name != "" && c.larder.Technique(name) == nil {
				c.say("technique %s: no technique %q in %s", t.Name, name, of)
			}
		}
	}
}

type checker struct {
	larder   *Larder
	names    map[string]string
	problems []string
}

func (c *checker) say(format string, args ...any) {
	c.problems = append(c.problems, fmt.Sprintf(format, args...))
}

func (c *checker) food(f *Food) {
	if !slices.Contains([]Origin{FromAnimal, FromPlant, FromFungus, FromMineral, Mixed}, f.Origin) {
		c.say("%s: unknown origin %q", f.ID, f.Origin)
	}
	if (f.Origin == FromAnimal) != (f.Animal != "") && f.Origin != Mixed {
		c.say("%s: origin %s with animal class %q", f.ID, f.Origin, f.Animal)
	}
	if f.Origin == Mixed && f.Why == "" || f.Hidden && f.Why == "" {
		c.say("%s: says neither why it is marked nor what to look for", f.ID)
	}
	if f.Origin == FromAnimal && f.Kind == "" {
		c.say("%s: no kind, so no swap can be found", f.ID)
	}
	if !slices.Contains([]Grade{Whole, Plain, Refined, Analogue}, f.Grade) {
		c.say("%s: unknown grade %q", f.ID, f.Grade)
	}
	if d := f.Matter.Density; d == 0 && len(f.Matter.Pieces) == 0 {
		c.say("%s: neither a density nor a piece weight", f.ID)
	} else if d != 0 && (d < leastDensity || d > mostDensity) {
		c.say("%s: density %g", f.ID, d)
	}
	c.source(f.ID, f.Matter.Source)
	c.namesOf(f)
	c.composition(f)
	c.allergens(f)
	c.salt(f)
	c.density(f)
	for _, a := range f.Aromas {
		if a.Dose <= 0 || a.Dose > mostDoseGrams {
			c.say("%s: dose %g for %s", f.ID, a.Dose, a.Trait)
		}
		c.source(f.ID, a.Source)
	}
	for _, form := range f.Forms {
		if form.Base <= 0 || form.Yield < 0 || form.Base > mostBase || form.Gives <= 0 || form.Gives > 1 || (form.Yield == 0) != (form.Gives < 1) {
			c.say("%s, %s: base %g, yield %g", f.ID, form.Name, form.Base, form.Yield)
		}
		c.source(f.ID, form.Source)
	}
	for _, r := range f.Roles {
		if r.PerGram <= 0 {
			c.say("%s: %s of %g", f.ID, r.Kind, r.PerGram)
		}
		c.source(f.ID, r.Source)
	}
	if f.Taste != (Taste{}) {
		c.source(f.ID, f.Taste.Source)
	}
	c.kitchenFacts(f)
}

// places are where food keeps at home.
var places = []string{"cupboard", "fridge", "freezer"}

// sumError is how far the shares of sugars may miss 100 by rounding.
const sumError = 3.0

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

func (c *checker) swap(s *Swap) {
	for _, p := range s.Formula {
		f := c.larder.foods[p.Food]
		switch {
		case f == nil:
			c.say("swap %s: unknown food %q", s.ID, p.Food)
			continue
		case f.Origin == FromAnimal || f.Origin == Mixed:
			c.say("swap %s: %s is %s", s.ID, p.Food, f.Origin)
		case p.Form != RawForm && f.Forms[p.Form].Name == "":
			c.say("swap %s: %s has no form %q", s.ID, p.Food, p.Form)
		}
		if p.Grams <= 0 {
			c.say("swap %s: %g g of %s", s.ID, p.Grams, p.Food)
		}
	}
	if len(s.Serves) == 0 || s.Name == "" || s.Short == "" || s.Why == "" || s.Limits == "" || s.Cook == "" {
		c.say("swap %s: name, short name, kinds, why, limits or cook is missing", s.ID)
	}
	if w := c.larder.claims(s.Why + " " + s.Name); w != "" {
		c.say("swap %s: the text says it is without %s, which only a look at the formula can tell", s.ID, w)
	}
	if len(s.Formula) > 1 && len(s.Prepare) == 0 {
		c.say("swap %s: several parts, and nothing says how they come together", s.ID)
	}
	if s.Per != PerHundred && s.Per != PerEgg && s.Per != PerLitre {
		c.say("swap %s: counted per %q", s.ID, s.Per)
	}
	for _, what := range s.Serves {
		if !slices.ContainsFunc(c.larder.order, func(f *Food) bool { return (&Swap{Serves: []string{what}}).ServesFood(f.Kind, f) }) {
			c.say("swap %s: no food is of the kind %q", s.ID, what)
		}
	}
	for _, next := range s.Next {
		if c.larder.swapByID[next] == nil || next == s.ID {
			c.say("swap %s: falls back on %q, which is no other swap", s.ID, next)
		}
	}
	for _, p := range s.Prepare {
		if p.Cue == "" || p.Hands+p.Wait <= 0 {
			c.say("swap %s: a preparation without cue or time", s.ID)
		}
	}
	c.source(s.ID, s.Source)
}

func (c *checker) booster(b *Booster) {
	f := c.larder.foods[b.Food]
	if f == nil {
		c.say("booster: unknown food %q", b.Food)
		return
	}
	if f.Origin == FromAnimal || f.Origin == Mixed || b.Most <= 0 || b.Step <= 0 || b.When == "" || len(b.Traits) == 0 {
		c.say("booster %s: animal, or without dose, moment or trait", b.Food)
	}
	if b.Form != RawForm && f.Forms[b.Form].Name == "" {
		c.say("booster %s: no form %q", b.Food, b.Form)
	}
	c.source(b.Food, b.Source)
}

func (c *checker) caution(x *Caution) {
	for _, id := range x.Foods {
		if c.larder.foods[id] == nil {
			c.say("caution %s: unknown food %q", x.ID, id)
		}
	}
	for _, t := range x.Techniques {
		if c.larder.techniques[t] == nil {
			c.say("caution %s: unknown technique %q", x.ID, t)
		}
	}
	if x.Text == "" || len(x.Foods)+len(x.Shelves)+len(x.Techniques)+len(x.States)+len(x.Words)+len(x.Lines) == 0 {
		c.say("caution %s: says nothing, or fits everything", x.ID)
	}
	c.source(x.ID, x.Source)
}
