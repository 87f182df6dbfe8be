package method

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// reread reads the adapted method as if it had been pasted, so that its actions,
// like the original's, are what the rest of the program asks about. It returns
// the flow, whose lines are numbered as the adaptation's.
func (c *Carrier) reread(d recipe.Dish, a *swap.Adaptation) *flow.Graph {
	read := recipe.Dish{Name: d.Name, Measures: d.Measures}
	at := map[recipe.StepAt]*swap.Step{}
	for i := range a.Components {
		comp := &a.Components[i]
		part := recipe.Component{Name: comp.Name}
		for _, l := range comp.Lines {
			line := l.Line
			if l.Change == swap.Dropped {
				line = recipe.Line{} // nothing can mean it
			}
			part.Lines = append(part.Lines, line)
		}
		for n := range comp.Steps {
			if s := &comp.Steps[n]; s.Change != swap.Dropped {
				at[recipe.StepAt{Component: i, Step: len(part.Steps)}] = s
				part.Steps = append(part.Steps, recipe.Step{Text: s.Text})
			}
		}
		read.Components = append(read.Components, part)
	}
	c.reader.Dish(&read)
	for place, s := range at {
		got := read.Components[place.Component].Steps[place.Step]
		s.Actions, s.Asides, s.Questions, s.Techniques, s.HandsOn = got.Actions, got.Asides, got.Questions, got.Techniques, got.HandsOn
	}
	for i := range a.Components {
		for n := range a.Components[i].Steps {
			s := &a.Components[i].Steps[n]
			if s.Change == swap.Dropped {
				s.Actions, s.Asides, s.Questions = []recipe.Action{}, []recipe.Aside{}, []recipe.Question{}
			}
		}
	}
	return flow.Trace(c.book.Larder(), &read)
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
