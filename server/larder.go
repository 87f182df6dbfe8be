package server

import (
	"cmp"
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"math"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/server/texts"
	"yembra/store"
)

// Refresh works what the cook has said about foods into what the kitchen
// computes with. What no longer fits the knowledge is left out and said, and
// keeps nobody from cooking.
func (k *Kitchen) Refresh(ctx context.Context) error {
	entries, unfit, err := k.ownFoods(ctx)
	if err != nil {
		return err
	}
	l, err := k.shipped.With(entries)
	if err != nil {
		var fit []larder.Entry
		for _, e := range entries {
			if _, err := k.shipped.With(append(slices.Clone(fit), e)); err != nil {
				unfit = append(unfit, fmt.Sprintf("%s: %v", cmp.Or(e.Name, e.ID), err))
				continue
			}
			fit = append(fit, e)
		}
		if l, err = k.shipped.With(fit); err != nil {
			return fmt.Errorf("work in the kitchen's own foods: %w", err)
		}
	}
	for _, what := range unfit {
		slog.Warn("a food of the kitchen's own does not fit and is left out", "food", what)
	}
	settings, err := k.loadSettings(ctx)
	if err != nil {
		return err
	}
	plain := l.WithPrices(settings.Prices)
	weighed, learned, err := k.withFactors(ctx, plain)
	if err != nil {
		return err
	}
	tasted, taught, err := k.withTasted(ctx, weighed)
	if err != nil {
		return err
	}
	core := coreOf(tasted)
	if weighed != tasted {
		core.Foretold = coreOf(weighed)
	}
	core.Plain = core.Foretold
	if plain != weighed {
		core.Plain = coreOf(plain)
	}
	core.Unfit, core.Learned, core.Tasted = unfit, learned, taught
	if core.Stamp, err = stampOf(entries, learned, taught); err != nil {
		return err
	}
	for _, c := range []*Core{core.Foretold, core.Plain} {
		if c.Stamp == "" {
			c.Stamp = core.Stamp
		}
	}
	k.core.Store(core)
	if k.pinned != nil {
		k.pinned = core
	}
	k.shelf.kick()
	return nil
}

// stampOf names what a kitchen's own foods and what it has learned make of figures.
func stampOf(parts ...any) (string, error) {
	sum := sha256.New()
	for _, p := range parts {
		body, err := json.Marshal(p)
		if err != nil {
			return "", fmt.Errorf("name what the kitchen has said: %w", err)
		}
		_, _ = sum.Write(body) // never fails
	}
	return hex.EncodeToString(sum.Sum(nil)[:8]), nil
}

// ownFoods are the foods that the cook has corrected or added, and what of them
// cannot be read.
func (k *Kitchen) ownFoods(ctx context.Context) (entries []larder.Entry, unfit []string, err error) {
	kept, err := k.Store.Entries(ctx, store.FoodEntry)
	if err != nil {
		return nil, nil, err
	}
	for _, e := range kept {
		var entry larder.Entry
		if err := json.Unmarshal(e.Body, &entry); err != nil {
			unfit = append(unfit, fmt.Sprintf("%s: cannot be read: %v", e.Key, err))
			continue
		}
		entries = append(entries, entry)
	}
	return entries, unfit, nil
}

// changed keeps an entry that is still at the version the caller has read, and
// works it in; one change comes after the other.
func (k *Kitchen) changed(c fiber.Ctx, kind, key string, check func() ([]byte, error)) error {
	version, err := ifMatch(c)
	if err != nil {
		return err
	}
	k.changing.Lock()
	defer k.changing.Unlock()
	body, err := check()
	if err != nil {
		return err
	}
	if version == 0 { // new, or new again after it was taken away
		if _, err := k.Store.Entry(c.Context(), kind, key); errors.Is(err, store.ErrNoEntry) {
			if version, err = k.Store.EntryVersion(c.Context(), kind, key); err != nil {
				return err
			}
		}
	}
	_, err = k.Store.ChangeEntry(c.Context(), kind, key, version, body)
	if errors.Is(err, store.ErrChanged) {
		return problem{Title: texts.Say("changedMeanwhile"), Status: fiber.StatusPreconditionFailed, Detail: texts.Say("thisWasChangedInAnotherWindow")}
	}
	if err != nil {
		return err
	}
	return k.Refresh(c.Context())
}

// FoodView is a food as the larder shows it.
type FoodView struct {
	*larder.Food
	// Version is that of what the cook has said of it, 0 where nothing was.
	Version     int64                   `json:"version"`
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
	entries, _, err := k.ownFoods(ctx)
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
	dishes, _, err := k.Store.Shelf(ctx, store.Wanted{Uses: id, Sort: store.ByName, Most: mostPage})
	if err != nil {
		return nil, err
	}
	for _, d := range dishes {
		uses = append(uses, FoodUse{"dish", d.ID, d.Name})
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
