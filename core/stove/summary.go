package stove

import (
	"fmt"
	"math"

	"yembra/core/texts"
)

// Summary is what became of a cook-through.
type Summary struct {
	// Minutes is how long it took, Planned how long it was to take, 0 where there
	// was no plan; Late by how many minutes it ended after the time of serving.
	Minutes   float64      `json:"minutes"`
	Planned   float64      `json:"planned"`
	Late      *float64     `json:"late" jsonschema:"nullable"`
	Different []Difference `json:"different"`
	Times     []Took       `json:"times"`
	Unused    []string     `json:"unused"`
	Weighed   []Measured   `json:"weighed"`
	Say       string       `json:"say"`
}

// timeDiffers is the part by which a time must differ to be worth a word.
const timeDiffers = 0.1

// span says minutes as one does: "1 h 20 min".
func span(m float64) string {
	n := int(math.Round(m))
	switch {
	case n < 60:
		return texts.Say("stove.min", n)
	case n%60 == 0:
		return fmt.Sprintf("%d h", n/60)
	}
	return texts.Say("stove.hMin", n/60, n%60)
}

// Took is how long a move took against what was planned, in minutes.
type Took struct {
	Move    string  `json:"move"`
	Name    string  `json:"name"`
	Planned float64 `json:"planned"`
	Took    float64 `json:"took"`
}

// Sum tells what became of a cook-through up to a moment.
func Sum(p *Program, s *State, now int64) Summary {
	out := Summary{Different: s.Different, Times: []Took{}, Unused: []string{}, Weighed: Losses(p, s)}
	end := now
	if s.Ended > 0 {
		end = s.Ended
	}
	out.Minutes = math.Round(float64(end-p.Begun) / minute)
	first, last := int64(0), int64(0)
	done := 0
	for i := range p.Moves {
		m := &p.Moves[i]
		if m.Start > 0 && (first == 0 || m.Start < first) {
			first = m.Start
		}
		last = max(last, m.End)
		x := s.Moves[m.ID]
		if x.Done == 0 {
			continue
		}
		done++
		if took := math.Round(float64(x.Done-x.Begun) / minute); math.Abs(took-m.Minutes) > math.Max(1, m.Minutes*timeDiffers) {
			out.Times = append(out.Times, Took{m.ID, m.Name, m.Minutes, took})
		}
	}
	if first > 0 {
		out.Planned = math.Round(float64(last-first) / minute)
	}
	if p.ServeAt > 0 && s.Ended > 0 {
		late := math.Round(float64(s.Ended-p.ServeAt) / minute)
		out.Late = &late
	}
	for i := range p.Lines {
		l := &p.Lines[i]
		if !l.Made && s.rest(l.ID) > 1-most {
			out.Unused = append(out.Unused, l.Text)
		}
	}
	different := texts.Say("stove.cookedAsTheCardHasIt")
	if n := len(s.Different); n > 0 {
		different = texts.Say("stove.thingsWereDifferent", n)
	}
	out.Say = texts.Say("stove.ofThingsDoneIn", different, done, len(p.Moves), span(out.Minutes))
	return out
}
