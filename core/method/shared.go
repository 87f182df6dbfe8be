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
	joined := map[string]bool{}
	for i := range p.out {
		part := p.out[i]
		id := p.preparesOnly(&part)
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
	p.sayHowMuch(out, parts, joined)
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
// holds at every size: as much as it replaces there, and the last the rest.
func (p *parting) sayHowMuch(out []swap.Component, parts map[int]int, joined map[string]bool) {
	takers := map[string][]taker{}
	for i := range p.out {
		at, stays := parts[i]
		if !stays {
			continue
		}
		for j := range out[at].Lines {
			if l := &out[at].Lines[j]; joined[l.Made] && l.From != nil {
				takers[l.Made] = append(takers[l.Made], taker{l, p.brought(swap.ComponentOf(*l.From), l.Made)})
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

// brought is the mass of what a swap brought to a component.
func (p *parting) brought(component int, id string) float64 {
	grams := 0.0
	for n, line := range p.a.Components[component].Lines {
		if broughtBy(p.a, component, id, n) {
			grams += line.Mass()
		}
	}
	return grams
}
