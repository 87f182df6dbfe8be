package character

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/larder"
)

// A liquid is what is mostly water, and no vegetable or fruit, however much water is in it.
func TestWhatIsALiquid(t *testing.T) {
	l, err := asShipped()
	require.NoError(t, err)
	for id, want := range map[string]bool{"water": true, "whole-milk": true, "vegetable-stock": true, "cucumber": false, "watermelon": false, "plain-flour": false} {
		require.NotNil(t, l.Food(id), id)
		assert.Equal(t, want, isLiquid(l.Food(id)), id)
	}
	at := &larder.Food{Aisle: "drinks"}
	at.Per100.Water = figure0(liquidWater)
	assert.False(t, isLiquid(at), "at the bound it is none")
	at.Per100.Water = figure0(liquidWater + 0.1)
	assert.True(t, isLiquid(at))
}

func figure0(v float64) *float64 { return &v }

// What has a surface to brown.
func TestWhatBrowns(t *testing.T) {
	l, err := asShipped()
	require.NoError(t, err)
	for id, want := range map[string]bool{
		"pork-shoulder": true, "potato": true, "ginger": true, "parsley": false, "black-pepper": false, "soy-sauce": false, "water": false, "vegetable-oil": false, "sugar": false, "salt": false,
	} {
		require.NotNil(t, l.Food(id), id)
		assert.Equal(t, want, browns(l.Food(id)), id)
	}
	at := &larder.Food{Aisle: "vegetables"}
	at.Per100.Water = figure0(wateryLiquid)
	assert.False(t, browns(at), "at the bound it does not")
	at.Per100.Water = figure0(wateryLiquid - 0.1)
	assert.True(t, browns(at))
}

// What becomes of a line by how long, with what and in what it is worked on.
func TestFatesAtTheirBounds(t *testing.T) {
	for name, c := range map[string]struct {
		text string
		line int
		want string
	}{
		"bones of two hours":           {"Stock\n\n1 kg beef bones\n3 litres water\n\nMethod\n1. Simmer the bones in the water for 120 minutes.", 0, "bones"},
		"bones of less":                {"Stock\n\n1 kg beef bones\n3 litres water\n\nMethod\n1. Simmer the bones in the water for 119 minutes.", 0, "bones-brief"},
		"three are wrung out together": {"Salad\n\n500 g cucumber\n100 g carrot\n1 tsp salt\n\nMethod\n1. Toss the cucumber and carrot with the salt and squeeze out.", 0, "squeezed"},
		"four are not":                 {"Salad\n\n500 g cucumber\n100 g carrot\n1 tsp salt\n50 g radishes\n\nMethod\n1. Toss the cucumber, radishes and carrot with the salt. Press it.", 0, "kept"},
		"what is boiled and drained":   {"Pasta\n\n400 g pasta\n\nMethod\n1. Boil the pasta in salted water for 9 minutes and drain.", 0, "boiled-out"},
		"the water it is boiled in":    {"Pasta\n\n400 g pasta\n2 litres water\n\nMethod\n1. Boil the pasta in the water for 9 minutes and drain.", 1, "cooking-water"},
		"and the salt":                 {"Pasta\n\n400 g pasta\n2 litres water\n1 tbsp salt\n\nMethod\n1. Boil the pasta in the water with the salt for 9 minutes and drain.", 2, "water-salt"},
		"what is not drained":          {"Soup\n\n400 g pasta\n2 litres water\n\nMethod\n1. Boil the pasta in the water for 9 minutes and serve.", 0, "heated"},
	} {
		m := traced(t, c.text)
		got := m.treatments(0)[c.line].Fate.Name
		if c.want == "kept" || c.want == "heated" {
			assert.NotContains(t, []string{"squeezed", "boiled-out", "cooking-water", "water-salt"}, got, name)
			continue
		}
		assert.Equal(t, c.want, got, name)
	}
}

// Colour on a surface grows with the minutes from five to twenty, and is less of what is only with what is named.
func TestColourByMinutes(t *testing.T) {
	brown := func(minutes, line string) float64 {
		return traced(t, "Fry\n\n500 g potatoes\n2 onions\n2 tbsp oil\n\nMethod\n1. "+line+" in the oil for "+minutes+" minutes.").treatments(0)[0].Browned
	}
	ten := brown("10", "Fry the potatoes")
	require.Positive(t, ten)
	assert.InDelta(t, ten*leastBrowning, brown("1", "Fry the potatoes"), 1e-9)
	assert.InDelta(t, ten*0.7, brown("7", "Fry the potatoes"), 1e-9)
	assert.InDelta(t, ten*longestBrowning, brown("60", "Fry the potatoes"), 1e-9)
	mixed := traced(t, "Fry\n\n500 g potatoes\n2 onions\n2 tbsp oil\n\nMethod\n1. Mix the potatoes and onions. Fry it in the oil for 10 minutes.").treatments(0)[0].Browned
	assert.InDelta(t, ten*unnamedShare, mixed, 1e-9)
}

// What an action stirs together, and what leaves its pot.
func TestWhatIsStirred(t *testing.T) {
	for name, c := range map[string]struct {
		text, technique string
		want            bool
	}{
		"two things":              {"X\n\n1 onion\n1 carrot\n\nMethod\n1. Fry the onion and carrot.", "fry", true},
		"one thing":               {"X\n\n1 onion\n1 carrot\n\nMethod\n1. Fry the onion. Serve with the carrot.", "fry", false},
		"one thing and its fat":   {"X\n\n1 onion\n2 tbsp oil\n\nMethod\n1. Fry the onion in the oil.", "fry", false},
		"one thing in a liquid":   {"X\n\n1 onion\n1 litre water\n\nMethod\n1. Simmer the onion in the water.", "simmer", true},
		"things that are grilled": {"X\n\n1 onion\n1 carrot\n\nMethod\n1. Grill the onion and carrot.", "grill", false},
	} {
		m := traced(t, c.text)
		_, n := m.nodeOf(t, c.technique)
		assert.Equal(t, c.want, m.stirs(n), name)
	}
}

// The part that an action changes is that of most of its lines; a pan counts by its width within bounds.
func TestPartsAndPansOfActions(t *testing.T) {
	m := traced(t, "Two\n\nFor the sauce\n200 g tomatoes\n1 onion\n\nFor the pasta\n300 g pasta\n\nMethod\n1. For the sauce, fry the tomatoes and onion.\n2. For the pasta, boil the pasta. Toss the pasta with the tomatoes and onion.")
	_, toss := m.nodeOf(t, "toss")
	assert.Equal(t, 0, m.home(toss), "two of the sauce, one of the pasta")
	_, boil := m.nodeOf(t, "boil")
	assert.Equal(t, 1, m.home(boil))
	for wide, want := range map[string]float64{"11": 0, "12": 12, "60": 60, "61": 0} {
		s := traced(t, "X\n\n1 litre passata\n\nMethod\n1. Simmer the passata in a "+wide+" cm pan for 20 minutes.").shape(0)
		assert.InDelta(t, want, s.Across, 1e-9, wide)
		assert.Positive(t, s.Simmered)
	}
	baked := traced(t, "X\n\n500 g potatoes\n\nMethod\n1. Bake the potatoes for 40 minutes.").shape(0)
	assert.Positive(t, baked.Dried)
	assert.Zero(t, baked.Simmered)
	twice := traced(t, "X\n\n500 g potatoes\n\nMethod\n1. Bake the potatoes for 20 minutes. Bake for 20 minutes.").shape(0)
	assert.InDelta(t, baked.Dried, twice.Dried, 1e-9, "twenty minutes and twenty")
	drained := traced(t, "X\n\n500 g potatoes\n\nMethod\n1. Boil the potatoes in water for 20 minutes. Drain.").shape(0)
	assert.Zero(t, drained.Simmered, "what boils away is poured off in the end")
}

// Savouriness of sums is that of their concentrations in the finished mass.
func TestSavourinessOfSums(t *testing.T) {
	var s Sums
	s[glutamate], s[aspartate], s[imp], s[gmp], s[amp] = 0.4, 0.3, 0.05, 0.02, 0.03
	want := Umami{Glutamate: 0.2, Aspartate: 0.15, IMP: 0.025, GMP: 0.01, AMP: 0.015}.EUC()
	assert.InDelta(t, want, savouryOf(&s, 200), 1e-9)
	assert.Zero(t, savouryOf(&s, 0))
	for _, k := range []quantity{glutamate, aspartate, imp, gmp, amp} {
		less := s
		less[k] = 0
		assert.Less(t, savouryOf(&less, 200), want, "each counts")
	}
}
