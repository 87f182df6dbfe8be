// Package formats turns recipes in open formats into what the reader takes
// (schema.org Recipe as JSON-LD, alone or inside an HTML page, HTML without it,
// a CSV table) and writes originals as JSON-LD, Markdown and CSV. Nothing of a
// page but its words is kept.
package formats

import (
	"encoding/json"
	"errors"
	"fmt"
	"strings"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"

	"yembra/core/recipe"
)

// The formats a recipe text may be in.
const (
	Text   = "text"
	JSONLD = "jsonld"
	HTML   = "html"
)

// ErrNoRecipe tells that well-formed input holds no recipe of its format.
var ErrNoRecipe = errors.New("holds no recipe")

// Detect says which format a text is in, by how it begins.
func Detect(text string) string {
	t := strings.TrimSpace(text)
	switch {
	case strings.HasPrefix(t, "{") || strings.HasPrefix(t, "["):
		if json.Valid([]byte(t)) {
			return JSONLD
		}
	case strings.HasPrefix(t, "<"):
		lower := strings.ToLower(t[:min(len(t), 2000)])
		for _, mark := range []string{"<!doctype", "<html", "<head", "<body", "<div", "<article", "<p>", "<h1", "<ul", "<script", "<section", "<main"} {
			if strings.Contains(lower, mark) {
				return HTML
			}
		}
	}
	if first, _, _ := strings.Cut(t, "\n"); strings.Contains(first, "kind,text") {
		return CSV
	}
	return Text
}

// FromJSONLD reads the first schema.org Recipe in a JSON-LD document, which
// may stand alone, in a list or in a graph.
func FromJSONLD(text string) (recipe.Source, error) {
	var doc any
	if err := json.Unmarshal([]byte(text), &doc); err != nil {
		return recipe.Source{}, fmt.Errorf("read JSON-LD: %w", err)
	}
	node := findRecipe(doc, 0)
	if node == nil {
		return recipe.Source{}, fmt.Errorf("JSON-LD: %w", ErrNoRecipe)
	}
	src := recipe.Source{Name: words(node["name"]), Yield: yield(node["recipeYield"])}
	section := recipe.Section{}
	for _, key := range []string{"recipeIngredient", "ingredients"} {
		for _, line := range list(node[key]) {
			if t := words(line); t != "" {
				section.Lines = append(section.Lines, t)
			}
		}
		if section.Lines != nil {
			break
		}
	}
	named := []recipe.Section{}
	for _, step := range list(node["recipeInstructions"]) {
		m, ok := step.(map[string]any)
		if ok && isType(m, "HowToSection") {
			part := recipe.Section{Name: words(m["name"]), Steps: steps(m["itemListElement"]), Lines: takeLines(&section, m["recipeIngredient"])}
			named = append(named, part)
			continue
		}
		section.Steps = append(section.Steps, steps(step)...)
	}
	src.Sections = append([]recipe.Section{section}, named...)
	return src, nil
}

// deepest bounds how far a document is followed.
const deepest = 12

func findRecipe(v any, depth int) map[string]any {
	if depth > deepest {
		return nil
	}
	switch x := v.(type) {
	case []any:
		for _, item := range x {
			if r := findRecipe(item, depth+1); r != nil {
				return r
			}
		}
	case map[string]any:
		if isType(x, "Recipe") {
			return x
		}
		for _, key := range []string{"@graph", "mainEntity", "mainEntityOfPage", "itemListElement", "item"} {
			if r := findRecipe(x[key], depth+1); r != nil {
				return r
			}
		}
	}
	return nil
}

func isType(m map[string]any, want string) bool {
	for _, t := range list(m["@type"]) {
		if s, ok := t.(string); ok && (s == want || strings.HasSuffix(s, "/"+want)) {
			return true
		}
	}
	return false
}

func list(v any) []any {
	switch x := v.(type) {
	case nil:
		return nil
	case []any:
		return x
	}
	return []any{v}
}

// words is the plain text of a value: entities and tags are taken out.
func words(v any) string {
	switch x := v.(type) {
	case string:
		return strings.Join(strings.Fields(plain(x)), " ")
	case float64:
		return fmt.Sprintf("%g", x)
	case map[string]any:
		for _, key := range []string{"text", "name", "@value"} {
			if s := words(x[key]); s != "" {
				return s
			}
		}
	case []any:
		if len(x) > 0 {
			return words(x[0])
		}
	}
	return ""
}

func yield(v any) string {
	best := ""
	for _, y := range list(v) {
		if s := words(y); len(s) > len(best) {
			best = s
		}
	}
	return best
}

// steps reads HowToStep, HowToSection, lists and plain text; text with several
// paragraphs gives several steps.
func steps(v any) []string {
	var out []string
	switch x := v.(type) {
	case []any:
		for _, item := range x {
			out = append(out, steps(item)...)
		}
	case map[string]any:
		if inner := x["itemListElement"]; inner != nil {
			return steps(inner)
		}
		if t := words(x); t != "" {
			out = append(out, t)
		}
	case string:
		for _, line := range strings.Split(plain(x), "\n") {
			if t := strings.Join(strings.Fields(line), " "); t != "" {
				out = append(out, t)
			}
		}
	}
	return out
}

// plain takes tags and entities out of text that may hold some.
func plain(s string) string {
	if !strings.ContainsAny(s, "<&") {
		return s
	}
	return textOf(s)
}

// FromHTML reads an HTML page: the JSON-LD recipe in it where there is one, or
// else its visible text, for the layout to read. Exactly one of the results is
// set.
func FromHTML(page string) (src *recipe.Source, text string, err error) {
	doc, err := html.Parse(strings.NewReader(page))
	if err != nil {
		return nil, "", fmt.Errorf("read HTML: %w", err)
	}
	for n := range doc.Descendants() {
		if n.Type == html.ElementNode && n.DataAtom == atom.Script && n.FirstChild != nil && strings.Contains(attribute(n, "type"), "ld+json") {
			if found, err := FromJSONLD(n.FirstChild.Data); err == nil {
				return &found, "", nil
			}
		}
	}
	return nil, render(doc), nil
}

func attribute(n *html.Node, name string) string {
	for _, a := range n.Attr {
		if a.Key == name {
			return strings.ToLower(a.Val)
		}
	}
	return ""
}

func textOf(fragment string) string {
	doc, err := html.Parse(strings.NewReader(fragment))
	if err != nil {
		return fragment
	}
	return render(doc)
}

// unread elements hold nothing a cook would read.
var unread = map[atom.Atom]bool{
	atom.Script: true, atom.Style: true, atom.Noscript: true, atom.Template: true, atom.Nav: true, atom.Footer: true, atom.Head: true,
	atom.Iframe: true, atom.Svg: true, atom.Button: true, atom.Form: true, atom.Select: true, atom.Aside: true,
}

var blocks = map[atom.Atom]bool{
	atom.P: true, atom.Div: true, atom.Li: true, atom.Br: true, atom.Tr: true, atom.Section: true, atom.Article: true, atom.Ul: true, atom.Ol: true,
	atom.Header: true, atom.Main: true, atom.Table: true, atom.Blockquote: true, atom.Dd: true, atom.Dt: true, atom.Dl: true, atom.Figure: true,
}

var headings = map[atom.Atom]bool{atom.H1: true, atom.H2: true, atom.H3: true, atom.H4: true, atom.H5: true, atom.H6: true}

// render writes the visible text of a tree as Markdown that the layout reads:
// headings marked, list items bulleted or numbered, one block a line.
func render(doc *html.Node) string {
	var b strings.Builder
	var walk func(n *html.Node, depth int)
	walk = func(n *html.Node, depth int) {
		if depth > 200 || n.Type == html.ElementNode && unread[n.DataAtom] {
			return
		}
		if n.Type == html.TextNode {
			b.WriteString(strings.Map(func(r rune) rune {
				if r == '\n' && n.Parent != nil && n.Parent.DataAtom != atom.Body && n.Parent.DataAtom != atom.Pre {
					return ' '
				}
				return r
			}, n.Data))
			return
		}
		switch {
		case headings[n.DataAtom]:
			b.WriteString("\n\n# ")
		case n.DataAtom == atom.Li && n.Parent != nil && n.Parent.DataAtom == atom.Ol:
			fmt.Fprintf(&b, "\n%d. ", itemNumber(n))
		case n.DataAtom == atom.Li:
			b.WriteString("\n* ")
		case blocks[n.DataAtom]:
			b.WriteString("\n")
		}
		for c := n.FirstChild; c != nil; c = c.NextSibling {
			walk(c, depth+1)
		}
		if blocks[n.DataAtom] || headings[n.DataAtom] {
			b.WriteString("\n")
		}
	}
	walk(doc, 0)
	return b.String()
}

func itemNumber(n *html.Node) int {
	number := 1
	for s := n.PrevSibling; s != nil; s = s.PrevSibling {
		if s.DataAtom == atom.Li {
			number++
		}
	}
	return number
}
