package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// afterReturn is where on its path something goes back in that was cooked, taken
// out and cut up by itself, 0 where it was not.
func (p *plan) afterReturn(s *standIn, path []int) int {
	start, wet, boiled := 0, false, false
	fries := !s.is(larder.Browned) && !slices.ContainsFunc(path, func(k int) bool { return p.graph.Nodes[k].Is("return") })
	for i, at := range path {
		n := &p.graph.Nodes[at]
		boiled = boiled || p.wetMinutes(at) > 0
		out := n.Technique.Takes == "part" || n.Technique.Family == "separate" || boiled && p.setsAside(path, i) && p.joinsLater(s, path[i+1:]) || boiled && p.cutFromLiquor(at)
		wet = wet || p.wetMinutes(at) > 0 || n.Technique.Medium == "liquid" && n.Technique.Family != "rest" && !(fries && cookedDry(n))
		if out && wet && n.Technique.Name != "discard" && p.alone(at, s) && i+1 < len(path) {
			start = i + 1
		}
	}
	return start
}

// cutFromLiquor tells whether an action cuts up what was boiled, and its liquid is kept by itself: "shred the chicken and
// reserve the broth", which lifts it out without saying so.
func (p *plan) cutFromLiquor(at int) bool {
	n := &p.graph.Nodes[at]
	return n.Technique.Family == "cut" && slices.ContainsFunc(n.Inputs, func(in int) bool {
		return slices.ContainsFunc(p.graph.Nodes[in].Users, func(k int) bool { return k != at && p.graph.Nodes[k].Is("reserve", "strain") })
	})
}

// joinsLater tells whether a stand-in goes into something else by one of some actions.
func (p *plan) joinsLater(s *standIn, path []int) bool {
	return slices.ContainsFunc(path, func(k int) bool {
		n := &p.graph.Nodes[k]
		return slices.Contains(n.To, s.node) && len(n.Into) > 0 && n.Technique.Family == "mix"
	})
}

// afterWashing is where on its path the work begins that is left: bones are covered,
// boiled up, drained and rinsed first, which what gives its taste to a broth
// instead does not want.
func (p *plan) afterWashing(s *standIn, path []int) int {
	start := 0
	for k, at := range path {
		if !p.alone(at, s) {
			break
		}
		if p.dropped(s, at) {
			start = k + 1
		}
	}
	return min(start, len(path)-1)
}

// laidToWork moves on from where something is only laid into a pan, or between sheets, for work that is not done any
// more, to where it is taken up next: "put the bacon in a cold pan and let it render".
func (p *plan) laidToWork(s *standIn, path []int, start int) int {
	boiled := s.class == larder.Egg && !larder.Pours(p.l.Food(s.was.FoodID()))
	if !s.flesh() && !boiled || !s.is(larder.Ready) {
		return start
	}
	lang := p.l.Language()
	k := start
	for k < len(path) {
		n := &p.graph.Nodes[path[k]]
		if boiled && p.alone(path[k], s) && p.intoOnlyWater(n) {
			k++
			continue
		}
		if !n.Is("place") || !p.alone(path[k], s) || n.Action.Heat == "" && !slices.ContainsFunc(larder.Words(flow.Said(n.Action)), func(w string) bool { return lang.Pots[w] || lang.Sheets[w] }) {
			break
		}
		k++
	}
	if boiled && k > start && k < len(path) && p.fromTheTap(&p.graph.Nodes[path[k]]) {
		k++ // "put the eggs in a pan, cover with cold water and boil"
	}
	if k == start || k >= len(path) || !p.dropped(s, path[k]) {
		return start
	}
	if t := p.graph.Nodes[path[k]].Technique; t.Family != "dry heat" && t.Family != "cut" && !p.graph.Nodes[path[k]].Is("render") && !(boiled && t.Family == "wet heat") {
		return start
	}
	for k < len(path)-1 && (p.dropped(s, path[k]) || p.graph.Nodes[path[k]].Is("off-heat") || p.takesOut(path[k])) {
		k++
	}
	return k
}

// intoOnlyWater tells whether an action puts something into water from the tap in which nothing of the list lies: "bring a pan of
// water to the boil and lower in the eggs".
func (p *plan) intoOnlyWater(n *flow.Node) bool {
	if !n.Is("place") && n.Technique.Joins != "yes" || len(n.Into)+len(n.With) > 0 {
		return false
	}
	return p.fromTheTap(n) || len(n.Action.Into) > 0 && p.onBoiledWater(n)
}

// onBoiledWater tells whether an action goes on with nothing but water that was heated by itself.
func (p *plan) onBoiledWater(n *flow.Node) bool {
	return len(n.Inputs) > 0 && !slices.ContainsFunc(n.Inputs, func(in int) bool {
		return p.graph.Nodes[in].Technique.Family != "wet heat" || len(p.graph.Nodes[in].Holds) > 0
	})
}

// neverLeft tells whether an action returns what stands for flesh to a pot that it was not taken out of: the lifting out is not
// done any more.
func (p *plan) neverLeft(i int) bool {
	n := &p.graph.Nodes[i]
	if !n.Is("return") || len(n.To) == 0 || slices.ContainsFunc(n.To, func(line int) bool {
		s := p.stand[line]
		return s == nil || !s.flesh() || s.enters < 0 || s.enters >= i
	}) {
		return false
	}
	for _, in := range n.Inputs {
		from := in
		for p.deeds[from].drop && len(p.graph.Nodes[from].Inputs) == 1 {
			from = p.graph.Nodes[from].Inputs[0]
		}
		if from != in && !p.deeds[from].drop && slices.ContainsFunc(n.Inputs, func(o int) bool { return o != in && p.comesFrom(o, from) }) {
			return true
		}
	}
	return false
}

// staysIn leaves in its pot what would be lifted out of it for nothing.
func (p *plan) staysIn(i int) {
	if back := p.liftedForNothing(i); back >= 0 {
		p.deeds[i].drop, p.deeds[back].drop = true, true
	}
}

// liftedForNothing finds the action that returns to a pot what stands for flesh and is lifted out of it, where nothing is done to
// it between and nothing else in the pot: "lift out the fish, flake it and return it to the pan"; -1 where there is none.
func (p *plan) liftedForNothing(i int) int {
	n := &p.graph.Nodes[i]
	if p.deeds[i].drop || n.Technique.Takes != "part" || len(n.Inputs) != 1 || len(n.To) == 0 || slices.ContainsFunc(n.To, func(line int) bool {
		s := p.stand[line]
		return s == nil || !s.flesh() || !p.there(line, i)
	}) {
		return -1
	}
	pot, at, worked := n.Inputs[0], i, false
	for len(p.graph.Nodes[at].Users) == 1 {
		at = p.graph.Nodes[at].Users[0]
		if p.graph.Nodes[at].Is("return") {
			break
		}
		if !p.deeds[at].drop {
			return -1
		}
		worked = true
	}
	if back := &p.graph.Nodes[at]; worked && at > i && back.Is("return") && !p.deeds[at].drop && slices.Contains(back.Inputs, pot) && slices.Equal(back.To, n.To) {
		return at
	}
	return -1
}

// comesFrom tells whether an action works on what another made, and not on no more than fat that was poured off it.
func (p *plan) comesFrom(at, from int) bool {
	if at == from {
		return true
	}
	n := &p.graph.Nodes[at]
	if n.Is("pour") && len(n.Into)+len(n.With) == 0 && !slices.ContainsFunc(n.To, func(line int) bool { return !p.c.fatLine(p.line(line)) }) {
		return false
	}
	return slices.ContainsFunc(n.Inputs, func(in int) bool { return p.comesFrom(in, from) })
}

// divided says how much of a stand-in is meant where some of what it stands for was kept back for later by work that is not
// done any more: half of it, and later the rest.
func (w *writer) divided(noun recipe.Noun, things []named) []named {
	if len(things) != 1 || things[0].stand == nil || things[0].stand.bare || inBits(things[0].stand) || len(noun.Refs) != 1 || noun.Refs[0].Made == nil || noun.Refs[0].Share < nearlyAll {
		return things
	}
	s, from := things[0].stand, w.nodeOf(*noun.Refs[0].Made)
	for from >= 0 && w.deeds[from].drop {
		n := &w.graph.Nodes[from]
		if share := w.keptShare(n, s.node); share > 0 {
			return []named{w.c.stand(s, share, true)}
		}
		for _, k := range n.Users {
			if share := w.keptShare(&w.graph.Nodes[k], s.node); share > 0 && w.deeds[k].drop {
				return []named{w.c.stand(s, 1-share, false)}
			}
		}
		if len(n.Inputs) != 1 {
			break
		}
		from = n.Inputs[0]
	}
	return things
}

// moreOf says that more of a thing goes in, or enough of it, where the cook says so: "add more of the seaweed
// seasoning".
func (w *writer) moreOf(noun recipe.Noun, things []named) []named {
	lang, the := w.l.Language(), w.c.words().The+" "
	before := strings.Fields(w.slice(noun.From, noun.Name))
	if len(things) != 1 || things[0].stand == nil || strings.TrimPrefix(things[0].text, the) != things[0].stand.name {
		return things
	}
	last := slices.IndexFunc(before, func(word string) bool {
		return lang.Additional[strings.ToLower(word)] || lang.Enough[strings.ToLower(word)]
	})
	if last < 0 {
		return things
	}
	of := " "
	if strings.HasPrefix(things[0].text, the) {
		of += w.c.words().Of + " "
	}
	things[0].text = strings.Join(before[:last+1], " ") + of + things[0].text
	return things
}

// keptShare is how much of a line an action takes out for later, where that is not all; 0 where it takes none.
func (p *plan) keptShare(n *flow.Node, line int) float64 {
	if !n.Is("remove", "reserve") || len(n.Users) == 0 || len(n.To) != 1 || n.To[0] != line || len(n.Action.To) != 1 || n.Action.To[0].Share >= nearlyAll {
		return 0
	}
	return n.Action.To[0].Share
}

// liftedWithout tells whether what a line went into last is lifted out of it, and the line stays.
func (p *plan) liftedWithout(line int) bool {
	path := p.path(line)
	if len(path) == 0 {
		return false
	}
	last := path[len(path)-1]
	keeps := func(n flow.Node) bool {
		return n.Is("reserve", "strain") && n.At.Component == p.graph.Nodes[last].At.Component
	}
	return !slices.ContainsFunc(p.graph.Nodes[last:], keeps) && slices.ContainsFunc(p.graph.Nodes[last].Users, func(k int) bool {
		return p.graph.Nodes[k].Is("remove") && !p.graph.Nodes[k].Reaches(line)
	})
}

// lost tells whether what a pronoun points back to is not said any more.
func (w *writer) lost(noun recipe.Noun) bool {
	for _, r := range noun.Refs {
		if r.Made != nil {
			if at := w.nodeOf(*r.Made); at >= 0 && w.deeds[at].drop {
				return true
			}
		}
	}
	return false
}

// isBack tells whether an action returns a line to where it went in by itself: what lay with
// the meat is in the pot already, unless it was poured out of it since.
func (p *plan) isBack(line, i int) bool {
	at, came := p.arrives[line]
	if !came || at >= i || !p.graph.Nodes[i].Is("return") || slices.Contains(p.graph.Nodes[i].Named, line) {
		return false
	}
	for k := at; k < i; k++ {
		if n := &p.graph.Nodes[k]; n.Is("strain") && !p.deeds[k].drop && n.Reaches(line) {
			return false
		}
	}
	return true
}

// neverOutEdits are the words of what was never out and goes in now: "put the meat back", "nestle the meat back in the sauce".
func (w *writer) neverOutEdits(n *node, d *deed) []edit {
	if !n.Is("return") || d.say == "" {
		return nil
	}
	var out []edit
	for _, at := range n.Action.Words.Particles {
		out = append(out, edit{at[0], at[1], ""})
	}
	for _, p := range n.Action.Words.Phrases {
		if p.Role == "in" && d.say == w.c.words().Add && len(p.Nouns) > 0 {
			out = append(out, edit{p.From, p.Nouns[0].From, w.c.words().To + " "})
		}
	}
	return out
}
