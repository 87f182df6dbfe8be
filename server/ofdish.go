package server

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/server/texts"
	"yembra/store"
)

// Bounds of what a cook says of a dish.
const (
	mostLabels      = 20
	mostLabel       = 40
	mostNotes       = 500
	mostNote        = 2000
	mostDisputed    = 30
	mostDisputeText = 500
	mostWhose       = 200
)

// say puts what the cook says of a dish into its document.
func (r *SaveRequest) say(doc *store.Document) error {
	wrong := func(field, detail string, a ...any) error {
		return unprocessable(texts.Say("thisCannotBeKeptOfA"), fieldError{field, fmt.Sprintf(detail, a...)})
	}
	if r.From != nil {
		if doc.From = strings.TrimSpace(*r.From); len(doc.From) > mostWhose {
			return wrong("from", "may hold %d letters", mostWhose)
		}
	}
	if r.Labels != nil {
		doc.Labels = nil
		for i, label := range *r.Labels {
			label = strings.TrimSpace(label)
			switch {
			case len(label) > mostLabel || strings.ContainsAny(label, "|,"):
				return wrong(fmt.Sprintf("labels[%d]", i), "may hold %d letters, and neither | nor comma", mostLabel)
			case label != "" && !slices.Contains(doc.Labels, label):
				doc.Labels = append(doc.Labels, label)
			}
		}
		if len(doc.Labels) > mostLabels {
			return wrong("labels", "may be %d", mostLabels)
		}
	}
	if r.Notes != nil {
		doc.Notes = map[string]string{}
		for at, note := range r.Notes {
			if len(note) > mostNote || len(at) > mostLabel {
				return wrong("notes["+at+"]", "may hold %d letters", mostNote)
			}
			if note = strings.TrimSpace(note); note != "" {
				doc.Notes[at] = note
			}
		}
		if len(doc.Notes) > mostNotes {
			return wrong("notes", "may be %d", mostNotes)
		}
	}
	if r.Disputed != nil {
		if len(*r.Disputed) > mostDisputed {
			return wrong("disputed", "may be %d points", mostDisputed)
		}
		for i, x := range *r.Disputed {
			if strings.TrimSpace(x.Point) == "" || len(x.Point)+len(x.Chosen)+len(x.Why) > mostDisputeText {
				return wrong(fmt.Sprintf("disputed[%d]", i), "needs a point, and may hold %d letters", mostDisputeText)
			}
		}
		doc.Disputed = *r.Disputed
	}
	if r.Settled != nil {
		doc.Settled = *r.Settled
	}
	return nil
}

// ManyRequest does one thing with several dishes: "away", "back", "take" for good,
// "bring" back what was taken.
type ManyRequest struct {
	Do  string   `json:"do"`
	IDs []string `json:"ids"`
}

// mostAtOnce is with how many dishes one thing is done at once.
const mostAtOnce = 500

// shelveMany puts dishes away, takes them away for good, and back.
func (k *Kitchen) shelveMany(c fiber.Ctx) error {
	var r ManyRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	if len(r.IDs) == 0 || len(r.IDs) > mostAtOnce {
		return unprocessable(texts.Say("sayWhichDishesAreMeant"), fieldError{"ids", texts.Say("mustBe1To", mostAtOnce)})
	}
	var err error
	switch r.Do {
	case "away", "back":
		err = k.Store.PutAway(c.Context(), r.IDs, r.Do == "away")
	case "take", "bring":
		err = k.Store.Take(c.Context(), r.IDs, r.Do == "take")
	default:
		return unprocessable(texts.Say("thisCannotBeDoneWithDishes"), fieldError{"do", texts.Say("mustBeAwayBackTakeOr")})
	}
	if err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}

// NeedsView says what needs a dish, so that nobody takes it away without knowing.
type NeedsView struct {
	Days     []NamedThing `json:"days"`
	Trials   int          `json:"trials"`
	Tastings int          `json:"tastings"`
	// Revisions are how often it was changed.
	Revisions int `json:"revisions"`
	// Until is for how many days it can be brought back.
	Until int `json:"until"`
}

// NamedThing is a thing by its id and name.
type NamedThing struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

// keptGone is for how many days a dish that was taken away can be brought back.
const keptGone = 30

func (k *Kitchen) needs(c fiber.Ctx) error {
	v, err := k.neededBy(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	return c.JSON(v)
}

func (k *Kitchen) neededBy(ctx context.Context, id string) (NeedsView, error) {
	v := NeedsView{Days: []NamedThing{}, Until: keptGone}
	past, err := k.Store.Past(ctx, id)
	if err != nil {
		return v, err
	}
	if v.Revisions = len(past); v.Revisions == 0 {
		return v, store.ErrNotFound
	}
	days, err := k.Store.Entries(ctx, store.DayEntry)
	if err != nil {
		return v, err
	}
	for _, e := range days {
		if d, ok := readEntry[DayDocument]("a day", e); ok && slices.ContainsFunc(d.Dishes, func(x DayDish) bool { return x.ID == id }) {
			v.Days = append(v.Days, NamedThing{e.Key, d.Name})
		}
	}
	trials, err := k.trialsOf(ctx, id)
	if err != nil {
		return v, err
	}
	v.Trials = len(trials)
	tables, err := k.tastingsOf(ctx, id)
	if err != nil {
		return v, err
	}
	v.Tastings = len(tables)
	return v, nil
}

// CopyRequest names a copy of a dish.
type CopyRequest struct {
	Name string `json:"name"`
}

// copyDish keeps a dish of its own that begins as this one is.
func (k *Kitchen) copyDish(c fiber.Ctx) error {
	var r CopyRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	if err := checkNames(&r.Name, nil, nil, nil); err != nil {
		return err
	}
	d, err := k.open(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	doc := d.Document
	doc.Name, doc.Base, doc.Variant, doc.Settled = first(r.Name, doc.Name+", copy"), nil, nil, false
	made, err := k.NewDish(c.Context(), doc)
	if err != nil {
		return err
	}
	return k.answerDish(c, fiber.StatusCreated, made)
}

// variants lists the schools of a dish, itself among them.
func (k *Kitchen) variants(c fiber.Ctx) error {
	d, err := k.Store.Dish(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	family := d.ID
	if d.Document.Variant != nil {
		family = d.Document.Variant.Of
	}
	list, _, err := k.Store.Shelf(c.Context(), store.Wanted{Family: family, Sort: store.ByName, Most: mostPage, Stamp: k.Stamp()})
	if err != nil {
		return err
	}
	out := []DishSummary{}
	for _, x := range list {
		out = append(out, viewed(x))
	}
	return c.JSON(out)
}
