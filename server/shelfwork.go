package server

import (
	"context"
	"log/slog"
	"slices"
	"sync/atomic"
	"time"

	"yembra/store"
)

// shelfWork works out anew, in the background, what the shelf shows: all of it when the
// knowledge or what the kitchen has learned changes, one dish's tables when they do.
type shelfWork struct {
	// left is how many dishes are still shown as they were worked out before.
	left   *atomic.Int64
	kicked chan struct{}
	tables chan string
}

// Of how many dishes the background works at once, and how it yields.
const (
	workedAtOnce = 20
	tablesAhead  = 1024
	shelfTold    = time.Second
	clearedEvery = time.Hour
)

func newShelfWork() *shelfWork {
	return &shelfWork{left: &atomic.Int64{}, kicked: make(chan struct{}, 1), tables: make(chan string, tablesAhead)}
}

// kick has the shelf be looked through.
func (s *shelfWork) kick() {
	select {
	case s.kicked <- struct{}{}:
	default: // it will be
	}
}

// kept hears of everything that is kept: every screen is told, and what the shelf
// shows of a dish's tables is brought up to date.
func (k *Kitchen) kept(kind, key string) {
	k.hearth.kept(kind, key)
	if kind == store.TrialEntry || kind == store.TastingEntry || kind == store.SheetEntry || kind == store.PictureKept {
		select {
		case k.shelf.tables <- kind + " " + key:
		default: // more than can wait: all are looked at
			k.shelf.kick()
		}
	}
}

// MindShelf keeps the shelf up to date until it is told to stop.
func (k *Kitchen) MindShelf(ctx context.Context) {
	k.shelf.kick()
	clear := time.NewTicker(clearedEvery)
	defer clear.Stop()
	for {
		var err error
		select {
		case <-ctx.Done():
			return
		case <-k.shelf.kicked:
			err = k.WorkShelf(ctx)
		case <-k.shelf.tables:
			k.drainTables()
			err = k.Tables(ctx)
		case <-clear.C:
			_, err = k.Store.Cleared(ctx, time.Now().Add(-keptGone*24*time.Hour).UTC().Format(time.RFC3339Nano))
		}
		if err != nil && ctx.Err() == nil {
			slog.Error("the shelf could not be brought up to date", "cause", err)
		}
	}
}

// drainTables lets go of what else is waiting, since all tables are looked at together.
func (k *Kitchen) drainTables() {
	for {
		select {
		case <-k.shelf.tables:
		default:
			return
		}
	}
}

// WorkShelf works out anew what is stale, a few dishes at a time, newest first.
func (k *Kitchen) WorkShelf(ctx context.Context) error {
	told := time.Now()
	defer k.shelf.left.Store(0)
	done := 0
	for ctx.Err() == nil {
		now := *k
		now.pinned = k.core.Load()
		list, left, err := now.Store.Stale(ctx, now.Stamp(), workedAtOnce)
		if err != nil {
			return err
		}
		k.shelf.left.Store(int64(left))
		if len(list) == 0 {
			break
		}
		sums := make([]store.Summary, len(list))
		for i := range list {
			sums[i] = now.Summary(list[i])
		}
		if err := now.Store.Refreshed(ctx, list, sums); err != nil {
			return err
		}
		done += len(list)
		if time.Since(told) > shelfTold {
			told = time.Now()
			k.hearth.broadcast("shelf", map[string]any{"left": left - len(list)})
		}
	}
	if done > 0 {
		k.hearth.broadcast("shelf", map[string]any{"left": 0})
	}
	return k.Tables(ctx)
}

// trialDishes is all that the shelf reads of a trial.
type trialDishes struct {
	Program struct {
		Dishes []struct {
			ID string `json:"id"`
		} `json:"dishes"`
	} `json:"program"`
}

// likedAtTable notes who ate of each dish and how its trials were liked.
func (k *Kitchen) likedAtTable(ctx context.Context, of func(dish string) *store.AtTable) error {
	liked := map[string][]int{}
	tables, err := k.Store.Entries(ctx, store.TastingEntry)
	if err != nil {
		return err
	}
	for _, e := range tables {
		t, ok := readEntry[Tasting]("a tasting", e)
		if !ok {
			continue
		}
		sheets, err := k.sheetsOf(ctx, t.ID)
		if err != nil {
			return err
		}
		for _, s := range sheets {
			if x := of(t.Dish); s.Name != "" && !slices.Contains(x.Eaters, s.Name) {
				x.Eaters = append(x.Eaters, s.Name)
			}
			for _, said := range s.Said {
				served := slices.IndexFunc(t.Served, func(g Glass) bool { return g.Letter == said.Letter })
				if served >= 0 && t.Served[served].Trial != originalServed && said.Liking > 0 {
					liked[t.Dish] = append(liked[t.Dish], said.Liking)
				}
			}
		}
	}
	for dish, all := range liked {
		sum := 0
		for _, x := range all {
			sum += x
		}
		mean := float64(sum) / float64(len(all))
		of(dish).Liking = &mean
	}
	return nil
}

// Tables brings up to date what the shelf shows of trials, tables and pictures.
func (k *Kitchen) Tables(ctx context.Context) error {
	at := map[string]*store.AtTable{}
	of := func(dish string) *store.AtTable {
		if at[dish] == nil {
			at[dish] = &store.AtTable{}
		}
		return at[dish]
	}
	trials, err := k.Store.Entries(ctx, store.TrialEntry)
	if err != nil {
		return err
	}
	plates, err := k.Store.FirstPictures(ctx, trialPicture)
	if err != nil {
		return err
	}
	for _, e := range trials {
		t, ok := readEntry[trialDishes]("a trial", e)
		if !ok {
			continue
		}
		for _, d := range t.Program.Dishes {
			x := of(d.ID)
			x.Trials++
			if plate := plates[e.Key]; plate != "" {
				x.Picture = plate
			}
		}
	}
	if err := k.likedAtTable(ctx, of); err != nil {
		return err
	}
	own, err := k.Store.FirstPictures(ctx, dishPicture)
	if err != nil {
		return err
	}
	for dish, id := range own {
		of(dish).Picture = id
	}
	all := map[string]store.AtTable{}
	for dish, t := range at {
		all[dish] = *t
	}
	return k.Store.SaveTables(ctx, all)
}
