package stove

import (
	"math"
	"slices"
	"strings"

	"yembra/core/texts"
)

const minute = 60_000.0

// fold works one event into a state. What no longer fits, because something
// before it was taken back, changes nothing.
func (s *State) fold(p *Program, e Event) {
	m, l := p.Move(e.Move), p.Line(e.Line)
	switch e.Kind {
	case Done:
		s.done(p, m, e)
	case Held:
		if m != nil && l != nil && !s.IsDone(m.ID) && s.rest(l.ID) > 0 {
			s.Held[l.ID] = m.ID
			s.begin(m.ID, e)
		}
	case In:
		s.in(p, l, e)
	case StartTimer:
		s.start(m, e)
	case Longer:
		s.longer(p, e)
	case Over:
		if t := s.timer(e.Of); t != nil && t.Over == 0 {
			t.Over = e.At
			s.done(p, p.Move(t.Move), e)
		}
	case Amount, OtherFood, LeftOut, Hotter, Cooler, Word:
		s.differ(p, m, l, e)
	case Earlier, Later:
		s.moved(p, m, e)
	case Weigh, Weighed, Unweigh:
		s.weigh(p, m, l, e)
	case Watch, Unwatch, Reached, Left:
		s.watch(e)
	case Seen:
		s.Answered[e.Text] = true
	case Lane:
		s.Lanes[e.Screen] = int(e.Amount)
	case Plan:
		s.Plan = e.Plan
	case End:
		s.Ended, s.EndedBy = e.At, e.N
	}
}

// begin notes when a move began.
func (s *State) begin(move string, e Event) {
	if x := s.Moves[move]; x.Begun == 0 {
		x.Begun, x.By = e.At, e.Screen
		s.Moves[move] = x
	}
}

// done ends a move: all that it takes and that was not held back goes in.
func (s *State) done(p *Program, m *Move, e Event) {
	if m == nil || s.IsDone(m.ID) {
		return
	}
	x := s.Moves[m.ID]
	if x.Begun == 0 {
		x.Begun = max(s.lastTap(p, e), e.At-int64(m.Minutes*minute))
	}
	x.Done, x.By = e.At, e.Screen
	s.Moves[m.ID] = x
	for _, t := range m.Takes {
		if s.Held[t.Line] != m.ID {
			s.put(t.Line, t.Share)
		}
	}
	for i := range s.Timers {
		if t := &s.Timers[i]; t.Move == m.ID && t.Over == 0 {
			t.Over = e.At
		}
	}
	s.First = slices.DeleteFunc(s.First, func(id string) bool { return id == m.ID })
	s.Last = slices.DeleteFunc(s.Last, func(id string) bool { return id == m.ID })
}

// lastTap is when the screen of an event last ended work by hand, 0 when it did
// not.
func (s *State) lastTap(p *Program, e Event) int64 {
	last := int64(0)
	for i := range p.Moves {
		if x, ok := s.Moves[p.Moves[i].ID]; ok && p.Moves[i].Hands && x.By == e.Screen {
			last = max(last, x.Done)
		}
	}
	return last
}

// put lets a share of a line in, never more than there is.
func (s *State) put(line string, share float64) {
	if _, gone := s.Gone[line]; !gone {
		s.In[line] = math.Min(1, s.In[line]+share)
	}
}

// in puts in what is left of a line by itself: ticked before its move is done, or
// late, after it.
func (s *State) in(p *Program, l *Line, e Event) {
	if l == nil || s.rest(l.ID) <= 1-most {
		return
	}
	held, late := s.Held[l.ID]
	delete(s.Held, l.ID)
	if !late || !s.IsDone(held) {
		return // its move will take it
	}
	s.Lately[l.ID] = true
	m := p.Move(held)
	for _, t := range m.Takes {
		if t.Line == l.ID {
			s.put(l.ID, t.Share)
		}
	}
	s.differs(e, m.ID, l.ID, texts.Say("stove.wentInLateAfter", capital(l.Name), m.Name))
}

func (s *State) start(m *Move, e Event) {
	if m == nil || s.IsDone(m.ID) || s.Running(m.ID) != nil {
		return
	}
	s.begin(m.ID, e)
	s.Timers = append(s.Timers, Timer{N: e.N, Move: m.ID, Name: m.Name, Cue: m.Cue, Minutes: e.Amount, Begun: e.At, Ends: e.At + int64(e.Amount*minute)})
}

// longer gives a timer more minutes: from its end, or from now where it has
// ended.
func (s *State) longer(p *Program, e Event) {
	t := s.timer(e.Of)
	if t == nil || t.Over > 0 {
		return
	}
	t.Ends = max(t.Ends, e.At) + int64(e.Amount*minute)
	t.Minutes = float64(t.Ends-t.Begun) / minute
	s.differs(e, t.Move, "", texts.Say("stove.longer", t.Name, texts.Say("stove.minutes", e.Amount)))
}

func capital(s string) string {
	if s == "" {
		return s
	}
	r := []rune(s)
	return strings.ToUpper(string(r[:1])) + string(r[1:])
}

func (s *State) differs(e Event, move, line, text string) {
	s.Different = append(s.Different, Difference{e.N, e.At, move, line, text})
}

// differ works in what was not as the card has it.
func (s *State) differ(p *Program, m *Move, l *Line, e Event) {
	where := ""
	if m != nil {
		where = m.ID
	}
	switch e.Kind {
	case Amount:
		if l != nil {
			s.Used[l.ID] = e.Amount
			s.differs(e, where, l.ID, texts.Say("stove.otherAmount", capital(l.Name), l.exactly(e.Amount), l.exactly(l.Grams)))
		}
	case OtherFood:
		if l != nil {
			s.Instead[l.ID] = e.Text
			s.differs(e, where, l.ID, texts.Say("stove.insteadOf", capital(e.Text), l.Name))
		}
	case LeftOut:
		if l != nil && s.rest(l.ID) > 0 {
			s.Gone[l.ID] = e.Text
			delete(s.Held, l.ID)
			why := ""
			if e.Text != "" {
				why = " (" + e.Text + ")"
			}
			s.differs(e, where, l.ID, texts.Say("stove.leftOut", capital(l.Name), why))
		}
	case Hotter, Cooler:
		if m != nil {
			s.begin(m.ID, e)
			s.differs(e, m.ID, "", texts.Say("stove.thanSaid", m.Name, texts.Say("stove."+string(e.Kind))))
		}
	case Word:
		s.differs(e, where, e.Line, e.Text)
	}
}

// moved brings a move forward or puts it off.
func (s *State) moved(p *Program, m *Move, e Event) {
	if m == nil || s.IsDone(m.ID) {
		return
	}
	gone := func(id string) bool { return id == m.ID }
	s.First, s.Last = slices.DeleteFunc(s.First, gone), slices.DeleteFunc(s.Last, gone)
	if e.Kind == Earlier {
		s.First = append(s.First, m.ID)
	} else {
		s.Last = append(s.Last, m.ID)
	}
	s.differs(e, m.ID, "", texts.Say("stove.thanPlanned", m.Name, texts.Say("stove."+string(e.Kind))))
}
