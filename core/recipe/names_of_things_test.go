package recipe_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
)

func TestALongTitleIsATitle(t *testing.T) {
	title := "Aunt Marrow's slow harbour stew of smoked roots with barley, prunes and a great deal of winter savory"
	require.Greater(t, len(title), 80)
	r := reader(t)
	d := r.Read(title+"\n\nServes 4\n\n500 g carrots\n1 onion\n\nMethod\n1. Cook the carrots and the onion.", measure.Metric)
	require.Equal(t, title, d.Name)
	d = r.Read(strings.Repeat("word ", 200)+"\n\n500 g carrots\n1 onion\n\nMethod\n1. Cook the carrots and the onion.", measure.Metric)
	require.Empty(t, d.Name, "a whole page is none")
}

func TestABracketSaysWhatANameIs(t *testing.T) {
	r := reader(t)
	for text, food := range map[string]string{"200 g garrofón (butter beans)": "butter-beans", "2 tbsp dendê (red palm oil)": "palm-oil", "100 g zzyzx (smoked bacon)": "bacon", "100 g zzyzx (from the shop on the corner)": "", "100 g carrots (or parsnips)": "carrot"} {
		l := r.Line(text, measure.Metric)
		require.Equal(t, food, l.FoodID(), text)
	}
	require.Equal(t, larder.FromAnimal, r.Line("100 g zzyzx (smoked bacon)", measure.Metric).Origin)
}
