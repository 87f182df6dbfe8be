package formats

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
)

// Every text is set in the type of the interface where that has its letters, and
// in one that has them where it has not.
func TestTypeIsChosenByItsLetters(t *testing.T) {
	faces, err := cardFaces()
	require.NoError(t, err)
	title, bold := style{title: true}, style{bold: true}
	for _, x := range []struct {
		st         style
		text, want string
	}{
		{title, "Phở bò, żurek, crème brûlée", "Fraunces-SemiBold"},
		{title, "Μουσακάς", "SourceSans3-SemiBold"},
		{title, "ხაჭაპური", "DejaVuSans-Bold"},
		{style{}, "225 g đậu phụ · “smoked” – 60–70 °C ½ ¼ ¾", "SourceSans3-Regular"},
		{style{}, "борщ и πίτα", "SourceSans3-Regular"},
		{style{}, "lobio (ლობიო)", "DejaVuSans"},
		{bold, "1½ tbsp", "SourceSans3-SemiBold"},
	} {
		require.Equal(t, x.want, pick(faces, x.st, x.text).name, x.text)
	}
	require.Equal(t, "1 1/8 tsp, 2/3 cup, ½", plainFractions("1⅛ tsp, ⅔ cup, ½"))
	require.True(t, faces[1].covers(plainFractions("1⅛ tsp of ⅓, ⅔, ⅝")))
}

func TestAmountsStandInAColumnOfTheirOwn(t *testing.T) {
	line := func(text, name string, amount bool) *recipe.Line {
		l := &recipe.Line{Text: text, Name: name}
		if amount {
			l.Amount = &measure.Amount{Low: 1, High: 1, Unit: measure.Gram}
		}
		return l
	}
	require.Equal(t, row{"1¼ tsp (8 g)", "smoked salt", "8 g"}, rowOf(line("1¼ tsp (8 g) smoked salt", "smoked salt", true), "8 g"))
	require.Equal(t, row{"2 large", "Onions, sliced", ""}, rowOf(line("2 large Onions, sliced", "onions", true), ""))
	require.Equal(t, row{"", "salt", ""}, rowOf(line("salt", "salt", false), ""))
	require.Equal(t, row{"", "juice of 1 lime", ""}, rowOf(line("juice of 1 lime", "lemon", true), ""), "what cannot be told apart stays together")
	long := "2 tins of the large kind from the shop by the harbour chickpeas"
	require.Equal(t, row{"", long, ""}, rowOf(line(long, "chickpeas", true), ""))
}
