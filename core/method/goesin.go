package method

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// goesInLate are the clauses for what goes in during the last minutes of an action, and for
// what is stirred in when it is done.
func (w *writer) goesInLate(n *node, d *deed, own *clause) (out []*clause) {
	if d.lastly {
		w.addsLastly(d.late[0], own)
	}
	for k, s := range d.late {
		if d.lastly {
			break
		}
		minutes := s.tail
		if k+1 < len(d.late) {
			minutes -= d.late[k+1].tail
		}
		own.changed = true
		if k == 0 || d.late[k-1].tail != s.tail {
			out = append(out, w.addsLate(slices.DeleteFunc(slices.Clone(d.late), func(o *standIn) bool { return o.tail != s.tail })))
		}
		if minutes >= 1 {
			out = append(out, w.goesOn(n, roundMinutes(minutes)))
			if k+1 == len(d.late) && d.cueAfter != "" {
				out[len(out)-1].text += " " + d.cueAfter
			}
		}
	}
	finished := map[string]bool{}
	for _, s := range d.finish {
		if finished[s.book.ID] {
			continue
		}
		finished[s.book.ID], own.changed = true, true
		text := lowered(strings.TrimSuffix(s.book.FinishFor(s.chosen.Use), "."))
		out = append(out, &clause{node: -1, changed: true, text: text, stands: []*standIn{s}})
	}
	return out
}

// addsLastly says of something behind the cue of an action that it goes in for its last minutes.
func (w *writer) addsLastly(s *standIn, own *clause) {
	words, things := w.c.words(), w.named([]*standIn{s})
	own.text += ", " + strings.NewReplacer("{thing}", w.c.listing(things), "{minutes}", w.c.spoken(measure.Exactly(roundMinutes(s.tail)))).Replace(words.Lastly)
	own.objects, own.stands, own.changed = append(own.objects, things...), append(own.stands, s), true
}

// unsaid are those of what goes in before an action that its own words do not name.
func (w *writer) unsaid(n *node, before []*standIn) []*standIn {
	return slices.DeleteFunc(slices.Clone(before), func(s *standIn) bool {
		return slices.ContainsFunc(n.Action.Words.Phrases, func(p recipe.Phrase) bool {
			return slices.ContainsFunc(p.Nouns, func(noun recipe.Noun) bool {
				lines, made := w.meant(noun)
				if p.Role != "to" && w.strainedGone(noun, s) && slices.Contains(lines, s.node) && strings.HasSuffix(n.Action.Verb, " "+p.Role) {
					return true // "pour in the strained stock"
				}
				if p.Role != "to" { // "loosen it with a spoonful of them", "divide the stuffing between them"
					return noun.Pronoun && (noun.Measured || len(n.Into) == 1) && slices.Contains(lines, s.node) && w.lost(noun)
				}
				name := w.slice(noun.Name, noun.Upto)
				if noun.Pronoun {
					lines = slices.DeleteFunc(slices.Clone(lines), func(line int) bool {
						o := w.stand[line]
						return w.c.fatLine(w.line(line)) && (o == nil || !o.flesh()) || o == nil && w.dusts(line)
					})
					return len(lines) == 1 && lines[0] == s.node
				}
				return slices.Contains(lines, s.node) && (!made || len(w.animalWords(name)) > 0 || w.ownName(name, lines) || w.strainedGone(noun, s))
			})
		})
	})
}

// strainedGone tells whether a noun means a liquid by work that is not done any more, and what stands in is for that liquid: "the
// strained stock".
func (w *writer) strainedGone(noun recipe.Noun, s *standIn) bool {
	return w.isLiquor(w.slice(noun.Name, noun.Upto)) && w.lost(noun) && larder.Pours(w.l.Food(s.was.FoodID()))
}

// hangsOn tells whether an action without words of its own for what it is done to
// was done to what the clause before took in, of which nothing is left: "add the
// pork and seal".
func (w *writer) hangsOn(n *node) bool {
	if w.emptied && n.Technique.Family == "dry heat" && w.saysPlaces(n) && w.addedFlesh(n) {
		return true
	}
	if w.emptied && n.Is("stir", "toss") && w.saysPlaces(n) && n.Action.Minutes == nil && (n.Action.Cue == "" || pointsFirst(n) != "") {
		return true // "add the beef and stir until it is coated"
	}
	if !w.emptied && !w.thinned || !w.saysPlaces(n) || len(w.deeds[w.graph.Number(n)].before) > 0 || n.Action.Minutes != nil || n.Action.Cue != "" && !w.deeds[w.graph.Number(n)].cueless {
		return false
	}
	if n.Is("cover") && (!w.emptied || slices.ContainsFunc(n.To, func(line int) bool { return w.stand[line] == nil && !w.fries(line) && w.there(line, w.graph.Number(n)) })) {
		return false // a pot in which something is
	}
	f := n.Technique.Family
	if f == "cut" && w.carves(n) {
		return false // "rest it and slice", of what is one piece still
	}
	return f == "dry heat" || f == "assemble" || f == "cut" || n.Is("turn", "shake")
}

// addedFlesh tells whether what an action goes on with was added by the one before, and
// is flesh that goes in later or not at all: "add the mutton and sear for 10 minutes".
func (w *writer) addedFlesh(n *node) bool {
	at := w.graph.Number(n)
	return len(w.deeds[at].before) == 0 && slices.ContainsFunc(n.Inputs, func(in int) bool {
		from := &w.graph.Nodes[in]
		flesh := slices.ContainsFunc(from.Named, func(line int) bool {
			s := w.stand[line]
			return s != nil && s.flesh() && !w.there(line, at)
		})
		return in == at-1 && flesh && from.Technique.Joins != ""
	})
}

// bitByBit tells whether an action adds its things little by little: "a tablespoon at a time".
func (w *writer) bitByBit(a *recipe.Action) bool {
	return slices.ContainsFunc(a.Manner, func(manner string) bool {
		return slices.ContainsFunc(w.l.Language().Doling, func(words language.List) bool {
			return strings.Contains(strings.ToLower(manner), strings.Join(words, " "))
		})
	})
}

// takesObject tells whether an action whose words leave its object open can be said
// of what goes in with it.
func (w *writer) takesObject(n *node, before []*standIn) bool {
	a := n.Action
	if len(before) == 0 || a.Words.Verb[1] == 0 || n.Technique.Joins == "yes" && len(a.Words.Phrases) == 0 || n.Technique.Family == "control" {
		return false
	}
	if n.Technique.Family == "wet heat" && len(a.With) == 0 {
		return len(a.Words.Phrases) == 0 && !slices.ContainsFunc(before, func(s *standIn) bool { return !larder.Pours(w.l.Food(s.was.FoodID())) || !s.Dissolves })
	}
	return !namesObject(a) && !slices.ContainsFunc(w.subjects(w.graph.Number(n)), func(line int) bool { return w.stand[line] == nil })
}

// impliedLost is what an action is done to without naming it, where the work that named it before is not
// done any more and nothing said since speaks of it: "shred the pork and mix with the sauce".
func (w *writer) impliedLost(n *node) []*standIn {
	a, at := n.Action, w.graph.Number(n)
	if a.Words.Verb[1] == 0 || namesObject(a) || n.Technique.Family != "mix" && n.Technique.Family != "coat" || len(a.Words.Phrases)+len(a.Into) == 0 && a.Upto <= a.Words.Verb[1] || len(a.To) != 1 || a.To[0].Made == nil {
		return nil
	}
	if made := w.nodeOf(*a.To[0].Made); made < 0 || !w.deeds[made].drop {
		return nil
	}
	var out []*standIn
	for _, line := range n.To {
		if s := w.stand[line]; s != nil && w.there(line, at) && (s.flesh() || inBits(s)) {
			out = append(out, s)
		} else if s == nil {
			return nil
		}
	}
	if w.before != nil && len(w.before.objects) > 0 && w.speaksOf(w.before, n.To) {
		return nil
	}
	return out
}

// takenUnnamed is what an action takes out without naming it, where the work behind it is not done any more and the next of its
// sentence is done to something else, which its words would be read to take out too: "lift out and shred; discard the ginger".
func (w *writer) takenUnnamed(n *node) []*standIn {
	at := w.graph.Number(n)
	if n.Technique.Takes != "part" || namesObject(n.Action) || n.Action.Words.Verb[1] == 0 || at+2 >= len(w.graph.Nodes) {
		return nil
	}
	gone, next := &w.graph.Nodes[at+1], &w.graph.Nodes[at+2]
	if gone.At != n.At || next.At != n.At || !w.deeds[at+1].drop || w.deeds[at+2].drop || !namesObject(next.Action) || strings.ContainsAny(w.slice(n.Action.Upto, next.Action.From), ".!?") {
		return nil
	}
	var out []*standIn
	for _, line := range n.To {
		s := w.stand[line]
		if s == nil || !w.there(line, at) {
			return nil
		}
		out = append(out, s)
	}
	return out
}

// namesObject tells whether the words of an action name what it is done to, behind a particle too:
// "slip in the fish".
func namesObject(a *recipe.Action) bool {
	return slices.ContainsFunc(a.Words.Phrases, func(p recipe.Phrase) bool {
		return p.Role == "to" || slices.ContainsFunc(p.Nouns, func(noun recipe.Noun) bool {
			return slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool {
				return slices.ContainsFunc(a.To, func(to recipe.Ref) bool {
					return r.Line != nil && to.Line != nil && *to.Line == *r.Line || r.Made != nil && to.Made != nil && *to.Made == *r.Made
				})
			})
		})
	})
}

// adds is the clause with which stand-ins go in.
func (w *writer) adds(stands ...*standIn) *clause {
	things := w.named(stands)
	c := &clause{node: -1, changed: true, text: w.c.words().Add + " " + w.c.listing(things), objects: things, stands: stands}
	w.before = c
	return c
}

// addsLate is the clause with which stand-ins go into what cooks on: milk and cream are stirred in.
func (w *writer) addsLate(stands []*standIn) *clause {
	c := w.adds(stands...)
	if !slices.ContainsFunc(stands, func(s *standIn) bool { return s.flesh() || !larder.Pours(w.l.Food(s.was.FoodID())) }) {
		c.text = w.c.words().StirIn + " " + w.c.listing(c.objects)
	}
	return c
}

// goneWith are the lines of the cook's own that were to go into a pot with flesh which goes in later: "return the
// lamb to the pan with the tomatoes and stock".
func (w *writer) goneWith(n *node) []int {
	named := slices.DeleteFunc(slices.Clone(n.With), func(line int) bool { return !slices.Contains(n.Named, line) })
	if (!n.Is("return", "add") || len(n.Into) == 0) && (n.Technique.Family != "mix" || len(named) < 2) {
		return nil
	}
	at := w.graph.Number(n)
	return slices.DeleteFunc(named, func(line int) bool { return !w.there(line, at) })
}

// keepsIt says that something is kept where the work before it in the sentence said what, and goes: "skim the fat off
// the juices and reserve".
func (w *writer) keepsIt(n *node) []edit {
	at := n.Action.Words.Verb[1]
	if !n.Is("reserve") || !w.emptied || len(w.object) > 0 || at == 0 || namesObject(n.Action) || len(n.Action.Words.Particles) > 0 {
		return nil
	}
	if first, _, ok := strings.Cut(w.slice(n.Action.Words.Verb[0], at), " "); ok {
		at = n.Action.Words.Verb[0] + len([]rune(first)) // "set it aside"
	}
	return []edit{{at, at, " " + w.c.words().It}}
}

// carves tells whether an action cuts one piece that is there and is cut when it is done.
func (w *writer) carves(n *node) bool {
	return len(n.To) > 0 && !slices.ContainsFunc(w.subjects(w.graph.Number(n)), func(line int) bool {
		s := w.stand[line]
		return s == nil || !s.is(larder.Carved) || !w.there(line, w.graph.Number(n))
	})
}

// servesWhat names what is served, or carved, where the work before it in the sentence said so and goes: "carve
// the beef and serve with the gravy".
func (w *writer) servesWhat(n *node) []edit {
	a := n.Action
	if !n.Is("serve") && !(n.Technique.Family == "cut" && w.carves(n)) || !w.emptied || len(w.object) > 0 || a.Words.Verb[1] == 0 || slices.ContainsFunc(a.Words.Phrases, func(p recipe.Phrase) bool { return p.Role == "to" }) {
		return nil
	}
	var things []named
	lines := slices.Clone(n.To)
	for _, in := range n.Inputs {
		lines = append(lines, w.graph.Nodes[in].Holds...)
	}
	for _, line := range slices.Compact(slices.Sorted(slices.Values(lines))) {
		if s := w.stand[line]; s != nil && s.flesh() && w.there(line, w.graph.Number(n)) {
			things = append(things, w.c.stand(s, 1, false))
		}
	}
	others := slices.DeleteFunc(slices.Clone(n.To), func(line int) bool {
		return w.stand[line] != nil || w.c.fatLine(w.line(line)) || w.dusts(line) || !w.there(line, w.graph.Number(n))
	})
	if len(things) == 0 || n.Is("serve") && len(others) >= severalLines {
		return nil // or a soup, into which they have gone
	}
	return []edit{{a.Words.Verb[1], a.Words.Verb[1], " " + w.c.listing(things)}}
}
