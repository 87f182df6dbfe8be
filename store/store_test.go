package store_test

import (
	"context"
	"encoding/json"
	"fmt"
	"iter"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
	"yembra/store"
)

func open(t *testing.T, folder string) *store.Store {
	t.Helper()
	at := time.Date(2026, 11, 1, 9, 0, 0, 0, time.UTC)
	s, err := store.Open(context.Background(), folder, func() time.Time { at = at.Add(time.Second); return at })
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, s.Close()) })
	return s
}

func doc(name string) store.Document {
	return store.Document{Name: name, Place: "Nowhere", Source: "text", Original: recipe.Dish{Name: name, Components: []recipe.Component{{Lines: []recipe.Line{{Text: "2 potatoes"}}}}}}
}

func TestDishesSurviveARestart(t *testing.T) {
	ctx, folder := context.Background(), t.TempDir()
	s, err := store.Open(ctx, folder, time.Now)
	require.NoError(t, err)
	made, err := s.Create(ctx, doc("Goulash"))
	require.NoError(t, err)
	require.NoError(t, s.Close())

	again := open(t, folder)
	got, err := again.Dish(ctx, made.ID)
	require.NoError(t, err)
	require.Equal(t, made, got)
	id, err := uuid.Parse(made.ID)
	require.NoError(t, err)
	require.Equal(t, uuid.Version(7), id.Version())
}

func TestUndoAndRedoMoveOverRevisions(t *testing.T) {
	ctx := context.Background()
	s := open(t, t.TempDir())
	d, err := s.Create(ctx, doc("one"))
	require.NoError(t, err)
	_, err = s.Undo(ctx, d.ID, d.Edit)
	require.ErrorIs(t, err, store.ErrNothing)
	for _, name := range []string{"two", "three"} {
		d, err = s.Save(ctx, d.ID, d.Edit, "renamed", doc(name))
		require.NoError(t, err)
	}
	d, err = s.Undo(ctx, d.ID, d.Edit)
	require.NoError(t, err)
	require.Equal(t, "two", d.Document.Name)
	require.True(t, d.CanUndo && d.CanRedo)
	d, err = s.Redo(ctx, d.ID, d.Edit)
	require.NoError(t, err)
	require.Equal(t, "three", d.Document.Name)
	require.False(t, d.CanRedo)

	d, err = s.Undo(ctx, d.ID, d.Edit)
	require.NoError(t, err)
	d, err = s.Save(ctx, d.ID, d.Edit, "branched", doc("four"))
	require.NoError(t, err)
	require.False(t, d.CanRedo, "a new change after undo starts a branch of its own")
	d, err = s.Undo(ctx, d.ID, d.Edit)
	require.NoError(t, err)
	require.Equal(t, "two", d.Document.Name)
}

func TestTheLaterOfTwoWindowsIsTold(t *testing.T) {
	ctx := context.Background()
	s := open(t, t.TempDir())
	d, err := s.Create(ctx, doc("one"))
	require.NoError(t, err)
	_, err = s.Save(ctx, d.ID, d.Edit, "first", doc("first"))
	require.NoError(t, err)
	_, err = s.Save(ctx, d.ID, d.Edit, "second", doc("second"))
	require.ErrorIs(t, err, store.ErrChanged)
	got, err := s.Dish(ctx, d.ID)
	require.NoError(t, err)
	require.Equal(t, "first", got.Document.Name)
}

func TestOnlyOneOfManyRacersWins(t *testing.T) {
	ctx := context.Background()
	s := open(t, t.TempDir())
	d, err := s.Create(ctx, doc("one"))
	require.NoError(t, err)
	var wg sync.WaitGroup
	errs := make([]error, 8)
	for i := range errs {
		wg.Go(func() { _, errs[i] = s.Save(ctx, d.ID, d.Edit, "race", doc("raced")) })
	}
	wg.Wait()
	won := 0
	for _, err := range errs {
		if err == nil {
			won++
			continue
		}
		require.ErrorIs(t, err, store.ErrChanged)
	}
	require.Equal(t, 1, won)
}

func TestSearch(t *testing.T) {
	ctx := context.Background()
	s := open(t, t.TempDir())
	for _, name := range []string{"Phở bò", "Goulash", "Pierogi"} {
		_, err := s.Create(ctx, doc(name))
		require.NoError(t, err)
	}
	for query, want := range map[string]int{"pho": 1, "gou": 1, "potat": 3, "nothing": 0, "": 3, `"quoted OR (`: 0, "gou pier": 0} {
		found, all, err := s.Shelf(ctx, store.Wanted{Words: query, Most: 10})
		require.NoError(t, err, query)
		require.Len(t, found, want, query)
		require.Equal(t, want, all)
	}
}

func TestUnknownDish(t *testing.T) {
	s := open(t, t.TempDir())
	_, err := s.Dish(context.Background(), "nobody")
	require.ErrorIs(t, err, store.ErrNotFound)
	_, err = s.Save(context.Background(), "nobody", 1, "x", doc("x"))
	require.ErrorIs(t, err, store.ErrNotFound)
}

func TestPragmasAreInForce(t *testing.T) {
	s := open(t, t.TempDir())
	got, err := s.Pragmas(context.Background())
	require.NoError(t, err)
	require.Equal(t, map[string]string{"journal_mode": "wal", "foreign_keys": "1", "busy_timeout": "5000", "synchronous": "2"}, got)
}

func TestRevisionsAreAppendOnly(t *testing.T) {
	ctx := context.Background()
	s := open(t, t.TempDir())
	_, err := s.Create(ctx, doc("one"))
	require.NoError(t, err)
	require.ErrorContains(t, s.TamperForTest(ctx), "append-only")
}

func TestClearLeavesOtherFilesAlone(t *testing.T) {
	folder := t.TempDir()
	require.NoError(t, store.Clear(folder))
	s, err := store.Open(context.Background(), filepath.Join(folder, "deep", "kitchen"), time.Now)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	require.NoError(t, store.Clear(filepath.Join(folder, "deep", "kitchen")))
}

func TestEntriesAreKeptAndTakenBack(t *testing.T) {
	ctx, folder := context.Background(), t.TempDir()
	s := open(t, folder)
	require.NoError(t, s.SaveEntry(ctx, store.FoodEntry, "carrot", []byte(`{"a":1}`)))
	require.NoError(t, s.SaveEntry(ctx, store.FoodEntry, "carrot", []byte(`{"a":2}`)))
	require.NoError(t, s.SaveEntry(ctx, store.KitchenEntry, "carrot", []byte(`{}`)))
	got, err := s.Entries(ctx, store.FoodEntry)
	require.NoError(t, err)
	require.Equal(t, []store.Entry{{Key: "carrot", Body: []byte(`{"a":2}`), Version: 2}}, got, "the newest counts")
	require.NoError(t, s.SaveEntry(ctx, store.FoodEntry, "carrot", nil))
	got, err = s.Entries(ctx, store.FoodEntry)
	require.NoError(t, err)
	require.Empty(t, got)
}

func TestEntriesAreChangedOnlyByThoseWhoReadTheNewest(t *testing.T) {
	ctx := context.Background()
	s := open(t, t.TempDir())
	_, err := s.Entry(ctx, store.DayEntry, "supper")
	require.ErrorIs(t, err, store.ErrNoEntry)
	one, err := s.ChangeEntry(ctx, store.DayEntry, "supper", 0, []byte(`1`))
	require.NoError(t, err)
	two, err := s.ChangeEntry(ctx, store.DayEntry, "supper", one.Version, []byte(`2`))
	require.NoError(t, err)
	require.Greater(t, two.Version, one.Version)
	_, err = s.ChangeEntry(ctx, store.DayEntry, "supper", one.Version, []byte(`3`))
	require.ErrorIs(t, err, store.ErrChanged)
	was, err := s.Before(ctx, store.DayEntry, "supper", two.Version)
	require.NoError(t, err)
	require.Equal(t, []byte(`1`), was.Body)
	_, err = s.Before(ctx, store.DayEntry, "supper", one.Version)
	require.ErrorIs(t, err, store.ErrNothing)
	_, err = s.ChangeEntry(ctx, store.DayEntry, "supper", two.Version, nil)
	require.NoError(t, err)
	_, err = s.Entry(ctx, store.DayEntry, "supper")
	require.ErrorIs(t, err, store.ErrNoEntry)
}

func everything(t *testing.T, s *store.Store) (dishes []store.History, rows []store.EntryRow) {
	t.Helper()
	require.NoError(t, s.Export(context.Background(), store.Taker{
		Entries: func(e []store.EntryRow) error { rows = e; return nil },
		Dish:    func(h store.History) error { dishes = append(dishes, h); return nil },
		Picture: func(store.WholePicture) error { return nil },
	}))
	return dishes, rows
}

func brought(dishes []store.History, entries []store.EntryRow, pictures ...store.WholePicture) store.Brought {
	return store.Brought{Dishes: each(dishes), Entries: entries, Pictures: func(yield func(store.WholePicture, error) bool) {
		for _, p := range pictures {
			if !yield(p, nil) {
				return
			}
		}
	}}
}

func each(dishes []store.History) iter.Seq2[store.History, error] {
	return func(yield func(store.History, error) bool) {
		for _, h := range dishes {
			if !yield(h, nil) {
				return
			}
		}
	}
}

func TestEverythingGoesOutAndInByteByByte(t *testing.T) {
	ctx := context.Background()
	s := open(t, t.TempDir())
	d, err := s.Create(ctx, doc("Pho & <herbs>"))
	require.NoError(t, err)
	d, err = s.Save(ctx, d.ID, d.Edit, "renamed", doc("Phở"))
	require.NoError(t, err)
	require.NoError(t, s.SaveEntry(ctx, store.FoodEntry, "carrot", nil))
	dishes, entries := everything(t, s)
	require.Len(t, dishes[0].Revisions, 2)

	other := open(t, t.TempDir())
	done, err := other.Restore(ctx, brought(dishes, entries))
	require.NoError(t, err)
	require.Equal(t, store.Restored{Added: 1, Entries: 1}, done)
	again, rows := everything(t, other)
	require.Equal(t, dishes, again)
	require.Equal(t, entries, rows)
	found, _, err := other.Shelf(ctx, store.Wanted{Words: "phở", Most: 10})
	require.NoError(t, err)
	require.Len(t, found, 1, "what came in can be searched")

	// Later revisions are added to a dish that is here.
	_, err = s.Save(ctx, d.ID, d.Edit, "renamed", doc("Phở chay"))
	require.NoError(t, err)
	dishes, entries = everything(t, s)
	done, err = other.Restore(ctx, brought(dishes, entries))
	require.NoError(t, err)
	require.Equal(t, store.Restored{Longer: 1}, done)
	now, err := other.Dish(ctx, d.ID)
	require.NoError(t, err)
	require.Equal(t, "Phở chay", now.Document.Name)

	// Nothing of a restore that fails stays.
	dishes[0].ID, dishes[0].Revision = "01890a5d-ac96-774b-bcce-b302099a8057", 9
	_, err = other.Restore(ctx, brought(dishes, nil))
	require.Error(t, err)
	left, err := other.Dishes(ctx)
	require.NoError(t, err)
	require.Len(t, left, 1)
}

// The text of a recipe stands once in an archive, however often the dish was
// changed, and every body comes back byte by byte.
func TestTextsArePackedOnce(t *testing.T) {
	ctx := context.Background()
	s := open(t, t.TempDir())
	long := doc("Stew")
	long.Source = strings.Repeat("a <long> \"source\":\"\" page\n", 1000)
	d, err := s.Create(ctx, long)
	require.NoError(t, err)
	for n := range 5 {
		long.Place = fmt.Sprint("source: ", n)
		d, err = s.Save(ctx, d.ID, d.Edit, "moved it", long)
		require.NoError(t, err)
	}
	long.Source = "another text"
	_, err = s.Save(ctx, d.ID, d.Edit, "pasted again", long)
	require.NoError(t, err)
	dishes, _ := everything(t, s)
	want, _ := everything(t, s)
	h := &dishes[0]
	h.Pack()
	require.Len(t, h.Sources, 2)
	for _, r := range h.Revisions {
		require.NotContains(t, string(r.Body), "page")
		require.True(t, json.Valid(r.Body))
	}
	h.Pack()
	require.Len(t, h.Sources, 2)
	require.NoError(t, h.Unpack())
	require.Equal(t, want, dishes)
	h.Pack()
	h.Sources = h.Sources[:1]
	require.Error(t, h.Unpack())
}

// An older archive brings back neither what was taken away since nor what has
// been set anew, and the same archive twice is the same as once.
func TestAnOlderArchiveTurnsNothingBack(t *testing.T) {
	ctx := context.Background()
	now := time.Date(2026, 11, 1, 8, 0, 0, 0, time.UTC)
	s, err := store.Open(ctx, t.TempDir(), func() time.Time { now = now.Add(time.Minute); return now })
	require.NoError(t, err)
	defer s.Close()
	require.NoError(t, s.SaveEntry(ctx, store.KitchenEntry, "settings", []byte(`{"n":1}`)))
	day, err := s.ChangeEntry(ctx, store.DayEntry, "supper", 0, []byte(`{}`))
	require.NoError(t, err)
	dishes, old := everything(t, s)
	require.NoError(t, s.SaveEntry(ctx, store.KitchenEntry, "settings", []byte(`{"n":2}`)))
	_, err = s.ChangeEntry(ctx, store.DayEntry, "supper", day.Version, nil)
	require.NoError(t, err)
	for range 2 {
		done, err := s.Restore(ctx, brought(dishes, old))
		require.NoError(t, err)
		require.Zero(t, done.Entries)
	}
	_, err = s.Entry(ctx, store.DayEntry, "supper")
	require.ErrorIs(t, err, store.ErrNoEntry)
	settings, err := s.Entry(ctx, store.KitchenEntry, "settings")
	require.NoError(t, err)
	require.JSONEq(t, `{"n":2}`, string(settings.Body))

	// What is newer comes in, and what is not here at all.
	newer := []store.EntryRow{{Kind: store.KitchenEntry, Key: "settings", Made: now.Add(time.Hour).Format(time.RFC3339Nano), Body: []byte(`{"n":3}`)},
		{Kind: store.DayEntry, Key: "lunch", Made: now.Add(-time.Hour).Format(time.RFC3339Nano), Body: []byte(`{}`)}}
	done, err := s.Restore(ctx, brought(nil, newer))
	require.NoError(t, err)
	require.Equal(t, 2, done.Entries)
}

func TestPicturesAreKeptTakenAwayAndGoAlong(t *testing.T) {
	ctx := context.Background()
	s := open(t, t.TempDir())
	one := store.Picture{ID: "p1", Kind: "trial", About: "t1", Width: 4, Height: 3}
	require.NoError(t, s.SavePicture(ctx, one, []byte("large"), []byte("small")))
	require.Error(t, s.SavePicture(ctx, one, nil, nil), "once")
	list, err := s.Pictures(ctx, "trial", "t1")
	require.NoError(t, err)
	require.Len(t, list, 1)
	require.NotEmpty(t, list[0].Made)
	for small, want := range map[bool]string{true: "small", false: "large"} {
		body, err := s.PictureBody(ctx, "p1", small)
		require.NoError(t, err)
		require.Equal(t, want, string(body))
	}
	_, err = s.PictureBody(ctx, "p2", true)
	require.ErrorIs(t, err, store.ErrNoEntry)
	require.NoError(t, s.TakePicture(ctx, "p1", true))
	list, err = s.Pictures(ctx, "trial", "t1")
	require.NoError(t, err)
	require.Empty(t, list)
	require.ErrorIs(t, s.TakePicture(ctx, "p2", true), store.ErrNoEntry)

	var out []store.WholePicture
	require.NoError(t, s.Export(ctx, store.Taker{Entries: func([]store.EntryRow) error { return nil }, Dish: func(store.History) error { return nil }, Picture: func(p store.WholePicture) error { out = append(out, p); return nil }}))
	require.Len(t, out, 1)
	other := open(t, t.TempDir())
	for n := range 2 {
		done, err := other.Restore(ctx, brought(nil, nil, out...))
		require.NoError(t, err)
		require.Equal(t, 1-n, done.Pictures, "once")
	}
	require.NoError(t, other.TakePicture(ctx, "p1", false))
	list, err = other.Pictures(ctx, "trial", "t1")
	require.NoError(t, err)
	require.Len(t, list, 1)
}
