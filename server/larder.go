package server

import (
	"cmp"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"math"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/store"
)

// Refresh works what the cook has said about foods into what the kitchen
// computes with.
func (k *Kitchen) Refresh(ctx context.Context) error {
	entries, err := k.ownFoods(ctx)
	if err != nil {
		return err
	}
	l, err := k.shipped.With(entries)
	if err != nil {
		return fmt.Errorf("work in the kitchen's own foods: %w", err)
	}
	settings, err := k.loadSettings(ctx)
	if err != nil {
		return err
	}
	k.core.Store(coreOf(l.WithPrices(settings.Prices)))
	return nil
}

func (k *Kitchen) ownFoods(ctx context.Context) ([]larder.Entry, error) {
	kept, err := k.Store.Entries(ctx, store.FoodEntry)
	if err != nil {
		return nil, err
	}
	entries := make([]larder.Entry, 0, len(kept))
	for _, e := range kept {
		var entry larder.Entry
		if err := json.Unmarshal(e.Body, &entry); err != nil {
			return nil, fmt.Errorf("read the kitchen's own %s: %w", e.Key, err)
		}
		entries = append(entries, entry)
	}
	return entries, nil
}

// FoodView is a food as the larder shows it.
type FoodView struct {
	*larder.Food
	Pieces      map[string]measure.Span `json:"pieces"`
	Density     float64                 `json:"density"`
	WeighSource string                  `json:"weighSource"`
	// Titratable is g citric-acid equivalents, Sweetness g sucrose
	// equivalents per 100 g; null when not known.
	Titratable *float64 `json:"titratable" jsonschema:"nullable"`
	Sweetness  *float64 `json:"sweetness" jsonschema:"nullable"`
	// Sources spells out every source code that the figures carry.
	Sources map[string]string `json:"sources"`
	// LookAlikes names the confusables.
	LookAlikes []LookAlike `json:"lookAlikes"`
	// Limits are the limits for a day that it can reach; Served what one serving
	// takes at most, null where the book sets no bound.
	Limits []larder.Limit `json:"limits"`
	Served *Served        `json:"served" jsonschema:"nullable"`
	UsedIn []FoodUse      `json:"usedIn"`
	// Entry is what the cook said of it, null when nothing.
	Entry *larder.Entry `json:"entry" jsonschema:"nullable"`
}

// Served is the most of a strong food, in grams, that the book puts into a serving.
type Served struct {
	Most   float64 `json:"most"`
	Why    string  `json:"why"`
	Source string  `json:"source"`
}

// LookAlike is a food with a like name, and how it differs.
type LookAlike struct {
	ID      string `json:"id"`
	Name    string `json:"name"`
	Differs string `json:"differs"`
}

// FoodUse is one place where a food is used: a dish, a swap or a booster.
type FoodUse struct {
	Kind string `json:"kind"`
	ID   string `json:"id"`
	Name string `json:"name"`
}

func (k *Kitchen) viewFood(ctx context.Context, f *larder.Food) (FoodView, error) {
	l := k.Core().Larder
	v := FoodView{
		Food: f, Pieces: f.Matter.Pieces, Density: f.Matter.Density, WeighSource: f.Matter.Source,
		Titratable: f.Acids.Titratable(), Sweetness: f.SucroseEquivalents(), Sources: map[string]string{}, LookAlikes: []LookAlike{}, Limits: l.Limits(f),
	}
	if s := l.MostServed(f, ""); !math.IsInf(s.Most, 1) {
		v.Served = &Served{s.Most, s.Why, l.SourceTitle(s.Source)}
	}
	codes := []string{f.Matter.Source, f.Per100.Source, f.Per100.Further, f.Taste.Source, f.Acids.Source, f.Sugars.Source, f.Heat.Source, f.Edible.Source, f.Storage.Source}
	for _, form := range f.Forms {
		codes = append(codes, form.Source)
	}
	for _, code := range codes {
		if code != "" {
			v.Sources[code] = l.SourceTitle(code)
		}
	}
	for _, c := range f.Confusables {
		if other := l.Food(c.With); other != nil {
			v.LookAlikes = append(v.LookAlikes, LookAlike{other.ID, other.Name, c.Differs})
		}
	}
	entries, err := k.ownFoods(ctx)
	if err != nil {
		return v, err
	}
	if i := slices.IndexFunc(entries, func(e larder.Entry) bool { return e.ID == f.ID }); i >= 0 {
		v.Entry = &entries[i]
	}
	v.UsedIn, err = k.uses(ctx, f.ID)
	return v, err
}

// uses lists where a food is used: dishes first, then swaps and boosters.
func (k *Kitchen) uses(ctx context.Context, id string) ([]FoodUse, error) {
	uses := []FoodUse{}
	dishes, err := k.Store.Dishes(ctx)
	if err != nil {
		return nil, err
	}
	for _, d := range dishes {
		for _, c := range d.Document.Original.Components {
			if slices.ContainsFunc(c.Lines, lineHolds(id)) {
				uses = append(uses, FoodUse{"dish", d.ID, d.Document.Name})
				break
			}
		}
	}
	for _, s := range k.Core().Larder.Swaps() {
		if slices.ContainsFunc(s.Formula, func(p larder.Part) bool { return p.Food == id }) {
			uses = append(uses, FoodUse{"swap", s.ID, s.Name})
		}
	}
	for _, b := range k.Core().Larder.Boosters() {
		if b.Food == id {
			uses = append(uses, FoodUse{"booster", id, "booster for " + strings.Join(b.Traits, ", ")})
		}
	}
	return uses, nil
}

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

var errNoFood = problem{Title: "Not found", Status: fiber.StatusNotFound, Detail: "There is no such food in the larder."}

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
	return c.JSON(v)
}

// saveFood keeps the cook's correction of a food, or a food of their own.
func (k *Kitchen) saveFood(c fiber.Ctx) error {
	var e larder.Entry
	if err := decode(c, &e); err != nil {
		return err
	}
	e.ID = c.Params("id")
	entries, err := k.ownFoods(c.Context())
	if err != nil {
		return err
	}
	entries = append(slices.DeleteFunc(entries, func(old larder.Entry) bool { return old.ID == e.ID }), e)
	var wrong larder.EntryError
	if _, err := k.shipped.With(entries); errors.As(err, &wrong) {
		return unprocessable("The food cannot be kept like this.", fieldError{wrong.Field, wrong.Detail})
	} else if err != nil {
		return err
	}
	body, err := json.Marshal(e)
	if err != nil {
		return fmt.Errorf("encode the food: %w", err)
	}
	if err := k.Store.SaveEntry(c.Context(), store.FoodEntry, e.ID, body); err != nil {
		return err
	}
	if err := k.Refresh(c.Context()); err != nil {
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
			return problem{Title: "Still used", Status: fiber.StatusConflict, Detail: fmt.Sprintf("%s is used in %s; name another food there first.", larder.Capital(f.Name), uses[0].Name)}
		}
	}
	if err := k.Store.SaveEntry(c.Context(), store.FoodEntry, id, nil); err != nil {
		return err
	}
	if err := k.Refresh(c.Context()); err != nil {
		return err
	}
	if f.Own == larder.Added {
		return c.SendStatus(fiber.StatusNoContent)
	}
	return k.answerFood(c, id)
}
