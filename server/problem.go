package server

import (
	"errors"
	"fmt"
	"log/slog"

	"github.com/gofiber/fiber/v3"

	"yembra/core/larder"
	"yembra/core/swap"
	"yembra/server/texts"
	"yembra/store"
)

// problem is an error answer as RFC 9457 describes it.
type problem struct {
	Type   string       `json:"type"`
	Title  string       `json:"title"`
	Status int          `json:"status"`
	Detail string       `json:"detail"`
	Errors []fieldError `json:"errors,omitempty"`
	// Current is the newer dish when a save came too late.
	Current *DishView `json:"current,omitempty"`
}

type fieldError struct {
	Field  string `json:"field"`
	Detail string `json:"detail"`
}

func (p problem) Error() string { return fmt.Sprintf("%d %s: %s", p.Status, p.Title, p.Detail) }

// said is the problem in one sentence or two.
func (p problem) said() string {
	text := p.Detail
	for _, f := range p.Errors {
		text += " " + larder.Capital(f.Field) + ": " + f.Detail + "."
	}
	return text
}

func badRequest(detail string, fields ...fieldError) problem {
	return problem{Title: texts.Say("theRequestCouldNotBeRead"), Status: fiber.StatusBadRequest, Detail: detail, Errors: fields}
}

func unprocessable(detail string, fields ...fieldError) problem {
	return problem{Title: texts.Say("theRequestCannotBeCarriedOut"), Status: fiber.StatusUnprocessableEntity, Detail: detail, Errors: fields}
}

// keeping says what is wrong with where the kitchen is kept, and what to do.
var keeping = map[error]problem{
	store.ErrFull:     {Title: texts.Say("noRoomLeft"), Status: fiber.StatusInsufficientStorage, Detail: texts.Say("theDiskOnWhichTheKitchen")},
	store.ErrReadOnly: {Title: texts.Say("cannotBeWritten"), Status: fiber.StatusServiceUnavailable, Detail: texts.Say("theKitchensFolderCannotBeWritten")},
	store.ErrBusy:     {Title: texts.Say("busy"), Status: fiber.StatusServiceUnavailable, Detail: texts.Say("somethingElseIsWritingToThe")},
	store.ErrBroken:   {Title: texts.Say("theKitchensFileIsDamaged"), Status: fiber.StatusServiceUnavailable, Detail: texts.Say("aPartOfTheKitchensFile")},
	store.ErrInUse:    {Title: texts.Say("inUse"), Status: fiber.StatusServiceUnavailable, Detail: texts.Say("anotherProgramHasTheKitchenOpen")},
	store.ErrNewer:    {Title: texts.Say("tooNew"), Status: fiber.StatusServiceUnavailable, Detail: texts.Say("theKitchenWasWrittenByA")},
	store.ErrOlder:    {Title: texts.Say("tooOld"), Status: fiber.StatusServiceUnavailable, Detail: texts.Say("theKitchenMustBeOpenedOnce")},
}

// answerProblem is Fiber's error handler: every error leaves as one shape, and
// the log gets what the cook does not need to see.
func answerProblem(c fiber.Ctx, err error) error {
	p := problem{Title: texts.Say("somethingWentWrongInTheKitchen"), Status: fiber.StatusInternalServerError, Detail: texts.Say("theWorkFailedNothingWasChanged")}
	var known problem
	var fe *fiber.Error
	var field swap.FieldError
	switch {
	case errors.As(err, &known):
		p = known
	case errors.As(err, &field):
		p = unprocessable(field.Error(), fieldError{field.Field, field.Detail})
	case errors.Is(err, store.ErrNotFound):
		p = problem{Title: texts.Say("notFound"), Status: fiber.StatusNotFound, Detail: texts.Say("thereIsNoSuchDishIn")}
	case errors.Is(err, store.ErrNoEntry):
		p = problem{Title: texts.Say("notFound"), Status: fiber.StatusNotFound, Detail: texts.Say("thereIsNoSuchDayIn")}
	case store.Cause(err) != nil:
		p = keeping[store.Cause(err)]
		if p.Status == fiber.StatusServiceUnavailable {
			c.Set("Retry-After", "5")
		}
	case errors.Is(err, store.ErrDamaged):
		p = problem{Title: texts.Say("damaged"), Status: fiber.StatusInternalServerError, Detail: texts.Say("whatIsKeptOfThisDish")}
	case errors.Is(err, store.ErrNothing):
		p = problem{Title: texts.Say("nothingToDo"), Status: fiber.StatusConflict, Detail: texts.Say("thereIsNothingToUndoOr")}
	case errors.As(err, &fe):
		p = problem{Title: fe.Message, Status: fe.Code, Detail: fe.Message}
	}
	if p.Status >= fiber.StatusInternalServerError {
		slog.Error("request failed", "method", c.Method(), "path", c.Path(), "error", err)
	}
	p.Type = "about:blank"
	return c.Status(p.Status).JSON(p, "application/problem+json")
}
