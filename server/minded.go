package server

import (
	"context"
	"fmt"
	"log/slog"
	"slices"
	"strings"
	"time"

	"yembra/core/stove"
	"yembra/devices"
)

// MindStove watches devices and clocks until it is told to stop.
func (k *Kitchen) MindStove(ctx context.Context) {
	defer k.hearth.working.Wait()
	defer k.hearth.close()
	tick := time.NewTicker(tickEvery)
	defer tick.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
			k.minded(ctx)
		}
	}
}

// PlayScene begins a scene of the bench by its name.
func (k *Kitchen) PlayScene(name string) error {
	played, err := k.hearth.bench.Play(k.hearth.now(), name)
	if err == nil && !played {
		err = fmt.Errorf("there is no scene %q", name)
	}
	return err
}

// DevicesNow is what the devices say.
type DevicesNow struct {
	Scale devices.Weight      `json:"scale"`
	Probe devices.Temperature `json:"probe"`
	// Weighing is how the weighing under way stands, by cook-through.
	Weighing map[string]stove.Weight `json:"weighing"`
}

// minded reads the devices once, ends weighings that are steady, keeps what the
// probe finds, and tells the screens when there is something new to say.
func (k *Kitchen) minded(ctx context.Context) {
	h := k.hearth
	at := h.now()
	now := DevicesNow{h.bench.Weigh(at), h.bench.Measure(at), map[string]stove.Weight{}}
	h.mu.Lock()
	oldest := at.Add(-rememberFor).UnixMilli()
	if !now.Scale.Off && !now.Scale.Overload {
		h.weights = append(h.weights, stove.Reading{At: at.UnixMilli(), Grams: now.Scale.Grams})
	}
	if !now.Probe.Off {
		h.degrees = append(h.degrees, stove.Degree{At: at.UnixMilli(), Celsius: now.Probe.Celsius})
	}
	h.weights = slices.DeleteFunc(h.weights, func(r stove.Reading) bool { return r.At < oldest })
	h.degrees = slices.DeleteFunc(h.degrees, func(d stove.Degree) bool { return d.At < oldest })
	weights, degrees := slices.Clone(h.weights), slices.Clone(h.degrees)
	listened := len(h.listeners) > 0
	var cooks []*cookThrough
	for _, c := range h.cooks {
		cooks = append(cooks, c)
	}
	h.mu.Unlock()
	found := make([][]stove.Event, len(cooks))
	for i, c := range cooks {
		found[i] = c.found(k, weights, degrees, now.Weighing)
	}
	if listened {
		h.broadcast(readings, now)
	}
	for i, c := range cooks {
		for _, e := range found[i] {
			if err := k.tell(ctx, c, e); err != nil {
				slog.Error("what a device found could not be kept", "cook", c.id, "cause", err)
			}
		}
		if said, changed := c.speaks(at.UnixMilli()); changed && listened {
			h.broadcast("changed", map[string]any{"cook": c.id, "says": said})
		}
	}
}

// found is what the devices have to tell of a cook-through; how its weighing stands
// goes in beside it.
func (c *cookThrough) found(k *Kitchen, weights []stove.Reading, degrees []stove.Degree, stands map[string]stove.Weight) []stove.Event {
	c.mu.Lock()
	defer c.mu.Unlock()
	var out []stove.Event
	if w := c.state.Weighing; w != nil {
		stands[c.id] = stove.Judge(w, weights)
		if now := stands[c.id]; now.Ready {
			out = append(out, stove.Event{Kind: stove.Weighed, Of: w.N, Amount: now.Grams, Key: fmt.Sprint("scale ", len(c.events)), Screen: "scale"})
		}
	}
	for _, b := range k.core.Load().Larder.Bands() {
		w, on := c.state.Watches[b.ID]
		if !on {
			continue
		}
		if kind, found := stove.Probed(b, w, degrees); found {
			last := degrees[len(degrees)-1]
			out = append(out, stove.Event{Kind: kind, Text: b.ID, Move: w.Move, Amount: last.Celsius, Key: fmt.Sprint("probe ", len(c.events)), Screen: "probe"})
		}
	}
	return out
}

// speaks tells whether there is something else to say than a moment ago.
func (c *cookThrough) speaks(now int64) (string, bool) {
	c.mu.Lock()
	defer c.mu.Unlock()
	if c.state.Ended > 0 {
		return "", false
	}
	v := stove.Look(&c.program, &c.state, now)
	var ids []string
	for _, n := range v.Says {
		ids = append(ids, n.ID)
	}
	said := strings.Join(ids, "|")
	changed := said != c.said
	c.said = said
	return said, changed
}
