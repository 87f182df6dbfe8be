package method

import (
	"math"
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// readBack reads the adapted method as if it had been pasted: its actions, like
// the original's, are what the rest of the program asks about, and what they do
// not say as it was meant is found. It returns the flow.
func (c *Carrier) readBack(d *recipe.Dish, a *swap.Adaptation) *flow.Graph {
	k := c.asCard(d, a)
	c.reader.Dish(&k.dish)
	for place, s := range k.at {
		c.takeIn(d, place, s, &k.dish.Components[place.Component].Steps[place.Step])
	}
	for place, s := range k.at {
		if s.Change == swap.Changed || s.Change == swap.Added {
			for _, name := range c.unlisted(d, a, place.Component, s) {
				c.tell(s, swap.Unlisted, name)
			}
		}
	}
	for i := range a.Components {
		for n := range a.Components[i].Steps {
			s := &a.Components[i].Steps[n]
			if s.Change == swap.Dropped {
				s.Actions, s.Asides, s.Questions = []recipe.Action{}, []recipe.Aside{}, []recipe.Question{}
				s.Lines, s.Techniques, s.Animals = []int{}, []string{}, []recipe.Animal{}
			}
		}
	}
	g := flow.Trace(c.book.Larder(), &k.dish)
	for i := range a.Components {
		for n := range a.Components[i].Steps {
			s := &a.Components[i].Steps[n]
			for _, at := range c.productLines(g, a, i, s) {
				if !slices.Contains(s.Lines, at) {
					s.Lines = append(s.Lines, at)
				}
			}
			slices.Sort(s.Lines)
		}
	}
	return g
}

// takeIn gives a step of the card what reading it found.
func (c *Carrier) takeIn(d *recipe.Dish, place recipe.StepAt, s *swap.Step, got *recipe.Step) {
	lines := s.Lines
	s.Actions, s.Asides, s.Questions, s.Techniques = got.Actions, got.Asides, got.Questions, got.Techniques
	if s.Prepares == "" {
		s.HandsOn, s.Minutes, s.Celsius = got.HandsOn, got.Minutes, got.Celsius
	}
	if s.Cue == "" || s.Prepares == "" {
		s.Cue = got.Cue
	}
	s.Animals = []recipe.Animal{}
	s.Lines = slices.Clone(got.Lines)
	for _, at := range lines {
		if !slices.Contains(s.Lines, at) {
			s.Lines = append(s.Lines, at)
		}
	}
	slices.Sort(s.Lines)
	s.Findings = nil
	if s.Quote != "" {
		c.tell(s, swap.OtherThan, s.Quote)
	}
	if animals := c.besidesParts(d, c.reader.OwnNames(d), got.Animals); len(animals) > 0 {
		c.tell(s, swap.NamesAnimal, animals[0].Name)
	}
	if s.Change == swap.Changed || s.Change == swap.Added {
		if words := c.reader.Broken(s.Text); words != "" {
			c.tell(s, swap.NotRead, words)
		}
		for _, q := range got.Questions {
			if asked(d, place.Component, s, q.Text) {
				continue // as the original was asked
			}
			c.tell(s, swap.NotRead, q.Text)
		}
	}
}

// tell notes what was found in a step, the same only once.
func (c *Carrier) tell(s *swap.Step, kind swap.FindingKind, text string) {
	f := swap.Finding{Kind: kind, Text: strings.ReplaceAll(c.words().Findings[string(kind)], "{text}", text)}
	if !slices.Contains(s.Findings, f) {
		s.Findings = append(s.Findings, f)
	}
}

// asked tells whether the original's step raised the same question.
func asked(d *recipe.Dish, component int, s *swap.Step, text string) bool {
	return slices.ContainsFunc(s.From, func(n int) bool {
		return slices.ContainsFunc(d.Components[component].Steps[n].Questions, func(q recipe.Question) bool { return q.Text == text })
	})
}

// productLines are the lines of what a swap's preparation made that a step names.
func (c *Carrier) productLines(g *flow.Graph, a *swap.Adaptation, component int, s *swap.Step) []int {
	var out []int
	for _, action := range s.Actions {
		at := slices.IndexFunc(g.Nodes, func(n flow.Node) bool { return n.Action.ID == action.ID })
		if at < 0 {
			continue
		}
		for _, line := range slices.Concat(g.Nodes[at].To, g.Nodes[at].With) {
			where := g.Lines[line]
			named := slices.Contains(g.Nodes[at].Named, line)
			if where.Component == component && (named || a.Components[component].Lines[where.Line].Change == swap.Swapped) {
				out = append(out, where.Line)
			}
		}
	}
	return out
}

// unused are the lines of a component that no action takes.
func unused(g *flow.Graph, comp *swap.Component, component int) []int {
	var out []int
	for n := range comp.Lines {
		if comp.Lines[n].Change == swap.Dropped {
			continue
		}
		at := g.Line(component, n)
		if !slices.ContainsFunc(g.Nodes, func(x flow.Node) bool { return x.Reaches(at) }) {
			out = append(out, n)
		}
	}
	return out
}

// check looks at a card that has been read back: what is used, what is not, what
// comes before it is made.
func (c *Carrier) check(p *plan, g *flow.Graph) {
	for i := range p.a.Components {
		comp := &p.a.Components[i]
		for _, n := range p.withoutPlace(unused(g, comp, i), i) {
			if at := lastDone(comp); at != nil {
				c.tell(at, swap.UnusedLine, comp.Lines[n].Name)
			}
		}
	}
	c.namesGone(p)
	c.limits(p, g)
	c.eatenRaw(p, g)
	c.leftAside(p, g)
	c.amounts(p, g)
}

// eatenRaw finds flour, pulses and starch of a stand-in that nothing cooks, before or in the dish.
func (c *Carrier) eatenRaw(p *plan, g *flow.Graph) {
	for i := range p.a.Components {
		comp := &p.a.Components[i]
		for n := range comp.Lines {
			line := &comp.Lines[n]
			food := c.book.Larder().Food(line.FoodID())
			if line.Change != swap.Swapped || food == nil || line.Form != larder.RawForm || !food.Tagged(larder.CookedFirst) {
				continue
			}
			at, last := g.Line(i, n), lastDone(comp)
			if last != nil && g.StaysRaw(at) {
				c.tell(last, swap.EatenRaw, line.Name)
			}
		}
	}
}

func lastDone(comp *swap.Component) *swap.Step {
	for n := len(comp.Steps) - 1; n >= 0; n-- {
		if comp.Steps[n].Change != swap.Dropped {
			return &comp.Steps[n]
		}
	}
	return nil
}

// limits finds stand-ins that cook longer than they bear once they are in, or
// that are used before they are made.
func (c *Carrier) limits(p *plan, g *flow.Graph) {
	taken := c.goneIn(p, g)
	for _, s := range p.inOrder() {
		if s.gone || len(s.lines) == 0 {
			continue
		}
		minutes, prepared := 0.0, len(s.book.Prepare) == 0 || s.boiledIn()
		var nodes []int
		for _, line := range s.lines {
			nodes = append(nodes, g.Line(s.component, line))
		}
		for k := range g.Nodes {
			n := &g.Nodes[k]
			if !slices.ContainsFunc(nodes, n.Reaches) {
				continue
			}
			step := stepOf(p.a, n.Action.ID)
			if step != nil && step.Prepares != "" && madeAtOnce(c.book.Larder().SwapNamed(step.Prepares), s.book) {
				prepared = true
				continue
			}
			if step != nil && !prepared && len(step.From) > 0 {
				c.tell(step, swap.TooEarly, s.name)
				prepared = true
			}
			x := plan{l: p.l, graph: g}
			if !s.setsIn(n) && !(n.Is("steam") && x.tiedUp(0, k)) && !x.filledIn(k, nodes...) && !p.setsWithEgg(n, func(o *standIn) bool {
				return slices.ContainsFunc(o.lines, func(line int) bool { return n.Reaches(g.Line(o.component, line)) })
			}) {
				minutes += x.wetMinutes(k)
			}
			if !s.Dissolves && !p.withinBalls(s) && minutes > s.Bears*mostBeyond+tolerance && step != nil {
				c.tell(step, swap.BeyondLimit, s.name+", "+c.spoken(measure.Exactly(math.Round(minutes))))
				break
			}
		}
		if p.madeForNothing(s, taken) {
			if last := lastDone(&p.a.Components[p.home(s.component)]); last != nil {
				c.tell(last, swap.UnusedLine, s.name)
			}
		}
	}
}

// mostBeyond is how far cooking may pass what a stand-in bears before it is said.
const mostBeyond = 1.5

// stepOf finds the step that an action stands in.
func stepOf(a *swap.Adaptation, id string) *swap.Step {
	for i := range a.Components {
		for n := range a.Components[i].Steps {
			s := &a.Components[i].Steps[n]
			for k := range s.Actions {
				if s.Actions[k].ID == id {
					return s
				}
			}
		}
	}
	return nil
}

// reached are the lines of its own component that a step's actions reach.
func reached(g *flow.Graph, component int, s *swap.Step) []int {
	var out []int
	for i := range g.Nodes {
		n := &g.Nodes[i]
		if !slices.ContainsFunc(s.Actions, func(a recipe.Action) bool { return a.ID == n.Action.ID }) {
			continue
		}
		for _, line := range slices.Concat(n.To, n.With, n.Into) {
			if at := g.Lines[line]; at.Component == component && !slices.Contains(out, at.Line) {
				out = append(out, at.Line)
			}
		}
	}
	return out
}
