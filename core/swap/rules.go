// Package swap chooses what stands in for what: it keeps a kitchen's house
// rules, puts swaps from the book into the whole dish, ranks them by what they
// keep of its character, and proposes an adaptation.
package swap

import (
	"fmt"
	"slices"

	"yembra/core/character"
	"yembra/core/larder"
)

// HouseRules are a kitchen's switches: a preset and what is off besides.
type HouseRules struct {
	Preset string   `json:"preset"`
	Off    []string `json:"off"`
	// SaltPerServing limits salt in grams a serving; 0 sets no limit.
	SaltPerServing float64 `json:"saltPerServing"`
}

// The presets.
const (
	WholeFood      = "whole-food"
	WholeFoodNoOil = "whole-food-no-oil"
	LikeForLike    = "like-for-like"
	NoOnionGarlic  = "no-onion-garlic"
	FastingDay     = "fasting-day"
	GrainBeanSea   = "grain-bean-sea"
)

// Presets lists the presets with the words they are shown by.
var Presets = []struct{ ID, Name string }{
	{WholeFood, "Whole food"}, {WholeFoodNoOil, "Whole food, no oil"}, {LikeForLike, "Like for like"},
	{NoOnionGarlic, "No onion or garlic"}, {FastingDay, "Fasting day"}, {GrainBeanSea, "Grain, bean and sea"},
}

// Switches lists what a kitchen can turn off.
var Switches = []string{"soy", "gluten", "tree-nuts", "peanut", "sesame", "alcohol", "added-sugar", "raw-onion", "deep-frying", "pressure-cooker", "oven", "mushrooms"}

// rule is one hard rule over foods.
type rule struct {
	name   string
	breaks func(*larder.Food) bool
}

func allergen(names ...string) func(*larder.Food) bool {
	return func(f *larder.Food) bool {
		return slices.ContainsFunc(f.Allergen, func(a string) bool { return slices.Contains(names, a) })
	}
}

func kind(names ...string) func(*larder.Food) bool {
	return func(f *larder.Food) bool { return slices.Contains(names, f.Kind) }
}

func aisle(names ...string) func(*larder.Food) bool {
	return func(f *larder.Food) bool { return slices.Contains(names, f.Aisle) }
}

// alliums are what "no onion or garlic" leaves out.
var alliums = []string{"onion", "shallot", "spring-onion", "leek", "garlic", "chive", "garlic-powder"}

var switchRules = map[string]func(*larder.Food) bool{
	"soy":         allergen("soy"),
	"gluten":      allergen("gluten"),
	"tree-nuts":   allergen("nuts"),
	"peanut":      allergen("peanuts"),
	"sesame":      allergen("sesame"),
	"alcohol":     func(f *larder.Food) bool { return f.Kind == "wine" || f.ID == "spirit" },
	"added-sugar": kind("sugar"),
	"mushrooms":   aisle("mushrooms"),
}

// kitSwitches name kit that a preparation may not ask for.
var kitSwitches = map[string]string{"oven": "oven", "pressure-cooker": "pressure-cooker", "deep-frying": "deep-fryer"}

// Rules are house rules made ready for use.
type Rules struct {
	House HouseRules
	hard  []rule
	kit   []string
	less  map[string]bool
}

// FieldError says which field of a request is wrong.
type FieldError struct{ Field, Detail string }

func (e FieldError) Error() string { return e.Field + ": " + e.Detail }

// NewRules compiles house rules; an unknown preset or switch is a FieldError.
func NewRules(h HouseRules) (Rules, error) {
	if h.Preset == "" {
		h.Preset = WholeFood
	}
	if !slices.ContainsFunc(Presets, func(p struct{ ID, Name string }) bool { return p.ID == h.Preset }) {
		return Rules{}, FieldError{"houseRules.preset", fmt.Sprintf("%q is no preset", h.Preset)}
	}
	if h.SaltPerServing < 0 || h.SaltPerServing > 50 {
		return Rules{}, FieldError{"houseRules.saltPerServing", "must lie between 0 and 50 grams"}
	}
	r := Rules{House: h, less: map[string]bool{}}
	if h.Preset != LikeForLike {
		r.hard = append(r.hard, rule{"no ready-made analogues", func(f *larder.Food) bool { return f.Grade == larder.Analogue }})
	}
	switch h.Preset {
	case WholeFoodNoOil:
		r.hard = append(r.hard, rule{"no free oils", kind("oil", "fat")})
		r.less[character.Richness] = true
	case NoOnionGarlic:
		r.hard = append(r.hard, rule{"no onion or garlic", func(f *larder.Food) bool { return slices.Contains(alliums, f.ID) }})
	case FastingDay:
		r.hard = append(r.hard,
			rule{"no grains", func(f *larder.Food) bool {
				return (f.Aisle == "grains" || f.Aisle == "bakery") && !slices.Contains([]string{"buckwheat-flour", "quinoa"}, f.ID) || slices.Contains(f.Allergen, "gluten")
			}},
			rule{"no pulses", func(f *larder.Food) bool { return f.Aisle == "pulses" || slices.Contains(f.Allergen, "soy") }})
	}
	for i, off := range h.Off {
		if !slices.Contains(Switches, off) {
			return Rules{}, FieldError{fmt.Sprintf("houseRules.off[%d]", i), fmt.Sprintf("%q is no switch", off)}
		}
		if breaks, ok := switchRules[off]; ok {
			r.hard = append(r.hard, rule{"no " + off, breaks})
		}
		if kit, ok := kitSwitches[off]; ok {
			r.kit = append(r.kit, kit)
		}
	}
	if h.SaltPerServing > 0 {
		r.less[character.Salt] = true
	}
	return r, nil
}

// Breaks names the hard rule that a food breaks, empty when it breaks none.
func (r Rules) Breaks(f *larder.Food) string {
	if f.Origin == larder.FromAnimal {
		return "no animal matter"
	}
	for _, hard := range r.hard {
		if hard.breaks(f) {
			return hard.name
		}
	}
	return ""
}

// BreaksSwap names the first hard rule that a swap breaks, with the food or
// kit that does.
func (r Rules) BreaksSwap(l *larder.Larder, s *larder.Swap) string {
	for _, p := range s.Formula {
		f := l.Food(p.Food)
		if f == nil {
			continue
		}
		if why := r.Breaks(f); why != "" {
			return fmt.Sprintf("%s: holds %s", why, f.Name)
		}
	}
	for _, p := range s.Prepare {
		for _, k := range p.Kit {
			if slices.Contains(r.kit, k) {
				return fmt.Sprintf("no %s: it is prepared in one", k)
			}
		}
	}
	return ""
}

// Less tells which traits the rules want less of.
func (r Rules) Less() map[string]bool { return r.less }

// soft weighs how far a food is from what the rules like, per gram used: each
// grade away from whole, oil above all.
func (r Rules) soft(f *larder.Food, grams, servings float64) float64 {
	penalty := 0.0
	if r.House.Preset != LikeForLike {
		penalty += float64(f.Grade.Steps()) * gradePenalty * min(1, grams/servings/20)
		if f.Kind == "oil" && grams/servings > oilPerServing {
			penalty += oilPenalty
		}
	}
	if r.House.Preset == GrainBeanSea && (f.Aisle == "sea-vegetables" || f.ID == "miso" || f.ID == "tempeh") {
		penalty -= gradePenalty
	}
	return penalty
}

const (
	gradePenalty  = 0.35
	oilPerServing = 4.5 // grams: one teaspoon
	oilPenalty    = 1.5
)
