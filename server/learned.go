package server

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"

	"github.com/gofiber/fiber/v3"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/stove"
	"yembra/store"
)

// LearnedView is what the kitchen's own weighings say of it.
type LearnedView struct {
	Factors []stove.Factor `json:"factors"`
	Weighed []Weighing     `json:"weighed"`
	// Taught is what tables have taught, Lessons what each has found.
	Taught  []TaughtView `json:"taught"`
	Lessons []LessonView `json:"lessons"`
}

// Weighing is one loss that was weighed, by its key.
type Weighing struct {
	Key string `json:"key"`
	stove.Measured
}

// learn keeps what was weighed in a cook-through and works it in.
func (k *Kitchen) learn(ctx context.Context, cook string, weighed []stove.Measured) error {
	if len(weighed) == 0 {
		return nil
	}
	k.changing.Lock()
	defer k.changing.Unlock()
	for i, m := range weighed {
		m.Cook = cook
		body, err := json.Marshal(m)
		if err != nil {
			return fmt.Errorf("encode a weighing: %w", err)
		}
		if err := k.Store.SaveEntry(ctx, store.MeasuredEntry, store.Below(cook, int64(i+1)), body); err != nil {
			return err
		}
	}
	return k.Refresh(ctx)
}

// weighings are those that count.
func (k *Kitchen) weighings(ctx context.Context) ([]Weighing, error) {
	entries, err := k.Store.Entries(ctx, store.MeasuredEntry)
	if err != nil {
		return nil, err
	}
	out := []Weighing{}
	for _, e := range entries {
		if m, ok := readEntry[stove.Measured]("a weighing", e); ok {
			out = append(out, Weighing{e.Key, m})
		}
	}
	return out, nil
}

// factorsOf are what weighings make of the losses that a larder foresees.
func factorsOf(l *larder.Larder, weighed []Weighing) []stove.Factor {
	plain := make([]stove.Measured, len(weighed))
	for i, w := range weighed {
		plain[i] = w.Measured
	}
	out := []stove.Factor{}
	for _, x := range l.Losses() {
		if f := stove.Learn(x, plain); f.N > 0 {
			out = append(out, f)
		}
	}
	return out
}

// withFactors is a larder with what the kitchen has weighed.
func (k *Kitchen) withFactors(ctx context.Context, l *larder.Larder) (*larder.Larder, []stove.Factor, error) {
	weighed, err := k.weighings(ctx)
	if err != nil {
		return l, nil, err
	}
	learned := factorsOf(l, weighed)
	own := map[string]float64{}
	for _, f := range learned {
		own[f.Loss] = f.Factor
	}
	return l.WithFactors(own), learned, nil
}

func (k *Kitchen) learned(c fiber.Ctx) error {
	weighed, err := k.weighings(c.Context())
	if err != nil {
		return err
	}
	taught, lessons, err := k.taughtView(c.Context())
	if err != nil {
		return err
	}
	return c.JSON(LearnedView{factorsOf(k.Core().Larder, weighed), weighed, taught, lessons})
}

// unlearn takes one weighing back.
func (k *Kitchen) unlearn(c fiber.Ctx) error {
	key := c.Params("cook") + "/" + c.Params("number")
	k.changing.Lock()
	defer k.changing.Unlock()
	e, err := k.Store.Entry(c.Context(), store.MeasuredEntry, key)
	if err != nil {
		return err
	}
	if _, err := k.Store.ChangeEntry(c.Context(), store.MeasuredEntry, key, e.Version, nil); err != nil {
		return err
	}
	if err := k.Refresh(c.Context()); err != nil {
		return err
	}
	return k.learned(c)
}

// bringBack lets an entry that was taken away stand again.
func (k *Kitchen) bringBack(ctx context.Context, kind, key string) error {
	version, err := k.Store.EntryVersion(ctx, kind, key)
	if err != nil {
		return err
	}
	if version == 0 {
		return store.ErrNoEntry
	}
	was, err := k.Store.Before(ctx, kind, key, version)
	if err != nil {
		return err
	}
	_, err = k.Store.ChangeEntry(ctx, kind, key, version, was.Body)
	return err
}

// relearn brings back a weighing that was taken back.
func (k *Kitchen) relearn(c fiber.Ctx) error {
	key := c.Params("cook") + "/" + c.Params("number")
	k.changing.Lock()
	defer k.changing.Unlock()
	if err := k.bringBack(c.Context(), store.MeasuredEntry, key); err != nil {
		return err
	}
	if err := k.Refresh(c.Context()); err != nil {
		return err
	}
	return k.learned(c)
}

// measuredFor are the kitchen's own factors that a dish's figures use, in words.
func (c *Core) measuredFor(d *recipe.Dish) []string {
	out := []string{}
	for _, f := range c.Learned {
		x := c.Larder.Loss(f.Loss)
		if x != nil && usesLoss(c.Larder, d, x) {
			out = append(out, f.Say)
		}
	}
	return out
}

func usesLoss(l *larder.Larder, d *recipe.Dish, x *larder.Loss) bool {
	for i := range d.Components {
		var foods []*larder.Food
		for j := range d.Components[i].Lines {
			foods = append(foods, l.Food(d.Components[i].Lines[j].FoodID()))
		}
		for _, s := range d.Components[i].Steps {
			for _, a := range s.Actions {
				if l.LossBy(a.Technique, foods) == x {
					return true
				}
			}
		}
	}
	return false
}

// isNothing tells that nothing stands under a key.
func isNothing(err error) bool {
	return errors.Is(err, store.ErrNoEntry) || errors.Is(err, store.ErrNotFound)
}
