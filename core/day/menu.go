package day

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/swap"
)

// Course is an adapted dish of a menu, set out in parts, with its lines at the
// size of the table. Factor is how many times the recipe that is.
type Course struct {
	ID, Name string
	Parts    []swap.Component
	Factor   float64
}

// Job is a task with what a cook wants to read of it.
type Job struct {
	Task
	// Course is the dish, empty for work that several share; For names them.
	Course string   `json:"course"`
	For    []string `json:"for"`
	// Part is the component, Name a few words, Text the step in full.
	Part string `json:"part"`
	Name string `json:"name"`
	Text string `json:"text"`
	Cue  string `json:"cue"`
	// Kind is one of Work, Cook, Wait, Mise, Heat.
	Kind string `json:"kind"`
	// Said is what the step says of this job alone; Takes are the lines that go in.
	// Readies are those that are cut or soaked for later.
	Said    string `json:"said"`
	Takes   []Take `json:"takes"`
	Readies []Take `json:"readies"`
	// Rate is the water in grams that leaves an open pot of the reference size in a
	// minute, Loss the kind of loss that can be weighed here, Bands what a probe
	// watches.
	// Share is the part of its weight that is foreseen to go.
	Rate  float64  `json:"rate"`
	Share float64  `json:"share"`
	Loss  string   `json:"loss"`
	Bands []string `json:"bands"`
	// Care is what can hurt here.
	Care []string `json:"care"`
	// boils tells that it needs a pot of water at the boil.
	boils bool
	// Was is what it was called when jobs were named by the places of their
	// steps; it finds what was said of a job then.
	Was string `json:"-"`
}

// Take is a share of a line that goes in: the dish by its id, the part and the
// line by their numbers.
type Take struct {
	Dish  string  `json:"dish"`
	Part  int     `json:"part"`
	Line  int     `json:"line"`
	Share float64 `json:"share"`
}

// The kinds of job.
const (
	Work = "work" // hands are busy
	Cook = "cook" // on a ring or in an oven, by itself
	Wait = "wait" // stands by itself
	Mise = "mise" // cut beforehand, for all dishes at once
	Heat = "heat" // an oven, or a pot of water
)

// How long things take and wait; estimates.
const (
	preheatMinutes  = 15.0
	waterMinutes    = 12.0
	washMinutes     = 4.0
	usualOven       = 180.0
	pauseGap        = 15.0   // something cooked waits for its own step to go on
	hotGap          = 60.0   // a hot component waits for the next step
	preparedGap     = 1440.0 // something soaked, pressed, cut waits in the cold
	servedCrisp     = 10.0
	servedBaked     = 30.0
	servedStewed    = 60.0
	servedCold      = 1440.0
	cutPer          = 250.0 // grams that the usual minutes of cutting stand for
	batchPower      = 0.7   // hands' minutes grow with the size by this power
	mostMise        = 40.0
	sharedCutLeast  = 2.0 // minutes
	firstBakeWithin = 5.0
)

// Jobs turns the courses of a menu into the tasks of its day: steps become
// work and waiting, lines that are cut become work done once for all dishes,
// ovens are heated, one pot of water is brought to the boil, and a blender used
// twice is washed.
func Jobs(l *larder.Larder, courses []Course, k Kitchen) []Job {
	m := menu{larder: l, reader: flow.NewReader(l), kitchen: k, courses: courses, cut: map[string][]string{}, was: map[string]string{}}
	m.mise()
	m.soaks()
	for i := range courses {
		m.course(i)
	}
	for i := range m.jobs {
		j := &m.jobs[i]
		for name, was := range m.was {
			if rest, ok := strings.CutPrefix(j.ID, name+"."); ok {
				j.Was = was + "." + rest
			}
		}
	}
	m.merge()
	m.water()
	m.wash()
	for i := range m.jobs {
		j := &m.jobs[i]
		if j.Takes == nil {
			j.Takes = []Take{}
		}
		if j.Readies == nil {
			j.Readies = []Take{}
		}
		if j.Bands == nil {
			j.Bands = []string{}
		}
		if j.Care == nil {
			j.Care = []string{}
		}
		if j.Said == "" {
			j.Said = j.Text
		}
	}
	return m.jobs
}

type menu struct {
	larder  *larder.Larder
	reader  *flow.Reader
	kitchen Kitchen
	courses []Course
	jobs    []Job
	// cut are the ids of the mise jobs by "course.part.line".
	cut map[string][]string
	// boils are the jobs that need water at the boil.
	boils []int
	// was are the names of steps by their places, by those they have.
	was map[string]string
}

func lineKey(course, part, line int) string { return fmt.Sprintf("%d.%d.%d", course, part, line) }

// beginMinutes is what it takes to put something to soak or to press.
const beginMinutes = 2.0

func (m *menu) job(id string) *Job {
	at := slices.IndexFunc(m.jobs, func(j Job) bool { return j.ID == id })
	if at < 0 {
		return nil
	}
	return &m.jobs[at]
}

func (m *menu) after(id string, a After) {
	if j := m.job(id); j != nil && !slices.ContainsFunc(j.After, func(b After) bool { return b.ID == a.ID }) {
		j.After = append(j.After, a)
	}
}
