package flow

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// kept is what a dish is after it was put away and taken out again.
func kept(t *testing.T, d *recipe.Dish) recipe.Dish {
	t.Helper()
	data, err := json.Marshal(d.Bare())
	require.NoError(t, err)
	var again recipe.Dish
	require.NoError(t, json.Unmarshal(data, &again))
	return again
}

// What is kept of a dish holds no sentence of the program; opened again, all is said as it was.
func TestWhatIsSaidOfADishIsSaidAnew(t *testing.T) {
	seen := map[string]bool{}
	each(t, func(slug string, d *recipe.Dish, _ *recipe.Step) {
		if seen[slug] {
			return
		}
		seen[slug] = true
		was, err := json.Marshal(d)
		require.NoError(t, err)
		k := kept(t, d)
		for _, c := range k.Components {
			for _, l := range c.Lines {
				require.Empty(t, l.Why+l.Beware)
				require.Nil(t, l.Basis)
			}
			for _, s := range c.Steps {
				require.Empty(t, s.Questions)
			}
		}
		for _, n := range k.Notices {
			require.Empty(t, n.Text)
		}
		reader(t).Told(&k)
		now, err := json.Marshal(k)
		require.NoError(t, err)
		require.JSONEq(t, string(was), string(now), slug)
	})
	require.Greater(t, len(seen), 90)
}

func TestALineThatWasSettledIsToldAsItWasSettled(t *testing.T) {
	r := reader(t)
	d := read(t, "Trifle\n\n200 g lady's fingers\n250 g mascarpone\n2 tbsp sugar\n1 handful of moonwort\n\nMethod\n1. Layer the lady's fingers with the mascarpone.")
	lines := d.Components[0].Lines
	require.Contains(t, lines[0].Why, "because of what else is in the recipe")
	lines[2] = r.LineAs(lines[2].Text, r.larder.Food("maple-syrup"), d.Measures)
	more := *lines[1].Grams
	more.Low, more.High = more.Low*2, more.High*2
	k := kept(t, &d)
	k.Components[0].Lines[1].Grams = &more // as of older facts
	r.Told(&k)
	got := k.Components[0].Lines
	require.Equal(t, lines[0], got[0])
	require.Equal(t, lines[2], got[2])
	require.True(t, got[1].Basis.Estimate)
	require.Equal(t, larder.Estimate, got[1].Basis.Source)
	require.Contains(t, got[1].Basis.Text, "when the recipe was read")
	require.Equal(t, lines[3].Why, got[3].Why)

	// What was not known and is now, or is no more, is told as it is kept.
	k.Components[0].Lines[3].Text, k.Components[0].Lines[3].Why = "2 onions", ""
	gone := "no-such-food"
	k.Components[0].Lines[2].Food, k.Components[0].Lines[2].Why = &gone, ""
	r.Told(&k)
	require.Equal(t, lines[3].Why, got[3].Why)
	require.NotEmpty(t, got[2].Why)
}

func TestANoticeOfWhatWasMendedGoes(t *testing.T) {
	r := reader(t)
	d := read(t, "Stew\n\n2 onions\n1 handful of moonwort\n3 starfruitlings\n\nMethod\n1. Fry the onions with the moonwort.")
	require.GreaterOrEqual(t, len(d.Notices), 2)
	k := kept(t, &d)
	onion := "onion"
	k.Components[0].Lines[1].Food = &onion
	r.Told(&k)
	require.Len(t, k.Notices, len(d.Notices)-1)
	for _, n := range k.Notices {
		require.NotEmpty(t, n.Text)
		require.NotContains(t, n.Text, "moonwort")
	}
}
