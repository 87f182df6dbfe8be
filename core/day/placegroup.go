package day

import (
	"slices"
)

// placeGroup places the jobs of one group. When one of them comes too late for
// another, that other one is moved on and the group begun again.
func (g *generator) placeGroup(group int, keys []float64) (late int) {
	members := g.groups[group]
	if len(members) == 1 {
		if i := members[0]; g.prof.start[i] < 0 {
			lo, _, _ := g.bounds(i)
			return g.put(i, lo)
		}
		return 0
	}
	for _, i := range members {
		g.raised[i] = 0
	}
	g.before.copyFrom(g.prof)
	for attempt := 0; ; attempt++ {
		late = g.tryGroup(members, keys, attempt < groupAttempts)
		if late >= 0 {
			return late
		}
		g.prof.copyFrom(g.before)
	}
}

// tryGroup places a group once. It returns -1 when it should be begun again
// with a member raised, else by how much deadlines are missed.
func (g *generator) tryGroup(members []int, keys []float64, again bool) (late int) {
	for range members {
		next := -1
		for _, i := range members {
			if g.prof.start[i] < 0 && g.eligible(i) && (next < 0 || keys[i] < keys[next]) {
				next = i
			}
		}
		if next < 0 {
			break
		}
		lo, hi, holder := g.bounds(next)
		lo = max(lo, g.raised[next])
		t, oven := g.earliest(next, lo)
		if t > hi && t < never && again && holder >= 0 && g.groupOf[holder] == g.groupOf[next] && !g.p.jobs[holder].pinned {
			g.raised[holder] = g.prof.start[holder] + t - hi
			return -1
		}
		if t == never {
			late += g.p.horizon
			t, oven = lo, max(oven, 0)
		}
		g.prof.place(next, t, oven)
		late += max(0, t-hi)
	}
	return late
}

// eligible says whether everything that must lie before a job is placed.
func (g *generator) eligible(i int) bool {
	for _, k := range g.p.in[i] {
		if g.prof.start[g.p.links[k].from] < 0 {
			return false
		}
	}
	return true
}

// taken reads the schedule off the profile.
func (g *generator) taken(late int) *schedule {
	s := &schedule{start: slices.Clone(g.prof.start), oven: slices.Clone(g.prof.oven), late: late}
	s.judge(g.p)
	return s
}

func (s *schedule) judge(p *problem) {
	s.span, s.wait = 0, 0
	for i := range p.jobs {
		s.span = max(s.span, s.start[i]+p.jobs[i].length)
		if p.jobs[i].last {
			s.wait += s.start[i]
		}
	}
}

// justify moves every job as late as the others allow, then as early, which
// closes gaps (double justification: Valls, Ballestin, Quintanilla 2005). The
// schedule must be in the profile; it is changed in place while that helps.
func (g *generator) justify(s *schedule) {
	p := g.p
	end := func(i int) int { return s.start[i] + p.jobs[i].length }
	for {
		was := s.span
		s.tight = s.tight[:0]
		if len(g.prof.at) > 4*len(s.start) {
			g.load(s) // without the steps that moves have left behind
		}
		g.sort(func(i int) int { return -end(i) })
		for _, i := range g.order {
			t, oven := s.start[i], s.oven[i]
			lo, hi, _ := g.bounds(i)
			if hi = min(hi, s.span-p.jobs[i].length); hi <= t {
				s.tight = append(s.tight, i)
				g.prof.placed++
				continue
			}
			g.prof.remove(i)
			if late, in := g.prof.latest(i, max(lo, t), hi); late > t {
				t, oven = late, in
			} else {
				s.tight = append(s.tight, i)
			}
			g.prof.place(i, t, oven)
		}
		copy(s.start, g.prof.start)
		copy(s.oven, g.prof.oven)
		g.sort(func(i int) int { return s.start[i] })
		for _, i := range g.order {
			t, oven := s.start[i], s.oven[i]
			lo, hi, _ := g.bounds(i)
			if lo >= t {
				g.prof.placed++
				continue
			}
			g.prof.remove(i)
			if early, in := g.prof.earliest(i, lo); early < t && early <= hi {
				t, oven = early, in
			}
			g.prof.place(i, t, oven)
		}
		copy(s.start, g.prof.start)
		copy(s.oven, g.prof.oven)
		s.judge(p)
		if s.span >= was {
			return
		}
	}
}

func (g *generator) load(s *schedule) {
	g.prof.clear()
	for i := range s.start {
		g.prof.place(i, s.start[i], s.oven[i])
	}
}

// sort orders all jobs by a key, smallest first, equal ones by their number.
func (g *generator) sort(key func(i int) int) {
	g.keyed, g.order = g.keyed[:0], g.order[:0]
	n := len(g.p.jobs)
	for i := range n {
		g.keyed = append(g.keyed, key(i)*n+i)
	}
	slices.Sort(g.keyed)
	for _, k := range g.keyed {
		g.order = append(g.order, ((k%n)+n)%n)
	}
}
