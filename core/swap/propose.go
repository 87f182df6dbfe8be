package swap

import (
	"slices"

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

// Propose chooses swaps for all lines together and then boosters. It starts
// from the cook's corrections and amounts in dec and replaces its swaps and
// boosters. The same input gives the same answer.
func (b *Book) Propose(d recipe.Dish, dec Decisions, aim Aim) (Decisions, error) {
	compiled, err := NewRules(b.larder, dec.HouseRules)
	if err != nil {
		return Decisions{}, err
	}
	dec.HouseRules = compiled.House
	x := b.prepare(d, compiled, dec)
	x.aim = aim
	x.ready()
	best := x.search()
	dec.Swaps = map[string]string{}
	for i, c := range best.choice {
		if c >= 0 {
			dec.Swaps[x.slots[i].ref] = x.options[i][c].swap.ID
		}
	}
	dec.Boosters = x.explain(dec, best)
	return dec, nil
}

// found is a set of choices with its weight: the swap of each slot, -1 where
// none is allowed, and the boosters.
type found struct {
	choice []int
	doses  []*option
	weight float64
}

// total sums up what stays and what is chosen; open counts undecided slots.
func (x *bench) total(choice []int, doses []*option) (state, int) {
	st := x.kept.clone()
	open := 0
	for i, c := range choice {
		if c < 0 {
			open++
			continue
		}
		st.add(&x.options[i][c], 1)
	}
	for _, d := range doses {
		st.add(d, 1)
	}
	return st, open
}

// try weighs choices as a whole. Lower is better.
func (x *bench) try(choice []int, doses []*option) float64 {
	x.work -= tryWork + len(choice)*len(choice)/4
	st, open := x.total(choice, doses)
	return x.weigh(&st, open).total + x.repeats(choice) + x.boosterCost(choice, doses)
}

// spent tells that no more is looked at: what was found until then is the
// answer.
func (x *bench) spent() bool { return x.work <= 0 }

// decided turns a cook's decisions into choices and doses.
func (x *bench) decided(dec Decisions) ([]int, []*option) {
	choice := make([]int, len(x.slots))
	for i, s := range x.slots {
		choice[i] = slices.IndexFunc(s.allowed, func(sw *larder.Swap) bool { return sw.ID == dec.Swaps[s.ref] })
	}
	doses := []*option{}
	for _, d := range dec.Boosters {
		if f := x.rules.inPlace(d.Food); f != nil && x.rules.Breaks(f) == "" && d.Grams > 0 && len(x.shapes) > 0 {
			o := x.booster(-1, d)
			doses = append(doses, &o)
		}
	}
	return choice, doses
}

// Work allowed to a proposal, counted in sums and looks, so that the same dish
// always gets the same answer: far beyond any dish, and about half a second.
const (
	workOfSearch = 12_000_000
	tryWork      = 40
)

const (
	// exactLimit is the number of combinations of swaps up to which all are
	// tried.
	exactLimit = 20000
	// beamWidth is how many partial choices are carried on beyond that, and
	// finalists how many whole ones are improved by exchanges.
	beamWidth = 24
	finalists = 4
	// usualBoosters is how many boosters a proposal adds, mostBoosters how many
	// where a pinned trait needs more.
	usualBoosters = 2
	mostBoosters  = 4
	// rounds bounds how often swaps and boosters are exchanged in turn.
	rounds = 3
	// better is what counts as an improvement.
	better = 1e-9
)

// search chooses swaps by trying every combination where that is feasible and
// by beam search with exchange moves where it is not, gives the best few
// boosters, and exchanges both in turn while that improves the whole.
func (x *bench) search() found {
	combinations := 1
	for _, o := range x.options {
		if combinations *= max(1, len(o)); combinations > exactLimit {
			break
		}
	}
	var list []found
	if combinations <= exactLimit {
		list = x.exact()
	} else {
		list = x.beam()
	}
	// Boosters change which swaps are best, so they are tried on more choices
	// than are then improved further.
	var boosted []found
	for _, f := range list {
		boosted = keepBest(boosted, x.addBoosters(f), finalists)
	}
	var best found
	// Each line's own best is always one of them, so that the answer is never
	// worse than that.
	for i, f := range append(boosted, x.addBoosters(x.greedy())) {
		f = x.improve(f)
		if i == 0 || f.weight < best.weight-better {
			best = f
		}
	}
	return best
}

// improve gives a choice of swaps its boosters and exchanges swaps and boosters
// in turn while that helps.
func (x *bench) improve(f found) found {
	f.weight = x.try(f.choice, f.doses)
	for range rounds {
		if x.spent() {
			break
		}
		before := f.weight
		f = x.addBoosters(f)
		f = x.exchangeBoosters(f)
		f = x.exchangeSwaps(f)
		if f.weight >= before-better {
			break
		}
	}
	return f
}

// exchangeSwaps changes single swaps while that helps.
func (x *bench) exchangeSwaps(f found) found {
	for improved := true; improved && !x.spent(); {
		improved = false
		for i, options := range x.options {
			if x.spent() {
				break
			}
			was := f.choice[i]
			for c := range options {
				if c == was {
					continue
				}
				f.choice[i] = c
				if v := x.try(f.choice, f.doses); v < f.weight-better && x.roomy(f) {
					f.weight, was, improved = v, c, true
				}
			}
			f.choice[i] = was
		}
	}
	return f
}
