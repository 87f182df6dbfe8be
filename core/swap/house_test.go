package swap_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/character"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/demo"
)

func TestEverySwitchKeepsWhatItTurnsOffOutOfEveryDish(t *testing.T) {
	k := open(t)
	all, err := demo.Recipes()
	require.NoError(t, err)
	for _, off := range swap.SwitchesOf(k.book.Larder()) {
		h := house(swap.WholeFood, off.ID)
		rules, err := swap.NewRules(k.book.Larder(), h)
		require.NoError(t, err)
		for _, r := range all {
			d := k.reader.Read(r.Text, measure.Metric)
			dec, err := k.book.Propose(d, swap.Decisions{HouseRules: h, Pins: r.Pins}, swap.Closest)
			require.NoError(t, err)
			a, err := k.book.Apply(d, dec, false)
			require.NoError(t, err)
			for _, c := range a.Components {
				for _, l := range c.Lines {
					if f := k.book.Larder().Food(l.FoodID()); f != nil && l.Change != swap.Dropped {
						require.Empty(t, rules.Breaks(f), "%s without %s: %s", r.Key, off.ID, l.Text)
					}
				}
			}
			for _, o := range a.Unresolved {
				require.Contains(t, o.Why, "no ", "%s without %s: an open line says which rule leaves nothing", r.Key, off.ID)
			}
		}
	}
}

func TestSixPresetsSayWhatTheyAre(t *testing.T) {
	presets := swap.PresetsOf(open(t).book.Larder())
	require.Len(t, presets, 6)
	for _, p := range presets {
		require.NotEmpty(t, p.Name)
		require.Contains(t, p.Hard, "no animal matter", p.ID)
		require.NotEmpty(t, p.Soft, p.ID)
	}
}

func TestPlantLinesFollowTheRulesToo(t *testing.T) {
	k := open(t)
	read := func(line, method string) recipe.Dish {
		return k.reader.Read("Dish\nServes 4\n\n"+line+"\n300 g potatoes\n\nMethod\n1. "+method, measure.Metric)
	}
	for _, c := range []struct{ line, method, off, preset, want string }{
		{"100 g sugar", "Boil the potatoes with the sugar.", "added-sugar", swap.WholeFood, "sugar"},
		{"2 tbsp olive oil", "Fry the potatoes in the oil.", "", "whole-food-no-oil", "oil"},
		{"1 litre sunflower oil", "Deep-fry the potatoes in the oil.", "deep-frying", swap.WholeFood, "deep"},
		{"2 onions", "Boil the potatoes with the onions.", "", "no-onion-garlic", "onion"},
		{"1 red onion, sliced", "Boil the potatoes. Scatter with the red onion.", "raw-onion", swap.WholeFood, "raw"},
		{"200 g basmati rice", "Boil the potatoes and the rice.", "", "fasting-day", "grain"},
		{"200 g dried chickpeas", "Boil the potatoes with the chickpeas.", "", "fasting-day", "pulse"},
		{"2 tbsp soy sauce", "Boil the potatoes with the soy sauce.", "soy", swap.WholeFood, "soy"},
		{"150 ml red wine", "Boil the potatoes in the red wine.", "alcohol", swap.WholeFood, "wine"},
		{"60 g flaked almonds", "Boil the potatoes. Scatter with the almonds.", "tree-nuts", swap.WholeFood, "nuts"},
		{"300 g button mushrooms", "Fry the mushrooms. Boil the potatoes.", "mushrooms", swap.WholeFood, "mushrooms"},
		{"200 g plain flour", "Knead the flour with water. Boil the potatoes.", "gluten", swap.WholeFood, "flour"},
		{"1 tsp salt", "Boil the potatoes with the salt.", "", "fasting-day", "salt"},
	} {
		h := house(c.preset)
		if c.off != "" {
			h = house(c.preset, c.off)
		}
		d := read(c.line, c.method)
		dec, err := k.book.Propose(d, swap.Decisions{HouseRules: h}, swap.Closest)
		require.NoError(t, err)
		require.NotEmpty(t, dec.Swaps["components[0].lines[0]"], "%s under %s %s", c.line, c.preset, c.off)
		a, err := k.book.Apply(d, dec, false)
		require.NoError(t, err)
		require.Empty(t, a.Unresolved)
	}
	// The same lines stay where no rule speaks against them.
	d := read("1 red onion, sliced", "Boil the potatoes. Scatter with the red onion.")
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood)}, swap.Closest)
	require.NoError(t, err)
	require.Empty(t, dec.Swaps)
}

func TestTheSaltLimitOfTheHouseIsKept(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Ragout\nServes 4\n\n500 g beef mince\n400 g tinned tomatoes\n1 tbsp salt\n\nMethod\n1. Brown the mince for 10 minutes, add the tomatoes and salt and simmer for 20 minutes.", measure.Metric)
	h := house(swap.WholeFood)
	h.SaltPerServing = 1.5
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: h}, swap.Closest)
	require.NoError(t, err)
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	salt := 0.0
	for _, c := range a.Components {
		for _, l := range c.Lines {
			if f := k.book.Larder().Food(l.FoodID()); f != nil && l.Change != swap.Dropped {
				salt += l.Mass() * f.FormNamed(l.Form).Base * f.Per100.Salt() / 100
			}
		}
	}
	require.LessOrEqual(t, salt/4, 1.5*1.05)
	i := slices.IndexFunc(a.Traits, func(x character.Thread) bool { return x.Trait == character.Salt })
	require.Equal(t, character.Wanted, a.Traits[i].Verdict)
}

func TestAMildTableWantsLessHeat(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Chilli\nServes 4\n\n400 g merguez\n400 g tinned tomatoes\n1 tsp salt\n\nMethod\n1. Fry the merguez for 10 minutes, add the tomatoes and salt and simmer for 20 minutes.", measure.Metric)
	h := house(swap.WholeFood)
	h.Mild = true
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: h}, swap.Closest)
	require.NoError(t, err)
	for _, b := range dec.Boosters {
		require.NotContains(t, k.book.Larder().BoosterNamed(b.Food).Traits[:1], character.Heat)
	}
}

func TestHardRulesHold(t *testing.T) {
	k := open(t)
	d := k.demo(t, "cullen-skink")
	for _, c := range []struct {
		off      string
		allergen string
	}{{"soy", "soy"}, {"tree-nuts", "nuts"}, {"gluten", "gluten"}, {"sesame", "sesame"}} {
		dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house(swap.WholeFood, c.off)}, swap.Closest)
		require.NoError(t, err)
		a, err := k.book.Apply(d, dec, false)
		require.NoError(t, err)
		for _, comp := range a.Components {
			for _, l := range comp.Lines {
				if f := k.book.Larder().Food(l.FoodID()); f != nil {
					require.NotContains(t, f.Allergen, c.allergen, "%s without %s", l.Text, c.off)
				}
			}
		}
	}
	ranked, rejected, err := k.book.Rank(d, swap.Decisions{HouseRules: house(swap.WholeFood, "soy")}, "components[0].lines[0]")
	require.NoError(t, err)
	require.NotEmpty(t, ranked)
	require.Contains(t, rejected, swap.Rejected{Swap: "smoked-tofu-flakes", Rule: "no soy: holds smoked tofu"})
}

func TestOilIsSwappedUnderNoOil(t *testing.T) {
	k := open(t)
	d := k.demo(t, "bobotie")
	dec, err := k.book.Propose(d, swap.Decisions{HouseRules: house("whole-food-no-oil")}, swap.Closest)
	require.NoError(t, err)
	a, err := k.book.Apply(d, dec, false)
	require.NoError(t, err)
	for _, c := range a.Components {
		for _, l := range c.Lines {
			if f := k.book.Larder().Food(l.FoodID()); f != nil {
				require.NotEqual(t, "oil", f.Kind, l.Text)
			}
		}
	}
	i := slices.IndexFunc(a.Traits, func(x character.Thread) bool { return x.Trait == character.Richness })
	require.Equal(t, character.Wanted, a.Traits[i].Verdict, "less fat is what the rules want")
}

func TestRulesRefuseWhatTheyDoNotKnow(t *testing.T) {
	k := open(t)
	for field, rules := range map[string]swap.HouseRules{
		"houseRules.preset":         {Preset: "carnivore"},
		"houseRules.off[1]":         {Off: []string{"soy", "water"}},
		"houseRules.saltPerServing": {SaltPerServing: -1},
	} {
		_, err := swap.NewRules(k.book.Larder(), rules)
		var f swap.FieldError
		require.ErrorAs(t, err, &f)
		require.Equal(t, field, f.Field)
	}
}
