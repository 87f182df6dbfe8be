package day

import (
	"slices"
)

// exact searches by branch and bound. A node's least starts, taken together,
// are the best schedule of the node as long as nothing is used twice; where
// they ask for more than there is, the search branches on which of the
// clashing jobs goes first (precedence branching on minimal forbidden sets),
// and on ovens where there is more than one. The branches exclude each other.
type exact struct {
	p     *problem
	best  *schedule
	nodes int
	// target is the greatest span looked for; 0 leaves it to the best.
	target int
	// fixed span: only waiting is to be lessened.
	waiting bool
	free    []*windows
}

// largeNodes bounds the search for more tasks than are solved exactly.
func largeNodes(n int) int { return 55_000 / n }

// run searches until it has proven its best, or the nodes are used up. The
// bound is known: a schedule that reaches it ends the search.
func (e *exact) run(bound int) (proven bool) {
	w := newWindows(e.p, e.limit())
	return e.node(w, bound)
}

// lessWaiting looks among plans of the same span for those in which finished
// food waits least.
func (e *exact) lessWaiting() {
	e.waiting = true
	e.nodes = waitingNodes
	w := newWindows(e.p, e.best.span)
	e.node(w, -1)
}

// limit is the greatest span still of interest.
func (e *exact) limit() int {
	switch {
	case e.best == nil:
		return e.p.horizon
	case e.waiting:
		return e.best.span
	case e.target > 0:
		return min(e.target, e.best.span-1)
	default:
		return e.best.span - 1
	}
}

// close betters a schedule within some nodes, or its bound: it looks for one as
// short as the bound, then for one halfway, where most branches are cut early,
// then for any that is better. A target that is proven out of reach raises the
// bound.
func (p *problem) close(best *schedule, bound, nodes int) (*schedule, int) {
	for round := range closeRounds {
		if bound >= best.span {
			break
		}
		target := bound + (best.span-1-bound)*round/(closeRounds-1)
		e := exact{p: p, best: best, nodes: nodes / closeRounds, target: target}
		proven := e.run(bound)
		switch {
		case e.best.span < best.span:
			best = e.best
			if proven {
				bound = best.span
			}
		case proven:
			bound = target + 1
		}
	}
	return best, bound
}

// closeRounds is how many targets are tried.
const closeRounds = 3

// node searches below windows. It returns false when the nodes ran out.
func (e *exact) node(w *windows, bound int) bool {
	if e.nodes--; e.nodes < 0 {
		return false
	}
	if e.best != nil && !e.waiting && e.best.span <= bound {
		return true
	}
	limit := e.limit()
	for i := range w.n {
		w.ls[i] = min(w.ls[i], limit-e.p.jobs[i].length)
	}
	if !w.propagate() || e.waitsLonger(w) || !w.energy() {
		return true
	}
	if e.p.work.spent() {
		return false
	}
	if e.best == nil {
		for i := range w.n {
			if !w.energyAround(i) {
				return true
			}
		}
	}
	clash, ok := e.clash(w)
	if ok {
		s := &schedule{start: slices.Clone(w.es), oven: slices.Clone(w.oven)}
		s.judge(e.p)
		if e.best == nil || s.better(e.best) {
			e.best = s
		}
		return true
	}
	if clash.job >= 0 {
		return e.branchOven(w, clash.job, bound)
	}
	return e.branchOrder(w, clash.pairs, bound)
}

func (e *exact) waitsLonger(w *windows) bool {
	if !e.waiting {
		return false
	}
	sum := 0
	for i := range w.n {
		if e.p.jobs[i].last {
			sum += w.es[i]
		}
	}
	return sum >= e.best.wait
}

// clash is what to branch on: an oven for a job, or the orders of a set of
// jobs that cannot all run at once.
type clash struct {
	job   int
	pairs [][2]int
}

// clash finds the clash of the least starts with the fewest ways out; true
// when there is none.
func (e *exact) clash(w *windows) (clash, bool) {
	p := e.p
	p.work.spend(w.n * w.n * (1 + len(p.pools)/4))
	found := clash{job: -1}
	first := -1
	active := make([]int, 0, w.n)
	for i := range w.n {
		if p.jobs[i].length == 0 && (p.jobs[i].shelves == 0 || w.oven[i] >= 0) {
			continue
		}
		if p.jobs[i].shelves > 0 && w.oven[i] < 0 && (first < 0 || w.es[i] < w.es[first]) {
			first = i
		}
		active = active[:0]
		for j := range w.n {
			if w.es[j] <= w.es[i] && w.es[i] < w.es[j]+p.jobs[j].length {
				active = append(active, j)
			}
		}
		for k := range p.pools {
			e.forbidden(w, &found, active, p.pools[k].capacity, func(j int) int {
				for _, n := range p.jobs[j].needs {
					if n.pool == k {
						return n.amount
					}
				}
				return 0
			})
		}
		for o, shelves := range p.ovens {
			e.forbidden(w, &found, active, shelves, func(j int) int {
				if w.oven[j] == o {
					return p.jobs[j].shelves
				}
				return 0
			})
			for x, a := range active {
				for _, b := range active[x+1:] {
					if w.oven[a] == o && w.oven[b] == o && p.crowd(a, b, o) {
						e.consider(w, &found, []int{a, b})
					}
				}
			}
		}
	}
	if found.pairs == nil && first >= 0 {
		found.job = first
	}
	return found, found.pairs == nil && found.job < 0
}

// forbidden considers a smallest part of the active jobs that together need
// more than there is.
func (e *exact) forbidden(w *windows, found *clash, active []int, capacity int, amount func(int) int) {
	total := 0
	for _, j := range active {
		total += amount(j)
	}
	if total <= capacity {
		return
	}
	set := slices.Clone(active)
	set = slices.DeleteFunc(set, func(j int) bool { return amount(j) == 0 })
	slices.SortStableFunc(set, func(a, b int) int { return amount(b) - amount(a) })
	sum := 0
	for k, j := range set {
		if sum += amount(j); sum > capacity {
			set = set[:k+1]
			break
		}
	}
	for k := 0; k < len(set); {
		if sum-amount(set[k]) > capacity {
			sum -= amount(set[k])
			set = slices.Delete(set, k, k+1)
		} else {
			k++
		}
	}
	e.consider(w, found, set)
}

// consider keeps a set of jobs that cannot run at once if it has fewer ways
// out than what was found.
func (e *exact) consider(w *windows, found *clash, set []int) {
	pairs := [][2]int{}
	for _, a := range set {
		for _, b := range set {
			length := e.p.jobs[a].length
			if a != b && w.es[a]+length <= w.ls[b] && w.lag[b*w.n+a] <= -length {
				pairs = append(pairs, [2]int{a, b})
			}
		}
	}
	if found.pairs == nil || len(pairs) < len(found.pairs) {
		found.pairs = pairs
	}
}

func (e *exact) take(w *windows) *windows {
	var c *windows
	if n := len(e.free); n > 0 {
		c, e.free = e.free[n-1], e.free[:n-1]
	} else {
		c = &windows{}
	}
	e.p.work.spend(w.n * w.n)
	c.copyFrom(w)
	return c
}
