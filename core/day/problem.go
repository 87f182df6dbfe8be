package day

import (
	"fmt"
	"math"
	"strings"
	"time"

	"yembra/core/texts"
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
	wrong := func(field, key string, a ...any) {
		faults = append(faults, Fault{field, texts.Say(key, a...)})
	}
	serve, err := time.Parse(time.RFC3339, r.ServeAt)
	if err != nil {
		wrong("serveAt", "day.mustBeAMoment", "2026-12-05T19:30:00Z")
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
		wrong(fmt.Sprintf("tasks[%d].after", loop[0]), "day.goesRoundInACircle", strings.Join(names, ", "))
		return nil, faults
	}
	p := &problem{request: r, serveAt: serve, work: work}
	p.fill(index, awake)
	p.lags()
	return p, nil
}

// window is a stretch of time, ends included as points.
type window struct{ from, to int }

// seconds of minutes, to the whole second.
func seconds(minutes float64) int { return int(math.Round(minutes * 60)) }

// fill turns the checked request into ticks.
func (p *problem) fill(index map[string]int, awake *window) {
	r := p.request
	ofDay := (p.serveAt.Hour()*60+p.serveAt.Minute())*60 + p.serveAt.Second()
	pins := p.measure(ofDay, awake)
	kit := p.fillPools()
	p.jobs = make([]job, len(r.Tasks))
	p.in, p.out = make([][]int, len(r.Tasks)), make([][]int, len(r.Tasks))
	span, handsOn := 0, 0
	for i := range r.Tasks {
		j := p.jobOf(i, kit, pins[i])
		p.horizon = max(p.horizon, pins[i]/p.tick+j.length)
		span += j.length
		if j.handsOn {
			handsOn++
		}
		p.jobs[i] = j
	}
	p.horizon += span + p.fillLinks(index)
	if awake != nil {
		day := 24 * 60 * 60 / p.tick
		p.horizon += (handsOn + 2) * day
		p.open = openHours(ofDay, *awake, p.tick, p.horizon)
	}
	for i := range p.jobs {
		p.jobs[i].deadline = min(p.jobs[i].deadline, p.horizon-p.jobs[i].length)
	}
}

// measure finds the longest tick of which all times are whole numbers, and the ends of
// pinned tasks in seconds before serving.
func (p *problem) measure(ofDay int, awake *window) (pins []int) {
	r := p.request
	pins = make([]int, len(r.Tasks))
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
	if awake != nil {
		measure(ofDay - awake.from*60)
		measure(ofDay - awake.to*60)
		measure(24 * 60 * 60)
	}
	p.tick = max(tick, 1)
	return pins
}

// ticks turns minutes into ticks.
func (p *problem) ticks(minutes float64) int { return seconds(minutes) / p.tick }

// fillPools sets out what tasks share, and tells where each piece of kit stands among it.
func (p *problem) fillPools() map[string]int {
	r := p.request
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
	return kit
}

// jobOf is a task in ticks, with what it takes up.
func (p *problem) jobOf(i int, kit map[string]int, pin int) job {
	t := &p.request.Tasks[i]
	j := job{length: p.ticks(t.Minutes), handsOn: t.Hands > 0 && !t.begun, last: true, deadline: never}
	add := func(pool, amount int) {
		for k := range j.needs {
			if j.needs[k].pool == pool {
				j.needs[k].amount += amount
				return
			}
		}
		j.needs = append(j.needs, need{pool, amount})
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
		j.deadline = p.ticks(*t.ServeWithin)
	}
	if t.StartAt != nil {
		j.pinned = true
		j.release = max(j.release, pin/p.tick)
		j.deadline = min(j.deadline, pin/p.tick)
	}
	if t.notBefore != nil {
		j.deadline = min(j.deadline, int(p.serveAt.Sub(*t.notBefore)/time.Second)/p.tick-j.length)
	}
	return j
}

// fillLinks ties tasks that come after others, and sums the least gaps between them.
func (p *problem) fillLinks(index map[string]int) (span int) {
	for i, t := range p.request.Tasks {
		for _, a := range t.After {
			l := link{from: i, to: index[a.ID], min: p.ticks(a.MinGap), max: -1}
			if a.MaxGap != nil {
				l.max = p.ticks(*a.MaxGap)
			}
			p.out[l.from] = append(p.out[l.from], len(p.links))
			p.in[l.to] = append(p.in[l.to], len(p.links))
			p.links = append(p.links, l)
			p.jobs[l.to].last = false
			span += l.min
		}
	}
	return span
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
