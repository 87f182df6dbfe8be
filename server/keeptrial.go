package server

import (
	"context"
	"slices"

	"github.com/gofiber/fiber/v3"

	"yembra/core/stove"
	"yembra/server/texts"
	"yembra/store"
)

// Trial is a cook-through that is kept, as it was.
type Trial struct {
	Program stove.Program `json:"program"`
	Events  []stove.Event `json:"events"`
	Summary stove.Summary `json:"summary"`
	Words   string        `json:"words"`
	Kept    int64         `json:"kept"`
	// By is the screen that kept it, empty on the machine itself.
	By string `json:"by,omitempty"`
}

// KeepRequest keeps a cook-through as a trial, with words.
type KeepRequest struct {
	Words string `json:"words"`
}

// mostWords bounds what is said of a trial.
const mostWords = 4000

// keepTrial keeps a cook-through for good, and learns from what was weighed.
func (k *Kitchen) keepTrial(c fiber.Ctx) error {
	var r KeepRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	if len(r.Words) > mostWords {
		return unprocessable(texts.Say("thatIsTooLongToKeep"), fieldError{"words", texts.Say("holdsMoreThanLetters", mostWords)})
	}
	x, err := k.cookThrough(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	x.mu.Lock()
	now := k.hearth.now().UnixMilli()
	ended := x.state.Ended > 0
	t := Trial{Program: x.program, Events: slices.Clone(x.events), Summary: stove.Sum(&x.program, &x.state, now), Words: r.Words, Kept: now, By: store.ScreenOf(c.Context())}
	x.mu.Unlock()
	if !ended {
		return unprocessable(texts.Say("aTrialIsKeptWhenThe"), fieldError{"id", texts.Say("hasNotEnded")})
	}
	if err := k.saveTrial(c.Context(), x.id, t); err != nil {
		return err
	}
	if err := k.learn(c.Context(), x.id, t.Summary.Weighed); err != nil {
		return err
	}
	k.hearth.broadcast("changed", map[string]any{"cook": x.id})
	return c.JSON(t)
}

// keptTrials are the cook-throughs that were kept.
func (k *Kitchen) keptTrials(ctx context.Context) (map[string]bool, error) {
	keys, err := k.Store.NewestKeys(ctx, store.TrialEntry, mostTrials)
	out := map[string]bool{}
	for _, key := range keys {
		out[key] = true
	}
	return out, err
}
