package stove

import (
	"math"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/texts"
)

// Measured is one loss that a kitchen has weighed, beside what was foreseen for
// it by the book alone.
type Measured struct {
	Loss     string  `json:"loss"`
	Foreseen float64 `json:"foreseen"`
	Lost     float64 `json:"lost"`
	Before   float64 `json:"before"`
	Minutes  float64 `json:"minutes"`
	What     string  `json:"what"`
	Dish     string  `json:"dish"`
	Cook     string  `json:"cook"`
	At       int64   `json:"at"`
}

// leastForeseen is the least loss in grams from which anything can be learned.
const leastForeseen = 5.0

// Losses are the losses that were weighed in a cook-through.
func Losses(p *Program, s *State) []Measured {
	out := []Measured{}
	for i := range p.Moves {
		m := &p.Moves[i]
		pot, ok := s.Pots[m.ID]
		if !ok || pot.Before <= 0 || pot.After <= 0 || pot.After >= pot.Before || m.Loss == "" {
			continue
		}
		minutes := s.minutesOn(p, m, pot)
		foreseen := Foreseen(m, minutes, pot.Before)
		if foreseen < leastForeseen {
			continue
		}
		x := Measured{Loss: m.Loss, Foreseen: foreseen, Lost: pot.Before - pot.After, Before: pot.Before, Minutes: minutes, What: m.Name, At: pot.AfterAt}
		if len(m.For) > 0 {
			x.Dish = m.For[0]
		}
		out = append(out, x)
	}
	return out
}

// Foreseen is what a move is foreseen to lose, by the book alone, of what weighs
// so many grams in so many minutes.
func Foreseen(m *Move, minutes, grams float64) float64 {
	if m.Share > 0 {
		return m.Share * grams
	}
	return character.Boiled(m.Rate, minutes, grams)
}

// minutesOn is how long a move went on between its two weighings: by its timers
// where it had any, else by the clock.
func (s *State) minutesOn(p *Program, m *Move, pot Pot) float64 {
	from, upto := pot.BeforeAt, pot.AfterAt
	for _, t := range s.Timers {
		if t.Move == m.ID && t.Begun >= pot.BeforeAt {
			from = t.Begun
			if t.Over > 0 {
				upto = min(t.Over, upto)
			}
		}
	}
	return math.Max(0, float64(upto-from)/minute)
}

// priorSpread is how far, as a logarithm, a kitchen's true loss is thought to lie
// from the book's before anything was weighed.
const priorSpread = 0.3

// Factor is how many times the loss foreseen a kitchen loses.
type Factor struct {
	Loss   string  `json:"loss"`
	Name   string  `json:"name"`
	Factor float64 `json:"factor"`
	// Low and High bound it with 95 %.
	Low  float64 `json:"low"`
	High float64 `json:"high"`
	N    int     `json:"n"`
	Say  string  `json:"say"`
}

// Learn is what the weighings of one kind of loss say of a kitchen. The logarithm
// of the factor has a normal prior around 0 with the spread priorSpread, and each
// weighing lies around it with the spread of its kind (both in the table).
func Learn(x *larder.Loss, weighed []Measured) Factor {
	precision, sum, n := 1/(priorSpread*priorSpread), 0.0, 0
	for _, m := range weighed {
		if m.Loss != x.ID || m.Foreseen <= 0 || m.Lost <= 0 {
			continue
		}
		weight := 1 / (x.Spread * x.Spread)
		precision += weight
		sum += weight * math.Log(m.Lost/m.Foreseen)
		n++
	}
	centre, half := sum/precision, sure/math.Sqrt(precision)
	f := Factor{Loss: x.ID, Name: x.Name, Factor: math.Exp(centre), Low: math.Exp(centre - half), High: math.Exp(centre + half), N: n}
	f.Say = texts.Say("stove.timesTheBookToFromOf", capital(x.Name), f.Factor, f.Low, f.High, texts.Say("stove.weighings", n))
	return f
}

// sure is the quantile of 95 %.
const sure = 1.959963984540054
