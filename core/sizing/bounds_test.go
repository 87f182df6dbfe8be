package sizing

import (
	"math"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/knowledge"
)

// The least and the widest pan are pans, and what lies just beyond is none; only the depth may be less.
func TestPansAtTheirBounds(t *testing.T) {
	for text, ok := range map[string]bool{
		"round:3": true, "round:2.9": false, "round:120": true, "round:120.1": false, "round:20x1": true, "round:20x0": false, "loaf:25x2": true, "loaf:25x-1": false,
	} {
		_, err := ParsePan(text)
		require.Equal(t, ok, err == nil, text)
	}
}

// A dish is driven by a line that there is, and that weighs something.
func TestTheLineThatDrivesIsThere(t *testing.T) {
	d := recipe.Dish{Components: []recipe.Component{{Lines: []recipe.Line{{Name: "rice", Grams: &measure.Span{Low: 200, High: 200}}, {Name: "salt"}}}}}
	for _, c := range []struct {
		component, line int
		want            float64
	}{{0, 0, 2}, {0, 1, 0}, {0, 2, 0}, {1, 0, 0}, {-1, 0, 0}, {0, -1, 0}} {
		k, err := HaveFactor(d, c.component, c.line, 400)
		require.Equal(t, c.want > 0, err == nil, "%+v", c)
		require.Equal(t, c.want, k, "%+v", c)
	}
}

// Counted things come in halves up to three, pinches up to three, and what has outgrown its unit in another.
func TestUnitsThatAreOutgrown(t *testing.T) {
	for v, want := range map[float64]float64{0.05: 0.25, 1.2: 1, 1.3: 1.5, 2.8: 3, 3: 3, 3.4: 3, 3.6: 4} {
		require.Equal(t, want, whole(v), "%g", v)
	}
	spoons := measure.MillilitresOf(measure.Pinch, measure.Metric) / measure.MillilitresOf(measure.Teaspoon, measure.Metric)
	for _, c := range []struct{ from, want measure.Amount }{
		{measure.Amount{Low: 3, High: 3, Unit: measure.Pinch}, measure.Amount{Low: 3, High: 3, Unit: measure.Pinch}},
		{measure.Amount{Low: 2, High: 4, Unit: measure.Pinch}, measure.Amount{Low: 2 * spoons, High: 4 * spoons, Unit: measure.Teaspoon}},
		{measure.Amount{Low: 0.2, High: 1.6, Unit: measure.Dash}, measure.Amount{Low: 1, High: 2, Unit: measure.Dash}},
		{measure.Amount{Low: 0.1, High: 1.3, Unit: measure.Glug}, measure.Amount{Low: 0.5, High: 1.5, Unit: measure.Glug}},
		{measure.Amount{Low: 2, High: 3, Unit: measure.Decilitre}, measure.Amount{Low: 200, High: 300, Unit: measure.Millilitre}},
		{measure.Amount{Low: 2, High: 3, Unit: measure.Gram}, measure.Amount{Low: 2, High: 3, Unit: measure.Gram}},
	} {
		got := kitchenUnit(c.from)
		require.Equal(t, c.want.Unit, got.Unit, "%+v", c.from)
		require.InDelta(t, c.want.Low, got.Low, 1e-9, "%+v", c.from)
		require.InDelta(t, c.want.High, got.High, 1e-9, "%+v", c.from)
	}
	for want, a := range map[string]measure.Amount{
		"1.5 kg": {Low: 1.5, High: 1.5, Unit: measure.Kilogram}, "400 g": {Low: 400, High: 400, Unit: measure.Gram}, "1 tbsp to 2 tbsp": {Low: 1, High: 2, Unit: measure.Tablespoon},
		"2 leaves": {Low: 2, High: 2, Unit: measure.Leaf}, "2 bunches": {Low: 2, High: 2, Unit: measure.Bunch}, "1 bunch": {Low: 1, High: 1, Unit: measure.Bunch}, "2": {Low: 2, High: 2, Unit: measure.Piece},
	} {
		require.Equal(t, want, Show(a))
	}
}

// What the factor does not scale is told where it matters, and only there.
func TestNotesAtTheirBounds(t *testing.T) {
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	r := flow.NewReader(l)
	cake := r.Read("Cake\nServes 4\n\n250 g plain flour\n2 tsp baking powder\n1 chilli\n300 ml water\n\nMethod\n1. Fry the chilli. Mix all and simmer.", measure.Metric)
	plain := r.Read("Rice\nServes 4\n\n250 g rice\n300 ml water\n\nMethod\n1. Steam the rice.", measure.Metric)
	deeper := math.Pow(timeDrift, 1/deepMost) // from where on it takes longer
	for _, c := range []struct {
		dish  recipe.Dish
		k     float64
		notes int
	}{
		{cake, 1, 0}, {plain, 1.01, 1}, {plain, deeper - 0.001, 1}, {plain, deeper + 0.001, 2}, {plain, 1 / (deeper - 0.001), 1}, {plain, 1 / (deeper + 0.001), 2},
		{cake, 0.99, 2}, {cake, 1.01, 3}, {cake, double, 4}, {cake, double + 0.01, 6}, {plain, double + 0.01, 2},
	} {
		require.Len(t, notes(l, c.dish, c.k), c.notes, "%s, %g times", c.dish.Name, c.k)
	}
	for k, ok := range map[float64]bool{Least: true, Least - 0.001: false, Most: true, Most + 0.01: false} {
		_, err := Scale(l, plain, k)
		require.Equal(t, ok, err == nil, "%g", k)
	}
}

// Amounts are rounded to packs within a tenth of whole ones, and never to none.
func TestPacksAtTheirBounds(t *testing.T) {
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	r := flow.NewReader(l)
	tinned := func(grams string) string {
		line := r.Line(grams+" g tinned chickpeas", measure.Metric)
		return packed(l, line, 2).Text
	}
	pack := l.Food("chickpeas").Packs[0]
	size := larder.Or(pack.Drained, pack.Grams)
	for share, ok := range map[float64]bool{0.4: false, 0.88: false, 0.92: true, 1: true, 1.09: true, 1.12: false, 1.95: true, 2.3: false} {
		text := tinned(strconv.Itoa(int(math.Round(share * size))))
		require.Equal(t, ok, strings.Contains(text, "tin)") || strings.Contains(text, "tins)"), "%g of %g g: %s", share, size, text)
	}
}
