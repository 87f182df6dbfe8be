package larder_test

import (
	"errors"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/knowledge"
)

func fig(v float64) larder.Figure { return &v }

func TestACorrectionIsUsedAndLeavesTheShippedLarderAlone(t *testing.T) {
	l := load(t)
	before := *l.Food("carrot").Per100.Sodium
	own, err := l.With([]larder.Entry{{
		ID: "carrot", Aliases: []string{"wurzel of the east"}, Density: fig(0.5), Pieces: map[string]float64{"medium": 90},
		Per100: map[string]float64{"sodium": 99}, Allergens: []string{"celery"},
	}})
	require.NoError(t, err)
	f := own.Food("carrot")
	require.Equal(t, larder.Corrected, f.Own)
	require.Equal(t, 99.0, *f.Per100.Sodium)
	require.Equal(t, larder.OwnSource, f.Per100.Source)
	require.Equal(t, "the cook's own figure", own.SourceTitle(f.Matter.Source))
	require.Equal(t, 90.0, f.Matter.Pieces["medium"].Low)
	require.Equal(t, 50.0, f.Matter.Pieces["small"].Low, "what is left out stays")
	m, ok := own.Index().At(larder.Words("wurzel of the east"), 0, false)
	require.True(t, ok)
	require.Equal(t, "carrot", m.Food.ID)

	require.Equal(t, before, *l.Food("carrot").Per100.Sodium)
	require.Empty(t, l.Food("carrot").Own)
	_, known := l.Index().At(larder.Words("wurzel of the east"), 0, false)
	require.False(t, known)
	require.Empty(t, own.Check())
}

func TestNamesThatHoldOnlyBesideAMeasureSurviveACorrection(t *testing.T) {
	own, err := load(t).With([]larder.Entry{{ID: "carrot", Note: "touched"}})
	require.NoError(t, err)
	counted, _ := own.Index().At(larder.Words("chopped tomatoes"), 0, true)
	measured, _ := own.Index().At(larder.Words("chopped tomatoes"), 0, false)
	require.Equal(t, "tinned-tomatoes", measured.Food.ID)
	if counted.Food != nil {
		require.NotEqual(t, "tinned-tomatoes", counted.Food.ID)
	}
}

func TestAFoodOfTheCooksOwn(t *testing.T) {
	own, err := load(t).With([]larder.Entry{{ID: "smoked-carrot", Name: "smoked carrot", Origin: larder.FromPlant, Density: fig(0.6), Note: "our own"}})
	require.NoError(t, err)
	f := own.Food("smoked-carrot")
	require.Equal(t, larder.Added, f.Own)
	m, ok := own.Index().At(larder.Words("smoked carrots"), 0, false)
	require.True(t, ok)
	require.Equal(t, f, m.Food)

	animal, err := load(t).With([]larder.Entry{{ID: "emu-ham", Name: "emu ham", Origin: larder.FromAnimal, Animal: larder.Poultry}})
	require.NoError(t, err)
	require.Equal(t, "poultry-pieces", animal.Food("emu-ham").Kind, "so that swaps are found")
}

func TestEntriesThatCannotBeTakenSayWhy(t *testing.T) {
	l := load(t)
	for name, c := range map[string]struct {
		entry larder.Entry
		field string
	}{
		"a bad id":             {larder.Entry{ID: "Bad Id"}, "id"},
		"no name":              {larder.Entry{ID: "newcomer"}, "name"},
		"an unknown origin":    {larder.Entry{ID: "carrot", Origin: "moon"}, "origin"},
		"an animal plant":      {larder.Entry{ID: "carrot", Origin: larder.FromPlant, Animal: larder.Meat}, "animal"},
		"an unknown class":     {larder.Entry{ID: "carrot", Origin: larder.FromAnimal, Animal: "dragon"}, "animal"},
		"a heavy millilitre":   {larder.Entry{ID: "carrot", Density: fig(7)}, "density"},
		"a weightless piece":   {larder.Entry{ID: "carrot", Pieces: map[string]float64{"piece": 0}}, "pieces.piece"},
		"an unknown figure":    {larder.Entry{ID: "carrot", Per100: map[string]float64{"luck": 1}}, "per100.luck"},
		"less than nothing":    {larder.Entry{ID: "carrot", Per100: map[string]float64{"fat": -1}}, "per100.fat"},
		"an unknown grade":     {larder.Entry{ID: "carrot", Grade: "posh"}, "grade"},
		"a name without words": {larder.Entry{ID: "carrot", Name: "!!"}, "name"},
	} {
		_, err := l.With([]larder.Entry{c.entry})
		var wrong larder.EntryError
		require.True(t, errors.As(err, &wrong), name)
		require.Equal(t, c.field, wrong.Field, name)
	}
}

func TestAcidsAndSugarsInEquivalents(t *testing.T) {
	require.InDelta(t, 5.866, *load(t).Food("vinegar").Acids.Titratable(), 0.01, "5.5 g of acetic acid neutralise as much as 5.87 g of citric")
	require.Nil(t, load(t).Food("water").Acids.Titratable(), "missing, not zero")
	sugar, milk := load(t).Food("sugar").SucroseEquivalents(), load(t).Food("whole-milk").SucroseEquivalents()
	require.InDelta(t, 100, *sugar, 1)
	require.Less(t, *milk, 1.2, "lactose is a fifth as sweet")
	require.Nil(t, (&larder.Food{}).SucroseEquivalents())
}

func TestAFoodsOwnRowsReplaceWhatItsShelfSays(t *testing.T) {
	l := load(t)
	require.Equal(t, "cupboard", l.Food("onion").Storage.Place, "other vegetables keep in the fridge")
	require.Equal(t, "fridge", l.Food("leek").Storage.Place)
	names := []string{}
	for _, p := range l.Food("chickpeas").Packs {
		names = append(names, p.Name)
	}
	require.ElementsMatch(t, []string{"tin", "bag"}, names)
	require.Equal(t, 750.0, l.Food("salt").Packs[0].Grams)
	require.Len(t, l.Food("salt").Packs, 1, "and not the spice jar of its shelf")
}

func TestFiguresOfAnotherSourceSaySo(t *testing.T) {
	egg := load(t).Food("egg").Per100
	require.Contains(t, egg.Source, "ifct:")
	require.NotNil(t, egg.B12)
	require.NotNil(t, egg.Iodine)
	require.NotEmpty(t, egg.Further)
	require.NotContains(t, egg.Further, "ifct")
}

// A cook says in which kitchens a food is at home; what is no kitchen is refused.
func TestTheCookSaysWhereAFoodIsAtHome(t *testing.T) {
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	kelp := l.Food("kelp")
	require.False(t, l.AtHome(kelp, "African"))
	own, err := l.With([]larder.Entry{{ID: "kelp", Homes: []string{"African"}}})
	require.NoError(t, err)
	require.True(t, own.AtHome(own.Food("kelp"), "African"))
	require.False(t, own.AtHome(own.Food("kelp"), "East Asian"))
	require.False(t, l.AtHome(l.Food("kelp"), "African"), "the shipped larder stays")
	stock := own.SwapNamed("kelp-root-stock")
	require.Equal(t, []string{"African"}, own.HomesOf(stock))
	require.Contains(t, l.HomesOf(l.SwapNamed("kelp-root-stock")), "East Asian")
	require.Empty(t, l.HomesOf(l.SwapNamed("paper-liner")), "it goes everywhere")
	everywhere, err := l.With([]larder.Entry{{ID: "kelp", Homes: []string{}}})
	require.NoError(t, err)
	require.True(t, everywhere.AtHome(everywhere.Food("kelp"), "African"))
	_, err = l.With([]larder.Entry{{ID: "kelp", Homes: []string{"Atlantis"}}})
	require.ErrorContains(t, err, "Atlantis")
}
