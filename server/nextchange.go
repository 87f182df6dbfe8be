package server

import (
	"fmt"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/character"
	"yembra/core/measure"
	"yembra/core/swap"
	"yembra/core/tasting"
)

// NextChange is a fault that a table found, with ways to mend it.
type NextChange struct {
	Letter string       `json:"letter"`
	Trait  string       `json:"trait"`
	Side   tasting.Side `json:"side"`
	// Cost is the liking that it costs the table (the share of those on the side
	// times the drop), N how many answered.
	Cost float64    `json:"cost"`
	N    int        `json:"n"`
	Ways []swap.Way `json:"ways"`
}

// mostChanges is how many faults are mended at once: more teach nothing.
const mostChanges = 2

// nextChange proposes what to change next: the faults of the newest trial that was
// served that cost most liking, each with ways in amounts by the model.
func (k *Kitchen) nextChange(c fiber.Ctx) error {
	v, err := k.heard(c)
	if err != nil {
		return err
	}
	t := v.Tasting
	d, err := k.open(c.Context(), t.Dish)
	if err != nil {
		return err
	}
	out := []NextChange{}
	for _, s := range slices.Backward(t.Served) {
		if s.Trial == originalServed {
			continue
		}
		at := slices.IndexFunc(v.Answer.Trials, func(x JudgedTrial) bool { return x.ID == s.Letter })
		if at < 0 {
			continue
		}
		for _, trait := range v.Answer.Trials[at].Traits {
			for _, p := range trait.Penalties {
				if p.Weighted > 0 {
					out = append(out, NextChange{Letter: s.Letter, Trait: trait.Trait, Side: p.Side, Cost: p.Weighted, N: trait.TooLittle + trait.JustRight + trait.TooMuch, Ways: []swap.Way{}})
				}
			}
		}
		break
	}
	slices.SortStableFunc(out, func(a, b NextChange) int {
		switch {
		case a.Cost > b.Cost:
			return -1
		case a.Cost < b.Cost:
			return 1
		}
		return 0
	})
	out = out[:min(len(out), mostChanges)]
	for i := range out {
		n := &out[i]
		if n.Ways, err = k.Core().Book.Ways(d.Document.Original, d.Document.Placed(), n.Trait, n.Side == tasting.TooLittle); err != nil {
			return err
		}
		for w := range n.Ways {
			if id, ok := d.Document.Original.Names().ID(n.Ways[w].Line); ok {
				n.Ways[w].Line = id
			}
		}
	}
	return c.JSON(out)
}

// ChangeRequest takes one or two ways for the next version.
type ChangeRequest struct {
	Take []TakenChange `json:"take"`
}

// TakenChange is a way that was told, for a trait of which the table wanted more or
// less.
type TakenChange struct {
	Trait string       `json:"trait"`
	Side  tasting.Side `json:"side"`
	Dose  *swap.Dose   `json:"dose" jsonschema:"nullable"`
	Line  string       `json:"line"`
	// Factor is how many times its amount the line is brought to.
	Factor  float64       `json:"factor"`
	Step    string        `json:"step"`
	Minutes *measure.Span `json:"minutes" jsonschema:"nullable"`
}

// why is what is remembered of a change.
func (t *TakenChange) why() string {
	if t.Side == tasting.TooLittle {
		return "the table wanted more " + t.Trait
	}
	return "the table wanted less " + t.Trait
}

// takeChange makes the next version of the dish that was tasted, and remembers why.
func (k *Kitchen) takeChange(c fiber.Ctx) error {
	var r ChangeRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	edit, err := ifMatch(c)
	if err != nil {
		return err
	}
	t, err := k.tastingOf(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	if len(r.Take) == 0 || len(r.Take) > mostChanges {
		return unprocessable("One or two things are changed at a time: more teach nothing.", fieldError{"take", fmt.Sprintf("must hold 1 to %d", mostChanges)})
	}
	d, err := k.open(c.Context(), t.Dish)
	if err != nil {
		return err
	}
	doc := d.Document
	var what []string
	for i := range r.Take {
		x := &r.Take[i]
		if _, known := character.TraitNamed(x.Trait); !known || x.Side != tasting.TooLittle && x.Side != tasting.TooMuch {
			return unprocessable("What the table wanted is not known.", fieldError{fmt.Sprintf("take[%d].trait", i), "must be a trait, with its side"})
		}
		if x.Dose == nil && x.Line == "" && (x.Step == "" || x.Minutes == nil) {
			return unprocessable("Nothing would change.", fieldError{fmt.Sprintf("take[%d]", i), "must hold a dose, a line or a step with minutes"})
		}
		doc.Decisions = doc.Decisions.Because(swap.Way{Dose: x.Dose, Line: x.Line, Factor: x.Factor, Step: x.Step, Minutes: x.Minutes}, x.why())
		what = append(what, x.why())
	}
	if err := checkDecisions(k.Core().Larder, doc.Decisions); err != nil {
		return err
	}
	saved, err := k.Store.Save(c.Context(), d.ID, edit, strings.Join(what, "; "), doc)
	return k.afterChange(c, d.ID, saved, err)
}
