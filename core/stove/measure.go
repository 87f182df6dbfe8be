package stove

import (
	"fmt"
	"math"

	"yembra/core/texts"
)

// weigh opens and ends weighings.
func (s *State) weigh(p *Program, m *Move, l *Line, e Event) {
	switch w := s.Weighing; {
	case e.Kind == Weigh:
		s.Weighing = &Weighing{N: e.N, Zero: e.Amount, Since: e.At}
		switch {
		case l != nil:
			s.Weighing.Line, s.Weighing.Asked = l.ID, s.asked(p, l, m)
		case m != nil:
			s.Weighing.Move, s.Weighing.When = m.ID, e.Text
		}
	case w == nil:
	case e.Kind == Unweigh:
		s.Weighing = nil
	case w.Line != "":
		line := p.Line(w.Line)
		s.Weighing = nil
		s.Used[line.ID] = e.Amount
		if math.Abs(e.Amount-w.Asked) > Tolerance(w.Asked) && w.Asked > 0 {
			s.differs(e, w.Move, line.ID, texts.Say("stove.weighedAsked", capital(line.Name), grams(e.Amount), grams(w.Asked)))
		}
	default:
		pot := s.Pots[w.Move]
		if w.When == PotBefore {
			pot.Before, pot.BeforeAt = e.Amount, e.At
		} else {
			pot.After, pot.AfterAt = e.Amount, e.At
		}
		s.Pots[w.Move] = pot
		s.Weighing = nil
	}
}

// asked are the grams of a line that go in next: what the first move that is not
// done takes of it.
func (s *State) asked(p *Program, l *Line, m *Move) float64 {
	for _, next := range p.Moves {
		if s.IsDone(next.ID) || m != nil && next.ID != m.ID {
			continue
		}
		for _, t := range next.Takes {
			if t.Line == l.ID {
				return t.Grams
			}
		}
	}
	return l.Grams
}

// grams writes what a scale says.
func grams(g float64) string {
	if g < 10 {
		return fmt.Sprintf("%.1f g", g)
	}
	return fmt.Sprintf("%.0f g", g)
}

// watch keeps what the probe found.
func (s *State) watch(e Event) {
	w, on := s.Watches[e.Text]
	switch {
	case e.Kind == Unwatch:
		delete(s.Watches, e.Text)
	case e.Kind == Watch:
		if !on {
			s.Watches[e.Text] = Watched{Band: e.Text, Move: e.Move, Since: e.At}
		}
	case !on:
	case e.Kind == Reached:
		if w.Reached == 0 {
			w.Reached = e.At
		}
		w.Left, w.Celsius = 0, e.Amount
		s.Watches[e.Text] = w
	default:
		w.Left, w.Celsius = e.At, e.Amount
		s.Watches[e.Text] = w
	}
}
