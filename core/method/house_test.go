package method

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
)

// A step that needs what the house does not have says so, and none says so else.
func TestStepsSayWhatTheHouseBars(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	d := c.reader.Read("Tray\nServes 4\n\n800 g potatoes\n400 g dried chickpeas\n1 l sunflower oil\n1 l water\n\nMethod\n1. Pressure-cook the chickpeas in the water for 40 minutes.\n2. Heat the oil to 180 C and deep-fry the chickpeas for 3 minutes.\n3. Bake the potatoes at 200 C for 40 minutes.\n4. Toss the potatoes and chickpeas together.", measure.Metric)
	for off, want := range map[string]int{"oven": 2, "pressure-cooker": 0, "deep-frying": 1, "mushrooms": -1} {
		a, err := c.Adapt(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like", Off: []string{off}}}, false)
		require.NoError(t, err)
		for _, s := range a.Components[0].Steps {
			told := false
			for _, f := range s.Findings {
				told = told || f.Kind == swap.AgainstHouse
			}
			require.Equal(t, len(s.From) > 0 && s.From[0] == want, told, "%s: %s", off, s.Text)
		}
	}
}
