package method

import (
	"strings"
	"unicode/utf8"

	"yembra/core/recipe"
)

// goneManners takes out how an action is done where that speaks of what is gone.
func (w *writer) goneManners(n *node) []edit {
	var out []edit
	a := n.Action
	for _, p := range a.Words.Phrases {
		if p.Role == "into" && p.From >= a.From && w.setAlready(n, w.slice(p.From, p.Upto)) {
			out = append(out, edit{p.From, p.Upto, ""}) // "through the tines of a fork"
		}
	}
	for _, at := range a.Words.Manners {
		for _, end := range [][2]int{a.Words.Cue, a.Words.Time} {
			if end[1] > 0 && end[0] > at[0] && end[0] < at[1] {
				at[1] = at[0] + utf8.RuneCountInString(strings.TrimRight(w.slice(at[0], end[0]), " ,")) // "spooning it over the fish, until sticky"
			}
		}
		if at[0] < a.From || at[1] > a.Upto {
			continue
		}
		renamed := w.renamedIn(n, at)
		if from := w.whenGone(n, at); from > 0 {
			out = append(out, edit{from, at[1], ""})
		} else if w.mannerGone(n, at, len(renamed) > 0) {
			out = append(out, edit{w.withJoint(a, at[0], at[1]), at[1], ""})
		} else {
			out = append(append(append(out, renamed...), w.cutsByName(at[0], at[1])...), w.runsBy(n, at[0], at[1])...)
		}
	}
	return out
}

// mannerGone tells whether words that say how an action is done speak of what is not there, and nothing stands in its place in
// them.
func (w *writer) mannerGone(n *node, at [2]int, renamed bool) bool {
	text := w.slice(at[0], at[1])
	for _, gone := range []func(*node, string) bool{w.gonePlay, w.cutsWhatIsNotThere, w.countsGone, w.setAlready, w.howFar, w.afterItEnds} {
		if gone(n, text) {
			return true
		}
	}
	number := w.graph.Number(n)
	switch {
	case w.remnant(text) && (w.inWhatIsLeft(number) || w.nothingPouredOff(number)):
		return true
	case !renamed && (len(w.animalWords(text)) > 0 && w.namesAnimal(text) || w.partsOfEggsGone(n, text)):
		return true
	}
	return w.tellsOfGone(n, at[0]) || w.tellsOfFat(n, at[0]) || w.leftOfFat(at)
}

// whenGone is where words begin, with the conjunction before them, that end an action and say when the next is done, which is not
// done any more: "lift it out and, when cool enough to handle, pull off the meat"; 0 for others.
func (w *writer) whenGone(n *node, at [2]int) int {
	next := w.graph.Number(n) + 1
	if next >= len(w.graph.Nodes) || w.graph.Nodes[next].At != n.At || !w.deeds[next].drop {
		return 0
	}
	lang := w.l.Language()
	before := strings.TrimRight(w.slice(n.Action.From, at[0]), " ")
	joint, ok := strings.CutSuffix(before, ",")
	words := strings.Fields(strings.ToLower(joint))
	first, _, _ := strings.Cut(strings.ToLower(w.slice(at[0], at[1])), " ")
	if !ok || len(words) < 2 || !lang.Conjunctions[words[len(words)-1]] || lang.Subordinators[first] != recipe.Condition {
		return 0
	}
	return n.Action.From + utf8.RuneCountInString(joint) - utf8.RuneCountInString(words[len(words)-1]) - 1
}
