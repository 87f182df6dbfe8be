package market_test

import (
	"fmt"
	"slices"
	"strings"
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/market"
	"yembra/core/measure"
	"yembra/core/method"
	"yembra/core/swap"
	"yembra/demo"
	"yembra/knowledge"
)

// shipped is the larder as it ships, loaded once for all tests.
var shipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })

func dish(t testing.TB, l *larder.Larder, text string) market.Dish {
	t.Helper()
	r, b := flow.NewReader(l), swap.NewBook(l)
	d := r.Read(text, measure.Metric)
	dec, err := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
	require.NoError(t, err)
	a, err := method.NewCarrier(b, r).Adapt(d, dec, false)
	require.NoError(t, err)
	return market.Dish{Name: d.Name, Parts: method.Parts(l, a), Chosen: a.Swaps}
}

func open(t testing.TB) *larder.Larder {
	t.Helper()
	l, err := shipped()
	require.NoError(t, err)
	return l
}

func item(t *testing.T, list market.List, key string) market.Item {
	t.Helper()
	at := slices.IndexFunc(list.Items, func(i market.Item) bool { return i.Key == key })
	require.GreaterOrEqual(t, at, 0, "%s is not on the list", key)
	return list.Items[at]
}

const (
	soup = "Soup\nServes 4\n\n300 g onions, sliced\n1 litre water\n500 g tinned tomatoes\n250 g dried chickpeas\n2 tsp salt\n\nMethod\n1. Soften the onions, add everything and simmer for an hour. Strain the broth."
	tart = "Tart\nServes 4\n\n270 g onions, sliced\n200 g firm tofu\n\nMethod\n1. Bake all for 30 minutes."
)

func TestTheListSumsBuysWholeAndLeavesOutWhatIsThere(t *testing.T) {
	l := open(t)
	dishes := []market.Dish{dish(t, l, soup), dish(t, l, tart)}
	list := market.Of(l, dishes, map[string]float64{"salt": 500})
	onion := item(t, list, "onion")
	require.InDelta(t, 570, onion.Needed, 1e-6)
	require.Greater(t, onion.Bought, 600.0, "with the skin")
	require.Len(t, onion.Uses, 2)
	tomatoes := item(t, list, "tinned-tomatoes")
	require.InDelta(t, 2, tomatoes.Packs, 0)
	require.InDelta(t, 300, tomatoes.Left, 1e-6)
	require.Contains(t, tomatoes.LeftUse, "left")
	require.Contains(t, tomatoes.LeftUse, "days opened")
	require.Equal(t, "in the house", item(t, list, "salt").Shown)
	require.False(t, slices.ContainsFunc(list.Items, func(i market.Item) bool { return i.Food == "water" }))
	require.Contains(t, strings.Join(list.Spare, "\n"), "pot of Soup")
	require.Contains(t, strings.Join(list.Spare, "\n"), "chickpeas")
	total := 0.0
	for _, i := range list.Items {
		total += i.Cost
	}
	require.InDelta(t, total, list.Cost, 1e-9)
	require.Positive(t, list.Cost)
}

func TestNothingOfTheDemoIsForgottenOrFromAnAnimal(t *testing.T) {
	l := open(t)
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	substitutes := 0
	for _, x := range recipes {
		d := dish(t, l, x.Text)
		list := market.Of(l, []market.Dish{d}, nil)
		for _, p := range d.Parts {
			for _, line := range p.Lines {
				if f := l.Food(line.FoodID()); f != nil && f.ID != "water" {
					bought := f.ID
					if from, ok := l.FromWhole(f); ok {
						bought = from.Whole.ID
					}
					require.True(t, slices.ContainsFunc(list.Items, func(i market.Item) bool { return i.Food == bought }), "%s: %s", x.Key, line.Text)
				}
			}
		}
		for _, i := range list.Items {
			substitutes += len(i.Substitutes)
			require.NotEmpty(t, i.Shown, i.Key)
			require.GreaterOrEqual(t, i.Left, 0.0, i.Key)
			if f := l.Food(i.Food); f != nil {
				require.NotEqual(t, larder.FromAnimal, f.Origin, i.Key)
			}
			if i.Packs > 0 {
				require.Less(t, i.Left, i.PackGrams+1, "%s: one pack less would do", i.Key)
			}
		}
		require.True(t, slices.IsSortedFunc(list.Items, func(a, b market.Item) int {
			if a.Aisle == b.Aisle {
				return strings.Compare(a.Name, b.Name)
			}
			return 0
		}))
	}
	require.Greater(t, substitutes, 10, "fallback chains are named")
}

func ExampleOf() {
	l, _ := larder.Load(knowledge.Shipped())
	d := flow.NewReader(l).Read("Stew\nServes 2\n\n300 g tinned tomatoes\n\nMethod\n1. Simmer.", measure.Metric)
	part := swap.Component{}
	for _, line := range d.Components[0].Lines {
		part.Lines = append(part.Lines, swap.Line{Line: line, Change: swap.Kept})
	}
	list := market.Of(l, []market.Dish{{Name: "Stew", Parts: []swap.Component{part}}}, nil)
	fmt.Println(list.Items[0].Name, strings.ReplaceAll(list.Items[0].Shown, measure.ThinSpace, " "))
	// Output: tinned tomatoes 1 tin of 400 g
}

func TestJuiceAndZestAreBoughtAsTheFruit(t *testing.T) {
	l := open(t)
	a := dish(t, l, "Relish\nServes 4\n\n100 ml lemon juice\n400 g carrots\n\nMethod\n1. Grate the carrots and stir in the lemon juice.")
	b := dish(t, l, "Cake\nServes 4\n\n12 g lemon zest\n1 lemon, sliced\n200 g plain flour\n\nMethod\n1. Mix the flour with the lemon zest and lay the lemon on top.")
	list := market.Of(l, []market.Dish{a, b}, nil)
	lemon := item(t, list, "lemon")
	require.Contains(t, lemon.Shown, "4 (", "three give juice, two of them zest first, and one is sliced")
	require.Len(t, lemon.Uses, 3)
	for _, it := range list.Items {
		require.NotEqual(t, "lemon-juice", it.Food)
		require.NotEqual(t, "lemon-zest", it.Food)
	}
	list = market.Of(l, []market.Dish{a}, map[string]float64{"lemon-juice": 200})
	require.Equal(t, "in the house", item(t, list, "lemon-juice").Shown)
}
