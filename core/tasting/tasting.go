// Package tasting says what a table of tasters has said: of each trait how many
// had too little, just enough and too much of it and what that cost in liking, how
// two trials compare, whether a triangle was told apart, and by how much the model
// must be corrected in this kitchen. It states figures with their numbers, never a
// verdict.
package tasting

import (
	"math"
	"slices"
)

// Sheet is what one taster said of one trial.
type Sheet struct {
	Taster, Trial string
	// Liking is from 1 (dislike extremely) to 9 (like extremely); 0 where it was
	// not said.
	Liking int
	// Traits are from -2 (much too little) to 2 (much too much) against the
	// original, 0 being just right.
	Traits map[string]int
}

// Trial is a trial with how many steps apart from the original the model foresaw
// each trait.
type Trial struct {
	ID    string
	Steps map[string]float64
}

// Side is a side of just right.
type Side string

// The two sides.
const (
	TooLittle Side = "too-little"
	TooMuch   Side = "too-much"
)

// Penalty is what a side costs in liking: Drop is the mean liking of those who
// said just right less that of those on the side, Share how many of all who
// answered are on it, Weighted both together. P is the chance of such a drop or
// more if the likings had been dealt out at random; Exact that all ways were
// counted.
type Penalty struct {
	Side                     Side
	Share, Drop, Weighted, P float64
	Exact                    bool
}

// Judged is a trait as a trial was judged on it.
type Judged struct {
	Trait                         string
	TooLittle, JustRight, TooMuch int
	Mean                          float64
	Penalties                     []Penalty
}

// Answers is how many judged the trait.
func (j Judged) Answers() int { return j.TooLittle + j.JustRight + j.TooMuch }

// Judge counts what was said of a trait in the sheets of one trial, and what it cost;
// false where nobody said anything.
func Judge(trait string, sheets []Sheet) (Judged, bool) {
	j, liked := count(trait, sheets)
	if j.Answers() == 0 {
		return j, false
	}
	right := liked[""]
	for _, x := range []struct {
		side  Side
		count int
	}{{TooLittle, j.TooLittle}, {TooMuch, j.TooMuch}} {
		off := liked[x.side]
		if len(off) == 0 || len(right) == 0 {
			continue
		}
		p := Penalty{Side: x.side, Share: float64(x.count) / float64(j.Answers()), Drop: mean(right) - mean(off)}
		p.Weighted = p.Share * p.Drop
		p.P, p.Exact = dealt(right, off)
		j.Penalties = append(j.Penalties, p)
	}
	return j, true
}

// Count counts what was said of a trait in the sheets of one trial, without asking what
// it cost; false where nobody said anything.
func Count(trait string, sheets []Sheet) (Judged, bool) {
	j, _ := count(trait, sheets)
	return j, j.Answers() > 0
}

// count counts what was said of a trait, with the likings of each side; "" is just
// right.
func count(trait string, sheets []Sheet) (Judged, map[Side][]int) {
	j := Judged{Trait: trait, Penalties: []Penalty{}}
	sum := 0
	liked := map[Side][]int{}
	for _, s := range sheets {
		v, said := s.Traits[trait]
		if !said {
			continue
		}
		sum += v
		side := Side("")
		switch {
		case v < 0:
			j.TooLittle++
			side = TooLittle
		case v > 0:
			j.TooMuch++
			side = TooMuch
		default:
			j.JustRight++
		}
		if s.Liking > 0 {
			liked[side] = append(liked[side], s.Liking)
		}
	}
	if n := j.Answers(); n > 0 {
		j.Mean = float64(sum) / float64(n)
	}
	return j, liked
}

func mean(of []int) float64 {
	sum := 0
	for _, v := range of {
		sum += v
	}
	return float64(sum) / float64(len(of))
}

// Liking is the mean liking of sheets; false where nobody said it.
func Liking(sheets []Sheet) (float64, bool) {
	var said []int
	for _, s := range sheets {
		if s.Liking > 0 {
			said = append(said, s.Liking)
		}
	}
	if said == nil {
		return 0, false
	}
	return mean(said), true
}

// Compared is how much more a second trial was liked than a first by those who
// tasted both. P is the chance of a difference as large, either way, if each had
// liked one or the other more at random.
type Compared struct {
	Tasters       int
	Difference, P float64
	Exact         bool
}

// Compare compares two trials; false where nobody liked both or either.
func Compare(a, b []Sheet) (Compared, bool) {
	var apart []int
	for _, s := range a {
		at := slices.IndexFunc(b, func(o Sheet) bool { return o.Taster == s.Taster && o.Liking > 0 })
		if s.Liking > 0 && at >= 0 {
			apart = append(apart, b[at].Liking-s.Liking)
		}
	}
	if apart == nil {
		return Compared{}, false
	}
	c := Compared{Tasters: len(apart), Difference: mean(apart)}
	c.P, c.Exact = flipped(apart)
	return c, true
}

// What a point of a sheet's scale is taken as, in steps; how far a sheet strays
// and how far the model is thought to be off before anybody tasted, as standard
// deviations in steps. Estimates.
const (
	stepsPerPoint = 1.5
	sheetSpread   = 1.5
	priorSpread   = 1.0
	twoSided95    = 1.96
)

// InSteps is how far a trait was tasted from what was wanted, by the mean of what
// sheets say of it.
func InSteps(points float64) float64 { return stepsPerPoint * points }

// Correction is by how many steps a trait must be corrected in this kitchen, with
// 95 % limits, out of how many tastings and sheets.
type Correction struct {
	Trait                 string
	Tastings, Sheets      int
	Correction, Low, High float64
}

// Tasted is one trial's mean of a trait over its sheets beside what was foreseen.
type Tasted struct {
	Sheets         int
	Mean, Foretold float64
}

// Correct works out a trait's correction, a normal prior updated by each tasting.
func Correct(trait string, tastings []Tasted) Correction {
	c := Correction{Trait: trait, Tastings: len(tastings)}
	precision, pull := 1/(priorSpread*priorSpread), 0.0
	for _, t := range tastings {
		weight := float64(t.Sheets) / (sheetSpread * sheetSpread)
		precision += weight
		pull += weight * (InSteps(t.Mean) - t.Foretold)
		c.Sheets += t.Sheets
	}
	c.Correction = pull / precision
	half := twoSided95 / math.Sqrt(precision)
	c.Low, c.High = c.Correction-half, c.Correction+half
	return c
}
