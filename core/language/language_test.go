package language_test

import (
	"strings"
	"testing"
	"testing/fstest"

	"github.com/stretchr/testify/require"

	"yembra/core/language"
	"yembra/core/measure"
	"yembra/knowledge"
)

func english(t *testing.T) *language.Language {
	t.Helper()
	l, err := language.Load(knowledge.Shipped(), "en")
	require.NoError(t, err)
	return l
}

// A verb is known in the shapes in which recipes write it.
func TestVerbsAreInflected(t *testing.T) {
	l := english(t)
	for _, c := range []struct {
		word, lemma string
		form        language.Form
	}{
		{"fry", "fry", language.Base}, {"fries", "fry", language.Third}, {"fried", "fry", language.Past}, {"frying", "fry", language.Going},
		{"chopped", "chop", language.Past}, {"chopping", "chop", language.Going},
		{"simmering", "simmer", language.Going}, {"simmered", "simmer", language.Past},
		{"baking", "bake", language.Going}, {"baked", "bake", language.Past},
		{"beaten", "beat", language.Past}, {"crushes", "crush", language.Third},
	} {
		require.Contains(t, l.Verb(c.word), language.Reading{Lemma: c.lemma, Form: c.form}, c.word)
	}
	require.Empty(t, l.Verb("onion"))
}

// What is forbidden stands behind a word that says so, in any form of its verb.
func TestWordsForbidWork(t *testing.T) {
	l := english(t)
	for _, c := range []struct {
		words, technique string
		forbidden        bool
	}{
		{"do not boil again", "boil", true}, {"without stirring", "stir", true}, {"never stir", "stir", true},
		{"boil but do not stir", "boil", false}, {"do not stir", "boil", false}, {"boil", "boil", false}, {"", "boil", false},
	} {
		require.Equal(t, c.forbidden, l.Forbids(strings.Fields(c.words), c.technique), c.words)
	}
}

// Every verb can be met: in a form of its own or as one of several words.
func TestEveryVerbCanBeMet(t *testing.T) {
	l := english(t)
	require.Greater(t, len(l.Verbs()), 250)
	for _, v := range l.Verbs() {
		require.NotEmpty(t, l.Senses(v), v)
		if len(l.Verb(v)) == 0 {
			found := false
			for at := range v {
				found = found || v[at] == ' ' && len(l.Longer(v[:at])) > 0
			}
			require.True(t, found, v)
		}
	}
}

// What a verb orders depends on the words of its clause.
func TestSensesAreKeyed(t *testing.T) {
	senses := map[string]bool{}
	for _, s := range english(t).Senses("bring") {
		require.NotEmpty(t, s.Keys, "bring says nothing by itself")
		senses[s.Technique] = true
	}
	require.True(t, senses["boil"] && senses["simmer"], senses)
	require.Equal(t, []string{"fry"}, english(t).Orders("frying"))
	require.Empty(t, english(t).Orders("onion"))
}

func TestUnitsAreRead(t *testing.T) {
	for word, want := range map[string]measure.Unit{
		"Tbsp.": measure.Tablespoon, "tablespoons": measure.Tablespoon, "T": measure.Tablespoon, "t": measure.Teaspoon,
		"ounces": measure.Ounce, "lbs.": measure.Pound, "litres": measure.Litre, "pinches": measure.Pinch,
		"bunches": measure.Bunch, "leaves": measure.Leaf, "tins": measure.Can, "rashers": measure.Slice, "cups": measure.Cup,
	} {
		got, ok := english(t).Lines.Unit(word)
		require.True(t, ok, word)
		require.Equal(t, want, got, word)
	}
	for _, word := range []string{"", "onion", "s", "gas"} {
		_, ok := english(t).Lines.Unit(word)
		require.False(t, ok, word)
	}
}

func TestABrokenTableIsNamed(t *testing.T) {
	files := fstest.MapFS{
		"language/xx/words.yaml":      {Data: []byte("articles: a the\n")},
		"language/xx/inflection.yaml": {Data: []byte("doubles: chop\n")},
		"language/xx/writing.yaml":    {Data: []byte("the: the\n")},
		"language/xx/headings.yaml":   {Data: []byte("method: [method]\n")},
		"language/xx/lines.yaml":      {Data: []byte("units: {g: gram}\n")},
		"language/xx/verbs.csv":       {Data: []byte("technique,verbs,keys\nfry,fry\n")},
	}
	_, err := language.Load(knowledge.Files{FS: files}, "xx")
	require.ErrorContains(t, err, "verbs.csv")
	_, err = language.Load(knowledge.Files{FS: files}, "yy")
	require.ErrorContains(t, err, "yy")
	for broken, says := range map[string]string{"units: {ell: ell}\n": `"ell"`, "habits: [{system: us, says: '('}]\n": "habit 1", "habits: [{system: roman, says: a}]\n": `"roman"`} {
		files["language/xx/lines.yaml"] = &fstest.MapFile{Data: []byte(broken)}
		_, err = language.Load(knowledge.Files{FS: files}, "xx")
		require.ErrorContains(t, err, says)
	}
}

// What cannot be read is asked in words of the language, and no animal matter is left in
// words that tell what something was done with.
func TestTheLanguageAsksAndSaysOtherwise(t *testing.T) {
	w := english(t).Writing
	for _, kind := range []string{"object", "work"} {
		require.Contains(t, w.Questions[kind], "{text}", kind)
	}
	require.NotEmpty(t, w.Questions["rest"])
	for said, want := range map[string]string{
		"in a buttered dish.":            "in a greased dish.",
		"(Buttered well), well-buttered": "(greased well), well-greased",
		"the battered cod, buttercup":    "the battered cod, buttercup",
		"à la crème, 20 cm":              "à la crème, 20 cm",
		"":                               "",
	} {
		require.Equal(t, want, w.Otherwise(said))
	}
}
