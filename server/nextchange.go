package server

import (
	"slices"

	"github.com/gofiber/fiber/v3"

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
	}
	return c.JSON(out)
}
