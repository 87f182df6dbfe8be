package formats

import (
	"bytes"
	"embed"
	"fmt"
	"math"
	"strings"

	"codeberg.org/go-pdf/fpdf"
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

// row is an ingredient as the card sets it: the amount in a column of its own, the
// name, and the amount in the other measure beside it.
type row struct{ amount, name, beside string }

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
