package sizing_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/sizing"
)

func pan(t *testing.T, text string) sizing.Pan {
	p, err := sizing.ParsePan(text)
	require.NoError(t, err)
	return p
}

func TestPansAreComparedByAreaAndByVolume(t *testing.T) {
	for _, c := range []struct {
		from, to, by string
		factor       float64
	}{
		{"round:20", "round:24", "", 1.44},
		{"round:24", "square:24", sizing.ByArea, 1.273},
		{"square:20x5", "square:20x10", sizing.ByVolume, 2},
		{"loaf:25x11x7", "round:20x5", sizing.ByVolume, 0.816},
	} {
		k, err := sizing.PanFactor(pan(t, c.from), pan(t, c.to), c.by)
		require.NoError(t, err)
		require.InDelta(t, c.factor, k, 0.001)
	}
	_, err := sizing.PanFactor(pan(t, "round:20"), pan(t, "round:24x5"), sizing.ByVolume)
	require.ErrorContains(t, err, "depth")
	_, err = sizing.PanFactor(pan(t, "round:20"), pan(t, "round:24"), "weight")
	require.Error(t, err)
	for _, bad := range []string{"", "round", "oval:20", "round:x", "round:-4", "round:1", "loaf:25", "round:20x5x3", "round:1000", "round:NaN"} {
		_, err := sizing.ParsePan(bad)
		require.Error(t, err, bad)
	}
}

func TestWhatIsInTheHouseDrives(t *testing.T) {
	_, r := open(t)
	d := r.Read(cake, measure.Metric)
	k, err := sizing.HaveFactor(d, 0, 0, 450)
	require.NoError(t, err)
	require.InDelta(t, 1.5, k, 1e-9)
	_, err = sizing.HaveFactor(d, 0, 6, 10)
	require.ErrorContains(t, err, "salt")
	_, err = sizing.HaveFactor(d, 0, 60, 10)
	require.Error(t, err)
}

func TestCountedThingsTakeTheirNumber(t *testing.T) {
	l, r := open(t)
	d := r.Read("Stew\n\nServes 2\n\n1 red onion, sliced\n1 bay leaf\n4 tomatoes\n200 g tinned chickpeas\n\nMethod\n1. Simmer all.", measure.Metric)
	more, err := sizing.Scale(l, d, 4)
	require.NoError(t, err)
	require.Equal(t, "4 red onions, sliced", lines(more)[0])
	require.Equal(t, "4 bay leaves", lines(more)[1])
	less, err := sizing.Scale(l, d, 0.25)
	require.NoError(t, err)
	require.Equal(t, "1 tomato", lines(less)[2])
}

func TestAmountsNearWholePacksBecomeThem(t *testing.T) {
	l, r := open(t)
	d := r.Read("Stew\n\nServes 2\n\n115 g firm tofu, cubed\n2 onions\n\nMethod\n1. Fry all.", measure.Metric)
	twice, err := sizing.Scale(l, d, 2.5)
	require.NoError(t, err)
	require.Equal(t, "280 g (1 block) firm tofu, cubed", lines(twice)[0])
	require.InDelta(t, 280, twice.Components[0].Lines[0].Mass(), 0)
	thrice, err := sizing.Scale(l, d, 3)
	require.NoError(t, err)
	require.NotContains(t, lines(thrice)[0], "block", "345 g are not near a whole number of blocks")
}

func TestAContainerKeepsItsName(t *testing.T) {
	l, r := open(t)
	d := r.Read("Stew\n\nServes 2\n\na bottle (750 ml) red wine\n2 tins chopped tomatoes\n\nMethod\n1. Simmer all.", measure.Metric)
	more, err := sizing.Scale(l, d, 2)
	require.NoError(t, err)
	require.True(t, strings.HasPrefix(lines(more)[0], "2 bottles "), lines(more)[0])
	require.True(t, strings.HasPrefix(lines(more)[1], "4 tins "), lines(more)[1])
}

func TestBothMeasures(t *testing.T) {
	l, r := open(t)
	d := r.Read("Cake\n\nServes 4\n\n250 g plain flour\n1 tbsp olive oil\n500 ml soy milk\n2 onions\n400 g celeriac\n\nMethod\n1. Mix all.", measure.US)
	var got []string
	for _, line := range d.Components[0].Lines {
		got = append(got, sizing.Beside(line, l.Food(line.FoodID()).MatterOf(line.Form), measure.US))
	}
	require.Equal(t, "2 cups", strip(got[0]))
	require.Equal(t, "15 g", strip(got[1]))
	require.Equal(t, "2⅛ cups", strip(got[2]))
	require.Contains(t, strip(got[3]), "about ")
	require.NotEmpty(t, got[4])
}
