package swap

import (
	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/texts"
)

// Preference is a soft rule held against a dish: how much there was and is, and
// the bound the school would rather keep: at most so much a serving, or, for a
// ratio, at least so much.
type Preference struct {
	Rule     string  `json:"rule"`
	Unit     string  `json:"unit"`
	Original float64 `json:"original"`
	Adapted  float64 `json:"adapted"`
	Bound    float64 `json:"bound"`
	AtLeast  bool    `json:"atLeast"`
	Within   bool    `json:"within"`
}

// A preference is within its bound up to this part of it above, for rounding.
const preferenceSlack = 1.05

// Preferences measures the soft rules of the house that can be measured: free
// oil by the teaspoon, refined flour and sugar, salt, and vegetable to grain.
func (r Rules) Preferences(original, adapted character.Dish) []Preference {
	out := []Preference{}
	atMost := func(rule, unit string, of func(character.Dish) float64, bound func(was float64) float64) {
		p := Preference{Rule: rule, Unit: unit, Original: of(original) / original.Servings, Adapted: of(adapted) / adapted.Servings}
		p.Bound = bound(p.Original)
		p.Within = p.Adapted <= p.Bound*preferenceSlack+1e-9
		out = append(out, p)
	}
	if r.preset.Weigh(larder.WeighsOil) {
		atMost(texts.Say("swap.littleFreeOil"), "tsp", func(d character.Dish) float64 { return gramsOf(d, isOil) / oilPerServing }, func(float64) float64 { return 1 })
	}
	if r.preset.Weigh(larder.WeighsRefined) {
		atMost(texts.Say("swap.littleRefinedFlourAndSugar"), "g", func(d character.Dish) float64 { return gramsOf(d, isRefined) }, func(was float64) float64 { return was })
	}
	if limit := r.House.SaltPerServing; limit > 0 || r.preset.Weigh(larder.WeighsSalt) {
		atMost("salt", "g", saltOf, func(was float64) float64 {
			if limit > 0 {
				return min(limit, was)
			}
			return was
		})
	}
	if want := r.House.VegetablesPerGrain; want > 0 {
		p := Preference{Rule: texts.Say("swap.vegetableToGrainByVolume"), Unit: "to 1", Original: vegetablesPerGrain(original), Adapted: vegetablesPerGrain(adapted), Bound: want, AtLeast: true}
		p.Within = p.Adapted == 0 || p.Adapted*preferenceSlack >= want
		out = append(out, p)
	}
	return out
}

func isOil(f *larder.Food) bool { return f.Tagged("oil") }

func isRefined(f *larder.Food) bool {
	return f.Tagged("refined-staple")
}

func gramsOf(d character.Dish, is func(*larder.Food) bool) float64 {
	total := 0.0
	for _, p := range d.Parts {
		for _, it := range p.Items {
			if is(it.Food) {
				total += it.Grams
			}
		}
	}
	return total
}

func saltOf(d character.Dish) float64 {
	total := 0.0
	for _, s := range d.Sums() {
		total += s.Salt()
	}
	return total
}

// vegetablesPerGrain is 0 for a dish without grain, which is none of the
// ratio's business.
func vegetablesPerGrain(d character.Dish) float64 {
	vegetables, grains := 0.0, 0.0
	for _, p := range d.Parts {
		for _, it := range p.Items {
			v, g := plantVolume(it.Food, it.Grams)
			vegetables, grains = vegetables+v, grains+g
		}
	}
	if grains == 0 {
		return 0
	}
	return vegetables / grains
}
