// Switches rewrites a package of a copy of the project so that every small wrong change of a sign can be switched on by the
// environment, MUTANT=number, without building again; the changes are those that gremlins makes. What they are goes to
// mutants.txt in the copy, one a line: number, place, kind.
package main

import (
	"bytes"
	"fmt"
	"go/ast"
	"go/format"
	"go/token"
	"go/types"
	"log"
	"os"
	"path/filepath"
	"strconv"
	"strings"

	"golang.org/x/tools/go/ast/astutil"
	"golang.org/x/tools/go/packages"
)

func main() {
	log.SetFlags(0)
	if len(os.Args) != 3 {
		log.Fatal("which copy of the project, and which package of it?")
	}
	if err := rewrite(os.Args[1], os.Args[2]); err != nil {
		log.Fatal(err)
	}
}

// rewrite puts switches into all files of a package but its tests.
func rewrite(root, folder string) error {
	found, err := packages.Load(&packages.Config{
		Mode: packages.NeedName | packages.NeedFiles | packages.NeedSyntax | packages.NeedTypes | packages.NeedTypesInfo | packages.NeedImports | packages.NeedDeps,
		Dir:  root,
	}, "./"+folder)
	if err != nil {
		return err
	}
	if len(found) != 1 || len(found[0].Errors) > 0 {
		return fmt.Errorf("%s is no package that builds", folder)
	}
	r := rewriter{root: root, of: found[0]}
	for i, f := range r.of.Syntax {
		before := len(r.listed)
		astutil.Apply(f, func(c *astutil.Cursor) bool {
			g, ok := c.Node().(*ast.GenDecl)
			return !ok || g.Tok != token.CONST
		}, r.node)
		if len(r.listed) == before {
			continue
		}
		astutil.AddNamedImport(r.of.Fset, f, switches, "yembra/core/"+switches)
		f.Comments = directives(f.Comments)
		var out bytes.Buffer
		if err := format.Node(&out, r.of.Fset, f); err != nil {
			return err
		}
		if err := os.WriteFile(r.of.GoFiles[i], out.Bytes(), 0o600); err != nil {
			return err
		}
	}
	return os.WriteFile(filepath.Join(root, "mutants.txt"), []byte(strings.Join(r.listed, "\n")+"\n"), 0o600)
}

// switches is the package that the rewritten one imports.
const switches = "switched"

// rewriter numbers the changes of one package.
type rewriter struct {
	root   string
	of     *packages.Package
	listed []string
}

// number notes a change and is the literal by which it is switched on.
func (r *rewriter) number(at token.Pos, kind string) ast.Expr {
	place := r.of.Fset.Position(at)
	file, err := filepath.Rel(r.root, place.Filename)
	if err != nil {
		file = place.Filename
	}
	n := strconv.Itoa(len(r.listed) + 1)
	r.listed = append(r.listed, fmt.Sprintf("%s %s:%d:%d %s", n, file, place.Line, place.Column, kind))
	return &ast.BasicLit{Kind: token.INT, Value: n}
}

// What each sign is called in the package of switches.
var (
	compared   = map[token.Token]string{token.LSS: "Less", token.LEQ: "AtMost", token.GTR: "More", token.GEQ: "AtLeast"}
	calculated = map[token.Token]string{token.ADD: "Plus", token.SUB: "Minus", token.MUL: "Times", token.QUO: "By", token.REM: "Rest"}
	counted    = map[token.Token]string{token.INC: "Up", token.DEC: "Down"}
)

func call(name string, args ...ast.Expr) *ast.CallExpr {
	return &ast.CallExpr{Fun: &ast.SelectorExpr{X: ast.NewIdent(switches), Sel: ast.NewIdent(name)}, Args: args}
}

// node puts a switch in the place of a sign.
func (r *rewriter) node(c *astutil.Cursor) bool {
	switch e := c.Node().(type) {
	case *ast.BinaryExpr:
		t := r.of.TypesInfo.Types[e]
		if t.Value != nil {
			return true
		}
		switch name := compared[e.Op]; {
		case e.Op == token.EQL || e.Op == token.NEQ:
			c.Replace(&ast.ParenExpr{X: &ast.BinaryExpr{X: call("On", r.number(e.OpPos, "CONDITIONALS_NEGATION")), Op: token.NEQ, Y: &ast.ParenExpr{X: e}}})
		case name != "":
			c.Replace(call(name, r.number(e.OpPos, "CONDITIONALS_BOUNDARY"), r.number(e.OpPos, "CONDITIONALS_NEGATION"), e.X, e.Y))
		case calculated[e.Op] != "" && isNumber(t.Type):
			c.Replace(call(calculated[e.Op], r.number(e.OpPos, "ARITHMETIC_BASE"), e.X, e.Y))
		}
	case *ast.IncDecStmt:
		c.Replace(&ast.AssignStmt{Lhs: []ast.Expr{e.X}, Tok: token.ASSIGN, Rhs: []ast.Expr{call(counted[e.Tok], r.number(e.TokPos, "INCREMENT_DECREMENT"), e.X)}})
	case *ast.UnaryExpr:
		basic, ok := r.of.TypesInfo.Types[e].Type.(*types.Basic)
		if e.Op == token.SUB && ok && basic.Info()&types.IsUntyped == 0 {
			c.Replace(&ast.CallExpr{
				Fun:  &ast.IndexExpr{X: &ast.SelectorExpr{X: ast.NewIdent(switches), Sel: ast.NewIdent("Negative")}, Index: ast.NewIdent(basic.Name())},
				Args: []ast.Expr{r.number(e.OpPos, "INVERT_NEGATIVES"), e.X},
			})
		}
	}
	return true
}

func isNumber(t types.Type) bool {
	b, ok := t.Underlying().(*types.Basic)
	return ok && b.Info()&types.IsNumeric != 0
}

// directives are the comments that the compiler reads; the others would stand in the wrong places.
func directives(all []*ast.CommentGroup) (out []*ast.CommentGroup) {
	for _, c := range all {
		if strings.HasPrefix(c.List[len(c.List)-1].Text, "//go:") {
			out = append(out, c)
		}
	}
	return out
}
