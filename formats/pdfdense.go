package formats

// Where all lines stand in one column and all work in another.
const (
	listPart     = 0.5  // of the width, for the ingredients
	listAmounts  = 0.27 // of that, for the amounts
	partAir      = 6.0  // above the name of a part
	noteAir      = 3.0  // and above a note
	closeLeading = 1.26 // height of a line by the size of its type
)

// inTwo sets all that goes in at the left, part by part, and all that is done at the right with
// the notes under it, where the parts would leave much of the page empty.
func (s sheet) inTwo(c Card) {
	left := s.width * listPart
	s.SetY(s.GetY() + 2)
	page, top := s.PageNo(), s.GetY()
	blocks := c.blocks()
	for _, b := range blocks {
		if len(b.rows) == 0 {
			continue
		}
		s.called(b.name, 0, left-gutter)
		for _, r := range b.rows {
			s.row(r, left-gutter, listAmounts)
		}
	}
	listed := column{0, left - gutter, s.PageNo(), s.GetY()}
	s.SetPage(page)
	s.SetY(top)
	for _, b := range blocks {
		if len(b.steps) == 0 {
			continue
		}
		s.called(b.name, left, s.width-left)
		s.steps(b.steps, left, s.width-left)
	}
	worked := column{left, s.width - left, s.PageNo(), s.GetY() + partAir}
	for _, n := range notesOf(c) {
		at := &worked
		if tall := s.heightOf(n, worked.width); !s.holds(&worked, tall) && s.holds(&listed, s.heightOf(n, listed.width)) {
			at = &listed
		}
		s.below(at, n)
	}
	if listed.page > worked.page || listed.page == worked.page && listed.end > worked.end {
		worked = listed
	}
	s.SetPage(worked.page)
	s.SetY(worked.end)
	s.plate(c.Plate)
}

// column is a column of the page with where it is filled up to.
type column struct {
	x, width float64
	page     int
	end      float64
}

// holds tells whether a column has room for so much more.
func (s sheet) holds(c *column, tall float64) bool {
	_, page := s.GetPageSize()
	return c.end+tall <= page-margin
}

// below sets a note at the end of a column.
func (s sheet) below(c *column, n note) {
	s.SetPage(c.page)
	s.SetY(c.end + noteAir)
	s.text(strong, c.x, c.width, n.head)
	for _, item := range n.items {
		s.text(item.style, c.x+6, c.width-6, item.text)
	}
	c.page, c.end = s.PageNo(), s.GetY()
}

// called sets the name of a part over a column.
func (s sheet) called(name string, x, width float64) {
	s.SetY(s.GetY() + partAir)
	if name != "" {
		s.text(heading, x, width, oneLine(name))
		s.SetY(s.GetY() + 1)
	}
}
