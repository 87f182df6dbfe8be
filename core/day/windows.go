package day

import (
	"slices"
)

// windows hold, for every job, the starts still possible when a plan must be
// shorter than some horizon, and what has been decided about pairs. It
// narrows them by the gaps, the hours, the jobs that exclude each other, and
// the work that must lie in an interval (energetic reasoning: Baptiste, Le
// Pape, Nuijten: Constraint-Based Scheduling).
type windows struct {
	p      *problem
	n      int
	es, ls []int
	// lag[i*n+j] is the least time from the start of i to the start of j, with
	// all that follows from other lags.
	lag  []int
	oven []int
	// apart says that two jobs can never run at the same time.
	apart []bool
	// dead says that lags contradict each other.
	dead bool
	// scratch for the energy checks.
	froms, tos []int
	users      []user
	heat, best []int
}

// noLag is far enough from the least int for sums of three.
const noLag = -never / 4

func newWindows(p *problem, horizon int) *windows {
	n := len(p.jobs)
	w := &windows{p: p, n: n, es: make([]int, n), ls: make([]int, n), lag: slices.Clone(p.lag), oven: make([]int, n), apart: make([]bool, n*n), dead: p.dead}
	for i := range p.jobs {
		j := &p.jobs[i]
		w.es[i], w.ls[i] = j.release, min(j.deadline, horizon-j.length)
		w.oven[i] = -1
		if j.shelves > 0 && len(p.ovens) == 1 {
			w.oven[i] = 0
		}
	}
	for i := range n {
		for j := range n {
			w.apart[i*n+j] = i != j && p.exclude(i, j)
		}
	}
	return w
}

// lags draws from the gaps what they ask of every two starts: the longest ways
// between them (Floyd and Warshall).
func (p *problem) lags() {
	n := len(p.jobs)
	p.lag = make([]int, n*n)
	for i := range p.lag {
		p.lag[i] = noLag
	}
	for i := range n {
		p.lag[i*n+i] = 0
	}
	for _, l := range p.links {
		there := &p.lag[l.from*n+l.to]
		*there = max(*there, p.jobs[l.from].length+l.min)
		if l.max >= 0 {
			back := &p.lag[l.to*n+l.from]
			*back = max(*back, -p.jobs[l.from].length-l.max)
		}
	}
	for k := range n {
		next := p.lag[k*n : (k+1)*n]
		for a := range n {
			to := p.lag[a*n+k]
			if to <= noLag {
				continue
			}
			row := p.lag[a*n : (a+1)*n]
			for b, l := range next {
				if l > noLag && to+l > row[b] {
					row[b] = to + l
				}
			}
			p.work.spend(n)
		}
	}
	for i := range n {
		p.dead = p.dead || p.lag[i*n+i] > 0
	}
}

// exclude says whether two jobs ask for more than there is when they run
// together, whatever oven they take.
func (p *problem) exclude(i, j int) bool {
	a, b := &p.jobs[i], &p.jobs[j]
	if a.length == 0 || b.length == 0 {
		return false
	}
	for _, x := range a.needs {
		for _, y := range b.needs {
			if x.pool == y.pool && x.amount+y.amount > p.pools[x.pool].capacity {
				return true
			}
		}
	}
	return len(p.ovens) == 1 && p.crowd(i, j, 0)
}

// crowd says whether two jobs cannot share an oven.
func (p *problem) crowd(i, j, oven int) bool {
	a, b := &p.jobs[i], &p.jobs[j]
	return a.shelves > 0 && b.shelves > 0 && a.length > 0 && b.length > 0 &&
		(a.shelves+b.shelves > p.ovens[oven] || max(a.heat, b.heat)-min(a.heat, b.heat) > heatTolerance)
}

// after asks that j starts at least lag after i, and draws what follows.
func (w *windows) after(i, j, lag int) {
	n := w.n
	if lag <= w.lag[i*n+j] {
		return
	}
	if w.lag[j*n+i]+lag > 0 {
		w.dead = true
		return
	}
	w.p.work.spend(n * n / 4)
	next := w.lag[j*n : (j+1)*n]
	for a := range n {
		to := w.lag[a*n+i]
		if to <= noLag {
			continue
		}
		row := w.lag[a*n : (a+1)*n]
		for b, l := range next {
			if l > noLag && to+lag+l > row[b] {
				row[b] = to + lag + l
			}
		}
	}
}

func (w *windows) copyFrom(o *windows) {
	w.p, w.n = o.p, o.n
	w.es = append(w.es[:0], o.es...)
	w.ls = append(w.ls[:0], o.ls...)
	w.lag = append(w.lag[:0], o.lag...)
	w.oven = append(w.oven[:0], o.oven...)
	w.apart = append(w.apart[:0], o.apart...)
	w.dead = o.dead
}

// propagate narrows the windows until nothing moves; false when a job has no
// start left.
func (w *windows) propagate() bool {
	for !w.p.work.spent() {
		if w.dead || !w.lags() {
			return false
		}
		moved, possible := w.order()
		if !possible {
			return false
		}
		if !moved {
			return true
		}
	}
	return true // nothing more could be looked at
}

// lags narrows by the gaps and the hours.
func (w *windows) lags() bool {
	for moved := true; moved && w.p.work.spend(w.n*w.n); {
		moved = false
		for i := range w.n {
			row := w.lag[i*w.n : (i+1)*w.n]
			for j, lag := range row {
				if lag <= noLag {
					continue
				}
				w.es[j] = max(w.es[j], w.es[i]+lag)
				w.ls[i] = min(w.ls[i], w.ls[j]-lag)
			}
		}
		for i := range w.n {
			if w.p.open != nil && w.p.jobs[i].handsOn {
				es, ls := w.p.open.after(w.es[i], w.p.jobs[i].length), w.p.open.before(w.ls[i], w.p.jobs[i].length)
				moved = moved || es > w.es[i] || ls < w.ls[i]
				w.es[i], w.ls[i] = es, ls
			}
			if w.es[i] > w.ls[i] {
				return false
			}
		}
	}
	return true
}

// order decides pairs of jobs that exclude each other where only one order is
// left.
func (w *windows) order() (moved, possible bool) {
	w.p.work.spend(w.n * w.n)
	for i := range w.n {
		for j := i + 1; j < w.n; j++ {
			if !w.apart[i*w.n+j] {
				continue
			}
			a, b := w.p.jobs[i].length, w.p.jobs[j].length
			before := w.es[i]+a <= w.ls[j] && w.lag[j*w.n+i] <= -a
			behind := w.es[j]+b <= w.ls[i] && w.lag[i*w.n+j] <= -b
			switch {
			case !before && !behind:
				return false, false
			case !before && w.lag[j*w.n+i] < b:
				w.after(j, i, b)
				moved = true
			case !behind && w.lag[i*w.n+j] < a:
				w.after(i, j, a)
				moved = true
			}
		}
	}
	return moved, true
}

// user is a job's claim on one resource, with the window it must lie in.
type user struct{ length, amount, heat, es, ls int }

// least is the least part of the claim that lies between two times.
func (u *user) least(from, to int) int {
	return max(0, min(u.length, to-from, u.es+u.length-from, to-u.ls))
}

// anywhere stands for the times of serving; any job can stand in for it, see
// energyAround.
const anywhere = -1
