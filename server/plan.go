package server

import (
	"errors"

	"github.com/gofiber/fiber/v3"

	"yembra/core/day"
)

// Plan answers a plan request; errors are problems.
func Plan(r day.Request) (day.Plan, error) {
	p, err := day.Make(r)
	var faults day.Invalid
	if errors.As(err, &faults) {
		fields := make([]fieldError, len(faults))
		for i, f := range faults {
			fields[i] = fieldError{f.Field, f.Detail}
		}
		return day.Plan{}, unprocessable("The day cannot be planned as it is written.", fields...)
	}
	return p, err
}

func plan(c fiber.Ctx) error {
	var r day.Request
	if err := decode(c, &r); err != nil {
		return err
	}
	p, err := Plan(r)
	if err != nil {
		return err
	}
	return c.JSON(p)
}
