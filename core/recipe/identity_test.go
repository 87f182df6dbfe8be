package recipe_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
)

func stewAndCrust() recipe.Dish {
	return recipe.Dish{Components: []recipe.Component{
		{Lines: []recipe.Line{{Name: "beef"}, {Name: "onion"}}, Steps: []recipe.Step{{Text: "Fry."}}},
		{Name: "Crust", Lines: []recipe.Line{{Name: "egg"}}},
	}}
}

func TestNamesLast(t *testing.T) {
	d := stewAndCrust()
	last := d.Identify(0)
	require.Equal(t, 6, last)
	require.Equal(t, last, d.Identify(last), "what has a name keeps it")

	stew := &d.Components[0]
	beef, onion := stew.Lines[0].ID, stew.Lines[1].ID
	stew.Lines = []recipe.Line{{Name: "lard"}, stew.Lines[1], stew.Lines[0]}
	require.Equal(t, 7, d.Identify(last))
	require.Equal(t, "l7", stew.Lines[0].ID, "what is new gets a number of its own")
	names := d.Names()
	at, there := names.Place(beef)
	require.True(t, there)
	require.Equal(t, "components[0].lines[2]", at)
	id, _ := names.ID("components[0].lines[1]")
	require.Equal(t, onion, id)
	_, there = names.Place("l99")
	require.False(t, there)
}

func TestACopyGetsANameOfItsOwn(t *testing.T) {
	d := stewAndCrust()
	last := d.Identify(0)
	lines := d.Components[0].Lines
	d.Components[1].Lines = append(d.Components[1].Lines, lines[0])
	d.Components[0].Steps[0].ID = "s999" // never given out
	require.Equal(t, last+2, d.Identify(last))
	require.Equal(t, "l2", lines[0].ID)
	require.Equal(t, "l8", d.Components[1].Lines[1].ID)
	require.Equal(t, "s7", d.Components[0].Steps[0].ID)
}
