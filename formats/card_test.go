package formats_test

import (
	"bytes"
	"encoding/json"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/formats"
	"yembra/knowledge"
)

func card(t testing.TB) formats.Card {
	t.Helper()
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	d := flow.NewReader(l).Read("Phở chay & Μουσακάς, żurek\nServes 4\n\nBroth:\n1 ½ kg carrots\n10 g kelp\n\nBowls:\n400 g rice noodles\n\nMethod\n\nBroth:\n1. Simmer the carrots with the kelp for 40 minutes.\n\nBowls:\n2. Soak the noodles.", measure.Metric)
	return formats.Card{
		Name: "Phở chay & Μουσακάς, żurek", Place: "Việt Nam", Lives: "A clear broth <of char>.", Dish: d,
		Changed:   []formats.Replaced{{From: "bones", To: "Kelp and carrot", Why: "Glutamate."}},
		Cautions:  []formats.CardCaution{{Text: "Boil the beans hard.", Grave: true}, {Text: "Kelp: not daily."}},
		Allergens: []string{"soy"}, Labels: []string{"noodles: look for egg"}, Keeping: []string{"Broth: three days."}, Tally: "5 kept.", Serving: formats.Serving{Energy: 412, Protein: 12, Salt: 1.5},
		Beside: [][]string{{"", ""}, {"14 oz"}}, Sources: []string{"Tables"}, SidePots: []formats.Pot{{Title: "Side pot for 2", Lines: []string{"200 g beef"}, Steps: []string{"A knife of its own."}}},
	}
}

func TestTheCardAsPDF(t *testing.T) {
	for _, paper := range []string{formats.A4, formats.Letter} {
		pdf, err := formats.ToPDF(card(t), paper)
		require.NoError(t, err)
		require.True(t, bytes.HasPrefix(pdf, []byte("%PDF-")))
		require.Equal(t, 1, len(regexp.MustCompile(`/Type\s*/Page\b`).FindAll(pdf, -1)), "a short card is one page")
		require.Contains(t, string(pdf), "/FontFile2", "the fonts are embedded")
		box := map[string]string{formats.A4: "595.28 841.89", formats.Letter: "612.00 792.00"}[paper]
		require.Contains(t, string(pdf), box)
	}
	long := card(t)
	for range 60 {
		long.Dish.Components[0].Steps = append(long.Dish.Components[0].Steps, recipe.Step{Text: strings.Repeat("Stir and taste. ", 12)})
	}
	pdf, err := formats.ToPDF(long, formats.A4)
	require.NoError(t, err)
	require.Greater(t, len(regexp.MustCompile(`/Type\s*/Page\b`).FindAll(pdf, -1)), 1, "a long one goes on")
}

// A dish of the usual size, five parts and thirty-five lines with their notes, is one page, though
// its lines and its work beside each other would be two.
func TestACardOfTheUsualSizeIsOnePage(t *testing.T) {
	c := card(t)
	c.Dish.Components, c.SidePots, c.Beside = nil, nil, nil
	for _, name := range []string{"Mushrooms", "Stock", "Main part", "Dumplings", "To serve"} {
		part := recipe.Component{Name: name}
		for range 7 {
			part.Lines = append(part.Lines, recipe.Line{Text: "400 g king oyster mushroom, in thick pieces", Name: "king oyster mushroom", Amount: &measure.Amount{Low: 400, High: 400, Unit: measure.Gram}})
		}
		for range 3 {
			part.Steps = append(part.Steps, recipe.Step{Text: "Sear the mushroom pieces in a very hot dry pan until deeply browned on two sides, and season with the salt."})
		}
		c.Dish.Components = append(c.Dish.Components, part)
	}
	for range 5 {
		c.Keeping = append(c.Keeping, "Dark mushroom stock: keeps four days chilled, freezes well.")
		c.Changed = append(c.Changed, formats.Replaced{From: "beef shin", To: "Seared king oyster mushroom and cubed tempeh", Why: "Two kinds of chew, both of which soak up a braising sauce."})
	}
	pdf, err := formats.ToPDF(c, formats.A4)
	require.NoError(t, err)
	require.Len(t, regexp.MustCompile(`/Type\s*/Page\b`).FindAll(pdf, -1), 1)
}

func TestTheCardAsAPageStandsAlone(t *testing.T) {
	html, err := formats.ToCardHTML(card(t))
	require.NoError(t, err)
	text := string(html)
	require.Contains(t, text, "Phở chay &amp; Μουσακάς, żurek")
	require.Contains(t, text, "A clear broth &lt;of char&gt;.", "what the cook wrote is no markup")
	require.Contains(t, text, `class="grave">Boil the beans hard.`)
	require.NotRegexp(t, `(?i)src=|href=|@import|https?://`, text, "nothing is fetched")
	require.Contains(t, text, formats.Deference)
	require.Contains(t, text, "400 g rice noodles · 14 oz")
	require.Contains(t, text, "A knife of its own.")
	require.Contains(t, text, "Figures after Tables.")
}

func TestTheCardAsJSONLDIsVeganOnlyWhenFinished(t *testing.T) {
	c := card(t)
	body, err := formats.ToCardJSONLD(c)
	require.NoError(t, err)
	var got map[string]any
	require.NoError(t, json.Unmarshal(body, &got))
	require.Equal(t, "https://schema.org/VeganDiet", got["suitableForDiet"])
	require.Equal(t, "412 kcal", got["nutrition"].(map[string]any)["calories"])
	require.Equal(t, "600 mg", got["nutrition"].(map[string]any)["sodiumContent"])
	src, err := formats.FromJSONLD(string(body))
	require.NoError(t, err)
	require.Len(t, src.Sections, 3, "lines of no part come first, here none")
	require.Empty(t, src.Sections[0].Lines)
	require.Equal(t, c.Dish.Components[0].Lines[1].Text, src.Sections[1].Lines[1])
	require.Equal(t, c.Dish.Components[1].Steps[0].Text, src.Sections[2].Steps[0])
	c.Open = []string{"in place of butter: nothing chosen."}
	body, err = formats.ToCardJSONLD(c)
	require.NoError(t, err)
	require.NotContains(t, string(body), "VeganDiet")
}

func TestTheCardAsMarkdown(t *testing.T) {
	text := string(formats.ToCardMarkdown(card(t)))
	for _, want := range []string{"# Phở chay", "## What was changed", "**Boil the beans hard.**", formats.Deference, "## Labels to read", "412 kcal"} {
		require.Contains(t, text, want)
	}
}

// What a line is made from is said in every format, not on the screen alone.
func TestWhatIsBoughtIsSaidInEveryFormat(t *testing.T) {
	c := card(t)
	c.Bought = [][]string{{"", ""}, {"from about 150 g dry"}}
	data, err := formats.ToCardJSONLD(c)
	require.NoError(t, err)
	table, err := formats.ToCardCSV(c)
	require.NoError(t, err)
	for _, text := range []string{string(formats.ToCardMarkdown(c)), string(data), string(table)} {
		require.Contains(t, text, "400 g rice noodles (from about 150 g dry)")
	}
	require.Equal(t, "400 g rice noodles", c.Dish.Components[1].Lines[0].Text, "the card itself is as it was")
}

func BenchmarkPDF(b *testing.B) {
	c := card(b)
	for b.Loop() {
		if _, err := formats.ToPDF(c, formats.A4); err != nil {
			b.Fatal(err)
		}
	}
}

func TestTheCardGoesOutAndInAsJSONLD(t *testing.T) {
	c := card(t)
	data, err := formats.ToCardJSONLD(c)
	require.NoError(t, err)
	src, err := formats.FromJSONLD(string(data))
	require.NoError(t, err)
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	back := flow.NewReader(l).Source(src, measure.Metric)
	require.Equal(t, c.Name, back.Name)
	require.Equal(t, c.Dish.Serves, back.Serves)
	require.Len(t, back.Components, len(c.Dish.Components))
	for i, part := range c.Dish.Components {
		require.Equal(t, part.Name, back.Components[i].Name)
		for j, line := range part.Lines {
			require.Equal(t, line.Text, back.Components[i].Lines[j].Text)
			require.Equal(t, line.FoodID(), back.Components[i].Lines[j].FoodID())
			require.Equal(t, line.Grams, back.Components[i].Lines[j].Grams)
		}
		require.Len(t, back.Components[i].Steps, len(part.Steps))
	}
}

// The picture of the method fits its page or is left out, and every action has a place of
// its own.
func TestTheMethodIsLaidOutAsAPicture(t *testing.T) {
	c := card(t)
	pdf, err := formats.ToPDF(c, formats.A4)
	require.NoError(t, err)
	for i := range c.Dish.Components {
		for j := range c.Dish.Components[i].Steps {
			c.Dish.Components[i].Steps[j].Actions = nil
		}
	}
	without, err := formats.ToPDF(c, formats.A4)
	require.NoError(t, err)
	require.Greater(t, len(pdf), len(without)+500, "the picture is drawn")
}
