package stove

import (
	"maps"
	"slices"
)

// State is where a cook-through stands.
type State struct {
	// Moves are those that have begun or are done; In is the share of each line
	// that is in.
	Moves map[string]Progress `json:"moves"`
	In    map[string]float64  `json:"in"`
	// Used are the grams that went in where they were weighed or said, Instead other
	// foods; Gone are the lines left out, with why.
	Used    map[string]float64 `json:"used"`
	Instead map[string]string  `json:"instead"`
	Gone    map[string]string  `json:"gone"`
	// Held are lines that were kept back from the move that takes them, Lately those
	// that went in after it.
	Held   map[string]string `json:"held"`
	Lately map[string]bool   `json:"lately"`
	Timers []Timer           `json:"timers"`
	// Weighing is the one under way; Pots what was weighed before and after.
	Weighing *Weighing          `json:"weighing" jsonschema:"nullable"`
	Pots     map[string]Pot     `json:"pots"`
	Watches  map[string]Watched `json:"watches"`
	// Answered is what was spoken up about and needs no more saying.
	Answered map[string]bool `json:"answered"`
	// First are the moves that were brought forward, Last those put off.
	First []string       `json:"first"`
	Last  []string       `json:"last"`
	Lanes map[string]int `json:"lanes"`
	// Plan is when moves are planned since it was last made anew.
	Plan map[string]Placed `json:"plan"`
	// Different is what was not as the card has it, in the order it was told.
	Different []Difference `json:"different"`
	// Ended is when it ended, EndedBy the event that told of it.
	Ended   int64 `json:"ended"`
	EndedBy int64 `json:"endedBy"`
	// Last of all events, for whoever asks for what came since.
	N      int64 `json:"n"`
	events []Event
}

// Progress is when a move began and when it was done, 0 for not yet.
type Progress struct {
	Begun int64  `json:"begun"`
	Done  int64  `json:"done"`
	By    string `json:"by"`
}

// Timer belongs to a move and ends with its cue.
type Timer struct {
	// N is the event that started it.
	N       int64   `json:"n"`
	Move    string  `json:"move"`
	Name    string  `json:"name"`
	Cue     string  `json:"cue"`
	Minutes float64 `json:"minutes"`
	Begun   int64   `json:"begun"`
	Ends    int64   `json:"ends"`
	// Over is when it was answered, 0 while it was not.
	Over int64 `json:"over"`
}

// Weighing is a weighing under way.
type Weighing struct {
	N    int64  `json:"n"`
	Line string `json:"line"`
	Move string `json:"move"`
	// When tells which of the two weighings of a pot it is.
	When string `json:"when"`
	// Asked is in grams, 0 where anything is right; Zero what stood on the scale.
	Asked float64 `json:"asked"`
	Zero  float64 `json:"zero"`
	Since int64   `json:"since"`
}

// Pot is what a move works on, weighed before and after, in grams.
type Pot struct {
	Before   float64 `json:"before"`
	After    float64 `json:"after"`
	BeforeAt int64   `json:"beforeAt"`
	AfterAt  int64   `json:"afterAt"`
}

// Watched is a band that the probe watches.
type Watched struct {
	Band    string  `json:"band"`
	Move    string  `json:"move"`
	Since   int64   `json:"since"`
	Reached int64   `json:"reached"`
	Left    int64   `json:"left"`
	Celsius float64 `json:"celsius"`
}

// Difference is one thing that was not as the card has it.
type Difference struct {
	// N is the event that told of it, and takes it back.
	N    int64  `json:"n"`
	At   int64  `json:"at"`
	Move string `json:"move"`
	Line string `json:"line"`
	Text string `json:"text"`
}

// Begin is the state of a program before anything has happened.
func Begin() State {
	return State{Moves: map[string]Progress{}, In: map[string]float64{}, Used: map[string]float64{}, Instead: map[string]string{}, Gone: map[string]string{}, Held: map[string]string{}, Lately: map[string]bool{},
		Timers: []Timer{}, Pots: map[string]Pot{}, Watches: map[string]Watched{}, Answered: map[string]bool{}, First: []string{}, Last: []string{}, Lanes: map[string]int{}, Plan: map[string]Placed{}, Different: []Difference{}}
}

// Of is the state after events.
func Of(p *Program, events []Event) State {
	s := Begin()
	for _, e := range Standing(events) {
		s.fold(p, e)
	}
	s.events = events
	if len(events) > 0 {
		s.N = events[len(events)-1].N
	}
	return s
}

// Apply is the state after one more event.
func Apply(p *Program, s State, e Event) State {
	events := append(slices.Clone(s.events), e)
	if e.Kind == Undo {
		return Of(p, events)
	}
	next := s.clone()
	next.fold(p, e)
	next.events, next.N = events, e.N
	return next
}

func (s *State) clone() State {
	c := *s
	c.Moves, c.In, c.Used, c.Instead, c.Gone = maps.Clone(s.Moves), maps.Clone(s.In), maps.Clone(s.Used), maps.Clone(s.Instead), maps.Clone(s.Gone)
	c.Held, c.Lately, c.Pots, c.Watches, c.Answered = maps.Clone(s.Held), maps.Clone(s.Lately), maps.Clone(s.Pots), maps.Clone(s.Watches), maps.Clone(s.Answered)
	c.Lanes, c.Plan = maps.Clone(s.Lanes), maps.Clone(s.Plan)
	c.Timers, c.First, c.Last, c.Different = slices.Clone(s.Timers), slices.Clone(s.First), slices.Clone(s.Last), slices.Clone(s.Different)
	if s.Weighing != nil {
		w := *s.Weighing
		c.Weighing = &w
	}
	return c
}

// Events are all that were told, those taken back among them.
func (s *State) Events() []Event { return s.events }

// live tells whether an event stands.
func (s *State) live(n int64) bool {
	return n >= 1 && n <= int64(len(s.events)) && !takenBack(s.events)[n]
}

// LastOf is the newest event that a screen can take back: its own, or where it has
// told of nothing yet the newest of all; 0 for none.
func (s *State) LastOf(screen string) int64 {
	last := int64(0)
	for _, e := range slices.Backward(Standing(s.events)) {
		switch {
		case e.Kind == Lane || e.Kind.ByDevices():
		case e.Screen == screen:
			return e.N
		case last == 0:
			last = e.N
		}
	}
	return last
}

func (s *State) timer(n int64) *Timer {
	if at := slices.IndexFunc(s.Timers, func(t Timer) bool { return t.N == n }); at >= 0 {
		return &s.Timers[at]
	}
	return nil
}

// Running is the timer of a move that nobody has answered, nil for none.
func (s *State) Running(move string) *Timer {
	if at := slices.IndexFunc(s.Timers, func(t Timer) bool { return t.Move == move && t.Over == 0 }); at >= 0 {
		return &s.Timers[at]
	}
	return nil
}

// IsDone tells whether a move is done.
func (s *State) IsDone(move string) bool { return s.Moves[move].Done > 0 }

// rest is the share of a line that is still on the board.
func (s *State) rest(line string) float64 {
	if _, gone := s.Gone[line]; gone {
		return 0
	}
	return max(0, 1-s.In[line])
}

// Planned is when a move is planned now.
func (s *State) Planned(m *Move) Placed {
	if at, ok := s.Plan[m.ID]; ok {
		return at
	}
	return Placed{m.Start, m.End, m.Cook}
}
