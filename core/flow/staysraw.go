package flow

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// boiling tells whether something is only named, and hot: "into boiling salted water".
func (t *tracer) boiling(r recipe.Ref) bool { return Boils(t.larder, r) }

// Boils tells whether what something goes into is hot by its own words: "into boiling salted water".
func Boils(l *larder.Larder, r recipe.Ref) bool {
	return r.Named != nil && slices.ContainsFunc(larder.Words(*r.Named), func(w string) bool { return l.Language().Writing.Warmth[w] })
}

// StaysRaw tells whether nothing is hot from where a line goes in on: neither what it reaches, nor anything else of its
// part, which it may have gone into without a word; nor does it go into what has just been cooked. What nothing takes, or
// nothing takes up again before more is cooked, is not known.
func (g *Graph) StaysRaw(line int) bool { return g.neverBy(line, g.hotNow) }

// OnlyWarmed tells whether nothing is on the fire from where a line goes in on, though it may go into what was taken off it
// just before: an egg run into a soup off the heat sets in it, raw pulses do not cook.
func (g *Graph) OnlyWarmed(line int) bool { return g.neverBy(line, g.onFire) }

// neverBy tells whether nothing is on the fire from where a line goes in on, nor hot in the way asked for what it goes into.
func (g *Graph) neverBy(line int, hot func(in int) bool) bool {
	path := g.Path(line)
	return len(path) > 0 && !slices.ContainsFunc(g.Nodes[path[0]:], func(n Node) bool {
		takes, lost := n.Reaches(line), g.index[n.Action.ID] > path[len(path)-1]
		return n.Fire && (takes || lost || n.At.Component == g.Lines[line].Component) || takes && (slices.ContainsFunc(n.Inputs, hot) || g.nobodySaysWhere(&n))
	})
}

// onFire tells whether what an action made has just been cooked and nothing says that it was taken off the fire.
func (g *Graph) onFire(in int) bool {
	for k := in; !g.Nodes[k].Fire && len(g.Nodes[k].Inputs) > 0; k = slices.Max(g.Nodes[k].Inputs) {
		if g.Nodes[k].Is("off-heat") {
			return false
		}
	}
	return g.hotNow(in)
}

// nobodySaysWhere tells whether something is added and nothing is known of what to, where there is a pot that was on the
// fire: "mix the starch with water and add until the sauce clings".
func (g *Graph) nobodySaysWhere(n *Node) bool {
	return n.Technique.Joins == "yes" && len(n.Action.Into) == 0 && !slices.ContainsFunc(n.Inputs, g.hotNow) && slices.ContainsFunc(g.Nodes[:g.index[n.Action.ID]], func(o Node) bool {
		return o.Fire && o.At.Component == n.At.Component
	})
}

// hotNow tells whether what an action made has just been cooked: by it, or before others were put into it. What is poured
// over something cold is hot no more.
func (g *Graph) hotNow(in int) bool {
	n := &g.Nodes[in]
	if n.Fire || n.Technique.Family == "rest" {
		return n.Fire
	}
	from := n.Action.To
	if len(n.Action.Into) > 0 {
		from = n.Action.Into
	}
	return slices.ContainsFunc(from, func(r recipe.Ref) bool {
		if r.Made == nil {
			return false
		}
		at, ok := g.index[*r.Made]
		return ok && at < in && g.hotNow(at)
	})
}

// FromTap tells whether a reference is to water that nobody lists.
func FromTap(l *larder.Larder, r recipe.Ref) bool {
	if r.Named == nil {
		return false
	}
	words := larder.Words(*r.Named)
	return len(words) > 0 && l.Language().Loose[words[len(words)-1]]
}
