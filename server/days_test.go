package server_test

import (
	"bytes"
	"encoding/csv"
	"encoding/json"
	"testing"

	"github.com/emersion/go-ical"
	"github.com/stretchr/testify/require"

	"yembra/core/day"
	"yembra/server"
)

const stew = "Stew\nServes 4\n\n400 g carrots, sliced\n2 onions, chopped\n400 g tinned tomatoes\n\nMethod\n1. Soften the onions for 8 minutes.\n2. Add the carrots and tomatoes and simmer for 40 minutes."

// supper lays out a day of two dishes and returns it with its tag.
func (a app) supper() (server.DayView, string) {
	a.t.Helper()
	one, two := a.newDish(stew), a.newDish(skink)
	status, head, data := a.ask("POST", "/api/days", server.CreateDayRequest{Name: "Supper", ServeAt: "2026-12-05T19:30:00Z", Dishes: []server.DayDish{{ID: one.ID, Servings: 8}, {ID: two.ID, Servings: 4}}})
	require.Equal(a.t, 201, status, string(data))
	return into[server.DayView](a.t, data), head.Get("ETag")
}

func TestADayIsPlannedShoppedForAndGivenOut(t *testing.T) {
	a := open(t)
	v, _ := a.supper()
	require.True(t, v.Plan.Feasible, "%v", v.Plan.Conflicts)
	require.Len(t, v.Plan.Tasks, len(v.Jobs))
	require.Equal(t, 4, v.Document.Kitchen.Rings, "the kitchen is as the settings have it")
	require.NotEmpty(t, v.Shopping.Items)
	r := day.RequestFor(v.Document.ServeAt, v.Document.Kitchen, v.Jobs)
	byID := map[string]day.Placed{}
	for _, p := range v.Plan.Tasks {
		byID[p.ID] = p
	}
	for i, j := range v.Jobs {
		v.Plan.Tasks[i] = byID[j.ID]
	}
	require.NoError(t, day.Check(r, v.Plan))

	status, head, data := a.ask("GET", "/api/days/"+v.ID+"/calendar", nil)
	require.Equal(t, 200, status)
	require.Contains(t, head.Get("Content-Type"), "text/calendar")
	c, err := ical.NewDecoder(bytes.NewReader(data)).Decode()
	require.NoError(t, err)
	alarms := 0
	for _, e := range c.Events() {
		alarms += len(e.Children)
	}
	require.Greater(t, alarms, 2)
	status, _, data = a.ask("GET", "/api/days/"+v.ID+"/shopping", nil)
	require.Equal(t, 200, status)
	rows, err := csv.NewReader(bytes.NewReader(data)).ReadAll()
	require.NoError(t, err)
	require.Len(t, rows, len(v.Shopping.Items)+1)
	_, _, data = a.ask("GET", "/api/days", nil)
	require.Contains(t, string(data), `"dishes":["Stew","Cullen skink"]`)
}

func TestADayIsChangedUndoneAndTakenAway(t *testing.T) {
	t.Parallel()
	a := open(t)
	v, tag := a.supper()
	d := v.Document
	at := v.Jobs[0]
	d.Pins = map[string]string{at.ID: "2026-12-05T15:00:00Z"}
	d.Have = map[string]float64{"carrot": 5000}
	d.Ticked = []string{"onion"}
	status, head, data := a.ask("PUT", "/api/days/"+v.ID, d, "If-Match", tag)
	require.Equal(t, 200, status, string(data))
	changed := into[server.DayView](t, data)
	for _, p := range changed.Plan.Tasks {
		if p.ID == at.ID {
			require.Equal(t, "2026-12-05T15:00:00Z", p.Start)
		}
	}
	for _, i := range changed.Shopping.Items {
		if i.Food == "carrot" {
			require.Equal(t, "in the house", i.Shown)
		}
	}
	status, _, _ = a.ask("PUT", "/api/days/"+v.ID, d, "If-Match", tag)
	require.Equal(t, 412, status, "a change that comes too late is refused")
	status, _, data = a.ask("POST", "/api/days/"+v.ID+"/undo", nil, "If-Match", head.Get("ETag"))
	require.Equal(t, 200, status)
	require.Empty(t, into[server.DayView](t, data).Document.Pins)

	// It goes into the archive and comes back.
	_, _, archive := a.ask("GET", "/api/archive", nil)
	b := open(t)
	status, _, data = b.ask("POST", "/api/archive", string(archive))
	require.Equal(t, 200, status, string(data))
	_, _, before := a.ask("GET", "/api/days/"+v.ID, nil)
	_, _, after := b.ask("GET", "/api/days/"+v.ID, nil)
	require.Equal(t, into[server.DayView](t, before).Document, into[server.DayView](t, after).Document)

	status, _, _ = a.ask("DELETE", "/api/days/"+v.ID, nil)
	require.Equal(t, 204, status)
	status, _, _ = a.ask("GET", "/api/days/"+v.ID, nil)
	require.Equal(t, 404, status)
}

func TestADayThatRunsLateSaysSoAtOnce(t *testing.T) {
	a := open(t)
	v, tag := a.supper()
	first := v.Jobs[0]
	d := v.Document
	d.Progress = []day.Progress{{ID: first.ID, Start: "2026-12-05T19:00:00Z", Minutes: first.Minutes}}
	d.Now = "2026-12-05T19:05:00Z"
	status, _, data := a.ask("PUT", "/api/days/"+v.ID, d, "If-Match", tag)
	require.Equal(t, 200, status, string(data))
	late := into[server.DayView](t, data)
	require.False(t, late.Plan.Feasible)
	require.NotEmpty(t, late.Plan.Conflicts)
	require.NotEmpty(t, late.Options)
	require.Contains(t, late.Options[0].Text, "later")
}

func TestDaysThatMakeNoSenseAreRefused(t *testing.T) {
	a := open(t)
	v, tag := a.supper()
	for field, change := range map[string]func(*server.DayDocument){
		"name":               func(d *server.DayDocument) { d.Name = " " },
		"serveAt":            func(d *server.DayDocument) { d.ServeAt = "late" },
		"dishes[0].servings": func(d *server.DayDocument) { d.Dishes[0].Servings = 0 },
		"dishes[1].id":       func(d *server.DayDocument) { d.Dishes[1].ID = d.Dishes[0].ID },
		"kitchen.cooks":      func(d *server.DayDocument) { d.Kitchen.Cooks = -1 },
		"pins.x":             func(d *server.DayDocument) { d.Pins = map[string]string{"x": "soon"} },
		"progress[0]":        func(d *server.DayDocument) { d.Progress = []day.Progress{{ID: "x", Start: "now"}} },
		"now":                func(d *server.DayDocument) { d.Progress = []day.Progress{{ID: "x", Start: "2026-12-05T19:00:00Z"}} },
		"have.salt":          func(d *server.DayDocument) { d.Have = map[string]float64{"salt": -1} },
	} {
		var d server.DayDocument
		body, err := json.Marshal(v.Document)
		require.NoError(t, err)
		require.NoError(t, json.Unmarshal(body, &d))
		change(&d)
		status, _, data := a.ask("PUT", "/api/days/"+v.ID, d, "If-Match", tag)
		require.Equal(t, 422, status, field)
		require.Contains(t, string(data), `"field":"`+field+`"`)
	}
	status, _, _ := a.ask("POST", "/api/days", `{"name": "x", "serveAt": "2026-12-05T19:30:00Z", "dishes": [{"id": "none", "servings": 4}]}`)
	require.Equal(t, 422, status)
	status, _, _ = a.ask("POST", "/api/days/none/undo", nil, "If-Match", `"1"`)
	require.Equal(t, 409, status)
}
