package day

import (
	"context"
	"fmt"
	"slices"
	"time"

	"yembra/core/texts"
)

// Progress is what became of a task: it started then and took, or will take,
// so many minutes.
type Progress struct {
	ID string `json:"id"`
	// Name is what the task was called when this was said.
	Name    string  `json:"name,omitempty"`
	Start   string  `json:"start"`
	Minutes float64 `json:"minutes"`
	Done    bool    `json:"done"`
}

// Option is a way out when a day can no longer be served as planned.
type Option struct {
	Text string `json:"text"`
	// ServeAt is the later time it stands for; Cooks the cooks it takes; Without
	// the tasks it leaves out.
	ServeAt string   `json:"serveAt"`
	Cooks   int      `json:"cooks"`
	Without []string `json:"without"`
}

// latestDelay bounds how much later serving is offered, in minutes.
const latestDelay = 240

// Replan plans the rest of a day at a moment of it: what has started stays as
// it was, the rest starts from now on, within the same demands where they can
// still be met. Without a plan it offers ways out: the least delay to the
// minute, one more cook, or without one of the groups (dishes) of tasks.
func Replan(ctx context.Context, r Request, now string, progress []Progress, groups map[string][]string) (Plan, []Option, error) {
	at, err := time.Parse(time.RFC3339, now)
	if err != nil {
		return Plan{}, nil, Invalid{{"now", texts.Say("day.mustBeAMoment", "2026-12-05T17:30:00Z")}}
	}
	rest, err := started(r, at, progress)
	if err != nil {
		return Plan{}, nil, err
	}
	work := newEffort(ctx)
	p, err := plan(rest, work.part(1-partOfOptions))
	if err != nil || p.Feasible {
		return p, []Option{}, err
	}
	return p, options(rest, groups, work), nil
}

// started pins what has begun and keeps the rest from the past. Of what has
// begun, ties to each other and bounds on serving are no longer asked: they
// are as they are.
func started(r Request, now time.Time, progress []Progress) (Request, error) {
	out := r
	out.Tasks = slices.Clone(r.Tasks)
	begun := map[string]bool{}
	for i, p := range progress {
		at := slices.IndexFunc(out.Tasks, func(t Task) bool { return t.ID == p.ID })
		if at < 0 {
			return out, Invalid{{fmt.Sprintf("progress[%d].id", i), texts.Say("day.isNoTask", p.ID)}}
		}
		if p.Minutes < 0 || p.Minutes > mostMinutes {
			return out, Invalid{{fmt.Sprintf("progress[%d].minutes", i), texts.Say("day.mustBeAtLeast")}}
		}
		t := &out.Tasks[at]
		start := p.Start
		t.StartAt, t.Minutes = &start, p.Minutes
		begun[p.ID] = true
	}
	progress = slices.Concat(progress, implied(&out, begun))
	for i := range out.Tasks {
		t := &out.Tasks[i]
		if begun[t.ID] {
			t.After, t.ServeWithin, t.begun = nil, nil, true
			if p := progress[slices.IndexFunc(progress, func(p Progress) bool { return p.ID == t.ID })]; p.Done {
				t.Hands, t.Rings, t.Oven, t.Kit = 0, 0, nil, nil
			}
			continue
		}
		t.notBefore = &now
		t.After = slices.Clone(t.After)
		for k, a := range t.After {
			if !begun[a.ID] || a.MaxGap == nil {
				continue
			}
			// It can no longer start sooner than now, however long that has been.
			if end := endOf(progress, a.ID); end.Before(now) {
				most := max(*a.MaxGap, now.Sub(end).Minutes()+*a.MaxGap)
				t.After[k].MaxGap = &most
			}
		}
		if t.StartAt != nil && mustTime(*t.StartAt).Before(now) {
			t.StartAt = nil // a pin in the past that was not kept
		}
	}
	return out, nil
}

// implied is what must have been done since something after it has begun, such
// as the heating of an oven in which something bakes: it ended by then.
func implied(r *Request, begun map[string]bool) []Progress {
	var out []Progress
	for again := true; again; {
		again = false
		for i := range r.Tasks {
			t := &r.Tasks[i]
			if !begun[t.ID] || t.StartAt == nil {
				continue
			}
			for _, a := range t.After {
				at := slices.IndexFunc(r.Tasks, func(x Task) bool { return x.ID == a.ID })
				if at < 0 || begun[a.ID] {
					continue
				}
				before := &r.Tasks[at]
				start := mustTime(*t.StartAt).Add(-time.Duration(before.Minutes * float64(time.Minute))).Format(time.RFC3339)
				before.StartAt = &start
				begun[a.ID], again = true, true
				out = append(out, Progress{ID: a.ID, Start: start, Minutes: before.Minutes, Done: true})
			}
		}
	}
	return out
}

// optionPlacements bounds the search behind each option that is looked at.
const optionPlacements = 60_000

// works says whether a plan for a request is found.
func works(r Request, work *effort) bool {
	p, err := compile(r, work)
	if err != nil || len(p.hopeless()) > 0 || !p.possible(p.horizon) {
		return false
	}
	g := newGenerator(p)
	g.any = true
	return g.search(optionPlacements) != nil
}

func endOf(progress []Progress, id string) time.Time {
	at := slices.IndexFunc(progress, func(p Progress) bool { return p.ID == id })
	return mustTime(progress[at].Start).Add(time.Duration(progress[at].Minutes * float64(time.Minute)))
}

// options looks for ways out of a day without a plan.
func options(r Request, groups map[string][]string, work *effort) []Option {
	out := []Option{}
	later := func(minutes int) Request {
		q := r
		q.ServeAt = mustTime(r.ServeAt).Add(time.Duration(minutes) * time.Minute).Format(time.RFC3339)
		return q
	}
	if works(later(latestDelay), work) {
		lo, hi := 0, latestDelay
		for hi-lo > 1 {
			if mid := (lo + hi) / 2; works(later(mid), work) {
				hi = mid
			} else {
				lo = mid
			}
		}
		q := later(hi)
		out = append(out, Option{Text: texts.Say("day.serveLaterAt", spokenSeconds(hi*60), mustTime(q.ServeAt).Format("15:04")), ServeAt: q.ServeAt, Without: []string{}})
	}
	helped := r
	if helped.Kitchen.Cooks++; works(helped, work) {
		out = append(out, Option{Text: texts.Say("day.withOneMoreCookEverythingCan", helped.Kitchen.Cooks), Cooks: helped.Kitchen.Cooks, Without: []string{}})
	}
	names := make([]string, 0, len(groups))
	for name := range groups {
		names = append(names, name)
	}
	slices.Sort(names)
	for _, name := range names {
		var kept []int
		for i, t := range r.Tasks {
			if t.StartAt != nil || !slices.Contains(groups[name], t.ID) {
				kept = append(kept, i)
			}
		}
		if len(kept) < len(r.Tasks) && works(only(r, kept), work) {
			out = append(out, Option{Text: texts.Say("day.withoutTheRestCanBeReady", name), Without: groups[name]})
		}
	}
	return out
}
