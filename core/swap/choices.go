package swap

import (
	"cmp"
	"fmt"
	"math"
	"slices"
)

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
