package store_test

import (
	"context"
	"path/filepath"
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

// What is decided of a dish is carried out where the cook says it is from.
func TestDecisionsKnowTheCountry(t *testing.T) {
	d := store.Document{Country: "392"}
	require.Equal(t, "392", d.Placed().Country)
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
