package server

import (
	"bytes"
	"context"
	"encoding/json"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/core/recipe"
	"yembra/server/texts"
	"yembra/store"
)

// afterAll tells of each trial which one it comes after: the last before it on the
// same line, or the trial that the cook had gone back to.
func afterAll(all []kept) []string {
	out := make([]string, len(all))
	for i, x := range all {
		out[i] = x.dish.Base
		for j := range i {
			if y := all[j].dish; y.Base == x.dish.Base && y.BaseAt == x.dish.BaseAt {
				out[i] = all[j].id
			}
		}
	}
	return out
}

// branches are the lines on which trials are drawn: one goes on where the trial
// before it stands, unless another does already.
func branches(all []kept, after []string) []int {
	out, at, gone := make([]int, len(all)), map[string]int{}, map[string]bool{}
	lines := 0
	for i, x := range all {
		before, known := at[after[i]]
		if known && !gone[after[i]] {
			out[i] = before
		} else {
			out[i] = lines
			lines++
		}
		at[x.id], gone[after[i]] = out[i], true
	}
	return out
}

// documentOf is the dish as it was when a trial was cooked.
func (k *Kitchen) documentOf(ctx context.Context, x *kept) (store.Document, error) {
	if x.dish.Revision == 0 {
		return store.Document{}, unprocessable(texts.Say("thisTrialWasKeptBeforeThe"), fieldError{"trial", texts.Say("hasNoVersion")})
	}
	return k.Store.RevisionOf(ctx, x.dish.ID, x.dish.Revision)
}

// sameAs tells whether a dish that was gone back to a trial is still as it was then.
func (k *Kitchen) sameAs(ctx context.Context, d store.Dish, x *kept) bool {
	was, err := k.documentOf(ctx, x)
	if err != nil {
		return false
	}
	a, err1 := json.Marshal([]any{unread(was.Original), was.Decisions})
	b, err2 := json.Marshal([]any{unread(d.Document.Original), d.Document.Decisions})
	return err1 == nil && err2 == nil && bytes.Equal(a, b)
}

// unread is a dish as the cook has it, without what was read in its steps.
func unread(d recipe.Dish) recipe.Dish {
	d = d.Bare()
	for i := range d.Components {
		for j, s := range d.Components[i].Steps {
			d.Components[i].Steps[j] = recipe.Step{ID: s.ID, Order: s.Order, Text: s.Text, Mends: s.Mends}
		}
	}
	return d
}

// returnTo lets a dish go on from a trial: what was decided is as it was then.
func (k *Kitchen) returnTo(c fiber.Ctx) error {
	edit, err := ifMatch(c)
	if err != nil {
		return err
	}
	saved, err := k.goBack(c.Context(), c.Params("id"), c.Params("trial"), edit)
	return k.afterChange(c, c.Params("id"), saved, err)
}

// ReturnTo lets a dish, as it is now, go on from a trial.
func (k *Kitchen) ReturnTo(ctx context.Context, dish, trial string) error {
	d, err := k.Store.Dish(ctx, dish)
	if err != nil {
		return err
	}
	_, err = k.goBack(ctx, dish, trial, d.Edit)
	return err
}

func (k *Kitchen) goBack(ctx context.Context, dish, trial string, edit int64) (store.Dish, error) {
	d, err := k.open(ctx, dish)
	if err != nil {
		return d, err
	}
	x, err := k.trialNamed(ctx, d.ID, trial)
	if err != nil {
		return d, err
	}
	was, err := k.documentOf(ctx, x)
	if err != nil {
		return d, err
	}
	doc := d.Document
	doc.Original, doc.Decisions, doc.Source, doc.LastID = was.Original, was.Decisions, was.Source, max(doc.LastID, was.LastID)
	doc.Base = &store.Base{Trial: x.id, At: k.hearth.now().UnixMilli()}
	return k.Store.Save(ctx, d.ID, edit, texts.Keep("wentBackToTheTrialOf", time.UnixMilli(x.trial.Kept).UTC().Format(time.DateOnly)), doc)
}

// VariantRequest makes another school of a dish, from a trial of it or, without one,
// as it is now.
type VariantRequest struct {
	Name  string `json:"name"`
	Trial string `json:"trial"`
}

// makeVariant keeps a dish of its own that begins as this one is, or was.
func (k *Kitchen) makeVariant(c fiber.Ctx) error {
	var r VariantRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	if err := checkNames(&r.Name, nil, nil, nil); err != nil {
		return err
	}
	r.Name = strings.TrimSpace(r.Name)
	if r.Name == "" {
		return unprocessable(texts.Say("aVariantNeedsANameOf"), fieldError{"name", texts.Say("isEmpty")})
	}
	d, err := k.open(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	doc := d.Document
	if r.Trial != "" {
		x, err := k.trialNamed(c.Context(), d.ID, r.Trial)
		if err != nil {
			return err
		}
		was, err := k.documentOf(c.Context(), x)
		if err != nil {
			return err
		}
		doc.Original, doc.Decisions, doc.Source = was.Original, was.Decisions, was.Source
	}
	of := d.ID
	if doc.Variant != nil {
		of = doc.Variant.Of
	}
	doc.Base, doc.Variant = nil, &store.Variant{Of: of, Name: r.Name}
	made, err := k.NewDish(c.Context(), doc)
	if err != nil {
		return err
	}
	return k.answerDish(c, fiber.StatusCreated, made)
}
