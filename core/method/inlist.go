package method

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/recipe"
)

// partMark parts the things of a list that goes into several vessels: "three plates: flour; beaten egg".
const partMark = ";"

// joinedAsSaid puts the things of a phrase together as the text does where it parts them by more than a comma or a
// conjunction: "three plates: flour; beaten egg", "in the broth, sprinkled with chives". It is empty elsewhere.
func (w *writer) joinedAsSaid(p recipe.Phrase, objects []named) string {
	if len(objects) != len(p.Nouns) || len(objects) < 2 {
		return ""
	}
	text, parted, hung := objects[0].text, true, false
	for k := 1; k < len(p.Nouns); k++ {
		between := w.slice(p.Nouns[k-1].Upto, p.Nouns[k].From)
		parted = parted && strings.TrimSpace(between) == partMark
		hung = hung || slices.ContainsFunc(strings.Fields(strings.ToLower(between)), func(word string) bool {
			return slices.ContainsFunc(w.l.Language().Verb(strings.Trim(word, ",")), func(r language.Reading) bool { return r.Form == language.Past })
		})
		text += between + objects[k].text
	}
	if !parted && !hung {
		return ""
	}
	return text
}

// ofThem gives what is said to be of the things before it the word for one or for several of
// them: "the mushrooms and their marinade".
func (w *writer) ofThem(was, now bool, text string) string {
	from, to := w.c.words().Its, w.c.words().Their
	if was {
		from, to = to, from
	}
	if first, rest, ok := strings.Cut(text, " "); ok && was != now && first == from {
		return to + " " + rest
	}
	return text
}

// withTheirs gives what something is done with the word for one or for several of what it is done to, and tells whether that is
// another: "the mushrooms with their marinade".
func (w *writer) withTheirs(n *node, own *clause, things []named) bool {
	if len(own.objects) == 0 || len(things) == 0 {
		return false
	}
	before := things[0].text
	things[0].text = w.ofThem(pluralObject(n.Action), len(own.objects) > 1 || own.objects[0].plural, before)
	return things[0].text != before
}

// pointed gives the first thing left of a list the article that stood before the
// list.
func (w *writer) pointed(first recipe.Noun, text string) string {
	the := w.c.words().The
	own := strings.Fields(strings.ToLower(text))
	if len(own) > 1 && w.l.Language().Possessives[own[0]] {
		return the + text[len(own[0]):] // "the chicken and its marinade"
	}
	if article := strings.Fields(w.slice(first.From, first.Name)); len(own) > 0 && !w.l.Language().Pointing[own[0]] && !w.l.Language().Articles[own[0]] && len(article) > 0 && strings.EqualFold(article[0], the) && !strings.HasPrefix(strings.ToLower(text), the+" ") {
		return the + " " + text
	}
	return text
}

// unpointed leaves out the article of what stands behind others in a list that have one.
func (w *writer) unpointed(p recipe.Phrase, noun recipe.Noun, things []named) []named {
	if k := slices.IndexFunc(p.Nouns, func(o recipe.Noun) bool { return o.From == noun.From }); k > 0 && !noun.Measured && noun.Name == noun.From {
		for i := range things { // "the prunes, wine and stock"
			things[i].text = strings.TrimPrefix(things[i].text, w.c.words().The+" ")
		}
	}
	return things
}

// besideFirst names the other things that a pronoun means, where one of them goes in only with this action and heads its list; none
// where nothing does, or they are many.
func (w *writer) besideFirst(there []int) []named {
	heads := slices.ContainsFunc(there, func(line int) bool { return w.stand[line] != nil && slices.Contains(w.headedBy, w.stand[line]) })
	if !heads {
		return nil
	}
	var out []named
	for _, line := range w.besidesFat(there) {
		if s := w.stand[line]; s != nil && slices.Contains(w.headedBy, s) {
			continue
		}
		if t, ok := w.ofLine(line, 1); ok {
			out = append(out, t)
		}
	}
	if len(out) > mostNamed {
		return nil
	}
	return out
}

// saidToGoIn tells whether an action puts in nothing by a pronoun but what has just been said to go in before it, and the words
// for where it goes.
func (w *writer) saidToGoIn(n *node, own *clause, before []*standIn) (where string, ok bool) {
	if len(before) == 0 || len(w.headedBy) > 0 || !n.Is("return") {
		return "", false
	}
	for _, p := range n.Action.Words.Phrases {
		if p.Role == "into" && p.From >= n.Action.Words.Verb[1] {
			where += " " + w.slice(p.From, p.Upto)
		} else if p.Role != "to" || slices.ContainsFunc(p.Nouns, func(noun recipe.Noun) bool { return !noun.Pronoun }) {
			return "", false
		}
		ok = ok || p.Role == "to"
	}
	if len(own.objects) > 0 {
		return where, ok && !slices.ContainsFunc(own.objects, func(o named) bool { return o.stand == nil || !slices.Contains(before, o.stand) })
	}
	return where, ok && !slices.ContainsFunc(n.To, func(line int) bool {
		return w.there(line, w.graph.Number(n)) && (w.stand[line] == nil || !slices.Contains(before, w.stand[line]))
	})
}
