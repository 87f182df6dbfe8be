package formats_test

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/formats"
	"yembra/knowledge"
)

const relish = `Herring and relish
Serves 4

600 g herring fillets
2 tbsp rye flour, "dark"

For the relish:
2 pickled beetroots, diced
1 tsp honey

Method
1. Turn the herring in the flour and fry for 4 minutes.
For the relish:
1. Mix the beetroots with the honey.
`

func original(t *testing.T) (*flow.Reader, recipe.Dish) {
	t.Helper()
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	r := flow.NewReader(l)
	d := r.Read(relish, measure.Metric)
	require.Len(t, d.Components, 2)
	require.Len(t, d.Components[1].Lines, 2)
	require.Len(t, d.Components[1].Steps, 1)
	return r, d
}

// same compares what every format can hold: names, servings, parts, the texts
// of lines and steps, and what the reader makes of them.
func same(t *testing.T, want, got recipe.Dish) {
	t.Helper()
	require.Equal(t, want.Name, got.Name)
	require.Equal(t, want.Serves, got.Serves)
	require.Equal(t, want.Components, got.Components)
}

func TestAnOriginalGoesOutAndInAsJSONLD(t *testing.T) {
	r, d := original(t)
	out, err := formats.ToJSONLD(d.Name, d)
	require.NoError(t, err)
	require.True(t, json.Valid(out))
	require.Equal(t, formats.JSONLD, formats.Detect(string(out)))
	src, err := formats.FromJSONLD(string(out))
	require.NoError(t, err)
	same(t, d, r.Source(src, measure.Metric))
}

func TestAnOriginalGoesOutAndInAsMarkdown(t *testing.T) {
	r, d := original(t)
	same(t, d, r.Read(string(formats.ToMarkdown(d.Name, d)), measure.Metric))
}

func TestAnOriginalGoesOutAndInAsCSV(t *testing.T) {
	r, d := original(t)
	out, err := formats.ToCSV(d.Name, d)
	require.NoError(t, err)
	require.Equal(t, formats.CSV, formats.Detect(string(out)))
	src, foods, err := formats.FromCSV(string(out))
	require.NoError(t, err)
	same(t, d, r.Source(src, measure.Metric))
	require.Equal(t, "herring", foods[0][0])
}

func TestTablesThatAreNoRecipeSayWhere(t *testing.T) {
	_, _, err := formats.FromCSV("a,b\n1,2\n")
	require.ErrorIs(t, err, formats.ErrTable)
	_, _, err = formats.FromCSV("")
	require.ErrorIs(t, err, formats.ErrTable)
	_, _, err = formats.FromCSV("kind,text\nline,1 leek\nsong,la\n")
	require.ErrorContains(t, err, "row 3")
	require.ErrorContains(t, err, "song")
	_, _, err = formats.FromCSV("kind,text\nline,\"1 leek\n")
	require.ErrorContains(t, err, "row 2")
}

func FuzzStructured(f *testing.F) {
	_, d := original(&testing.T{})
	ld, _ := formats.ToJSONLD(d.Name, d)
	table, _ := formats.ToCSV(d.Name, d)
	f.Add(string(ld))
	f.Add(string(table))
	f.Add(`<html><script type="application/ld+json">{"@type":"Recipe","recipeIngredient":["1 egg"]}</script><p>Soup`)
	f.Fuzz(func(t *testing.T, text string) {
		// None of them may crash or hang, whatever they make of it.
		_, _ = formats.FromJSONLD(text)
		_, _, _ = formats.FromHTML(text)
		_, _, _ = formats.FromCSV(text)
		formats.Detect(text)
	})
}
