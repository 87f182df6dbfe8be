package day

import "slices"

// profile is what is in use when: steps of constant use, each from its time to
// the next one's, the last without end.
type profile struct {
	p     *problem
	width int
	at    []int
	use   []int32 // width values a step: pools, then shelves, least and greatest heat of each oven
	// placed start of every job, or -1; and its oven.
	start, oven []int
	placed      int // placements done, the measure of work
	hint        int // the step asked for last
}

const (
	ovenShelves = iota
	ovenLeast
	ovenMost
	ovenWidth
)

func newProfile(p *problem) *profile {
	n := len(p.jobs)
	f := &profile{p: p, width: len(p.pools) + ovenWidth*len(p.ovens), start: make([]int, n), oven: make([]int, n)}
	f.clear()
	return f
}

func (f *profile) clear() {
	f.at = append(f.at[:0], 0)
	f.use = append(f.use[:0], make([]int32, f.width)...)
	for i := range f.start {
		f.start[i], f.oven[i] = -1, -1
	}
}

// copyFrom makes f the same as another profile of the same problem.
func (f *profile) copyFrom(o *profile) {
	f.at = append(f.at[:0], o.at...)
	f.use = append(f.use[:0], o.use...)
	copy(f.start, o.start)
	copy(f.oven, o.oven)
}

// step returns the step in which t lies.
func (f *profile) step(t int) int {
	// What is asked for lies mostly near what was asked for last.
	if h := f.hint; h < len(f.at) && f.at[h] <= t {
		for end := min(h+nearSteps, len(f.at)); h+1 < end && f.at[h+1] <= t; {
			h++
		}
		if h+1 == len(f.at) || f.at[h+1] > t {
			f.hint = h
			return h
		}
	}
	lo, hi := 0, len(f.at)
	for hi-lo > 1 {
		if mid := (lo + hi) / 2; f.at[mid] <= t {
			lo = mid
		} else {
			hi = mid
		}
	}
	f.hint = lo
	return lo
}

// nearSteps is how many steps are tried one by one before searching by halves.
const nearSteps = 4

func (f *profile) end(k int) int {
	if k+1 < len(f.at) {
		return f.at[k+1]
	}
	return never
}

// fits says whether a job can run in a step, in the given oven if it needs one.
func (f *profile) fits(j *job, k, oven int) bool {
	use := f.use[k*f.width : (k+1)*f.width]
	for _, n := range j.needs {
		if int(use[n.pool])+n.amount > f.p.pools[n.pool].capacity {
			return false
		}
	}
	if j.shelves == 0 {
		return true
	}
	o := use[len(f.p.pools)+oven*ovenWidth:]
	if o[ovenShelves] == 0 {
		return j.shelves <= f.p.ovens[oven]
	}
	return int(o[ovenShelves])+j.shelves <= f.p.ovens[oven] &&
		max(int(o[ovenMost]), j.heat)-min(int(o[ovenLeast]), j.heat) <= heatTolerance
}

// earliest returns the first start from lo on, and the oven, at which the job
// fits; never when there is none.
func (f *profile) earliest(i, lo int) (start, oven int) {
	j := &f.p.jobs[i]
	if j.shelves == 0 {
		return f.earliestIn(j, lo, -1), -1
	}
	start = never
	for o := range f.p.ovens {
		if t := f.earliestIn(j, lo, o); t < start {
			start, oven = t, o
		}
	}
	return start, oven
}

func (f *profile) earliestIn(j *job, t, oven int) int {
	if j.handsOn {
		t = f.p.open.after(t, j.length)
	}
	if t == never || j.length == 0 {
		return t
	}
	for k := f.step(t); ; {
		blocked := -1
		f.p.work.spend(placeWork / 4)
		for i := k; i < len(f.at) && f.at[i] < t+j.length; i++ {
			if !f.fits(j, i, oven) {
				blocked = i
			}
		}
		if blocked < 0 {
			return t
		}
		// On behind the last step in the way; what lies before it cannot help.
		if k = blocked + 1; k == len(f.at) {
			return never
		}
		t = f.at[k]
		if j.handsOn && f.p.open != nil {
			if t = f.p.open.after(t, j.length); t == never {
				return never
			}
			k = f.step(t)
		}
	}
}

// latest returns the last start up to hi, but not before lo, at which the job
// fits; -1 when there is none.
func (f *profile) latest(i, lo, hi int) (start, oven int) {
	j := &f.p.jobs[i]
	if j.shelves == 0 {
		return f.latestIn(j, lo, hi, -1), -1
	}
	start = -1
	for o := range f.p.ovens {
		if t := f.latestIn(j, lo, hi, o); t > start {
			start, oven = t, o
		}
	}
	return start, oven
}

func (f *profile) latestIn(j *job, lo, t, oven int) int {
	for {
		if j.handsOn {
			t = f.p.open.before(t, j.length)
		}
		if t < lo {
			return -1
		}
		if j.length == 0 {
			return t
		}
		k := f.step(t + j.length - 1)
		for ; k >= 0 && f.end(k) > t; k-- {
			if !f.fits(j, k, oven) {
				break
			}
		}
		if k < 0 || f.end(k) <= t {
			return t
		}
		t = f.at[k] - j.length
	}
}

// split makes a step begin at t and returns it.
func (f *profile) split(t int) int {
	k := f.step(t)
	if f.at[k] == t {
		return k
	}
	f.at = slices.Insert(f.at, k+1, t)
	row := len(f.use)
	f.use = append(f.use, make([]int32, f.width)...)
	copy(f.use[(k+2)*f.width:], f.use[(k+1)*f.width:row])
	copy(f.use[(k+1)*f.width:(k+2)*f.width], f.use[k*f.width:(k+1)*f.width])
	return k + 1
}

// placeWork is what placing a job takes, in passes, beside the steps and links
// that are looked through.
const placeWork = 100

// place puts a job at a start, whether it fits or not.
func (f *profile) place(i, t, oven int) {
	f.start[i], f.oven[i] = t, oven
	f.placed++
	f.p.work.spend(placeWork + len(f.at) + len(f.p.in[i]) + len(f.p.out[i]))
	j := &f.p.jobs[i]
	if j.length == 0 || len(j.needs) == 0 && j.shelves == 0 {
		return
	}
	from, to := f.split(t), f.split(t+j.length)
	for k := from; k < to; k++ {
		use := f.use[k*f.width : (k+1)*f.width]
		for _, n := range j.needs {
			use[n.pool] += int32(n.amount)
		}
		if j.shelves > 0 {
			o := use[len(f.p.pools)+oven*ovenWidth:]
			if o[ovenShelves] == 0 {
				o[ovenLeast], o[ovenMost] = int32(j.heat), int32(j.heat)
			}
			o[ovenShelves] += int32(j.shelves)
			o[ovenLeast], o[ovenMost] = min(o[ovenLeast], int32(j.heat)), max(o[ovenMost], int32(j.heat))
		}
	}
}

// remove takes a placed job out again.
func (f *profile) remove(i int) {
	t, oven := f.start[i], f.oven[i]
	f.start[i], f.oven[i] = -1, -1
	j := &f.p.jobs[i]
	if j.length == 0 || len(j.needs) == 0 && j.shelves == 0 {
		return
	}
	for k := f.step(t); k < len(f.at) && f.at[k] < t+j.length; k++ {
		use := f.use[k*f.width : (k+1)*f.width]
		for _, n := range j.needs {
			use[n.pool] -= int32(n.amount)
		}
		if j.shelves > 0 {
			o := use[len(f.p.pools)+oven*ovenWidth:]
			o[ovenShelves] -= int32(j.shelves)
			f.reheat(o, oven, f.at[k])
		}
	}
}

// reheat finds the heats of an oven at a time again, from the jobs in it.
func (f *profile) reheat(o []int32, oven, t int) {
	first := true
	for _, i := range f.p.baked {
		j := &f.p.jobs[i]
		if f.oven[i] != oven || f.start[i] > t || f.start[i]+j.length <= t {
			continue
		}
		if first {
			o[ovenLeast], o[ovenMost], first = int32(j.heat), int32(j.heat), false
		}
		o[ovenLeast], o[ovenMost] = min(o[ovenLeast], int32(j.heat)), max(o[ovenMost], int32(j.heat))
	}
}
