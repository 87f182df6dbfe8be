package day_test

import (
	"context"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/core/day"
	"yembra/core/spent"
)

// A supper that runs late, or of which odd things were said, is always answered,
// and soon.
func TestALateSupperIsReplannedSoon(t *testing.T) {
	l := larderOf(t)
	menu := courses(t, l, "skink", "goulash", "pierogi", "nata")
	jobs := day.Jobs(l, menu, house())
	r := day.RequestFor(halfPastSeven, house(), jobs)
	p, err := day.Make(context.Background(), r)
	require.NoError(t, err)
	require.True(t, p.Feasible)
	groups := map[string][]string{}
	for _, j := range jobs {
		groups[j.Course] = append(groups[j.Course], j.ID)
	}
	start, err := time.Parse(time.RFC3339, *p.StartAt)
	require.NoError(t, err)
	serve, err := time.Parse(time.RFC3339, halfPastSeven)
	require.NoError(t, err)
	ask := func(now time.Time, said []day.Progress) (day.Plan, []day.Option) {
		var p day.Plan
		var options []day.Option
		took := spent.Within(3*time.Second, func() {
			var err error
			p, options, err = day.Replan(context.Background(), r, now.Format(time.RFC3339), said, groups)
			require.NoError(t, err)
		})
		require.Less(t, took, 3*time.Second, "counted work bounds it to a second, on an idle machine")
		require.True(t, p.Feasible || len(p.Conflicts) > 0)
		return p, options
	}
	// A plan leaves some slack; the first start that no plan makes up is answered
	// with ways out.
	late, options := p, []day.Option(nil)
	for minutes := 20; late.Feasible; minutes += 20 {
		require.Less(t, minutes, 300)
		late, options = ask(start.Add(time.Duration(minutes)*time.Minute), nil)
	}
	require.NotEmpty(t, options)
	require.Contains(t, options[0].Text, "later")

	rng := rand.New(rand.NewPCG(7, 7))
	for range 12 {
		var said []day.Progress
		for _, at := range rng.Perm(len(p.Tasks))[:rng.IntN(12)] {
			task := p.Tasks[at]
			begun, err := time.Parse(time.RFC3339, task.Start)
			require.NoError(t, err)
			said = append(said, day.Progress{ID: task.ID, Start: begun.Add(time.Duration(rng.IntN(7200)-3600) * time.Second).Format(time.RFC3339), Minutes: float64(rng.IntN(90)), Done: rng.IntN(2) == 0})
		}
		ask(start.Add(time.Duration(rng.IntN(int(serve.Sub(start).Seconds())+7200)-3600)*time.Second), said)
	}
}

// What must have been done before something that has begun is done: nobody
// heats an oven for a tart that has come out of it.
func TestWhatBeginsHasWhatItNeeds(t *testing.T) {
	r := day.Request{ServeAt: halfPastSeven, Kitchen: house(), Tasks: []day.Task{
		{ID: "heat", Minutes: 15, Oven: &day.OvenUse{Celsius: 200, Shelves: 1}},
		{ID: "bake", Minutes: 30, Oven: &day.OvenUse{Celsius: 200, Shelves: 1}, After: []day.After{{ID: "heat"}}},
		{ID: "ice", Minutes: 5, Hands: 1, After: []day.After{{ID: "bake"}}},
	}}
	p, _, err := day.Replan(context.Background(), r, "2026-12-05T18:00:00Z", []day.Progress{{ID: "bake", Start: "2026-12-05T17:20:00Z", Minutes: 30, Done: true}}, nil)
	require.NoError(t, err)
	require.True(t, p.Feasible, "%v", p.Conflicts)
	require.Equal(t, "2026-12-05T17:05:00Z", p.Tasks[0].Start)
	require.GreaterOrEqual(t, p.Tasks[2].Start, "2026-12-05T18:00:00Z")

	// Work that is under way at night goes on, though nobody is meant to be up.
	k := house()
	k.Awake = &day.Awake{From: "07:00", To: "22:00"}
	r = day.Request{ServeAt: halfPastSeven, Kitchen: k, Tasks: []day.Task{{ID: "knead", Minutes: 20, Hands: 1}}}
	p, _, err = day.Replan(context.Background(), r, "2026-12-05T06:10:00Z", []day.Progress{{ID: "knead", Start: "2026-12-05T06:00:00Z", Minutes: 20}}, nil)
	require.NoError(t, err)
	require.True(t, p.Feasible, "%v", p.Conflicts)
}

// before tells whether a job comes before another by what it waits for.
func before(jobs []day.Job, first, then string) bool {
	seen := map[string]bool{}
	var walk func(id string) bool
	walk = func(id string) bool {
		if seen[id] {
			return false
		}
		seen[id] = true
		at := slices.IndexFunc(jobs, func(j day.Job) bool { return j.ID == id })
		return at >= 0 && slices.ContainsFunc(jobs[at].After, func(a day.After) bool { return a.ID == first || walk(a.ID) })
	}
	return walk(then)
}

func TestNothingIsUsedBeforeItIsMade(t *testing.T) {
	l := larderOf(t)
	checked := 0
	for _, key := range []string{"goulash", "pierogi", "cullen-skink", "bobotie", "moussaka", "doro-wat", "khachapuri", "okonomiyaki", "pastel-de-nata", "rendang", "feijoada", "pho"} {
		cs := courses(t, l, key)
		jobs := day.Jobs(l, cs, house())
		for _, j := range jobs {
			for _, take := range j.Takes {
				made := cs[0].Parts[take.Part].Lines[take.Line].Made
				if made == "" {
					continue
				}
				for _, part := range cs[0].Parts {
					for _, s := range part.Steps {
						if s.Prepares != made {
							continue
						}
						for _, maker := range jobs {
							if strings.HasPrefix(maker.ID, cs[0].ID+"."+s.Key+".") && maker.ID != j.ID {
								require.True(t, before(jobs, maker.ID, j.ID), "%s: %q takes %s before %q", key, j.Name, made, maker.Name)
								checked++
							}
						}
					}
				}
			}
		}
	}
	require.Greater(t, checked, 10)
}

func TestWhatTheBookSoaksIsDrainedAfterwards(t *testing.T) {
	l := larderOf(t)
	jobs := day.Jobs(l, courses(t, l, "goulash"), house())
	at := func(part string) int {
		return slices.IndexFunc(jobs, func(j day.Job) bool { return strings.HasPrefix(j.Said, part) && strings.Contains(j.ID, "soak") })
	}
	soak, drain := at("Soak the seeds"), at("Drain and blend")
	require.GreaterOrEqual(t, soak, 0)
	require.GreaterOrEqual(t, drain, 0)
	require.True(t, before(jobs, jobs[soak].ID, jobs[drain].ID))
	require.Len(t, jobs[soak].Takes, 1, "the seeds")
	require.NotEqual(t, jobs[soak].Cue, jobs[drain].Cue, "each ends by its own cue")
	wait := slices.IndexFunc(jobs, func(j day.Job) bool { return j.ID == jobs[drain].After[0].ID })
	require.Equal(t, day.Wait, jobs[wait].Kind)
	require.InDelta(t, 30, jobs[wait].Minutes, 0)
}
