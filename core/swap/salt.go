package swap

import (
	"math"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// saltLine is a line of plain salt that gives way to salt from elsewhere.
type saltLine struct {
	component, line int
	grams           float64
	perGram         character.Sums
	// ofDough tells that it salts a dough, which tastes flat without whatever else the dish holds.
	ofDough bool
}

// saltsDough tells whether a salt line stands in a part that is mostly flour.
func (x *bench) saltsDough(component int) bool {
	flour, all := 0.0, 0.0
	lines := x.dish.Components[component].Lines
	for i := range lines {
		all += lines[i].Mass()
		if f := x.larder.Food(lines[i].FoodID()); f != nil && f.Tagged(flours) {
			flour += lines[i].Mass()
		}
	}
	return flour > mostlyFlour*all
}

// flours is the tag of flours, mostlyFlour the share of them from which a part is a dough; an estimate.
const (
	flours      = "flours"
	mostlyFlour = 0.3
)

// plainSalt is the food of a salt line that can be lowered: the line's own, or
// the only stand-in for it, where that is salt again; nil for other lines.
func (x *bench) plainSalt(component, line int) *larder.Food {
	food := x.larder.Food(x.dish.Components[component].Lines[line].FoodID())
	if food == nil || food.Kind != "salt" || x.dish.Components[component].Lines[line].Mass() <= 0 {
		return nil
	}
	at, decided := x.at[recipe.LineRef(component, line)]
	if !decided {
		return food
	}
	for _, s := range x.slots[at].allowed {
		if len(s.Formula) == 1 {
			return x.rules.inPlace(s.Formula[0].Food)
		}
	}
	return nil
}

// saltGrams is the mass of a salt line before it is lowered, as it is written.
func (x *bench) saltGrams(component, line int) float64 {
	if at, decided := x.at[recipe.LineRef(component, line)]; decided {
		for _, s := range x.slots[at].allowed {
			if len(s.Formula) == 1 {
				return x.grams(x.slots[at], s, s.Formula[0])
			}
		}
	}
	return x.dish.Components[component].Lines[line].Mass()
}

// leastSaltMoved is the salt in grams below which nothing is adjusted.
const leastSaltMoved = 0.3

// lowerSalt works out what is left of each salt line when extra grams of salt
// come from elsewhere and the house allows at most limit grams in all (0: no
// limit) with others grams in the rest of the dish.
func (x *bench) lowerSalt(extra, others float64) []float64 {
	left := make([]float64, len(x.salts))
	lines := 0.0
	for i, s := range x.salts {
		left[i] = s.grams
		lines += s.grams * s.perGram.Salt()
	}
	over := 0.0
	if limit := x.rules.House.SaltPerServing * x.original.Servings; limit > 0 {
		over = others + lines - limit
		extra = max(extra, over)
	}
	for i, s := range x.salts {
		per := s.perGram.Salt()
		if extra < leastSaltMoved || per <= 0 || s.ofDough && over < leastSaltMoved {
			continue
		}
		left[i] = min(s.grams, measure.RoundGrams(math.Max(0, s.grams-extra/per), measure.Fine))
		extra -= (s.grams - left[i]) * per
	}
	return left
}
