package stove

import (
	"fmt"
	"math"

	"yembra/core/measure"
	"yembra/core/texts"
)

// Tap is a deviation that is told by one tap: the event, but for what every event
// has, and its words.
type Tap struct {
	Say  string `json:"say"`
	Kind Kind   `json:"kind"`
	Move string `json:"move"`
	Line string `json:"line"`
	// Amount is in grams or minutes.
	Amount float64 `json:"amount"`
	Of     int64   `json:"of"`
	// Search asks for another food first.
	Search bool `json:"search"`
}

// Different lists the likely deviations of a move, thing by thing: another
// amount, stepped as a kitchen measures, another food, left out, not now; then
// longer, hotter, earlier, later.
func Different(p *Program, s *State, m *Move) []Tap {
	out := []Tap{}
	for _, t := range m.Takes {
		l := p.Line(t.Line)
		if l == nil || l.Made {
			continue
		}
		if _, gone := s.Gone[l.ID]; gone {
			continue
		}
		used := s.Used[l.ID]
		if used == 0 {
			used = l.Grams
		}
		for _, amount := range stepped(used) {
			out = append(out, Tap{Say: l.exactly(amount) + " " + l.Name, Kind: Amount, Move: m.ID, Line: l.ID, Amount: amount})
		}
		out = append(out,
			Tap{Say: texts.Say("stove.otherThan", l.Name), Kind: OtherFood, Move: m.ID, Line: l.ID, Search: true},
			Tap{Say: texts.Say("stove.none", l.Name), Kind: LeftOut, Move: m.ID, Line: l.ID},
			Tap{Say: texts.Say("stove.notNow", l.Name), Kind: Held, Move: m.ID, Line: l.ID})
	}
	if t := s.Running(m.ID); t != nil {
		for _, n := range []float64{2, 5} {
			out = append(out, Tap{Say: texts.Say("stove.minutesLonger", n), Kind: Longer, Move: m.ID, Of: t.N, Amount: n})
		}
	}
	if m.Fire {
		out = append(out, Tap{Say: texts.Say("stove.hotter"), Kind: Hotter, Move: m.ID}, Tap{Say: texts.Say("stove.cooler"), Kind: Cooler, Move: m.ID})
	}
	if s.Running(m.ID) == nil && !s.IsDone(m.ID) {
		out = append(out, Tap{Say: texts.Say("stove.later"), Kind: Later, Move: m.ID})
	}
	sooner := 0
	for _, other := range s.queue(p, 0) {
		if other.ID != m.ID && sooner < mostSooner && s.available(p, other) {
			out = append(out, Tap{Say: texts.Say("stove.earlierOf", other.Name), Kind: Earlier, Move: other.ID})
			sooner++
		}
	}
	return out
}

// mostSooner is how many other moves are offered to be done first.
const mostSooner = 3

// spooned is the most in grams that is told by the spoon.
const spooned = 30.0

// exactly writes grams as a kitchen measures them, to the step.
func (l *Line) exactly(g float64) string {
	switch {
	case l.Pours:
		return l.Measured(g)
	case l.Density <= 0 || g >= spooned:
		return grams(g)
	}
	return fmt.Sprintf("%s (%g g)", measure.ShowMillilitres(g/l.Density, measure.Metric, measure.Loose), g)
}

// steps are by how much a cook changes an amount, from so many grams on.
var steps = []struct{ from, by float64 }{{1000, 100}, {200, 50}, {60, 10}, {15, 5}, {4, 1}, {0, 0.5}}

// stepped are the amounts next to one, two down and two up.
func stepped(grams float64) []float64 {
	if grams <= 0 {
		return nil
	}
	by := grams / 4
	for _, s := range steps {
		if grams >= s.from {
			by = s.by
			break
		}
	}
	if by > grams/2 {
		by = grams / 4
	}
	var out []float64
	for _, n := range []float64{-2, -1, 1, 2} {
		if v := grams + n*by; v > 0 {
			out = append(out, math.Round(v*100)/100)
		}
	}
	return out
}
