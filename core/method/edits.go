package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// edits are what changes in the words of an action; not ok where nothing of it is
// left to do.
func (w *writer) edits(n *node, d *deed, own *clause) ([]edit, bool) {
	a := n.Action
	var out []edit
	phrases := slices.Concat(w.lentPhrases(n), a.Words.Phrases)
	kept, objects := len(phrases) == 0, 0
	for _, p := range phrases {
		if p.From < a.From || p.Upto > a.Upto {
			kept = true
			continue
		}
		text, changed, things := w.phrase(n, p, own)
		if len(things) > 0 || !changed {
			kept = true
		}
		if p.Role == "to" {
			own.objects = append(own.objects, things...)
			objects++
		}
		if p.Role != "to" && len(things) > 0 && w.alreadySaid(own, things) {
			out = append(out, edit{p.From, p.Upto, ""})
			continue // "the butter with the marrow", both oil now
		}
		if w.restsInItself(n, p) {
			out = append(out, edit{p.From, p.Upto, ""})
			continue
		}
		if !changed {
			continue
		}
		out = append(out, w.inPlaceOf(a, p, text, len(things) > 0))
	}
	out = append(out, w.brackets(a)...)
	gone := w.goneManners(n)
	if n.Is("taste") && len(gone) > 0 && len(phrases) == 0 {
		return nil, false // "check that the fat is hot", of fat that is gone
	}
	out = append(out, gone...)
	out = append(append(out, w.doneBehind(n, out)...), w.greasesPan(n)...)
	out = append(out, w.outcomes(n, d)...)
	out = append(out, w.pointsTo(a, own)...)
	if objects > 0 && len(own.objects) == 0 && len(d.subject) == 0 {
		if d.subject = w.goneWith(n); len(d.subject) == 0 {
			return nil, false // all that it was done to is gone
		}
		if n.Technique.Joins == "yes" || len(n.Into) > 0 {
			d.say = w.c.words().Add // "stir it into the pot with the sugar"
		}
		return nil, true
	}
	if !kept && (n.Technique.Medium == "with" && len(own.objects) == 0 || len(d.subject) == 0 && !w.impliesWork(n) || objects == 0 && w.joinsNothing(n, out)) {
		if into := w.intoItsPot(n); into != nil {
			return into, true
		}
		return nil, false // "dip in ..."
	}
	out = append(append(out, w.servesWhat(n)...), w.keepsIt(n)...)
	out = append(out, w.figures(n, d, own.objects)...)
	return append(out, w.takesPot(n)...), true
}

// behindObject is where what an action is done to has been said, before a place in its words.
func (w *writer) behindObject(a *recipe.Action, before int) int {
	end := before
	for _, p := range a.Words.Phrases {
		if p.Role == "to" && p.Upto <= before {
			end = p.Upto
		}
	}
	return end
}

// joinsNothing tells whether an action that puts things together has nothing left to put with:
// "drizzle with the red oil", or "pour over the meat", which goes in later.
func (w *writer) joinsNothing(n *node, edits []edit) bool {
	if n.Technique.Joins != "yes" {
		return false
	}
	return n.Technique.Family == "assemble" && onlyWith(n.Action) || w.intoGone(n.Action, edits)
}

// leftOfFat tells whether a manner stands right behind a fat that is named by another word now, and says that it was left:
// "in the fat left in the pan".
func (w *writer) leftOfFat(at [2]int) bool {
	words := strings.Fields(strings.ToLower(w.slice(at[0], at[1])))
	return w.fatAt > 0 && (at[0] == w.fatAt || at[0] == w.fatAt+1) && len(words) > 0 && w.l.Language().Staying[words[0]]
}

// intoGone tells whether all that an action says something goes into is gone.
func (w *writer) intoGone(a *recipe.Action, edits []edit) bool {
	return slices.ContainsFunc(a.Words.Phrases, func(p recipe.Phrase) bool {
		return p.Role == "into" && slices.ContainsFunc(edits, func(e edit) bool { return e.from <= p.From && e.upto >= p.Upto && e.text == "" })
	})
}

// brackets are what stands in brackets within the words of an action and is written
// by itself.
func (w *writer) brackets(a *recipe.Action) []edit {
	var out []edit
	cut := func(from, upto int) {
		if from > a.From && upto <= a.Upto && w.slice(from-1, from) == "(" {
			out = append(out, edit{from - 1, min(upto+1, a.Upto), ""})
		}
	}
	for i := range w.step.Actions {
		cut(w.step.Actions[i].From, w.step.Actions[i].Upto)
	}
	for _, x := range w.step.Asides {
		if !w.ofNoun(x) {
			cut(x.From, x.Upto)
		}
	}
	return out
}

// tellsOfGone tells whether words that say how one thing of a list is stand behind one that is
// gone: "half of the sausage in one piece".
func (w *writer) tellsOfGone(n *node, from int) bool {
	at := w.graph.Number(n)
	return slices.ContainsFunc(n.Action.Words.Phrases, func(p recipe.Phrase) bool {
		return slices.ContainsFunc(p.Nouns, func(noun recipe.Noun) bool {
			if noun.Upto > from || strings.TrimSpace(w.slice(noun.Upto, from)) != "" {
				return false
			}
			lines, made := w.meant(noun)
			return !made && len(lines) > 0 && (w.cutAlready(n, lines, at) || len(p.Nouns) > 1 && !slices.ContainsFunc(lines, func(line int) bool { return w.there(line, at) }))
		})
	})
}

// onlyWith tells whether an action names nothing but what it is done with.
func onlyWith(a *recipe.Action) bool {
	return len(a.Words.Phrases) > 0 && !slices.ContainsFunc(a.Words.Phrases, func(p recipe.Phrase) bool { return p.Role != "with" })
}

// tellsOfFat tells whether words right behind fat say where it was left that ran out of what is gone: "the fat left
// in the pan", for which oil stands that is poured in.
func (w *writer) tellsOfFat(n *node, from int) bool {
	if w.fleshBefore(w.graph.Number(n)) == nil {
		return false
	}
	return slices.ContainsFunc(n.Action.Words.Phrases, func(p recipe.Phrase) bool {
		return p.Role != "to" && slices.ContainsFunc(p.Nouns, func(noun recipe.Noun) bool {
			words := larder.Words(onlyNamed(noun))
			return len(words) > 0 && w.l.Language().Fats[words[len(words)-1]] && noun.Upto <= from && strings.TrimSpace(w.slice(noun.Upto, from)) == ""
		})
	})
}

// gonePlay tells whether words that say how something is done speak of what only
// a body has, where none is.
func (w *writer) gonePlay(n *node, text string) bool {
	lang := w.l.Language()
	if w.rindGone(n, text) || w.piecesGone(n, text) {
		return true
	}
	if w.fleshAt(w.graph.Number(n)) == nil {
		return false
	}
	signs := lang.GoneSigns[string(w.fleshAt(w.graph.Number(n)).class)]
	sauce := w.sauceAt(w.graph.Number(n)) || w.worksOnJuicy(n)
	return slices.ContainsFunc(larder.Words(text), func(word string) bool {
		return (lang.Fleshly[word] || signs[word] || lang.GoneSigns[fibres][word]) && !(sauce && lang.Liquors[word])
	})
}

// piecesGone tells whether words say how pieces are turned in a sauce in which none lie: "turning it once".
func (w *writer) piecesGone(n *node, text string) bool {
	at := w.graph.Number(n)
	if n.Technique.Family != "wet heat" && !w.braises(n) || !w.sauceAt(at) || !slices.ContainsFunc(larder.Words(text), func(word string) bool { return w.l.Language().GoneSigns[pieces][word] }) {
		return false
	}
	waits := func(line int) bool { s := w.stand[line]; return s != nil && s.flesh() && !w.there(line, at) }
	return slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), waits)
}

// pieces is the row of words for what is done to pieces that lie in a liquid.
const pieces = "pieces"

// fibres is the row of words for how flesh has grown, by which it is cut: "across the grain".
const fibres = "fibres"

// rindGone tells whether words speak of the rind of a cheese, for which something stands that has none: "rind up".
func (w *writer) rindGone(n *node, text string) bool {
	signs := w.l.Language().GoneSigns[string(larder.Dairy)]
	return slices.ContainsFunc(n.To, func(line int) bool {
		s := w.stand[line]
		return s != nil && s.class == larder.Dairy
	}) && slices.ContainsFunc(larder.Words(text), func(word string) bool { return w.l.Language().Fleshly[word] && signs[word] })
}

// setAlready tells whether words say how an egg is let set in hot broth, for which shreds stand that have set.
func (w *writer) setAlready(n *node, text string) bool {
	signs, named := w.l.Language().GoneSigns[streams], n.Named
	if len(named) == 0 {
		named = n.To // "trickle in the whites, then stir so that they form threads"
	}
	return slices.ContainsFunc(named, func(line int) bool {
		s := w.stand[line]
		return s != nil && s.class == larder.Egg && s.chosen != nil && s.chosen.Use == flakesUse && s.is(larder.Ready)
	}) && slices.ContainsFunc(larder.Words(text), func(word string) bool { return signs[word] })
}

// streams is the row of what says that an egg is poured thinly and sets, flakesUse the use that it has there.
const (
	streams   = "streams"
	flakesUse = "flakes"
	// scrambleUse is that of eggs stirred in a pan until they set in curds.
	scrambleUse = "scramble"
	// bitsUse is that of eggs which are boiled hard and chopped or mashed.
	bitsUse = "bits"
)

// countsGone tells whether words that say how something is done count pieces ("one at a
// time") where what stands for them is no pieces any more: a batter for eggs.
func (w *writer) countsGone(n *node, text string) bool {
	words := larder.Words(text)
	if last := len(words) - 1; last < 0 || !w.l.Language().Manner[words[0]] && !w.l.Language().Singly[words[last]] {
		return false // "one at a time", "beating well between each"
	}
	if at := w.nodeOf(n.Action.ID); at > 0 && (w.l.Language().TimeAfter[words[0]] || w.l.Language().Enclosing[words[0]]) && w.eggsAlone(&w.graph.Nodes[at-1]) {
		return true // "add the eggs one at a time, beating well after each, with a spoonful of flour"
	}
	return w.eggsAlone(n)
}

// ofOneEgg tells whether something goes in with one of several eggs, by its number, for which a batter stands that goes in at once:
// "adding a little of the flour with the second".
func (w *writer) ofOneEgg(p recipe.Phrase, at int) bool {
	if p.Role != "with" || len(p.Nouns) != 1 || at == 0 || !w.eggsAlone(&w.graph.Nodes[at-1]) {
		return false
	}
	words := larder.Words(w.slice(p.Nouns[0].From, p.Nouns[0].Upto))
	return len(words) > 0 && w.l.Language().Ordinals[words[len(words)-1]]
}

// eggsAlone tells whether an action names eggs for which a batter stands, and is done to nothing else that it names and that
// is counted.
func (w *writer) eggsAlone(n *node) bool {
	eggs := false
	for _, line := range n.Named {
		if s := w.stand[line]; s != nil && s.class == larder.Egg && w.wholeEgg(s) {
			eggs = true
		} else if slices.Contains(n.To, line) && w.counted(line) {
			return false
		}
	}
	return eggs
}

// wholeEgg tells whether something stands for eggs or a part of them and not for what is made
// with eggs, such as a sponge.
func (p *plan) wholeEgg(s *standIn) bool {
	f := p.l.Food(s.was.FoodID())
	return f != nil && (string(f.Animal) == f.Kind || p.l.Language().EggParts[f.Kind] > 0)
}

// impliesWork tells whether an action is done to something that is there though
// its words do not name it.
func (w *writer) impliesWork(n *node) bool {
	at := w.nodeOf(n.Action.ID)
	return slices.ContainsFunc(n.To, func(line int) bool { return !slices.Contains(n.Named, line) && w.there(line, at) })
}
