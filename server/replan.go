package server

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"slices"
	"time"

	"yembra/core/day"
	"yembra/core/stove"
	"yembra/store"
)

// replanAfter gathers taps that come one after the other.
const replanAfter = 400 * time.Millisecond

// replanSoon tells a day's plan how far its cook-through has come, beside what
// goes on; it is called with the cook-through held.
func (k *Kitchen) replanSoon(c *cookThrough) {
	if c.replanning {
		c.again = true
		return
	}
	c.replanning = true
	k.hearth.working.Go(func() {
		for {
			select {
			case <-k.hearth.closing.Done():
				return
			case <-time.After(replanAfter):
			}
			if err := k.replan(k.hearth.closing, c); err != nil && !errors.Is(err, context.Canceled) {
				slog.Error("the day could not be told what was done", "cook", c.id, "day", c.program.Day, "cause", err)
			}
			c.mu.Lock()
			if !c.again {
				c.replanning = false
				c.mu.Unlock()
				return
			}
			c.again = false
			c.mu.Unlock()
		}
	})
}

// replan tells the day what has begun and is done, and takes over the times at
// which the rest is planned now.
func (k *Kitchen) replan(ctx context.Context, c *cookThrough) error {
	c.mu.Lock()
	p, s := c.program, c.state
	c.mu.Unlock()
	e, err := k.Store.Entry(ctx, store.DayEntry, p.Day)
	if errors.Is(err, store.ErrNoEntry) {
		return nil // the day was taken away meanwhile; what is cooked goes on
	}
	if err != nil {
		return err
	}
	var d DayDocument
	if err := json.Unmarshal(e.Body, &d); err != nil {
		return fmt.Errorf("decode day %s: %w", p.Day, err)
	}
	zone := time.UTC
	if at, err := time.Parse(time.RFC3339, d.ServeAt); err == nil {
		zone = at.Location()
	}
	d.Progress = append(notTold(d.Progress, &s), progressOf(&p, &s, zone)...)
	d.Now = k.hearth.now().In(zone).Format(time.RFC3339)
	body, err := json.Marshal(d)
	if err != nil {
		return fmt.Errorf("encode the day: %w", err)
	}
	if e, err = k.Store.ChangeEntry(ctx, store.DayEntry, p.Day, e.Version, body); errors.Is(err, store.ErrChanged) {
		c.mu.Lock()
		c.again = true // somebody changed the day meanwhile; tell it once more
		c.mu.Unlock()
		return nil
	}
	if err != nil {
		return err
	}
	pinned := *k
	pinned.pinned = k.core.Load()
	v, err := pinned.viewDay(ctx, e)
	if err != nil || !v.Plan.Feasible {
		return err
	}
	placed, err := stove.PlacedOf(v.Plan)
	if err != nil {
		return err
	}
	if !moved(&p, &s, placed) {
		return nil
	}
	return k.tell(ctx, c, stove.Event{Kind: stove.Plan, Plan: placed, Key: fmt.Sprint("plan ", e.Version), Screen: "plan"})
}

// shifted is by how many milliseconds a move must be planned elsewhere to be
// worth telling.
const shifted = 60_000

func moved(p *stove.Program, s *stove.State, placed map[string]stove.Placed) bool {
	for i := range p.Moves {
		m := &p.Moves[i]
		at, known := placed[m.ID]
		if was := s.Planned(m); known && s.Moves[m.ID].Begun == 0 && (max(was.Start-at.Start, at.Start-was.Start) > shifted || was.Cook != at.Cook) {
			return true
		}
	}
	return false
}

// notTold is what a day knows of by itself: what the cook-through never spoke of.
func notTold(was []day.Progress, s *stove.State) []day.Progress {
	told := map[string]bool{}
	for _, e := range s.Events() {
		if e.Kind.Begins() {
			told[e.Move] = true
		}
	}
	return slices.DeleteFunc(slices.Clone(was), func(x day.Progress) bool { return told[x.ID] })
}

// progressOf is what a day hears of a cook-through.
func progressOf(p *stove.Program, s *stove.State, zone *time.Location) []day.Progress {
	out := []day.Progress{}
	for i := range p.Moves {
		m := &p.Moves[i]
		x := s.Moves[m.ID]
		if x.Begun == 0 {
			continue
		}
		one := day.Progress{ID: m.ID, Name: m.Name, Start: time.UnixMilli(x.Begun).In(zone).Format(time.RFC3339), Minutes: m.Minutes, Done: x.Done > 0}
		if t := s.Running(m.ID); t != nil {
			one.Minutes = t.Minutes
		}
		if one.Done {
			one.Minutes = float64(x.Done-x.Begun) / 60_000
		}
		out = append(out, one)
	}
	return out
}
