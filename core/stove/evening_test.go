package stove_test

import (
	"context"
	"fmt"
	"math/rand/v2"
	"slices"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/core/day"
	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/method"
	"yembra/core/stove"
	"yembra/core/swap"
	"yembra/demo"
	"yembra/knowledge"
)

var shipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })

func larderOf(t testing.TB) *larder.Larder {
	t.Helper()
	l, err := shipped()
	require.NoError(t, err)
	return l
}

// began is when evenings in tests begin.
var began = time.Date(2026, 12, 5, 17, 0, 0, 0, time.UTC).UnixMilli()

const minute = int64(60_000)

// menu makes a program of dishes of the club, planned.
func menu(t testing.TB, keys ...string) stove.Program {
	t.Helper()
	l := larderOf(t)
	r, b := flow.NewReader(l), swap.NewBook(l)
	c := method.NewCarrier(b, r)
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	var courses []day.Course
	for _, key := range keys {
		at := slices.IndexFunc(recipes, func(x demo.Recipe) bool { return x.Key == key })
		require.GreaterOrEqual(t, at, 0, key)
		d := r.Read(recipes[at].Text, measure.Metric)
		dec, err := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
		require.NoError(t, err)
		a, err := c.Adapt(d, dec, false)
		require.NoError(t, err)
		courses = append(courses, day.Course{ID: key, Name: d.Name, Parts: method.Parts(l, a), Factor: 1})
	}
	kitchen := day.Kitchen{Cooks: 2, Rings: 4, Ovens: []day.Oven{{Shelves: 2}}, Kit: map[string]int{"blender": 1, "pressure cooker": 1}}
	jobs := day.Jobs(l, courses, kitchen)
	plan, err := day.Make(context.Background(), day.RequestFor("2026-12-05T19:30:00Z", kitchen, jobs))
	require.NoError(t, err)
	require.True(t, plan.Feasible)
	placed, err := stove.PlacedOf(plan)
	require.NoError(t, err)
	p := stove.NewProgram(l, courses, jobs, placed)
	p.Begun, p.Cooks = began, kitchen.Cooks
	return p
}

// evening plays a cook-through, faster than real time.
type evening struct {
	t      testing.TB
	p      *stove.Program
	now    int64
	events []stove.Event
}

func (e *evening) state() stove.State { return stove.Of(e.p, e.events) }

func (e *evening) view() stove.View {
	s := e.state()
	return stove.Look(e.p, &s, e.now)
}

// tell adds an event that must make sense.
func (e *evening) tell(x stove.Event) int64 {
	e.t.Helper()
	x.N, x.At = int64(len(e.events)+1), e.now
	x.Key = fmt.Sprint("key ", x.N)
	if x.Screen == "" {
		x.Screen = "tablet"
	}
	s := e.state()
	require.NoError(e.t, stove.Check(e.p, &s, x))
	e.events = append(e.events, x)
	return x.N
}

// kinds are what the stove speaks up about now.
func (e *evening) kinds() []string {
	var out []string
	for _, n := range e.view().Says {
		out = append(out, n.Kind)
	}
	return out
}

// cookAll does everything there is to do, as the screen asks for it.
func (e *evening) cookAll() {
	e.t.Helper()
	for range 10 * len(e.p.Moves) {
		v := e.view()
		if v.Done == v.Of {
			return
		}
		lane := v.Lanes[0]
		switch {
		case lane.Now != nil && lane.Now.Move.Hands:
			e.now += int64(lane.Now.Move.Minutes) * minute
			e.tell(stove.Event{Kind: stove.Done, Move: lane.Now.Move.ID})
		case lane.Now != nil:
			e.tell(stove.Event{Kind: stove.StartTimer, Move: lane.Now.Move.ID, Amount: max(1, lane.Now.Move.Minutes)})
		default:
			require.NotEmpty(e.t, v.Fire, "nothing to do, nothing on the fire, %d of %d done, waiting for %q", v.Done, v.Of, lane.Wait)
			e.now = max(e.now, v.Fire[0].Timer.Ends)
			e.tell(stove.Event{Kind: stove.Over, Of: v.Fire[0].Timer.N})
		}
	}
	require.Fail(e.t, "the evening does not end")
}

func TestAnEveningOfTwoDishesIsCookedThrough(t *testing.T) {
	p := menu(t, "cullen-skink", "goulash")
	e := &evening{t: t, p: &p, now: began}
	e.cookAll()
	v := e.view()
	for _, b := range v.Board {
		t.Log("still on the board:", b.Text)
	}
	require.LessOrEqual(t, len(v.Board), 1, "all but what no step names is in")
	s := e.state()
	for id, share := range s.In {
		require.LessOrEqual(t, share, 1.0, id)
	}
	sum := stove.Sum(&p, &s, e.now)
	require.Contains(t, sum.Say, fmt.Sprintf("%d of %d things done in ", v.Of, v.Of))
	require.Empty(t, v.Fire)
}

func TestTwoCooksDoWhatOneDoes(t *testing.T) {
	p := menu(t, "cullen-skink", "goulash")
	s := stove.Begin()
	v := stove.Look(&p, &s, began)
	require.Len(t, v.Lanes, 3, "one for all, and one for each")
	require.NotNil(t, v.Lanes[1].Now)
	hands := map[int]int{}
	for _, m := range p.Moves {
		if m.Hands {
			hands[m.Cook]++
		}
	}
	require.Positive(t, hands[1])
	require.Positive(t, hands[2])
	require.Zero(t, hands[0])
}

// TestRandomEveningsKeepTheRules tells events in any order, sensible or not.
func TestRandomEveningsKeepTheRules(t *testing.T) {
	p := menu(t, "goulash")
	runs := 10_000
	if testing.Short() {
		runs = 500
	}
	for seed := range runs {
		random := rand.New(rand.NewPCG(uint64(seed), 7))
		events := randomEvents(&p, random, 1+random.IntN(40))
		s := stove.Of(&p, events)
		started := 0
		for _, e := range stove.Standing(events) {
			if e.Kind == stove.StartTimer {
				started++
			}
		}
		require.LessOrEqual(t, len(s.Timers), started)
		running := map[string]bool{}
		for _, x := range s.Timers {
			require.GreaterOrEqual(t, x.Ends, x.Begun)
			if x.Over == 0 {
				require.False(t, running[x.Move], "one timer a move")
				require.False(t, s.IsDone(x.Move), "what is done has no timer that runs")
				running[x.Move] = true
			}
		}
		for line, share := range s.In {
			require.True(t, share >= 0 && share <= 1, "%s is in %g times", line, share)
		}
		for id, x := range s.Moves {
			require.NotNil(t, p.Move(id))
			if x.Done > 0 {
				require.LessOrEqual(t, x.Begun, x.Done)
			}
		}
		stove.Look(&p, &s, began+minute*int64(random.IntN(300)))
		if seed%10 == 0 { // one event after the other comes to the same
			step := stove.Begin()
			for _, e := range events {
				step = stove.Apply(&p, step, e)
			}
			require.Equal(t, stove.Look(&p, &s, began), stove.Look(&p, &step, began))
			require.Equal(t, s.Different, step.Different)
		}
		undone := slices.Clone(events)
		for _, e := range stove.Standing(events) {
			undone = append(undone, stove.Event{N: int64(len(undone) + 1), At: e.At, Kind: stove.Undo, Of: e.N})
		}
		back := stove.Of(&p, undone)
		begin := stove.Begin()
		require.Equal(t, stove.Look(&p, &begin, began), stove.Look(&p, &back, began), "all taken back is the beginning")
		require.Empty(t, back.Different)
	}
}

var anyKind = []stove.Kind{stove.Done, stove.Done, stove.Done, stove.Held, stove.In, stove.StartTimer, stove.StartTimer, stove.Longer, stove.Over, stove.Amount, stove.OtherFood, stove.LeftOut,
	stove.Hotter, stove.Earlier, stove.Later, stove.Word, stove.Weigh, stove.Weighed, stove.Unweigh, stove.Watch, stove.Unwatch, stove.Reached, stove.Left, stove.Seen, stove.Lane, stove.Undo, stove.Undo}

func randomEvents(p *stove.Program, random *rand.Rand, n int) []stove.Event {
	var events []stove.Event
	at := began
	for i := range n {
		at += int64(random.IntN(120_000))
		e := stove.Event{N: int64(i + 1), At: at, Kind: anyKind[random.IntN(len(anyKind))], Screen: []string{"tablet", "phone"}[random.IntN(2)], Amount: float64(1 + random.IntN(2)), Text: "holding"}
		e.Move, e.Line = p.Moves[random.IntN(len(p.Moves))].ID, p.Lines[random.IntN(len(p.Lines))].ID
		if e.Kind == stove.Weigh && random.IntN(2) == 0 {
			e.Line = ""
		}
		e.Of = int64(random.IntN(i + 1))
		events = append(events, e)
	}
	return events
}

func TestALongEveningOpensSoon(t *testing.T) {
	p := menu(t, "cullen-skink", "goulash", "feijoada")
	random := rand.New(rand.NewPCG(1, 2))
	events := randomEvents(&p, random, 3000)
	best := time.Hour
	for range 5 {
		start := time.Now()
		s := stove.Of(&p, events)
		stove.Look(&p, &s, began)
		best = min(best, time.Since(start))
	}
	require.Less(t, best, 100*time.Millisecond)
}

func BenchmarkOpen3000Events(b *testing.B) {
	p := menu(b, "cullen-skink", "goulash", "feijoada")
	events := randomEvents(&p, rand.New(rand.NewPCG(1, 2)), 3000)
	for b.Loop() {
		s := stove.Of(&p, events)
		stove.Look(&p, &s, began)
	}
}
