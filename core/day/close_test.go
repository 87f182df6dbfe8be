package day

import (
	"context"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/require"
)

// From a poor schedule the search that aims at the bound reaches the optimum of
// small days, and its bound never passes it.
func TestAimingAtTheBoundReachesTheOptimum(t *testing.T) {
	closed := 0
	for seed := range 60 {
		r := random(rand.New(rand.NewPCG(uint64(seed), 31)), 4+seed%6, 5)
		p, err := compile(r, newEffort(context.Background()))
		require.NoError(t, err)
		if len(p.hopeless()) > 0 {
			continue
		}
		g := newGenerator(p)
		g.any = true
		poor := g.search(2000)
		if poor == nil {
			continue
		}
		exactly := p.solve()
		require.True(t, exactly.proven, "seed %d", seed)
		bound, possible := p.lowerBound(poor.span)
		require.True(t, possible)
		best, least := p.close(poor, bound, 60_000)
		require.LessOrEqual(t, least, exactly.best.span, "seed %d: the bound lies", seed)
		require.GreaterOrEqual(t, best.span, exactly.best.span, "seed %d", seed)
		require.LessOrEqual(t, best.span, poor.span)
		if best.span == exactly.best.span {
			closed++
		}
	}
	require.Greater(t, closed, 35)
}

func TestBakesAreDrawnThatCanShareAnOven(t *testing.T) {
	r := Request{ServeAt: serving.Format("2006-01-02T15:04:05Z07:00"), Kitchen: kitchen(), Tasks: []Task{
		{ID: "a", Minutes: 30, Oven: &OvenUse{180, 1}}, {ID: "b", Minutes: 30, Oven: &OvenUse{220, 1}},
		{ID: "c", Minutes: 30, Oven: &OvenUse{185, 1}}, {ID: "d", Minutes: 30, Oven: &OvenUse{225, 1}}, {ID: "e", Minutes: 5, Hands: 1},
	}}
	p, err := compile(r, newEffort(context.Background()))
	require.NoError(t, err)
	g, rng := newGenerator(p), rand.New(rand.NewPCG(1, 2))
	for range 50 {
		i, with := g.bakedTogether(rng)
		require.NotEqual(t, i, with)
		require.LessOrEqual(t, max(p.jobs[i].heat, p.jobs[with].heat)-min(p.jobs[i].heat, p.jobs[with].heat), heatTolerance)
	}
}

func TestAScheduleThatGrowsTooLongIsGivenUp(t *testing.T) {
	r, _ := planted(rand.New(rand.NewPCG(3, 5)), 20)
	p, err := compile(r, newEffort(context.Background()))
	require.NoError(t, err)
	g := newGenerator(p)
	keys := rules(p)[0]
	whole := g.build(keys, never)
	require.NotNil(t, whole)
	require.Nil(t, g.build(keys, whole.span-1))
	require.Equal(t, whole.start, g.build(keys, whole.span).start)
}
