// Package stove keeps a cook-through: what is to be done, what was done, what
// is on the fire and in the pot, and when it speaks up.
//
// A cook-through is a Program, frozen when it begins, and the events that came
// since, oldest first. State is a pure function of the two; nothing here knows
// the time of day but from the events and from the moment it is asked about.
package stove

import (
	"slices"

	"yembra/core/day"
	"yembra/core/larder"
)

// Program is what is cooked, as it was when it began.
type Program struct {
	Name string `json:"name"`
	// Knowledge names the knowledge it was computed with.
	Knowledge string `json:"knowledge"`
	// Begun is the moment in milliseconds since 1970, ServeAt that of serving, 0 for
	// none.
	Begun   int64  `json:"begun"`
	ServeAt int64  `json:"serveAt"`
	Day     string `json:"day"`
	Dishes  []Dish `json:"dishes"`
	Cooks   int    `json:"cooks"`
	Lines   []Line `json:"lines"`
	Moves   []Move `json:"moves"`
	Bands   []Band `json:"bands"`
	// Factors are what the kitchen's own weighings made of the losses foreseen.
	Factors map[string]float64 `json:"factors"`
}

// Dish is a dish of a cook-through and for how many, with its card as it was when
// it began, at the size of the recipe, and how far each trait was foreseen from the
// original.
type Dish struct {
	ID       string  `json:"id"`
	Name     string  `json:"name"`
	Servings float64 `json:"servings"`
	// Edit and Revision are the dish's own at that moment.
	Edit     int64              `json:"edit"`
	Revision int64              `json:"revision"`
	Lines    []CardLine         `json:"lines"`
	Steps    []string           `json:"steps"`
	Traits   map[string]float64 `json:"traits"`
	// Cautions, Allergens and Open, the lines for which nothing was chosen, are the
	// card's.
	Cautions  []CardWarning `json:"cautions,omitempty"`
	Allergens []string      `json:"allergens,omitempty"`
	Open      []string      `json:"open,omitempty"`
	// Brings tells of traits which food brings most of them.
	Brings map[string]Bringer `json:"brings,omitempty"`
	// Base is the trial that the dish was gone back to before, and BaseAt when; empty
	// where it never was.
	Base   string `json:"base,omitempty"`
	BaseAt int64  `json:"baseAt,omitempty"`
}

// CardWarning is a caution of a card; grave ones stand out.
type CardWarning struct {
	Text  string `json:"text"`
	Grave bool   `json:"grave"`
}

// Bringer is the food that brings most of a trait: which share of its rating.
type Bringer struct {
	Food   string  `json:"food"`
	Share  float64 `json:"share"`
	Rating float64 `json:"rating"`
}

// CardLine is a line of a card: its food, or its name where the larder has none.
type CardLine struct {
	Food  string  `json:"food"`
	Text  string  `json:"text"`
	Grams float64 `json:"grams"`
}

// Line is one thing on the board.
type Line struct {
	ID   string `json:"id"`
	Dish string `json:"dish"`
	Part string `json:"part"`
	// Text is the line as the card has it, Name its food, Preparation what is done
	// to it beforehand.
	Text        string `json:"text"`
	Name        string `json:"name"`
	Preparation string `json:"preparation"`
	Food        string `json:"food"`
	// Grams is what is asked for, 0 where it is not known; Density and Pours tell
	// how a kitchen measures it.
	Grams   float64 `json:"grams"`
	Density float64 `json:"density"`
	Pours   bool    `json:"pours"`
	// Made tells that it was made here and stands on no board; Seasons that it is
	// tasted by.
	Made     bool `json:"made"`
	Seasons  bool `json:"seasons"`
	Optional bool `json:"optional"`
}

// Move is one thing to do, or what goes on by itself.
type Move struct {
	ID string `json:"id"`
	// For are the dishes by name.
	For  []string `json:"for"`
	Part string   `json:"part"`
	// Say is what to do in words, Name the same in few, Text the whole step.
	Say  string `json:"say"`
	Name string `json:"name"`
	Text string `json:"text"`
	Cue  string `json:"cue"`
	Kind string `json:"kind"`
	// Hands tells that a cook stays at it; what goes on by itself has a timer.
	Hands   bool    `json:"hands"`
	Minutes float64 `json:"minutes"`
	Takes   []Take  `json:"takes"`
	// Readies are lines that are cut or soaked for later.
	Readies []Take `json:"readies"`
	// After are the moves that must be done before.
	After []string `json:"after"`
	// Rate is the water in grams a minute that an open pot of the reference size
	// loses, Share the part of its weight that is foreseen to go, Loss the kind.
	Rate  float64  `json:"rate"`
	Share float64  `json:"share"`
	Loss  string   `json:"loss"`
	Bands []string `json:"bands"`
	// Care is what can hurt here.
	Care []string `json:"care"`
	// Fire tells that it stands on a ring or in the oven.
	Fire bool `json:"fire"`
	// Start and End are when it was planned, in milliseconds; Cook who does it, 0 for
	// anybody.
	Start int64 `json:"start"`
	End   int64 `json:"end"`
	Cook  int   `json:"cook"`
}

// Take is a share of a line that goes in, in words and grams.
type Take struct {
	Line  string  `json:"line"`
	Share float64 `json:"share"`
	Text  string  `json:"text"`
	// Much is the amount and What the rest of the text.
	Much  string  `json:"much"`
	What  string  `json:"what"`
	Grams float64 `json:"grams"`
}

// seasoning is the tag of foods that a dish is tasted by.
const seasoning = "seasoning"

// NewProgram makes a program of the courses of a menu, their jobs and the plan
// that was made of them; times of the plan are in milliseconds.
func NewProgram(l *larder.Larder, courses []day.Course, jobs []day.Job, placed map[string]Placed) Program {
	p := Program{Lines: []Line{}, Moves: []Move{}, Dishes: []Dish{}, Bands: []Band{}, Cooks: 1, Factors: map[string]float64{}}
	at := map[day.Take]int{}
	for _, c := range courses {
		for i := range c.Parts {
			for j := range c.Parts[i].Lines {
				at[day.Take{Dish: c.ID, Part: i, Line: j}] = len(p.Lines)
				p.Lines = append(p.Lines, lineOf(l, &c, i, j))
			}
		}
	}
	for _, b := range l.Bands() {
		p.Bands = append(p.Bands, Band{b.ID, b.Name, b.Chosen(), b.Say, b.Caution})
	}
	for _, x := range l.Losses() {
		if f := l.Factor(x.ID); f != 1 {
			p.Factors[x.ID] = f
		}
	}
	for _, j := range jobs {
		m := Move{ID: j.ID, For: j.For, Part: j.Part, Say: j.Said, Name: j.Name, Text: j.Text, Cue: j.Cue, Kind: j.Kind, Hands: j.Hands > 0, Minutes: j.Minutes,
			Takes: []Take{}, Readies: []Take{}, After: []string{}, Rate: j.Rate, Share: j.Share, Loss: j.Loss, Bands: j.Bands, Care: j.Care, Fire: j.Rings > 0 || j.Oven != nil}
		if j.Kind == day.Mise || j.Kind == day.Heat {
			m.Say = j.Name + "."
		}
		for _, t := range j.Takes {
			if n, ok := at[day.Take{Dish: t.Dish, Part: t.Part, Line: t.Line}]; ok {
				m.Takes = append(m.Takes, p.Lines[n].take(t.Share))
			}
		}
		for _, t := range j.Readies {
			if n, ok := at[day.Take{Dish: t.Dish, Part: t.Part, Line: t.Line}]; ok {
				m.Readies = append(m.Readies, p.Lines[n].take(t.Share))
			}
		}
		for _, a := range j.After {
			m.After = append(m.After, a.ID)
		}
		if where, ok := placed[j.ID]; ok {
			m.Start, m.End, m.Cook = where.Start, where.End, where.Cook
		}
		p.Moves = append(p.Moves, m)
	}
	order(p.Moves)
	return p
}

// Line finds a line, nil when there is none.
func (p *Program) Line(id string) *Line {
	if at := slices.IndexFunc(p.Lines, func(l Line) bool { return l.ID == id }); at >= 0 {
		return &p.Lines[at]
	}
	return nil
}

// Move finds a move, nil when there is none.
func (p *Program) Move(id string) *Move {
	if at := slices.IndexFunc(p.Moves, func(m Move) bool { return m.ID == id }); at >= 0 {
		return &p.Moves[at]
	}
	return nil
}
