package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
)

// thickens tells whether a line is a dry starch or flour that thickens what boils.
func (p *plan) thickens(line int) bool {
	f := p.l.Food(p.line(line).FoodID())
	return f != nil && !larder.Pours(f) && slices.ContainsFunc(f.Roles, func(r larder.Role) bool { return r.Kind == "thicken" }) &&
		p.l.BehaviourOf(f, p.line(line).Form).Dissolves && p.stand[line] == nil
}

// strewnOnNothing tells whether an action strews something over what is not there, which then goes in where the rest
// of it does: flour over meat that was browned, the juice of a lemon over a shoulder and what was to lie on it, spices
// that were rubbed over a bird.
func (p *plan) strewnOnNothing(i int) bool {
	n := &p.graph.Nodes[i]
	flesh := slices.ContainsFunc(n.Into, func(line int) bool { s := p.stand[line]; return s != nil && s.flesh() && !p.there(line, i) })
	rubbed := n.Technique.Family == "coat" && len(n.Inputs) == 0
	return (n.Is("sprinkle") || rubbed) && len(n.To) > 0 && len(n.Into) > 0 &&
		(flesh && (rubbed || p.allDropped(n.Inputs)) || !slices.ContainsFunc(n.To, func(line int) bool { return !p.thickens(line) })) &&
		!slices.ContainsFunc(n.Into, func(line int) bool { return p.there(line, i) && (p.stand[line] != nil || p.begun(line, i)) })
}

// allDropped tells whether none of some actions is done.
func (p *plan) allDropped(nodes []int) bool {
	return len(nodes) > 0 && !slices.ContainsFunc(nodes, func(k int) bool { return !p.deeds[k].drop })
}

// dustedForPan tells whether an action dusts something with no more than a thickener and what seasons
// it, for a frying that is not done any more: the flour goes into the sauce.
func (p *plan) dustedForPan(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "coat" && !n.Is("toss") || !slices.ContainsFunc(n.With, p.thickens) || slices.ContainsFunc(n.With, func(line int) bool { return !p.thickens(line) && !p.dusts(line) }) {
		return false
	}
	for _, line := range p.subjects(i) {
		s := p.stand[line]
		if s == nil || s.gone || !s.flesh() {
			return false
		}
		path := p.path(line)
		for _, k := range path[slices.Index(path, i)+1:] {
			switch t := p.graph.Nodes[k].Technique; {
			case t.Family == "dry heat" && p.dropped(s, k):
				return true
			case t.Heat != "":
				return false
			}
		}
	}
	return false
}

// onlyForDust tells whether a line only dusted what is not fried any more, and no liquid takes it in that it would thicken.
func (p *plan) onlyForDust(line int) bool {
	dusted := false
	for k := range p.graph.Nodes {
		if !slices.Contains(p.graph.Nodes[k].Named, line) {
			continue
		}
		if !p.deeds[k].drop || !p.dustedForPan(k) || p.slakesInto(line, k) >= 0 {
			return false
		}
		dusted = true
	}
	return dusted
}

// inHand tells whether a line is there for an action: it was taken up before it, or something that is no fat for a pan
// stands for it and has its place here.
func (p *plan) inHand(line, i int) bool {
	s := p.stand[line]
	return p.there(line, i) && (s != nil && !p.c.fatLine(s.was) || p.begun(line, i))
}

// dustsNothing tells whether an action seasons, or lays out, flour in which nothing is turned any more.
func (p *plan) dustsNothing(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Heat != "" || !slices.ContainsFunc(n.Holds, p.thickens) || slices.ContainsFunc(n.Holds, func(line int) bool { return !p.thickens(line) && !p.dusts(line) }) || len(n.Users) == 0 {
		return false
	}
	return !slices.ContainsFunc(n.Users, func(k int) bool { return !p.deeds[k].drop || !p.dustedForPan(k) })
}

// withThickener is the action that takes the flour into which a spice was mixed for a frying that is not done; 0
// where none does.
func (p *plan) withThickener(line, i int) int {
	n := &p.graph.Nodes[i]
	if p.thickens(line) || !p.flavours(line) {
		return 0
	}
	for _, other := range n.Holds {
		if at, known := p.arrives[other]; known && p.thickens(other) && slices.Contains(p.deeds[at].slakes, other) {
			return at
		}
	}
	return 0
}

// slakesInto is the action after i that pours the liquid in which a thickener goes
// that was to be strewn over or turned on what is not there any more; -1 where none
// does.
func (p *plan) slakesInto(line, i int) int {
	if !p.thickens(line) {
		return -1
	}
	for k := i + 1; k < len(p.graph.Nodes); k++ {
		n := &p.graph.Nodes[k]
		if !n.Reaches(line) && !slices.ContainsFunc(p.subjects(i), n.Reaches) || !p.takesIn(k) {
			continue
		}
		if p.deeds[k].drop {
			if poured := p.poursOf(n); poured >= 0 {
				return p.nextDone(poured, k)
			}
			if at := p.pouredBefore(i, k); n.Is("return") && at >= 0 {
				return at // it comes back when its sauce is there
			}
		} else if p.pouredAt(k) >= 0 || n.Is("return") && slices.ContainsFunc(n.Into, func(line int) bool { return larder.Pours(p.l.Food(p.line(line).FoodID())) }) {
			return p.stillBoils(i, k)
		}
	}
	return -1
}

// stillBoils is an earlier pouring after i than that at k, where the pot boils up between the two and no more
// after: what was dusted with flour comes back when the sauce is done.
func (p *plan) stillBoils(i, k int) int {
	boils := func(from int) bool {
		return slices.ContainsFunc(p.graph.Nodes[from:], func(n flow.Node) bool {
			return n.Technique.Family == "wet heat" && n.Liquid && !p.deeds[p.graph.Number(&n)].drop
		})
	}
	if p.graph.Nodes[k].Is("return") && boils(k) && p.pouredAt(k) < 0 {
		if j := p.pouredBefore(i, k); j >= 0 {
			return j // it comes back when its sauce is there
		}
	}
	if !p.graph.Nodes[k].Is("return") || boils(k) {
		return k
	}
	if j := p.pouredBefore(i, k); j >= 0 && boils(j) {
		return j
	}
	return k
}

// pouredBefore is the last action between two that is done and pours in a liquid; -1 where none does.
func (p *plan) pouredBefore(i, k int) int {
	for j := k - 1; j > i; j-- {
		if n := &p.graph.Nodes[j]; p.takesIn(j) && len(n.Named) > 0 && !p.deeds[j].drop && p.pouredAt(j) >= 0 {
			return j
		}
	}
	return -1
}

// nextDone is the first action after k, itself not done, that still works on a line; -1 where none does.
func (p *plan) nextDone(line, k int) int {
	for k++; k < len(p.graph.Nodes); k++ {
		if p.graph.Nodes[k].Reaches(line) && !p.deeds[k].drop {
			return k
		}
	}
	return -1
}

// poursOf is a line that pours and was to go in with an action that is not done, -1 where none was.
func (p *plan) poursOf(n *flow.Node) int {
	for _, line := range slices.Concat(n.To, n.With) {
		if s := p.stand[line]; slices.Contains(n.Named, line) && (s == nil || !s.gone) && larder.Pours(p.l.Food(p.line(line).FoodID())) {
			return line
		}
	}
	return -1
}

// pouredAt is a line that pours and goes in with an action, -1 where none does.
func (p *plan) pouredAt(k int) int {
	n := &p.graph.Nodes[k]
	for _, line := range slices.Concat(n.Named, n.To) {
		if (slices.Contains(n.To, line) || slices.Contains(n.With, line)) && p.there(line, k) && larder.Pours(p.l.Food(p.line(line).FoodID())) {
			return line
		}
	}
	return -1
}

// poursIn is a line whose liquid goes in with an action though the text says so of work that is not
// done, -1 where none does.
func (p *plan) poursIn(k int) int {
	for _, s := range p.inOrder() {
		if s.enters == k && !s.gone && larder.Pours(p.l.Food(p.line(s.node).FoodID())) {
			return s.node
		}
	}
	for _, line := range p.deeds[k].along {
		if larder.Pours(p.l.Food(p.line(line).FoodID())) {
			return line
		}
	}
	return -1
}

// slakedFor are the clauses in which thickeners are stirred smooth for an action.
func (w *writer) slakedFor(i int) []*clause {
	var out []*clause
	for _, line := range w.deeds[i].slakes {
		if c := w.slaked(i, line); c != nil {
			out = append(out, c)
		}
	}
	return out
}

// slaked stirs a thickener smooth with some of the liquid that goes in next.
func (w *writer) slaked(k, line int) *clause {
	poured := w.pouredAt(k)
	if poured < 0 {
		poured = w.poursIn(k)
	}
	if poured < 0 {
		return nil
	}
	thing, ok := w.ofLine(line, 1)
	liquid, pours := w.ofLine(poured, 1)
	if !ok || !pours {
		return nil
	}
	text := strings.NewReplacer("{thing}", thing.text, "{liquid}", liquid.text).Replace(w.c.words().Slake)
	return &clause{node: -1, changed: true, text: text, objects: []named{thing}}
}

// stirsWhatIsGone tells whether an action stirs, by no name, what only dropped work put there.
func (p *plan) stirsWhatIsGone(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Is("stir", "turn") && len(n.Named)+len(n.Action.With) == 0 && p.allDropped(n.Inputs) && len(n.To) > 0 &&
		!slices.ContainsFunc(n.To, func(line int) bool { return p.inHand(line, i) })
}
