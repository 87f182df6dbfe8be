package method

import (
	"cmp"
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// heatsFat is ownFat, noted for the action at hand.
func (w *writer) heatsFat(i int) []*clause {
	out := w.ownFat(i)
	w.oiled = len(out) > 0
	return out
}

// ownFat is the clause with which a fat comes into the pan where flesh would have fried in
// its own and others after it: "fry the bacon until the fat runs, add the onion".
func (w *writer) ownFat(i int) []*clause {
	if c := w.heatsAlong(i); c != nil {
		return []*clause{c}
	}
	if !w.friesInRunOut(i) && !w.friesInPaste(i) || w.fatPut && w.leanNow(i) {
		return nil
	}
	fat, ok := w.fatToFry(i)
	if !ok {
		return nil
	}
	text := w.c.words().HeatFat + " " + fat
	if w.pot != "" {
		text, w.pot = text+" "+w.greased(w.pot), ""
	}
	return []*clause{{node: -1, changed: true, text: text, leads: true}}
}

// fatToFry is a fat that the dish fries with where flesh had its own.
func (w *writer) fatToFry(i int) (string, bool) {
	u := w.l.SmallUseFor(w.l.Technique(fryTechnique), fatKind, larder.Fat)
	if u == nil || w.small == nil {
		return "", false
	}
	return w.small(u, w.graph.Nodes[i].Action)
}

// putWithFat says of what is put into a pan to fry there in its own fat, and has none, that fat goes in with it: "put the tempeh
// in a cold pan with the oil and cook until crisp".
func (w *writer) putWithFat(i int, own *clause) {
	n := &w.graph.Nodes[i]
	if own.gone || n.Technique.Heat != "" || n.Action.Heat != "" || n.Action.Vessel == "" || len(n.Users) == 0 || w.fatIn(i) {
		return
	}
	next := n.Users[0]
	if w.graph.Nodes[next].At != n.At || !w.leanNow(next) || w.saysFat(&w.graph.Nodes[next]) {
		return
	}
	if fat, ok := w.fatToFry(next); ok {
		own.text, own.changed, w.fatPut = own.text+" "+w.c.words().With+" "+fat, true, true
	}
}

// heatsAlong is the clause that heats a fat which came along with a browning that is not done, where what fries in it now is
// put into an empty pan: "heat the oil in a pot, add the onion and let it colour".
func (w *writer) heatsAlong(i int) *clause {
	n := &w.graph.Nodes[i]
	if !n.Is("add") || n.Action.Words.Verb[0] > n.Action.From || len(n.Users) == 0 || n.Action.Vessel != "" || len(w.deeds[i].along) > 0 || !w.firstPan(n) || slices.ContainsFunc(n.Inputs, func(in int) bool { return !w.deeds[in].drop }) {
		return nil
	}
	d := &w.deeds[n.Users[0]]
	at := slices.IndexFunc(d.along, w.fries)
	if d.drop || at < 0 || !cookedDry(&w.graph.Nodes[n.Users[0]]) {
		return nil
	}
	fat, ok := w.ofLine(d.along[at], 1)
	if !ok {
		return nil
	}
	text := w.c.words().HeatFat + " " + fat.text
	if pot := cmp.Or(w.pot, w.potLost(n)); pot != "" {
		text += " " + w.greased(pot)
	}
	w.pot, d.along = "", slices.Delete(slices.Clone(d.along), at, at+1)
	return &clause{node: -1, changed: true, text: text, objects: []named{fat}}
}

// greased is how a pan is said that a fat comes into: "in a pan" for "in a dry pan".
func (w *writer) greased(pot string) string {
	return strings.Join(slices.DeleteFunc(strings.Fields(pot), func(word string) bool { return w.l.Language().Greaseless[word] }), " ")
}

// rendersFrom is the fat in 100 g of flesh from which it fries in its own; an estimate.
const rendersFrom = 15.0

// friesInRunOut tells whether an action is the first to be done behind a frying that is
// not done any more, goes on dry in the same pan, and has no fat of its own.
func (p *plan) friesInRunOut(i int) bool {
	n := &p.graph.Nodes[i]
	if len(p.deeds[i].subject) > 0 && p.rendered(i) || p.leanNow(i) && !p.saidDry(n) && !p.saysFat(n) || p.leanWithOthers(i) {
		return true // the onions that were to fry with the bacon
	}
	if p.inWhatIsLeft(i) {
		return true
	}
	before := slices.IndexFunc(n.Inputs, p.renderedTo)
	if before < 0 && !p.spoonedOff(i) && !p.inItsPan(i) || p.fatIn(i) || n.Liquid || n.Technique.Medium == "liquid" {
		return false
	}
	if n.Technique.Joins == "yes" {
		return len(n.Users) > 0 && (n.Action.Minutes != nil || p.driesOn(n.Users[0]))
	}
	return p.dryOver(i)
}

// leanNow tells whether an action fried flesh in its own fat and fries what has none of it now.
func (p *plan) leanNow(i int) bool {
	return !p.deeds[i].drop && p.rendered(i) && !slices.ContainsFunc(p.subjects(i), func(line int) bool { return p.stand[line] == nil || !p.fatless(p.stand[line]) })
}

// fatless tells whether a stand-in is fried in the dish and brings no fat for that: it was neither browned in some nor made with it.
func (p *plan) fatless(s *standIn) bool {
	if s.unfired || s.Browned {
		return s.unfired
	}
	all, fat := 0.0, 0.0
	for _, k := range s.lines {
		l := &p.a.Components[s.component].Lines[k]
		if f := p.l.Food(l.FoodID()); f != nil {
			all, fat = all+l.Mass(), fat+l.Mass()*larder.Or(f.Per100.Fat, 0)/100
		}
	}
	return fat*100 < rendersFrom*all
}

// saidDry tells whether an action says that its pan holds no fat.
func (p *plan) saidDry(n *flow.Node) bool {
	return slices.ContainsFunc(larder.Words(n.Action.Vessel), func(word string) bool { return p.l.Language().Greaseless[word] })
}

// spoonedOff tells whether fat of flesh that gives none now was to be taken off just before an action, all but what it wants:
// "spoon out all but a tablespoon of the fat".
func (p *plan) spoonedOff(i int) bool {
	if i == 0 || !p.deeds[i-1].drop || p.graph.Nodes[i-1].At.Component != p.graph.Nodes[i].At.Component {
		return false
	}
	off := &p.graph.Nodes[i-1]
	return (off.Technique.Takes == "part" || off.Technique.Takes == "none") && slices.ContainsFunc(off.Action.To, p.namesFat)
}

// renderedTo tells whether flesh was fried in its own fat by an action that is not done, or by one before it
// on which it went on: "fry the bacon till its fat runs, add the pork and brown it".
func (p *plan) renderedTo(in int) bool {
	return p.leanNow(in) && p.saidDry(&p.graph.Nodes[in]) || p.deeds[in].drop && (p.rendered(in) || slices.ContainsFunc(p.graph.Nodes[in].Inputs, p.renderedTo))
}

// inWhatIsLeft tells whether an action fries in the fat that flesh of before left in the pan, by no name of
// its own, and that is not fried any more: "fry the onion in what is left".
func (p *plan) inWhatIsLeft(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Technique.Family == "dry heat" && !p.fatIn(i) && slices.ContainsFunc(n.Action.Manner, p.remnant) &&
		slices.ContainsFunc(p.graph.Nodes[:i], func(o flow.Node) bool {
			k := p.graph.Number(&o)
			return o.At.Component == n.At.Component && p.deeds[k].drop && p.rendered(k)
		})
}

// inItsPan tells whether an action is the first to be done in a pan in which flesh was to leave its fat: "cook the bacon in a
// skillet; add the mushrooms to the skillet".
func (p *plan) inItsPan(i int) bool {
	n := &p.graph.Nodes[i]
	pan := func(o *flow.Node) string {
		words := larder.Words(o.Action.Vessel)
		if len(words) == 0 || !p.l.Language().Pots[words[len(words)-1]] {
			return ""
		}
		return words[len(words)-1]
	}
	if pan(n) == "" || len(n.Inputs) > 0 && n.Technique.Joins == "yes" {
		return false
	}
	for k := i - 1; k >= 0 && p.graph.Nodes[k].At.Component == n.At.Component; k-- {
		if o := &p.graph.Nodes[k]; p.deeds[k].drop && p.rendered(k) && (pan(o) == pan(n) || slices.ContainsFunc(o.Inputs, func(in int) bool { return pan(&p.graph.Nodes[in]) == pan(n) })) {
			return true
		}
		if p.deeds[k].drop || p.graph.Nodes[k].Technique.Heat == "" && pan(&p.graph.Nodes[k]) != pan(n) {
			continue
		}
		return false
	}
	return false
}

// remnant tells whether words end in those for what a pan still holds.
func (p *plan) remnant(how string) bool {
	return slices.ContainsFunc(p.l.Language().Remnants, func(words language.List) bool {
		return strings.HasSuffix(strings.ToLower(how), strings.Join(words, " "))
	})
}

// driesOn tells whether what goes into a pan cooks there without a liquid, by an action or by one that follows
// on it where that one is not done or puts more in.
func (p *plan) driesOn(i int) bool {
	n := &p.graph.Nodes[i]
	if (p.deeds[i].drop || n.Technique.Joins == "yes" && !n.Liquid) && len(n.Users) > 0 {
		return p.driesOn(n.Users[0])
	}
	return p.dryOver(i)
}

// dryOver tells whether an action cooks things of the cook's own without a liquid.
func (p *plan) dryOver(i int) bool {
	return p.cooksDry(i) && !p.deeds[i].drop && !p.fatIn(i)
}

// cooksDry tells whether an action of the original does so.
func (p *plan) cooksDry(i int) bool {
	n := &p.graph.Nodes[i]
	own := slices.ContainsFunc(n.To, func(line int) bool {
		s := p.stand[line]
		return s != nil && s.unfired && p.there(line, i) || s == nil && !p.dusts(line) && !p.c.fatLine(p.line(line))
	})
	return own && !n.Liquid && n.Technique.Heat != "" && n.Technique.Heat != "oven"
}

// rendered tells whether an action fries nothing but flesh in the fat that runs out of it.
func (p *plan) rendered(i int) bool {
	n := &p.graph.Nodes[i]
	overHeat := n.Technique.Family == "dry heat" || !n.Liquid && (n.Is("cook") || n.Is("place") && n.Action.Heat != "")
	if !overHeat || p.fatIn(i) || len(n.To) == 0 {
		return false
	}
	return !slices.ContainsFunc(p.subjects(i), func(line int) bool {
		s, f := p.stand[line], p.l.Food(p.line(line).FoodID())
		return s == nil || !s.flesh() || f == nil || larder.Or(f.Per100.Fat, 0) < rendersFrom
	})
}

// fatIn tells whether an action works on, or with, a fat to fry in.
func (p *plan) fatIn(i int) bool {
	n := &p.graph.Nodes[i]
	return slices.ContainsFunc(slices.Concat(n.To, n.With), p.fries)
}

// addsFat tells whether fat that ran out of flesh goes back into the pan to fry others in.
func (p *plan) addsFat(n *flow.Node, named string) bool {
	words := larder.Words(named)
	next := p.graph.Number(n) + 1
	return n.Technique.Joins == "yes" && len(words) > 0 && p.l.Language().Fats[words[len(words)-1]] && next < len(p.graph.Nodes) && p.graph.Nodes[next].At == n.At && p.cooksDry(next)
}

// friesInPaste tells whether an action fries in a fat for which a paste stands that does not fry, and no other fat is
// there: what is left of the paste goes in later.
func (p *plan) friesInPaste(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "dry heat" && !(n.Is("cook", "soften", "sweat") && !n.Liquid) || p.fatIn(i) || p.deeds[i].drop {
		return false
	}
	return slices.ContainsFunc(slices.Concat(n.With, n.Into), func(line int) bool {
		s := p.stand[line]
		return s != nil && !s.gone && s.is(larder.NoFat) && p.c.fatLine(s.was) && s.Dissolves
	})
}

// onlyFatTo tells whether an action is done to fats and nothing else.
func (p *plan) onlyFatTo(n *flow.Node) bool {
	return !slices.ContainsFunc(n.To, func(line int) bool { return !p.c.fatLine(p.line(line)) })
}

// knobOfPaste tells whether a phrase names no more than some of a butter for which a paste stands, in which nothing fries: oil is
// heated instead, and the paste keeps for the rest of the dish.
func (w *writer) knobOfPaste(p recipe.Phrase, at int) bool {
	return (p.Role == "in" || p.Role == "with") && len(p.Nouns) > 0 && !slices.ContainsFunc(p.Nouns, func(noun recipe.Noun) bool {
		return len(noun.Refs) != 1 || !w.someOfPaste(noun.Refs[0], at)
	})
}

// someOfPaste tells whether some of a butter is meant, to fry in, for which a paste stands.
func (w *writer) someOfPaste(r recipe.Ref, at int) bool {
	if r.Line == nil || r.Share >= nearlyAll || !w.oiled || !w.friesInPaste(at) {
		return false
	}
	s := w.stand[w.graph.Named(*r.Line)]
	return s != nil && s.is(larder.NoFat)
}
