package stove

import (
	"math"
	"slices"
)

// View is a cook-through as a screen shows it at a moment.
type View struct {
	// Clock is the server's, in milliseconds.
	Clock int64      `json:"clock"`
	Lanes []LaneView `json:"lanes"`
	Fire  []OnFire   `json:"fire"`
	Board []OnBoard  `json:"board"`
	Says  []Notice   `json:"says"`
	// Done and Of count the moves.
	Done int `json:"done"`
	Of   int `json:"of"`
	// Behind is how many minutes it runs behind the plan, below 0 before it.
	Behind float64 `json:"behind"`
}

// LaneView is what one cook has to do: Cook is 0 for all in one.
type LaneView struct {
	Cook int `json:"cook"`
	// Now is the move at hand, nil where there is nothing to do; Wait is then what
	// is waited for.
	Now  *Step  `json:"now" jsonschema:"nullable"`
	Wait string `json:"wait"`
	// Next are those within the next minutes.
	Next []Step `json:"next"`
}

// Step is a move with how it stands.
type Step struct {
	Move  Move  `json:"move"`
	Start int64 `json:"start"`
	// Takes tell of each thing that goes in whether it is held back, and what is
	// used instead.
	Takes []TakeNow `json:"takes"`
	Timer *Timer    `json:"timer" jsonschema:"nullable"`
	Ready bool      `json:"ready"`
}

// TakeNow is a thing that goes in, as it is to be now.
type TakeNow struct {
	Take
	Name string `json:"name"`
	Held bool   `json:"held"`
	Gone bool   `json:"gone"`
	// Weighed is what was weighed or said, 0 where nothing was.
	Weighed float64 `json:"weighed"`
	Instead string  `json:"instead"`
	Made    bool    `json:"made"`
}

// OnFire is what goes on by itself.
type OnFire struct {
	Move  Move  `json:"move"`
	Timer Timer `json:"timer"`
}

// OnBoard is what is not in yet.
type OnBoard struct {
	Line Line    `json:"line"`
	Rest float64 `json:"rest"`
	Text string  `json:"text"`
	Move string  `json:"move"`
}

// Ahead is how far a screen looks: the next three minutes of hands' work, and at
// least two moves of it.
const (
	Ahead     = 3.0
	leastNext = 2
)

// Look shows a cook-through at a moment, in one lane for each cook who has a
// screen, or in one for all.
func Look(p *Program, s *State, now int64) View {
	v := View{Clock: now, Lanes: []LaneView{}, Fire: []OnFire{}, Board: []OnBoard{}, Of: len(p.Moves)}
	for i := range p.Moves {
		if s.IsDone(p.Moves[i].ID) {
			v.Done++
		}
	}
	for cook := range p.Cooks + 1 {
		if cook != 1 || p.Cooks > 1 {
			v.Lanes = append(v.Lanes, s.lane(p, cook))
		}
	}
	for _, t := range s.Timers {
		if m := p.Move(t.Move); m != nil && t.Over == 0 {
			v.Fire = append(v.Fire, OnFire{*m, t})
		}
	}
	slices.SortStableFunc(v.Fire, func(a, b OnFire) int { return int(a.Timer.Ends - b.Timer.Ends) })
	for i := range p.Lines {
		l := &p.Lines[i]
		if rest := s.rest(l.ID); !l.Made && rest > 1-most {
			b := OnBoard{Line: *l, Rest: rest, Text: l.Text, Move: s.taker(p, l.ID)}
			if rest < most && l.Grams > 0 {
				b.Text = l.Measured(l.Grams*rest) + " " + l.Name
			}
			v.Board = append(v.Board, b)
		}
	}
	v.Behind = s.behind(p, now)
	v.Says = s.speak(p, now, v.Behind)
	return v
}

// taker is the next move that takes a line, empty for none.
func (s *State) taker(p *Program, line string) string {
	for i := range p.Moves {
		m := &p.Moves[i]
		if !s.IsDone(m.ID) && slices.ContainsFunc(m.Takes, func(t Take) bool { return t.Line == line }) {
			return m.ID
		}
	}
	return ""
}

// available tells whether all that must be before a move is done.
func (s *State) available(p *Program, m *Move) bool {
	return !slices.ContainsFunc(m.After, func(id string) bool { return p.Move(id) != nil && !s.IsDone(id) })
}

// queue are the moves of a cook that are not done and have no timer running, in
// the order in which they come.
func (s *State) queue(p *Program, cook int) []*Move {
	var out []*Move
	for i := range p.Moves {
		m := &p.Moves[i]
		if !s.IsDone(m.ID) && s.Running(m.ID) == nil && (cook == 0 || s.cookOf(p, m) == cook) {
			out = append(out, m)
		}
	}
	rank := func(m *Move) int64 {
		switch at := s.Planned(m).Start; {
		case slices.Contains(s.First, m.ID):
			return math.MinInt64
		case slices.Contains(s.Last, m.ID):
			return at + int64(putOff*minute)
		default:
			return at
		}
	}
	slices.SortStableFunc(out, func(a, b *Move) int {
		switch x, y := rank(a), rank(b); {
		case x < y:
			return -1
		case x > y:
			return 1
		}
		return 0
	})
	return out
}

// putOff is how many minutes a move that is put off falls back.
const putOff = 10.0

// cookOf is who does a move: the cook of the plan; what goes on by itself is
// begun by whoever did what it follows.
func (s *State) cookOf(p *Program, m *Move) int {
	for range len(p.Moves) {
		if c := s.Planned(m).Cook; m.Hands && c > 0 {
			return c
		}
		if len(m.After) == 0 {
			break
		}
		before := p.Move(m.After[len(m.After)-1])
		if before == nil {
			break
		}
		m = before
	}
	return 1
}

// lane is what one cook has to do.
func (s *State) lane(p *Program, cook int) LaneView {
	lane := LaneView{Cook: cook, Next: []Step{}}
	queue := s.queue(p, cook)
	at := slices.IndexFunc(queue, func(m *Move) bool { return s.available(p, m) })
	switch {
	case at >= 0:
		now := s.step(p, queue[at])
		lane.Now = &now
		queue = slices.Delete(queue, at, at+1)
	case len(queue) > 0:
		lane.Wait = s.waitsFor(p, queue[0])
	}
	ahead := 0.0
	for _, m := range queue {
		if ahead >= Ahead && len(lane.Next) >= leastNext || len(lane.Next) >= mostNext {
			break
		}
		lane.Next = append(lane.Next, s.step(p, m))
		if m.Hands {
			ahead += m.Minutes
		}
	}
	return lane
}

const mostNext = 4

// waitsFor names what a move waits for: what is on the fire, or another cook's
// work.
func (s *State) waitsFor(p *Program, m *Move) string {
	for _, id := range m.After {
		if before := p.Move(id); before != nil && !s.IsDone(id) {
			if s.Running(id) == nil && !s.available(p, before) {
				return s.waitsFor(p, before)
			}
			return before.Name
		}
	}
	return ""
}

func (s *State) step(p *Program, m *Move) Step {
	out := Step{Move: *m, Start: s.Planned(m).Start, Takes: []TakeNow{}, Ready: s.available(p, m)}
	for _, t := range m.Takes {
		l := p.Line(t.Line)
		if l == nil {
			continue
		}
		_, gone := s.Gone[l.ID]
		now := TakeNow{Take: t, Name: l.Name, Held: s.Held[l.ID] == m.ID, Gone: gone, Weighed: s.Used[l.ID], Instead: s.Instead[l.ID], Made: l.Made}
		if now.Weighed > 0 && t.Share >= most {
			now.say(l, now.Weighed)
		}
		out.Takes = append(out.Takes, now)
	}
	return out
}
