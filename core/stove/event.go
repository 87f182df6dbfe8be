package stove

import (
	"slices"
	"strconv"

	"yembra/core/texts"
)

func itoa(n int) string { return strconv.Itoa(n) }

// Kind is what an event tells of.
type Kind string

// The kinds of event.
const (
	// Done ends a move; what it takes goes in. Held says of a line that it does not
	// go in now, In that it does.
	Done Kind = "done"
	Held Kind = "held"
	In   Kind = "in"
	// StartTimer starts the timer of a move, Longer gives it more minutes, Over answers
	// that what it waited for has come.
	StartTimer Kind = "timer"
	Longer     Kind = "longer"
	Over       Kind = "over"
	// Amount, OtherFood, LeftOut, Hotter, Cooler, Earlier, Later and Word tell what
	// was different.
	Amount    Kind = "amount"
	OtherFood Kind = "food"
	LeftOut   Kind = "left-out"
	Hotter    Kind = "hotter"
	Cooler    Kind = "cooler"
	Earlier   Kind = "earlier"
	Later     Kind = "later"
	Word      Kind = "word"
	// Weigh begins a weighing, Weighed ends it with grams, Unweigh without.
	Weigh   Kind = "weigh"
	Weighed Kind = "weighed"
	Unweigh Kind = "unweigh"
	// Watch has the probe watch a band, Unwatch ends that; Reached and Left are
	// what it found.
	Watch   Kind = "watch"
	Unwatch Kind = "unwatch"
	Reached Kind = "reached"
	Left    Kind = "left"
	// Seen answers what was spoken up about.
	Seen Kind = "seen"
	// Lane tells which cook a screen stands for; Plan when things are planned now.
	Lane Kind = "lane"
	Plan Kind = "plan"
	// Undo takes an event back, End ends the cook-through.
	Undo Kind = "undo"
	End  Kind = "end"
)

// What is weighed, besides a line.
const (
	PotBefore = "before"
	PotAfter  = "after"
)

// Event is one thing that happened, in the order in which it was told.
type Event struct {
	// N numbers the events of a cook-through from 1; At is the server's clock in
	// milliseconds since 1970.
	N  int64 `json:"n"`
	At int64 `json:"at"`
	// Key is drawn by the screen, so that a tap that is sent twice counts once;
	// Screen is who tapped.
	Key    string `json:"key"`
	Screen string `json:"screen"`
	Kind   Kind   `json:"kind"`
	Move   string `json:"move,omitempty"`
	Line   string `json:"line,omitempty"`
	// Amount is in grams, minutes, degrees or the number of a cook, by the kind.
	Amount float64 `json:"amount,omitempty"`
	Food   string  `json:"food,omitempty"`
	Text   string  `json:"text,omitempty"`
	// Of is the event that is taken back, answered, or ended by this one.
	Of   int64             `json:"of,omitempty"`
	Plan map[string]Placed `json:"plan,omitempty"`
}

// Bounds of what an event may say.
const (
	mostText    = 500
	mostScreen  = 100
	mostKey     = 64
	mostGrams   = 50_000.0
	mostMinutes = 24 * 60.0
)

// Wrong is an event that makes no sense: the field and what is wrong.
type Wrong struct{ Field, Detail string }

func (w Wrong) Error() string { return w.Field + " " + w.Detail }

// Check refuses an event that makes no sense in a program and state. What is
// only too late (a move that is done already) is let through and changes
// nothing.
func Check(p *Program, s *State, e Event) error {
	wrong := func(field, key string, a ...any) error { return Wrong{field, texts.Say(key, a...)} }
	needs := needed[e.Kind]
	switch {
	case needs == nil:
		return wrong("kind", "stove.isNotKnown", e.Kind)
	case s.Ended > 0 && e.Kind != Undo:
		return wrong("kind", "stove.comesAfterTheEndTakeThe", e.Kind)
	case len(e.Text) > mostText:
		return wrong("text", "stove.isLongerThanLetters", mostText)
	case e.Screen == "" || len(e.Screen) > mostScreen:
		return wrong("screen", "stove.isMissingOrLongerThanLetters", mostScreen)
	case e.Key == "" || len(e.Key) > mostKey:
		return wrong("key", "stove.isMissingOrLongerThanLetters", mostKey)
	}
	if e.Move != "" && p.Move(e.Move) == nil {
		return wrong("move", "stove.isNoMoveOfThisCook", e.Move)
	}
	if e.Line != "" && p.Line(e.Line) == nil {
		return wrong("line", "stove.isNoLineOfThisCook", e.Line)
	}
	for _, field := range needs {
		if err := e.needs(p, s, field); err != nil {
			return err
		}
	}
	if e.Kind == Longer || e.Kind == Over {
		if s.timer(e.Of) == nil {
			return wrong("of", "stove.isNoTimer", e.Of)
		}
	}
	if e.Kind == Undo && !s.live(e.Of) {
		return wrong("of", "stove.isNoEventThatStands", e.Of)
	}
	return nil
}

// needed are the fields that a kind cannot do without; "what" is a move or a line.
var needed = map[Kind][]string{
	Done: {"move"}, Held: {"move", "line"}, In: {"line"},
	StartTimer: {"move", "minutes"}, Longer: {"of", "minutes"}, Over: {"of"},
	Amount: {"line", "grams"}, OtherFood: {"line", "food"}, LeftOut: {"line"},
	Hotter: {"move"}, Cooler: {"move"}, Earlier: {"move"}, Later: {"move"}, Word: {"text"},
	Weigh: {"what"}, Weighed: {"grams"}, Unweigh: {},
	Watch: {"band"}, Unwatch: {"band"}, Reached: {"band", "celsius"}, Left: {"band", "celsius"},
	Seen: {"text"}, Lane: {"cook"}, Plan: {"plan"}, Undo: {"of"}, End: {},
}

func (e *Event) needs(p *Program, s *State, field string) error {
	bad := func(field, detail string) error { return Wrong{field, detail} }
	switch field {
	case "move":
		if e.Move == "" {
			return bad("move", texts.Say("stove.isMissing"))
		}
	case "line":
		if e.Line == "" {
			return bad("line", texts.Say("stove.isMissing"))
		}
	case "what":
		if (e.Move == "") == (e.Line == "") {
			return bad("line", texts.Say("stove.orAMoveIsWeighedOne"))
		}
		if e.Move != "" && e.Text != PotBefore && e.Text != PotAfter {
			return bad("text", texts.Say("stove.isBeforeOrAfter"))
		}
	case "grams":
		if !(e.Amount >= 0 && e.Amount <= mostGrams) {
			return bad("amount", texts.Say("stove.mustBeBetweenAndGrams", mostGrams))
		}
	case "minutes":
		if !(e.Amount > 0 && e.Amount <= mostMinutes) {
			return bad("amount", texts.Say("stove.mustBeAboveAndAtMost", mostMinutes))
		}
	case "celsius":
		if !(e.Amount >= -50 && e.Amount <= 500) {
			return bad("amount", texts.Say("stove.mustBeBetweenAndDegrees"))
		}
	case "cook":
		if e.Amount != float64(int(e.Amount)) || e.Amount < 0 || int(e.Amount) > p.Cooks {
			return bad("amount", texts.Say("stove.mustBeTheNumberOfA", p.Cooks))
		}
	case "text":
		if e.Text == "" {
			return bad("text", texts.Say("stove.isMissing"))
		}
	case "food":
		if e.Food == "" && e.Text == "" {
			return bad("food", texts.Say("stove.isMissing"))
		}
	case "band":
		if p.Band(e.Text) == nil {
			return bad("text", texts.Say("stove.namesNoBand"))
		}
	case "of":
		if e.Of < 1 {
			return bad("of", texts.Say("stove.namesNoEvent"))
		}
	case "plan":
		if len(e.Plan) == 0 {
			return bad("plan", texts.Say("stove.isEmpty"))
		}
	}
	return nil
}

// Standing are the events that have not been taken back. Taking back what took
// back lets the first stand again.
func Standing(events []Event) []Event {
	gone := takenBack(events)
	out := make([]Event, 0, len(events))
	for _, e := range events {
		if !gone[e.N] && e.Kind != Undo {
			out = append(out, e)
		}
	}
	return out
}

// takenBack are the events that do not stand. A weight that is taken back takes its
// weighing with it, so that the thing is weighed anew or not at all.
func takenBack(events []Event) map[int64]bool {
	gone := map[int64]bool{}
	for _, e := range slices.Backward(events) {
		if e.Kind != Undo || gone[e.N] {
			continue
		}
		gone[e.Of] = true
		if back := at(events, e.Of); back != nil && back.Kind == Weighed {
			if began := at(events, back.Of); began != nil && began.Kind == Weigh {
				gone[began.N] = true
			}
		}
	}
	return gone
}

// at is an event by its number, nil where there is none.
func at(events []Event, n int64) *Event {
	if n < 1 || n > int64(len(events)) {
		return nil
	}
	return &events[n-1]
}

// ByDevices tells whether an event is told by the kitchen itself: what the probe
// finds, and where things are planned now.
func (k Kind) ByDevices() bool { return k == Reached || k == Left || k == Plan }

// Begins tells whether an event says that a move has begun, or is done.
func (k Kind) Begins() bool {
	return k == Done || k == Held || k == StartTimer || k == Hotter || k == Cooler
}
