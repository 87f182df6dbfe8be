package flow_test

import (
	"go/ast"
	"go/parser"
	"go/token"
	"path/filepath"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// formatting are the functions of strings that only close a text up.
var formatting = []string{"TrimSpace", "Join", "ReplaceAll"}

// looksIntoStep tells whether an expression is the text of a step: x.Text where x is
// called a step.
func looksIntoStep(e ast.Expr) bool {
	found := false
	ast.Inspect(e, func(n ast.Node) bool {
		sel, ok := n.(*ast.SelectorExpr)
		if !ok || sel.Sel.Name != "Text" {
			return true
		}
		switch x := sel.X.(type) {
		case *ast.Ident:
			found = found || x.Name == "s" || x.Name == "step"
		case *ast.IndexExpr:
			if of, ok := x.X.(*ast.SelectorExpr); ok {
				found = found || of.Sel.Name == "Steps"
			}
		}
		return true
	})
	return found
}

// Only the flow, with the reader below it, looks into the words of a step: the
// other packages search them with no pattern and take no words out of them.
func TestOnlyTheFlowLooksIntoSteps(t *testing.T) {
	for _, pkg := range []string{"character", "swap", "method", "day", "balance", "market", "sizing"} {
		files, err := filepath.Glob(filepath.Join("..", pkg, "*.go"))
		require.NoError(t, err)
		require.NotEmpty(t, files, pkg)
		for _, file := range files {
			if strings.HasSuffix(file, "_test.go") {
				continue
			}
			set := token.NewFileSet()
			parsed, err := parser.ParseFile(set, file, nil, 0)
			require.NoError(t, err)
			for _, i := range parsed.Imports {
				assert.False(t, i.Path.Value == `"regexp"` || i.Path.Value == `"yembra/core/lex"`, "%s imports %s", file, i.Path.Value)
			}
			ast.Inspect(parsed, func(n ast.Node) bool {
				call, ok := n.(*ast.CallExpr)
				if !ok {
					return true
				}
				fun, ok := call.Fun.(*ast.SelectorExpr)
				if !ok {
					return true
				}
				of, ok := fun.X.(*ast.Ident)
				if !ok || of.Name != "strings" && of.Name != "larder" && of.Name != "regexp" || of.Name == "strings" && slices.Contains(formatting, fun.Sel.Name) {
					return true
				}
				for _, arg := range call.Args {
					assert.False(t, looksIntoStep(arg), "%s looks into the text of a step", set.Position(call.Pos()))
				}
				return true
			})
		}
	}
}
