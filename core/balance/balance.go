// Package balance sets the accounts of an original and its adaptation side by
// side: mass, salt, water, fat and thickening, what a serving gives, allergens,
// grades and cost. It states figures and what is missing; it claims nothing.
package balance

import (
	"fmt"
	"math"
	"slices"

	"yembra/core/character"
	"yembra/core/larder"
)

// Sheet is the whole balance.
type Sheet struct {
	Servings  float64      `json:"servings"`
	Accounts  []Account    `json:"accounts"`
	Nutrients []Nutrient   `json:"nutrients"`
	Allergens Allergens    `json:"allergens"`
	Grades    []GradeShare `json:"grades"`
	Cost      Pair         `json:"cost"`
	Warnings  []Warning    `json:"warnings"`
}

// Pair is one figure of the original and of the adaptation.
type Pair struct {
	Original float64 `json:"original"`
	Adapted  float64 `json:"adapted"`
}

// Account is one thing that has to come out right, for the whole dish.
type Account struct {
	Name string `json:"name"`
	Unit string `json:"unit"`
	Pair
	// From and To are the lines that carry most of it.
	From []character.Contribution `json:"from"`
	To   []character.Contribution `json:"to"`
}

// Warning says in a sentence which account drifts, and what helps, in amounts.
type Warning struct {
	Account   string `json:"account"`
	Component string `json:"component"`
	Text      string `json:"text"`
	Remedy    string `json:"remedy"`
}

// Nutrient is what a serving gives. Known is the share of the mass for which
// the figure is known: what is missing is never counted as zero without saying.
type Nutrient struct {
	Name string `json:"name"`
	Unit string `json:"unit"`
	Pair
	Per100 Pair `json:"per100"`
	Known  Pair `json:"known"`
	// Reference is the daily reference intake, 0 where none is laid down.
	Reference       float64 `json:"reference"`
	ReferenceSource string  `json:"referenceSource"`
	// Most is what an adult should not pass in a day, 0 where no limit is laid down.
	Most       float64 `json:"most"`
	MostSource string  `json:"mostSource"`
}

// Allergens are those that the adaptation no longer holds, that it brings in,
// and that both hold.
type Allergens struct {
	Gone []string `json:"gone"`
	Come []string `json:"come"`
	Both []string `json:"both"`
	// US lists those of Come and Both that US law names as well.
	US []string `json:"us"`
}

// GradeShare is the share of the solids' mass and energy in foods of one grade.
type GradeShare struct {
	Grade  larder.Grade `json:"grade"`
	Mass   Pair         `json:"mass"`
	Energy Pair         `json:"energy"`
}

// mostNamed is how many lines an account names.
const mostNamed = 4

// Of balances an adaptation against its original.
func Of(l *larder.Larder, original, adapted character.Dish) Sheet {
	s := Sheet{Servings: original.Servings, Warnings: []Warning{}}
	before, after := original.Profile(), adapted.Profile()
	s.Accounts = accounts(original, adapted, before, after)
	s.Nutrients = nutrients(l, original, adapted, before.Mass, after.Mass)
	s.Allergens = allergens(original, adapted)
	s.Grades = grades(original, adapted)
	s.Cost = Pair{cost(l, original), cost(l, adapted)}
	s.Warnings = append(warnings(s, original, adapted, before, after), overDay(l, s, adapted)...)
	return s
}

// amounts are what an account adds up, by line.
var amounts = []struct {
	name, unit string
	of         func(*character.Sums) float64
}{
	{"salt", "g", (*character.Sums).Salt},
	{"water", "g", (*character.Sums).Water},
	{"fat", "g", (*character.Sums).Fat},
	{"thickening", "ml to coating", (*character.Sums).Thickening},
}

func accounts(original, adapted character.Dish, before, after character.Profile) []Account {
	out := []Account{{Name: "mass", Unit: "g", Pair: Pair{before.Mass, after.Mass}, From: []character.Contribution{}, To: []character.Contribution{}}}
	for _, a := range amounts {
		account := Account{Name: a.name, Unit: a.unit}
		account.Original, account.From = carried(original, a.of)
		account.Adapted, account.To = carried(adapted, a.of)
		if a.name == "water" { // as it is in the end
			account.Original, account.Adapted = finishedWater(before), finishedWater(after)
		}
		out = append(out, account)
	}
	return out
}

func finishedWater(p character.Profile) float64 {
	total := 0.0
	for _, part := range p.Parts {
		total += part.Mass * part.Water
	}
	return total
}

// carried sums an amount over a dish and names the lines that carry most.
func carried(d character.Dish, of func(*character.Sums) float64) (float64, []character.Contribution) {
	total := 0.0
	out := []character.Contribution{}
	for _, p := range d.Parts {
		for i := range p.Items {
			s := p.Items[i].Sums()
			if v := of(&s); v > 0 {
				total += v
				out = append(out, character.Contribution{Line: p.Items[i].Ref, Share: v})
			}
		}
	}
	slices.SortStableFunc(out, func(a, b character.Contribution) int {
		switch {
		case a.Share > b.Share:
			return -1
		case a.Share < b.Share:
			return 1
		}
		return 0
	})
	out = out[:min(len(out), mostNamed)]
	for i := range out {
		out[i].Share = math.Round(out[i].Share/total*1000) / 1000
	}
	return total, out
}

// nutrient is one row of the sheet.
type nutrient struct {
	name, unit string
	of         func(larder.Composition) larder.Figure
}

// listed are the nutrients of the sheet, in the order of a label.
var listed = []nutrient{
	{"energy", "kcal", func(c larder.Composition) larder.Figure { return c.Energy }},
	{"fat", "g", func(c larder.Composition) larder.Figure { return c.Fat }},
	{"saturated", "g", func(c larder.Composition) larder.Figure { return c.Saturated }},
	{"carbohydrate", "g", func(c larder.Composition) larder.Figure { return c.Carbs }},
	{"sugars", "g", func(c larder.Composition) larder.Figure { return c.Sugars }},
	{"fibre", "g", func(c larder.Composition) larder.Figure { return c.Fibre }},
	{"protein", "g", func(c larder.Composition) larder.Figure { return c.Protein }},
	{"salt", "g", func(c larder.Composition) larder.Figure {
		if c.Sodium == nil {
			return nil
		}
		v := c.Salt()
		return &v
	}},
	{"potassium", "mg", func(c larder.Composition) larder.Figure { return c.Potassium }},
	{"calcium", "mg", func(c larder.Composition) larder.Figure { return c.Calcium }},
	{"iron", "mg", func(c larder.Composition) larder.Figure { return c.Iron }},
	{"zinc", "mg", func(c larder.Composition) larder.Figure { return c.Zinc }},
	{"iodine", "µg", func(c larder.Composition) larder.Figure { return c.Iodine }},
	{"b12", "µg", func(c larder.Composition) larder.Figure { return c.B12 }},
	{"vitaminD", "µg", func(c larder.Composition) larder.Figure { return c.VitaminD }},
	{"ala", "g", func(c larder.Composition) larder.Figure { return c.ALA }},
	{"epaDha", "g", func(c larder.Composition) larder.Figure { return c.Marine }},
}

func nutrients(l *larder.Larder, original, adapted character.Dish, massBefore, massAfter float64) []Nutrient {
	out := []Nutrient{}
	for _, n := range listed {
		row := Nutrient{Name: n.name, Unit: n.unit}
		day := l.Reference(n.name)
		if row.Reference = day.Amount; day.Source != "" {
			row.ReferenceSource = l.SourceTitle(day.Source)
		}
		if row.Most = day.Most; day.MostSource != "" {
			row.MostSource = l.SourceTitle(day.MostSource)
		}
		was, wasKnown := given(original, n, day.Dissolves)
		is, isKnown := given(adapted, n, day.Dissolves)
		row.Pair = Pair{was / original.Servings, is / original.Servings}
		row.Known = Pair{wasKnown, isKnown}
		if massBefore > 0 && massAfter > 0 {
			row.Per100 = Pair{was * 100 / massBefore, is * 100 / massAfter}
		}
		out = append(out, row)
	}
	return out
}

// given sums a nutrient over what is eaten, and the share of the bought mass,
// water apart, for which it is known. What dissolves comes out of what is steeped and
// taken out again.
func given(d character.Dish, n nutrient, dissolves bool) (sum, known float64) {
	all := 0.0
	for _, p := range d.Parts {
		for _, it := range p.Items {
			if it.Food.ID == "water" {
				continue
			}
			bought := it.Eaten(dissolves)
			all += bought
			if v := n.of(it.Food.Per100); v != nil {
				known += bought
				sum += bought * *v / 100
			}
		}
	}
	if all == 0 {
		return sum, 0
	}
	return sum, known / all
}

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
			out = append(out, Warning{"water", name, fmt.Sprintf("%s: wetter than it was, %.0f %% water beside the solids against %.0f %%.", part(name), 100*wetter, 100*wet),
				fmt.Sprintf("Cook it up to %.0f minutes longer uncovered, until it holds its shape in the spoon, or stir in up to %.0f g of ground oats.", minutes, math.Ceil(extra/oatsDrink/5)*5)})
		case wet-wetter > wetDrift && -extra > leastGrams:
			out = append(out, Warning{"water", name, fmt.Sprintf("%s: drier than it was, %.0f %% water beside the solids against %.0f %%.", part(name), 100*wetter, 100*wet),
				fmt.Sprintf("Loosen it with up to %.0f g of water or stock, until it falls from the spoon as before.", math.Round(-extra/10)*10)})
		}
	}
	for _, a := range s.Accounts {
		diff := a.Adapted - a.Original
		if a.Original <= 0 {
			continue
		}
		switch {
		case a.Name == "mass" && math.Abs(diff) > bulkDrift*a.Original:
			out = append(out, Warning{a.Name, "", fmt.Sprintf("The dish weighs %.0f g instead of %.0f g.", a.Adapted, a.Original), "Serve it with more or less beside it, or change the amounts of the swaps."})
		case a.Name == "salt" && diff > saltDrift*a.Original && diff > leastSalt:
			out = append(out, Warning{a.Name, "", fmt.Sprintf("Saltier by %.1f g.", diff), fmt.Sprintf("Leave out %.1f g of salt where you can; taste before salting.", diff)})
		case a.Name == "salt" && -diff > saltDrift*a.Original && -diff > leastSalt:
			out = append(out, Warning{a.Name, "", fmt.Sprintf("Less salty by %.1f g.", -diff), fmt.Sprintf("Add up to %.1f g at the end, tasting.", -diff)})
		case a.Name == "fat" && -diff > fatDrift*a.Original && -diff > leastGrams:
			out = append(out, Warning{a.Name, "", fmt.Sprintf("Leaner by %.0f g of fat.", -diff), fmt.Sprintf("If richness is missed: about %.0f g of ground nuts or seeds.", math.Round(-diff/0.5/5)*5)})
		case a.Name == "thickening" && a.Adapted < thinner*a.Original && a.Original > 100:
			out = append(out, Warning{a.Name, "", "Thickens less than the original.", fmt.Sprintf("About %.0f g of cornflour in cold water, poured in until it coats a spoon.", math.Ceil((a.Original-a.Adapted)/starchBrings))})
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
		out = append(out, Warning{n.Name, "", fmt.Sprintf("A serving holds %.3g %s of %s; an adult should not pass %.3g %s in a whole day (%s).", n.Adapted, n.Unit, n.Name, n.Most, n.Unit, n.MostSource),
			fmt.Sprintf("Most comes from %s: use less of it, and do not serve it daily. Children, and anyone who is pregnant or has a condition that it bears on, ask a professional first.", mostOf(adapted, listed[i], l.Reference(n.Name).Dissolves))})
	}
	return out
}

// mostOf names the food that brings most of a nutrient.
func mostOf(d character.Dish, n nutrient, dissolves bool) string {
	best, name := 0.0, "it"
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

func fatOf(d character.Dish, part int) float64 {
	s := d.Parts[part].Sums()
	return s.Fat()
}

func part(name string) string {
	if name == "" {
		return "The dish"
	}
	return name
}
