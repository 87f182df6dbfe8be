package larder

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/language"
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
	c.takenFirst()
	c.traditional()
	return c.problems
}

// verbs holds the verbs of the language against the techniques: each orders one
// that there is, or no work.
func (c *checker) verbs() {
	for _, v := range c.larder.language.Verbs() {
		for _, s := range c.larder.language.Senses(v) {
			if s.Technique != language.NoWork && s.Technique != language.Inner && c.larder.Technique(s.Technique) == nil {
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
		for of, name := range map[string]string{"inhot": t.InHot, "intin": t.InTin, "firm": t.Firm, "like": t.Like, "onfire": t.OnFire, "infat": t.InFat, "deep": t.Deep} {
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
var places = []string{cupboard, "fridge", "freezer"}

// What keeps long as it is sold and not for a month once open goes out of the cupboard then.
const (
	cupboard = "cupboard"
	longKept = 180.0
	soonGone = 30.0
)

// sumError is how far the shares of sugars may miss 100 by rounding.
const sumError = 3.0

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
	for part, name := range s.Parts {
		if c.larder.language.EggParts[part] == 0 {
			c.say("swap %s: %q is no part of an egg", s.ID, part)
		}
		if !slices.ContainsFunc(s.Prepare, func(p Preparation) bool { return p.Makes == name }) {
			c.say("swap %s: nothing is said to make the %s", s.ID, name)
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
	for _, class := range b.Piece {
		if !slices.ContainsFunc(c.larder.order, func(f *Food) bool { return string(f.Animal) == class }) {
			c.say("booster %s: a piece of no class %q", b.Food, class)
		}
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
