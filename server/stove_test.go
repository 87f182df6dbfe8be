package server_test

import (
	"context"
	"fmt"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/core/stove"
	"yembra/formats"
	"yembra/server"
	"yembra/store"
)

// openIn opens a kitchen in a folder, with its stove minded, and a way to close
// it again as a program would that ends.
func openIn(t *testing.T, folder string) (app, func()) {
	t.Helper()
	l, err := server.Shipped()
	require.NoError(t, err)
	k := server.NewKitchen(l)
	k.Store, err = store.Open(context.Background(), folder, time.Now)
	require.NoError(t, err)
	require.NoError(t, k.Refresh(context.Background()))
	ctx, stop := context.WithCancel(context.Background())
	minded := make(chan struct{})
	go func() { k.MindStove(ctx); close(minded) }()
	closed := false
	end := func() {
		if !closed {
			closed = true
			stop()
			<-minded
			require.NoError(t, k.Store.Close())
		}
	}
	t.Cleanup(end)
	return app{t, server.New(k, server.Pages{Files: fstest.MapFS{"index.html": {Data: []byte("__NONCE__")}}}), k}, end
}

// cook begins a dish and returns the cook-through.
func (a app) cook(text string, factor float64) server.StoveView {
	a.t.Helper()
	d := a.newDish(text)
	status, _, data := a.ask("POST", "/api/stove", server.BeginRequest{Dish: d.ID, Factor: factor})
	require.Equal(a.t, 201, status, string(data))
	return into[server.StoveView](a.t, data)
}

var taps int

// tap tells an event of a screen.
func (a app) tap(id string, e stove.Event) server.StoveNow {
	a.t.Helper()
	taps++
	if e.Key == "" {
		e.Key = fmt.Sprint("tap ", taps)
	}
	if e.Screen == "" {
		e.Screen = "tablet"
	}
	status, _, data := a.ask("POST", "/api/stove/"+id+"/events?screen="+e.Screen, e)
	require.Equal(a.t, 200, status, string(data))
	return into[server.StoveNow](a.t, data)
}

func (a app) stove(id string) server.StoveView {
	a.t.Helper()
	status, _, data := a.ask("GET", "/api/stove/"+id, nil)
	require.Equal(a.t, 200, status, string(data))
	return into[server.StoveView](a.t, data)
}

// through does all there is to do.
func (a app) through(id string) server.StoveNow {
	a.t.Helper()
	now := a.stove(id).Now
	for range 200 {
		lane := now.View.Lanes[0]
		switch {
		case now.View.Done == now.View.Of:
			return now
		case lane.Now != nil:
			now = a.tap(id, stove.Event{Kind: stove.Done, Move: lane.Now.Move.ID})
		default:
			now = a.tap(id, stove.Event{Kind: stove.Over, Of: now.View.Fire[0].Timer.N})
		}
	}
	require.Fail(a.t, "it does not end")
	return now
}

func TestACookThroughOutlivesTheProgram(t *testing.T) {
	folder := t.TempDir()
	a, end := openIn(t, folder)
	v := a.cook(stew, 2)
	require.Equal(t, "Stew", v.Program.Name)
	require.Contains(t, v.Program.Lines[0].Text, "800", "sized as the card is")
	first := v.Now.View.Lanes[0].Now.Move.ID
	now := a.tap(v.ID, stove.Event{Kind: stove.Done, Move: first, Key: "once"})
	again := a.tap(v.ID, stove.Event{Kind: stove.Done, Move: now.View.Lanes[0].Now.Move.ID, Key: "once"})
	require.Equal(t, now.State.N, again.State.N, "a tap that is sent twice counts once")
	wait := ""
	for _, m := range v.Program.Moves {
		if !m.Hands {
			wait = m.ID
		}
	}
	now = a.tap(v.ID, stove.Event{Kind: stove.StartTimer, Move: wait, Amount: 40})
	ends := now.View.Fire[0].Timer.Ends
	require.InDelta(t, time.Now().Add(40*time.Minute).UnixMilli(), ends, 2000)
	end()

	a, _ = openIn(t, folder)
	back := a.stove(v.ID)
	require.Equal(t, now.State.Moves, back.Now.State.Moves)
	require.Equal(t, ends, back.Now.View.Fire[0].Timer.Ends, "timers go on")
	_, _, data := a.ask("GET", "/api/stove", nil)
	list := into[[]server.StoveSummary](t, data)
	require.Len(t, list, 1)
	require.Equal(t, 1, list[0].Done)
	a.tap(v.ID, stove.Event{Kind: stove.Undo, Of: a.stoveLast(v.ID, "tablet")})
	require.Empty(t, a.stove(v.ID).Now.View.Fire, "taken back on another day all the same")
}

func (a app) stoveLast(id, screen string) int64 {
	a.t.Helper()
	_, _, data := a.ask("GET", "/api/stove/"+id+"?screen="+screen, nil)
	return into[server.StoveView](a.t, data).Now.Last
}

func TestWhatCannotBeToldIsRefusedWithItsField(t *testing.T) {
	a, _ := openIn(t, t.TempDir())
	v := a.cook(stew, 1)
	for _, c := range []struct {
		method, path string
		body         any
		status       int
		field        string
	}{
		{"POST", "/api/stove", server.BeginRequest{}, 422, "dish"},
		{"POST", "/api/stove", server.BeginRequest{Dish: "x", Day: "y"}, 422, "dish"},
		{"POST", "/api/stove", server.BeginRequest{Dish: "nowhere"}, 404, ""},
		{"POST", "/api/stove", server.BeginRequest{Dish: v.Program.Dishes[0].ID, Factor: 1000}, 422, "factor"},
		{"POST", "/api/stove", server.BeginRequest{Day: "nowhen"}, 404, ""},
		{"GET", "/api/stove/none", nil, 404, ""},
		{"POST", "/api/stove/" + v.ID + "/events", stove.Event{Kind: "dance", Key: "k", Screen: "s"}, 422, "kind"},
		{"POST", "/api/stove/" + v.ID + "/events", stove.Event{Kind: stove.Reached, Text: "frying", Amount: 175, Key: "k", Screen: "s"}, 422, "kind"},
		{"POST", "/api/stove/" + v.ID + "/events", stove.Event{Kind: stove.Plan, Plan: map[string]stove.Placed{"x": {}}, Key: "k", Screen: "s"}, 422, "kind"},
		{"POST", "/api/stove/" + v.ID + "/events", stove.Event{Kind: stove.Watch, Text: "moonlight", Key: "k", Screen: "s"}, 422, "text"},
		{"POST", "/api/stove/none", nil, 404, ""},
		{"POST", "/api/stove/" + v.ID + "/events", stove.Event{Kind: stove.Done, Move: "none", Key: "k", Screen: "s"}, 422, "move"},
		{"POST", "/api/stove/" + v.ID + "/events", `{"kind": "done", "move": 7}`, 400, "move"},
		{"GET", "/api/stove/" + v.ID + "/different?move=none", nil, 422, "move"},
		{"POST", "/api/stove/" + v.ID + "/keep", server.KeepRequest{}, 422, "id"},
		{"POST", "/api/stove/" + v.ID + "/keep", server.KeepRequest{Words: strings.Repeat("x", 5000)}, 422, "words"},
		{"POST", "/api/bench", `{"put": 1e9}`, 422, "put"},
		{"POST", "/api/bench", `{"scene": "earthquake"}`, 422, "scene"},
		{"POST", "/api/bench/scale", `{"grams": 1e9, "battery": 1}`, 422, "grams"},
		{"POST", "/api/bench/probe", `{"celsius": 5000}`, 422, "celsius"},
		{"DELETE", "/api/learned/none/1", nil, 404, ""},
	} {
		status, _, data := a.ask(c.method, c.path, c.body)
		require.Equal(t, c.status, status, "%s: %s", c.path, data)
		if c.field != "" {
			require.Contains(t, string(data), `"field":"`+c.field+`"`, c.path)
		}
	}
}

func TestWhatWasWeighedMakesTheNextCardTruer(t *testing.T) {
	a, _ := openIn(t, t.TempDir())
	v := a.cook(stew, 1)
	pot := ""
	for _, m := range v.Program.Moves {
		if m.Loss == "simmered" && !m.Hands {
			pot = m.ID
		}
	}
	require.NotEmpty(t, pot)
	a.tap(v.ID, stove.Event{Kind: stove.Weigh, Move: pot, Text: stove.PotBefore})
	a.tap(v.ID, stove.Event{Kind: stove.Weighed, Amount: 900})
	// The clock of a test is the real one: an hour's pot is told by its foreseen minutes only.
	a.through(v.ID)
	a.tap(v.ID, stove.Event{Kind: stove.Weigh, Move: pot, Text: stove.PotAfter})
	a.tap(v.ID, stove.Event{Kind: stove.Weighed, Amount: 500})
	a.tap(v.ID, stove.Event{Kind: stove.End})
	status, _, data := a.ask("POST", "/api/stove/"+v.ID+"/keep", server.KeepRequest{Words: "Thicker than last time."})
	require.Equal(t, 200, status, string(data))
	kept := into[server.Trial](t, data)
	require.Equal(t, "Thicker than last time.", kept.Words)
	require.Empty(t, kept.Summary.Weighed, "nothing is foreseen to go in no time at all")
	require.True(t, a.stove(v.ID).Now.Kept)

	// A pressed thing needs no clock.
	const tofu = "Tofu\nServes 2\n\n400 g firm tofu\n1 tbsp soy sauce\n\nMethod\n1. Press the tofu for 20 minutes.\n2. Simmer the tofu in the soy sauce for 5 minutes."
	p := a.cook(tofu, 1)
	press := ""
	for _, m := range p.Program.Moves {
		if m.Loss == "pressed" && !m.Hands {
			press = m.ID
		}
	}
	require.NotEmpty(t, press, "%+v", p.Program.Moves)
	for when, grams := range map[string]float64{stove.PotBefore: 400, stove.PotAfter: 335} {
		a.tap(p.ID, stove.Event{Kind: stove.Weigh, Move: press, Text: when})
		a.tap(p.ID, stove.Event{Kind: stove.Weighed, Amount: grams})
	}
	a.through(p.ID)
	a.tap(p.ID, stove.Event{Kind: stove.End})
	dish := p.Program.Dishes[0].ID
	_, _, before := a.ask("GET", "/api/dishes/"+dish+"/card", nil)
	require.Empty(t, into[formats.Card](t, before).Measured)
	status, _, data = a.ask("POST", "/api/stove/"+p.ID+"/keep", server.KeepRequest{})
	require.Equal(t, 200, status, string(data))
	_, _, after := a.ask("GET", "/api/dishes/"+dish+"/card", nil)
	require.Len(t, into[formats.Card](t, after).Measured, 1, "the card says so")
	_, _, data = a.ask("GET", "/api/learned", nil)
	learned := into[server.LearnedView](t, data)
	require.Len(t, learned.Weighed, 1)
	require.InDelta(t, 400*(1-1/1.12), learned.Weighed[0].Foreseen, 1e-9, "what the form of pressed tofu tells")
	require.Greater(t, learned.Factors[0].Factor, 1.1)
	again := a.cook(tofu, 1)
	require.InDelta(t, learned.Factors[0].Factor, again.Program.Factors["pressed"], 1e-12, "the next cook-through knows")

	status, _, data = a.ask("DELETE", "/api/learned/"+learned.Weighed[0].Key, nil)
	require.Equal(t, 200, status)
	require.Empty(t, into[server.LearnedView](t, data).Factors)
	_, _, after = a.ask("GET", "/api/dishes/"+dish+"/card", nil)
	require.Empty(t, into[formats.Card](t, after).Measured, "taken back")
	status, _, data = a.ask("POST", "/api/learned/"+learned.Weighed[0].Key, nil)
	require.Equal(t, 200, status)
	require.Equal(t, learned, into[server.LearnedView](t, data), "and brought back")
}

func TestCookThroughsGoOutAndInWithTheKitchen(t *testing.T) {
	t.Parallel()
	a, _ := openIn(t, t.TempDir())
	v := a.cook(stew, 1)
	a.tap(v.ID, stove.Event{Kind: stove.Word, Text: "The lid was on."})
	a.through(v.ID)
	a.tap(v.ID, stove.Event{Kind: stove.End})
	status, _, data := a.ask("POST", "/api/stove/"+v.ID+"/keep", server.KeepRequest{Words: "Good."})
	require.Equal(t, 200, status, string(data))
	status, _, archive := a.ask("GET", "/api/archive", nil)
	require.Equal(t, 200, status)

	b, _ := openIn(t, t.TempDir())
	for range 2 { // twice is as good as once
		status, _, data = b.ask("POST", "/api/archive", string(archive))
		require.Equal(t, 200, status, string(data))
	}
	back, was := b.stove(v.ID), a.stove(v.ID)
	require.Equal(t, was.Program, back.Program)
	require.Equal(t, was.Now.State, back.Now.State)
	require.True(t, back.Now.Kept)
	status, _, _ = b.ask("DELETE", "/api/stove/"+v.ID, nil)
	require.Equal(t, 204, status)
	status, _, _ = b.ask("GET", "/api/stove/"+v.ID, nil)
	require.Equal(t, 404, status, "let go")
	status, _, data = b.ask("POST", "/api/stove/"+v.ID, nil)
	require.Equal(t, 200, status, string(data))
	require.Equal(t, was.Now.State, b.stove(v.ID).Now.State, "and brought back")
}
