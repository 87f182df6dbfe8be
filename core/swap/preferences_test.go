package swap

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
)

func TestSoftRulesAreMeasured(t *testing.T) {
	b, r := open(t)
	d := r.Read("Stew\nServes 4\n\n60 ml sunflower oil\n100 g plain flour\n40 g sugar\n10 g salt\n500 g beef mince\n1 onion\n\nMethod\n1. Fry the onion in the oil, brown the mince, stir in flour, sugar and salt and simmer for 30 minutes.", measure.Metric)
	of := func(h HouseRules, swaps map[string]string) map[string]Preference {
		original, adapted, _, err := b.Dishes(d, Decisions{HouseRules: h, Swaps: swaps})
		require.NoError(t, err)
		rules, err := NewRules(b.larder, h)
		require.NoError(t, err)
		out := map[string]Preference{}
		for _, p := range rules.Preferences(original, adapted) {
			out[p.Rule] = p
		}
		return out
	}
	swaps := map[string]string{"components[0].lines[4]": "lentil-walnut-mince"}
	got := of(HouseRules{Preset: WholeFood}, swaps)
	oil := got["little free oil"]
	require.InDelta(t, 60*0.92/4.5/4, oil.Original, 0.1, "teaspoons a serving")
	require.InDelta(t, oil.Original, oil.Adapted, 1e-9)
	require.Equal(t, 1.0, oil.Bound)
	require.False(t, oil.Within)
	require.InDelta(t, 35, got["little refined flour and sugar"].Adapted, 1e-6)
	require.True(t, got["little refined flour and sugar"].Within, "as much as there was")
	require.InDelta(t, got["salt"].Original, got["salt"].Bound, 1e-9)

	got = of(HouseRules{Preset: "whole-food-no-oil", SaltPerServing: 1}, swaps)
	require.NotContains(t, got, "little free oil", "a hard rule there")
	require.Equal(t, 1.0, got["salt"].Bound)

	got = of(HouseRules{Preset: "like-for-like", VegetablesPerGrain: 3}, swaps)
	require.Len(t, got, 1)
	ratio := got["vegetable to grain, by volume"]
	require.True(t, ratio.AtLeast)
	require.Positive(t, ratio.Adapted)
	require.Equal(t, ratio.Adapted >= 3, ratio.Within)
}
