// Package core_test holds the rules that all of core keeps: how long its files and
// functions are, and that the words of a language stand in tables, not in code.
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

const (
	longestFile     = 300 // lines
	longestFunction = 60  // lines, a test's table aside
	longestList     = 4   // words written out beside each other
)

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

// tables are the lines of the composite literals a node holds, the outermost ones
// only: a test's table may be as long as it needs to be.
func (s source) tables(in ast.Node) int {
	lines := 0
	ast.Inspect(in, func(n ast.Node) bool {
		literal, ok := n.(*ast.CompositeLit)
		if !ok {
			return true
		}
		lines += s.set.Position(literal.End()).Line - s.set.Position(literal.Pos()).Line
		return false
	})
	return lines
}

func TestFilesAndFunctionsStayShort(t *testing.T) {
	for _, s := range sources(t) {
		assert.LessOrEqual(t, s.set.File(s.parsed.Pos()).LineCount(), longestFile, s.path)
		for _, d := range s.parsed.Decls {
			fn, ok := d.(*ast.FuncDecl)
			if !ok {
				continue
			}
			lines := s.set.Position(fn.End()).Line - s.set.Position(fn.Pos()).Line + 1
			if s.test() {
				lines -= s.tables(fn)
			}
			assert.LessOrEqual(t, lines, longestFunction, "%s %s", s.path, fn.Name.Name)
		}
	}
}

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
