package balance_test

import (
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/balance"
	"yembra/core/character"
	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/swap"
	"yembra/demo"
	"yembra/knowledge"
)

// shipped is the larder as it ships, loaded once for all tests.
var shipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })

func open(t testing.TB) (*larder.Larder, *flow.Reader) {
	t.Helper()
	l, err := shipped()
	require.NoError(t, err)
	return l, flow.NewReader(l)
}

func dish(l *larder.Larder, r *flow.Reader, text string) character.Dish {
	return character.Of(l, r.Read("Dish\nServes 2\n\n"+text, measure.Metric), nil)
}

func nutrient(t *testing.T, s balance.Sheet, name string) balance.Nutrient {
	t.Helper()
	for _, n := range s.Nutrients {
		if n.Name == name {
			return n
		}
	}
	t.Fatalf("no nutrient %q", name)
	return balance.Nutrient{}
}

func TestFiguresFollowFromAmounts(t *testing.T) {
	l, r := open(t)
	s := balance.Of(l, dish(l, r, "100 g butter\n900 g water\n\nMethod\n1. Stir."), dish(l, r, "100 g olive oil\n10 g salt\n890 g water\n\nMethod\n1. Stir."))
	butter, oil := l.Food("butter").Per100, l.Food("olive-oil").Per100
	energy := nutrient(t, s, "energy")
	require.InDelta(t, *butter.Energy/2, energy.Original, 1e-6, "100 g between two")
	require.InDelta(t, *oil.Energy/2, energy.Adapted, 1e-6)
	require.InDelta(t, 2000, energy.Reference, 1e-9)
	require.Contains(t, energy.ReferenceSource, "1169/2011")
	require.InDelta(t, *butter.Energy/10, energy.Per100.Original, 1e-6, "100 g in a kilogram")
	require.Equal(t, []string{"milk"}, s.Allergens.Gone)
	require.Empty(t, s.Allergens.Come)
	for _, a := range s.Accounts {
		switch a.Name {
		case "mass":
			require.InDelta(t, 1000, a.Original, 0.01)
			require.InDelta(t, 1000, a.Adapted, 0.01)
		case "salt":
			require.InDelta(t, 10*38.76*2.54/100, a.Adapted-l.Food("olive-oil").Per100.Salt(), 0.05)
			require.Equal(t, "components[0].lines[1]", a.To[0].Line)
		}
	}
	for _, g := range s.Grades {
		if g.Grade == larder.Refined {
			require.InDelta(t, 100.0/110, g.Mass.Adapted, 0.1, "oil is refined, water does not count")
		}
	}
	require.InDelta(t, 0.1*l.Price(l.Food("butter"))/2, s.Cost.Original, 1e-6)
}

// Accounts name the lines that carry most, with their shares; cooked weights are priced and
// graded by what was bought for them.
func TestSharesAndPricesFollowFromTheLines(t *testing.T) {
	l, r := open(t)
	d := dish(l, r, "30 g salt\n10 g salt\n300 g cooked brown lentils\n60 g olive oil\n1 kg water\n\nMethod\n1. Stir.")
	s := balance.Of(l, d, d)
	for _, a := range s.Accounts {
		if a.Name == "salt" {
			require.Equal(t, []string{"components[0].lines[0]", "components[0].lines[1]"}, []string{a.To[0].Line, a.To[1].Line})
			require.InDelta(t, 3, a.To[0].Share/a.To[1].Share, 0.01)
			require.InDelta(t, 40, a.Original, 0.6)
			require.InDelta(t, a.Original, a.Adapted, 1e-9)
		}
	}
	lentils := &d.Parts[0].Items[2]
	require.Less(t, lentils.Form.Base, 0.6, "a third of cooked weight is bought dry")
	bought := map[string]float64{}
	cost, mass, energy := 0.0, 0.0, 0.0
	for _, it := range d.Parts[0].Items {
		if it.Food.ID == "water" {
			continue
		}
		g := it.Grams * it.Form.Base
		bought[it.Food.ID] += g
		cost += g / 1000 * l.Price(it.Food)
		mass += g
		energy += g * larder.Or(it.Food.Per100.Energy, 0) / 100
	}
	require.InDelta(t, cost/2, s.Cost.Original, 1e-9)
	for _, g := range s.Grades {
		if g.Grade == larder.Refined {
			require.InDelta(t, bought["olive-oil"]/mass, g.Mass.Original, 1e-6)
			require.InDelta(t, bought["olive-oil"]**l.Food("olive-oil").Per100.Energy/100/energy, g.Energy.Original, 1e-6)
		}
	}
	// Nobody sees a share where there is nothing.
	empty := balance.Of(l, dish(l, r, "1 kg water\n\nMethod\n1. Boil."), d)
	for _, n := range empty.Nutrients {
		require.Zero(t, n.Original, n.Name)
		require.Zero(t, n.Known.Original, n.Name)
	}
}

func TestWhatIsMissingIsSaidAndNeverZero(t *testing.T) {
	l, r := open(t)
	s := balance.Of(l, dish(l, r, "100 g butter\n\nMethod\n1. Stir."), dish(l, r, "100 g lapsang souchong\n100 g olive oil\n\nMethod\n1. Stir."))
	for _, n := range s.Nutrients {
		require.GreaterOrEqual(t, n.Known.Adapted, 0.0)
		require.LessOrEqual(t, n.Known.Adapted, 1.0+1e-9)
	}
	vitaminD := nutrient(t, s, "vitaminD")
	require.Less(t, vitaminD.Known.Adapted, 1.0, "what nobody measured is not counted as known")
}

func TestWarningsComeWithARemedyInAmounts(t *testing.T) {
	l, r := open(t)
	dry := dish(l, r, "800 g beef mince\n100 g breadcrumbs\n8 g salt\n\nMethod\n1. Mix.")
	wet := dish(l, r, "800 g silken tofu\n100 g breadcrumbs\n16 g salt\n\nMethod\n1. Mix.")
	s := balance.Of(l, dry, wet)
	byAccount := map[string]balance.Warning{}
	for _, w := range s.Warnings {
		byAccount[w.Account] = w
		require.Regexp(t, `\d`, w.Text+w.Remedy)
	}
	require.Regexp(t, `wetter.*%`, byAccount["water"].Text)
	require.Regexp(t, `\d+ minutes longer uncovered, until .* \d+ g of ground oats`, byAccount["water"].Remedy)
	require.Contains(t, byAccount["salt"].Text, "Saltier")
	require.Contains(t, byAccount["fat"].Text, "Leaner")
	require.Empty(t, balance.Of(l, dry, dry).Warnings, "a dish is in balance with itself")
}

// What a day should not pass is counted a serving, also of what is only steeped, and
// said with its source and what brings it.
func TestMoreThanADayShouldTakeInIsSaid(t *testing.T) {
	l, r := open(t)
	pot := func(line, step string) balance.Sheet {
		plain := dish(l, r, "500 g potatoes\n1 litre water\n\nMethod\n1. Boil the potatoes in the water.")
		return balance.Of(l, plain, dish(l, r, line+"\n500 g potatoes\n1 litre water\n\nMethod\n1. "+step+" Boil the potatoes in the water."))
	}
	over := func(s balance.Sheet) []string {
		var out []string
		for _, w := range s.Warnings {
			if w.Account == "iodine" {
				out = append(out, w.Text+" "+w.Remedy)
			}
		}
		return out
	}
	for _, c := range []struct {
		line, step string
		said       bool
	}{
		{"10 g kelp", "Warm the kelp in the water and lift it out.", true},
		{"500 ml kombu dashi", "Pour in the kombu dashi.", true},
		{"0.3 g kelp", "Stir in the kelp.", false},
		{"3 g nori", "Crumble in the nori.", false},
	} {
		s := pot(c.line, c.step)
		iodine := nutrient(t, s, "iodine")
		require.Equal(t, 600.0, iodine.Most)
		require.Contains(t, iodine.MostSource, "600")
		require.Equal(t, c.said, len(over(s)) == 1, "%s: %.0f µg", c.line, iodine.Adapted)
		require.Equal(t, c.said, iodine.Adapted > iodine.Most, c.line)
	}
	require.Contains(t, over(pot("10 g kelp", "Stir in the kelp."))[0], "Most comes from kelp")

	// What is steeped and lifted out leaves the share that dissolves, and no fibre.
	steeped := dish(l, r, "10 g kelp\n1 litre water\n\nMethod\n1. Stir the kelp into the water.")
	kelp := &steeped.Parts[0].Items[0]
	kelp.Form = kelp.Food.FormNamed("steeped")
	require.Zero(t, kelp.Form.Yield)
	s := balance.Of(l, steeped, steeped)
	require.InDelta(t, 10*kelp.Form.Gives**kelp.Food.Per100.Iodine/100/2, nutrient(t, s, "iodine").Adapted, 1e-6)
	require.Zero(t, nutrient(t, s, "fibre").Adapted)
	require.Len(t, over(s), 1)
}

func TestEveryDishOfTheClubBalances(t *testing.T) {
	l, r := open(t)
	b := swap.NewBook(l)
	all, err := demo.Recipes()
	require.NoError(t, err)
	for _, x := range all {
		d := r.Read(x.Text, measure.Metric)
		dec, err := b.Propose(d, swap.Decisions{Pins: x.Pins}, swap.Closest)
		require.NoError(t, err)
		original, adapted, _, err := b.Dishes(d, dec)
		require.NoError(t, err)
		s := balance.Of(l, original, adapted)
		energy := nutrient(t, s, "energy")
		require.Greater(t, energy.Original, 100.0, x.Key)
		require.Greater(t, energy.Adapted, 80.0, x.Key)
		require.Less(t, energy.Adapted, 1600.0, x.Key)
		require.Greater(t, nutrient(t, s, "fibre").Adapted, nutrient(t, s, "fibre").Original*0.9, x.Key)
		for _, gone := range []string{"milk", "egg", "fish", "crustaceans"} {
			require.NotContains(t, s.Allergens.Come, gone, x.Key)
			require.NotContains(t, s.Allergens.Both, gone, x.Key)
		}
		mass := 0.0
		for _, g := range s.Grades {
			mass += g.Mass.Adapted
		}
		require.InDelta(t, 1, mass, 1e-6, x.Key)
		for _, w := range s.Warnings {
			require.NotEmpty(t, w.Remedy, x.Key)
		}
	}
}

func BenchmarkBalance(b *testing.B) {
	l, r := open(b)
	d := character.Of(l, r.Read("Dish\nServes 2\n\n500 g beef mince\n200 g onions\n400 g tinned tomatoes\n10 g salt\n\nMethod\n1. Simmer for 40 minutes.", measure.Metric), nil)
	for b.Loop() {
		balance.Of(l, d, d)
	}
}
