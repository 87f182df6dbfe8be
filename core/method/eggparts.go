package method

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// merged tells whether an action works on a part of eggs for which one thing stands
// that has gone in with another part already.
func (p *plan) merged(line, i int) bool {
	s := p.stand[line]
	if s == nil || s.class != larder.Egg {
		return false
	}
	first := p.firstPart(line)
	return first >= 0 && i != first && p.partOf(line, i) && !inBits(p.stand[line])
}

// liftUse is the use of what is whipped and folded in.
const liftUse = "lift"

// firstPart is the action with which what stands for parted eggs goes in: the first that takes a part of
// them, or what is whipped the one that whips, of two the one that whips the whites; -1 where they are not parted.
func (p *plan) firstPart(line int) int {
	first, whips, most := -1, -1, 0.0
	for k := range p.graph.Nodes {
		if !p.partOf(line, k) {
			continue
		}
		if first < 0 {
			first = k
		}
		if n := &p.graph.Nodes[k]; p.stand[line].chosen != nil && p.stand[line].chosen.Use == liftUse && n.Is("whisk", "beat") && len(n.To) == 1 && n.Technique.Joins != "yes" && len(n.Into) == 0 {
			if part := p.partTaken(line, k); part > most {
				whips, most = k, part
			}
		}
	}
	if whips >= 0 {
		return whips
	}
	return first
}

// partOf tells whether an action names the yolk or the white of a line.
func (p *plan) partOf(line, i int) bool { return p.partTaken(line, i) > 0 }

// partTaken is how much of an egg the part is that an action names of a line; 0 where it names none.
func (p *plan) partTaken(line, i int) float64 {
	a := p.graph.Nodes[i].Action
	at := p.graph.Lines[line]
	ref := recipe.LineRef(at.Component, at.Line)
	for r := range a.Refs() {
		if r.Part == "" {
			continue
		}
		if part := p.l.Language().EggParts[r.Part]; part > 0 && (r.Line != nil && *r.Line == ref || r.Made != nil && r.Of == ref) {
			return part
		}
	}
	return 0
}

// inBits tells whether something stands for eggs that are boiled hard and chopped, or halved and filled: their yolks and
// whites can be had apart.
func inBits(s *standIn) bool {
	return s.chosen != nil && s.chosen.Use == bitsUse || s.book != nil && len(s.book.Parts) > 0
}

// eggPart is what stands for a part of eggs that are eaten as such: "the chopped whites" are the rest of what stands
// for eggs whose yolks went into something; nil for all else.
func (w *writer) eggPart(noun recipe.Noun, lines []int, at int) []named {
	if len(lines) == 1 {
		if part, ok := w.inParts(w.stand[lines[0]], noun.Refs, at); ok {
			return []named{part}
		}
	}
	return nil
}

// inParts says of what stands for eggs in bits how much of it a part of the eggs comes to: a third of it for the yolks, and
// the rest for the whites.
func (w *writer) inParts(s *standIn, refs []recipe.Ref, at int) (named, bool) {
	if s == nil || !inBits(s) || len(refs) != 1 {
		return named{}, false
	}
	part, was := w.eggPartOf(refs[0]), w.partSaid[s.node]
	switch {
	case part == "":
		return named{}, false
	case s.book.Parts[part] != "":
		name := s.book.Parts[part]
		return named{w.c.words().The + " " + name, w.c.plural(name), s}, true // "the potato halves", of the whites
	case was == "" && !w.deeds[at].drop:
		w.partSaid[s.node] = part
		return w.c.stand(s, w.l.Language().EggParts[part], false), true
	case was != "" && was != part:
		return w.c.stand(s, 0, true), true
	}
	return w.c.stand(s, 1, false), true
}

// eggPartOf is the part of eggs that a thing is: what it is called, or what it was made of.
func (w *writer) eggPartOf(r recipe.Ref) string {
	if w.l.Language().EggParts[r.Part] > 0 {
		return r.Part
	}
	if r.Made == nil {
		return ""
	}
	made := w.nodeOf(*r.Made)
	if made < 0 || len(w.graph.Nodes[made].Action.To) != 1 || len(w.graph.Nodes[made].With)+len(w.graph.Nodes[made].Into) > 0 {
		return ""
	}
	return w.eggPartOf(w.graph.Nodes[made].Action.To[0])
}

// namedObject names what an action is done to that its words leave out.
func (w *writer) namedObject(n *node) []named {
	if part, ok := w.inParts(w.object[0], n.Action.To, w.graph.Number(n)); ok {
		return []named{part}
	}
	return w.named(w.object)
}

// falls tells whether a swap is whipped and falls again, so that it is made just before it goes in, and no part of its own.
func falls(a swap.Adaptation, id string) bool {
	return slices.ContainsFunc(a.Swaps, func(c swap.Chosen) bool { return c.Swap == id && c.Use == liftUse })
}

// counted tells whether the list counts a line in pieces, or says no amount of it.
func (p *plan) counted(line int) bool {
	a := p.line(line).Amount
	if a == nil {
		return true
	}
	d, known := measure.DimensionOf(a.Unit)
	return !known || d == measure.Count
}
