package swap

import (
	"cmp"
	"fmt"
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

// variety holds the best whole choice for each option of each slot, so that
// every swap gets a hearing with the others at their best beside it.
type variety [][]found

func (x *bench) newVariety() variety {
	v := make(variety, len(x.options))
	for i, o := range x.options {
		v[i] = make([]found, len(o))
		for c := range v[i] {
			v[i][c].weight = math.Inf(1)
		}
	}
	return v
}

func (v variety) hear(choice []int, weight float64) {
	for i, c := range choice {
		if c >= 0 && weight < v[i][c].weight-better {
			v[i][c].weight = weight
			v[i][c].choice = append(v[i][c].choice[:0], choice...)
		}
	}
}

// heard is how many of the heaviest slots have all their options heard.
const heard = 2

// list returns the best choice of all and those of each option of the slots
// that matter most.
func (x *bench) list(v variety) []found {
	if len(v) == 0 {
		return []found{{weight: x.try(nil, nil), choice: []int{}}}
	}
	order := x.heaviestFirst()
	out := []found{}
	seen := map[string]bool{}
	add := func(f found) {
		if key := fmt.Sprint(f.choice); f.choice != nil && !seen[key] {
			seen[key] = true
			out = append(out, f)
		}
	}
	for n, i := range order {
		best := found{weight: math.Inf(1)}
		for _, f := range v[i] {
			if n < heard {
				add(f)
			}
			if f.weight < best.weight {
				best = f
			}
		}
		add(best)
	}
	if len(out) == 0 { // no slot has a swap
		choice := make([]int, len(x.options))
		for i := range choice {
			choice[i] = -1
		}
		out = append(out, found{choice: choice, weight: x.try(choice, nil)})
	}
	return out
}

// heaviestFirst orders the slots by the mass they replace.
func (x *bench) heaviestFirst() []int {
	order := make([]int, len(x.slots))
	for i := range order {
		order[i] = i
	}
	weightOf := func(i int) float64 {
		return x.dish.Components[x.slots[i].component].Lines[x.slots[i].line].Mass()
	}
	slices.SortStableFunc(order, func(a, b int) int { return cmp.Compare(weightOf(b), weightOf(a)) })
	return order
}

// keepBest puts a choice into a list of at most n, best first. Equal weights
// stay in the order they came.
func keepBest(list []found, f found, n int) []found {
	if len(list) == n && f.weight >= list[n-1].weight-better {
		return list
	}
	at, _ := slices.BinarySearchFunc(list, f.weight, func(o found, w float64) int {
		if o.weight <= w+better {
			return -1
		}
		return 1
	})
	f.choice = slices.Clone(f.choice)
	if len(list) == n {
		list = list[:n-1]
	}
	return slices.Insert(list, at, f)
}

// exact tries every combination of swaps.
func (x *bench) exact() []found {
	v := x.newVariety()
	choice := make([]int, len(x.options))
	st := x.kept.clone()
	open := 0
	var walk func(i int)
	walk = func(i int) {
		if i == len(x.options) {
			v.hear(choice, x.weigh(&st, open).total+x.repeats(choice))
			return
		}
		if len(x.options[i]) == 0 {
			choice[i] = -1
			open++
			walk(i + 1)
			open--
			return
		}
		before := st.clone()
		for c := range x.options[i] {
			choice[i] = c
			st.add(&x.options[i][c], 1)
			walk(i + 1)
			copy(st.sums, before.sums)
			sums := st.sums
			st = before
			st.sums = sums
		}
	}
	walk(0)
	return x.list(v)
}

// greedy takes each line's own best in turn, with the others at the first swap
// that is allowed.
func (x *bench) greedy() found {
	f := found{choice: make([]int, len(x.options))}
	for i, o := range x.options {
		if len(o) == 0 {
			f.choice[i] = -1
		}
	}
	for i, options := range x.options {
		low, at := math.Inf(1), f.choice[i]
		for c := range options {
			if x.spent() {
				break // the first that is allowed stands
			}
			f.choice[i] = c
			if v := x.try(f.choice, nil); v < low-better {
				low, at = v, c
			}
		}
		f.choice[i] = at
	}
	f.weight = x.try(f.choice, nil)
	return f
}

// beam decides the slots one after the other, the ones that matter most first,
// carrying the best partial choices on; undecided slots stand at their own
// best. It then exchanges single choices while that helps.
func (x *bench) beam() []found {
	start := x.greedy()
	v := x.newVariety()
	v.hear(start.choice, start.weight)
	list := []found{start}
	for _, i := range x.heaviestFirst() {
		if x.spent() {
			break
		}
		var next []found
		seen := map[string]bool{}
		for _, f := range list {
			choice := slices.Clone(f.choice)
			for c := range x.options[i] {
				choice[i] = c
				if key := fmt.Sprint(choice); !seen[key] {
					seen[key] = true
					weight := x.try(choice, nil)
					v.hear(choice, weight)
					next = keepBest(next, found{choice: choice, weight: weight}, beamWidth)
				}
			}
		}
		if next != nil {
			list = next
		}
	}
	return x.list(v)
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
				if v := x.try(f.choice, f.doses); v < f.weight-better {
					f.weight, was, improved = v, c, true
				}
			}
			f.choice[i] = was
		}
	}
	return f
}

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
		most := b.Most*x.before.Parts[doses[0].part].Mass/100 - held[x.rules.inPlace(b.Food)]
		for room[i] < len(doses) && doses[room[i]].dose.Grams <= most+better {
			room[i]++
		}
	}
	return room
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
			if x.profile.Short(&x.before, x.wishes, trait, doses[0].part) {
				out[i] = append(out[i], trait)
			}
		}
	}
	return out
}

// leastClosed is the steps by which a booster must close a trait that it is
// there for.
const leastClosed = 0.4

// closes tells whether one of the traits, as it stands in x.profile, came at
// least so much nearer than it was in before.
func (x *bench) closes(traits []string, part int, before *character.Profile) bool {
	return slices.ContainsFunc(traits, func(trait string) bool {
		return x.profile.Apart(&x.before, trait, part)-before.Apart(&x.before, trait, part) >= leastClosed
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
	doses := []Dose{}
	dec.Boosters = nil
	before := x.apply(dec, false)
	for _, o := range f.doses {
		dose := o.dose
		dec.Boosters = append(dec.Boosters, dose)
		after := x.apply(dec, false)
		var moved []string
		for _, t := range after.Traits {
			for _, u := range before.Traits {
				if u.Trait == t.Trait && u.Component == t.Component && u.Part == t.Part && math.Abs(t.Steps-u.Steps) >= leastMove {
					moved = append(moved, fmt.Sprintf("%s %+.1f", t.Trait, t.Steps-u.Steps))
				}
			}
		}
		food := x.rules.inPlace(dose.Food)
		dose.Why = fmt.Sprintf("%s %g g: %s steps.", food.Name, dose.Grams, strings.Join(moved, ", "))
		if moved == nil {
			dose.Why = fmt.Sprintf("%s %g g brings several traits a little nearer.", food.Name, dose.Grams)
		}
		doses = append(doses, dose)
		before = after
	}
	return doses
}
