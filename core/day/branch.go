package day

import (
	"slices"
)

// branchOrder tries each order of each pair, those that push least first; what
// was tried is excluded from then on.
func (e *exact) branchOrder(w *windows, pairs [][2]int, bound int) bool {
	push := func(x [2]int) int { return w.es[x[0]] + e.p.jobs[x[0]].length - w.es[x[1]] }
	slices.SortStableFunc(pairs, func(x, y [2]int) int { return push(x) - push(y) })
	all := true
	for _, x := range pairs {
		length := e.p.jobs[x[0]].length
		c := e.take(w)
		c.after(x[0], x[1], length)
		all = e.node(c, bound) && all
		e.free = append(e.free, c)
		if e.nodes < 0 {
			return false
		}
		w.after(x[1], x[0], 1-length)
	}
	return all
}

// branchOven tries each oven for a job; of equal empty ones only the first.
func (e *exact) branchOven(w *windows, job, bound int) bool {
	all := true
	for o, shelves := range e.p.ovens {
		if shelves < e.p.jobs[job].shelves || e.sameAsEarlier(w, o) {
			continue
		}
		c := e.take(w)
		c.oven[job] = o
		for j := range w.n {
			if j != job && c.oven[j] == o && e.p.crowd(job, j, o) {
				c.apart[job*w.n+j], c.apart[j*w.n+job] = true, true
			}
		}
		all = e.node(c, bound) && all
		e.free = append(e.free, c)
		if e.nodes < 0 {
			return false
		}
	}
	return all
}

// sameAsEarlier says whether an oven is still empty and like an earlier empty
// one.
func (e *exact) sameAsEarlier(w *windows, oven int) bool {
	if slices.Contains(w.oven, oven) {
		return false
	}
	for o := range oven {
		if e.p.ovens[o] == e.p.ovens[oven] && !slices.Contains(w.oven, o) {
			return true
		}
	}
	return false
}
