package method

import (
	"slices"
	"strings"

	"yembra/core/recipe"
)

// intoItsPot says where something is poured that was to go over flesh which is not there, if that lay in a pot of its own: "pour
// into the slow cooker", for "pour over the meat"; nil for all else.
func (w *writer) intoItsPot(n *node) []edit {
	a, at := n.Action, w.graph.Number(n)
	if n.Technique.Joins != "yes" || a.Words.Verb[1] == 0 || a.Words.Verb[1] > a.Upto || len(n.Into) == 0 {
		return nil
	}
	flesh := slices.DeleteFunc(slices.Clone(n.Into), func(line int) bool { return w.c.fatLine(w.line(line)) })
	if len(flesh) == 0 || slices.ContainsFunc(flesh, func(line int) bool { s := w.stand[line]; return s == nil || !s.flesh() || w.there(line, at) }) {
		return nil
	}
	for k := at - 1; k >= 0; k-- {
		o := &w.graph.Nodes[k]
		if o.At.Component != n.At.Component || !w.saysPot(o.Action) || !slices.ContainsFunc(o.To, func(line int) bool { return slices.Contains(flesh, line) }) {
			continue
		}
		said := w.potWords(o)
		if o.Technique.Heat != "" || said == "" || w.pointsBack(said) {
			return nil // it was cooked there, in the pan that is at hand
		}
		return []edit{{a.Words.Verb[1], a.Upto, " " + w.c.words().Inside + " " + strings.TrimPrefix(said, w.prepositionOf(said))}}
	}
	return nil
}

// overLost is where it says of a liquid that it is poured over what is not there, in a pan that stood with the laying of that:
// "over the milk"; nil for others.
func (w *writer) overLost(n *node) *recipe.Phrase {
	at := w.graph.Number(n)
	if !n.Is("pour") || w.pot == "" || n.Action.Vessel != "" || n.Action.Words.Verb[1] == 0 || len(n.Into) == 0 || w.deeds[at].say != "" || len(n.Action.Words.Phrases) != 1 ||
		slices.ContainsFunc(n.Into, func(line int) bool { return w.there(line, at) }) {
		return nil
	}
	p := &n.Action.Words.Phrases[0]
	if p.Role != "into" || p.Upto > n.Action.Upto || len(p.Nouns) != 1 {
		return nil
	}
	lines, _ := w.meant(p.Nouns[0])
	if !slices.Equal(lines, n.To) {
		return nil
	}
	return p
}

// pouredIntoPan says where it goes: "put the milk in a wide pan".
func (w *writer) pouredIntoPan(a *recipe.Action, p *recipe.Phrase) []edit {
	said := w.pot
	w.pot = ""
	return []edit{{a.Words.Verb[0], p.Nouns[0].From, w.c.words().Put + " "}, {p.Upto, p.Upto, " " + said}}
}

// intoWhatItIs tells whether a pronoun that says what is worked is read as the thing into which it goes itself: it means what
// went in with that, "put the legs in a bowl with the sauce and rub it into the cuts".
func (w *writer) intoWhatItIs(noun recipe.Noun, at int) bool {
	a := w.graph.Nodes[at].Action
	if len(noun.Refs) != 1 || noun.Refs[0].Made == nil || noun.Rest || strings.ToLower(w.slice(noun.From, noun.Upto)) != w.c.words().It {
		return false
	}
	said := slices.ContainsFunc(a.Words.Phrases, func(p recipe.Phrase) bool { return p.Role == "to" && p.From <= noun.From && noun.Upto <= p.Upto })
	return said && slices.ContainsFunc(a.Into, func(r recipe.Ref) bool { return r.Made != nil && *r.Made == *noun.Refs[0].Made })
}
