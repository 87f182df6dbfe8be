package stove

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"yembra/core/texts"
)

// Notice is something the stove speaks up about.
type Notice struct {
	// ID is the same as long as it is the same matter; answering it says it.
	ID   string `json:"id"`
	Kind string `json:"kind"`
	Text string `json:"text"`
	// Grave ones ring and flash.
	Grave bool   `json:"grave"`
	Move  string `json:"move"`
	Line  string `json:"line"`
	Timer int64  `json:"timer"`
}

// The kinds of notice.
const (
	TimerOver = "timer"
	Forgotten = "forgotten"
	Season    = "season"
	Late      = "late"
	OutOfBand = "band"
	Unused    = "unused"
	Unstarted = "unstarted"
)

// When the stove speaks up, in minutes; estimates.
const (
	lateBy      = 5.0
	longAgo     = 2.0
	startWithin = 2.0
)

// speak lists what there is to say at a moment, gravest first.
func (s *State) speak(p *Program, now int64, behind float64) []Notice {
	out := []Notice{}
	if s.Ended > 0 {
		return out
	}
	say := func(n Notice) {
		if !s.Answered[n.ID] {
			out = append(out, n)
		}
	}
	for _, t := range s.Timers {
		if t.Over == 0 && now >= t.Ends {
			text := texts.Say("stove.theTimeIsUp", t.Name)
			if ago := float64(now-t.Ends) / minute; ago >= longAgo {
				text = texts.Say("stove.theTimeWasUpMinutesAgo", t.Name, ago)
			}
			if t.Cue != "" {
				text += " " + texts.Say("stove.lookFor", t.Cue)
			}
			say(Notice{ID: fmt.Sprintf("timer %d %d", t.N, t.Ends), Kind: TimerOver, Text: text, Grave: true, Move: t.Move, Timer: t.N})
		}
	}
	for _, w := range watchesOf(s) {
		if w.Left > 0 {
			text := fmt.Sprintf("%.0f °C.", w.Celsius)
			if b := p.Band(w.Band); b != nil {
				text = texts.Say("stove.cAndItWants", capital(b.Name), w.Celsius, b.Say, b.Caution)
			}
			say(Notice{ID: fmt.Sprintf("band %s %d", w.Band, w.Left), Kind: OutOfBand, Text: text, Grave: true, Move: w.Move})
		}
	}
	s.forgotten(p, say)
	s.unstarted(p, now, say)
	if behind >= lateBy {
		// Said again only when it grows by as much once more.
		say(Notice{ID: fmt.Sprintf("late %.0f", behind/lateBy), Kind: Late, Text: texts.Say("stove.minutesBehindThePlan", behind)})
	}
	slices.SortStableFunc(out, func(a, b Notice) int { return grave(b) - grave(a) })
	return out
}

func grave(n Notice) int {
	if n.Grave {
		return 1
	}
	return 0
}

func watchesOf(s *State) []Watched {
	var out []Watched
	for _, w := range s.Watches {
		out = append(out, w)
	}
	slices.SortFunc(out, func(a, b Watched) int { return strings.Compare(a.Band, b.Band) })
	return out
}

// forgotten speaks of what lies on the board though its moment has passed, of
// seasoning that went in late, and at the end of what was not used.
func (s *State) forgotten(p *Program, say func(Notice)) {
	last := s.lastMoves(p)
	ending := !slices.ContainsFunc(p.Moves, func(m Move) bool { return !s.IsDone(m.ID) && !last[m.ID] })
	all := !slices.ContainsFunc(p.Moves, func(m Move) bool { return !s.IsDone(m.ID) })
	for i := range p.Lines {
		l := &p.Lines[i]
		held, late := s.Held[l.ID]
		switch {
		case late && s.IsDone(held) && s.rest(l.ID) > 1-most:
			say(Notice{ID: "forgotten " + l.ID, Kind: Forgotten, Text: texts.Say("stove.isStillOnTheBoardIt", capital(l.Name), p.Move(held).Name), Grave: true, Line: l.ID, Move: held})
		case s.Lately[l.ID] && l.Seasons && ending:
			say(Notice{ID: "season " + l.ID, Kind: Season, Text: texts.Say("stove.wentInLateTasteForIt", capital(l.Name)), Line: l.ID})
		case all && !l.Made && s.rest(l.ID) > 1-most:
			say(Notice{ID: "unused " + l.ID, Kind: Unused, Text: texts.Say("stove.wasNotUsedWhy", capital(l.Name)), Line: l.ID})
		}
	}
}

// lastMoves are those that nothing comes after.
func (s *State) lastMoves(p *Program) map[string]bool {
	last := map[string]bool{}
	for _, m := range p.Moves {
		last[m.ID] = true
	}
	for _, m := range p.Moves {
		for _, id := range m.After {
			delete(last, id)
		}
	}
	return last
}

// unstarted speaks of what should be on the fire and has no timer: the move
// before it is done, and nobody has told that it was begun.
func (s *State) unstarted(p *Program, now int64, say func(Notice)) {
	for i := range p.Moves {
		m := &p.Moves[i]
		if m.Hands || len(m.After) == 0 || s.IsDone(m.ID) || s.Running(m.ID) != nil || !s.available(p, m) {
			continue
		}
		since := int64(0)
		for _, id := range m.After {
			since = max(since, s.Moves[id].Done)
		}
		if ago := float64(now-since) / minute; ago >= startWithin && m.Minutes > 0 {
			say(Notice{ID: fmt.Sprintf("unstarted %s", m.ID), Kind: Unstarted, Text: texts.Say("stove.hasNoTimerYet", m.Name), Move: m.ID})
		}
	}
}

// behind is by how many minutes the earliest thing to do is late.
func (s *State) behind(p *Program, now int64) float64 {
	worst := math.Inf(-1)
	for i := range p.Moves {
		m := &p.Moves[i]
		at := s.Planned(m)
		if s.IsDone(m.ID) || at.Start == 0 {
			continue
		}
		late := float64(now-at.Start) / minute
		if s.Running(m.ID) != nil || s.Moves[m.ID].Begun > 0 {
			late = float64(now-at.End) / minute
		}
		worst = math.Max(worst, late)
	}
	if math.IsInf(worst, -1) {
		return 0
	}
	return worst
}
