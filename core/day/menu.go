package day

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

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
	// boils tells that it needs a pot of water at the boil.
	boils bool
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
	hotGap          = 60.0   // a hot component waits for the next step
	preparedGap     = 1440.0 // something soaked, pressed, cut waits in the cold
	servedCrisp     = 10.0
	servedBaked     = 30.0
	servedStewed    = 60.0
	servedCold      = 1440.0
	cutPer          = 250.0 // grams that the usual minutes of cutting stand for
	batchPower      = 0.7   // hands' minutes grow with the size by this power
	mostMise        = 40.0
	wordsOfName     = 7
	sharedCutLeast  = 2.0 // minutes
	firstBakeWithin = 5.0
)

// Jobs turns the courses of a menu into the tasks of its day: steps become
// work and waiting, lines that are cut become work done once for all dishes,
// ovens are heated, one pot of water is brought to the boil, and a blender used
// twice is washed.
func Jobs(l *larder.Larder, courses []Course, k Kitchen) []Job {
	m := menu{larder: l, kitchen: k, courses: courses, cut: map[string][]string{}}
	m.mise()
	m.soaks()
	for i := range courses {
		m.course(i)
	}
	m.merge()
	m.water()
	m.wash()
	return m.jobs
}

type menu struct {
	larder  *larder.Larder
	kitchen Kitchen
	courses []Course
	jobs    []Job
	// cut are the ids of the mise jobs by "course.part.line".
	cut map[string][]string
	// boils are the jobs that need water at the boil.
	boils []int
}

func lineKey(course, part, line int) string { return fmt.Sprintf("%d.%d.%d", course, part, line) }

// course adds the jobs of one dish. Its steps follow each other within a part;
// what prepares a swap only precedes the step that uses it, and a part precedes
// the step that names it, or the end of the last part.
func (m *menu) course(i int) {
	c := m.courses[i]
	type end struct {
		id    string
		hot   bool
		cold  bool
		lines []int
		step  swap.Step
	}
	firsts := make([]map[int]string, len(c.Parts)) // first job by step
	ends := make([]*end, len(c.Parts))
	for p, part := range c.Parts {
		firsts[p] = map[int]string{}
		var last *end
		prepared := map[string]*end{}
		waiting := []*end{}
		for n, s := range part.Steps {
			var after []After
			add := func(e *end) {
				most := preparedGap
				if e.hot {
					most = hotGap
				}
				if e.cold {
					most = 3 * servedCold
				}
				after = append(after, After{ID: e.id, MaxGap: &most})
			}
			if s.Prepares != "" {
				if e := prepared[s.Prepares]; e != nil {
					add(e)
				}
			} else {
				if last != nil {
					add(last)
				}
				rest := waiting[:0:0]
				for _, e := range waiting {
					shares := slices.ContainsFunc(e.lines, func(x int) bool { return slices.Contains(s.Lines, x) })
					if shares || n == len(part.Steps)-1 {
						add(e)
					} else {
						rest = append(rest, e)
					}
				}
				waiting = rest
			}
			first, final := m.step(i, p, n, s, after)
			if first == "" {
				continue
			}
			firsts[p][n] = first
			e := &end{id: final, hot: s.Heat != "", cold: m.stands(s), lines: s.Lines, step: s}
			if s.Prepares == "" {
				last = e
			} else {
				waiting = slices.DeleteFunc(waiting, func(o *end) bool { return o == prepared[s.Prepares] })
				prepared[s.Prepares] = e
				waiting = append(waiting, e)
			}
		}
		if last == nil && len(waiting) > 0 {
			last = waiting[len(waiting)-1]
		}
		ends[p] = last
	}
	final := len(c.Parts) - 1
	for final >= 0 && ends[final] == nil {
		final--
	}
	if final < 0 {
		return
	}
	for p := range c.Parts {
		if p == final || ends[p] == nil {
			continue
		}
		into := m.joins(c, p, final, firsts)
		if into == "" || into == ends[p].id {
			continue
		}
		most := preparedGap
		if ends[p].hot && !ends[p].cold {
			most = 3 * hotGap
		}
		m.after(into, After{ID: ends[p].id, MaxGap: &most})
	}
	within := m.keeps(ends[final].step)
	m.job(ends[final].id).ServeWithin = &within
}

// joins is the job that a part must precede: the first step of a later part
// that names it, else the last step of the last part.
func (m *menu) joins(c Course, p, final int, firsts []map[int]string) string {
	words := larder.Words(c.Parts[p].Name)
	for q := p + 1; q <= final; q++ {
		for n, s := range c.Parts[q].Steps {
			named := larder.Words(s.Text)
			hits := 0
			for _, w := range words {
				if slices.Contains(named, w) {
					hits++
				}
			}
			if hits > 0 && firsts[q][n] != "" && (hits*2 >= len(words) || hits > 1) {
				return firsts[q][n]
			}
		}
	}
	for n := len(c.Parts[final].Steps) - 1; n >= 0; n-- {
		if id := firsts[final][n]; id != "" {
			return id
		}
	}
	return ""
}

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

// stands says whether a step leaves food that keeps: chilled, soaked, set.
func (m *menu) stands(s swap.Step) bool {
	for _, name := range s.Techniques {
		if t := m.larder.Technique(name); t != nil && t.Family == "rest" {
			return true
		}
	}
	return false
}

// keeps is how many minutes a finished dish may wait for the table, by how it
// was finished.
func (m *menu) keeps(s swap.Step) float64 {
	text := strings.ToLower(s.Text)
	has := func(list ...string) bool {
		return slices.ContainsFunc(list, func(t string) bool { return slices.Contains(s.Techniques, t) })
	}
	switch {
	case has("deep-fry", "fry", "stir-fry", "sear", "grill") || strings.Contains(text, "at once") || strings.Contains(text, "immediately"):
		return servedCrisp
	case has("chill", "set", "freeze", "cool"):
		return servedCold
	case has("bake", "roast", "gratinate", "steam", "toast"):
		return servedBaked
	}
	return servedStewed
}

// step adds the jobs of one step and returns the first and the last of them;
// none for a step that only heats the oven, which each bake does itself.
func (m *menu) step(i, p, n int, s swap.Step, after []After) (first, last string) {
	if slices.Equal(s.Techniques, []string{"preheat"}) {
		return "", ""
	}
	c := m.courses[i]
	base := Job{Course: c.Name, For: []string{c.Name}, Part: c.Parts[p].Name, Text: s.Text, Cue: s.Cue, Name: short(s.Text)}
	for _, line := range s.Lines {
		for _, id := range m.cut[lineKey(i, p, line)] {
			most := preparedGap
			if !slices.ContainsFunc(after, func(a After) bool { return a.ID == id }) {
				after = append(after, After{ID: id, MaxGap: &most})
			}
		}
	}
	work := math.Ceil(s.Work * math.Max(1, math.Pow(c.Factor, batchPower)))
	wait := math.Ceil(s.Wait)
	id := fmt.Sprintf("%s.%d.%d", c.ID, p, n)
	if slices.Contains(s.Techniques, "grease") && len(s.Techniques) > 1 {
		grease := base
		grease.Task = Task{ID: id + ".grease", Minutes: beginMinutes, Hands: 1}
		grease.Kind, grease.Name, grease.Cue = Mise, "Grease the tin or dish", "a thin film all over"
		m.jobs = append(m.jobs, grease)
		most := preparedGap
		after = append(after, After{ID: grease.ID, MaxGap: &most})
		work = math.Max(work-beginMinutes, 1)
	}
	var kit []string
	for _, name := range s.Kit {
		if name != "ring" && name != "oven" {
			kit = append(kit, name)
		}
	}
	add := func(suffix, kind, name string, minutes, hands float64, set func(*Job)) {
		j := base
		j.Task = Task{ID: id + suffix, Minutes: minutes, Hands: int(hands), After: after}
		j.Kind, j.Name = kind, name
		set(&j)
		m.add(j, s, after)
		if first == "" {
			first = j.ID
		}
		last = j.ID
		after = []After{{ID: j.ID, MaxGap: zero()}}
	}
	plain := func(*Job) {}
	byHand := func(j *Job) { j.Kit = slices.DeleteFunc(slices.Clone(kit), unattended) }
	alone := func(j *Job) {
		m.place(j, s, slices.DeleteFunc(slices.Clone(kit), func(name string) bool { return !unattended(name) }))
		if j.Rings > 0 || j.Oven != nil {
			j.Kind = Cook
		}
	}
	switch {
	case wait == 0:
		add(".work", Work, base.Name, math.Max(work, 1), 1, func(j *Job) { m.place(j, s, kit) })
	case s.Heat == "" && m.restsFirst(s) && work > beginMinutes:
		// Put to soak, left alone, gone on with.
		add(".begin", Work, base.Name, beginMinutes, 1, plain)
		add(".wait", Wait, base.Name, wait, 0, plain)
		most := preparedGap
		after[0].MaxGap = &most
		add(".work", Work, m.goingOn(s, base.Name), work-beginMinutes, 1, byHand)
	case work > 0:
		add(".work", Work, base.Name, work, 1, byHand)
		add(".wait", Wait, base.Name, wait, 0, alone)
	default:
		add(".wait", Wait, base.Name, wait, 0, alone)
	}
	return first, last
}

// beginMinutes is what it takes to put something to soak or to press.
const beginMinutes = 2.0

// unattended says whether kit works without hands.
func unattended(kit string) bool { return kit == "pressure cooker" }

// restsFirst says whether a step begins with standing and goes on with work.
func (m *menu) restsFirst(s swap.Step) bool {
	for n, name := range s.Techniques {
		t := m.larder.Technique(name)
		if t == nil {
			continue
		}
		return t.Family == "rest" && n+1 < len(s.Techniques)
	}
	return false
}

// goingOn names what is done to what has stood: "Drain and blend".
func (m *menu) goingOn(s swap.Step, name string) string {
	var what []string
	for _, technique := range s.Techniques {
		if t := m.larder.Technique(technique); t != nil && t.Family != "rest" && len(what) < 2 {
			what = append(what, technique)
		}
	}
	if len(what) == 0 {
		return name
	}
	return larder.Capital(strings.Join(what, " and "))
}

func zero() *float64 { return new(float64) }

// place gives a job the ring, the oven and the kit of its step.
func (m *menu) place(j *Job, s swap.Step, kit []string) {
	j.Kit = kit
	switch {
	case s.Heat == "oven":
		heat := usualOven
		if s.Celsius != nil && *s.Celsius > 0 {
			heat = *s.Celsius
		}
		j.Oven = &OvenUse{Celsius: heat, Shelves: 1}
	case s.Heat != "":
		j.Rings = 1
	}
}

// add puts a job on the list, after the heating of its oven if it needs one.
func (m *menu) add(j Job, s swap.Step, after []After) {
	if j.Oven != nil {
		most := firstBakeWithin
		heat := Job{
			Task: Task{ID: j.ID + ".heat", Minutes: preheatMinutes, Oven: &OvenUse{Celsius: j.Oven.Celsius, Shelves: 1}},
			For:  j.For, Course: j.Course, Part: j.Part, Kind: Heat, Name: fmt.Sprintf("Heat the oven to %g °C", j.Oven.Celsius),
			Text: fmt.Sprintf("Heat the oven to %g °C, with the rack in place.", j.Oven.Celsius), Cue: "the oven has reached its heat",
		}
		m.jobs = append(m.jobs, heat)
		j.After = append(slices.Clone(after), After{ID: heat.ID, MaxGap: &most})
	}
	if j.Rings > 0 && slices.Contains(s.Techniques, "boil") && m.starch(s) {
		j.boils = true
	}
	m.jobs = append(m.jobs, j)
}

// starch says whether a step boils noodles, dumplings or the like in water that
// others could use.
func (m *menu) starch(s swap.Step) bool {
	text := strings.ToLower(s.Text)
	for _, w := range []string{"noodle", "pasta", "dumpling", "macaroni", "spaghetti", "salted water"} {
		if strings.Contains(text, w) {
			return true
		}
	}
	return false
}

// merge does once what several dishes ask for in the same words, such as the
// soaking of the same nuts: the hands' work grows with the size, waiting stays.
func (m *menu) merge() {
	now := map[string]string{} // the job that an id stands for
	same := map[string]int{}
	kept := m.jobs[:0:0]
	for _, j := range m.jobs {
		var after []After
		for _, a := range j.After {
			if id, merged := now[a.ID]; merged {
				a.ID = id
			}
			if !slices.ContainsFunc(after, func(b After) bool { return a.ID == b.ID }) {
				after = append(after, a)
			}
		}
		j.After = after
		ids := make([]string, len(after))
		for i, a := range after {
			ids[i] = a.ID
		}
		slices.Sort(ids)
		key := j.Kind + "|" + j.Text + "|" + strings.Join(ids, " ")
		at, known := same[key]
		if !known || j.Kind != Work && j.Kind != Wait || j.ServeWithin != nil || kept[at].Course == j.Course && kept[at].Part == j.Part {
			same[key] = len(kept)
			kept = append(kept, j)
			continue
		}
		into := &kept[at]
		now[j.ID] = into.ID
		if j.Kind == Work {
			into.Minutes = math.Ceil(math.Pow(math.Pow(into.Minutes, 1/batchPower)+math.Pow(j.Minutes, 1/batchPower), batchPower))
		} else {
			into.Minutes = math.Max(into.Minutes, j.Minutes)
		}
		if !slices.Contains(into.For, j.Course) {
			into.For = append(slices.Clone(into.For), j.Course)
		}
		if into.Course != j.Course {
			into.Course = ""
		}
	}
	m.jobs = kept
	m.boils = m.boils[:0]
	for at, j := range m.jobs {
		if j.boils {
			m.boils = append(m.boils, at)
		}
	}
}

// water brings one pot to the boil for all that boils in it.
func (m *menu) water() {
	if len(m.boils) == 0 {
		return
	}
	var names []string
	most := hotGap
	for _, at := range m.boils {
		j := &m.jobs[at]
		j.After = append(slices.Clone(j.After), After{ID: "water", MaxGap: &most})
		if !slices.Contains(names, j.Course) {
			names = append(names, j.Course)
		}
	}
	m.jobs = append(m.jobs, Job{
		Task: Task{ID: "water", Minutes: waterMinutes, Rings: 1}, For: names, Kind: Heat, Name: "Bring a large pot of water to the boil",
		Text: "Bring one large pot of salted water to the boil, for " + strings.Join(names, ", ") + ".", Cue: "a rolling boil",
	})
}

// wash adds the washing to every use of kit that is used more than once.
func (m *menu) wash() {
	uses := map[string]int{}
	for _, j := range m.jobs {
		for _, name := range j.Kit {
			uses[name]++
		}
	}
	for i := range m.jobs {
		for _, name := range m.jobs[i].Kit {
			if name == "blender" && uses[name] > m.kitchen.Kit[name] {
				m.jobs[i].Minutes += washMinutes
				m.jobs[i].Text += " Then wash the blender for its next use."
			}
		}
	}
}

// short is the beginning of a step, to be read on a bar.
func short(text string) string {
	text = strings.TrimPrefix(text, "The evening before: ")
	words := strings.Fields(text)
	if len(words) > wordsOfName {
		words = words[:wordsOfName]
	}
	out := strings.Join(words, " ")
	if at := strings.IndexAny(out, ".,;:"); at > 8 {
		out = out[:at]
	}
	for _, w := range []string{" and", " the", " a", " with", " in", " for", " of", " until", " to", " into", " over", " then"} {
		out = strings.TrimSuffix(out, w)
	}
	return larder.Capital(strings.TrimRight(out, ".,;: "))
}

// Order sorts jobs by their start in a plan, then by name.
func Order(jobs []Job, p Plan) []Job {
	start := map[string]string{}
	for _, t := range p.Tasks {
		start[t.ID] = t.Start
	}
	out := slices.Clone(jobs)
	slices.SortStableFunc(out, func(a, b Job) int {
		return cmp.Or(mustTime(start[a.ID]).Compare(mustTime(start[b.ID])), cmp.Compare(a.Name, b.Name))
	})
	return out
}

// hotFor is how many minutes an oven stays hot after a bake.
const hotFor = 10.0

// SayHot renames the heating of an oven that a plan finds hot already, because
// something else at that heat is in it or has just come out.
func SayHot(jobs []Job, p Plan) []Job {
	out := slices.Clone(jobs)
	placed := map[string]Placed{}
	for _, t := range p.Tasks {
		placed[t.ID] = t
	}
	for i := range out {
		j := &out[i]
		here, ok := placed[j.ID]
		if j.Kind != Heat || j.Oven == nil || !ok {
			continue
		}
		for _, o := range jobs {
			there, ok := placed[o.ID]
			if !ok || o.ID == j.ID || o.Oven == nil || *there.Oven != *here.Oven || math.Abs(o.Oven.Celsius-j.Oven.Celsius) > OvenTolerance {
				continue
			}
			begins, ended := mustTime(there.Start).Sub(mustTime(here.Start)).Minutes(), mustTime(here.Start).Sub(mustTime(there.End)).Minutes()
			if ended <= hotFor && (begins < 0 || begins == 0 && o.ID < j.ID) {
				j.Name = fmt.Sprintf("The oven is at %g °C already", o.Oven.Celsius)
				j.Text = fmt.Sprintf("Leave the oven at %g °C; %s has it hot.", o.Oven.Celsius, o.Course)
				break
			}
		}
	}
	return out
}

// RequestFor is the planning request of a day's jobs.
func RequestFor(serveAt string, k Kitchen, jobs []Job) Request {
	r := Request{ServeAt: serveAt, Kitchen: k, Tasks: make([]Task, len(jobs))}
	for i, j := range jobs {
		r.Tasks[i] = j.Task
	}
	return r
}
