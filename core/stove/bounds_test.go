package stove_test

import (
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/day"
	"yembra/core/larder"
	"yembra/core/stove"
)

// What an event may say ends exactly where it says so.
func TestTheBoundsOfEvents(t *testing.T) {
	p := soup()
	p.Cooks = 2
	s := stove.Begin()
	timed := stove.Of(p, []stove.Event{{N: 1, At: began, Kind: stove.StartTimer, Move: "boil", Amount: 10}})
	for name, x := range map[string]struct {
		s  *stove.State
		e  stove.Event
		ok bool
	}{
		"no grams":               {&s, stove.Event{Kind: stove.Amount, Line: "salt"}, true},
		"less than no grams":     {&s, stove.Event{Kind: stove.Amount, Line: "salt", Amount: -0.1}, false},
		"the most grams":         {&s, stove.Event{Kind: stove.Amount, Line: "salt", Amount: 50_000}, true},
		"more grams":             {&s, stove.Event{Kind: stove.Amount, Line: "salt", Amount: 50_000.1}, false},
		"no minutes":             {&s, stove.Event{Kind: stove.StartTimer, Move: "boil"}, false},
		"some minutes":           {&s, stove.Event{Kind: stove.StartTimer, Move: "boil", Amount: 0.1}, true},
		"a day":                  {&s, stove.Event{Kind: stove.StartTimer, Move: "boil", Amount: 1440}, true},
		"more than a day":        {&s, stove.Event{Kind: stove.StartTimer, Move: "boil", Amount: 1440.5}, false},
		"the coldest":            {&s, stove.Event{Kind: stove.Reached, Text: "frying", Amount: -50}, true},
		"colder":                 {&s, stove.Event{Kind: stove.Reached, Text: "frying", Amount: -50.1}, false},
		"the hottest":            {&s, stove.Event{Kind: stove.Reached, Text: "frying", Amount: 500}, true},
		"hotter":                 {&s, stove.Event{Kind: stove.Reached, Text: "frying", Amount: 500.1}, false},
		"a band that is none":    {&s, stove.Event{Kind: stove.Watch, Text: "fridge"}, false},
		"for all cooks":          {&s, stove.Event{Kind: stove.Lane}, true},
		"the last cook":          {&s, stove.Event{Kind: stove.Lane, Amount: 2}, true},
		"one cook more":          {&s, stove.Event{Kind: stove.Lane, Amount: 3}, false},
		"half a cook":            {&s, stove.Event{Kind: stove.Lane, Amount: 1.5}, false},
		"no cook":                {&s, stove.Event{Kind: stove.Lane, Amount: -1}, false},
		"no other food":          {&s, stove.Event{Kind: stove.OtherFood, Line: "salt"}, false},
		"another food by name":   {&s, stove.Event{Kind: stove.OtherFood, Line: "salt", Text: "soy sauce"}, true},
		"another food":           {&s, stove.Event{Kind: stove.OtherFood, Line: "salt", Food: "soy-sauce"}, true},
		"a line is weighed":      {&s, stove.Event{Kind: stove.Weigh, Line: "salt"}, true},
		"a pot before":           {&s, stove.Event{Kind: stove.Weigh, Move: "boil", Text: stove.PotBefore}, true},
		"a pot after":            {&s, stove.Event{Kind: stove.Weigh, Move: "boil", Text: stove.PotAfter}, true},
		"a pot, no one knows":    {&s, stove.Event{Kind: stove.Weigh, Move: "boil", Text: "during"}, false},
		"a pot and a line":       {&s, stove.Event{Kind: stove.Weigh, Move: "boil", Line: "salt", Text: stove.PotBefore}, false},
		"a timer goes on":        {&timed, stove.Event{Kind: stove.Longer, Of: 1, Amount: 2}, true},
		"a timer is over":        {&timed, stove.Event{Kind: stove.Over, Of: 1}, true},
		"no timer is over":       {&timed, stove.Event{Kind: stove.Over, Of: 2}, false},
		"the first is undone":    {&timed, stove.Event{Kind: stove.Undo, Of: 1}, true},
		"none is undone":         {&timed, stove.Event{Kind: stove.Undo}, false},
		"no plan":                {&s, stove.Event{Kind: stove.Plan}, false},
		"a plan":                 {&s, stove.Event{Kind: stove.Plan, Plan: map[string]stove.Placed{"fry": {Start: 1, End: 2}}}, true},
		"the longest text":       {&s, stove.Event{Kind: stove.Word, Text: strings.Repeat("x", 500)}, true},
		"a longer text":          {&s, stove.Event{Kind: stove.Word, Text: strings.Repeat("x", 501)}, false},
		"the longest screen":     {&s, stove.Event{Kind: stove.End, Screen: strings.Repeat("x", 100)}, true},
		"a longer screen":        {&s, stove.Event{Kind: stove.End, Screen: strings.Repeat("x", 101)}, false},
		"the longest key":        {&s, stove.Event{Kind: stove.End, Key: strings.Repeat("x", 64)}, true},
		"a longer key":           {&s, stove.Event{Kind: stove.End, Key: strings.Repeat("x", 65)}, false},
		"held without its move":  {&s, stove.Event{Kind: stove.Held, Line: "salt"}, false},
		"held without its thing": {&s, stove.Event{Kind: stove.Held, Move: "salt"}, false},
	} {
		if x.e.Screen == "" {
			x.e.Screen = "tablet"
		}
		if x.e.Key == "" {
			x.e.Key = "key"
		}
		err := stove.Check(p, x.s, x.e)
		require.Equal(t, x.ok, err == nil, "%s: %v", name, err)
	}
	require.True(t, stove.Done.Begins() && stove.Held.Begins() && stove.StartTimer.Begins() && stove.Hotter.Begins() && stove.Cooler.Begins())
	require.False(t, stove.Word.Begins() || stove.Over.Begins() || stove.Later.Begins())
	require.True(t, stove.Reached.ByDevices() && stove.Left.ByDevices() && stove.Plan.ByDevices())
	require.False(t, stove.Watch.ByDevices() || stove.Done.ByDevices())
}

// A plan is moved as a whole, what has no time stays without, and the first to begin begins at the moment asked.
func TestAPlanBeginsWhenItIsAsked(t *testing.T) {
	p := soup()
	p.Moves[0].Start, p.Moves[0].End = 0, 0
	p.Moves[1].Start, p.Moves[1].End = began+4*minute, began+9*minute
	p.BeginAt(began + 60*minute)
	require.Zero(t, p.Moves[0].Start)
	require.Zero(t, p.Moves[0].End)
	for i, want := range map[int][2]int64{1: {60, 65}, 2: {61, 63}, 3: {63, 73}, 4: {73, 74}} {
		require.Equal(t, [2]int64{began + want[0]*minute, began + want[1]*minute}, [2]int64{p.Moves[i].Start, p.Moves[i].End}, p.Moves[i].ID)
	}
	cook := 1
	placed, err := stove.PlacedOf(day.Plan{Tasks: []day.Placed{{ID: "a", Start: "2026-12-05T19:00:00Z", End: "2026-12-05T19:30:00Z", Cook: &cook}, {ID: "b", Start: "2026-12-05T19:00:00Z", End: "2026-12-05T19:01:00Z"}}})
	require.NoError(t, err)
	require.Equal(t, 2, placed["a"].Cook, "cooks are numbered from 1")
	require.Zero(t, placed["b"].Cook, "nobody's")
	require.Equal(t, int64(30*minute), placed["a"].End-placed["a"].Start)
	_, err = stove.PlacedOf(day.Plan{Tasks: []day.Placed{{Start: "soon"}}})
	require.Error(t, err)
	_, err = stove.PlacedOf(day.Plan{Tasks: []day.Placed{{Start: "2026-12-05T19:00:00Z", End: "later"}}})
	require.Error(t, err)
}

// What is behind and before the plan, and when that is said.
func TestWhenItIsSaidHowLateItIs(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began}
	e.p.Moves[0].Start = 0 // nobody planned when to press
	for _, x := range []struct {
		at     int64
		behind float64
		late   bool
	}{{-2, -2, false}, {0, 0, false}, {4, 4, false}, {5, 5, true}, {7, 7, true}} {
		e.now = began + x.at*minute
		require.InDelta(t, x.behind, e.view().Behind, 1e-9)
		require.Equal(t, x.late, strings.Contains(strings.Join(e.kinds(), " "), stove.Late), "%d minutes", x.at)
	}
	e.now = began
	e.tell(stove.Event{Kind: stove.Hotter, Move: "fry"})
	require.InDelta(t, -5, e.view().Behind, 1e-9, "what has begun is late by its end; what comes next by its beginning")
	for _, m := range e.p.Moves {
		e.tell(stove.Event{Kind: stove.Done, Move: m.ID})
	}
	require.Zero(t, e.view().Behind, "nothing is left to be late")
}

// A timer speaks up when its time is up, and says for how long nobody has answered.
func TestWhenATimerSpeaksUp(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began}
	e.tell(stove.Event{Kind: stove.StartTimer, Move: "boil", Amount: 10})
	says := func(after int64) string {
		e.now = began + after
		for _, n := range e.view().Says {
			if n.Kind == stove.TimerOver {
				return n.Text
			}
		}
		return ""
	}
	require.Empty(t, says(10*minute-1))
	require.Equal(t, "Boil the soup: the time is up. Look: until tender?", says(10*minute))
	require.Equal(t, "Boil the soup: the time is up. Look: until tender?", says(12*minute-1))
	require.Equal(t, "Boil the soup: the time was up 2 minutes ago and nobody answered. Look: until tender?", says(12*minute))
	require.Equal(t, "Boil the soup: the time was up 5 minutes ago and nobody answered. Look: until tender?", says(15*minute))
	e.tell(stove.Event{Kind: stove.Longer, Of: 1, Amount: 1})
	require.Empty(t, says(15*minute+30_000), "a minute more, from when that was said")
	require.Contains(t, says(16*minute), "the time is up")
	s := e.state()
	require.Equal(t, "Boil the soup: 1 minute longer.", s.Different[0].Text)
	require.InDelta(t, 16, s.Timers[0].Minutes, 1e-9)
}

// What goes on by itself and was not begun is asked for two minutes after what it follows.
func TestWhenWhatWasNotBegunIsAskedFor(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began}
	e.tell(stove.Event{Kind: stove.Done, Move: "press"})
	e.tell(stove.Event{Kind: stove.Done, Move: "fry"})
	e.tell(stove.Event{Kind: stove.Done, Move: "salt"})
	unstarted := func(after int64) bool {
		e.now = began + after
		return strings.Contains(strings.Join(e.kinds(), " "), stove.Unstarted)
	}
	require.False(t, unstarted(2*minute-1))
	require.True(t, unstarted(2*minute))
	e.tell(stove.Event{Kind: stove.StartTimer, Move: "boil", Amount: 1})
	require.False(t, unstarted(3*minute), "it is on the fire")
	waits := &evening{t: t, p: soup(), now: began + 30*minute}
	require.NotContains(t, waits.kinds(), stove.Unstarted, "what nothing comes before, and what cannot begin yet, is asked for by the plan")
	e = &evening{t: t, p: soup(), now: began}
	e.p.Moves[3].Minutes = 0
	e.tell(stove.Event{Kind: stove.Done, Move: "salt"})
	require.False(t, unstarted(9*minute), "what takes no time has no timer")
}

// The summary counts in whole minutes, and tells only of times that differ by more than a tenth and a minute.
func TestTheSummaryRoundsAsItSays(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began}
	for _, m := range []struct {
		id       string
		from, to int64
	}{{"press", 0, 22 * minute}, {"fry", 0, 6 * minute}, {"salt", 6 * minute, 9*minute + 31_000}, {"boil", 10 * minute, 21 * minute}} {
		e.now = began + m.from
		e.tell(stove.Event{Kind: stove.Hotter, Move: m.id})
		e.now = began + m.to
		e.tell(stove.Event{Kind: stove.Done, Move: m.id})
	}
	e.now = began + 100*minute
	s := e.state()
	sum := stove.Sum(e.p, &s, e.now)
	require.Equal(t, []stove.Took{{Move: "salt", Name: "Season", Planned: 2, Took: 4}}, sum.Times, "20 and 22, 5 and 6, 10 and 11 are the same")
	require.InDelta(t, 20, sum.Planned, 0, "from the first beginning to the last end, that of the pressing")
	require.Equal(t, []string{"10 g parsley"}, sum.Unused)
	require.Nil(t, sum.Late, "it has not ended")
	require.Contains(t, sum.Say, "4 of 5 things done in 1 h 40 min.")
	for minutes, said := range map[int64]string{59: "59 min", 60: "1 h", 61: "1 h 1 min", 120: "2 h", 125: "2 h 5 min"} {
		require.Contains(t, stove.Sum(e.p, &s, began+minutes*minute).Say, "in "+said+".")
	}
	e.p.ServeAt = began + 90*minute
	e.tell(stove.Event{Kind: stove.End})
	s = e.state()
	sum = stove.Sum(e.p, &s, e.now+500*minute)
	require.InDelta(t, 100, sum.Minutes, 0, "up to the end")
	require.InDelta(t, 10, *sum.Late, 0)
	require.Contains(t, sum.Say, "4 things were different")
	begin := stove.Begin()
	require.Contains(t, stove.Sum(soup(), &begin, began).Say, "Cooked as the card has it; 0 of 5")
}

// What a kitchen's weighings teach, by hand: the mean of logarithms between the book and what was weighed.
func TestWhatWeighingsTeach(t *testing.T) {
	x := &larder.Loss{ID: "simmered", Name: "simmering", Spread: 0.3}
	weighed := []stove.Measured{{Loss: "simmered", Foreseen: 100, Lost: 200}, {Loss: "pressed", Foreseen: 100, Lost: 400}, {Loss: "simmered", Foreseen: 0, Lost: 10}, {Loss: "simmered", Foreseen: 10}}
	f := stove.Learn(x, weighed)
	require.Equal(t, 1, f.N)
	require.InDelta(t, math.Sqrt2, f.Factor, 1e-12, "as sure as the book: half way")
	half := 1.959963984540054 * 0.3 / math.Sqrt2
	require.InDelta(t, math.Sqrt2*math.Exp(half), f.High, 1e-9)
	require.InDelta(t, math.Sqrt2*math.Exp(-half), f.Low, 1e-9)
	require.Contains(t, f.Say, "from one weighing of this kitchen")
	f = stove.Learn(x, append(weighed, stove.Measured{Loss: "simmered", Foreseen: 100, Lost: 200}))
	require.InDelta(t, math.Pow(2, 2.0/3), f.Factor, 1e-12)
	require.Contains(t, f.Say, "from 2 weighings")
	require.InDelta(t, 1, stove.Learn(x, nil).Factor, 0)
}

// A pot teaches only what it was weighed for.
func TestPotsThatTeachNothing(t *testing.T) {
	p := soup()
	for name, x := range map[string]struct {
		pot  stove.Pot
		lost float64
	}{
		"it lost":                {stove.Pot{Before: 2000, After: 1500, BeforeAt: began, AfterAt: began + 10*minute}, 500},
		"nothing before":         {stove.Pot{After: 1500, AfterAt: began + 10*minute}, 0},
		"nothing after":          {stove.Pot{Before: 2000, BeforeAt: began, AfterAt: began + 10*minute}, 0},
		"as much":                {stove.Pot{Before: 2000, After: 2000, BeforeAt: began, AfterAt: began + 10*minute}, 0},
		"too short to foresee":   {stove.Pot{Before: 2000, After: 1990, BeforeAt: began, AfterAt: began + 3000}, 0},
		"weighed the other way":  {stove.Pot{Before: 2000, After: 1500, BeforeAt: began + 10*minute, AfterAt: began}, 0},
		"one gram, for the book": {stove.Pot{Before: 2000, After: 1999, BeforeAt: began, AfterAt: began + 10*minute}, 1},
	} {
		s := stove.Begin()
		s.Pots["boil"] = x.pot
		losses := stove.Losses(p, &s)
		if x.lost == 0 {
			require.Empty(t, losses, name)
			continue
		}
		require.Len(t, losses, 1, name)
		require.InDelta(t, x.lost, losses[0].Lost, 1e-9, name)
		require.InDelta(t, 10, losses[0].Minutes, 1e-9, name)
		require.Equal(t, "Soup", losses[0].Dish, name)
	}
	s := stove.Begin()
	s.Pots["boil"] = stove.Pot{Before: 2000, After: 1500, BeforeAt: began, AfterAt: began + 30*minute}
	s.Timers = []stove.Timer{{Move: "boil", Begun: began - minute, Over: began + minute}, {Move: "fry", Begun: began + minute, Over: began + 2*minute}, {Move: "boil", Begun: began, Over: began + 12*minute}}
	require.InDelta(t, 12, stove.Losses(p, &s)[0].Minutes, 1e-9, "by its own timer, from when it was weighed")
	s.Timers[2].Over = 0
	require.InDelta(t, 30, stove.Losses(p, &s)[0].Minutes, 1e-9, "to the second weighing, where it still runs")
	s.Timers[2].Over = began + 60*minute
	require.InDelta(t, 30, stove.Losses(p, &s)[0].Minutes, 1e-9, "no longer than that")
}
