package server

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/character"
	"yembra/core/measure"
	"yembra/core/swap"
	"yembra/core/tasting"
	"yembra/server/texts"
	"yembra/store"
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
	out, err := k.NextChanges(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	return c.JSON(out)
}

// NextChanges are the faults that a tasting has found, with ways to mend them.
func (k *Kitchen) NextChanges(ctx context.Context, id string) ([]NextChange, error) {
	t, err := k.tastingOf(ctx, id)
	if err != nil {
		return nil, err
	}
	v, err := k.judged(ctx, t)
	if err != nil {
		return nil, err
	}
	d, err := k.open(ctx, t.Dish)
	if err != nil {
		return nil, err
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
					out = append(out, NextChange{Letter: s.Letter, Trait: trait.Trait, Side: p.Side, Cost: p.Weighted, N: trait.Answers(), Ways: []swap.Way{}})
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
			return nil, err
		}
		for w := range n.Ways {
			if id, ok := d.Document.Original.Names().ID(n.Ways[w].Line); ok {
				n.Ways[w].Line = id
			}
		}
	}
	return out, nil
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

// why is what is remembered of a change, as the book's words tell it.
func (t *TakenChange) why() string {
	if t.Side == tasting.TooLittle {
		return swap.WantedMore(t.Trait)
	}
	return swap.WantedLess(t.Trait)
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
	t, doc, err := k.changedBy(c.Context(), c.Params("id"), r)
	if err != nil {
		return err
	}
	saved, err := k.Store.Save(c.Context(), t.Dish, edit, r.what(), doc)
	return k.afterChange(c, t.Dish, saved, err)
}

// TakeChange makes the next version of the dish that a tasting is of.
func (k *Kitchen) TakeChange(ctx context.Context, id string, r ChangeRequest) error {
	t, doc, err := k.changedBy(ctx, id, r)
	if err != nil {
		return err
	}
	d, err := k.Store.Dish(ctx, t.Dish)
	if err != nil {
		return err
	}
	_, err = k.Store.Save(ctx, t.Dish, d.Edit, r.what(), doc)
	return err
}

// what is kept of what a change answers.
func (r *ChangeRequest) what() string {
	more, less := []string{}, []string{}
	for i := range r.Take {
		if r.Take[i].Side == tasting.TooLittle {
			more = append(more, r.Take[i].Trait)
		} else {
			less = append(less, r.Take[i].Trait)
		}
	}
	switch {
	case len(less) == 0:
		return texts.Keep("theTableWantedMore", strings.Join(more, ", "))
	case len(more) == 0:
		return texts.Keep("theTableWantedLess", strings.Join(less, ", "))
	}
	return texts.Keep("theTableWantedMoreAndLess", strings.Join(more, ", "), strings.Join(less, ", "))
}

// changedBy is a dish as it would be with changes, and the tasting that asks for them.
func (k *Kitchen) changedBy(ctx context.Context, id string, r ChangeRequest) (Tasting, store.Document, error) {
	var doc store.Document
	t, err := k.tastingOf(ctx, id)
	if err != nil {
		return t, doc, err
	}
	if len(r.Take) == 0 || len(r.Take) > mostChanges {
		return t, doc, unprocessable(texts.Say("oneOrTwoThingsAreChanged"), fieldError{"take", texts.Say("mustHold1To", mostChanges)})
	}
	d, err := k.open(ctx, t.Dish)
	if err != nil {
		return t, doc, err
	}
	doc = d.Document
	for i := range r.Take {
		x := &r.Take[i]
		if _, known := character.TraitNamed(x.Trait); !known || x.Side != tasting.TooLittle && x.Side != tasting.TooMuch {
			return t, doc, unprocessable(texts.Say("whatTheTableWantedIsNot"), fieldError{fmt.Sprintf("take[%d].trait", i), texts.Say("mustBeATraitWithIts")})
		}
		if x.Dose == nil && x.Line == "" && (x.Step == "" || x.Minutes == nil) {
			return t, doc, unprocessable(texts.Say("nothingWouldChange"), fieldError{fmt.Sprintf("take[%d]", i), texts.Say("mustHoldADoseALine")})
		}
		doc.Decisions = doc.Decisions.Because(swap.Way{Dose: x.Dose, Line: x.Line, Factor: x.Factor, Step: x.Step, Minutes: x.Minutes}, x.why())
	}
	return t, doc, checkDecisions(k.Core().Larder, doc.Decisions)
}
