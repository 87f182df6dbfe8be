package server_test

import (
	"bufio"
	"bytes"
	"context"
	"fmt"
	"net"
	"net/http"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/require"

	planned "yembra/core/day"
	"yembra/core/stove"
	"yembra/devices"
	"yembra/server"
	"yembra/store"
)

// waitFor looks again and again until something is so.
func waitFor(t *testing.T, what string, so func() bool) {
	t.Helper()
	require.Eventually(t, so, 20*time.Second, 50*time.Millisecond, what)
}

func TestScaleAndProbeTellByThemselves(t *testing.T) {
	t.Parallel()
	a, _ := openIn(t, t.TempDir())
	v := a.cook(stew, 1)
	// A bowl stands on the scale and counts as nothing.
	status, _, data := a.ask("POST", "/api/bench", `{"put": 310}`)
	require.Equal(t, 200, status, string(data))
	time.Sleep(2 * time.Second)
	now := a.tap(v.ID, stove.Event{Kind: stove.Weigh, Line: v.Program.Lines[0].ID})
	require.InDelta(t, 310, now.State.Weighing.Zero, 5)
	a.ask("POST", "/api/bench", `{"add": 350}`)
	waitFor(t, "what is missing is said", func() bool {
		w := a.stove(v.ID).Now.Weight
		return w != nil && strings.HasSuffix(w.Say, "g more") && w.Steady
	})
	require.NotNil(t, a.stove(v.ID).Now.State.Weighing)
	a.ask("POST", "/api/bench", `{"add": 52}`)
	waitFor(t, "the weighing ends by itself", func() bool { return a.stove(v.ID).Now.State.Weighing == nil })
	require.InDelta(t, 402, a.stove(v.ID).Now.State.Used[v.Program.Lines[0].ID], 8)
	// Taken back, nothing was weighed, and it can be weighed anew.
	a.tap(v.ID, stove.Event{Kind: stove.Undo, Of: a.stove(v.ID).Now.State.N})
	now = a.tap(v.ID, stove.Event{Kind: stove.Weigh, Line: v.Program.Lines[0].ID})
	require.Empty(t, now.State.Used)
	a.ask("POST", "/api/bench", `{"add": 405}`)
	waitFor(t, "the second ends by itself too", func() bool { return a.stove(v.ID).Now.State.Weighing == nil })
	require.InDelta(t, 405, a.stove(v.ID).Now.State.Used[v.Program.Lines[0].ID], 8)

	a.tap(v.ID, stove.Event{Kind: stove.Watch, Text: "frying"})
	a.ask("POST", "/api/bench", `{"into": 178}`)
	waitFor(t, "the oil is hot", func() bool { return a.stove(v.ID).Now.State.Watches["frying"].Reached > 0 })
	// A real probe takes over while it speaks.
	for range 14 {
		status, _, data = a.ask("POST", "/api/bench/probe", devices.Temperature{Celsius: 195, Battery: 80})
		require.Equal(t, 204, status, string(data))
		time.Sleep(200 * time.Millisecond)
	}
	require.Positive(t, a.stove(v.ID).Now.State.Watches["frying"].Left)
	says := a.stove(v.ID).Now.View.Says
	require.Equal(t, stove.OutOfBand, says[0].Kind)
	require.True(t, says[0].Grave)
	_, _, data = a.ask("GET", "/api/bench", nil)
	bench := into[server.BenchView](t, data)
	require.True(t, bench.ProbeBridged)
	require.False(t, bench.ScaleBridged)
}

func TestADayIsBegunAndToldWhatIsDone(t *testing.T) {
	t.Parallel()
	a, _ := openIn(t, t.TempDir())
	day, _ := a.supper()
	status, _, data := a.ask("POST", "/api/stove", server.BeginRequest{Day: day.ID})
	require.Equal(t, 201, status, string(data))
	v := into[server.StoveView](t, data)
	require.Len(t, v.Program.Moves, len(day.Jobs))
	require.Len(t, v.Program.Dishes, 2)
	first := v.Now.View.Lanes[0].Now.Move
	a.tap(v.ID, stove.Event{Kind: stove.Done, Move: first.ID})
	waitFor(t, "the day hears of it", func() bool {
		_, _, data := a.ask("GET", "/api/days/"+day.ID, nil)
		p := into[server.DayView](t, data).Document.Progress
		return len(p) == 1 && p[0].ID == first.ID && p[0].Done
	})
	// What the day knows by itself stays when the stove tells it more.
	said := []planned.Progress{}
	shown := func() server.DayView {
		_, _, data := a.ask("GET", "/api/days/"+day.ID, nil)
		return into[server.DayView](t, data)
	}
	d := shown()
	other := ""
	for _, j := range d.Jobs {
		if second := a.stove(v.ID).Now.View.Lanes[0].Now.Move.ID; j.ID != first.ID && j.ID != second && j.Hands > 0 {
			other = j.ID
		}
	}
	d.Document.Progress = append(d.Document.Progress, planned.Progress{ID: other, Name: "Fetched", Start: d.Document.Now, Minutes: 3, Done: true})
	status, _, data = a.ask("PUT", "/api/days/"+day.ID, d.Document, "If-Match", fmt.Sprintf("%q", fmt.Sprint(d.Version)))
	require.Equal(t, 200, status, string(data))
	second := a.stove(v.ID).Now.View.Lanes[0].Now.Move
	a.tap(v.ID, stove.Event{Kind: stove.StartTimer, Move: second.ID, Amount: 3})
	waitFor(t, "the day hears of the next", func() bool { said = shown().Document.Progress; return len(said) == 3 })
	ids := []string{said[0].ID, said[1].ID, said[2].ID}
	require.ElementsMatch(t, []string{first.ID, second.ID, other}, ids)
	a.tap(v.ID, stove.Event{Kind: stove.Undo, Of: a.stove(v.ID).Now.State.N})

	status, _, data = a.ask("POST", "/api/stove", server.BeginRequest{Day: day.ID})
	require.Equal(t, 201, status, string(data))
	require.True(t, into[server.StoveView](t, data).Now.State.Moves[first.ID].Done > 0, "what is done ahead is done")
}

// listen opens a stream and sends the names of what comes.
func listen(t *testing.T, url string, headers ...string) chan string {
	t.Helper()
	ask, err := http.NewRequest("GET", url+"/api/stream", nil) //nolint:noctx // it ends with the server
	require.NoError(t, err)
	for i := 0; i+1 < len(headers); i += 2 {
		ask.Header.Set(headers[i], headers[i+1])
	}
	res, err := http.DefaultClient.Do(ask)
	require.NoError(t, err)
	require.Equal(t, "text/event-stream", res.Header.Get("Content-Type"))
	t.Cleanup(func() { res.Body.Close() })
	out := make(chan string, 1000)
	go func() {
		defer close(out)
		lines := bufio.NewScanner(res.Body)
		for lines.Scan() {
			if name, ok := strings.CutPrefix(lines.Text(), "event: "); ok && name != "devices" {
				lines.Scan()
				out <- name + " " + strings.TrimPrefix(lines.Text(), "data: ")
			}
		}
	}()
	require.Regexp(t, `^hello \{"n":\d+\}$`, <-out)
	return out
}

func TestEightScreensHearOfATapAtOnce(t *testing.T) {
	a, end := openIn(t, t.TempDir())
	l, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	served := make(chan error, 1)
	go func() { served <- a.App.Listener(l, fiber.ListenConfig{DisableStartupMessage: true}) }()
	url := "http://" + l.Addr().String()
	v := a.cook(stew, 1)
	var screens []chan string
	for range 8 {
		screens = append(screens, listen(t, url))
	}
	var slowest, tap []time.Duration
	for range 5 {
		taps++
		body := fmt.Appendf(nil, `{"kind": "word", "text": "stirred", "key": "screen %d", "screen": "tablet"}`, taps)
		start := time.Now()
		res, err := http.Post(url+"/api/stove/"+v.ID+"/events", "application/json", bytes.NewReader(body)) //nolint:noctx // local
		require.NoError(t, err)
		res.Body.Close()
		require.Equal(t, 200, res.StatusCode)
		tap = append(tap, time.Since(start))
		for _, s := range screens {
			for heard := range s {
				if strings.Contains(heard, `"n"`) {
					break
				}
			}
		}
		slowest = append(slowest, time.Since(start))
	}
	slices.Sort(tap)
	slices.Sort(slowest)
	require.Less(t, tap[len(tap)/2], 100*time.Millisecond, "from tap to answer, mostly")
	require.Less(t, slowest[len(slowest)/2], 300*time.Millisecond, "to the last of eight screens, mostly")
	t.Logf("tap %v, last screen %v", tap, slowest)

	start := time.Now()
	end() // the program stops; no stream keeps it
	require.NoError(t, a.App.ShutdownWithTimeout(2*time.Second))
	require.NoError(t, <-served)
	require.Less(t, time.Since(start), 2*time.Second)
}

func TestACookThroughOfThreeThousandEventsOpensSoon(t *testing.T) {
	folder := t.TempDir()
	a, end := openIn(t, folder)
	v := a.cook(stew, 1)
	end()
	s, err := store.Open(context.Background(), folder, time.Now)
	require.NoError(t, err)
	var events []store.Entry
	for n := range 3000 {
		e := fmt.Appendf(nil, `{"n":%d,"at":%d,"key":"k%d","screen":"tablet","kind":"word","text":"stirred"}`, n+1, time.Now().UnixMilli(), n)
		events = append(events, store.Entry{Key: store.Below(v.ID, int64(n+1)), Body: e})
	}
	require.NoError(t, s.SaveEntries(context.Background(), store.StoveEntry, events))
	require.NoError(t, s.Close())
	best := time.Hour
	for range 3 {
		b, end := openIn(t, folder)
		start := time.Now()
		require.Len(t, b.stove(v.ID).Now.State.Different, 3000)
		best = min(best, time.Since(start))
		end()
	}
	require.Less(t, best, 100*time.Millisecond)
	t.Logf("opened in %v", best)
}
