package store_test

import (
	"context"
	"encoding/json"
	"fmt"
	"iter"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/store"
)

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
