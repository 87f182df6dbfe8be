package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// set is one component as it is set out, with what is prepared apart for it: the parts
// from..upto, of which the last is its own.
type set struct{ from, upto int }

// placed is a step of a set in the method of the whole dish.
type placed struct{ set, step int }

// stretch is a run of steps of one set; weight is how much of the set it does.
type stretch struct{ from, upto, weight int }

// inOrder puts the parts into the order of the work. A method that turns from one part to
// another and back is set out so that nothing is asked for before it is done: each part
// stands where most of its lines are taken, and steps of it that come earlier or later
// stand with the part that is worked on then.
func (p *parting) inOrder(sets []set) {
	seq := p.coldFirst(sets, p.sequence(sets))
	home := p.homes(sets, seq)
	within := p.within(sets, seq, home)
	steps := make([][]swap.Step, len(sets))
	owner := -1
	for n, x := range seq {
		if h := home[x.set]; n >= h.from && n < h.upto {
			owner = x.set
		} else if owner < 0 { // before the first part
			owner = seq[firstHome(home)].set
		}
		step := p.main(sets[x.set]).Steps[x.step]
		if owner != x.set {
			step.Lines = []int{}
		}
		steps[owner] = append(steps[owner], step)
	}
	for i := range sets {
		p.main(sets[i]).Steps = steps[i]
	}
	p.permute(sets, home, within)
}

// within are the parts that are made in the midst of the work on another and take of it, by that other, whose
// home their work is then: a dressing whisked and tossed with the pasta that was boiled before, to which more
// comes later.
func (p *parting) within(sets []set, seq []placed, home map[int]stretch) map[int]int {
	out := map[int]int{}
	for n := range seq {
		x := seq[n].set
		h, ok := home[x]
		if !ok || n != h.from || h.from == 0 || h.upto >= len(seq) {
			continue
		}
		y := seq[h.upto].set
		if seq[h.from-1].set != y || slices.ContainsFunc(seq[:h.from], func(o placed) bool { return o.set == x }) || slices.ContainsFunc(seq[h.upto:], func(o placed) bool { return o.set == x }) || !p.takesBefore(sets, seq, h.from, h.upto) {
			continue
		}
		from := h.from
		for from > 0 && seq[from-1].set == y {
			from--
		}
		other := home[y]
		other.from, other.upto = min(other.from, from), max(other.upto, h.upto)
		home[y], out[x] = other, y
		delete(home, x)
	}
	return out
}

// takenIn is where the work begins of the first part whose steps take lines of a list without steps, -1 where
// none does.
func (p *parting) takenIn(sets []set, list int, home map[int]stretch) int {
	first := -1
	for i, h := range home {
		if i != list && (first < 0 || h.from < first) && slices.ContainsFunc(p.main(sets[i]).Steps, func(s swap.Step) bool { return p.takesOf(s, sets[list].upto-1) }) {
			first = h.from
		}
	}
	return first
}

// takesOf tells whether a step works with lines of a part.
func (p *parting) takesOf(s swap.Step, part int) bool {
	return slices.ContainsFunc(s.Actions, func(a recipe.Action) bool {
		return slices.ContainsFunc(slices.Concat(a.To, a.With, a.Into), func(r recipe.Ref) bool { return r.Line != nil && swap.ComponentOf(*r.Line) == part })
	})
}

// main is a set's own part.
func (p *parting) main(s set) *swap.Component { return &p.out[s.upto-1] }

// sequence lists the steps of all sets as they are done.
func (p *parting) sequence(sets []set) []placed {
	var seq []placed
	for i, s := range sets {
		for n := range p.main(s).Steps {
			seq = append(seq, placed{i, n})
		}
	}
	order := func(x placed) int { return p.main(sets[x.set]).Steps[x.step].Order }
	slices.SortStableFunc(seq, func(a, b placed) int { return order(a) - order(b) })
	return seq
}

// coldFirst puts a part that is only mixed, and is made in between the work on another, in front of that
// work where it takes nothing of it: a dressing, that stands by while the eggs boil.
func (p *parting) coldFirst(sets []set, seq []placed) []placed {
	for from := 0; from < len(seq); {
		upto := from
		for upto < len(seq) && seq[upto].set == seq[from].set {
			upto++
		}
		if from > 0 && upto < len(seq) && seq[upto].set == seq[from-1].set && p.mixedApart(sets, seq, from, upto) {
			begin := from
			for begin > 0 && seq[begin-1].set == seq[upto].set {
				begin--
			}
			seq = slices.Concat(seq[:begin], seq[from:upto], seq[begin:from], seq[upto:])
		}
		from = upto
	}
	return seq
}

// takesBefore tells whether a stretch takes something that was made before it.
func (p *parting) takesBefore(sets []set, seq []placed, from, upto int) bool {
	made := map[string]bool{}
	for _, x := range seq[:from] {
		for _, a := range p.main(sets[x.set]).Steps[x.step].Actions {
			made[a.ID] = true
		}
	}
	return slices.ContainsFunc(seq[from:upto], func(x placed) bool {
		return slices.ContainsFunc(p.main(sets[x.set]).Steps[x.step].Actions, func(a recipe.Action) bool {
			return slices.ContainsFunc(slices.Concat(a.To, a.With, a.Into), func(r recipe.Ref) bool { return r.Made != nil && made[*r.Made] })
		})
	})
}

// mixedApart tells whether a stretch is all of its part, needs no fire but for what is prepared for it,
// takes nothing that was made before it, and may stand: what baking powder lifts may not.
func (p *parting) mixedApart(sets []set, seq []placed, from, upto int) bool {
	if p.lifts(p.main(sets[seq[from].set])) {
		return false
	}
	made := map[string]bool{}
	for n, x := range seq {
		if x.set == seq[from].set && (n < from || n >= upto) {
			return false
		}
		for _, a := range p.main(sets[x.set]).Steps[x.step].Actions {
			made[a.ID] = n < from
		}
	}
	for _, x := range seq[from:upto] {
		s := &p.main(sets[x.set]).Steps[x.step]
		for _, a := range s.Actions {
			if t := p.l.Technique(a.Technique); s.Prepares == "" && (t != nil && t.Heat != "" || slices.ContainsFunc(a.Into, func(r recipe.Ref) bool { return flow.Boils(p.l, r) })) {
				return false
			}
			if slices.ContainsFunc(slices.Concat(a.To, a.With, a.Into), func(r recipe.Ref) bool { return r.Made != nil && made[*r.Made] }) {
				return false
			}
		}
	}
	return true
}

// lifts tells whether a part lists what makes a dough or batter rise, so that it is cooked soon.
func (p *parting) lifts(part *swap.Component) bool {
	return slices.ContainsFunc(part.Lines, func(l swap.Line) bool {
		f := p.l.Food(l.FoodID())
		return l.Change != swap.Dropped && f != nil && f.Tagged(larder.Raising)
	})
}

// homes are the stretches of the sequence in which each set does most.
func (p *parting) homes(sets []set, seq []placed) map[int]stretch {
	home := map[int]stretch{}
	for from := 0; from < len(seq); {
		upto := from
		for upto < len(seq) && seq[upto].set == seq[from].set {
			upto++
		}
		s := sets[seq[from].set]
		taken, own := map[string]bool{}, strings.TrimSuffix(recipe.LineRef(s.upto-1, 0), "0]")
		for _, x := range seq[from:upto] {
			for _, a := range p.main(s).Steps[x.step].Actions {
				for r := range a.Refs() {
					if r.Line != nil && strings.HasPrefix(*r.Line, own) {
						taken[*r.Line] = true
					}
				}
			}
		}
		listed, known := home[seq[from].set]
		if known && listed.weight >= mostOfAll {
			from = upto
			continue // its list stands before the first that is taken of it
		}
		if weight := mostOfAll*len(taken) + upto - from; weight > listed.weight {
			home[seq[from].set] = stretch{from, upto, weight}
		}
		from = upto
	}
	return home
}

// mostOfAll is how much a line that is taken counts beside a step.
const mostOfAll = 100

// firstHome is where the first part begins.
func firstHome(home map[int]stretch) int {
	first := -1
	for _, h := range home {
		if first < 0 || h.from < first {
			first = h.from
		}
	}
	return first
}

// permute sets the parts in the order of their homes, each behind what is prepared for it,
// and lets all actions name the lines where they stand then.
func (p *parting) permute(sets []set, home map[int]stretch, within map[int]int) {
	place := func(i int) int {
		if y, in := within[i]; in {
			return 2*home[y].from - 1 // its list stands before the work
		}
		if _, ok := home[i]; !ok && len(p.main(sets[i]).Steps) == 0 {
			if first := p.takenIn(sets, i, home); first >= 0 {
				return 2*first - 1 // its list stands before the work that takes it
			}
		}
		for ; i >= 0; i-- { // a part without steps stands behind the one before it
			if h, ok := home[i]; ok {
				return 2 * h.from
			}
		}
		return -1
	}
	var parts []int
	for i := range sets {
		parts = append(parts, i)
	}
	slices.SortStableFunc(parts, func(a, b int) int { return place(a) - place(b) })
	var order []int
	for _, i := range parts {
		for k := sets[i].from; k < sets[i].upto; k++ {
			order = append(order, k)
		}
	}
	for _, s := range sets {
		for k := s.from; k < s.upto-1; k++ {
			order = p.beforeUse(order, k, s.upto-1)
		}
	}
	var out []swap.Component
	refs := map[string]string{}
	for _, k := range order {
		for j := range p.out[k].Lines {
			refs[recipe.LineRef(k, j)] = recipe.LineRef(len(out), j)
		}
		out = append(out, p.out[k])
	}
	p.out = out
	for i := range p.out {
		for n := range p.out[i].Steps {
			p.out[i].Steps[n].Actions = referring(p.out[i].Steps[n].Actions, nil, refs)
		}
	}
}
