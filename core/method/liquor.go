package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// otherLiquor is what stands for the liquid of a cooking that is not done any more, as
// much of it as is said or as there was water.
func (w *writer) otherLiquor(at int, gone bool, said float64) (string, bool) {
	n := &w.graph.Nodes[at]
	u := w.l.SmallUseFor(n.Technique, stockKind, "")
	if u == nil || w.small == nil || !gone && !w.cookingGone(at) {
		return "", false
	}
	use := *u
	if said == 0 {
		said = w.keptMass(at)
	}
	if ml := w.waterGone(at); said > 0 {
		use.Grams = said
	} else if ml > 0 {
		use.Grams = ml
	}
	return w.small(&use, n.Action)
}

// afterLoss names what stands for a liquid that was made by work which is not done any more:
// the liquids of the cook's own that were in it, or as much of another.
func (w *writer) afterLoss(noun recipe.Noun, lines []int, at int) []named {
	if poured := w.poured(lines, at); len(poured) > 0 {
		if measure := strings.TrimSuffix(w.slice(noun.From, noun.Name), w.c.words().The+" "); len(poured) == 1 && noun.Measured && !noun.Rest && strings.TrimSpace(measure) != "" {
			poured[0].text = w.measuredOff(measure, poured[0].text) // "a ladleful of the water"
		}
		return poured
	}
	if text, ok := w.otherLiquor(at, w.meansGone(noun.Refs), w.saidMass(w.slice(noun.From, noun.Upto))); ok {
		return []named{{text: text}}
	}
	return nil
}

// madeGone is what stands for a liquid that the text made of bones that are not there: "make a stock from
// the bones", as much of it as water was said.
func (w *writer) madeGone(n *node, noun recipe.Noun) (string, bool) {
	for _, r := range noun.Refs {
		if r.Made == nil {
			continue
		}
		k := w.boiledFrom(w.nodeOf(*r.Made))
		u := w.l.SmallUseFor(n.Technique, stockKind, "")
		if k < 0 || u == nil || w.small == nil || !w.deeds[k].drop || !w.l.Language().Liquors[w.graph.Nodes[k].Action.Makes] && !w.boiledAlone(k) {
			continue
		}
		use := *u
		if mass := w.waterSaid(k); mass > 0 {
			use.Grams = mass
		}
		text, ok := w.small(&use, n.Action)
		if measure := w.slice(noun.From, noun.Name); ok && noun.Measured && !noun.Rest && strings.TrimSpace(measure) != "" {
			text = w.measuredOff(measure, text) // "a litre of the stock"
		}
		return text, ok
	}
	return "", false
}

// waterSaid is how much the words of an action, or of what led to it, say that there was of a liquid, 0 where they do not.
func (w *writer) waterSaid(k int) float64 {
	n := &w.graph.Nodes[k]
	text := w.textOf(n)
	for _, p := range n.Action.Words.Phrases {
		for _, x := range p.Nouns {
			if mass := w.saidMass(string(text[x.From:min(x.Upto, len(text))])); x.Measured && mass > 0 {
				return mass
			}
		}
	}
	if len(n.Inputs) == 1 && w.boiledAlone(k) {
		return w.waterSaid(n.Inputs[0])
	}
	return 0
}

// boiledFrom is where what an action made comes from through work that is not done: the water in which nothing of the list
// was boiled, also where other things went together with it, else the first before it that is done or takes several.
func (w *writer) boiledFrom(k int) int {
	seen := map[int]bool{}
	var broth func(at int) int
	broth = func(at int) int {
		if at < 0 || seen[at] || !w.deeds[at].drop || w.boiledAlone(at) {
			return at
		}
		seen[at] = true
		for _, in := range w.graph.Nodes[at].Inputs {
			if root := broth(in); root >= 0 && w.deeds[root].drop && w.boiledAlone(root) {
				return root
			}
		}
		return at
	}
	if root := broth(k); root >= 0 && w.deeds[root].drop && w.boiledAlone(root) {
		return root
	}
	for k >= 0 && w.deeds[k].drop && len(w.graph.Nodes[k].Inputs) == 1 {
		k = w.graph.Nodes[k].Inputs[0]
	}
	return k
}

// boiledAlone tells whether an action boiled nothing of the list in water, but the fat it was fried in: the shells that were
// kept.
func (p *plan) boiledAlone(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Technique.Family == "wet heat" && p.boilsTap(i) && !slices.ContainsFunc(n.Holds, func(line int) bool { return !p.c.fatLine(p.line(line)) })
}

// saidMass is the mass that words say of a liquid, 0 where they say none.
func (w *writer) saidMass(words string) float64 {
	l := w.c.reader.Line(words, w.dish.Measures)
	if l.Amount == nil || l.Grams == nil {
		return 0
	}
	return l.Mass()
}

// keptMass is how much of a liquid the words of dropped work before an action kept back:
// "keep 1.2 litres of the stock"; 0 where they do not say.
func (w *writer) keptMass(at int) float64 {
	return w.saidBefore(at, func(n *node) bool { return n.Is("reserve") }, func(noun recipe.Noun, name string) bool { return w.isLiquor(name) })
}

// waterGone is how much water from the tap the words of dropped work before an action
// asked for, in millilitres; 0 where they do not say.
func (w *writer) waterGone(at int) float64 {
	return w.saidBefore(at, w.fromTheTap, func(noun recipe.Noun, _ string) bool { return noun.Measured && onlyNamed(noun) != "" })
}

// saidBefore is the mass that dropped work of the same part says of something, the last first;
// 0 where none does.
func (w *writer) saidBefore(at int, work func(*node) bool, thing func(recipe.Noun, string) bool) float64 {
	for k := at - 1; k >= 0; k-- {
		n := &w.graph.Nodes[k]
		if n.At.Component != w.graph.Nodes[at].At.Component || !w.deeds[k].drop || !work(n) {
			continue
		}
		text := w.textOf(n)
		for _, p := range n.Action.Words.Phrases {
			for _, noun := range p.Nouns {
				if noun.Upto > len(text) || !thing(noun, string(text[noun.Name:noun.Upto])) {
					continue
				}
				if mass := w.saidMass(string(text[noun.From:noun.Upto])); mass > 0 {
					return mass
				}
			}
		}
	}
	return 0
}

// poured names the liquids among lines that are there and stand for nothing.
func (w *writer) poured(lines []int, at int) []named {
	var out []named
	for _, line := range lines {
		if w.stand[line] != nil || !w.there(line, at) || !larder.Pours(w.l.Food(w.line(line).FoodID())) || w.c.fatLine(w.line(line)) {
			continue
		}
		if t, ok := w.ofLine(line, 1); ok {
			out = append(out, t)
		}
	}
	return out
}

// sauceCalled tells whether a name such as "the juices" means what else is in the pan or pot: wine, stock or a
// marinade that stays.
func (p *plan) sauceCalled(name string, i int) bool { return p.isLiquor(name) && p.sauceAt(i) }

// sauceAt tells whether a liquid of the cook's own or what stands for one, and no fat, is in what an action works on
// or goes on from.
func (p *plan) sauceAt(i int) bool {
	n := &p.graph.Nodes[i]
	lines := slices.Concat(n.To, n.With, n.Into)
	for _, in := range n.Inputs {
		lines = append(lines, p.graph.Nodes[in].Holds...)
	}
	return slices.ContainsFunc(lines, func(line int) bool {
		s := p.stand[line]
		return (s == nil || !s.flesh()) && p.there(line, i) && larder.Pours(p.l.Food(p.line(line).FoodID())) && !p.c.fatLine(p.line(line))
	})
}

// juiceOfPan tells whether what a phrase calls juices is what else is in the pan, and not what ran out of a piece that
// was put by.
func (w *writer) juiceOfPan(n *node, p recipe.Phrase, name string) bool {
	first, _, _ := strings.Cut(strings.ToLower(w.slice(p.From, p.Upto)), " ")
	return w.sauceCalled(name, w.nodeOf(n.Action.ID)) && !n.Is("return") && !w.l.Language().Possessives[first]
}

// partStays tells whether a name is that of a part of the dish which is made as it was: "the marinade", in which nothing
// lies any more.
func (p *plan) partStays(name string) bool {
	at := slices.IndexFunc(p.dish.Components, func(c recipe.Component) bool { return strings.EqualFold(c.Name, name) })
	if at < 0 || slices.ContainsFunc(p.inOrder(), func(s *standIn) bool { return p.graph.Lines[s.node].Component == at }) {
		return false
	}
	for i := range p.graph.Nodes {
		if n := &p.graph.Nodes[i]; n.At.Component == at && !p.deeds[i].drop && n.Technique.Family != "control" {
			return true
		}
	}
	return false
}

// lostLiquor names what stands for a liquid that was made by work which is not done any
// more; it says no where that is not what a noun means.
func (w *writer) lostLiquor(n *node, p recipe.Phrase, noun recipe.Noun, at int) (things []named, changed, lost bool) {
	name := w.slice(noun.Name, noun.Upto)
	if noun.Vessel || !w.isLiquor(name) || !w.lost(noun) || w.partStays(name) {
		return nil, false, false
	}
	if w.staysOf(noun.Refs) && len(w.animalWords(name)) == 0 {
		return []named{{text: w.slice(noun.From, w.nounEnd(noun)), plural: noun.Plural}}, false, true
	}
	if text, ok := w.madeGone(n, noun); ok {
		return []named{{text: text}}, true, true
	}
	if lines, made := w.meant(noun); len(lines) > 0 {
		other := w.afterLoss(noun, lines, at)
		return other, true, made && other != nil // "the broth", of which only the spices are left
	}
	if poured := w.poured(w.heldBefore(noun), at); len(poured) > 0 {
		return poured, true, true // the vinegar of "the reserved marinade"
	}
	if other := w.afterLoss(noun, nil, at); w.meansGone(noun.Refs) && len(other) > 0 {
		return other, true, true // "the broth" of nothing but flesh, though something else was cooked since
	}
	things, changed = w.onlySaid(n, p, name, nil) // "the reserved broth" of what is not cooked any more
	return things, changed, true
}
