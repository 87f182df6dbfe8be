package day

import (
	"fmt"
	"slices"
	"strings"
)

// hopeless names every demand that no plan can meet, whatever the others are.
func (p *problem) hopeless() []Conflict {
	var out []Conflict
	for i, t := range p.request.Tasks {
		j := &p.jobs[i]
		say := func(format string, a ...any) {
			out = append(out, Conflict{[]string{t.ID}, fmt.Sprintf("%q ", t.ID) + fmt.Sprintf(format, a...)})
		}
		for _, n := range j.needs {
			if have := p.pools[n.pool].capacity; n.amount > have {
				switch n.pool {
				case cooksPool:
					say("needs a cook's hands, and nobody is cooking.")
				case ringsPool:
					say("needs %s; the kitchen has %d.", count(n.amount, "ring", "rings"), have)
				default:
					say("needs %d × %s; the kitchen has %d.", n.amount, p.pools[n.pool].name, have)
				}
			}
		}
		if most := slices.Max(append([]int{0}, p.ovens...)); j.shelves > most {
			if len(p.ovens) == 0 {
				say("needs an oven; the kitchen has none.")
			} else {
				say("needs %s of one oven; the largest has %d.", count(j.shelves, "shelf", "shelves"), most)
			}
		}
		if j.handsOn && j.length > p.open.longest() {
			say("keeps hands busy for %s without a break, longer than the waking hours.", p.spoken(j.length))
			continue
		}
		if !j.pinned {
			continue
		}
		pin := *t.StartAt
		end := seconds(t.Minutes)
		switch at := p.clockSeconds(pin); {
		case at < end:
			say("is pinned to start at %s and ends %s after the time of serving.", pin, spokenSeconds(end-at))
		case t.ServeWithin != nil && j.release > j.deadline:
			say("is pinned to start at %s, so that it is ready %s before serving; it must be served within %s.", pin, p.spoken(j.release), spokenSeconds(seconds(*t.ServeWithin)))
		case j.handsOn && p.open.after(j.release, j.length) != j.release:
			say("is pinned to start at %s, and its work by hand would lie outside the waking hours.", pin)
		}
	}
	return out
}

// clockSeconds is how long before serving a time lies.
func (p *problem) clockSeconds(at string) int {
	return int(p.serveAt.Sub(mustTime(at)).Seconds())
}

func (p *problem) spoken(ticks int) string { return spokenSeconds(ticks * p.tick) }

func spokenSeconds(s int) string {
	switch h, m := s/3600, s%3600/60; {
	case s < 60:
		return count(s, "second", "seconds")
	case h == 0:
		return count(m, "minute", "minutes")
	case m == 0:
		return count(h, "hour", "hours")
	default:
		return fmt.Sprintf("%s %d min", count(h, "hour", "hours"), m)
	}
}

// demand is one thing a request asks for that could be dropped: what it
// touches, how it reads, and the request without it.
type demand struct {
	tasks []int
	text  string
	drop  func(*Request)
}

// explain names a smallest set of demands that cannot all be met: tasks are
// left out one after the other, then single demands, as long as the rest still
// has no plan. Unproven, it names what the search could not fit.
func (p *problem) explain(proven bool, work *effort) []Conflict {
	r := p.request
	kept := make([]int, len(r.Tasks))
	for i := range kept {
		kept[i] = i
	}
	if proven {
		kept = shrink(kept, func(rest []int) bool { return stuck(only(r, rest), work) })
	}
	small := only(r, kept)
	demands := demandsOf(small)
	all := make([]int, len(demands))
	for i := range all {
		all[i] = i
	}
	if proven {
		all = shrink(all, func(rest []int) bool { return stuck(without(small, demands, rest), work) })
	}
	ids := make([]string, len(small.Tasks))
	for i, t := range small.Tasks {
		ids[i] = t.ID
	}
	if !proven {
		return []Conflict{{ids, "No plan was found in the time allowed, and none was ruled out. Ease a gap, a pin or a serving limit, or add kit or a cook."}}
	}
	var texts []string
	for _, k := range all {
		if !slices.Contains(texts, demands[k].text) {
			texts = append(texts, demands[k].text)
		}
	}
	if more := len(texts) - mostDemands; more > 0 {
		texts = append(texts[:mostDemands], fmt.Sprintf("and %s", count(more, "demand more", "demands more")))
	}
	return []Conflict{{ids, "These cannot all be met: " + strings.Join(texts, "; ") + "."}}
}

// mostDemands is how many demands are written out, where no smaller set was
// found in the time allowed.
const mostDemands = 12

// shrink leaves out elements as long as the rest is still stuck: first by
// halves, then one by one.
func shrink(all []int, stuck func(rest []int) bool) []int {
	for size := len(all) / 2; size >= 1; size /= 2 {
		for at := 0; at < len(all); {
			rest := slices.Concat(all[:at], all[min(at+size, len(all)):])
			if stuck(rest) {
				all = rest
			} else {
				at += size
			}
		}
	}
	return all
}

// Bounds of each question of an explanation.
const (
	stuckNodes      = 4000
	stuckPlacements = 2000
)

// stuck says whether a request is proven to have no plan.
func stuck(r Request, work *effort) bool {
	if work.spent() {
		return false // nobody has looked
	}
	p, err := compile(r, work)
	if err != nil {
		return false
	}
	if len(p.hopeless()) > 0 || !p.possible(p.horizon) {
		return true
	}
	g := newGenerator(p)
	g.any = true
	if g.search(stuckPlacements) != nil {
		return false
	}
	e := exact{p: p, nodes: stuckNodes}
	return e.run(-1) && e.best == nil
}

// only keeps some tasks of a request, and among them what ties them. A tie
// through a task left out falls away, which never makes a plan harder.
func only(r Request, kept []int) Request {
	ids := map[string]bool{}
	for _, i := range kept {
		ids[r.Tasks[i].ID] = true
	}
	out := r
	out.Tasks = make([]Task, 0, len(kept))
	for _, i := range kept {
		t := r.Tasks[i]
		t.After = slices.DeleteFunc(slices.Clone(t.After), func(a After) bool { return !ids[a.ID] })
		out.Tasks = append(out.Tasks, t)
	}
	return out
}

// without drops the demands of a request that are not kept.
func without(r Request, demands []demand, kept []int) Request {
	out := r
	out.Tasks = slices.Clone(r.Tasks)
	for i := range out.Tasks {
		out.Tasks[i].After = slices.Clone(out.Tasks[i].After)
		out.Tasks[i].Kit = slices.Clone(out.Tasks[i].Kit)
	}
	for k, d := range demands {
		if !slices.Contains(kept, k) {
			d.drop(&out)
		}
	}
	return out
}

// demandsOf lists what a request asks for.
func demandsOf(r Request) []demand {
	var out []demand
	var hands, rings, ovens []int
	kit := map[string][]int{}
	var names []string
	for i, t := range r.Tasks {
		out = append(out, demandsOfTask(i, &t)...)
		if t.Hands > 0 {
			hands = append(hands, i)
		}
		if t.Rings > 0 {
			rings = append(rings, i)
		}
		if t.Oven != nil {
			ovens = append(ovens, i)
		}
		for _, name := range t.Kit {
			if kit[name] == nil {
				names = append(names, name)
			}
			kit[name] = append(kit[name], i)
		}
	}
	share := func(tasks []int, text string, drop func(*Task)) {
		if len(tasks) == 0 {
			return
		}
		out = append(out, demand{tasks, quoted(r, tasks) + " " + text, func(r *Request) {
			for _, i := range tasks {
				drop(&r.Tasks[i])
			}
		}})
	}
	k := r.Kitchen
	share(hands, "share "+count(k.Cooks, "cook", "cooks"), func(t *Task) { t.Hands = 0 })
	share(rings, "share "+count(k.Rings, "ring", "rings"), func(t *Task) { t.Rings = 0 })
	share(ovens, fmt.Sprintf("share %s at heats at most %d °C apart", count(len(k.Ovens), "oven", "ovens"), OvenTolerance), func(t *Task) { t.Oven = nil })
	for _, name := range names {
		share(kit[name], fmt.Sprintf("share %d × %s", k.Kit[name], name), func(t *Task) {
			t.Kit = slices.DeleteFunc(t.Kit, func(n string) bool { return n == name })
		})
	}
	if k.Awake != nil && len(hands) > 0 {
		out = append(out, demand{hands, fmt.Sprintf("work by hand lies between %s and %s", k.Awake.From, k.Awake.To), func(r *Request) { r.Kitchen.Awake = nil }})
	}
	return out
}

// demandsOfTask are those that one task makes by itself.
func demandsOfTask(i int, t *Task) []demand {
	var out []demand
	if t.StartAt != nil {
		out = append(out, demand{[]int{i}, fmt.Sprintf("%q starts at %s", t.ID, *t.StartAt), func(r *Request) { r.Tasks[i].StartAt = nil }})
	}
	if t.notBefore != nil {
		out = append(out, demand{[]int{i}, fmt.Sprintf("%q (%s) cannot start before %s", t.ID, spokenSeconds(seconds(t.Minutes)), t.notBefore.Format("15:04")), func(r *Request) { r.Tasks[i].notBefore = nil }})
	}
	if t.ServeWithin != nil {
		out = append(out, demand{[]int{i}, fmt.Sprintf("%q is served within %s", t.ID, spokenSeconds(seconds(*t.ServeWithin))), func(r *Request) { r.Tasks[i].ServeWithin = nil }})
	}
	for _, a := range t.After {
		id := a.ID
		if a.MaxGap != nil {
			out = append(out, demand{[]int{i}, fmt.Sprintf("%q starts at most %s after %q", t.ID, spokenSeconds(seconds(*a.MaxGap)), id), func(r *Request) {
				for k := range r.Tasks[i].After {
					if r.Tasks[i].After[k].ID == id {
						r.Tasks[i].After[k].MaxGap = nil
					}
				}
			}})
		}
		text := fmt.Sprintf("%q comes after %q", t.ID, id)
		if a.MinGap > 0 {
			text = fmt.Sprintf("%q starts at least %s after %q", t.ID, spokenSeconds(seconds(a.MinGap)), id)
		}
		out = append(out, demand{[]int{i}, text, func(r *Request) {
			r.Tasks[i].After = slices.DeleteFunc(r.Tasks[i].After, func(b After) bool { return b.ID == id && b.MaxGap == nil })
		}})
	}
	return out
}

func quoted(r Request, tasks []int) string {
	ids := make([]string, len(tasks))
	for i, t := range tasks {
		ids[i] = fmt.Sprintf("%q", r.Tasks[t].ID)
	}
	if len(ids) == 1 {
		return ids[0]
	}
	return strings.Join(ids[:len(ids)-1], ", ") + " and " + ids[len(ids)-1]
}
