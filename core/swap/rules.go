// Package swap chooses what stands in for what: it keeps a kitchen's house
// rules, puts swaps from the book into the whole dish, ranks them by what they
// keep of its character, and proposes an adaptation.
package swap

import (
	"fmt"
	"slices"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/texts"
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

// WholeFood is the preset of a kitchen that has chosen none.
const WholeFood = "whole-food"

// NoAnimal is the name of the rule that every preset keeps.
var NoAnimal = texts.Say("swap.noAnimalMatter")

// Preset is one school with its hard and soft rules in words.
type Preset struct {
	ID   string   `json:"id"`
	Name string   `json:"name"`
	Hard []string `json:"hard"`
	Soft []string `json:"soft"`
}

// PresetsOf lists the schools with the words they are shown by.
func PresetsOf(l *larder.Larder) []Preset {
	var out []Preset
	for _, p := range l.Presets() {
		shown := Preset{p.ID, p.Name, []string{NoAnimal}, p.Soft}
		for _, b := range p.Bars {
			shown.Hard = append(shown.Hard, b.Rule)
		}
		out = append(out, shown)
	}
	return out
}

// Switch is what a kitchen can turn off by itself, with the words it is shown by.
type Switch struct {
	ID   string `json:"id"`
	Rule string `json:"rule"`
	// Diner is what one who cannot eat it calls it, empty where none would.
	Diner string `json:"diner"`
}

// SwitchesOf lists the switches.
func SwitchesOf(l *larder.Larder) []Switch {
	var out []Switch
	for _, s := range l.Switches() {
		out = append(out, Switch{s.ID, s.Rule, s.Diner})
	}
	return out
}

// bar is a hard rule over foods.
type bar interface{ Breaks(*larder.Food) bool }

// hardRule is one with its name.
type hardRule struct {
	name string
	bar
}

// Rules are house rules made ready for use.
type Rules struct {
	House  HouseRules
	larder *larder.Larder
	preset *larder.Preset
	hard   []hardRule
	// off are the switches that bar more than foods.
	off  []*larder.Switch
	less map[string]bool
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
func NewRules(l *larder.Larder, h HouseRules) (Rules, error) {
	if h.Preset == "" {
		h.Preset = WholeFood
	}
	preset := l.Preset(h.Preset)
	if preset == nil {
		return Rules{}, FieldError{"houseRules.preset", texts.Say("swap.isNoPreset", h.Preset)}
	}
	if h.SaltPerServing < 0 || h.SaltPerServing > mostSaltPerServing {
		return Rules{}, FieldError{"houseRules.saltPerServing", texts.Say("swap.mustLieBetweenAndGrams")}
	}
	if h.VegetablesPerGrain < 0 || h.VegetablesPerGrain > mostRatio {
		return Rules{}, FieldError{"houseRules.vegetablesPerGrain", texts.Say("swap.mustLieBetweenAnd")}
	}
	r := Rules{House: h, larder: l, preset: preset, less: map[string]bool{}}
	for i := range preset.Bars {
		r.hard = append(r.hard, hardRule{preset.Bars[i].Rule, &preset.Bars[i]})
	}
	for _, trait := range preset.Less {
		r.less[trait] = true
	}
	for i, id := range h.Off {
		s := l.Switch(id)
		switch {
		case s == nil:
			return Rules{}, FieldError{fmt.Sprintf("houseRules.off[%d]", i), texts.Say("swap.isNoSwitch", id)}
		case len(s.Bars) > 0 && !s.Raw:
			r.hard = append(r.hard, hardRule{s.Rule, s})
		default:
			r.off = append(r.off, s)
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
		if !slices.Contains(names, hard.name) {
			names = append(names, hard.name)
		}
	}
	return names
}

// Breaks names the hard rule that a food breaks, empty when it breaks none.
func (r Rules) Breaks(f *larder.Food) string {
	if f.Origin == larder.FromAnimal {
		return NoAnimal
	}
	for _, hard := range r.hard {
		if hard.Breaks(f) {
			return hard.name
		}
	}
	return ""
}

// breaksHere finds the switch that a food breaks by what is done with it: onion that
// stays raw, a pan of frying fat.
func (r Rules) breaksHere(f *larder.Food, use string, t character.Treatment) *larder.Switch {
	for _, s := range r.off {
		if s.Raw && !t.Heated && s.Breaks(f) || slices.Contains(s.Uses, use) {
			return s
		}
	}
	return nil
}

// BreaksWay names the rule that a way of working breaks, empty when it breaks none.
func (r Rules) BreaksWay(technique, heat string) string {
	for _, s := range r.off {
		if slices.Contains(s.Techniques, technique) || s.Heat != "" && s.Heat == heat {
			return s.Rule
		}
	}
	return ""
}

// inPlace is the food that a swap's part is made with under the rules: plain
// salt gives way to rock salt by itself.
func (r Rules) inPlace(id string) *larder.Food {
	return r.larder.InPlaceOf(r.preset, r.larder.Food(id))
}

// BreaksSwap names the first hard rule that a swap breaks, with the food or
// kit that does.
func (r Rules) BreaksSwap(s *larder.Swap) string {
	for _, p := range s.Formula {
		f := r.inPlace(p.Food)
		if f == nil {
			continue
		}
		if why := r.Breaks(f); why != "" {
			return texts.Say("swap.holds", why, f.Name)
		}
	}
	for _, p := range s.Prepare {
		for _, off := range r.off {
			if slices.ContainsFunc(p.Kit, func(k string) bool { return slices.Contains(off.Kit, k) }) {
				return texts.Say("swap.itIsPreparedInOne", off.Rule)
			}
		}
	}
	return ""
}

// Less tells which traits the rules want less of.
func (r Rules) Less() map[string]bool { return r.less }

// oilPerServing is a teaspoon of oil in grams.
const oilPerServing = 4.5

// soft weighs how far a food is from what the rules like: each grade away from
// whole, oil above all, and what the school is fond of.
func (r Rules) soft(w *Weights, f *larder.Food, grade larder.Grade, grams, servings float64) float64 {
	penalty := 0.0
	share := min(1, grams/servings/w.GradeGrams)
	if r.preset.Weigh(larder.WeighsGrades) {
		penalty += float64(grade.Steps()) * w.GradePenalty * share
		if f.Kind == "oil" && grams/servings > oilPerServing {
			penalty += w.OilPenalty
		}
	}
	for i := range r.preset.Likes {
		if like := &r.preset.Likes[i]; like.Likes(f) {
			if !like.ByAmount {
				share = 1
			}
			return penalty - w.SchoolReward*share
		}
	}
	return penalty
}
