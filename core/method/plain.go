package method

import (
	"cmp"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// plain writes an action from its parts alone: verb, what it is done to, with
// what, how long.
func (w *writer) plain(n *node, d *deed, own *clause) string {
	a := n.Action
	words := w.c.words()
	at := w.nodeOf(a.ID)
	verb := a.Verb
	if d.say != "" {
		verb = d.say
	} else if w.animalVerb(verb) || w.verbOfGone(n) {
		verb = strings.ReplaceAll(n.Technique.Name, "-", " ") // "butter the dish"
	}
	var to, with []named
	under, vessels := w.partedInto(a, d)
	for _, line := range d.subject {
		if t, ok := w.ofLine(line, w.shareAt(line, at)); ok && (len(d.subject) <= mostSubjects || !w.begun(line, at)) {
			to = append(to, t)
		}
	}
	if len(d.subject) > 0 && (n.Technique.Family == "mix" || n.Is("place", "return")) {
		to = w.things(slices.Concat(a.With, under), at) // what is mixed by itself now
	}
	if len(d.subject) == 0 {
		if to = w.things(a.To, at); w.saidLater(a) && !w.sharesWithGone(n) {
			to = nil
		}
	}
	with = w.withWhat(n, d, at)
	if w.greasesNot(n, n.With) {
		with, _ = w.otherFat(n, at, nil)
	}
	to = w.headed(own, w.inPiecesSaid(a, to))
	own.objects = to
	text, behind := w.splitVerb(verb)
	if made := words.The + " " + w.c.renamed(a.Makes); a.Makes != "" && len(with) == 0 && w.l.Language().Announcing[a.Verb] && !w.namesAnimal(larder.Capital(made)+".") {
		text, to, with = text+" "+made, nil, to // "make the sauce with the flour and the oil"
	}
	if len(to) > 0 {
		text += " " + w.c.listing(to)
	}
	text += behind
	if len(with) > 0 {
		preposition := words.With
		if n.Technique.Medium == "fat" || n.Technique.Medium == "liquid" {
			preposition = words.In
		}
		text += " " + preposition + " " + w.c.listing(with)
	}
	if len(d.subject) > 0 && n.Is("place", "return") && verb != words.Add {
		text += w.putIn(a, w.things(vessels, at), len(under) > 0)
	} else if n.Is("place") && a.Words.Vessel[1] > 0 && a.Words.Vessel[1] <= a.Upto {
		text += w.putIn(a, nil, true)
	}
	if minutes := cmp.Or(d.minutes, a.Minutes); minutes != nil && !d.timeless {
		text += " " + words.For + " " + w.c.spoken(*minutes)
	}
	if a.Cue != "" && !d.cueless {
		text += " " + a.Cue
	}
	return text
}

// withWhat is what an action is done with, by itself now; where others than its own things are worked on, no more than its fat:
// "brown the lamb in the ghee with the onion", of which the onion is left.
func (w *writer) withWhat(n *node, d *deed, at int) []named {
	if d.broth {
		return w.things(slices.DeleteFunc(slices.Concat(n.Action.With, n.Action.Into), func(r recipe.Ref) bool { return !w.unlistedWater(r) }), at)
	}
	if len(d.subject) > 0 && n.Technique.Medium != "fat" {
		return nil
	}
	return w.things(slices.DeleteFunc(slices.Clone(n.Action.With), func(r recipe.Ref) bool {
		if len(d.subject) > 0 {
			return r.Line == nil || !w.c.fatLine(w.line(w.graph.Named(*r.Line)))
		}
		return r.Made != nil && r.Of == "" || w.someOfPaste(r, at)
	}), at)
}

// headed is a list of what is added with what heads it.
func (w *writer) headed(own *clause, to []named) []named {
	if len(to) == 0 {
		return to
	}
	return append(w.whollyNamed(own.heads), to...)
}

// putIn says what something is put into by itself now, with a blank in front: the vessels that the
// words name, or where it only stood beside what it lay on, that.
func (w *writer) putIn(a *recipe.Action, in []named, laidOn bool) string {
	switch {
	case len(in) > 0:
		return " " + w.c.words().In + " " + w.c.listing(in)
	case laidOn && a.Words.Vessel[1] > 0:
		return " " + w.slice(a.Words.Vessel[0], a.Words.Vessel[1])
	}
	return ""
}

// partedInto parts what an action puts things into: lines it works on by themselves now, and the rest.
func (w *writer) partedInto(a *recipe.Action, d *deed) (lines, others []recipe.Ref) {
	for _, r := range a.Into {
		if r.Line != nil && slices.Contains(d.subject, w.graph.Named(*r.Line)) {
			lines = append(lines, r)
		} else {
			others = append(others, r)
		}
	}
	return lines, others
}

// splitVerb parts a verb from the word that stands behind its object: "keep the soy chunks warm".
func (w *writer) splitVerb(verb string) (text, behind string) {
	if at := strings.LastIndex(verb, " "); at > 0 && w.l.Language().AdjectiveVerbs[verb[at+1:]] {
		return verb[:at], verb[at:]
	}
	return verb, ""
}

// saidLater tells whether what an action is done to is said with the next: "butter and
// flour a tin".
func (w *writer) saidLater(a *recipe.Action) bool {
	return slices.ContainsFunc(a.Words.Phrases, func(p recipe.Phrase) bool { return p.Role == "to" && p.From >= a.Upto })
}

// things names what references mean, as far as it is there.
func (w *writer) things(refs []recipe.Ref, at int) []named {
	var out []named
	for _, r := range refs {
		switch {
		case r.Line != nil:
			line := w.graph.Named(*r.Line)
			if line >= 0 && w.there(line, at) {
				if t, ok := w.inOwnWords(line, at); ok {
					out = append(out, t)
				} else if t, ok := w.ofLine(line, r.Share); ok {
					out = append(out, t)
				}
			}
		case r.Named != nil:
			if len(w.animalWords(*r.Named)) == 0 && !w.fleshly(*r.Named) {
				out = append(out, named{text: w.saidOf(*r.Named, at)})
			}
		case r.Made != nil:
			if t, ok := w.stillIt(r, at); ok {
				out = append(out, t)
			} else if t, ok := w.cutOf(r, at); ok {
				out = append(out, t)
			} else if t, ok := w.madeThing(r, at); ok {
				out = append(out, t)
			} else if t, ok := w.keptByName(r); ok {
				out = append(out, t)
			}
		}
	}
	return out
}

// stillIt keeps the pronoun for what the clause just before made, where nothing has changed there: "toast the muffins and
// butter them".
func (w *writer) stillIt(r recipe.Ref, at int) (named, bool) {
	b := w.before
	if b == nil || b.changed || b.gone || b.node < 0 || b.node != w.nodeOf(*r.Made) || w.graph.Nodes[b.node].At != w.graph.Nodes[at].At {
		return named{}, false
	}
	for _, p := range w.graph.Nodes[at].Action.Words.Phrases {
		for _, noun := range p.Nouns {
			if noun.Pronoun && len(noun.Refs) == 1 && noun.Refs[0].Made != nil && *noun.Refs[0].Made == *r.Made && !noun.Rest && noun.Refs[0].Share >= nearlyAll {
				return named{text: w.slice(noun.From, noun.Upto), plural: noun.Plural}, true
			}
		}
	}
	return named{}, false
}

// cutOf names one line of what was cut before as the action's own words do: "the halved onion".
func (w *writer) cutOf(r recipe.Ref, at int) (named, bool) {
	line := w.graph.Named(r.Of)
	if line < 0 || !w.there(line, at) {
		return named{}, false
	}
	return w.inOwnWords(line, at)
}

// inOwnWords names a line that stays as the action's own words do: "the chopped onion", "the
// ginger (grated)".
func (w *writer) inOwnWords(line, at int) (named, bool) {
	if w.stand[line] != nil {
		return named{}, false
	}
	a := w.graph.Nodes[at].Action
	for _, p := range a.Words.Phrases {
		for _, noun := range p.Nouns {
			lines, made := w.meant(noun)
			if made || noun.Pronoun || noun.Rest || len(lines) != 1 || lines[0] != line || noun.Upto > a.Upto || len(noun.Refs) != 1 {
				continue
			}
			text := w.slice(noun.From, w.nounEnd(noun))
			if len(w.animalWords(text)) > 0 || noun.Name == noun.From && !noun.Measured {
				return named{}, false // "onion" of a list, which has its article from the first
			}
			if noun.Behind[1] <= a.Upto { // "butter the bread, spread two slices with jam" says nothing more of it
				text += w.slice(noun.Behind[0], noun.Behind[1])
			}
			return named{text: text, plural: noun.Plural}, true
		}
	}
	return named{}, false
}

// keptByName is what an action kept that only its words named: "the liquor" of a pot that was drained.
func (w *writer) keptByName(r recipe.Ref) (named, bool) {
	at := w.nodeOf(*r.Made)
	if at < 0 || w.deeds[at].drop || !w.graph.Nodes[at].Is("reserve") || len(w.graph.Nodes[at].Action.To) != 1 || w.graph.Nodes[at].Action.To[0].Named == nil {
		return named{}, false
	}
	name := *w.graph.Nodes[at].Action.To[0].Named
	if len(w.animalWords(name)) > 0 {
		return named{}, false
	}
	return named{text: w.c.words().The + " " + name}, true
}

// saidOf is how an action's own words say what only they name: with its measure, or with an
// article.
func (w *writer) saidOf(name string, at int) string {
	for _, p := range w.graph.Nodes[at].Action.Words.Phrases {
		for _, noun := range p.Nouns {
			if text := w.slice(noun.From, noun.Upto); text != "" && ((noun.Measured || w.l.Language().Loose[name]) && onlyNamed(noun) == name || noun.Vessel && strings.HasSuffix(strings.ToLower(text), name)) && len(w.animalWords(text)) == 0 {
				return text
			}
		}
	}
	return w.c.words().The + " " + name
}

// madeThing names what an action made: the one thing of it that is meant, what
// it holds where that is little, or everything.
func (w *writer) madeThing(r recipe.Ref, at int) (named, bool) {
	lines, _ := w.meant(recipe.Noun{Refs: []recipe.Ref{r}})
	var out []named
	for _, line := range lines {
		if !w.there(line, at) {
			continue
		}
		if t, ok := w.ofLine(line, 1); ok {
			out = append(out, t)
		}
	}
	switch {
	case len(out) == 0:
		return named{}, false
	case len(out) > mostNamed, w.graph.Nodes[at].Is("reserve") && w.isLiquor(w.callsMade(r, at)): // "keeping the stock"
		if text := w.callsMade(r, at); text != "" {
			return named{text: text}, true
		}
		return named{text: w.c.words().Everything}, true
	}
	return named{text: w.c.listing(out), plural: len(out) > 1 || out[0].plural, stand: out[0].stand}, true
}

// callsMade is the name that an action's own words give to what another made: "the marinade".
func (w *writer) callsMade(r recipe.Ref, at int) string {
	for _, p := range w.graph.Nodes[at].Action.Words.Phrases {
		for _, noun := range p.Nouns {
			if noun.Pronoun || len(noun.Refs) != 1 || noun.Refs[0].Made == nil || *noun.Refs[0].Made != *r.Made || noun.Refs[0].Share < nearlyAll {
				continue
			}
			if text := w.slice(noun.From, noun.Upto); len(w.animalWords(text)) == 0 && !w.fleshly(text) {
				return text
			}
		}
	}
	return ""
}

// mostSubjects is how many things are named that are cooked without what was; the
// content of a pot needs no name.
const mostSubjects = 2

// mostNamed is how many things are named one by one where the text says "it".
const mostNamed = 3
