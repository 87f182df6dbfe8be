package texts_test

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/goccy/go-yaml"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/text/language"

	"yembra/core/texts"
)

// verb is a place of a text.
var verb = regexp.MustCompile(`%[-+# 0]*[\d.]*[a-zA-Z]`)

// sources are the files of core, parsed, but for tests.
func sources(t *testing.T) map[string]*ast.File {
	t.Helper()
	all := map[string]*ast.File{}
	require.NoError(t, filepath.WalkDir("..", func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
			return err
		}
		parsed, err := parser.ParseFile(token.NewFileSet(), path, nil, 0)
		all[filepath.ToSlash(path)] = parsed
		return err
	}))
	require.Greater(t, len(all), 100)
	return all
}

// table are the forms of each text, by key.
func table(t *testing.T) map[string][]string {
	t.Helper()
	raw, err := os.ReadFile("en.yaml")
	require.NoError(t, err)
	read := map[string]any{}
	require.NoError(t, yaml.Unmarshal(raw, &read))
	out := map[string][]string{}
	for key, said := range read {
		switch said := said.(type) {
		case string:
			out[key] = []string{said}
		case map[string]any:
			require.Len(t, said, 2, key)
			out[key] = []string{said["one"].(string), said["other"].(string)}
		}
		require.NotEmpty(t, out[key], key)
	}
	return out
}

func literal(e ast.Expr) (string, bool) {
	lit, ok := e.(*ast.BasicLit)
	if !ok || lit.Kind != token.STRING {
		return "", false
	}
	text, err := strconv.Unquote(lit.Value)
	return text, err == nil
}

// What is said is in the table with as many places as it is given, and what is in the table is said.
func TestTheTableHoldsWhatCoreSays(t *testing.T) {
	known, used := table(t), map[string]bool{}
	said := 0
	for path, file := range sources(t) {
		ast.Inspect(file, func(n ast.Node) bool {
			if e, ok := n.(ast.Expr); ok {
				if key, is := literal(e); is {
					used[key] = true
				}
			}
			call, ok := n.(*ast.CallExpr)
			if !ok || len(call.Args) == 0 {
				return true
			}
			fun, ok := call.Fun.(*ast.SelectorExpr)
			if !ok || fun.Sel.Name != "Say" {
				return true
			}
			if of, named := fun.X.(*ast.Ident); !named || of.Name != "texts" {
				return true
			}
			key, written := literal(call.Args[0])
			if !written {
				return true // by a key that is handed in, or put together
			}
			said++
			forms, there := known[key]
			if !assert.True(t, there, "%s: %s is not in the table", path, key) {
				return true
			}
			places := len(verb.FindAllString(strings.ReplaceAll(forms[len(forms)-1], "%%", ""), -1))
			assert.Equal(t, places, len(call.Args)-1, "%s: the places of %s", path, key)
			return true
		})
	}
	require.Greater(t, said, 200)
	for key := range known {
		pkg, name, ok := strings.Cut(key, ".")
		require.True(t, ok && pkg != "" && name != "", key)
		put := used[pkg+"."] && used[name] // put together from a name that the package has
		assert.True(t, used[key] || put, "nobody says %s", key)
	}
}

// sentence is what only a sentence has: three words beside each other.
var sentence = regexp.MustCompile(`[A-Za-z]{2,} [A-Za-z]+ [A-Za-z]{2,}`)

// namesFaults are files that tell a contributor what is wrong with the tables of the knowledge, and
// what only names a work.
var namesFaults = regexp.MustCompile(`/larder/(check|checkfood|behaviour|bounds|country|eaten|facts|house|keeping|kitchens|knownby|load|loadfoods|making|reference|takenfirst|watched)\.go$|/measure/unit\.go$`)

// Words of the contract stand for themselves.
var named = map[string]bool{
	"will not hold": true, "gummy, dense or stiff": true, "g of mix bound": true, "ml of batter doubled": true, "g of oil held": true, "g of solid fat": true,
	"ml to coating": true, "ml set sliceable": true,
	"does what you said it does": true,
}

// No sentence to people stands in the code.
func TestNoSentenceStandsInTheCode(t *testing.T) {
	for path, file := range sources(t) {
		if namesFaults.MatchString(path) {
			continue
		}
		ast.Inspect(file, func(n ast.Node) bool {
			if call, ok := n.(*ast.CallExpr); ok {
				switch fun := call.Fun.(type) {
				case *ast.SelectorExpr:
					if fun.Sel.Name == "Errorf" || fun.Sel.Name == "New" {
						return false // tells a caller, with what and where
					}
				case *ast.Ident:
					if fun.Name == "panic" {
						return false
					}
				}
			}
			if e, ok := n.(ast.Expr); ok {
				text, is := literal(e)
				assert.False(t, is && !named[text] && sentence.MatchString(text), "%s says %q itself", path, text)
			}
			return true
		})
	}
}

// A number decides the form; figures stand as people write them.
func TestTextsAreSaidAsTheyStand(t *testing.T) {
	for _, x := range []struct{ want, is string }{
		{"1 minute", texts.Say("stove.minutes", 1.0)},
		{"2.5 minutes", texts.Say("stove.minutes", 2.5)},
		{"3 rings", texts.Say("day.rings", 3)},
		{"Saltier by 1.3 g.", texts.Say("balance.saltierByG", 1.26)},
		{"The dish weighs 1,250 g instead of 900 g.", texts.Say("balance.theDishWeighsGInsteadOf", 1250.2, 899.9)},
		{"The dish", texts.Say("balance.theDish")},
	} {
		require.Equal(t, x.want, x.is)
	}
}

// A language is a table: another one says the same keys in its own words and forms, and what was kept
// by its key is told in it.
func TestAnotherLanguageIsATable(t *testing.T) {
	polish := texts.Read([]byte("rings: { one: \"%d palnik\", other: \"%d palnika\" }\nwants: \"potrzeba %s; jest %d\"\nall: \"50 %% i koniec\"\n"), language.Polish)
	require.Equal(t, "1 palnik", polish.Say("rings", 1))
	require.Equal(t, "potrzeba soli; jest 2", polish.Say("wants", "soli", 2))
	require.Equal(t, "50 % i koniec", polish.Say("all"))
	kept := polish.Keep("wants", "soli", 2)
	require.Equal(t, "potrzeba soli; jest 2", polish.Retold(kept))
	require.Equal(t, "@nothing", polish.Retold("@nothing"))
	require.Panics(t, func() { texts.Read([]byte("a: [1]"), language.Polish) })
}
