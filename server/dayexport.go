package server

import (
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/core/day"
	"yembra/formats"
	"yembra/store"
)

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
	row := func(cells ...string) {
		for i := range cells {
			cells[i] = formats.Cell(cells[i])
		}
		_ = w.Write(cells) // the writer keeps its first error
	}
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
