package server

import (
	"cmp"
	"context"
	"encoding/json"
	"fmt"
	"log/slog"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"

	"yembra/core/stove"
	"yembra/core/tasting"
	"yembra/server/texts"
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
	// After is the trial that it comes after, empty for the first; Branch the line of
	// the drawing on which it stands, from 0.
	After  string `json:"after"`
	Branch int    `json:"branch"`
	// CanReturn tells that the dish can go back to it; Now that the dish stands there.
	CanReturn bool `json:"canReturn"`
	Now       bool `json:"now"`
	// By is the screen that kept it; Weighed are its weighings and temperatures in words,
	// Pictures those of its plate.
	By       string    `json:"by"`
	Weighed  []string  `json:"weighed"`
	Pictures []Picture `json:"pictures"`
}

// asServed is a dish as it is now, for a cook-through or a trial to keep: its card,
// and how far each trait is foreseen.
func (k *Kitchen) asServed(d store.Dish, servings float64) (stove.Dish, error) {
	out := stove.Dish{ID: d.ID, Name: d.Document.Name, Servings: servings, Edit: d.Edit, Revision: d.Revision, Lines: []stove.CardLine{}, Steps: []string{}, Traits: map[string]float64{}}
	if b := d.Document.Base; b != nil {
		out.Base, out.BaseAt = b.Trial, b.At
	}
	card, err := k.card(d)
	if err != nil {
		return out, err
	}
	out.Allergens, out.Open = card.Allergens, card.Open
	for _, x := range card.Cautions {
		out.Cautions = append(out.Cautions, stove.CardWarning{Text: x.Text, Grave: x.Grave})
	}
	for _, part := range card.Dish.Components {
		for _, l := range part.Lines {
			out.Lines = append(out.Lines, stove.CardLine{Food: cmp.Or(l.FoodID(), l.Name), Text: l.Text, Grams: l.Mass()})
		}
		for _, s := range part.Steps {
			out.Steps = append(out.Steps, s.Text)
		}
	}
	c := k.Core().Foretold
	// What tables have taught is not told to them as foreseen.
	foretold, err := c.Book.Apply(d.Document.Original, d.Document.Placed(), true)
	if err != nil {
		return out, err
	}
	out.Traits, out.Brings = foreseenOf(c.Larder, foretold)
	return out, nil
}

func (k *Kitchen) saveTrial(ctx context.Context, id string, t Trial) error {
	body, err := json.Marshal(t)
	if err != nil {
		return fmt.Errorf("encode the trial: %w", err)
	}
	return k.Store.SaveEntry(ctx, store.TrialEntry, id, body)
}

// readEntry reads an entry; one that cannot be read is told to the log and left out.
func readEntry[T any](what string, e store.Entry) (T, bool) {
	var v T
	if err := json.Unmarshal(e.Body, &v); err != nil {
		slog.Error(what+" cannot be read", "key", e.Key, "cause", err)
		return v, false
	}
	return v, true
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
		t, ok := readEntry[Trial]("a trial", e)
		if !ok {
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
	d, err := k.open(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	all, err := k.trialsOf(c.Context(), d.ID)
	if err != nil {
		return err
	}
	list := []TrialView{}
	after := afterAll(all)
	line := branches(all, after)
	for i, x := range all {
		v := TrialView{ID: x.id, Kept: x.trial.Kept, Words: x.trial.Words, Different: x.trial.Summary.Different, Minutes: x.trial.Summary.Minutes, Knowledge: x.trial.Program.Knowledge, Traits: x.dish.Traits,
			After: after[i], Branch: line[i], CanReturn: x.dish.Revision > 0, By: x.trial.By, Weighed: x.weighed()}
		v.Now = x.dish.Revision > 0 && x.dish.Revision == d.Revision || d.Document.Base != nil && d.Document.Base.Trial == x.id && k.sameAs(c.Context(), d, &x)
		if v.Pictures, err = k.picturesOf(c.Context(), trialPicture, x.id); err != nil {
			return err
		}
		list = append(list, v)
	}
	return c.JSON(list)
}

// trialNamed is a trial of a dish.
func (k *Kitchen) trialNamed(ctx context.Context, dish, id string) (*kept, error) {
	all, err := k.trialsOf(ctx, dish)
	if err != nil {
		return nil, err
	}
	at := slices.IndexFunc(all, func(x kept) bool { return x.id == id })
	if at < 0 {
		return nil, store.ErrNoEntry
	}
	return &all[at], nil
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
		return unprocessable(texts.Say("thatIsTooLongToKeep"), fieldError{"words", texts.Say("orWhatWasDifferentHoldsMore", mostWords)})
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
	t := Trial{Program: stove.Program{Name: d.Document.Name, Knowledge: k.Knowledge, Begun: now, Dishes: []stove.Dish{one}}, Events: []stove.Event{}, Words: r.Words, Kept: now, By: store.ScreenOf(ctx),
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

// versionNamed is what a comparison names: a trial of the dish, "now" for the dish as
// it is, or "dish:" and the id of another.
func (k *Kitchen) versionNamed(c fiber.Ctx, all []kept, field string) (tasting.Version, error) {
	name := c.Query(field)
	if at := slices.IndexFunc(all, func(x kept) bool { return x.id == name }); at >= 0 {
		return versionOf(all[at].dish), nil
	}
	other, isDish := strings.CutPrefix(name, "dish:")
	if name == "now" {
		other, isDish = c.Params("id"), true
	}
	if !isDish {
		return tasting.Version{}, unprocessable(texts.Say("thereIsNoSuchTrialOf"), fieldError{field, texts.Say("isNoneOfItsTrialsNor")})
	}
	d, err := k.open(c.Context(), other)
	if err != nil {
		return tasting.Version{}, err
	}
	one, err := k.asServed(d, servingsOf(d, 1))
	return versionOf(one), err
}

func (k *Kitchen) between(c fiber.Ctx) error {
	all, err := k.trialsOf(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	a, err := k.versionNamed(c, all, "a")
	if err != nil {
		return err
	}
	b, err := k.versionNamed(c, all, "b")
	if err != nil {
		return err
	}
	v := BetweenView{tasting.Between(a, b), []string{}}
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
			if x.A == c.Query("a") && x.B == c.Query("b") || x.A == c.Query("b") && x.B == c.Query("a") {
				v.Say = append(v.Say, x.Say)
			}
		}
	}
	return c.JSON(v)
}
