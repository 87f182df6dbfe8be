package method

import (
	"cmp"
	"math"
	"slices"
	"strings"

	"yembra/core/flow"
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
	longRoast   = 90.0 // beyond this an oven's cue is that of flesh that gives way
	crustsIn    = 60.0 // what a deep dish of done things takes in a slow oven to get its crust
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
		case p.lasts[i] > 0 && (n.Action.Minutes != nil || !n.Is("boil") && !p.comesUp(n)):
			d.minutes = minutesOf(p.lasts[i])
			if len(d.late) > 0 { // of which some is for what comes later
				d.minutes = minutesOf(math.Max(p.lasts[i]-d.late[0].tail, leastBase/2))
			}
		case n.Action.Minutes == nil && (n.Action.Cue != "" && !d.cueless && !p.cueGone(n) || p.boilsToShare(n)) && len(d.late) == 1 && d.late[0].tail >= 1:
			d.lastly = true
		case len(d.late) > 0:
			base := math.Max(minutes-d.late[0].tail, 0)
			if minutes > shortEnough {
				base = math.Min(base, p.base(i))
			}
			d.minutes = minutesOf(math.Max(base, math.Min(leastBase, minutes/2)))
			if d.cueAfter = p.restOfCue(n); !p.cueGone(n) {
				d.cueAfter = n.Action.Cue
			}
			d.cueless = true
		case p.untilFleshIsDone(i) > 0:
			d.minutes, d.cueless = minutesOf(math.Min(p.wetMinutes(i), p.leastBears(i))), true
		case n.Technique.Family == "oven" && minutes > roastsAgain && p.onlyReady(i):
			d.minutes, d.cueless = minutesOf(p.roastsAgain(i)), d.cueless || p.cueGone(n) || minutes > longRoast
		case n.Technique.Family == "oven" && n.Action.Minutes != nil && p.driesOut(i) < minutes:
			d.minutes, d.cueless = minutesOf(p.driesOut(i)), d.cueless || p.cueGone(n)
		case n.Technique.Family == "oven" && n.Action.Minutes != nil && p.onBed(i) < minutes:
			d.minutes, d.cueless = minutesOf(p.onBed(i)), d.cueless || p.cueGone(n)
		case n.Technique.Family == "oven" && n.Action.Minutes != nil && p.leftRaw(i) < minutes:
			d.minutes, d.cueless = minutesOf(p.leftRaw(i)), d.cueless || p.cueGone(n)
		case n.Action.Per > 0 && p.onlyReadyFlesh(i):
			d.minutes, d.cueless = minutesOf(math.Min(p.roastsAgain(i), minutes)), true
		case n.Technique.Family == "oven" && minutes > longRoast && p.forFleshOnly(i) && p.doneBefore(i):
			d.minutes = minutesOf(crustsIn)
		case p.wetMinutes(i) > p.keepsTime(i) && p.forFleshOnly(i) && (n.Action.Cue == "" || d.cueless):
			if base := roundMinutes(p.base(i)); base < minutes {
				d.minutes = minutesOf(base)
			}
		}
	}
	p.lastMinutes()
	for _, s := range p.inOrder() {
		p.cookThrough(s)
		p.braiseOn(s)
	}
}

// leastBears is how long that bears it in a pot which bears least of what stands for flesh there.
func (p *plan) leastBears(i int) float64 {
	least := math.Inf(1)
	for _, line := range p.graph.Nodes[i].To {
		if s := p.stand[line]; s != nil && !s.gone && s.flesh() && p.there(line, i) {
			least = math.Min(least, math.Max(s.Bears, leastTail))
		}
	}
	return least
}

// comesUp tells whether an action only brings a pot to where it cooks.
func (p *plan) comesUp(n *flow.Node) bool {
	first, _, _ := strings.Cut(n.Action.Verb, " ")
	return p.l.Language().Coming[first]
}

// ownMinutes are what a stand-in takes by the book that is cooked by itself in a
// liquid, 0 where the action's own do.
func (p *plan) ownMinutes(i int) float64 {
	if m := p.setsThrough(i); m > 0 {
		return m
	}
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
	if n.Action.Cue != "" && p.saysMore(n) {
		return n.Lasts // what else it says it cooks for is there
	}
	if p.testedAfter(i) {
		return n.Lasts
	}
	base := math.Max(p.wants(i), bringsRound)
	if n.Technique.Family == "oven" {
		base = math.Max(p.wants(i)*slowOven, base)
	}
	if n.Is("steam") && p.tiedUp(0, i) {
		base = math.Max(base, crustSteams)
	}
	if p.inSlowPot(i) {
		return math.Max(p.wants(i)*slowPot, warmsUp)
	}
	if !n.Covered && n.Liquid {
		base = math.Max(base, math.Min(n.Lasts/2, reducesFor))
	}
	return base
}

// slowOven is how much longer raw things take in a covered pot in the oven than on the ring; an
// estimate.
const slowOven = 2.5

// crustSteams is what a crust of suet takes in its basin; an estimate.
const crustSteams = 90.0

// saysMore tells whether some of what a cue tells of is there though another part of it is gone:
// "until the meat falls from the bone and the potatoes are soft".
func (p *plan) saysMore(n *flow.Node) bool {
	return len(n.Action.Words.Signs) > 1 && slices.ContainsFunc(n.Action.Words.Signs, func(sign recipe.Sign) bool {
		return !p.gone(n, sign.Text, sign.Points) && slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool {
			return p.stand[line] == nil && slices.ContainsFunc(larder.Words(p.line(line).Name), func(w string) bool { return slices.Contains(larder.Words(sign.Text), w) })
		})
	})
}

// atOnce lets go in at the beginning what would go in late, where nothing else
// wants the pot any longer than that.
func (p *plan) atOnce() {
	for i := range p.deeds {
		late := p.deeds[i].late
		if len(late) == 0 || p.graph.Nodes[i].Technique.Name == pressureCook {
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
func (p *plan) wants(i int) float64 { return p.wantsBeside(i, nil) }

// wantsBeside is that of what was not worked into pieces with others before.
func (p *plan) wantsBeside(i int, shaped []int) float64 {
	longest := 0.0
	n := &p.graph.Nodes[i]
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		if slices.Contains(shaped, line) {
			continue
		}
		if s := p.stand[line]; s != nil {
			if !s.gone && (p.there(line, i) || s.is(larder.Steeped)) {
				longest = math.Max(longest, s.Done)
				if s.is(larder.Steeped) && (s.class != extract || len(s.book.Prepare) == 0) { // a stock made before has its taste
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

// keepsTime is up to how many minutes an action keeps its whole time: what is in the pot without
// the flesh that goes in later is not cooked any longer than it takes.
func (p *plan) keepsTime(i int) float64 {
	n := &p.graph.Nodes[i]
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		if s := p.stand[line]; s != nil && s.flesh() && !s.gone && s.enters <= i {
			return shortEnough
		}
	}
	return bringsRound
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

// boilsToShare tells whether an action goes on until a share of it has boiled away: "let it bubble down by half".
func (p *plan) boilsToShare(n *node) bool {
	return n.Technique.Family == "wet heat" && n.Action.Cue == "" && slices.ContainsFunc(n.Action.Manner, func(how string) bool {
		return slices.ContainsFunc(larder.Words(how), func(w string) bool { share := p.l.Language().Shares[w]; return share > 0 && share < 1 })
	})
}
