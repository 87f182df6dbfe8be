package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
)

// Save writes a new revision of a dish that the caller read at the given edit.
// It returns ErrChanged when somebody else was faster.
func (s *Store) Save(ctx context.Context, id string, edit int64, what string, doc Document) (Dish, error) {
	err := s.change(ctx, id, edit, func(tx *sql.Tx, current int64) (int64, Document, error) {
		var last int64
		if err := tx.QueryRowContext(ctx, `SELECT max(number) FROM revisions WHERE dish = ?`, id).Scan(&last); err != nil {
			return 0, doc, fmt.Errorf("number the revision: %w", err)
		}
		if err := s.revise(ctx, tx, id, last+1, &current, what, doc); err != nil {
			return 0, doc, err
		}
		return last + 1, doc, nil
	})
	if err != nil {
		return Dish{}, err
	}
	return s.Dish(ctx, id)
}

// change moves a dish to the revision that work returns, if it is still at
// the given edit.
func (s *Store) change(ctx context.Context, id string, edit int64, work func(*sql.Tx, int64) (int64, Document, error)) error {
	err := s.inTx(ctx, func(tx *sql.Tx) error {
		var have, current int64
		err := tx.QueryRowContext(ctx, `SELECT edit, revision FROM dishes WHERE id = ?`, id).Scan(&have, &current)
		switch {
		case errors.Is(err, sql.ErrNoRows):
			return ErrNotFound
		case err != nil:
			return fmt.Errorf("read dish: %w", err)
		case have != edit:
			return ErrChanged
		}
		next, doc, err := work(tx, current)
		if err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `UPDATE dishes SET edit = edit + 1, revision = ?, changed = ? WHERE id = ?`, next, s.stamp(), id); err != nil {
			return fmt.Errorf("move dish: %w", err)
		}
		return s.shelve(ctx, tx, id, doc)
	})
	if err == nil {
		s.reread(ctx, id)
		s.tell(DishKept, id)
	}
	return err
}

// Undo goes back to the revision that the current one was made from. The
// later revisions stay, for Redo and history.
func (s *Store) Undo(ctx context.Context, id string, edit int64) (Dish, error) {
	return s.step(ctx, id, edit, `SELECT parent FROM revisions WHERE dish = ? AND number = ?`)
}

// Redo goes forward to the newest revision made from the current one.
func (s *Store) Redo(ctx context.Context, id string, edit int64) (Dish, error) {
	return s.step(ctx, id, edit, `SELECT max(number) FROM revisions WHERE dish = ? AND parent = ?`)
}

func (s *Store) step(ctx context.Context, id string, edit int64, query string) (Dish, error) {
	err := s.change(ctx, id, edit, func(tx *sql.Tx, current int64) (int64, Document, error) {
		var next sql.NullInt64
		var doc Document
		if err := tx.QueryRowContext(ctx, query, id, current).Scan(&next); err != nil {
			return 0, doc, fmt.Errorf("find the revision: %w", err)
		}
		if !next.Valid {
			return 0, doc, ErrNothing
		}
		var body string
		if err := tx.QueryRowContext(ctx, `SELECT body FROM revisions WHERE dish = ? AND number = ?`, id, next.Int64).Scan(&body); err != nil {
			return 0, doc, fmt.Errorf("read the revision: %w", err)
		}
		if err := json.Unmarshal([]byte(body), &doc); err != nil {
			return 0, doc, fmt.Errorf("decode the revision: %w", err)
		}
		return next.Int64, doc, nil
	})
	if err != nil {
		return Dish{}, err
	}
	return s.Dish(ctx, id)
}
