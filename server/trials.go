package server

import (
	"context"
	"encoding/json"
	"fmt"
	"log/slog"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"

	"yembra/core/method"
	"yembra/core/stove"
	"yembra/core/tasting"
	"yembra/store"
)

// TrialView is a trial as the stage of its dish shows it.
type TrialView struct {
	ID        string             `json:"id"`
	Kept      int64              `json:"kept"`
	Words     string             `json:"words"`
	Different []stove.Difference `json:"different"`
	Minutes   float64            `json:"minutes"`
	Knowledge string             `json:"knowledge"`
	Traits    map[string]float64 `json:"traits"`
}

// asServed is a dish as it is now, for a cook-through or a trial to keep: its card,
// and how far each trait is foreseen.
func (k *Kitchen) asServed(d store.Dish, servings float64) (stove.Dish, error) {
	out := stove.Dish{ID: d.ID, Name: d.Document.Name, Servings: servings, Edit: d.Edit, Lines: []stove.CardLine{}, Steps: []string{}, Traits: map[string]float64{}}
	c := k.Core()
	a, err := c.Carrier.Adapt(d.Document.Original, d.Document.Placed(), true)
	if err != nil {
		return out, err
	}
	for _, part := range method.Parts(c.Larder, a) {
		for _, l := range part.Lines {
			food := l.FoodID()
			if food == "" {
				food = l.Name
			}
			out.Lines = append(out.Lines, stove.CardLine{Food: food, Text: l.Text, Grams: l.Mass()})
		}
		for _, s := range part.Steps {
			out.Steps = append(out.Steps, s.Text)
		}
	}
	for _, t := range a.Traits {
		out.Traits[t.Trait] = t.Steps
	}
	return out, nil
}

func (k *Kitchen) saveTrial(ctx context.Context, id string, t Trial) error {
	body, err := json.Marshal(t)
	if err != nil {
		return fmt.Errorf("encode the trial: %w", err)
	}
	return k.Store.SaveEntry(ctx, store.TrialEntry, id, body)
}

// kept is a trial of a dish, by its key.
type kept struct {
	id    string
	trial Trial
	dish  stove.Dish
}

// trialsOf are the trials of a dish, the oldest first.
func (k *Kitchen) trialsOf(ctx context.Context, dish string) ([]kept, error) {
	entries, err := k.Store.Entries(ctx, store.TrialEntry)
	if err != nil {
		return nil, err
	}
	var out []kept
	for _, e := range entries {
		var t Trial
		if err := json.Unmarshal(e.Body, &t); err != nil {
			slog.Error("a trial cannot be read", "trial", e.Key, "cause", err)
			continue
		}
		if at := slices.IndexFunc(t.Program.Dishes, func(d stove.Dish) bool { return d.ID == dish }); at >= 0 {
			out = append(out, kept{e.Key, t, t.Program.Dishes[at]})
		}
	}
	slices.SortStableFunc(out, func(a, b kept) int { return int(a.trial.Kept - b.trial.Kept) })
	return out, nil
}

func (k *Kitchen) trials(c fiber.Ctx) error {
	all, err := k.trialsOf(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	list := []TrialView{}
	for _, x := range all {
		list = append(list, TrialView{x.id, x.trial.Kept, x.trial.Words, x.trial.Summary.Different, x.trial.Summary.Minutes, x.trial.Program.Knowledge, x.dish.Traits})
	}
	return c.JSON(list)
}

// TrialRequest enters a trial after the fact: how it was, and what was different,
// a line each.
type TrialRequest struct {
	Words     string `json:"words"`
	Different string `json:"different"`
}

// mostDifferent is how many differences are entered at once.
const mostDifferent = 60

// addTrial keeps the dish as it is now as a trial that nobody cooked at the stove
// here.
func (k *Kitchen) addTrial(c fiber.Ctx) error {
	var r TrialRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	if len(r.Words) > mostWords || len(r.Different) > mostWords {
		return unprocessable("That is too long to keep.", fieldError{"words", fmt.Sprintf("or what was different holds more than %d letters", mostWords)})
	}
	if _, err := k.AddTrial(c.Context(), c.Params("id"), r); err != nil {
		return err
	}
	return k.trials(c.Status(fiber.StatusCreated))
}

// AddTrial keeps a dish as it is now as a trial, and returns its id.
func (k *Kitchen) AddTrial(ctx context.Context, dish string, r TrialRequest) (string, error) {
	d, err := k.open(ctx, dish)
	if err != nil {
		return "", err
	}
	one, err := k.asServed(d, servingsOf(d, 1))
	if err != nil {
		return "", err
	}
	id, err := uuid.NewV7()
	if err != nil {
		return "", fmt.Errorf("make an id: %w", err)
	}
	now := k.hearth.now().UnixMilli()
	t := Trial{Program: stove.Program{Name: d.Document.Name, Knowledge: k.Knowledge, Begun: now, Dishes: []stove.Dish{one}}, Events: []stove.Event{}, Words: r.Words, Kept: now,
		Summary: stove.Summary{Different: []stove.Difference{}, Times: []stove.Took{}, Unused: []string{}, Weighed: []stove.Measured{}}}
	for line := range strings.Lines(r.Different) {
		if line = strings.TrimSpace(line); line != "" && len(t.Summary.Different) < mostDifferent {
			t.Summary.Different = append(t.Summary.Different, stove.Difference{N: int64(len(t.Summary.Different) + 1), At: now, Text: line})
		}
	}
	return id.String(), k.saveTrial(ctx, id.String(), t)
}

// versionOf is a trial's dish as it can be compared.
func versionOf(d stove.Dish) tasting.Version {
	v := tasting.Version{Steps: d.Steps, Trait: d.Traits}
	for _, l := range d.Lines {
		v.Lines = append(v.Lines, tasting.Line{Food: l.Food, Text: l.Text, Grams: l.Grams})
	}
	return v
}

// BetweenView is what changed from one trial to another, and how the tables
// judged both.
type BetweenView struct {
	tasting.Changed
	Say []string `json:"say"`
}

func (k *Kitchen) between(c fiber.Ctx) error {
	all, err := k.trialsOf(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	find := func(field string) (*kept, error) {
		at := slices.IndexFunc(all, func(x kept) bool { return x.id == c.Query(field) })
		if at < 0 {
			return nil, unprocessable("There is no such trial of this dish.", fieldError{field, "is none of its trials"})
		}
		return &all[at], nil
	}
	a, err := find("a")
	if err != nil {
		return err
	}
	b, err := find("b")
	if err != nil {
		return err
	}
	v := BetweenView{tasting.Between(versionOf(a.dish), versionOf(b.dish)), []string{}}
	tables, err := k.tastingsOf(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	for _, t := range tables {
		answer, err := k.judged(c.Context(), t)
		if err != nil {
			return err
		}
		for _, x := range answer.Compared {
			if x.A == a.id && x.B == b.id || x.A == b.id && x.B == a.id {
				v.Say = append(v.Say, x.Say)
			}
		}
	}
	return c.JSON(v)
}
