package texts_test

import (
	"go/ast"
	"go/parser"
	"go/token"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/goccy/go-yaml"
	"github.com/stretchr/testify/require"

	"yembra/server/texts"
)

var verb = regexp.MustCompile(`%[-+# 0]*[\d.]*[a-zA-Z]`)

// calls lists the calls of Say and Keep in the server's sources, by key with how many arguments each has.
func calls(t *testing.T) map[string][]int {
	t.Helper()
	out := map[string][]int{}
	for _, folder := range []string{"..", filepath.Join("..", "gate")} {
		files, err := filepath.Glob(filepath.Join(folder, "*.go"))
		require.NoError(t, err)
		for _, file := range files {
			parsed, err := parser.ParseFile(token.NewFileSet(), file, nil, 0)
			require.NoError(t, err)
			ast.Inspect(parsed, func(n ast.Node) bool {
				call, ok := n.(*ast.CallExpr)
				if !ok {
					return true
				}
				fun, ok := call.Fun.(*ast.SelectorExpr)
				if !ok || fun.Sel.Name != "Say" && fun.Sel.Name != "Keep" || len(call.Args) == 0 {
					return true
				}
				if of, named := fun.X.(*ast.Ident); !named || of.Name != "texts" {
					return true
				}
				lit, ok := call.Args[0].(*ast.BasicLit)
				require.True(t, ok, "%s: a key is written out", file)
				key, err := strconv.Unquote(lit.Value)
				require.NoError(t, err)
				out[key] = append(out[key], len(call.Args)-1)
				return true
			})
		}
	}
	return out
}

// Every key that the server says is in the table, with as many places as it is given; and every
// text of the table is said.
func TestTheTableHoldsWhatIsSaid(t *testing.T) {
	raw, err := os.ReadFile("en.yaml")
	require.NoError(t, err)
	table := map[string]string{}
	require.NoError(t, yaml.Unmarshal(raw, &table))
	said := calls(t)
	require.NotEmpty(t, said)
	for key, counts := range said {
		text, ok := table[key]
		require.True(t, ok, "%s is not in the table", key)
		places := len(verb.FindAllString(strings.ReplaceAll(text, "%%", ""), -1))
		require.False(t, slices.ContainsFunc(counts, func(n int) bool { return n != places }), "%s has %d places", key, places)
	}
	said["readTheRecipe"] = []int{0} // by the store
	for key := range table {
		require.NotNil(t, said[key], "nobody says %s", key)
	}
}

// Sentences of problems stand in the table and not in the code.
func TestNoProblemIsWordedInTheCode(t *testing.T) {
	files, err := filepath.Glob(filepath.Join("..", "*.go"))
	require.NoError(t, err)
	for _, file := range files {
		if strings.HasSuffix(file, "_test.go") {
			continue
		}
		parsed, err := parser.ParseFile(token.NewFileSet(), file, nil, 0)
		require.NoError(t, err)
		ast.Inspect(parsed, func(n ast.Node) bool {
			call, ok := n.(*ast.CallExpr)
			if !ok || len(call.Args) == 0 {
				return true
			}
			name, ok := call.Fun.(*ast.Ident)
			if !ok || name.Name != "badRequest" && name.Name != "unprocessable" {
				return true
			}
			_, bare := call.Args[0].(*ast.BasicLit)
			require.False(t, bare, "%s words a problem itself", file)
			return true
		})
	}
}

func TestTextsAreSaidAsTheyStand(t *testing.T) {
	require.Equal(t, "The original is missing.", texts.Say("theOriginalIsMissing"))
	require.Equal(t, "is longer than 80 letters", texts.Say("isLongerThanLetters", 80))
}

// What is kept is a key with what stands in its places, told in the words of today; what the cook or
// a screen wrote stands as it is.
func TestWhatIsKeptIsNoSentence(t *testing.T) {
	kept := texts.Keep("theTableWantedMoreAndLess", "smoke", "sweet, sour")
	require.NotContains(t, kept, "wanted more ")
	require.Equal(t, "the table wanted more smoke and less sweet, sour", texts.Retold(kept))
	require.Equal(t, "read the recipe", texts.Retold("@readTheRecipe"))
	for _, own := range []string{"less onion", "@home", "@dish.renamedIt", "@theTableWantedMore [", ""} {
		require.Equal(t, own, texts.Retold(own))
	}
}
