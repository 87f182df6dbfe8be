// Package swap chooses what stands in for what: it keeps a kitchen's house
// rules, puts swaps from the book into the whole dish, ranks them by what they
// keep of its character, and proposes an adaptation.
package swap

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/character"
	"yembra/core/larder"
)

// HouseRules are a kitchen's switches: a preset and what is off besides.
type HouseRules struct {
	Preset string   `json:"preset"`
	Off    []string `json:"off"`
	// SaltPerServing limits salt in grams a serving; 0 sets no limit.
	SaltPerServing float64 `json:"saltPerServing"`
	// Mild wants less heat, for a table that does not eat hot.
	Mild bool `json:"mild,omitempty"`
	// VegetablesPerGrain is the least volume of vegetables beside one of grain;
	// 0 asks for no ratio.
	VegetablesPerGrain float64 `json:"vegetablesPerGrain,omitempty"`
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

// Preset is one school with its hard and soft rules in words.
type Preset struct {
	ID   string   `json:"id"`
	Name string   `json:"name"`
	Hard []string `json:"hard"`
	Soft []string `json:"soft"`
}

var wholeSoft = []string{"oil at most 1 tsp a serving", "little refined flour and sugar", "salt at most the original's"}

// Presets lists the presets with the words they are shown by.
var Presets = []Preset{
	{WholeFood, "Whole food", []string{NoAnimal, noAnalogue}, wholeSoft},
	{WholeFoodNoOil, "Whole food, no oil", []string{NoAnimal, noAnalogue, noOil}, append([]string{"fat from whole nuts, seeds, coconut and avocado"}, wholeSoft[1:]...)},
	{LikeForLike, "Like for like", []string{NoAnimal}, []string{"nearest in taste and feel first", "ready-made analogues welcome"}},
	{NoOnionGarlic, "No onion or garlic", []string{NoAnimal, noAnalogue, noAllium}, append([]string{"more vegetable than grain"}, wholeSoft...)},
	{FastingDay, "Fasting day", []string{NoAnimal, noAnalogue, noGrain, noPulse, rockSaltOnly}, append([]string{"roots, nuts, seeds, buckwheat and amaranth"}, wholeSoft...)},
	{GrainBeanSea, "Grain, bean and sea", []string{NoAnimal, noAnalogue}, append([]string{"whole grain, fermented soy and sea vegetables"}, wholeSoft...)},
}

// The names of the hard rules.
const (
	NoAnimal     = "no animal matter"
	noAnalogue   = "no ready-made analogues"
	noOil        = "no free oils"
	noAllium     = "no onion or garlic"
	noGrain      = "no grains"
	noPulse      = "no pulses"
	rockSaltOnly = "rock salt only"
	noRawOnion   = "no raw-onion"
	noDeepFrying = "no deep-frying"
)

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

// holdsMushrooms is the shelf and what is made from it.
func holdsMushrooms(f *larder.Food) bool {
	return f.Aisle == "mushrooms" || slices.Contains([]string{"mushroom-stock", "mushroom-oyster-sauce", "mushroom-ketchup"}, f.ID)
}

// alliums are what "no onion or garlic" leaves out, with what usually holds
// them.
var alliums = strings.Fields("onion shallot spring-onion leek garlic chive garlic-powder onion-powder onion-salt fried-onion red-onion pearl-onion " +
	"chinese-chive wild-garlic pickled-onion vegetable-stock vegetable-stock-cube mushroom-stock no-chicken-stock")

// rawAlliums are eaten raw in salads and relishes.
var rawAlliums = []string{"onion", "red-onion", "shallot", "spring-onion", "pearl-onion"}

// alcoholic tells whether a food is or holds alcohol.
func alcoholic(f *larder.Food) bool {
	return f.Kind == "wine" || slices.Contains([]string{"spirit", "brandy", "rum", "whiskey", "vodka", "anise-spirit", "liqueur"}, f.ID)
}

// grainless are on the shelf of grains and yet no grain: what is eaten on a
// fasting day.
var grainless = strings.Fields("buckwheat-flour buckwheat-groat quinoa amaranth potato-starch tapioca-starch tapioca-pearl arrowroot sweet-potato-starch cassava-flour soba glass-noodles")

// grainy are grains that stand on other shelves.
var grainy = strings.Fields("oat-milk rice-milk oat-cream oat-yoghurt rice-vinegar sake mirin malt-vinegar malt-extract beer stout kvass hominy sweetcorn baby-corn sweetcorn-creamed corn-stock seitan vital-wheat-gluten vegan-sausage")

func holdsGrain(f *larder.Food) bool {
	return (f.Aisle == "grains" || f.Aisle == "bakery") && !slices.Contains(grainless, f.ID) || slices.Contains(f.Allergen, "gluten") || slices.Contains(grainy, f.ID)
}

func holdsPulse(f *larder.Food) bool {
	return f.Aisle == "pulses" || f.Aisle == "soy" || slices.Contains(f.Allergen, "soy") || slices.Contains([]string{"aquafaba", "hummus", "locust-bean", "tofu-ricotta", "pea-milk"}, f.ID) ||
		slices.Contains([]string{"green-pea", "edamame", "mangetout", "snow-pea", "broad-bean", "mushy-peas", "green-bean", "runner-bean", "long-bean"}, f.ID)
}

var switchRules = map[string]func(*larder.Food) bool{
	"soy":         allergen("soy"),
	"gluten":      allergen("gluten"),
	"tree-nuts":   allergen("nuts"),
	"peanut":      allergen("peanuts"),
	"sesame":      allergen("sesame"),
	"alcohol":     alcoholic,
	"added-sugar": kind("sugar"),
	"mushrooms":   holdsMushrooms,
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

// Bounds of the figures that house rules hold.
const (
	mostSaltPerServing = 50.0
	mostRatio          = 20.0
)

// NewRules compiles house rules; an unknown preset or switch is a FieldError.
func NewRules(h HouseRules) (Rules, error) {
	if h.Preset == "" {
		h.Preset = WholeFood
	}
	if !slices.ContainsFunc(Presets, func(p Preset) bool { return p.ID == h.Preset }) {
		return Rules{}, FieldError{"houseRules.preset", fmt.Sprintf("%q is no preset", h.Preset)}
	}
	if h.SaltPerServing < 0 || h.SaltPerServing > mostSaltPerServing {
		return Rules{}, FieldError{"houseRules.saltPerServing", "must lie between 0 and 50 grams"}
	}
	if h.VegetablesPerGrain < 0 || h.VegetablesPerGrain > mostRatio {
		return Rules{}, FieldError{"houseRules.vegetablesPerGrain", "must lie between 0 and 20"}
	}
	r := Rules{House: h, less: map[string]bool{}}
	if h.Preset != LikeForLike {
		r.hard = append(r.hard, rule{noAnalogue, func(f *larder.Food) bool { return f.Grade == larder.Analogue }})
	}
	switch h.Preset {
	case WholeFoodNoOil:
		r.hard = append(r.hard, rule{noOil, func(f *larder.Food) bool { return isOil(f) || f.ID == "margarine" }})
		r.less[character.Richness] = true
	case NoOnionGarlic:
		r.hard = append(r.hard, rule{noAllium, func(f *larder.Food) bool { return slices.Contains(alliums, f.ID) }})
	case FastingDay:
		r.hard = append(r.hard, rule{noGrain, holdsGrain}, rule{noPulse, holdsPulse},
			rule{rockSaltOnly, func(f *larder.Food) bool {
				return slices.Contains([]string{"salt", "sea-salt-flake", "kosher-salt", "smoked-salt", "curing-salt"}, f.ID)
			}})
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
	if h.Mild {
		r.less[character.Heat] = true
	}
	return r, nil
}

// Names lists the hard rules over foods.
func (r Rules) Names() []string {
	names := []string{NoAnimal}
	for _, hard := range r.hard {
		names = append(names, hard.name)
	}
	return names
}

// Breaks names the hard rule that a food breaks, empty when it breaks none.
func (r Rules) Breaks(f *larder.Food) string {
	if f.Origin == larder.FromAnimal {
		return NoAnimal
	}
	for _, hard := range r.hard {
		if hard.breaks(f) {
			return hard.name
		}
	}
	return ""
}

// breaksHere names the rule that a food breaks by what is done with it: onion
// that stays raw, a pan of frying fat.
func (r Rules) breaksHere(f *larder.Food, use string, t character.Treatment) string {
	switch {
	case slices.Contains(r.House.Off, "raw-onion") && !t.Heated && slices.Contains(rawAlliums, f.ID):
		return noRawOnion
	case slices.Contains(r.House.Off, "deep-frying") && use == "deep-fry":
		return noDeepFrying
	}
	return ""
}

// rockSalt is what stands for table salt in swaps where only rock salt will do.
const rockSalt = "rock-salt"

// inPlace is the food that a swap's part is made with under the rules: plain
// salt gives way to rock salt by itself.
func (r Rules) inPlace(l *larder.Larder, id string) *larder.Food {
	f := l.Food(id)
	if r.House.Preset == FastingDay && f != nil && f.Kind == "salt" && f.ID != rockSalt && f.Grade != larder.Analogue {
		return l.Food(rockSalt)
	}
	return f
}

// BreaksSwap names the first hard rule that a swap breaks, with the food or
// kit that does.
func (r Rules) BreaksSwap(l *larder.Larder, s *larder.Swap) string {
	for _, p := range s.Formula {
		f := r.inPlace(l, p.Food)
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

// What the soft rules dislike, in the unit of the objective.
const (
	gradePenalty  = 0.35
	gradeGrams    = 20.0 // a serving of which counts in full
	oilPerServing = 4.5  // grams: one teaspoon
	oilPenalty    = 1.5
	schoolReward  = 0.35
)

// soft weighs how far a food is from what the rules like: each grade away from
// whole, oil above all, and what the school is fond of.
func (r Rules) soft(f *larder.Food, grade larder.Grade, grams, servings float64) float64 {
	penalty := 0.0
	share := min(1, grams/servings/gradeGrams)
	if r.House.Preset != LikeForLike {
		penalty += float64(grade.Steps()) * gradePenalty * share
		if f.Kind == "oil" && grams/servings > oilPerServing {
			penalty += oilPenalty
		}
	}
	switch {
	case r.House.Preset == GrainBeanSea && (f.Aisle == "sea-vegetables" || slices.Contains([]string{"miso", "white-miso", "red-miso", "tempeh", "natto"}, f.ID)):
		penalty -= schoolReward
	case r.House.Preset == GrainBeanSea && f.Aisle == "grains" && f.Grade == larder.Whole, r.House.Preset == FastingDay && (f.Aisle == "nuts" || slices.Contains(grainless, f.ID)):
		penalty -= schoolReward * share
	case r.House.Preset == WholeFoodNoOil && f.Aisle == "nuts":
		penalty -= schoolReward * share
	}
	return penalty
}
