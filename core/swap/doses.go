package swap

import (
	"math"
	"slices"
	"strings"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/texts"
)

// roomFor tells how many of a booster's doses still fit under the most it may
// be given, with what swaps and kept lines already hold of the food.
func (x *bench) roomFor(f found) []int {
	room := make([]int, len(x.doses))
	held := map[*larder.Food]float64{}
	for i, c := range f.choice {
		if c < 0 {
			continue
		}
		for _, p := range x.options[i][c].swap.Formula {
			food := x.rules.inPlace(p.Food)
			held[food] += x.grams(x.slots[i], x.options[i][c].swap, p)
		}
	}
	for i, doses := range x.doses {
		if len(doses) == 0 {
			continue
		}
		b := x.larder.Boosters()[i]
		f := x.rules.inPlace(b.Food)
		most := min(b.Most*x.before.Parts[doses[0].part].Mass/100, x.larder.MostServed(f, b.Form).Most*x.original.Servings) - held[f]
		for room[i] < len(doses) && doses[room[i]].dose.Grams <= most+better {
			room[i]++
		}
	}
	return room
}

// roomy tells whether the boosters of a choice still fit beside its swaps, of which one may bring the same food.
func (x *bench) roomy(f found) bool {
	if len(f.doses) == 0 {
		return true
	}
	room := x.roomFor(f)
	return !slices.ContainsFunc(f.doses, func(o *option) bool {
		n := room[o.booster]
		return n == 0 || o.dose.Grams > x.doses[o.booster][n-1].dose.Grams
	})
}

// addBoosters adds boosters one at a time, each in the kitchen dose that helps
// the whole most, while one is worth it.
func (x *bench) addBoosters(f found) found {
	for len(f.doses) < mostBoosters {
		pick, low := x.bestDose(f, f.doses)
		if pick == nil || low >= f.weight-better {
			break
		}
		f.doses, f.weight = append(slices.Clone(f.doses), pick), low
	}
	return f
}

// sameFirst is how many boosters of one proposal may be there for savour, in
// which kinds multiply each other; for other traits one is enough.
const sameFirst = 2

// alike tells whether one booster beside another would be two where one does:
// the same food or shelf of fat, or the same trait first.
func alike(a, b *larder.Booster, f, g *larder.Food) int {
	switch {
	case a == b, f.Aisle == "nuts" && g.Aisle == "nuts", a.Traits[0] == b.Traits[0] && a.Traits[0] != character.Savoury:
		return sameFirst
	case a.Traits[0] == b.Traits[0]:
		return 1
	}
	return 0
}

// wanted lists, for each booster, the traits that it would close because they
// are short in x.profile; none where it is in already.
func (x *bench) wanted(others []*option) [][]string {
	out := make([][]string, len(x.doses))
	boosters := x.larder.Boosters()
	for i, doses := range x.doses {
		if len(doses) == 0 {
			continue
		}
		likes := 0
		for _, d := range others {
			likes += alike(boosters[i], boosters[d.booster], doses[0].main, d.main)
		}
		if likes >= sameFirst {
			continue
		}
		for _, trait := range boosters[i].Traits {
			if len(others) >= usualBoosters && !x.wishes.Pins[trait] {
				continue
			}
			if !x.wishes.Pins[trait] && !x.before.Leads(trait, doses[0].part) {
				continue // nobody looks for the yellow in a brown stew
			}
			if x.profile.Short(&x.before, x.wishes, trait, doses[0].part) {
				out[i] = append(out[i], trait)
			}
		}
	}
	return out
}

// leastClosed is the steps by which a booster must close a trait that it is there for: one can just be
// told by who looks for it, two by whoever eats. The cook looks for what is pinned. An estimate.
const leastClosed = 2.0

// closes tells whether one of the traits, as it stands in x.profile, came at
// least so much nearer than it was in before.
func (x *bench) closes(traits []string, part int, before *character.Profile) bool {
	return slices.ContainsFunc(traits, func(trait string) bool {
		least := leastClosed
		if x.wishes.Pins[trait] {
			least /= 2
		}
		return x.tasted().Apart(&x.before, &x.profile, trait, part)-x.tasted().Apart(&x.before, before, trait, part) >= least
	})
}

// bestDose finds the dose that, added to others, weighs least.
func (x *bench) bestDose(f found, others []*option) (*option, float64) {
	var pick *option
	low := math.Inf(1)
	st, open := x.total(f.choice, others)
	extra := x.repeats(f.choice) + x.boosterCost(f.choice, others)
	x.weigh(&st, open)
	wanted := x.wanted(others)
	before := character.Profile{Mass: x.profile.Mass, Whole: x.profile.Whole, Parts: slices.Clone(x.profile.Parts)}
	for i, most := range x.roomFor(f) {
		if len(wanted[i]) == 0 {
			continue
		}
		for n := range most {
			o := &x.doses[i][n]
			st.add(o, 1)
			if v := x.weigh(&st, open).total + extra + x.boosterCost(f.choice, []*option{o}); v < low-better && x.closes(wanted[i], o.part, &before) {
				low, pick = v, o
			}
			st.add(o, -1)
		}
	}
	return pick, low
}

// exchangeBoosters replaces or takes out single boosters while that helps.
func (x *bench) exchangeBoosters(f found) found {
	for improved := true; improved && !x.spent(); {
		improved = false
		for i := range f.doses {
			others := slices.Delete(slices.Clone(f.doses), i, i+1)
			if v := x.try(f.choice, others); v < f.weight-better {
				f.doses, f.weight, improved = others, v, true
				break
			}
			if pick, low := x.bestDose(f, others); pick != nil && low < f.weight-better {
				f.doses, f.weight, improved = append(others, pick), low, true
			}
		}
	}
	return f
}

// leastMove is the change of a trait in steps below which a reason does not
// name it.
const leastMove = 0.3

// explain says of each booster in figures what it does, with the boosters
// before it in: "kelp 4 g: sea +2.1, savoury +3.0 steps".
func (x *bench) explain(dec Decisions, f found) []Dose {
	dec.Boosters = nil
	for _, o := range f.doses {
		dec.Boosters = append(dec.Boosters, o.dose)
	}
	return x.explained(dec)
}

// explained are the boosters of decisions, each with what it brings beside those before it, where
// that is not said yet.
func (x *bench) explained(dec Decisions) []Dose {
	asked := dec.Boosters
	doses := make([]Dose, 0, len(asked))
	dec.Boosters = nil
	before := x.apply(dec, false)
	for _, dose := range asked {
		dec.Boosters = append(dec.Boosters, dose)
		after := x.apply(dec, false)
		if food := x.rules.inPlace(dose.Food); dose.Why == "" && food != nil {
			dose.Why = moved(food, dose, &before, &after)
		}
		doses, before = append(doses, dose), after
	}
	return doses
}

// moved says which traits a dose has brought nearer, and by how many steps.
func moved(food *larder.Food, dose Dose, before, after *Adaptation) string {
	var moved []string
	for _, t := range after.Traits {
		for _, u := range before.Traits {
			if u.Trait == t.Trait && u.Component == t.Component && u.Part == t.Part && math.Abs(t.Steps-u.Steps) >= leastMove {
				moved = append(moved, texts.Say("swap.byTrait", t.Trait, t.Steps-u.Steps))
			}
		}
	}
	if moved == nil {
		return texts.Say("swap.gBringsSeveralTraitsALittle", food.Name, dose.Grams)
	}
	return texts.Say("swap.gSteps", food.Name, dose.Grams, strings.Join(moved, ", "))
}
