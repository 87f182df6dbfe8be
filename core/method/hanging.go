package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// dropOthers leaves out what else was said of things that are not there, as the other case of it: "discard
// any that are broken or do not close", of shells. What is joined by "and" or "but" stands for itself.
func (w *writer) dropOthers(clauses []*clause) {
	for k := 1; k < len(clauses); k++ {
		c, last := clauses[k], clauses[k-1]
		between := strings.TrimSpace(strings.ToLower(w.slice(last.upto, c.from)))
		if c.aside && !c.gone && last.gone && !last.aside && w.l.Language().Lines.Or[between] {
			c.gone, c.changed = true, true
		}
	}
}

// dropTurned leaves out that a fire is turned up or down for what its step was to cook next, none of which is done any more.
func (w *writer) dropTurned(clauses []*clause) {
	for k, c := range clauses {
		if c.aside || c.gone || c.node < 0 || c.upto == 0 || !w.graph.Nodes[c.node].Is("lower-heat", "raise-heat") {
			continue
		}
		lost := false
		for _, o := range clauses[k+1:] {
			if o.aside || o.node < 0 || o.upto == 0 || w.graph.Nodes[o.node].Technique.Heat == "" {
				continue
			}
			if lost = o.gone; !lost {
				break
			}
		}
		if lost {
			c.gone, c.changed = true, true
		}
	}
}

// closeUntil takes the word off that led to what is not said any more: "until", of what nobody could read.
func (w *writer) closeUntil(clauses []*clause) {
	for i, c := range clauses[:max(len(clauses)-1, 0)] {
		words := strings.Fields(c.text)
		if !c.aside || c.gone || !clauses[i+1].gone || len(words) == 0 || !w.l.Language().Until[strings.ToLower(words[len(words)-1])] {
			continue
		}
		c.text, c.changed = strings.TrimSpace(strings.TrimSuffix(c.text, words[len(words)-1])), true
	}
}

// dropConditions leaves out what only says when work is done that is not: "and when they are nearly
// set", of eggs that are broken up then.
func (w *writer) dropConditions(clauses []*clause) {
	for k := 0; k+1 < len(clauses); k++ {
		c, next := clauses[k], clauses[k+1]
		if !c.aside || c.gone || next.aside || !next.gone || strings.ContainsAny(w.slice(c.upto, next.from), ".!?;") {
			continue
		}
		first, _, _ := strings.Cut(strings.ToLower(c.text), " ")
		if w.l.Language().Subordinators[first] == recipe.Condition {
			c.gone, c.changed = true, true
		}
	}
}

// keepAims says what work is for with what is left of it: "For the sauce, whisk in the flour", of
// butter that nobody melts any more.
func (w *writer) keepAims(clauses []*clause) {
	aim := ""
	for _, c := range clauses {
		if aim != "" && c.node < 0 && !c.aside && !c.gone && c.text != "" {
			c.text, c.changed, aim = aim+" "+lowered(c.text), true, "" // "for the sauce, heat the oil"
		}
		if c.node < 0 || c.aside {
			continue
		}
		words := w.graph.Nodes[c.node].Action.Words
		switch {
		case words.Aim[1] > 0 && c.gone:
			aim = strings.TrimSpace(w.aim(w.slice(words.Aim[0], words.Aim[1])) + w.slice(words.Aim[1], words.Verb[0]))
		case words.Aim[1] > 0:
			aim = ""
		case aim != "" && !c.gone && c.text != "":
			c.text, c.changed = aim+" "+lowered(c.text), true
			aim = ""
		}
	}
}

// hangsInBrackets tells whether an aside stands in brackets behind a cue that is
// gone.
func (w *writer) hangsInBrackets(c *clause) bool {
	if w.slice(c.from-1, c.from) != "(" {
		return false
	}
	return slices.ContainsFunc(w.step.Actions, func(a recipe.Action) bool {
		at := w.nodeOf(a.ID)
		return at >= 0 && w.deeds[at].cueless && a.From < c.from && c.from <= a.Upto+2
	})
}

// namesOne tells whether an action names a thing that it works on and that can be thrown away: "discard the bay
// leaf", not "discard any mussels that stay closed".
func (p *plan) namesOne(n *flow.Node) bool {
	return slices.ContainsFunc(n.Action.To, func(r recipe.Ref) bool {
		of := r.Of
		if r.Line != nil {
			of = *r.Line
		}
		s := p.stand[p.graph.Named(of)]
		return of != "" && (s == nil || !s.flesh() || s.is(larder.Steeped))
	})
}
