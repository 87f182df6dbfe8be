package stove_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/stove"
)

func TestAWeighingEndsByItself(t *testing.T) {
	steady := func(grams float64, n int) []stove.Reading {
		var out []stove.Reading
		for i := range n {
			out = append(out, stove.Reading{At: began + int64(i)*200, Grams: grams + 0.4*math.Sin(float64(i))})
		}
		return out
	}
	for _, c := range []struct {
		name     string
		w        stove.Weighing
		readings []stove.Reading
		ready    bool
		say      string
	}{
		{"no scale", stove.Weighing{Asked: 200}, nil, false, "waiting for the scale"},
		{"too little", stove.Weighing{Asked: 200, Zero: 50}, steady(238, 10), false, "12 g more"},
		{"too much", stove.Weighing{Asked: 200, Zero: 50}, steady(275, 10), false, "25 g too much"},
		{"right but not steady yet", stove.Weighing{Asked: 200}, steady(200, 3), false, "that is it"},
		{"right and steady", stove.Weighing{Asked: 200}, steady(201, 10), true, "that is it"},
		{"still pouring", stove.Weighing{Asked: 200}, []stove.Reading{{began, 100}, {began + 400, 150}, {began + 800, 190}, {began + 1600, 200}}, false, "that is it"},
		{"a pot", stove.Weighing{}, steady(1840, 10), true, "1840 g"},
		{"an empty scale is no pot", stove.Weighing{}, steady(0, 10), false, "0 g"},
	} {
		w := stove.Judge(&c.w, c.readings)
		require.Equal(t, c.ready, w.Ready, c.name)
		require.Equal(t, c.say, w.Say, c.name)
	}
	require.InDelta(t, 1, stove.Tolerance(5), 0)
	require.InDelta(t, 15, stove.Tolerance(500), 0)
}

func TestAWeighingTellsWhatWasReallyUsed(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began}
	e.tell(stove.Event{Kind: stove.Weigh, Line: "onion", Amount: 310})
	s := e.state()
	require.InDelta(t, 200, s.Weighing.Asked, 0)
	require.InDelta(t, 310, s.Weighing.Zero, 0)
	n := e.tell(stove.Event{Kind: stove.Weighed, Of: s.Weighing.N, Amount: 203})
	s = e.state()
	require.Nil(t, s.Weighing)
	require.InDelta(t, 203, s.Used["onion"], 0)
	require.Empty(t, s.Different, "3 g of 200 are within the tolerance")
	back := e.tell(stove.Event{Kind: stove.Undo, Of: n})
	s = e.state()
	require.Nil(t, s.Weighing, "the weighing goes with its weight")
	require.Empty(t, s.Used)
	e.tell(stove.Event{Kind: stove.Undo, Of: back})
	s = e.state()
	require.InDelta(t, 203, s.Used["onion"], 0, "and comes back with it")
	began := e.tell(stove.Event{Kind: stove.Weigh, Line: "onion"})
	e.tell(stove.Event{Kind: stove.Weighed, Of: began, Amount: 240})
	s = e.state()
	require.Equal(t, "Onion: 240 g weighed, 200 g asked.", s.Different[0].Text)
}

func TestTheProbeWatchesEveryBand(t *testing.T) {
	at := func(celsius ...float64) []stove.Degree {
		var out []stove.Degree
		for i, c := range celsius {
			out = append(out, stove.Degree{At: began + int64(i)*500, Celsius: c})
		}
		return out
	}
	for _, b := range larderOf(t).Bands() {
		inside, outside := 0.0, 0.0
		switch {
		case b.Low == nil:
			inside, outside = *b.High-2, *b.High+2
		case b.High == nil:
			inside, outside = *b.Low+2, *b.Low-2
		default:
			inside, outside = (*b.Low+*b.High)/2, *b.High+2
		}
		w := stove.Watched{Band: b.ID, Since: began}
		kind, found := stove.Probed(b, w, at(outside, outside, inside))
		require.False(t, found, "%s: one reading is no finding, %s", b.ID, kind)
		kind, found = stove.Probed(b, w, at(outside, inside, inside, inside))
		require.True(t, found, b.ID)
		require.Equal(t, stove.Reached, kind, b.ID)
		_, found = stove.Probed(b, w, at(outside, outside, outside))
		require.False(t, found, "%s: what was never reached is not left", b.ID)
		w.Reached = began
		kind, found = stove.Probed(b, w, at(inside, outside, outside, outside))
		require.Equal(t, b.Stays, found, b.ID)
		if found {
			require.Equal(t, stove.Left, kind, b.ID)
		}
		if b.Within > 0 {
			late := stove.Watched{Band: b.ID, Since: began - int64(b.Within+1)*minute}
			kind, found = stove.Probed(b, late, at(outside, outside, outside))
			require.True(t, found && kind == stove.Left, "%s: too slow", b.ID)
		}
	}
}

func TestPotsTeachTheKitchen(t *testing.T) {
	l := larderOf(t)
	e := &evening{t: t, p: soup(), now: began}
	e.tell(stove.Event{Kind: stove.Weigh, Move: "boil", Text: stove.PotBefore})
	e.tell(stove.Event{Kind: stove.Weighed, Amount: 2500})
	n := e.tell(stove.Event{Kind: stove.StartTimer, Move: "boil", Amount: 10})
	e.now += 10 * minute
	e.tell(stove.Event{Kind: stove.Over, Of: n})
	e.now += 2 * minute
	e.tell(stove.Event{Kind: stove.Weigh, Move: "boil", Text: stove.PotAfter})
	e.tell(stove.Event{Kind: stove.Weighed, Amount: 2104})
	s := e.state()
	weighed := stove.Losses(e.p, &s)
	require.Len(t, weighed, 1)
	require.InDelta(t, 330, weighed[0].Foreseen, 1e-9, "33 g a minute from the reference pot, for the ten minutes of its timer")
	require.InDelta(t, 396, weighed[0].Lost, 1e-9)

	// One weighing 1.2 times the book: ln 1.2 / 0.15^2 over 1/0.3^2 + 1/0.15^2.
	f := stove.Learn(l.Loss("simmered"), weighed)
	require.InDelta(t, math.Exp(math.Log(1.2)*0.8), f.Factor, 1e-9)
	require.InDelta(t, f.Factor*math.Exp(1.959963984540054*math.Sqrt(1/(1/0.09+1/0.0225))), f.High, 1e-9)
	many := stove.Learn(l.Loss("simmered"), append(append(weighed, weighed...), weighed...))
	require.Greater(t, many.Factor, f.Factor)
	require.Less(t, many.High-many.Low, f.High-f.Low, "more weighings are surer")
	require.InDelta(t, 1, stove.Learn(l.Loss("simmered"), nil).Factor, 0)
	require.InDelta(t, 1, stove.Learn(l.Loss("pressed"), weighed).Factor, 0, "a pot teaches nothing of pressing")

	pressed := stove.Foreseen(e.p.Move("press"), 20, 400)
	require.InDelta(t, 48, pressed, 1e-9)
	require.Greater(t, l.WithFactors(map[string]float64{"simmered": 1.3}).Factor("simmered"), l.Factor("simmered"))
	require.IsType(t, &larder.Loss{}, l.LossBy("boil", nil))
}

func TestTheSummaryTellsWhatWasDifferent(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began}
	e.p.ServeAt = began + 18*minute
	e.tell(stove.Event{Kind: stove.LeftOut, Line: "parsley", Text: "none in the house"})
	e.cookAll()
	e.tell(stove.Event{Kind: stove.End})
	s := e.state()
	sum := stove.Sum(e.p, &s, e.now)
	require.Len(t, sum.Different, 1)
	require.Empty(t, sum.Unused)
	require.InDelta(t, 20, sum.Planned, 0)
	require.NotNil(t, sum.Late)
	require.InDelta(t, sum.Minutes-18, *sum.Late, 0)
	require.Contains(t, sum.Say, "One thing was different; 5 of 5 things done")
}

func TestWhatStandsOnTheScaleIsItsMean(t *testing.T) {
	require.Zero(t, stove.OnScale(nil))
	require.InDelta(t, 310, stove.OnScale([]stove.Reading{{began - 300, 250}, {began, 309}, {began + 200, 311}, {began + 400, 310}}), 1e-9, "what came before it stood still does not count")
}

func TestTemperaturesThatStandAreTold(t *testing.T) {
	p := stove.Program{Bands: []stove.Band{{ID: "frying", Name: "frying oil"}}}
	events := []stove.Event{
		{N: 1, Kind: stove.Watch, Text: "frying"}, {N: 2, Kind: stove.Reached, Text: "frying", Amount: 171.6}, {N: 3, Kind: stove.Left, Text: "frying", Amount: 190},
		{N: 4, Kind: stove.Word, Text: "smells good"}, {N: 5, Kind: stove.Undo, Of: 3}, {N: 6, Kind: stove.Reached, Text: "unknown", Amount: 4},
	}
	require.Equal(t, []string{"Frying oil: reached at 172 °C", "unknown: reached at 4 °C"}, stove.Found(&p, events))
	require.Empty(t, stove.Found(&p, nil))
}
