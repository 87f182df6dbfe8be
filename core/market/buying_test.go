package market_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/market"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// kept is a dish bought as it is written, with a method of the words given.
func kept(l *larder.Larder, name, method string, lines ...string) market.Dish {
	text := name + "\nServes 4\n\nIngredients\n" + strings.Join(lines, "\n") + "\n\nMethod\n1. " + method
	r := flow.NewReader(l).Read(text, measure.Metric)
	d := market.Dish{Name: name}
	for _, c := range r.Components {
		part := swap.Component{Name: c.Name}
		for _, line := range c.Lines {
			part.Lines = append(part.Lines, swap.Line{Line: line, Change: swap.Kept})
		}
		for _, step := range c.Steps {
			part.Steps = append(part.Steps, swap.Step{Step: step})
		}
		d.Parts = append(d.Parts, part)
	}
	return d
}

// shown is an amount with plain spaces.
func shown(text string) string { return strings.ReplaceAll(text, measure.ThinSpace, " ") }

// pack is what a dish leaves on the list of one food: packs, what they hold together in grams
// less what is needed, and the words.
func TestHowMuchIsBought(t *testing.T) {
	l := open(t)
	for _, x := range []struct {
		line, key string
		have      float64
		packs     float64
		left      float64
		shown     string
	}{
		{"400 g tinned tomatoes", "tinned-tomatoes", 0, 1, 0, "1 tin of 400 g"},
		{"408 g tinned tomatoes", "tinned-tomatoes", 0, 1, 0, "1 tin of 400 g"}, // a pack stretches by a fiftieth
		{"409 g tinned tomatoes", "tinned-tomatoes", 0, 2, 391, "2 tins of 400 g"},
		{"409 g tinned tomatoes", "tinned-tomatoes", 9, 1, 0, "1 tin of 400 g"},
		{"409 g tinned tomatoes", "tinned-tomatoes", 409, 0, 0, "in the house"},
		{"409 g tinned tomatoes", "tinned-tomatoes", 1000, 0, 0, "in the house"},
		{"150 g tinned tomatoes", "tinned-tomatoes", 0, 1, 250, "1 tin of 400 g"}, // no part of a tin is sold
		{"30 g tomato paste", "tomato-paste", 0, 1, 170, "1 tube of 200 g"},
		{"120 g tinned young jackfruit", "jackfruit-young", 0, 1, 105, "1 tin of 400 g"}, // 225 g without its brine
		{"240 g tinned chickpeas", "chickpeas tinned", 0, 1, 0, "1 tin of 400 g"},
		{"500 g dried chickpeas", "chickpeas", 0, 1, 0, "1 bag of 500 g"},
		{"200 g dried chickpeas", "chickpeas", 0, 1, 300, "1 bag of 500 g"},
		{"280 g firm tofu", "firm-tofu", 0, 1, 0, "1 block of 350 g"},
		{"500 g silken tofu", "silken-tofu", 0, 2, 100, "2 cartons of 300 g"},
		{"100 g sweetcorn kernels", "sweetcorn", 0, 1, 160, "1 tin of 325 g"}, // without the cob it has none
		{"4 ears of corn", "sweetcorn", 0, 0, 0, "4 (670 g)"},                 // 400 g of kernels with their cobs
		{"540 g carrots", "carrot", 0, 1, 1000 - 540/0.88, "1 bag of 1 kg"},
		{"520 g carrots", "carrot", 0, 0, 0, "8 (590 g)"}, // under six tenths of the bag
		{"180 g leeks", "leek", 0, 0, 0, "1 (330 g)"},
		{"30 g leeks", "leek", 0, 0, 0, "55 g"}, // less than half of one is weighed
		{"1 garlic clove", "garlic", 0, 0, 0, "5 g"},
		{"150 g tinned mushrooms", "tinned-mushroom", 0, 1, 20, "1 tin of 290 g"},
		{"4 celery sticks", "celery", 0, 0, 0, ""},
	} {
		got := item(t, market.Of(l, []market.Dish{kept(l, "Pot", "Cook it.", x.line)}, map[string]float64{x.key: x.have}), x.key)
		require.InDelta(t, x.packs, got.Packs, 0, x.line)
		require.InDelta(t, x.left, got.Left, 0.5, x.line)
		if x.shown != "" {
			require.Equal(t, x.shown, shown(got.Shown), x.line)
		}
		require.InDelta(t, min(x.have, got.Bought), got.Have, 1e-9, x.line)
		price := l.Price(l.Food(got.Food)) / 1000
		cost := max(got.Bought-x.have, 0) * price
		if got.Packs > 0 {
			cost = got.Packs * got.PackGrams * price
		}
		require.InDelta(t, cost, got.Cost, 1e-9, x.line)
	}
}

// What is sold closed is bought closed, whatever the food and however little of it is needed.
func TestNobodySellsAPartOfATin(t *testing.T) {
	l := open(t)
	closed := []string{"tin", "can", "jar", "bottle", "carton", "tube", "tub"}
	tried := 0
	for _, f := range l.Foods() {
		if len(f.Packs) == 0 || !slices.Contains(closed, f.Packs[0].Name) || f.Aisle == "pulses" {
			continue
		}
		id, grams := f.ID, measure.Exactly(5)
		line := recipe.Line{Text: "5 g " + f.Name, Name: f.Name, Food: &id, Grams: &grams}
		if _, squeezed := l.FromWhole(f); squeezed {
			continue
		}
		d := market.Dish{Name: "Pot", Parts: []swap.Component{{Lines: []swap.Line{{Line: line, Change: swap.Kept}}}}}
		got := item(t, market.Of(l, []market.Dish{d}, nil), f.ID)
		require.InDelta(t, 1, got.Packs, 0, f.ID)
		require.Equal(t, f.Packs[0].Name, got.PackName, f.ID)
		tried++
	}
	require.Greater(t, tried, 100)
}

// Names that say how a thing is sold are sold so.
func TestTinnedThingsComeInTinsAndDriedOnesKeep(t *testing.T) {
	for _, f := range open(t).Foods() {
		if f.Origin == larder.FromAnimal || len(f.Packs) == 0 {
			continue
		}
		if strings.HasPrefix(f.Name, "tinned ") {
			require.Contains(t, []string{"tin", "jar"}, f.Packs[0].Name, f.ID)
			require.Greater(t, f.Storage.Sealed, 300.0, f.ID)
		}
		if strings.HasPrefix(f.Name, "dried ") || strings.HasSuffix(f.Name, " powder") {
			require.NotEqual(t, "punnet", f.Packs[0].Name, f.ID)
			require.GreaterOrEqual(t, f.Storage.Sealed, 180.0, f.ID)
		}
	}
}

// The rest of a tin never stands in the cupboard.
func TestOpenedTinsAreKeptCold(t *testing.T) {
	tried := 0
	for _, f := range open(t).Foods() {
		for _, p := range f.Packs {
			if p.Name == "tin" {
				cold := f.Storage.OpenedPlace != "cupboard" && f.Storage.Opened <= 7 || larder.Or(p.Opened, 99) <= 7
				require.True(t, cold, f.ID)
				tried++
			}
		}
	}
	require.Greater(t, tried, 10)
}

func TestTheListIsWalkedAsTheShopIs(t *testing.T) {
	l := open(t)
	d := kept(l, "Pot", "Cook it.", "1 tsp ground cumin", "2 tbsp olive oil", "200 g dried pasta", "400 g carrots", "1 lemon", "a little moon dust", "300 g oyster mushrooms", "300 g firm tofu", "10 g parsley", "a few mint leaves", "salt", "200 g walnuts", "2 onions")
	var order []string
	for _, it := range market.Of(l, []market.Dish{d}, nil).Items {
		order = append(order, it.Name)
	}
	last := len(order) - 1
	require.Equal(t, []string{"carrot", "onion", "lemon", "mint", "parsley", "oyster mushroom", "dried pasta", "firm tofu", "walnut", "cumin", "salt", "olive oil"}, order[:last])
	require.Contains(t, order[last], "moon dust", "what nobody knows comes last")
}

func TestWhatIsNotWeighedIsSaid(t *testing.T) {
	l := open(t)
	list := market.Of(l, []market.Dish{kept(l, "Pot", "Cook it.", "salt", "400 g carrots", "a little moon dust")}, nil)
	require.True(t, item(t, list, "salt").Unknown)
	require.Equal(t, "a little", item(t, list, "salt").Shown)
	require.False(t, item(t, list, "carrot").Unknown)
	for _, it := range list.Items {
		if it.Food == "" {
			require.Equal(t, "as the recipe says", it.Shown)
			require.Zero(t, it.Cost)
		}
	}
}

func TestWhatAnotherPartMakesIsNotBought(t *testing.T) {
	l := open(t)
	from := "l1"
	line := func(text string, from *string) swap.Line {
		return swap.Line{Line: recipe.Line{Text: text, Name: strings.TrimPrefix(text, "the ")}, From: from, Change: swap.Kept}
	}
	d := market.Dish{Name: "Pot", Parts: []swap.Component{{Lines: []swap.Line{
		line("the cashew cream", &from), line("the star dust", nil), line("moon dust", &from),
	}}}}
	var names []string
	for _, it := range market.Of(l, []market.Dish{d}, nil).Items {
		names = append(names, it.Name)
	}
	require.Equal(t, []string{"moon dust", "star dust"}, names)
}

func TestSoakedThingsAreBoughtDry(t *testing.T) {
	l := open(t)
	id, grams := "dried-shiitake", measure.Exactly(100)
	line := recipe.Line{Text: "100 g soaked shiitake", Name: "dried shiitake", Food: &id, Form: "soaked", Grams: &grams}
	d := market.Dish{Name: "Pot", Parts: []swap.Component{{Lines: []swap.Line{{Line: line, Change: swap.Kept}}}}}
	list := market.Of(l, []market.Dish{d}, nil)
	got := item(t, list, id)
	require.InDelta(t, 100, got.Needed, 1e-9)
	require.InDelta(t, 20, got.Bought, 1e-9, "a fifth of it before the water")
	require.Contains(t, strings.Join(list.Spare, "\n"), "soaking water of the dried shiitake (Pot)")
}

func TestOnlyTheNextOfItsOwnSwapStandsIn(t *testing.T) {
	l := open(t)
	d := dish(t, l, "Stew\nServes 4\n\n600 g beef shin, cubed\n200 ml double cream\n300 g carrots\n2 tbsp vegetable oil\n\nMethod\n1. Brown the beef in the oil, add the carrots and cover with water. Simmer for 2 hours.\n2. Stir in the cream.")
	require.Len(t, d.Chosen, 2)
	list := market.Of(l, []market.Dish{d, d}, nil)
	told := 0
	for _, c := range d.Chosen {
		book := l.SwapNamed(c.Swap)
		main := l.MainFood(book)
		require.NotNil(t, main)
		var next []string
		for _, id := range book.Next {
			next = append(next, l.SwapNamed(id).Name)
		}
		for _, it := range list.Items {
			if it.Food == main.ID {
				require.ElementsMatch(t, next, it.Substitutes, "%s, and each once for two dishes", c.Swap)
				told++
			}
		}
	}
	require.Equal(t, 2, told)
	require.Empty(t, item(t, list, "carrot").Substitutes)
}

func TestJuiceInTheHouseIsUsedBeforeALemonIsBought(t *testing.T) {
	l := open(t)
	from, ok := l.FromWhole(l.Food("lemon-juice"))
	require.True(t, ok)
	d := func(grams float64) []market.Dish {
		id, span := "lemon-juice", measure.Exactly(grams)
		return []market.Dish{{Name: "Pot", Parts: []swap.Component{{Lines: []swap.Line{{Line: recipe.Line{Name: "lemon juice", Food: &id, Grams: &span}, Change: swap.Kept}}}}}}
	}
	for _, x := range []struct{ pieces, have, lemons float64 }{
		{2, 0, 2}, {2.01, 0, 2}, {2.5, 0, 3}, {2.5, 0.5, 2}, {2.5, 2, 1}, {0.3, 0, 1}, {0.01, 0, 1},
	} {
		list := market.Of(l, d(x.pieces*from.Grams), map[string]float64{"lemon-juice": x.have * from.Grams})
		lemon := item(t, list, "lemon")
		one := l.Food("lemon").Matter.Pieces["medium"].Mid()
		require.InDelta(t, x.lemons*one, lemon.Bought*l.Food("lemon").Edible.Share, 1e-6, "%v", x)
	}
	list := market.Of(l, d(2*from.Grams), map[string]float64{"lemon-juice": 2 * from.Grams})
	require.Equal(t, "in the house", item(t, list, "lemon-juice").Shown)
}

func TestWhatIsSaidOfARest(t *testing.T) {
	l := open(t)
	use := func(lines ...string) string {
		list := market.Of(l, []market.Dish{kept(l, "Pot", "Cook it.", lines[0]), kept(l, "Pan", "Cook it.", lines[1:]...)}, nil)
		for _, it := range list.Items {
			if it.Packs > 0 {
				return shown(it.LeftUse)
			}
		}
		return ""
	}
	for _, x := range []struct{ a, b, want string }{
		{"340 g tinned tomatoes", "300 g leeks", "60 g left; could go into Pot; keeps about 3 days opened (fridge)"}, // the least that is worth a word
		{"341 g tinned tomatoes", "300 g leeks", ""},
		{"200 g tinned tomatoes", "100 g tinned tomatoes", "100 g left; could go into Pot; keeps about 3 days opened (fridge)"},
		{"195 g tinned tomatoes", "100 g tinned tomatoes", "105 g left; keeps about 3 days opened (fridge)"},
		{"90 g tinned tomatoes", "250 g tinned tomatoes", "60 g left; could go into Pan; keeps about 3 days opened (fridge)"},
		{"600 g carrots", "10 g salt", "320 g left; keeps about 21 days whole (fridge)"},
		{"130 g tinned chickpeas", "300 g leeks", "110 g left; keeps about 3 days opened (fridge)"}, // dry ones keep a year
		{"200 g dried chickpeas", "300 g leeks", "300 g left; keeps about 365 days opened (cupboard)"},
		{"100 g olives", "300 g leeks", "60 g left; keeps about 30 days opened (fridge)"},
	} {
		require.Equal(t, x.want, use(x.a, x.b), x.a)
	}
}

func TestPeelsGoWhereAStockIs(t *testing.T) {
	l := open(t)
	spare := func(dishes ...market.Dish) string { return shown(strings.Join(market.Of(l, dishes, nil).Spare, "\n")) }
	require.Equal(t, "Peel and top of the carrot (about 40 g): washed, simmer them for a stock and freeze it.",
		spare(kept(l, "Pan", "Fry it.", "294 g carrots")))
	require.Empty(t, spare(kept(l, "Pan", "Fry it.", "285 g carrots")), "too little for a word")
	require.Empty(t, spare(kept(l, "Pan", "Fry it.", "1 kg courgettes", "1 kg beetroot")), "not for a stock")
	require.Equal(t, "Peel and top of the carrot (about 55 g): washed, they can go into the pot of Pot.",
		spare(kept(l, "Pan", "Fry it.", "400 g carrots"), kept(l, "First", "Simmer the leeks in water to a broth and serve.", "10 g leeks"), kept(l, "Pot", "Simmer the leeks in water for an hour. Strain the broth.", "10 g leeks"), kept(l, "Third", "Simmer the leeks in water for an hour. Strain the stock.", "10 g leeks")))
	require.Equal(t, "The cooking water of the potato (Pan) thickens a soup or a dough.", spare(kept(l, "Pan", "Boil them.", "100 g potatoes")))
	require.Empty(t, spare(kept(l, "Pan", "Stir it in.", "20 g potato starch")), "nothing is boiled for starch")
	require.Contains(t, spare(kept(l, "Pan", "Soak them.", "20 g dried porcini, soaked")), "soaking water of the dried porcini (Pan)")
	require.Contains(t, spare(kept(l, "Pan", "Boil them.", "200 g dried chickpeas")), "chickpeas thickens and whips")
	require.Empty(t, spare(kept(l, "Pan", "Warm them.", "240 g tinned chickpeas")))
}
