package larder

import (
	"slices"
	"strconv"
	"strings"
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/knowledge"
)

var loaded = sync.OnceValues(func() (*Larder, error) { return Load(knowledge.Shipped()) })

func whole(t *testing.T) *Larder {
	t.Helper()
	l, err := loaded()
	require.NoError(t, err)
	return l
}

// A figure without a source is marked as an estimate, and none that has one is.
func TestEveryEstimateIsMarked(t *testing.T) {
	l, seen := whole(t), map[string][2]int{}
	mark := func(what, where, source string, estimate bool) {
		require.Equal(t, source == Estimate, estimate, "%s of %s", what, where)
		n := seen[what]
		if estimate {
			n[0]++
		} else if source != "" {
			n[1]++
		}
		seen[what] = n
	}
	for _, f := range l.Foods() {
		mark("acids", f.ID, f.Acids.Source, f.Acids.Estimate)
		mark("sugars", f.ID, f.Sugars.Source, f.Sugars.Estimate)
		mark("heat", f.ID, f.Heat.Source, f.Heat.Estimate)
		mark("taste", f.ID, f.Taste.Source, f.Taste.Estimate)
		mark("share", f.ID, f.Edible.Source, f.Edible.Estimate)
		for _, x := range f.Forms {
			mark("form", f.ID, x.Source, x.Estimate)
		}
		for _, x := range f.Aromas {
			mark("aroma", f.ID, x.Source, x.Estimate)
		}
		for _, x := range f.Roles {
			mark("role", f.ID, x.Source, x.Estimate)
		}
		for _, x := range f.Packs {
			mark("pack", f.ID, x.Source, x.Estimate)
		}
		if w, ok := l.FromWhole(f); ok {
			mark("whole", f.ID, w.Source, w.Estimate)
		}
	}
	for _, what := range []string{"acids", "sugars", "taste", "form", "aroma", "role", "share"} {
		require.Greater(t, seen[what][0]+seen[what][1], 5, what)
	}
}

// What tastes savoury is told in milligrams and held in grams.
func TestTasteIsHeldInGrams(t *testing.T) {
	l := whole(t)
	rows, err := knowledge.Shipped().Table("taste.csv")
	require.NoError(t, err)
	for _, row := range rows[1:] {
		f := l.Food(row[slices.Index(rows[0], "food")])
		for name, held := range map[string]float64{"glutamate": f.Taste.Glutamate, "aspartate": f.Taste.Aspartate, "imp": f.Taste.IMP, "gmp": f.Taste.GMP, "amp": f.Taste.AMP} {
			said := row[slices.Index(rows[0], name)]
			if said == "" {
				said = "0"
			}
			mg, err := strconv.ParseFloat(said, 64)
			require.NoError(t, err)
			require.InDelta(t, mg/1000, held, 1e-12, "%s of %s", name, f.ID)
		}
	}
}

// A selector picks foods by the one thing it names, and by nothing else.
func TestASelectorPicksByWhatItNames(t *testing.T) {
	f := &Food{ID: "leek", Aisle: "vegetables", Kind: "allium", Grade: Whole, Allergen: []string{"celery"}, Tags: []string{"potherb"}}
	for by, names := range map[string][2]string{
		"tag": {"potherb", "leek"}, "aisle": {"vegetables", "allium"}, "kind": {"allium", "vegetables"}, "allergen": {"celery", "gluten"}, "grade": {"whole", "plain"}, "food": {"leek", "allium"},
	} {
		require.True(t, Selector{by: by, name: names[0]}.selects(f), by)
		require.False(t, Selector{by: by, name: names[1]}.selects(f), by)
		require.True(t, Selects([]Selector{{by: by, name: names[1]}, {by: by, name: names[0]}}, f), by)
	}
	require.False(t, Selects(nil, f))
}

// The gravest cautions come first, and among equals the order of the table stays.
func TestGraveCautionsComeFirst(t *testing.T) {
	l := whole(t)
	var told []Caution
	require.NoError(t, knowledge.Shipped().Decode("cautions.yaml", &told))
	want := []string{}
	for _, grave := range []bool{true, false} {
		for _, c := range told {
			if c.Grave == grave {
				want = append(want, c.ID)
			}
		}
	}
	got := []string{}
	for _, c := range l.Cautions() {
		got = append(got, c.ID)
	}
	require.Equal(t, want, got)
	require.True(t, l.Cautions()[0].Grave)
	require.False(t, l.Cautions()[len(got)-1].Grave)
}

// What a text claims to leave out is found wherever it is said.
func TestClaimsAreFound(t *testing.T) {
	l := whole(t)
	for text, want := range map[string]string{
		"Without almonds, and pale.":       "almond",
		"Pale; made without any milk":      "milk",
		"Mild. Free of it, without onion":  "onion",
		"Almonds give it body.":            "",
		"Almonds without haste":            "",
		"Body without a lump":              "",
		"Leave the almonds: without water": "",
	} {
		require.Equal(t, want, l.claims(text), text)
	}
}

// Rules of what a kitchen weighs move losses within their bounds.
func TestWhatAKitchenWeighsIsBounded(t *testing.T) {
	f := &Food{Forms: map[string]Form{"pressed": {Base: 1.25}, "raw": {Base: 1}, "cooked": {Base: 0.5}}}
	require.InDelta(t, 1/(1-0.4), f.losing([]string{"pressed"}, 2).Forms["pressed"].Base, 1e-9)
	require.InDelta(t, 1/(1-mostLost), f.losing([]string{"pressed"}, 9).Forms["pressed"].Base, 1e-9)
	require.Equal(t, 1.0, f.losing([]string{"raw", "cooked", "gone"}, 2).Forms["raw"].Base)
	require.Equal(t, 0.5, f.losing([]string{"cooked"}, 2).Forms["cooked"].Base)
	require.Equal(t, 1.25, f.Forms["pressed"].Base, "the book stays as it is")
	for name, x := range map[string]struct {
		low, high Figure
		share     float64
		spread    float64
		says      string
	}{
		"a band": {figure(60), figure(70), 0.2, 0.1, ""}, "from below": {nil, figure(70), 0, 0.1, ""}, "from above": {figure(60), nil, 0.99, 0.1, ""},
		"no band": {nil, nil, 0.2, 0.1, "no temperature"}, "an empty band": {figure(60), figure(60), 0.2, 0.1, "no temperature"},
		"all is lost": {figure(60), figure(70), 1, 0.1, "cannot be"}, "less than nothing": {figure(60), figure(70), -0.1, 0.1, "cannot be"}, "sure": {figure(60), figure(70), 0.2, 0, "cannot be"},
	} {
		c := checker{larder: &Larder{sources: map[string]string{"s": "s"}, bands: []*Band{{ID: "b", Low: x.low, High: x.high, Say: "s", Caution: "c", Source: "s"}}, losses: []*Loss{{ID: "l", Share: x.share, Spread: x.spread, Source: "s"}}}}
		c.watched()
		if x.says == "" {
			require.Empty(t, c.problems, name)
		} else {
			require.Len(t, c.problems, 1, name)
			require.Contains(t, c.problems[0], x.says, name)
		}
	}
}

// What stands in for whatever holds an allergen stands in for plants alone: the nuts of a sauce of cheese are the least of it.
func TestWhatStandsForAnAllergenStandsForPlants(t *testing.T) {
	l := whole(t)
	for _, s := range l.Swaps() {
		if !slices.ContainsFunc(s.Serves, func(what string) bool { return strings.HasPrefix(what, "holds:") }) {
			continue
		}
		served := 0
		for _, f := range l.Foods() {
			if s.ServesFood(f.Kind, f) && !slices.Contains(s.Serves, f.Kind) && !slices.Contains(s.Serves, "food:"+f.ID) {
				served++
				require.NotContains(t, []Origin{FromAnimal, Mixed}, f.Origin, "%s for %s", s.ID, f.ID)
			}
		}
		require.NotZero(t, served, s.ID)
	}
}
