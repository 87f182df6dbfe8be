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
	mostShares    = 102.0
	leastDensity  = 0.05
	mostDensity   = 1.6
	mostDoseGrams = 1000.0
)

// Check looks at the knowledge as a whole and lists what is wrong: broken
// references, impossible shares, energy that does not follow from the
// macronutrients, names that mean two foods, allergens that a name implies and
// the food does not list, swaps that hold animal matter.
func (l *Larder) Check() []string {
	c := checker{larder: l, names: map[string]string{}}
	for _, f := range l.order {
		c.food(f)
	}
	for _, s := range l.swaps {
		c.swap(s)
	}
	for _, b := range l.boosters {
		c.booster(b)
	}
	return c.problems
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
	for _, a := range f.Aromas {
		if a.Dose <= 0 || a.Dose > mostDoseGrams {
			c.say("%s: dose %g for %s", f.ID, a.Dose, a.Trait)
		}
		c.source(f.ID, a.Source)
	}
	for _, form := range f.Forms {
		if form.Base <= 0 || form.Yield <= 0 || form.Base > 2 {
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

// implied are allergens that a word in a name gives away.
var implied = map[string]string{
	"wheat": "gluten", "barley": "gluten", "rye": "gluten", "spelt": "gluten", "soy": "soy", "tofu": "soy", "tempeh": "soy",
	"sesame": "sesame", "peanut": "peanuts", "almond": "nuts", "walnut": "nuts", "cashew": "nuts", "hazelnut": "nuts", "pistachio": "nuts",
	"mustard": "mustard", "celery": "celery", "celeriac": "celery", "egg": "egg", "milk": "milk", "cheese": "milk", "butter": "milk",
	"prawn": "crustaceans", "crab": "crustaceans", "mussel": "molluscs", "squid": "molluscs", "oyster": "molluscs", "haddock": "fish", "salmon": "fish", "cod": "fish",
}

// allergens compares a food's own name, not its looser aliases, with what it
// lists. Plant foods named after animal ones are not meant.
func (c *checker) allergens(f *Food) {
	words := Words(f.Name)
	for i, w := range words {
		a, ok := implied[w]
		if !ok || slices.Contains(f.Allergen, a) {
			continue
		}
		animalWord := slices.Contains([]string{"egg", "milk", "butter", "cheese", "fish", "oyster", "molluscs"}, w)
		if animalWord && f.Origin != FromAnimal || i+1 < len(words) && words[i+1] == "free" {
			continue
		}
		c.say("%s: the name says %s, the allergens do not", f.ID, a)
	}
}

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
	if s.Per != PerHundred && s.Per != PerEgg && s.Per != PerLitre {
		c.say("swap %s: counted per %q", s.ID, s.Per)
	}
	for _, kind := range s.Serves {
		if !slices.ContainsFunc(c.larder.order, func(f *Food) bool { return f.Kind == kind }) {
			c.say("swap %s: no food is of the kind %q", s.ID, kind)
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
