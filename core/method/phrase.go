package method

import (
	"cmp"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// phrase writes what hangs on a verb: each thing in the cook's own words where
// it is as it was, by another name where something stands for it, and not at all
// where it is gone. The whole goes, with its preposition, when nothing is left.
func (w *writer) phrase(n *node, p recipe.Phrase, own *clause) (text string, changed bool, objects []named) {
	at := w.nodeOf(n.Action.ID)
	for _, s := range w.first {
		if p.Role == "to" {
			objects, changed = append(objects, w.c.stand(s, 1, false)), true
			own.stands = append(own.stands, s)
		}
	}
	w.first = nil
	if w.deeds[at].say == w.c.words().Warm && w.onlyTapWater(p) {
		return w.without(n, p), true, nil // "poach in simmering water", of what only wants to be hot
	}
	if w.ofOneEgg(p, at) || w.knobOfPaste(p, at) {
		return w.without(n, p), true, nil
	}
	for k, noun := range p.Nouns {
		things, other := w.noun(n, p, noun, at, own)
		if spread := w.spreadWith(n, noun, things); spread != nil {
			things, other = spread, true
		}
		changed = changed || other
		if other {
			own.stands = append(own.stands, standsOf(things)...)
		}
		if k == 0 && changed && len(objects) > 0 && len(things) > 0 && !other && noun.From == n.Action.From && n.Action.Words.Verb[1] == 0 {
			things[0].text = lowered(things[0].text) // "Purée, tomatoes and wine next" began the sentence
		}
		if changed && len(objects) == 0 && len(things) > 0 && !other && k > 0 {
			things[0].text = w.pointed(p.Nouns[0], things[0].text)
		}
		if changed && len(objects) > 0 && len(things) > 0 && !other {
			things[0].text = w.ofThem(p.Nouns[0].Plural, len(objects) > 1 || objects[0].plural, things[0].text)
		}
		changed = k == 0 && p.Role == "with" && !other && w.withTheirs(n, own, things) || changed
		if w.orElse(p, k, objects, things) || other && w.ofBoth(p, k, objects, things) {
			continue
		}
		objects = append(objects, things...)
	}
	if !changed {
		return "", false, objects
	}
	objects = w.oneFat(p, w.union(p, at, objects))
	if the := w.c.words().The + " "; len(objects) > 0 && objects[0].stand != nil && !objects[0].stand.bare && objects[0].text == objects[0].stand.name {
		objects[0].text = the + objects[0].text
	}
	if len(objects) == 0 {
		return w.without(n, p), true, nil
	}
	if s := objects[0].stand; s != nil && len(objects) == 1 && p.Role == "to" && p.Nouns[len(p.Nouns)-1].Doled {
		objects[0].text = w.c.words().Few + " " + objects[0].text // "fry 4 drumsticks at a time"
		if !objects[0].plural {
			objects[0].text = w.c.words().Part + strings.TrimPrefix(objects[0].text, w.c.words().Few)
		}
	}
	if text := w.joinedAsSaid(p, objects); text != "" {
		return text, true, objects
	}
	return w.c.listing(objects), true, objects
}

// noun says what becomes of one thing that a phrase names.
func (w *writer) noun(n *node, p recipe.Phrase, noun recipe.Noun, at int, own *clause) ([]named, bool) {
	kept := []named{{text: w.slice(noun.From, w.nounEnd(noun)), plural: noun.Plural}}
	if other := cmp.Or(w.becomesNow(p, noun), w.potOfGone(noun)); other != "" {
		return []named{{text: other}}, true // "swirl into a thin pancake", "the clam pan"
	}
	if noun.Vessel && len(noun.Refs) == 0 || !noun.Pronoun && w.fleshly(w.slice(noun.Name, noun.Upto)) && w.ofInHand(at) && !w.ofItself(noun, w.slice(noun.Name, noun.Upto)) {
		return kept, false // "strain the juice", of the tamarind
	}
	lines, made := w.meant(noun)
	if w.ofGoneTin(noun) || w.alsoGone(w.slice(noun.Name, noun.Upto), lines) || w.isInAlready(n, p, noun) || (p.Role == "with" || p.Role == "to" && len(p.Nouns) > 1) && (w.itsOwnJuices(n, noun) || w.ranOutAside(n, noun)) {
		return nil, true // "the white crab meat", of which all went in; "return the meat with any juices"
	}
	if name := onlyNamed(noun); name != "" {
		return w.onlyNamedThing(n, p, noun, kept)
	}
	if fat := w.fatAlong(noun, at); p.Role != "to" && fat != nil {
		w.fatAt = noun.Upto
		return fat, true // "in the fat that is left", of a frying that is not done
	}
	if len(noun.Refs) == 0 && !noun.Vessel && !noun.Pronoun && w.fleshly(w.slice(noun.Name, noun.Upto)) {
		return w.onlySaid(n, p, w.slice(noun.Name, noun.Upto), kept) // "in its fat"
	}
	if w.placeOfKin(noun, lines) || w.besideName(w.slice(noun.Name, noun.Upto), lines) || w.alsoListed(w.slice(noun.Name, noun.Upto), lines) || made && w.hotFat(noun, lines, at) {
		return kept, false
	}
	if things, changed, lost := w.lostLiquor(n, p, noun, at); lost {
		return things, changed
	}
	if len(lines) == 0 && w.keptNoMore(noun) {
		return w.insteadOfKept(n, noun), true
	}
	if noun.Vessel || len(lines) == 0 || w.groupNamed(noun, lines, made) || w.calledAfter(noun, lines, at) {
		return kept, false // or "the wontons" of wonton wrappers
	}
	if name := w.slice(noun.Name, noun.Upto); w.fleshly(name) && !w.itself(name, n) && !w.ownName(name, lines) && slices.ContainsFunc(lines, func(line int) bool { return w.stand[line] != nil && w.stand[line].flesh() }) {
		return w.onlySaid(n, p, name, kept)
	}
	if less := w.lessOf(noun, lines, made, at); less != nil {
		return less, true
	}
	touched := made && !w.partOfPlant(noun, lines) && len(w.animalWords(w.slice(noun.Name, noun.Upto))) > 0 || slices.ContainsFunc(lines, func(line int) bool { return w.stand[line] != nil }) || w.again(noun) && w.lost(noun) || !made && (w.restOfWhole(noun, lines, at) || w.onlyOfFat(noun, lines, at))
	switch {
	case !touched && !(noun.Pronoun && w.lost(noun)), !made && w.wideWord(noun, lines):
		return w.whole(noun, lines, kept)
	case !noun.Pronoun && w.partMade(noun) != "" && !strings.EqualFold(w.partMade(noun), w.slice(noun.Name, noun.Upto)):
		return []named{{text: w.slice(noun.From, noun.Name) + w.partMade(noun), plural: noun.Plural}}, true // "top with raita"
	case made && noun.Pronoun && noun.Rest && !w.lost(noun):
		return w.theRest(noun, at, kept)
	case made && !noun.Pronoun && p.Role != "into" && w.intoItself(n, noun):
		return nil, true // "return the chicken with its juices"
	case made && !noun.Pronoun:
		return w.product(noun, lines, at, kept)
	case made:
		return w.pronoun(noun, lines, at, kept)
	case !noun.Pronoun && w.shapedAs(noun) != "":
		return []named{{text: w.c.words().The + " " + w.shapedAs(noun), plural: noun.Plural}}, true // "the meatballs"
	}
	return w.inPieces(noun, w.moreOf(noun, w.divided(noun, w.someServed(n, p, noun, w.listedOf(n, p, noun, lines, at))))), true
}

// ofTakenJust tells whether a pronoun means what the clause before took of one line, of which the rest waits: "chop four
// of the anchovies and stir them in".
func (w *writer) ofTakenJust(noun recipe.Noun, lines []int, at int) bool {
	b := w.before
	return noun.Pronoun && !noun.Rest && len(noun.Refs) == 1 && noun.Refs[0].Of != "" && b != nil && len(b.objects) == 1 && len(lines) == 1 &&
		w.there(lines[0], at) && w.speaksOf(b, lines)
}

// wideWord tells whether a noun means a line by no more than a word for what is liquid, which what stands for it is too:
// "the liquid", of milk.
func (w *writer) wideWord(noun recipe.Noun, lines []int) bool {
	if len(lines) != 1 || noun.Pronoun || noun.Rest {
		return false
	}
	name := w.slice(noun.Name, noun.Upto)
	s, words := w.stand[lines[0]], larder.Words(name)
	if s == nil || s.gone || len(words) == 0 || !w.l.Language().Liquors[words[len(words)-1]] || len(w.animalWords(name)) > 0 {
		return false
	}
	own := larder.Words(s.was.Text + " " + s.was.Name)
	return !slices.ContainsFunc(words, func(x string) bool { return slices.Contains(own, x) })
}

// listedOf names the lines that a phrase means, without those that its work has no place for.
func (w *writer) listedOf(n *node, p recipe.Phrase, noun recipe.Noun, lines []int, at int) []named {
	if p.Role == "to" && w.cutAlready(n, lines, at) {
		return nil // "dice the potatoes and the salmon"
	}
	if w.ofTakenJust(noun, lines, at) {
		pronoun, _ := w.itOrThem(w.before, []named{{}})
		return pronoun
	}
	if other := w.flavouredName(w.slice(noun.Name, noun.Upto), noun); other != "" {
		return []named{{text: w.slice(noun.From, noun.Name) + other, plural: noun.Plural}}
	}
	things := w.listed(noun, lines, at)
	if p.Role == "to" && n.Technique.Family != "dry heat" && n.Technique.Family != "gentle heat" {
		things = slices.DeleteFunc(things, func(t named) bool { return t.stand != nil && t.stand.bare })
	}
	return w.unpointed(p, noun, things)
}

// groupNamed tells whether a noun names several things, or a part of the dish, by a name that stays.
func (w *writer) groupNamed(noun recipe.Noun, lines []int, made bool) bool {
	name := w.slice(noun.Name, noun.Upto)
	if w.ownName(name, lines) || w.onlyStands(lines, made) || w.groupOfName(name, lines) || noun.Pronoun && w.besideFirst(lines) != nil {
		return false
	}
	return noun.All && len(w.animalWords(w.slice(noun.From, noun.Upto))) == 0 || len(noun.Refs) > 1 && !noun.Pronoun && len(w.animalWords(name)) == 0
}

// onlyStands tells whether a noun means lines by themselves that were all replaced.
func (w *writer) onlyStands(lines []int, made bool) bool {
	return !made && !slices.ContainsFunc(lines, func(line int) bool { return w.stand[line] == nil })
}

// onlyNamed is the matter that only the words name, empty for all else.
func onlyNamed(noun recipe.Noun) string {
	if len(noun.Refs) != 1 || noun.Refs[0].Named == nil {
		return ""
	}
	return *noun.Refs[0].Named
}

// listed names the lines that a noun means, as far as they are there.
func (w *writer) listed(noun recipe.Noun, lines []int, at int) []named {
	if n := &w.graph.Nodes[at]; w.greasesNot(n, lines) {
		fat, _ := w.otherFat(n, at, nil)
		return fat // "half of the butter", of which there is a nut paste
	}
	if part := w.eggPart(noun, lines, at); part != nil {
		return part
	}
	var out []named
	for k, line := range lines {
		if !w.there(line, at) {
			continue
		}
		share := 1.0
		if k < len(noun.Refs) && (noun.Refs[k].Line != nil || noun.Refs[k].Of != "") {
			share = noun.Refs[k].Share
		}
		cut := w.shareCut(noun, k, line)
		share *= cut
		if s := w.stand[line]; s != nil && k < len(noun.Refs) && w.l.Language().EggParts[noun.Refs[k].Part] > 0 {
			if first, said := w.parted[line]; said && first != at {
				continue // yolks and whites are one thing now, and it is in
			}
			w.parted[line], share = at, 1
		}
		if s := w.stand[line]; s != nil {
			if w.onlyPoured(s) {
				share = 1 // there is no more of it
			}
			rest := noun.Rest || cut < nearlyAll && w.someNamed(line, at) || !noun.Measured && share < nearlyAll && w.lastShare(line, at)
			if w.restOfWhole(noun, lines, at) || w.onlyOfFat(noun, lines, at) {
				rest, share = false, 1
			}
			rest = rest && !(noun.Measured && share < nearlyAll && w.leavesMore(line, at, share))
			if not := w.greasedNot(line, at) + w.unfried[line]; not > 0 && share < 1 && (!noun.Measured || share >= nearlyAll*(1-not)) {
				share = min(share/(1-not), 1) // nothing of it went into the tin
			}
			t := w.eachOf(noun, s, w.c.stand(s, share, rest), share >= nearlyAll && !rest)
			if measure := w.ownMeasure(noun); measure != "" && (share < nearlyAll || noun.Dealt) && !s.bare && w.asMuch(s, measure) && !w.fewOfOne(noun, s) {
				t.text = w.byMeasure(measure, s) // "a tablespoon of cashew milk"
			} else if (noun.Dealt || share < nearlyAll && !noun.Measured && w.onEach(at)) && !s.bare {
				t.text = w.dealtOf(noun, s) + " " + w.c.words().The + " " + s.name // "two halves in each bowl"
			}
			if state := w.stateSaid(noun, line, at); state != "" && !s.bare && !slices.Contains(larder.Words(s.name), state) && !strings.Contains(t.text, state+" "+s.name) {
				the := w.c.words().The + " "
				t.text = strings.TrimSuffix(t.text, the+s.name) + the + state + " " + s.name // "half of the hot stock"
			}
			out = append(out, t)
			continue
		}
		if w.restOfWhole(noun, lines, at) || w.onlyOfFat(noun, lines, at) {
			share = 1
		}
		if t, ok := w.ofLine(line, share); ok {
			out = append(out, t)
		}
	}
	return out
}

// again tells whether a name points back to where its thing was before: "the same oil".
func (w *writer) again(noun recipe.Noun) bool {
	return slices.ContainsFunc(strings.Fields(strings.ToLower(w.slice(noun.From, noun.Upto))), func(word string) bool { return w.l.Language().Again[word] })
}

// heldBefore are the lines of what something was taken from that only the words name.
func (w *writer) heldBefore(noun recipe.Noun) []int {
	var out []int
	for _, r := range noun.Refs {
		if r.Made == nil {
			continue
		}
		if at := w.nodeOf(*r.Made); at > 0 {
			out = append(out, w.graph.Nodes[at-1].Holds...)
		}
	}
	return out
}

// partOfPlant tells whether a noun is a word for meat that plants have too, and means nothing but plants: "the thick
// ribs", of cabbage leaves.
func (w *writer) partOfPlant(noun recipe.Noun, lines []int) bool {
	words := larder.Words(w.slice(noun.Name, noun.Upto))
	return len(words) > 0 && w.l.Language().PlantParts[words[len(words)-1]] && len(lines) > 0 && !slices.ContainsFunc(lines, func(line int) bool {
		return w.line(line).Origin != larder.FromPlant
	})
}
