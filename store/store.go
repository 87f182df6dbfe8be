// Package store keeps a kitchen in one SQLite file: dishes as documents of
// decisions with append-only revisions. Nothing is acknowledged before it is
// committed.
package store

import (
	"context"
	"database/sql"
	"embed"
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"os"
	"path/filepath"
	"time"

	"github.com/pressly/goose/v3"
	_ "modernc.org/sqlite" // the driver
)

//go:embed migrations/*.sql
var migrations embed.FS

// Store is an open kitchen. One connection writes, a pool of others reads.
type Store struct {
	write *sql.DB
	read  *sql.DB
	lock  *os.File
	now   func() time.Time
	// told hears of everything that is kept, once it is.
	told func(kind, key string)
	// summarise works out what a shelf shows of a dish.
	summarise func(Dish) Summary
	rows      rows
}

// OnKept has a function hear of everything that is kept: its kind and key. It is
// set before the store is used, and must not wait.
func (s *Store) OnKept(told func(kind, key string)) { s.told = told }

func (s *Store) tell(kind, key string) {
	if s.told != nil {
		s.told(kind, key)
	}
}

// fileName is the kitchen's file within its data folder.
const fileName = "kitchen.db"

// Open opens the kitchen in a folder for this program alone, making it when
// missing, and brings its schema up to date. now tells the time revisions are
// stamped with.
func Open(ctx context.Context, folder string, now func() time.Time) (*Store, error) {
	if err := os.MkdirAll(folder, 0o700); err != nil {
		return nil, fmt.Errorf("make the data folder: %w", err)
	}
	held, err := lock(folder)
	if err != nil {
		return nil, err
	}
	s := &Store{lock: held, now: now}
	if s.write, err = connect(filepath.Join(folder, fileName), 1); err == nil {
		err = migrate(ctx, s.write)
	}
	if err == nil {
		s.read, err = connect(filepath.Join(folder, fileName), readers)
	}
	if err != nil {
		return nil, errors.Join(err, s.Close())
	}
	return s, nil
}

// OpenToRead opens a kitchen that another program may have open, and writes
// nothing.
func OpenToRead(ctx context.Context, folder string, now func() time.Time) (*Store, error) {
	path := filepath.Join(folder, fileName)
	if _, err := os.Stat(path); err != nil {
		return nil, fmt.Errorf("open the kitchen: %w", err)
	}
	read, err := connect(path, readers, "query_only(1)")
	if err != nil {
		return nil, err
	}
	s := &Store{read: read, write: read, now: now}
	p, err := provider(read)
	if err == nil {
		err = upToDate(ctx, read, p)
	}
	if err != nil {
		return nil, errors.Join(err, s.Close())
	}
	return s, nil
}

const readers = 4

// connect opens a pool whose every connection carries the pragmas.
func connect(path string, connections int, more ...string) (*sql.DB, error) {
	pragmas := url.Values{"_pragma": append([]string{"busy_timeout(5000)", "journal_mode(WAL)", "foreign_keys(1)", "synchronous(FULL)"}, more...), "_txlock": {"immediate"}}
	db, err := sql.Open("sqlite", "file:"+(&url.URL{Path: path}).EscapedPath()+"?"+pragmas.Encode())
	if err != nil {
		return nil, fmt.Errorf("open the kitchen: %w", err)
	}
	db.SetMaxOpenConns(connections)
	db.SetMaxIdleConns(connections)
	return db, nil
}

func provider(db *sql.DB) (*goose.Provider, error) {
	folder, err := fs.Sub(migrations, "migrations")
	if err != nil {
		return nil, fmt.Errorf("read migrations: %w", err)
	}
	p, err := goose.NewProvider(goose.DialectSQLite3, db, folder)
	if err != nil {
		return nil, fmt.Errorf("prepare migrations: %w", err)
	}
	return p, nil
}

// migrate brings the schema up to date; one of a later program is left alone.
func migrate(ctx context.Context, db *sql.DB) error {
	p, err := provider(db)
	if err != nil {
		return err
	}
	if err := upToDate(ctx, db, p); err == nil || !errors.Is(err, ErrOlder) {
		return err
	}
	if _, err := p.Up(ctx); err != nil {
		return fmt.Errorf("migrate the kitchen: %w", err)
	}
	return nil
}

// upToDate tells whether the schema is the one this program knows, without
// touching it.
func upToDate(ctx context.Context, db *sql.DB, p *goose.Provider) error {
	var tables, have int64
	if err := db.QueryRowContext(ctx, `SELECT count(*) FROM sqlite_schema WHERE name = 'goose_db_version'`).Scan(&tables); err != nil {
		return fmt.Errorf("read the kitchen: %w", err)
	}
	if tables > 0 {
		if err := db.QueryRowContext(ctx, `SELECT coalesce(max(version_id), 0) FROM goose_db_version WHERE is_applied`).Scan(&have); err != nil {
			return fmt.Errorf("read the kitchen: %w", err)
		}
	}
	sources := p.ListSources()
	switch known := sources[len(sources)-1].Version; {
	case have > known:
		return fmt.Errorf("%w: its layout is number %d, this program knows %d; nothing was touched", ErrNewer, have, known)
	case have < known:
		return ErrOlder
	}
	return nil
}

// Close closes both pools and lets go of the kitchen.
func (s *Store) Close() error {
	var errs []error
	if s.read != nil {
		errs = append(errs, s.read.Close())
	}
	if s.write != nil && s.write != s.read {
		errs = append(errs, s.write.Close())
	}
	if s.lock != nil {
		errs = append(errs, s.lock.Close())
	}
	return errors.Join(errs...)
}

// inTx runs work in one write transaction.
func (s *Store) inTx(ctx context.Context, work func(*sql.Tx) error) error {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return fmt.Errorf("begin: %w", err)
	}
	if err := work(tx); err != nil {
		return errors.Join(err, tx.Rollback())
	}
	if err := tx.Commit(); err != nil {
		return fmt.Errorf("commit: %w", err)
	}
	return nil
}

// Clear removes the kitchen's file from a folder, for a demo laid out afresh. It
// is refused while a program has it open.
func Clear(folder string) error {
	if err := os.MkdirAll(folder, 0o700); err != nil {
		return fmt.Errorf("make the data folder: %w", err)
	}
	held, err := lock(folder)
	if err != nil {
		return err
	}
	for _, suffix := range []string{"", "-wal", "-shm"} {
		if failed := os.Remove(filepath.Join(folder, fileName) + suffix); failed != nil && !errors.Is(failed, fs.ErrNotExist) {
			err = fmt.Errorf("clear the demo's folder: %w", failed)
		}
	}
	return errors.Join(err, held.Close())
}

// Holds tells whether a folder holds a kitchen.
func Holds(folder string) bool {
	_, err := os.Stat(filepath.Join(folder, fileName))
	return err == nil
}
