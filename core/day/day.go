// Package day plans a cook: it lays tasks out backwards from the time of
// serving against hands, rings, ovens, kit and nights of sleep.
//
// The problem is resource-constrained scheduling with minimum and maximum time
// lags, an NP-hard one (Neumann, Schwindt, Zimmermann: Project Scheduling with
// Time Windows and Scarce Resources). Up to ExactUpTo tasks it is solved by
// branch and bound; larger ones by serial schedule generation with local
// search, and every answer carries a proven lower bound of its span.
//
// Inside, time runs backwards in ticks from serving, so that "as late as the
// kitchen allows" becomes "as early as possible" of the textbooks.
package day

import (
	"context"
	"slices"
	"strings"
	"time"

	"yembra/core/texts"
)

// ExactUpTo is the number of tasks up to which a plan is searched exhaustively.
const ExactUpTo = 12

// Limits on what is planned, far above any day in a kitchen.
const (
	MostTasks   = 300
	mostCelsius = 1000
	mostMinutes = 60 * 24 * 60 // sixty days, for one task or gap
	mostOfKind  = 1000         // cooks, rings, shelves, pieces of one kit
)

// OvenTolerance is how far apart, in Celsius, two heats may be and still share
// one oven.
const OvenTolerance = 10

// Request asks for a plan. Minutes may have fractions; times are RFC 3339.
type Request struct {
	ServeAt string  `json:"serveAt"`
	Kitchen Kitchen `json:"kitchen"`
	Tasks   []Task  `json:"tasks"`
}

// Kitchen is what there is to cook with.
type Kitchen struct {
	Cooks int            `json:"cooks"`
	Rings int            `json:"rings"`
	Ovens []Oven         `json:"ovens"`
	Kit   map[string]int `json:"kit"`
	// Awake bounds the hours of work by hand, in the zone of serving; a To at
	// or before From is on the next day.
	Awake *Awake `json:"awake" jsonschema:"nullable"`
}

// Oven has room for so many shelves at one heat.
type Oven struct {
	Shelves int `json:"shelves"`
}

// Awake is a span of the day as "HH:MM".
type Awake struct {
	From string `json:"from"`
	To   string `json:"to"`
}

// Task is one thing to do without a break.
type Task struct {
	ID      string   `json:"id"`
	Minutes float64  `json:"minutes"`
	Hands   int      `json:"hands"`
	Rings   int      `json:"rings"`
	Oven    *OvenUse `json:"oven" jsonschema:"nullable"`
	Kit     []string `json:"kit"`
	After   []After  `json:"after"`
	// ServeWithin bounds the minutes from the end to serving.
	ServeWithin *float64 `json:"serveWithin" jsonschema:"nullable"`
	// StartAt pins the start.
	StartAt *string `json:"startAt" jsonschema:"nullable"`
	// begun tells that it is under way, whatever the hour.
	begun bool
	// notBefore keeps a task from starting earlier, when a day is replanned.
	notBefore *time.Time
}

// OvenUse is the heat and the shelves a task takes.
type OvenUse struct {
	Celsius float64 `json:"celsius"`
	Shelves int     `json:"shelves"`
}

// After ties a task to the end of another: it starts at least MinGap and at
// most MaxGap minutes later.
type After struct {
	ID     string   `json:"id"`
	MinGap float64  `json:"minGap"`
	MaxGap *float64 `json:"maxGap" jsonschema:"nullable"`
}

// Plan answers a request. Without a feasible plan Tasks is empty and Conflicts
// says why.
type Plan struct {
	Feasible bool     `json:"feasible"`
	Tasks    []Placed `json:"tasks"`
	// StartAt is the first start; null without a plan.
	StartAt *string `json:"startAt" jsonschema:"nullable"`
	// SpanMinutes run from the first start to serving.
	SpanMinutes float64 `json:"spanMinutes"`
	// BoundMinutes is proven: no plan has a shorter span.
	BoundMinutes float64 `json:"boundMinutes"`
	// Optimal says that the span is proven shortest.
	Optimal   bool       `json:"optimal"`
	Conflicts []Conflict `json:"conflicts"`
}

// Placed is a task with its time and what it occupies.
type Placed struct {
	ID    string `json:"id"`
	Start string `json:"start"`
	End   string `json:"end"`
	Cook  *int   `json:"cook" jsonschema:"nullable"`
	Rings []int  `json:"rings"`
	Oven  *int   `json:"oven" jsonschema:"nullable"`
}

// Conflict names demands that cannot all be met.
type Conflict struct {
	Tasks []string `json:"tasks"`
	Text  string   `json:"text"`
}

// Fault is one thing wrong with a request: the field and what is wrong.
type Fault struct {
	Field  string
	Detail string
}

// Invalid is a request that cannot be planned because it says something
// impossible; every fault is listed.
type Invalid []Fault

func (i Invalid) Error() string {
	parts := make([]string, len(i))
	for k, f := range i {
		parts[k] = f.Field + " " + f.Detail
	}
	return texts.Say("day.theDayCannotBePlanned", strings.Join(parts, "; "))
}

// Make plans the day. The same request always gives the same plan. It fails
// with Invalid when the request makes no sense; a sound request without a plan
// is answered with its conflicts.
func Make(ctx context.Context, r Request) (Plan, error) { return plan(r, newEffort(ctx)) }

func plan(r Request, work *effort) (Plan, error) {
	p, err := compile(r, work.part(partOfPlan))
	if err != nil {
		return Plan{}, err
	}
	if conflicts := p.hopeless(); len(conflicts) > 0 {
		return Plan{Tasks: []Placed{}, Conflicts: conflicts}, nil
	}
	found := p.solve()
	if found.best == nil {
		return Plan{Tasks: []Placed{}, Conflicts: p.explain(found.proven, work), BoundMinutes: 0}, nil
	}
	return p.plan(found), nil
}

// solution is what a search found: the best schedule (nil when none), the
// proven bound of its span, and whether the search was exhausted.
type solution struct {
	best   *schedule
	bound  int
	proven bool
}

// solve runs the searches: local search for a good schedule, then branch and
// bound to better it or to prove that nothing is better.
func (p *problem) solve() solution {
	g := newGenerator(p)
	small := len(p.jobs) <= ExactUpTo
	budget := placements * fullWorkUpTo / max(fullWorkUpTo, len(p.jobs)) // a placement takes longer among many
	if small {
		budget = placementsSmall
	}
	best := g.search(budget)
	upper := p.horizon
	if best != nil {
		upper = best.span
	}
	bound, possible := p.lowerBound(upper)
	if !possible && best == nil {
		return solution{proven: true}
	}
	if best != nil && bound >= best.span && !small {
		return solution{best: best, bound: best.span, proven: true}
	}
	if !small && best != nil {
		better, least := p.close(best, bound, largeNodes(len(p.jobs)))
		return solution{best: better, bound: least, proven: least >= better.span}
	}
	nodes := exactNodes
	if !small {
		nodes = largeNodes(len(p.jobs))
	}
	e := exact{p: p, best: best, nodes: nodes}
	proven := e.run(bound)
	if e.best != nil && proven {
		bound = e.best.span
	}
	if small && e.best != nil {
		e.lessWaiting()
	}
	return solution{best: e.best, bound: bound, proven: proven}
}

// plan turns a schedule back into times of the clock and hands out cooks,
// rings and ovens.
func (p *problem) plan(s solution) Plan {
	n := len(p.jobs)
	out := Plan{Feasible: true, Tasks: make([]Placed, n), Conflicts: []Conflict{},
		SpanMinutes: p.minutes(s.best.span), BoundMinutes: p.minutes(s.bound), Optimal: s.bound >= s.best.span}
	start := p.clock(s.best.span)
	out.StartAt = &start
	order := make([]int, n)
	for i := range order {
		order[i] = i
	}
	end := func(i int) int { return s.best.start[i] + p.jobs[i].length }
	// Backwards time: the task that ends last there starts first on the clock.
	slices.SortStableFunc(order, func(a, b int) int { return end(b) - end(a) })
	cooks, rings := make([]int, p.request.Kitchen.Cooks), make([]int, p.request.Kitchen.Rings)
	for _, pool := range [][]int{cooks, rings} {
		for k := range pool {
			pool[k] = p.horizon + 1
		}
	}
	for _, i := range order {
		t := p.request.Tasks[i]
		placed := Placed{ID: t.ID, Start: p.clock(end(i)), End: p.clock(s.best.start[i]), Rings: []int{}}
		if t.Hands > 0 {
			c := take(cooks, 1, end(i), s.best.start[i])[0]
			placed.Cook = &c
		}
		if t.Rings > 0 {
			placed.Rings = take(rings, t.Rings, end(i), s.best.start[i])
		}
		if t.Oven != nil {
			o := s.best.oven[i]
			placed.Oven = &o
		}
		out.Tasks[i] = placed
	}
	return out
}

// take gives out count units that are free when a task begins at from, in
// backwards time, and keeps them until to. A task without length takes units
// for no time, so that the first will do.
func take(free []int, count, from, to int) []int {
	var got []int
	for k := range free {
		if len(got) < count && (from == to || free[k] >= from) {
			got = append(got, k)
			if from != to {
				free[k] = to
			}
		}
	}
	return got
}

func (p *problem) minutes(ticks int) float64 { return float64(ticks*p.tick) / 60 }

func (p *problem) clock(ticks int) string {
	return p.serveAt.Add(-time.Duration(ticks*p.tick) * time.Second).Format(time.RFC3339)
}
