package formats

import (
	"strings"

	"yembra/core/recipe"
)

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

// A4 and Letter are the papers that a card prints on.
const (
	A4     = "A4"
	Letter = "Letter"
)

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
