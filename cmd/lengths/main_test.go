package main

import (
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// What is too long is named, and the tables of a test do not count.
func TestWhatIsTooLongIsNamed(t *testing.T) {
	lines := func(n int, line string) string { return strings.Repeat(line+"\n", n) }
	for name, c := range map[string]struct {
		file, code string
		want       []string
	}{
		"short":             {"a.go", "package a\n\nfunc f() {\n" + lines(58, "\tprintln()") + "}\n", nil},
		"a long function":   {"a.go", "package a\n\nfunc f() {\n" + lines(59, "\tprintln()") + "}\n", []string{"f has 61 lines, 60 at most"}},
		"a test tells more": {"a_test.go", "package a\n\nfunc f() {\n" + lines(78, "\tprintln()") + "}\n", nil},
		"a long test":       {"a_test.go", "package a\n\nfunc f() {\n" + lines(79, "\tprintln()") + "}\n", []string{"f has 81 lines, 80 at most"}},
		"a table":           {"a_test.go", "package a\n\nfunc f() {\n\t_ = []int{\n" + lines(200, "\t\t1,") + "\t}\n}\n", nil},
		"a table in code":   {"a.go", "package a\n\nfunc f() {\n\t_ = []int{\n" + lines(60, "\t\t1,") + "\t}\n}\n", []string{"f has 64 lines, 60 at most"}},
		"a long file":       {"a.go", "package a\n" + lines(301, "// a"), []string{"lines, 300 at most"}},
	} {
		t.Run(name, func(t *testing.T) {
			path := filepath.Join(t.TempDir(), c.file)
			require.NoError(t, os.WriteFile(path, []byte(c.code), 0o600))
			found, err := lengths(path)
			require.NoError(t, err)
			require.Len(t, found, len(c.want), found)
			for i, want := range c.want {
				require.Contains(t, found[i], want)
			}
		})
	}
	_, err := lengths(filepath.Join(t.TempDir(), "missing.go"))
	require.Error(t, err)
}
