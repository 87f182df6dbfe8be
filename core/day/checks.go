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

// complain names a field and says, by the key of a text, what is wrong with it.
type complain func(field, key string, a ...any)

// checkKitchen finds what is wrong with a kitchen and reads its hours, in
// minutes of the day; nil when they are not bounded.
func checkKitchen(k Kitchen, wrong complain) *window {
	within := func(field string, n, least int) {
		if n < least || n > mostOfKind {
			wrong(field, "day.mustBeFromTo", least, mostOfKind)
		}
	}
	within("kitchen.cooks", k.Cooks, 0)
	within("kitchen.rings", k.Rings, 0)
	for i, o := range k.Ovens {
		within(fmt.Sprintf("kitchen.ovens[%d].shelves", i), o.Shelves, 1)
	}
	if len(k.Ovens) > mostOfKind {
		wrong("kitchen.ovens", "day.areMoreThan", mostOfKind)
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
		wrong("kitchen.awake.from", "day.mustBeATimeOfDay", "07:00")
	}
	if !okTo {
		wrong("kitchen.awake.to", "day.mustBeATimeOfDay", "23:00")
	}
	if okFrom && okTo && from == to {
		wrong("kitchen.awake.to", "day.mustDifferFromTheTimeOf")
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
		wrong("tasks", "day.areADayHoldsAtMost", len(r.Tasks), MostTasks)
		return index
	}
	for i, t := range r.Tasks {
		at := fmt.Sprintf("tasks[%d]", i)
		if _, twice := index[t.ID]; twice {
			wrong(at+".id", "day.standsTwice", t.ID)
		}
		if t.ID == "" {
			wrong(at+".id", "day.isRequired")
		}
		index[t.ID] = i
	}
	for i := range r.Tasks {
		checkTask(&r.Tasks[i], fmt.Sprintf("tasks[%d]", i), index, wrong)
	}
	return index
}

// checkTask looks at one task's figures and at what it comes after.
func checkTask(t *Task, at string, index map[string]int, wrong complain) {
	length := func(field string, m float64) {
		if m < 0 {
			wrong(field, "day.mustBeAtLeast")
		} else if m > mostMinutes || math.IsNaN(m) {
			wrong(field, "day.mustBeAtMost", mostMinutes)
		}
	}
	length(at+".minutes", t.Minutes)
	if t.Hands < 0 || t.Hands > 1 {
		wrong(at+".hands", "day.mustBeOr")
	}
	if t.Rings < 0 || t.Rings > mostOfKind {
		wrong(at+".rings", "day.mustBeFromTo", 0, mostOfKind)
	}
	if t.Oven != nil && (t.Oven.Shelves < 1 || t.Oven.Shelves > mostOfKind) {
		wrong(at+".oven.shelves", "day.mustBeFromTo", 1, mostOfKind)
	}
	if t.Oven != nil && (t.Oven.Celsius < 0 || t.Oven.Celsius > mostCelsius) {
		wrong(at+".oven.celsius", "day.mustBeFromTo", 0, mostCelsius)
	}
	if t.ServeWithin != nil {
		length(at+".serveWithin", *t.ServeWithin)
	}
	if t.StartAt != nil {
		if _, err := time.Parse(time.RFC3339, *t.StartAt); err != nil {
			wrong(at+".startAt", "day.mustBeAMoment", "2026-12-05T19:30:00Z")
		}
	}
	for j, a := range t.After {
		field := fmt.Sprintf("%s.after[%d]", at, j)
		if _, ok := index[a.ID]; !ok {
			wrong(field+".id", "day.isNoTask", a.ID)
		}
		length(field+".minGap", a.MinGap)
		if a.MaxGap != nil {
			length(field+".maxGap", *a.MaxGap)
			if *a.MaxGap < a.MinGap {
				wrong(field+".maxGap", "day.mustBeAtLeastMingap")
			}
		}
	}
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
