package stove

import (
	"fmt"
	"math"
)

// Replayed are the events of a cook-through that has gone as planned up to a
// moment: what was to be done by then is done, and what goes on by itself has
// its timer. It serves the demo and tests.
func Replayed(p *Program, upto int64, screen string) []Event {
	var events []Event
	s := Begin()
	tell := func(e Event) {
		e.N, e.Screen = int64(len(events)+1), screen
		if m := p.Move(e.Move); m != nil && m.Cook > 1 {
			e.Screen = fmt.Sprintf("%s %d", screen, m.Cook) // each cook has a screen
		}
		events = append(events, e)
		s = Apply(p, s, e)
	}
	for range 4 * len(p.Moves) {
		next, at := (*Move)(nil), int64(math.MaxInt64)
		for i := range p.Moves {
			m := &p.Moves[i]
			if s.IsDone(m.ID) || !s.available(p, m) {
				continue
			}
			when := m.End
			if !m.Hands && s.Running(m.ID) == nil {
				when = m.Start
			}
			if when < at {
				next, at = m, when
			}
		}
		if next == nil || at > upto {
			return events
		}
		switch running := s.Running(next.ID); {
		case running != nil:
			tell(Event{At: at, Kind: Over, Of: running.N})
		case next.Hands:
			tell(Event{At: at, Kind: Done, Move: next.ID})
		default:
			tell(Event{At: at, Kind: StartTimer, Move: next.ID, Amount: math.Max(1, next.Minutes)})
		}
	}
	return events
}
