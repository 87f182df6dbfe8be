package day

import (
	"fmt"
	"math"
	"slices"

	"yembra/core/character"
	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// base is a job with what it tells of its step.
func (c *course) base(at recipe.StepAt, seg flow.Segment) Job {
	s := &c.Parts[at.Component].Steps[at.Step]
	read := &c.dish.Components[at.Component].Steps[at.Step]
	j := Job{Course: c.Name, For: []string{c.Name}, Part: c.Parts[at.Component].Name, Text: s.Text, Cue: s.Cue, Name: flow.Brief(read, seg.Actions)}
	j.Said = flow.Words(read, seg.Actions)
	for _, x := range s.Cautions {
		j.Care = append(j.Care, x.Text)
	}
	c.watched(&j, at, seg)
	return j
}

// cue is what ends a stretch of a step: what its actions say, else the cue of the
// step for the last stretch, and that of its technique for the others.
func (c *course) cue(at recipe.StepAt, seg flow.Segment, last bool) string {
	read := &c.dish.Components[at.Component].Steps[at.Step]
	cue := ""
	for _, i := range seg.Actions {
		a := &read.Actions[i]
		if t := c.larder.Technique(a.Technique); a.Cue == "" && cue == "" && t != nil && !last {
			cue = t.Cue
		}
		if a.Cue != "" {
			cue = a.Cue
		}
	}
	if cue == "" && last {
		return c.Parts[at.Component].Steps[at.Step].Cue
	}
	return cue
}

// watched tells of a job what goes in, what it loses and what a probe watches.
func (c *course) watched(j *Job, at recipe.StepAt, seg flow.Segment) {
	for _, i := range seg.Actions {
		node := c.node(at, i)
		if node < 0 {
			continue
		}
		n := &c.graph.Nodes[node]
		var foods []*larder.Food
		for _, line := range slices.Concat(n.To, n.With, n.Into) {
			where := c.graph.Lines[line]
			foods = append(foods, c.larder.Food(c.dish.Components[where.Component].Lines[where.Line].FoodID()))
		}
		if loss := c.larder.LossBy(n.Technique.Name, foods); loss != nil && (j.Loss == "" || character.LossRate(n) > j.Rate) {
			j.Loss, j.Rate, j.Share = loss.ID, character.LossRate(n), c.larder.ShareLost(loss, foods)
		}
		for _, band := range c.larder.BandsFor(n.Technique.Name, n.HotFat, foods) {
			if !slices.Contains(j.Bands, band) {
				j.Bands = append(j.Bands, band)
			}
		}
		if c.begins[node] == "" { // what goes on alone took its lines in when it began
			c.takes(j, n)
		}
	}
}

// takes adds the lines that an action takes off the board.
func (c *course) takes(j *Job, n *flow.Node) {
	for r := range n.Action.Refs() {
		if r.Line == nil || r.Share <= 0 {
			continue
		}
		line := c.graph.Named(*r.Line)
		if line < 0 {
			continue
		}
		where := c.graph.Lines[line]
		take := Take{Dish: c.ID, Part: where.Component, Line: where.Line, Share: r.Share}
		if !slices.ContainsFunc(j.Takes, func(t Take) bool { return t.Part == take.Part && t.Line == take.Line }) {
			j.Takes = append(j.Takes, take)
		}
	}
}

// segment adds the job of one stretch of a step, after the one before it.
func (c *course) segment(id string, at recipe.StepAt, k int, seg flow.Segment, last bool) {
	j := c.base(at, seg)
	j.Cue = c.cue(at, seg, last)
	if !seg.Hands && len(seg.Actions) == 0 { // the book has it wait, and no action says so
		j.Name = texts.Say("day.leaveItToStand")
		if x := c.larder.SwapNamed(c.Parts[at.Component].Steps[at.Step].Prepares); x != nil {
			j.Name = texts.Say("day.leaveToStand", x.Short)
		}
		j.Said = j.Name + "."
	}
	suffix := map[bool]string{true: ".work", false: ".wait"}[seg.Hands]
	if k > 0 && c.job(id+suffix) != nil {
		suffix += fmt.Sprint(k + 1)
	}
	minutes := math.Ceil(seg.Minutes)
	j.Kind = Wait
	if seg.Hands {
		minutes = math.Max(math.Ceil(seg.Minutes*math.Max(1, math.Pow(c.Factor, batchPower))), leastWork)
		j.Kind = Work
	}
	j.Task = Task{ID: id + suffix, Minutes: minutes}
	if seg.Hands {
		j.Hands = 1
	}
	c.place(&j, at, seg)
	if before := c.lastOf[at]; before != "" {
		j.After = append(j.After, After{ID: before, MaxGap: c.gap(before)})
	} else {
		j.After = append(j.After, c.cutFor(at)...)
		if c.job(id+".grease") != nil {
			most := preparedGap
			j.After = append(j.After, After{ID: id + ".grease", MaxGap: &most})
		}
		c.firstOf[at] = j.ID
	}
	c.lastOf[at] = j.ID
	for _, i := range seg.Actions {
		if node := c.node(at, i); node >= 0 {
			if c.begins[node] == "" {
				c.begins[node] = j.ID
			}
			c.ends[node] = j.ID
		}
	}
	c.add(j)
}
