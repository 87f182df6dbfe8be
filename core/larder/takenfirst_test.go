package larder_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/knowledge"
)

// A food's own row comes before its kind's, and a kitchen's before the one for all.
func TestTheNearestRowSaysWhatIsTakenFirst(t *testing.T) {
	l, err := larder.Load(changed{knowledge.Shipped(), map[string]string{"taken_first.csv": "what,use,swaps,kitchens,source\n" +
		"egg,bind,flax-gel,,estimate\n" +
		"egg,bind,chickpea-batter-bind,East Asian|South Asian,estimate\n" +
		"food:squid,piece,king-oyster-rings,,estimate\n" +
		"shellfish,piece,konjac-prawn,East Asian,estimate\n" +
		"food:niter-kibbeh,,spiced-peanut-fat,,estimate\n"}})
	require.NoError(t, err)
	for _, c := range []struct {
		food, kind, use, kitchen, first string
	}{
		{"egg", "egg", "bind", "", "flax-gel"},
		{"egg", "egg", "bind", "European", "flax-gel"},
		{"egg", "egg", "bind", "South Asian", "chickpea-batter-bind"},
		{"", "egg", "bind", "South Asian", "chickpea-batter-bind"},
		{"egg", "egg", "lift", "South Asian", ""},
		{"squid", "shellfish", "piece", "East Asian", "king-oyster-rings"},
		{"clam", "shellfish", "piece", "East Asian", "konjac-prawn"},
		{"clam", "shellfish", "piece", "", ""},
		{"niter-kibbeh", "butter", "enrich", "African", "spiced-peanut-fat"},
	} {
		first := l.TakenFirst(l.Food(c.food), c.kind, c.use, c.kitchen)
		if c.first == "" {
			require.Empty(t, first, c)
			continue
		}
		require.Equal(t, []string{c.first}, first, c)
	}
}

// Rows that name what does not serve, or is not right, are found.
func TestWhatIsTakenFirstMustServe(t *testing.T) {
	for row, fault := range map[string]string{
		"egg,bind,nothing-like-it,,estimate":             `no swap "nothing-like-it"`,
		"egg,bind,spiced-peanut-fat,,estimate":           "spiced-peanut-fat does not serve it",
		"egg,lift,flax-gel,,estimate":                    "flax-gel is not right for it",
		"egg,bind,flax-gel,Atlantis,estimate":            `"Atlantis" is no kitchen`,
		"food:no-such-food,,spiced-peanut-fat,,estimate": "does not serve it",
	} {
		l, err := larder.Load(changed{knowledge.Shipped(), map[string]string{"taken_first.csv": "what,use,swaps,kitchens,source\n" + row + "\n"}})
		require.NoError(t, err)
		found := false
		for _, said := range l.Check() {
			found = found || strings.Contains(said, fault)
		}
		require.True(t, found, "%s: %v", row, l.Check())
	}
}
