package tasting_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/tasting"
)

func lesson(key, trait, food string, share, rating float64, n int, mean, foretold float64) tasting.Lesson {
	return tasting.Lesson{Key: key, Trait: trait, Food: food, Share: share, Rating: rating, Tasted: tasting.Tasted{Sheets: n, Mean: mean, Foretold: foretold}}
}

func TestAKitchenLearnsOfATraitOrOfTheFoodThatBringsIt(t *testing.T) {
	// The two tastings of the model's document.
	got := tasting.Learn([]tasting.Lesson{lesson("a", "smoke", "", 0, 0, 6, -4.0/6, -1.2), lesson("b", "smoke", "smoked-tofu", 0.6, 4, 5, 0, -0.3)})
	require.Len(t, got, 1, "a food that brings no more than three fifths is not named")
	require.InDelta(t, 0.20377, got[0].Correction.Correction, 1e-5)
	require.Empty(t, got[0].Food)
	require.Equal(t, []string{"a", "b"}, got[0].Keys)
	require.InDelta(t, 0.4128, got[0].Spread(), 1e-3, "1 over the root of the precision")

	got = tasting.Learn([]tasting.Lesson{lesson("a", "smoke", "smoked-paprika", 0.8, 5, 6, -1, 0)})
	require.Len(t, got, 1)
	require.Equal(t, "smoked-paprika", got[0].Food)
	c := got[0].Correction.Correction
	require.InDelta(t, -1.5*6/2.25/(1+6/2.25), c, 1e-9)
	// A dose of 1 is a rating of 5; four fifths of it, so many times as strong, are
	// the rating that was tasted.
	dose := 0.2 + 0.8*got[0].Times
	require.InDelta(t, 5+c, 10*dose/(1+dose), 1e-9)
	require.Equal(t, "Smoked paprika brings smoke 0.6 times as strongly as the book has it (-1.1 steps, -2.1 to -0.1), from 6 sheets of one tasting.", got[0].Say("smoked paprika"))
}

func TestNothingIsLearnedTwice(t *testing.T) {
	// Every table finds a step less than foreseen, whatever brings it: that is the
	// trait's, and hardly the food's.
	var all []tasting.Lesson
	for i := range 6 {
		food, share := "", 0.0
		if i%2 == 1 {
			food, share = "smoked-tofu", 0.9
		}
		all = append(all, lesson(string(rune('a'+i)), "smoke", food, share, 5, 8, -1, -0.5))
	}
	got := tasting.Learn(all)
	require.Len(t, got, 2)
	require.InDelta(t, -0.914, got[0].Correction.Correction, 1e-3)
	require.Less(t, -got[1].Correction.Correction, 0.1)
	require.InDelta(t, 1, got[1].Times, 0.1)
	require.Equal(t, "Smoke is tasted 0.9 steps less than foreseen (-1.5 to -0.3), from 24 sheets of 3 tastings.", got[0].Say(""))
}

func TestAFoodIsNeverTakenForManyTimesAsStrong(t *testing.T) {
	for _, x := range []struct{ rating, mean, times float64 }{{9.9, 2, 1}, {0, 2, 4}, {1, -2, 0.25}, {3, -2, 0.25}, {0, -2, 1}} {
		got := tasting.Learn([]tasting.Lesson{lesson("a", "sea", "nori", 1, x.rating, 200, x.mean, 0)})
		require.InDelta(t, x.times, got[0].Times, 1e-9, "%+v", x)
	}
	got := tasting.Learn([]tasting.Lesson{lesson("a", "sea", "", 0, 0, 1, 0, 0)})
	require.Equal(t, "Sea is tasted as foreseen (+0.0 steps, -1.6 to +1.6), from one sheet of one tasting.", got[0].Say(""))
	require.Empty(t, tasting.Learn(nil))
}
