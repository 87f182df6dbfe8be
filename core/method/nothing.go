package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// strainsNothing tells whether an action strains or drains what is not cooked in liquid any
// more, or keeps what would have run off.
func (p *plan) strainsNothing(i int) bool {
	n := &p.graph.Nodes[i]
	if !n.Is("strain", "drain", "reserve") || len(n.Inputs) == 0 {
		return false
	}
	wet := false
	for _, in := range n.Inputs {
		if !p.deeds[in].drop {
			return false
		}
		wet = wet || p.graph.Nodes[in].Technique.Family == "wet heat" && !n.Is("reserve") || p.strainsNothing(in)
	}
	return wet && !p.boiledWithout(i)
}

// seasonsNothing tells whether an action seasons, with nothing by name, what only dropped work put there.
func (p *plan) seasonsNothing(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Is("season") && len(n.Named)+len(n.Action.With) == 0 && len(n.Inputs) > 0 && !slices.ContainsFunc(n.Inputs, func(in int) bool { return !p.deeds[in].drop || !p.intoBodies(in) })
}

// scaldsNothing tells whether water is poured over flesh that only lies in it for a while: salt fish, of which
// no salt is drawn any more.
func (p *plan) scaldsNothing(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Joins != "yes" || len(n.To) > 0 || len(n.Into) == 0 || len(n.Users) != 1 || !slices.ContainsFunc(n.Action.To, p.unlistedWater) {
		return false
	}
	next := &p.graph.Nodes[n.Users[0]]
	return next.Technique.Family == "rest" && !slices.ContainsFunc(n.Into, func(line int) bool {
		s := p.stand[line]
		return s == nil || !s.flesh() || !s.is(larder.Ready)
	})
}

// keepsAll tells whether an action keeps back what stays behind where nothing is taken out any
// more: "drain the chicken, reserving the marinade".
func (p *plan) keepsAll(i int) bool {
	n := &p.graph.Nodes[i]
	if !n.Is("reserve") || i == 0 || len(n.Inputs) != 1 {
		return false
	}
	before := &p.graph.Nodes[i-1]
	return p.deeds[i-1].drop && before.At == n.At && before.Is("drain") && slices.Contains(before.Inputs, n.Inputs[0]) && !p.deeds[n.Inputs[0]].broth
}

// intoNothing tells whether things are put into flesh that is not there: "push the garlic
// into the beef".
func (p *plan) intoNothing(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Technique.Family == "assemble" && len(n.Into) > 0 && !slices.ContainsFunc(n.Into, func(line int) bool {
		s := p.stand[line]
		return s == nil || !s.flesh() || p.there(line, i)
	})
}

// onlyDropped tells whether an action is done to nothing but what dropped work made of flesh.
func (p *plan) onlyDropped(i int) bool {
	n := &p.graph.Nodes[i]
	return len(n.Inputs) > 0 && !slices.ContainsFunc(n.Inputs, func(in int) bool { return !p.deeds[in].drop }) &&
		!slices.ContainsFunc(n.To, func(line int) bool { return p.stand[line] == nil || !p.stand[line].flesh() })
}

// drainsUnsoaked tells whether an action drains nothing but what stands for flesh that the list says was soaked, and was prepared for
// the dish: clams that lay in salted water.
func (p *plan) drainsUnsoaked(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Is("drain") && len(n.Inputs) == 0 && len(n.To) > 0 && !slices.ContainsFunc(n.To, func(line int) bool {
		s := p.stand[line]
		return s == nil || s.book == nil || !s.flesh() || len(s.book.Prepare) == 0
	})
}

// drainsNoFat tells whether an action drains, without naming what, nothing but what was browned with flesh in a pan, of which what
// stands for it gives off no fat: "cook the mince until browned; drain".
func (p *plan) drainsNoFat(i int) bool {
	n := &p.graph.Nodes[i]
	if !n.Is("drain") || len(n.Action.Words.Phrases) > 0 || len(n.Inputs) != 1 || n.Liquid {
		return false
	}
	in := &p.graph.Nodes[n.Inputs[0]]
	return cookedDry(in) && slices.ContainsFunc(in.Named, func(line int) bool {
		s := p.stand[line]
		return s != nil && s.flesh() && !s.inPieces()
	})
}

// turnsNothing tells whether an action turns a fire up or down under what was to be fried just before
// and is not.
func (p *plan) turnsNothing(i int) bool {
	if !p.graph.Nodes[i].Is("lower-heat", "raise-heat") {
		return false
	}
	lost := false
	for k := i - 1; k >= 0 && p.graph.Nodes[k].At.Component == p.graph.Nodes[i].At.Component; k-- {
		if p.graph.Nodes[k].At != p.graph.Nodes[i].At && p.cooksInStep(i) {
			return true // none of which is done, or it had been met by now
		}
		if n := &p.graph.Nodes[k]; n.Technique.Heat != "" {
			if !p.deeds[k].drop && (n.Technique.Family == "oven" || !p.heatsForNothing(k)) {
				return false
			}
			lost = true
		}
	}
	return lost
}

// cooksInStep tells whether something is to be cooked over a fire before an action in its own step, be it done or not.
func (p *plan) cooksInStep(i int) bool {
	for k := i - 1; k >= 0 && p.graph.Nodes[k].At == p.graph.Nodes[i].At; k-- {
		if heat := p.graph.Nodes[k].Technique.Heat; heat != "" && heat != "oven" {
			return true
		}
	}
	return false
}

// laidForNothing tells whether an action lays into a pan what is not cooked there any more and was to be
// taken out of it again.
func (p *plan) laidForNothing(i int) bool {
	n := &p.graph.Nodes[i]
	words := larder.Words(n.Action.Vessel)
	if !n.Is("place") || len(words) == 0 || !p.l.Language().Pots[words[len(words)-1]] || slices.ContainsFunc(n.To, func(line int) bool { s := p.stand[line]; return s == nil || !s.flesh() || s.enters == i }) {
		return false
	}
	for at := i; len(p.graph.Nodes[at].Users) == 1; {
		at = p.graph.Nodes[at].Users[0]
		t := p.graph.Nodes[at].Technique
		if !p.deeds[at].drop {
			return false
		}
		if t.Family == "separate" || t.Family == "rest" {
			return true
		}
	}
	return false
}

// pansForNothing tells whether an action heats an empty pan in which nothing is cooked any more: what was to cook next is not
// cooked, and nothing else in its step is that has no pan of its own.
func (p *plan) pansForNothing(i int) bool {
	n := &p.graph.Nodes[i]
	if !p.saysOnlyPot(n) {
		return false
	}
	gone := false
	for k := i + 1; k < len(p.graph.Nodes) && p.graph.Nodes[k].At.Component == n.At.Component; k++ {
		o := &p.graph.Nodes[k]
		switch {
		case o.Technique.Heat == "" || o.Technique.Heat == "oven":
			continue
		case o.At.Step != n.At.Step || gone && o.Action.Vessel != "":
			return gone
		case !p.deeds[k].drop:
			return false
		}
		gone = true
	}
	return gone
}

// saysOnlyPot tells whether an action is done to nothing but a pot or pan.
func (p *plan) saysOnlyPot(n *node) bool {
	if len(n.Action.To) != 1 || n.Action.To[0].Named == nil {
		return false
	}
	words := larder.Words(*n.Action.To[0].Named)
	return len(words) > 0 && p.l.Language().Pots[words[len(words)-1]]
}

// turnsUncooked tells whether an action turns over what was to be cooked on one side just before and is
// not.
func (p *plan) turnsUncooked(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Is("turn") && len(n.Inputs) == 1 && p.deeds[n.Inputs[0]].drop && p.graph.Nodes[n.Inputs[0]].Technique.Heat != ""
}

// paste is what is left of things that are ground or blended together.
const paste = "paste"

// mixesIn tells whether work that a stand-in does not want also mixes something of the cook's
// own into it.
func (p *plan) mixesIn(i int) bool {
	n := &p.graph.Nodes[i]
	return (n.Technique.Family == "mix" || n.Technique.Family == "machine" || n.Is("melt") || n.Technique.Leaves == paste) && slices.ContainsFunc(n.Action.With, func(r recipe.Ref) bool {
		line := -1
		if r.Line != nil {
			line = p.graph.Named(*r.Line)
		}
		return line >= 0 && (p.stand[line] == nil || larder.Pours(p.l.Food(p.line(line).FoodID()))) && p.there(line, i)
	})
}

// preparesFlesh tells whether an action skins, bones or cuts nothing but flesh by its name, also
// where other things lie with it: "bone the trotters", in their broth.
func (p *plan) preparesFlesh(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "cut" && n.Technique.Family != "clean" || len(n.Named) == 0 {
		return false
	}
	return !slices.ContainsFunc(n.Named, func(line int) bool {
		s := p.stand[line]
		if s == nil || !s.flesh() || !p.there(line, i) {
			return true
		}
		r := p.rule(s, i)
		return r == nil || r.Then != larder.CarryDrop
	})
}

// onlyGlazed tells whether an action cuts, without naming it, one thing that is cut when it is prepared
// and that bears nothing but what it was marinated in or brushed with.
func (p *plan) onlyGlazed(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "cut" || len(n.Named)+len(n.Into) > 0 {
		return false
	}
	var main *standIn
	for _, line := range n.To {
		if s := p.stand[line]; s != nil && s.flesh() && p.there(line, i) {
			if r := p.rule(s, i); main != nil || r == nil || r.Then != larder.CarryDrop {
				return false
			}
			main = s
		}
	}
	return main != nil && !slices.ContainsFunc(n.To, func(line int) bool {
		l := p.line(line)
		return line != main.node && !larder.Pours(p.l.Food(l.FoodID())) && l.Mass() > glazes*p.line(main.node).Mass()
	})
}

// glazes is how much of the weight of a piece what sticks to it makes up at most; an estimate.
const glazes = 0.1

// onlyForAdded tells whether a cooking was for flesh alone that was added just before, and that
// goes in later now: all else in the pot was cooked before, and no cue of it is waited for.
func (p *plan) onlyForAdded(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Heat == "" && !n.Is("stir", "turn", "toss") || n.Technique.Family == "oven" || n.Lasts > shortEnough || n.Action.Cue != "" && !p.cueGone(n) && slices.ContainsFunc(n.Action.Words.Signs, func(s recipe.Sign) bool { return s.Says }) || len(n.Inputs) != 1 || len(n.Named) > 0 {
		return false
	}
	before := &p.graph.Nodes[n.Inputs[0]]
	if before.Technique.Joins != "yes" || !p.deeds[n.Inputs[0]].drop || len(before.Named) == 0 || slices.ContainsFunc(before.Named, func(line int) bool {
		s := p.stand[line]
		return s == nil || !s.flesh() || s.gone || s.enters <= i
	}) {
		return false
	}
	return !slices.ContainsFunc(n.To, func(line int) bool {
		return !slices.Contains(before.Named, line) && !p.heatedBefore(line, i)
	})
}

// heatedBefore tells whether a line was over a fire before an action, by work that is done.
func (p *plan) heatedBefore(line, i int) bool {
	for k := range p.graph.Nodes[:i] {
		n := &p.graph.Nodes[k]
		if p.deeds[k].drop || !n.Reaches(line) {
			continue
		}
		if n.Technique.Heat != "" && n.Technique.Heat != "oven" {
			return true
		}
		if n.Technique.Family == "mix" && n.Action.Minutes != nil && slices.ContainsFunc(n.To, func(o int) bool { return o != line && p.heatedBefore(o, k) }) {
			return true // "stir for 2 minutes", in the pan
		}
	}
	return false
}

// heatsForOthers tells whether what is cooked next without a fat of its own would have gone into the pan in which
// a fat was heated for flesh: the onions that go in when the sausages are out.
func (p *plan) heatsForOthers(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Action.Vessel == "" || len(n.To) != 1 {
		return false
	}
	at := p.placeFor(n.To[0], i)
	if at < 0 || p.saysFat(&p.graph.Nodes[at]) || p.moreGoesIn(n.To[0], i, at) {
		return false
	}
	return !slices.ContainsFunc(p.graph.Nodes[i+1:at+1], func(k flow.Node) bool {
		return k.At.Component == n.At.Component && !p.deeds[p.graph.Number(&k)].drop && (k.Action.Vessel != "" || k.Technique.Family == "gentle heat")
	})
}
