package day

import (
	"math"
	"math/rand/v2"
)

// Work allowed to the searches, in placements of jobs and nodes of the tree
// rather than seconds, so that the same day always gives the same plan. See
// docs/measurements.md for the time it takes.
const (
	placements      = 600_000
	fullWorkUpTo    = 60 // tasks
	placementsSmall = 250_000
	exactNodes      = 800_000
	waitingNodes    = 6_000
)

// seed of the search's own random numbers.
const seed = 20_251

// search builds schedules within a budget of placements: by several rules at
// first, then by changing the order of the best it has (simulated annealing
// over orders, begun anew several times from the best rule's schedule and at
// last from the best of all). It returns nil when no schedule without missed
// deadlines was found.
func (g *generator) search(budget int) *schedule {
	p := g.p
	n := len(p.jobs)
	if n == 0 {
		return &schedule{start: []int{}, oven: []int{}}
	}
	rng := rand.New(rand.NewPCG(seed, uint64(n)))
	keys := make([]float64, n)
	var best, current *schedule
	use := func(s *schedule) {
		if s.late == 0 && !g.any {
			g.justify(s)
		}
		if best == nil || s.better(best) {
			best = s
		}
	}
	floor, _ := p.lowerBound(p.horizon)
	current = g.byRules(use)
	if g.any && best.late == 0 {
		return best
	}
	begin, round, settled := current, 0, false
	from, limit := g.prof.placed, g.prof.placed+budget
	for g.prof.placed < limit && !p.work.spent() {
		if best.late == 0 && (g.any || best.span <= floor && best.wait == 0) {
			break
		}
		if best.late == 0 && best.span <= floor && !settled {
			settled = true // only the waiting is left to be lessened
			limit = min(limit, g.prof.placed+budget/waitingPart)
		}
		done := float64(g.prof.placed-from) / float64(budget) * rounds
		if r := int(done); r > round {
			if round, current = r, begin; r == rounds-1 {
				current = best
			}
		}
		heat := startHeat * math.Pow(endHeat/startHeat, done-math.Floor(done))
		s := g.neighbour(keys, current, rng)
		if s == nil {
			continue
		}
		use(s)
		if s.better(current) || rng.Float64() < math.Exp(-worse(s, current)/heat) {
			current = s
		}
	}
	if best.late > 0 {
		return nil
	}
	return best
}

// byRules builds a schedule by each rule and returns the best of them.
func (g *generator) byRules(use func(*schedule)) (current *schedule) {
	for _, rule := range rules(g.p) {
		if current != nil && g.p.work.spent() {
			break
		}
		s := g.build(rule, never)
		use(s)
		if current == nil || s.better(current) {
			current = s
		}
	}
	return current
}

// neighbour builds a schedule in an order near that of another, nil where it cannot be
// worth it.
func (g *generator) neighbour(keys []float64, current *schedule, rng *rand.Rand) *schedule {
	for i := range keys {
		keys[i] = float64(current.start[i])
	}
	g.shake(keys, current, rng)
	g.unsettleOvens(rng)
	ceiling := never
	if current.late == 0 {
		ceiling = int(promising * float64(current.span))
	}
	return g.build(keys, ceiling)
}

// shake moves one to three jobs beside others in the order, every second time
// one that holds the span as it is; now and then a bake beside another that can
// share its oven.
func (g *generator) shake(keys []float64, current *schedule, rng *rand.Rand) {
	n := len(keys)
	for range 1 + rng.IntN(3) {
		i, to := rng.IntN(n), rng.IntN(n)
		if len(current.tight) > 0 && rng.IntN(2) == 0 {
			i = current.tight[rng.IntN(len(current.tight))]
		}
		if len(g.p.baked) > 1 && rng.IntN(shareOven) == 0 {
			i, to = g.bakedTogether(rng)
		}
		keys[i] = float64(current.start[to]) + rng.Float64() - 0.5
		if current.late > 0 && rng.IntN(2) == 0 {
			i = g.missed(current, rng)
			keys[i] = rng.Float64() * keys[i]
		}
	}
}

// shareOven is one in how many moves looks for company in the oven.
const shareOven = 6

// bakedTogether draws two bakes, if it finds some at heats that share an oven.
func (g *generator) bakedTogether(rng *rand.Rand) (i, with int) {
	baked := g.p.baked
	i = baked[rng.IntN(len(baked))]
	from := rng.IntN(len(baked))
	for k := range baked {
		with = baked[(from+k)%len(baked)]
		if d := g.p.jobs[i].heat - g.p.jobs[with].heat; with != i && d <= heatTolerance && d >= -heatTolerance {
			break
		}
	}
	return i, with
}

// unsettleOvens asks, now and then, for another oven than the earliest free one
// for a job or two.
func (g *generator) unsettleOvens(rng *rand.Rand) {
	for i := range g.prefer {
		g.prefer[i] = anyOven
	}
	if len(g.p.ovens) < 2 || rng.IntN(2) == 0 {
		return
	}
	for range 1 + rng.IntN(2) {
		i, o := rng.IntN(len(g.prefer)), rng.IntN(len(g.p.ovens))
		if g.p.jobs[i].shelves > 0 && g.p.jobs[i].shelves <= g.p.ovens[o] {
			g.prefer[i] = o
		}
	}
}

// rounds is how often the annealing begins anew; promising is the part of the
// current span beyond which a schedule is given up; heats are in
// parts of the span.
const (
	rounds    = 16
	promising = 1.04
	// waitingPart is the part of the work that goes on once no plan can be
	// shorter, for food that waits less.
	waitingPart = 5

	startHeat = 0.012
	endHeat   = 0.0005
)

// worse is how much worse s is than o, in parts of the span; missed deadlines
// count in full.
func worse(s, o *schedule) float64 {
	span := float64(max(o.span, 1))
	return float64(s.late-o.late)/span + float64(s.span-o.span)/span + 1e-4*float64(s.wait-o.wait)/span
}

// missed draws a job that lies past its deadline, or any.
func (g *generator) missed(s *schedule, rng *rand.Rand) int {
	n := len(s.start)
	from := rng.IntN(n)
	for k := range n {
		if i := (from + k) % n; s.start[i] > g.p.jobs[i].deadline {
			return i
		}
	}
	return from
}

// rules are the priorities to begin with: by latest start, by what hangs on a
// job, by length, by claim on what is scarce.
func rules(p *problem) [][]float64 {
	n := len(p.jobs)
	w := newWindows(p, p.horizon)
	w.propagate()
	tail := p.tails()
	out := make([][]float64, 5)
	for k := range out {
		out[k] = make([]float64, n)
	}
	for i, j := range p.jobs {
		claim := 0.0
		for _, need := range j.needs {
			claim += float64(need.amount) / float64(max(p.pools[need.pool].capacity, 1))
		}
		if j.shelves > 0 {
			claim++
		}
		out[0][i] = float64(w.ls[i])
		out[1][i] = -float64(tail[i])
		out[2][i] = -float64(j.length)
		out[3][i] = -claim * float64(j.length)
		out[4][i] = -float64(tail[i]) - claim*float64(j.length)
	}
	return out
}

// tails returns the least ticks from each job's start to the end of all that
// must follow it.
func (p *problem) tails() []int {
	tail := make([]int, len(p.jobs))
	done := make([]bool, len(p.jobs))
	var visit func(i int) int
	visit = func(i int) int {
		if !done[i] {
			done[i] = true
			tail[i] = p.jobs[i].length
			for _, k := range p.out[i] {
				l := p.links[k]
				tail[i] = max(tail[i], p.jobs[i].length+l.min+visit(l.to))
			}
		}
		return tail[i]
	}
	for i := range p.jobs {
		visit(i)
	}
	return tail
}
