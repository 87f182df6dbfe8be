package server

import (
	"bytes"
	"cmp"
	"context"
	"encoding/json"
	"fmt"
	"log/slog"
	"slices"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"

	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/stove"
	"yembra/core/tasting"
	"yembra/formats"
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
	// Weighed are its weighings in words, Pictures those of its plate.
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

// afterAll tells of each trial which one it comes after: the last before it on the
// same line, or the trial that the cook had gone back to.
func afterAll(all []kept) []string {
	out := make([]string, len(all))
	for i, x := range all {
		out[i] = x.dish.Base
		for j := range i {
			if y := all[j].dish; y.Base == x.dish.Base && y.BaseAt == x.dish.BaseAt {
				out[i] = all[j].id
			}
		}
	}
	return out
}

// branches are the lines on which trials are drawn: one goes on where the trial
// before it stands, unless another does already.
func branches(all []kept, after []string) []int {
	out, at, gone := make([]int, len(all)), map[string]int{}, map[string]bool{}
	lines := 0
	for i, x := range all {
		before, known := at[after[i]]
		if known && !gone[after[i]] {
			out[i] = before
		} else {
			out[i] = lines
			lines++
		}
		at[x.id], gone[after[i]] = out[i], true
	}
	return out
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
			After: after[i], Branch: line[i], CanReturn: x.dish.Revision > 0, Weighed: x.weighed()}
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

// documentOf is the dish as it was when a trial was cooked.
func (k *Kitchen) documentOf(ctx context.Context, x *kept) (store.Document, error) {
	if x.dish.Revision == 0 {
		return store.Document{}, unprocessable("This trial was kept before the program knew which version of the dish was cooked; its card is here, and there is no way back to it.", fieldError{"trial", "has no version"})
	}
	return k.Store.RevisionOf(ctx, x.dish.ID, x.dish.Revision)
}

// sameAs tells whether a dish that was gone back to a trial is still as it was then.
func (k *Kitchen) sameAs(ctx context.Context, d store.Dish, x *kept) bool {
	was, err := k.documentOf(ctx, x)
	if err != nil {
		return false
	}
	a, err1 := json.Marshal([]any{was.Original, was.Decisions})
	b, err2 := json.Marshal([]any{d.Document.Original, d.Document.Decisions})
	return err1 == nil && err2 == nil && bytes.Equal(a, b)
}

// returnTo lets a dish go on from a trial: what was decided is as it was then.
func (k *Kitchen) returnTo(c fiber.Ctx) error {
	edit, err := ifMatch(c)
	if err != nil {
		return err
	}
	saved, err := k.goBack(c.Context(), c.Params("id"), c.Params("trial"), edit)
	return k.afterChange(c, c.Params("id"), saved, err)
}

// ReturnTo lets a dish, as it is now, go on from a trial.
func (k *Kitchen) ReturnTo(ctx context.Context, dish, trial string) error {
	d, err := k.Store.Dish(ctx, dish)
	if err != nil {
		return err
	}
	_, err = k.goBack(ctx, dish, trial, d.Edit)
	return err
}

func (k *Kitchen) goBack(ctx context.Context, dish, trial string, edit int64) (store.Dish, error) {
	d, err := k.open(ctx, dish)
	if err != nil {
		return d, err
	}
	x, err := k.trialNamed(ctx, d.ID, trial)
	if err != nil {
		return d, err
	}
	was, err := k.documentOf(ctx, x)
	if err != nil {
		return d, err
	}
	doc := d.Document
	doc.Original, doc.Decisions, doc.Source, doc.LastID = was.Original, was.Decisions, was.Source, max(doc.LastID, was.LastID)
	doc.Base = &store.Base{Trial: x.id, At: k.hearth.now().UnixMilli()}
	return k.Store.Save(ctx, d.ID, edit, "went back to the trial of "+time.UnixMilli(x.trial.Kept).UTC().Format("2 January 2006"), doc)
}

// VariantRequest makes another school of a dish, from a trial of it or, without one,
// as it is now.
type VariantRequest struct {
	Name  string `json:"name"`
	Trial string `json:"trial"`
}

// makeVariant keeps a dish of its own that begins as this one is, or was.
func (k *Kitchen) makeVariant(c fiber.Ctx) error {
	var r VariantRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	if err := checkNames(&r.Name, nil, nil, nil); err != nil {
		return err
	}
	r.Name = strings.TrimSpace(r.Name)
	if r.Name == "" {
		return unprocessable("A variant needs a name of its own.", fieldError{"name", "is empty"})
	}
	d, err := k.open(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	doc := d.Document
	if r.Trial != "" {
		x, err := k.trialNamed(c.Context(), d.ID, r.Trial)
		if err != nil {
			return err
		}
		was, err := k.documentOf(c.Context(), x)
		if err != nil {
			return err
		}
		doc.Original, doc.Decisions, doc.Source = was.Original, was.Decisions, was.Source
	}
	of := d.ID
	if doc.Variant != nil {
		of = doc.Variant.Of
	}
	doc.Base, doc.Variant = nil, &store.Variant{Of: of, Name: r.Name}
	made, err := k.NewDish(c.Context(), doc)
	if err != nil {
		return err
	}
	return k.answerDish(c, fiber.StatusCreated, made)
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

// trialCard hands a trial on as a card: as it was, how it was cooked, and what its
// tables said.
func (k *Kitchen) trialCard(c fiber.Ctx) error {
	if format := c.Params("format"); format != "pdf" && format != "markdown" && format != "html" {
		return problem{Title: "Not found", Status: fiber.StatusNotFound, Detail: "A trial is given out as pdf, markdown or html."}
	}
	x, err := k.trialNamed(c.Context(), c.Params("id"), c.Params("trial"))
	if err != nil {
		return err
	}
	card := formats.Card{
		Name: x.dish.Name + ", trial of " + time.UnixMilli(x.trial.Kept).UTC().Format("2 January 2006"), Factor: 1, Beside: [][]string{}, Open: x.dish.Open, Changed: []formats.Replaced{}, Findings: []formats.CardFinding{}, Short: []string{},
		Cautions: []formats.CardCaution{}, Allergens: x.dish.Allergens, Labels: []string{}, Keeping: []string{}, Sizing: []string{}, Measured: []string{}, SidePots: []formats.Pot{}, Sources: []string{},
		Cooked: x.cooked(),
	}
	for _, x := range x.dish.Cautions {
		card.Cautions = append(card.Cautions, formats.CardCaution{Text: x.Text, Grave: x.Grave})
	}
	part := recipe.Component{Lines: []recipe.Line{}, Steps: []recipe.Step{}}
	for _, l := range x.dish.Lines {
		part.Lines = append(part.Lines, recipe.Line{Text: l.Text, Name: l.Food})
	}
	for _, text := range x.dish.Steps {
		part.Steps = append(part.Steps, recipe.Step{Text: text})
	}
	card.Dish = recipe.Dish{Name: card.Name, Serves: &measure.Span{Low: x.dish.Servings, High: x.dish.Servings}, Components: []recipe.Component{part}}
	if card.Table, err = k.verdict(c.Context(), x); err != nil {
		return err
	}
	pictures, err := k.Store.Pictures(c.Context(), trialPicture, x.id)
	if err == nil && len(pictures) > 0 {
		card.Plate, err = k.Store.PictureBody(c.Context(), pictures[0].ID, false)
	}
	if err != nil {
		return err
	}
	return sendCard(c, card)
}

// cooked says how a trial was cooked.
func (x *kept) cooked() []string {
	out := []string{}
	if x.trial.Words != "" {
		out = append(out, x.trial.Words)
	}
	for _, d := range x.trial.Summary.Different {
		out = append(out, d.Text)
	}
	out = append(out, x.weighed()...)
	if x.trial.Program.Knowledge != "" {
		out = append(out, "Worked out with the knowledge of version "+x.trial.Program.Knowledge+".")
	}
	return out
}

// weighed are the weighings of a trial in words.
func (x *kept) weighed() []string {
	out := []string{}
	for _, w := range x.trial.Summary.Weighed {
		out = append(out, fmt.Sprintf("%s: lost %.0f g of %.0f g, %.0f g foreseen", w.What, w.Lost, w.Before, w.Foreseen))
	}
	return out
}

// verdict is what every table has said of a trial, with its numbers.
func (k *Kitchen) verdict(ctx context.Context, x *kept) ([]string, error) {
	out := []string{}
	tables, err := k.tastingsOf(ctx, x.dish.ID)
	if err != nil {
		return nil, err
	}
	for _, t := range tables {
		v, err := k.judged(ctx, t)
		if err != nil {
			return nil, err
		}
		for i, s := range t.Served {
			if s.Trial != x.id {
				continue
			}
			at := slices.IndexFunc(v.Answer.Trials, func(j JudgedTrial) bool { return j.ID == s.Letter })
			if at >= 0 && v.Answer.Trials[at].Liking != nil {
				out = append(out, fmt.Sprintf("%s: liked %.1f of 9, by %d.", t.Name, v.Answer.Trials[at].Liking.Mean, v.Answer.Trials[at].Tasters))
			}
			if i < len(v.Said) {
				out = append(out, v.Said[i].Say...)
			}
		}
		for _, c := range v.Compared {
			if c.A == x.id || c.B == x.id {
				out = append(out, c.Say)
			}
		}
		if v.Odd != "" && slices.ContainsFunc(t.Served, func(s Glass) bool { return s.Trial == x.id }) {
			out = append(out, "Triangle: "+v.Odd)
		}
	}
	return out, nil
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
		return tasting.Version{}, unprocessable("There is no such trial of this dish.", fieldError{field, "is none of its trials, nor now, nor dish: with an id"})
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
