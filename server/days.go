package server

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"slices"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"

	"yembra/core/day"
	"yembra/core/market"
	"yembra/server/texts"
	"yembra/store"
)

// DayDocument is what a cook has decided about one day; its tasks, plan and
// shopping are computed from it.
type DayDocument struct {
	Name    string      `json:"name"`
	ServeAt string      `json:"serveAt"`
	Kitchen day.Kitchen `json:"kitchen"`
	Dishes  []DayDish   `json:"dishes"`
	// Pins are starts that the cook has fixed, by task.
	Pins map[string]string `json:"pins"`
	// Progress is what has begun or is done; Now the moment it was said.
	Progress []day.Progress `json:"progress"`
	Now      string         `json:"now"`
	// Have are grams in the house and Ticked what is bought, by item.
	Have   map[string]float64 `json:"have"`
	Ticked []string           `json:"ticked"`
}

// DayDish is a dish of a day and for how many.
type DayDish struct {
	ID       string  `json:"id"`
	Servings float64 `json:"servings"`
}

// DayView is a day with everything computed from it.
type DayView struct {
	ID       string      `json:"id"`
	Version  int64       `json:"version"`
	Document DayDocument `json:"document"`
	// Names are the dishes by id; Missing those that are gone or cannot be
	// sized, with the reason.
	Names   map[string]string `json:"names"`
	Missing []string          `json:"missing"`
	Jobs    []day.Job         `json:"jobs"`
	// Aside is what was said of tasks that are no longer there.
	Aside    []day.Progress `json:"aside"`
	Plan     day.Plan       `json:"plan"`
	Options  []day.Option   `json:"options"`
	Shopping market.List    `json:"shopping"`
}

// DaySummary is a day as the list shows it.
type DaySummary struct {
	ID      string   `json:"id"`
	Name    string   `json:"name"`
	ServeAt string   `json:"serveAt"`
	Dishes  []string `json:"dishes"`
}

// Limits of a day.
const (
	mostDayName   = 200
	mostDayDishes = 12
	mostServings  = 500
	mostProgress  = 2000
)

// check refuses a day that makes no sense and fills what was left out.
func (d *DayDocument) check() error {
	if d.Name = strings.TrimSpace(d.Name); d.Name == "" || len(d.Name) > mostDayName {
		return unprocessable(texts.Say("aDayNeedsANameOf", mostDayName), fieldError{"name", texts.Say("isEmptyOrTooLong")})
	}
	if len(d.Dishes) > mostDayDishes {
		return unprocessable(texts.Say("aDayHoldsDishesAtMost", mostDayDishes), fieldError{"dishes", texts.Say("areTooMany")})
	}
	seen := map[string]bool{}
	for i, x := range d.Dishes {
		if x.Servings <= 0 || x.Servings > mostServings {
			return unprocessable(texts.Say("aDishIsCookedForBetween"), fieldError{fmt.Sprintf("dishes[%d].servings", i), texts.Say("mustBeAbove0AndAt", mostServings)})
		}
		if seen[x.ID] {
			return unprocessable(texts.Say("aDishStandsTwiceGiveIt"), fieldError{fmt.Sprintf("dishes[%d].id", i), texts.Say("standsTwice")})
		}
		seen[x.ID] = true
	}
	for task, at := range d.Pins {
		if _, err := time.Parse(time.RFC3339, at); err != nil {
			return unprocessable(texts.Say("aPinIsAtNoTime"), fieldError{"pins." + task, texts.Say("mustBeATimeSuchAs")})
		}
	}
	if err := d.checkProgress(); err != nil {
		return err
	}
	for key, grams := range d.Have {
		if grams < 0 {
			return unprocessable(texts.Say("nobodyHasLessThanNothing"), fieldError{"have." + key, texts.Say("mustBeAtLeast0")})
		}
	}
	d.fillEmpty()
	// The planner says what is wrong with the time and the kitchen.
	_, err := Plan(context.Background(), day.Request{ServeAt: d.ServeAt, Kitchen: d.Kitchen})
	return err
}

// checkProgress holds what has begun against what can be.
func (d *DayDocument) checkProgress() error {
	if len(d.Progress) > mostProgress {
		return unprocessable(texts.Say("aDayRemembersTasksAtMost", mostProgress), fieldError{"progress", texts.Say("isTooLong")})
	}
	for i, p := range d.Progress {
		if _, err := time.Parse(time.RFC3339, p.Start); err != nil || p.Minutes < 0 {
			return unprocessable(texts.Say("whatHasBegunNeedsATime"), fieldError{fmt.Sprintf("progress[%d]", i), texts.Say("needsAStartAndMinutesFrom")})
		}
	}
	if len(d.Progress) > 0 && d.Now == "" {
		return unprocessable(texts.Say("whatHasBegunWasSaidAt"), fieldError{"now", texts.Say("isRequiredWithProgress")})
	}
	return nil
}

// fillEmpty puts empty lists where there are none.
func (d *DayDocument) fillEmpty() {
	if d.Dishes == nil {
		d.Dishes = []DayDish{}
	}
	if d.Pins == nil {
		d.Pins = map[string]string{}
	}
	if d.Progress == nil {
		d.Progress = []day.Progress{}
	}
	if d.Have == nil {
		d.Have = map[string]float64{}
	}
	if d.Ticked == nil {
		d.Ticked = []string{}
	}
	if d.Kitchen.Kit == nil {
		d.Kitchen.Kit = map[string]int{}
	}
	if d.Kitchen.Ovens == nil {
		d.Kitchen.Ovens = []day.Oven{}
	}
}

// NewDay lays out a day; the kitchen is as the settings have it unless the day
// says otherwise.
func (k *Kitchen) NewDay(ctx context.Context, d DayDocument) (store.Entry, error) {
	if err := d.check(); err != nil {
		return store.Entry{}, err
	}
	id, err := uuid.NewV7()
	if err != nil {
		return store.Entry{}, fmt.Errorf("make an id: %w", err)
	}
	return k.keepDay(ctx, id.String(), 0, d)
}

func (k *Kitchen) keepDay(ctx context.Context, id string, version int64, d DayDocument) (store.Entry, error) {
	body, err := json.Marshal(d)
	if err != nil {
		return store.Entry{}, fmt.Errorf("encode the day: %w", err)
	}
	return k.Store.ChangeEntry(ctx, store.DayEntry, id, version, body)
}

func (k *Kitchen) days(c fiber.Ctx) error {
	entries, err := k.Store.Entries(c.Context(), store.DayEntry)
	if err != nil {
		return err
	}
	list := []DaySummary{}
	for _, e := range entries {
		var d DayDocument
		if err := json.Unmarshal(e.Body, &d); err != nil {
			slog.Error("a day cannot be read", "day", e.Key, "cause", err)
			list = append(list, DaySummary{ID: e.Key, Name: "A day that cannot be read", Dishes: []string{}})
			continue
		}
		s := DaySummary{ID: e.Key, Name: d.Name, ServeAt: d.ServeAt, Dishes: []string{}}
		for _, x := range d.Dishes {
			dish, err := k.open(c.Context(), x.ID)
			if errors.Is(err, store.ErrNotFound) || errors.Is(err, store.ErrDamaged) {
				continue
			}
			if err != nil {
				return err
			}
			s.Dishes = append(s.Dishes, dish.Document.Name)
		}
		list = append(list, s)
	}
	slices.SortFunc(list, func(a, b DaySummary) int { return strings.Compare(b.ServeAt, a.ServeAt) })
	return c.JSON(list)
}

// CreateDayRequest asks for a new day; the kitchen is the settings' own.
type CreateDayRequest struct {
	Name    string    `json:"name"`
	ServeAt string    `json:"serveAt"`
	Dishes  []DayDish `json:"dishes"`
}

func (k *Kitchen) createDay(c fiber.Ctx) error {
	var r CreateDayRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	s, err := k.loadSettings(c.Context())
	if err != nil {
		return err
	}
	for i, x := range r.Dishes {
		if _, err := k.Store.Dish(c.Context(), x.ID); err != nil {
			return unprocessable(texts.Say("aDishOfTheDayIs"), fieldError{fmt.Sprintf("dishes[%d].id", i), texts.Say("isNoDishOfThisKitchen")})
		}
	}
	e, err := k.NewDay(c.Context(), DayDocument{Name: r.Name, ServeAt: r.ServeAt, Dishes: r.Dishes, Kitchen: s.Kit})
	return k.answerDay(c, fiber.StatusCreated, e, err)
}

func (k *Kitchen) answerDay(c fiber.Ctx, status int, e store.Entry, err error) error {
	if err != nil {
		return err
	}
	v, err := k.viewDay(c.Context(), e)
	if err != nil {
		return err
	}
	c.Set("ETag", etag(e.Version))
	return c.Status(status).JSON(v)
}

func (k *Kitchen) showDay(c fiber.Ctx) error {
	e, err := k.Store.Entry(c.Context(), store.DayEntry, c.Params("id"))
	return k.answerDay(c, fiber.StatusOK, e, err)
}
