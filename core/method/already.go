package method

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// isInAlready tells whether a noun speaks of a stand-in that is in what it would go into: whatever
// told the two apart is gone.
func (w *writer) isInAlready(n *node, p recipe.Phrase, noun recipe.Noun) bool {
	if len(noun.Refs) != 1 || noun.Refs[0].Of == "" || noun.Refs[0].Made == nil || noun.Rest || noun.Pronoun || p.Role == "into" || noun.Refs[0].Share < nearlyAll || n.Technique.Takes != "" {
		return false
	}
	line := w.graph.Named(noun.Refs[0].Of)
	s := w.stand[line]
	return s != nil && !s.gone && s.enters < w.graph.Number(n) && slices.ContainsFunc(n.Action.Into, func(r recipe.Ref) bool { return r.Made != nil && *r.Made == *noun.Refs[0].Made })
}

// fatAlong is the fat that came along with dropped work, where a noun speaks of the fat of it; nil
// where it does not.
func (w *writer) fatAlong(noun recipe.Noun, at int) []named {
	words := larder.Words(w.slice(noun.Name, noun.Upto))
	if len(words) == 0 || !w.l.Language().Fats[words[0]] || noun.Pronoun {
		return nil
	}
	d := &w.deeds[at]
	for k, line := range d.along {
		if t, ok := w.ofLine(line, w.shares[line]); ok && w.c.fatLine(w.line(line)) {
			d.along = slices.Delete(slices.Clone(d.along), k, k+1)
			return []named{t}
		}
	}
	return nil
}

// restOfWhole tells whether a noun speaks of the rest of a line of which nothing has
// been taken, as what took it is not done any more.
func (w *writer) restOfWhole(noun recipe.Noun, lines []int, at int) bool {
	return noun.Rest && (!noun.Pronoun || len(noun.Refs) == 1 && noun.Refs[0].Line != nil) && len(lines) == 1 && !w.begun(lines[0], at) && w.tookBefore(lines[0], at)
}

// tookBefore tells whether the original took some of a line before an action: "the second onion" comes first.
func (p *plan) tookBefore(line, at int) bool {
	return slices.ContainsFunc(p.graph.Nodes[:at], func(n node) bool { return slices.Contains(n.Named, line) || slices.Contains(n.To, line) })
}

// begun tells whether something that is done before an action took of a line, so that
// there is a rest of it.
func (p *plan) begun(line, at int) bool {
	for k := range p.graph.Nodes[:at] {
		n := &p.graph.Nodes[k]
		if p.deeds[k].drop || p.greasesNot(n, []int{line}) {
			continue
		}
		partly := slices.Contains(n.To, line) && slices.ContainsFunc(n.Action.To, func(r recipe.Ref) bool { return r.Made != nil && r.Share < nearlyAll }) // "half of it"
		if partly || slices.Contains(n.Named, line) || slices.Contains(p.deeds[k].along, line) {
			return true
		}
		if slices.ContainsFunc(slices.Concat(p.deeds[k].late, p.deeds[k].before), func(s *standIn) bool { return s.node == line }) {
			return true // what a cube seasons in its last minutes
		}
	}
	return false
}

// itsOwnJuices tells whether a noun means the juices of what is returned to a pot,
// where that is flesh no more.
func (w *writer) itsOwnJuices(n *node, noun recipe.Noun) bool {
	if first, _, _ := strings.Cut(strings.ToLower(w.slice(noun.From, noun.Upto)), " "); !n.Is("return") && w.l.Language().Possessives[first] && w.isLiquor(w.slice(noun.Name, noun.Upto)) && slices.ContainsFunc(n.Inputs, func(in int) bool {
		o := &w.graph.Nodes[in]
		return o.Liquid && o.Technique.Family == "wet heat" && !w.deeds[in].drop
	}) {
		return false // "spoon in the lamb with its juices", the sauce it stewed in
	}
	return n.Technique.Joins != "" && !noun.Pronoun && !noun.Measured && w.fleshly(w.slice(noun.Name, noun.Upto)) &&
		slices.ContainsFunc(n.To, func(line int) bool { return w.stand[line] != nil && w.stand[line].flesh() }) &&
		!slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool { return r.Line != nil || r.Of != "" })
}

// ranOutAside tells whether a noun means the juices that ran out of flesh while it lay aside, for which something stands that
// lets none: "add the stock and the caught juices".
func (w *writer) ranOutAside(n *node, noun recipe.Noun) bool {
	name := w.slice(noun.Name, noun.Upto)
	at := w.graph.Number(n)
	return n.Technique.Joins != "" && !noun.Pronoun && !noun.Measured && w.fleshly(name) && w.isLiquor(name) && onlyNamed(noun) != "" &&
		w.fleshBefore(at) != nil && !w.ofPlants(n, name) && len(n.To) > 0
}

// intoItself tells whether a noun means what an action's things go into, by a name that
// only a body gives.
func (w *writer) intoItself(n *node, noun recipe.Noun) bool {
	return w.fleshly(w.slice(noun.Name, noun.Upto)) && slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool {
		return r.Made != nil && slices.ContainsFunc(n.Action.Into, func(o recipe.Ref) bool { return o.Made != nil && *o.Made == *r.Made })
	})
}

// beforeLids lets what would be added under a lid go in before the lid is put on.
func (p *plan) beforeLids() {
	for i := 1; i < len(p.deeds); i++ {
		lid, on := &p.graph.Nodes[i-1], &p.graph.Nodes[i]
		if len(p.deeds[i].before) == 0 || !lid.Is("cover") || p.deeds[i-1].drop || lid.At != on.At || !on.Covered {
			continue
		}
		for _, s := range p.deeds[i].before {
			s.enters = i - 1
		}
		p.deeds[i-1].before, p.deeds[i].before = append(p.deeds[i-1].before, p.deeds[i].before...), nil
	}
}

// alreadySaid tells whether things are all of what the clause already is done to: stand-ins of one kind, or the
// cook's own oil where oil stands for butter.
func (w *writer) alreadySaid(own *clause, things []named) bool {
	return !slices.ContainsFunc(things, func(t named) bool {
		if t.stand == nil {
			return !slices.ContainsFunc(own.objects, func(o named) bool {
				return o.stand != nil && !o.stand.bare && w.c.fatLine(o.stand.was) && strings.HasSuffix(t.text, " "+o.stand.name)
			})
		}
		return t.stand.book == nil || !slices.ContainsFunc(own.objects, func(o named) bool { return o.stand != nil && o.stand != t.stand && o.stand.name == t.stand.name })
	})
}

// cutsWhatIsNotThere tells whether words say that something is broken up meanwhile that had just gone in, and is flesh that
// goes in later: "add the mince and cook, breaking it up".
func (w *writer) cutsWhatIsNotThere(n *node, text string) bool {
	words, lang := larder.Words(text), w.l.Language()
	if len(words) == 0 || !w.addedFlesh(n) || !slices.ContainsFunc(words[1:], func(word string) bool { return lang.Pronouns[word] || lang.Remains[word] }) {
		return false
	}
	return slices.ContainsFunc(lang.Verb(strings.ToLower(strings.Fields(text)[0])), func(r language.Reading) bool {
		return r.Form == language.Going && slices.ContainsFunc(lang.Senses(r.Lemma), func(s language.Sense) bool {
			t := w.l.Technique(s.Technique)
			return t != nil && t.Family == "cut"
		})
	})
}

// otherNumber tells whether the one stand-in that a clause worked on is one where a pronoun says several: "beat the yolks with
// the lemon juice and stir them in", "sear the beef and lift it out". Of several that are mixed, "it" may be what they come to.
func (w *writer) otherNumber(b *clause, noun recipe.Noun) bool {
	words := w.c.words()
	said := strings.ToLower(w.slice(noun.From, noun.Upto))
	if b.node < 0 || len(w.graph.Nodes[b.node].Into) > 0 || w.graph.Nodes[b.node].Action.Makes != "" {
		return false // "spread the cream over the patties and tuck them into the bread"
	}
	if len(b.objects) != 1 || b.objects[0].stand == nil {
		return false
	}
	n := &w.graph.Nodes[b.node]
	itself := n.Is("season") || n.Technique.Family == "coat" || n.Technique.Family == "clean" || n.Technique.Heat != "" && n.Technique.Family != "wet heat"
	return said == words.Them && !b.objects[0].plural || said == words.It && b.objects[0].plural && b.objects[0].stand.flesh() && itself
}
