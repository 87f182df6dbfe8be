package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// keptNoMore tells whether a noun means fat that was to be kept of flesh which gives none now.
func (w *writer) keptNoMore(noun recipe.Noun) bool {
	return len(noun.Refs) > 0 && !slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool {
		at := -1
		if r.Made != nil {
			at = w.nodeOf(*r.Made)
		}
		if at < 0 || len(w.graph.Nodes[at].Holds) > 0 || w.fleshBefore(at) == nil {
			return true
		}
		return slices.ContainsFunc(w.graph.Nodes[at].Action.To, func(to recipe.Ref) bool { return !w.namesFat(to) })
	})
}

// insteadOfKept is another fat where some of what was to be kept of flesh is measured off for work that wants it: "whisk 3
// tablespoons of it"; none where the dish was only to be drizzled with it.
func (w *writer) insteadOfKept(n *node, noun recipe.Noun) []named {
	measure, u := w.ownMeasure(noun), w.l.SmallUseFor(n.Technique, fatKind, "")
	if measure == "" || n.Technique.Family != "mix" || u == nil || w.small == nil {
		return nil // "drizzle with the red oil", that was to be kept
	}
	use := *u
	use.Grams = w.saidMass(w.slice(noun.From, noun.Name) + w.l.Food(u.Foods[0]).Name)
	use.Foods = slices.DeleteFunc(slices.Clone(u.Foods), func(id string) bool {
		return slices.ContainsFunc(w.a.Components[w.component].Lines, func(l swap.Line) bool { return l.FoodID() == id && l.Change != swap.Dropped })
	})
	text, ok := w.small(&use, n.Action)
	if !ok || use.Grams == 0 {
		return nil
	}
	return []named{{text: text}}
}

// flavouredName is the name of a fat that something was stirred into, after what stands for it: "the mint oil" for the mint
// butter; empty for any other.
func (w *writer) flavouredName(name string, noun recipe.Noun) string {
	words, lines := strings.Fields(name), []int{}
	for _, r := range noun.Refs {
		if r.Made != nil && w.nodeOf(*r.Made) >= 0 {
			lines = append(lines, w.graph.Nodes[w.nodeOf(*r.Made)].Holds...)
		}
	}
	if len(words) < 2 || len(lines) < 2 || len(w.animalWords(strings.Join(words[:len(words)-1], " "))) > 0 {
		return ""
	}
	last := larder.Singular(larder.Fold(words[len(words)-1]))
	flavour := slices.ContainsFunc(lines, func(line int) bool {
		return w.stand[line] == nil && slices.Contains(larder.Words(w.line(line).Name), larder.Singular(larder.Fold(words[0])))
	})
	for _, line := range lines {
		s := w.stand[line]
		if s == nil || s.gone || !w.fries(line) {
			continue
		}
		if own := larder.Words(s.was.Name); flavour && own[len(own)-1] == last {
			called := strings.Fields(s.name)
			return strings.Join(words[:len(words)-1], " ") + " " + called[len(called)-1]
		}
	}
	return ""
}

// keepsOfGone tells whether an action keeps the fat that runs off flesh which is not drained any more.
func (p *plan) keepsOfGone(i int) bool {
	n := &p.graph.Nodes[i]
	if !n.Is("reserve") || len(n.Holds) > 0 || i == 0 || !p.deeds[i-1].drop || p.fleshBefore(i) == nil {
		return false
	}
	return slices.ContainsFunc(n.Action.To, p.namesFat)
}

// namesFat tells whether a reference is to a fat that only the words name.
func (p *plan) namesFat(r recipe.Ref) bool {
	if r.Named == nil {
		return false
	}
	words := larder.Words(*r.Named)
	return len(words) > 0 && p.l.Language().Fats[words[len(words)-1]]
}

// onlyNamedThing writes matter that only the words name, and remembers where a fat ended that goes by another name now.
func (w *writer) onlyNamedThing(n *node, p recipe.Phrase, noun recipe.Noun, kept []named) ([]named, bool) {
	name := onlyNamed(noun)
	if words := larder.Words(name); len(words) > 0 && w.oilOfTin(n, p, words[len(words)-1]) {
		return w.otherFat(n, w.graph.Number(n), kept)
	}
	things, changed := w.onlySaid(n, p, name, kept)
	if words := larder.Words(name); changed && len(words) > 0 && w.l.Language().Fats[words[len(words)-1]] {
		w.fatAt = noun.Upto
	}
	return things, changed
}

// without is what stands for a phrase of which nothing is left: frying goes on in
// the same pan, where no other fat is there.
func (w *writer) without(n *node, p recipe.Phrase) string {
	if n.Technique.Medium != "fat" || p.Role != "in" && p.Role != "with" || n.Technique.Family != "dry heat" {
		return ""
	}
	at := w.nodeOf(n.Action.ID)
	if slices.ContainsFunc(w.graph.Nodes[at].With, func(line int) bool { return w.there(line, at) && w.fries(line) }) {
		return ""
	}
	return w.c.words().SamePan
}

// fatOfGone is what a fat is now that only the words name and that flesh before it would have given; it says no where
// something else is to be said of it.
func (w *writer) fatOfGone(n *node, p recipe.Phrase, name string, kept []named) (things []named, changed, said bool) {
	at := w.graph.Number(n)
	switch {
	case p.Role != "to" && slices.ContainsFunc(n.To, func(line int) bool {
		return w.c.fatLine(w.line(line)) && slices.Contains(n.Named, line) && w.there(line, at)
	}):
		return nil, true, true // "melt the butter in the bacon fat", of which there is none
	case n.Technique.Heat != "" && (n.Technique.Family != "wet heat" || cookedDry(n)) && p.Role != "to", w.addsFat(n, name):
		things, changed = w.otherFat(n, at, kept)
		return things, changed, true
	}
	gone := w.fatOfNoName(larder.Words(name))
	return nil, gone, gone // "drizzle with the red oil", of a sausage that gives none
}

// oilOfTin tells whether a phrase speaks of the oil that flesh came packed in, which goes in by this action and for which
// something else stands: "flake in the tuna with some of its oil".
func (w *writer) oilOfTin(n *node, p recipe.Phrase, last string) bool {
	lang := w.l.Language()
	owned := slices.ContainsFunc(larder.Words(w.slice(p.From, p.Upto)), func(word string) bool { return lang.Possessives[word] })
	return owned && lang.Fats[last] && p.Role == "with" && slices.ContainsFunc(n.To, func(line int) bool {
		s := w.stand[line]
		return s != nil && s.flesh() && slices.Contains(n.Named, line) && slices.Contains(larder.Words(s.was.Text), last)
	})
}

// skimmedJust is the liquid that a pronoun means by the name that the action before gave it, which only
// skimmed it and is not done any more: "skim the fat from the juices and boil them down".
func (w *writer) skimmedJust(noun recipe.Noun, at int) string {
	if at == 0 || noun.Rest || !w.deeds[at-1].drop {
		return ""
	}
	n := &w.graph.Nodes[at-1]
	if n.Technique.Takes != "none" || n.At != w.graph.Nodes[at].At || n.Action.Upto > noun.From {
		return ""
	}
	for _, p := range n.Action.Words.Phrases {
		if len(p.Nouns) > 0 && w.isLiquor(w.slice(p.Nouns[0].Name, p.Nouns[0].Upto)) {
			return w.slice(p.Nouns[0].From, p.Nouns[0].Upto)
		}
	}
	return ""
}
