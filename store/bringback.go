package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"fmt"
	"iter"
	"slices"
	"time"

	"github.com/google/uuid"
)

// Restored counts what a restore did.
type Restored struct {
	// Added dishes were not here; Same were here just so; Longer are those of
	// which the archive knew later revisions; Copied had gone another way here
	// and stand beside it now.
	Added  int `json:"added"`
	Same   int `json:"same"`
	Longer int `json:"longer"`
	Copied int `json:"copied"`
	// Entries are settings and own foods taken over; what stood here before
	// stays in the kitchen's history.
	Entries int `json:"entries"`
	// Pictures were not here.
	Pictures int `json:"pictures"`
}

// Brought is what an archive brings.
type Brought struct {
	Dishes   iter.Seq2[History, error]
	Entries  []EntryRow
	Pictures iter.Seq2[WholePicture, error]
}

// Restore brings archived dishes and entries into the kitchen, all or nothing.
// Nothing that is here is lost: a dish that went another way is added as a copy,
// and of what the kitchen says of itself only what is newer than what stands
// here comes in, so that an older archive neither brings back what was taken
// away since nor old settings. Pictures that are here stay as they are.
func (s *Store) Restore(ctx context.Context, b Brought) (Restored, error) {
	var done Restored
	defer s.rows.forget()
	err := s.inTx(ctx, func(tx *sql.Tx) error {
		done = Restored{}
		for h, err := range b.Dishes {
			if err != nil {
				return err
			}
			if err := s.restoreDish(ctx, tx, h, &done); err != nil {
				return err
			}
		}
		for p, err := range b.Pictures {
			if err != nil {
				return err
			}
			if err := restorePicture(ctx, tx, p, &done); err != nil {
				return err
			}
		}
		return restoreEntries(ctx, tx, b.Entries, &done)
	})
	return done, err
}

func restorePicture(ctx context.Context, tx *sql.Tx, p WholePicture, done *Restored) error {
	result, err := tx.ExecContext(ctx, `INSERT INTO pictures (id, kind, about, made, width, height, gone, body, small) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT DO NOTHING`,
		p.ID, p.Kind, p.About, p.Made, p.Width, p.Height, p.Gone, p.Full, p.Small)
	var n int64
	if err == nil {
		n, err = result.RowsAffected()
	}
	if err != nil {
		return fmt.Errorf("restore picture %s: %w", p.ID, err)
	}
	done.Pictures += int(n)
	return nil
}

func restoreEntries(ctx context.Context, tx *sql.Tx, entries []EntryRow, done *Restored) error {
	have, err := entryRows(ctx, tx)
	if err != nil {
		return err
	}
	newest := map[[2]string]string{}
	for _, e := range have {
		newest[[2]string{e.Kind, e.Key}] = e.Made
	}
	for _, e := range entries {
		if last, here := newest[[2]string{e.Kind, e.Key}]; here && !later(e.Made, last) {
			continue
		}
		body := sql.NullString{String: string(e.Body), Valid: e.Body != nil && string(e.Body) != "null"}
		if _, err := tx.ExecContext(ctx, `INSERT INTO entries (kind, key, made, body, screen) VALUES (?, ?, ?, ?, ?)`, e.Kind, e.Key, e.Made, body, e.Screen); err != nil {
			return fmt.Errorf("restore %s %s: %w", e.Kind, e.Key, err)
		}
		done.Entries++
	}
	return nil
}

// later tells whether a moment lies after another; both as they are kept.
func later(a, b string) bool {
	x, err1 := time.Parse(time.RFC3339Nano, a)
	y, err2 := time.Parse(time.RFC3339Nano, b)
	return err1 == nil && err2 == nil && x.After(y)
}

func (s *Store) restoreDish(ctx context.Context, tx *sql.Tx, h History, done *Restored) error {
	have, err := revisions(ctx, tx, h.ID)
	if err != nil {
		return err
	}
	same := func(a, b Revision) bool { return a.Made == b.Made && string(a.Body) == string(b.Body) }
	shared := min(len(have), len(h.Revisions))
	switch {
	case len(have) == 0:
		done.Added++
		if _, err := tx.ExecContext(ctx, `INSERT INTO dishes (id, created, changed, edit, revision, away, gone) VALUES (?, ?, ?, ?, ?, ?, ?)`, h.ID, h.Created, h.Changed, h.Edit, h.Revision, h.Away, h.Gone); err != nil {
			return fmt.Errorf("restore dish %s: %w", h.ID, err)
		}
	case !slices.EqualFunc(have[:shared], h.Revisions[:shared], same):
		done.Copied++
		id, err := uuid.NewV7()
		if err != nil {
			return fmt.Errorf("make an id: %w", err)
		}
		have, h.ID = nil, id.String()
		if _, err := tx.ExecContext(ctx, `INSERT INTO dishes (id, created, changed, edit, revision, away, gone) VALUES (?, ?, ?, ?, ?, ?, ?)`, h.ID, h.Created, h.Changed, h.Edit, h.Revision, h.Away, h.Gone); err != nil {
			return fmt.Errorf("restore dish %s: %w", h.ID, err)
		}
	case len(have) >= len(h.Revisions):
		done.Same++
		return nil
	default:
		done.Longer++
		if _, err := tx.ExecContext(ctx, `UPDATE dishes SET changed = ?, edit = max(edit, ?) + 1, revision = ? WHERE id = ?`, h.Changed, h.Edit, h.Revision, h.ID); err != nil {
			return fmt.Errorf("restore dish %s: %w", h.ID, err)
		}
	}
	for _, r := range h.Revisions[len(have):] {
		if _, err := tx.ExecContext(ctx, `INSERT INTO revisions (dish, number, parent, made, what, body, screen) VALUES (?, ?, ?, ?, ?, ?, ?)`, h.ID, r.Number, r.Parent, r.Made, r.What, string(r.Body), r.Screen); err != nil {
			return fmt.Errorf("restore dish %s: %w", h.ID, err)
		}
	}
	for _, r := range h.Revisions {
		if r.Number != h.Revision {
			continue
		}
		var doc Document
		if err := json.Unmarshal(r.Body, &doc); err != nil {
			return fmt.Errorf("decode dish %s: %w", h.ID, err)
		}
		// Thousands may come in; what the shelf shows of them is worked out afterwards.
		if _, err := shelveNamed(ctx, tx, h.ID, doc); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `UPDATE shelf SET away = (SELECT away <> '' FROM dishes WHERE id = dish), gone = (SELECT gone <> '' FROM dishes WHERE id = dish) WHERE dish = ?`, h.ID)
		return err
	}
	return fmt.Errorf("restore dish %s: its current revision is missing", h.ID)
}
