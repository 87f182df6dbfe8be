package day

import (
	"encoding/json"
	"math/rand/v2"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
)

// tiny makes up days so small that every start can be tried.
func tiny(rng *rand.Rand) Request {
	r := random(rng, 2+rng.IntN(3), 1)
	r.Kitchen = Kitchen{Cooks: 1, Rings: 1, Ovens: []Oven{{Shelves: 1}}, Kit: map[string]int{"blender": 1}}
	for i := range r.Tasks {
		t := &r.Tasks[i]
		t.Minutes = float64(rng.IntN(4))
		t.Rings = min(t.Rings, 1)
		for k := range t.After {
			t.After[k].MinGap = float64(rng.IntN(2))
			if t.After[k].MaxGap != nil {
				t.After[k].MaxGap = minutes(t.After[k].MinGap + float64(rng.IntN(3)))
			}
		}
		if t.ServeWithin != nil {
			t.ServeWithin = minutes(float64(rng.IntN(5)))
		}
	}
	return r
}

// best tries every start up to the horizon and returns the least span, -1 when
// nothing passes the check.
func best(r Request, horizon int) int {
	n := len(r.Tasks)
	zero := 0
	ends := make([]int, n)
	plan := Plan{Feasible: true, Tasks: make([]Placed, n)}
	clock := func(before int) string {
		return serving.Add(-time.Duration(before) * time.Minute).Format(time.RFC3339)
	}
	least := -1
	var try func(i, span int)
	try = func(i, span int) {
		if least >= 0 && span >= least {
			return
		}
		if i == n {
			plan.SpanMinutes = float64(span)
			if Check(r, plan) == nil {
				least = span
			}
			return
		}
		t := r.Tasks[i]
		for end := 0; end+int(t.Minutes) <= horizon; end++ {
			if t.ServeWithin != nil && float64(end) > *t.ServeWithin {
				break
			}
			ends[i] = end
			fits := true
			for k := range i {
				o := r.Tasks[k]
				overlap := ends[k] < end+int(t.Minutes) && end < ends[k]+int(o.Minutes)
				fits = fits && (!overlap || t.Hands*o.Hands == 0 && t.Rings*o.Rings == 0)
			}
			if !fits {
				continue
			}
			got := Placed{ID: t.ID, Start: clock(end + int(t.Minutes)), End: clock(end)}
			if t.Hands > 0 {
				got.Cook = &zero
			}
			if t.Rings > 0 {
				got.Rings = []int{0}
			}
			if t.Oven != nil {
				got.Oven = &zero
			}
			plan.Tasks[i] = got
			try(i+1, max(span, end+int(t.Minutes)))
		}
	}
	try(0, 0)
	return least
}

func TestSmallDaysAgreeWithTryingEverything(t *testing.T) {
	feasible := 0
	for seed := range 120 {
		r := tiny(rand.New(rand.NewPCG(uint64(seed), 3)))
		p := make1(t, r)
		want := best(r, 14)
		if want < 0 {
			require.False(t, p.Feasible && p.SpanMinutes <= 14, "seed %d", seed)
			continue
		}
		feasible++
		require.True(t, p.Feasible && p.Optimal, "seed %d: %v", seed, p.Conflicts)
		require.EqualValues(t, want, p.SpanMinutes, "seed %d", seed)
	}
	require.Greater(t, feasible, 60)
}

func TestRandomDaysNeverBreakARule(t *testing.T) {
	planned := 0
	for seed := range 150 {
		rng := rand.New(rand.NewPCG(uint64(seed), 1))
		n := 2 + rng.IntN(11)
		if seed%10 == 0 {
			n = 20 + rng.IntN(40)
		}
		r := random(rng, n, 1+4*rng.IntN(2))
		if rng.IntN(3) == 0 {
			r.Kitchen.Awake = &Awake{"08:00", "20:00"}
		}
		if make1(t, r).Feasible {
			planned++
		}
	}
	require.Greater(t, planned, 60)
}

func TestMoreHelpNeverTakesLonger(t *testing.T) {
	compared := 0
	for seed := range 80 {
		rng := rand.New(rand.NewPCG(uint64(seed), 2))
		r := random(rng, 6+rng.IntN(5), 5)
		p := make1(t, r)
		if !p.Optimal || !p.Feasible {
			continue
		}
		for what, more := range map[string]func(*Kitchen){
			"cook":    func(k *Kitchen) { k.Cooks++ },
			"ring":    func(k *Kitchen) { k.Rings++ },
			"oven":    func(k *Kitchen) { k.Ovens = append([]Oven{{Shelves: 1}}, k.Ovens...) },
			"blender": func(k *Kitchen) { k.Kit = map[string]int{"blender": 2} },
		} {
			helped := r
			more(&helped.Kitchen)
			q := make1(t, helped)
			require.True(t, q.Feasible && q.Optimal)
			require.LessOrEqual(t, q.SpanMinutes, p.SpanMinutes, "seed %d, one more %s", seed, what)
			compared++
		}
	}
	require.Greater(t, compared, 100)
}

func TestServingLaterMovesThePlanAndNothingElse(t *testing.T) {
	for seed := range 20 {
		r := random(rand.New(rand.NewPCG(uint64(seed), 4)), 20, 5)
		later := r
		later.ServeAt = serving.Add(37 * time.Hour).Format(time.RFC3339)
		p, q := make1(t, r), make1(t, later)
		require.Equal(t, p.Feasible, q.Feasible)
		for i := range p.Tasks {
			require.Equal(t, mustTime(p.Tasks[i].Start).Add(37*time.Hour), mustTime(q.Tasks[i].Start))
			require.Equal(t, p.Tasks[i].Cook, q.Tasks[i].Cook)
			require.Equal(t, p.Tasks[i].Oven, q.Tasks[i].Oven)
		}
	}
}

func TestTheSameDayAlwaysHasTheSamePlan(t *testing.T) {
	r, _ := planted(rand.New(rand.NewPCG(5, 5)), 50)
	a, err := json.Marshal(make1(t, r))
	require.NoError(t, err)
	b, err := json.Marshal(make1(t, r))
	require.NoError(t, err)
	require.JSONEq(t, string(a), string(b))
}
