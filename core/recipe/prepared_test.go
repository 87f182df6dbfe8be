package recipe_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
)

// What was done before stands before a name in one run, and what an egg is beaten with is a line that says so.
func TestWhatWasDoneBeforeIsNoPartOfAName(t *testing.T) {
	r := reader(t)
	for text, x := range map[string]struct{ name, done string }{
		"1.2 kg boned and rolled pork loin, rind scored": {"pork loin", "boned and rolled, rind scored"},
		"2 trimmed and halved leeks":                     {"leeks", "trimmed and halved"},
		"1 peeled and chopped onion":                     {"onion", "peeled and chopped"},
		"1 tsp salt and pepper":                          {"salt and pepper", ""},
	} {
		l := r.Line(text, measure.Metric)
		require.Equal(t, x.name, l.Name, text)
		require.Equal(t, x.done, l.Preparation, text)
	}
	d := r.Read("Coat\n\n2 eggs, beaten with 1 tbsp milk\n100 g breadcrumbs\n\nMethod\nDip in the egg.", measure.Metric)
	lines := d.Components[0].Lines
	require.Len(t, lines, 3)
	require.Equal(t, "milk", lines[1].Name)
	require.Equal(t, "to beat the eggs", lines[1].Preparation)
}
