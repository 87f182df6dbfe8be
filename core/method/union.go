package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// union says of what stands for several lines and is made once how much of all of it a phrase means: "most
// of the melt", of one cheese whole and most of another, and in the end "the rest of it".
func (w *writer) union(p recipe.Phrase, at int, objects []named) []named {
	for k := 0; k < len(objects); k++ {
		s := objects[k].stand
		if s == nil || s.bare || s.book == nil || len(s.book.Prepare) == 0 {
			continue
		}
		peers := w.peers(s)
		if len(peers) < 2 {
			continue
		}
		meant, before, all := 0.0, 0.0, 0.0
		for _, line := range peers {
			mass := w.line(line).Mass()
			all += mass
			if slices.ContainsFunc(w.deeds[at].before, func(o *standIn) bool { return o.node == line }) {
				meant += mass // it goes in with this
				continue
			}
			meant += mass * shareIn(p, w.refOf(line))
			for i := range at {
				if !w.deeds[i].drop && slices.Contains(w.graph.Nodes[i].Named, line) && w.graph.Nodes[i].At.Component == w.graph.Nodes[at].At.Component {
					before += mass * w.shareAt(line, i)
				}
			}
		}
		if all <= 0 || meant <= 0 || meant >= nearlyAll*all || before >= nearlyAll*all { // all of it is in by then
			continue
		}
		rest := before > 0 && before+meant >= nearlyAll*all
		objects[k] = w.c.stand(s, meant/all, rest)
		objects = slices.DeleteFunc(objects, func(o named) bool {
			return o.stand != nil && o.stand != s && slices.Contains(peers, o.stand.node)
		})
	}
	return objects
}

// peers are the lines of a part for which the same swap stands, that is made once for them.
func (p *plan) peers(s *standIn) []int {
	var out []int
	for _, o := range p.inOrder() {
		if o.component == s.component && !o.gone && o.book == s.book {
			out = append(out, o.node)
		}
	}
	return out
}

// refOf is the outward name of a line of the flow.
func (p *plan) refOf(line int) string {
	at := p.graph.Lines[line]
	return recipe.LineRef(at.Component, at.Line)
}

// shareIn is the share of a line that a phrase means.
func shareIn(p recipe.Phrase, ref string) float64 {
	share := 0.0
	for _, noun := range p.Nouns {
		for _, r := range noun.Refs {
			if r.Line != nil && *r.Line == ref || r.Of == ref {
				share += r.Share
			}
		}
	}
	return share
}

// orElse joins a noun to the one before it where the text has it as the other choice: "the banana stem or shallots", of
// which one is bought.
func (w *writer) orElse(p recipe.Phrase, k int, objects, things []named) bool {
	if k == 0 || len(things) != 1 || len(objects) == 0 {
		return false
	}
	or := strings.TrimSpace(w.slice(p.Nouns[k-1].Upto, p.Nouns[k].From))
	if !w.l.Language().Lines.Or[strings.ToLower(or)] {
		return false
	}
	objects[len(objects)-1].text += " " + or + " " + things[0].text
	return true
}

// ofBoth joins what is left of a product's name to the noun before it where the two name one mixture: "the onion and bacon
// mixture", of which the bacon has another name.
func (w *writer) ofBoth(p recipe.Phrase, k int, objects, things []named) bool {
	if k == 0 || len(things) != 1 || len(objects) == 0 || things[0].stand != nil || objects[len(objects)-1].stand != nil || p.Nouns[k].From != p.Nouns[k].Name {
		return false
	}
	lang, between := w.l.Language(), strings.ToLower(strings.TrimSpace(w.slice(p.Nouns[k-1].Upto, p.Nouns[k].From)))
	if !lang.Lines.And[between] || len(strings.Fields(things[0].text)) != 1 || !lang.Products[strings.ToLower(things[0].text)] {
		return false
	}
	objects[len(objects)-1].text += " " + things[0].text
	return true
}

// standsOf are the stand-ins among things.
func standsOf(things []named) (out []*standIn) {
	for _, t := range things {
		if t.stand != nil {
			out = append(out, t.stand)
		}
	}
	return out
}

// spreadWith names a thing without the word for the animal's fat that is spread on it, and beside it what stands for that:
// "buttered bread".
func (w *writer) spreadWith(n *node, noun recipe.Noun, things []named) []named {
	first, rest, _ := strings.Cut(w.slice(noun.From, noun.Upto), " ")
	if len(things) != 1 || w.c.words().DoneWith[strings.ToLower(first)] == "" || n.Technique.Closes != larder.ClosesTable {
		return nil
	}
	for _, line := range n.With {
		if s := w.stand[line]; s != nil && !s.gone && w.c.fatLine(s.was) && slices.Contains(n.Named, line) && !w.spoken(n, line) {
			if things[0].stand == nil {
				things[0] = named{text: rest, plural: noun.Plural}
			}
			return append(things, w.c.stand(s, 1, false))
		}
	}
	if things[0].stand == nil && !noun.Vessel && rest != "" {
		return []named{{text: rest, plural: noun.Plural}} // nobody lists the butter for it
	}
	return nil
}

// mixtureOf is a mixture by the plants that its name is led by: "the chipotle mixture", of a cream so called.
func (w *writer) mixtureOf(name string) string {
	words := strings.Fields(name)
	for k := len(words) - 1; k > 0; k-- {
		front := strings.Join(words[:k], " ")
		if m, ok := w.l.Index().At(larder.Words(front), 0, true); ok && m.End == len(larder.Words(front)) && m.Food.Origin != larder.FromAnimal && len(w.animalWords(front)) == 0 {
			return front + " " + w.c.words().Mixture
		}
	}
	return w.c.words().Mixture
}
