package day

import (
	"slices"
)

// energy checks, for every pool and oven, that the work that must lie in an
// interval fits into it.
func (w *windows) energy() bool { return w.energyAround(anywhere) }

// energyAround does so with times counted from the start of a job, which binds
// jobs that hang together but could lie anywhere.
func (w *windows) energyAround(anchor int) bool {
	p := w.p
	for k := range p.pools {
		w.gather(anchor, func(i int) int {
			for _, n := range p.jobs[i].needs {
				if n.pool == k {
					return n.amount
				}
			}
			return 0
		})
		var open hours
		if k == cooksPool && anchor == anywhere {
			open = p.open
		}
		if !w.roomFor(p.pools[k].capacity, open, 0) {
			return false
		}
	}
	if len(p.ovens) == 0 {
		return true
	}
	shelves := 0
	for _, s := range p.ovens {
		shelves += s
	}
	w.gather(anchor, func(i int) int { return p.jobs[i].shelves })
	if !w.roomFor(shelves, nil, len(p.ovens)) {
		return false
	}
	for o := range p.ovens {
		if len(p.ovens) == 1 {
			break
		}
		w.gather(anchor, func(i int) int {
			if w.oven[i] == o {
				return p.jobs[i].shelves
			}
			return 0
		})
		if !w.roomFor(p.ovens[o], nil, 1) {
			return false
		}
	}
	return true
}

// gather collects the users of a resource.
func (w *windows) gather(anchor int, amount func(int) int) {
	w.users = w.users[:0]
	for i := range w.n {
		j := &w.p.jobs[i]
		a := amount(i)
		if a == 0 || j.length == 0 {
			continue
		}
		u := user{j.length, a, j.heat, w.es[i], w.ls[i]}
		if anchor != anywhere {
			if u.es, u.ls = w.lag[anchor*w.n+i], -w.lag[i*w.n+anchor]; u.es <= noLag || u.ls >= -noLag {
				continue
			}
		}
		w.users = append(w.users, u)
	}
}

// roomFor checks the gathered users against a capacity, and their heats
// against a number of ovens.
func (w *windows) roomFor(capacity int, open hours, ovens int) bool {
	total := 0
	for i := range w.users {
		total += w.users[i].amount
	}
	if total <= capacity && ovens == 0 {
		return true
	}
	w.froms, w.tos = w.froms[:0], w.tos[:0]
	for i := range w.users {
		u := &w.users[i]
		w.froms = append(w.froms, u.es)
		w.tos = append(w.tos, u.ls+u.length)
	}
	if ovens > 0 {
		slices.SortFunc(w.users, func(a, b user) int { return a.heat - b.heat })
	}
	slices.Sort(w.froms)
	slices.Sort(w.tos)
	w.froms, w.tos = slices.Compact(w.froms), slices.Compact(w.tos)
	for _, from := range w.froms {
		if !w.p.work.spend(pairWork * len(w.tos) * len(w.users)) {
			return true // nothing more could be looked at
		}
		for _, to := range w.tos {
			if to <= from {
				continue
			}
			work := 0
			for i := range w.users {
				work += w.users[i].least(from, to) * w.users[i].amount
			}
			room := (to - from) * capacity
			if open != nil {
				room = open.within(from, to) * capacity
			}
			if work > room || ovens > 0 && !w.heats(from, to, ovens) {
				return false
			}
		}
	}
	return true
}

// pairWork is what looking at a claim in an interval takes, in passes.
const pairWork = 3

// heats checks that heats which never share an oven fit into an interval one
// after the other. The users are in order of heat; those of one heat take at
// least the time of the longest, and of all together in the largest oven.
func (w *windows) heats(from, to, ovens int) bool {
	shelves := slices.Max(w.p.ovens)
	// Best sums of the heats so far that lie pairwise too far apart.
	w.best = append(w.best[:0], 0)
	w.heat = w.heat[:0]
	for k := 0; k < len(w.users); {
		heat, work, longest := w.users[k].heat, 0, 0
		for ; k < len(w.users) && w.users[k].heat == heat; k++ {
			part := w.users[k].least(from, to)
			work += part * w.users[k].amount
			longest = max(longest, part)
		}
		n := len(w.heat)
		prev := n
		for prev > 0 && heat-w.heat[prev-1] <= heatTolerance {
			prev--
		}
		w.heat = append(w.heat, heat)
		w.best = append(w.best, max(w.best[n], w.best[prev]+max(longest, (work+shelves-1)/shelves)))
	}
	return w.best[len(w.best)-1] <= (to-from)*ovens
}

// possible says whether the root windows for plans shorter than the horizon
// stand up to every check; false proves that there is no such plan.
func (p *problem) possible(horizon int) bool {
	w := newWindows(p, horizon)
	return w.propagate() && w.energy()
}

// lowerBound returns the least span that cannot be refuted, at most upper. It
// is false when no span up to the horizon stands.
func (p *problem) lowerBound(upper int) (bound int, possible bool) {
	if !p.possible(upper) {
		// A known plan stands; without one nothing does.
		return upper, p.possible(p.horizon)
	}
	lo, hi := -1, upper // lo refuted, hi not
	for hi-lo > 1 {
		if mid := (lo + hi) / 2; p.possible(mid) {
			hi = mid
		} else {
			lo = mid
		}
	}
	return hi, true
}
