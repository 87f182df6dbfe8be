package formats

import (
	"bytes"
	"fmt"
	"html/template"
	"slices"
	"strings"

	"yembra/core/recipe"
)

// Card is an adapted dish as it is handed on.
type Card struct {
	Name  string `json:"name"`
	Place string `json:"place"`
	Lives string `json:"lives"`
	// Dish holds the adapted components, lines and steps at the size asked for,
	// Factor times the recipe's own.
	Dish   recipe.Dish `json:"dish"`
	Factor float64     `json:"factor"`
	// Beside gives, by component and line, the amount in the other measure;
	// empty where the line says both or has none.
	Beside [][]string `json:"beside"`
	// Bought gives, by component and line, what a line that is listed cooked, soaked or
	// boiled down is made from, empty for the others; Beside says it too.
	Bought [][]string `json:"-"`
	// Open lists lines for which nothing is chosen; a card with any is not
	// finished.
	Open    []string   `json:"open"`
	Changed []Replaced `json:"changed"`
	// Findings are what reading the card back has found: steps to look at.
	Findings []CardFinding `json:"findings"`
	// Short says which pinned traits stayed short.
	Short     []string      `json:"short"`
	Cautions  []CardCaution `json:"cautions"`
	Allergens []string      `json:"allergens"`
	Labels    []string      `json:"labels"`
	Keeping   []string      `json:"keeping"`
	// Sizing says what another number at the table does not scale.
	Sizing []string `json:"sizing"`
	// Measured are the kitchen's own factors that its figures use.
	Measured []string `json:"measured"`
	// Weekday says what the quicker version saves, where this is one.
	Weekday string `json:"weekday"`
	// Cooked says how a trial was cooked, Table what its tasters said of it; Plate is
	// its first picture, as JPEG.
	Cooked []string `json:"cooked"`
	Table  []string `json:"table"`
	Plate  []byte   `json:"-"`
	// Picture is the id of the plate's picture, empty for none.
	Picture  string  `json:"picture"`
	SidePots []Pot   `json:"sidePots"`
	Tally    string  `json:"tally"`
	Serving  Serving `json:"serving"`
	// Sources are the titles behind the figures.
	Sources []string `json:"sources"`
}

// Serving is what one serving gives, in kcal and grams.
type Serving struct {
	Energy       float64 `json:"energy"`
	Protein      float64 `json:"protein"`
	Fat          float64 `json:"fat"`
	Carbohydrate float64 `json:"carbohydrate"`
	Fibre        float64 `json:"fibre"`
	Salt         float64 `json:"salt"`
}

// notes are the words of a serving; a trial keeps its card, not what was worked out
// of it, and has none.
func (s Serving) notes() []string {
	if s == (Serving{}) {
		return nil
	}
	return []string{s.words()}
}

// Replaced says what stands for what, and why.
type Replaced struct {
	From string `json:"from"`
	To   string `json:"to"`
	Why  string `json:"why"`
	// Limits is what it cannot do, in one line.
	Limits string `json:"limits"`
}

// Words say what stands in, why, and what it cannot do.
func (r Replaced) Words() string {
	text := r.To + ". " + r.Why
	if r.Limits != "" {
		text += " Limits: " + r.Limits
	}
	return text
}

// Looks are the findings as sentences that name their step.
func (c Card) Looks() []string {
	var out []string
	for _, f := range c.Findings {
		where := fmt.Sprintf("step %d", f.Step+1)
		if name := partName(f.Part, c.Dish.Components[f.Part]); name != "" {
			where = name + ", " + where
		}
		out = append(out, where+": "+f.Text)
	}
	return out
}

// CardFinding is a step of the card that a cook must look at before cooking from
// it. Part and Step are indexes into the card's components and their steps.
type CardFinding struct {
	Part  int    `json:"part"`
	Step  int    `json:"step"`
	Kind  string `json:"kind"`
	Text  string `json:"text"`
	Quote string `json:"quote"`
}

// CardCaution is one thing that can hurt; grave ones are set out.
type CardCaution struct {
	Text  string `json:"text"`
	Grave bool   `json:"grave"`
}

// Pot is the side pot of guests who eat the original.
type Pot struct {
	Title string   `json:"title"`
	Lines []string `json:"lines"`
	Steps []string `json:"steps"`
}

// Both is a line of the card in both measures.
func (c Card) Both(component, line int) string {
	text := c.Dish.Components[component].Lines[line].Text
	if other := c.beside(component, line); other != "" {
		text += " · " + other
	}
	return text
}

// beside is a line's amount in the other measure, empty where there is none.
func (c Card) beside(component, line int) string {
	if component < len(c.Beside) && line < len(c.Beside[component]) {
		return c.Beside[component][line]
	}
	return ""
}

// Deference stands under every list of cautions.
const Deference = "Follow local food-safety rules; this is general guidance."

func (c Serving) words() string {
	return fmt.Sprintf("%.0f kcal, protein %.0f g, fat %.0f g, carbohydrate %.0f g, fibre %.0f g, salt %.1f g; figures, no advice.", c.Energy, c.Protein, c.Fat, c.Carbohydrate, c.Fibre, c.Salt)
}

func servesWords(d recipe.Dish) string {
	if y := yieldOf(d.Serves); y != "" {
		return "serves " + strings.TrimSuffix(y, " servings")
	}
	return ""
}

// handed is the dish as it is given out in a text format: a line that is listed cooked
// or soaked says in brackets what it is made from.
func (c Card) handed() recipe.Dish {
	d := c.Dish
	d.Components = slices.Clone(d.Components)
	for i := range min(len(d.Components), len(c.Bought)) {
		lines := slices.Clone(d.Components[i].Lines)
		for j := range min(len(lines), len(c.Bought[i])) {
			if bought := c.Bought[i][j]; bought != "" {
				lines[j].Text += " (" + bought + ")"
			}
		}
		d.Components[i].Lines = lines
	}
	return d
}

var page = template.Must(template.New("card").Funcs(template.FuncMap{"serves": servesWords, "part": partName, "serving": Serving.notes, "deference": func() string { return Deference }}).Parse(`<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>{{.Name}}</title>
<meta name="viewport" content="width=device-width">
<style>
body{font:16px/1.5 Georgia,serif;max-width:46rem;margin:2rem auto;padding:0 1rem;color:#2a2431;background:#fbf8f1}
h1{margin:0}h2{margin:1.4em 0 .3em;border-bottom:1px solid #e4ddcf}
.part{display:grid;grid-template-columns:1fr 1.8fr;gap:1.5rem}.part ul{list-style:none;padding:0;margin:0}.part ol{margin:0;padding-left:1.2rem}
.quiet{color:#6a6172}.grave{font-weight:bold}@media(max-width:40rem){.part{display:block}}@media print{body{background:#fff;margin:0}}
</style></head><body>
<h1>{{.Name}}</h1><p class="quiet">{{.Place}}{{if .Place}} · {{end}}in plant form{{with serves .Dish}} · {{.}}{{end}}</p>
{{range .Open}}<p class="grave">Not finished: {{.}}</p>{{end}}
{{range .Looks}}<p class="grave">To look at: {{.}}</p>{{end}}
{{with .Lives}}<p>{{.}}</p>{{end}}
{{range $i, $c := .Dish.Components}}{{with part $i $c}}<h2>{{.}}</h2>{{end}}
<div class="part"><ul>{{range $j, $l := .Lines}}<li>{{$.Both $i $j}}</li>{{end}}</ul><ol>{{range .Steps}}<li>{{.Text}}</li>{{end}}</ol></div>{{end}}
{{range .SidePots}}<h2>{{.Title}}</h2>
<div class="part"><ul>{{range .Lines}}<li>{{.}}</li>{{end}}</ul><ol>{{range .Steps}}<li>{{.}}</li>{{end}}</ol></div>{{end}}
{{with .Changed}}<h2>What was changed</h2><ul>{{range .}}<li><b>{{.From}}</b>: {{.Words}}</li>{{end}}</ul>{{end}}
{{with .Short}}<h2>Short of the original</h2><ul>{{range .}}<li>{{.}}</li>{{end}}</ul>{{end}}
{{with .Cautions}}<h2>Take care</h2><ul>{{range .}}<li{{if .Grave}} class="grave"{{end}}>{{.Text}}</li>{{end}}</ul><p class="quiet">{{deference}}</p>{{end}}
{{with .Allergens}}<h2>Holds</h2><p>{{range $i, $a := .}}{{if $i}}, {{end}}{{$a}}{{end}}. Labels decide, and what touched a board.</p>{{end}}
{{with .Labels}}<h2>Labels to read</h2><ul>{{range .}}<li>{{.}}</li>{{end}}</ul>{{end}}
{{with .Sizing}}<h2>At this size</h2><ul>{{range .}}<li>{{.}}</li>{{end}}</ul>{{end}}
{{with .Cooked}}<h2>As it was cooked</h2><ul>{{range .}}<li>{{.}}</li>{{end}}</ul>{{end}}
{{with .Table}}<h2>What the table said</h2><ul>{{range .}}<li>{{.}}</li>{{end}}</ul>{{end}}
{{with .Measured}}<h2>As learned in this kitchen</h2><ul>{{range .}}<li>{{.}}</li>{{end}}</ul>{{end}}
{{with .Keeping}}<h2>Ahead and keeping</h2><ul>{{range .}}<li>{{.}}</li>{{end}}</ul>{{end}}
{{range serving .Serving}}<h2>A serving</h2><p>{{.}}</p>{{end}}
{{with .Sources}}<p class="quiet">Figures after {{range $i, $x := .}}{{if $i}}; {{end}}{{$x}}{{end}}.</p>{{end}}
</body></html>
`))

// ToCardHTML writes the card as a page that stands alone.
func ToCardHTML(c Card) ([]byte, error) {
	var b bytes.Buffer
	if err := page.Execute(&b, c); err != nil {
		return nil, fmt.Errorf("write the page: %w", err)
	}
	return b.Bytes(), nil
}
