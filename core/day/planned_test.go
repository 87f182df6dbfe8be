package day

import (
	"context"
	"encoding/json"
	"fmt"
	"hash/fnv"
	"math/rand/v2"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// Plans change on purpose only: what was planned for made-up days of every size, in hours of waking, with tasks
// pinned, and planned again once begun, is kept as sums. UPDATE=days keeps what is planned now.
func TestDaysArePlannedAsBefore(t *testing.T) {
	rng := rand.New(rand.NewPCG(11, 11))
	var now strings.Builder
	for i := range 64 {
		r := random(rng, 2+i/6, []int{1, 5, 10}[i%3])
		if i%8 == 7 { // past what is searched exhaustively
			r, _ = planted(rng, 16+i/4)
		}
		if i%2 == 0 {
			r.Kitchen.Awake = &Awake{From: "07:30", To: []string{"22:00", "01:15"}[i/2%2]}
		}
		for k := range r.Tasks {
			r.Tasks[k].Minutes += float64(i%4) / 4
		}
		p, err := Make(context.Background(), r)
		require.NoError(t, err)
		now.WriteString(planText(fmt.Sprintf("%d tasks", len(r.Tasks)), p))
		if !p.Feasible {
			continue
		}
		at := p.Tasks[rng.IntN(len(p.Tasks))]
		pinned := r
		pinned.Tasks = append([]Task{}, r.Tasks...)
		for k := range pinned.Tasks {
			if pinned.Tasks[k].ID == at.ID {
				pinned.Tasks[k].StartAt = &at.Start
			}
		}
		p, err = Make(context.Background(), pinned)
		require.NoError(t, err)
		now.WriteString(planText("   with one pinned", p))
		done := []Progress{{ID: at.ID, Start: at.Start, Minutes: float64(rng.IntN(40)), Done: i%3 > 0}}
		p, options, err := Replan(context.Background(), r, at.End, done, map[string][]string{"the first": {"t0"}, "the rest": {"t1"}})
		require.NoError(t, err)
		now.WriteString(planText("   once begun", p))
		for _, o := range options {
			fmt.Fprintf(&now, "      %s\n", o.Text)
		}
	}
	path := filepath.Join("testdata", "plans.txt")
	if os.Getenv("UPDATE") == "days" {
		require.NoError(t, os.WriteFile(path, []byte(now.String()), 0o644))
	}
	before, err := os.ReadFile(path)
	require.NoError(t, err)
	require.Equal(t, string(before), now.String(), "what has changed? keep it with UPDATE=days")
}

// planText tells of a plan in a line: what it spans, what is proven of it, and all its times in one figure.
func planText(name string, p Plan) string {
	h := fnv.New64a()
	told, _ := json.Marshal(p.Tasks)
	_, _ = h.Write(told)
	out := fmt.Sprintf("%s: %t, %g minutes, at least %g, shortest %t, %016x\n", name, p.Feasible, p.SpanMinutes, p.BoundMinutes, p.Optimal, h.Sum64())
	for _, c := range p.Conflicts {
		out += fmt.Sprintf("      %s\n", c.Text)
	}
	return out
}
