package recipe_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// However many parts a recipe has, its lines and steps are bounded together.
func TestLinesAndStepsOfAllPartsAreBoundedTogether(t *testing.T) {
	const each = 350
	src := recipe.Source{Name: "Long"}
	for part := range 4 {
		s := recipe.Section{Name: fmt.Sprintf("Part %d", part)}
		for i := range each {
			s.Lines, s.Steps = append(s.Lines, fmt.Sprintf("%d g carrots", i+1)), append(s.Steps, "Boil the carrots.")
		}
		src.Sections = append(src.Sections, s)
	}
	_, d := reader(t).Parts(src, measure.Metric)
	require.Len(t, d.Components, 2, "parts of which nothing is left are none")
	require.Len(t, d.Components[0].Lines, each)
	require.Len(t, d.Components[1].Lines, 50, "400 are held")
}

// What is said to hold no animal matter is a plant, be it of an animal or of a recipe that mostly holds some.
func TestWhatIsSaidToHoldNoAnimalMatterIsAPlant(t *testing.T) {
	for text, origin := range map[string]larder.Origin{
		"50 g vegan butter": larder.FromPlant, "50 g butter": larder.FromAnimal,
		"4 vegan flatbreads": larder.FromPlant, "4 flatbreads": larder.Mixed,
		"300 g hemp milk": larder.FromPlant, "300 g goat milk": larder.FromAnimal,
	} {
		d := reader(t).Read("Dish\n\n1 onion\n"+text+"\n\nMethod\n1. Mix all of it.", measure.Metric)
		require.Equal(t, origin, d.Components[0].Lines[1].Origin, text)
	}
}

// A line in italics is read as any other, one with a star and a blank is an item, and an item that says no more than "a little" ends
// no reading.
func TestMarksOfALineAreNoPartOfIt(t *testing.T) {
	d := reader(t).Read("Dish\n\n*200 g flour*\n_1 onion_\n* 2 carrots\n\nMethod\n1. Mix the flour, the onion and the carrots.", measure.Metric)
	var got []string
	for _, l := range d.Components[0].Lines {
		got = append(got, l.Text)
	}
	require.Equal(t, []string{"200 g flour", "1 onion", "2 carrots"}, got)
	require.NotPanics(t, func() {
		reader(t).Read("Dish\n\nFor the sauce: 2 tbsp oil, 1 onion, a little\n\nMethod\n1. Fry the onion in the oil.", measure.Metric)
	})
}

// Another amount of the same that a line offers is no line of its own.
func TestAnotherAmountOfTheSameIsNoLine(t *testing.T) {
	for text, lines := range map[string]int{
		"1 crab, or about 100 g brown and 200 g white crabmeat": 1, "1 crab or 100 g brown and 200 g white crabmeat": 1,
		"3 eggs and 2 yolks": 2, "1 crab and 200 g white crabmeat": 2,
	} {
		d := reader(t).Read("Dish\n\n400 g linguine\n"+text+"\n1 onion\n\nMethod\n1. Fry the onion.", measure.Metric)
		require.Len(t, d.Components[0].Lines, 2+lines, text)
	}
}

// A handful, a bunch or a pinch needs neither a number nor an "of"; a nut is a food.
func TestLooseMeasuresNeedNoNumber(t *testing.T) {
	for text, want := range map[string]string{
		"handful coriander": "1 handful coriander", "small bunch coriander, chopped": "1 bunch coriander", "pinch sugar": "1 pinch sugar", "knob butter": "1 knob butter",
		"handful of coriander": "1 handful coriander", "handful each parsley and mint": "1 handful parsley and mint", "nut butter": "nut butter", "bunch": "bunch",
	} {
		l := reader(t).Line(text, measure.Metric)
		got := l.Name
		if l.Amount != nil {
			got = fmt.Sprintf("%v %s %s", l.Amount.Low, l.Amount.Unit, l.Name)
		}
		require.Equal(t, want, got, text)
	}
}
