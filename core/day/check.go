package day

import (
	"fmt"
	"math"
	"time"
)

// Check says what is wrong with a plan for a request: nil when every task is
// there once and every demand of the request is met. It shares no code with
// the planner.
func Check(r Request, p Plan) error {
	if !p.Feasible {
		return fmt.Errorf("there is no plan")
	}
	if len(p.Tasks) != len(r.Tasks) {
		return fmt.Errorf("%d tasks are planned of %d", len(p.Tasks), len(r.Tasks))
	}
	serve := mustTime(r.ServeAt)
	at := map[string]int{}
	starts, ends := make([]time.Time, len(r.Tasks)), make([]time.Time, len(r.Tasks))
	first := serve
	for i, t := range r.Tasks {
		got := p.Tasks[i]
		if got.ID != t.ID {
			return fmt.Errorf("task %d is %q and should be %q", i, got.ID, t.ID)
		}
		at[t.ID] = i
		starts[i], ends[i] = mustTime(got.Start), mustTime(got.End)
		if starts[i].Before(first) {
			first = starts[i]
		}
		if d := ends[i].Sub(starts[i]).Seconds(); math.Abs(d-t.Minutes*60) > 1 {
			return fmt.Errorf("%q takes %v s and should take %v min", t.ID, d, t.Minutes)
		}
		if ends[i].After(serve) {
			return fmt.Errorf("%q ends at %s, after serving", t.ID, got.End)
		}
		if t.ServeWithin != nil && serve.Sub(ends[i]).Minutes() > *t.ServeWithin+1e-6 {
			return fmt.Errorf("%q is not served within %v min", t.ID, *t.ServeWithin)
		}
		if t.StartAt != nil && !mustTime(*t.StartAt).Equal(starts[i]) {
			return fmt.Errorf("%q starts at %s and is pinned to %s", t.ID, got.Start, *t.StartAt)
		}
		if t.notBefore != nil && starts[i].Before(*t.notBefore) {
			return fmt.Errorf("%q starts at %s, which is past", t.ID, got.Start)
		}
		if err := checkOccupied(r, t, got, starts[i], ends[i], serve); err != nil {
			return err
		}
	}
	for i, t := range r.Tasks {
		for _, a := range t.After {
			gap := starts[i].Sub(ends[at[a.ID]]).Minutes()
			if gap < a.MinGap-1e-6 || a.MaxGap != nil && gap > *a.MaxGap+1e-6 {
				return fmt.Errorf("%q starts %v min after %q", t.ID, gap, a.ID)
			}
		}
	}
	if span := serve.Sub(first).Minutes(); math.Abs(span-p.SpanMinutes) > 1e-6 || p.BoundMinutes > span+1e-6 {
		return fmt.Errorf("the span is %v min; the plan says %v, at least %v", span, p.SpanMinutes, p.BoundMinutes)
	}
	return checkTogether(r, p, starts, ends)
}

// checkOccupied checks what one task was given.
func checkOccupied(r Request, t Task, got Placed, start, end, serve time.Time) error {
	if (got.Cook != nil) != (t.Hands > 0) || got.Cook != nil && (*got.Cook < 0 || *got.Cook >= r.Kitchen.Cooks) {
		return fmt.Errorf("%q has the wrong cook", t.ID)
	}
	if len(got.Rings) != t.Rings {
		return fmt.Errorf("%q has %d rings of %d", t.ID, len(got.Rings), t.Rings)
	}
	for _, k := range got.Rings {
		if k < 0 || k >= r.Kitchen.Rings {
			return fmt.Errorf("%q is on ring %d, which is not there", t.ID, k)
		}
	}
	if (got.Oven != nil) != (t.Oven != nil) || got.Oven != nil && (*got.Oven < 0 || *got.Oven >= len(r.Kitchen.Ovens)) {
		return fmt.Errorf("%q has the wrong oven", t.ID)
	}
	if r.Kitchen.Awake == nil || t.Hands == 0 {
		return nil
	}
	from, _ := minuteOfDay(r.Kitchen.Awake.From)
	to, _ := minuteOfDay(r.Kitchen.Awake.To)
	if to <= from {
		to += 24 * 60
	}
	if to-from >= 24*60 {
		return nil
	}
	midnight := time.Date(start.Year(), start.Month(), start.Day(), 0, 0, 0, 0, serve.Location())
	for d := -1; d <= 1; d++ {
		wake := midnight.AddDate(0, 0, d).Add(time.Duration(from) * time.Minute)
		sleep := midnight.AddDate(0, 0, d).Add(time.Duration(to) * time.Minute)
		if !start.Before(wake) && !end.After(sleep) {
			return nil
		}
	}
	return fmt.Errorf("%q is worked on outside the waking hours", t.ID)
}

// checkTogether checks that nothing is used twice, at the start of every task.
func checkTogether(r Request, p Plan, starts, ends []time.Time) error {
	runs := func(i int, at time.Time) bool {
		return !starts[i].After(at) && at.Before(ends[i])
	}
	for i := range r.Tasks {
		now := starts[i]
		cooks, rings := map[int]string{}, map[int]string{}
		kit := map[string]int{}
		shelves := make([]int, len(r.Kitchen.Ovens))
		for k, t := range r.Tasks {
			if !runs(k, now) {
				continue
			}
			got := p.Tasks[k]
			if got.Cook != nil {
				if other, busy := cooks[*got.Cook]; busy {
					return fmt.Errorf("cook %d works on %q and %q at once", *got.Cook, other, t.ID)
				}
				cooks[*got.Cook] = t.ID
			}
			for _, ring := range got.Rings {
				if other, busy := rings[ring]; busy {
					return fmt.Errorf("ring %d holds %q and %q at once", ring, other, t.ID)
				}
				rings[ring] = t.ID
			}
			for _, name := range t.Kit {
				if kit[name]++; kit[name] > r.Kitchen.Kit[name] {
					return fmt.Errorf("%q asks for one more %s than there is", t.ID, name)
				}
			}
			if got.Oven == nil {
				continue
			}
			if shelves[*got.Oven] += t.Oven.Shelves; shelves[*got.Oven] > r.Kitchen.Ovens[*got.Oven].Shelves {
				return fmt.Errorf("oven %d is too full for %q", *got.Oven, t.ID)
			}
			for m, o := range r.Tasks {
				if other := p.Tasks[m].Oven; other != nil && *other == *got.Oven && runs(m, now) && math.Abs(o.Oven.Celsius-t.Oven.Celsius) > OvenTolerance+1e-9 {
					return fmt.Errorf("oven %d cannot have the heats of %q and %q at once", *got.Oven, t.ID, o.ID)
				}
			}
		}
	}
	return nil
}

// mustTime reads a time that has been checked, or that the planner wrote.
func mustTime(s string) time.Time {
	t, err := time.Parse(time.RFC3339, s)
	if err != nil {
		return time.Time{}
	}
	return t
}
