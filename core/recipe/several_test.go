package recipe_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
)

// foodsOf lists the foods of a line that stand with its first, or in its place.
func foodsOf(others []recipe.Alternative) string {
	var ids []string
	for _, a := range others {
		ids = append(ids, a.Food)
	}
	return strings.Join(ids, " ")
}

// A line that names several foods is of all of them, or of one of them, and lends a word to another only where the last has one of its
// own besides.
func TestSeveralFoodsOfALine(t *testing.T) {
	for text, want := range map[string][4]string{ // name, food, instead, also
		"mushrooms and bacon":                   {"mushrooms and bacon", "bacon", "", "button-mushroom"},
		"peanut and butter":                     {"peanut and butter", "butter", "", "peanut"},
		"cashews and cheese":                    {"cashews and cheese", "cheddar", "", "cashew"},
		"carrots or bacon":                      {"carrots or bacon", "carrot", "bacon", ""},
		"tomatoes and anchovies":                {"tomatoes and anchovies", "anchovy", "", "tomato"},
		"200 g lamb and beef mince":             {"lamb and beef mince", "lamb-mince", "", "beef-mince"},
		"lamb or beef mince":                    {"lamb or beef mince", "lamb-mince", "beef-mince", ""},
		"red and yellow peppers":                {"red and yellow peppers", "red-pepper", "", "yellow-pepper"},
		"olive and rapeseed oil":                {"olive and rapeseed oil", "olive-oil", "", "rapeseed-oil"},
		"2 eggs or 100 g tofu":                  {"eggs or 100 g tofu", "egg", "firm-tofu", ""},
		"2 tbsp chopped fresh or dried thyme":   {"fresh or dried thyme", "thyme", "dried-thyme", ""},
		"1/2 cup butter / margarine":            {"butter / margarine", "butter", "margarine", ""},
		"salmon or tofu":                        {"salmon or tofu", "salmon", "firm-tofu", ""},
		"2 tbsp olive oil (or butter)":          {"olive oil", "olive-oil", "butter", ""},
		"2 tbsp olive oil, or more oil":         {"olive oil", "olive-oil", "vegetable-oil", ""},
		"500 ml chicken (or vegetable) stock":   {"chicken (or vegetable) stock", "chicken-stock", "vegetable-stock", ""},
		"lettuce, parsley leaves, lemon slices": {"lettuce", "lettuce", "", "parsley lemon"},
	} {
		t.Run(text, func(t *testing.T) {
			d := reader(t).Read("Dish\n\n1 onion\n"+text+"\n\nMethod\n1. Mix all of it.", measure.Metric)
			require.Len(t, d.Components[0].Lines, 2)
			l := d.Components[0].Lines[1]
			assert.Equal(t, want, [4]string{l.Name, l.FoodID(), foodsOf(l.Alternatives), foodsOf(l.Also)})
		})
	}
}

// What stands in brackets or behind a comma says which food it is, how it comes, or what was done to it.
func TestWhatIsSaidBesideAName(t *testing.T) {
	for text, want := range map[string][3]string{ // name, food, preparation
		"2 tins sardines":                               {"sardines", "tinned-sardine", ""},
		"400 g sardines":                                {"sardines", "sardine", ""},
		"garrofón (butter beans)":                       {"garrofón", "butter-beans", "butter beans"},
		"200 g potato noodles (rice noodles)":           {"potato noodles", "rice-noodles", "rice noodles"},
		"sugar, brown":                                  {"sugar", "brown-sugar", "brown"},
		"1 tbsp sugar, finely chopped":                  {"sugar", "sugar", "finely chopped"},
		"1 tsp coriander, ground":                       {"coriander", "coriander-seed", "ground"},
		"1 tsp pepper, black":                           {"pepper", "black-pepper", "black"},
		"100 g pepper, red, sliced":                     {"pepper", "red-pepper", "red, sliced"},
		"400 g firm white fish fillets such as cod":     {"white fish fillets", "cod", "firm, such as cod"},
		"1 chicken, about 1.2 kg, jointed":              {"chicken", "whole-chicken", "about 1.2 kg, jointed"},
		"1 large cauliflower (about 800 g), in florets": {"cauliflower", "cauliflower", "in florets, about 800 g"},
		"4 chicken thighs (skin on), trimmed*":          {"chicken thighs", "chicken-thigh", "trimmed, skin on"},
		"100 g smoked bacon -":                          {"smoked bacon", "bacon", ""},
		"1 onion (finely chopped) (optional)":           {"onion", "onion", "finely chopped, optional"},
		"3 cloves of garlic, crushed":                   {"garlic", "garlic", "crushed"},
		"crushed garlic, 3 cloves":                      {"crushed garlic", "garlic", ""},
		"a 200 g block of feta":                         {"feta", "feta", ""},
		"chopped fresh parsley":                         {"parsley", "parsley", "chopped fresh"},
		"50 g butter (or some olive oil, warmed)":       {"butter", "butter", "or some olive oil, warmed"},
	} {
		t.Run(text, func(t *testing.T) {
			d := reader(t).Read("Dish\n\n1 leek\n"+text+"\n\nMethod\n1. Mix all of it.", measure.Metric)
			require.Len(t, d.Components[0].Lines, 2)
			l := d.Components[0].Lines[1]
			assert.Equal(t, want, [3]string{l.Name, l.FoodID(), l.Preparation})
		})
	}
}
