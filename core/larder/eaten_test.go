package larder_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/knowledge"
)

func TestBoneAndShellAreNotEaten(t *testing.T) {
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	for _, c := range []struct {
		food, text string
		counted    bool
		share      float64
	}{
		{"mussel", "2 kg mussels", false, 0.25},
		{"mussel", "200 g cooked mussel meat", false, 1},
		{"chicken-thigh", "800 g chicken thighs", false, 1},
		{"chicken-thigh", "2 lb bone-in chicken thighs", false, 0.75},
		{"chicken-thigh", "8 chicken thighs on the bone", true, 0.75},
		{"duck", "1 duck, about 2.2 kg", true, 0.5},
		{"duck", "300 g duck", false, 1},
		{"sea-bass", "1 whole sea bass", true, 0.5},
		{"sea-bass", "4 sea bass fillets", true, 1},
		{"leg-of-lamb", "2 kg leg of lamb", false, 0.75},
		{"leg-of-lamb", "1.5 kg boned leg of lamb", false, 1},
		{"beef-bones", "1 kg beef bones", false, 1},
		{"onion", "1 kg onions", false, 1},
		{"egg", "3 eggs", true, 1},
	} {
		require.Equal(t, c.share, l.EatenShare(l.Food(c.food), c.text, c.counted), c.text)
	}
}

// Nothing whose weight is partly bone counts as eaten whole, and nothing of a plant
// is taken off what a recipe weighs.
func TestEdibleSharesSayWhenTheyHold(t *testing.T) {
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	for _, f := range l.Foods() {
		if f.Origin == "plant" {
			require.Equal(t, 1.0, l.EatenShare(f, "1 whole "+f.Name+", unpeeled", true), f.ID)
		}
		if f.Kind == "poultry-whole" {
			require.NotEmpty(t, f.Edible.When, f.ID)
		}
	}
}

func TestStrongFoodsHaveAMostPerServing(t *testing.T) {
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	require.Equal(t, 0.12, l.MostServed(l.Food("kelp"), "").Most)
	require.Equal(t, 5.0, l.MostServed(l.Food("cumin"), "").Most, "by its shelf")
	require.Zero(t, l.MostServed(l.Food("hijiki"), "raw").Most)
	require.True(t, math.IsInf(l.MostServed(l.Food("potato"), "raw").Most, 1))
	for _, f := range l.Foods() {
		switch f.Aisle {
		case "sea-vegetables", "spices":
			require.False(t, math.IsInf(l.MostServed(f, larder.RawForm).Most, 1), f.ID)
		}
		// A serving of any one seaweed stays below the upper intake of iodine.
		if f.Aisle == "sea-vegetables" && f.Per100.Iodine != nil {
			require.LessOrEqual(t, l.MostServed(f, larder.RawForm).Most*(*f.Per100.Iodine)/100, 600.0, f.ID)
		}
	}
}

// A composition is an estimate where its source says so, and carrots have a source.
func TestACompositionIsAnEstimateWhereItsSourceSaysSo(t *testing.T) {
	l, estimates := load(t), 0
	for _, f := range l.Foods() {
		if f.Per100.Source == larder.Estimate {
			require.True(t, f.Per100.Estimate, f.ID)
		}
		if f.Per100.Estimate {
			estimates++
		}
	}
	require.NotZero(t, estimates)
	require.False(t, l.Food("carrot").Per100.Estimate)
}
