package formats

import (
	"bytes"
	"encoding/csv"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"slices"
	"strconv"
	"strings"

	"yembra/core/measure"
	"yembra/core/recipe"
)

// CSV is a table of lines and steps, one a row.
const CSV = "csv"

// instruction and howTo are the parts of a schema.org Recipe that are written.
type instruction struct {
	Type  string        `json:"@type"`
	Name  string        `json:"name,omitempty"`
	Text  string        `json:"text,omitempty"`
	Lines []string      `json:"recipeIngredient,omitempty"`
	Steps []instruction `json:"itemListElement,omitempty"`
}

type howTo struct {
	Context      string        `json:"@context"`
	Type         string        `json:"@type"`
	Name         string        `json:"name"`
	Yield        string        `json:"recipeYield,omitempty"`
	Ingredients  []string      `json:"recipeIngredient"`
	Instructions []instruction `json:"recipeInstructions"`
}

// ToJSONLD writes an original as a schema.org Recipe. Components become
// HowToSections, which also repeat their own ingredient lines, so that the
// parts survive a round trip.
func ToJSONLD(name string, d recipe.Dish) ([]byte, error) {
	out := howTo{Context: "https://schema.org", Type: "Recipe", Name: name, Yield: yieldOf(d.Serves), Ingredients: []string{}, Instructions: []instruction{}}
	for i, c := range d.Components {
		section := instruction{Type: "HowToSection", Name: partName(i, c)}
		for _, l := range c.Lines {
			section.Lines = append(section.Lines, l.Text)
		}
		for _, s := range c.Steps {
			section.Steps = append(section.Steps, instruction{Type: "HowToStep", Text: s.Text})
		}
		out.Ingredients = append(out.Ingredients, section.Lines...)
		if section.Name == "" {
			out.Instructions = append(out.Instructions, section.Steps...)
			continue
		}
		out.Instructions = append(out.Instructions, section)
	}
	return indented(out)
}

// indented writes JSON for people to read, letters as they are.
func indented(v any) ([]byte, error) {
	var b bytes.Buffer
	e := json.NewEncoder(&b)
	e.SetEscapeHTML(false)
	e.SetIndent("", "  ")
	if err := e.Encode(v); err != nil {
		return nil, fmt.Errorf("write JSON-LD: %w", err)
	}
	return inPage(b.Bytes()), nil
}

// takeLines gives a section the ingredient lines it claims, taking them from
// the flat list.
func takeLines(from *recipe.Section, claimed any) []string {
	if len(from.Lines) > mostTaken {
		from.Lines = from.Lines[:mostTaken]
	}
	items := list(claimed)
	if len(items) == 0 {
		return nil
	}
	left := slices.Clone(from.Lines)
	var lines []string
	for _, item := range items[:min(len(items), mostTaken)] {
		t := words(item)
		if i := slices.Index(left, t); i >= 0 {
			left = slices.Delete(left, i, i+1)
			lines = append(lines, t)
		}
	}
	from.Lines = left
	return lines
}

// mostTaken is how many lines of structured data are shared out among its
// parts, more than the reader takes.
const mostTaken = 1000

// mainPart names a nameless part that does not stand first, where a nameless
// one could not be told from the part before.
const mainPart = "Main part"

func partName(i int, c recipe.Component) string {
	if c.Name == "" && i > 0 {
		return mainPart
	}
	return c.Name
}

func yieldOf(s *measure.Span) string {
	if s == nil {
		return ""
	}
	if s.Low == s.High {
		return fmt.Sprintf("%g servings", s.Low)
	}
	return fmt.Sprintf("%g-%g servings", s.Low, s.High)
}

// ToMarkdown writes an original as a person would: headings, bullets and
// numbered steps, part by part.
func ToMarkdown(name string, d recipe.Dish) []byte {
	var b strings.Builder
	fmt.Fprintf(&b, "# %s\n\n", oneLine(name))
	if d.Serves != nil {
		b.WriteString("Serves " + strings.TrimSuffix(yieldOf(d.Serves), " servings") + "\n\n")
	}
	b.WriteString("## Ingredients\n\n")
	for i, c := range d.Components {
		if len(c.Lines) == 0 {
			continue
		}
		if name := partName(i, c); name != "" {
			fmt.Fprintf(&b, "### %s\n\n", oneLine(name))
		}
		for _, l := range c.Lines {
			b.WriteString("- " + oneLine(l.Text) + "\n")
		}
		b.WriteString("\n")
	}
	b.WriteString("## Method\n\n")
	for i, c := range d.Components {
		if len(c.Steps) == 0 {
			continue
		}
		if name := partName(i, c); name != "" {
			fmt.Fprintf(&b, "### %s\n\n", oneLine(name))
		}
		for n, s := range c.Steps {
			fmt.Fprintf(&b, "%d. %s\n", n+1, oneLine(s.Text))
		}
		b.WriteString("\n")
	}
	return []byte(b.String())
}

// csvHeader names the columns; kind is name, serves, line or step.
var csvHeader = []string{"component", "kind", "text", "low", "high", "unit", "gramsLow", "gramsHigh", "food", "form", "origin", "animal"}

// ToCSV writes an original as a table of one row a line or step.
func ToCSV(name string, d recipe.Dish) ([]byte, error) {
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	row := func(cells ...string) {
		full := make([]string, len(csvHeader))
		for i, cell := range cells {
			full[i] = Cell(cell)
		}
		// The writer keeps its first error until Flush.
		_ = w.Write(full)
	}
	row(csvHeader...)
	row("", "name", name)
	if d.Serves != nil {
		row("", "serves", yieldOf(d.Serves))
	}
	for i, c := range d.Components {
		part := partName(i, c)
		for _, l := range c.Lines {
			cells := []string{part, "line", l.Text, "", "", "", "", "", l.FoodID(), l.Form, string(l.Origin), string(l.Animal)}
			if l.Amount != nil {
				cells[3], cells[4], cells[5] = figure(l.Amount.Low), figure(l.Amount.High), string(l.Amount.Unit)
			}
			if l.Grams != nil {
				cells[6], cells[7] = figure(l.Grams.Low), figure(l.Grams.High)
			}
			row(cells...)
		}
		for _, s := range c.Steps {
			row(part, "step", s.Text)
		}
	}
	w.Flush()
	if err := w.Error(); err != nil {
		return nil, fmt.Errorf("write CSV: %w", err)
	}
	return b.Bytes(), nil
}

func figure(v float64) string { return strconv.FormatFloat(v, 'g', 8, 64) }

// ErrTable tells that a CSV text is not a table of a recipe.
var ErrTable = errors.New("is not a table of a recipe")

// FromCSV reads the table that ToCSV writes; columns may stand in any order
// and only kind and text are needed. foods holds, section by section, the food
// that each line was said to be, "" where the table does not say.
func FromCSV(text string) (src recipe.Source, foods [][]string, err error) {
	r := csv.NewReader(strings.NewReader(text))
	r.FieldsPerRecord = -1
	header, err := r.Read()
	if err != nil {
		return src, nil, fmt.Errorf("the text %w: %w", ErrTable, err)
	}
	at := map[string]int{}
	for i, h := range header {
		at[strings.ToLower(strings.TrimSpace(h))] = i
	}
	if _, ok := at["kind"]; !ok {
		return src, nil, fmt.Errorf("the text %w: no column is named kind", ErrTable)
	}
	sections := map[string]int{}
	for n := 2; ; n++ {
		cells, err := r.Read()
		if errors.Is(err, io.EOF) {
			return src, foods, nil
		}
		if err != nil {
			return src, nil, fmt.Errorf("row %d: %w", n, err)
		}
		cell := func(name string) string {
			if i, ok := at[name]; ok && i < len(cells) {
				return cellText(strings.TrimSpace(cells[i]))
			}
			return ""
		}
		name := cell("component")
		i, ok := sections[name]
		kind := cell("kind")
		if !ok && (kind == "line" || kind == "step") {
			i = len(src.Sections)
			sections[name] = i
			src.Sections = append(src.Sections, recipe.Section{Name: name})
			foods = append(foods, nil)
		}
		switch kind {
		case "name":
			src.Name = cell("text")
		case "serves":
			src.Yield = cell("text")
		case "line":
			src.Sections[i].Lines = append(src.Sections[i].Lines, cell("text"))
			foods[i] = append(foods[i], cell("food"))
		case "step":
			src.Sections[i].Steps = append(src.Sections[i].Steps, cell("text"))
		default:
			return src, nil, fmt.Errorf("row %d: kind is %q, not name, serves, line or step", n, kind)
		}
	}
}
