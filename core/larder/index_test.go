package larder

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// shelf is an index over a few foods.
func shelf() (*Index, map[string]*Food) {
	foods := []*Food{
		{ID: "haddock", Name: "smoked haddock", Aliases: []string{}},
		{ID: "tinned-tomato", Name: "tinned tomatoes", Aliases: []string{"chopped tomatoes#"}},
		{ID: "tomato", Name: "tomato", Aliases: []string{"chopped tomato"}},
		{ID: "tomato-paste", Name: "tomato paste", Aliases: []string{}},
		{ID: "paste", Name: "paste", Aliases: []string{"!"}},
		{ID: "oat", Name: "oats", Aliases: []string{}},
		{ID: "goat", Name: "goat", Aliases: []string{}},
		{ID: "green-tomato", Name: "green tomato", Aliases: []string{}},
	}
	by := map[string]*Food{}
	for _, f := range foods {
		by[f.ID] = f
	}
	return buildIndex(foods, &Vocabulary{Neutral: map[string]bool{"large": true, "skinned": true, "fresh": true, "and": true}, Joining: map[string]bool{"and": true}}), by
}

func TestNamesAreFoundInARunOfWords(t *testing.T) {
	x, foods := shelf()
	for text, want := range map[string]struct {
		id         string
		start, end int
		used       int
	}{
		"tomato paste":                       {"tomato-paste", 0, 2, 2},
		"tomato":                             {"tomato", 0, 1, 1},
		"smoked skinned haddock":             {"haddock", 0, 3, 2},
		"smoked skinned fresh haddock":       {"haddock", 0, 4, 2},
		"smoked skinned fresh large haddock": {"", 0, 0, 0},
		"smoked and haddock":                 {"", 0, 0, 0},
		"skinned smoked haddock":             {"", 0, 0, 0},
		"smoked":                             {"", 0, 0, 0},
		"tomato large paste":                 {"tomato-paste", 0, 3, 2},
		"tomato large":                       {"tomato", 0, 1, 1},
	} {
		m, ok := x.At(Words(text), 0, false)
		require.Equal(t, want.id != "", ok, text)
		if ok {
			require.Equal(t, Match{foods[want.id], want.start, want.end, want.used}, m, text)
		}
	}
	counted, _ := x.At(Words("chopped tomatoes"), 0, true)
	measured, _ := x.At(Words("chopped tomatoes"), 0, false)
	require.Equal(t, "tomato", counted.Food.ID, "3 chopped tomatoes")
	require.Equal(t, "tinned-tomato", measured.Food.ID, "400 g chopped tomatoes")

	all := x.All(Words("a goat with tomato paste and green tomato"), false)
	require.Len(t, all, 3)
	require.Equal(t, []int{1, 2, 3, 5, 6, 8}, []int{all[0].Start, all[0].End, all[1].Start, all[1].End, all[2].Start, all[2].End})
	require.Equal(t, []string{"goat", "tomato-paste", "green-tomato"}, []string{all[0].Food.ID, all[1].Food.ID, all[2].Food.ID})
	require.Empty(t, x.All(nil, false))

	// Of two names that share a word, the one that reaches further, but of the same kind only.
	names := []*Food{
		{ID: "duck", Name: "roast duck", Kind: "bird"}, {ID: "leg", Name: "duck leg", Kind: "bird"},
		{ID: "lasagne", Name: "egg lasagne", Kind: "egg-pasta"}, {ID: "sheet", Name: "lasagne sheet"}, {ID: "knife", Name: "sheet knife"},
	}
	x = buildIndex(names, &Vocabulary{})
	for text, want := range map[string]string{"roast duck leg": "leg", "roast duck": "duck", "egg lasagne sheet": "lasagne", "lasagne sheet knife": "sheet"} {
		require.Equal(t, want, x.All(Words(text), false)[0].Food.ID, text)
	}
}

func ids(foods []*Food) string {
	var out []string
	for _, f := range foods {
		out = append(out, f.ID)
	}
	return strings.Join(out, " ")
}

func TestSearchRanksByWhereAndHowLong(t *testing.T) {
	x, _ := shelf()
	for prefix, want := range map[string]string{
		"tom":    "tomato tomato-paste green-tomato tinned-tomato",
		"paste":  "paste tomato-paste",
		"to":     "tomato tomato-paste green-tomato tinned-tomato",
		"omato":  "",
		"  TOM ": "tomato tomato-paste green-tomato tinned-tomato",
		"":       "",
	} {
		require.Equal(t, want, ids(x.Search(prefix, 9)), "%q", prefix)
	}
	require.Equal(t, "tomato", ids(x.Search("tom", 1)))
	require.Empty(t, x.Search("tom", 0))
	require.Len(t, x.Search("tom", 2), 2)
	require.Equal(t, "goat oat", ids([]*Food{x.Search("goat", 1)[0], x.Search("oat", 1)[0]}))
}

func TestNearestKnowsWordsAndMistakes(t *testing.T) {
	x, _ := shelf()
	for name, want := range map[string]string{
		"plum tomato":     "tomato green-tomato tinned-tomato tomato-paste",
		"tomato ketchup":  "tomato green-tomato tomato-paste tinned-tomato",
		"tomto":           "tomato green-tomato tomato-paste tinned-tomato",
		"hadock":          "haddock",
		"hdock":           "haddock",
		"hock":            "",
		"oaf":             "", // too short for a mistake to be told from another word
		"paste of tomato": "tomato green-tomato tinned-tomato tomato-paste paste",
		"":                "",
		"goats":           "goat oat",
		"zzzzzz":          "",
	} {
		got := ids(x.Nearest(name, 9))
		for _, id := range strings.Fields(want) {
			require.Contains(t, strings.Fields(got), id, "%q: %s", name, got)
		}
		require.Len(t, strings.Fields(got), len(strings.Fields(want)), "%q: %s", name, got)
	}
	require.Equal(t, "tomato green-tomato", ids(x.Nearest("plum tomato", 2)), "the last word counts most, then the shorter name")
	require.Equal(t, "paste tomato-paste", ids(x.Nearest("tomato paste", 2)))
	require.Equal(t, "tomato", ids(x.Nearest("tomato ketchup", 1)))
}

func TestDistanceCountsLetters(t *testing.T) {
	for _, x := range []struct {
		a, b  string
		limit int
		want  bool
	}{
		{"goat", "goat", 0, true}, {"goat", "coat", 0, false}, {"goat", "coat", 1, true}, {"goat", "oat", 1, true}, {"oat", "goat", 1, true},
		{"goat", "boats", 1, false}, {"goat", "boats", 2, true}, {"haddock", "hdok", 2, false}, {"haddock", "hdok", 3, true}, {"hdok", "haddock", 2, false},
		{"abc", "", 2, false}, {"", "abc", 2, false}, {"ab", "", 2, true}, {"", "ab", 2, true}, {"ab", "ba", 1, false}, {"ab", "ba", 2, true},
		{"kitten", "sitting", 2, false}, {"kitten", "sitting", 3, true}, {"flaw", "lawn", 1, false}, {"flaw", "lawn", 2, true}, {"abcd", "xbcy", 1, false},
	} {
		require.Equal(t, x.want, distanceWithin(x.a, x.b, x.limit), "%s, %s within %d", x.a, x.b, x.limit)
	}
}
