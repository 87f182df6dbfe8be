package day

import (
	"fmt"
	"math/rand/v2"
	"slices"
	"time"
)

var serving = time.Date(2026, 12, 5, 19, 30, 0, 0, time.UTC)

// random makes up a day of n tasks: hands, rings, oven, blender, chains with
// least and greatest gaps, fritters to be served at once.
func random(rng *rand.Rand, n, grid int) Request {
	r := Request{ServeAt: serving.Format(time.RFC3339), Kitchen: Kitchen{
		Cooks: 1 + rng.IntN(2), Rings: 2 + rng.IntN(3), Ovens: []Oven{{Shelves: 1 + rng.IntN(2)}}, Kit: map[string]int{"blender": 1},
	}}
	if rng.IntN(5) == 0 {
		r.Kitchen.Ovens = append(r.Kitchen.Ovens, Oven{Shelves: 1})
	}
	for i := range n {
		t := Task{ID: fmt.Sprintf("t%d", i), Minutes: float64(grid * (1 + rng.IntN(60/grid)))}
		switch rng.IntN(5) {
		case 0, 1:
			t.Hands = 1
		case 2:
			t.Rings = 1 + rng.IntN(2)
			t.Hands = rng.IntN(2)
		case 3:
			t.Oven = &OvenUse{Celsius: []float64{160, 180, 185, 220}[rng.IntN(4)], Shelves: 1}
		}
		if rng.IntN(6) == 0 {
			t.Kit = []string{"blender"}
		}
		for range rng.IntN(3) {
			if i == 0 {
				break
			}
			a := After{ID: fmt.Sprintf("t%d", rng.IntN(i)), MinGap: float64(grid * rng.IntN(3))}
			if rng.IntN(3) == 0 {
				most := a.MinGap + float64(grid*rng.IntN(60/grid))
				a.MaxGap = &most
			}
			if !slices.ContainsFunc(t.After, func(b After) bool { return b.ID == a.ID }) {
				t.After = append(t.After, a)
			}
		}
		if rng.IntN(8) == 0 {
			within := float64(grid * rng.IntN(90/grid))
			t.ServeWithin = &within
		}
		r.Tasks = append(r.Tasks, t)
	}
	return r
}

// laid is where a task lies in the day that an instance was made from.
type laid struct{ start, end int }

// planting makes an instance from a day that can be done: what lies where is known.
type planting struct {
	rng  *rand.Rand
	r    Request
	at   []laid
	span int
}

// The kinds of things a task can hold besides hands.
const (
	onRing = iota
	inOven
	inBlender
	standing
)

// planted makes up a day whose best span is known: a plan is laid out in which
// one cook never rests, and the demands are read off it. It returns the span.
func planted(rng *rand.Rand, n int) (Request, float64) {
	cooks := 1 + rng.IntN(2)
	kitchen := Kitchen{Cooks: cooks, Rings: 4, Ovens: []Oven{{Shelves: 2}}, Kit: map[string]int{"blender": 1}}
	p := &planting{rng: rng, r: Request{ServeAt: serving.Format(time.RFC3339), Kitchen: kitchen}}
	p.byHand(cooks, n*55/100)
	p.waiting(n)
	p.links()
	tasks := p.r.Tasks
	rng.Shuffle(len(tasks), func(a, b int) { tasks[a], tasks[b] = tasks[b], tasks[a] })
	return p.r, float64(p.span)
}

// byHand lays the work of hands end to end, a row for each cook.
func (p *planting) byHand(cooks, n int) {
	for c := range cooks {
		share := n / cooks
		now := 0
		for k := range share {
			length := 5 + p.rng.IntN(26)
			if c > 0 && k == share-1 {
				length = max(5, p.span-now)
			}
			if c > 0 && now+length > p.span {
				break
			}
			p.at = append(p.at, laid{now, now + length})
			now += length
		}
		p.span = max(p.span, now)
	}
	for i, at := range p.at {
		p.r.Tasks = append(p.r.Tasks, Task{ID: fmt.Sprintf("h%d", i), Minutes: float64(at.end - at.start), Hands: 1})
	}
}

// free tells whether one more thing of a kind finds room over a span.
func (p *planting) free(kind int, from, to, most int, heat float64) bool {
	for x := from; x < to; x++ {
		used := 0
		for i, t := range p.r.Tasks {
			if p.at[i].start > x || p.at[i].end <= x {
				continue
			}
			switch {
			case kind == onRing:
				used += t.Rings
			case kind == inOven && t.Oven != nil:
				used++
				if d := t.Oven.Celsius - heat; d > 10 || d < -10 {
					return false
				}
			case kind == inBlender:
				used += len(t.Kit)
			}
		}
		if used >= most {
			return false
		}
	}
	return true
}

// waiting lays the rest: on rings, in the oven, in the blender, or just standing.
func (p *planting) waiting(n int) {
	for tries := 0; len(p.r.Tasks) < n && tries < 5000; tries++ {
		length := 10 + p.rng.IntN(50)
		from := p.rng.IntN(max(1, p.span-length))
		t := Task{ID: fmt.Sprintf("w%d", len(p.r.Tasks)), Minutes: float64(length)}
		kind := p.rng.IntN(4)
		heat := []float64{160, 180, 200, 220}[p.rng.IntN(4)]
		if most := []int{4, 2, 1, 99}[kind]; !p.free(kind, from, from+length, most, heat) {
			continue
		}
		switch kind {
		case onRing:
			t.Rings = 1
		case inOven:
			t.Oven = &OvenUse{Celsius: heat, Shelves: 1}
		case inBlender:
			t.Kit = []string{"blender"}
		}
		p.r.Tasks = append(p.r.Tasks, t)
		p.at = append(p.at, laid{from, from + length})
	}
}

// links ties tasks to what lies before them, and some to the serving.
func (p *planting) links() {
	for i := range p.r.Tasks {
		t := &p.r.Tasks[i]
		for range 2 {
			j := p.rng.IntN(len(p.r.Tasks))
			gap := p.at[i].start - p.at[j].end
			if i == j || gap < 0 || gap > 120 {
				continue
			}
			a := After{ID: p.r.Tasks[j].ID, MinGap: float64(p.rng.IntN(gap/2 + 1))}
			if p.rng.IntN(3) == 0 {
				most := float64(gap + p.rng.IntN(30))
				a.MaxGap = &most
			}
			if !slices.ContainsFunc(t.After, func(b After) bool { return b.ID == a.ID }) {
				t.After = append(t.After, a)
			}
		}
		if wait := p.span - p.at[i].end; wait < 40 && p.rng.IntN(3) == 0 {
			within := float64(wait + p.rng.IntN(15))
			t.ServeWithin = &within
		}
	}
}
