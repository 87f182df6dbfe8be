package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// fromTheTapBefore tells whether what is cooked in an action stands in water that nobody lists.
func (p *plan) fromTheTapBefore(at int) bool {
	n := &p.graph.Nodes[at]
	return p.fromTheTap(n) || n.Liquid && !p.holdsLiquid(slices.Concat(n.To, n.With, n.Into))
}

// watersNothing tells whether an action boils, or strains, no more than water in which nothing is: it
// was for the shells that are not fried any more.
func (p *plan) watersNothing(i int) bool {
	n := &p.graph.Nodes[i]
	if p.brewsNothing(i) {
		return true
	}
	if !n.Is("cover", "boil", "simmer", "strain", "reserve") || len(n.Inputs) == 0 {
		return false
	}
	for _, in := range n.Inputs {
		if !p.deeds[in].drop || !p.onBodies(in) && !p.watersNothing(in) {
			return false
		}
	}
	return !slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool {
		return !p.brothOf(line) && !p.c.fatLine(p.line(line))
	})
}

// brothOf tells whether a line is what bones are boiled in: water, or a stock that is one already.
func (p *plan) brothOf(line int) bool {
	f := p.l.Food(p.line(line).FoodID())
	return f != nil && (f.ID == waterFood || f.Aisle == stocksShelf || strings.HasSuffix(f.Kind, stockKind) && larder.Pours(f))
}

// stocksShelf is where stocks stand that are of no animal.
const stocksShelf = "stocks"

// brewsNothing tells whether an action pours the list's water, or its stock, on no more than shells or bones that are
// not there, to be boiled with them and strained: the water waits for what it is poured on next.
func (p *plan) brewsNothing(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Joins != "yes" && !n.Is("place") || len(n.Inputs) == 0 && !p.onBodies(i) || slices.ContainsFunc(n.Inputs, func(in int) bool { return !p.deeds[in].drop }) {
		return false
	}
	if len(n.Named) == 0 || slices.ContainsFunc(n.Named, func(line int) bool { return !p.brothOf(line) }) {
		return false
	}
	boiled := false
	for k := n; len(k.Users) == 1; {
		k = &p.graph.Nodes[k.Users[0]]
		if k.Is("strain") {
			return boiled
		}
		if boiled = boiled || k.Is("boil", "simmer"); !k.Is("boil", "simmer", "cover", "skim") || len(k.Inputs) > 1 {
			return false
		}
	}
	return false
}

// pouredOn is the work that is done first with water that was for a broth of what is not there; -1
// where it was for none.
func (p *plan) pouredOn(line, i int) int {
	if !p.brewsNothing(i) {
		return -1
	}
	path := p.path(line)
	if k := slices.IndexFunc(path, func(k int) bool { return k > i && !p.deeds[k].drop }); k >= 0 {
		return path[k]
	}
	return -1
}

// waterFood is plain water.
const waterFood = "water"

// boiledNext is the action that is done and brings a line by itself to the boil for what comes
// after: the water in which the brisket was to be covered. It is -1 where none does.
func (p *plan) boiledNext(line, i int) int {
	for _, k := range p.path(line) {
		if k > i && !p.deeds[k].drop && p.boilsListed(k) && p.isObject(line, k) {
			return k
		}
	}
	return -1
}

// boilsAlone is the action that boils a line of water by itself now, which covered flesh that comes later, before what
// gives it taste goes in: "bring the water to the boil", of "cover the beef with the water, bring to the boil". It is 0
// where none does.
func (p *plan) boilsAlone(line, i int) int {
	if f := p.l.Food(p.line(line).FoodID()); f == nil || f.ID != waterFood {
		return 0
	}
	for _, k := range p.graph.Nodes[i].Users {
		n := &p.graph.Nodes[k]
		if n.Is("boil") && len(n.Action.Words.Phrases) == 0 && p.goesOn(line, k) && !slices.ContainsFunc(n.To, func(o int) bool { return o != line && (p.stand[o] == nil || p.there(o, k)) }) {
			return k
		}
	}
	return 0
}

// boilsListed tells whether an action brings a liquid of the cook's own list to the boil that goes
// on into something: "bring the broth back to the boil", of water that no bones were boiled in.
func (p *plan) boilsListed(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Is("boil", "simmer") && !slices.ContainsFunc(n.To, func(line int) bool { return p.stand[line] != nil && p.stand[line].flesh() }) && slices.ContainsFunc(n.To, func(line int) bool {
		return p.stand[line] == nil && larder.Pours(p.l.Food(p.line(line).FoodID())) && p.goesOn(line, i)
	})
}

// brothOnly tells whether an action works on nothing but what would give its taste to a broth that
// is not boiled any more, and on flesh that comes later.
func (p *plan) brothOnly(i int, subjects []int) bool {
	any := false
	for _, line := range subjects {
		if s := p.stand[line]; s != nil && s.flesh() && !p.there(line, i) {
			continue
		}
		if !p.onlyForBroth(line) {
			return false
		}
		any = true
	}
	return any
}

// onlyWashed tells whether a line does no more than wash what is not there: the limes for a chicken.
func (p *plan) onlyWashed(line int) bool {
	washed := false
	for k := range p.graph.Nodes {
		n := &p.graph.Nodes[k]
		if !slices.Contains(n.Named, line) {
			continue
		}
		if !p.deeds[k].drop || n.Technique.Family != "clean" || !slices.Contains(n.With, line) {
			return false
		}
		washed = true
	}
	return washed
}

// washedWith tells whether all that was done with a line before an action is that others were washed
// with it.
func (p *plan) washedWith(line, i int) bool {
	washed := false
	for k := range i {
		n := &p.graph.Nodes[k]
		if !slices.Contains(n.Named, line) {
			continue
		}
		if n.Technique.Family != "clean" || !slices.Contains(n.With, line) {
			return false
		}
		washed = true
	}
	return washed
}

// watersOn tells whether water that an action makes hot still takes in something that is there: more than
// what it is seasoned with for what was to be poached in it.
func (p *plan) watersOn(i int) bool {
	return slices.ContainsFunc(p.graph.Nodes[i].Users, func(k int) bool {
		if p.deeds[k].drop {
			return p.cooksOn(k, i)
		}
		return !p.seasonsWater(k) || len(p.graph.Nodes[k].Users) == 0 || p.watersOn(k)
	})
}

// seasonsWater tells whether an action only puts salt, a splash of vinegar or herbs into water, or stirs it.
func (p *plan) seasonsWater(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "mix" || len(n.Inputs) != 1 {
		return false
	}
	return !slices.ContainsFunc(slices.Concat(n.To, n.With), func(line int) bool {
		return p.stand[line] != nil || !p.flavours(line) && p.line(line).Mass() > aSplash
	})
}

// aSplash is how much of a liquid only seasons the water that it goes into; an estimate.
const aSplash = 40.0

// dropWater lets go of what is done to water that nothing goes into any more. A fat is no water: what goes into it
// later is cooked.
func (p *plan) dropWater(i int) {
	if slices.ContainsFunc(p.graph.Nodes[i].To, func(line int) bool { return p.c.fatLine(p.line(line)) }) {
		return
	}
	for _, k := range p.graph.Nodes[i].Users {
		if !p.deeds[k].drop && p.seasonsWater(k) {
			p.deeds[k].drop = true
			for _, line := range p.graph.Nodes[k].Named {
				p.seasoned[line] = true
			}
			p.dropWater(k)
		}
	}
}

// fromTheTap tells whether an action takes water that nobody lists.
func (p *plan) fromTheTap(n *flow.Node) bool {
	return slices.ContainsFunc(slices.Concat(n.Action.With, n.Action.Into), p.unlistedWater)
}

// unlistedWater tells whether a reference is to water that nobody lists.
func (p *plan) unlistedWater(r recipe.Ref) bool { return flow.FromTap(p.l, r) }

// watersAlone tells whether an action boils, cools or chills no more than the water of a broth, and the salt in
// it, that is boiled up again before anything else goes in.
func (p *plan) watersAlone(i int) bool {
	water := p.onlyWater(i)
	if f := p.graph.Nodes[i].Technique.Family; water < 0 || f != "wet heat" && f != "rest" {
		return false
	}
	comes := p.comesUp(&p.graph.Nodes[i])
	if !comes && slices.ContainsFunc(p.path(water), func(k int) bool {
		return k < i && !p.deeds[k].drop && p.comesUp(&p.graph.Nodes[k]) && p.onlyWater(k) == water
	}) {
		return true // it boils already
	}
	for k := i + 1; k < len(p.graph.Nodes); k++ {
		n := &p.graph.Nodes[k]
		if n.At.Component != p.graph.Nodes[i].At.Component || !n.Reaches(water) {
			continue
		}
		if p.onlyWater(k) != water {
			return false
		}
		if n.Technique.Family == "wet heat" && (!comes || p.comesUp(n)) {
			return true
		}
	}
	return false
}

// onlyWater is the line of water on which alone an action works, or with salt, of all that is there; -1 where
// it works on more.
func (p *plan) onlyWater(i int) int {
	n, water := &p.graph.Nodes[i], -1
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		f := p.l.Food(p.line(line).FoodID())
		switch {
		case !p.there(line, i):
		case f != nil && f.ID == waterFood:
			water = line
		case f == nil || f.Kind != "salt":
			return -1
		}
	}
	return water
}

// boilsOthers tells whether a liquid boils what is there before something goes in that it was poured over: the water of beans that
// come late, in which bay leaves boil.
func (p *plan) boilsOthers(line, from, upto int) bool {
	return larder.Pours(p.l.Food(p.line(line).FoodID())) && slices.ContainsFunc(p.path(line), func(k int) bool {
		n := &p.graph.Nodes[k]
		return k > from && k < upto && !p.deeds[k].drop && n.Technique.Family == "wet heat" && slices.ContainsFunc(n.To, func(o int) bool { return o != line && p.there(o, k) })
	})
}
