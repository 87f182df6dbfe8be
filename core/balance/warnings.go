package balance

import (
	"math"
	"slices"
	"strconv"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/texts"
)

// usAllergens are those of the EU's names that US law lists as well.
var usAllergens = []string{"milk", "egg", "fish", "crustaceans", "nuts", "peanuts", "gluten", "soy", "sesame"}

func allergens(original, adapted character.Dish) Allergens {
	was, is := held(original), held(adapted)
	a := Allergens{Gone: []string{}, Come: []string{}, Both: []string{}, US: []string{}}
	for _, x := range was {
		if slices.Contains(is, x) {
			a.Both = append(a.Both, x)
		} else {
			a.Gone = append(a.Gone, x)
		}
	}
	for _, x := range is {
		if !slices.Contains(was, x) {
			a.Come = append(a.Come, x)
		}
		if slices.Contains(usAllergens, x) {
			a.US = append(a.US, x)
		}
	}
	return a
}

func held(d character.Dish) []string {
	var list []string
	for _, p := range d.Parts {
		for _, it := range p.Items {
			list = append(list, it.Food.Allergen...)
		}
	}
	slices.Sort(list)
	return slices.Compact(list)
}

func grades(original, adapted character.Dish) []GradeShare {
	out := []GradeShare{}
	massWas, energyWas := graded(original)
	massIs, energyIs := graded(adapted)
	for _, g := range []larder.Grade{larder.Whole, larder.Plain, larder.Refined, larder.Analogue} {
		out = append(out, GradeShare{g, Pair{massWas[g], massIs[g]}, Pair{energyWas[g], energyIs[g]}})
	}
	return out
}

// graded shares mass and energy out to the grades of the foods, water apart.
func graded(d character.Dish) (mass, energy map[larder.Grade]float64) {
	mass, energy = map[larder.Grade]float64{}, map[larder.Grade]float64{}
	allMass, allEnergy := 0.0, 0.0
	for _, p := range d.Parts {
		for _, it := range p.Items {
			if it.Food.ID == "water" {
				continue
			}
			g := it.Food.Grade
			if it.Form.Grade != "" {
				g = it.Form.Grade
			}
			bought := it.Grams * it.Form.Base
			kcal := bought * larder.Or(it.Food.Per100.Energy, 0) / 100
			mass[g] += bought
			energy[g] += kcal
			allMass += bought
			allEnergy += kcal
		}
	}
	for g := range mass {
		if allMass > 0 {
			mass[g] /= allMass
		}
		if allEnergy > 0 {
			energy[g] /= allEnergy
		}
	}
	return mass, energy
}

func cost(l *larder.Larder, d character.Dish) float64 {
	total := 0.0
	for _, p := range d.Parts {
		for _, it := range p.Items {
			total += it.Grams * it.Form.Base / 1000 * l.Price(it.Food)
		}
	}
	return total / d.Servings
}

// When an account has drifted so far that the cook should hear of it.
const (
	wetDrift     = 0.06 // of the share of water of a component that is no broth, fat apart
	leastDry     = 0.15
	brothy       = 0.78
	saltDrift    = 0.15
	fatDrift     = 0.35
	thinner      = 0.6
	bulkDrift    = 0.2
	leastSalt    = 0.5 // grams
	leastGrams   = 15.0
	simmerLoss   = 11.0 // g a minute from a 24 cm pot that holds 2.5 kg
	potGrams     = 2500.0
	oatsDrink    = 2.5  // g of water taken up by a gram of ground oats
	starchBrings = 30.0 // ml brought to coating by a gram of cornflour
)

func warnings(s Sheet, original, adapted character.Dish, before, after character.Profile) []Warning {
	out := []Warning{}
	for i := range after.Parts {
		was, is := before.Parts[i], after.Parts[i]
		// Fat left out is no water let in: wetness is judged without it.
		wasLean, isLean := was.Mass-fatOf(original, i), is.Mass-fatOf(adapted, i)
		if isLean <= 0 || wasLean <= 0 || was.Water >= brothy {
			continue
		}
		wet, wetter := was.Water*was.Mass/wasLean, is.Water*is.Mass/isLean
		extra := (wetter - wet) * isLean / max(leastDry, 1-wet)
		name := original.Parts[i].Name
		switch {
		case wetter-wet > wetDrift && extra > leastGrams:
			minutes := extra / (simmerLoss * math.Pow(is.Mass/potGrams, 2.0/3))
			out = append(out, Warning{"water", name, texts.Say("balance.wetterThanItWasWaterBeside", part(name), 100*wetter, 100*wet),
				texts.Say("balance.cookItUpToMinutesLonger", minutes, math.Ceil(extra/oatsDrink/5)*5)})
		case wet-wetter > wetDrift && -extra > leastGrams:
			out = append(out, Warning{"water", name, texts.Say("balance.drierThanItWasWaterBeside", part(name), 100*wetter, 100*wet),
				texts.Say("balance.loosenItWithUpToG", math.Round(-extra/10)*10)})
		}
	}
	for _, a := range s.Accounts {
		diff := a.Adapted - a.Original
		if a.Original <= 0 {
			continue
		}
		switch {
		case a.Name == "mass" && math.Abs(diff) > bulkDrift*a.Original:
			out = append(out, Warning{a.Name, "", texts.Say("balance.theDishWeighsGInsteadOf", a.Adapted, a.Original), texts.Say("balance.serveItWithMoreOrLess")})
		case a.Name == "salt" && diff > saltDrift*a.Original && diff > leastSalt:
			out = append(out, Warning{a.Name, "", texts.Say("balance.saltierByG", diff), texts.Say("balance.leaveOutGOfSaltWhere", diff)})
		case a.Name == "salt" && -diff > saltDrift*a.Original && -diff > leastSalt:
			out = append(out, Warning{a.Name, "", texts.Say("balance.lessSaltyByG", -diff), texts.Say("balance.addUpToGAtThe", -diff)})
		case a.Name == "fat" && -diff > fatDrift*a.Original && -diff > leastGrams:
			out = append(out, Warning{a.Name, "", texts.Say("balance.leanerByGOfFat", -diff), texts.Say("balance.ifRichnessIsMissedAboutG", math.Round(-diff/0.5/5)*5)})
		case a.Name == "thickening" && a.Adapted < thinner*a.Original && a.Original > 100:
			out = append(out, Warning{a.Name, "", texts.Say("balance.thickensLessThanTheOriginal"), texts.Say("balance.aboutGOfCornflourInCold", math.Ceil((a.Original-a.Adapted)/starchBrings))})
		}
	}
	return out
}

// overDay warns where one serving holds more than an adult should take in a day, and
// says what brings it. Salt is an account of its own.
func overDay(l *larder.Larder, s Sheet, adapted character.Dish) []Warning {
	var out []Warning
	for i, n := range s.Nutrients {
		if n.Name == "salt" || n.Most <= 0 || n.Adapted <= n.Most {
			continue
		}
		out = append(out, Warning{n.Name, "", texts.Say("balance.aServingHoldsOfAnAdult", figure(n.Adapted), n.Unit, n.Name, figure(n.Most), n.Unit, n.MostSource),
			texts.Say("balance.mostComesFromUseLessOf", mostOf(adapted, listed[i], l.Reference(n.Name).Dissolves))})
	}
	return out
}

// mostOf names the food that brings most of a nutrient.
func mostOf(d character.Dish, n nutrient, dissolves bool) string {
	best, name := 0.0, texts.Say("balance.it")
	for _, p := range d.Parts {
		for _, it := range p.Items {
			one := character.Dish{Parts: []character.Part{{Items: []character.Item{it}}}}
			if v, _ := given(one, n, dissolves); v > best {
				best, name = v, it.Food.Name
			}
		}
	}
	return name
}

// figure writes a figure to three digits.
func figure(v float64) string { return strconv.FormatFloat(v, 'g', 3, 64) }

func fatOf(d character.Dish, part int) float64 {
	s := d.Parts[part].Sums()
	return s.Fat()
}

func part(name string) string {
	if name == "" {
		return texts.Say("balance.theDish")
	}
	return name
}
