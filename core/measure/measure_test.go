package measure_test

import (
	"errors"
	"fmt"
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/measure"
)

var flour = measure.Matter{Density: 125 / 236.588, Source: "test"}
var onion = measure.Matter{Pieces: map[string]measure.Span{"small": {70, 70}, "medium": {110, 150}, "large": {200, 220}}}

func ExampleGrams() {
	g, basis, _ := measure.Grams(measure.Amount{Low: 2, High: 3, Unit: measure.Cup}, "", flour, measure.US)
	fmt.Println(measure.ShowGrams(g, measure.Loose), "by", basis.Text)
	// Output: 250-375 g by 1 cup = 236.588 ml, 0.528 g/ml
}

func TestGramsByDimension(t *testing.T) {
	for _, c := range []struct {
		name      string
		amount    measure.Amount
		size      string
		matter    measure.Matter
		system    measure.System
		low, high float64
	}{
		{"mass needs nothing", measure.Amount{Low: 1.5, High: 1.5, Unit: measure.Pound}, "", measure.Matter{}, measure.US, 680.388, 680.388},
		{"US cup", measure.Amount{Low: 1, High: 1, Unit: measure.Cup}, "", flour, measure.US, 125, 125},
		{"metric cup is larger", measure.Amount{Low: 1, High: 1, Unit: measure.Cup}, "", flour, measure.Metric, 132.086, 132.086},
		{"Australian spoon is 20 ml", measure.Amount{Low: 1, High: 1, Unit: measure.Tablespoon}, "", measure.Matter{Density: 1}, measure.Australian, 20, 20},
		{"imperial pint", measure.Amount{Low: 1, High: 1, Unit: measure.Pint}, "", measure.Matter{Density: 1}, measure.Imperial, 568.261, 568.261},
		{"bare piece is medium", measure.Amount{Low: 2, High: 2, Unit: measure.Piece}, "", onion, measure.US, 220, 300},
		{"size wins", measure.Amount{Low: 1, High: 1, Unit: measure.Piece}, "large", onion, measure.US, 200, 220},
		{"large of a single known weight", measure.Amount{Low: 1, High: 1, Unit: measure.Piece}, "large", measure.Matter{Pieces: map[string]measure.Span{"piece": {100, 100}}}, measure.US, 140, 140},
		{"medium of a single known weight", measure.Amount{Low: 1, High: 1, Unit: measure.Piece}, "medium", measure.Matter{Pieces: map[string]measure.Span{"piece": {100, 100}}}, measure.US, 100, 100},
		{"a size known by itself is not scaled", measure.Amount{Low: 1, High: 1, Unit: measure.Piece}, "small", measure.Matter{Pieces: map[string]measure.Span{"piece": {100, 100}, "small": {60, 60}}}, measure.US, 60, 60},
		{"a size of what is counted by another word", measure.Amount{Low: 1, High: 1, Unit: measure.Bunch}, "large", measure.Matter{Pieces: map[string]measure.Span{"bunch": {50, 50}, "large bunch": {90, 90}}}, measure.US, 90, 90},
		{"size of a single known weight", measure.Amount{Low: 1, High: 1, Unit: measure.Piece}, "small", measure.Matter{Pieces: map[string]measure.Span{"piece": {100, 100}}}, measure.US, 70, 70},
	} {
		t.Run(c.name, func(t *testing.T) {
			g, _, err := measure.Grams(c.amount, c.size, c.matter, c.system)
			require.NoError(t, err)
			require.InDelta(t, c.low, g.Low, 0.01)
			require.InDelta(t, c.high, g.High, 0.01)
		})
	}
}

func TestGramsSaysWhatIsMissing(t *testing.T) {
	for _, unit := range []measure.Unit{measure.Cup, measure.Piece, measure.Bunch, "firkin"} {
		_, _, err := measure.Grams(measure.Amount{Low: 1, High: 1, Unit: unit}, "", measure.Matter{}, measure.US)
		require.ErrorIs(t, err, measure.ErrUnknown, unit)
	}
}

func TestUsualWeightsAreMarkedEstimate(t *testing.T) {
	g, basis, err := measure.Grams(measure.Amount{Low: 1, High: 1, Unit: measure.Handful}, "", measure.Matter{}, measure.US)
	require.NoError(t, err)
	require.Equal(t, 30.0, g.Low)
	require.True(t, basis.Estimate)
}

func TestConvert(t *testing.T) {
	a, _, err := measure.Convert(measure.Amount{Low: 1, High: 2, Unit: measure.Cup}, "", measure.Matter{}, measure.Millilitre, measure.US)
	require.NoError(t, err, "volume to volume needs no density")
	require.InDelta(t, 236.588, a.Low, 0.001)

	a, _, err = measure.Convert(measure.Amount{Low: 250, High: 250, Unit: measure.Gram}, "", flour, measure.Cup, measure.US)
	require.NoError(t, err)
	require.InDelta(t, 2, a.Low, 0.001)

	a, _, err = measure.Convert(measure.Amount{Low: 260, High: 260, Unit: measure.Gram}, "", onion, measure.Piece, measure.US)
	require.NoError(t, err)
	require.InDelta(t, 2, a.Low, 0.001)

	_, _, err = measure.Convert(measure.Amount{Low: 1, High: 1, Unit: measure.Cup}, "", measure.Matter{}, measure.Gram, measure.US)
	require.True(t, errors.Is(err, measure.ErrUnknown))
}

func TestFineAmountsNeverMoveByMoreThanTenPercent(t *testing.T) {
	for g := 0.11; g < 400; g *= 1.013 {
		require.LessOrEqual(t, math.Abs(measure.RoundGrams(g, measure.Fine)-g), measure.MaxFineError*g+1e-9, "%v g", g)
	}
	require.Equal(t, 125.0, measure.RoundGrams(127, measure.Loose))
	require.Equal(t, 360.0, measure.RoundGrams(356, measure.Loose))
	require.Equal(t, 4.0, measure.RoundGrams(4.3, measure.Loose))
	require.Equal(t, 1.5, measure.RoundGrams(1.4, measure.Fine), "1 g would move it by more than 10 %")
}

// Each step of rounding begins where it is said to.
func TestRoundingStepsBeginAtTheirBounds(t *testing.T) {
	for _, c := range []struct{ g, want float64 }{
		{0.94, 0.9}, {1, 1}, {9.6, 10}, {10.4, 10}, {12.6, 15}, {247, 245}, {252, 250}, {255, 255}, {256, 260}, {996, 1000}, {1020, 1000}, {1030, 1050}, {4980, 5000}, {5040, 5000}, {5060, 5100}, {9960, 10000}, {10200, 10000}, {10300, 10500},
	} {
		require.InDelta(t, c.want, measure.RoundGrams(c.g, measure.Loose), 1e-9, "%g g", c.g)
	}
	show := func(grams, density float64, pours bool) string {
		return strings.ReplaceAll(measure.ShowMatter(measure.Exactly(grams), density, pours, measure.Loose), measure.ThinSpace, " ")
	}
	require.Equal(t, "60 ml", show(60, 1, true), "from four spoons on a liquid is measured")
	require.Equal(t, "4 tbsp", show(59, 1, true))
	require.Equal(t, "10 g", show(12, 0, false), "of what has no density only grams are known")
	require.Equal(t, "10 g", show(12, 0.5, false), "from twelve grams on nobody counts spoons")
	require.Contains(t, show(11.9, 0.5, false), "tbsp")
	require.Contains(t, show(5, 0.1, false), "(5 g)")
	require.Contains(t, show(0.5, 0.5, false), "(0.5 g)")
	require.NotContains(t, show(0.4, 0.5, false), "g)")
}

// Conversions say by what they were made.
func TestConversionsNameTheirBasis(t *testing.T) {
	_, basis, err := measure.Convert(measure.Amount{Low: 1, High: 1, Unit: measure.Cup}, "", measure.Matter{}, measure.Millilitre, measure.US)
	require.NoError(t, err)
	require.Equal(t, "1 cup = 236.588 ml", basis.Text)
	require.False(t, basis.Estimate)
	_, basis, err = measure.Convert(measure.Amount{Low: 300, High: 300, Unit: measure.Gram}, "", onion, measure.Piece, measure.US)
	require.NoError(t, err)
	require.Contains(t, basis.Text, "1 medium = 110-150 g")
	got, basis, err := measure.Convert(measure.Amount{Low: 1, High: 1, Unit: measure.Piece}, "", onion, measure.Kilogram, measure.US)
	require.NoError(t, err)
	require.InDelta(t, 0.11, got.Low, 1e-9)
	require.InDelta(t, 0.15, got.High, 1e-9)
	require.Contains(t, basis.Text, "medium")
}

// The grams beside a spoon are rounded once: 1.4 g are neither 1 g nor 2 g.
func TestGramsBesideASpoonAreRoundedOnce(t *testing.T) {
	for grams, want := range map[float64]string{2.25: "¼ tsp (2.5 g)", 2.6: "½ tsp (2.5 g)", 1.4: "¼ tsp (1.5 g)", 0.6: "⅛ tsp (0.5 g)", 5.4: "1 tsp (5 g)"} {
		got := strings.ReplaceAll(measure.ShowMatter(measure.Exactly(grams), 1.2, false, measure.Loose), measure.ThinSpace, " ")
		assert.Equal(t, want, got, "%g g", grams)
	}
}

func TestShowMillilitres(t *testing.T) {
	for _, c := range []struct {
		ml   float64
		sys  measure.System
		care measure.Care
		want string
	}{
		{236.588, measure.US, measure.Loose, "1 cup"},
		{177, measure.US, measure.Loose, "¾ cup"},
		{591, measure.US, measure.Loose, "2½ cups"},
		{15, measure.Metric, measure.Loose, "1 tbsp"},
		{30, measure.Australian, measure.Loose, "1½ tbsp"},
		{1.23, measure.US, measure.Fine, "¼ tsp"},
		{0.9, measure.US, measure.Fine, "0.9 ml"},
		{0.1, measure.US, measure.Loose, "a pinch"},
	} {
		require.Equal(t, c.want, measure.ShowMillilitres(c.ml, c.sys, c.care))
	}
}

func TestAmountString(t *testing.T) {
	require.Equal(t, "1½ cup", measure.Amount{Low: 1.5, High: 1.5, Unit: measure.Cup}.String())
	require.Equal(t, "2-3", measure.Amount{Low: 2, High: 3, Unit: measure.Piece}.String())
	require.Equal(t, "8 fl oz", measure.Amount{Low: 8, High: 8, Unit: measure.FluidOunce}.String())
}

func TestHeat(t *testing.T) {
	require.InDelta(t, 176.67, measure.CelsiusFromFahrenheit(350), 0.01)
	require.Equal(t, 355.0, measure.FahrenheitFromCelsius(180))
	c, ok := measure.CelsiusFromGasMark(4)
	require.True(t, ok)
	require.Equal(t, 180.0, c)
	_, ok = measure.CelsiusFromGasMark(11)
	require.False(t, ok)
}
