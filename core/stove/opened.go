package stove

import (
	"fmt"
	"slices"
	"strings"
	"time"

	"yembra/core/day"
	"yembra/core/larder"
	"yembra/core/measure"
)

// Band is what the probe can watch. Chosen ones belong to no work: the cook chooses
// them.
type Band struct {
	ID      string `json:"id"`
	Name    string `json:"name"`
	Chosen  bool   `json:"chosen"`
	Say     string `json:"say"`
	Caution string `json:"caution"`
}

// Placed is when a move is planned, and which cook does it.
type Placed struct {
	Start int64 `json:"start"`
	End   int64 `json:"end"`
	Cook  int   `json:"cook"`
}

// PlacedOf are the times and cooks of a plan, by job; cooks are numbered from 1.
func PlacedOf(plan day.Plan) (map[string]Placed, error) {
	out := map[string]Placed{}
	for _, t := range plan.Tasks {
		start, err := time.Parse(time.RFC3339, t.Start)
		if err != nil {
			return nil, fmt.Errorf("read the plan: %w", err)
		}
		end, err := time.Parse(time.RFC3339, t.End)
		if err != nil {
			return nil, fmt.Errorf("read the plan: %w", err)
		}
		at := Placed{Start: start.UnixMilli(), End: end.UnixMilli()}
		if t.Cook != nil {
			at.Cook = *t.Cook + 1
		}
		out[t.ID] = at
	}
	return out, nil
}

// BeginAt moves the plan so that its first move starts at a moment.
func (p *Program) BeginAt(at int64) {
	first := int64(0)
	for _, m := range p.Moves {
		if m.Start > 0 && (first == 0 || m.Start < first) {
			first = m.Start
		}
	}
	for i := range p.Moves {
		if m := &p.Moves[i]; m.Start > 0 {
			m.Start, m.End = m.Start+at-first, m.End+at-first
		}
	}
}

// order puts moves in the order of the plan, what must be before always before.
func order(moves []Move) {
	slices.SortStableFunc(moves, func(a, b Move) int { return int(a.Start - b.Start) })
	done := map[string]bool{}
	known := map[string]bool{}
	for _, m := range moves {
		known[m.ID] = true
	}
	rest := slices.Clone(moves)
	for n := range moves {
		next := slices.IndexFunc(rest, func(m Move) bool {
			return !slices.ContainsFunc(m.After, func(id string) bool { return known[id] && !done[id] })
		})
		next = max(next, 0) // jobs of a plan are in no ring; were they, they stay as they came
		moves[n] = rest[next]
		done[rest[next].ID] = true
		rest = slices.Delete(rest, next, next+1)
	}
}

func lineOf(l *larder.Larder, c *day.Course, part, line int) Line {
	from := &c.Parts[part].Lines[line]
	f := l.Food(from.FoodID())
	out := Line{ID: from.ID, Dish: c.ID, Part: c.Parts[part].Name, Text: from.Text, Name: from.Name, Preparation: from.Preparation, Food: from.FoodID(), Grams: from.Mass(),
		Made: from.Made != "", Seasons: f != nil && f.Tagged(seasoning) || from.ToTaste, Optional: from.Optional}
	out.ID = strings.Join([]string{c.ID, itoa(part), itoa(line)}, ".")
	if f != nil {
		out.Density, out.Pours = f.MatterOf(from.Form).Density, larder.Measured(f)
	}
	return out
}

// most is a share that counts as the whole of a line.
const most = 0.999

func (l *Line) take(share float64) Take {
	t := Take{Line: l.ID, Share: share, Text: l.Text, What: l.Text, Grams: l.Grams * share}
	if at := strings.Index(strings.ToLower(l.Text), strings.ToLower(l.Name)); at > 0 && l.Name != "" && at < len(l.Text) {
		t.Much, t.What = strings.TrimSpace(l.Text[:at]), l.Text[at:]
	}
	if share < most && l.Grams > 0 {
		t.say(l, t.Grams)
	}
	return t
}

// say tells a take by grams.
func (t *Take) say(l *Line, grams float64) {
	t.Much, t.What = l.Measured(grams), l.Name
	t.Text = t.Much + " " + t.What
}

// Measured writes grams of a line as a kitchen measures it.
func (l *Line) Measured(grams float64) string {
	return measure.ShowMatter(measure.Span{Low: grams, High: grams}, l.Density, l.Pours, measure.Loose)
}

// Band finds a band, nil when there is none.
func (p *Program) Band(id string) *Band {
	if at := slices.IndexFunc(p.Bands, func(b Band) bool { return b.ID == id }); at >= 0 {
		return &p.Bands[at]
	}
	return nil
}

// Find finds the first line of a food, nil when there is none.
func (p *Program) Find(food string) *Line {
	if at := slices.IndexFunc(p.Lines, func(l Line) bool { return l.Food == food }); at >= 0 {
		return &p.Lines[at]
	}
	return nil
}
