package swap

import (
	"fmt"
	"maps"
	"math"
	"slices"
	"strings"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// Aim is what a proposal puts first.
type Aim string

// The four aims.
const (
	Closest  Aim = "closest"
	Simplest Aim = "simplest"
	Cheapest Aim = "cheapest"
	Protein  Aim = "protein"
)

// Aims lists them in the order they are offered.
var Aims = []Aim{Closest, Simplest, Cheapest, Protein}

// Known tells whether it is one of the four.
func (a Aim) Known() bool { return slices.Contains(Aims, a) }

// evaluator scores whole sets of choices. Lower is better.
type evaluator struct {
	bench    *bench
	dec      Decisions
	rules    Rules
	slots    []slot
	aim      Aim
	servings float64
}

func newEvaluator(x *bench, dec Decisions) *evaluator {
	return &evaluator{x, dec, x.rules, x.slots, Closest, x.original.Servings}
}

const (
	unpinnedShare    = 1.0 / 3
	extraIngredient  = 0.12 // each line beyond the original's
	openPenalty      = 1000.0
	saltOverPenalty  = 2.0 // each gram of salt a serving above limit or original
	handsPenalty     = 0.004
	structurePenalty = 6.0
	simplestFactor   = 8.0
	costPenalty      = 0.6 // each unit of the price list a serving
	proteinReward    = 0.25
	repeatPenalty    = 0.5 // each further kind of ingredient that the same swap stands in for
)

// repeats counts how often one swap stands in for ingredients of different
// kinds: a table tires of the same thing in every place.
func (e *evaluator) repeats(swaps map[string]string) int {
	kinds := map[[2]string]bool{}
	used := map[string]bool{}
	for _, s := range e.slots {
		if id := swaps[s.ref]; id != "" {
			kinds[[2]string{id, s.kind}] = true
			used[id] = true
		}
	}
	return len(kinds) - len(used)
}

// score is the objective: squared steps beyond one for pinned traits, a third
// of that for the others, plus penalties for what stays open, does not hold,
// is salty, is far from whole, and for each extra ingredient.
func (e *evaluator) score(swaps map[string]string, a Adaptation) float64 {
	total := openPenalty * float64(len(a.Unresolved))
	for _, t := range a.Traits {
		if t.Verdict == character.Wanted {
			continue
		}
		over := math.Max(0, math.Abs(t.Steps)-1)
		w := unpinnedShare
		if t.Pinned {
			w = 1
		}
		total += w * over * over
	}
	for _, h := range a.Structure {
		if h.Verdict != character.Holds {
			total += structurePenalty
		}
	}
	servings := e.servings
	lines, hands, cost, protein, salt := 0.0, 0.0, 0.0, 0.0, 0.0
	for _, c := range a.Components {
		for _, l := range c.Lines {
			f := e.bench.larder.Food(l.FoodID())
			if f == nil {
				continue
			}
			grams := l.Mass() * f.FormNamed(l.Form).Base
			salt += grams * f.Per100.Salt() / 100 / servings
			if l.Change != Swapped && l.Change != Booster {
				continue
			}
			lines++
			total += e.rules.soft(f, grams, servings)
			cost += grams / 1000 * e.bench.larder.Price(f) / servings
			protein += grams * larder.Or(f.Per100.Protein, 0) / 100 / servings
		}
	}
	total += repeatPenalty * float64(e.repeats(swaps))
	for _, id := range swaps {
		if s := e.bench.larder.SwapNamed(id); s != nil {
			h, _ := s.Minutes()
			hands += h
		}
	}
	if limit := e.rules.House.SaltPerServing; limit > 0 && salt > limit {
		total += saltOverPenalty * (salt - limit)
	}
	total += extraIngredient*lines + handsPenalty*hands
	switch e.aim {
	case Simplest:
		total += simplestFactor * (extraIngredient*lines + handsPenalty*hands)
	case Cheapest:
		total += costPenalty * cost * simplestFactor
	case Protein:
		total -= proteinReward * protein
	}
	return total
}

func (e *evaluator) try(swaps map[string]string, boosters []Dose) float64 {
	dec := e.dec
	dec.Swaps, dec.Boosters = swaps, boosters
	return e.score(swaps, e.bench.apply(dec, false))
}

// exactLimit is the number of combinations up to which all are tried.
const exactLimit = 600

// Propose chooses swaps for all lines together and then boosters. The same
// input gives the same answer.
func (b *Book) Propose(d recipe.Dish, rules HouseRules, pins []string, aim Aim) (Decisions, error) {
	compiled, err := NewRules(rules)
	if err != nil {
		return Decisions{}, err
	}
	dec := Decisions{HouseRules: compiled.House, Pins: pins, Swaps: map[string]string{}, Boosters: []Dose{}}
	x := b.prepare(d, compiled)
	x.quick = true
	e := newEvaluator(x, dec)
	e.aim = aim
	dec.Swaps = e.chooseSwaps()
	dec.Boosters = e.chooseBoosters(dec.Swaps)
	return dec, nil
}

// chooseSwaps tries every combination where that is feasible; otherwise it
// starts from each line's own best and exchanges single choices while that
// improves the whole.
func (e *evaluator) chooseSwaps() map[string]string {
	open := slices.DeleteFunc(slices.Clone(e.slots), func(s slot) bool { return len(s.allowed) == 0 })
	product := 1
	for _, s := range open {
		product *= len(s.allowed)
		if product > exactLimit {
			break
		}
	}
	best := map[string]string{}
	for _, s := range open {
		best[s.ref] = s.allowed[0].ID
	}
	if product <= exactLimit {
		return e.exact(open, best)
	}
	low := e.try(best, nil)
	for improved := true; improved; {
		improved = false
		for _, s := range open {
			for _, c := range s.allowed {
				if best[s.ref] == c.ID {
					continue
				}
				try := maps.Clone(best)
				try[s.ref] = c.ID
				if v := e.try(try, nil); v < low-1e-9 {
					best, low, improved = try, v, true
				}
			}
		}
	}
	return best
}

func (e *evaluator) exact(open []slot, start map[string]string) map[string]string {
	best, low := start, math.Inf(1)
	current := maps.Clone(start)
	var walk func(i int)
	walk = func(i int) {
		if i == len(open) {
			if v := e.try(current, nil); v < low-1e-9 {
				best, low = maps.Clone(current), v
			}
			return
		}
		for _, s := range open[i].allowed {
			current[open[i].ref] = s.ID
			walk(i + 1)
		}
	}
	walk(0)
	return best
}

// mostBoosters is how many boosters a proposal may add.
const mostBoosters = 4

// leastGain is what a booster must improve the objective by to be worth an
// ingredient.
const leastGain = 0.35

// chooseBoosters adds boosters one at a time, each in the kitchen dose that
// helps the whole most, while that is worth an extra ingredient.
func (e *evaluator) chooseBoosters(swaps map[string]string) []Dose {
	doses := []Dose{}
	mass := e.bench.original.Mass()
	low := e.try(swaps, doses)
	for len(doses) < mostBoosters {
		var pick Dose
		value := low - leastGain
		for _, booster := range e.bench.larder.Boosters() {
			f := e.bench.larder.Food(booster.Food)
			if e.rules.Breaks(f) != "" || slices.ContainsFunc(doses, func(d Dose) bool { return d.Food == booster.Food }) {
				continue
			}
			for n := 1.0; n*booster.Step <= booster.Most*mass/100 && n <= 6; n++ {
				dose := Dose{Food: booster.Food, Form: booster.Form, Grams: math.Round(n*booster.Step*10) / 10}
				if v := e.try(swaps, append(slices.Clone(doses), dose)); v < value-1e-9 {
					value, pick = v, dose
				}
			}
		}
		if pick.Food == "" {
			break
		}
		pick.Why = e.whyBoost(swaps, doses, pick)
		doses = append(doses, pick)
		low = value
	}
	return doses
}

// whyBoost says in figures what a booster does: "sea +2.1, savoury +3.0 steps".
func (e *evaluator) whyBoost(swaps map[string]string, before []Dose, pick Dose) string {
	dec := e.dec
	dec.Swaps = swaps
	dec.Boosters = before
	a := e.bench.apply(dec, false)
	dec.Boosters = append(slices.Clone(before), pick)
	z := e.bench.apply(dec, false)
	var parts []string
	for _, t := range z.Traits {
		for _, u := range a.Traits {
			if u.Trait == t.Trait && u.Component == t.Component && math.Abs(t.Steps-u.Steps) >= 0.3 {
				parts = append(parts, fmt.Sprintf("%s %+.1f", t.Trait, t.Steps-u.Steps))
			}
		}
	}
	return fmt.Sprintf("%s %g g: %s steps.", e.bench.larder.Food(pick.Food).Name, pick.Grams, strings.Join(parts, ", "))
}
