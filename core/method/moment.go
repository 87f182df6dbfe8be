package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// mainPot is the line of a component in place of which most goes in, of flesh if
// there is any: what is to taste of it belongs into the pot that holds it. It is
// -1 where nothing was replaced.
func (p *plan) mainPot(i int) int {
	best := -1
	for _, s := range p.inOrder() {
		if s.component != i || s.gone {
			continue
		}
		if best < 0 || s.flesh() && !p.stand[best].flesh() || s.flesh() == p.stand[best].flesh() && s.was.Mass() > p.stand[best].was.Mass() {
			best = s.node
		}
	}
	return best
}

// moment is where among the parts of a component something goes in: after the
// first frying in fat, once the liquid is there, before what is made is closed or
// served, at the table. Of several pots it is that which holds the line that is
// home, where there is one. It says no where there is no such moment.
func (p *plan) moment(parts []part, moment string, home int) (int, bool) {
	closing := p.closing(parts)
	fried, aromatic := -1, false
	for k := range parts {
		if k >= closing || parts[k].added != nil {
			continue
		}
		for _, at := range parts[k].nodes {
			n := &p.graph.Nodes[at]
			switch {
			case n.Technique.Family == "dry heat" && n.Technique.Medium == "fat" && !n.Is("deep-fry", "scramble") && p.inFat(n) && (fried < 0 || !aromatic && p.friesAromatics(n)):
				fried, aromatic = k, p.friesAromatics(n)
			}
		}
	}
	switch {
	case moment == larder.WithAromatics:
		return fried + 1, fried >= 0 && aromatic && !p.takesUp(parts, fried+1) && !p.fryingOver(parts[fried]) && !p.setAsideNext(parts[fried])
	case moment == larder.AtTable:
		return p.served(parts), true
	case moment == larder.InLiquid:
		if wet := p.cookedWet(parts, closing, home); wet >= 0 {
			return wet + 1, true
		}
	}
	for _, find := range []func() int{
		func() int { return p.saucedAfter(parts, closing, home) },
		func() int { return p.stirred(parts, closing, home) },
		func() int { return p.saucedAfter(parts, 0, -1) }, // a gravy beside what is baked
		func() int { return p.stirred(parts, closing, -1) },
		func() int { return p.sauceBeside(parts) },
		func() int { return p.beforeShaped(parts) },
	} {
		if at := find(); at >= 0 {
			return at, true
		}
	}
	return closing, false
}

// takenOutAfter tells whether what an action cooked is drained or lifted out later, and leaves its liquid
// or its fat behind; a mince that was mixed cold keeps what is in it.
func (p *plan) takenOutAfter(at int) bool {
	if n := &p.graph.Nodes[at]; n.Technique.Heat == "" && !n.Liquid && !p.cookedBefore(at) {
		return false
	}
	return p.drainedAfter(at)
}

// cookedBefore tells whether what an action works on was over a fire before.
func (p *plan) cookedBefore(at int) bool {
	return slices.ContainsFunc(p.graph.Nodes[at].Inputs, func(in int) bool { return p.graph.Nodes[in].Technique.Heat != "" || p.cookedBefore(in) })
}

func (p *plan) drainedAfter(at int) bool {
	return slices.ContainsFunc(p.graph.Nodes[at].Users, func(k int) bool {
		n := &p.graph.Nodes[k]
		if n.Technique.Closes == larder.ClosesAlways || n.Is("shape", "deep-fry") {
			return false // croquettes hold what was stirred in
		}
		return n.Is("drain", "remove") && !p.fishesOut(n) || n.Is("strain") && !p.holdsLiquid(n.Holds) || p.drainedAfter(k) // a sauce goes through the sieve
	})
}

// fishesOut tells whether an action takes nothing out of a pot but things of the cook's own that gave it their taste, of
// which the rest is eaten: "take out the onion and the bay leaf", and then "serve the broth".
func (p *plan) fishesOut(n *flow.Node) bool {
	if !n.Is("remove") || len(n.Action.To) == 0 || len(n.Inputs) != 1 || len(p.graph.Nodes[n.Inputs[0]].Users) < 2 {
		return false
	}
	return !slices.ContainsFunc(n.Action.To, func(r recipe.Ref) bool { return r.Of == "" || p.stand[p.graph.Named(r.Of)] != nil })
}

// atHome tells whether an action is on the pot that holds a line; any where there
// is none.
func (p *plan) atHome(n *flow.Node, home int) bool {
	return home < 0 || n.Reaches(home) || p.stand[home] != nil && p.joinsHome(p.graph.Number(n), home)
}

// joinsHome tells whether what an action made is put together with a line before anything is closed or served:
// beans that are set aside with the sausage.
func (p *plan) joinsHome(at, home int) bool {
	return slices.ContainsFunc(p.graph.Nodes[at].Users, func(k int) bool {
		n := &p.graph.Nodes[k]
		return n.Technique.Closes == "" && n.Technique.Family != "assemble" && (n.Reaches(home) || p.joinsHome(k, home))
	})
}

// served is the place behind all work and before what is only brought to the table
// and eaten.
func (p *plan) served(parts []part) int {
	at := len(parts)
	for k := len(parts) - 1; k >= 0; k-- {
		if parts[k].added != nil || len(parts[k].nodes) == 0 {
			break
		}
		if slices.ContainsFunc(parts[k].nodes, func(node int) bool { return p.graph.Nodes[node].Technique.Closes != larder.ClosesTable }) {
			break
		}
		at = k
	}
	return at
}

// cooled is the first part in which the whole dish cools or rests with no more work behind it than
// to warm it again.
func (p *plan) cooled(parts []part) int {
	cooled := len(parts)
	for k := len(parts) - 1; k >= 0; k-- {
		for _, at := range parts[k].nodes {
			n := &p.graph.Nodes[at]
			switch {
			case n.Technique.Family == "rest" && p.holdsMost(at) && !n.Is("marinate"):
				cooled = k
			case n.Technique.Family != "gentle heat" && n.Technique.Family != "control" && n.Technique.Closes != larder.ClosesTable:
				return cooled
			}
		}
	}
	return cooled
}

// closing is the first part after which nothing can be added any more: where what
// is made is shaped, filled or served, or finished by heat with nothing cooked or
// mixed behind it; or where it is cooked one by one.
func (p *plan) closing(parts []part) int {
	closing := len(parts)
	for k := len(parts) - 1; k >= 0; k-- {
		for _, at := range parts[k].nodes {
			t := p.graph.Nodes[at].Technique
			switch {
			case t.Shuts(), p.laysWhole(at), p.foldsUp(&p.graph.Nodes[at]), p.laidToBake(at), p.setsUnstirred(at), p.graph.Nodes[at].Action.Each, t.Closes == larder.ClosesLast && !p.cookedLater(at) && (closing == len(parts) || t.Family == "oven" && p.holdsMost(at) && !p.mixedAfter(at)):
				closing = k
			}
		}
	}
	return closing
}

// laysWhole tells whether something goes in with an action that lies in one piece there, among which nobody stirs any more:
// eggs that are cracked into a soup.
func (p *plan) laysWhole(at int) bool {
	n := &p.graph.Nodes[at]
	return len(n.Into)+len(n.Inputs) > 0 && slices.ContainsFunc(p.inOrder(), func(s *standIn) bool {
		return !s.gone && s.enters == at && s.chosen != nil && s.class == larder.Egg && p.l.LiesWhole(s.chosen.Use)
	}) && !p.mixedAfter(at)
}

// mixedAfter tells whether what an action made is mixed or ground later.
func (p *plan) mixedAfter(at int) bool {
	for _, k := range p.graph.Nodes[at].Users {
		n := &p.graph.Nodes[k]
		alone := n.Is("return", "turn") && len(n.Inputs) == 1 // turned over, or slid back into the pan
		if f := n.Technique.Family; f == "mix" && !alone || f == "machine" || f == "dough" || p.mixedAfter(k) {
			return true
		}
	}
	return false
}

// laidToBake tells whether what was mixed is pressed or laid into the vessel it is baked in,
// where nobody stirs any more.
func (p *plan) laidToBake(at int) bool {
	n := &p.graph.Nodes[at]
	if !p.intoVessel(n) || !p.holdsMost(at) {
		return false
	}
	for len(n.Users) == 1 {
		n = &p.graph.Nodes[n.Users[0]]
		if n.Technique.Family == "mix" && !n.Is("pour") || n.Technique.Family == "dough" {
			return false // it is mixed in a bowl first, and no sauce poured over what lies in a dish
		}
		if n.Technique.Heat != "" {
			return n.Technique.Family == "oven"
		}
	}
	return false
}

// intoVessel tells whether an action puts what it works on into a vessel with nothing else in
// it: "pour in the mixture", of a greased dish.
func (p *plan) intoVessel(n *flow.Node) bool {
	if n.Technique.Family == "assemble" || n.Technique.Family == "separate" {
		return n.Action.Vessel != ""
	}
	return n.Technique.Joins == "yes" && len(n.Into) == 0 && (n.Action.Vessel != "" || slices.ContainsFunc(n.Action.Into, func(r recipe.Ref) bool {
		words := []string{}
		if r.Named != nil {
			words = larder.Words(*r.Named)
		}
		return len(words) > 0 && p.l.Language().Vessels[words[len(words)-1]]
	}))
}

// holdsMost tells whether what an action makes holds most of its part of the dish.
func (p *plan) holdsMost(at int) bool {
	n := &p.graph.Nodes[at]
	return 2*len(n.Holds) >= len(p.dish.Components[n.At.Component].Lines)
}

// cookedLater tells whether what an action made is cooked in a pot or pan later.
func (p *plan) cookedLater(at int) bool {
	return slices.ContainsFunc(p.graph.Nodes[at].Users, func(k int) bool {
		n := &p.graph.Nodes[k]
		return n.Technique.Family == "wet heat" || n.Technique.Family == "dry heat" && !n.Is("deep-fry") || p.cookedLater(k)
	})
}

// setAsideNext tells whether what a part fries is taken out right after, or some of it: crisp onions that are strewn
// over the dish in the end.
func (p *plan) setAsideNext(x part) bool {
	return slices.ContainsFunc(x.nodes, func(at int) bool {
		n := &p.graph.Nodes[at]
		return n.Technique.Family == "dry heat" && slices.ContainsFunc(n.Users, func(k int) bool {
			return p.graph.Nodes[k].Is("remove", "reserve", "drain") && !p.deeds[k].drop
		})
	})
}

// setsUnstirred tells whether what an action cooks sets, and nothing is mixed into it any more: an omelette, a custard.
func (p *plan) setsUnstirred(at int) bool {
	n := &p.graph.Nodes[at]
	return n.Technique.Heat != "" && !n.Is("scramble") && !p.mixedAfter(at) &&
		slices.ContainsFunc(larder.Words(n.Action.Cue), func(word string) bool { return p.l.Language().GoneSigns[setSigns][word] })
}

// leavesFire tells whether one of some actions turns the heat off or lets what was cooked stand: nothing cooks in it then.
func (p *plan) leavesFire(nodes []int) bool {
	return slices.ContainsFunc(nodes, func(at int) bool {
		n := &p.graph.Nodes[at]
		return !p.deeds[at].drop && (n.Is("off-heat") || n.Technique.Family == "rest" && p.holdsMost(at))
	})
}

// laidOver tells whether an action lays what another made over something, where nobody stirs it any more.
func (p *plan) laidOver(k, at int) bool {
	n := &p.graph.Nodes[k]
	if len(n.Action.With) > 0 || !slices.ContainsFunc(n.Action.To, func(r recipe.Ref) bool { return r.Made != nil && p.graph.Node(*r.Made) == at }) {
		return false
	}
	return n.Technique.Family == "assemble" && n.Technique.Closes != "" || n.Technique.Joins == "yes" && p.liesOn(n)
}
