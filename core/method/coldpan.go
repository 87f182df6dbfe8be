package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// intoColdPan tells whether a fat is added to a pan that nothing has been cooked in: what was to fry there
// before does not any more, and something is fried in the fat next.
func (p *plan) intoColdPan(i int) bool {
	n := &p.graph.Nodes[i]
	if !n.Is("add") || len(n.Action.To) == 0 || !slices.ContainsFunc(n.Named, p.fries) || slices.ContainsFunc(n.Named, func(line int) bool {
		return !p.fries(line) && !p.laterFlesh(line, i) // "the rest of the oil and the bacon"
	}) {
		return false
	}
	var pan *flow.Node
	for k := i - 1; k >= 0 && pan == nil && p.graph.Nodes[k].At.Component == n.At.Component; k-- {
		if o := &p.graph.Nodes[k]; cookedDry(o) {
			pan = o
		}
	}
	if pan == nil || !p.deeds[p.graph.Number(pan)].drop || p.overFire(n) || slices.ContainsFunc(p.graph.Nodes[p.graph.Number(pan)+1:i], func(o flow.Node) bool {
		return o.Technique.Heat != "" && !p.deeds[p.graph.Number(&o)].drop
	}) {
		return false
	}
	return slices.ContainsFunc(n.Users, func(k int) bool { return cookedDry(&p.graph.Nodes[k]) })
}

// laterFlesh tells whether a line is flesh for which something stands that is not there yet at an action.
func (p *plan) laterFlesh(line, i int) bool {
	s := p.stand[line]
	return s != nil && s.flesh() && !p.there(line, i)
}

// liftedCold tells whether an action takes what stands for flesh out of something cold that it has lain in:
// a marinade, in which it lies as well.
func (p *plan) liftedCold(s *standIn, i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "separate" || s.enters >= i || s.tail > 0 || !s.flesh() {
		return false
	}
	return !slices.ContainsFunc(p.path(s.node), func(k int) bool { return k < i && p.graph.Nodes[k].Technique.Heat != "" })
}

// liftedToStrain tells whether an action takes what stands for flesh out of a pot in which it was cooked, before what is left
// there is strained or blended without it.
func (p *plan) liftedToStrain(s *standIn, i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "separate" || !s.flesh() || s.enters >= i || s.tail > 0 || !slices.Contains(n.Named, s.node) || len(n.Inputs) != 1 {
		return false
	}
	for k := i + 1; k < len(p.graph.Nodes); k++ {
		rest := &p.graph.Nodes[k]
		if rest.At.Component == n.At.Component && !slices.Contains(rest.Holds, s.node) && (rest.Is("strain") || rest.Technique.Family == "machine") && slices.Contains(p.before(k), n.Inputs[0]) {
			return true
		}
	}
	return false
}

// movedOut tells whether what stands for flesh lies in a sauce in which it was cooked, and is moved out of it until it goes
// back: "move the chicken to a plate".
func (p *plan) movedOut(s *standIn, i int) bool {
	return p.graph.Nodes[i].Is("place") && s.flesh() && s.enters < i && s.tail == 0 && slices.ContainsFunc(p.path(s.node), func(k int) bool {
		return k < i && k >= s.enters && !p.deeds[k].drop && p.wetMinutes(k) > 0
	})
}

// onlyBread tells whether an action heats nothing but what was baked, into which nothing is stirred: "warm the tortillas".
func (p *plan) onlyBread(at int) bool {
	n := &p.graph.Nodes[at]
	return n.Technique.Heat != "" && !n.Liquid && len(n.Holds) > 0 && !slices.ContainsFunc(n.Holds, func(line int) bool {
		f := p.l.Food(p.line(line).FoodID())
		return (f == nil || f.Aisle != bakery) && !p.c.fatLine(p.line(line))
	})
}

// bakery is the shelf of what is baked.
const bakery = "bakery"

// overFire tells whether something that goes into an action was over a fire by work that is done.
func (p *plan) overFire(n *flow.Node) bool {
	return slices.ContainsFunc(n.Inputs, func(in int) bool {
		before := &p.graph.Nodes[in]
		return !p.deeds[in].drop && before.Technique.Heat != "" && before.Technique.Heat != "oven" || p.overFire(before)
	})
}

// saysFat tells whether an action says that it is done in some fat that it has from what went before.
func (p *plan) saysFat(n *flow.Node) bool {
	text := p.textOf(n)
	return slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool {
		return (x.Role == "in" || x.Role == "with") && slices.ContainsFunc(x.Nouns, func(noun recipe.Noun) bool {
			if noun.Upto > len(text) || len(noun.Refs) > 0 && noun.Refs[0].Line != nil {
				return false
			}
			words := larder.Words(string(text[noun.Name:noun.Upto]))
			return slices.ContainsFunc(words, func(word string) bool { return p.l.Language().Fats[word] })
		})
	})
}

// fatThere tells whether a fat of the cook's own, or what stands for one, is in what an action
// works on: "until the fat separates".
func (p *plan) fatThere(n *flow.Node) bool {
	return slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), p.fries)
}
