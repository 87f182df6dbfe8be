package method_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/method"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/demo"
	"yembra/knowledge"
)

func open(t testing.TB) (*recipe.Reader, *swap.Book, *method.Carrier) {
	t.Helper()
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	r, b := recipe.NewReader(l), swap.NewBook(l)
	return r, b, method.NewCarrier(b, r)
}

func ExampleCarrier_Adapt() {
	l, _ := larder.Load(knowledge.Shipped())
	r, b := recipe.NewReader(l), swap.NewBook(l)
	d := r.Read("Ragout\n\n500 g beef mince\n1 onion\n\nMethod\n1. Brown the mince for 10 minutes until no pink is left. Skim off the fat.", measure.Metric)
	a, _ := method.NewCarrier(b, r).Adapt(d, swap.Decisions{Swaps: map[string]string{"components[0].lines[0]": "ready-mince"}, HouseRules: swap.HouseRules{Preset: swap.LikeForLike}}, false)
	fmt.Println(a.Components[0].Steps[0].Change, a.Components[0].Steps[0].Text)
	// Output: changed Brown the plant mince for 10 minutes until hot through and coloured at the edges.
}

func TestNoAdaptedStepNamesAnimalMatter(t *testing.T) {
	r, b, c := open(t)
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	for _, x := range recipes {
		d := r.Read(x.Text, measure.Metric)
		for _, preset := range swap.Presets {
			dec, err := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: preset.ID}, Pins: x.Pins}, swap.Closest)
			require.NoError(t, err)
			a, err := c.Adapt(d, dec, false)
			require.NoError(t, err)
			for _, comp := range a.Components {
				var lines []recipe.Line
				for _, l := range comp.Lines {
					lines = append(lines, l.Line)
				}
				for _, s := range comp.Steps {
					require.Empty(t, s.Animals)
					require.Empty(t, r.Step(s.Text, lines).Animals, "%s under %s: %s", x.Key, preset.ID, s.Text)
					for _, n := range s.Lines {
						require.Less(t, n, len(comp.Lines))
					}
				}
			}
		}
	}
}

func TestStepsSayWhatBecameOfThem(t *testing.T) {
	r, _, c := open(t)
	d := r.Read("Chowder\n\n400 g smoked haddock\n2 potatoes\n\nMethod\n1. Boil the potatoes for 15 minutes until tender.\n2. Add the haddock and poach for 5 minutes until the fish flakes.\n3. Brush with beaten egg.", measure.Metric)
	a, err := c.Adapt(d, swap.Decisions{Swaps: map[string]string{"components[0].lines[0]": "smoked-tofu-flakes"}}, false)
	require.NoError(t, err)
	steps := a.Components[0].Steps
	require.Equal(t, swap.Kept, steps[0].Change)
	require.Equal(t, swap.Added, steps[1].Change, "the tofu is prepared before it goes in")
	require.NotNil(t, steps[1].Minutes)
	require.Equal(t, swap.Changed, steps[2].Change)
	require.Contains(t, steps[2].Text, "smoked tofu")
	require.NotContains(t, strings.ToLower(steps[2].Text), "haddock")
	require.NotContains(t, steps[2].Text, "flakes.", "the cue of fish is gone")
	require.Equal(t, []int{1}, steps[2].From)
	require.NotEmpty(t, steps[2].Why)
	require.NotContains(t, steps[3].Text, "egg", "matter that only the step names gives way too")
}

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
	require.Contains(t, dropped, "no bones")
	require.NotContains(t, changed, "skimming")
	require.Contains(t, changed, "for 6 hours, then strain")
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
