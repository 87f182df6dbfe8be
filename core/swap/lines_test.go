package swap_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
)

// A line of several foods loses the animal one and keeps the others, and never stays
// as it was.
func TestALineOfSeveralFoodsLosesTheAnimalOne(t *testing.T) {
	k := open(t)
	for line, want := range map[string]string{
		"cucumber and tomato slices, prawn crackers (to serve)": "cucumber, tomato",
		"lettuce, tomatoes, hard-boiled eggs (to serve)":        "lettuce, tomato",
	} {
		d := k.reader.Read("Rice\nServes 2\n\n400 g cooked rice\n2 tbsp olive oil\n1 onion\n"+line+"\n\nMethod\n1. Warm the rice for 5 minutes and serve with the rest.", measure.Metric)
		a, err := k.book.Apply(d, swap.Decisions{HouseRules: house(swap.WholeFood)}, false)
		require.NoError(t, err)
		l := a.Components[0].Lines[3]
		require.Equal(t, swap.Adjusted, l.Change, line)
		require.Equal(t, want, l.Text)
		require.Empty(t, k.reader.Animals(l.Text, nil))
	}
}
