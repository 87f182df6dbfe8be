package method

import (
	"yembra/core/larder"
	"yembra/core/swap"
)

// Minutes for what a step asks of the hands besides its cooking: nothing takes
// less than leastWork, and what is cut and stirred along the way no more than
// mostAside; a step that goes on alone has been attended for mostAttended at
// most; estimates.
const (
	leastWork    = 2.0
	mostAside    = 20.0
	mostAttended = 8.0
)

// restFamily holds the techniques during which food stands by itself.
const restFamily = "rest"

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
	aside, attended, resting := 0.0, 0.0, 0.0
	var alone *larder.Technique
	for _, name := range s.Techniques {
		t := c.book.Larder().Technique(name)
		switch {
		case t == nil || name == "preheat":
		case t.Heat != "" && t.HandsOn:
			attended = max(attended, t.Usual)
		case t.Heat != "":
			alone = t
		case t.Family == restFamily || name == "prove":
			resting = max(resting, t.Usual)
		default:
			aside += t.Usual
		}
	}
	aside = min(aside, mostAside)
	said := 0.0
	if s.Minutes != nil {
		said = s.Minutes.Mid()
	}
	switch {
	case alone != nil || resting > 0 && attended == 0:
		if wait = said; wait == 0 && alone != nil {
			wait = alone.Usual
		} else if wait == 0 {
			wait = resting
		}
		return max(aside+min(attended, mostAttended), leastWork), wait
	case attended > 0 && said > 0:
		return max(said, leastWork) + aside/2, 0
	case attended > 0:
		return attended + aside/2, 0
	case said > 0:
		return said, 0
	}
	return max(aside, leastWork), 0
}
