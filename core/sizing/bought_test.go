package sizing_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/sizing"
)

func TestCookedAndSoakedAmountsSayWhatTheyAreMadeFrom(t *testing.T) {
	l, err := shipped()
	require.NoError(t, err)
	for _, x := range []struct {
		food, form string
		grams      float64
		want       string
	}{
		{"brown-lentils", "cooked", 400, "from about 170 g dry"},
		{"cashew", "soaked-blended", 100, "from about 65 g dry"},
		{"chickpeas", "tinned", 240, ""},
		{"aubergine", "smoked-roasted", 100, "from about 140 g"},
		{"firm-tofu", "pressed", 300, ""},
		{"brown-lentils", larder.RawForm, 200, ""},
		{"brown-lentils", "cooked", 1, ""},
	} {
		span := measure.Exactly(x.grams)
		line := recipe.Line{Food: &x.food, Form: x.form, Grams: &span}
		got := strings.ReplaceAll(sizing.AsBought(line, l.Food(x.food)), measure.ThinSpace, " ")
		require.Equal(t, x.want, got, "%s, %s", x.food, x.form)
	}
}
