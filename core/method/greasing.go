package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// greaseUse is what a fat does that is only for the tin.
const greaseUse = "grease"

// greasesNot tells whether a dish would be greased with what is no fat any more.
func (p *plan) greasesNot(n *node, lines []int) bool {
	return n.Is("grease") && len(lines) > 0 && !slices.ContainsFunc(lines, func(line int) bool {
		s := p.stand[line]
		return s == nil || !s.is(larder.NoFat) || !s.Dissolves && len(s.book.Formula) > 0 || slices.Contains(s.book.Uses, greaseUse)
	})
}

// greasedNot is the share of a line with which a tin was greased before, where what stands for it
// greases none.
func (w *writer) greasedNot(line, at int) (share float64) {
	place := w.graph.Lines[line]
	ref := recipe.LineRef(place.Component, place.Line)
	for k := range w.graph.Nodes[:at] {
		n := &w.graph.Nodes[k]
		if !slices.Contains(n.Named, line) || !w.greasesNot(n, []int{line}) {
			continue
		}
		for _, r := range n.Action.With {
			if r.Line != nil && *r.Line == ref {
				share += r.Share
			}
		}
	}
	return min(share, nearlyAll)
}

// onlyOfFat tells whether a noun takes a part of a fat of which nothing else that is done takes the rest, as what
// took it is not done any more: "heat half of the oil and brown the beef, adding more as needed".
func (w *writer) onlyOfFat(noun recipe.Noun, lines []int, at int) bool {
	if len(lines) != 1 || len(noun.Refs) != 1 || noun.Refs[0].Line == nil || noun.Refs[0].Share >= nearlyAll || w.ownMeasure(noun) != "" || noun.Rest || !w.fries(lines[0]) {
		return false
	}
	others := false
	for k := range w.graph.Nodes {
		if k == at || !slices.Contains(w.graph.Nodes[k].Named, lines[0]) {
			continue
		}
		if !w.deeds[k].drop || w.arrives[lines[0]] > at {
			return false
		}
		others = true
	}
	return others || w.stand[lines[0]] != nil && w.driesForNone(at)
}

// driesForNone tells whether what was to fry in a fat that is heated is not fried any more.
func (w *writer) driesForNone(at int) bool {
	users := w.graph.Nodes[at].Users
	return w.graph.Nodes[at].Is("heat") && len(users) > 0 && w.deeds[users[0]].drop
}

// leavesMore tells whether after a share of a line is taken some of it is there that is named later: "half of the remaining
// cheese".
func (w *writer) leavesMore(line, at int, share float64) bool {
	later := false
	for k := range w.graph.Nodes {
		if w.deeds[k].drop || k == at || !slices.Contains(w.graph.Nodes[k].Named, line) {
			continue
		}
		for r := range w.graph.Nodes[k].Action.Refs() {
			if r.Line != nil && w.graph.Named(*r.Line) == line {
				share += r.Share
				later = later || k > at
			}
		}
	}
	return later && share >= nearlyAll
}

// saysOil says otherwise what is done to a fat that only the words name, and for which oil comes: it is heated where butter
// was melted.
func (w *writer) saysOil(n *node, p recipe.Phrase, name string) {
	if p.Role != "to" || !w.l.Language().Fats[name] {
		return
	}
	if r := w.l.CarryRuleFor(n.Technique, n.Action.Verb, "", larder.Fat, []string{larder.LiquidFat}); r != nil && r.Does() != "" {
		w.deeds[w.nodeOf(n.Action.ID)].say = r.Does()
	}
}

// oiledFor tells whether the first action of a path rubs a stand-in with no more than a fat for a cooking that it does not
// need.
func (p *plan) oiledFor(s *standIn, path []int) bool {
	if !s.flesh() || !s.is(larder.Browned) || !p.oils(&p.graph.Nodes[path[0]]) {
		return false
	}
	at := slices.IndexFunc(path, func(k int) bool { return p.graph.Nodes[k].Technique.Heat != "" })
	return at > 0 && p.dropped(s, path[at])
}

// oils tells whether an action rubs or brushes things with no more than a fat.
func (p *plan) oils(n *flow.Node) bool {
	return n.Technique.Family == "coat" && len(n.With) > 0 && len(n.To) > 0 && !slices.ContainsFunc(n.With, func(line int) bool { return !p.c.fatLine(p.line(line)) })
}
