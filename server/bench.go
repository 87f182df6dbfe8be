package server

import (
	"github.com/gofiber/fiber/v3"

	"yembra/core/stove"
	"yembra/devices"
	"yembra/server/texts"
)

// BenchView is the bench with what can be played on it.
type BenchView struct {
	Now DevicesNow `json:"now"`
	// ScaleBridged and ProbeBridged tell that a real one speaks.
	ScaleBridged bool            `json:"scaleBridged"`
	ProbeBridged bool            `json:"probeBridged"`
	Scenes       []devices.Scene `json:"scenes"`
}

// BenchRequest drives the simulated devices by hand; what is left out stays.
type BenchRequest struct {
	Put          *float64 `json:"put" jsonschema:"nullable"`
	Add          *float64 `json:"add" jsonschema:"nullable"`
	Tare         bool     `json:"tare"`
	Drift        *float64 `json:"drift" jsonschema:"nullable"`
	ScaleBattery *float64 `json:"scaleBattery" jsonschema:"nullable"`
	Into         *float64 `json:"into" jsonschema:"nullable"`
	Rise         *float64 `json:"rise" jsonschema:"nullable"`
	ProbeBattery *float64 `json:"probeBattery" jsonschema:"nullable"`
	Scene        string   `json:"scene"`
}

// Bounds of what can be put on the bench.
const (
	mostOnBench   = 20_000.0
	mostHeat      = 500.0
	mostPerMinute = 500.0
)

func (k *Kitchen) showBench(c fiber.Ctx) error {
	h := k.hearth
	at := h.now()
	scenes, err := devices.Scenes()
	if err != nil {
		return err
	}
	_, scale := h.bench.BridgedScale.Said(at)
	_, probe := h.bench.BridgedProbe.Said(at)
	return c.JSON(BenchView{DevicesNow{h.bench.Weigh(at), h.bench.Measure(at), map[string]stove.Weight{}}, scale, probe, scenes})
}

// driveBench does what the request says with the simulated devices.
func (k *Kitchen) driveBench(c fiber.Ctx) error {
	var r BenchRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	b, at := k.hearth.bench, k.hearth.now()
	for _, x := range []struct {
		field     string
		v         *float64
		low, high float64
		do        func(float64)
	}{
		{"put", r.Put, 0, mostOnBench, func(v float64) { b.Scale.Put(at, v) }},
		{"add", r.Add, -mostOnBench, mostOnBench, func(v float64) { b.Scale.Add(at, v) }},
		{"drift", r.Drift, -mostPerMinute, mostPerMinute, func(v float64) { b.Scale.Drift(at, v) }},
		{"scaleBattery", r.ScaleBattery, 0, 100, b.Scale.Battery},
		{"into", r.Into, -50, mostHeat, func(v float64) { b.Probe.Into(at, v) }},
		{"rise", r.Rise, -mostPerMinute, mostPerMinute, func(v float64) { b.Probe.Rise(at, v) }},
		{"probeBattery", r.ProbeBattery, 0, 100, b.Probe.Battery},
	} {
		if x.v == nil {
			continue
		}
		if !(*x.v >= x.low && *x.v <= x.high) {
			return unprocessable(texts.Say("theBenchCannotDoThat"), fieldError{x.field, texts.Say("mustBeBetweenAnd", x.low, x.high)})
		}
		x.do(*x.v)
	}
	if r.Tare {
		b.Scale.Tare(at)
	}
	if r.Scene != "" {
		played, err := b.Play(at, r.Scene)
		if err != nil {
			return err
		}
		if !played {
			return unprocessable(texts.Say("thereIsNoSuchScene"), fieldError{"scene", texts.Say("isNone", r.Scene)})
		}
	}
	return k.showBench(c)
}

// bridgeScale takes a message of a real scale.
func (k *Kitchen) bridgeScale(c fiber.Ctx) error {
	var w devices.Weight
	if err := decode(c, &w); err != nil {
		return err
	}
	if !(w.Grams >= -mostOnBench && w.Grams <= mostOnBench) {
		return unprocessable(texts.Say("theScaleSaysWhatCannotBe"), fieldError{"grams", texts.Say("mustBeBetweenAnd", -mostOnBench, mostOnBench)})
	}
	w.At = k.hearth.now()
	k.hearth.bench.BridgedScale.Tell(w.At, w)
	return c.SendStatus(fiber.StatusNoContent)
}

// bridgeProbe takes a message of a real probe.
func (k *Kitchen) bridgeProbe(c fiber.Ctx) error {
	var h devices.Temperature
	if err := decode(c, &h); err != nil {
		return err
	}
	if !(h.Celsius >= -60 && h.Celsius <= mostHeat) {
		return unprocessable(texts.Say("theProbeSaysWhatCannotBe"), fieldError{"celsius", texts.Say("mustBeBetween60And", mostHeat)})
	}
	h.At = k.hearth.now()
	k.hearth.bench.BridgedProbe.Tell(h.At, h)
	return c.SendStatus(fiber.StatusNoContent)
}
