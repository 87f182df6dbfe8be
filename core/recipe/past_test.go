package recipe_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
)

func TestWhatAStepMakesIsNotAListedFoodOfThatName(t *testing.T) {
	d := reader(t).Read("Curry\n\n10 dried red chillies\n15 g shrimp paste\n2 tbsp tamarind paste\n3 tbsp oil\n600 g beef chuck\n\nMethod\n"+
		"1. Blend the chillies and the shrimp paste to a smooth paste.\n2. Heat the oil and fry the paste for 10 minutes.\n3. Add the beef and turn it in the paste.\n4. Stir in the tamarind paste.", measure.Metric)
	steps := d.Components[0].Steps
	require.Equal(t, []int{0, 1}, steps[0].Lines, "the tamarind paste is not what is made")
	require.Equal(t, []int{0, 1, 3}, steps[1].Lines, "the paste is what the first step made")
	require.Empty(t, steps[1].Animals)
	require.Equal(t, []int{0, 1, 3, 4}, steps[2].Lines, "the paste has been fried in the oil")
	require.Equal(t, "beef", steps[2].Animals[0].Name)
	require.Len(t, steps[2].Animals, 1)
	require.Equal(t, []int{2}, steps[3].Lines)
}
