package knowledge_test

import (
	"io/fs"
	"strings"
	"testing"
	"testing/fstest"

	"github.com/stretchr/testify/require"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/knowledge"
)

func TestTablesSkipRemarks(t *testing.T) {
	f := knowledge.Files{FS: fstest.MapFS{"a.csv": {Data: []byte("id,title\n# a remark\nx,\"one, two\"\n")}}}
	rows, err := f.Table("a.csv")
	require.NoError(t, err)
	require.Equal(t, [][]string{{"id", "title"}, {"x", "one, two"}}, rows)
	_, err = f.Table("gone.csv")
	require.ErrorContains(t, err, "gone.csv")
}

func TestDecodeRefusesUnknownFields(t *testing.T) {
	f := knowledge.Files{FS: fstest.MapFS{"a.yaml": {Data: []byte("name: x\ncolour: red\n")}}}
	var v struct {
		Name string `yaml:"name"`
	}
	require.ErrorContains(t, f.Decode("a.yaml", &v), "colour")
}

func TestVersionFollowsEveryFile(t *testing.T) {
	files := fstest.MapFS{"a.csv": {Data: []byte("1")}, "foods/b.csv": {Data: []byte("2")}}
	first, err := knowledge.Files{FS: files}.Version()
	require.NoError(t, err)
	again, err := knowledge.Files{FS: files}.Version()
	require.NoError(t, err)
	require.Equal(t, first, again)
	files["foods/b.csv"] = &fstest.MapFile{Data: []byte("3")}
	changed, err := knowledge.Files{FS: files}.Version()
	require.NoError(t, err)
	require.NotEqual(t, first, changed)
	names, err := knowledge.Files{FS: files}.List("foods")
	require.NoError(t, err)
	require.Equal(t, []string{"b.csv"}, names)
}

// Every country has dishes to choose from, and their traits are the model's own.
func TestTraditionalDishesOfAllCountries(t *testing.T) {
	l, err := larder.Load(knowledge.Shipped())
	require.NoError(t, err)
	require.GreaterOrEqual(t, len(l.Traditional()), 600)
	of, places := map[string]int{}, 0
	for _, d := range l.Traditional() {
		of[d.Country]++
		if d.Place != "" {
			places++
		}
		for _, trait := range d.Lives {
			_, known := character.TraitNamed(trait)
			require.True(t, known, "%s lives from %q", d.Name, trait)
		}
	}
	require.Greater(t, places, 80)
	for _, c := range l.Countries() {
		require.Positive(t, of[c.Code], c.Name)
	}
}

// A line that begins with # is a remark: a row whose first cell began so would be passed over without a word.
func TestNoRowIsTakenForARemark(t *testing.T) {
	require.NoError(t, fs.WalkDir(knowledge.Shipped(), ".", func(name string, _ fs.DirEntry, err error) error {
		if err != nil || !strings.HasSuffix(name, ".csv") {
			return err
		}
		text, err := fs.ReadFile(knowledge.Shipped(), name)
		for n, line := range strings.Split(string(text), "\n") {
			require.Falsef(t, strings.HasPrefix(line, "#") && !strings.HasPrefix(line, "# "), "%s, line %d: %s", name, n+1, line)
		}
		return err
	}))
}
