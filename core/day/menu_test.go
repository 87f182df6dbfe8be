package day_test

import (
	"context"
	"math/rand/v2"
	"slices"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/core/day"
	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/method"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/demo"
	"yembra/knowledge"
)

// shipped is the larder as it ships, loaded once for all tests.
var shipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })

// courses adapts demo dishes for twelve.
func courses(t testing.TB, l *larder.Larder, keys ...string) []day.Course {
	t.Helper()
	r, b := flow.NewReader(l), swap.NewBook(l)
	c := method.NewCarrier(b, r)
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	var out []day.Course
	for _, key := range keys {
		at := slices.IndexFunc(recipes, func(x demo.Recipe) bool { return strings.Contains(x.Key, key) })
		require.GreaterOrEqual(t, at, 0, key)
		d := r.Read(recipes[at].Text, measure.Metric)
		dec, err := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
		require.NoError(t, err)
		a, err := c.Adapt(d, dec, false)
		require.NoError(t, err)
		out = append(out, day.Course{ID: key, Name: d.Name, Parts: method.Parts(l, a), Factor: 12 / d.Serves.Mid()})
	}
	return out
}

func house() day.Kitchen {
	return day.Kitchen{Cooks: 2, Rings: 4, Ovens: []day.Oven{{Shelves: 2}}, Kit: map[string]int{"blender": 1, "pressure cooker": 1}, Awake: &day.Awake{From: "07:00", To: "23:00"}}
}

func larderOf(t testing.TB) *larder.Larder {
	t.Helper()
	l, err := shipped()
	require.NoError(t, err)
	return l
}

const halfPastSeven = "2026-12-05T19:30:00Z"

func TestEveryDemoDishCanBePlanned(t *testing.T) {
	l := larderOf(t)
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	for _, x := range recipes {
		jobs := day.Jobs(l, courses(t, l, x.Key), house())
		r := day.RequestFor(halfPastSeven, house(), jobs)
		p, err := day.Make(context.Background(), r)
		require.NoError(t, err, x.Key)
		require.True(t, p.Feasible, "%s: %v", x.Key, p.Conflicts)
		require.NoError(t, day.Check(r, p), x.Key)
	}
}

func TestAMenuOfFourDishesForTwelve(t *testing.T) {
	l := larderOf(t)
	menu := courses(t, l, "skink", "moussaka", "pierogi", "nata")
	jobs := day.Jobs(l, menu, house())
	r := day.RequestFor(halfPastSeven, house(), jobs)
	began := time.Now()
	p, err := day.Make(context.Background(), r)
	require.NoError(t, err)
	t.Log(len(jobs), "jobs,", p.SpanMinutes, "min, at least", p.BoundMinutes, time.Since(began))
	require.True(t, p.Feasible, "%v", p.Conflicts)
	require.NoError(t, day.Check(r, p))
	require.Greater(t, len(jobs), 45)
	var shared []string
	for _, j := range jobs {
		if len(j.For) > 1 {
			shared = append(shared, j.Name)
		}
		require.NotEmpty(t, j.Name, j.ID)
		require.NotEmpty(t, j.Text, j.ID)
		if j.Oven != nil && j.Kind != day.Heat {
			require.True(t, slices.ContainsFunc(j.After, func(a day.After) bool { return a.ID == j.ID+".heat" }), "%s has a hot oven", j.ID)
		}
	}
	require.NotEmpty(t, shared, "onions are cut once for all")
	for _, j := range day.Order(jobs, p) {
		t.Log(j.Name, j.Kind, j.Minutes)
	}
}

func TestAnOvenThatIsHotIsNotHeatedAgain(t *testing.T) {
	bake := swap.Step{Step: recipe.Step{Text: "Bake the tart.", Techniques: []string{"bake"}}, Change: swap.Kept, Heat: "oven", Work: 2, Wait: 30}
	var menu []day.Course
	for _, name := range []string{"Tart", "Pie"} {
		menu = append(menu, day.Course{ID: name, Name: name, Factor: 1, Parts: []swap.Component{{Name: name, Steps: []swap.Step{bake}}}})
	}
	jobs := day.Jobs(larderOf(t), menu, house())
	p, err := day.Make(context.Background(), day.RequestFor(halfPastSeven, house(), jobs))
	require.NoError(t, err)
	require.True(t, p.Feasible)
	heated := 0
	for _, j := range day.SayHot(jobs, p) {
		if j.Kind == day.Heat && strings.HasPrefix(j.Name, "Heat") {
			heated++
		}
	}
	require.Equal(t, 1, heated)
}

func TestRandomMenusNeverBreakARule(t *testing.T) {
	l := larderOf(t)
	keys := []string{"bobotie", "moussaka", "pho", "feijoada", "doro-wat", "skink", "khachapuri", "okonomiyaki", "nata", "goulash", "rendang", "pierogi"}
	all := map[string]day.Course{}
	for _, key := range keys {
		all[key] = courses(t, l, key)[0]
	}
	rng := rand.New(rand.NewPCG(4, 4))
	planned := 0
	for range 25 {
		var menu []day.Course
		for _, at := range rng.Perm(len(keys))[:1+rng.IntN(3)] {
			menu = append(menu, all[keys[at]])
		}
		k := house()
		k.Cooks, k.Rings = 1+rng.IntN(3), 2+rng.IntN(4)
		jobs := day.Jobs(l, menu, k)
		r := day.RequestFor(halfPastSeven, k, jobs)
		p, err := day.Make(context.Background(), r)
		require.NoError(t, err)
		if !p.Feasible {
			require.NotEmpty(t, p.Conflicts)
			continue
		}
		planned++
		require.NoError(t, day.Check(r, p))
		step := map[string]bool{}
		for _, j := range jobs {
			step[j.ID] = true
		}
		require.Len(t, step, len(p.Tasks), "no task stands twice")
	}
	require.Greater(t, planned, 18)
}

func TestABlenderUsedTwiceIsWashed(t *testing.T) {
	l := larderOf(t)
	step := func(text string) swap.Step {
		return swap.Step{Step: recipe.Step{Text: text, Techniques: []string{"blend"}}, Change: swap.Kept, Kit: []string{"blender"}, Work: 3}
	}
	course := func(n int) []day.Course {
		c := day.Course{ID: "x", Name: "Soup", Factor: 1, Parts: []swap.Component{{Name: "Soup"}}}
		for k := range n {
			c.Parts[0].Steps = append(c.Parts[0].Steps, step([]string{"Blend the soup.", "Blend the broth."}[k]))
		}
		return []day.Course{c}
	}
	require.InDelta(t, 3, day.Jobs(l, course(1), house())[0].Minutes, 0)
	for _, j := range day.Jobs(l, course(2), house()) {
		require.InDelta(t, 7, j.Minutes, 0)
		require.Contains(t, j.Text, "wash the blender")
	}
}

func TestReplanningKeepsWhatIsDone(t *testing.T) {
	r := day.Request{ServeAt: halfPastSeven, Kitchen: day.Kitchen{Cooks: 1, Rings: 2}, Tasks: []day.Task{
		{ID: "chop", Minutes: 20, Hands: 1},
		{ID: "simmer", Minutes: 60, Rings: 1, After: []day.After{{ID: "chop"}}},
		{ID: "finish", Minutes: 10, Hands: 1, After: []day.After{{ID: "simmer"}}},
		{ID: "salad", Minutes: 15, Hands: 1},
	}}
	p, _, err := day.Replan(context.Background(), r, "2026-12-05T18:00:00Z", nil, nil)
	require.NoError(t, err)
	require.True(t, p.Feasible, "the plan begins at 18:00")

	// The chopping ran ten minutes over: the rest moves, and is late.
	late := []day.Progress{{ID: "chop", Start: "2026-12-05T18:00:00Z", Minutes: 30, Done: true}}
	groups := map[string][]string{"the salad": {"salad"}, "the stew": {"chop", "simmer", "finish"}}
	p, options, err := day.Replan(context.Background(), r, "2026-12-05T18:30:00Z", late, groups)
	require.NoError(t, err)
	require.False(t, p.Feasible)
	require.NotEmpty(t, p.Conflicts)
	require.Equal(t, "Serve 10 minutes later, at 19:40.", options[0].Text)
	require.True(t, slices.ContainsFunc(options, func(o day.Option) bool { return strings.Contains(o.Text, "the stew") }))
	r.ServeAt = options[0].ServeAt
	p, _, err = day.Replan(context.Background(), r, "2026-12-05T18:30:00Z", late, groups)
	require.NoError(t, err)
	require.True(t, p.Feasible)
	for _, task := range p.Tasks {
		if task.ID == "chop" {
			require.Equal(t, "2026-12-05T18:00:00Z", task.Start, "what is done stays")
		} else {
			require.GreaterOrEqual(t, task.Start, "2026-12-05T18:30:00Z", task.ID)
		}
	}

	// A second cook who comes now helps where hands are short.
	busy := day.Request{ServeAt: halfPastSeven, Kitchen: day.Kitchen{Cooks: 1}, Tasks: []day.Task{{ID: "a", Minutes: 40, Hands: 1}, {ID: "b", Minutes: 40, Hands: 1}}}
	_, options, err = day.Replan(context.Background(), busy, "2026-12-05T18:45:00Z", nil, nil)
	require.NoError(t, err)
	require.True(t, slices.ContainsFunc(options, func(o day.Option) bool { return o.Cooks == 2 }))

	_, _, err = day.Replan(context.Background(), r, "soon", nil, nil)
	require.Error(t, err)
	_, _, err = day.Replan(context.Background(), r, "2026-12-05T18:45:00Z", []day.Progress{{ID: "nothing"}}, nil)
	require.Error(t, err)
}

func TestWhatIsListedAsSoakedIsPutToSoakOnce(t *testing.T) {
	l := larderOf(t)
	jobs := day.Jobs(l, courses(t, l, "feijoada", "rendang", "pho"), house())
	find := func(id string) day.Job {
		at := slices.IndexFunc(jobs, func(j day.Job) bool { return j.ID == id })
		require.GreaterOrEqual(t, at, 0, id)
		return jobs[at]
	}
	beans := find("soak black-beans 600.wait")
	require.Equal(t, day.Wait, beans.Kind)
	require.Equal(t, 600.0, beans.Minutes)
	require.Equal(t, "soak black-beans 600", beans.After[0].ID)
	require.Equal(t, 1, find("soak black-beans 600").Hands)
	require.Equal(t, 30.0, find("soak dried-red-chilli 30.wait").Minutes)
	boiled := slices.IndexFunc(jobs, func(j day.Job) bool {
		return slices.ContainsFunc(j.After, func(a day.After) bool { return a.ID == beans.ID })
	})
	require.GreaterOrEqual(t, boiled, 0)
	require.Contains(t, jobs[boiled].Text, "boil hard")
	r := day.RequestFor(halfPastSeven, house(), jobs)
	p, err := day.Make(context.Background(), r)
	require.NoError(t, err)
	require.True(t, p.Feasible, "%v", p.Conflicts)
	require.NoError(t, day.Check(r, p))
	require.Greater(t, p.SpanMinutes, 660.0)
}

func TestGreasingIsATaskOfItsOwn(t *testing.T) {
	l := larderOf(t)
	r, b := flow.NewReader(l), swap.NewBook(l)
	d := r.Read("Loaf\nServes 4\n\n300 g plain flour\n200 ml water\n10 g dried yeast\n\nMethod\n1. Mix the flour, yeast and water and knead for 8 minutes.\n2. Grease a loaf tin, shape the dough and bake at 200 C for 40 minutes.", measure.Metric)
	a, err := method.NewCarrier(b, r).Adapt(d, swap.Decisions{}, false)
	require.NoError(t, err)
	jobs := day.Jobs(l, []day.Course{{ID: "loaf", Name: "Loaf", Parts: method.Parts(l, a), Factor: 1}}, house())
	at := slices.IndexFunc(jobs, func(j day.Job) bool { return strings.HasSuffix(j.ID, ".grease") })
	require.GreaterOrEqual(t, at, 0)
	require.Equal(t, 1, jobs[at].Hands)
	require.True(t, slices.ContainsFunc(jobs, func(j day.Job) bool {
		return slices.ContainsFunc(j.After, func(x day.After) bool { return x.ID == jobs[at].ID })
	}), "the dough goes into a tin that is ready")
	require.True(t, slices.ContainsFunc(jobs, func(j day.Job) bool { return j.Kind == day.Heat && j.Oven != nil }))
}

// The first action of a method takes its lines off the board and can be weighed as any other.
func TestTheFirstWorkOfAMethodTakesItsLines(t *testing.T) {
	l := larderOf(t)
	r, b := flow.NewReader(l), swap.NewBook(l)
	c := method.NewCarrier(b, r)
	d := r.Read("Carrots\nServes 4\n\n600 g carrots\n1 litre water\n\nMethod\n1. Simmer the carrots in the water for 20 minutes.", measure.Metric)
	a, err := c.Adapt(d, swap.Decisions{}, false)
	require.NoError(t, err)
	jobs := day.Jobs(l, []day.Course{{ID: "carrots", Name: d.Name, Parts: method.Parts(l, a), Factor: 1}}, house())
	at := slices.IndexFunc(jobs, func(j day.Job) bool { return len(j.Takes) > 0 })
	require.GreaterOrEqual(t, at, 0, "nothing is taken off the board: %+v", jobs)
	require.NotEmpty(t, jobs[at].Loss)
}
