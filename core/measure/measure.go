// Package measure turns what cooks write down (cups, ounces, bunches, gas
// marks) into grams, millilitres and degrees Celsius, and back into measures
// that exist in a kitchen.
package measure

import (
	"errors"
	"fmt"
	"math"

	"yembra/core/texts"
)

// Span is a closed range of one figure. A single figure has Low == High.
type Span struct {
	Low  float64 `json:"low"`
	High float64 `json:"high"`
}

// Exactly returns the span of a single figure.
func Exactly(v float64) Span { return Span{v, v} }

// Mid is the middle of the span, used wherever one figure is needed.
func (s Span) Mid() float64 { return (s.Low + s.High) / 2 }

// Times scales both ends.
func (s Span) Times(k float64) Span { return Span{s.Low * k, s.High * k} }

// Plus is the sum of two spans.
func (s Span) Plus(t Span) Span { return Span{s.Low + t.Low, s.High + t.High} }

// Over multiplies two spans end by end, for factors that are never negative.
func (s Span) Over(t Span) Span { return Span{s.Low * t.Low, s.High * t.High} }

// Amount is a figure or range with its unit, as a recipe states it.
type Amount struct {
	Low  float64 `json:"low"`
	High float64 `json:"high"`
	Unit Unit    `json:"unit"`
}

// Span drops the unit.
func (a Amount) Span() Span { return Span{a.Low, a.High} }

// Matter is what has to be known of a food to convert its amounts.
type Matter struct {
	// Density in grams per millilitre as filled into a measure; 0 when unknown.
	Density float64
	// Pieces gives edible grams of one unit, keyed by unit ("clove", "bunch")
	// or by size ("small", "medium", "large") for a bare piece.
	Pieces map[string]Span
	// Source names where the figures come from; Estimate marks those that
	// nobody has measured for us.
	Source   string
	Estimate bool
}

// Basis says by which figure a conversion was made.
type Basis struct {
	Text     string `json:"text"`
	Source   string `json:"source"`
	Estimate bool   `json:"estimate"`
}

// ErrUnknown is wrapped by every conversion that fails for want of a figure.
var ErrUnknown = errors.New("no figure known")

// Grams converts an amount of some matter to grams as used. The system says
// whose cups and spoons are meant; size is "", "small", "medium", "large" or "thin".
// It returns the span, the figure it rests on, or an error wrapping ErrUnknown.
func Grams(a Amount, size string, m Matter, sys System) (Span, Basis, error) {
	unit, ok := units[a.Unit]
	if !ok {
		return Span{}, Basis{}, fmt.Errorf("unit %q: %w", a.Unit, ErrUnknown)
	}
	if unit.dimension == Mass {
		g := unit.factor(sys)
		return a.Span().Times(g), Basis{Text: fmt.Sprintf("1 %s = %s g", a.Unit, trim(g)), Source: SourceUnits}, nil
	}
	if each, text, ok := m.pieceWeight(a.Unit, size); ok {
		return a.Span().Over(each), Basis{Text: text, Source: m.Source, Estimate: m.Estimate}, nil
	}
	if unit.dimension == Volume {
		ml := unit.factor(sys)
		if m.Density <= 0 {
			return Span{}, Basis{}, fmt.Errorf("volume of a food without a density: %w", ErrUnknown)
		}
		text := texts.Say("measure.mlGMl", a.Unit, trim(ml), trim(m.Density))
		return a.Span().Times(ml * m.Density), Basis{Text: text, Source: m.Source, Estimate: m.Estimate || unit.estimate}, nil
	}
	if unit.usual > 0 {
		text := texts.Say("measure.takenAsG", a.Unit, trim(unit.usual))
		return a.Span().Times(unit.usual), Basis{Text: text, Source: texts.Say("measure.kitchenHabit"), Estimate: true}, nil
	}
	return Span{}, Basis{}, fmt.Errorf("one %s of it: %w", a.Unit, ErrUnknown)
}

// Convert expresses an amount in another unit, passing through grams where the
// dimension changes. Count units can be reached when a piece weight is known.
func Convert(a Amount, size string, m Matter, to Unit, sys System) (Amount, Basis, error) {
	target, ok := units[to]
	if !ok {
		return Amount{}, Basis{}, fmt.Errorf("unit %q: %w", to, ErrUnknown)
	}
	from, ok := units[a.Unit]
	if !ok {
		return Amount{}, Basis{}, fmt.Errorf("unit %q: %w", a.Unit, ErrUnknown)
	}
	if from.dimension == target.dimension && from.dimension != Count {
		k := from.factor(sys) / target.factor(sys)
		return Amount{a.Low * k, a.High * k, to}, Basis{
			Text:   fmt.Sprintf("1 %s = %s %s", a.Unit, trim(k), to),
			Source: SourceUnits, Estimate: from.estimate || target.estimate,
		}, nil
	}
	grams, basis, err := Grams(a, size, m, sys)
	if err != nil {
		return Amount{}, Basis{}, err
	}
	one, back, err := Grams(Amount{1, 1, to}, size, m, sys)
	if err != nil {
		return Amount{}, Basis{}, err
	}
	if target.dimension != Mass {
		basis.Text = back.Text
		basis.Estimate = basis.Estimate || back.Estimate
		basis.Source = back.Source
	}
	return Amount{grams.Low / one.Mid(), grams.High / one.Mid(), to}, basis, nil
}

func (m Matter) pieceWeight(u Unit, size string) (Span, string, bool) {
	keys := []string{string(u)}
	if u == Piece {
		keys = []string{"piece", "medium", "small", "large"}
		if size != "" {
			keys = append([]string{size}, keys...)
		}
	} else if size != "" {
		keys = []string{size + " " + string(u), string(u)}
	}
	for _, key := range keys {
		w, ok := m.Pieces[key]
		if !ok {
			continue
		}
		text := fmt.Sprintf("1 %s = %s g", key, trimSpan(w))
		if size != "" && key == "piece" {
			switch size {
			case "small":
				w = w.Times(smallPiece)
			case "large":
				w = w.Times(largePiece)
			}
			text = texts.Say("measure.pieceG", size, trimSpan(w))
		}
		return w, text, true
	}
	return Span{}, "", false
}

// When only one piece weight is known, a small piece is taken as 0.7 and a
// large one as 1.4 of it (estimate, after the onion: 70, 110-150, 200-220 g).
const (
	smallPiece = 0.7
	largePiece = 1.4
)

func trim(v float64) string {
	return fmt.Sprintf("%g", math.Round(v*1000)/1000)
}

func trimSpan(s Span) string {
	if s.Low == s.High {
		return trim(s.Low)
	}
	return trim(s.Low) + "-" + trim(s.High)
}
