package server

import (
	"bytes"
	"context"
	"crypto/sha256"
	"encoding/csv"
	"encoding/json"
	"errors"
	"fmt"
	"slices"
	"strings"
	"sync"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"

	"yembra/core/day"
	"yembra/core/market"
	"yembra/core/method"
	"yembra/core/recipe"
	"yembra/core/sizing"
	"yembra/core/swap"
	"yembra/formats"
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
	Names    map[string]string `json:"names"`
	Missing  []string          `json:"missing"`
	Jobs     []day.Job         `json:"jobs"`
	Plan     day.Plan          `json:"plan"`
	Options  []day.Option      `json:"options"`
	Shopping market.List       `json:"shopping"`
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
)

// check refuses a day that makes no sense and fills what was left out.
func (d *DayDocument) check() error {
	if d.Name = strings.TrimSpace(d.Name); d.Name == "" || len(d.Name) > mostDayName {
		return unprocessable(fmt.Sprintf("A day needs a name of at most %d letters.", mostDayName), fieldError{"name", "is empty or too long"})
	}
	if len(d.Dishes) > mostDayDishes {
		return unprocessable(fmt.Sprintf("A day holds %d dishes at most.", mostDayDishes), fieldError{"dishes", "are too many"})
	}
	seen := map[string]bool{}
	for i, x := range d.Dishes {
		if x.Servings <= 0 || x.Servings > mostServings {
			return unprocessable("A dish is cooked for between one and many.", fieldError{fmt.Sprintf("dishes[%d].servings", i), fmt.Sprintf("must be above 0 and at most %d", mostServings)})
		}
		if seen[x.ID] {
			return unprocessable("A dish stands twice; give it more servings.", fieldError{fmt.Sprintf("dishes[%d].id", i), "stands twice"})
		}
		seen[x.ID] = true
	}
	for task, at := range d.Pins {
		if _, err := time.Parse(time.RFC3339, at); err != nil {
			return unprocessable("A pin is at no time.", fieldError{"pins." + task, "must be a time such as 2026-12-05T17:30:00Z"})
		}
	}
	for i, p := range d.Progress {
		if _, err := time.Parse(time.RFC3339, p.Start); err != nil || p.Minutes < 0 {
			return unprocessable("What has begun needs a time and minutes.", fieldError{fmt.Sprintf("progress[%d]", i), "needs a start and minutes from 0 up"})
		}
	}
	if len(d.Progress) > 0 && d.Now == "" {
		return unprocessable("What has begun was said at some moment.", fieldError{"now", "is required with progress"})
	}
	for key, grams := range d.Have {
		if grams < 0 {
			return unprocessable("Nobody has less than nothing.", fieldError{"have." + key, "must be at least 0"})
		}
	}
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
	// The planner says what is wrong with the time and the kitchen.
	_, err := Plan(day.Request{ServeAt: d.ServeAt, Kitchen: d.Kitchen})
	return err
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

// viewDay computes a day.
func (k *Kitchen) viewDay(ctx context.Context, e store.Entry) (DayView, error) {
	v := DayView{ID: e.Key, Version: e.Version, Names: map[string]string{}, Missing: []string{}}
	if err := json.Unmarshal(e.Body, &v.Document); err != nil {
		return v, fmt.Errorf("decode day %s: %w", e.Key, err)
	}
	var courses []day.Course
	var dishes []market.Dish
	for _, x := range v.Document.Dishes {
		d, err := k.open(ctx, x.ID)
		if errors.Is(err, store.ErrNotFound) {
			v.Missing = append(v.Missing, "A dish of this day is no longer here.")
			continue
		}
		if err != nil {
			return v, err
		}
		v.Names[x.ID] = d.Document.Name
		course, chosen, err := k.courseOf(d, x.Servings)
		if err != nil {
			v.Missing = append(v.Missing, fmt.Sprintf("%s: %v.", d.Document.Name, err))
			continue
		}
		courses = append(courses, course)
		dishes = append(dishes, market.Dish{Name: course.Name, Parts: course.Parts, Chosen: chosen})
	}
	l := k.Core().Larder
	jobs := day.Jobs(l, courses, v.Document.Kitchen)
	for i := range jobs {
		if at, ok := v.Document.Pins[jobs[i].ID]; ok {
			jobs[i].StartAt = &at
		}
	}
	var err error
	if v.Plan, v.Options, err = k.planned(v.Document, jobs); err != nil {
		return v, err
	}
	v.Jobs = day.Order(day.SayHot(jobs, v.Plan), v.Plan)
	if v.Jobs == nil {
		v.Jobs = []day.Job{}
	}
	v.Shopping = market.Of(l, dishes, v.Document.Have)
	return v, nil
}

// courseOf sets an adapted dish out in parts, sized.
func (k *Kitchen) courseOf(d store.Dish, servings float64) (day.Course, []swap.Chosen, error) {
	a, err := k.Core().Carrier.Adapt(d.Document.Original, d.Document.Placed(), false)
	if err != nil {
		return day.Course{}, nil, err
	}
	c := day.Course{ID: d.ID, Name: d.Document.Name, Parts: method.Parts(k.Core().Larder, a), Factor: 1}
	if s := d.Document.Original.Serves; s != nil && s.Mid() > 0 {
		c.Factor = servings / s.Mid()
	}
	for i := range c.Parts {
		part := &c.Parts[i]
		one := recipe.Dish{Components: []recipe.Component{{}}}
		for _, l := range part.Lines {
			one.Components[0].Lines = append(one.Components[0].Lines, l.Line)
		}
		for _, s := range part.Steps {
			one.Components[0].Steps = append(one.Components[0].Steps, s.Step)
		}
		sized, err := sizing.Scale(k.Core().Larder, one, c.Factor)
		if err != nil {
			return c, nil, err
		}
		for j := range part.Lines {
			part.Lines[j].Line = sized.Components[0].Lines[j]
		}
		for j := range part.Steps {
			part.Steps[j].Text = sized.Components[0].Steps[j].Text
		}
	}
	return c, a.Swaps, nil
}

// planCache keeps the last plans, which take up to a second to find.
type planCache struct {
	sync.Mutex
	made  map[[32]byte]plannedDay
	order [][32]byte
}

type plannedDay struct {
	plan    day.Plan
	options []day.Option
}

const mostPlans = 64

// planned plans a day's jobs, or finds the plan made before.
func (k *Kitchen) planned(d DayDocument, jobs []day.Job) (day.Plan, []day.Option, error) {
	r := day.RequestFor(d.ServeAt, d.Kitchen, jobs)
	key, err := json.Marshal([]any{r, d.Progress, d.Now})
	if err != nil {
		return day.Plan{}, nil, fmt.Errorf("name the plan: %w", err)
	}
	sum := sha256.Sum256(key)
	k.plans.Lock()
	found, ok := k.plans.made[sum]
	k.plans.Unlock()
	if ok {
		return found.plan, found.options, nil
	}
	groups := map[string][]string{}
	for _, j := range jobs {
		if j.Course != "" {
			groups[j.Course] = append(groups[j.Course], j.ID)
		}
	}
	now := d.Now
	if len(d.Progress) == 0 {
		now = ""
	}
	p, err := Plan(r)
	options := []day.Option{}
	if now != "" && err == nil {
		p, options, err = day.Replan(r, now, d.Progress, groups)
	}
	if err != nil {
		return day.Plan{}, nil, err
	}
	k.plans.Lock()
	defer k.plans.Unlock()
	if k.plans.made == nil {
		k.plans.made = map[[32]byte]plannedDay{}
	}
	k.plans.made[sum] = plannedDay{p, options}
	if k.plans.order = append(k.plans.order, sum); len(k.plans.order) > mostPlans {
		delete(k.plans.made, k.plans.order[0])
		k.plans.order = slices.Delete(k.plans.order, 0, 1)
	}
	return p, options, nil
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
			return fmt.Errorf("decode day %s: %w", e.Key, err)
		}
		s := DaySummary{ID: e.Key, Name: d.Name, ServeAt: d.ServeAt, Dishes: []string{}}
		for _, x := range d.Dishes {
			dish, err := k.open(c.Context(), x.ID)
			if errors.Is(err, store.ErrNotFound) {
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
			return unprocessable("A dish of the day is not here.", fieldError{fmt.Sprintf("dishes[%d].id", i), "is no dish of this kitchen"})
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

// errDayChanged answers a save that came too late.
var errDayChanged = problem{Title: "Changed meanwhile", Status: fiber.StatusPreconditionFailed, Detail: "This day was changed in another window. What is shown now is the newer one; make your change again."}

func (k *Kitchen) saveDay(c fiber.Ctx) error {
	var d DayDocument
	if err := decode(c, &d); err != nil {
		return err
	}
	version, err := ifMatch(c)
	if err != nil {
		return err
	}
	if err := d.check(); err != nil {
		return err
	}
	if _, err := k.Store.Entry(c.Context(), store.DayEntry, c.Params("id")); err != nil {
		return err
	}
	e, err := k.keepDay(c.Context(), c.Params("id"), version, d)
	if errors.Is(err, store.ErrChanged) {
		return errDayChanged
	}
	return k.answerDay(c, fiber.StatusOK, e, err)
}

// undoDay goes back to what stood before the last change; done again, it comes
// back.
func (k *Kitchen) undoDay(c fiber.Ctx) error {
	version, err := ifMatch(c)
	if err != nil {
		return err
	}
	id := c.Params("id")
	was, err := k.Store.Before(c.Context(), store.DayEntry, id, version)
	if err != nil {
		return err
	}
	e, err := k.Store.ChangeEntry(c.Context(), store.DayEntry, id, version, was.Body)
	if errors.Is(err, store.ErrChanged) {
		return errDayChanged
	}
	return k.answerDay(c, fiber.StatusOK, e, err)
}

func (k *Kitchen) removeDay(c fiber.Ctx) error {
	e, err := k.Store.Entry(c.Context(), store.DayEntry, c.Params("id"))
	if err != nil {
		return err
	}
	if _, err := k.Store.ChangeEntry(c.Context(), store.DayEntry, e.Key, e.Version, nil); err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}

// How long before a start its alarm rings: work at the stove, and what begins
// on a day before.
const (
	usualAlarm = 5 * time.Minute
	earlyAlarm = 30 * time.Minute
)

// exportCalendar gives a day's tasks as iCalendar: those that ask for hands,
// with an alarm, and what then cooks by itself.
func (k *Kitchen) exportCalendar(c fiber.Ctx) error {
	v, err := k.dayAsked(c)
	if err != nil {
		return err
	}
	serve, err := time.Parse(time.RFC3339, v.Document.ServeAt)
	if err != nil {
		return fmt.Errorf("read the time of serving: %w", err)
	}
	at := map[string]day.Placed{}
	for _, t := range v.Plan.Tasks {
		at[t.ID] = t
	}
	events := []formats.Event{{ID: v.ID + "-serve@yembra", Name: v.Document.Name + ": sit down", Text: "Everything is ready.", Start: serve, End: serve, Alarm: -1}}
	for _, j := range v.Jobs {
		t, ok := at[j.ID]
		if !ok || j.Kind == day.Wait {
			continue
		}
		start, err1 := time.Parse(time.RFC3339, t.Start)
		end, err2 := time.Parse(time.RFC3339, t.End)
		if err := errors.Join(err1, err2); err != nil {
			return fmt.Errorf("read the plan: %w", err)
		}
		e := formats.Event{ID: v.ID + "-" + j.ID + "@yembra", Name: j.Name, Text: strings.Join(j.For, ", ") + ": " + j.Text, Start: start, End: end, Alarm: -1}
		if j.Hands > 0 || j.Kind == day.Heat {
			if e.Alarm = usualAlarm; start.YearDay() != serve.YearDay() {
				e.Alarm = earlyAlarm
			}
		}
		events = append(events, e)
	}
	return sendFile(c, v.Document.Name, "ics", "text/calendar; charset=utf-8", formats.ToCalendar(v.Document.Name, serve.Add(-24*time.Hour), events))
}

func (k *Kitchen) dayAsked(c fiber.Ctx) (DayView, error) {
	e, err := k.Store.Entry(c.Context(), store.DayEntry, c.Params("id"))
	if err != nil {
		return DayView{}, err
	}
	return k.viewDay(c.Context(), e)
}

// exportShopping gives the shopping list as CSV.
func (k *Kitchen) exportShopping(c fiber.Ctx) error {
	v, err := k.dayAsked(c)
	if err != nil {
		return err
	}
	var b bytes.Buffer
	w := csv.NewWriter(&b)
	row := func(cells ...string) { _ = w.Write(cells) } // the writer keeps its first error
	row("aisle", "food", "form", "buy", "needed_g", "bought_g", "have_g", "packs", "pack", "left_g", "label", "for", "substitutes")
	for _, i := range v.Shopping.Items {
		var uses []string
		for _, u := range i.Uses {
			uses = append(uses, u.Dish+": "+u.Text)
		}
		grams := func(g float64) string { return fmt.Sprintf("%.0f", g) }
		row(i.Aisle, i.Name, i.Form, i.Shown, grams(i.Needed), grams(i.Bought), grams(i.Have), grams(i.Packs), i.PackName, grams(i.Left), i.Label, strings.Join(uses, "; "), strings.Join(i.Substitutes, "; "))
	}
	w.Flush()
	if err := w.Error(); err != nil {
		return fmt.Errorf("write the list: %w", err)
	}
	return sendFile(c, v.Document.Name+" shopping", "csv", "text/csv; charset=utf-8", b.Bytes())
}
