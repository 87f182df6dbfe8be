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

// planted makes up a day whose best span is known: a plan is laid out in which
// one cook never rests, and the demands are read off it. It returns the span.
func planted(rng *rand.Rand, n int) (Request, float64) {
	cooks := 1 + rng.IntN(2)
	kitchen := Kitchen{Cooks: cooks, Rings: 4, Ovens: []Oven{{Shelves: 2}}, Kit: map[string]int{"blender": 1}}
	r := Request{ServeAt: serving.Format(time.RFC3339), Kitchen: kitchen}
	type laid struct{ start, end int }
	var at []laid
	byHand := n * 55 / 100
	span := 0
	for c := range cooks {
		share := byHand / cooks
		now := 0
		for k := range share {
			length := 5 + rng.IntN(26)
			if c > 0 && k == share-1 {
				length = max(5, span-now)
			}
			if c > 0 && now+length > span {
				break
			}
			at = append(at, laid{now, now + length})
			now += length
		}
		span = max(span, now)
	}
	for i := range at {
		r.Tasks = append(r.Tasks, Task{ID: fmt.Sprintf("h%d", i), Minutes: float64(at[i].end - at[i].start), Hands: 1})
	}
	// The rest waits on rings, in the oven, in the blender, or just stands.
	free := func(kind int, from, to, most int, heat float64) bool {
		for x := from; x < to; x++ {
			used := 0
			for i, t := range r.Tasks {
				if at[i].start > x || at[i].end <= x {
					continue
				}
				switch kind {
				case 0:
					used += t.Rings
				case 1:
					if t.Oven != nil {
						used++
						if d := t.Oven.Celsius - heat; d > 10 || d < -10 {
							return false
						}
					}
				case 2:
					used += len(t.Kit)
				}
			}
			if used >= most {
				return false
			}
		}
		return true
	}
	for tries := 0; len(r.Tasks) < n && tries < 5000; tries++ {
		length := 10 + rng.IntN(50)
		from := rng.IntN(max(1, span-length))
		t := Task{ID: fmt.Sprintf("w%d", len(r.Tasks)), Minutes: float64(length)}
		kind := rng.IntN(4)
		heat := []float64{160, 180, 200, 220}[rng.IntN(4)]
		if most := []int{4, 2, 1, 99}[kind]; !free(kind, from, from+length, most, heat) {
			continue
		}
		switch kind {
		case 0:
			t.Rings = 1
		case 1:
			t.Oven = &OvenUse{Celsius: heat, Shelves: 1}
		case 2:
			t.Kit = []string{"blender"}
		}
		r.Tasks = append(r.Tasks, t)
		at = append(at, laid{from, from + length})
	}
	for i := range r.Tasks {
		for range 2 {
			j := rng.IntN(len(r.Tasks))
			gap := at[i].start - at[j].end
			if i == j || gap < 0 || gap > 120 {
				continue
			}
			a := After{ID: r.Tasks[j].ID, MinGap: float64(rng.IntN(gap/2 + 1))}
			if rng.IntN(3) == 0 {
				most := float64(gap + rng.IntN(30))
				a.MaxGap = &most
			}
			if !slices.ContainsFunc(r.Tasks[i].After, func(b After) bool { return b.ID == a.ID }) {
				r.Tasks[i].After = append(r.Tasks[i].After, a)
			}
		}
		if wait := span - at[i].end; wait < 40 && rng.IntN(3) == 0 {
			within := float64(wait + rng.IntN(15))
			r.Tasks[i].ServeWithin = &within
		}
	}
	rng.Shuffle(len(r.Tasks), func(a, b int) { r.Tasks[a], r.Tasks[b] = r.Tasks[b], r.Tasks[a] })
	return r, float64(span)
}
