package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// someMeant names what a pronoun means of several things, or how much of one; nil where it means all of it.
func (w *writer) someMeant(noun recipe.Noun, there []int) []named {
	t, some := w.someOf(noun, there)
	others := w.besideFirst(there)
	switch {
	case some:
		return []named{t}
	case others != nil:
		return others // "fry the bacon with the onion and add both", of which one goes in only now
	case w.lessThanMeasured(noun, there):
		return []named{{text: w.c.words().Some + " " + w.c.words().It}}
	}
	return nil
}

// pronoun keeps "it" where what it means is still said before, in the number of
// what is meant now, and names the thing where it is not.
func (w *writer) pronoun(noun recipe.Noun, lines []int, at int, kept []named) ([]named, bool) {
	if part := w.eggPart(noun, lines, at); part != nil {
		return part, true // "chop the whites and stir them in"
	}
	there := slices.DeleteFunc(slices.Clone(lines), func(line int) bool { return !w.there(line, at) })
	if some := w.someMeant(noun, there); some != nil {
		return some, true
	}
	if name := w.skimmedJust(noun, at); name != "" {
		return []named{{text: name, plural: noun.Plural}}, true
	}
	if entering := w.entering(lines, at); len(entering) > 0 && w.lost(noun) {
		return w.named(entering), true // "flake the fish and fold it in", of what is in flakes
	}
	goesIn := slices.ContainsFunc(there, func(line int) bool { return w.stand[line] != nil && w.stand[line].enters == at })
	if len(there) == 0 || w.meantGone(noun) && !goesIn {
		return nil, true
	}
	if at := slices.IndexFunc(there, func(line int) bool { return w.stand[line] != nil }); noun.Rest && at >= 0 {
		return []named{w.c.stand(w.stand[there[at]], halfSaid, true)}, true // "the rest of the whipped aquafaba"
	}
	if w.eachOfMade(noun) || w.intoWhatItIs(noun, at) || len(noun.Refs) == 1 && noun.Refs[0].Share < nearlyAll && !noun.Rest && !w.lost(noun) {
		return kept, false // "two thirds" of what is made
	}
	only := !slices.ContainsFunc(there, func(line int) bool { return w.stand[line] == nil })
	var just *standIn
	if !w.graph.Nodes[at].Is("cover") { // which is done to the pot
		just = w.putInJust(noun, there)
	}
	if b := w.before; just == nil && b != nil && len(b.objects) > 0 && w.speaksOf(b, there) && (only || w.lost(noun) || w.otherNumber(b, noun)) {
		return w.itOrThem(b, kept)
	}
	if main, b := w.coatedJust(noun, there), w.before; len(main) == 1 && b != nil && len(b.objects) > 0 && w.speaksOf(b, main) {
		return w.itOrThem(b, kept) // "rub the tuna with oil and sear it"
	}
	if w.amongOthers(at) {
		return w.itOrThem(w.before, kept) // "add the chicken and turn it in the onions"
	}
	if just != nil {
		return w.itOrThem(&clause{objects: w.whollyNamed([]*standIn{just})}, kept)
	}
	if s := w.turnedOver(there, at); s != nil {
		return w.itOrThem(&clause{objects: w.whollyNamed([]*standIn{s})}, kept) // "lay in the fish and cook for 2 minutes, then turn it"
	}
	if !w.lost(noun) && (!only || len(there) > 1) {
		return kept, false // a mixture stays what it was
	}
	var out []named
	for _, line := range w.besidesFat(there) {
		if t, ok := w.ofLine(line, 1); ok {
			out = append(out, t)
		}
	}
	if len(out) > mostNamed {
		out = []named{{text: w.c.words().Everything}}
	}
	return out, true
}

// besidesFat leaves out of several lines the fat that only fried the others: "fry the eggs in the oil and serve one on each
// plate".
func (w *writer) besidesFat(lines []int) []int {
	fat := func(line int) bool { return w.c.fatLine(w.line(line)) && w.fries(line) }
	if !slices.ContainsFunc(lines, func(line int) bool { return !fat(line) }) {
		return lines
	}
	return slices.DeleteFunc(slices.Clone(lines), fat)
}

// amongOthers tells whether a pronoun means no more than what the clause before put in, as its
// own clause names what that was put among.
func (w *writer) amongOthers(at int) bool {
	b := w.before
	if b == nil || b.node < 0 || len(b.objects) == 0 || w.graph.Nodes[b.node].Technique.Joins != "yes" {
		return false
	}
	into := w.graph.Nodes[b.node].Into
	return slices.ContainsFunc(w.graph.Nodes[at].Named, func(line int) bool { return slices.Contains(into, line) && w.there(line, at) })
}

// putInJust is the stand-in for the one thing that the action put in, or took up, which a pronoun points
// back to: "add the chicken, turn it about"; nil where it means more.
func (w *writer) putInJust(noun recipe.Noun, there []int) *standIn {
	words := w.c.words()
	said := strings.ToLower(w.slice(noun.From, noun.Upto))
	if said != words.It && said != words.Them || len(noun.Refs) != 1 || noun.Refs[0].Made == nil || w.lost(noun) {
		return nil
	}
	at := w.nodeOf(*noun.Refs[0].Made)
	if at < 0 {
		return nil
	}
	n := &w.graph.Nodes[at]
	line := onlyNamedTo(n)
	if line < 0 || !slices.Contains(there, line) || n.Technique.Family == "mix" && n.Technique.Joins != "yes" && len(n.With)+len(n.Into) > 0 {
		return nil
	}
	if s := w.stand[line]; s != nil && (s.flesh() || s.class == larder.Egg || said == words.Them) && (said == words.Them) == pluralObject(n.Action) {
		return s
	}
	return nil
}

// pluralObject tells whether the words of an action name what it is done to as several.
func pluralObject(a *recipe.Action) bool {
	at := slices.IndexFunc(a.Words.Phrases, func(p recipe.Phrase) bool {
		return (p.Role == "to" || strings.HasSuffix(a.Verb, " "+p.Role)) && len(p.Nouns) > 0 // "pour in the eggs"
	})
	return at >= 0 && (a.Words.Phrases[at].Nouns[0].Plural || len(a.Words.Phrases[at].Nouns) > 1)
}

// coatedJust are the stand-ins that a noun means without what they were rubbed or coated with.
func (w *writer) coatedJust(noun recipe.Noun, there []int) []int {
	if len(noun.Refs) != 1 || noun.Refs[0].Made == nil {
		return nil
	}
	at := w.nodeOf(*noun.Refs[0].Made)
	if at < 0 || w.graph.Nodes[at].Technique.Family != "coat" {
		return nil
	}
	return slices.DeleteFunc(slices.Clone(w.graph.Nodes[at].To), func(line int) bool { return w.stand[line] == nil || !slices.Contains(there, line) })
}

// someOf names a share of what stands for the one thing that was replaced, where the work
// that made it is not done any more: "a spoonful of the whipped aquafaba", "half of the smoky
// shiitake".
func (w *writer) someOf(noun recipe.Noun, there []int) (named, bool) {
	stands := slices.DeleteFunc(slices.Clone(there), func(line int) bool { return w.stand[line] == nil })
	if noun.Rest || len(stands) != 1 || len(noun.Refs) != 1 || noun.Refs[0].Share >= nearlyAll || !w.lost(noun) {
		return named{}, false
	}
	s := w.stand[stands[0]]
	if s.bare {
		return named{}, false
	}
	t := w.c.stand(s, noun.Refs[0].Share, false)
	if measure := w.bareMeasure(noun); measure != "" {
		t.text = measure + " " + w.c.words().Of + " " + w.c.words().The + " " + s.name
	}
	return t, true
}

// bareMeasure is the measure that a pronoun is said with, without the pronoun: "a spoonful".
func (w *writer) bareMeasure(noun recipe.Noun) string {
	lang := w.l.Language()
	words := strings.Fields(w.slice(noun.From, noun.Upto))
	for len(words) > 0 && (lang.Pronouns[strings.ToLower(words[len(words)-1])] || lang.Prepositions[strings.ToLower(words[len(words)-1])] == "of") {
		words = words[:len(words)-1]
	}
	if len(words) == 0 || lang.Littles[strings.ToLower(words[len(words)-1])] == 0 {
		return ""
	}
	return strings.ToLower(strings.Join(words, " "))
}

// theRest is "the rest" of what stands for something, or all where nothing was taken out.
func (w *writer) theRest(noun recipe.Noun, at int, kept []named) ([]named, bool) {
	if w.nothingLeft(noun, at) {
		return []named{{text: w.c.words().Everything}}, true
	}
	return kept, false
}

// nothingLeft tells whether "the rest" means all, as what was to be taken out before is not
// taken out any more.
func (w *writer) nothingLeft(noun recipe.Noun, at int) bool {
	taken := false
	for k := range w.graph.Nodes[:at] {
		n := &w.graph.Nodes[k]
		if n.Technique.Takes != "part" || !slices.ContainsFunc(n.Action.To, func(r recipe.Ref) bool {
			return r.Made != nil && slices.ContainsFunc(noun.Refs, func(o recipe.Ref) bool { return o.Made != nil && *o.Made == *r.Made })
		}) {
			continue
		}
		if !w.deeds[k].drop {
			return false
		}
		taken = true
	}
	return taken
}

// entering are the stand-ins among lines that go in with an action.
func (w *writer) entering(lines []int, at int) []*standIn {
	var out []*standIn
	for _, line := range lines {
		if s := w.stand[line]; s != nil && !s.gone && s.enters == at && s.tail == 0 && s.flesh() {
			out = append(out, s)
		}
	}
	return out
}

// halfSaid stands for a share of which only the rest is said.
const halfSaid = 0.5

// meantGone tells whether a pronoun means what an action took in by name that is
// not done any more, and none of which is there: "add the pork and brown it".
func (w *writer) meantGone(noun recipe.Noun) bool {
	for _, r := range noun.Refs {
		if r.Made == nil {
			return false
		}
		at := w.nodeOf(*r.Made)
		for at >= 0 && w.deeds[at].drop && w.graph.Nodes[at].Technique.Family == "cut" && len(w.graph.Nodes[at].Named) == 0 && len(w.graph.Nodes[at].Inputs) == 1 {
			at = w.graph.Nodes[at].Inputs[0] // "beat them out and divide the stuffing between them"
		}
		if at < 0 || !w.deeds[at].drop {
			return false
		}
		n := &w.graph.Nodes[at]
		for _, line := range n.To {
			if (slices.Contains(n.Named, line) || w.stand[line] != nil && w.stand[line].unfired) && w.there(line, at+1) {
				return false
			}
		}
		if n.Technique.Joins != "yes" && slices.ContainsFunc(n.Into, func(line int) bool { return w.there(line, at+1) && !w.c.fatLine(w.line(line)) }) {
			return false // "fry the bacon with the onions, then the sausage; add these"
		}
	}
	return true
}

// itOrThem is the pronoun for what a clause worked on.
func (w *writer) itOrThem(b *clause, kept []named) ([]named, bool) {
	words := w.c.words()
	plural := len(b.objects) > 1 || b.objects[0].plural || w.eachOfAll(b.objects[0].text)
	text := words.It
	if plural {
		text = words.Them
	}
	return []named{{text: text, plural: plural, stand: b.objects[0].stand}}, !strings.EqualFold(text, kept[0].text)
}

// speaksOf tells whether a clause works on nothing but the lines.
func (w *writer) speaksOf(c *clause, lines []int) bool {
	for _, o := range c.objects {
		if o.stand != nil && !slices.Contains(lines, o.stand.node) {
			return false
		}
	}
	if c.node >= 0 {
		n := &w.graph.Nodes[c.node]
		if len(n.To)+len(n.With)+len(n.Into) == 0 {
			return len(c.objects) > 0 && c.objects[0].stand != nil // "keeping the marinade"
		}
		return !slices.ContainsFunc(n.To, func(line int) bool { return !slices.Contains(lines, line) })
	}
	return true
}

// afterWords is what stands for a thing that only the words name, without its article where a word that says how the thing
// is stands right before its name: "with warm naan".
func (w *writer) afterWords(a *recipe.Action, p recipe.Phrase, name, text string) string {
	lang, how := w.l.Language(), ""
	if slices.ContainsFunc(p.Nouns, func(n recipe.Noun) bool {
		if len(n.Refs) != 1 || n.Refs[0].Named == nil || *n.Refs[0].Named != name || n.Name <= a.From {
			return false
		}
		words := strings.Fields(strings.ToLower(w.slice(a.From, n.Name)))
		if inner := strings.Fields(w.slice(n.From, n.Name)); len(inner) > 0 && len(words) > 0 {
			how = words[len(words)-1] + " " // the words for the thing begin with it
		}
		return len(words) > 0 && (lang.HeatWords[words[len(words)-1]] || lang.AdjectiveVerbs[words[len(words)-1]])
	}) {
		return how + strings.TrimPrefix(text, w.c.words().The+" ")
	}
	return text
}
