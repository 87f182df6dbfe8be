package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
)

// calledAt are the words by which an action names some of a line of the cook's own: "the quartered onion"; empty where it
// takes all of it, or names it by a measure.
func (p *plan) calledAt(line, i int) string {
	n := &p.graph.Nodes[i]
	if measured := p.measuredAt(line, i); measured != "" {
		return measured
	}
	if p.stand[line] != nil || p.shareAt(line, i) >= nearlyAll {
		return ""
	}
	text := p.textOf(n)
	for _, x := range n.Action.Words.Phrases {
		for _, noun := range x.Nouns {
			if lines, made := p.meant(noun); !made && len(lines) == 1 && lines[0] == line && !noun.Pronoun && !noun.Measured && noun.Upto <= len(text) {
				return string(text[noun.From:noun.Upto])
			}
		}
	}
	return ""
}

// measuredAt are the words by which an action takes an amount of a line of which the list says none: "2 teaspoons of salt"; empty
// where it does not.
func (p *plan) measuredAt(line, i int) string {
	if i < 0 || p.stand[line] != nil || p.line(line).Amount != nil {
		return ""
	}
	n := &p.graph.Nodes[i]
	text := p.textOf(n)
	for _, x := range n.Action.Words.Phrases {
		for _, noun := range x.Nouns {
			if lines, made := p.meant(noun); !made && len(lines) == 1 && lines[0] == line && noun.Measured && !noun.Rest && noun.Upto <= len(text) {
				return string(text[noun.From:noun.Upto])
			}
		}
	}
	return ""
}

// describedAt is what an action says behind a comma of what is done with a line that it names: ", chopped".
func (p *plan) describedAt(line, i int) string {
	n := &p.graph.Nodes[i]
	if p.stand[line] != nil {
		return ""
	}
	text := p.textOf(n)
	for _, x := range n.Action.Words.Phrases {
		for _, noun := range x.Nouns {
			if lines, made := p.meant(noun); !made && len(lines) == 1 && lines[0] == line && noun.Behind[1] > 0 && noun.Behind[1] <= min(len(text), n.Action.Upto) {
				return string(text[noun.Behind[0]:noun.Behind[1]])
			}
		}
	}
	return ""
}

// roastsNext is the first action behind one that has what stands for flesh in the oven; -1 where none has.
func (p *plan) roastsNext(i int) int {
	for k := i + 1; k < len(p.graph.Nodes); k++ {
		n := &p.graph.Nodes[k]
		if n.At.Component == p.graph.Nodes[i].At.Component && !p.deeds[k].drop && n.Technique.Family == "oven" && !n.Is("preheat") && slices.ContainsFunc(n.To, func(line int) bool { return p.stand[line] != nil && p.stand[line].flesh() && p.there(line, k) }) {
			return k
		}
	}
	return -1
}

// worksOnOthers tells whether an action is done to something that work which is done has
// brought in: not only to what would come along to it.
func (p *plan) worksOnOthers(k int) bool {
	to := p.graph.Nodes[k].To
	return len(to) == 0 || slices.ContainsFunc(to, func(line int) bool {
		if s := p.stand[line]; s != nil {
			return !s.gone && s.enters <= k
		}
		return slices.ContainsFunc(p.graph.Nodes[:k+1], func(n flow.Node) bool {
			return slices.Contains(n.Named, line) && !p.deeds[p.graph.Number(&n)].drop
		})
	})
}

// madeAlong finds a new place for what was made before and only dropped work would have taken in: the charred onions that
// were to go into the pot with a bird.
func (p *plan) madeAlong(i int) {
	n := &p.graph.Nodes[i]
	if n.Technique.Joins != "yes" && !n.Is("place") {
		return
	}
	for _, line := range n.With {
		from := slices.IndexFunc(n.Inputs, func(in int) bool { return !p.deeds[in].drop && slices.Contains(p.graph.Nodes[in].Holds, line) })
		if p.stand[line] != nil || from < 0 || slices.Contains(n.Named, line) || slices.Contains(n.To, line) || slices.Contains(n.Into, line) { // "return the chicken to the sauce, with any juices"
			continue
		}
		if at := p.placeFor(line, i); at >= 0 && !slices.Contains(p.deeds[at].along, line) {
			p.deeds[at].along = append(p.deeds[at].along, line)
			p.shares[line] = 1
		}
	}
}

// namedAlong finds a new place for what no list has and only dropped work would have put into a pot beside what comes along
// there: a tablespoon of salt in the water of a broth.
func (p *plan) namedAlong(i int) {
	n := &p.graph.Nodes[i]
	if n.Technique.Joins != "yes" && !n.Is("place") {
		return
	}
	at := slices.IndexFunc(p.deeds, func(d deed) bool {
		return !d.drop && slices.ContainsFunc(d.along, func(line int) bool { return slices.Contains(n.Named, line) })
	})
	if at <= i {
		return
	}
	text := p.textOf(n)
	for _, x := range n.Action.Words.Phrases {
		for _, noun := range x.Nouns {
			words := larder.Words(onlyNamed(noun))
			if len(words) == 0 || !noun.Measured || noun.Upto > len(text) || p.l.Language().Loose[words[len(words)-1]] {
				continue
			}
			m, ok := p.l.Index().At(words, 0, true)
			if said := string(text[noun.From:noun.Upto]); ok && m.Food.Origin != larder.FromAnimal && m.End == len(words) && !slices.Contains(p.deeds[at].alongWords, said) {
				p.deeds[at].alongWords = append(p.deeds[at].alongWords, said)
			}
		}
	}
}
