package server

import (
	"cmp"
	"encoding/json"
	"errors"
	"slices"

	"github.com/gofiber/fiber/v3"

	"yembra/core/larder"
	"yembra/server/texts"
	"yembra/store"
)

// FoodHit is one food found by a search.
type FoodHit struct {
	ID     string           `json:"id"`
	Name   string           `json:"name"`
	Origin larder.Origin    `json:"origin"`
	Animal larder.Animal    `json:"animal"`
	Check  bool             `json:"checkLabel"`
	Grade  larder.Grade     `json:"grade"`
	Aisle  string           `json:"aisle"`
	Own    larder.Ownership `json:"own"`
}

// mostHits bounds a search; a whole shelf is given whole.
const mostHits = 40

// ownShelf is the shelf that gathers what the cook corrected or added.
const ownShelf = "own"

func (k *Kitchen) foods(c fiber.Ctx) error {
	hits := []FoodHit{}
	add := func(f *larder.Food) {
		hits = append(hits, FoodHit{f.ID, f.Name, f.Origin, f.Animal, f.Check, f.Grade, f.Aisle, f.Own})
	}
	l := k.Core().Larder
	if shelf := c.Query("shelf"); shelf != "" {
		for _, f := range l.Foods() {
			if f.Aisle == shelf || shelf == ownShelf && f.Own != "" {
				add(f)
			}
		}
		return c.JSON(hits)
	}
	for _, f := range l.Index().Search(c.Query("q"), mostHits) {
		add(f)
	}
	return c.JSON(hits)
}

// Shelf is one shelf of the larder with how many foods stand on it.
type Shelf struct {
	ID    string `json:"id"`
	Foods int    `json:"foods"`
}

func (k *Kitchen) shelves(c fiber.Ctx) error {
	count := map[string]int{ownShelf: 0}
	for _, f := range k.Core().Larder.Foods() {
		if f.Aisle != ownShelf {
			count[f.Aisle]++
		}
		if f.Own != "" {
			count[ownShelf]++
		}
	}
	list := []Shelf{}
	for id, n := range count {
		list = append(list, Shelf{id, n})
	}
	slices.SortFunc(list, func(a, b Shelf) int { return cmp.Compare(a.ID, b.ID) })
	return c.JSON(list)
}

var errNoFood = problem{Title: texts.Say("notFound"), Status: fiber.StatusNotFound, Detail: texts.Say("thereIsNoSuchFoodIn")}

func (k *Kitchen) food(c fiber.Ctx) error {
	return k.answerFood(c, c.Params("id"))
}

func (k *Kitchen) answerFood(c fiber.Ctx, id string) error {
	f := k.Core().Larder.Food(id)
	if f == nil {
		return errNoFood
	}
	v, err := k.viewFood(c.Context(), f)
	if err != nil {
		return err
	}
	if v.Version, err = k.Store.EntryVersion(c.Context(), store.FoodEntry, id); err != nil {
		return err
	}
	c.Set("ETag", etag(v.Version))
	return c.JSON(v)
}

// saveFood keeps the cook's correction of a food, or a food of their own.
func (k *Kitchen) saveFood(c fiber.Ctx) error {
	var e larder.Entry
	if err := decode(c, &e); err != nil {
		return err
	}
	e.ID = c.Params("id")
	err := k.changed(c, store.FoodEntry, e.ID, func() ([]byte, error) {
		entries, _, err := k.ownFoods(c.Context())
		if err != nil {
			return nil, err
		}
		entries = append(slices.DeleteFunc(entries, func(old larder.Entry) bool { return old.ID == e.ID }), e)
		var wrong larder.EntryError
		if _, err := k.shipped.With(entries); errors.As(err, &wrong) {
			return nil, unprocessable(texts.Say("theFoodCannotBeKeptLike"), fieldError{wrong.Field, wrong.Detail})
		} else if err != nil {
			return nil, err
		}
		return json.Marshal(e)
	})
	if err != nil {
		return err
	}
	return k.answerFood(c, e.ID)
}

// takeBackFood takes the cook's correction back; a food of their own goes,
// unless a dish uses it.
func (k *Kitchen) takeBackFood(c fiber.Ctx) error {
	id := c.Params("id")
	f := k.Core().Larder.Food(id)
	if f == nil || f.Own == "" {
		return errNoFood
	}
	if f.Own == larder.Added {
		uses, err := k.uses(c.Context(), id)
		if err != nil {
			return err
		}
		if len(uses) > 0 {
			return problem{Title: texts.Say("stillUsed"), Status: fiber.StatusConflict, Detail: texts.Say("isUsedInNameAnotherFood", larder.Capital(f.Name), uses[0].Name)}
		}
	}
	if err := k.changed(c, store.FoodEntry, id, func() ([]byte, error) { return nil, nil }); err != nil {
		return err
	}
	if f.Own == larder.Added {
		return c.SendStatus(fiber.StatusNoContent)
	}
	return k.answerFood(c, id)
}
