package formats_test

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/formats"
)

const graph = `{"@context": "https://schema.org", "@graph": [{"@type": "WebPage"}, {"@type": ["Recipe"], "name": "Goulash &amp; noodles",
 "recipeYield": ["4", "4 servings"], "recipeIngredient": ["500 g beef", "2 onions", "<b>1 tbsp</b> paprika"],
 "recipeInstructions": [{"@type": "HowToStep", "text": "Brown the beef."},
  {"@type": "HowToSection", "name": "Noodles", "itemListElement": [{"@type": "HowToStep", "text": "Boil &frac12; the noodles."}]}]}]}`

func ExampleFromJSONLD() {
	src, _ := formats.FromJSONLD(`{"@type": "Recipe", "name": "Soup", "recipeYield": "2", "recipeIngredient": ["1 leek"], "recipeInstructions": "Slice it.\nBoil it."}`)
	fmt.Println(src.Name, src.Sections[0].Lines, len(src.Sections[0].Steps))
	// Output: Soup [1 leek] 2
}

func TestJSONLDInAGraph(t *testing.T) {
	require.Equal(t, formats.JSONLD, formats.Detect(graph))
	src, err := formats.FromJSONLD(graph)
	require.NoError(t, err)
	require.Equal(t, "Goulash & noodles", src.Name)
	require.Equal(t, "4 servings", src.Yield)
	require.Equal(t, []string{"500 g beef", "2 onions", "1 tbsp paprika"}, src.Sections[0].Lines)
	require.Equal(t, []string{"Brown the beef."}, src.Sections[0].Steps)
	require.Equal(t, "Noodles", src.Sections[1].Name)
	require.Equal(t, []string{"Boil ½ the noodles."}, src.Sections[1].Steps)
}

func TestJSONLDWithoutARecipe(t *testing.T) {
	for _, text := range []string{`{"@type": "Person"}`, `[]`, `7`, `{"@graph": {"@graph": {"@graph": 1}}}`} {
		_, err := formats.FromJSONLD(text)
		require.ErrorIs(t, err, formats.ErrNoRecipe, text)
	}
	_, err := formats.FromJSONLD(`{"name": `)
	require.Error(t, err)
}

func TestHTMLPrefersItsJSONLD(t *testing.T) {
	src, text, err := formats.FromHTML(`<html><head><script type="application/ld+json">` + graph + `</script></head><body><h1>Other</h1></body></html>`)
	require.NoError(t, err)
	require.Empty(t, text)
	require.Equal(t, "Goulash & noodles", src.Name)
}

func TestHTMLWithoutJSONLDKeepsOnlyItsWords(t *testing.T) {
	page := `<!doctype html><html><head><title>t</title><style>p{color:red}</style></head><body><nav>Home</nav>
<h1>Leek soup</h1><p onclick="alert(1)">Serves&nbsp;4</p><h2>Ingredients</h2><ul><li>2 leeks</li><li>1&frac12; l <b>stock</b></li></ul>
<h2>Method</h2><ol><li>Slice.</li><li>Boil.</li></ol><script>alert("x")</script></body></html>`
	require.Equal(t, formats.HTML, formats.Detect(page))
	src, text, err := formats.FromHTML(page)
	require.NoError(t, err)
	require.Nil(t, src)
	for _, gone := range []string{"alert", "color", "Home", "<", "&"} {
		require.NotContains(t, text, gone)
	}
	require.Contains(t, text, "# Leek soup")
	require.Contains(t, text, "* 1½ l stock")
	require.Contains(t, text, "2. Boil.")
}

func TestDetect(t *testing.T) {
	for text, want := range map[string]string{"2 eggs": formats.Text, "{not json": formats.Text, "<3 leeks": formats.Text, " <p>2 eggs</p>": formats.HTML, "[]": formats.JSONLD} {
		require.Equal(t, want, formats.Detect(text), text)
	}
}

func FuzzFromHTML(f *testing.F) {
	f.Add(graph)
	f.Add(`<ol><li>1<ol><li>` + strings.Repeat("<div>", 300))
	f.Fuzz(func(t *testing.T, page string) {
		_, text, err := formats.FromHTML(page)
		if err == nil && strings.Contains(strings.ToLower(text), "<script") && !strings.Contains(page, "&") && !strings.Contains(page, "<plaintext") && strings.Count(page, "<") < 2 {
			t.Fatalf("a script got through: %q", text)
		}
	})
}
