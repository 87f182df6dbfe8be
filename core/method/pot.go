package method

import (
	"cmp"
	"slices"
	"strings"
	"unicode/utf8"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// saysPot tells whether the words of an action say in which pot or pan it is done.
func (w *writer) saysPot(a *recipe.Action) bool {
	words := larder.Words(a.Vessel)
	return a.Words.Vessel[1] > 0 && len(words) > 0 && w.l.Language().Pots[words[len(words)-1]]
}

// leavesPot keeps the pot of work that goes for the work that stays.
func (w *writer) leavesPot(n *node) {
	if a := n.Action; (n.Technique.Heat != "" || n.Technique.Joins == "yes" || n.Is("place")) && w.saysPot(a) {
		said := lowered(w.slice(a.Words.Vessel[0], a.Words.Vessel[1]))
		if n.Technique.Heat == "" && w.pointsBack(said) {
			return // "add it to the same pan"
		}
		if first, rest, ok := strings.Cut(said, " "); ok && w.l.Language().Prepositions[first] == "into" {
			said = w.c.words().In + " " + rest
		}
		w.pot = said
		if w.rendered(w.graph.Number(n)) {
			w.pot = w.greased(w.pot)
		}
	}
}

// takesPot says where an action is done whose pot stood with work that goes.
func (w *writer) takesPot(n *node) []edit {
	a := n.Action
	if w.inOwnPan(n) {
		w.pot = "" // "in a dry non-stick pan", for butter in a pan
	}
	if a.Words.Vessel[1] > 0 && a.Words.Vessel[0] >= a.From && a.Words.Vessel[1] <= a.Upto && w.pointsBack(w.slice(a.Words.Vessel[0], a.Words.Vessel[1])) {
		said := cmp.Or(w.pot, w.potBefore(n))
		if said == "" && w.firstPan(n) {
			said = w.c.words().InPan
		}
		if w.pot = ""; said != "" {
			return []edit{{a.Words.Vessel[0], a.Words.Vessel[1], said}} // "in the same pan", of work that goes
		}
	}
	if w.intoColdPan(w.graph.Number(n)) {
		return w.heatedIn(n)
	}
	if said := w.potOfGoneWork(n); said != "" {
		w.pot = ""
		return []edit{{a.Words.Vessel[0], a.Words.Vessel[1], said}}
	}
	if w.intoEmptyPan(n) {
		return w.putIntoPan(n)
	}
	if p := w.overLost(n); p != nil {
		return w.pouredIntoPan(a, p)
	}
	if w.intoLostPan(n) {
		w.pot = w.potLost(n)
		return w.putIntoPan(n)
	}
	if n.Technique.Joins == "yes" && w.overFire(n) {
		return nil // the bacon goes into the pot, and the pan stays on the stove
	}
	if a.Vessel != "" || w.overFire(n) {
		w.pot = "" // it goes on with what stands elsewhere
	}
	if w.pot == "" && n.Is("heat") && a.Vessel == "" && w.firstPan(n) {
		w.pot = w.potLost(n) // "heat the rest of the oil", where the casserole was said with the browning
	}
	if w.pot == "" || n.Technique.Heat == "" || n.Technique.Heat == "oven" || a.Words.Verb[1] == 0 {
		return nil
	}
	at := a.Words.Verb[1]
	for _, p := range a.Words.Phrases {
		if p.Role == "to" && p.From >= at && p.Upto <= a.Upto {
			at = p.Upto
		}
	}
	if said := strings.Fields(a.Verb); len(said) > 1 {
		rest := w.slice(at, a.Upto)
		if own := strings.TrimLeft(rest, " "); strings.HasPrefix(strings.ToLower(own), said[len(said)-1]) {
			at += utf8.RuneCountInString(rest) - utf8.RuneCountInString(own) + utf8.RuneCountInString(said[len(said)-1]) // "let them soften"
		}
	}
	said := w.pot
	w.pot = ""
	return []edit{{at, at, " " + said}}
}

// inOwnPan tells whether what stands for a fat is a pan that needs none.
func (w *writer) inOwnPan(n *node) bool {
	return slices.ContainsFunc(n.With, func(line int) bool {
		s := w.stand[line]
		if s == nil || !s.bare {
			return false
		}
		words := larder.Words(s.name)
		return len(words) > 0 && w.l.Language().Pots[words[len(words)-1]]
	})
}

// intoEmptyPan tells whether things go into a pan of their own in which a fat was to be heated, and is not.
func (w *writer) intoEmptyPan(n *node) bool {
	if w.pot == "" || !n.Is("add") || len(n.Inputs) != 1 || n.Action.Words.Verb[1] == 0 || w.deeds[w.graph.Number(n)].say != "" {
		return false
	}
	before := &w.graph.Nodes[n.Inputs[0]]
	return w.deeds[n.Inputs[0]].drop && before.Technique.Family == "gentle heat" && before.Action.Vessel != "" && !slices.ContainsFunc(before.Holds, func(line int) bool { return !w.c.fatLine(w.line(line)) })
}

// intoLostPan tells whether the first things that cook in a pan are added to nothing, as all that was in it before is not
// cooked there any more, nor is the pan said again.
func (w *writer) intoLostPan(n *node) bool {
	return n.Is("add") && len(n.Into) == 0 && len(n.Inputs) == 0 && n.Action.Vessel == "" && n.Action.Words.Verb[1] > 0 && w.deeds[w.graph.Number(n)].say == "" &&
		w.firstPan(n) && w.potLost(n) != "" && slices.ContainsFunc(n.Users, func(k int) bool { return w.graph.Nodes[k].Technique.Family == "dry heat" })
}

// putIntoPan says where they are put: "put the garlic in a large saucepan", for "add the garlic".
func (w *writer) putIntoPan(n *node) []edit {
	a := n.Action
	for _, p := range a.Words.Phrases {
		if p.Role == "to" && p.Upto <= a.Upto {
			said := w.pot
			w.pot = ""
			return []edit{{a.Words.Verb[0], a.Words.Verb[1], w.c.words().Put}, {p.Upto, p.Upto, " " + said}}
		}
	}
	return nil
}

// heatedIn says where a fat is heated that was to be added to a pan already hot: "in the pot", for "to the
// pot".
func (w *writer) heatedIn(n *node) []edit {
	a, said := n.Action, cmp.Or(w.pot, w.potLost(n))
	w.pot = ""
	for _, p := range a.Words.Phrases {
		if p.Role == "to" || p.Upto > a.Upto || !slices.ContainsFunc(p.Nouns, func(noun recipe.Noun) bool { return noun.Vessel }) {
			continue
		}
		return []edit{{p.From, p.Upto, cmp.Or(said, w.c.words().In+" "+w.slice(p.Nouns[0].From, p.Upto))}}
	}
	for _, p := range a.Words.Phrases {
		if p.Role == "to" && said != "" {
			return []edit{{p.Upto, p.Upto, " " + said}}
		}
	}
	return nil
}

// firstPan tells whether nothing of its part of the dish was over a fire before an action.
func (w *writer) firstPan(n *node) bool {
	return !slices.ContainsFunc(w.graph.Nodes[:w.graph.Number(n)], func(o node) bool {
		return o.At.Component == n.At.Component && o.Technique.Heat != "" && o.Technique.Heat != "oven" && !w.deeds[w.graph.Number(&o)].drop
	})
}

// pointsBack tells whether words speak of a vessel as the one that was named before.
func (w *writer) pointsBack(words string) bool {
	return slices.ContainsFunc(strings.Fields(strings.ToLower(words)), func(word string) bool { return w.l.Language().Again[word] })
}

// potBefore is the pot of a step before that an action points back to, where the work that named it
// goes; empty where it stays.
func (w *writer) potBefore(n *node) string {
	for _, same := range []func(a, b string) bool{sameKind, w.sameVessel} { // "the same pan" is rather a pan than a cooker
		for k := w.graph.Number(n) - 1; k >= 0; k-- {
			o := &w.graph.Nodes[k]
			if o.At.Component != n.At.Component || o.Action.Words.Vessel[1] == 0 || !same(o.Action.Vessel, n.Action.Vessel) {
				continue
			}
			if !w.deeds[k].drop {
				return ""
			}
			return w.potWords(o)
		}
	}
	return ""
}

// potOfGoneWork is how the pot of an action was first said, by work that goes, where nothing that stays was cooked since:
// "to an ovenproof frying pan", for "to the pan".
func (w *writer) potOfGoneWork(n *node) string {
	a := n.Action
	if n.Is("return") || !w.saysPot(a) || a.Words.Vessel[0] < a.From || a.Words.Vessel[1] > a.Upto || !w.definite(w.slice(a.Words.Vessel[0], a.Words.Vessel[1])) {
		return ""
	}
	for k := w.graph.Number(n) - 1; k >= 0; k-- {
		o := &w.graph.Nodes[k]
		if o.At.Component != n.At.Component {
			continue
		}
		if !w.deeds[k].drop && (o.Technique.Heat != "" && o.Technique.Heat != "oven" || w.saysPot(o.Action)) {
			return ""
		}
		if !w.saysPot(o.Action) || !sameKind(o.Action.Vessel, a.Vessel) {
			continue
		}
		if said := w.greased(w.potWords(o)); said != "" && !w.definite(said) && !w.pointsBack(said) {
			return w.prepositionOf(w.slice(a.Words.Vessel[0], a.Words.Vessel[1])) + strings.TrimPrefix(said, w.prepositionOf(said))
		}
	}
	return ""
}

// potWords are the words by which an action says its pot, in the midst of a sentence; empty where they are not of its text.
func (w *writer) potWords(n *node) string {
	at, text := n.Action.Words.Vessel, w.textOf(n)
	if at[1] > len(text) {
		return ""
	}
	return lowered(string(text[at[0]:at[1]]))
}

// sameKind tells whether two names are of one kind of vessel: "pan" and "ovenproof frying pan".
func sameKind(a, b string) bool {
	one, other := larder.Words(a), larder.Words(b)
	return len(one) > 0 && len(other) > 0 && one[len(one)-1] == other[len(other)-1]
}

// prepositionOf is the preposition with which words begin, and the space after it.
func (w *writer) prepositionOf(words string) string {
	if first, _, ok := strings.Cut(words, " "); ok && w.l.Language().Prepositions[strings.ToLower(first)] != "" {
		return first + " "
	}
	return ""
}

// definite tells whether words speak of a vessel as one that is known: "to the pan".
func (w *writer) definite(words string) bool {
	fields := strings.Fields(strings.ToLower(words))
	return len(fields) > 1 && w.l.Language().Definite[fields[1]] || len(fields) > 0 && w.l.Language().Definite[fields[0]]
}

// potLost is the pot of the last work of a step before that goes and named one.
func (w *writer) potLost(n *node) string {
	for k := w.graph.Number(n) - 1; k >= 0 && w.deeds[k].drop; k-- {
		o := &w.graph.Nodes[k]
		if o.At.Component == n.At.Component && w.saysPot(o.Action) && o.Technique.Heat != "" {
			return w.potWords(o)
		}
	}
	return ""
}

// sameVessel tells whether two names are of one vessel: "the casserole", of "a deep casserole", or of any
// two that stand on a stove: "the same pan", of a casserole.
func (w *writer) sameVessel(a, b string) bool {
	one, other := larder.Words(a), larder.Words(b)
	if len(one) == 0 || len(other) == 0 {
		return false
	}
	pots := w.l.Language().Pots
	return sameKind(a, b) || pots[one[len(one)-1]] && pots[other[len(other)-1]]
}

// potOfGone is how a pot is said that goes by the name of an animal: "the pan" for "the clam pan"; empty for
// all others.
func (w *writer) potOfGone(noun recipe.Noun) string {
	words := strings.Fields(w.slice(noun.Name, noun.Upto))
	if len(words) < 2 || !w.l.Language().Pots[strings.ToLower(words[len(words)-1])] {
		return ""
	}
	rest := slices.DeleteFunc(slices.Clone(words[:len(words)-1]), func(word string) bool {
		return len(w.animalWords(larder.Capital(word)+".")) > 0
	})
	if len(rest) == len(words)-1 {
		return ""
	}
	return w.slice(noun.From, noun.Name) + strings.Join(append(rest, words[len(words)-1]), " ")
}
