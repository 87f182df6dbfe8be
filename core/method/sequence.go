package method

import (
	"slices"
	"strings"

	"yembra/core/recipe"
	"yembra/core/swap"
)

// set is one component as it is set out, with what is prepared apart for it: the parts
// from..upto, of which the last is its own.
type set struct{ from, upto int }

// inOrder puts the parts into the order of the work. A method that turns from one part to
// another and back is set out so that nothing is asked for before it is done: each part
// stands where most of its lines are taken, and steps of it that come earlier or later
// stand with the part that is worked on then.
func (p *parting) inOrder(sets []set) {
	type at struct{ set, step int }
	var seq []at
	for i, s := range sets {
		for n := range p.out[s.upto-1].Steps {
			seq = append(seq, at{i, n})
		}
	}
	order := func(x at) int { return p.out[sets[x.set].upto-1].Steps[x.step].Order }
	slices.SortStableFunc(seq, func(a, b at) int { return order(a) - order(b) })
	home, weights := map[int][2]int{}, map[int]int{} // a stretch of the sequence for each
	for from := 0; from < len(seq); {
		upto := from
		for upto < len(seq) && seq[upto].set == seq[from].set {
			upto++
		}
		part := sets[seq[from].set].upto - 1
		taken, steps, own := map[string]bool{}, p.out[part].Steps, strings.TrimSuffix(recipe.LineRef(part, 0), "0]")
		for _, x := range seq[from:upto] {
			for _, a := range steps[x.step].Actions {
				for _, r := range slices.Concat(a.To, a.With, a.Into) {
					if r.Line != nil && strings.HasPrefix(*r.Line, own) {
						taken[*r.Line] = true
					}
				}
			}
		}
		if weight := mostOfAll*len(taken) + upto - from; weight > weights[seq[from].set] {
			home[seq[from].set], weights[seq[from].set] = [2]int{from, upto}, weight
		}
		from = upto
	}
	var parts []int
	for i := range sets {
		parts = append(parts, i)
	}
	place := func(i int) int {
		for ; i >= 0; i-- { // a part without steps stands behind the one before it
			if h, ok := home[i]; ok {
				return h[0]
			}
		}
		return -1
	}
	slices.SortStableFunc(parts, func(a, b int) int { return place(a) - place(b) })
	steps := make([][]swap.Step, len(sets))
	owner := -1
	for n, x := range seq {
		if h := home[x.set]; n >= h[0] && n < h[1] {
			owner = x.set
		} else if owner < 0 { // before the first part
			owner = seq[firstHome(home)].set
		}
		step := p.out[sets[x.set].upto-1].Steps[x.step]
		if owner != x.set {
			step.Lines = []int{}
		}
		steps[owner] = append(steps[owner], step)
	}
	var out []swap.Component
	refs := map[string]string{}
	for _, i := range parts {
		p.out[sets[i].upto-1].Steps = slices.Clone(steps[i])
		for k := sets[i].from; k < sets[i].upto; k++ {
			for j := range p.out[k].Lines {
				refs[recipe.LineRef(k, j)] = recipe.LineRef(len(out), j)
			}
			out = append(out, p.out[k])
		}
	}
	p.out = out
	for i := range p.out {
		for n := range p.out[i].Steps {
			p.out[i].Steps[n].Actions = referring(p.out[i].Steps[n].Actions, nil, refs)
		}
	}
}

// mostOfAll is how much a line that is taken counts beside a step.
const mostOfAll = 100

// firstHome is where the first part begins.
func firstHome(home map[int][2]int) int {
	first := -1
	for _, h := range home {
		if first < 0 || h[0] < first {
			first = h[0]
		}
	}
	return first
}
