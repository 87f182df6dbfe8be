package day

import (
	"fmt"
	"math"
	"slices"

	"yembra/core/flow"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// course is one dish of the menu with its flow: its actions become jobs, which
// follow each other as what they make goes on into the next.
type course struct {
	*menu
	index int
	Course
	dish  recipe.Dish
	graph *flow.Graph
	// begins and ends are the jobs with which an action begins and ends, by node;
	// firstOf and lastOf are those of a step.
	begins, ends    map[int]string
	firstOf, lastOf map[recipe.StepAt]string
}

// course adds the jobs of one dish.
func (m *menu) course(i int) {
	c := course{menu: m, index: i, Course: m.courses[i], begins: map[int]string{}, ends: map[int]string{}, firstOf: map[recipe.StepAt]string{}, lastOf: map[recipe.StepAt]string{}}
	for _, part := range c.Parts {
		comp := recipe.Component{Name: part.Name}
		for _, l := range part.Lines {
			comp.Lines = append(comp.Lines, l.Line)
		}
		for _, s := range part.Steps {
			comp.Steps = append(comp.Steps, recipe.Step{Text: s.Text})
		}
		c.dish.Components = append(c.dish.Components, comp)
	}
	m.reader.Dish(&c.dish)
	c.graph = flow.Trace(m.larder, &c.dish)
	for p := range c.Parts {
		for n := range c.Parts[p].Steps {
			c.step(recipe.StepAt{Component: p, Step: n})
		}
	}
	c.chain()
	c.serve()
}

// step adds the jobs of one step: what its actions ask of hands and fire, or for
// what prepares a swap what the book says.
func (c *course) step(at recipe.StepAt) {
	s := &c.Parts[at.Component].Steps[at.Step]
	read := &c.dish.Components[at.Component].Steps[at.Step]
	segments := flow.Segments(c.larder, read)
	if s.Prepares != "" && !s.Own && s.Work+s.Wait > 0 {
		segments = c.bookSegments(segments, s.Work, s.Wait)
	}
	if len(segments) == 0 {
		if len(read.Actions) > 0 {
			return // it only tends the fire
		}
		segments = []flow.Segment{{Hands: true, Minutes: math.Max(s.Work, leastWork)}}
	}
	id := fmt.Sprintf("%s.%d.%d", c.ID, at.Component, at.Step)
	if s.Key != "" { // named after its step, so that it is the same job wherever that goes
		c.was[c.ID+"."+s.Key] = id
		id = c.ID + "." + s.Key
	}
	segments = c.greasing(id, at, read, segments)
	for k, seg := range segments {
		c.segment(id, at, k, seg, k == len(segments)-1)
	}
}

// leastWork is the least that a step takes, in minutes.
const leastWork = 1.0

// bookSegments gives the work and waiting that the book says to the stretches of
// its actions, in their order; what waits where no action does waits at the end.
func (c *course) bookSegments(read []flow.Segment, work, wait float64) []flow.Segment {
	busy, alone := 0.0, 0.0
	for _, seg := range read {
		if seg.Hands {
			busy += seg.Minutes
		} else {
			alone += seg.Minutes
		}
	}
	if wait > 0 && busy > 0 && alone > 0 {
		out := slices.Clone(read)
		for i := range out {
			if seg := &out[i]; seg.Hands {
				seg.Minutes = math.Max(seg.Minutes*work/busy, leastWork)
			} else {
				seg.Minutes *= wait / alone
			}
		}
		return out
	}
	hands := flow.Segment{Hands: true, Minutes: math.Max(work, leastWork)}
	for _, seg := range read {
		hands.Actions, hands.Kit = append(hands.Actions, seg.Actions...), append(hands.Kit, seg.Kit...)
		if seg.Hands {
			hands.Heat = seg.Heat
		}
	}
	if wait == 0 {
		return []flow.Segment{hands}
	}
	rest := flow.Segment{Minutes: wait}
	for _, seg := range read {
		if !seg.Hands && seg.Heat != "" {
			rest.Heat, rest.Celsius = seg.Heat, seg.Celsius
		}
	}
	hands.Heat = ""
	return []flow.Segment{hands, rest}
}

// greasing makes the greasing of a tin a job of its own, done beforehand.
func (c *course) greasing(id string, at recipe.StepAt, s *recipe.Step, segments []flow.Segment) []flow.Segment {
	isGrease := func(i int) bool { return i < len(s.Actions) && s.Actions[i].Technique == "grease" }
	if len(s.Actions) < 2 || !slices.ContainsFunc(s.Actions, func(a recipe.Action) bool { return a.Technique == "grease" }) {
		return segments
	}
	job := c.base(at, flow.Segment{})
	job.Task = Task{ID: id + ".grease", Minutes: beginMinutes, Hands: 1}
	job.Kind, job.Name, job.Cue = Mise, texts.Say("day.greaseTheTinOrDish"), texts.Say("day.aThinFilmAllOver")
	c.jobs = append(c.jobs, job)
	for k := range segments {
		if slices.ContainsFunc(segments[k].Actions, isGrease) {
			segments[k].Minutes = math.Max(segments[k].Minutes-beginMinutes, leastWork)
		}
	}
	return segments
}

// gap is how long a step may pause after one of its jobs: what is put on goes on
// at once, what has cooked may stand a little, what rests may rest on.
func (c *course) gap(before string) *float64 {
	most := 0.0
	switch j := c.job(before); {
	case j == nil || j.Hands > 0:
	case j.Kind == Cook:
		most = pauseGap
	default:
		most = preparedGap
	}
	return &most
}

// node finds the number of an action in the graph.
func (c *course) node(at recipe.StepAt, action int) int {
	id := c.dish.Components[at.Component].Steps[at.Step].Actions[action].ID
	return slices.IndexFunc(c.graph.Nodes, func(n flow.Node) bool { return n.Action.ID == id })
}

// cutFor are the jobs that cut or soak the lines that a step takes.
func (c *course) cutFor(at recipe.StepAt) []After {
	var after []After
	s := &c.dish.Components[at.Component].Steps[at.Step]
	for _, a := range s.Actions {
		for r := range a.Refs() {
			if r.Line == nil {
				continue
			}
			for line := range c.dish.Components[at.Component].Lines {
				if *r.Line == recipe.LineRef(at.Component, line) {
					after = c.cuts(after, at.Component, line)
				}
			}
		}
	}
	for _, line := range c.Parts[at.Component].Steps[at.Step].Lines {
		after = c.cuts(after, at.Component, line)
	}
	return after
}

func (c *course) cuts(after []After, component, line int) []After {
	for _, id := range c.cut[lineKey(c.index, component, line)] {
		if !slices.ContainsFunc(after, func(a After) bool { return a.ID == id }) {
			most := preparedGap
			after = append(after, After{ID: id, MaxGap: &most})
		}
	}
	return after
}

// place gives a job the ring, the oven and the kit of its stretch.
func (c *course) place(j *Job, at recipe.StepAt, seg flow.Segment) {
	j.Kit = slices.DeleteFunc(slices.Clone(seg.Kit), func(kit string) bool { return unattended(kit) == seg.Hands })
	switch {
	case seg.Heat == "oven":
		heat := usualOven
		if seg.Celsius > 0 {
			heat = seg.Celsius
		}
		if !seg.Hands || len(seg.Actions) > 0 && seg.Minutes > beginMinutes {
			j.Oven = &OvenUse{Celsius: heat, Shelves: 1}
		}
	case seg.Heat != "":
		j.Rings = 1
	}
	if !seg.Hands && (j.Rings > 0 || j.Oven != nil) {
		j.Kind = Cook
	}
	j.boils = j.Rings > 0 && c.boilsDough(at, seg)
}

// add puts a job on the list, after the heating of its oven if it needs one.
func (c *course) add(j Job) {
	if j.Oven != nil {
		most := firstBakeWithin
		heat := Job{
			Task: Task{ID: j.ID + ".heat", Minutes: preheatMinutes, Oven: &OvenUse{Celsius: j.Oven.Celsius, Shelves: 1}},
			For:  j.For, Course: j.Course, Part: j.Part, Kind: Heat, Name: texts.Say("day.heatTheOvenToC", j.Oven.Celsius),
			Text: texts.Say("day.heatTheOvenToCWith", j.Oven.Celsius), Cue: texts.Say("day.theOvenHasReachedItsHeat"),
		}
		c.jobs = append(c.jobs, heat)
		j.After = append(j.After, After{ID: heat.ID, MaxGap: &most})
	}
	c.jobs = append(c.jobs, j)
}

// boilsDough tells whether a stretch boils noodles, dumplings or the like in
// water that others could use.
func (c *course) boilsDough(at recipe.StepAt, seg flow.Segment) bool {
	return slices.ContainsFunc(seg.Actions, func(action int) bool {
		node := c.node(at, action)
		return node >= 0 && c.doughInWater(&c.graph.Nodes[node])
	})
}

func (c *course) doughInWater(n *flow.Node) bool {
	if !n.Is("boil", "cook", "parboil") || !n.Liquid {
		return false
	}
	return slices.ContainsFunc(slices.Concat(n.To, n.With), func(line int) bool {
		at := c.graph.Lines[line]
		f := c.larder.Food(c.dish.Components[at.Component].Lines[at.Line].FoodID())
		return f != nil && (f.Aisle == "bakery" || f.Tagged("flours"))
	})
}

// unattended says whether kit works without hands.
func unattended(kit string) bool { return kit == "pressure cooker" }

func zero() *float64 { return new(float64) }
