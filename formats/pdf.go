package formats

import (
	"bytes"
	"embed"
	"fmt"
	"math"
	"strings"

	"codeberg.org/go-pdf/fpdf"

	"yembra/core/recipe"
)

// A4 and Letter are the papers that a card prints on.
const (
	A4     = "A4"
	Letter = "Letter"
)

//go:embed fonts/*.ttf
var fonts embed.FS

// The page in points, and the sizes of type on it.
const (
	margin     = 42.0
	gutter     = 20.0
	titleSize  = 25.0
	headSize   = 13.5
	bodySize   = 9.8
	smallSize  = 8.2
	leading    = 1.38
	columnPart = 0.42 // of the width, for the ingredients
	amountPart = 0.42 // of that, for the amounts
	rowAir     = 1.6  // above and below an ingredient, between the hairlines
	hairline   = 0.4
	stepIndent = 15.0
)

// The colours of the card on screen.
var (
	ink    = [3]int{42, 36, 49}
	soft   = [3]int{106, 97, 114}
	hair   = [3]int{228, 221, 207}
	danger = [3]int{168, 72, 31}
)

// setting is how a card is set: the size of its type, 1 as it is, and whether each part has
// its lines beside its steps or all lines stand in one column and all work in another.
type setting struct {
	size  float64
	dense bool
}

// settings are the ways in which a card may be set so that it takes no more than so many pages,
// the roomiest first: on one, closer where that takes it there, else on two, else on as few as
// it takes.
var settings = []struct {
	pages int
	ways  []setting
}{
	{1, []setting{{1, false}, {0.95, false}, {0.9, false}, {0.85, false}, {0.95, true}, {0.9, true}, {0.85, true}, {0.8, false}, {0.8, true}}},
	{2, []setting{{1, false}, {0.95, false}, {0.9, false}, {0.85, false}, {0.8, false}}},
	{math.MaxInt, []setting{{1, false}, {0.9, false}, {0.8, false}}},
}

// ToPDF writes the card as a PDF of A4 or Letter pages with the type of the card
// on screen.
func ToPDF(c Card, paper string) ([]byte, error) {
	if paper != Letter {
		paper = A4
	}
	var best *fpdf.Fpdf
	for _, x := range settings {
		for _, way := range x.ways {
			p, err := setCard(c, paper, way)
			if err != nil {
				return nil, err
			}
			if p.PageNo() <= x.pages || best == nil || p.PageNo() < best.PageNo() {
				best = p
			}
			if p.PageNo() <= x.pages {
				break
			}
		}
		if best.PageNo() <= x.pages {
			break
		}
	}
	var b bytes.Buffer
	if err := best.Output(&b); err != nil {
		return nil, fmt.Errorf("write the PDF: %w", err)
	}
	return b.Bytes(), nil
}

// setCard sets a card in type of a size.
func setCard(c Card, paper string, way setting) (*fpdf.Fpdf, error) {
	f, err := cardFaces()
	if err != nil {
		return nil, err
	}
	p := fpdf.New("P", "pt", paper, "")
	p.SetTitle(oneLine(c.Name), true)
	p.SetCreator("Yembra", true)
	p.SetMargins(margin, margin, margin)
	p.SetAutoPageBreak(true, margin)
	p.AddPage()
	s := sheet{Fpdf: p, faces: f, added: map[string]bool{}, size: way.size, lead: leading}
	if way.dense {
		s.lead = closeLeading
	}
	s.width, _ = p.GetPageSize()
	s.width -= 2 * margin
	s.head(c)
	if way.dense {
		s.inTwo(c)
	} else {
		s.inParts(c)
	}
	s.flow(c)
	return p, p.Error()
}

// sheet draws a card top down.
type sheet struct {
	*fpdf.Fpdf
	faces []*face
	added map[string]bool // faces that are in the file
	width float64
	size  float64 // of the type, 1 as it is set
	lead  float64 // height of a line by the size of its type
}

// style is how a text is set.
type style struct {
	bold, title bool
	size        float64
	colour      [3]int
}

var (
	body    = style{size: bodySize, colour: ink}
	strong  = style{size: bodySize, colour: ink, bold: true}
	small   = style{size: smallSize, colour: ink}
	quiet   = style{size: bodySize, colour: soft}
	heading = style{size: headSize, colour: ink, title: true}
)

// set chooses face, size and colour for a text and returns it as it is written,
// with the height of a line.
func (s sheet) set(st style, text string) (string, float64) {
	text = plainFractions(lines(text))
	f := pick(s.faces, st, text)
	if !s.added[f.name] {
		s.AddUTF8FontFromBytes(f.name, "", f.data)
		s.added[f.name] = true
	}
	size := st.size * s.size
	s.SetFont(f.name, "", size)
	s.SetTextColor(st.colour[0], st.colour[1], st.colour[2])
	return text, size * s.lead
}

func (s sheet) text(st style, x, width float64, text string) {
	text, height := s.set(st, text)
	s.SetX(margin + x)
	s.MultiCell(width, height, text, "", "L", false)
}

func (s sheet) rule(x, width, weight float64, colour [3]int) {
	s.SetDrawColor(colour[0], colour[1], colour[2])
	s.SetLineWidth(weight)
	s.Line(margin+x, s.GetY(), margin+x+width, s.GetY())
}

// head sets the name of the dish with what is to be seen first.
func (s sheet) head(c Card) {
	s.text(style{size: titleSize, colour: ink, title: true}, 0, s.width, oneLine(c.Name))
	under := strings.Trim(oneLine(c.Place)+" · in plant form · "+servesWords(c.Dish), " ·")
	s.text(quiet, 0, s.width, under)
	s.SetY(s.GetY() + 5)
	s.rule(0, s.width, 1.2, ink)
	s.SetY(s.GetY() + 7)
	warned := style{size: bodySize, colour: danger, bold: true}
	for _, o := range c.Open {
		s.text(warned, 0, s.width, "Not finished: "+o)
	}
	for _, look := range c.Looks() {
		s.text(warned, 0, s.width, "To look at: "+look)
	}
	if c.Lives != "" {
		s.text(body, 0, s.width, c.Lives)
	}
}

// block is a part of the dish, or a side pot, as the card sets it.
type block struct {
	name  string
	rows  []row
	steps []string
}

// blocks are the parts of a card and its side pots.
func (c *Card) blocks() []block {
	var out []block
	for i, part := range c.Dish.Components {
		b := block{name: partName(i, part)}
		for j := range part.Lines {
			b.rows = append(b.rows, rowOf(&part.Lines[j], c.beside(i, j)))
		}
		for j := range part.Steps {
			b.steps = append(b.steps, part.Steps[j].Text)
		}
		out = append(out, b)
	}
	for _, pot := range c.SidePots {
		b := block{name: pot.Title, steps: pot.Steps}
		for _, text := range pot.Lines {
			b.rows = append(b.rows, row{name: text})
		}
		out = append(out, b)
	}
	return out
}

// inParts sets the parts one below the other, each with its lines beside its steps.
func (s sheet) inParts(c Card) {
	for _, b := range c.blocks() {
		s.part(b)
	}
	s.notes(c)
}

// row is an ingredient as the card sets it: the amount in a column of its own, the
// name, and the amount in the other measure beside it.
type row struct{ amount, name, beside string }

func rowOf(l *recipe.Line, beside string) row {
	text := oneLine(l.Text)
	at := strings.Index(strings.ToLower(text), strings.ToLower(l.Name))
	if l.Amount == nil || at <= 0 || l.Name == "" || len(strings.ToLower(text)) != len(text) {
		return row{name: text, beside: beside}
	}
	amount := strings.TrimSpace(text[:at])
	if len([]rune(amount)) > longestAmount {
		return row{name: text, beside: beside}
	}
	return row{amount, text[at:], beside}
}

// longestAmount is how many letters stand in the column of amounts at most.
const longestAmount = 26

// part sets a component in two columns: what goes in, with hairlines between, and
// what is done.
func (s sheet) part(b block) {
	_, height := s.GetPageSize()
	if s.GetY() > height-margin-80 {
		s.AddPage()
	}
	s.SetY(s.GetY() + 7)
	if b.name != "" {
		s.text(heading, 0, s.width, oneLine(b.name))
		s.SetY(s.GetY() + 1)
	}
	left := s.width * columnPart
	page, top := s.PageNo(), s.GetY()
	for _, r := range b.rows {
		s.row(r, left-gutter, amountPart)
	}
	leftPage, leftEnd := s.PageNo(), s.GetY()
	s.SetPage(page)
	s.SetY(top)
	s.steps(b.steps, left, s.width-left)
	if s.PageNo() < leftPage {
		s.SetPage(leftPage)
		s.SetY(leftEnd)
	} else if s.PageNo() == leftPage {
		s.SetY(max(s.GetY(), leftEnd))
	}
}

// steps sets numbered steps in a column.
func (s sheet) steps(steps []string, x, width float64) {
	for n, step := range steps {
		y, at := s.GetY(), s.PageNo()
		s.text(body, x+stepIndent, width-stepIndent, step)
		endPage, end := s.PageNo(), s.GetY()
		if at == endPage { // the number hangs beside the first line
			s.SetY(y)
			s.text(style{size: bodySize, colour: soft}, x, stepIndent, fmt.Sprintf("%d.", n+1))
		}
		s.SetPage(endPage)
		s.SetY(end + 2)
	}
}

// named sets the name of an ingredient with its amount in the other measure behind it, in
// the same line where there is room.
func (s sheet) named(r row, x, width float64) {
	name, height := s.set(body, r.name)
	taken := s.GetStringWidth(name)
	s.text(body, x, width, r.name)
	if r.beside == "" {
		return
	}
	side := style{size: smallSize, colour: soft}
	text, _ := s.set(side, oneLine(r.beside))
	if gap := 5.0; taken+gap+s.GetStringWidth(text)+4 <= width {
		s.SetY(s.GetY() - height)
		s.SetX(margin + x + taken + gap)
		s.CellFormat(width-taken-gap, height, text, "", 1, "L", false, 0, "")
		return
	}
	s.text(side, x, width, oneLine(r.beside))
}

// row sets one ingredient over a hairline.
func (s sheet) row(r row, width, amounts float64) {
	_, height := s.GetPageSize()
	column := width * amounts
	_, tall := s.set(body, r.name)
	if s.GetY()+2*tall > height-margin {
		s.AddPage()
	}
	s.SetY(s.GetY() + rowAir)
	y := s.GetY()
	end := y
	if r.amount != "" {
		s.text(strong, 0, column-6, r.amount)
	}
	end = s.GetY()
	s.SetY(y)
	s.named(r, column, width-column)
	s.SetY(max(s.GetY(), end) + rowAir)
	s.rule(0, width, hairline, hair)
}
