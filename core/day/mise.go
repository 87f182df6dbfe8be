package day

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/swap"
	"yembra/core/texts"
)

// mise gathers what is cut beforehand: one job for a food and a cut, for all
// dishes that want it so.
func (m *menu) mise() {
	type group struct {
		food      *larder.Food
		technique *larder.Technique
		how       string // as the first line has it: "finely chopped"
		grams     float64
		keys      []string
		takes     []Take
		courses   []string
	}
	groups := map[string]*group{}
	var order []string
	for i, c := range m.courses {
		for p, part := range c.Parts {
			for n, line := range part.Lines {
				f := m.larder.Food(line.FoodID())
				t, how := m.cutting(line.Preparation)
				if f == nil || t == nil || line.Mass() <= 0 || cutInStep(part, n, t.Name) {
					continue
				}
				key := f.ID + " " + t.Name
				g := groups[key]
				if g == nil {
					g = &group{food: f, technique: t, how: how}
					groups[key] = g
					order = append(order, key)
				}
				g.grams += line.Mass()
				g.keys = append(g.keys, lineKey(i, p, n))
				g.takes = append(g.takes, Take{Dish: c.ID, Part: p, Line: n, Share: 1})
				if !slices.Contains(g.courses, c.Name) {
					g.courses = append(g.courses, c.Name)
				}
			}
		}
	}
	slices.Sort(order)
	for _, key := range order {
		g := groups[key]
		minutes := math.Min(math.Ceil(g.technique.Usual*math.Pow(g.grams/cutPer, batchPower)), mostMise)
		if minutes < sharedCutLeast {
			continue
		}
		id := "mise " + strings.ReplaceAll(key, " ", "-")
		for _, line := range g.keys {
			m.cut[line] = append(m.cut[line], id)
		}
		course := ""
		if len(g.courses) == 1 {
			course = g.courses[0]
		}
		m.jobs = append(m.jobs, Job{
			Task: Task{ID: id, Minutes: minutes, Hands: 1}, Course: course, For: g.courses, Kind: Mise,
			Name: larder.Capital(g.food.Name) + ": " + g.how,
			Text: texts.Say("day.getReadyAboutGOfCover", math.Round(g.grams/10)*10, g.food.Name, g.how),
			Cue:  g.technique.Cue, Readies: g.takes,
		})
	}
}

// How long dry things soak where the recipe only says "soaked"; estimates.
const (
	soakOvernight = 600.0
	soakBriefly   = 30.0
)

// soaks puts to soak what a recipe lists as soaked, each food once for all
// dishes: "500 g dried black beans, soaked overnight".
func (m *menu) soaks() {
	type group struct {
		food    *larder.Food
		minutes float64
		grams   float64
		courses []string
		keys    []string
		takes   []Take
	}
	var order []*group
	for i, c := range m.courses {
		for p, part := range c.Parts {
			for n, line := range part.Lines {
				f := m.larder.Food(line.FoodID())
				minutes := m.soaking(f, line.Preparation)
				if minutes == 0 || line.Mass() <= 0 || cutInStep(part, n, "soak") {
					continue
				}
				at := slices.IndexFunc(order, func(g *group) bool { return g.food == f && g.minutes == minutes })
				if at < 0 {
					at = len(order)
					order = append(order, &group{food: f, minutes: minutes})
				}
				g := order[at]
				g.grams += line.Mass()
				g.keys = append(g.keys, lineKey(i, p, n))
				g.takes = append(g.takes, Take{Dish: c.ID, Part: p, Line: n, Share: 1})
				if !slices.Contains(g.courses, c.Name) {
					g.courses = append(g.courses, c.Name)
				}
			}
		}
	}
	for _, g := range order {
		id := "soak " + g.food.ID + fmt.Sprintf(" %g", g.minutes)
		course := ""
		if len(g.courses) == 1 {
			course = g.courses[0]
		}
		job := Job{
			Task: Task{ID: id, Minutes: beginMinutes, Hands: 1}, Course: course, For: g.courses, Kind: Work, Name: texts.Say("day.putToSoak", g.food.Name),
			Text: texts.Say("day.putAboutGOfToSoak", math.Round(g.grams/10)*10, g.food.Name), Readies: g.takes,
		}
		stands := job
		stands.Task = Task{ID: id + ".wait", Minutes: g.minutes, After: []After{{ID: id, MaxGap: zero()}}}
		stands.Readies = nil
		stands.Kind, stands.Name, stands.Cue = Wait, texts.Say("day.isSoaking", larder.Capital(g.food.Name)), texts.Say("day.swollenAndNoLongerWrinkled")
		m.jobs = append(m.jobs, job, stands)
		for _, key := range g.keys {
			m.cut[key] = append(m.cut[key], stands.ID)
		}
	}
}

// soaking is how many minutes a food soaks by the words of its line, 0 when it
// does not.
func (m *menu) soaking(f *larder.Food, preparation string) float64 {
	text := strings.ToLower(preparation)
	soak := m.larder.Technique("soak")
	if f == nil || soak == nil || !strings.Contains(text, "soak") {
		return 0
	}
	switch {
	case strings.Contains(text, "overnight"):
		return soakOvernight
	case f.Aisle == "pulses":
		return soak.Usual
	}
	return soakBriefly
}

// cutInStep says whether a step that prepares a swap already cuts a line so.
func cutInStep(part swap.Component, line int, technique string) bool {
	return slices.ContainsFunc(part.Steps, func(s swap.Step) bool {
		return s.Prepares != "" && slices.Contains(s.Lines, line) && slices.Contains(s.Techniques, technique)
	})
}

// cutting is the technique that a line's preparation asks for, and the words
// that ask for it.
func (m *menu) cutting(preparation string) (*larder.Technique, string) {
	for _, clause := range strings.FieldsFunc(preparation, func(r rune) bool { return r == ',' || r == ';' }) {
		clause = strings.TrimSpace(clause)
		for _, w := range strings.Fields(strings.ToLower(clause)) {
			for _, name := range m.larder.Language().Orders(w) {
				if t := m.larder.Technique(name); t != nil && t.Family == "cut" {
					return t, clause
				}
			}
		}
	}
	return nil, ""
}
