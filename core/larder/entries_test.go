package larder_test

import (
	"errors"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
)

// Each bound of an entry of the cook's own, on both sides.
func TestEntriesAreHeldToTheirBounds(t *testing.T) {
	l := load(t)
	long, many := strings.Repeat("a", 80), make([]string, 40)
	for name, x := range map[string]struct {
		entry larder.Entry
		field string
	}{
		"the longest id":         {larder.Entry{ID: long, Name: "x", Origin: larder.FromPlant}, ""},
		"a longer id":            {larder.Entry{ID: long + "a", Name: "x", Origin: larder.FromPlant}, "id"},
		"the longest name":       {larder.Entry{ID: "carrot", Name: long}, ""},
		"a longer name":          {larder.Entry{ID: "carrot", Name: long + "a"}, "name"},
		"no name is as it was":   {larder.Entry{ID: "carrot"}, ""},
		"as many names as may":   {larder.Entry{ID: "carrot", Aliases: many}, ""},
		"more names":             {larder.Entry{ID: "carrot", Aliases: append(many, "x")}, "aliases"},
		"a name and no origin":   {larder.Entry{ID: "newcomer", Name: "newcomer"}, "name"},
		"an origin and no name":  {larder.Entry{ID: "newcomer", Origin: larder.FromPlant}, "name"},
		"mixed of a class":       {larder.Entry{ID: "carrot", Origin: larder.Mixed, Animal: larder.Dairy}, ""},
		"mixed of none":          {larder.Entry{ID: "carrot", Origin: larder.Mixed}, ""},
		"an animal of none":      {larder.Entry{ID: "carrot", Origin: larder.FromAnimal}, "animal"},
		"the least density":      {larder.Entry{ID: "carrot", Density: fig(0.05)}, ""},
		"below it":               {larder.Entry{ID: "carrot", Density: fig(0.049)}, "density"},
		"the most density":       {larder.Entry{ID: "carrot", Density: fig(1.6)}, ""},
		"above it":               {larder.Entry{ID: "carrot", Density: fig(1.61)}, "density"},
		"the heaviest piece":     {larder.Entry{ID: "carrot", Pieces: map[string]float64{"piece": 100000}}, ""},
		"a heavier piece":        {larder.Entry{ID: "carrot", Pieces: map[string]float64{"piece": 100001}}, "pieces.piece"},
		"a piece of no unit":     {larder.Entry{ID: "carrot", Pieces: map[string]float64{"": 10}}, "pieces."},
		"nothing of a figure":    {larder.Entry{ID: "carrot", Per100: map[string]float64{"fat": 0}}, ""},
		"the most of a figure":   {larder.Entry{ID: "carrot", Per100: map[string]float64{"energy": 100000}}, ""},
		"more of a figure":       {larder.Entry{ID: "carrot", Per100: map[string]float64{"energy": 100001}}, "per100.energy"},
		"a home that there is":   {larder.Entry{ID: "carrot", Homes: []string{l.Kitchens()[0]}}, ""},
		"a home that is nowhere": {larder.Entry{ID: "carrot", Homes: []string{"Moonside"}}, "homes"},
	} {
		_, err := l.With([]larder.Entry{x.entry})
		if x.field == "" {
			require.NoError(t, err, name)
			continue
		}
		var wrong larder.EntryError
		require.True(t, errors.As(err, &wrong), name)
		require.Equal(t, x.field, wrong.Field, name)
	}
}

// What an entry leaves out stays as it was, and what it says is taken over.
func TestAnEntryChangesWhatItSays(t *testing.T) {
	l, yes, no := load(t), true, false
	before := *l.Food("carrot")
	same, err := l.With([]larder.Entry{{ID: "carrot"}})
	require.NoError(t, err)
	c := same.Food("carrot")
	require.Equal(t, larder.Corrected, c.Own)
	require.Equal(t, [][]string{before.Aliases, before.Allergen, before.Homes}, [][]string{c.Aliases, c.Allergen, c.Homes})
	require.Equal(t, []any{before.Name, before.Origin, before.Kind, before.Grade, before.Why, before.Hidden, before.Check, before.Matter.Density, before.Matter.Source, *before.Per100.Energy, before.Per100.Source},
		[]any{c.Name, c.Origin, c.Kind, c.Grade, c.Why, c.Hidden, c.Check, c.Matter.Density, c.Matter.Source, *c.Per100.Energy, c.Per100.Source})

	said, err := l.With([]larder.Entry{{ID: "carrot", Name: "orange root", Aliases: []string{" moor root ", "moor root", ""}, Hidden: &yes, Check: &yes, Why: "so", Grade: larder.Refined, Allergens: []string{"celery"}, Homes: []string{}, Pieces: map[string]float64{"piece": 99}, Per100: map[string]float64{"energy": 41}}})
	require.NoError(t, err)
	c = said.Food("carrot")
	require.Equal(t, []any{"orange root", true, true, "so", larder.Refined, 99.0, 41.0, larder.OwnSource, larder.OwnSource}, []any{c.Name, c.Hidden, c.Check, c.Why, c.Grade, c.Matter.Pieces["piece"].Low, *c.Per100.Energy, c.Matter.Source, c.Per100.Source})
	require.Equal(t, before.Matter.Density, c.Matter.Density, "what it weighs by the millilitre stays")
	require.Equal(t, *before.Per100.Protein, *c.Per100.Protein)
	require.False(t, c.Per100.Estimate)
	require.Equal(t, []string{"celery"}, c.Allergen)
	require.Contains(t, c.Aliases, before.Name, "it goes by its old name too")
	require.Len(t, c.Aliases, len(before.Aliases)+2)
	require.Equal(t, "carrot", said.Index().Search("moor root", 1)[0].ID)
	unsaid, err := l.With([]larder.Entry{{ID: "carrot", Name: before.Name, Check: &no}})
	require.NoError(t, err)
	require.Len(t, unsaid.Food("carrot").Aliases, len(before.Aliases), "the same name is no other name")
	mixed, err := l.With([]larder.Entry{{ID: "carrot", Origin: larder.Mixed, Check: &no}})
	require.NoError(t, err)
	require.True(t, mixed.Food("carrot").Check, "of what is mixed the label is read whatever is said")

	own, err := l.With([]larder.Entry{{ID: "newcomer", Name: "newcomer", Origin: larder.FromAnimal, Animal: larder.Fish}, {ID: "dark-thing", Name: "dark thing", Origin: larder.FromPlant, Why: "from a neighbour", Grade: larder.Plain, Density: fig(0.8)}})
	require.NoError(t, err)
	f := own.Food("newcomer")
	require.Equal(t, []any{larder.Added, "white-fish", "Added by the cook.", larder.Whole, "own"}, []any{f.Own, f.Kind, f.Why, f.Grade, f.Aisle})
	f = own.Food("dark-thing")
	require.Equal(t, []any{"", "from a neighbour", larder.Plain, 0.8}, []any{f.Kind, f.Why, f.Grade, f.Matter.Density})
	moved, err := l.With([]larder.Entry{{ID: "carrot", Origin: larder.FromAnimal, Animal: larder.Meat}})
	require.NoError(t, err)
	require.Equal(t, before.Kind == "", moved.Food("carrot").Kind == "chunks", "what has a kind keeps it")
	nothing, err := l.With(nil)
	require.NoError(t, err)
	require.Same(t, l, nothing)
}

// A food of the cook's own that claims a name has it before those that ship.
func TestTheCooksNameComesFirst(t *testing.T) {
	own, err := load(t).With([]larder.Entry{{ID: "zz-carrot", Name: "zz root", Aliases: []string{"carrot"}, Origin: larder.FromPlant}})
	require.NoError(t, err)
	m, ok := own.Index().At([]string{"carrot"}, 0, false)
	require.True(t, ok)
	require.Equal(t, "zz-carrot", m.Food.ID)
}
