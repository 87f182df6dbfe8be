package method

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// preparesOnly is the swap that a part does nothing but prepare, empty where it is not one.
func (p *parting) preparesOnly(part *swap.Component) string {
	if len(part.Steps) == 0 {
		return ""
	}
	id := part.Steps[0].Prepares
	s := p.l.SwapNamed(id)
	if s == nil || part.Name != larder.Capital(s.Short) || slices.ContainsFunc(part.Steps, func(x swap.Step) bool { return x.Prepares != id }) {
		return ""
	}
	return id
}

// madeOnce joins what several parts of a dish have prepared of one swap: it is made where the
// first of them wants it, and each says which share of it it takes.
func (p *parting) madeOnce() {
	first := map[string]int{}
	var out []swap.Component
	refs := map[string]string{}
	parts := map[int]int{} // where the parts stand now
	grams := map[int]map[string]float64{}
	joined := map[string]bool{}
	for i := range p.out {
		part := p.out[i]
		id := p.preparesOnly(&part)
		grams[i] = map[string]float64{}
		if id != "" {
			for _, l := range part.Lines {
				grams[i][id] += l.Mass()
			}
		}
		if k, made := first[id]; made && id != "" {
			joined[id] = true
			for j := range part.Lines {
				refs[recipe.LineRef(i, j)] = recipe.LineRef(k, gather(p.l, &out[k], part.Lines[j]))
			}
			continue
		}
		if id != "" {
			first[id] = len(out)
		}
		for j := range part.Lines {
			refs[recipe.LineRef(i, j)] = recipe.LineRef(len(out), j)
		}
		parts[i] = len(out)
		out = append(out, part)
	}
	if len(joined) == 0 {
		return
	}
	p.sayHowMuch(out, parts, grams, joined)
	p.out = out
	for i := range p.out {
		for n := range p.out[i].Steps {
			p.out[i].Steps[n].Actions = referring(p.out[i].Steps[n].Actions, nil, refs)
		}
	}
}

// taker is a line of a part that takes of what was made for several.
type taker struct {
	line  *swap.Line
	grams float64
}

// sayHowMuch writes beside what was made for several parts what share of it each takes, which
// holds at every size: that which was prepared last before it, and the last the rest.
func (p *parting) sayHowMuch(out []swap.Component, parts map[int]int, grams map[int]map[string]float64, joined map[string]bool) {
	last, takers := map[string]float64{}, map[string][]taker{}
	for i := range p.out {
		for id, g := range grams[i] {
			last[id] = g
		}
		at, stays := parts[i]
		if !stays {
			continue
		}
		for j := range out[at].Lines {
			if l := &out[at].Lines[j]; joined[l.Made] && last[l.Made] > 0 {
				takers[l.Made] = append(takers[l.Made], taker{l, last[l.Made]})
			}
		}
	}
	words := p.l.Language().Writing
	for _, list := range takers {
		total := 0.0
		for _, t := range list {
			total += t.grams
		}
		for k, t := range list {
			share := words.Portion(t.grams / total)
			if k == len(list)-1 {
				share = words.Rest
			}
			t.line.Text = share + " " + t.line.Text
		}
	}
}
