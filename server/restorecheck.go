package server

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"time"

	"yembra/core/larder"
	"yembra/core/stove"
	"yembra/store"
)

func strict(data []byte, into any) error {
	d := json.NewDecoder(bytes.NewReader(data))
	d.DisallowUnknownFields()
	return d.Decode(into)
}

// larderWith is the larder as it would be with the archive's entries, which
// are checked on the way.
func (k *Kitchen) larderWith(ctx context.Context, rows []store.EntryRow) (*larder.Larder, error) {
	own, _, err := k.ownFoods(ctx)
	if err != nil {
		return nil, err
	}
	// What was taken away later may still stand in what was said before.
	ever := map[string]larder.Entry{}
	var settings *Settings
	for _, r := range rows {
		if _, err := time.Parse(time.RFC3339Nano, r.Made); err != nil || r.Key == "" || len(r.Key) > 200 {
			return nil, fmt.Errorf("an entry has no key or time")
		}
		none := r.Body == nil || string(r.Body) == "null"
		switch r.Kind {
		case store.FoodEntry:
			own = slices.DeleteFunc(own, func(e larder.Entry) bool { return e.ID == r.Key })
			if none {
				continue
			}
			var e larder.Entry
			if err := strict(r.Body, &e); err != nil || e.ID != r.Key {
				return nil, fmt.Errorf("the food %q does not hold what it should", r.Key)
			}
			own = append(own, e)
			ever[e.ID] = e
		case store.KitchenEntry:
			var s Settings
			if none {
				continue
			}
			if err := strict(r.Body, &s); err != nil {
				return nil, fmt.Errorf("the settings do not hold what they should: %w", err)
			}
			settings = &s
		case store.DayEntry:
			if err := checkDay(r, none); err != nil {
				return nil, err
			}
		case store.CookEntry, store.StoveEntry, store.TrialEntry, store.MeasuredEntry, store.TastingEntry, store.SheetEntry, store.UntaughtEntry, store.WishEntry, store.BegunEntry:
			if err := checkCooked(r, none); err != nil {
				return nil, err
			}
		default:
			return nil, fmt.Errorf("an entry is of the kind %q, which is not known", r.Kind)
		}
	}
	for _, e := range own {
		delete(ever, e.ID)
	}
	l, err := k.shipped.With(slices.AppendSeq(slices.Clone(own), maps.Values(ever)))
	if err == nil && settings != nil {
		err = checkSettings(l, settings) // of the settings those count that came last
	}
	return l, err
}

// checkDay holds an entry of a day against what one holds.
func checkDay(r store.EntryRow, none bool) error {
	if none {
		return nil
	}
	var d DayDocument
	if err := strict(r.Body, &d); err != nil {
		return fmt.Errorf("the day %q does not hold what it should: %w", r.Key, err)
	}
	return d.check()
}

// checkCooked refuses what was not kept of a cook-through by this program.
func checkCooked(r store.EntryRow, none bool) error {
	if none {
		return nil
	}
	into := map[string]any{store.CookEntry: &stove.Program{}, store.StoveEntry: &stove.Event{}, store.TrialEntry: &Trial{}, store.MeasuredEntry: &stove.Measured{}, store.TastingEntry: &Tasting{}, store.SheetEntry: &Sheet{}, store.UntaughtEntry: &struct{}{}, store.WishEntry: &struct{}{}, store.BegunEntry: &Begun{}}[r.Kind]
	if err := strict(r.Body, into); err != nil {
		return fmt.Errorf("the %s %q does not hold what it should: %w", r.Kind, r.Key, err)
	}
	return nil
}

// checkHistory refuses a dish that this program would not have written.
func checkHistory(l *larder.Larder, h store.History) error {
	if _, err := time.Parse(time.RFC3339Nano, h.Created); err != nil {
		return fmt.Errorf("its time is no time")
	}
	if _, err := time.Parse(time.RFC3339Nano, h.Changed); err != nil {
		return fmt.Errorf("its time is no time")
	}
	current := false
	for i, r := range h.Revisions {
		if r.Number != int64(i+1) || r.Parent != nil && (*r.Parent < 1 || *r.Parent >= r.Number) || (r.Parent == nil) != (i == 0) {
			return fmt.Errorf("its revisions are not in order")
		}
		if _, err := time.Parse(time.RFC3339Nano, r.Made); err != nil {
			return fmt.Errorf("revision %d has no time", r.Number)
		}
		current = current || r.Number == h.Revision
		var doc store.Document
		if err := strict(r.Body, &doc); err != nil {
			return fmt.Errorf("revision %d does not hold a dish: %w", r.Number, err)
		}
		if r.Number != h.Revision {
			continue // what no longer counts may hold what is no longer known
		}
		if err := checkOriginalAgainst(l, doc.Original); err != nil {
			return fmt.Errorf("revision %d: %w", r.Number, err)
		}
		if err := checkBounds(l, doc.Decisions); err != nil {
			return fmt.Errorf("revision %d: %w", r.Number, err)
		}
	}
	if !current || h.Edit < 1 {
		return fmt.Errorf("its current revision is missing")
	}
	return nil
}
