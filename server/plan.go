package server

import (
	"context"
	"errors"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/core/day"
	"yembra/server/texts"
)

// Plan answers a plan request; errors are problems.
func Plan(ctx context.Context, r day.Request) (day.Plan, error) {
	ctx, done := context.WithTimeout(ctx, planWithin)
	defer done()
	p, err := day.Make(ctx, r)
	if err = asProblem(err); err != nil {
		return day.Plan{}, err
	}
	return p, nil
}

// planWithin is how long anybody waits for a plan; what was found until then is
// the answer.
const planWithin = 1900 * time.Millisecond

// asProblem says what is wrong with a request that makes no sense.
func asProblem(err error) error {
	var faults day.Invalid
	if !errors.As(err, &faults) {
		return err
	}
	fields := make([]fieldError, len(faults))
	for i, f := range faults {
		fields[i] = fieldError{f.Field, f.Detail}
	}
	return unprocessable(texts.Say("theDayCannotBePlannedAs"), fields...)
}

func plan(c fiber.Ctx) error {
	var r day.Request
	if err := decode(c, &r); err != nil {
		return err
	}
	p, err := Plan(c.Context(), r)
	if err != nil {
		return err
	}
	return c.JSON(p)
}
