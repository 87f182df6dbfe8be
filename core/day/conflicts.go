package day

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/texts"
)

// hopeless names every demand that no plan can meet, whatever the others are.
func (p *problem) hopeless() []Conflict {
	var out []Conflict
	for i, t := range p.request.Tasks {
		j := &p.jobs[i]
		say := func(key string, a ...any) {
			out = append(out, Conflict{[]string{t.ID}, fmt.Sprintf("%q ", t.ID) + texts.Say(key, a...)})
		}
		for _, n := range j.needs {
			if have := p.pools[n.pool].capacity; n.amount > have {
				switch n.pool {
				case cooksPool:
					say("day.needsACookSHandsAnd")
				case ringsPool:
					say("day.needsTheKitchenHas", texts.Say("day.rings", n.amount), have)
				default:
					say("day.needsOfKit", n.amount, p.pools[n.pool].name, have)
				}
			}
		}
		if most := slices.Max(append([]int{0}, p.ovens...)); j.shelves > most {
			if len(p.ovens) == 0 {
				say("day.needsAnOvenTheKitchenHas")
			} else {
				say("day.needsOfOneOvenTheLargest", texts.Say("day.shelves", j.shelves), most)
			}
		}
		if j.handsOn && j.length > p.open.longest() {
			say("day.keepsHandsBusyForWithoutA", p.spoken(j.length))
			continue
		}
		if !j.pinned {
			continue
		}
		pin := *t.StartAt
		end := seconds(t.Minutes)
		switch at := p.clockSeconds(pin); {
		case at < end:
			say("day.isPinnedAndEndsTooLate", pin, spokenSeconds(end-at))
		case t.ServeWithin != nil && j.release > j.deadline:
			say("day.isPinnedSoThatItWaits", pin, p.spoken(j.release), spokenSeconds(seconds(*t.ServeWithin)))
		case j.handsOn && p.open.after(j.release, j.length) != j.release:
			say("day.isPinnedOutsideTheWakingHours", pin)
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
		return texts.Say("day.seconds", s)
	case h == 0:
		return texts.Say("day.minutes", m)
	case m == 0:
		return texts.Say("day.hours", h)
	default:
		return texts.Say("day.hoursAndMinutes", texts.Say("day.hours", h), m)
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
		return []Conflict{{ids, texts.Say("day.noPlanWasFoundInThe")}}
	}
	var said []string
	for _, k := range all {
		if !slices.Contains(said, demands[k].text) {
			said = append(said, demands[k].text)
		}
	}
	if more := len(said) - mostDemands; more > 0 {
		said = append(said[:mostDemands], texts.Say("day.andDemandsMore", more))
	}
	return []Conflict{{ids, texts.Say("day.theseCannotAllBeMet", strings.Join(said, "; "))}}
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
	share(hands, texts.Say("day.share", texts.Say("day.cooks", k.Cooks)), func(t *Task) { t.Hands = 0 })
	share(rings, texts.Say("day.share", texts.Say("day.rings", k.Rings)), func(t *Task) { t.Rings = 0 })
	share(ovens, texts.Say("day.shareAtHeatsAtMostC", texts.Say("day.ovens", len(k.Ovens)), OvenTolerance), func(t *Task) { t.Oven = nil })
	for _, name := range names {
		share(kit[name], texts.Say("day.share", fmt.Sprintf("%d × %s", k.Kit[name], name)), func(t *Task) {
			t.Kit = slices.DeleteFunc(t.Kit, func(n string) bool { return n == name })
		})
	}
	if k.Awake != nil && len(hands) > 0 {
		out = append(out, demand{hands, texts.Say("day.workByHandLiesBetweenAnd", k.Awake.From, k.Awake.To), func(r *Request) { r.Kitchen.Awake = nil }})
	}
	return out
}

// demandsOfTask are those that one task makes by itself.
func demandsOfTask(i int, t *Task) []demand {
	var out []demand
	if t.StartAt != nil {
		out = append(out, demand{[]int{i}, texts.Say("day.startsAt", t.ID, *t.StartAt), func(r *Request) { r.Tasks[i].StartAt = nil }})
	}
	if t.notBefore != nil {
		out = append(out, demand{[]int{i}, texts.Say("day.cannotStartBefore", t.ID, spokenSeconds(seconds(t.Minutes)), t.notBefore.Format("15:04")), func(r *Request) { r.Tasks[i].notBefore = nil }})
	}
	if t.ServeWithin != nil {
		out = append(out, demand{[]int{i}, texts.Say("day.isServedWithin", t.ID, spokenSeconds(seconds(*t.ServeWithin))), func(r *Request) { r.Tasks[i].ServeWithin = nil }})
	}
	for _, a := range t.After {
		id := a.ID
		if a.MaxGap != nil {
			out = append(out, demand{[]int{i}, texts.Say("day.startsAtMostAfter", t.ID, spokenSeconds(seconds(*a.MaxGap)), id), func(r *Request) {
				for k := range r.Tasks[i].After {
					if r.Tasks[i].After[k].ID == id {
						r.Tasks[i].After[k].MaxGap = nil
					}
				}
			}})
		}
		text := texts.Say("day.comesAfter", t.ID, id)
		if a.MinGap > 0 {
			text = texts.Say("day.startsAtLeastAfter", t.ID, spokenSeconds(seconds(a.MinGap)), id)
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
	return texts.Say("day.allAndTheLast", strings.Join(ids[:len(ids)-1], ", "), ids[len(ids)-1])
}
