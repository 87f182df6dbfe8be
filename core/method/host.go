package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// cookedWet is the last part before the closing in which something is cooked in a liquid, at home
// if there is one, and rather one after which it cooks on; else the last in any pot whose liquid stays with the dish. It is -1 where
// there is none.
func (p *plan) cookedWet(parts []part, closing, home int) int {
	find := func(upto, home int) int {
		last := -1
		for k := upto - 1; k >= 0; k-- {
			for j, at := range parts[k].nodes {
				if n := &p.graph.Nodes[at]; parts[k].added == nil && n.Technique.Family == "wet heat" && !n.Is("blanch", "steam") && (n.Liquid || n.Is("simmer", "stew", "braise")) && p.atHome(n, home) && !(p.takenOutAfter(at) && (home < 0 || p.shutInto(n))) && !p.pouredAway(n) && !p.liesFlat(n) && !n.Action.Sided && !n.Still {
					if !p.leavesFire(parts[k].nodes[j:]) {
						return k
					}
					last = max(last, k)
				}
			}
		}
		return last
	}
	if at := find(closing, home); at >= 0 || home < 0 {
		return at
	}
	return find(len(parts), -1)
}

// liesFlat tells whether what is cooked was spread level before, and sets as it lies.
func (p *plan) liesFlat(n *flow.Node) bool {
	return n.Technique.Heat != "" && slices.ContainsFunc(n.Inputs, func(in int) bool { return p.graph.Nodes[in].Is("spread", "level") })
}

// pouredAway tells whether something is boiled in water from the tap and drained, or poached in a liquid of which nothing more is
// said: what is stirred into that is lost.
func (p *plan) pouredAway(n *flow.Node) bool {
	bath := n.Is("poach") && !slices.ContainsFunc(n.Holds, func(line int) bool {
		return larder.Wets(p.l.Food(p.line(line).FoodID())) && p.liquorGoesOn(line) >= 0
	})
	return (bath || p.fromTheTap(n)) && slices.ContainsFunc(n.Users, func(k int) bool { return p.graph.Nodes[k].Is("drain") && !p.deeds[k].drop })
}

// saucedAfter is the place behind the last part in which what was closed is cooked in a sauce
// that stays with it: rolls that braise have a pot to stir into. It is -1 where there is none.
func (p *plan) saucedAfter(parts []part, closing, home int) int {
	for k := len(parts) - 1; k >= closing; k-- {
		for _, at := range parts[k].nodes {
			n := &p.graph.Nodes[at]
			if n.Is("braise", "stew", "simmer") && p.atHome(n, home) && !p.deeds[at].drop && !n.Still && !p.takenOutAfter(at) {
				return k + 1
			}
		}
	}
	return -1
}

// stirred is the place before the closing of a dish behind the last part in which
// something is cooked or mixed, at home if there is one: a tin that is brushed has
// nothing to stir into. It is -1 where there is none.
func (p *plan) stirred(parts []part, closing, home int) int {
	rested := -1
	for k := min(closing, p.cooled(parts)) - 1; k >= 0; k-- {
		for _, at := range parts[k].nodes {
			switch {
			case !p.takesMore(at) || !p.atHome(&p.graph.Nodes[at], home) || p.bakedWithin(parts[k], at) || p.sidedNext(at):
			case p.restsWithin(parts[k], at), p.dressed(at):
				rested = max(rested, k+1) // rather in the marinade before something lies in it, or in the dressing of a salad
			default:
				return k + 1
			}
		}
	}
	return rested
}

// sidedNext tells whether what an action made is cooked next on one side and the other, as it lies: a thin omelette.
func (p *plan) sidedNext(at int) bool {
	return slices.ContainsFunc(p.graph.Nodes[at].Users, func(k int) bool {
		n := &p.graph.Nodes[k]
		return n.Action.Sided && n.Technique.Heat != "" || n.Is("shake", "swirl", "stir") && len(n.Inputs) == 1 && len(n.Named) == 0 && p.sidedNext(k)
	})
}

// onlyMarinated tells whether an action fries nothing but what was flesh, in what it lay in before and no sauce.
func (p *plan) onlyMarinated(at int) bool {
	n := &p.graph.Nodes[at]
	if n.Technique.Family != "dry heat" || n.Liquid {
		return false
	}
	flesh := 0
	for _, line := range p.subjects(at) {
		if s := p.stand[line]; s != nil && s.inPieces() {
			flesh++
		} else if f := p.l.Food(p.line(line).FoodID()); !larder.Bathes(f) && !p.dusts(line) && !p.flavours(line) {
			return false
		}
	}
	return flesh == 1
}

// takesMore tells whether something can be stirred into what an action works on.
func (p *plan) takesMore(at int) bool {
	n := &p.graph.Nodes[at]
	if p.lays(n) || p.dealtOut(at) {
		return false // "lay the eggs on top", of what lies in glasses
	}
	if n.Technique.Heat == "" && !n.Liquid && !p.mixedAfter(at) && !slices.ContainsFunc(n.Holds, func(line int) bool { return !p.dusts(line) }) {
		return false // what is rubbed on or dusted over later
	}
	if (n.Technique.Family == "control" || n.Is("keep-warm")) && slices.ContainsFunc(n.Inputs, func(in int) bool { return !p.takesMore(in) }) {
		return false // turned down under a steamer, kept warm on a tray
	}
	if (n.Is("season") || n.Technique.Family != "mix" && p.onlyFlesh(n)) && !n.Liquid && len(slices.DeleteFunc(slices.Clone(n.Holds), func(line int) bool { return p.c.fatLine(p.line(line)) || p.dusts(line) })) < 2 {
		return false // a piece is seasoned by itself
	}
	if p.onlyMarinated(at) || p.onlyBread(at) {
		return false
	}
	if n.Is("strain") && n.Liquid && p.cookedBefore(at) && len(n.Users) > 0 {
		return !p.takenOutAfter(at) // a broth that goes on
	}
	switch n.Technique.Family {
	case "mix", "wet heat", "gentle heat", "dry heat", "machine", "control":
		return !n.Is("repeat", "blanch", "steam", "deep-fry", "toast", "grill", "preheat", "turn", "unmould") && !p.foldsUp(n) && !p.laidIntoOven(at) && !n.Still && !p.turned(at) && !p.onlyFat(at) && !p.takenOutAfter(at) && !p.shutBefore(at) && !p.cutAfter(at) && !p.liesFlat(n) && !(n.Action.Sided && n.Technique.Heat != "") &&
			(n.Technique.Family == "wet heat" && n.Liquid || !p.liesOn(n)) // "scrape it all into the pot and simmer"
	}
	return false
}

// liesOn tells whether something that an action works on lies on something else, or it is added to what was laid on a plate:
// an egg broken into a ring of filling on a sheet of pastry.
func (p *plan) liesOn(n *flow.Node) bool {
	return slices.ContainsFunc(n.Inputs, func(in int) bool {
		o := &p.graph.Nodes[in]
		return o.Technique.Family == "assemble" && (o.Technique.Closes != "" || len(o.Into) > 0)
	}) || n.Technique.Heat == "" && (p.laidOut(n) || p.dealtOut(p.graph.Number(n)))
}

// laidOut tells whether an action puts something on what was laid on a plate, and has been over no fire since.
func (p *plan) laidOut(n *flow.Node) bool {
	return slices.ContainsFunc(n.Action.Into, func(r recipe.Ref) bool {
		if r.Made == nil || p.graph.Node(*r.Made) < 0 {
			return false
		}
		o := &p.graph.Nodes[p.graph.Node(*r.Made)]
		words := larder.Words(o.Action.Vessel)
		return o.Is(placeTechnique) && len(words) > 0 && p.l.Language().Receiving[words[len(words)-1]] || o.Technique.Heat == "" && p.laidOut(o)
	})
}

// onlyFlesh tells whether an action works on nothing but a piece of what was flesh, and fat.
func (p *plan) onlyFlesh(n *flow.Node) bool {
	return !slices.ContainsFunc(n.Holds, func(line int) bool {
		s := p.stand[line]
		return !p.c.fatLine(p.line(line)) && (s == nil || !s.inPieces()) && !p.dusts(line)
	})
}

// placeTechnique lays things where they are said to lie.
const placeTechnique = "place"

// foldsUp tells whether an action folds over what it works on, or that over something, and folds nothing into it.
func (p *plan) foldsUp(n *flow.Node) bool {
	if !n.Is("fold") || len(n.Into)+len(n.With) == 0 {
		return n.Is("fold")
	}
	text := p.textOf(n)
	return slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool {
		said := strings.Fields(strings.ToLower(string(text[min(x.From, len(text)):min(x.Upto, len(text))])))
		return x.Role != "to" && len(said) > 0 && p.l.Language().Lapping[said[0]] // "fold the ends over the filling"
	})
}

// laidIntoOven tells whether an action only adds to what then goes into the oven or is steamed: batter is poured
// around something, and nobody stirs there any more.
func (p *plan) laidIntoOven(at int) bool {
	n := &p.graph.Nodes[at]
	if !n.Is("add", "pour", "return", "place") {
		return false
	}
	return slices.ContainsFunc(n.Users, func(k int) bool {
		next := &p.graph.Nodes[k]
		return next.Technique.Family == "oven" || next.Is("steam") || (next.Technique.Family == "assemble" || next.Is("pour") || p.lays(next)) && p.goesIntoOven(k)
	})
}

// lays tells whether an action adds what it lays: "lay the second sheet on top".
func (p *plan) lays(n *flow.Node) bool {
	verb, _, _ := strings.Cut(n.Action.Verb, " ")
	return n.Is("add") && slices.Contains(p.l.Language().Orders(verb), placeTechnique)
}

// onlyFat tells whether nothing but fat is worked on, or what goes into its pan at once to set there.
func (p *plan) onlyFat(at int) bool {
	n := &p.graph.Nodes[at]
	if len(n.Holds) == 0 || n.Technique.Joins == "yes" && slices.ContainsFunc(n.Users, func(k int) bool { return p.turned(k) || p.graph.Nodes[k].Is("spread", "level") }) {
		return true
	}
	return !slices.ContainsFunc(n.Holds, func(line int) bool { return !p.c.fatLine(p.line(line)) })
}

// turned tells whether what is cooked here has set into one piece: it is turned over, before or after.
func (p *plan) turned(at int) bool {
	n := &p.graph.Nodes[at]
	if n.Technique.Heat == "" {
		return false
	}
	return slices.ContainsFunc(slices.Concat(n.Inputs, n.Users), func(k int) bool { return p.graph.Nodes[k].Is("turn", "unmould") })
}

// cutAfter tells whether what is cooked here is one piece, or several, that is cut or peeled then.
func (p *plan) cutAfter(at int) bool {
	n := &p.graph.Nodes[at]
	solid := slices.DeleteFunc(slices.Clone(n.Holds), func(line int) bool { return p.c.fatLine(p.line(line)) })
	return n.Technique.Heat != "" && len(solid) == 1 && slices.ContainsFunc(n.Users, func(k int) bool { return p.graph.Nodes[k].Technique.Family == "cut" && !p.deeds[k].drop })
}

// goesIntoOven tells whether what an action laid together is laid on, trimmed or brushed, and steamed or put into the oven next.
func (p *plan) goesIntoOven(at int) bool {
	return slices.ContainsFunc(p.graph.Nodes[at].Users, func(k int) bool {
		n := &p.graph.Nodes[k]
		return n.Technique.Family == "oven" || n.Is("steam") || (slices.Contains([]string{"assemble", "coat", "cut"}, n.Technique.Family) || n.Is("add", "pour")) && p.goesIntoOven(k)
	})
}

// shutBefore tells whether what an action works on was shaped, filled or coated before: its
// pieces take nothing in any more.
func (p *plan) shutBefore(at int) bool {
	n := &p.graph.Nodes[at]
	if n.Technique.Joins == "yes" || n.Technique.Family == "wet heat" {
		return false
	}
	return p.shutInto(n)
}

// shutInto tells whether what an action takes from others was shaped, filled or coated.
func (p *plan) shutInto(n *flow.Node) bool {
	return slices.ContainsFunc(n.Inputs, func(in int) bool {
		t := p.graph.Nodes[in].Technique
		return t.Closes == larder.ClosesAlways && t.Family != "coat" || p.l.Language().Shapes[p.graph.Nodes[in].Action.Makes] && t.Family == "dough" || p.shutBefore(in)
	})
}
