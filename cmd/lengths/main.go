// Command lengths names the Go files and functions that are longer than this house allows:
// a file of more than 300 lines, a function of more than 60, a test of more than 80. The tables of a test (its
// composite literals) do not count.
package main

import (
	"fmt"
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"strings"
)

const (
	longestFile     = 300
	longestFunction = 60
	longestTest     = 80 // a test tells a whole story
)

func main() {
	long := 0
	for _, folder := range os.Args[1:] {
		err := filepath.WalkDir(folder, func(path string, d fs.DirEntry, err error) error {
			if err != nil || d.IsDir() || filepath.Ext(path) != ".go" {
				return err
			}
			found, err := lengths(path)
			for _, f := range found {
				fmt.Println(f)
			}
			long += len(found)
			return err
		})
		if err != nil {
			fmt.Fprintln(os.Stderr, "lengths:", err)
			os.Exit(1)
		}
	}
	if long > 0 {
		os.Exit(1)
	}
}

// lengths names what is too long in a file.
func lengths(path string) ([]string, error) {
	set := token.NewFileSet()
	parsed, err := parser.ParseFile(set, path, nil, parser.SkipObjectResolution)
	if err != nil {
		return nil, err
	}
	var out []string
	test := strings.HasSuffix(path, "_test.go")
	lines := set.File(parsed.Pos()).LineCount()
	if test {
		lines -= tables(set, parsed)
	}
	if lines > longestFile {
		out = append(out, fmt.Sprintf("%s: %d lines, %d at most", path, lines, longestFile))
	}
	for _, d := range parsed.Decls {
		fn, ok := d.(*ast.FuncDecl)
		if !ok {
			continue
		}
		lines, most := set.Position(fn.End()).Line-set.Position(fn.Pos()).Line+1, longestFunction
		if test {
			lines, most = lines-tables(set, fn), longestTest
		}
		if lines > most {
			out = append(out, fmt.Sprintf("%s: %s has %d lines, %d at most", path, fn.Name.Name, lines, most))
		}
	}
	return out, nil
}

// tables are the lines of the outermost composite literals that a node holds.
func tables(set *token.FileSet, in ast.Node) int {
	lines := 0
	ast.Inspect(in, func(n ast.Node) bool {
		literal, ok := n.(*ast.CompositeLit)
		if !ok {
			return true
		}
		lines += set.Position(literal.End()).Line - set.Position(literal.Pos()).Line
		return false
	})
	return lines
}
