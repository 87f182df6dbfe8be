package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// waterStays lets water from the tap be poured on what is boiled in it still, where the flesh that it was to cover
// goes in later or not at all: the carrots of a stew.
func (p *plan) waterStays() {
	for i := range p.graph.Nodes {
		n := &p.graph.Nodes[i]
		if p.deeds[i].drop || n.Technique.Family != "wet heat" || !n.Technique.Wet {
			continue
		}
		chain, wet := p.before(i), p.wetAt(i)
		water := slices.IndexFunc(chain, func(k int) bool {
			return p.deeds[k].drop && p.fromTheTap(&p.graph.Nodes[k]) && !p.becomesStock(k) && (!wet || p.measuresTap(k))
		})
		if water < 0 || slices.ContainsFunc(chain, func(k int) bool {
			return !p.deeds[k].drop && p.fromTheTap(&p.graph.Nodes[k]) || p.deeds[k].water >= 0
		}) {
			continue
		}
		first := slices.IndexFunc(chain, func(k int) bool {
			o := &p.graph.Nodes[k]
			joins := o.Technique.Joins == "yes" && p.putsIn(k) || wet && o.Technique.Joins == "in" && len(o.Into) > 0
			return k > chain[water] && !p.deeds[k].drop && joins && slices.Contains(p.before(k), chain[water]) // and into that pot
		})
		if first >= 0 {
			p.deeds[chain[first]].water = chain[water]
		}
	}
}

// measuresTap tells whether the words of an action say how much water from the tap it takes, beside what goes back with it into a
// sauce that has a liquid of its own: "return the lamb with the tomatoes and 200 ml water".
func (p *plan) measuresTap(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Is("return", "add") && slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool {
		return slices.ContainsFunc(x.Nouns, func(noun recipe.Noun) bool {
			return noun.Measured && slices.ContainsFunc(noun.Refs, p.unlistedWater)
		})
	})
}

// becomesStock tells whether an action boiled nothing of the list in water, and what came of that is put in by its name: "add
// the prawn stock". Another stock stands for it.
func (p *plan) becomesStock(i int) bool {
	if !p.boiledAlone(i) && !p.goneIn(p.boiledBy(i)) {
		return false
	}
	from := []int{i}
	for k := i + 1; k < len(p.graph.Nodes); k++ {
		n := &p.graph.Nodes[k]
		if !slices.ContainsFunc(n.Inputs, func(in int) bool { return slices.Contains(from, in) }) {
			continue
		}
		if p.deeds[k].drop {
			from = append(from, k)
			continue
		}
		text := p.textOf(n)
		return slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool {
			return slices.ContainsFunc(x.Nouns, func(noun recipe.Noun) bool {
				return !noun.Pronoun && noun.Upto <= len(text) && p.isLiquor(string(text[noun.Name:noun.Upto]))
			})
		})
	}
	return false
}

// wetAt tells whether a liquid that is listed is in what an action cooks, or what gives a sauce.
func (p *plan) wetAt(i int) bool {
	n := &p.graph.Nodes[i]
	return slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool {
		f := p.l.Food(p.line(line).FoodID())
		return p.there(line, i) && f != nil && !p.c.fatLine(p.line(line)) && larder.Wets(f)
	})
}

// putsIn tells whether an action puts something of the cook's own into a pot.
func (p *plan) putsIn(i int) bool {
	return slices.ContainsFunc(p.graph.Nodes[i].To, func(line int) bool { return p.stand[line] == nil && p.there(line, i) })
}

// before are the actions that lead to one, and itself, in order.
func (p *plan) before(i int) []int {
	seen := map[int]bool{}
	var walk func(k int)
	walk = func(k int) {
		if seen[k] {
			return
		}
		seen[k] = true
		for _, in := range p.graph.Nodes[k].Inputs {
			walk(in)
		}
	}
	walk(i)
	var out []int
	for k := range p.graph.Nodes[:i+1] {
		if seen[k] {
			out = append(out, k)
		}
	}
	return out
}

// poursOn is the clause with which water is poured on, if any is.
func (w *writer) poursOn(d *deed, own *clause) []*clause {
	if d.water < 0 {
		return nil
	}
	c := w.pours(d.water)
	if c == nil {
		return nil
	}
	own.changed = true
	return []*clause{c}
}

// pours is the clause with which water is poured on, in the words of the action that was to do it.
func (w *writer) pours(i int) *clause {
	n := &w.graph.Nodes[i]
	text := w.textOf(n)
	say := w.c.words().PourWater
	if n.Is("cover") {
		say = w.c.words().CoverWater
	}
	for _, x := range n.Action.Words.Phrases {
		for _, noun := range x.Nouns {
			if slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool { return w.unlistedWater(r) }) && noun.Upto <= len(text) {
				return &clause{node: -1, changed: true, text: strings.ReplaceAll(say, "{water}", string(text[noun.From:noun.Upto]))}
			}
		}
	}
	return nil
}

// onlyTapWater tells whether a phrase names nothing but water that no list has.
func (w *writer) onlyTapWater(p recipe.Phrase) bool {
	return p.Role != "to" && len(p.Nouns) > 0 && !slices.ContainsFunc(p.Nouns, func(noun recipe.Noun) bool {
		return len(noun.Refs) != 1 || !flow.FromTap(w.l, noun.Refs[0])
	})
}
