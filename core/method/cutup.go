package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/language"
	"yembra/core/larder"
)

// cutUp is the sentence with which a stand-in that is made whole is cut as the list had what it stands for cut ("4
// sausages, thickly sliced"): empty where that is cut in the method, or the stand-in is in pieces as it is.
func (p *plan) cutUp(s *standIn) string {
	if !s.is(larder.Carved) || s.chosen == nil || slices.ContainsFunc(p.path(s.node), func(k int) bool {
		return p.graph.Nodes[k].Technique.Family == "cut" && slices.Contains(p.graph.Nodes[k].Named, s.node) && !p.deeds[k].drop
	}) {
		return ""
	}
	for clause := range strings.SplitSeq(strings.ToLower(s.was.Preparation), ",") {
		words := strings.Fields(clause)
		at := slices.IndexFunc(words, func(w string) bool { return p.cutAs(s, w) != "" })
		if at < 0 {
			continue
		}
		how := words[:at]
		for k, w := range how { // "skinned and thickly sliced"
			if p.l.Language().Conjunctions[w] {
				how = words[k+1 : at]
			}
		}
		if len(p.animalWords(strings.Join(words, " "))) > 0 {
			return "" // "cut into steaks"
		}
		said := append([]string{p.cutAs(s, words[at]), p.c.words().The, s.name}, how...)
		return " " + larder.Capital(strings.Join(append(said, words[at+1:]...), " ")) + "."
	}
	return ""
}

// laidToBeCut tells whether an action lays what was replaced where it was to be beaten or cut right after, which is not done
// any more: "lay the escalopes between two sheets of paper and beat them thin".
func (p *plan) laidToBeCut(i int) bool {
	n := &p.graph.Nodes[i]
	if !n.Is("place") || len(n.Users) != 1 || len(n.Into) > 0 || len(n.To) == 0 {
		return false
	}
	next := &p.graph.Nodes[n.Users[0]]
	if next.At != n.At || next.Technique.Family != "cut" || len(next.To) != len(n.To) || !p.betweenSheets(n) && slices.ContainsFunc(next.Users, func(k int) bool {
		return slices.ContainsFunc(n.To, func(line int) bool { return slices.Contains(p.graph.Nodes[k].Into, line) })
	}) {
		return false // "beat them out and divide the stuffing between them": it lies there still
	}
	return !slices.ContainsFunc(n.To, func(line int) bool {
		s := p.stand[line]
		return s == nil || s.gone || !p.dropped(s, n.Users[0])
	})
}

// betweenSheets tells whether an action lays something between sheets of paper or film, where it does not stay.
func (p *plan) betweenSheets(n *node) bool {
	return slices.ContainsFunc(larder.Words(flow.Said(n.Action)), func(w string) bool { return p.l.Language().Sheets[w] })
}

// cutAs is the verb with which a stand-in is cut where a word of the list says that the original was ("diced": slice);
// empty where it says nothing of the kind.
func (p *plan) cutAs(s *standIn, word string) string {
	for _, r := range p.l.Language().Verb(word) {
		if r.Form != language.Past {
			continue
		}
		senses := p.l.Language().Senses(r.Lemma)
		plain := slices.IndexFunc(senses, func(s language.Sense) bool { return len(s.Keys) == 0 })
		if plain < 0 {
			continue
		}
		way := p.l.Technique(senses[plain].Technique)
		if way == nil || way.Family != "cut" {
			continue
		}
		rule := p.l.CarryRuleFor(way, r.Lemma, s.chosen.Use, s.class, s.states)
		switch {
		case rule == nil || rule.Then == larder.CarryDrop:
		case rule.Then == larder.CarrySay:
			return rule.Does()
		default:
			return r.Lemma
		}
	}
	return ""
}
