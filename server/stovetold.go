package server

import (
	"slices"

	"github.com/gofiber/fiber/v3"

	"yembra/core/stove"
	"yembra/server/texts"
	"yembra/store"
)

// stoveNow is where a cook-through stands, for the screen that asks.
func (k *Kitchen) stoveNow(c fiber.Ctx, x *cookThrough) (StoveNow, error) {
	_, err := k.Store.Entry(c.Context(), store.TrialEntry, x.id)
	kept := err == nil
	if err != nil && !isNothing(err) {
		return StoveNow{}, err
	}
	k.hearth.mu.Lock()
	weights := slices.Clone(k.hearth.weights)
	k.hearth.mu.Unlock()
	x.mu.Lock()
	defer x.mu.Unlock()
	now := StoveNow{State: x.state, View: stove.Look(&x.program, &x.state, k.hearth.now().UnixMilli()), Last: x.state.LastOf(screenName(c, c.Query("screen"))), Kept: kept}
	if x.state.Weighing != nil {
		w := stove.Judge(x.state.Weighing, weights)
		now.Weight = &w
	}
	return now, nil
}

// tellStove takes an event of a screen.
func (k *Kitchen) tellStove(c fiber.Ctx) error {
	var e stove.Event
	if err := decode(c, &e); err != nil {
		return err
	}
	x, err := k.cookThrough(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	if e.Kind == stove.Weigh && e.Line != "" { // what stands on the scale counts as nothing, but for a pot
		k.hearth.mu.Lock()
		e.Amount = stove.OnScale(k.hearth.weights)
		k.hearth.mu.Unlock()
	}
	e.Screen = screenName(c, e.Screen)
	if e.Kind.ByDevices() {
		return asWrong(stove.Wrong{Field: "kind", Detail: texts.Say("isToldByTheKitchenItself")})
	}
	if err := k.tell(c.Context(), x, e); err != nil {
		return asWrong(err)
	}
	now, err := k.stoveNow(c, x)
	if err != nil {
		return err
	}
	return c.JSON(now)
}

// taps lists the likely deviations of a move.
func (k *Kitchen) taps(c fiber.Ctx) error {
	x, err := k.cookThrough(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	x.mu.Lock()
	defer x.mu.Unlock()
	m := x.program.Move(c.Query("move"))
	if m == nil {
		return unprocessable(texts.Say("thereIsNoSuchThingTo"), fieldError{"move", texts.Say("isNoneOfThisCookThrough")})
	}
	return c.JSON(stove.Different(&x.program, &x.state, m))
}

// sumStove tells what became of a cook-through.
func (k *Kitchen) sumStove(c fiber.Ctx) error {
	x, err := k.cookThrough(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	x.mu.Lock()
	defer x.mu.Unlock()
	return c.JSON(stove.Sum(&x.program, &x.state, k.hearth.now().UnixMilli()))
}

// letGo takes a cook-through off the list; what was told of it stays in the file.
func (k *Kitchen) letGo(c fiber.Ctx) error {
	e, err := k.Store.Entry(c.Context(), store.CookEntry, c.Params("id"))
	if err != nil {
		return err
	}
	if _, err := k.Store.ChangeEntry(c.Context(), store.CookEntry, e.Key, e.Version, nil); err != nil {
		return err
	}
	k.hearth.mu.Lock()
	delete(k.hearth.cooks, e.Key)
	k.hearth.mu.Unlock()
	return c.SendStatus(fiber.StatusNoContent)
}

// takeBackUp brings a cook-through back that was let go.
func (k *Kitchen) takeBackUp(c fiber.Ctx) error {
	_, err := k.Store.Entry(c.Context(), store.CookEntry, c.Params("id"))
	if isNothing(err) {
		err = k.bringBack(c.Context(), store.CookEntry, c.Params("id"))
	}
	if err != nil {
		return err
	}
	return k.showStove(c)
}
