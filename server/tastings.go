package server

import (
	"context"
	"encoding/json"
	"fmt"
	"slices"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"

	"yembra/core/character"
	"yembra/core/stove"
	"yembra/core/tasting"
	"yembra/server/texts"
	"yembra/store"
)

// Tasting is a table at which trials of a dish are tasted.
type Tasting struct {
	ID   string `json:"id"`
	Dish string `json:"dish"`
	Name string `json:"name"`
	Made int64  `json:"made"`
	// Served are the trials, or "original" for the guest's side pot.
	Served []Glass  `json:"served"`
	Traits []string `json:"traits"`
	Blind  bool     `json:"blind"`
	Closed int64    `json:"closed"`
	// Triangle tells that each taster gets three cups, two of them alike, and says
	// which is the odd one.
	Triangle bool `json:"triangle,omitempty"`
	// Guests are the names of those who taste, offered on the sheet.
	Guests []string `json:"guests,omitempty"`
}

// Glass is one thing that is served, under a letter.
type Glass struct {
	Letter string `json:"letter"`
	Trial  string `json:"trial"`
	Name   string `json:"name"`
	// Steps are how far each trait was foreseen, Brings which food brings it.
	Steps  map[string]float64       `json:"steps"`
	Brings map[string]stove.Bringer `json:"brings,omitempty"`
	// Open tells that lines of it were not decided: what was cooked in their place is
	// not known, and nothing can be learned from how it tasted.
	Open bool `json:"open,omitempty"`
}

// originalServed is what is served when it is the dish as it always was.
const originalServed = "original"

// Sheet is what one taster said at a tasting. Number is the order in which they
// came, from 0.
type Sheet struct {
	Tasting string       `json:"tasting"`
	Taster  string       `json:"taster"`
	Number  int          `json:"number"`
	Name    string       `json:"name"`
	Said    []SheetTrial `json:"said"`
	At      int64        `json:"at"`
	// Odd is the cup of a triangle, from 1, that was taken for the odd one.
	Odd int `json:"odd,omitempty"`
}

// empty tells that a seat was taken and nothing said.
func (s *Sheet) empty() bool { return len(s.Said) == 0 && s.Odd == 0 }

// SheetTrial is what a taster said of one trial.
type SheetTrial struct {
	Letter string         `json:"letter"`
	Liking int            `json:"liking"`
	Traits map[string]int `json:"traits"`
	// Known tells whether they would have known: "no", "maybe", "yes".
	Known string `json:"known"`
	Words string `json:"words"`
}

// SheetView is what a taster is asked: the letters in the order they are served
// to this taster, and what was said before.
type SheetView struct {
	Name    string       `json:"name"`
	Dish    string       `json:"dish"`
	Letters []string     `json:"letters"`
	Names   []string     `json:"names"`
	Traits  []string     `json:"traits"`
	Closed  bool         `json:"closed"`
	Taster  string       `json:"taster"`
	Said    []SheetTrial `json:"said"`
	By      string       `json:"by"`
	// Guests are names to choose from, Triangle that three cups are tasted from the
	// tray of this number, Odd the cup that was said.
	Guests   []string `json:"guests"`
	Triangle bool     `json:"triangle"`
	Tray     int      `json:"tray"`
	Odd      int      `json:"odd"`
}

// Bounds of a tasting and its sheets.
const (
	mostServed    = 6
	mostAtTable   = 200
	mostSheetText = 500
	mostTasterKey = 64
)

// TastingRequest lays a table.
type TastingRequest struct {
	Name   string   `json:"name"`
	Trials []string `json:"trials"`
	// Traits are what the sheets ask for; left out, they are chosen.
	Traits []string `json:"traits"`
	Open   bool     `json:"open"`
	// Triangle asks for three cups of two things, Guests are who is expected.
	Triangle bool     `json:"triangle"`
	Guests   []string `json:"guests"`
}

func (k *Kitchen) makeTasting(c fiber.Ctx) error {
	var r TastingRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	t, err := k.LayTable(c.Context(), c.Params("id"), r)
	if err != nil {
		return err
	}
	return c.Status(fiber.StatusCreated).JSON(t)
}

// serve deals letters to what is tasted and tells what is expected of it, by trait the
// furthest.
func (t *Tasting) serve(trials []string, all []kept) (map[string]float64, error) {
	expected := map[string]float64{}
	for i, trial := range trials {
		s := Glass{Letter: string(rune('A' + i)), Trial: trial, Name: "the original", Steps: map[string]float64{}}
		if trial != originalServed {
			at := slices.IndexFunc(all, func(x kept) bool { return x.id == trial })
			if at < 0 {
				return nil, unprocessable(texts.Say("aTrialOfTheTableIs"), fieldError{fmt.Sprintf("trials[%d]", i), texts.Say("isNoTrialOfThisDish")})
			}
			s.Name, s.Steps = fmt.Sprintf("trial %d, %s", at+1, time.UnixMilli(all[at].trial.Kept).UTC().Format("2 January 2006")), all[at].dish.Traits
			s.Brings, s.Open = all[at].dish.Brings, len(all[at].dish.Open) > 0
			for trait, steps := range s.Steps {
				if old, ok := expected[trait]; !ok || steps*steps > old*old {
					expected[trait] = steps
				}
			}
		}
		t.Served = append(t.Served, s)
	}
	return expected, nil
}

// LayTable makes a tasting of trials of a dish.
func (k *Kitchen) LayTable(ctx context.Context, dish string, r TastingRequest) (Tasting, error) {
	var t Tasting
	d, err := k.open(ctx, dish)
	if err != nil {
		return t, err
	}
	all, err := k.trialsOf(ctx, d.ID)
	if err != nil {
		return t, err
	}
	if len(r.Trials) == 0 || len(r.Trials) > mostServed {
		return t, unprocessable(texts.Say("chooseWhatIsTasted"), fieldError{"trials", texts.Say("mustBeBetween1And", mostServed)})
	}
	if r.Triangle && (len(r.Trials) != 2 || r.Trials[0] == r.Trials[1]) {
		return t, unprocessable(texts.Say("aTriangleNeedsTwoThingsTo"), fieldError{"trials", texts.Say("mustBeTwo")})
	}
	guests, err := guestsOf(r.Guests)
	if err != nil {
		return t, err
	}
	id, err := uuid.NewV7()
	if err != nil {
		return t, fmt.Errorf("make an id: %w", err)
	}
	t = Tasting{ID: id.String(), Dish: d.ID, Name: strings.TrimSpace(r.Name), Made: k.hearth.now().UnixMilli(), Served: []Glass{}, Traits: r.Traits, Blind: !r.Open || r.Triangle, Triangle: r.Triangle, Guests: guests}
	if t.Name == "" {
		t.Name = d.Document.Name
	}
	if len(t.Name) > mostDayName {
		return t, unprocessable(texts.Say("theNameIsTooLong"), fieldError{"name", texts.Say("holdsMoreThanLetters", mostDayName)})
	}
	expected, err := t.serve(r.Trials, all)
	if err != nil {
		return t, err
	}
	switch {
	case t.Triangle:
		t.Traits = []string{}
	case len(t.Traits) == 0:
		t.Traits = tasting.Ask(d.Document.Decisions.Pins, expected, k.Core().unsure())
	}
	if len(t.Traits) > tasting.MostTraits {
		return t, unprocessable(texts.Say("aSheetAsksForFewThings"), fieldError{"traits", texts.Say("mustBeAtMost", tasting.MostTraits)})
	}
	for i, trait := range t.Traits {
		if _, ok := character.TraitNamed(trait); !ok {
			return t, unprocessable(texts.Say("aTraitIsNotKnown"), fieldError{fmt.Sprintf("traits[%d]", i), texts.Say("isNoTrait", trait)})
		}
	}
	return t, k.saveTasting(ctx, t)
}

// guestsOf are the names of those expected, each once.
func guestsOf(names []string) ([]string, error) {
	if len(names) > mostAtTable {
		return nil, unprocessable(texts.Say("theTableIsFull"), fieldError{"guests", texts.Say("mustBeAtMost", mostAtTable)})
	}
	var out []string
	for i, name := range names {
		if name = strings.TrimSpace(name); len(name) > mostScreen {
			return nil, unprocessable(texts.Say("aNameIsTooLong"), fieldError{fmt.Sprintf("guests[%d]", i), texts.Say("isLongerThanLetters", mostScreen)})
		}
		if name != "" && !slices.Contains(out, name) {
			out = append(out, name)
		}
	}
	return out, nil
}

func (k *Kitchen) saveTasting(ctx context.Context, t Tasting) error {
	body, err := json.Marshal(t)
	if err != nil {
		return fmt.Errorf("encode the tasting: %w", err)
	}
	return k.Store.SaveEntry(ctx, store.TastingEntry, t.ID, body)
}

func (k *Kitchen) tastingOf(ctx context.Context, id string) (Tasting, error) {
	var t Tasting
	e, err := k.Store.Entry(ctx, store.TastingEntry, id)
	if err != nil {
		return t, err
	}
	if err := json.Unmarshal(e.Body, &t); err != nil {
		return t, fmt.Errorf("decode tasting %s: %w", id, err)
	}
	return t, nil
}

// tastingsOf are the tastings of a dish, the newest first.
func (k *Kitchen) tastingsOf(ctx context.Context, dish string) ([]Tasting, error) {
	entries, err := k.Store.Entries(ctx, store.TastingEntry)
	if err != nil {
		return nil, err
	}
	out := []Tasting{}
	for _, e := range slices.Backward(entries) {
		if t, ok := readEntry[Tasting]("a tasting", e); ok && t.Dish == dish {
			out = append(out, t)
		}
	}
	return out, nil
}

func (k *Kitchen) tastings(c fiber.Ctx) error {
	list, err := k.tastingsOf(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	return c.JSON(list)
}
