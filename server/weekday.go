package server

import (
	"fmt"
	"strings"

	"yembra/core/larder"
	"yembra/core/swap"
	"yembra/formats"
	"yembra/store"
)

// effort is what a card asks of the cook: steps, minutes of hands, and what of it is
// made ahead.
type effort struct {
	steps int
	hands float64
	ahead []string
}

func (c *Core) effortOf(doc *store.Document) (effort, error) {
	var e effort
	a, err := c.Carrier.Adapt(doc.Original, doc.Placed(), false)
	if err != nil {
		return e, err
	}
	for _, part := range a.Components {
		for _, s := range part.Steps {
			if s.Change != swap.Dropped {
				e.steps++
				e.hands += s.Work
			}
		}
	}
	for _, x := range a.Swaps {
		if s := c.Larder.SwapNamed(x.Swap); s != nil && s.Ahead != "" {
			e.ahead = append(e.ahead, larder.Capital(s.Short)+": "+s.Ahead)
		}
	}
	return e, nil
}

// weekday is a dish with fewer and quicker actions: the least work that keeps the
// rules and what is pinned. The cook's own words belong to the other version's steps.
func (k *Kitchen) weekday(d store.Dish) (store.Dish, error) {
	dec := d.Document.Placed()
	quick, err := k.Core().Book.Propose(d.Document.Original, dec, swap.Simplest)
	if err != nil {
		return d, err
	}
	quick.Wording, quick.Order, quick.SidePot, quick.LivesFrom = nil, nil, dec.SidePot, dec.LivesFrom
	d.Document.Decisions = quick.Kept(&d.Document.Original)
	d.Revision = 0 // no revision of the dish is so
	return d, nil
}

// weekdayCard is the card of the quicker version, which says what it saves.
func (k *Kitchen) weekdayCard(d store.Dish) (formats.Card, error) {
	core := k.Core()
	usual, err := core.effortOf(&d.Document)
	if err != nil {
		return formats.Card{}, err
	}
	quick, err := k.weekday(d)
	if err != nil {
		return formats.Card{}, err
	}
	is, err := core.effortOf(&quick.Document)
	if err != nil {
		return formats.Card{}, err
	}
	if is.hands >= usual.hands && is.steps >= usual.steps { // what is decided is as quick
		card, err := k.card(d)
		card.Weekday = fmt.Sprintf("No quicker version keeps the rules: what is decided takes %d steps and about %.0f minutes of hands.", usual.steps, usual.hands)
		return card, err
	}
	card, err := k.card(quick)
	card.Weekday = fmt.Sprintf("%d steps and about %.0f minutes of hands, instead of %d and %.0f.", is.steps, is.hands, usual.steps, usual.hands)
	if is.ahead != nil {
		card.Weekday += " Made ahead: " + strings.Join(is.ahead, "; ") + "."
	}
	return card, err
}
