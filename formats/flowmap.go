package formats

import (
	"math"
	"strconv"

	"yembra/core/recipe"
)

// flowMap is the method of a card laid out as a picture: what goes in at the left, each
// action a knot, one plate at the right. Lengths are points from its upper left corner.
type flowMap struct {
	lines   []flowLine
	knots   []flowKnot
	strands []strand
	plate   point
	height  float64
}

type point struct{ x, y float64 }

type flowLine struct {
	point
	name string
}

// flowKnot is an action; below tells that its word stands under it.
type flowKnot struct {
	point
	step, word string
	alone      bool
	below      bool
}

// strand leads from a line or a knot to a knot; what hands do is thick.
type strand struct {
	from, to point
	thick    bool
}

// The measures of the picture in points. A row between leastRow and mostRow is read at
// arm's length; columns closer than leastColumn are not told apart.
const (
	namesWide   = 124.0
	plateWide   = 26.0
	mostRow     = 13.0
	leastRow    = 7.0
	mostColumn  = 58.0
	leastColumn = 11.0
	knotApart   = 9.5
	flowAir     = 8.0
)

// layFlow lays the method out on a width, no taller than room; it says no where that
// cannot be read.
func layFlow(d *recipe.Dish, width, room float64) (flowMap, bool) {
	m := flowMap{}
	actions := actionsOf(d)
	at, depth, most := map[string]point{}, map[string]int{}, 1
	for i, c := range d.Components {
		for j, l := range c.Lines {
			if ref := recipe.LineRef(i, j); takenUp(actions, ref) {
				m.lines = append(m.lines, flowLine{name: l.Name})
				at[ref] = point{namesWide, float64(len(m.lines))}
			}
		}
	}
	for _, a := range actions {
		before := 0
		for _, r := range refsOf(&a.Action) {
			if r.Made != nil {
				before = max(before, depth[*r.Made])
			}
		}
		depth[a.ID] = before + 1
		most = max(most, before+1)
	}
	if len(actions) < 2 || len(m.lines) < 2 {
		return m, false
	}
	row := min(mostRow, (room-2*flowAir)/float64(len(m.lines)))
	column := min(mostColumn, (width-namesWide-plateWide)/float64(most+1))
	if row < leastRow || column < leastColumn {
		return m, false
	}
	for i := range m.lines {
		m.lines[i].point = point{namesWide, flowAir + row*(float64(i)+0.5)}
	}
	for ref, p := range at {
		at[ref] = m.lines[int(p.y)-1].point
	}
	m.height = 2*flowAir + row*float64(len(m.lines))
	m.knit(actions, at, depth, column)
	m.plate = point{namesWide + column*float64(most+1), m.height / 2}
	m.tie(actions, at)
	return m, m.height <= room
}

// numbered is an action with the number of its step.
type numbered struct {
	recipe.Action
	step int
}

func actionsOf(d *recipe.Dish) []numbered {
	var out []numbered
	for _, at := range d.Method() {
		for _, a := range d.Components[at.Component].Steps[at.Step].Actions {
			out = append(out, numbered{a, at.Step + 1})
		}
	}
	return out
}

func refsOf(a *recipe.Action) []recipe.Ref {
	return append(append(append([]recipe.Ref{}, a.To...), a.With...), a.Into...)
}

func takenUp(actions []numbered, line string) bool {
	for i := range actions {
		for _, r := range refsOf(&actions[i].Action) {
			if r.Line != nil && *r.Line == line {
				return true
			}
		}
	}
	return false
}

// knit gives each action its place: in the column of its depth, as near as it can stand
// to the middle of what it takes.
func (m *flowMap) knit(actions []numbered, at map[string]point, depth map[string]int, column float64) {
	taken := map[int][]float64{}
	last := flowAir
	for i := range actions {
		a := &actions[i]
		sum, n := 0.0, 0.0
		for _, r := range refsOf(&a.Action) {
			if p, ok := source(at, r); ok {
				sum, n = sum+p.y, n+1
			}
		}
		if n > 0 {
			last = sum / n
		}
		d := depth[a.ID]
		y := freeFor(taken[d], last)
		taken[d] = append(taken[d], y)
		at[a.ID] = point{namesWide + column*float64(d), y}
		m.height = max(m.height, y+flowAir+knotApart)
		word := a.Verb
		if column < wordRoom/2 {
			word = ""
		}
		m.knots = append(m.knots, flowKnot{at[a.ID], strconv.Itoa(a.step), word, a.Alone, column < wordRoom && d%2 == 0})
	}
}

// wordRoom is how wide a column must be for words side by side.
const wordRoom = 46.0

// source is where a thing comes from in the picture.
func source(at map[string]point, r recipe.Ref) (point, bool) {
	switch {
	case r.Line != nil:
		p, ok := at[*r.Line]
		return p, ok
	case r.Made != nil:
		p, ok := at[*r.Made]
		return p, ok
	}
	return point{}, false
}

// freeFor is the height nearest to the wanted one where no other knot stands.
func freeFor(taken []float64, wanted float64) float64 {
	for n := range 2 * len(taken) {
		step := float64((n+1)/2) * knotApart
		y := wanted + step
		if n%2 == 1 {
			y = wanted - step
		}
		if y >= flowAir && apart(taken, y) {
			return y
		}
	}
	y := wanted
	for !apart(taken, y) {
		y += knotApart
	}
	return y
}

func apart(taken []float64, y float64) bool {
	for _, t := range taken {
		if math.Abs(t-y) < knotApart*0.9 {
			return false
		}
	}
	return true
}

// tie draws the strands, the last to the plate.
func (m *flowMap) tie(actions []numbered, at map[string]point) {
	used := map[string]bool{}
	for i := range actions {
		a := &actions[i]
		for _, r := range refsOf(&a.Action) {
			if from, ok := source(at, r); ok {
				m.strands = append(m.strands, strand{from, at[a.ID], !a.Alone})
			}
			if r.Made != nil {
				used[*r.Made] = true
			}
		}
	}
	for i := len(actions) - 1; i >= 0; i-- {
		if a := &actions[i]; !used[a.ID] && len(a.To) > 0 && a.To[0].Named == nil {
			m.strands = append(m.strands, strand{at[a.ID], m.plate, true})
			return
		}
	}
}
