package method

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/language"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// bareVerb is a verb without a preposition behind it that leads to nothing now: "cook" of
// "cook in the oven"; or what a thing is left to: "putter" of "leave to putter".
func (w *writer) bareVerb(verb string) string {
	if said := strings.Fields(verb); len(said) > 1 && w.l.Language().Causatives[said[0]] {
		return said[len(said)-1]
	}
	if first, last, ok := strings.Cut(verb, " "); ok && w.l.Language().Prepositions[last] != "" && w.cooks(first) {
		return first
	}
	return verb
}

// cooks tells whether a verb by itself is one of heat.
func (w *writer) cooks(verb string) bool {
	return slices.ContainsFunc(w.l.Language().Verb(verb), func(r language.Reading) bool {
		return slices.ContainsFunc(w.l.Language().Senses(r.Lemma), func(s language.Sense) bool {
			t := w.l.Technique(s.Technique)
			return t != nil && t.Heat != "" && len(s.Keys) == 0
		})
	})
}

// goesOn is the clause that gives the last minutes of a cooking.
func (w *writer) goesOn(n *node, minutes float64) *clause {
	words, verb := w.c.words(), w.bareVerb(n.Action.Verb)
	if !w.cooks(verb) && w.cooks(n.Technique.Name) && verb != n.Action.Verb {
		verb = n.Technique.Name // "let it tick over"
	}
	return &clause{node: -1, changed: true, text: fmt.Sprintf("%s %s %s %s", verb, words.For, w.c.spoken(measure.Exactly(minutes)), words.More)}
}

// moreGoesIn tells whether more of a fat goes in right before what would take along what dropped work had
// of it: "add the rest of the oil and fry the onions".
func (p *plan) moreGoesIn(line, i, k int) bool {
	before := slices.Clone(p.graph.Nodes[k].Inputs)
	if k > 0 && p.graph.Nodes[k-1].At == p.graph.Nodes[k].At && p.graph.Nodes[k-1].Technique.Joins == "yes" {
		before = append(before, k-1) // into the pan, wherever the rest is
	}
	for _, in := range before {
		if o := &p.graph.Nodes[in]; o.At == p.graph.Nodes[k].At && o.Technique.Joins == "yes" {
			before = append(before, slices.DeleteFunc(slices.Clone(o.Inputs), func(k int) bool { return !p.graph.Nodes[k].Is("place") })...) // "put the rest of the butter in the pan, add the onions and let them go soft"
		}
	}
	return p.c.fatLine(p.line(line)) && slices.ContainsFunc(before, func(in int) bool {
		return !p.deeds[in].drop && in > i && slices.Contains(p.graph.Nodes[in].Named, line)
	})
}

// addsRest tells whether an action adds the rest of something: "add the remaining oil".
func (p *plan) addsRest(n *flow.Node) bool {
	return slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool {
		return x.Role == "to" && slices.ContainsFunc(x.Nouns, func(noun recipe.Noun) bool { return noun.Rest })
	})
}
