package method

import (
	"slices"

	"yembra/core/flow"
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

// takenAside is where the original takes a share of flesh out before what stands for it goes in, and puts it back by itself at
// the end: "remove half of the bacon for the top"; -1 where it does not.
func (p *plan) takenAside(line int) int {
	s := p.stand[line]
	if s == nil || s.gone || !s.flesh() || s.enters < 0 {
		return -1
	}
	return slices.IndexFunc(p.graph.Nodes[:s.enters], func(n flow.Node) bool {
		of := n.Action.To
		return n.Technique.Takes == "part" && len(of) == 1 && of[0].Made != nil && of[0].Share > 0 && of[0].Share < nearlyAll && slices.Contains(n.To, line) &&
			!slices.ContainsFunc(n.To, func(o int) bool { return o != line && !p.c.fatLine(p.line(o)) }) &&
			slices.ContainsFunc(n.Users, func(k int) bool { return k > s.enters })
	})
}

// broughtBack is the share that was taken out, where it comes back: "the reserved bacon"; nil for all else.
func (w *writer) broughtBack(noun recipe.Noun, lines []int) []named {
	if len(lines) != 1 || len(noun.Refs) != 1 || noun.Refs[0].Made == nil {
		return nil
	}
	at := w.takenAside(lines[0])
	if at < 0 || w.nodeOf(*noun.Refs[0].Made) != at {
		return nil
	}
	return []named{w.c.stand(w.stand[lines[0]], w.graph.Nodes[at].Action.To[0].Share, true)}
}

// lessOf is what there is less of by now than a noun says, nil where that is all.
func (w *writer) lessOf(noun recipe.Noun, lines []int, made bool, at int) []named {
	if less := w.resized(noun, lines, made); less != nil {
		return less
	}
	if w.noneTaken(noun, at) {
		return []named{{text: w.c.words().The + " " + w.slice(noun.Name, noun.Upto), plural: noun.Plural}}
	}
	return w.broughtBack(noun, lines)
}

// noneTaken tells whether "the rest" of what the dish made is all of it, as all work that took a share of it is not done any more:
// "pour in the rest of the sauce", in half of which flesh would have lain.
func (w *writer) noneTaken(noun recipe.Noun, at int) bool {
	if !noun.Rest || noun.Pronoun || len(noun.Refs) != 1 || noun.Refs[0].Made == nil || len(w.animalWords(w.slice(noun.Name, noun.Upto))) > 0 {
		return false
	}
	taken := false
	for k := range w.graph.Nodes[:at] {
		for r := range w.graph.Nodes[k].Action.Refs() {
			if r.Made == nil || *r.Made != *noun.Refs[0].Made || r.Share >= 1 {
				continue
			}
			if !w.deeds[k].drop {
				return false
			}
			taken = true
		}
	}
	return taken
}
