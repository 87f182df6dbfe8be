package day

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// chain ties the jobs of a dish together: an action follows those whose outcome
// it takes, hot food goes on within the hour, and what nothing takes precedes
// the last step of its part.
func (c *course) chain() {
	for i := range c.graph.Nodes {
		n := &c.graph.Nodes[i]
		into := c.begins[i]
		if into == "" {
			into = c.lastOf[n.At]
		}
		for _, in := range n.Inputs {
			from := c.ends[in]
			if from == "" {
				from = c.lastOf[c.graph.Nodes[in].At]
			}
			c.follow(into, from, &c.graph.Nodes[in], in == slices.Max(n.Inputs))
		}
	}
	c.made()
	c.loose()
}

// made ties what takes the outcome of a part of its own to the jobs that make it.
func (c *course) made() {
	for i := range c.graph.Nodes {
		n := &c.graph.Nodes[i]
		for r := range n.Action.Refs() {
			if r.Line == nil {
				continue
			}
			line := c.graph.Named(*r.Line)
			if line < 0 {
				continue
			}
			if at := c.graph.Lines[line]; c.Parts[at.Component].Lines[at.Line].Made != "" {
				c.followParts(c.begins[i], c.Parts[at.Component].Lines[at.Line].Made)
			}
		}
	}
}

// followParts makes a job come after all that prepares a swap.
func (c *course) followParts(into, swap string) {
	for p := range c.Parts {
		for n := range c.Parts[p].Steps {
			s := &c.Parts[p].Steps[n]
			from := c.lastOf[recipe.StepAt{Component: p, Step: n}]
			if s.Prepares != swap || into == "" || from == "" || c.part(into) == c.part(from) || c.reaches(into, from) || c.direct(into, from) {
				continue
			}
			most := preparedGap
			if s.Heat != "" && !c.stands(s) {
				most = 3 * hotGap
			}
			c.after(into, After{ID: from, MaxGap: &most})
		}
	}
}

// follow makes a job come after another: what was made last goes on while it is
// hot, other parts have been put aside and wait.
func (c *course) follow(into, from string, made *flow.Node, latest bool) {
	if into == "" || from == "" || into == from || c.reaches(into, from) || c.direct(into, from) {
		return
	}
	most := preparedGap
	switch {
	case made.Technique.Family == restFamily || made.Is("prove"):
		most = 3 * servedCold
	case made.Technique.Heat != "" && latest:
		most = hotGap
		if c.part(into) != c.part(from) {
			most = 3 * hotGap
		}
	}
	c.after(into, After{ID: from, MaxGap: &most})
}

// restFamily holds the techniques during which food stands by itself.
const restFamily = "rest"

func (c *course) part(id string) string {
	if j := c.job(id); j != nil {
		return j.Part
	}
	return ""
}

func (c *course) direct(into, from string) bool {
	j := c.job(into)
	return j != nil && slices.ContainsFunc(j.After, func(a After) bool { return a.ID == from })
}

// reaches tells whether a job already stands before another, so that the other
// way round would be a circle.
func (c *course) reaches(before, after string) bool {
	seen := map[string]bool{}
	var walk func(id string) bool
	walk = func(id string) bool {
		if id == before {
			return true
		}
		if seen[id] {
			return false
		}
		seen[id] = true
		j := c.job(id)
		return j != nil && slices.ContainsFunc(j.After, func(a After) bool { return walk(a.ID) })
	}
	return walk(after)
}

// loose ties in what the flow leaves open: steps whose outcome nothing takes
// precede the next step of their part, and parts that nothing takes the last
// step of the dish.
func (c *course) loose() {
	taken := map[string]bool{}
	for _, j := range c.jobs {
		for _, a := range j.After {
			taken[a.ID] = true
		}
	}
	final := c.final()
	if final == "" {
		return
	}
	for p := range c.Parts {
		for n := range c.Parts[p].Steps {
			at := recipe.StepAt{Component: p, Step: n}
			last := c.lastOf[at]
			if last == "" || last == final || taken[last] {
				continue
			}
			into := c.next(at, final)
			if into == "" || c.reaches(into, last) {
				continue
			}
			most := preparedGap
			if s := &c.Parts[p].Steps[n]; s.Heat != "" && !c.stands(s) {
				most = 3 * hotGap
			}
			c.after(into, After{ID: last, MaxGap: &most})
		}
	}
}

// next is the job that a step without a taker must precede: the first of the
// step after it in its part, or the last of the dish.
func (c *course) next(at recipe.StepAt, final string) string {
	for n := at.Step + 1; n < len(c.Parts[at.Component].Steps); n++ {
		if first := c.firstOf[recipe.StepAt{Component: at.Component, Step: n}]; first != "" {
			return first
		}
	}
	return c.firstOfFinal(final)
}

// firstOfFinal is the first job of the step that ends the dish, which waits for
// all that is served with it.
func (c *course) firstOfFinal(final string) string {
	for at, last := range c.lastOf {
		if last == final {
			return c.firstOf[at]
		}
	}
	return final
}

// final is the last job of the last part that has any.
func (c *course) final() string {
	for p := len(c.Parts) - 1; p >= 0; p-- {
		for n := len(c.Parts[p].Steps) - 1; n >= 0; n-- {
			if id := c.lastOf[recipe.StepAt{Component: p, Step: n}]; id != "" {
				return id
			}
		}
	}
	return ""
}

// serve bounds how long the finished dish may wait for the table, by how it was
// finished.
func (c *course) serve() {
	final := c.final()
	if final == "" {
		return
	}
	for at, last := range c.lastOf {
		if last == final {
			within := c.keeps(at)
			c.job(final).ServeWithin = &within
		}
	}
}

// stands says whether a step leaves food that keeps: chilled, soaked, set.
func (c *course) stands(s *swap.Step) bool {
	return slices.ContainsFunc(s.Techniques, func(name string) bool {
		t := c.larder.Technique(name)
		return t != nil && t.Family == restFamily
	})
}

// keeps is how many minutes a dish may wait that a step has finished: what the
// table of techniques says of the last one that tells.
func (c *course) keeps(at recipe.StepAt) float64 {
	actions := c.dish.Components[at.Component].Steps[at.Step].Actions
	keeps := servedStewed
	for _, a := range actions {
		if t := c.larder.Technique(a.Technique); t != nil && t.Keeps > 0 {
			keeps = t.Keeps
		}
		if slices.ContainsFunc(a.Manner, func(how string) bool { return c.larder.Language().AtOnce[how] }) {
			return servedCrisp
		}
	}
	return keeps
}
