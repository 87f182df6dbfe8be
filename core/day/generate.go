package day

import (
	"slices"
)

// schedule is a start and an oven for every job, with what it is judged by:
// ticks by which deadlines are missed, then its span, then how long finished
// food waits.
type schedule struct {
	start, oven      []int
	late, span, wait int
	// tight are jobs that cannot lie later in a plan of this span; nil when not
	// known.
	tight []int
}

// better orders schedules.
func (s *schedule) better(o *schedule) bool {
	if s.late != o.late {
		return s.late < o.late
	}
	if s.span != o.span {
		return s.span < o.span
	}
	return s.wait < o.wait
}

// generator builds schedules from priorities, one job after the other at its
// earliest place (serial schedule generation). Jobs bound to each other by a
// greatest gap are placed together.
type generator struct {
	p       *problem
	prof    *profile
	before  *profile // as it stood before a group
	groups  [][]int  // of jobs bound by greatest gaps; every job is in one
	groupOf []int
	outside []int // links into each group from other groups
	waiting []int
	ready   []int
	leading []float64 // least key of each group
	raised  []int
	order   []int
	keyed   []int
	prefer  []int // an oven to take, or anyOven
	any     bool  // the first schedule without missed deadlines will do
}

const anyOven = -1

// groupAttempts bounds how often a bound group is begun again further on.
const groupAttempts = 40

func newGenerator(p *problem) *generator {
	n := len(p.jobs)
	g := &generator{p: p, prof: newProfile(p), before: newProfile(p), groupOf: make([]int, n), raised: make([]int, n), order: make([]int, 0, n), prefer: make([]int, n)}
	for i := range g.prefer {
		g.prefer[i] = anyOven
	}
	g.group()
	return g
}

// group finds the jobs that greatest gaps bind to each other: the strongly
// connected parts of the graph in which a greatest gap is an arc back.
func (g *generator) group() {
	n := len(g.p.jobs)
	reach := make([][]bool, n)
	for i := range reach {
		reach[i] = make([]bool, n)
	}
	next := make([][]int, n)
	for _, l := range g.p.links {
		next[l.from] = append(next[l.from], l.to)
		if l.max >= 0 {
			next[l.to] = append(next[l.to], l.from)
		}
	}
	for i := range reach {
		stack := []int{i}
		for len(stack) > 0 {
			k := stack[len(stack)-1]
			stack = stack[:len(stack)-1]
			for _, to := range next[k] {
				if !reach[i][to] {
					reach[i][to] = true
					stack = append(stack, to)
				}
			}
		}
	}
	for i := range g.groupOf {
		g.groupOf[i] = -1
	}
	for i := range n {
		if g.groupOf[i] >= 0 {
			continue
		}
		var members []int
		for k := i; k < n; k++ {
			if k == i || g.groupOf[k] < 0 && reach[i][k] && reach[k][i] {
				members = append(members, k)
				g.groupOf[k] = len(g.groups)
			}
		}
		g.groups = append(g.groups, members)
	}
	g.outside = make([]int, len(g.groups))
	g.leading = make([]float64, len(g.groups))
	g.waiting = make([]int, len(g.groups))
	for _, l := range g.p.links {
		if g.groupOf[l.from] != g.groupOf[l.to] {
			g.outside[g.groupOf[l.to]]++
		}
	}
}

// bounds returns between which starts a job may lie, given the jobs placed,
// and which placed job holds the upper bound (-1: its own deadline).
func (g *generator) bounds(i int) (lo, hi, holder int) {
	j := &g.p.jobs[i]
	lo, hi, holder = j.release, j.deadline, -1
	lower := func(t int) { lo = max(lo, t) }
	upper := func(t, by int) {
		if t < hi {
			hi, holder = t, by
		}
	}
	for _, k := range g.p.in[i] {
		l := g.p.links[k]
		if s := g.prof.start[l.from]; s >= 0 {
			end := s + g.p.jobs[l.from].length
			lower(end + l.min)
			if l.max >= 0 {
				upper(end+l.max, l.from)
			}
		}
	}
	for _, k := range g.p.out[i] {
		l := g.p.links[k]
		if s := g.prof.start[l.to]; s >= 0 {
			upper(s-l.min-j.length, l.to)
			if l.max >= 0 {
				lower(s - l.max - j.length)
			}
		}
	}
	return lo, hi, holder
}

// build places all jobs by ascending priority. It gives up, with nil, as soon as
// one of them ends past the ceiling.
func (g *generator) build(keys []float64, ceiling int) *schedule {
	g.prof.clear()
	for k, members := range g.groups {
		least := keys[members[0]]
		for _, i := range members[1:] {
			least = min(least, keys[i])
		}
		g.leading[k] = least
	}
	late := 0
	for i := range g.p.jobs {
		if j := &g.p.jobs[i]; j.pinned {
			late += g.put(i, j.release)
		}
	}
	copy(g.waiting, g.outside)
	g.ready = g.ready[:0]
	for k, n := range g.waiting {
		if n == 0 {
			g.ready = append(g.ready, k)
		}
	}
	for len(g.ready) > 0 {
		at := 0
		for k := 1; k < len(g.ready); k++ {
			if g.leading[g.ready[k]] < g.leading[g.ready[at]] {
				at = k
			}
		}
		group := g.ready[at]
		g.ready = slices.Delete(g.ready, at, at+1)
		late += g.placeGroup(group, keys)
		for _, i := range g.groups[group] {
			if g.prof.start[i]+g.p.jobs[i].length > ceiling {
				return nil
			}
			for _, k := range g.p.out[i] {
				if to := g.groupOf[g.p.links[k].to]; to != group {
					if g.waiting[to]--; g.waiting[to] == 0 {
						g.ready = append(g.ready, to)
					}
				}
			}
		}
	}
	return g.taken(late)
}

// put places a job at its earliest place from lo on and returns by how much
// that misses its own upper bound.
func (g *generator) put(i, lo int) (late int) {
	_, hi, _ := g.bounds(i)
	t, oven := g.earliest(i, lo)
	if t == never {
		t = lo
		late = g.p.horizon
		if g.p.jobs[i].shelves > 0 {
			oven = max(oven, 0)
		}
	}
	g.prof.place(i, t, oven)
	return late + max(0, t-hi)
}

// earliest is the earliest place of a job, in the oven asked for if any.
func (g *generator) earliest(i, lo int) (start, oven int) {
	if o := g.prefer[i]; o != anyOven {
		return g.prof.earliestIn(&g.p.jobs[i], lo, o), o
	}
	return g.prof.earliest(i, lo)
}
