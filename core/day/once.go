package day

import (
	"math"
	"slices"
	"strings"

	"yembra/core/texts"
)

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
		into.Takes = append(into.Takes, j.Takes...)
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
		Task: Task{ID: "water", Minutes: waterMinutes, Rings: 1}, For: names, Kind: Heat, Name: texts.Say("day.bringALargePotOfWater"),
		Text: texts.Say("day.bringOneLargePotOfSalted", strings.Join(names, ", ")), Cue: texts.Say("day.aRollingBoil"),
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
				m.jobs[i].Text += " " + texts.Say("day.thenWashTheBlenderForIts")
			}
		}
	}
}
