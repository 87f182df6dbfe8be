package server

import (
	"context"
	"crypto/sha256"
	"encoding/json"
	"errors"
	"fmt"
	"maps"
	"slices"
	"sync"
	"time"

	"golang.org/x/sync/singleflight"

	"yembra/core/day"
	"yembra/core/larder"
	"yembra/core/market"
	"yembra/core/method"
	"yembra/core/recipe"
	"yembra/core/sizing"
	"yembra/core/swap"
	"yembra/store"
)

// viewDay computes a day.
func (k *Kitchen) viewDay(ctx context.Context, e store.Entry) (DayView, error) {
	v, _, err := k.computeDay(ctx, e)
	return v, err
}

// coursesOf works out the tasks of a day's dishes and what they need, and notes in the view
// which of them are not there or cannot be worked out.
func (k *Kitchen) coursesOf(ctx context.Context, v *DayView) ([]day.Course, []market.Dish, error) {
	var courses []day.Course
	var dishes []market.Dish
	for _, x := range v.Document.Dishes {
		d, err := k.open(ctx, x.ID)
		if errors.Is(err, store.ErrNotFound) {
			v.Missing = append(v.Missing, "A dish of this day is no longer here.")
			continue
		}
		if errors.Is(err, store.ErrDamaged) {
			v.Missing = append(v.Missing, larder.Capital(err.Error())+".")
			continue
		}
		if err != nil {
			return nil, nil, err
		}
		v.Names[x.ID] = d.Document.Name
		var course day.Course
		var chosen []swap.Chosen
		var cannot error
		fault := guarded(x.ID, "tasks of "+d.Document.Name, func() error {
			course, chosen, cannot = k.courseOf(d, x.Servings)
			return nil
		})
		if fault != nil {
			v.Missing = append(v.Missing, fault.Text)
			continue
		}
		if cannot != nil {
			v.Missing = append(v.Missing, fmt.Sprintf("%s: %v.", d.Document.Name, cannot))
			continue
		}
		courses = append(courses, course)
		dishes = append(dishes, market.Dish{Name: course.Name, Parts: course.Parts, Chosen: chosen})
	}
	return courses, dishes, nil
}

// computeDay computes a day with the courses that it is made of.
func (k *Kitchen) computeDay(ctx context.Context, e store.Entry) (DayView, []day.Course, error) {
	v := DayView{ID: e.Key, Version: e.Version, Names: map[string]string{}, Missing: []string{}}
	if err := json.Unmarshal(e.Body, &v.Document); err != nil {
		return v, nil, fmt.Errorf("decode day %s: %w", e.Key, err)
	}
	courses, dishes, err := k.coursesOf(ctx, &v)
	if err != nil {
		return v, nil, err
	}
	l := k.Core().Larder
	jobs := day.Jobs(l, courses, v.Document.Kitchen)
	begun, aside := v.Document.settle(jobs)
	v.Aside = aside
	for i := range jobs {
		if at, ok := v.Document.Pins[jobs[i].ID]; ok {
			jobs[i].StartAt = &at
		}
	}
	var unplanned problem
	v.Plan, v.Options, err = k.planned(ctx, v.Document, begun, jobs)
	if errors.As(err, &unplanned) {
		// What was said of the day cannot all be so; it is shown all the same.
		v.Plan = day.Plan{Tasks: []day.Placed{}, Conflicts: []day.Conflict{{Tasks: []string{}, Text: unplanned.said()}}}
		v.Options, err = []day.Option{}, nil
	}
	if err != nil {
		return v, nil, err
	}
	v.Jobs = day.Order(day.SayHot(jobs, v.Plan), v.Plan)
	if v.Jobs == nil {
		v.Jobs = []day.Job{}
	}
	v.Shopping = market.Of(l, dishes, v.Document.Have)
	return v, courses, nil
}

// courseOf sets an adapted dish out in parts, for so many.
func (k *Kitchen) courseOf(d store.Dish, servings float64) (day.Course, []swap.Chosen, error) {
	factor := 1.0
	if s := d.Document.Original.Serves; s != nil && s.Mid() > 0 {
		factor = servings / s.Mid()
	}
	return k.courseTimes(d, factor)
}

// courseTimes sets an adapted dish out in parts, so many times its recipe.
func (k *Kitchen) courseTimes(d store.Dish, factor float64) (day.Course, []swap.Chosen, error) {
	a, err := k.Core().Carrier.Adapt(d.Document.Original, d.Document.Placed(), false)
	if err != nil {
		return day.Course{}, nil, err
	}
	c := day.Course{ID: d.ID, Name: d.Document.Name, Parts: method.Parts(k.Core().Larder, a), Factor: factor}
	for i := range c.Parts {
		part := &c.Parts[i]
		one := recipe.Dish{Components: []recipe.Component{{}}}
		for _, l := range part.Lines {
			one.Components[0].Lines = append(one.Components[0].Lines, l.Line)
		}
		for _, s := range part.Steps {
			one.Components[0].Steps = append(one.Components[0].Steps, s.Step)
		}
		sized, err := sizing.Scale(k.Core().Larder, one, c.Factor)
		if err != nil {
			return c, nil, err
		}
		for j := range part.Lines {
			part.Lines[j].Line = sized.Components[0].Lines[j]
		}
		for j := range part.Steps {
			part.Steps[j].Text = sized.Components[0].Steps[j].Text
		}
	}
	return c, a.Swaps, nil
}

// planCache keeps the last plans, which take up to a second to find; equal ones
// that are asked for at once are found once.
type planCache struct {
	sync.Mutex
	made   map[[32]byte]plannedDay
	order  [][32]byte
	flight singleflight.Group
}

type plannedDay struct {
	plan    day.Plan
	options []day.Option
}

const mostPlans = 64

// planned plans a day's jobs, or finds the plan made before.
func (k *Kitchen) planned(ctx context.Context, d DayDocument, begun []day.Progress, jobs []day.Job) (day.Plan, []day.Option, error) {
	r := day.RequestFor(d.ServeAt, d.Kitchen, jobs)
	key, err := json.Marshal([]any{r, begun, d.Now})
	if err != nil {
		return day.Plan{}, nil, fmt.Errorf("name the plan: %w", err)
	}
	sum := sha256.Sum256(key)
	k.plans.Lock()
	found, ok := k.plans.made[sum]
	k.plans.Unlock()
	if ok {
		return found.plan, found.options, nil
	}
	got, err, _ := k.plans.flight.Do(string(sum[:]), func() (any, error) { return planDay(ctx, r, d.Now, begun, jobs) })
	if err != nil {
		return day.Plan{}, nil, err
	}
	made := got.(plannedDay)
	k.plans.keep(sum, made)
	return made.plan, made.options, nil
}

// planDay plans a day that nobody has planned yet, from the moment on at which
// something of it was said to have begun.
func planDay(ctx context.Context, r day.Request, now string, begun []day.Progress, jobs []day.Job) (plannedDay, error) {
	if len(begun) == 0 {
		p, err := Plan(ctx, r)
		return plannedDay{p, []day.Option{}}, err
	}
	groups := map[string][]string{}
	for _, j := range jobs {
		if j.Course != "" {
			groups[j.Course] = append(groups[j.Course], j.ID)
		}
	}
	ctx, done := context.WithTimeout(ctx, planWithin)
	defer done()
	p, options, err := day.Replan(ctx, r, now, begun, groups)
	return plannedDay{p, options}, asProblem(err)
}

// keep remembers a plan, and forgets the oldest where there are many.
func (c *planCache) keep(sum [32]byte, made plannedDay) {
	c.Lock()
	defer c.Unlock()
	if c.made == nil {
		c.made = map[[32]byte]plannedDay{}
	}
	if _, known := c.made[sum]; known {
		return
	}
	c.made[sum] = made
	if c.order = append(c.order, sum); len(c.order) > mostPlans {
		delete(c.made, c.order[0])
		c.order = slices.Delete(c.order, 0, 1)
	}
}

// mostDaysOff is how far from the time of serving what was said of a day can
// have been.
const mostDaysOff = 30

// settle fits what was said of a day's tasks to the tasks there are now: a task
// that was called after the place of its step is found by its new name. What
// was said of tasks that are gone is put aside; it stays in the document.
func (d *DayDocument) settle(jobs []day.Job) (begun, aside []day.Progress) {
	now, was := map[string]string{}, map[string]string{}
	for _, j := range jobs {
		now[j.ID] = j.Name
		if j.Was != "" {
			was[j.Was] = j.ID
		}
	}
	found := func(id string) string {
		if now[id] == "" && was[id] != "" {
			return was[id]
		}
		return id
	}
	pins := map[string]string{}
	for _, id := range slices.Sorted(maps.Keys(d.Pins)) {
		pins[found(id)] = d.Pins[id]
	}
	d.Pins = pins
	serve, _ := time.Parse(time.RFC3339, d.ServeAt)
	said := map[string]bool{}
	aside = []day.Progress{}
	progress := []day.Progress{}
	for _, p := range d.Progress {
		if p.ID = found(p.ID); said[p.ID] {
			continue // the newer word counts
		}
		said[p.ID] = true
		start, err := time.Parse(time.RFC3339, p.Start)
		gone := now[p.ID] == "" || err != nil || start.Sub(serve).Abs() > mostDaysOff*24*time.Hour
		if gone {
			aside = append(aside, p)
		} else {
			p.Name = now[p.ID]
			begun = append(begun, p)
		}
		progress = append(progress, p)
	}
	d.Progress = progress
	return begun, aside
}
