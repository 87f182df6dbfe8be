package method

import (
	"slices"
	"strings"
	"unicode/utf8"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// shapedAs is the shape that a thing was given which a noun names by its animal; empty where
// it was given none.
func (w *writer) shapedAs(noun recipe.Noun) string {
	lines, _ := w.meant(noun)
	for _, r := range noun.Refs {
		if r.Made == nil {
			continue
		}
		for at := w.nodeOf(*r.Made); at >= 0; {
			n := &w.graph.Nodes[at]
			if made := n.Action.Makes; n.Is(shapers...) && w.l.Language().Shapes[made] && !w.deeds[at].drop && slices.ContainsFunc(lines, n.Reaches) {
				mass := w.l.Language().Groups[larder.Fold(w.slice(noun.Name, noun.Upto))] != nil && w.saidMany(n) // "beside the meat", of which there are several
				return w.c.renamed(w.c.many(made, noun.Plural || mass))                                           // "the rolls", of what was shaped into sausages
			}
			if len(n.Inputs) == 0 {
				break
			}
			at = n.Inputs[0]
		}
	}
	return ""
}

// saidMany tells whether an action shapes its thing into several.
func (p *plan) saidMany(n *flow.Node) bool {
	at := n.Action.Words.Shape
	said := strings.ToLower(string(p.textOf(n)[at[0]:at[1]]))
	return said != larder.Singular(said)
}

// textOf is what the step of an action says.
func (p *plan) textOf(n *flow.Node) []rune {
	return []rune(p.dish.Components[n.At.Component].Steps[n.At.Step].Text)
}

// shapers are the ways of working by which things get a shape of their own: "squeeze the paste to form balls".
var shapers = []string{"shape", "roll", "press"}

// shapedIn is what the things are called that a part of the dish is shaped into, in whichever part that is done; empty where
// it is not.
func (c *Carrier) shapedIn(p *plan, i int) string {
	for k := range p.graph.Nodes {
		n := &p.graph.Nodes[k]
		if made := n.Action.Makes; (n.At.Component == i || p.holdsOf(n, i)) && n.Is(shapers...) && c.book.Larder().Language().Shapes[made] && !p.deeds[k].drop {
			return larder.Capital(c.renamed(c.many(made, true)))
		}
	}
	return ""
}

// holdsOf tells whether an action of another part works on what stands for flesh of a part.
func (p *plan) holdsOf(n *flow.Node, component int) bool {
	return slices.ContainsFunc(n.Holds, func(line int) bool {
		s := p.stand[line]
		return s != nil && s.flesh() && s.component == component
	})
}

// many is the name of a shape for one or several.
func (c *Carrier) many(shape string, plural bool) string {
	best := shape
	for other := range c.book.Larder().Language().Shapes {
		if plural && other != shape && larder.Singular(other) == shape && (best == shape || other < best) {
			best = other
		}
	}
	return best
}

// several tells whether more than one of the lines of a thing that was made is there.
func (w *writer) several(lines []int, at int) bool {
	n := 0
	for _, line := range lines {
		if w.there(line, at) {
			n++
		}
	}
	return n > 1
}

// ontoThem says that things are added to what goes in with the action, where the text adds
// them to it: "whisk the whites, then add the sugar".
func (w *writer) ontoThem(n *node, before []*standIn) []edit {
	a := n.Action
	in := a.Verb != w.c.words().Add && w.verbIn(a) > 0
	if lost := w.lostTarget(n); in && len(lost) > 0 {
		return w.insideThem(a, lost)
	}
	if len(before) == 0 || a.Verb != w.c.words().Add && !in || len(a.Words.Phrases) == 0 || a.Words.Phrases[0].Role != "to" && !in {
		return nil
	}
	for _, line := range n.Into {
		if w.there(line, w.graph.Number(n)) && !slices.ContainsFunc(before, func(s *standIn) bool { return s.node == line }) {
			return nil // they join something else
		}
	}
	for _, s := range before {
		if !slices.Contains(n.Into, s.node) || slices.Contains(n.To, s.node) || s.flesh() {
			return nil
		}
	}
	if in {
		return w.insideThem(a, before)
	}
	at := a.Words.Phrases[0].Upto
	return []edit{{at, at, " " + w.c.words().To + " " + w.c.listing(w.named(before))}}
}

// insideThem says into what something goes, in place of a bare particle: "whisk the sugar into the whipped aquafaba".
func (w *writer) insideThem(a *recipe.Action, stands []*standIn) []edit {
	at := a.Words.Phrases[0].Upto
	to := " " + w.c.words().Inside + " " + w.c.listing(w.whollyNamed(stands))
	return []edit{{w.verbIn(a), a.Words.Phrases[0].Nouns[0].From, " "}, {at, at, to}}
}

// lostTarget is what something goes into that a particle points at, where the work that named it before is not done
// any more: "rinse the fish and rub in the salt".
func (w *writer) lostTarget(n *node) []*standIn {
	a, at := n.Action, w.graph.Number(n)
	if len(a.Into) != 1 || a.Into[0].Made == nil || !w.undone(w.nodeOf(*a.Into[0].Made)) || slices.ContainsFunc(a.Words.Phrases, func(p recipe.Phrase) bool { return p.Role == "into" }) {
		return nil
	}
	var out []*standIn
	for _, line := range n.Into {
		switch s := w.stand[line]; {
		case s == nil && w.there(line, at) && slices.Contains(n.Named, line):
			return nil
		case s != nil && s.flesh() && !s.gone && s.enters <= at:
			out = append(out, s)
		}
	}
	return out
}

// verbIn is where the verb of an action ends whose particle is to go: "whisk in the sugar"; 0 where nothing but
// such a particle stands between it and what it is done to.
func (w *writer) verbIn(a *recipe.Action) int {
	if len(a.Words.Phrases) == 0 || len(a.Words.Phrases[0].Nouns) == 0 {
		return 0
	}
	verb := strings.Fields(strings.ToLower(w.slice(a.Words.Verb[0], a.Words.Phrases[0].Nouns[0].From)))
	if len(verb) != 2 || w.l.Language().Prepositions[verb[1]] != "in" {
		return 0
	}
	return a.Words.Verb[0] + utf8.RuneCountInString(verb[0])
}

// namedBefore are the lines that work of the same part names before an action.
func (w *writer) namedBefore(at int) []int {
	var out []int
	for k := range at {
		if n := &w.graph.Nodes[k]; !w.deeds[k].drop && n.At.Component == w.graph.Nodes[at].At.Component {
			out = append(out, n.Named...)
		}
	}
	return out
}

// shapedBare are the lines with which a stand-in is shaped into balls or cakes with no wrap
// of dough or leaf round them; none where it is not.
func (p *plan) shapedBare(s *standIn) []int {
	var shaped []int
	for _, i := range p.path(s.node) {
		n := &p.graph.Nodes[i]
		if n.Is("wrap", "stuff", "roll-up", "seal") {
			return nil
		}
		if n.Is("shape") && s.flesh() {
			shaped = n.Holds
		}
	}
	return shaped
}

// withinBalls tells whether a stand-in is the lesser part of what is shaped with another into balls or cakes, which keep the liquid from it.
func (p *plan) withinBalls(s *standIn) bool {
	return slices.ContainsFunc(p.shapedBare(s), func(line int) bool {
		o := p.stand[line]
		return o != nil && o != s && !o.gone && o.flesh() && o.was.Mass() > s.was.Mass()
	})
}

// shapedForm is the form of whatever was shaped of plants, in the table of behaviour.
const shapedForm = "shaped"

// someServed says some of a stand-in where a dish is served topped with what all went into it before: "serve topped with some
// of the mushrooms", of mussels of which a few were kept whole.
func (w *writer) someServed(n *node, p recipe.Phrase, noun recipe.Noun, things []named) []named {
	if p.Role != "with" || n.Technique.Closes != larder.ClosesTable || len(n.Action.To) > 0 || len(noun.Refs) != 1 || noun.Refs[0].Of == "" || noun.Refs[0].Made == nil || len(things) != 1 {
		return things
	}
	dish := w.nodeOf(*noun.Refs[0].Made)
	if dish < 0 || len(slices.DeleteFunc(slices.Clone(w.graph.Nodes[dish].Holds), func(line int) bool { return w.c.fatLine(w.line(line)) || w.dusts(line) })) < severalLines {
		return things // it was by itself
	}
	the := w.c.words().The + " "
	if t := &things[0]; t.stand != nil && !t.stand.bare && slices.Contains(n.Inputs, dish) && strings.TrimPrefix(t.text, the) == t.stand.name {
		t.text = w.c.words().Some + " " + the + t.stand.name
	}
	return things
}

// beforeShape is what stands before the name of a shape: "4 or 5 meatballs", "each fishcake", "the meatballs", "a piece of the log".
func (w *writer) beforeShape(noun recipe.Noun) string {
	if before := w.slice(noun.From, noun.Name); noun.Measured && !noun.Rest && w.ownMeasure(noun) == "" || w.eachOfAll(before) {
		return before
	}
	return w.ownMeasure(noun) + w.c.words().The + " "
}

// eachOfAll tells whether what stands before a name means one by one all that go by it: "each fishcake".
func (w *writer) eachOfAll(before string) bool {
	first, _, _ := strings.Cut(strings.ToLower(before), " ")
	return w.l.Language().Dealt[first]
}

// inPieces says of a mix that is parted by hand into which pieces it is, in the text's own words: "small balls of the lentil mix".
func (w *writer) inPieces(noun recipe.Noun, things []named) []named {
	words := strings.Fields(w.slice(noun.From, noun.Name))
	of := slices.IndexFunc(words, func(x string) bool { return w.l.Language().Prepositions[strings.ToLower(x)] == "of" })
	if len(things) != 1 || of < 1 || !noun.Measured || len(noun.Refs) != 1 || noun.Refs[0].Share < nearlyAll || !w.l.Language().Shapes[strings.ToLower(words[of-1])] || !strings.HasPrefix(things[0].text, w.c.words().The+" ") {
		return things
	}
	shape := strings.ToLower(words[of-1])
	if s := things[0].stand; s != nil && s.flesh() && s.chosen != nil && s.chosen.Use != shapeUse || slices.Contains(larder.Words(things[0].text), larder.Singular(shape)) {
		return things // what stands for pieces of flesh comes in its own, and "the mushroom slices" are cut
	}
	return []named{{text: strings.Join(words[:of+1], " ") + " " + things[0].text, plural: larder.Singular(shape) != shape, stand: things[0].stand}}
}

// inPiecesSaid is inPieces of the noun that says what an action is done to.
func (w *writer) inPiecesSaid(a *recipe.Action, things []named) []named {
	for _, p := range a.Words.Phrases {
		if p.Upto <= a.Upto && (p.Role == "to" || p.Role == "from") && len(p.Nouns) == 1 {
			return w.inPieces(p.Nouns[0], things)
		}
	}
	return things
}
