package balance

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/character"
)

// A cook hears of an account from its bound on and not before it, with how much mends it.
func TestWarningsBeginAtTheirBounds(t *testing.T) {
	one := character.Dish{Servings: 4, Parts: []character.Part{{}}}
	same := character.Profile{Parts: []character.PartProfile{{Mass: 1000, Water: 0.6}}}
	for _, c := range []struct {
		account      string
		was, is      float64
		text, remedy string
	}{
		{"mass", 1000, 1201, "The dish weighs 1,201 g instead of 1,000 g.", "amounts of the swaps"},
		{"mass", 1000, 1200, "", ""},
		{"mass", 1000, 799, "The dish weighs 799 g instead of 1,000 g.", "more or less beside it"},
		{"mass", 1000, 800, "", ""},
		{"salt", 10, 11.6, "Saltier by 1.6 g.", "Leave out 1.6 g of salt"},
		{"salt", 10, 11.4, "", ""},
		{"salt", 2, 2.5, "", ""},
		{"salt", 2, 2.6, "Saltier by 0.6 g.", "Leave out 0.6 g"},
		{"salt", 10, 8.4, "Less salty by 1.6 g.", "Add up to 1.6 g at the end"},
		{"salt", 10, 8.6, "", ""},
		{"salt", 2, 1.5, "", ""},
		{"salt", 0, 9, "", ""},
		{"fat", 100, 64, "Leaner by 36 g of fat.", "about 70 g of ground nuts"},
		{"fat", 100, 66, "", ""},
		{"fat", 40, 25, "", ""},
		{"fat", 40, 24, "Leaner by 16 g of fat.", "about 30 g of ground nuts"},
		{"fat", 100, 140, "", ""},
		{"thickening", 1000, 599, "Thickens less than the original.", "About 14 g of cornflour"},
		{"thickening", 1000, 600, "", ""},
		{"thickening", 100, 10, "", ""},
		{"thickening", 101, 10, "Thickens less than the original.", "About 4 g of cornflour"},
		{"thickening", 101, 200, "", ""},
	} {
		got := warnings(Sheet{Accounts: []Account{{Name: c.account, Pair: Pair{c.was, c.is}}}}, one, one, same, same)
		if c.text == "" {
			require.Empty(t, got, "%s from %g to %g", c.account, c.was, c.is)
			continue
		}
		require.Len(t, got, 1, "%s from %g to %g", c.account, c.was, c.is)
		require.Equal(t, c.account, got[0].Account)
		require.Equal(t, c.text, got[0].Text)
		require.Contains(t, got[0].Remedy, c.remedy)
	}
}

// Wetness is judged part by part, without the fat, and not of a broth.
func TestWetterAndDrierAreToldInMinutesAndGrams(t *testing.T) {
	one := character.Dish{Servings: 4, Parts: []character.Part{{Shape: character.Shape{Name: "Filling"}}}}
	for _, c := range []struct {
		mass, was, is float64
		text, remedy  string
	}{
		// 250 g too much from a pot that loses 11 g a minute at 2.5 kg: 11 x (1000/2500)^(2/3) = 5.97.
		{1000, 0.60, 0.70, "Filling: wetter than it was, 70 % water beside the solids against 60 %.", "up to 42 minutes longer uncovered, until it holds its shape in the spoon, or stir in up to 100 g of ground oats"},
		{2500, 0.60, 0.70, "Filling: wetter than it was, 70 %", "up to 57 minutes longer"},
		{1000, 0.60, 0.50, "Filling: drier than it was, 50 % water beside the solids against 60 %.", "up to 250 g of water or stock"},
		{1000, 0.60, 0.65, "", ""},
		{1000, 0.60, 0.55, "", ""},
		{20, 0.60, 0.70, "", ""},
		{20, 0.60, 0.50, "", ""},
		{1000, brothy, 0.95, "", ""},
		{1000, 0.77, 0.90, "Filling: wetter than it was, 90 %", "ground oats"},
		{0, 0.60, 0.90, "", ""},
	} {
		before := character.Profile{Parts: []character.PartProfile{{Mass: c.mass, Water: c.was}}}
		after := character.Profile{Parts: []character.PartProfile{{Mass: c.mass, Water: c.is}}}
		got := warnings(Sheet{}, one, one, before, after)
		if c.text == "" {
			require.Empty(t, got, "%g g from %g to %g", c.mass, c.was, c.is)
			continue
		}
		require.Len(t, got, 1)
		require.Equal(t, []string{"water", "Filling"}, []string{got[0].Account, got[0].Component})
		require.Contains(t, got[0].Text, c.text)
		require.Contains(t, got[0].Remedy, c.remedy)
	}
	require.Equal(t, "The dish", part(""))
	require.InDelta(t, 250+240, finishedWater(character.Profile{Parts: []character.PartProfile{{Mass: 500, Water: 0.5}, {Mass: 300, Water: 0.8}}}), 1e-9)
}
