package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// onBodies tells whether an action is done to nothing but what a body has, and the
// body is not there: "fry the shells".
func (p *plan) onBodies(i int) bool {
	n := &p.graph.Nodes[i]
	text := p.textOf(n)
	any, off, names := false, false, []string{}
	if p.ofInHand(i) || p.boilsListed(i) {
		return false
	}
	for _, x := range n.Action.Words.Phrases {
		if x.Role != "to" && (x.Role != "from" || n.Action.Makes == "" && !takesOff(n.Action, x)) {
			continue // but "make a stock from the bones", "peel off the shells"
		}
		off = off || x.Role != "to" && n.Action.Makes == ""
		for _, noun := range x.Nouns {
			if p.cameOfBodies(noun) {
				any = true
				continue
			}
			if noun.Pronoun || noun.Upto > len(text) || p.ofKept(noun) || p.ofItself(noun, string(text[noun.Name:noun.Upto])) || p.addsFat(n, string(text[noun.Name:noun.Upto])) || !p.fleshly(string(text[noun.Name:noun.Upto])) || p.sauceCalled(string(text[noun.Name:noun.Upto]), i) || p.ofPlant(noun, string(text[noun.Name:noun.Upto])) || p.hollowed(i) || p.itself(string(text[noun.Name:noun.Upto]), n) || p.places(i) && p.wholePiece(string(text[noun.Name:noun.Upto])) {
				return false
			}
			any, names = true, append(names, larder.Words(string(text[noun.Name:noun.Upto]))...)
		}
	}
	return any && slices.ContainsFunc(p.inOrder(), func(s *standIn) bool {
		return s.component == n.At.Component && (s.flesh() && !s.is(larder.Steeped) && !off || p.onlyShells(s, names))
	})
}

// takesOff tells whether what a phrase names behind the particle of a verb is what the action is done to: "peel off the shells".
func takesOff(a *recipe.Action, x recipe.Phrase) bool {
	return slices.ContainsFunc(x.Nouns, func(noun recipe.Noun) bool {
		name := onlyNamed(noun)
		return name != "" && slices.ContainsFunc(a.To, func(r recipe.Ref) bool { return r.Named != nil && *r.Named == name })
	})
}

// shells is the row of words for what eggs come in.
const shells = "shells"

// onlyShells tells whether names are no more than what eggs come in, and a stand-in is for whole ones: "peel off the shells".
func (p *plan) onlyShells(s *standIn, names []string) bool {
	if s.class != larder.Egg || larder.Pours(p.l.Food(s.was.FoodID())) || len(names) == 0 {
		return false
	}
	return !slices.ContainsFunc(names, func(w string) bool { return !p.l.Language().GoneSigns[shells][w] })
}

// cameOfBodies tells whether a pronoun stands for nothing but what was made of a body:
// "crisp the skin and crumble it over".
func (p *plan) cameOfBodies(noun recipe.Noun) bool {
	return noun.Pronoun && len(noun.Refs) > 0 && !slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool {
		return r.Made == nil || !p.onBodies(p.graph.Node(*r.Made))
	})
}

// intoBodies tells whether things are rubbed on, or pushed into, nothing but what a body has, and what stands
// for that comes later: they go in with it.
func (p *plan) intoBodies(i int) bool {
	n := &p.graph.Nodes[i]
	if p.pushedIn(n) {
		return true
	}
	ofBodies := func(r recipe.Ref) bool {
		return r.Made != nil && p.nodeOf(*r.Made) >= 0 && p.onBodies(p.nodeOf(*r.Made))
	}
	if len(n.Action.Into) == 0 || len(n.Into) > 0 && !slices.ContainsFunc(n.Action.Into, ofBodies) || len(n.Action.To) == 0 || slices.ContainsFunc(n.Action.Into, func(r recipe.Ref) bool {
		if ofBodies(r) {
			return false // "dry the rind and rub the salt into it"
		}
		return r.Named == nil || !p.fleshly(*r.Named) || p.namesFat(r) && (p.onlyFatTo(n) || p.poursOwn(n) || p.addsOwn(n))
	}) {
		return false // "add the butter to the bacon fat", or the onion, is done in a pan
	}
	if p.hollowed(i) {
		return false // "spoon back into the skins"
	}
	return slices.ContainsFunc(p.inOrder(), func(s *standIn) bool {
		return s.component == n.At.Component && s.flesh() && !s.is(larder.Steeped) && (s.enters > i || s.enters != never && p.graph.Nodes[s.enters].At == n.At)
	})
}

// addsOwn tells whether things of the cook's own are added, which cook then: "add the onion to the drippings".
func (p *plan) addsOwn(n *node) bool {
	return n.Is("add") && len(n.To) > 0 && !slices.ContainsFunc(n.To, func(line int) bool { return p.stand[line] != nil }) &&
		slices.ContainsFunc(n.Users, func(k int) bool { return p.graph.Nodes[k].Technique.Heat != "" })
}

// poursOwn tells whether all that goes in is liquid of the cook's own: "add the wine to the fat".
func (p *plan) poursOwn(n *flow.Node) bool {
	return len(n.To) > 0 && !slices.ContainsFunc(n.To, func(line int) bool { return p.stand[line] != nil || !larder.Pours(p.l.Food(p.line(line).FoodID())) })
}

// ofInHand tells whether what an action is done to came of a thing that stays, which the
// sentence had in hand: "soak the tamarind, mash it and strain the juice".
func (p *plan) ofInHand(i int) bool {
	for at := i; len(p.graph.Nodes[at].Inputs) > 0; {
		before := &p.graph.Nodes[p.graph.Nodes[at].Inputs[0]]
		if before.At != p.graph.Nodes[i].At || len(before.Named) == 0 && before.Technique.Heat != "" {
			return false
		}
		if len(before.Named) > 0 {
			return at != i && !slices.ContainsFunc(before.Named, func(line int) bool { return p.stand[line] != nil })
		}
		at = p.graph.Nodes[at].Inputs[0]
	}
	return false
}

// ofKept tells whether a noun speaks of a line that stays: "the lime juice" is no
// juice of the meat.
func (p *plan) ofKept(noun recipe.Noun) bool {
	return slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool {
		if r.Line == nil {
			made := -1
			if r.Made != nil {
				made = p.graph.Node(*r.Made)
			}
			return made >= 0 && len(p.graph.Nodes[made].Holds) == 1 && p.stand[p.graph.Nodes[made].Holds[0]] == nil // the flesh of soaked peppers
		}
		line := p.graph.Named(*r.Line)
		return line >= 0 && p.stand[line] == nil
	})
}

// ofMerged tells whether an action is done to nothing but what was made of a part of eggs
// that is in already: "whip the whites and fold them in".
func (p *plan) ofMerged(i int) bool {
	to := p.graph.Nodes[i].Action.To
	for _, r := range to {
		k := -1
		if r.Made != nil {
			k = p.nodeOf(*r.Made)
		}
		if k < 0 || !p.deeds[k].drop || len(p.subjects(k)) == 0 || slices.ContainsFunc(p.subjects(k), func(line int) bool {
			return !p.merged(line, k) || slices.Contains(p.graph.Nodes[k].Into, line) || // both parts are together again
				p.stand[line].enters >= k || p.deeds[p.stand[line].enters].drop
		}) {
			return false
		}
	}
	return len(to) > 0
}

// ofFlesh are ways of working that a text leaves without an object only where it
// means the piece in hand.
var ofFlesh = []string{"separate", "clean", "cut", "rest"}

// decideNamed decides an action that works only on what its words name: bones and
// skin that are not there are not thrown away.
func (p *plan) decideNamed(i int) {
	n := &p.graph.Nodes[i]
	if n.Is("reserve") && (p.liquorGone(i) || i > 0 && p.deeds[i-1].drop && p.graph.Nodes[i-1].At == n.At && len(p.graph.Nodes[i-1].To) == 0 && len(n.Inputs) == 0) {
		p.deeds[i].drop = true
		return
	}
	named := 0
	if n.Is("discard") && p.fleshAt(i) != nil && !p.fleshAt(i).is(larder.Steeped) {
		p.deeds[i].drop = true
		return
	}
	if p.onWhatWasCut(i) {
		p.deeds[i].drop = true
		return
	}
	for _, r := range n.Action.To {
		if r.Named == nil || !p.fleshly(*r.Named) || p.sauceCalled(*r.Named, i) || p.addsFat(n, *r.Named) {
			return
		}
		named++
	}
	if named == 0 || n.Technique.Family == "coat" || p.hollowed(i) {
		return
	}
	if s := p.fleshBefore(i); s != nil && !s.is(larder.Steeped) {
		p.deeds[i].drop = true
		if r := p.rule(s, i); r != nil && r.Why != "" {
			p.deeds[i].whys = append(p.deeds[i].whys, r.Why)
		}
	}
}

// onWhatWasCut tells whether an action is done to nothing but what the cutting before it would have
// made, which is not done: "score the fat in diamonds and stud each diamond with a clove".
func (p *plan) onWhatWasCut(i int) bool {
	if i == 0 || !p.deeds[i-1].drop {
		return false
	}
	n, before := &p.graph.Nodes[i], &p.graph.Nodes[i-1]
	if before.Technique.Family != "cut" || len(n.Inputs) > 0 || len(n.Action.To) == 0 {
		return false
	}
	text := []rune(p.dish.Components[before.At.Component].Steps[before.At.Step].Text)
	said := larder.Words(flow.Said(before.Action) + " " + string(text[before.Action.From:before.Action.Upto]))
	return !slices.ContainsFunc(n.Action.To, func(r recipe.Ref) bool {
		if r.Named == nil {
			return true
		}
		words := larder.Words(*r.Named)
		return len(words) == 0 || !slices.Contains(said, words[len(words)-1])
	})
}

// liquorGone tells whether what is kept is the liquid of a cooking that is not done
// any more.
func (p *plan) liquorGone(i int) bool {
	for _, r := range p.graph.Nodes[i].Action.To {
		if r.Named == nil || !p.isLiquor(*r.Named) {
			return false
		}
	}
	return len(p.graph.Nodes[i].Action.To) > 0 && p.cookingGone(i)
}

func (p *plan) isLiquor(named string) bool {
	words := larder.Words(named)
	return len(words) > 0 && p.l.Language().Liquors[words[len(words)-1]]
}

// cookingGone tells whether a cooking in liquid before an action is not done any
// more, and none since.
func (p *plan) cookingGone(i int) bool {
	for k := i - 1; k >= 0; k-- {
		n := &p.graph.Nodes[k]
		if n.At.Component == p.graph.Nodes[i].At.Component && !p.deeds[k].drop && n.Technique.Family == "wet heat" {
			return false
		}
		if n.At.Component == p.graph.Nodes[i].At.Component && p.deeds[k].drop && (n.Technique.Family == "wet heat" && (n.Liquid || !n.Is("cook")) || n.Technique.Family == "rest" && n.Technique.Medium == "liquid" || p.fromTheTap(n)) {
			return true
		}
	}
	return false
}

// fleshly tells whether words name what only a body has.
func (p *plan) fleshly(named string) bool {
	words := larder.Words(named)
	if at := slices.IndexFunc(words, func(w string) bool { return p.l.Language().Relatives[w] }); at > 0 {
		words = words[:at] // "the fat that is left"
	}
	return len(words) > 0 && p.l.Language().Fleshly[words[len(words)-1]]
}

// itself tells whether words name the piece that is worked on and not something it has:
// "blitz the flesh with the butter".
func (p *plan) itself(named string, n *flow.Node) bool {
	return p.wholePiece(named) && !slices.Contains([]string{"cut", "separate", "clean"}, n.Technique.Family)
}

// wholePiece tells whether words name a piece by its flesh: "flake the flesh into a food processor".
func (p *plan) wholePiece(named string) bool {
	words := larder.Words(named)
	return len(words) > 0 && p.l.Language().Itself[words[len(words)-1]]
}

// fleshBefore is a stand-in for flesh that was worked on before an action in the
// same component, or in any for one that only serves, nil where there is none.
func (p *plan) fleshBefore(i int) *standIn {
	if s := p.fleshAmong(i-1, p.graph.Nodes[i].At.Component); s != nil || !p.onlyServes(i) {
		return s
	}
	for c := range p.dish.Components {
		if s := p.fleshAmong(i-1, c); s != nil {
			return s
		}
	}
	return nil
}

// fleshAt is one that was worked on before an action or is there.
func (p *plan) fleshAt(i int) *standIn {
	return p.fleshAmong(i, p.graph.Nodes[i].At.Component)
}

func (p *plan) fleshAmong(upto, component int) *standIn {
	for k := upto; k >= 0; k-- {
		n := &p.graph.Nodes[k]
		if n.At.Component != component {
			continue
		}
		for _, line := range slices.Concat(n.To, n.Into) {
			if s := p.stand[line]; s != nil && s.flesh() {
				return s
			}
		}
	}
	return nil
}
