package formats

import (
	"bytes"
	"fmt"
	"strings"

	"codeberg.org/go-pdf/fpdf"
)

// orphanSpace is the least room under a heading of the notes.
const orphanSpace = 44.0

func (s sheet) section(head string) {
	if _, height := s.GetPageSize(); s.GetY() > height-margin-orphanSpace {
		s.AddPage()
	}
	s.SetY(s.GetY() + 4)
	s.text(strong, 0, s.width, head)
}

// note is a heading with what stands under it.
type note struct {
	head  string
	items []noted
}

type noted struct {
	style
	text string
}

// notes are what stands under the method of a card.
func notesOf(c Card) []note {
	var out []note
	list := func(head string, items ...string) {
		n := note{head: head}
		for _, x := range items {
			if x != "" {
				n.items = append(n.items, noted{small, "• " + x})
			}
		}
		if len(n.items) > 0 {
			out = append(out, n)
		}
	}
	list("As it was cooked", c.Cooked...)
	list("What the table said", c.Table...)
	var changed []string
	for _, x := range c.Changed {
		changed = append(changed, fmt.Sprintf("%s: %s", x.From, x.Words()))
	}
	list("What was changed", changed...)
	list("Short of the original", c.Short...)
	if len(c.Cautions) > 0 {
		care := note{head: "Take care"}
		for _, x := range c.Cautions {
			st := small
			if x.Grave {
				st.bold, st.colour = true, danger
			}
			care.items = append(care.items, noted{st, "• " + x.Text})
		}
		out = append(out, note{care.head, append(care.items, noted{style{size: smallSize, colour: soft}, Deference})})
	}
	if len(c.Allergens) > 0 {
		list("Holds", strings.Join(c.Allergens, ", ")+". Labels decide, and what touched a board.")
	}
	list("Labels to read", c.Labels...)
	list("At this size", c.Sizing...)
	list("As learned in this kitchen", c.Measured...)
	list("Ahead and keeping", c.Keeping...)
	list("A serving", c.Serving.notes()...)
	if c.Tally != "" {
		list("Against the original", c.Tally+" Amounts of the swaps are estimates of the book; taste at the end.")
		list("Sources of the figures", c.Sources...)
	}
	return out
}

// notes sets them in two columns under a hairline.
func (s sheet) notes(c Card) {
	s.SetY(s.GetY() + 8)
	s.rule(0, s.width, hairline, hair)
	s.plate(c.Plate)
	rest := notesOf(c)
	for len(rest) > 0 {
		rest = s.columns(rest)
	}
}

// columns sets as many notes as the page has room for in two columns, as even as they
// can be, and returns the others.
func (s sheet) columns(all []note) []note {
	_, page := s.GetPageSize()
	if s.GetY() > page-margin-orphanSpace {
		s.AddPage()
	}
	width, room, top := (s.width-gutter)/2, page-margin-s.GetY(), s.GetY()
	heights := make([]float64, len(all))
	for i, n := range all {
		heights[i] = s.heightOf(n, width)
	}
	fit := func(from int, most float64) int {
		sum := 0.0
		for i := from; i < len(all); i++ {
			if sum += heights[i]; sum > most {
				return i
			}
		}
		return len(all)
	}
	left := fit(0, room)
	right := fit(left, room)
	if right == len(all) { // all of it fits: as even as it can be
		for most := 0.0; most <= room; most += smallSize {
			if l := fit(0, most); fit(l, most) == len(all) {
				left = l
				break
			}
		}
	}
	if left == 0 { // taller than what is left of the page
		if top > margin+1 {
			s.AddPage()
			return all
		}
		left, right = 1, 1
	}
	end := top
	for i, n := range all[:right] {
		x := 0.0
		if i >= left {
			x = width + gutter
		}
		if i == left {
			end = max(end, s.GetY())
			s.SetY(top)
		}
		s.SetY(s.GetY() + 4)
		s.text(strong, x, width, n.head)
		for _, item := range n.items {
			s.text(item.style, x+6, width-6, item.text)
		}
	}
	s.SetY(max(end, s.GetY()))
	return all[right:]
}

// heightOf is how tall a note is on a width.
func (s sheet) heightOf(n note, width float64) float64 {
	_, height := s.set(strong, n.head)
	sum := height + 4
	for _, item := range n.items {
		text, height := s.set(item.style, item.text)
		sum += height * float64(len(s.SplitText(text, width-6-2*s.GetCellMargin())))
	}
	return sum
}

// plateWidth is how wide a picture of the plate is printed, in points.
const plateWidth = 180.0

// plate prints a picture.
func (s sheet) plate(body []byte) {
	if len(body) == 0 {
		return
	}
	info := s.RegisterImageOptionsReader("plate", fpdf.ImageOptions{ImageType: "JPEG"}, bytes.NewReader(body))
	if info == nil || info.Width() <= 0 {
		return
	}
	height := plateWidth * info.Height() / info.Width()
	if _, page := s.GetPageSize(); s.GetY()+height > page-margin {
		s.AddPage()
	}
	s.ImageOptions("plate", margin, s.GetY()+rowAir, plateWidth, height, true, fpdf.ImageOptions{ImageType: "JPEG"}, 0, "")
}
