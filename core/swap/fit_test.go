package swap_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// chosen proposes for a recipe and tells the swap of each line.
func (k kitchen) chosen(t *testing.T, text string) (map[string]string, swap.Decisions) {
	t.Helper()
	d := k.reader.Read(text, measure.Metric)
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood)}, swap.Closest)
	require.NoError(t, err)
	return dec.Swaps, dec
}

const first = "components[0].lines[0]"

func TestWhatIsRightComesBeforeWhatIsPossible(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Lift\n\n4 egg whites\n100 g sugar\n\nMethod\n1. Whisk the whites to stiff peaks and fold in the sugar. Bake for 20 minutes.", measure.Metric)
	list, _, err := k.book.Rank(d, swap.Decisions{HouseRules: house(swap.WholeFood)}, first)
	require.NoError(t, err)
	seen := false
	for _, c := range list {
		seen = seen || c.Fit == swap.Possible
		require.False(t, seen && c.Fit == swap.Right, "%s is right and stands below what is possible", c.Swap.ID)
	}
	require.Equal(t, swap.Right, list[0].Fit)
}

func TestAStandInHasWhatALineIsKnownBy(t *testing.T) {
	k := open(t)
	for _, c := range []struct{ text, trait string }{
		{"Soup\nServes 4\n\n200 ml soured cream\n1 kg beetroot\n1 litre water\n\nMethod\n1. Boil the beetroot in the water for 40 minutes.\n2. Serve with the soured cream.", "sour"},
		{"Pot\nServes 4\n\n150 g smoked bacon\n500 g potatoes\n1 litre water\n\nMethod\n1. Fry the bacon for 5 minutes.\n2. Add the potatoes and water and simmer for 20 minutes.", "smoke"},
	} {
		swaps, dec := k.chosen(t, c.text)
		a, err := k.book.Apply(k.reader.Read(c.text, measure.Metric), dec, true)
		require.NoError(t, err)
		found := false
		for _, tr := range a.Traits {
			if tr.Trait == c.trait {
				found = true
				require.Greater(t, tr.Steps, -2.5, "%s: %v", c.trait, swaps)
			}
		}
		require.True(t, found, c.trait)
	}
}

// Nothing of the stock pot comes into a dessert.
func TestDessertsStaySweet(t *testing.T) {
	k := open(t)
	for _, text := range []string{
		"Cake\nServes 8\n\n200 g butter\n4 eggs\n200 g sugar\n200 g flour\n2 tsp baking powder\n\nMethod\n1. Beat the butter with the sugar, beat in the eggs, fold in the flour and baking powder and bake at 180 C for 30 minutes.",
		"Set cream\nServes 6\n\n500 ml cream\n4 egg yolks\n90 g sugar\n\nMethod\n1. Whisk the yolks with the sugar, stir in the cream and bake at 150 C for 40 minutes until set.",
		"Ices\nServes 4\n\n500 g vanilla ice cream\n200 g raspberries\n\nMethod\n1. Serve the ice cream with the raspberries.",
	} {
		d := k.reader.Read(text, measure.Metric)
		_, dec := k.chosen(t, text)
		a, err := k.book.Apply(d, dec, false)
		require.NoError(t, err)
		require.Empty(t, a.Unresolved)
		for _, l := range a.Components[0].Lines {
			if f := k.book.Larder().Food(l.FoodID()); f != nil {
				require.False(t, f.Tagged("savoury"), "%s: %s", d.Name, l.Text)
			}
		}
	}
}

func TestAtMostTwoBoostersWithoutAPin(t *testing.T) {
	k := open(t)
	for _, key := range []string{"feijoada", "goulash", "cullen-skink", "rendang"} {
		dec, err := k.book.Propose(k.demo(t, key), swap.Decisions{HouseRules: house(swap.WholeFood)}, swap.Closest)
		require.NoError(t, err)
		require.LessOrEqual(t, len(dec.Boosters), 2, key)
	}
}

// Neither the best answer nor any single swap put into a dish of the sea brings more
// iodine to a serving than a day should take in.
func TestProposalsKeepTheDaysLimits(t *testing.T) {
	k := open(t)
	l := k.book.Larder()
	require.NotEmpty(t, l.Limited())
	require.LessOrEqual(t, len(l.Limited()), 6)
	serving := func(d recipe.Dish, dec swap.Decisions, nutrient string) float64 {
		_, adapted, _, err := k.book.Dishes(d, dec)
		require.NoError(t, err)
		total := 0.0
		for _, p := range adapted.Parts {
			for _, it := range p.Items {
				total += it.Eaten(nutrient == "iodine") * larder.Or(it.Food.Per100.Named(nutrient), 0) / 100
			}
		}
		return total / adapted.Servings
	}
	for _, text := range []string{
		"Soup\nServes 4\n\n1.2 litres fish stock\n600 g cod fillet\n200 g prawns\n2 tbsp fish sauce\n\nMethod\n1. Simmer the cod and prawns in the stock for 5 minutes. Season with the fish sauce.",
		"Pickle\nServes 2\n\n200 g smoked herring\n20 g bonito flakes\n300 ml water\n\nMethod\n1. Warm the flakes in the water, strain and pour over the herring.",
	} {
		d := k.reader.Read(text, measure.Metric)
		for _, aim := range swap.Aims {
			dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood)}, aim)
			require.NoError(t, err)
			for _, n := range l.Limited() {
				require.LessOrEqual(t, serving(d, dec, n.Nutrient), n.Most, "%s, %s: %s of %v", d.Name, aim, n.Nutrient, dec.Swaps)
			}
		}
		rules, err := swap.NewRules(l, house("like-for-like"))
		require.NoError(t, err)
		for _, s := range k.book.Slots(d, rules, swap.Decisions{}) {
			list, _, err := k.book.Rank(d, swap.Decisions{HouseRules: house("like-for-like")}, s.Ref)
			require.NoError(t, err)
			for _, c := range list {
				one := swap.Decisions{HouseRules: house("like-for-like"), Swaps: map[string]string{s.Ref: c.Swap.ID}}
				require.LessOrEqual(t, serving(d, one, "iodine"), 650.0, "%s for %s", c.Swap.ID, s.Ref)
			}
		}
	}
}

func TestBoneIsNotReplaced(t *testing.T) {
	k := open(t)
	grams := func(line string) float64 {
		d := k.reader.Read("Mussels\nServes 4\n\n"+line+"\n200 ml white wine\n\nMethod\n1. Steam the mussels in the wine for 5 minutes.", measure.Metric)
		dec := swap.Decisions{HouseRules: house(swap.WholeFood), Swaps: map[string]string{first: "king-oyster-scallop"}}
		a, err := k.book.Apply(d, dec, false)
		require.NoError(t, err)
		require.Len(t, a.Swaps, 1)
		return a.Components[0].Lines[0].Mass()
	}
	require.InDelta(t, grams("500 g shelled mussels"), grams("2 kg mussels"), 1)
}

// What does the same work is taken though something leaner would only hold the
// place: flour is cooked in fat, and fish is fried in fat.
func TestFatThatCooksStaysFat(t *testing.T) {
	k := open(t)
	for name, text := range map[string]string{
		"roux":  "Sauce\nServes 4\n\n60 g butter\n60 g plain flour\n700 ml soy drink\n2 tbsp olive oil\n1 onion\n\nMethod\n1. Soften the onion in the oil. Melt the butter, stir in the flour for 2 minutes, whisk in the soy drink and simmer until it coats the spoon.",
		"crust": "Slabs\nServes 4\n\n60 g butter\n600 g firm tofu\n60 g plain flour\n\nMethod\n1. Dredge the tofu in the flour and fry in the butter for 3 minutes a side.",
	} {
		d := k.reader.Read(text, measure.Metric)
		swaps, dec := k.chosen(t, text)
		a, err := k.book.Apply(d, dec, false)
		require.NoError(t, err)
		stand := a.Components[0].Lines[0]
		food := k.book.Larder().Food(stand.FoodID())
		require.NotNil(t, food, "%s: %v", name, swaps)
		require.Contains(t, []string{"oil", "butter"}, food.Kind, "%s: %s", name, stand.Text)
	}
}
