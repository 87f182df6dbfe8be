package server

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"regexp"
	"slices"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/core/larder"
	"yembra/formats"
	"yembra/store"
)

// The files of an archive: the dishes with all their revisions, the same
// originals as schema.org recipes for other programs, and what the kitchen
// says of itself, oldest first.
const (
	entriesFile = "entries.json"
	dishesDir   = "dishes/"
	dishFile    = "/dish.json"
	recipeFile  = "/original.jsonld"
)

var dishID = regexp.MustCompile(`^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$`)

// Backup writes the whole kitchen as one archive.
func (k *Kitchen) Backup(ctx context.Context, made time.Time) ([]byte, error) {
	dishes, entries, err := k.Store.Everything(ctx)
	if err != nil {
		return nil, err
	}
	var files []formats.ArchiveFile
	add := func(name string, v any) error {
		data, err := json.Marshal(v)
		if err != nil {
			return fmt.Errorf("write %s: %w", name, err)
		}
		files = append(files, formats.ArchiveFile{Name: name, Data: data})
		return nil
	}
	if err := add(entriesFile, entries); err != nil {
		return nil, err
	}
	for _, h := range dishes {
		if err := add(dishesDir+h.ID+dishFile, h); err != nil {
			return nil, err
		}
		at := slices.IndexFunc(h.Revisions, func(r store.Revision) bool { return r.Number == h.Revision })
		var doc store.Document
		if at < 0 {
			return nil, fmt.Errorf("dish %s has no current revision", h.ID)
		}
		if err := json.Unmarshal(h.Revisions[at].Body, &doc); err != nil {
			return nil, fmt.Errorf("decode dish %s: %w", h.ID, err)
		}
		recipe, err := formats.ToJSONLD(doc.Name, doc.Original)
		if err != nil {
			return nil, err
		}
		files = append(files, formats.ArchiveFile{Name: dishesDir + h.ID + recipeFile, Data: recipe})
	}
	var out bytes.Buffer
	err = formats.WriteArchive(&out, formats.Manifest{Made: made.UTC(), Program: k.Version, Knowledge: k.Knowledge}, files)
	return out.Bytes(), err
}

// Restore brings an archive into the kitchen. Anything wrong with it is
// refused with a reason that wraps formats.ErrArchive, and nothing is changed.
func (k *Kitchen) Restore(ctx context.Context, archive []byte) (store.Restored, error) {
	_, files, err := formats.ReadArchive(archive)
	if err != nil {
		return store.Restored{}, err
	}
	bad := func(name, format string, a ...any) error {
		return fmt.Errorf("%w: %s %s", formats.ErrArchive, name, fmt.Sprintf(format, a...))
	}
	var dishes []store.History
	var entries []store.EntryRow
	for _, f := range files {
		folder, rest := f.Name, ""
		if len(f.Name) > len(dishesDir)+36 {
			folder, rest = f.Name[len(dishesDir):len(dishesDir)+36], f.Name[len(dishesDir)+36:]
		}
		switch {
		case f.Name == entriesFile:
			if err := strict(f.Data, &entries); err != nil {
				return store.Restored{}, bad(f.Name, "does not hold what it should: %v", err)
			}
		case strings.HasPrefix(f.Name, dishesDir) && dishID.MatchString(folder) && rest == dishFile:
			var h store.History
			if err := strict(f.Data, &h); err != nil {
				return store.Restored{}, bad(f.Name, "does not hold what it should: %v", err)
			}
			if h.ID != folder {
				return store.Restored{}, bad(f.Name, "holds another dish")
			}
			dishes = append(dishes, h)
		case strings.HasPrefix(f.Name, dishesDir) && dishID.MatchString(folder) && rest == recipeFile:
			// For other programs.
		default:
			return store.Restored{}, bad(f.Name, "is not a file of a kitchen")
		}
	}
	l, err := k.larderWith(ctx, entries)
	if err != nil {
		return store.Restored{}, bad(entriesFile, "cannot be taken: %v", err)
	}
	for _, h := range dishes {
		if err := checkHistory(l, h); err != nil {
			return store.Restored{}, bad(dishesDir+h.ID+dishFile, "cannot be taken: %v", err)
		}
	}
	done, err := k.Store.Restore(ctx, dishes, entries)
	if err != nil {
		return done, err
	}
	return done, k.Refresh(ctx)
}

func strict(data []byte, into any) error {
	d := json.NewDecoder(bytes.NewReader(data))
	d.DisallowUnknownFields()
	return d.Decode(into)
}

// larderWith is the larder as it would be with the archive's entries, which
// are checked on the way.
func (k *Kitchen) larderWith(ctx context.Context, rows []store.EntryRow) (*larder.Larder, error) {
	own, err := k.ownFoods(ctx)
	if err != nil {
		return nil, err
	}
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
		case store.KitchenEntry:
			var s Settings
			if none {
				continue
			}
			if err := strict(r.Body, &s); err != nil {
				return nil, fmt.Errorf("the settings do not hold what they should: %w", err)
			}
			if err := k.checkSettings(&s); err != nil {
				return nil, err
			}
		case store.DayEntry:
			var d DayDocument
			if none {
				continue
			}
			if err := strict(r.Body, &d); err != nil {
				return nil, fmt.Errorf("the day %q does not hold what it should: %w", r.Key, err)
			}
			if err := d.check(); err != nil {
				return nil, err
			}
		default:
			return nil, fmt.Errorf("an entry is of the kind %q, which is not known", r.Kind)
		}
	}
	return k.shipped.With(own)
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
		if err := checkOriginalAgainst(l, doc.Original); err != nil {
			return fmt.Errorf("revision %d: %w", r.Number, err)
		}
		if r.Number != h.Revision {
			continue // what no longer counts may hold what is no longer known
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

func (k *Kitchen) backup(c fiber.Ctx) error {
	now := time.Now()
	data, err := k.Backup(c.Context(), now)
	if err != nil {
		return err
	}
	c.Set("Content-Type", "application/zip")
	c.Set("Content-Disposition", `attachment; filename="yembra-`+now.Format("2006-01-02")+`.zip"`)
	return c.Send(data)
}

func (k *Kitchen) restore(c fiber.Ctx) error {
	done, err := k.Restore(c.Context(), c.Body())
	if errors.Is(err, formats.ErrArchive) {
		return unprocessable(larder.Capital(err.Error())+".", fieldError{"archive", err.Error()})
	}
	if err != nil {
		return err
	}
	return c.JSON(done)
}
