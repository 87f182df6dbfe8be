package method_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/method"
	"yembra/core/recipe"
	"yembra/core/swap"
)

const ragout = "Ragout\nServes 6\n\n600 g beef mince\n150 g bacon, diced\n2 onions, chopped\n800 g tinned tomatoes\n1 tsp salt\n\nMethod\n1. Soften the onions for 8 minutes over a low heat. Add the tomatoes and simmer for 10 minutes.\n2. Brown the beef mince in a second pan. Add the bacon and fry it until crisp.\n3. Stir everything together, season with the salt and bake at 180 C for 25 minutes."

func adapted(t *testing.T, change func(*swap.Decisions)) (recipe.Dish, swap.Adaptation) {
	t.Helper()
	r, _, c := open(t)
	d := r.Read(ragout, measure.Metric)
	dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}, Swaps: map[string]string{
		"components[0].lines[0]": "lentil-walnut-mince", "components[0].lines[1]": "smoked-tofu-lardons",
	}}
	change(&dec)
	a, err := c.Adapt(d, dec, false)
	require.NoError(t, err)
	return d, a
}

func TestTheCooksFiguresAndOrderStand(t *testing.T) {
	_, before := adapted(t, func(*swap.Decisions) {})
	steps := before.Components[0].Steps
	at := slices.IndexFunc(steps, func(s swap.Step) bool { return strings.Contains(s.Text, "180") })
	first := slices.IndexFunc(steps, func(s swap.Step) bool { return strings.Contains(s.Text, "onions") && len(s.From) > 0 })
	hot := 200.0
	_, after := adapted(t, func(dec *swap.Decisions) {
		dec.Figures = map[string]swap.Figures{
			steps[at].Key:    {Minutes: &measure.Span{Low: 35, High: 40}, Celsius: &hot, Cue: "brown at the rim"},
			steps[first].Key: {Cue: "until they collapse."},
		}
		dec.Order = map[string][]string{"0": {steps[at].Key, steps[first].Key}}
	})
	got := after.Components[0].Steps
	baked := got[slices.IndexFunc(got, func(s swap.Step) bool { return s.Key == steps[at].Key })]
	require.Contains(t, baked.Text, "bake at 200 °C for 35 to 40 minutes")
	require.Contains(t, baked.Text, "until brown at the rim")
	require.True(t, baked.Own)
	require.Equal(t, steps[at].Text, baked.Written)
	require.InDelta(t, 200, *baked.Celsius, 0)
	require.Equal(t, steps[at].Key, got[first].Key, "the two have changed places")
	require.Equal(t, steps[first].Key, got[at].Key)
	require.Contains(t, got[at].Text, "until they collapse")
}

func TestStepsCarryHeatKitAndTheCueThatDecides(t *testing.T) {
	_, a := adapted(t, func(*swap.Decisions) {})
	for _, s := range a.Components[0].Steps {
		if s.Prepares != "" {
			require.NotEmpty(t, s.Cue, s.Text)
		}
		if strings.Contains(s.Text, "onions") && len(s.From) > 0 && s.From[0] == 0 {
			require.Equal(t, "low", s.Heat)
			require.Contains(t, s.Kit, "ring")
		}
		if strings.Contains(s.Text, "180") {
			require.Equal(t, "oven", s.Heat)
			require.Contains(t, s.Kit, "oven")
		}
	}
}

func TestAStepOfTwoSwapsIsParted(t *testing.T) {
	_, a := adapted(t, func(*swap.Decisions) {})
	if a.Swaps[0].Swap == a.Swaps[1].Swap {
		t.Fatalf("the two meats got the same swap %s", a.Swaps[0].Swap)
	}
	var parted []swap.Step
	for _, s := range a.Components[0].Steps {
		if slices.Equal(s.From, []int{1}) {
			parted = append(parted, s)
		}
	}
	require.Len(t, parted, 2)
	require.NotEqual(t, parted[0].Key, parted[1].Key)
	require.Subset(t, parted[0].Lines, a.Swaps[0].Lines)
	require.Subset(t, parted[1].Lines, a.Swaps[1].Lines)
}

func TestAGuestWhoEatsTheOriginalGetsASidePot(t *testing.T) {
	_, without := adapted(t, func(*swap.Decisions) {})
	require.Empty(t, without.SidePots)
	_, a := adapted(t, func(dec *swap.Decisions) { dec.SidePot = &swap.SidePot{Guests: 2} })
	require.Len(t, a.SidePots, 1)
	b := a.SidePots[0]
	require.Equal(t, 2.0, b.Guests)
	require.Greater(t, b.Step, 1)
	require.InDelta(t, (800+240)/3.0, b.Sauce, 40, "a third of onions and tomatoes")
	require.Equal(t, "200 g beef mince", strings.ReplaceAll(b.Lines[0], measure.ThinSpace, " "))
	require.Contains(t, b.Core[0], "71 °C")
	require.Contains(t, b.Core[1], "63 °C")
	require.Contains(t, b.Core[1], "3 minutes of rest")
	all := strings.Join(b.Steps, "\n")
	require.Contains(t, all, "Before “"+strings.Join(strings.Fields(a.Components[0].Steps[b.Step-1].Text)[:3], " "))
	require.Contains(t, all, "knife of its own")
	require.Contains(t, all, "Brown the beef mince")
}

func TestPartsLoseNoLineAndNoStep(t *testing.T) {
	_, b, _ := open(t)
	apart := 0
	every(t, func(where string, _ recipe.Dish, a swap.Adaptation) {
		parts := method.Parts(b.Larder(), a)
		steps, grams := 0, map[string]float64{}
		for _, p := range parts {
			for _, l := range p.Lines {
				grams[l.Name+l.Preparation] += l.Mass()
			}
			steps += len(p.Steps)
			for _, s := range p.Steps {
				for _, n := range s.Lines {
					require.Less(t, n, len(p.Lines), where)
				}
			}
		}
		made := map[string]bool{} // what several parts want of one swap is made once
		for _, c := range a.Components {
			for _, l := range c.Lines {
				if l.Change != swap.Dropped {
					grams[l.Name+l.Preparation] -= l.Mass()
				}
			}
			for _, s := range c.Steps {
				if again := s.Prepares + s.Text; s.Change != swap.Dropped && !(s.Prepares != "" && made[again]) {
					made[again] = true
					steps--
				}
			}
		}
		for line, left := range grams {
			require.InDelta(t, 0, left, 1e-6, "%s: %s is lost or added", where, line)
		}
		require.Zero(t, steps, where)
		if len(parts) > len(a.Components) {
			apart++
		}
	})
	require.Positive(t, apart, "no swap of the demo is a component of its own")
}

// What two parts want of one swap is made once, before the first of them, and each says
// which share it takes.
func TestWhatTwoPartsWantIsMadeOnce(t *testing.T) {
	said := cardOf(t, "Pancakes\nServes 4\n\nFilling\n250 g mushrooms\n30 ml fish sauce\n\nDip\n60 ml fish sauce\n45 ml lime juice\n\nMethod\n1. Toss the mushrooms with the fish sauce.\n2. Stir the fish sauce for the dip with the lime juice.",
		map[string]string{line("1"): "seaweed-soy-seasoning", "components[1].lines[0]": "seaweed-soy-seasoning"})
	require.Equal(t, 1, strings.Count(said, "# Seaweed seasoning"), said)
	require.Equal(t, 1, strings.Count(said, "Simmer the soy sauce"), said)
	require.Contains(t, said, "- a third of the seaweed seasoning, from above")
	require.Contains(t, said, "- the rest of the seaweed seasoning, from above")
	require.Less(t, strings.Index(said, "# Seaweed seasoning"), strings.Index(said, "# Filling"))
}

func TestOneMethodOverSeveralListsIsCarriedOver(t *testing.T) {
	r, b, c := open(t)
	d := r.Read("Bird in wine (feeds six)\n\nFor the bird:\n* 1.5kg chicken thighs, bone in\n* 12 small shallots, peeled\n\nFor the pot:\n* a bottle (750ml) red wine\n* 300ml chicken stock\n* 2 bay leaves\n\nHow I do it\nMarinate the chicken in the wine overnight with the bay leaves.\nBrown the chicken, skin side first, for 10 minutes.\nSoften the shallots. Pour in the wine and stock and simmer 45 mins until the meat falls off the bone.", measure.Metric)
	dec, err := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
	require.NoError(t, err)
	dec.SidePot = &swap.SidePot{Guests: 2}
	a, err := c.Adapt(d, dec, false)
	require.NoError(t, err)
	require.Empty(t, a.Unresolved, "the heading of the method is no line")
	var all []string
	for _, comp := range a.Components {
		for _, s := range comp.Steps {
			all = append(all, s.Text)
		}
	}
	text := strings.Join(all, "\n")
	require.NotContains(t, text, "Marinate the vegetable stock", "the chicken is not the stock")
	require.NotContains(t, text, "skin side")
	require.NotContains(t, text, "Add the vegetable stock", "another part pours it in")
	require.Len(t, a.SidePots, 1, "stock is no piece of meat")
}
