package method

import (
	"yembra/core/flow"
	"yembra/core/swap"
)

// leastWork is the least that a step asks of the hands; an estimate.
const leastWork = 1.0

// times says how long each step keeps hands busy and how long it then goes on
// alone: by the minutes it says, else by what its techniques usually take.
func (c *Carrier) times(comp *swap.Component) {
	for n := range comp.Steps {
		s := &comp.Steps[n]
		if s.Change == swap.Dropped || s.Prepares != "" && !s.Own {
			continue
		}
		s.Work, s.Wait = c.timesOf(s)
	}
}

func (c *Carrier) timesOf(s *swap.Step) (work, wait float64) {
	for _, seg := range flow.Segments(c.book.Larder(), &s.Step) {
		if seg.Hands {
			work += seg.Minutes
		} else {
			wait += seg.Minutes
		}
	}
	return max(work, leastWork), wait
}
