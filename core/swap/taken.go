package swap

import (
	"maps"
	"math"
	"slices"
	"strings"

	"yembra/core/character"
)

// With are the decisions with a way taken.
func (dec Decisions) With(w Way) Decisions { return dec.Because(w, "") }

// Because are the decisions with a way taken, and why.
func (dec Decisions) Because(w Way, why string) Decisions {
	switch {
	case w.Dose != nil:
		dose := *w.Dose
		dose.Why = why
		return dec.Dosed(dose)
	case w.Line != "":
		dec.Amounts, dec.Reasons = with(dec.Amounts, w.Line, w.Factor), with(dec.Reasons, w.Line, why)
	default:
		f := dec.Figures[w.Step]
		f.Minutes, f.Why = w.Minutes, why
		dec.Figures = with(dec.Figures, w.Step, f)
	}
	return dec
}

func with[T any](of map[string]T, key string, value T) map[string]T {
	out := maps.Clone(of)
	if out == nil {
		out = map[string]T{}
	}
	out[key] = value
	return out
}

// Dosed are the decisions with one booster dosed so, wherever it was before; none
// of it where the dose is of nothing.
func (dec Decisions) Dosed(dose Dose) Decisions {
	dec.Boosters = slices.DeleteFunc(slices.Clone(dec.Boosters), func(x Dose) bool { return x.Food == dose.Food })
	if dose.Grams > 0 {
		dec.Boosters = append(dec.Boosters, dose)
	}
	return dec
}

// inOnce tells whether a booster is in at one place; what is in at several is
// lessened by the cook, who knows where.
func inOnce(dec Decisions, food string) bool {
	n := 0
	for _, d := range dec.Boosters {
		if d.Food == food {
			n++
		}
	}
	return n == 1
}

// shifts are the traits that moved from one adaptation to another.
func shifts(before, after Adaptation) []Move {
	out := []Move{}
	for _, t := range after.Traits {
		at := slices.IndexFunc(before.Traits, func(x character.Thread) bool { return x.Trait == t.Trait && x.Component == t.Component })
		if at < 0 {
			continue
		}
		if by := t.Steps - before.Traits[at].Steps; math.Abs(by) >= shownMove {
			out = append(out, Move{Trait: t.Trait, Component: t.Component, Steps: by, Verdict: character.Judge(t.Steps), Pinned: t.Pinned})
		}
	}
	return out
}

// worth is how much a way moves its trait for what else it moves.
func (w *Way) worth() float64 {
	aside := 0.0
	for _, m := range w.Also {
		aside += math.Abs(m.Steps)
	}
	return math.Abs(w.Steps) - aside/2
}

// WantedMore and WantedLess are what is kept of why a way was taken that a table asked for: no
// sentence, so that every language can tell of it.
func WantedMore(trait string) string { return wantedMore + trait }

// WantedLess is that of a trait of which there was too much.
func WantedLess(trait string) string { return wantedLess + trait }

const (
	toldMark   = "@"
	wantedMore = toldMark + "more "
	wantedLess = toldMark + "less "
)

// told says why a way was taken in the words of the book's language; what the cook wrote stands as
// it is.
func (x *bench) told(why string) string {
	words := x.larder.Language().Writing
	if trait, ok := strings.CutPrefix(why, wantedMore); ok {
		return strings.ReplaceAll(words.WantedMore, "{trait}", trait)
	}
	if trait, ok := strings.CutPrefix(why, wantedLess); ok {
		return strings.ReplaceAll(words.WantedLess, "{trait}", trait)
	}
	return why
}
