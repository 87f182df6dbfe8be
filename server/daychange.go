package server

import (
	"encoding/json"
	"errors"
	"fmt"

	"github.com/gofiber/fiber/v3"

	"yembra/server/texts"
	"yembra/store"
)

// errDayChanged answers a save that came too late.
var errDayChanged = problem{Title: texts.Say("changedMeanwhile"), Status: fiber.StatusPreconditionFailed, Detail: texts.Say("thisDayWasChangedInAnother")}

func (k *Kitchen) saveDay(c fiber.Ctx) error {
	var d DayDocument
	if err := decode(c, &d); err != nil {
		return err
	}
	version, err := ifMatch(c)
	if err != nil {
		return err
	}
	if err := d.check(); err != nil {
		return err
	}
	if _, err := k.Store.Entry(c.Context(), store.DayEntry, c.Params("id")); err != nil {
		return err
	}
	body, err := json.Marshal(d)
	if err != nil {
		return fmt.Errorf("encode the day: %w", err)
	}
	return k.changeDay(c, version, body)
}

// changeDay computes a day as it would be before it is kept, so that an answer
// that says nothing was changed is true.
func (k *Kitchen) changeDay(c fiber.Ctx, version int64, body json.RawMessage) error {
	id := c.Params("id")
	v, err := k.viewDay(c.Context(), store.Entry{Key: id, Version: version, Body: body})
	if err != nil {
		return err
	}
	e, err := k.Store.ChangeEntry(c.Context(), store.DayEntry, id, version, body)
	if errors.Is(err, store.ErrChanged) {
		return errDayChanged
	}
	if err != nil {
		return err
	}
	v.Version = e.Version
	c.Set("ETag", etag(e.Version))
	return c.JSON(v)
}

// undoDay goes back to what stood before the last change; done again, it comes
// back.
func (k *Kitchen) undoDay(c fiber.Ctx) error {
	version, err := ifMatch(c)
	if err != nil {
		return err
	}
	id := c.Params("id")
	was, err := k.Store.Before(c.Context(), store.DayEntry, id, version)
	if err != nil {
		return err
	}
	return k.changeDay(c, version, was.Body)
}

func (k *Kitchen) removeDay(c fiber.Ctx) error {
	e, err := k.Store.Entry(c.Context(), store.DayEntry, c.Params("id"))
	if err != nil {
		return err
	}
	if _, err := k.Store.ChangeEntry(c.Context(), store.DayEntry, e.Key, e.Version, nil); err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}
