package swap

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"yembra/core/character"
	"yembra/core/recipe"
)

// Way is one change in amounts that moves a trait: a booster dosed otherwise.
type Way struct {
	Dose Dose   `json:"dose"`
	Say  string `json:"say"`
	// Steps is by how many the trait moves, by the model; Also what else does.
	Steps float64 `json:"steps"`
	Also  []Move  `json:"also"`
}

// mostWays is how many ways are told for one fault, mostTried how many are worked
// out for it.
const (
	mostWays  = 3
	mostTried = 6
)

// Ways are the changes that would move a trait of an adapted dish up, or down, by
// the model: a dose more of what brings it, or a dose less of what is in. Each is
// worked out in the whole dish; those that move the trait most beside all else come
// first.
func (b *Book) Ways(d recipe.Dish, dec Decisions, trait string, up bool) ([]Way, error) {
	items, err := b.Tray(d, dec)
	if err != nil {
		return nil, err
	}
	before, err := b.Apply(d, dec, false)
	if err != nil {
		return nil, err
	}
	brings := func(i *TrayItem) float64 {
		if at := slices.IndexFunc(i.Moves, func(m Move) bool { return m.Trait == trait }); at >= 0 {
			return i.Moves[at].Steps
		}
		return 0
	}
	slices.SortStableFunc(items, func(x, y TrayItem) int { return cmp.Compare(brings(&y), brings(&x)) })
	ways := []Way{}
	tried := 0
	for i := range items {
		item := &items[i]
		grams, how, sign := item.Grams+item.Step, "more", 1.0
		if !up {
			grams, how, sign = item.Grams-item.Step, "less", -1
		}
		switch {
		case up && (brings(item) <= 0 || item.Barred != "" || grams > item.Most), !up && !inOnce(dec, item.Food), grams < 0, tried >= mostTried:
			continue
		}
		tried++
		dose := Dose{Food: item.Food, Form: item.Form, Grams: grams, Component: item.Component}
		after, err := b.Apply(d, dec.Dosed(dose), false)
		if err != nil {
			return nil, err
		}
		w := Way{Dose: dose, Also: []Move{}}
		for _, m := range shifts(before, after) {
			if m.Trait == trait {
				w.Steps = m.Steps
			} else {
				w.Also = append(w.Also, m)
			}
		}
		if sign*w.Steps < shownMove {
			continue
		}
		w.Say = fmt.Sprintf("%s %s %s: %s %+.1f steps", kitchenAmount(b.larder.Food(item.Food), item.Step), item.Name, how, trait, w.Steps)
		for _, m := range w.Also {
			w.Say += fmt.Sprintf(", %s %+.1f", m.Trait, m.Steps)
		}
		ways = append(ways, w)
	}
	slices.SortStableFunc(ways, func(x, y Way) int { return cmp.Compare(y.worth(), x.worth()) })
	return ways[:min(len(ways), mostWays)], nil
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
