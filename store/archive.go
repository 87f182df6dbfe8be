package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"fmt"
	"slices"

	"github.com/google/uuid"
)

// History is a dish with all its revisions, as it is archived.
type History struct {
	ID        string     `json:"id"`
	Created   string     `json:"created"`
	Changed   string     `json:"changed"`
	Edit      int64      `json:"edit"`
	Revision  int64      `json:"revision"`
	Revisions []Revision `json:"revisions"`
}

// Revision is one state of a dish; its body is the document as it was written,
// byte by byte.
type Revision struct {
	Number int64           `json:"number"`
	Parent *int64          `json:"parent"`
	Made   string          `json:"made"`
	What   string          `json:"what"`
	Body   json.RawMessage `json:"body"`
}

// EntryRow is an entry of the kitchen as it was kept, also one that a later
// one has replaced; a null body took something back.
type EntryRow struct {
	Kind string          `json:"kind"`
	Key  string          `json:"key"`
	Made string          `json:"made"`
	Body json.RawMessage `json:"body"`
}

// Everything reads the whole kitchen at one moment.
func (s *Store) Everything(ctx context.Context) ([]History, []EntryRow, error) {
	tx, err := s.read.BeginTx(ctx, &sql.TxOptions{ReadOnly: true})
	if err != nil {
		return nil, nil, fmt.Errorf("begin reading: %w", err)
	}
	defer tx.Rollback() //nolint:errcheck // it only read
	var dishes []History
	err = each(ctx, tx, `SELECT id, created, changed, edit, revision FROM dishes ORDER BY id`, func(scan func(...any) error) error {
		h := History{Revisions: []Revision{}}
		err := scan(&h.ID, &h.Created, &h.Changed, &h.Edit, &h.Revision)
		dishes = append(dishes, h)
		return err
	})
	if err != nil {
		return nil, nil, err
	}
	for i := range dishes {
		if dishes[i].Revisions, err = revisions(ctx, tx, dishes[i].ID); err != nil {
			return nil, nil, err
		}
	}
	entries, err := entryRows(ctx, tx)
	return dishes, entries, err
}

func revisions(ctx context.Context, tx *sql.Tx, dish string) ([]Revision, error) {
	var list []Revision
	err := each(ctx, tx, `SELECT number, parent, made, what, body FROM revisions WHERE dish = ? ORDER BY number`, func(scan func(...any) error) error {
		var r Revision
		var body string
		err := scan(&r.Number, &r.Parent, &r.Made, &r.What, &body)
		r.Body = json.RawMessage(body)
		list = append(list, r)
		return err
	}, dish)
	return list, err
}

func entryRows(ctx context.Context, tx *sql.Tx) ([]EntryRow, error) {
	list := []EntryRow{}
	err := each(ctx, tx, `SELECT kind, key, made, body FROM entries ORDER BY number`, func(scan func(...any) error) error {
		var e EntryRow
		var body sql.NullString
		err := scan(&e.Kind, &e.Key, &e.Made, &body)
		if body.Valid {
			e.Body = json.RawMessage(body.String)
		}
		list = append(list, e)
		return err
	})
	return list, err
}

func each(ctx context.Context, tx *sql.Tx, query string, take func(scan func(...any) error) error, args ...any) error {
	rows, err := tx.QueryContext(ctx, query, args...)
	if err != nil {
		return fmt.Errorf("read the kitchen: %w", err)
	}
	defer rows.Close()
	for rows.Next() {
		if err := take(rows.Scan); err != nil {
			return fmt.Errorf("read the kitchen: %w", err)
		}
	}
	if err := rows.Err(); err != nil {
		return fmt.Errorf("read the kitchen: %w", err)
	}
	return nil
}

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
}

// Restore brings archived dishes and entries into the kitchen, all or nothing.
// Nothing that is here is lost: a dish that went another way is added as a
// copy.
func (s *Store) Restore(ctx context.Context, dishes []History, entries []EntryRow) (Restored, error) {
	var done Restored
	err := s.inTx(ctx, func(tx *sql.Tx) error {
		done = Restored{}
		for _, h := range dishes {
			if err := s.restoreDish(ctx, tx, h, &done); err != nil {
				return err
			}
		}
		have, err := entryRows(ctx, tx)
		if err != nil {
			return err
		}
		if slices.EqualFunc(have, entries, sameEntry) {
			return nil
		}
		for _, e := range entries {
			body := sql.NullString{String: string(e.Body), Valid: e.Body != nil && string(e.Body) != "null"}
			if _, err := tx.ExecContext(ctx, `INSERT INTO entries (kind, key, made, body) VALUES (?, ?, ?, ?)`, e.Kind, e.Key, e.Made, body); err != nil {
				return fmt.Errorf("restore %s %s: %w", e.Kind, e.Key, err)
			}
			done.Entries++
		}
		return nil
	})
	return done, err
}

func sameEntry(a, b EntryRow) bool {
	none := func(e EntryRow) bool { return e.Body == nil || string(e.Body) == "null" }
	return a.Kind == b.Kind && a.Key == b.Key && a.Made == b.Made && (none(a) && none(b) || string(a.Body) == string(b.Body))
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
		if _, err := tx.ExecContext(ctx, `INSERT INTO dishes (id, created, changed, edit, revision) VALUES (?, ?, ?, ?, ?)`, h.ID, h.Created, h.Changed, h.Edit, h.Revision); err != nil {
			return fmt.Errorf("restore dish %s: %w", h.ID, err)
		}
	case !slices.EqualFunc(have[:shared], h.Revisions[:shared], same):
		done.Copied++
		id, err := uuid.NewV7()
		if err != nil {
			return fmt.Errorf("make an id: %w", err)
		}
		have, h.ID = nil, id.String()
		if _, err := tx.ExecContext(ctx, `INSERT INTO dishes (id, created, changed, edit, revision) VALUES (?, ?, ?, ?, ?)`, h.ID, h.Created, h.Changed, h.Edit, h.Revision); err != nil {
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
		if _, err := tx.ExecContext(ctx, `INSERT INTO revisions (dish, number, parent, made, what, body) VALUES (?, ?, ?, ?, ?, ?)`, h.ID, r.Number, r.Parent, r.Made, r.What, string(r.Body)); err != nil {
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
		return index(ctx, tx, h.ID, doc)
	}
	return fmt.Errorf("restore dish %s: its current revision is missing", h.ID)
}
