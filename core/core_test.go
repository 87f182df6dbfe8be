// Package core_test holds a rule that all of core keeps: the words of a language stand in
// tables, not in code.
package core_test

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"path/filepath"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// longestList is how many words may be written out beside each other.
const longestList = 4

// source is one file of core, parsed.
type source struct {
	path   string
	set    *token.FileSet
	parsed *ast.File
}

// sources are all files of core.
func sources(t *testing.T) []source {
	t.Helper()
	var all []source
	require.NoError(t, filepath.WalkDir(".", func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_debug_test.go") {
			return err
		}
		set := token.NewFileSet()
		parsed, err := parser.ParseFile(set, path, nil, 0)
		all = append(all, source{path, set, parsed})
		return err
	}))
	require.Greater(t, len(all), 100)
	return all
}

func (s source) test() bool { return strings.HasSuffix(s.path, "_test.go") }

// word is what only a person's language would have: letters, and spaces between.
var word = regexp.MustCompile(`^"[a-zé]+(?: [a-zé]+)*"$`)

// The packages that read what people write hold no list of words: verbs, units,
// vessels, numbers and plurals stand in the tables of a language.
func TestWordsOfALanguageStandInTables(t *testing.T) {
	for _, s := range sources(t) {
		pkg := filepath.Dir(s.path)
		if s.test() || pkg != "flow" && pkg != "recipe" && pkg != "lex" && pkg != "measure" && pkg != "method" {
			continue
		}
		ast.Inspect(s.parsed, func(n ast.Node) bool {
			literal, ok := n.(*ast.CompositeLit)
			if !ok {
				return true
			}
			words := 0
			for _, e := range literal.Elts {
				if pair, ok := e.(*ast.KeyValueExpr); ok {
					e = pair.Key
				}
				if l, ok := e.(*ast.BasicLit); ok && word.MatchString(l.Value) {
					words++
				}
			}
			assert.LessOrEqual(t, words, longestList, "%s: %d words written out", s.set.Position(literal.Pos()), words)
			return true
		})
	}
}
