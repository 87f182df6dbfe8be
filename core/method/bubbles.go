package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// bubbleMinutes are the minutes in which starch that was stirred into a hot sauce thickens it and loses its raw
// taste, as the book says of what is made with it.
const bubbleMinutes = 1.0

// boilUp gives starch that stands for eggs its minute on the fire in the sauce that it binds, where the text stirs them in off
// the heat and cooks nothing more: "pour back into the pan, off the heat".
func (p *plan) boilUp() {
	for _, s := range p.inOrder() {
		if s.gone || s.class != larder.Egg || !s.book.Heat || s.chosen == nil || s.chosen.Use != bindingUse || !p.holdsStarch(s) {
			continue
		}
		at := -1
		for _, k := range p.path(s.node) {
			n := &p.graph.Nodes[k]
			switch {
			case k < s.enters || p.deeds[k].drop || at == never:
			case n.Technique.Heat != "", n.Technique.Family == "mix" && (p.l.Language().RingHeats[n.Action.Heat] != "" || n.Action.Minutes != nil || n.Action.Cue != ""):
				at = never
			case n.Liquid && p.cookedBefore(k) && (n.Technique.Joins == "yes" || n.Technique.Family == "mix") && (at < 0 || n.At == p.graph.Nodes[at].At && (n.Technique.Joins == "yes" || len(n.Into) > 0) && slices.Contains(n.To, s.node)):
				at = k
			}
		}
		if at >= 0 && at != never {
			p.deeds[at].bubbles = true
		}
	}
}

// bindingUse is the use of what binds a sauce.
const bindingUse = "thicken"

// holdsStarch tells whether a stand-in is made with something dry that thickens what boils.
func (p *plan) holdsStarch(s *standIn) bool {
	return slices.ContainsFunc(s.book.Formula, func(c larder.Part) bool {
		f := p.l.Food(c.Food)
		return f != nil && !larder.Pours(f) && slices.ContainsFunc(f.Roles, func(r larder.Role) bool { return r.Kind == bindingUse })
	})
}

// bubbled is the clause that lets a sauce bubble which starch binds now.
func (w *writer) bubbled(d *deed) []*clause {
	if !d.bubbles {
		return nil
	}
	return []*clause{{node: -1, changed: true, text: strings.ReplaceAll(w.c.words().Bubble, "{minutes}", w.c.spoken(measure.Exactly(bubbleMinutes)))}}
}

// forbidsBoiling tells whether an aside forbids the boiling that a sauce wants now: "do not boil again".
func (w *writer) forbidsBoiling(text string) bool {
	if !slices.ContainsFunc(w.step.Actions, func(a recipe.Action) bool { at := w.nodeOf(a.ID); return at >= 0 && w.deeds[at].bubbles }) {
		return false
	}
	return w.l.Language().Forbids(larder.Words(text), boilTechnique)
}

// boilTechnique brings a liquid to its boiling point.
const boilTechnique = "boil"
