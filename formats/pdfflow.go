package formats

// The type and the lines of the picture of the method.
const (
	flowType  = 6.6
	flowThick = 1.5
	flowThin  = 0.5
	knotSize  = 2.4
	plateSize = 8.0
	flowHead  = 26.0
)

// pale is what strands are drawn in, so that knots and words stand before them.
var pale = [3]int{176, 164, 190}

// flow draws the method of the card as a picture where the page has room for it: what
// goes in at the left, each action a knot with the number of its step, thick what hands
// do, thin what goes on alone.
func (s sheet) flow(c Card) {
	_, page := s.GetPageSize()
	m, ok := layFlow(&c.Dish, s.width, page-margin-s.GetY()-flowHead)
	if !ok {
		return
	}
	s.section("The method at a glance")
	top := s.GetY() + 2
	for _, x := range m.strands {
		s.SetDrawColor(pale[0], pale[1], pale[2])
		s.SetLineWidth(flowThin)
		if x.thick {
			s.SetLineWidth(flowThick)
		}
		middle := margin + (x.from.x+x.to.x)/2
		s.CurveBezierCubic(margin+x.from.x, top+x.from.y, middle, top+x.from.y, middle, top+x.to.y, margin+x.to.x, top+x.to.y, "D")
	}
	word := style{size: flowType / s.size, colour: ink}
	for _, l := range m.lines {
		name := s.fitted(word, oneLine(l.name), namesWide-6)
		s.Text(margin+namesWide-4-s.GetStringWidth(name), top+l.y+flowType/3, name)
	}
	s.SetLineWidth(flowThin)
	s.SetDrawColor(ink[0], ink[1], ink[2])
	for _, k := range m.knots {
		s.SetFillColor(ink[0], ink[1], ink[2])
		if k.alone {
			s.SetFillColor(255, 255, 255)
		}
		s.Circle(margin+k.x, top+k.y, knotSize, "FD")
		text, _ := s.set(style{size: flowType / s.size, colour: soft}, k.step+" "+k.word)
		y := top + k.y - knotSize - 1.4
		if k.below {
			y = top + k.y + knotSize + flowType - 0.6
		}
		s.Text(margin+k.x-s.GetStringWidth(text)/2, y, text)
	}
	s.SetLineWidth(flowThick)
	s.Circle(margin+m.plate.x+plateSize, top+m.plate.y, plateSize, "D")
	s.SetLineWidth(flowThin)
	s.Circle(margin+m.plate.x+plateSize, top+m.plate.y, plateSize-2.6, "D")
	s.SetY(top + m.height)
}

// fitted cuts a text so that it takes no more than a width, and sets its type.
func (s sheet) fitted(st style, text string, width float64) string {
	out, _ := s.set(st, text)
	letters := []rune(out)
	for len(letters) > 1 && s.GetStringWidth(out) > width {
		letters = letters[:len(letters)-1]
		out = string(letters) + "…"
	}
	return out
}
