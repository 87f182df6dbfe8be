package server

import (
	"context"
	"log/slog"
	"slices"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/core/day"
	"yembra/core/stove"
	"yembra/server/texts"
	"yembra/store"
)

// StoveView is a cook-through as a screen opens it.
type StoveView struct {
	ID      string        `json:"id"`
	Program stove.Program `json:"program"`
	Now     StoveNow      `json:"now"`
}

// StoveNow is where a cook-through stands.
type StoveNow struct {
	State stove.State `json:"state"`
	View  stove.View  `json:"view"`
	// Weight is how the weighing under way stands, null where there is none.
	Weight *stove.Weight `json:"weight" jsonschema:"nullable"`
	// Last is the newest event that this screen can take back.
	Last int64 `json:"last"`
	// Kept tells that it was kept as a trial.
	Kept bool `json:"kept"`
}

// StoveSummary is a cook-through as a list shows it.
type StoveSummary struct {
	ID    string `json:"id"`
	Name  string `json:"name"`
	Begun int64  `json:"begun"`
	Ended int64  `json:"ended"`
	Done  int    `json:"done"`
	Of    int    `json:"of"`
	Kept  bool   `json:"kept"`
	Day   string `json:"day"`
}

// BeginRequest asks to cook a dish, so many times its recipe, or a day.
type BeginRequest struct {
	Dish   string  `json:"dish"`
	Factor float64 `json:"factor"`
	Day    string  `json:"day"`
	// Weekday asks for the quicker version of the dish.
	Weekday bool `json:"weekday"`
}

// cooksAhead is from when on a single dish is planned, to be moved to now.
const cooksAhead = 72 * time.Hour

// beginStove begins a cook-through.
func (k *Kitchen) beginStove(c fiber.Ctx) error {
	var r BeginRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	var id string
	var err error
	switch {
	case (r.Dish == "") == (r.Day == ""):
		return unprocessable(texts.Say("aDishIsCookedOrA"), fieldError{"dish", texts.Say("orDayMustBeGivenNot")})
	case r.Day != "":
		id, err = k.beginDay(c.Context(), r.Day)
	default:
		id, err = k.beginDish(c.Context(), Portion{r.Dish, r.Factor, r.Weekday})
	}
	if err != nil {
		return err
	}
	return k.answerStove(c.Status(fiber.StatusCreated), id)
}

// beginDish begins one dish now.
func (k *Kitchen) beginDish(ctx context.Context, of Portion) (string, error) {
	settings, err := k.loadSettings(ctx)
	if err != nil {
		return "", err
	}
	if of.Factor == 0 {
		of.Factor = 1
	}
	p, err := k.ProgramOf(ctx, []Portion{of}, settings.Kit, k.hearth.now())
	if err != nil {
		return "", err
	}
	return k.BeginCooking(ctx, p, nil)
}

// Portion is a dish so many times its recipe.
type Portion struct {
	Dish   string
	Factor float64
	// Weekday takes its quicker version.
	Weekday bool
}

// ProgramOf is what there is to do for dishes that are begun at a moment.
func (k *Kitchen) ProgramOf(ctx context.Context, dishes []Portion, kit day.Kitchen, at time.Time) (stove.Program, error) {
	none := stove.Program{}
	var courses []day.Course
	var served []stove.Dish
	for _, x := range dishes {
		d, err := k.open(ctx, x.Dish)
		if err != nil {
			return none, err
		}
		if x.Weekday {
			if d, err = k.weekday(d); err != nil {
				return none, err
			}
		}
		course, _, err := k.courseTimes(d, x.Factor)
		if err != nil {
			return none, unsized("factor", err.Error())
		}
		one, err := k.asServed(d, servingsOf(d, x.Factor))
		if err != nil {
			return none, err
		}
		courses, served = append(courses, course), append(served, one)
	}
	kit.Awake = nil
	l := k.Core().Larder
	jobs := day.Jobs(l, courses, kit)
	plan, err := Plan(ctx, day.RequestFor(at.Add(cooksAhead).UTC().Format(time.RFC3339), kit, jobs))
	if err != nil {
		return none, err
	}
	placed, err := stove.PlacedOf(plan)
	if err != nil {
		return none, err
	}
	p := stove.NewProgram(l, courses, day.SayHot(jobs, plan), placed)
	p.Name, p.Begun, p.Cooks, p.Knowledge, p.Dishes = served[0].Name, at.UnixMilli(), max(1, kit.Cooks), k.Knowledge, served
	p.BeginAt(at.UnixMilli())
	return p, nil
}

func servingsOf(d store.Dish, factor float64) float64 {
	if s := d.Document.Original.Serves; s != nil {
		return s.Mid() * factor
	}
	return 0
}

// beginDay begins a day: its plan counts, and what was done ahead is done.
func (k *Kitchen) beginDay(ctx context.Context, id string) (string, error) {
	e, err := k.Store.Entry(ctx, store.DayEntry, id)
	if err != nil {
		return "", err
	}
	v, courses, err := k.computeDay(ctx, e)
	if err != nil {
		return "", err
	}
	if len(v.Jobs) == 0 {
		return "", unprocessable(texts.Say("thereIsNothingToCookOn"), fieldError{"day", texts.Say("hasNoDishesThatCanBe")})
	}
	placed, err := stove.PlacedOf(v.Plan)
	if err != nil {
		return "", err
	}
	p := stove.NewProgram(k.Core().Larder, courses, v.Jobs, placed)
	p.Name, p.Day, p.Begun, p.Cooks, p.Knowledge = v.Document.Name, id, k.hearth.now().UnixMilli(), max(1, v.Document.Kitchen.Cooks), k.Knowledge
	if at, err := time.Parse(time.RFC3339, v.Document.ServeAt); err == nil {
		p.ServeAt = at.UnixMilli()
	}
	for _, x := range v.Document.Dishes {
		if v.Names[x.ID] == "" {
			continue
		}
		d, err := k.open(ctx, x.ID)
		if err != nil {
			return "", err
		}
		one, err := k.asServed(d, x.Servings)
		if err != nil {
			return "", err
		}
		p.Dishes = append(p.Dishes, one)
	}
	var done []stove.Event
	for _, x := range v.Document.Progress {
		start, err := time.Parse(time.RFC3339, x.Start)
		if err != nil || p.Move(x.ID) == nil {
			continue
		}
		e := stove.Event{At: start.UnixMilli(), Kind: stove.StartTimer, Move: x.ID, Amount: max(1, x.Minutes), Screen: "plan"}
		if x.Done {
			e = stove.Event{At: start.Add(time.Duration(x.Minutes * float64(time.Minute))).UnixMilli(), Kind: stove.Done, Move: x.ID, Screen: "plan"}
		}
		done = append(done, e)
	}
	slices.SortStableFunc(done, func(a, b stove.Event) int { return int(a.At - b.At) })
	return k.BeginCooking(ctx, p, done)
}

// mostStoves is how many cook-throughs are listed.
const mostStoves = 40

// stoves lists the cook-throughs, the newest first.
func (k *Kitchen) stoves(c fiber.Ctx) error {
	keys, err := k.Store.NewestKeys(c.Context(), store.CookEntry, mostStoves)
	if err != nil {
		return err
	}
	kept, err := k.keptTrials(c.Context())
	if err != nil {
		return err
	}
	list := []StoveSummary{}
	for _, key := range keys {
		x, err := k.cookThrough(c.Context(), key)
		if err != nil {
			slog.Error("a cook-through cannot be read", "cook", key, "cause", err)
			continue
		}
		x.mu.Lock()
		v := stove.Look(&x.program, &x.state, k.hearth.now().UnixMilli())
		list = append(list, StoveSummary{ID: x.id, Name: x.program.Name, Begun: x.program.Begun, Ended: x.state.Ended, Done: v.Done, Of: v.Of, Kept: kept[x.id], Day: x.program.Day})
		x.mu.Unlock()
	}
	return c.JSON(list)
}

func (k *Kitchen) showStove(c fiber.Ctx) error { return k.answerStove(c, c.Params("id")) }

func (k *Kitchen) answerStove(c fiber.Ctx, id string) error {
	x, err := k.cookThrough(c.Context(), id)
	if err != nil {
		return err
	}
	v := StoveView{ID: id, Program: x.program}
	if v.Now, err = k.stoveNow(c, x); err != nil {
		return err
	}
	return c.JSON(v)
}
