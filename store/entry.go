package store

import (
	"context"
	"database/sql"
	"fmt"
)

// The kinds of entry a kitchen keeps beside its dishes.
const (
	FoodEntry    = "food"
	KitchenEntry = "kitchen"
)

// Entry is one thing the cook has said about the kitchen, as JSON.
type Entry struct {
	Key  string
	Body []byte
}

// SaveEntry keeps a body under a kind and key; a nil body takes back what
// stood there. Earlier ones stay in the file.
func (s *Store) SaveEntry(ctx context.Context, kind, key string, body []byte) error {
	var text sql.NullString
	if body != nil {
		text = sql.NullString{String: string(body), Valid: true}
	}
	return s.inTx(ctx, func(tx *sql.Tx) error {
		if _, err := tx.ExecContext(ctx, `INSERT INTO entries (kind, key, made, body) VALUES (?, ?, ?, ?)`, kind, key, s.stamp(), text); err != nil {
			return fmt.Errorf("keep %s %s: %w", kind, key, err)
		}
		return nil
	})
}

// Entries lists what counts now of a kind, by key.
func (s *Store) Entries(ctx context.Context, kind string) ([]Entry, error) {
	rows, err := s.read.QueryContext(ctx, `SELECT key, body FROM entries e
		WHERE kind = ? AND body IS NOT NULL AND number = (SELECT max(number) FROM entries WHERE kind = e.kind AND key = e.key) ORDER BY key`, kind)
	if err != nil {
		return nil, fmt.Errorf("list %s entries: %w", kind, err)
	}
	defer rows.Close()
	var list []Entry
	for rows.Next() {
		var e Entry
		var body string
		if err := rows.Scan(&e.Key, &body); err != nil {
			return nil, fmt.Errorf("read a %s entry: %w", kind, err)
		}
		e.Body = []byte(body)
		list = append(list, e)
	}
	if err := rows.Err(); err != nil {
		return nil, fmt.Errorf("list %s entries: %w", kind, err)
	}
	return list, nil
}
