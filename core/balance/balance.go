// Package balance sets the accounts of an original and its adaptation side by
// side: mass, salt, water, fat and thickening, what a serving gives, allergens,
// grades and cost. It states figures and what is missing; it claims nothing.
package balance

import (
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
