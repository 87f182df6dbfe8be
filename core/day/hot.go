package day

import (
	"cmp"
	"math"
	"slices"

	"yembra/core/texts"
)

// Order sorts jobs by their start in a plan, then by name.
func Order(jobs []Job, p Plan) []Job {
	start := map[string]string{}
	for _, t := range p.Tasks {
		start[t.ID] = t.Start
	}
	out := slices.Clone(jobs)
	slices.SortStableFunc(out, func(a, b Job) int {
		return cmp.Or(mustTime(start[a.ID]).Compare(mustTime(start[b.ID])), cmp.Compare(a.Name, b.Name))
	})
	return out
}

// hotFor is how many minutes an oven stays hot after a bake.
const hotFor = 10.0

// SayHot renames the heating of an oven that a plan finds hot already, because
// something else at that heat is in it or has just come out.
func SayHot(jobs []Job, p Plan) []Job {
	out := slices.Clone(jobs)
	placed := map[string]Placed{}
	for _, t := range p.Tasks {
		placed[t.ID] = t
	}
	for i := range out {
		j := &out[i]
		here, ok := placed[j.ID]
		if j.Kind != Heat || j.Oven == nil || !ok {
			continue
		}
		for _, o := range jobs {
			there, ok := placed[o.ID]
			if !ok || o.ID == j.ID || o.Oven == nil || *there.Oven != *here.Oven || math.Abs(o.Oven.Celsius-j.Oven.Celsius) > OvenTolerance {
				continue
			}
			begins, ended := mustTime(there.Start).Sub(mustTime(here.Start)).Minutes(), mustTime(here.Start).Sub(mustTime(there.End)).Minutes()
			if ended <= hotFor && (begins < 0 || begins == 0 && o.ID < j.ID) {
				j.Name = texts.Say("day.theOvenIsAtCAlready", o.Oven.Celsius)
				j.Text = texts.Say("day.leaveTheOvenAtCHas", o.Oven.Celsius, o.Course)
				break
			}
		}
	}
	return out
}

// RequestFor is the planning request of a day's jobs.
func RequestFor(serveAt string, k Kitchen, jobs []Job) Request {
	r := Request{ServeAt: serveAt, Kitchen: k, Tasks: make([]Task, len(jobs))}
	for i, j := range jobs {
		r.Tasks[i] = j.Task
	}
	return r
}
