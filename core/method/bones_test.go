package method_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
	"yembra/demo"
)

func BenchmarkAdapt(b *testing.B) {
	r, book, c := open(b)
	recipes, err := demo.Recipes()
	require.NoError(b, err)
	d := r.Read(recipes[2].Text, measure.Metric)
	dec, err := book.Propose(d, swap.Decisions{}, swap.Closest)
	require.NoError(b, err)
	for b.Loop() {
		if _, err := c.Adapt(d, dec, true); err != nil {
			b.Fatal(err)
		}
	}
}

func TestBonesGiveWayToWhatGoesIntoTheSameWater(t *testing.T) {
	r, b, c := open(t)
	d := r.Read("Broth\n\n2 kg beef bones\n3 litres water\n1 onion\n\nMethod\n1. Blanch the bones for 5 minutes, drain and rinse them.\n2. Simmer the bones in the water with the onion for 6 hours, skimming off the scum now and then, then strain.", measure.Metric)
	dec, err := b.Propose(d, swap.Decisions{}, swap.Closest)
	require.NoError(t, err)
	a, err := c.Adapt(d, dec, false)
	require.NoError(t, err)
	water := 0.0
	for _, l := range a.Components[0].Lines {
		if l.FoodID() == "water" {
			water += l.Mass()
		}
	}
	require.InDelta(t, 3000, water, 1, "no water is added to the water")
	var dropped, changed string
	for _, s := range a.Components[0].Steps {
		switch s.Change {
		case swap.Dropped:
			dropped = s.Why
		case swap.Changed:
			changed = s.Text
		}
	}
	require.Contains(t, dropped, "no bone or blood")
	require.NotContains(t, changed, "skimming")
	require.Contains(t, changed, "for 45 minutes and strain")
}

func TestNoTextOfTheBookNamesAnimalMatter(t *testing.T) {
	r, b, _ := open(t)
	clean := func(what, text string) {
		assert.Empty(t, r.Step(text, nil).Animals, "%s: %s", what, text)
	}
	for _, s := range b.Larder().Swaps() {
		clean(s.ID, "Add the "+s.Short+".")
		for _, p := range s.Prepare {
			clean(s.ID, p.Text)
			clean(s.ID, p.Cue)
		}
	}
	for _, x := range b.Larder().Boosters() {
		clean(x.Food, x.When)
	}
}
