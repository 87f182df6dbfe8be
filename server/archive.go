package server

import (
	"bufio"
	"cmp"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/core/larder"
	"yembra/formats"
	"yembra/server/texts"
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
	// A picture is what is known of it, and its points large and small.
	picturesDir = "pictures/"
	pictureFile = "/picture.json"
	fullFile    = "/full.jpg"
	smallFile   = "/small.jpg"
)

var dishID = regexp.MustCompile(`^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$`)

// Backup writes the whole kitchen as one archive, dish by dish.
func (k *Kitchen) Backup(ctx context.Context, w io.Writer, made time.Time) error {
	a := formats.NewArchive(w, formats.Manifest{Made: made.UTC(), Program: k.Version, Knowledge: k.Knowledge})
	add := func(name string, v any) error {
		data, err := json.Marshal(v)
		if err != nil {
			return fmt.Errorf("write %s: %w", name, err)
		}
		return a.Add(name, data)
	}
	dish := func(h store.History) error {
		current := slices.IndexFunc(h.Revisions, func(r store.Revision) bool { return r.Number == h.Revision })
		if current < 0 {
			return fmt.Errorf("dish %s has no current revision", h.ID)
		}
		body := h.Revisions[current].Body
		h.Pack()
		if err := add(dishesDir+h.ID+dishFile, h); err != nil {
			return err
		}
		var doc store.Document
		if err := json.Unmarshal(body, &doc); err != nil {
			slog.Error("a dish in a backup cannot be read", "dish", h.ID, "cause", err)
			return nil // it is kept as it is; there is only no recipe for other programs
		}
		recipe, err := formats.ToJSONLD(doc.Name, doc.Original)
		if err != nil {
			return err
		}
		return a.Add(dishesDir+h.ID+recipeFile, recipe)
	}
	err := k.Store.Export(ctx, store.Taker{
		Entries: func(rows []store.EntryRow) error { return add(entriesFile, rows) }, Dish: dish,
		Picture: func(p store.WholePicture) error {
			at := picturesDir + p.ID
			return cmp.Or(add(at+pictureFile, p.Picture), a.Add(at+fullFile, p.Full), a.Add(at+smallFile, p.Small))
		},
	})
	if err != nil {
		return err
	}
	return a.Close()
}

// BackupTo writes an archive to a file: aside at first, and in its place only
// when it has been read back whole.
func (k *Kitchen) BackupTo(ctx context.Context, path string, made time.Time) (int64, error) {
	aside, err := os.CreateTemp(filepath.Dir(path), ".yembra-backup-*")
	if err != nil {
		return 0, fmt.Errorf("write the archive: %w", err)
	}
	defer os.Remove(aside.Name()) //nolint:errcheck // it is gone when all went well
	err = k.Backup(ctx, aside, made)
	if err == nil {
		err = aside.Sync()
	}
	info, statErr := aside.Stat()
	if err = errors.Join(err, statErr); err == nil {
		_, err = k.checkArchive(ctx, aside, info.Size())
	}
	if err = errors.Join(err, aside.Close()); err != nil {
		return 0, fmt.Errorf("write the archive: %w", err)
	}
	if err := os.Rename(aside.Name(), path); err != nil {
		return 0, fmt.Errorf("put the archive in its place: %w", err)
	}
	return info.Size(), nil
}

// mostArchives is how many archives go out or come in at once.
const mostArchives = 2

// turn waits for nobody: more archives than go at once are asked to come again.
func (k *Kitchen) turn() (done func(), err error) {
	select {
	case k.archives <- struct{}{}:
		return func() { <-k.archives }, nil
	default:
		return nil, problem{Title: texts.Say("busy"), Status: fiber.StatusServiceUnavailable, Detail: texts.Say("archivesAreBeingWrittenOrRead", mostArchives)}
	}
}

func (k *Kitchen) backup(c fiber.Ctx) error {
	now := time.Now()
	c.Set("Content-Type", "application/zip")
	c.Set("Content-Disposition", `attachment; filename="yembra-`+now.Format("2006-01-02")+`.zip"`)
	if c.Method() == fiber.MethodHead {
		return nil
	}
	done, err := k.turn()
	if err != nil {
		return err
	}
	ctx := context.WithoutCancel(c.Context())
	return c.SendStreamWriter(func(w *bufio.Writer) {
		defer done()
		err := k.Backup(ctx, w, now)
		if err == nil {
			err = w.Flush()
		}
		if err != nil { // what went out has no end and is refused when it is read
			slog.Error("an archive could not be written whole", "cause", err)
		}
	})
}

func (k *Kitchen) restore(c fiber.Ctx) error {
	done, err := k.turn()
	if err != nil {
		return err
	}
	defer done()
	file, err := os.CreateTemp("", "yembra-archive-*")
	if err != nil {
		return fmt.Errorf("take the archive in: %w", err)
	}
	defer func() { _ = errors.Join(file.Close(), os.Remove(file.Name())) }()
	size, err := io.Copy(file, io.LimitReader(bodyOf(c), mostArchiveUpload+1))
	if err != nil {
		return fmt.Errorf("take the archive in: %w", err)
	}
	if size > mostArchiveUpload {
		return tooLarge(mostArchiveUpload)
	}
	restored, err := k.Restore(c.Context(), file, size)
	if errors.Is(err, formats.ErrArchive) {
		return unprocessable(larder.Capital(err.Error())+".", fieldError{"archive", err.Error()})
	}
	if err != nil {
		return err
	}
	return c.JSON(restored)
}
