package day

import (
	"context"
	"fmt"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/core/spent"
)

// hard are days that once kept the planner busy for minutes.
func hard() map[string]Request {
	gap := func(m float64) *float64 { return &m }
	kitchen := Kitchen{Cooks: 2, Rings: 2, Ovens: []Oven{{Shelves: 1}}}
	never := Request{ServeAt: "2026-12-05T19:30:00Z", Kitchen: kitchen}
	for i := range 100 {
		t := Task{ID: fmt.Sprint(i), Minutes: float64(7 + i%11), Hands: 1, ServeWithin: gap(60)}
		if i%3 == 0 {
			t.Rings = 1
		}
		if i > 0 {
			t.After = []After{{ID: fmt.Sprint(max(0, i-1-i%2)), MaxGap: gap(5)}}
		}
		never.Tasks = append(never.Tasks, t)
	}
	loose := Request{ServeAt: never.ServeAt, Kitchen: kitchen}
	for i := range 100 {
		t := Task{ID: fmt.Sprint(i), Minutes: float64(3 + i%13), Hands: i % 2, Rings: i % 3 / 2, ServeWithin: gap(240)}
		if i > 9 {
			t.After = []After{{ID: fmt.Sprint(i - 7), MaxGap: gap(15)}, {ID: fmt.Sprint(i - 10), MaxGap: gap(30)}}
		}
		loose.Tasks = append(loose.Tasks, t)
	}
	chain := Request{ServeAt: never.ServeAt, Kitchen: kitchen}
	for i := range MostTasks {
		t := Task{ID: fmt.Sprint(i), Minutes: 3, Hands: i % 2}
		for k := range i {
			t.After = append(t.After, After{ID: fmt.Sprint(k)})
		}
		chain.Tasks = append(chain.Tasks, t)
	}
	full := Request{ServeAt: never.ServeAt, Kitchen: kitchen}
	for i := range MostTasks {
		full.Tasks = append(full.Tasks, Task{ID: fmt.Sprint(i), Minutes: float64(1 + i%17), Hands: 1, ServeWithin: gap(float64(1500 - i))})
	}
	return map[string]Request{"100 that cannot be": never, "100 in knots": loose, "300 each after all others": chain, "300 served within": full}
}

func TestHardDaysAreAnsweredInTime(t *testing.T) {
	for name, r := range hard() {
		var p Plan
		took := spent.Within(3*time.Second, func() {
			var err error
			p, err = Make(context.Background(), r)
			require.NoError(t, err, name)
		})
		require.Less(t, took, 3*time.Second, "%s: counted work bounds it to a second, on an idle machine", name)
		require.True(t, p.Feasible || len(p.Conflicts) > 0, name)
		if !p.Feasible {
			require.Less(t, len(p.Conflicts[0].Text), 2000, name)
		}
	}
}

// Whoever has gone is not waited for.
func TestPlanningEndsWhenTheCallerHasGone(t *testing.T) {
	ctx, gone := context.WithCancel(context.Background())
	gone()
	e := newEffort(ctx)
	require.True(t, e.spend(lookAfter-1))
	require.False(t, e.spend(1))
	require.True(t, e.part(1).spent(), "so is what is done for it")

	part := newEffort(context.Background()).part(0.5)
	require.False(t, part.spend(workOfAnswer/2))
	require.False(t, part.of.spent())
	require.Equal(t, workOfAnswer/2, part.of.left)
}
