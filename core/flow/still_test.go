package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What the text forbids to stir is marked from there on, and what was stirred before is not.
func TestWhatIsNotStirredIsMarked(t *testing.T) {
	const lines = "350 g rice|1 l vegetable stock|1 onion|2 tbsp oil"
	for _, c := range []struct {
		method       string
		moved, still string
	}{
		{"Fry the onion in the oil. Tip in the rice. Pour in the stock, shake the pan and do not stir again. Simmer for 18 minutes.", "fry", "simmer"},
		{"Fry the onion in the oil. Tip in the rice. Pour in the stock and simmer for 18 minutes without stirring.", "fry", "simmer"},
		{"Fry the onion in the oil. Tip in the rice. Pour in the stock.\n2. Never stir it from now on. Simmer for 18 minutes.", "fry", "simmer"},
		{"Fry the onion in the oil. Tip in the rice. Pour in the stock. It must not be stirred from now on.\n2. Simmer for 18 minutes.", "fry", "simmer"},
		{"Fry the onion in the oil. Tip in the rice. Pour in the stock and simmer for 18 minutes, stirring often.", "simmer", ""},
		{"Fry the onion in the oil without stirring. Tip in the rice. Pour in the stock and simmer for 18 minutes.", "simmer", "fry"},
		{"Fry the onion in the oil. Tip in the rice. Pour in the stock and simmer for 18 minutes. Do not cover the pan.", "simmer", ""},
	} {
		_, g := traced(t, lines, c.method)
		require.False(t, nodeOf(t, g, c.moved).Still, "%s: %s", c.method, c.moved)
		if c.still != "" {
			require.True(t, nodeOf(t, g, c.still).Still, "%s: %s", c.method, c.still)
		}
	}
}

// A word for several foods means a shelf, a kind, a tag or all that is dry, but no fat of an animal by
// its shelf.
func TestWordsForSeveralFoodsMeanTheirOwn(t *testing.T) {
	l := reader(t).larder
	b := &bindings{r: reader(t)}
	for _, c := range []struct {
		food  string
		kinds []string
		in    bool
	}{
		{"carrot", []string{"vegetables"}, true},
		{"carrot", []string{"spices"}, false},
		{"plain-flour", []string{anyDry}, true},
		{"whole-milk", []string{anyDry}, false},
		{"butter", []string{anyDry}, false},
		{"lard", []string{l.Food("lard").Aisle}, false},
		{"lard", []string{l.Food("lard").Kind}, true},
		{"whole-milk", []string{"dairy"}, true},
		{"whole-milk", []string{"milk"}, true},
	} {
		require.NotNil(t, l.Food(c.food), c.food)
		require.Equal(t, c.in, b.inGroup(l.Food(c.food), c.kinds), "%s of %v", c.food, c.kinds)
	}
	require.False(t, b.inGroup(nil, []string{anyDry}))
}
