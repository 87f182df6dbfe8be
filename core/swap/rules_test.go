package swap_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/swap"
)

// fourteen are the allergens that a diner can name, by the switch for each.
var fourteen = map[string]string{
	"gluten": "gluten", "crustaceans": "crustaceans", "egg": "egg", "fish": "fish", "peanuts": "peanut", "soy": "soy", "milk": "milk",
	"nuts": "tree-nuts", "celery": "celery", "mustard": "mustard", "sesame": "sesame", "sulphites": "sulphites", "lupin": "lupin", "molluscs": "molluscs",
}

// Whatever any of a food's names reads as, no switch lets its allergen through: as a
// line of its own, and in every swap that it is a part of.
func TestNoSwitchLetsItsAllergenThrough(t *testing.T) {
	k := open(t)
	l := k.book.Larder()
	for allergen, id := range fourteen {
		s := l.Switch(id)
		require.NotNil(t, s, id)
		require.Equal(t, s, l.SwitchFor(allergen), "a diner can name it")
		rules, err := swap.NewRules(l, house("like-for-like", id))
		require.NoError(t, err)
		names := 0
		for _, f := range l.Foods() {
			for _, name := range append([]string{f.Name}, f.Aliases...) {
				m, ok := l.Index().At(larder.Words(name), 0, false)
				if !ok || !slices.Contains(m.Food.Allergen, allergen) {
					continue
				}
				names++
				assert.NotEmpty(t, rules.Breaks(m.Food), "%s: %q is %s", id, name, m.Food.ID)
			}
		}
		assert.Positive(t, names, "%s bars something", id)
		for _, sw := range l.Swaps() {
			if slices.ContainsFunc(sw.Formula, func(p larder.Part) bool { return slices.Contains(l.Food(p.Food).Allergen, allergen) }) {
				assert.NotEmpty(t, rules.BreaksSwap(sw), "%s: %s", id, sw.ID)
			}
		}
	}
}

// Every rule on foods bars what it is named for, and spares what is next to it.
func TestRulesBarAndSpare(t *testing.T) {
	l := open(t).book.Larder()
	for _, c := range []struct {
		preset, off   string
		barred, spare []string
	}{
		{"like-for-like", "alcohol", []string{"red-wine", "vodka", "anise-spirit", "sparkling-wine", "mirin", "liqueur", "stout"}, []string{"red-wine-vinegar", "vanilla", "grape"}},
		{"like-for-like", "added-sugar", []string{"sugar", "maple-syrup", "jam", "cola", "dark-chocolate"}, []string{"date", "cocoa", "sweetener-stevia"}},
		{"like-for-like", "mushrooms", []string{"button-mushroom", "dried-shiitake", "mushroom-stock", "mushroom-ketchup"}, []string{"aubergine", "nutritional-yeast"}},
		{"no-onion-garlic", "", []string{"onion", "garlic", "leek", "chive", "wild-garlic", "onion-salt", "vegetable-stock", "harissa", "kimchi"}, []string{"asafoetida", "celery", "fennel"}},
		{"like-for-like", "onion-garlic", []string{"shallot", "garlic-powder"}, []string{"asafoetida"}},
		{"fasting-day", "", []string{"white-rice", "bread", "chickpeas", "firm-tofu", "salt", "soy-sauce", "green-pea"}, []string{"buckwheat-groat", "amaranth", "rock-salt", "potato", "tapioca-pearl"}},
		{"whole-food-no-oil", "", []string{"olive-oil", "margarine", "vegan-butter"}, []string{"tahini", "coconut-milk", "avocado"}},
		{"whole-food", "", []string{"plant-mince", "vegan-sausage"}, []string{"firm-tofu", "seitan"}},
	} {
		var off []string
		if c.off != "" {
			off = []string{c.off}
		}
		rules, err := swap.NewRules(l, house(c.preset, off...))
		require.NoError(t, err)
		for _, id := range c.barred {
			if assert.NotNil(t, l.Food(id), id) {
				assert.NotEmpty(t, rules.Breaks(l.Food(id)), "%s %s lets %s through", c.preset, c.off, id)
			}
		}
		for _, id := range c.spare {
			if f := l.Food(id); f != nil {
				assert.Empty(t, rules.Breaks(f), "%s %s bars %s", c.preset, c.off, id)
			}
		}
	}
}

// Kit that is not there is in no swap that a proposal may choose, by whatever name.
func TestKitThatIsNotThereIsNotAskedFor(t *testing.T) {
	l := open(t).book.Larder()
	tried := 0
	for id, kit := range map[string]string{"oven": "oven", "pressure-cooker": "pressure cooker", "deep-frying": "deep-fryer"} {
		rules, err := swap.NewRules(l, house("like-for-like", id))
		require.NoError(t, err)
		for _, s := range l.Swaps() {
			if slices.ContainsFunc(s.Prepare, func(p larder.Preparation) bool { return slices.Contains(p.Kit, kit) }) {
				tried++
				assert.NotEmpty(t, rules.BreaksSwap(s), "%s under %s", s.ID, id)
			}
		}
	}
	require.Positive(t, tried)
	rules, err := swap.NewRules(l, house("whole-food", "oven", "pressure-cooker", "deep-frying"))
	require.NoError(t, err)
	require.Equal(t, "no oven", rules.BreaksWay("bake", "oven"))
	require.Equal(t, "no pressure cooker", rules.BreaksWay("pressure-cook", "high"))
	require.Equal(t, "no deep-frying", rules.BreaksWay("deep-fry", "high"))
	require.Empty(t, rules.BreaksWay("fry", "medium"))
}

// A food that the cook has added is held to the rules by what its names give away.
func TestACooksOwnFoodObeysTheRules(t *testing.T) {
	l, err := open(t).book.Larder().With([]larder.Entry{
		{ID: "pink-pickle", Name: "pink pickled shallots", Origin: larder.FromPlant},
		{ID: "aunts-relish", Name: "relish", Aliases: []string{"sesame and soy sauce relish"}, Origin: larder.FromPlant},
		{ID: "harbour-loaf", Name: "harbour loaf", Origin: larder.FromPlant, Allergens: []string{"lupin"}},
	})
	require.NoError(t, err)
	for off, id := range map[string]string{"onion-garlic": "pink-pickle", "soy": "aunts-relish", "sesame": "aunts-relish", "lupin": "harbour-loaf"} {
		rules, err := swap.NewRules(l, house("whole-food", off))
		require.NoError(t, err)
		require.NotEmpty(t, rules.Breaks(l.Food(id)), "%s lets %s through", off, id)
	}
	require.Contains(t, l.Food("pink-pickle").Tags, "raw-allium")
	rules, err := swap.NewRules(l, house("whole-food", "gluten"))
	require.NoError(t, err)
	require.Empty(t, rules.Breaks(l.Food("harbour-loaf")), "what the cook says of it counts")
}

// The cook's own onion in a dish is a line to decide where the rules bar it.
func TestAnOwnOnionIsDecided(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Pot\nServes 4\n\n2 onions, sliced\n3 cloves garlic\n600 g potatoes\n\nMethod\n1. Fry the onions and garlic for 10 minutes. Add the potatoes and boil for 20 minutes.", measure.Metric)
	rules, err := swap.NewRules(k.book.Larder(), house("whole-food", "onion-garlic"))
	require.NoError(t, err)
	slots := k.book.Slots(d, rules, swap.Decisions{})
	require.Len(t, slots, 2)
	for _, s := range slots {
		require.Equal(t, "no onion or garlic", s.Rule)
	}
}
