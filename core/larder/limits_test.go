package larder

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

func figure(v float64) Figure { return &v }

// sound is a food that nothing is said against; change makes one of it.
func sound(change func(*Food)) *Food {
	f := &Food{ID: "f", Name: "f", Origin: FromPlant, Grade: Whole, Kind: "k", Edible: Edible{Share: 1}, Aliases: []string{}}
	f.Matter.Density, f.Matter.Source = 1, "s"
	f.Storage.Source, f.Storage.Place, f.Storage.OpenedPlace, f.Storage.Sealed, f.Storage.Opened = "s", "fridge", "fridge", 5, 5
	f.Per100.Source = "s"
	f.Per100.Protein, f.Per100.Fat, f.Per100.Carbs, f.Per100.Energy = figure(10), figure(10), figure(10), figure(170)
	change(f)
	return f
}

// Each bound of the check of the larder, on both sides.
func TestTheLarderIsHeldToItsBounds(t *testing.T) {
	for name, x := range map[string]struct {
		change func(*Food)
		says   string
	}{
		"a sound food":              {func(*Food) {}, ""},
		"an origin of its own":      {func(f *Food) { f.Origin = "moon" }, "unknown origin"},
		"a class without an animal": {func(f *Food) { f.Animal = Meat }, "animal class"},
		"mixed, and nothing said":   {func(f *Food) { f.Origin = Mixed }, "says neither"},
		"mixed, and said":           {func(f *Food) { f.Origin, f.Why = Mixed, "w" }, ""},
		"hidden, and nothing said":  {func(f *Food) { f.Hidden = true }, "says neither"},
		"an animal without a kind":  {func(f *Food) { f.Origin, f.Animal, f.Kind = FromAnimal, Meat, "" }, "no kind"},
		"no density, no piece":      {func(f *Food) { f.Matter.Density = 0 }, "neither a density"},
		"the least density":         {func(f *Food) { f.Matter.Density = leastDensity }, ""},
		"below it":                  {func(f *Food) { f.Matter.Density = leastDensity - 0.001 }, "density 0.049"},
		"the most density":          {func(f *Food) { f.Matter.Density = mostDensity }, ""},
		"above it":                  {func(f *Food) { f.Matter.Density = mostDensity + 0.1 }, "density 1.7"},
		"the least of an oil":       {func(f *Food) { f.Aisle, f.Matter.Density = "oils", 0.5 }, ""},
		"below an oil":              {func(f *Food) { f.Aisle, f.Matter.Density = "oils", 0.49 }, "stands out"},
		"the most of an oil":        {func(f *Food) { f.Aisle, f.Matter.Density = "oils", 0.97 }, ""},
		"above an oil":              {func(f *Food) { f.Aisle, f.Matter.Density = "oils", 0.98 }, "stands out"},
		"no dose":                   {func(f *Food) { f.Aromas = []Aroma{{Trait: "smoke", Source: "s"}} }, "dose 0"},
		"the most of a dose":        {func(f *Food) { f.Aromas = []Aroma{{Trait: "smoke", Dose: mostDoseGrams, Source: "s"}} }, ""},
		"more than a dose":          {func(f *Food) { f.Aromas = []Aroma{{Trait: "smoke", Dose: mostDoseGrams + 1, Source: "s"}} }, "dose 1001"},
		"a form from nothing":       {func(f *Food) { f.Forms = map[string]Form{"x": {Name: "x", Yield: 1, Gives: 1, Source: "s"}} }, "base 0"},
		"a form of much": {func(f *Food) {
			f.Forms = map[string]Form{"x": {Name: "x", Base: mostBase, Yield: 1, Gives: 1, Source: "s"}}
		}, ""},
		"a form of too much": {func(f *Food) {
			f.Forms = map[string]Form{"x": {Name: "x", Base: mostBase + 1, Yield: 1, Gives: 1, Source: "s"}}
		}, "base 7"},
		"a form that gives none":  {func(f *Food) { f.Forms = map[string]Form{"x": {Name: "x", Base: 1, Source: "s"}} }, "base 1"},
		"a form that gives some":  {func(f *Food) { f.Forms = map[string]Form{"x": {Name: "x", Base: 1, Gives: 0.5, Source: "s"}} }, ""},
		"a form that gives twice": {func(f *Food) { f.Forms = map[string]Form{"x": {Name: "x", Base: 1, Yield: 1, Gives: 1.1, Source: "s"}} }, "base 1"},
		"a form that shrinks below": {func(f *Food) {
			f.Forms = map[string]Form{"x": {Name: "x", Base: 1, Yield: -1, Gives: 0.5, Source: "s"}}
		}, "yield -1"},
		"sugars that nearly sum": {func(f *Food) { f.Sugars = Sugars{Sucrose: 90, Glucose: 7, Source: "s"} }, ""},
		"sugars that do not":     {func(f *Food) { f.Sugars = Sugars{Sucrose: 90, Glucose: 6.9, Source: "s"} }, "sugars sum"},
		"sugars of five kinds": {func(f *Food) {
			f.Sugars = Sugars{Sucrose: 20, Glucose: 20, Fructose: 20, Maltose: 20, Lactose: 23, Source: "s"}
		}, ""},
		"sugars that are too many": {func(f *Food) {
			f.Sugars = Sugars{Sucrose: 20, Glucose: 20, Fructose: 20, Maltose: 20, Lactose: 24, Source: "s"}
		}, "sugars sum to 104"},
		"no acid at all":          {func(f *Food) { f.Acids = Acids{Source: "s"} }, ""},
		"acid below nothing":      {func(f *Food) { f.Acids = Acids{Citric: figure(-1), Source: "s"} }, "of acid"},
		"acid and nothing else":   {func(f *Food) { f.Acids = Acids{Citric: figure(109.9), Source: "s"} }, ""},
		"more acid than can be":   {func(f *Food) { f.Acids = Acids{Citric: figure(111), Source: "s"} }, "of acid"},
		"heat from nothing":       {func(f *Food) { f.Heat = Heat{Source: "s"} }, ""},
		"heat below nothing":      {func(f *Food) { f.Heat = Heat{Low: -1, Source: "s"} }, "heat -1"},
		"heat that falls":         {func(f *Food) { f.Heat = Heat{Low: 2, High: 1, Source: "s"} }, "heat 2 to 1"},
		"a pack of nothing":       {func(f *Food) { f.Packs = []Pack{{Name: "tin", Source: "s"}} }, "tin of 0 g"},
		"a pack that is all food": {func(f *Food) { f.Packs = []Pack{{Name: "tin", Grams: 400, Drained: figure(400), Source: "s"}} }, ""},
		"a pack that holds more":  {func(f *Food) { f.Packs = []Pack{{Name: "tin", Grams: 400, Drained: figure(401), Source: "s"}} }, "401 g drained"},
		"nothing is eaten":        {func(f *Food) { f.Edible.Share = 0 }, "edible share 0"},
		"more than all is eaten":  {func(f *Food) { f.Edible.Share = 1.01 }, "edible share 1.01"},
		"kept no day":             {func(f *Food) { f.Storage.Sealed, f.Storage.Opened = 0, 0 }, "keeps in"},
		"opened it keeps longer":  {func(f *Food) { f.Storage.Opened = 6 }, "keeps in"},
		"opened beside the tins": {func(f *Food) {
			f.Storage.Sealed, f.Storage.Opened, f.Storage.OpenedPlace = longKept, soonGone, cupboard
		}, "opened it keeps"},
		"opened, and it lasts": {func(f *Food) {
			f.Storage.Sealed, f.Storage.Opened, f.Storage.OpenedPlace = longKept, soonGone+1, cupboard
		}, ""},
		"soon gone anyhow": {func(f *Food) {
			f.Storage.Sealed, f.Storage.Opened, f.Storage.OpenedPlace = longKept-1, soonGone, cupboard
		}, ""},
		"energy nearly that":       {func(f *Food) { f.Per100.Energy = figure(140) }, ""},
		"energy too little":        {func(f *Food) { f.Per100.Energy = figure(139) }, "energy 139"},
		"fibre gives energy":       {func(f *Food) { f.Per100.Fibre, f.Per100.Energy = figure(40), figure(250) }, ""},
		"shares that fill it":      {func(f *Food) { f.Per100.Water = figure(71) }, ""},
		"shares that overfill it":  {func(f *Food) { f.Per100.Water = figure(71.1) }, "shares sum"},
		"fibre is a share":         {func(f *Food) { f.Per100.Fibre, f.Per100.Water, f.Per100.Energy = figure(5), figure(66.1), figure(180) }, "shares sum"},
		"all fat saturated":        {func(f *Food) { f.Per100.Saturated = figure(10) }, ""},
		"more than all fat":        {func(f *Food) { f.Per100.Saturated = figure(10.1) }, "more saturated"},
		"all sugars":               {func(f *Food) { f.Per100.Sugars = figure(10) }, ""},
		"more than all sugars":     {func(f *Food) { f.Per100.Sugars = figure(10.1) }, "more saturated"},
		"figures that are missing": {func(f *Food) { f.Per100.Energy, f.Per100.Saturated = nil, figure(99) }, ""},
		"taken for another":        {func(f *Food) { f.Confusables = []Confusable{{With: "g", Differs: "d", Source: "s"}} }, ""},
		"taken for itself":         {func(f *Food) { f.Confusables = []Confusable{{With: "f", Differs: "d", Source: "s"}} }, "taken for f"},
		"no difference":            {func(f *Food) { f.Confusables = []Confusable{{With: "g", Source: "s"}} }, "taken for g"},
		"a source of its own":      {func(f *Food) { f.Matter.Source = "hearsay" }, "unknown source"},
	} {
		c := checker{larder: &Larder{sources: map[string]string{"s": "s"}}, names: map[string]string{}}
		f := sound(x.change)
		c.food(f)
		said := strings.Join(c.problems, "\n")
		if x.says == "" {
			require.Empty(t, said, name)
		} else {
			require.Contains(t, said, x.says, name)
		}
	}
}

// Sweetness is that of each sugar, and of what sweetens besides.
func TestSweetnessIsThatOfEachSugar(t *testing.T) {
	for name, x := range map[string]struct {
		sugars Sugars
		want   float64
	}{
		"sucrose":  {Sugars{Sucrose: 100, Source: "s"}, 20},
		"glucose":  {Sugars{Glucose: 100, Source: "s"}, 14},
		"fructose": {Sugars{Fructose: 100, Source: "s"}, 24},
		"maltose":  {Sugars{Maltose: 100, Source: "s"}, 8},
		"lactose":  {Sugars{Lactose: 100, Source: "s"}, 4},
		"halves":   {Sugars{Sucrose: 50, Fructose: 50, Source: "s"}, 22},
		"besides":  {Sugars{Sucrose: 100, Other: 3, Source: "s"}, 23},
	} {
		f := Food{Sugars: x.sugars}
		f.Per100.Sugars = figure(20)
		require.InDelta(t, x.want, *f.SucroseEquivalents(), 1e-9, name)
	}
}
