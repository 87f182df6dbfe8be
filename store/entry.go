package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
)

// The kinds of entry a kitchen keeps beside its dishes.
const (
	FoodEntry    = "food"
	KitchenEntry = "kitchen"
	DayEntry     = "day"
	// CookEntry is a cook-through as it began, StoveEntry an event of it, TrialEntry
	// one that was kept, MeasuredEntry a loss that was weighed.
	CookEntry     = "cook"
	StoveEntry    = "stove"
	TrialEntry    = "trial"
	MeasuredEntry = "measured"
	// TastingEntry is a tasting of trials, SheetEntry what one taster said at it.
	TastingEntry = "tasting"
	SheetEntry   = "sheet"
	// UntaughtEntry takes back what one tasting taught of one trait.
	UntaughtEntry = "untaught"
	// WishEntry is a traditional dish that is wished for, BegunEntry the dish that was
	// begun from one.
	WishEntry  = "wish"
	BegunEntry = "begun"
	// DishKept is told of a dish, which is no entry.
	DishKept = "dish"
)

// Entry is one thing the cook has said about the kitchen, as JSON.
type Entry struct {
	Key  string
	Body []byte
	// Version grows with every change of the entry.
	Version int64
}

// ErrNoEntry tells that nothing stands under a key.
var ErrNoEntry = errors.New("no such entry")

// SaveEntry keeps a body under a kind and key; a nil body takes back what
// stood there. Earlier ones stay in the file.
func (s *Store) SaveEntry(ctx context.Context, kind, key string, body []byte) error {
	var text sql.NullString
	if body != nil {
		text = sql.NullString{String: string(body), Valid: true}
	}
	err := s.inTx(ctx, func(tx *sql.Tx) error {
		if _, err := tx.ExecContext(ctx, `INSERT INTO entries (kind, key, made, body, screen) VALUES (?, ?, ?, ?, ?)`, kind, key, s.stamp(), text, ScreenOf(ctx)); err != nil {
			return fmt.Errorf("keep %s %s: %w", kind, key, err)
		}
		return nil
	})
	if err == nil {
		s.tell(kind, key)
	}
	return err
}

// SaveEntries keeps several bodies of one kind at once, all of them or none.
func (s *Store) SaveEntries(ctx context.Context, kind string, entries []Entry) error {
	return s.inTx(ctx, func(tx *sql.Tx) error {
		for _, e := range entries {
			if _, err := tx.ExecContext(ctx, `INSERT INTO entries (kind, key, made, body, screen) VALUES (?, ?, ?, ?, ?)`, kind, e.Key, s.stamp(), string(e.Body), ScreenOf(ctx)); err != nil {
				return fmt.Errorf("keep %s %s: %w", kind, e.Key, err)
			}
		}
		return nil
	})
}

// Entries lists what counts now of a kind, by key.
func (s *Store) Entries(ctx context.Context, kind string) ([]Entry, error) {
	rows, err := s.read.QueryContext(ctx, `SELECT key, body, number FROM entries e
		WHERE kind = ? AND body IS NOT NULL AND number = (SELECT max(number) FROM entries WHERE kind = e.kind AND key = e.key) ORDER BY key`, kind)
	if err != nil {
		return nil, fmt.Errorf("list %s entries: %w", kind, err)
	}
	defer rows.Close()
	var list []Entry
	for rows.Next() {
		var e Entry
		var body string
		if err := rows.Scan(&e.Key, &body, &e.Version); err != nil {
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

// NewestKeys lists the keys of a kind under which something stands, the last ones
// first, as many as asked for.
func (s *Store) NewestKeys(ctx context.Context, kind string, most int) ([]string, error) {
	var keys []string
	err := each(ctx, s.read, `SELECT key FROM entries e WHERE kind = ? AND body IS NOT NULL AND number = (SELECT max(number) FROM entries WHERE kind = e.kind AND key = e.key) ORDER BY key DESC LIMIT ?`, func(scan func(...any) error) error {
		var key string
		err := scan(&key)
		keys = append(keys, key)
		return err
	}, kind, most)
	return keys, err
}

// Entry returns what counts now under a kind and key; ErrNoEntry when nothing
// does.
func (s *Store) Entry(ctx context.Context, kind, key string) (Entry, error) {
	e, err := latest(ctx, s.read, kind, key)
	if err == nil && e.Body == nil {
		return e, ErrNoEntry
	}
	return e, err
}

// Below is the key of the number n of what lies under a key; such keys sort by
// their number.
func Below(key string, n int64) string { return fmt.Sprintf("%s/%08d", key, n) }

// Under lists what lies under a key, by number.
func (s *Store) Under(ctx context.Context, kind, key string) ([]Entry, error) {
	rows, err := s.read.QueryContext(ctx, `SELECT key, body, number FROM entries WHERE kind = ? AND key > ? AND key < ? ORDER BY key, number`, kind, key+"/", key+"0")
	if err != nil {
		return nil, fmt.Errorf("list what lies under %s: %w", key, err)
	}
	defer rows.Close()
	var list []Entry
	for rows.Next() {
		var e Entry
		var body sql.NullString
		if err := rows.Scan(&e.Key, &body, &e.Version); err != nil {
			return nil, fmt.Errorf("read a %s entry: %w", kind, err)
		}
		if e.Body = []byte(body.String); body.Valid {
			list = append(list, e)
		}
	}
	if err := rows.Err(); err != nil {
		return nil, fmt.Errorf("list what lies under %s: %w", key, err)
	}
	return list, nil
}

// EntryVersion is the version at which an entry stands, 0 where there never was
// one; what was taken back has one too.
func (s *Store) EntryVersion(ctx context.Context, kind, key string) (int64, error) {
	e, err := latest(ctx, s.read, kind, key)
	if errors.Is(err, ErrNoEntry) {
		return 0, nil
	}
	return e.Version, err
}

type querier interface {
	QueryRowContext(ctx context.Context, query string, args ...any) *sql.Row
}

// latest is the newest row of a key, with a nil body where it was taken back.
func latest(ctx context.Context, q querier, kind, key string) (Entry, error) {
	e := Entry{Key: key}
	var body sql.NullString
	err := q.QueryRowContext(ctx, `SELECT number, body FROM entries WHERE kind = ? AND key = ? ORDER BY number DESC LIMIT 1`, kind, key).Scan(&e.Version, &body)
	switch {
	case errors.Is(err, sql.ErrNoRows):
		return e, ErrNoEntry
	case err != nil:
		return e, fmt.Errorf("read %s %s: %w", kind, key, err)
	}
	if body.Valid {
		e.Body = []byte(body.String)
	}
	return e, nil
}

// ChangeEntry keeps a body where the entry is still at the version that the
// caller read, 0 for a new one; a nil body takes it back. It returns ErrChanged
// when somebody else was faster.
func (s *Store) ChangeEntry(ctx context.Context, kind, key string, version int64, body []byte) (Entry, error) {
	err := s.inTx(ctx, func(tx *sql.Tx) error {
		now, err := latest(ctx, tx, kind, key)
		if err != nil && !errors.Is(err, ErrNoEntry) {
			return err
		}
		if now.Version != version {
			return ErrChanged
		}
		text := sql.NullString{String: string(body), Valid: body != nil}
		if _, err := tx.ExecContext(ctx, `INSERT INTO entries (kind, key, made, body, screen) VALUES (?, ?, ?, ?, ?)`, kind, key, s.stamp(), text, ScreenOf(ctx)); err != nil {
			return fmt.Errorf("keep %s %s: %w", kind, key, err)
		}
		return nil
	})
	if err != nil {
		return Entry{}, err
	}
	s.tell(kind, key)
	return latest(ctx, s.read, kind, key)
}

// Before returns what stood under a key before a version.
func (s *Store) Before(ctx context.Context, kind, key string, version int64) (Entry, error) {
	e := Entry{Key: key}
	var body sql.NullString
	err := s.read.QueryRowContext(ctx, `SELECT number, body FROM entries WHERE kind = ? AND key = ? AND number < ? ORDER BY number DESC LIMIT 1`, kind, key, version).Scan(&e.Version, &body)
	if errors.Is(err, sql.ErrNoRows) || err == nil && !body.Valid {
		return e, ErrNothing
	}
	if err != nil {
		return e, fmt.Errorf("read what stood before: %w", err)
	}
	e.Body = []byte(body.String)
	return e, nil
}
