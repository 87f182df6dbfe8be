package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// groupOf tells whether a name is that of a kind, and several lines that are there are of it and mixed, maybe with an egg or
// in a dough: "the cheese", of two.
func (w *writer) groupOf(name string, lines []int, at int) bool {
	words := larder.Words(name)
	if len(words) != 1 || !w.several(lines, at) {
		return false
	}
	kinds, n := w.l.Language().Groups[words[0]], 0
	for _, line := range lines {
		f, s := w.l.Food(w.line(line).FoodID()), w.stand[line]
		if f == nil || s != nil && s.flesh() {
			return false
		}
		if s != nil && w.there(line, at) && slices.Contains(kinds, f.Kind) {
			n++
		}
	}
	return n > 1
}

// mostly tells whether a mixture that goes by the name of one of several lines holds most of that, where the name could be that
// of the whole: "the cream", of mascarpone and yolks and some cream.
func (w *writer) mostly(own int, lines []int, name string) bool {
	words, all := larder.Words(name), 0.0
	if len(words) == 0 || !w.l.Language().Products[words[len(words)-1]] {
		return true
	}
	for _, line := range lines {
		if w.stand[line] != nil {
			all += w.line(line).Mass()
		}
	}
	return w.line(own).Mass()*2 >= all
}

// ofBody keeps those of some lines that stand for flesh where a name means no more of what was made: "the
// meat" of a stew, and not its stock.
func (w *writer) ofBody(name string, lines []int, at int) []int {
	words := larder.Words(name)
	if len(words) == 0 || w.l.Language().Products[words[len(words)-1]] || !w.fleshly(name) && len(w.animalWords(name)) == 0 {
		return lines
	}
	if slices.ContainsFunc(lines, func(line int) bool { return w.calledBy(name, line) && !w.stand[line].flesh() }) {
		return lines // "the yoghurt", in which the lamb will lie
	}
	flesh := slices.DeleteFunc(slices.Clone(lines), func(line int) bool {
		s := w.stand[line]
		return s == nil || !s.flesh() || !w.there(line, at)
	})
	if len(flesh) == 0 {
		return lines
	}
	return flesh
}

// fromPlate tells whether the words of an action say that something comes from the board or plate on which
// flesh has rested, or goes back with it.
func (w *writer) fromPlate(n *node) bool {
	return n.Is("return") || slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool {
		return x.Role == "from" && slices.ContainsFunc(x.Nouns, func(noun recipe.Noun) bool {
			words := larder.Words(w.slice(noun.Name, noun.Upto))
			return len(words) > 0 && w.l.Language().Receiving[words[len(words)-1]]
		})
	})
}

// impliesGone tells whether an action is meant for flesh that is not there though
// other things lie beside it: "drain and pat dry", after a marinade.
func (p *plan) impliesGone(i int) bool {
	n := &p.graph.Nodes[i]
	if slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool { return x.Role == "to" }) {
		return false
	}
	dusted := n.Technique.Family == "dry heat" && !slices.ContainsFunc(n.To, func(line int) bool { return p.there(line, i) && !p.dusts(line) })
	if !dusted && (len(n.Action.Words.Phrases) > 0 || !slices.Contains(ofFlesh, n.Technique.Family)) {
		return false
	}
	return slices.ContainsFunc(n.To, func(line int) bool { return p.stand[line] != nil && p.stand[line].flesh() && !p.there(line, i) })
}

// dusts tells whether a line is no more than a coat or seasoning of a piece: flour,
// spice, salt, fat.
func (p *plan) dusts(line int) bool {
	f := p.l.Food(p.line(line).FoodID())
	return f != nil && (f.Aisle == "spices" || f.Kind == "white-flour" || f.Kind == "starch" || f.Kind == "salt" || p.c.fatLine(p.line(line)))
}

// rule is what the table of carrying over says of work on a stand-in.
func (p *plan) rule(s *standIn, i int) *larder.CarryRule {
	n := &p.graph.Nodes[i]
	use := ""
	if s.chosen != nil {
		use = s.chosen.Use
	}
	way := n.Technique
	if fries := p.l.Technique(fryTechnique); n.Is("cook") && cookedDry(n) && s.flesh() && fries != nil {
		way = fries // flesh that cooks without a liquid cooks in its fat
	}
	if boils := p.l.Technique(boilTechnique); n.Is("add") && n.Action.Minutes != nil && len(n.Into) > 0 && n.Liquid && s.class == larder.Egg && boils != nil && p.peeledAfter(s, i) {
		way = boils // "add the eggs to the pan for the last 7 minutes", in their shells
	}
	return p.l.CarryRuleFor(way, n.Action.Verb, use, s.class, p.statesAt(s, i))
}

// peeledAfter tells whether what a stand-in is for was peeled after an action.
func (p *plan) peeledAfter(s *standIn, i int) bool {
	return slices.ContainsFunc(p.path(s.node), func(k int) bool { return k > i && p.graph.Nodes[k].Is("peel") })
}

// ofPlants tells whether words speak of what belongs to the things that an action is done to, which are plants: "boil the
// potatoes in their skins".
func (w *writer) ofPlants(n *node, text string) bool {
	to := slices.DeleteFunc(slices.Clone(n.To), func(line int) bool { return !slices.Contains(n.Named, line) })
	if len(to) == 0 {
		to = n.To
	}
	if len(to) == 0 || slices.ContainsFunc(to, func(line int) bool { return w.stand[line] != nil }) {
		return false
	}
	return slices.ContainsFunc(strings.Fields(strings.ToLower(text)), func(word string) bool { return w.l.Language().Possessives[word] })
}

// crumbleUse is that of mince, or what is fried like it.
const crumbleUse = "crumble"

// inPieces tells whether a stand-in is for flesh that lies in pieces, through which nothing is stirred as through mince.
func (s *standIn) inPieces() bool {
	return s.flesh() && (s.chosen == nil || s.chosen.Use != crumbleUse)
}

// outOfBody tells whether an action takes something out of what only a body has.
func (w *writer) outOfBody(n *node) bool {
	return slices.ContainsFunc(n.Action.Words.Phrases, func(p recipe.Phrase) bool {
		return p.Role == "from" && len(p.Nouns) > 0 && !slices.ContainsFunc(p.Nouns, func(noun recipe.Noun) bool { return !w.fleshly(w.slice(noun.Name, noun.Upto)) })
	})
}

// worksOnFlesh tells whether an action is done to what stands for flesh, of whatever part of the dish.
func (w *writer) worksOnFlesh(n *node) bool {
	return slices.ContainsFunc(n.To, func(line int) bool { return w.stand[line] != nil && w.stand[line].flesh() })
}
