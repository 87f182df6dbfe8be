package flow

import (
	"fmt"
	"strings"
	"testing"
	"time"
	"unicode/utf8"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/spent"
)

// However long a text is, it is read in bounded time, and where reading ends is
// said.
func TestLongTextsAreReadInTime(t *testing.T) {
	many := func(n int, line string) string {
		var b strings.Builder
		for i := range n {
			fmt.Fprintf(&b, line+"\n", i%9+1)
		}
		return b.String()
	}
	r := reader(t)
	for name, text := range map[string]string{
		"lines":                  "Soup\n\n" + many(100_000, "%d onions"),
		"bullets":                "Soup\n\nIngredients\n" + many(100_000, "- %d g salt") + "\nMethod\n1. Cook.",
		"parts":                  "Soup\n\n" + many(30_000, "For part %d:\n1 onion\n"),
		"steps":                  "Soup\n\n2 onions\n\nMethod\n" + many(20_000, "%d. Fry the onion for 5 minutes."),
		"one step":               "Soup\n\n1 onion\n2 carrots\n\nMethod\n1. " + strings.Repeat("Chop the onion and fry it for 5 minutes. ", 5000),
		"one step for two parts": "Tart\n\nPastry\n200 g flour\n100 g butter\n\nFilling\n1 onion\n2 carrots\n\nMethod\n1. " + strings.Repeat("Chop the onion and fry it for 5 minutes. ", 8000),
		"one word":               "Soup\n\n1 onion\n2 carrots\n\nMethod\n1. " + strings.Repeat("a", 1_000_000),
		"one noun":               "Soup\n\n1 onion\n2 carrots\n\nMethod\n1. " + strings.Repeat("onion ", 200_000),
		"one line":               "Soup\n\n1 onion, " + strings.Repeat("chopped and sliced, ", 40_000) + "\n2 carrots\n\nMethod\n1. Cook.",
		"brackets":               "Soup\n\n1 onion " + strings.Repeat("(", 50_000) + strings.Repeat(")", 50_000) + "\n2 carrots\n\nMethod\n1. Cook.",
		"only talk":              strings.Repeat("My aunt tells it otherwise. ", 50_000),
	} {
		var d recipe.Dish
		took := spent.Within(3*time.Second, func() { d = r.Read(text, measure.Metric) })
		require.Less(t, took, 3*time.Second, name)
		if name == "lines" || name == "steps" || name == "bullets" {
			require.Equal(t, "too-long", d.Notices[0].Kind, name)
		}
		if name == "one step" {
			s := d.Components[0].Steps[0]
			asked := s.Questions[len(s.Questions)-1]
			require.Contains(t, asked.Text, "longer than is read")
			require.Equal(t, utf8.RuneCountInString(s.Text), asked.Upto)
			require.Greater(t, asked.From, 50_000)
		}
	}
}
