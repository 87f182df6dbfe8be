package main

import (
	"context"
	"fmt"
	"os"
	"time"

	"yembra/core/day"
	"yembra/core/measure"
	"yembra/core/stove"
	"yembra/core/swap"
	"yembra/demo"
	"yembra/server"
	"yembra/server/texts"
	"yembra/store"
)

func (d demoCommand) Run() error {
	folder := d.Data
	if folder != "" && store.Holds(folder) && !d.Afresh {
		return fmt.Errorf("%s holds a kitchen, which the demo would take the place of. Name another folder, or say --afresh to take that kitchen away", folder)
	}
	if folder == "" {
		made, err := os.MkdirTemp("", "yembra-demo-")
		if err != nil {
			return fmt.Errorf("make a folder for the demo: %w", err)
		}
		defer os.RemoveAll(made)
		folder = made
	}
	if !loopback(d.Addr) {
		return fmt.Errorf("the demo is served on this machine only; %s could be reached from others", d.Addr)
	}
	return serve(serving{addr: d.Addr, folder: folder, fresh: true})
}

// layOut fills the demo kitchen.
func layOut(ctx context.Context, k *server.Kitchen) error {
	if err := layOutBegun(ctx, k); err != nil {
		return err
	}
	ids, err := layOutDishes(ctx, k)
	if err != nil {
		return err
	}
	if err := layOutShelf(ctx, k, ids); err != nil {
		return err
	}
	if err := layOutDay(ctx, k, ids); err != nil {
		return err
	}
	if err := layOutTables(ctx, k, ids); err != nil {
		return err
	}
	for _, e := range demo.Evenings {
		if err := layOutEvening(ctx, k, ids, e); err != nil {
			return err
		}
	}
	return nil
}

// layOutBegun lays out what was begun from the list of traditional dishes.
func layOutBegun(ctx context.Context, k *server.Kitchen) error {
	for _, key := range demo.Begun {
		t := k.Core().Larder.TraditionalNamed(key)
		if t == nil {
			return fmt.Errorf("the demo begins with %q, which is not listed", key)
		}
		if _, err := k.BeginTraditional(ctx, t); err != nil {
			return fmt.Errorf("lay out the demo's %s: %w", key, err)
		}
	}
	return nil
}

// layOutShelf brings dishes into all states, and lays out what is still to do.
func layOutShelf(ctx context.Context, k *server.Kitchen, ids map[string]string) error {
	for key, food := range demo.Undecided {
		d, err := k.Store.Dish(ctx, ids[key])
		if err != nil {
			return fmt.Errorf("lay out the demo's %s: %w", key, err)
		}
		for _, part := range d.Document.Original.Components {
			for i := range part.Lines {
				if part.Lines[i].FoodID() == food {
					delete(d.Document.Decisions.Swaps, part.Lines[i].ID)
				}
			}
		}
		if _, err := k.Store.Save(ctx, d.ID, d.Edit, texts.Keep("changedTheDish"), d.Document); err != nil {
			return fmt.Errorf("lay out the demo's %s: %w", key, err)
		}
	}
	for _, key := range demo.Settled {
		d, err := k.Store.Dish(ctx, ids[key])
		if err != nil {
			return fmt.Errorf("lay out the demo's %s: %w", key, err)
		}
		d.Document.Settled = true
		if _, err := k.Store.Save(ctx, d.ID, d.Edit, "@dish.settledIt", d.Document); err != nil {
			return fmt.Errorf("lay out the demo's %s: %w", key, err)
		}
	}
	for _, key := range demo.Wished {
		if k.Core().Larder.TraditionalNamed(key) == nil {
			return fmt.Errorf("the demo wishes for %q, which is not listed", key)
		}
		if err := k.Store.SaveEntry(ctx, store.WishEntry, key, []byte("{}")); err != nil {
			return fmt.Errorf("lay out the demo's wishes: %w", err)
		}
	}
	return nil
}

// layOutDishes lays out the club's dishes, and returns their ids by their keys.
func layOutDishes(ctx context.Context, k *server.Kitchen) (map[string]string, error) {
	recipes, err := demo.Recipes()
	if err != nil {
		return nil, err
	}
	ids := map[string]string{}
	for _, r := range recipes {
		d, err := k.Read(server.ReadRequest{Text: &r.Text, Measures: measure.Metric})
		if err != nil {
			return nil, fmt.Errorf("read the demo's %s: %w", r.Key, err)
		}
		dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood, Off: []string{}}, Pins: r.Pins, Swaps: map[string]string{}, Boosters: []swap.Dose{}, LivesFrom: r.Lives}
		if r.Proposed {
			if dec, err = k.Core().Book.Propose(d, dec, swap.Closest); err != nil {
				return nil, fmt.Errorf("adapt the demo's %s: %w", r.Key, err)
			}
			dec.LivesFrom = r.Lives
		}
		made, err := k.NewDish(ctx, store.Document{Name: d.Name, Place: r.Place, Country: r.Country, Source: r.Text, Original: d, Decisions: dec})
		if err != nil {
			return nil, fmt.Errorf("lay out the demo's %s: %w", r.Key, err)
		}
		ids[r.Key] = made.ID
	}
	return ids, nil
}

// examples lays out the club's dishes alone.
func examples(ctx context.Context, k *server.Kitchen) error {
	_, err := layOutDishes(ctx, k)
	return err
}

// clubKitchen is what the club cooks with: two cooks, four rings, one oven.
var clubKitchen = day.Kitchen{
	Cooks: 2, Rings: 4, Ovens: []day.Oven{{Shelves: 2}}, Kit: map[string]int{"blender": 1, "pressure cooker": 1},
	Awake: &day.Awake{From: "07:00", To: "23:00"},
}

// layOutDay lays out the club's next supper: twelve at the table, two cooks.
func layOutDay(ctx context.Context, k *server.Kitchen, ids map[string]string) error {
	d := server.DayDocument{
		Name: demo.Supper.Name, ServeAt: demo.Supper.ServeAt,
		Kitchen: clubKitchen,
	}
	for _, key := range demo.Supper.Dishes {
		d.Dishes = append(d.Dishes, server.DayDish{ID: ids[key], Servings: demo.Supper.Servings})
	}
	if _, err := k.NewDay(ctx, d); err != nil {
		return fmt.Errorf("lay out the demo's day: %w", err)
	}
	return nil
}

// layOutEvening lays out a cook-through: everything up to the moment is done as it
// is planned, with what was different and weighed, and what goes on by itself has
// its timers.
func layOutEvening(ctx context.Context, k *server.Kitchen, ids map[string]string, e demo.Evening) error {
	now := time.Now()
	var dishes []server.Portion
	for _, key := range e.Dishes {
		dishes = append(dishes, server.Portion{Dish: ids[key], Factor: 1})
	}
	p, err := k.ProgramOf(ctx, dishes, clubKitchen, now.Add(-e.Ago))
	if err != nil {
		return fmt.Errorf("lay out %s: %w", e.Name, err)
	}
	p.Name = e.Name
	upto := now
	if e.Ended {
		upto = now.Add(-e.Ago).Add(longestEvening)
	}
	events := stove.Replayed(&p, upto.UnixMilli(), e.Screen)
	tell := func(x stove.Event) {
		x.Screen = e.Screen
		if x.At == 0 {
			x.At = events[len(events)-1].At
		}
		events = append(events, x)
	}
	for _, d := range e.Different {
		if l := p.Find(d.Food); l != nil {
			tell(stove.Event{Kind: stove.Amount, Line: l.ID, Amount: l.Grams * d.Times})
		}
	}
	s := stove.Of(&p, events)
	for i := range p.Moves {
		m := &p.Moves[i]
		if x := s.Moves[m.ID]; e.Weighed.Before > 0 && m.Loss == "simmered" && !m.Hands && x.Done > 0 {
			tell(stove.Event{At: x.Begun, Kind: stove.Weigh, Move: m.ID, Text: stove.PotBefore})
			tell(stove.Event{At: x.Begun, Kind: stove.Weighed, Of: int64(len(events)), Amount: e.Weighed.Before})
			tell(stove.Event{At: x.Done, Kind: stove.Weigh, Move: m.ID, Text: stove.PotAfter})
			tell(stove.Event{At: x.Done, Kind: stove.Weighed, Of: int64(len(events)), Amount: e.Weighed.After})
			break
		}
	}
	for _, words := range e.Words {
		tell(stove.Event{Kind: stove.Word, Text: words})
	}
	if e.Watched != "" {
		tell(stove.Event{Kind: stove.Watch, Text: e.Watched})
	}
	if e.Ended {
		tell(stove.Event{At: lastOf(events), Kind: stove.End})
	}
	if _, err := k.BeginCooking(ctx, p, events); err != nil {
		return fmt.Errorf("lay out %s: %w", e.Name, err)
	}
	if e.Scene == "" {
		return nil
	}
	return k.PlayScene(e.Scene)
}

// longestEvening is when any evening of the club is over.
const longestEvening = 24 * time.Hour

func lastOf(events []stove.Event) int64 {
	last := int64(0)
	for _, e := range events {
		last = max(last, e.At)
	}
	return last
}
