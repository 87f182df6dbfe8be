package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"io/fs"
	"syscall"

	"modernc.org/sqlite"
	sqlite3 "modernc.org/sqlite/lib"
)

// What can be wrong with a kitchen itself.
var (
	// ErrInUse tells that another program has the kitchen open.
	ErrInUse = errors.New("the kitchen is open in another program")
	// ErrNewer tells that a later version of this program has written it.
	ErrNewer = errors.New("the kitchen was written by a later version of this program")
	// ErrOlder tells that it must first be brought up to date.
	ErrOlder = errors.New("the kitchen was written by an earlier version of this program and must be opened once to be brought up to date")
	// ErrFull tells that there is no room left to write.
	ErrFull = errors.New("there is no room left where the kitchen is kept")
	// ErrReadOnly tells that nothing may be written there.
	ErrReadOnly = errors.New("the kitchen's folder cannot be written to")
	// ErrBusy tells that something else is writing and did not end in time.
	ErrBusy = errors.New("the kitchen is busy")
	// ErrBroken tells that the file itself is damaged.
	ErrBroken = errors.New("the kitchen's file is damaged")
)

// Cause tells which of these an error comes from; nil for none.
func Cause(err error) error {
	for _, known := range []error{ErrInUse, ErrNewer, ErrOlder} {
		if errors.Is(err, known) {
			return known
		}
	}
	switch {
	case errors.Is(err, syscall.ENOSPC), errors.Is(err, syscall.EDQUOT):
		return ErrFull
	case errors.Is(err, fs.ErrPermission), errors.Is(err, syscall.EROFS):
		return ErrReadOnly
	}
	var failed *sqlite.Error
	if !errors.As(err, &failed) {
		return nil
	}
	switch failed.Code() & 0xff { // the rest tells more than is needed
	case sqlite3.SQLITE_FULL:
		return ErrFull
	case sqlite3.SQLITE_READONLY, sqlite3.SQLITE_PERM, sqlite3.SQLITE_CANTOPEN:
		return ErrReadOnly
	case sqlite3.SQLITE_BUSY, sqlite3.SQLITE_LOCKED:
		return ErrBusy
	case sqlite3.SQLITE_CORRUPT, sqlite3.SQLITE_NOTADB:
		return ErrBroken
	}
	return nil
}

// Check looks whether the kitchen is whole: the file itself, and that every
// state of every dish and all that the kitchen says of itself can be read. It
// returns what is wrong, in words.
func (s *Store) Check(ctx context.Context) ([]string, error) {
	tx, err := s.read.BeginTx(ctx, &sql.TxOptions{ReadOnly: true})
	if err != nil {
		return nil, fmt.Errorf("begin reading: %w", err)
	}
	defer tx.Rollback() //nolint:errcheck // it only read
	var wrong []string
	err = each(ctx, tx, `PRAGMA integrity_check`, func(scan func(...any) error) error {
		var said string
		if err := scan(&said); err != nil || said == "ok" {
			return err
		}
		wrong = append(wrong, "the file: "+said)
		return nil
	})
	if err != nil {
		return nil, err
	}
	err = each(ctx, tx, `SELECT d.id, EXISTS (SELECT 1 FROM revisions r WHERE r.dish = d.id AND r.number = d.revision) FROM dishes d`, func(scan func(...any) error) error {
		var id string
		var there bool
		if err := scan(&id, &there); err != nil || there {
			return err
		}
		wrong = append(wrong, fmt.Sprintf("dish %s has lost its current state", id))
		return nil
	})
	if err != nil {
		return nil, err
	}
	err = each(ctx, tx, `SELECT dish, number, body FROM revisions ORDER BY dish, number`, func(scan func(...any) error) error {
		var dish, body string
		var number int64
		if err := scan(&dish, &number, &body); err != nil {
			return err
		}
		var doc Document
		if err := json.Unmarshal([]byte(body), &doc); err != nil {
			wrong = append(wrong, fmt.Sprintf("dish %s, state %d cannot be read: %v", dish, number, err))
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	rows, err := entryRows(ctx, tx)
	for _, r := range rows {
		if r.Body != nil && !json.Valid(r.Body) {
			wrong = append(wrong, fmt.Sprintf("%s %s cannot be read", r.Kind, r.Key))
		}
	}
	return wrong, err
}
