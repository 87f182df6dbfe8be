package method

import (
	"cmp"
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// carryAlong finds a new place for lines that only dropped work would have taken
// in: the next action that is done with the same things, the fat to fry in first.
func (p *plan) carryAlong() {
	for i := range p.deeds {
		if !p.deeds[i].drop {
			continue
		}
		n := &p.graph.Nodes[i]
		for _, line := range n.Named {
			if p.stand[line] != nil && (p.stand[line].gone || p.stand[line].flesh() || !p.c.fatLine(p.line(line))) || p.namedElsewhere(line, i) || p.c.fatLine(p.line(line)) && p.restLater(line, i) && !p.fryingWants(line, i) || p.flavours(line) && p.restLater(line, i) || p.onlyFlavoured(line) {
				continue
			}
			if at := p.slakesInto(line, i); at >= 0 {
				p.deeds[at].slakes, p.arrives[line] = append(p.deeds[at].slakes, line), at
				continue
			}
			if at := p.boiledNext(line, i); at >= 0 {
				p.arrives[line] = at
				continue
			}
			if at := p.pouredOn(line, i); at >= 0 {
				p.arrives[line] = at
				continue
			}
			at := cmp.Or(p.withThickener(line, i), p.boilsAlone(line, i), p.placeFor(line, i))
			if at >= 0 && p.friesInPaste(at) && p.begun(line, i) {
				p.unfried[line] += p.shareAt(line, i) // all of it goes in where the rest was to
				continue
			}
			if at >= 0 && !slices.Contains(p.deeds[at].along, line) && !p.isObject(line, at) && !p.moreGoesIn(line, i, at) {
				p.deeds[at].along = append(p.deeds[at].along, line)
				p.shares[line], p.called[line], p.described[line] = p.shareAt(line, i), p.calledAt(line, i), p.describedAt(line, i)
				if !slices.Contains(p.graph.Nodes[at].Named, line) && p.shares[line] >= nearlyAll {
					p.arrives[line] = at
				}
				p.mixesInNothing(line, at)
			}
		}
		p.madeAlong(i)
		p.namedAlong(i)
	}
}

// mixesInNothing says of an action that folds or stirs something into what is not there any more that it mixes it with what
// comes along: "fold in the melted chocolate", of yolks whisked with sugar.
func (p *plan) mixesInNothing(line, at int) {
	n, d := &p.graph.Nodes[at], &p.deeds[at]
	if n.Technique.Family != "mix" || n.Technique.Joins == "yes" || len(n.Into) == 0 || d.say != "" || !slices.Contains(n.Into, line) {
		return
	}
	if !slices.ContainsFunc(n.Into, func(o int) bool { return o != line && p.there(o, at) }) {
		d.say = p.c.words().Blend
	}
}

// isObject tells whether an action is said to be done to a line and nothing else: "pour
// it over".
func (p *plan) isObject(line, at int) bool {
	for _, x := range p.graph.Nodes[at].Action.Words.Phrases {
		if x.Role != "to" || len(x.Nouns) != 1 {
			continue
		}
		lines, _ := p.meant(x.Nouns[0])
		return len(lines) == 1 && lines[0] == line
	}
	return false
}

// fryingWants tells whether something is fried next that has no fat of its own but what dropped work
// would have left in the pan.
func (p *plan) fryingWants(line, i int) bool {
	k := p.nextPlace(line, i)
	if k < 0 || p.moreGoesIn(line, i, k) {
		return false
	}
	n := &p.graph.Nodes[k]
	return n.Technique.Family == "dry heat" && n.Technique.Medium == "fat" && !p.hasFat(k) && !slices.Contains(n.Named, line)
}

// restLater tells whether work that is done names the rest of a line later, of which nothing was
// taken before: that is all of it then.
func (p *plan) restLater(line, i int) bool {
	for k := i + 1; k < len(p.graph.Nodes); k++ {
		if p.deeds[k].drop {
			continue
		}
		for _, x := range p.graph.Nodes[k].Action.Words.Phrases {
			for _, noun := range x.Nouns {
				if lines, _ := p.meant(noun); noun.Rest && !noun.Pronoun && len(lines) == 1 && lines[0] == line {
					return !p.begun(line, k)
				}
			}
		}
	}
	return false
}

// onlyFlavoured tells whether a line was cooked in nothing but a liquid that is not boiled
// any more, and strained out of it: what the bay leaf gave, the stock that replaces the
// broth has of its own.
func (p *plan) onlyFlavoured(line int) bool {
	if line < 0 || p.stand[line] != nil {
		return false
	}
	if p.onlyForBroth(line) || p.onlyWashed(line) || p.onlyForDust(line) || p.seasoned[line] && !p.namedElsewhere(line, -1) {
		return true
	}
	strained := false
	if path := p.path(line); len(path) > 0 && p.graph.Nodes[path[len(path)-1]].Is("discard") && p.allDropped(path) {
		return true // it was thrown away with the milk
	}
	if f := p.l.Food(p.line(line).FoodID()); p.flavours(line) && !f.Tagged(larder.Potherb) && p.liquorGoesOn(line) >= 0 {
		return false // no stock has the cinnamon of this one
	}
	if path := p.path(line); len(path) > 0 && p.leftBehind(line, path[0]) && !slices.ContainsFunc(path, func(k int) bool { return !p.deeds[k].drop }) {
		return true // the vinegar of a poaching
	}
	if path := p.path(line); len(path) > 0 {
		if at := p.inTheSieve(line, path[0]); at >= 0 && p.deeds[at].drop {
			return true // the bay leaves of a boiling
		}
	}
	for k := range p.graph.Nodes {
		n := &p.graph.Nodes[k]
		switch {
		case !n.Reaches(line):
		case slices.Contains(n.Named, line) && !(p.deeds[k].drop && n.Technique.Family == "wet heat" && p.fromTheTap(n)):
			return false
		case n.Is("strain", "drain"):
			strained = strained || p.deeds[k].drop
		}
	}
	return strained
}

// liquorGoesOn is the first work that is done which takes in the liquid that a line was boiled in,
// by work that is not; -1 where that goes nowhere.
func (p *plan) liquorGoesOn(line int) int {
	boiled := false
	for _, k := range p.path(line) {
		n := &p.graph.Nodes[k]
		switch {
		case p.deeds[k].drop:
			boiled = boiled || n.Technique.Family == "wet heat" && p.fromTheTap(n)
		case boiled && p.takesIn(k):
			return k
		}
	}
	return -1
}

// shareAt is the share of a line that an action names.
func (p *plan) shareAt(line, i int) float64 {
	at := p.graph.Lines[line]
	ref := recipe.LineRef(at.Component, at.Line)
	a := p.graph.Nodes[i].Action
	for r := range a.Refs() {
		if r.Line != nil && *r.Line == ref {
			return r.Share
		}
	}
	return 1
}

// placeFor is the action that takes in a line that came along with dropped work: that
// with which what it was to go on goes in, for a marinade, else the next that suits.
func (p *plan) placeFor(line, i int) int {
	n := &p.graph.Nodes[i]
	if p.pushedIn(n) {
		if at := p.nextPlace(line, i); at >= 0 && p.graph.Nodes[at].Technique.Heat != "" && p.graph.Nodes[at].Technique.Family != "oven" {
			return at // "sweat the carrots" with the garlic
		}
	}
	if p.intoBodies(i) {
		for _, s := range p.inOrder() {
			if s.component == n.At.Component && s.flesh() && !s.gone && s.enters != never && s.enters > i {
				return s.enters // with the bird that it was pushed into
			}
		}
		if at := p.roastsNext(i); at >= 0 {
			return at
		}
	}
	if n.Technique.Medium == "with" || n.Technique.Family == "clean" || n.Technique.Family == "rest" || n.Technique.Family == "coat" {
		for _, other := range p.subjects(i) {
			s := p.stand[other]
			if s == nil || s.gone || s.enters == never || s.enters <= i || p.fries(line) || p.boilsOthers(line, i, s.enters) {
				continue
			}
			if k := s.enters; !p.deeds[k].drop && p.takesIn(k) && p.graph.Nodes[k].At.Component == n.At.Component {
				return k
			}
		}
	}
	if k := p.liquorGoesOn(line); k >= 0 && p.flavours(line) {
		return k
	}
	if k := p.withLiquor(line, i); k >= 0 {
		return k
	}
	at := p.nextPlace(line, i)
	if at >= 0 && p.fries(line) && p.graph.Nodes[at].Technique.Heat != "" {
		for _, in := range p.graph.Nodes[at].Inputs {
			if n := &p.graph.Nodes[in]; in > i && !p.deeds[in].drop && (n.Technique.Heat != "" || n.Is("add") && !slices.Contains(n.Holds, line)) && !slices.ContainsFunc(n.Holds, func(o int) bool { return !p.fries(o) || !p.there(o, at) }) {
				return in // another fat is heated for it, and they are heated together
			}
		}
	}
	return at
}

// withLiquor is the action that takes in the liquid in which a line was to be cooked with flesh:
// the milk of the poaching is whisked into the flour, and the bay leaf with it. It is -1 where
// no liquid of the cook's own goes on, or it is a fat.
func (p *plan) withLiquor(line, i int) int {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "wet heat" || p.c.fatLine(p.line(line)) {
		return -1
	}
	for _, liquor := range slices.Concat(n.With, n.Into) {
		if liquor == line || !larder.Pours(p.l.Food(p.line(liquor).FoodID())) || p.c.fatLine(p.line(liquor)) {
			continue
		}
		for _, k := range p.path(liquor) {
			if k > i && !p.deeds[k].drop && p.there(liquor, k) && slices.Contains(p.graph.Nodes[k].Named, liquor) && p.takesIn(k) && p.graph.Nodes[k].Technique.Family != "dry heat" {
				return k
			}
		}
	}
	return -1
}

// takesIn tells whether things are mixed or cooked with others in an action.
func (p *plan) takesIn(k int) bool {
	t := p.graph.Nodes[k].Technique
	switch t.Family {
	case "mix", "machine", "wet heat", "dry heat", "coat":
		return true
	}
	return t.Joins == "yes"
}

// nextPlace is the action that takes in a line that came along with dropped work:
// for a fat the next that fries, for others the next that cooks or mixes.
func (p *plan) nextPlace(line, i int) int {
	fat := p.fries(line)
	best := -1
	for k := i + 1; k < len(p.graph.Nodes); k++ {
		n := &p.graph.Nodes[k]
		if p.deeds[k].drop || n.At.Component != p.graph.Nodes[i].At.Component || !fat && n.Technique.Family == "dry heat" && !p.worksOnOthers(k) {
			continue
		}
		if n.Is("season") && !p.dusts(line) && !p.flavours(line) {
			continue // nothing is seasoned with tomatoes
		}
		switch {
		case fat && p.saysFat(n):
			return k // "in the fat that is left"
		case fat && (n.Technique.Medium == "fat" && n.Technique.Family == "dry heat" || n.Is("cook") && cookedDry(n) && p.addedJustNow(k)) && !p.hasFat(k):
			return k
		case fat && best < 0 && (n.Technique.Joins == "yes" || n.Technique.Family == "mix" && len(n.Into) > 0) && len(n.Users) > 0 && !n.Liquid && !p.holdsLiquid(n.To):
			continue // what is put in is cooked next
		case best < 0 && len(n.To) > 0 && (n.Technique.Family == "wet heat" || n.Technique.Family == "dry heat" || n.Technique.Family == "gentle heat" && fat || n.Technique.Family == "mix" || n.Technique.Family == "machine"):
			best = k
			if !fat {
				return best
			}
		}
	}
	if fat && best >= 0 && (p.graph.Nodes[best].Liquid || p.graph.Nodes[best].Technique.Family == "mix" || p.graph.Nodes[best].Technique.Family == "machine" || p.hasFat(best)) {
		return -1 // it only fried what is gone
	}
	return best
}

// fries tells whether a line is a fat to fry in, and what stands for it too.
func (p *plan) fries(line int) bool {
	s := p.stand[line]
	return p.c.fatLine(p.line(line)) && (s == nil || s.bare || !s.gone && !s.is(larder.NoFat))
}

// hasFat tells whether an action names a fat of its own.
func (p *plan) hasFat(k int) bool {
	return slices.ContainsFunc(p.graph.Nodes[k].With, func(line int) bool {
		return slices.Contains(p.graph.Nodes[k].Named, line) && p.fries(line) && p.there(line, k)
	})
}
