package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// dealtOut tells whether what an action works on was divided among glasses or plates with nothing cooked or mixed behind that.
func (p *plan) dealtOut(at int) bool {
	n := &p.graph.Nodes[at]
	if n.Is("divide") && len(n.Action.Into) > 0 || n.Is("remove") && p.intoSeveral(n) { // "lift the mussels into bowls"
		return !p.stirredLater(at)
	}
	return n.Technique.Heat == "" && slices.ContainsFunc(n.Inputs, p.dealtOut)
}

// stirredLater tells whether what an action made is cooked or mixed later, and not only added to.
func (p *plan) stirredLater(at int) bool {
	return slices.ContainsFunc(p.graph.Nodes[at].Users, func(k int) bool {
		t := p.graph.Nodes[k].Technique
		return t.Heat != "" || t.Family == "machine" || t.Family == "mix" && t.Joins != "yes" || p.stirredLater(k)
	})
}

// intoSeveral tells whether an action puts something into several vessels at once.
func (p *plan) intoSeveral(n *flow.Node) bool {
	return slices.ContainsFunc(n.Action.Into, func(r recipe.Ref) bool {
		if r.Named == nil || strings.TrimSpace(*r.Named) == "" {
			return false
		}
		said := strings.Fields(strings.ToLower(*r.Named))
		one := larder.Singular(said[len(said)-1])
		return one != said[len(said)-1] && p.l.Language().Vessels[one]
	})
}

// eachOf is how something is named that stands for a thing of which the cook says that each is meant: "each of the slabs", for
// "each breast"; as it is named where it is one, or not all of it is meant.
func (w *writer) eachOf(noun recipe.Noun, s *standIn, t named, all bool) named {
	if noun.Plural || noun.Pronoun || !t.plural || !all || s.bare || slices.ContainsFunc(strings.Fields(s.name), func(word string) bool { return w.l.Language().Conjunctions[word] }) {
		return t // no "each of the mushrooms and tempeh"
	}
	if s.flesh() && s.chosen != nil && !slices.Contains(oneForEach, s.chosen.Use) {
		return t // a leg of a bird is many pieces now
	}
	for _, word := range strings.Fields(strings.ToLower(w.slice(noun.From, noun.Name))) {
		if w.l.Language().Singly[word] {
			t.text = strings.Join([]string{word, w.c.words().Of, w.c.words().The, s.name}, " ")
		}
	}
	return t
}

// dealtOf is how much of a stand-in goes to each: one of as many pieces as there were, "an egg into each", else some.
func (w *writer) dealtOf(noun recipe.Noun, s *standIn) string {
	if !noun.Plural && s.plural && s.chosen != nil && (s.is(larder.Rounds) || slices.Contains(oneForEach, s.chosen.Use)) {
		return w.c.words().OneOf
	}
	return w.c.words().Some
}

// fewOfOne tells whether words count pieces with no "of", and what stands for them is said as one: "a few pieces", of a sausage.
func (w *writer) fewOfOne(noun recipe.Noun, s *standIn) bool {
	return noun.Plural && !s.plural && !strings.Contains(w.ownMeasure(noun), " "+w.c.words().Of+" ")
}

// oneForEach are the uses in which what stands for pieces of flesh is as many flat pieces.
var oneForEach = []string{steakUse, "breaded", "fillet", "rolled"}
