package stove_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/stove"
)

// taps are the words of what can be told of a move by one tap, of one kind.
func taps(p *stove.Program, s *stove.State, move string, kind stove.Kind) []string {
	var out []string
	for _, tap := range stove.Different(p, s, p.Move(move)) {
		if tap.Kind == kind {
			out = append(out, tap.Say)
		}
	}
	return out
}

// Amounts are stepped as a kitchen measures, finer the less there is.
func TestAmountsAreSteppedByTheirSize(t *testing.T) {
	p := soup()
	for grams, said := range map[float64][]string{
		2000: {"1800 g onion", "1900 g onion", "2100 g onion", "2200 g onion"},
		1000: {"800 g onion", "900 g onion", "1100 g onion", "1200 g onion"},
		999:  {"899 g onion", "949 g onion", "1049 g onion", "1099 g onion"},
		200:  {"100 g onion", "150 g onion", "250 g onion", "300 g onion"},
		199:  {"179 g onion", "189 g onion", "209 g onion", "219 g onion"},
		60:   {"40 g onion", "50 g onion", "70 g onion", "80 g onion"},
		59:   {"49 g onion", "54 g onion", "64 g onion", "69 g onion"},
		15:   {"5.0 g onion", "10 g onion", "20 g onion", "25 g onion"},
		14:   {"12 g onion", "13 g onion", "15 g onion", "16 g onion"},
		4:    {"2.0 g onion", "3.0 g onion", "5.0 g onion", "6.0 g onion"},
		3:    {"2.0 g onion", "2.5 g onion", "3.5 g onion", "4.0 g onion"},
		1:    {"0.5 g onion", "1.5 g onion", "2.0 g onion"},
		0.8:  {"0.4 g onion", "0.6 g onion", "1.0 g onion", "1.2 g onion"},
		0:    nil,
	} {
		p.Lines[0].Grams = grams
		s := stove.Begin()
		require.Equal(t, said, taps(p, &s, "fry", stove.Amount), "%g g", grams)
	}
	p.Lines[0].Grams, p.Lines[0].Density = 30, 0.5
	s := stove.Begin()
	require.Contains(t, taps(p, &s, "fry", stove.Amount)[0], " (20 g) onion", "below thirty grams by the spoon, with the grams beside")
	require.Equal(t, "35 g onion", taps(p, &s, "fry", stove.Amount)[2], "from there on by weight")
	s.Used["onion"] = 100
	require.Equal(t, "80 g onion", taps(p, &s, "fry", stove.Amount)[0], "from what was used")
	s.Gone["onion"] = ""
	require.Empty(t, taps(p, &s, "fry", stove.Amount), "what was left out has no amount")
	s = stove.Begin()
	p.Lines[0].Made = true
	require.Empty(t, taps(p, &s, "fry", stove.Amount), "what was made here is not weighed out")
	s = stove.Begin()
	s.Moves["fry"] = stove.Progress{Done: began}
	require.Empty(t, taps(p, &s, "fry", stove.Later), "what is done is put off no more")
	require.Equal(t, []string{"earlier: Press the tofu"}, taps(p, &s, "salt", stove.Earlier), "only what can be begun comes sooner")
}

// What is still to go in stands on the board, as much of it as is left.
func TestTheBoardTellsWhatIsLeft(t *testing.T) {
	p := soup()
	s := stove.Begin()
	board := func() map[string]string {
		out := map[string]string{}
		for _, b := range stove.Look(p, &s, began).Board {
			out[b.Line.ID] = b.Text + " / " + b.Move
		}
		return out
	}
	require.Equal(t, map[string]string{"onion": "200 g onion, chopped / fry", "salt": "1 tsp salt / salt", "parsley": "10 g parsley / serve"}, board())
	s.In["onion"], s.In["parsley"] = 0.5, 0.9995
	require.Equal(t, map[string]string{"onion": "100 g onion / fry", "salt": "1 tsp salt / salt"}, board(), "a crumb that is left is nothing")
	s.In["onion"] = 0.0005
	require.Equal(t, "200 g onion, chopped / fry", board()["onion"], "all of it")
	s.Moves["fry"] = stove.Progress{Done: began}
	require.Equal(t, "200 g onion, chopped / ", board()["onion"], "nothing takes it any more")
	p.Lines[0].Grams = 0
	s.In["onion"] = 0.5
	require.Equal(t, "200 g onion, chopped / ", board()["onion"], "of what has no weight nobody tells how much is left")
}

// A lane shows three minutes of hands' work, two moves at least and four at most.
func TestHowFarALaneLooks(t *testing.T) {
	p := soup()
	p.Moves = nil
	for _, id := range []string{"a", "b", "c", "d", "e", "f"} {
		p.Moves = append(p.Moves, stove.Move{ID: id, Name: id, Hands: true, Minutes: 1.5, Start: began + int64(len(p.Moves))*minute, Cook: 1})
	}
	next := func() int {
		s := stove.Begin()
		return len(stove.Look(p, &s, began).Lanes[0].Next)
	}
	require.Equal(t, 2, next(), "two of a minute and a half")
	for i := range p.Moves {
		p.Moves[i].Minutes = 1
	}
	require.Equal(t, 3, next())
	for i := range p.Moves {
		p.Moves[i].Minutes = 0.1
	}
	require.Equal(t, 4, next(), "no more than four")
	for i := range p.Moves {
		p.Moves[i].Minutes = 20
	}
	require.Equal(t, 2, next(), "two, however long")
	for i := range p.Moves {
		p.Moves[i].Hands = false
	}
	require.Equal(t, 4, next(), "what goes on by itself takes no hands")
}

// Two cooks have a lane each and one for both; what goes on by itself is begun by whoever did what it follows.
func TestEachCookHasALane(t *testing.T) {
	p := soup()
	p.Cooks = 2
	p.Moves[2].Cook = 2
	s := stove.Begin()
	lanes := stove.Look(p, &s, began).Lanes
	require.Len(t, lanes, 3)
	require.Equal(t, []int{0, 1, 2}, []int{lanes[0].Cook, lanes[1].Cook, lanes[2].Cook})
	require.Equal(t, "press", lanes[1].Now.Move.ID, "what follows nothing is the first cook's")
	require.Nil(t, lanes[2].Now)
	require.Equal(t, "Fry the onion", lanes[2].Wait, "the second waits for the first")
	s.Moves["fry"] = stove.Progress{Done: began}
	require.Equal(t, "salt", stove.Look(p, &s, began).Lanes[2].Now.Move.ID)
	s.Moves["salt"] = stove.Progress{Done: began}
	require.Equal(t, "boil", stove.Look(p, &s, began).Lanes[2].Now.Move.ID, "who salted it boils it")
	one := soup()
	begin := stove.Begin()
	require.Len(t, stove.Look(one, &begin, began).Lanes, 1, "one cook has one lane")
}

// What ends first on the fire stands first; what is answered is on it no more.
func TestTheFireInTheOrderOfItsEnds(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began}
	e.tell(stove.Event{Kind: stove.StartTimer, Move: "press", Amount: 20})
	e.tell(stove.Event{Kind: stove.StartTimer, Move: "boil", Amount: 10})
	require.Equal(t, []string{"boil", "press"}, []string{e.view().Fire[0].Move.ID, e.view().Fire[1].Move.ID})
	e.tell(stove.Event{Kind: stove.Over, Of: 2})
	require.Len(t, e.view().Fire, 1)
	e.tell(stove.Event{Kind: stove.Longer, Of: 2, Amount: 5})
	s := e.state()
	require.Empty(t, s.Different, "what was answered gets no longer")
	require.Equal(t, 1, e.view().Done)
	e.tell(stove.Event{Kind: stove.StartTimer, Move: "boil", Amount: 5})
	require.Len(t, e.view().Fire, 1, "what is done is not begun again")
	e.tell(stove.Event{Kind: stove.StartTimer, Move: "press", Amount: 5})
	require.Len(t, e.view().Fire, 1, "what is on the fire is not put on twice")
}

// What is held back is not put in by its move, and is told as late once it goes in after it.
func TestWhatIsHeldBack(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began + minute}
	e.tell(stove.Event{Kind: stove.Held, Move: "salt", Line: "salt"})
	e.tell(stove.Event{Kind: stove.In, Line: "salt"})
	s := e.state()
	require.Zero(t, s.In["salt"], "its move will take it")
	e.tell(stove.Event{Kind: stove.Held, Move: "salt", Line: "salt"})
	require.True(t, e.view().Lanes[0].Next[1].Takes[0].Held)
	e.now = began + 3*minute
	e.tell(stove.Event{Kind: stove.Done, Move: "salt"})
	s = e.state()
	require.Zero(t, s.In["salt"])
	require.Equal(t, began+minute, s.Moves["salt"].Begun, "it began when it was touched")
	require.Contains(t, e.kinds(), stove.Forgotten)
	e.tell(stove.Event{Kind: stove.In, Line: "salt"})
	s = e.state()
	require.InDelta(t, 1, s.In["salt"], 0)
	require.Equal(t, "Salt went in late, after “Season”.", s.Different[0].Text)
	require.NotContains(t, e.kinds(), stove.Forgotten)
	require.NotContains(t, e.kinds(), stove.Season, "there is time to taste")
	for _, id := range []string{"press", "fry", "boil"} {
		e.tell(stove.Event{Kind: stove.Done, Move: id})
	}
	require.Contains(t, e.kinds(), stove.Season, "before it is served")
	e.tell(stove.Event{Kind: stove.Seen, Text: "season salt"})
	require.NotContains(t, e.kinds(), stove.Season, "it was answered")
	e.tell(stove.Event{Kind: stove.LeftOut, Line: "parsley", Text: "none left"})
	e.tell(stove.Event{Kind: stove.LeftOut, Line: "parsley"})
	e.tell(stove.Event{Kind: stove.Done, Move: "serve"})
	s = e.state()
	require.Equal(t, "Parsley left out (none left).", s.Different[1].Text)
	require.Len(t, s.Different, 2, "it was gone before")
	require.NotContains(t, e.kinds(), stove.Unused)
}

// A move that was not seen to begin began when the last of that screen was done, and no longer ago than it takes.
func TestWhenAMoveBegan(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began + 10*minute}
	e.tell(stove.Event{Kind: stove.Done, Move: "fry"})
	s := e.state()
	require.Equal(t, began+5*minute, s.Moves["fry"].Begun, "as long ago as it takes")
	e.now += minute
	e.tell(stove.Event{Kind: stove.Done, Move: "salt"})
	s = e.state()
	require.Equal(t, began+10*minute, s.Moves["salt"].Begun, "not before the last was done")
	e.now += minute / 2
	e.tell(stove.Event{Kind: stove.Done, Move: "serve", Screen: "phone"})
	s = e.state()
	require.Equal(t, began+10*minute+minute/2, s.Moves["serve"].Begun, "another screen did nothing before")
}

// A weight is steady when it has stood for 1.2 seconds within three grams, and right within three in a hundred or a gram.
func TestWhenAWeightIsSteadyAndRight(t *testing.T) {
	at := func(ms int64, grams float64) stove.Reading { return stove.Reading{At: began + ms, Grams: grams} }
	stands := func(grams float64) []stove.Reading {
		return []stove.Reading{at(0, grams), at(600, grams), at(1200, grams)}
	}
	for name, x := range map[string]struct {
		asked    float64
		readings []stove.Reading
		want     stove.Weight
	}{
		"nothing yet":         {200, nil, stove.Weight{Say: "waiting for the scale"}},
		"right":               {200, stands(206), stove.Weight{Grams: 206, Short: -6, Right: true, Steady: true, Ready: true, Say: "that is it"}},
		"just too much":       {200, stands(206.1), stove.Weight{Grams: 206.1, Short: -6.1, Steady: true, Say: "6 g too much"}},
		"just right":          {200, stands(194), stove.Weight{Grams: 194, Short: 6, Right: true, Steady: true, Ready: true, Say: "that is it"}},
		"some more":           {200, stands(190), stove.Weight{Grams: 190, Short: 10, Steady: true, Say: "10 g more"}},
		"a gram is allowed":   {10, stands(11), stove.Weight{Grams: 11, Short: -1, Right: true, Steady: true, Ready: true, Say: "that is it"}},
		"and no more":         {10, stands(11.1), stove.Weight{Grams: 11.1, Short: -1.1, Steady: true, Say: "1 g too much"}},
		"not long enough":     {200, []stove.Reading{at(0, 200), at(1199, 200)}, stove.Weight{Grams: 200, Right: true, Say: "that is it"}},
		"it still moves":      {200, []stove.Reading{at(0, 196.9), at(600, 200), at(1200, 200)}, stove.Weight{Grams: 200, Right: true, Say: "that is it"}},
		"it moves little":     {200, []stove.Reading{at(0, 197), at(600, 200), at(1200, 200)}, stove.Weight{Grams: 199, Short: 1, Right: true, Steady: true, Ready: true, Say: "that is it"}},
		"long ago":            {200, []stove.Reading{at(0, 199), at(100, 200), at(1300, 200), at(2500, 200)}, stove.Weight{Grams: 200, Right: true, Steady: true, Ready: true, Say: "that is it"}},
		"whatever it is":      {0, stands(2.1), stove.Weight{Grams: 2.1, Steady: true, Ready: true, Say: "2 g"}},
		"an empty scale":      {0, stands(2), stove.Weight{Grams: 2, Steady: true, Say: "2 g"}},
		"less than was there": {0, stands(-4), stove.Weight{Grams: -4, Steady: true, Say: "0 g"}},
	} {
		got := stove.Judge(&stove.Weighing{Asked: x.asked}, x.readings)
		require.InDelta(t, x.want.Short, got.Short, 1e-9, name)
		x.want.Short = got.Short
		require.Equal(t, x.want, got, name)
	}
	got := stove.Judge(&stove.Weighing{Asked: 100, Zero: 300, Since: began + 300}, []stove.Reading{at(0, 400), at(600, 400), at(1400, 400)})
	require.False(t, got.Steady, "what was there before it began does not count")
	require.InDelta(t, 100, got.Grams, 1e-9, "without what stood on the scale")
	require.InDelta(t, 1, stove.Tolerance(33), 1e-9)
	require.InDelta(t, 1.02, stove.Tolerance(34), 1e-9)
}

// What was weighed is told as different only beyond the tolerance, and is what the next tap starts from.
func TestAWeightThatDiffersIsTold(t *testing.T) {
	for grams, said := range map[float64]string{206: "", 194: "", 206.5: "Onion: 206 g weighed, 200 g asked.", 9: "Onion: 9.0 g weighed, 200 g asked.", 10: "Onion: 10 g weighed, 200 g asked."} {
		e := &evening{t: t, p: soup(), now: began}
		e.tell(stove.Event{Kind: stove.Weigh, Line: "onion"})
		e.tell(stove.Event{Kind: stove.Weighed, Amount: grams})
		s := e.state()
		require.InDelta(t, grams, s.Used["onion"], 0)
		if said == "" {
			require.Empty(t, s.Different, "%g", grams)
			continue
		}
		require.Equal(t, said, s.Different[0].Text)
	}
	p := soup()
	p.Moves[4].Takes = append(p.Moves[4].Takes, stove.Take{Line: "onion", Share: 0.25, Text: "the rest", Grams: 50})
	p.Moves[1].Takes[0].Grams = 150
	e := &evening{t: t, p: p, now: began}
	asked := func(x stove.Event) float64 {
		e.tell(x)
		s := e.state()
		e.tell(stove.Event{Kind: stove.Unweigh})
		return s.Weighing.Asked
	}
	require.InDelta(t, 150, asked(stove.Event{Kind: stove.Weigh, Line: "onion"}), 0, "what the first move takes")
	e.tell(stove.Event{Kind: stove.Done, Move: "fry"})
	require.InDelta(t, 50, asked(stove.Event{Kind: stove.Weigh, Line: "onion"}), 0, "then what the next takes")
	e.tell(stove.Event{Kind: stove.Done, Move: "serve"})
	require.InDelta(t, 200, asked(stove.Event{Kind: stove.Weigh, Line: "onion"}), 0, "else all that the card has")
}
