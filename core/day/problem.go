package day

import (
	"fmt"
	"maps"
	"math"
	"slices"
	"strconv"
	"strings"
	"time"
)

// problem is a request made ready for search: whole ticks counted backwards
// from serving, so that a task's start here is its end on the clock.
type problem struct {
	request Request
	serveAt time.Time
	tick    int // seconds
	jobs    []job
	links   []link
	in, out [][]int // links by the job they lead to and come from
	pools   []pool
	ovens   []int // shelves of each
	baked   []int // jobs that take an oven
	open    hours
	horizon int
	// lag is the least time between any two starts that the gaps ask for, dead
	// that they contradict each other.
	lag  []int
	dead bool
	work *effort
}

// job is a task in ticks. Its start lies between release and deadline.
type job struct {
	length            int
	needs             []need
	handsOn           bool
	heat, shelves     int // thousandths of a degree; no shelves: no oven
	release, deadline int
	pinned            bool
	last              bool // nothing comes after it on the clock: finished food
}

type need struct{ pool, amount int }

type pool struct {
	name     string
	capacity int
}

// The pools every kitchen has; kit follows them.
const (
	cooksPool = iota
	ringsPool
	firstKit
)

// link ties the start of one job to the end of another: at least min and at
// most max ticks later, unbounded when max is negative.
type link struct{ from, to, min, max int }

const heatTolerance = OvenTolerance * 1000

const never = math.MaxInt / 4

// compile checks a request and turns it around.
func compile(r Request, work *effort) (*problem, error) {
	var faults Invalid
	wrong := func(field, format string, a ...any) {
		faults = append(faults, Fault{field, fmt.Sprintf(format, a...)})
	}
	serve, err := time.Parse(time.RFC3339, r.ServeAt)
	if err != nil {
		wrong("serveAt", "must be a time such as 2026-12-05T19:30:00Z")
	}
	awake := checkKitchen(r.Kitchen, wrong)
	index := checkTasks(r, wrong)
	if len(faults) > 0 {
		return nil, faults
	}
	if loop := cycle(r.Tasks, index); loop != nil {
		names := make([]string, len(loop))
		for i, t := range loop {
			names[i] = r.Tasks[t].ID
		}
		wrong(fmt.Sprintf("tasks[%d].after", loop[0]), "goes round in a circle: %s", strings.Join(names, ", "))
		return nil, faults
	}
	p := &problem{request: r, serveAt: serve, work: work}
	p.fill(index, awake)
	p.lags()
	return p, nil
}

type complain func(field, format string, a ...any)

// window is a stretch of time, ends included as points.
type window struct{ from, to int }

// checkKitchen finds what is wrong with a kitchen and reads its hours, in
// minutes of the day; nil when they are not bounded.
func checkKitchen(k Kitchen, wrong complain) *window {
	within := func(field string, n, least int) {
		if n < least || n > mostOfKind {
			wrong(field, "must be from %d to %d", least, mostOfKind)
		}
	}
	within("kitchen.cooks", k.Cooks, 0)
	within("kitchen.rings", k.Rings, 0)
	for i, o := range k.Ovens {
		within(fmt.Sprintf("kitchen.ovens[%d].shelves", i), o.Shelves, 1)
	}
	if len(k.Ovens) > mostOfKind {
		wrong("kitchen.ovens", "are more than %d", mostOfKind)
	}
	for _, name := range slices.Sorted(maps.Keys(k.Kit)) {
		within("kitchen.kit."+name, k.Kit[name], 0)
	}
	if k.Awake == nil {
		return nil
	}
	from, okFrom := minuteOfDay(k.Awake.From)
	to, okTo := minuteOfDay(k.Awake.To)
	if !okFrom || from == 24*60 {
		wrong("kitchen.awake.from", "must be a time of day such as 07:00")
	}
	if !okTo {
		wrong("kitchen.awake.to", "must be a time of day such as 23:00")
	}
	if okFrom && okTo && from == to {
		wrong("kitchen.awake.to", "must differ from the time of waking")
	}
	if to < from {
		to += 24 * 60
	}
	return &window{from, to}
}

// minuteOfDay reads "HH:MM", up to 24:00.
func minuteOfDay(s string) (int, bool) {
	h, m, ok := strings.Cut(s, ":")
	hours, errH := strconv.Atoi(h)
	minutes, errM := strconv.Atoi(m)
	at := hours*60 + minutes
	return at, ok && errH == nil && errM == nil && len(h) == 2 && len(m) == 2 && minutes >= 0 && minutes < 60 && at >= 0 && at <= 24*60
}

// checkTasks finds what is wrong with the tasks and indexes them by id.
func checkTasks(r Request, wrong complain) map[string]int {
	index := map[string]int{}
	if len(r.Tasks) > MostTasks {
		wrong("tasks", "are %d; a day holds %d at most", len(r.Tasks), MostTasks)
		return index
	}
	for i, t := range r.Tasks {
		at := fmt.Sprintf("tasks[%d]", i)
		if _, twice := index[t.ID]; twice {
			wrong(at+".id", "%q stands twice", t.ID)
		}
		if t.ID == "" {
			wrong(at+".id", "is required")
		}
		index[t.ID] = i
	}
	length := func(field string, m float64) {
		if m < 0 {
			wrong(field, "must be at least 0")
		} else if m > mostMinutes || math.IsNaN(m) {
			wrong(field, "must be at most %d", mostMinutes)
		}
	}
	for i, t := range r.Tasks {
		at := fmt.Sprintf("tasks[%d]", i)
		length(at+".minutes", t.Minutes)
		if t.Hands < 0 || t.Hands > 1 {
			wrong(at+".hands", "must be 0 or 1")
		}
		if t.Rings < 0 || t.Rings > mostOfKind {
			wrong(at+".rings", "must be from 0 to %d", mostOfKind)
		}
		if t.Oven != nil && (t.Oven.Shelves < 1 || t.Oven.Shelves > mostOfKind) {
			wrong(at+".oven.shelves", "must be from 1 to %d", mostOfKind)
		}
		if t.Oven != nil && (t.Oven.Celsius < 0 || t.Oven.Celsius > 1000) {
			wrong(at+".oven.celsius", "must be from 0 to 1000")
		}
		if t.ServeWithin != nil {
			length(at+".serveWithin", *t.ServeWithin)
		}
		if t.StartAt != nil {
			if _, err := time.Parse(time.RFC3339, *t.StartAt); err != nil {
				wrong(at+".startAt", "must be a time such as 2026-12-05T19:30:00Z")
			}
		}
		for j, a := range t.After {
			field := fmt.Sprintf("%s.after[%d]", at, j)
			if _, ok := index[a.ID]; !ok {
				wrong(field+".id", "%q is no task", a.ID)
			}
			length(field+".minGap", a.MinGap)
			if a.MaxGap != nil {
				length(field+".maxGap", *a.MaxGap)
				if *a.MaxGap < a.MinGap {
					wrong(field+".maxGap", "must be at least minGap")
				}
			}
		}
	}
	return index
}

// cycle returns tasks that come after each other in a circle; nil when none do.
func cycle(tasks []Task, index map[string]int) []int {
	const (
		fresh = iota
		open
		done
	)
	state := make([]int, len(tasks))
	var path, found []int
	var visit func(i int) bool
	visit = func(i int) bool {
		state[i] = open
		path = append(path, i)
		for _, a := range tasks[i].After {
			j := index[a.ID]
			if state[j] == open {
				found = slices.Clone(path[slices.Index(path, j):])
				return true
			}
			if state[j] == fresh && visit(j) {
				return true
			}
		}
		path = path[:len(path)-1]
		state[i] = done
		return false
	}
	for i := range tasks {
		if state[i] == fresh && visit(i) {
			return found
		}
	}
	return nil
}

// seconds of minutes, to the whole second.
func seconds(minutes float64) int { return int(math.Round(minutes * 60)) }

// fill turns the checked request into ticks.
func (p *problem) fill(index map[string]int, awake *window) {
	r := p.request
	pins := make([]int, len(r.Tasks)) // end of a pinned task, seconds before serving
	tick := 0
	measure := func(s int) { tick = gcd(tick, s) }
	for i, t := range r.Tasks {
		measure(seconds(t.Minutes))
		if t.ServeWithin != nil {
			measure(seconds(*t.ServeWithin))
		}
		if t.StartAt != nil {
			at, _ := time.Parse(time.RFC3339, *t.StartAt)
			pins[i] = int(p.serveAt.Sub(at)/time.Second) - seconds(t.Minutes)
			measure(pins[i])
		}
		for _, a := range t.After {
			measure(seconds(a.MinGap))
			if a.MaxGap != nil {
				measure(seconds(*a.MaxGap))
			}
		}
	}
	ofDay := (p.serveAt.Hour()*60+p.serveAt.Minute())*60 + p.serveAt.Second()
	if awake != nil {
		measure(ofDay - awake.from*60)
		measure(ofDay - awake.to*60)
		measure(24 * 60 * 60)
	}
	p.tick = max(tick, 1)
	ticks := func(minutes float64) int { return seconds(minutes) / p.tick }

	p.pools = []pool{{"cooks", r.Kitchen.Cooks}, {"rings", r.Kitchen.Rings}}
	kit := map[string]int{}
	for _, t := range r.Tasks {
		for _, name := range t.Kit {
			if _, ok := kit[name]; !ok {
				kit[name] = len(p.pools)
				p.pools = append(p.pools, pool{name, r.Kitchen.Kit[name]})
			}
		}
	}
	for _, o := range r.Kitchen.Ovens {
		p.ovens = append(p.ovens, o.Shelves)
	}
	p.jobs = make([]job, len(r.Tasks))
	p.in, p.out = make([][]int, len(r.Tasks)), make([][]int, len(r.Tasks))
	span, handsOn := 0, 0
	for i, t := range r.Tasks {
		j := job{length: ticks(t.Minutes), handsOn: t.Hands > 0 && !t.begun, last: true, deadline: never}
		p.horizon = max(p.horizon, pins[i]/p.tick+j.length)
		span += j.length
		add := func(pool, amount int) {
			for k := range j.needs {
				if j.needs[k].pool == pool {
					j.needs[k].amount += amount
					return
				}
			}
			j.needs = append(j.needs, need{pool, amount})
		}
		if j.handsOn {
			handsOn++
		}
		if t.Hands > 0 {
			add(cooksPool, t.Hands)
		}
		if t.Rings > 0 {
			add(ringsPool, t.Rings)
		}
		for _, name := range t.Kit {
			add(kit[name], 1)
		}
		if t.Oven != nil {
			j.heat, j.shelves = int(math.Round(t.Oven.Celsius*1000)), t.Oven.Shelves
			p.baked = append(p.baked, i)
		}
		if t.ServeWithin != nil {
			j.deadline = ticks(*t.ServeWithin)
		}
		if t.StartAt != nil {
			j.pinned = true
			j.release = max(j.release, pins[i]/p.tick)
			j.deadline = min(j.deadline, pins[i]/p.tick)
		}
		if t.notBefore != nil {
			j.deadline = min(j.deadline, int(p.serveAt.Sub(*t.notBefore)/time.Second)/p.tick-j.length)
		}
		p.jobs[i] = j
	}
	for i, t := range r.Tasks {
		for _, a := range t.After {
			l := link{from: i, to: index[a.ID], min: ticks(a.MinGap), max: -1}
			if a.MaxGap != nil {
				l.max = ticks(*a.MaxGap)
			}
			p.out[l.from] = append(p.out[l.from], len(p.links))
			p.in[l.to] = append(p.in[l.to], len(p.links))
			p.links = append(p.links, l)
			p.jobs[l.to].last = false
			span += l.min
		}
	}
	p.horizon += span
	if awake != nil {
		day := 24 * 60 * 60 / p.tick
		p.horizon += (handsOn + 2) * day
		p.open = openHours(ofDay, *awake, p.tick, p.horizon)
	}
	for i := range p.jobs {
		p.jobs[i].deadline = min(p.jobs[i].deadline, p.horizon-p.jobs[i].length)
	}
}

func gcd(a, b int) int {
	for b != 0 {
		a, b = b, a%b
	}
	if a < 0 {
		return -a
	}
	return a
}
