package method

import (
	"cmp"
	"math"
	"slices"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// Times that a cook would give a pot whose long cooking was for the meat alone;
// estimates.
const (
	shortEnough = 40.0 // an action no longer than this keeps its whole time
	leastBase   = 10.0
	roastsAgain = 25.0 // what is done already and only takes colour in the oven
	bringsRound = 20.0 // what a sauce takes to come together
	reducesFor  = 40.0 // and to thicken in an open pot
)

// retime shortens what cooked long for something that goes in only at the end.
func (p *plan) retime() {
	for i := range p.deeds {
		d, n := &p.deeds[i], &p.graph.Nodes[i]
		if d.drop {
			continue
		}
		slices.SortStableFunc(d.late, func(a, b *standIn) int { return cmp.Compare(b.tail, a.tail) })
		minutes := n.Lasts
		switch {
		case p.ownMinutes(i) > 0:
			d.minutes = minutesOf(p.ownMinutes(i))
		case p.lasts[i] > 0:
			d.minutes = minutesOf(p.lasts[i])
		case len(d.late) > 0:
			base := math.Max(minutes-d.late[0].tail, 0)
			if minutes > shortEnough {
				base = math.Min(base, p.base(i))
			}
			d.minutes = minutesOf(math.Max(base, leastBase))
			if !p.cueGone(n) {
				d.cueAfter = n.Action.Cue
			}
			d.cueless = true
		case n.Technique.Family == "oven" && minutes > roastsAgain && p.onlyReady(i):
			d.minutes, d.cueless = minutesOf(roastsAgain), d.cueless || p.cueGone(n)
		case p.wetMinutes(i) > shortEnough && p.forFleshOnly(i) && (n.Action.Cue == "" || d.cueless):
			if base := roundMinutes(p.base(i)); base < minutes {
				d.minutes = minutesOf(base)
			}
		}
	}
	for _, s := range p.inOrder() {
		p.cookThrough(s)
	}
}

// onlyReady tells whether nothing is roasted but stand-ins for flesh that are done
// already, with what seasons them.
func (p *plan) onlyReady(i int) bool {
	found := false
	for _, line := range p.subjects(i) {
		s := p.stand[line]
		switch {
		case s != nil && s.flesh() && p.there(line, i):
			if !s.is(larder.Ready) && !s.Browned {
				return false
			}
			found = true
		case s == nil && !p.dusts(line):
			return false
		}
	}
	return found
}

// ownMinutes are what a stand-in takes by the book that is cooked by itself in a
// liquid, 0 where the action's own do.
func (p *plan) ownMinutes(i int) float64 {
	if p.graph.Nodes[i].Technique.Family != "wet heat" {
		return 0
	}
	for _, line := range p.subjects(i) {
		if s := p.stand[line]; s != nil && !s.gone && s.book.CookMinutes > 0 && p.alone(i, s) && p.there(line, i) {
			return s.book.CookMinutes
		}
	}
	return 0
}

func minutesOf(m float64) *measure.Span {
	s := measure.Exactly(roundMinutes(m))
	return &s
}

// base is how long a pot cooks without what goes in at the end: until all else in
// it is done and the sauce has come together, and longer where it thickens.
func (p *plan) base(i int) float64 {
	n := &p.graph.Nodes[i]
	if n.Action.Cue != "" && !p.cueGone(n) {
		return n.Lasts // what it cooks for is said and still there
	}
	base := math.Max(p.wants(i), bringsRound)
	if !n.Covered && n.Liquid {
		base = math.Max(base, math.Min(n.Lasts/2, reducesFor))
	}
	return base
}

// atOnce lets go in at the beginning what would go in late, where nothing else
// wants the pot any longer than that.
func (p *plan) atOnce() {
	for i := range p.deeds {
		late := p.deeds[i].late
		if len(late) == 0 || p.graph.Nodes[i].Technique.Name == "pressure-cook" {
			continue
		}
		longest := 0.0
		for _, s := range late {
			longest = math.Max(longest, s.tail)
		}
		if p.base(i) > longest {
			continue
		}
		for _, s := range late {
			if s.tail == longest {
				s.tail = 0
			}
		}
		p.lasts[i] = longest
	}
}

// wants is the longest that anything in the pot takes to be done.
func (p *plan) wants(i int) float64 {
	longest := 0.0
	n := &p.graph.Nodes[i]
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		if s := p.stand[line]; s != nil {
			if !s.gone && (p.there(line, i) || s.is(larder.Steeped)) {
				longest = math.Max(longest, s.Done)
				if s.is(larder.Steeped) {
					longest = math.Max(longest, steepsFor)
				}
			}
			continue
		}
		l := p.line(line)
		if f := p.l.Food(l.FoodID()); f != nil {
			longest = math.Max(longest, p.l.BehaviourOf(f, l.Form).Done)
		}
	}
	return longest
}

// steepsFor is how long vegetables and weeds take to give their taste to a broth;
// an estimate.
const steepsFor = 45.0

// forFleshOnly tells whether a long cooking was for flesh that is gone or goes in
// later, so that nothing else in the pot wants it.
func (p *plan) forFleshOnly(i int) bool {
	n := &p.graph.Nodes[i]
	return slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool {
		s := p.stand[line]
		return s != nil && s.flesh()
	})
}

// cookThrough gives a stand-in that wants its minutes in a liquid those where
// nothing that follows takes as long.
func (p *plan) cookThrough(s *standIn) {
	if s.gone || s.Done <= 0 || s.Done > mostBoil || s.was.Animal != larder.Gelatine || s.enters == never {
		return
	}
	for _, i := range p.path(s.node) {
		if i >= s.enters && p.wetMinutes(i) >= s.Done {
			return
		}
	}
	d := &p.deeds[s.enters]
	d.boil = math.Max(d.boil, s.Done)
}

// mostBoil bounds what can be asked for besides what the step does; an estimate.
const mostBoil = 10.0

// roundMinutes rounds to what a cook would say.
func roundMinutes(m float64) float64 {
	step := 5.0
	if m <= 10 {
		step = 1
	}
	return math.Max(math.Round(m/step)*step, 1)
}

// carryAlong finds a new place for lines that only dropped work would have taken
// in: the next action that is done with the same things, the fat to fry in first.
func (p *plan) carryAlong() {
	for i := range p.deeds {
		if !p.deeds[i].drop {
			continue
		}
		n := &p.graph.Nodes[i]
		for _, line := range n.Named {
			if p.stand[line] != nil && (p.stand[line].gone || !p.c.fatLine(p.line(line))) || p.namedElsewhere(line, i) {
				continue
			}
			if at := p.placeFor(line, i); at >= 0 && !slices.Contains(p.deeds[at].along, line) && !p.isObject(line, at) {
				p.deeds[at].along = append(p.deeds[at].along, line)
				p.shares[line] = p.shareAt(line, i)
				if !slices.Contains(p.graph.Nodes[at].Named, line) && p.shares[line] >= nearlyAll {
					p.arrives[line] = at
				}
			}
		}
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

// namedElsewhere tells whether another action that is done names a line too.
func (p *plan) namedElsewhere(line, not int) bool {
	at := p.graph.Lines[line]
	ref := recipe.LineRef(at.Component, at.Line)
	share := 0.0
	for k := range p.graph.Nodes {
		if k == not || p.deeds[k].drop || !slices.Contains(p.graph.Nodes[k].Named, line) {
			continue
		}
		a := p.graph.Nodes[k].Action
		for _, r := range slices.Concat(a.To, a.With, a.Into) {
			if r.Of == ref || r.Line != nil && *r.Line == ref {
				share += r.Share
			}
		}
	}
	return share >= nearlyAll
}

// shareAt is the share of a line that an action names.
func (p *plan) shareAt(line, i int) float64 {
	at := p.graph.Lines[line]
	ref := recipe.LineRef(at.Component, at.Line)
	a := p.graph.Nodes[i].Action
	for _, r := range slices.Concat(a.To, a.With, a.Into) {
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
	if n.Technique.Medium == "with" || n.Technique.Family == "rest" || n.Technique.Family == "coat" {
		for _, other := range p.subjects(i) {
			s := p.stand[other]
			if s == nil || s.gone || s.enters == never || s.enters <= i || p.fries(line) {
				continue
			}
			if k := s.enters; !p.deeds[k].drop && p.graph.Nodes[k].At.Component == n.At.Component {
				return k
			}
		}
	}
	return p.nextPlace(line, i)
}

// nextPlace is the action that takes in a line that came along with dropped work:
// for a fat the next that fries, for others the next that cooks or mixes.
func (p *plan) nextPlace(line, i int) int {
	fat := p.fries(line)
	best := -1
	for k := i + 1; k < len(p.graph.Nodes); k++ {
		n := &p.graph.Nodes[k]
		if p.deeds[k].drop || n.At.Component != p.graph.Nodes[i].At.Component {
			continue
		}
		switch {
		case fat && n.Technique.Medium == "fat" && n.Technique.Family == "dry heat" && !p.hasFat(k):
			return k
		case best < 0 && len(n.To) > 0 && (n.Technique.Family == "wet heat" || n.Technique.Family == "dry heat" || n.Technique.Family == "mix" || n.Technique.Family == "machine"):
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
