package method_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/swap"
)

// cautionsOf carries a recipe without swaps and lists the cautions of its steps.
func cautionsOf(t *testing.T, text string) [][]string {
	t.Helper()
	r, _, c := open(t)
	a, err := c.Adapt(r.Read(text, measure.Metric), swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}}, false)
	require.NoError(t, err)
	var out [][]string
	for _, s := range a.Components[0].Steps {
		ids := []string{}
		for _, x := range s.Cautions {
			ids = append(ids, x.ID)
		}
		out = append(out, ids)
	}
	return out
}

func TestCautionsStandWhereTheyApply(t *testing.T) {
	for _, c := range []struct{ text, want string }{
		{"Beans\n\n400 g dried kidney beans\n\nMethod\n1. Simmer the beans in a slow cooker for 6 hours.", "red-beans"},
		{"Beans\n\n400 g dried kidney beans\n\nMethod\n1. Simmer the beans in a slow cooker for 6 hours.", "slow-cooker-beans"},
		{"Chips\n\n1 kg potatoes\n1 litre sunflower oil\n\nMethod\n1. Deep-fry the potatoes in the oil.", "hot-oil"},
		{"Fritters\n\n300 g tofu\n1 litre sunflower oil\n\nMethod\n1. Slide the tofu into hot oil and cook until golden.", "hot-oil"},
		{"Fritters\n\n300 g tofu\n1 litre sunflower oil\n\nMethod\n1. Heat the oil to 180 C.\n2. Fry the tofu for 3 minutes.", "hot-oil"},
		{"Fritters\n\n300 g tofu\n\nMethod\n1. Lower the pieces of tofu into smoking oil.", "hot-oil"},
		{"Flames\n\n4 bananas\n60 ml rum\n\nMethod\n1. Warm the rum, pour it over the bananas and set it alight.", "flame"},
		{"Soup\n\n1 kg carrots\n1 litre water\n\nMethod\n1. Blend the carrots with the water.", "blender"},
		{"Cassava\n\n1 kg cassava\n\nMethod\n1. Boil the cassava for 30 minutes.", "cassava"},
		{"Dashi\n\n10 g kelp\n1 litre water\n\nMethod\n1. Warm the kelp in the water.", "kelp"},
		{"Dough\n\n500 g plain flour\n300 ml water\n\nMethod\n1. Knead the flour with the water.", "raw-flour"},
		{"Rice\n\n300 g basmati rice\n\nMethod\n1. Boil the rice for 12 minutes.", "rice-keeping"},
		{"Stew\n\n200 ml red wine\n2 carrots\n\nMethod\n1. Simmer the carrots in the wine.", "alcohol"},
		{"Curry\n\n4 bird's eye chillies\n2 carrots\n\nMethod\n1. Slice the chillies and carrots.", "chillies"},
		{"Pot\n\n1 bay leaf\n2 carrots\n\nMethod\n1. Simmer the carrots with the bay leaf.", "take-out"},
	} {
		steps := cautionsOf(t, c.text)
		require.True(t, slices.ContainsFunc(steps, func(ids []string) bool { return slices.Contains(ids, c.want) }), "%s: %v", c.want, steps)
	}
	require.NotContains(t, cautionsOf(t, "Beans\n\n1 tin kidney beans\n\nMethod\n1. Simmer the beans for 10 minutes.")[0], "red-beans", "tinned beans are ready")
}

func TestGraveCautionsAreSaidAtEveryStepAndOthersOnce(t *testing.T) {
	steps := cautionsOf(t, "Beans\n\n400 g dried kidney beans\n2 bay leaves\n2 litres water\n\nMethod\n1. Soak the kidney beans in the water.\n2. Boil the kidney beans with the bay leaves for 10 minutes.\n3. Simmer the kidney beans with the bay leaves for 60 minutes.")
	grave, plain := 0, 0
	for _, ids := range steps {
		if slices.Contains(ids, "red-beans") {
			grave++
		}
		if slices.Contains(ids, "take-out") {
			plain++
		}
	}
	require.GreaterOrEqual(t, grave, 3)
	require.Equal(t, 1, plain)
}

func TestCautionsDeferAndClaimNothing(t *testing.T) {
	_, b, _ := open(t)
	require.GreaterOrEqual(t, len(b.Larder().Cautions()), 30)
	var last larder.Caution
	for i, c := range b.Larder().Cautions() {
		require.NotRegexp(t, `(?i)\b(?:cures?|heals?|prevents?|detox|healthy)\b`, c.Text, c.ID)
		if i > 0 {
			require.False(t, c.Grave && !last.Grave, "the gravest come first")
		}
		last = *c
	}
}

// Every caution says itself of what it is shown for, and of a near miss for which it
// is not.
func TestEveryCautionFiresAndSparesWhatItSays(t *testing.T) {
	_, b, _ := open(t)
	shown := func(example, id string) bool {
		lines, step, ok := strings.Cut(example, " / ")
		require.True(t, ok, "%s: no example", id)
		return slices.ContainsFunc(cautionsOf(t, "Dish\n\n"+lines+"\n\nMethod\n1. "+step), func(ids []string) bool { return slices.Contains(ids, id) })
	}
	for _, x := range b.Larder().Cautions() {
		assert.True(t, shown(x.Fires, x.ID), "%s is not shown for %q", x.ID, x.Fires)
		assert.False(t, shown(x.Spares, x.ID), "%s is shown for %q", x.ID, x.Spares)
	}
}
