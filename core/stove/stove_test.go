package stove_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/stove"
)

// soup is a small program: an onion is fried, salted, boiled for ten minutes and
// served with parsley.
func soup() *stove.Program {
	take := func(line, text string, grams float64) stove.Take {
		return stove.Take{Line: line, Share: 1, Text: text, Grams: grams}
	}
	at := func(minutes, length int64) (int64, int64) {
		return began + minutes*minute, began + (minutes+length)*minute
	}
	move := func(id, name, kind string, from, length int64, takes []stove.Take, after ...string) stove.Move {
		m := stove.Move{ID: id, Name: name, Kind: kind, Hands: kind == "work", Minutes: float64(length), Takes: takes, After: after, Cook: 1, For: []string{"Soup"}}
		m.Start, m.End = at(from, length)
		return m
	}
	boil := move("boil", "Boil the soup", "cook", 7, 10, []stove.Take{}, "salt")
	boil.Cue, boil.Fire, boil.Rate, boil.Loss = "until tender", true, 33, "simmered"
	press := move("press", "Press the tofu", "wait", 0, 20, []stove.Take{})
	press.Share, press.Loss = 0.12, "pressed"
	return &stove.Program{Name: "Soup", Begun: began, Cooks: 1,
		Bands: []stove.Band{{ID: "frying", Name: "frying oil", Say: "170 to 180 °C", Caution: "Hot oil burns."}},
		Lines: []stove.Line{
			{ID: "onion", Text: "200 g onion, chopped", Name: "onion", Grams: 200},
			{ID: "salt", Text: "1 tsp salt", Name: "salt", Grams: 6, Density: 1.2, Seasons: true},
			{ID: "parsley", Text: "10 g parsley", Name: "parsley", Grams: 10},
		},
		Moves: []stove.Move{
			press,
			move("fry", "Fry the onion", "work", 0, 5, []stove.Take{take("onion", "200 g onion, chopped", 200)}),
			move("salt", "Season", "work", 5, 2, []stove.Take{take("salt", "1 tsp salt", 6)}, "fry"),
			boil,
			move("serve", "Serve with parsley", "work", 17, 1, []stove.Take{take("parsley", "10 g parsley", 10)}, "boil"),
		}}
}

func TestOneThingAtATime(t *testing.T) {
	p := soup()
	e := &evening{t: t, p: p, now: began}
	lane := e.view().Lanes[0]
	require.Equal(t, "press", lane.Now.Move.ID, "what goes on by itself is begun first where it is first")
	timer := e.tell(stove.Event{Kind: stove.StartTimer, Move: "press", Amount: 20})
	lane = e.view().Lanes[0]
	require.Equal(t, "fry", lane.Now.Move.ID)
	require.Equal(t, "200 g onion, chopped", lane.Now.Takes[0].Text)
	require.Equal(t, "salt", lane.Next[0].Move.ID)
	e.now += 5 * minute
	fried := e.tell(stove.Event{Kind: stove.Done, Move: "fry"})
	e.tell(stove.Event{Kind: stove.Done, Move: "fry", Screen: "phone"}) // another hand, the same move
	s := e.state()
	require.InDelta(t, 1, s.In["onion"], 0)
	require.Equal(t, "salt", e.view().Lanes[0].Now.Move.ID)
	e.tell(stove.Event{Kind: stove.Done, Move: "salt"})
	e.tell(stove.Event{Kind: stove.StartTimer, Move: "boil", Amount: 10})
	v := e.view()
	require.Nil(t, v.Lanes[0].Now)
	require.Equal(t, "Boil the soup", v.Lanes[0].Wait)
	require.Len(t, v.Fire, 2)
	require.Equal(t, timer, v.Fire[1].Timer.N, "what ends first stands first")

	e.tell(stove.Event{Kind: stove.Undo, Of: fried})
	require.Len(t, e.view().Board, 1, "the second tap still stands: only parsley is out")
	e.tell(stove.Event{Kind: stove.Undo, Of: fried + 1})
	require.Len(t, e.view().Board, 2, "onion and parsley are on the board again, salt is in")
}

func TestTheStoveSpeaksUp(t *testing.T) {
	for _, c := range []struct {
		name string
		do   func(e *evening)
		want []string
	}{
		{"nothing happened yet", func(*evening) {}, nil},
		{"late", func(e *evening) { e.now += 6 * minute }, []string{stove.Late}},
		{"a timer is over", func(e *evening) {
			e.tell(stove.Event{Kind: stove.StartTimer, Move: "press", Amount: 2})
			e.now += 2 * minute
		}, []string{stove.TimerOver}},
		{"a timer is not over", func(e *evening) {
			e.tell(stove.Event{Kind: stove.StartTimer, Move: "press", Amount: 2})
			e.now += 2*minute - 1
		}, nil},
		{"a timer given longer", func(e *evening) {
			n := e.tell(stove.Event{Kind: stove.StartTimer, Move: "press", Amount: 2})
			e.now += 2 * minute
			e.tell(stove.Event{Kind: stove.Longer, Of: n, Amount: 2})
			e.now += minute
		}, nil},
		{"a timer answered", func(e *evening) {
			n := e.tell(stove.Event{Kind: stove.StartTimer, Move: "press", Amount: 2})
			e.now += 2 * minute
			e.tell(stove.Event{Kind: stove.Over, Of: n})
		}, nil},
		{"salt forgotten", func(e *evening) {
			e.tell(stove.Event{Kind: stove.Done, Move: "press"})
			e.tell(stove.Event{Kind: stove.Done, Move: "fry"})
			e.tell(stove.Event{Kind: stove.Held, Move: "salt", Line: "salt"})
			e.tell(stove.Event{Kind: stove.Done, Move: "salt"})
		}, []string{stove.Forgotten}},
		{"salt left out is not forgotten", func(e *evening) {
			e.tell(stove.Event{Kind: stove.Held, Move: "salt", Line: "salt"})
			e.tell(stove.Event{Kind: stove.Done, Move: "salt"})
			e.tell(stove.Event{Kind: stove.LeftOut, Line: "salt"})
		}, nil},
		{"salt in late is tasted for before serving", func(e *evening) {
			for _, m := range []string{"press", "fry"} {
				e.tell(stove.Event{Kind: stove.Done, Move: m})
			}
			e.tell(stove.Event{Kind: stove.Held, Move: "salt", Line: "salt"})
			for _, m := range []string{"salt", "boil"} {
				e.tell(stove.Event{Kind: stove.Done, Move: m})
			}
			e.tell(stove.Event{Kind: stove.In, Line: "salt"})
		}, []string{stove.Season}},
		{"the pot stands without a timer", func(e *evening) {
			for _, m := range []string{"press", "fry", "salt"} {
				e.tell(stove.Event{Kind: stove.Done, Move: m})
			}
			e.now += 3 * minute
		}, []string{stove.Unstarted}},
		{"parsley unused at the end", func(e *evening) {
			e.tell(stove.Event{Kind: stove.Held, Move: "serve", Line: "parsley"})
			for _, m := range []string{"press", "fry", "salt", "boil"} {
				e.tell(stove.Event{Kind: stove.Done, Move: m})
			}
			e.tell(stove.Event{Kind: stove.Done, Move: "serve"})
		}, []string{stove.Forgotten}},
		{"the oil leaves its band", func(e *evening) {
			e.tell(stove.Event{Kind: stove.Watch, Text: "frying"})
			e.tell(stove.Event{Kind: stove.Reached, Text: "frying", Amount: 172})
			e.tell(stove.Event{Kind: stove.Left, Text: "frying", Amount: 191})
		}, []string{stove.OutOfBand}},
		{"the oil comes back", func(e *evening) {
			e.tell(stove.Event{Kind: stove.Watch, Text: "frying"})
			e.tell(stove.Event{Kind: stove.Reached, Text: "frying", Amount: 172})
			e.tell(stove.Event{Kind: stove.Left, Text: "frying", Amount: 191})
			e.tell(stove.Event{Kind: stove.Reached, Text: "frying", Amount: 178})
		}, nil},
		{"after the end it is quiet", func(e *evening) {
			e.tell(stove.Event{Kind: stove.StartTimer, Move: "press", Amount: 2})
			e.now += 2 * minute
			e.tell(stove.Event{Kind: stove.End})
		}, nil},
	} {
		t.Run(c.name, func(t *testing.T) {
			e := &evening{t: t, p: soup(), now: began}
			c.do(e)
			require.Equal(t, c.want, e.kinds())
			for _, n := range e.view().Says { // what is answered is said no more
				e.tell(stove.Event{Kind: stove.Seen, Text: n.ID})
			}
			require.Empty(t, e.kinds())
		})
	}
}

func TestATimerNobodySawSaysSo(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began}
	e.tell(stove.Event{Kind: stove.StartTimer, Move: "press", Amount: 2})
	e.now += 14 * minute
	require.Contains(t, e.view().Says[0].Text, "12 minutes ago and nobody answered")
}

func TestDeviationsAreToldInAmountsAndTakenBack(t *testing.T) {
	for _, c := range []struct {
		tell stove.Event
		want string
	}{
		{stove.Event{Kind: stove.Amount, Line: "onion", Amount: 250}, "Onion: 250 g instead of 200 g."},
		{stove.Event{Kind: stove.OtherFood, Line: "onion", Food: "leek", Text: "leek"}, "Leek instead of onion."},
		{stove.Event{Kind: stove.LeftOut, Line: "parsley", Text: "none in the house"}, "Parsley left out (none in the house)."},
		{stove.Event{Kind: stove.Hotter, Move: "boil"}, "Boil the soup: hotter than said."},
		{stove.Event{Kind: stove.Later, Move: "serve"}, "Serve with parsley: later than planned."},
		{stove.Event{Kind: stove.Word, Text: "The lid was on."}, "The lid was on."},
	} {
		e := &evening{t: t, p: soup(), now: began}
		n := e.tell(c.tell)
		s := e.state()
		require.Len(t, s.Different, 1)
		require.Equal(t, c.want, s.Different[0].Text)
		e.tell(stove.Event{Kind: stove.Undo, Of: n})
		s = e.state()
		require.Empty(t, s.Different)
		e.tell(stove.Event{Kind: stove.Undo, Of: n + 1})
		s = e.state()
		require.Equal(t, c.want, s.Different[0].Text, "taking back the taking back brings it back")
	}
}

func TestEarlierAndLaterChangeWhatComes(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began}
	e.tell(stove.Event{Kind: stove.Later, Move: "press"})
	require.Equal(t, "fry", e.view().Lanes[0].Now.Move.ID)
	e.tell(stove.Event{Kind: stove.Earlier, Move: "press"})
	require.Equal(t, "press", e.view().Lanes[0].Now.Move.ID)
	e.tell(stove.Event{Kind: stove.Done, Move: "press"})
	e.tell(stove.Event{Kind: stove.Earlier, Move: "serve"})
	require.Equal(t, "fry", e.view().Lanes[0].Now.Move.ID, "what cannot be done yet waits all the same")
}

func TestWhatMakesNoSenseIsRefused(t *testing.T) {
	p := soup()
	begin := stove.Begin()
	ended := stove.Of(p, []stove.Event{{N: 1, At: began, Kind: stove.End}})
	good := stove.Event{Key: "k", Screen: "tablet"}
	for _, c := range []struct {
		field string
		s     *stove.State
		tell  func(*stove.Event)
	}{
		{"kind", &begin, func(e *stove.Event) { e.Kind = "dance" }},
		{"kind", &ended, func(e *stove.Event) { e.Kind, e.Move = stove.Done, "fry" }},
		{"move", &begin, func(e *stove.Event) { e.Kind = stove.Done }},
		{"move", &begin, func(e *stove.Event) { e.Kind, e.Move = stove.Done, "grill" }},
		{"line", &begin, func(e *stove.Event) { e.Kind, e.Line = stove.In, "beef" }},
		{"line", &begin, func(e *stove.Event) { e.Kind = stove.Weigh }},
		{"amount", &begin, func(e *stove.Event) { e.Kind, e.Move = stove.StartTimer, "boil" }},
		{"amount", &begin, func(e *stove.Event) { e.Kind, e.Move, e.Amount = stove.StartTimer, "boil", math.NaN() }},
		{"amount", &begin, func(e *stove.Event) { e.Kind, e.Line, e.Amount = stove.Amount, "salt", 1e9 }},
		{"amount", &begin, func(e *stove.Event) { e.Kind, e.Amount = stove.Lane, 7 }},
		{"of", &begin, func(e *stove.Event) { e.Kind, e.Of, e.Amount = stove.Longer, 3, 2 }},
		{"of", &begin, func(e *stove.Event) { e.Kind, e.Of = stove.Undo, 3 }},
		{"text", &begin, func(e *stove.Event) { e.Kind = stove.Word }},
		{"screen", &begin, func(e *stove.Event) { e.Kind, e.Screen, e.Move = stove.Done, "", "fry" }},
		{"key", &begin, func(e *stove.Event) { e.Kind, e.Key, e.Move = stove.Done, "", "fry" }},
	} {
		e := good
		c.tell(&e)
		var wrong stove.Wrong
		require.ErrorAs(t, stove.Check(p, c.s, e), &wrong, "%+v", e)
		require.Equal(t, c.field, wrong.Field, "%+v", e)
	}
}

func TestTheLikelyDeviationsAreOneTapAway(t *testing.T) {
	p := soup()
	s := stove.Begin()
	var said []string
	for _, tap := range stove.Different(p, &s, p.Move("salt")) {
		said = append(said, tap.Say)
	}
	require.Equal(t, []string{"¾ tsp (4 g) salt", "¾ tsp (5 g) salt", "1⅛ tsp (7 g) salt", "1¼ tsp (8 g) salt", "other than salt", "no salt", "salt not now", "later", "earlier: Press the tofu", "earlier: Fry the onion"}, said)
	e := &evening{t: t, p: p, now: began}
	e.tell(stove.Event{Kind: stove.StartTimer, Move: "boil", Amount: 10})
	running := e.state()
	said = nil
	for _, tap := range stove.Different(p, &running, p.Move("boil")) {
		said = append(said, tap.Say)
	}
	require.Equal(t, []string{"2 minutes longer", "5 minutes longer", "hotter", "cooler", "earlier: Press the tofu", "earlier: Fry the onion"}, said)
}

func TestNothingIsInMoreThanOnce(t *testing.T) {
	p := soup()
	p.Moves[4].Takes = append(p.Moves[4].Takes, p.Moves[1].Takes...) // the onion once more
	e := &evening{t: t, p: p, now: began}
	e.cookAll()
	s := e.state()
	require.InDelta(t, 1, s.In["onion"], 0)
}

func TestMoreTimeCountsFromNowWhereTheTimeWasUp(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began}
	n := e.tell(stove.Event{Kind: stove.StartTimer, Move: "press", Amount: 2})
	e.now += 10 * minute
	e.tell(stove.Event{Kind: stove.Longer, Of: n, Amount: 5})
	require.Equal(t, began+15*minute, e.view().Fire[0].Timer.Ends)
	e.now += minute
	e.tell(stove.Event{Kind: stove.Longer, Of: n, Amount: 2})
	require.Equal(t, began+17*minute, e.view().Fire[0].Timer.Ends, "while it runs, from its end")
}

func TestWhatWaitsForSomethingIsNotBegun(t *testing.T) {
	e := &evening{t: t, p: soup(), now: began}
	e.tell(stove.Event{Kind: stove.Done, Move: "press"})
	e.tell(stove.Event{Kind: stove.Done, Move: "fry"})
	e.tell(stove.Event{Kind: stove.Later, Move: "salt"})
	lane := e.view().Lanes[0]
	require.Equal(t, "salt", lane.Now.Move.ID, "all else waits for it")
	require.False(t, lane.Next[0].Ready)
}
