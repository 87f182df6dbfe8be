package larder_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/knowledge"
)

// A list shows its kitchen by what only that kitchen has, and a food is at home where its
// taste belongs.
func TestAListShowsItsKitchen(t *testing.T) {
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	of := func(ids ...string) string {
		held := map[string]bool{}
		for _, id := range ids {
			require.NotNil(t, l.Food(id), id)
			held[id] = true
		}
		return l.KitchenOf("Supper", "", held)
	}
	for want, ids := range map[string][]string{
		"Southeast Asian": {"fish-sauce", "lemongrass", "shallot", "lime-juice", "mint"},
		"South Asian":     {"garam-masala", "turmeric", "ghee", "yoghurt", "onion"},
		"East Asian":      {"soy-sauce", "mirin", "daikon", "egg"},
		"Latin American":  {"corn-tortilla", "chipotle", "onion"},
		"European":        {"butter", "bay-leaf", "red-wine", "onion"},
		"":                {"onion", "salt", "plain-flour"},
	} {
		require.Equal(t, want, of(ids...), ids)
	}
	require.Empty(t, of("scotch-bonnet", "okra", "plantain"), "as much of one as of another")
	butter := map[string]bool{"butter": true, "bay-leaf": true, "red-wine": true}
	for _, c := range []struct{ name, country, want string }{
		{"Chicken Machboos", "", "Middle Eastern"},
		{"Beef rendang with rice", "", "Southeast Asian"},
		{"Supper", "392", "East Asian"},
		{"Chicken Machboos", "392", "East Asian"}, // the cook's word counts first
		{"Dolma", "", "European"},                 // several kitchens bear it: what the list shows
		{"Stew", "300", "European"},               // Greece stands between two
		{"Rendangs of old", "", "Southeast Asian"},
		{"Brendang", "", "European"},
	} {
		require.Equal(t, c.want, l.KitchenOf(c.name, c.country, butter), c.name+c.country)
	}
	yeast := l.Food("nutritional-yeast")
	require.True(t, l.AtHome(yeast, "European"))
	require.False(t, l.AtHome(yeast, "East Asian"))
	require.True(t, l.AtHome(yeast, ""), "where nobody knows the kitchen")
	require.True(t, l.AtHome(l.Food("onion"), "East Asian"), "an onion goes everywhere")
}
