package recipe

import (
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
	"yembra/knowledge"
)

// shipped is the larder as it ships, loaded once for all tests.
var shipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })

func inside(t *testing.T) *Reader {
	t.Helper()
	l, err := shipped()
	require.NoError(t, err)
	return NewReader(l)
}

func TestQuantities(t *testing.T) {
	for _, c := range []struct {
		text      string
		low, high float64
		unit      measure.Unit
		rest      string
	}{
		{"2 tbsp oil", 2, 2, measure.Tablespoon, "oil"},
		{"2 heaped tbsp of flour", 2, 2, measure.Tablespoon, "flour"},
		{"one or two onions", 1, 2, measure.Piece, "onions"},
		{"a dozen eggs", 12, 12, measure.Piece, "eggs"},
		{"half a cup milk", 0.5, 0.5, measure.Cup, "milk"},
		{"a couple of carrots", 2, 2, measure.Piece, "carrots"},
		{"between 2 and 3 leeks", 2, 3, measure.Piece, "leeks"},
		{"8 fl oz cream", 8, 8, measure.FluidOunce, "cream"},
		{"8 fl. oz. cream", 8, 8, measure.FluidOunce, "cream"},
		{"1 lb 2 oz beef", 1.125, 1.125, measure.Pound, "beef"},
		{"3 large potatoes", 3, 3, measure.Piece, "potatoes"},
		{"1 and a half cups rice", 1.5, 1.5, measure.Cup, "rice"},
		{"1 and 1/2 cups rice", 1.5, 1.5, measure.Cup, "rice"},
		{"2 cups and a half of rice", 2.5, 2.5, measure.Cup, "rice"},
		{"half a dozen eggs", 6, 6, measure.Piece, "eggs"},
		{"three quarters of a cup of rice", 0.75, 0.75, measure.Cup, "rice"},
		{"pinch of salt", 1, 1, measure.Pinch, "salt"},
		{"about 500g leeks", 500, 500, measure.Gram, "leeks"},
		{"4 to 5 lb chicken", 4, 5, measure.Pound, "chicken"},
	} {
		cur := cursorOver(inside(t).lines(), lex.Scan(c.text), measure.US)
		q := cur.quantity()
		require.NotNil(t, q.amount, c.text)
		require.InDelta(t, c.low, q.amount.Low, 0.001, c.text)
		require.InDelta(t, c.high, q.amount.High, 0.001, c.text)
		require.Equal(t, c.unit, q.amount.Unit, c.text)
		require.Equal(t, c.rest, slice(c.text, cur.Tokens[cur.At:]), c.text)
	}
	for _, text := range []string{"", "salt", "some thyme", "to taste", "x", "(", "- -"} {
		cur := cursorOver(inside(t).lines(), lex.Scan(text), measure.US)
		require.Nil(t, cur.quantity().amount, text)
	}
}

func TestPacksAndSecondMeasures(t *testing.T) {
	for text, grams := range map[string]float64{
		"2 x 400 g tins tomatoes":        800,
		"2 (14-ounce) cans tomatoes":     2 * 14 * 28.3495,
		"1 14.5 oz can tomatoes":         14.5 * 28.3495,
		"3 (200 g) packs noodles":        600,
		"2 packs of 3 x 50 g noodles":    300,
		"2 (3 x 80 g) packs noodles":     480,
		"3 boxes of 2 x 150 g noodles":   900,
		"2 packs of 2 tins (400 g) rice": 1600,
		"2 packs (300 g) noodles":        600,
		"250 g (9 oz) rice":              250,
		"9 oz/255 g rice":                255,
		"1 lb (450g) pork":               450,
		"1 metric cup water":             250,
		"2 imperial pints water":         2 * 568,
		"1 US cup/1 metric cup water":    237,
		"250 g/1 metric cup rice":        250,
		"4 fillets (150 g each) salmon":  600,
	} {
		line := inside(t).Line(text, measure.US)
		require.NotNil(t, line.Grams, text)
		require.InDelta(t, grams, line.Mass(), 1, text)
	}
}

func TestWrappedLinesAreJoined(t *testing.T) {
	text := "Method\n" +
		"1. Heat the oil in a wide pan and fry the onions slowly with the\n" +
		"   cumin, until they are soft and golden and smell of the whole\n" +
		"   street, then add the garlic.\n" +
		"2. Add the lentils and enough water to cover them by three fingers\n" +
		"   and simmer for 25 minutes."
	b := paragraphs(text)
	require.Len(t, b, 3)
	require.True(t, b[1].numbered)
	require.Contains(t, b[1].text, "the whole street, then add")
	require.Contains(t, b[2].text, "simmer for 25 minutes")
}

func TestLooks(t *testing.T) {
	for text, want := range map[string]block{
		"## Method":         {text: "Method", heading: true},
		"**For the dough**": {text: "For the dough", heading: true},
		"- 2 eggs":          {text: "2 eggs", bullet: true},
		"3) Fry it.":        {text: "Fry it.", numbered: true, number: 3},
		"Step 2: Fry it.":   {text: "Fry it.", numbered: true},
		"For the topping:":  {text: "For the topping:", heading: true},
		"[ ] 2 eggs":        {text: "2 eggs", bullet: true},
	} {
		require.Equal(t, want, look(text), text)
	}
}
