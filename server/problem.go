package server

import (
	"errors"
	"fmt"
	"log/slog"

	"github.com/gofiber/fiber/v3"

	"yembra/core/larder"
	"yembra/core/swap"
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
	return problem{Title: "The request could not be read", Status: fiber.StatusBadRequest, Detail: detail, Errors: fields}
}

func unprocessable(detail string, fields ...fieldError) problem {
	return problem{Title: "The request cannot be carried out", Status: fiber.StatusUnprocessableEntity, Detail: detail, Errors: fields}
}

// keeping says what is wrong with where the kitchen is kept, and what to do.
var keeping = map[error]problem{
	store.ErrFull:     {Title: "No room left", Status: fiber.StatusInsufficientStorage, Detail: "The disk on which the kitchen is kept is full, so this could not be kept; nothing else is lost, and reading goes on. Make room, then try again."},
	store.ErrReadOnly: {Title: "Cannot be written", Status: fiber.StatusServiceUnavailable, Detail: "The kitchen's folder cannot be written to, so this could not be kept; reading goes on. Look at the folder's permissions and whether its disk is mounted to be written, then try again."},
	store.ErrBusy:     {Title: "Busy", Status: fiber.StatusServiceUnavailable, Detail: "Something else is writing to the kitchen and did not end in time. Nothing was changed; try again."},
	store.ErrBroken:   {Title: "The kitchen's file is damaged", Status: fiber.StatusServiceUnavailable, Detail: "A part of the kitchen's file cannot be read. Nothing was changed. Run “yembra check” to see what is whole, and bring a backup in beside it with “yembra restore”."},
	store.ErrInUse:    {Title: "In use", Status: fiber.StatusServiceUnavailable, Detail: "Another program has the kitchen open."},
	store.ErrNewer:    {Title: "Too new", Status: fiber.StatusServiceUnavailable, Detail: "The kitchen was written by a later version of this program."},
	store.ErrOlder:    {Title: "Too old", Status: fiber.StatusServiceUnavailable, Detail: "The kitchen must be opened once to be brought up to date."},
}

// answerProblem is Fiber's error handler: every error leaves as one shape, and
// the log gets what the cook does not need to see.
func answerProblem(c fiber.Ctx, err error) error {
	p := problem{Title: "Something went wrong in the kitchen", Status: fiber.StatusInternalServerError, Detail: "The work failed; nothing was changed. Try again."}
	var known problem
	var fe *fiber.Error
	var field swap.FieldError
	switch {
	case errors.As(err, &known):
		p = known
	case errors.As(err, &field):
		p = unprocessable(field.Error(), fieldError{field.Field, field.Detail})
	case errors.Is(err, store.ErrNotFound):
		p = problem{Title: "Not found", Status: fiber.StatusNotFound, Detail: "There is no such dish in this kitchen."}
	case errors.Is(err, store.ErrNoEntry):
		p = problem{Title: "Not found", Status: fiber.StatusNotFound, Detail: "There is no such day in this kitchen."}
	case store.Cause(err) != nil:
		p = keeping[store.Cause(err)]
		if p.Status == fiber.StatusServiceUnavailable {
			c.Set("Retry-After", "5")
		}
	case errors.Is(err, store.ErrDamaged):
		p = problem{Title: "Damaged", Status: fiber.StatusInternalServerError, Detail: "What is kept of this dish cannot be read. Nothing was changed; the other dishes are not touched by it. A backup holds it as it was then."}
	case errors.Is(err, store.ErrNothing):
		p = problem{Title: "Nothing to do", Status: fiber.StatusConflict, Detail: "There is nothing to undo or redo."}
	case errors.As(err, &fe):
		p = problem{Title: fe.Message, Status: fe.Code, Detail: fe.Message}
	}
	if p.Status >= fiber.StatusInternalServerError {
		slog.Error("request failed", "method", c.Method(), "path", c.Path(), "error", err)
	}
	p.Type = "about:blank"
	return c.Status(p.Status).JSON(p, "application/problem+json")
}
