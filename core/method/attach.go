package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// attach gives every line that no step uses one that does: beside what it belongs
// to, or, where the original does not say when it goes in, before the end.
func (c *Carrier) attach(p *plan, comp *swap.Component, i int, unused []int) bool {
	left := p.withoutTaste(comp, p.withoutFat(comp, i, unused))
	if len(left) == 0 || len(comp.Steps) == 0 {
		return len(left) < len(unused)
	}
	unused = left
	byPlace := map[int][]int{}
	for _, at := range unused {
		if host, work := p.doneOnLine(comp, at); work != "" {
			where := p.firstUse(comp, host)
			comp.Steps = slices.Insert(comp.Steps, where, swap.Step{Step: recipe.Step{Text: work, Lines: []int{host, at}}, From: []int{}, Change: swap.Added, Why: c.words().DoneOn})
			continue
		}
		where := p.beside(comp, i, at)
		byPlace[where] = append(byPlace[where], at)
	}
	for where := len(comp.Steps); where >= 0; where-- {
		lines := byPlace[where]
		if len(lines) == 0 {
			continue
		}
		things := make([]named, len(lines))
		for k, at := range lines {
			things[k] = named{text: c.words().The + " " + p.lowered(&comp.Lines[at].Line)}
		}
		text := larder.Capital(c.words().Add) + " " + c.listing(things) + "."
		step := swap.Step{Step: recipe.Step{Text: text, Lines: lines}, From: []int{}, Change: swap.Added, Why: c.words().Missing}
		comp.Steps = slices.Insert(comp.Steps, where, step)
	}
	return true
}

// putsIn gives what was made for the dish, and what nothing takes once it is made, a step that takes it: before the end,
// what goes by one name at once.
func (c *Carrier) putsIn(p *plan, comp *swap.Component, i int, taken map[*standIn]bool) bool {
	var names []named
	var lines []int
	for _, s := range p.inOrder() {
		if p.home(s.component) != i || s.component != i || !p.madeForNothing(s, taken) {
			continue
		}
		lines = append(lines, s.lines...)
		if !slices.ContainsFunc(names, func(o named) bool { return o.text == c.words().The+" "+s.name }) {
			names = append(names, named{text: c.words().The + " " + s.name})
		}
	}
	if len(names) == 0 || len(comp.Steps) == 0 {
		return false
	}
	text := larder.Capital(c.words().Add) + " " + c.listing(names) + "."
	step := swap.Step{Step: recipe.Step{Text: text, Lines: lines}, From: []int{}, Change: swap.Added, Why: c.words().Missing}
	comp.Steps = slices.Insert(comp.Steps, p.closingStep(comp), step)
	return true
}

// madeIn are the swaps that actions of a card make, by the actions.
func (c *Carrier) madeIn(a *swap.Adaptation) map[string]*larder.Swap {
	made := map[string]*larder.Swap{}
	for i := range a.Components {
		for n := range a.Components[i].Steps {
			if s := &a.Components[i].Steps[n]; s.Prepares != "" {
				for k := range s.Actions {
					made[s.Actions[k].ID] = c.book.Larder().SwapNamed(s.Prepares)
				}
			}
		}
	}
	return made
}

// goneIn are the stand-ins that an action takes which does not make them.
func (c *Carrier) goneIn(p *plan, g *flow.Graph) map[*standIn]bool {
	made, of, taken := c.madeIn(p.a), map[int]*standIn{}, map[*standIn]bool{}
	for _, s := range p.inOrder() {
		for _, line := range s.lines {
			of[g.Line(s.component, line)] = s
		}
	}
	for i := range g.Nodes {
		n := &g.Nodes[i]
		making := made[n.Action.ID]
		for _, line := range slices.Concat(n.To, n.With, n.Into) {
			if s := of[line]; s != nil && !taken[s] && !madeAtOnce(making, s.book) {
				taken[s] = true
			}
		}
	}
	return taken
}

// madeForNothing tells whether something stands in that is made, and that no step takes then.
func (p *plan) madeForNothing(s *standIn, taken map[*standIn]bool) bool {
	return !s.gone && len(s.lines) > 0 && len(s.book.Prepare) > 0 && !taken[s]
}

// doneOnLine says the work that a line was listed for, on another: the milk "to soak the bread".
func (p *plan) doneOnLine(comp *swap.Component, at int) (host int, work string) {
	l, w, lang := &comp.Lines[at], p.c.words(), p.c.book.Larder().Language()
	if l.From == nil {
		return -1, ""
	}
	said, ok := strings.CutPrefix(p.line(p.graph.Named(*l.From)).Preparation, w.To+" ")
	verb, name, _ := strings.Cut(said, " "+w.The+" ")
	orders := lang.Orders(verb)
	host = slices.IndexFunc(comp.Lines, func(o swap.Line) bool {
		return o.Change != swap.Dropped && (o.Name == name || o.From != nil && p.line(p.graph.Named(*o.From)).Name == name)
	})
	if !ok || len(orders) == 0 || host < 0 {
		return -1, ""
	}
	thing := p.lowered(&comp.Lines[host].Line)
	if from := comp.Lines[host].From; from != nil {
		if s := p.stand[p.graph.Named(*from)]; s != nil && !s.bare {
			thing = s.name
		}
	}
	with := w.With
	if t := p.c.book.Larder().Technique(orders[0]); t != nil && t.Medium == "liquid" {
		with = w.In
	}
	return host, strings.Join([]string{larder.Capital(verb), w.The, thing, with, w.The, p.lowered(&l.Line)}, " ") + "."
}

// firstUse is the first of the steps that takes a line, but for what only prepares it.
func (p *plan) firstUse(comp *swap.Component, line int) int {
	for n := range comp.Steps {
		if comp.Steps[n].Change != swap.Dropped && comp.Steps[n].Prepares == "" && slices.Contains(comp.Steps[n].Lines, line) {
			return n
		}
	}
	return 0
}

// withoutFat lets go of the fats among lines that only fried what is not fried any
// more, and leaves the others.
func (p *plan) withoutFat(comp *swap.Component, i int, lines []int) []int {
	return slices.DeleteFunc(slices.Clone(lines), func(at int) bool {
		l := &comp.Lines[at]
		if l.From == nil || l.Change != swap.Kept && l.Change != swap.Swapped {
			return false
		}
		if s := p.stand[p.graph.Named(*l.From)]; s != nil && s.bare && p.c.fatLine(s.was) {
			l.Change, l.Why = swap.Dropped, p.c.words().FatGone // spoonfuls of water for a fat that is not fried in
			return true
		}
		if !p.c.fatLine(&l.Line) {
			return false
		}
		if other := p.sameFat(comp, l); other != nil {
			if other.Mass() < l.Mass() {
				l = other
			}
			l.Change, l.Why = swap.Dropped, p.c.words().FatTwice
			return true
		}
		if !p.onlyFried(p.graph.Named(*l.From)) {
			if l = p.fatToSpare(comp, l); l == nil {
				return false
			}
		}
		l.Change, l.Why = swap.Dropped, p.c.words().FatGone
		return true
	})
}

// sameFat is another line of the same fat that goes in with it: of butter and oil, both of which are oil now,
// one is enough. It is nil where there is none.
func (p *plan) sameFat(comp *swap.Component, fat *swap.Line) *swap.Line {
	own := p.graph.Named(*fat.From)
	for k := range comp.Lines {
		l := &comp.Lines[k]
		if l == fat || l.FoodID() != fat.FoodID() || l.From == nil || *l.From == *fat.From || l.Change == swap.Dropped {
			continue
		}
		if p.namedWith(p.graph.Named(*l.From), own) {
			return l
		}
	}
	return nil
}

// namedWith tells whether one action names two lines.
func (p *plan) namedWith(line, other int) bool {
	return slices.ContainsFunc(p.graph.Nodes, func(n flow.Node) bool {
		return slices.Contains(n.Named, other) && slices.Contains(n.Named, line)
	})
}

// fatToSpare is another line of the same fat, which only fried what is not fried any more: the oil for the
// meat, beside that for the onions. It is nil where there is none.
func (p *plan) fatToSpare(comp *swap.Component, fat *swap.Line) *swap.Line {
	for k := range comp.Lines {
		l := &comp.Lines[k]
		if l != fat && l.FoodID() == fat.FoodID() && l.From != nil && (l.Change == swap.Kept || l.Change == swap.Swapped) && p.onlyFried(p.graph.Named(*l.From)) {
			return l
		}
	}
	return nil
}

// withoutTaste lets go of what only gave its taste to a broth that is not boiled any more.
func (p *plan) withoutTaste(comp *swap.Component, lines []int) []int {
	return slices.DeleteFunc(slices.Clone(lines), func(at int) bool {
		l := &comp.Lines[at]
		if l.From != nil && (l.Change == swap.Swapped || l.Change == swap.Kept) && p.bathedOnly(p.graph.Named(*l.From)) {
			l.Change, l.Why = swap.Dropped, p.c.words().TasteGone
			return true
		}
		if l.From == nil || l.Change != swap.Kept || !p.onlyFlavoured(p.graph.Named(*l.From)) {
			return false
		}
		l.Change, l.Why = swap.Dropped, p.c.words().TasteGone
		if at := p.graph.Named(*l.From); p.onlyWashed(at) {
			l.Why = p.c.words().WashGone
		} else if p.onlyForDust(at) {
			l.Why = p.c.words().DustGone
		}
		return true
	})
}

// onlyFried tells whether a line is named by nothing but frying, and heating for it,
// that is not done any more.
func (p *plan) onlyFried(line int) bool {
	fried := false
	for k := range p.graph.Nodes {
		n := &p.graph.Nodes[k]
		if line < 0 || !slices.Contains(n.Named, line) {
			continue
		}
		if !p.deeds[k].drop || n.Technique.Family != "dry heat" && n.Technique.Family != "gentle heat" && !p.oils(n) {
			return false
		}
		fried = true
	}
	return fried
}

// beside is where among the steps a line goes in that none uses: behind the step
// that takes what it was brought with, else before the dish is closed.
func (p *plan) beside(comp *swap.Component, i, line int) int {
	for _, s := range p.inOrder() {
		if s.component != i || !slices.Contains(s.lines, line) {
			continue
		}
		for n := range comp.Steps {
			if comp.Steps[n].Change != swap.Dropped && slices.ContainsFunc(s.lines, func(l int) bool { return l != line && slices.Contains(comp.Steps[n].Lines, l) }) {
				return n + 1
			}
		}
	}
	return p.closingStep(comp)
}

// closingStep is where among the steps something goes in before the dish is closed.
func (p *plan) closingStep(comp *swap.Component) int {
	var parts []part
	for n := range comp.Steps {
		parts = append(parts, part{nodes: comp.Steps[n].Nodes})
	}
	return p.closing(parts)
}
